namespace BrightKettle.Core.Cooking;

/// <summary>Names of the moments that a plan shows; they travel with the action that makes them.</summary>
public static class Marks
{
    public const string SoakStarts = "soak_starts";
    public const string SoakEnds = "soak_ends";
    public const string RiceSoakStarts = "rice_soak_starts";
    public const string Light = "light";

    /// <summary>The full boil is seen; for a pulse with lectin the hard boil counts from here.</summary>
    public const string Boils = "boils";
    public const string HardBoilOver = "hard_boil_over";

    /// <summary>Looked at and far enough: the flame goes out and they wait.</summary>
    public const string Ready = "ready";

    /// <summary>The liquor is measured and set.</summary>
    public const string Measure = "measure";

    /// <summary>The second ingredient goes in.</summary>
    public const string Join = "join";
    public const string Seal = "seal";
    public const string HeatOff = "heat_off";
    public const string Finish = "finish";
    public const string Table = "table";
}
