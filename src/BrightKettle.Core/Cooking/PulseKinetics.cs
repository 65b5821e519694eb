using BrightKettle.Core.Catalogue;

namespace BrightKettle.Core.Cooking;

/// <summary>One pulse's constants, ready for the step: seconds, grams per gram dry.</summary>
internal readonly struct PulseKinetics
{
    private readonly double _hydration20;
    private readonly double _energy;
    private readonly double _coat20;
    private readonly double _coatEnergy;
    private readonly double _softening98;
    private readonly double _gateStart;
    private readonly double _gateWidth;

    public PulseKinetics(Pulse pulse, double pace, ModelConstants c)
    {
        _hydration20 = pace * pulse.HydrationPerHourAt20C.Typical / 3600;
        _energy = RateLaws.EnergyBetween(pulse.HydrationPerHourAt20C.Typical, pulse.HydrationPerHourAt98C);
        _coat20 = pulse.LagHoursAt20C > 0 ? pace / (pulse.LagHoursAt20C * 3600) : 0;
        _coatEnergy = c.CoatEnergy;
        _softening98 = pace * Doneness.Tender / (pulse.SofteningMinutesAt98C * 60);
        _gateStart = c.GateStart;
        _gateWidth = c.GateFull - c.GateStart;
        ColdCeiling = pulse.ColdCeiling;
        Cooked = pulse.Absorbed.Typical;
        Overcooked = pulse.Absorbed.High;
        SolidsLoss = pulse.SolidsLoss;
        HasCoat = _coat20 > 0;
    }

    public double ColdCeiling { get; }

    public double Cooked { get; }

    public double Overcooked { get; }

    /// <summary>Share of the dry seed that cooking gives to the liquor.</summary>
    public double SolidsLoss { get; }

    public bool HasCoat { get; }

    /// <summary>The rates of hydration and of the coat's opening at this temperature, per second.</summary>
    public (double Hydration, double Coat) RatesAt(double celsius) => (
        _hydration20 * RateLaws.From20(celsius, _energy),
        HasCoat ? _coat20 * RateLaws.From20(celsius, _coatEnergy) : 0);

    /// <summary>Share of the missing hydration that is taken up in this time; also moves the coat. Exact while the temperature stands.</summary>
    public static double Hydrate((double Hydration, double Coat) rates, ref double coat, double seconds)
    {
        var open = seconds;
        if (coat < 0.9999)
        {
            var left = Math.Exp(-rates.Coat * seconds);
            // The integral of 1 - (1 - coat) e^(-rate t): how long the coat stood open, all told.
            open = seconds - ((1 - coat) * (1 - left) / rates.Coat);
            coat = 1 - ((1 - coat) * left);
        }

        return RateLaws.Taken(rates.Hydration * open);
    }

    /// <summary>Doneness gained per second when softening runs at <paramref name="softening"/> against 98 °C.</summary>
    /// <remarks>A dry seed does not soften: the gate opens almost in line with hydration, so that the states on the way rise smoothly.</remarks>
    public double Soften(double hydration, double softening)
    {
        var gate = Math.Clamp(((hydration / ColdCeiling) - _gateStart) / _gateWidth, 0, 1);
        return _softening98 * softening * gate;
    }

    /// <summary>Water that swelling starch holds at this doneness, g per g dry.</summary>
    public double SwellingAt(double doneness) => doneness <= Doneness.Tender
        ? (Cooked - ColdCeiling) * doneness / Doneness.Tender
        : Cooked - ColdCeiling + ((Overcooked - Cooked) * (1 - Math.Exp((Doneness.Tender - doneness) / 40)));
}
