using BrightKettle.Core.Units;

namespace BrightKettle.Core.Kitchen;

/// <summary>What holds the pressure, or the slowness.</summary>
public enum CookerKind
{
    /// <summary>Stovetop, a weight that lets steam go in whistles.</summary>
    Weight,

    /// <summary>Stovetop, a spring valve with rings.</summary>
    Spring,

    /// <summary>Electric pressure cooker that holds its temperature by itself.</summary>
    Electric,

    /// <summary>Slow cooker: a steady trickle of heat into a heavy crock.</summary>
    Slow,

    /// <summary>Rice cooker: steady heat until its rice has drunk the water, then warm by itself.</summary>
    Rice,
}

/// <summary>What a cooker does beyond a pot. Figures are typical ones (confidence B/C); the manual's come first.</summary>
/// <param name="HighKilopascals">Mean pressure over the air's at high, kPa; 0 for one without.</param>
/// <param name="LowKilopascals">The same at low.</param>
/// <param name="High">Power that reaches the contents at high; a stovetop cooker takes its burner's instead.</param>
/// <param name="Low">At low.</param>
/// <param name="Warm">At most, while it keeps warm.</param>
/// <param name="LossWattsPerKelvin">Heat lost through wall and lid.</param>
/// <param name="ShellJoulesPerKelvin">Heat capacity of the empty cooker.</param>
/// <param name="VentGrams">Steam that leaves before the valve seats, g.</param>
/// <param name="LeastLiquid">Below this it must not be closed.</param>
public sealed record Cooker(
    CookerKind Kind,
    double HighKilopascals,
    double LowKilopascals,
    Power High,
    Power Low,
    Power Warm,
    double LossWattsPerKelvin,
    double ShellJoulesPerKelvin,
    double VentGrams,
    Volume LeastLiquid
)
{
    /// <summary>Share of the brim that may be filled with pulses or rice and their water, swelling counted in.</summary>
    public const double FillShare = 0.5;

    /// <summary>The same for what foams freely.</summary>
    public const double FillShareFoaming = 1.0 / 3;

    /// <summary>Share of the brim up to which a slow cooker works as it should.</summary>
    public const double SlowFillShare = 0.7;

    /// <summary>The typical cooker of its kind.</summary>
    public static Cooker Typical(CookerKind kind, double brimMillilitres) =>
        kind switch
        {
            CookerKind.Weight => WithWeight(brimMillilitres),
            CookerKind.Spring => WithSpring(brimMillilitres),
            CookerKind.Electric => Electric(brimMillilitres),
            CookerKind.Rice => RicePot(brimMillilitres),
            _ => SlowPot(brimMillilitres),
        };

    public bool UnderPressure => Kind is CookerKind.Weight or CookerKind.Spring or CookerKind.Electric;

    /// <summary>It knows off, warm and high, and switches itself to warm.</summary>
    public bool IsForRice => Kind == CookerKind.Rice;

    /// <summary>It stands on a burner.</summary>
    public bool Stovetop => Kind is CookerKind.Weight or CookerKind.Spring;

    /// <summary>A weight valve of 90 to 100 kPa; loss 3.5 to 5 W/K (confidence B/C).</summary>
    public static Cooker WithWeight(double brimMillilitres) =>
        new(
            CookerKind.Weight,
            95,
            95,
            default,
            default,
            default,
            3.5,
            500 * (1 + (0.3 * brimMillilitres / 1000)),
            15,
            Volume.FromMillilitres(250)
        );

    /// <summary>A spring valve: second ring 80 to 100 kPa, first ring 40 to 60 (confidence B/C).</summary>
    public static Cooker WithSpring(double brimMillilitres) =>
        new(
            CookerKind.Spring,
            90,
            50,
            default,
            default,
            default,
            3.5,
            500 * (1 + (0.3 * brimMillilitres / 1000)),
            40,
            Volume.FromMillilitres(250)
        );

    /// <summary>An electric cooker. Nominal high is 65 to 82 kPa; cycling leaves about 60 in the mean, 113 to 114 °C in the food
    /// (confidence B).</summary>
    public static Cooker Electric(double brimMillilitres) =>
        new(
            CookerKind.Electric,
            60,
            33,
            Power.FromWatts(
                0.85
                    * (
                        brimMillilitres < 5500 ? 950
                        : brimMillilitres < 7000 ? 1000
                        : 1200
                    )
            ),
            Power.FromWatts(0.85 * 800),
            Power.FromWatts(150),
            2.2,
            500 * (2.2 + (0.25 * brimMillilitres / 1000)),
            40,
            Volume.FromMillilitres(300)
        );

    /// <summary>A slow cooker of 5 to 6.5 L; figures of the lumped fit: 180 to 240 W at high, 135 to 165 W at low, 1.8 to 2.5 W/K
    /// (confidence B/C).</summary>
    public static Cooker SlowPot(double brimMillilitres)
    {
        var size = Math.Pow(brimMillilitres / 6000, 2.0 / 3);
        return new(
            CookerKind.Slow,
            0,
            0,
            Power.FromWatts(205 * size),
            Power.FromWatts(156 * size),
            Power.FromWatts(105 * size),
            2.1 * size,
            4000 * size,
            0,
            Volume.FromMillilitres(200)
        );
    }

    /// <summary>A rice cooker of 1 to 4 L: nominal 100 W and 150 W for each litre to its brim, of which seven tenths reach what is in it
    /// (confidence C: boils 300 g with its water in about a quarter of an hour, done in half an hour).</summary>
    public static Cooker RicePot(double brimMillilitres)
    {
        var size = Math.Pow(brimMillilitres / 2500, 2.0 / 3);
        return new(
            CookerKind.Rice,
            0,
            0,
            Power.FromWatts(0.7 * (100 + (0.15 * brimMillilitres))),
            default,
            Power.FromWatts(50 * size),
            0.8 * size,
            500 * (0.9 + (0.15 * brimMillilitres / 1000)),
            0,
            Volume.FromMillilitres(150)
        );
    }
}
