using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using MathNet.Numerics.RootFinding;

namespace BrightKettle.Calibration;

/// <summary>Two nested root searches: the softening time that meets the soaked column, within the hydration rate that meets the unsoaked one.</summary>
internal static class Fit
{
    /// <summary>Hydration at 98 °C is between these multiples of that at 20 °C: activation energies of 12 to 50 kJ/mol, the published span widened below.</summary>
    private const double LeastRatio = 3;
    private const double MostRatio = 75;

    public static Pulse Pulse(Simulator simulator, Pulse pulse)
    {
        Pulse With(double lnRatio)
        {
            var wetter = pulse with { HydrationPerHourAt98C = pulse.HydrationPerHourAt20C.Typical * Math.Exp(lnRatio) };
            return wetter with { SofteningMinutesAt98C = Softening(simulator, wetter) };
        }

        double Miss(double lnRatio) =>
            Math.Log(Conditions.SimmerMinutes(simulator, With(lnRatio), false) / pulse.SimmerUnsoakedMinutes.Middle);

        var (low, high) = (Math.Log(LeastRatio), Math.Log(MostRatio));
        // More water is never slower, so the ends tell whether the middle can be met at all.
        var best = Miss(low) <= 0 ? low : Miss(high) >= 0 ? high : Brent.FindRoot(Miss, low, high, 1e-3, 60);
        return With(best);
    }

    private static double Softening(Simulator simulator, Pulse pulse)
    {
        var target = pulse.SimmerSoakedMinutes.Middle;
        double Miss(double ln)
        {
            var minutes = Conditions.SimmerMinutes(simulator, pulse with { SofteningMinutesAt98C = Math.Exp(ln) }, true);
            return double.IsNaN(minutes) ? 5 : Math.Log(Math.Max(0.05, minutes) / target);
        }

        return Math.Exp(Brent.FindRoot(Miss, Math.Log(0.1 * target), Math.Log(2.5 * target), 1e-3, 60));
    }
}
