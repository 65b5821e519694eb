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
/// <remarks>Shares of all that is dissolved or crushed in the liquor, by weight, what the pulses gave included: cooks' rules for starch
/// slurries (confidence D).</remarks>
public static class ThicknessOf
{
    private const double CoatsFrom = 0.05;
    private const double ThickFrom = 0.09;
    private const double StandsFrom = 0.15;

    /// <summary>Starch sets as it cools: on the plate it runs as if it held so many times the solids, one to two steps thicker (effects,
    /// 10).</summary>
    private const double OnThePlateFactor = 1.7;

    /// <summary>Solids that a bound liquor holds when it is hot, as a share, a step more than most pulses give by themselves: a gravy is
    /// thick, a soup coats a spoon (confidence D).</summary>
    public static double Bound(bool soup) => soup ? (CoatsFrom + ThickFrom) / 2 : (ThickFrom + StandsFrom) / 2;

    /// <summary>Of a vessel at the end of a run, hot in the pot; null where it holds no liquor.</summary>
    public static Thickness? Of(VesselState vessel) => Of(vessel, 1);

    /// <summary>The same after some minutes on the plate.</summary>
    public static Thickness? OnThePlate(VesselState vessel) => Of(vessel, OnThePlateFactor);

    private static Thickness? Of(VesselState vessel, double factor) =>
        vessel.LiquorGrams <= 1
            ? null
            : (factor * vessel.SolidsGrams / (vessel.SolidsGrams + vessel.LiquorGrams + vessel.BrokenWaterGrams)) switch
            {
                < CoatsFrom => Thickness.Runny,
                < ThickFrom => Thickness.CoatsASpoon,
                < StandsFrom => Thickness.Thick,
                _ => Thickness.Stands,
            };
}
