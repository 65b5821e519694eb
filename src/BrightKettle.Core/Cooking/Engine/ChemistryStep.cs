using System.Runtime.CompilerServices;

namespace BrightKettle.Core.Cooking.Engine;

/// <summary>Salt between liquor and seeds, and what salt, acid, soda and sugar do to a seed's speed: over a minute or so at a
/// time.</summary>
internal static class ChemistryStep<T>
    where T : struct, ILanes<T>
{
    /// <summary>mmol of alkali in a gram of bicarbonate (1000 / 84.0).</summary>
    public const float MillimolesPerGramSoda = 11.9f;

    private const float NeutralPh = 6.4f;
    private const float LeastPh = 3.5f;

    /// <summary>Moves every lane on by the time that has passed since it was last asked for, and starts the next span.</summary>
    public static void Equilibrate(PotGroup g)
    {
        ref var elapsed = ref g.Row<T>(Layout.Elapsed);
        var seconds = T.Load(ref elapsed);
        T.All(0).Store(ref elapsed);
        for (var v = 0; v < g.Layout.Vessels; v++)
        {
            if (g.Inside(v).Length > 0)
            {
                Exchange(g, v, seconds);
                Factors(g, v, seconds);
            }
        }
    }

    /// <summary>What went in is felt at once, not only at the next minute.</summary>
    public static void Freshen(PotGroup g)
    {
        for (var v = 0; v < g.Layout.Vessels; v++)
        {
            Factors(g, v, T.All(0));
        }
    }

    private static void Exchange(PotGroup g, int vessel, T seconds)
    {
        ref var liquorSalt = ref g.WideRow<T>(Layout.VesselDouble(vessel) + Layout.Salt);
        ref var liquorBook = ref g.WideRow<T>(Layout.VesselDouble(vessel) + Layout.SaltBook);
        var liquor = T.Max(T.All(1), T.FromWide(ref g.WideRow<T>(Layout.VesselDouble(vessel) + Layout.Liquor)));
        foreach (var i in g.Inside(vessel))
        {
            var f = g.FloatAt[i];
            var d = g.WideAt[i];
            ref var own = ref g.WideRow<T>(d + Layout.SaltIn);
            var salt = T.Max(T.All(0), T.FromWide(ref liquorSalt));
            var inside = T.FromWide(ref own);
            var rate = T.Load(ref g.Row<T>(f + Layout.SaltRate)) * seconds;
            // Towards equal strength in the water of both; both ends move, so the flow is shared out by their sizes.
            var water = Water(g, d);
            var share = water / (water + liquor);
            var aim = (salt + inside) * share;
            var flow = (aim - inside) * RateLaws.Taken(T.Min(T.All(0.5f), rate));
            flow = T.Where(HeatStep<T>.Here(g, f, vessel), T.Max(T.All(0) - inside, T.Min(salt, flow)), T.All(0));
            flow.TakeFrom(ref liquorSalt);
            flow.TakeFrom(ref liquorBook);
            flow.AddTo(ref own);
            flow.AddTo(ref g.WideRow<T>(d + Layout.SaltInBook));
        }
    }

    /// <summary>How fast the pulses of a vessel soften and drink, from what is in its liquor and in themselves.</summary>
    private static void Factors(PotGroup g, int vessel, T seconds)
    {
        var liquor = T.FromWide(ref g.WideRow<T>(Layout.VesselDouble(vessel) + Layout.Liquor));
        var (pulses, water) = (T.All(0), liquor);
        var (acid, sugar, firming) = (T.All(0) - T.Load(ref g.Row<T>(Layout.VesselFloat(vessel) + Layout.Alkali)), T.All(0), T.All(1));
        foreach (var i in g.Inside(vessel))
        {
            var f = g.FloatAt[i];
            var here = HeatStep<T>.Here(g, f, vessel);
            var dry = T.Where(here, T.Load(ref g.Row<T>(f + Layout.Dry)), T.All(0));
            water += T.Where(here, Water(g, g.WideAt[i]), T.All(0));
            switch (g.Kind[i])
            {
                case IngredientKind.Pulse:
                    pulses += dry;
                    break;
                case IngredientKind.Extra:
                    acid += dry * T.Load(ref g.Row<T>(f + Layout.Solids));
                    var sweet = dry * T.Load(ref g.Row<T>(f + Layout.Cooked));
                    sugar += sweet;
                    firming = T.Where(T.Less(T.All(0), sweet), T.Max(firming, T.Load(ref g.Row<T>(f + Layout.Over))), firming);
                    break;
            }
        }

        if (T.Bits(T.Less(T.All(0), pulses)) == 0)
        {
            return;
        }

        var time = T.Same(sugar, T.All(0))
            ? T.All(1)
            : T.Where(T.Less(T.All(0), sugar), g.Step.Sugar.At(T.All(100) * sugar / (water + sugar)) * firming, T.All(1));
        var salt = T.FromWide(ref g.WideRow<T>(Layout.VesselDouble(vessel) + Layout.Salt));
        var percent = T.All(100) * salt / (T.Max(T.All(1), liquor) + salt);
        time *= g.Step.SaltSoaked.At(percent);
        var drinks = T.All(1) / g.Step.SaltUptake.At(percent);
        var perGram = acid / T.Max(T.All(1e-6f), pulses);
        foreach (var i in g.Inside(vessel))
        {
            if (g.Kind[i] != IngredientKind.Pulse)
            {
                continue;
            }

            var f = g.FloatAt[i];
            var here = HeatStep<T>.Here(g, f, vessel);
            ref var inside = ref g.Row<T>(f + Layout.Acid);
            var own = T.Load(ref inside);
            var sour = T.All(1);
            if (!T.Same(own, T.All(0)) || !T.Same(perGram, T.All(0)))
            {
                var moved = own + ((perGram - own) * (T.All(1) - T.Exp(seconds * T.All(-g.Step.PerAcidTime))));
                own = T.Where(here, moved, own);
                own.Store(ref inside);
                sour = Sour(g, own, pulses, water);
            }

            var speed = Chemistry.Speed(T.Load(ref g.Row<T>(f + Layout.LotFactor)) * time * sour);
            ref var soft = ref g.Row<T>(f + Layout.SoftFactor);
            T.Where(here, speed, T.Load(ref soft)).Store(ref soft);
            ref var wet = ref g.Row<T>(f + Layout.WetFactor);
            T.Where(here, drinks, T.Load(ref wet)).Store(ref wet);
        }
    }

    /// <summary>Time factor of acid or soda that has come into the seed.</summary>
    /// <param name="perGram">mmol of acid per g dry; negative for alkali.</param>
    [MethodImpl(MethodImplOptions.NoInlining)]
    private static T Sour(PotGroup g, T perGram, T pulses, T water)
    {
        var ph = T.Max(T.All(LeastPh), T.All(NeutralPh) - (T.Max(T.All(0), perGram) * T.All(g.Step.PerAcidBuffer)));
        var litres = T.Max(T.All(0.05f), water * T.All(0.001f));
        var soda = T.Max(T.All(0), T.All(0) - perGram) * pulses * T.All(1 / MillimolesPerGramSoda) / litres;
        return g.Step.Soda.At(soda) / g.Step.Acid.At(ph);
    }

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    private static T Water(PotGroup g, int d) =>
        T.FromWide(ref g.WideRow<T>(d + Layout.Wet)) + T.FromWide(ref g.WideRow<T>(d + Layout.Swollen));
}
