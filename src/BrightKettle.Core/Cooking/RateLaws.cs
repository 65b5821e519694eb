using BrightKettle.Core.Cooking.Engine;

namespace BrightKettle.Core.Cooking;

/// <summary>How fast things go at a temperature, for one pot or for several side by side.</summary>
internal static class RateLaws
{
    public const double GasConstant = 8.314; // J/(mol K), exact to 4 digits
    public const float ZeroCelsius = 273.15f; // K
    private const float PerKelvin20 = 1 / 293.15f;
    private const float PerKelvin98 = 1 / 371.15f;
    private const float PerKelvin110 = 1 / 383.15f;
    private const float AntoineB = 1730.63f * 2.302585093f;
    private const float AntoineC = 233.426f;

    /// <summary>Softening rate against 98 °C. Steeper below 90 °C, where many seeds never become tender; flatter over 100 °C.</summary>
    public static T Softening<T>(T celsius, StepConstants c)
        where T : struct, ILanes<T>
    {
        var middle = T.Max(T.All(90), T.Min(T.All(100), celsius));
        return T.Exp(
            ((middle - T.All(98)) * T.All(c.PerZ))
                + (T.Min(T.All(0), celsius - T.All(90)) * T.All(c.PerZLow))
                + (T.Max(T.All(0), celsius - T.All(100)) * T.All(c.PerZHigh))
        );
    }

    /// <summary>Rice cooking rate against 98 °C; limited by diffusion over 110 °C.</summary>
    public static T Rice<T>(T celsius, StepConstants c)
        where T : struct, ILanes<T>
    {
        var perKelvin = T.All(1) / (celsius + T.All(ZeroCelsius));
        var hot = T.Min(T.All(0), perKelvin - T.All(PerKelvin110));
        var under = T.Max(T.All(PerKelvin110), perKelvin);
        return T.Exp((T.All(c.RiceK) * (T.All(PerKelvin98) - under)) - (T.All(c.RiceKHot) * hot));
    }

    /// <summary>Uptake rate against 98 °C for an activation energy over R in K; over 98 °C the shared one of hot seed.</summary>
    public static T Hydration<T>(T celsius, T energyK, StepConstants c)
        where T : struct, ILanes<T>
    {
        var gap = T.All(PerKelvin98) - (T.All(1) / (celsius + T.All(ZeroCelsius)));
        return T.Exp(T.Where(T.Less(gap, T.All(0)), energyK, T.All(c.HotK)) * gap);
    }

    /// <summary>How fast a sealed coat opens, against 20 °C.</summary>
    public static T Coat<T>(T celsius, StepConstants c)
        where T : struct, ILanes<T> => T.Exp(T.All(c.CoatK) * (T.All(PerKelvin20) - (T.All(1) / (celsius + T.All(ZeroCelsius)))));

    /// <summary>Vapour pressure of water against 94 °C (Antoine).</summary>
    public static T Vapour<T>(T celsius)
        where T : struct, ILanes<T> => T.Exp(T.All(AntoineB / (AntoineC + 94)) - (T.All(AntoineB) / (celsius + T.All(AntoineC))));

    /// <summary>1 - e^(-x): the share that a first-order process takes. A Padé form, within 1e-5 up to x = 0.5.</summary>
    [System.Runtime.CompilerServices.MethodImpl(System.Runtime.CompilerServices.MethodImplOptions.AggressiveInlining)]
    public static T Taken<T>(T x)
        where T : struct, ILanes<T> => x / (T.All(1) + (x * (T.All(0.5f) + (x * T.All(1f / 12)))));

    /// <summary>1 - e^(-x), exact, for the long steps of a bowl.</summary>
    public static double Taken(double x) => -Math.Exp(-x) + 1;

    /// <summary>Activation energy over R, K, that leads from one rate at 20 °C to another at 98 °C.</summary>
    public static double EnergyKBetween(double rateAt20, double rateAt98) => Math.Log(rateAt98 / rateAt20) / (PerKelvin20 - PerKelvin98);
}
