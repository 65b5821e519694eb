using System.Runtime.CompilerServices;

namespace BrightKettle.Core.Cooking.Engine;

/// <summary>Water and doneness in one vessel over one step: who drinks how much of what is there, and what that does to them.</summary>
/// <remarks>Rates are floats; every flow is then added in doubles to the amounts and, apart from them, to the two accounts of the
/// book.</remarks>
internal static class WaterStep<T>
    where T : struct, ILanes<T>
{
    /// <summary>Below this much liquor per gram dry the bed is no longer wetted all over.</summary>
    private const float WettingShare = 0.08f;

    /// <summary>Liquor that keeps a swollen bed wet all over while it bubbles, mL per g dry: half of its voids (0.8 to 1.1).</summary>
    private const float VoidShare = 0.45f;

    /// <summary>Of the liquor, at most so much is drunk in a step.</summary>
    private const float MostDrunk = 0.9f;

    /// <summary>Solids in the liquor, g per g, at which bean liquor counts as full.</summary>
    public const float FullBroth = 0.04f;

    /// <summary>Seeds go on giving solids past tender, up to so many times what they have given by then.</summary>
    public const float MostGiven = 1.3f;

    /// <summary>How far the driving force of rice's uptake lies above the fluffy amount: the higher, the more even its pace
    /// (fitted to when the surface is dry).</summary>
    public const float Headroom = 2.0f;

    /// <summary>The same for rice that drinks on (parboiled or in its bran), over the most that it drinks: it takes its water early and
    /// softens after (fitted to the same).</summary>
    public const float EarlyHeadroom = 1.08f;

    /// <summary>Further swelling per doubling of tender, share of the fluffy amount: porridge holds about twice as much (confidence
    /// C).</summary>
    private const float PorridgeSwelling = 0.9f;

    /// <summary>Times its own cooking from which a grain in liquor bursts and swells further: its rest alone does not (confidence D).</summary>
    private const float SwellsFrom = 1.9f;

    /// <summary>Least share of its water that a tender grain needs: 0.15 g/g short of about 1.8 reads firm.</summary>
    private const float NeededShare = 0.92f;

    /// <summary>How much further a seed swells past tender: half of the rest per this much softening.</summary>
    private const float OverSwelling = 0.4f;

    /// <summary>A hold of "many hours": four (confidence D).</summary>
    private const float FirmingSeconds = 4 * 3600;

    public static void Distribute(PotGroup g, int vessel, T step, T boilWatts, T middle)
    {
        var v = Layout.VesselFloat(vessel);
        ref var liquorRow = ref g.WideRow<T>(Layout.VesselDouble(vessel) + Layout.Liquor);
        ref var liquorBook = ref g.WideRow<T>(Layout.VesselDouble(vessel) + Layout.LiquorBook);
        // A quiet simmer is a little cooler in the mean than a rolling boil; under the boil the pot is what it is.
        var quiet = T.All(1) - T.Min(T.All(1), boilWatts * T.All(1 / g.Step.Rolling));
        var celsius = T.Min(middle, T.Load(ref g.Row<T>(v + Layout.Ceiling)) - (T.Load(ref g.Row<T>(v + Layout.BelowBoil)) * quiet));
        if (!T.Same(celsius, T.Load(ref g.Row<T>(v + Layout.RatesAt))))
        {
            SetRates(g, v, vessel, celsius);
        }

        var liquor = T.Max(T.All(0), T.FromWide(ref liquorRow));
        // Only rice minds what is in the liquor.
        var broth = g.RiceInside(vessel) ? Broth(g, v, vessel, liquor) : T.All(0);
        var (wanted, dry) = Want(g, v, vessel, step, celsius, broth);
        var given = T.All(1);
        if (T.Bits(T.Less(liquor, T.Max((T.All(WettingShare) * dry) + T.All(1e-6f), wanted * T.All(1 / MostDrunk)))) != 0)
        {
            // In some lane there is too little for all that is wanted.
            var wet = T.Min(T.All(1), liquor / ((T.All(WettingShare) * dry) + T.All(1e-6f)));
            given = T.Min(wet, T.All(MostDrunk) * liquor / T.Max(T.All(1e-6f), wanted));
        }

        // Above its liquor a bed stands in steam.
        var covered = T.Min(T.All(1), liquor / ((T.All(VoidShare) * dry) + T.All(1e-6f)));
        (T.All(g.Step.SteamShare) + (T.All(1 - g.Step.SteamShare) * covered)).Store(ref g.Row<T>(v + Layout.Bathed));

        Feed(g, v, vessel, step, given, broth, ref liquorRow, ref liquorBook);

        Boil(g, v, step, boilWatts, dry, ref liquorRow, ref liquorBook);
    }

    /// <summary>Steam leaves; a heat under a bare base is noted.</summary>
    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    private static void Boil(PotGroup g, int v, T step, T boilWatts, T dry, ref double liquorRow, ref double liquorBook)
    {
        var liquor = T.Max(T.All(0), T.FromWide(ref liquorRow));
        var steam = T.Min(
            liquor * T.All(0.999999f),
            (T.Load(ref g.Row<T>(v + Layout.Surface)) + (boilWatts * T.All(1 / HeatStep<T>.Latent))) * step
        );
        steam.TakeFrom(ref liquorRow);
        steam.TakeFrom(ref liquorBook);
        steam.AddTo(ref g.WideRow<T>(Layout.Steam));
        (T.Load(ref g.Row<T>(v + Layout.Vented)) + steam).Store(ref g.Row<T>(v + Layout.Vented));
        // A flame that only makes up for what the pot loses keeps a dry bed hot and burns nothing.
        var power = T.Load(ref g.Row<T>(v + Layout.Net));
        var bare = T.Where(T.Less(liquor, dry * T.All(0.01f)) & T.Less(T.All(1), power), step, T.All(0));
        (T.Load(ref g.Row<T>(v + Layout.DrySeconds)) + bare).Store(ref g.Row<T>(v + Layout.DrySeconds));
        (T.Load(ref g.Row<T>(v + Layout.DryEnergy)) + (bare * power)).Store(ref g.Row<T>(v + Layout.DryEnergy));
    }

    /// <summary>What condenses on a bowl above runs into it: out of the liquor below, by way of steam.</summary>
    public static void Condense(PotGroup g, int bowl, T step)
    {
        var watts = T.Max(T.All(0), T.Load(ref g.Row<T>(Layout.VesselFloat(bowl) + Layout.FromBelow)));
        ref var below = ref g.WideRow<T>(Layout.VesselDouble(0) + Layout.Liquor);
        var flow = T.Min(
            T.Max(T.All(0), T.FromWide(ref below)) * T.All(0.5f),
            watts * step * T.All(g.Step.Condensate / HeatStep<T>.Latent)
        );
        flow.TakeFrom(ref below);
        flow.TakeFrom(ref g.WideRow<T>(Layout.VesselDouble(0) + Layout.LiquorBook));
        flow.AddTo(ref g.WideRow<T>(Layout.VesselDouble(bowl) + Layout.Liquor));
        flow.AddTo(ref g.WideRow<T>(Layout.VesselDouble(bowl) + Layout.LiquorBook));
    }

    /// <summary>Rates at this temperature; asked for only when it has moved.</summary>
    [MethodImpl(MethodImplOptions.NoInlining)]
    private static void SetRates(PotGroup g, int v, int vessel, T celsius)
    {
        celsius.Store(ref g.Row<T>(v + Layout.RatesAt));
        if (g.RiceInside(vessel))
        {
            RateLaws.Rice(celsius, g.Step).Store(ref g.Row<T>(v + Layout.RiceRate));
        }

        RateLaws.Softening(celsius, g.Step).Store(ref g.Row<T>(v + Layout.Softening));
        foreach (var i in g.Inside(vessel))
        {
            if (g.Kind[i] != IngredientKind.Pulse)
            {
                continue;
            }

            var f = g.FloatAt[i];
            var here = HeatStep<T>.Here(g, f, vessel);
            var now =
                T.Load(ref g.Row<T>(f + Layout.Rate98)) * RateLaws.Hydration(celsius, T.Load(ref g.Row<T>(f + Layout.EnergyK)), g.Step);
            T.Where(here, now, T.Load(ref g.Row<T>(f + Layout.HydrationNow))).Store(ref g.Row<T>(f + Layout.HydrationNow));
            if (T.Same(T.Load(ref g.Row<T>(f + Layout.Coat)), T.All(1)))
            {
                continue;
            }

            var coat = T.Load(ref g.Row<T>(f + Layout.CoatRate)) * RateLaws.Coat(celsius, g.Step);
            T.Where(here, coat, T.Load(ref g.Row<T>(f + Layout.CoatNow))).Store(ref g.Row<T>(f + Layout.CoatNow));
        }
    }

    /// <summary>0 in water, 1 where the pulses have given off as many solids as bean liquor usually holds.</summary>
    [MethodImpl(MethodImplOptions.NoInlining)]
    private static T Broth(PotGroup g, int v, int vessel, T liquor)
    {
        var solids = T.Load(ref g.Row<T>(v + Layout.Thick)) + T.Load(ref g.Row<T>(v + Layout.Carried));
        foreach (var i in g.Inside(vessel))
        {
            if (g.Kind[i] != IngredientKind.Pulse)
            {
                continue;
            }

            var f = g.FloatAt[i];
            var given =
                T.Load(ref g.Row<T>(f + Layout.Dry))
                * T.Load(ref g.Row<T>(f + Layout.Solids))
                * T.Min(T.All(MostGiven), T.Load(ref g.Row<T>(f + Layout.Soft)));
            solids += T.Where(HeatStep<T>.Here(g, f, vessel), given, T.All(0));
        }

        return T.Min(T.All(1), T.Max(T.All(0), solids) / (liquor + T.All(1)) * T.All(1 / FullBroth));
    }

    /// <summary>How much water the bed would take in this time if it were wet all over, g, and its dry mass.</summary>
    [MethodImpl(MethodImplOptions.NoInlining)]
    private static (T Wanted, T Dry) Want(PotGroup g, int v, int vessel, T step, T celsius, T broth)
    {
        var wanted = T.All(0);
        var bed = T.All(0);
        var between = T.Less(T.All(50), celsius) & T.Less(celsius, T.All(70));
        var firms = T.Bits(between) != 0;
        foreach (var i in g.Inside(vessel))
        {
            var f = g.FloatAt[i];
            var d = g.WideAt[i];
            var here = HeatStep<T>.Here(g, f, vessel);
            var dry = T.Load(ref g.Row<T>(f + Layout.Dry));
            var perDry = T.Load(ref g.Row<T>(f + Layout.PerDry));
            var wet = T.FromWide(ref g.WideRow<T>(d + Layout.Wet)) * perDry;
            T drink;
            var swell = T.All(0);
            switch (g.Kind[i])
            {
                case IngredientKind.Pulse:
                    drink = Drink(g, f, wet, step, here);
                    if (firms)
                    {
                        Firm(g, f, step, between & here);
                    }

                    swell = Swelling(g, f, T.FromWide(ref g.WideRow<T>(d + Layout.Swollen)) * perDry, step);
                    break;
                case IngredientKind.Rice:
                    drink = RiceDrinks(g, v, f, wet, step, broth);
                    break;
                default:
                    drink =
                        (T.Load(ref g.Row<T>(f + Layout.Ceil)) - wet)
                        * RateLaws.Taken(
                            T.Load(ref g.Row<T>(f + Layout.Rate98))
                                * T.Max(T.All(0), T.Min(T.All(1), (celsius - T.All(50)) * T.All(0.05f)))
                                * step
                        );
                    break;
            }

            drink = T.Where(here, drink * dry, T.All(0));
            swell = T.Where(here, swell * dry, T.All(0));
            drink.Store(ref g.Row<T>(f + Layout.Drink));
            swell.Store(ref g.Row<T>(f + Layout.Swell));
            wanted += T.Max(T.All(0), drink) + swell;
            if (g.Kind[i] != IngredientKind.Extra)
            {
                bed += T.Where(here, dry, T.All(0));
            }
        }

        return (wanted, bed);
    }

    /// <summary>First-order uptake behind a coat that opens; g per g dry.</summary>
    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    private static T Drink(PotGroup g, int f, T wet, T step, T here)
    {
        var coat = T.Load(ref g.Row<T>(f + Layout.Coat));
        var open = step;
        if (!T.Same(coat, T.All(1)))
        {
            // In hot water a coat opens within seconds: over such a step its mean is worked out exactly, over others by its middle.
            var pace = T.Load(ref g.Row<T>(f + Layout.CoatNow));
            var passed = pace * step;
            var gradual = T.Less(passed, T.All(0.5f));
            var opening = T.Where(gradual, RateLaws.Taken(passed), T.All(1) - T.Exp(T.All(0) - passed));
            var shut = T.All(1) - coat;
            var next = coat + (shut * opening);
            next = T.Where(T.Less(T.All(0.9999f), next), T.All(1), next);
            open = T.Where(gradual, step * (coat + next) * T.All(0.5f), step - (shut * opening / T.Max(T.All(1e-6f), pace)));
            T.Where(here, next, coat).Store(ref g.Row<T>(f + Layout.Coat));
        }

        var rate = T.Load(ref g.Row<T>(f + Layout.HydrationNow)) * T.Load(ref g.Row<T>(f + Layout.WetFactor));
        return T.Max(T.All(0), T.Load(ref g.Row<T>(f + Layout.Ceil)) - wet) * RateLaws.Taken(rate * open);
    }

    /// <summary>Notes how long a seed has stood at 50 to 70 °C, which firms it for good.</summary>
    [MethodImpl(MethodImplOptions.NoInlining)]
    private static void Firm(PotGroup g, int f, T step, T between)
    {
        (T.Load(ref g.Row<T>(f + Layout.Warm)) + T.Where(between, step, T.All(0))).Store(ref g.Row<T>(f + Layout.Warm));
    }

    /// <summary>Swelling follows softening with a minute's delay, so that a wetted bed does not gulp; g per g dry.</summary>
    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    private static T Swelling(PotGroup g, int f, T swollen, T step)
    {
        var soft = T.Load(ref g.Row<T>(f + Layout.Soft));
        var over = T.Max(T.All(0), soft - T.All(1));
        var target =
            (T.Load(ref g.Row<T>(f + Layout.Cooked)) * T.Min(T.All(1), soft))
            + (T.Load(ref g.Row<T>(f + Layout.Over)) * over / (over + T.All(OverSwelling)));
        return T.Max(T.All(0), target - swollen) * T.Min(T.All(1), step * T.All(1f / 60));
    }

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    private static T Slowed(PotGroup g, T broth) => T.All(1) / (T.All(1) + (T.All(g.Step.RiceSlowing) * broth));

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    private static T RiceWants(PotGroup g, int f, T broth) =>
        T.Load(ref g.Row<T>(f + Layout.Ceil)) * (T.All(1) + (T.All(g.Step.RiceThirst) * broth));

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    private static T RiceDrinks(PotGroup g, int v, int f, T wet, T step, T broth)
    {
        // Past tender the grain goes on swelling, to a porridge in the end; by how far it is in the middle of the step.
        var ahead = step * T.All(0.5f) * RiceSoftens(g, v, f, broth);
        var over = T.Max(T.All(0), T.Load(ref g.Row<T>(f + Layout.Soft)) + ahead - T.All(SwellsFrom));
        var wants = RiceWants(g, f, broth);
        // What is usual in this liquor, against water: what it holds is judged by it.
        (T.All(1) + (T.All(g.Step.RiceThirst) * broth)).Store(ref g.Row<T>(f + Layout.WetFactor));
        var most = wants + T.Load(ref g.Row<T>(f + Layout.Cooked)) + (wants * T.All(PorridgeSwelling) * over);
        var rate = T.Load(ref g.Row<T>(f + Layout.Rate98)) * T.Load(ref g.Row<T>(v + Layout.RiceRate)) * Slowed(g, broth);
        // At an even pace until it holds what it usually does, then no further.
        var drawn =
            ((wants * T.Load(ref g.Row<T>(f + Layout.Headroom))) + (wants * T.All(PorridgeSwelling) * over) - wet)
            * RateLaws.Taken(rate * step);
        return T.Max(T.All(0), T.Min(drawn, most - wet));
    }

    [MethodImpl(MethodImplOptions.NoInlining)]
    private static void Feed(PotGroup g, int v, int vessel, T step, T given, T broth, ref double liquorRow, ref double liquorBook)
    {
        foreach (var i in g.Inside(vessel))
        {
            var f = g.FloatAt[i];
            var d = g.WideAt[i];
            var drink = T.Load(ref g.Row<T>(f + Layout.Drink));
            var swell = T.Load(ref g.Row<T>(f + Layout.Swell)) * given;
            // Juice leaves whether or not the bed is wet; drinking needs liquor.
            drink = T.Where(T.Less(drink, T.All(0)), drink, drink * given);
            ref var wetRow = ref g.WideRow<T>(d + Layout.Wet);
            var perDry = T.Load(ref g.Row<T>(f + Layout.PerDry));
            // Softening goes by the wetness of the middle of the step, so that halving it changes next to nothing.
            var halfway = (T.FromWide(ref wetRow) + (drink * T.All(0.5f))) * perDry;
            var flow = drink + swell;
            drink.AddTo(ref wetRow);
            swell.AddTo(ref g.WideRow<T>(d + Layout.Swollen));
            flow.TakeFrom(ref liquorRow);
            flow.TakeFrom(ref liquorBook);
            flow.AddTo(ref g.WideRow<T>(d + Layout.Book));
            var kind = g.Kind[i];
            if (kind == IngredientKind.Extra)
            {
                continue;
            }

            if (kind == IngredientKind.Pulse)
            {
                Soften(g, v, f, vessel, halfway, step);
                continue;
            }

            var soft = T.Load(ref g.Row<T>(f + Layout.Soft));
            var gain = RiceCooks(g, v, f, halfway, soft, broth);
            T.Where(HeatStep<T>.Here(g, f, vessel), soft + (gain * step), soft).Store(ref g.Row<T>(f + Layout.Soft));
        }
    }

    /// <summary>A dry seed does not soften: the gate opens with hydration, smoothly, so that the states on the way rise smoothly.
    /// Beside it runs the time that it has been cooked, by which a tender seed is told from an overdone one.</summary>
    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    private static void Soften(PotGroup g, int v, int f, int vessel, T wet, T step)
    {
        var hydrated = T.Max(T.All(0), T.Min(T.All(1), wet / T.Load(ref g.Row<T>(f + Layout.Ceil))));
        var gate = hydrated;
        for (var n = 1; n < g.Step.GatePower; n++)
        {
            gate *= hydrated;
        }

        var pace =
            T.Load(ref g.Row<T>(f + Layout.Soft98))
            * T.Load(ref g.Row<T>(v + Layout.Softening))
            * T.Load(ref g.Row<T>(f + Layout.SoftFactor))
            * T.Load(ref g.Row<T>(v + Layout.Bathed));
        var warm = T.Load(ref g.Row<T>(f + Layout.Warm));
        if (!T.Same(warm, T.All(0)))
        {
            pace /= T.All(1) + (T.All(g.Step.Firming) * T.Min(T.All(1.5f), warm * T.All(1 / FirmingSeconds)));
        }

        pace = T.Where(HeatStep<T>.Here(g, f, vessel), pace * step, T.All(0));
        var before = T.Load(ref g.Row<T>(f + Layout.Ran));
        var ran = before + pace;
        ran.Store(ref g.Row<T>(f + Layout.Ran));
        var old = T.Load(ref g.Row<T>(f + Layout.Soft));
        var soft = old + (pace * gate);
        soft.Store(ref g.Row<T>(f + Layout.Soft));
        var tender = T.Load(ref g.Row<T>(f + Layout.RanTender));
        // Most of a cook nothing is near it.
        var arrives = T.Less(T.All(0.9f), soft) & T.Less(tender, T.All(1e-9f));
        if (T.Bits(arrives) == 0)
        {
            return;
        }

        var share = Doneness(g.Step, T.Min(T.All(1), hydrated), soft);
        var had = Doneness(g.Step, T.Min(T.All(1), hydrated), old);
        // Within the step, where the two met.
        var part = T.Max(T.All(0), T.Min(T.All(1), (T.All(1) - had) / T.Max(T.All(1e-9f), share - had)));
        T.Where(arrives & T.Less(T.All(1 - 1e-6f), share), before + (pace * part), tender).Store(ref g.Row<T>(f + Layout.RanTender));
    }

    /// <summary>How far along a seed is, 1 at tender: being wet through counts a little, softening the rest, its first half a little more
    /// than its second. A state: whatever the past.</summary>
    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static T Doneness(StepConstants c, T hydrated, T soft)
    {
        // Over 1 it goes on in a straight line.
        var within = T.Min(T.All(1), soft);
        var felt = soft + (T.All(c.Bulge) * within * (T.All(1) - within));
        return (T.All(c.HydrationShare) * hydrated) + (T.All(1 - c.HydrationShare) * felt);
    }

    /// <summary>Stalls when the grain lacks the water for it; past tender it is how long it has stood at this heat.</summary>
    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    private static T RiceCooks(PotGroup g, int v, int f, T wet, T soft, T broth)
    {
        var supported = wet / (T.All(NeededShare) * RiceWants(g, f, broth));
        var free = T.Max(T.All(0), T.Min(T.All(1), (supported - soft) * T.All(10)));
        free = T.Where(T.Less(T.All(1), soft), T.All(1), free);
        return RiceSoftens(g, v, f, broth) * free;
    }

    /// <summary>Of its own time, per second, with all the water that it needs.</summary>
    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    private static T RiceSoftens(PotGroup g, int v, int f, T broth) =>
        T.Load(ref g.Row<T>(f + Layout.Soft98))
        * T.Load(ref g.Row<T>(v + Layout.RiceRate))
        * T.Load(ref g.Row<T>(f + Layout.SoftFactor))
        * Slowed(g, broth);
}
