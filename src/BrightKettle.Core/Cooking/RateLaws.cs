using BrightKettle.Core.Catalogue;

namespace BrightKettle.Core.Cooking;

/// <summary>How fast things go at a temperature: the rates that every ingredient in a pot shares, and those of one pulse.</summary>
internal static class RateLaws
{
    public const double GasConstant = 8.314; // J/(mol K), exact to 4 digits
    public const double ZeroCelsius = 273.15; // K
    private const double Kelvin20 = 293.15;
    private const double Kelvin98 = 371.15;
    private const double Ln10 = 2.302585092994046;

    /// <summary>Softening rate against 98 °C, without unit. Steeper below 90 °C, where many seeds never become tender.</summary>
    public static double Softening(double celsius, ModelConstants c) => celsius >= 90
        ? Math.Exp(Ln10 * (celsius - 98) / c.SofteningZ)
        : Math.Exp(Ln10 * (((90 - 98) / c.SofteningZ) + ((celsius - 90) / c.SofteningZBelow90)));

    /// <summary>Rice cooking rate against 98 °C, without unit.</summary>
    public static double Rice(double celsius, ModelConstants c) =>
        Math.Exp(-c.RiceEnergy / GasConstant * ((1 / (celsius + ZeroCelsius)) - (1 / Kelvin98)));

    /// <summary>Arrhenius factor against 20 °C for an activation energy in J/mol.</summary>
    public static double From20(double celsius, double energy) =>
        Math.Exp(energy / GasConstant * ((1 / Kelvin20) - (1 / (celsius + ZeroCelsius))));

    /// <summary>Activation energy, J/mol, that leads from one rate at 20 °C to another at 98 °C.</summary>
    public static double EnergyBetween(double rateAt20, double rateAt98) =>
        GasConstant * Math.Log(rateAt98 / rateAt20) / ((1 / Kelvin20) - (1 / Kelvin98));

    /// <summary>Vapour pressure of water against 94 °C, without unit (Antoine).</summary>
    public static double Vapour(double celsius) =>
        Math.Exp(Ln10 * ((-1730.63 / (233.426 + celsius)) + (1730.63 / (233.426 + 94))));

    /// <summary>1 - e^(-x) for x of at least 0: the share that a first-order process takes; by its series where that is exact to 1e-9.</summary>
    public static double Taken(double x) => x < 0.005 ? x * (1 - (x / 2 * (1 - (x / 3)))) : 1 - Math.Exp(-x);
}
