using BrightKettle.Core.Catalogue;

namespace BrightKettle.Core.Cooking;

/// <summary>One rice's constants, ready for the step.</summary>
internal readonly struct RiceKinetics
{
    /// <summary>Part of the rest that counts as cooking: the closed pot cools while it rests (about 0.8 at 95 °C).</summary>
    private const double RestShare = 0.8;

    /// <summary>How far the driving force of uptake lies above the fluffy amount, so that it gets there in time.</summary>
    private const double Headroom = 1.06;

    /// <summary>Further swelling per doubling of tender, share of the fluffy amount: porridge holds about twice as much (confidence C).</summary>
    private const double PorridgeSwelling = 0.9;

    /// <summary>Least share of its water that a tender grain needs: 0.15 g/g short of about 1.8 reads firm.</summary>
    private const double NeededShare = 0.92;

    /// <summary>Soaking gives up to this much, g/g, with a time constant of ten minutes (confidence C).</summary>
    private const double SoakCeiling = 0.32;
    private const double SoakSeconds = 600;

    private readonly double _done98;
    private readonly double _uptake98;
    private readonly double _thirst;
    private readonly double _fluffy;
    private readonly double _slowing;
    private readonly double _extraThirst;

    public RiceKinetics(Rice rice, double rate, double thirst, ModelConstants c)
    {
        var seconds = 60 * (rice.SimmerMinutes.Typical + (RestShare * rice.RestMinutes.Typical));
        _done98 = rate * Doneness.Tender / seconds;
        _uptake98 = rate * Math.Log(Headroom / (Headroom - 1)) / seconds;
        _thirst = thirst;
        _fluffy = rice.Absorbed.Typical;
        _slowing = c.RiceSlowing;
        _extraThirst = c.RiceThirst;
    }

    /// <summary>Water it wants in this liquor, g per g dry.</summary>
    /// <param name="brothShare">0 in water, 1 in full bean liquor.</param>
    public double Wants(double brothShare) => _fluffy * _thirst * (1 + (_extraThirst * brothShare));

    /// <summary>Uptake in this time, g per g dry, when the grain stands in liquor.</summary>
    public double Drink(in SeedState state, double rate, double brothShare, double seconds)
    {
        // Past tender the grain goes on swelling, to a porridge in the end.
        var over = Math.Max(0, state.Doneness - Doneness.Tender) / Doneness.Tender;
        var ceiling = Wants(brothShare) * (Headroom + (PorridgeSwelling * over));
        return Math.Max(0, ceiling - state.Hydration) * RateLaws.Taken(_uptake98 * rate * Slowed(brothShare) * seconds);
    }

    /// <summary>Uptake in a bowl of cold water, g per g dry.</summary>
    public static double Soak(in SeedState state, double seconds) =>
        Math.Max(0, SoakCeiling - state.Hydration) * RateLaws.Taken(seconds / SoakSeconds);

    /// <summary>Doneness gained in this time: stalls when the grain lacks the water for it.</summary>
    public double Cook(in SeedState state, double rate, double brothShare, double seconds)
    {
        var supported = Doneness.Tender * state.Hydration / (NeededShare * Wants(brothShare));
        var free = Math.Clamp((supported - state.Doneness) / 10, 0, 1);
        return _done98 * rate * Slowed(brothShare) * free * seconds;
    }

    private double Slowed(double brothShare) => 1 / (1 + (_slowing * brothShare));
}
