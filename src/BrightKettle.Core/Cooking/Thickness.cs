namespace BrightKettle.Core.Cooking;

/// <summary>How the liquor runs, hot.</summary>
public enum Thickness
{
    Runny,

    /// <summary>Leaves a film on the spoon.</summary>
    CoatsASpoon,
    Thick,

    /// <summary>A spoon stands in it.</summary>
    Stands,
}

/// <summary>From what has come into the liquor to how it runs.</summary>
/// <remarks>Shares of all that is dissolved or crushed in the liquor, by weight, what the pulses gave included: cooks' rules for starch slurries (confidence D). It looks one to
/// two steps looser hot than on the plate (effects, 10).</remarks>
public static class ThicknessOf
{
    private const double CoatsFrom = 0.05;
    private const double ThickFrom = 0.09;
    private const double StandsFrom = 0.15;

    /// <summary>Of a vessel at the end of a run; null where it holds no liquor.</summary>
    public static Thickness? Of(VesselState vessel) =>
        vessel.LiquorGrams <= 1
            ? null
            : (vessel.SolidsGrams / (vessel.SolidsGrams + vessel.LiquorGrams)) switch
            {
                < CoatsFrom => Thickness.Runny,
                < ThickFrom => Thickness.CoatsASpoon,
                < StandsFrom => Thickness.Thick,
                _ => Thickness.Stands,
            };
}
