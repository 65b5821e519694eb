using BrightKettle.Core.Catalogue;

namespace BrightKettle.Core.Cooking.Engine;

/// <summary>What salt, acid, soda, sugar, hard water and age do to a seed's speed. One lane at a time, about once a minute.</summary>
/// <remarks>Curves stand in curves.json with their spread. A time factor over six means that it never softens.</remarks>
internal static class Chemistry
{
    /// <summary>Factor on the cooking time beyond which a seed never gets there in a household's time.</summary>
    public const double Never = 6;

    /// <summary>No helper makes it faster than this.</summary>
    private const double Least = 0.35;

    /// <summary>mmol of alkali in a gram of bicarbonate (1000 / 84.0).</summary>
    private const double MillimolesPerGramSoda = 11.9;

    private const double NeutralPh = 6.4;
    private const double LeastPh = 3.5;

    /// <summary>Updates every lane and starts the next span.</summary>
    public static void Settle(PotGroup g)
    {
        for (var lane = 0; lane < g.Width; lane++)
        {
            var seconds = g.At(Layout.Elapsed, lane);
            g.At(Layout.Elapsed, lane) = 0;
            if (seconds > 0)
            {
                Settle(g, lane, seconds);
            }
        }
    }

    /// <summary>Updates one lane after this many seconds; zero after something went in.</summary>
    public static void Settle(PotGroup g, int lane, double seconds)
    {
        for (var v = 0; v < g.Layout.Vessels; v++)
        {
            Vessel(g, v, lane, seconds);
        }
    }

    /// <summary>Speed against the reference from what never changes in the pot: 1 over the lot's time factor.</summary>
    public static float Speed(double timeFactor) => timeFactor >= Never ? 0 : (float)(1 / Math.Clamp(timeFactor, Least, Never));

    /// <summary>Time factor of how a bag was kept.</summary>
    public static double Age(Lot lot, ModelConstants c) => c.Curve(lot.Storage switch
    {
        Storage.Cool => "age_cool",
        Storage.Cupboard => "age_cupboard",
        Storage.Warm => "age_warm",
        _ => "age_hot",
    }).Typical(lot.Years);

    private static void Vessel(PotGroup g, int v, int lane, double seconds)
    {
        var c = g.Constants;
        var (acid, sugar, sugarTime) = (0.0, 0.0, 1.0);
        var (pulses, water) = (0.0, g.VesselWide(v, Layout.Liquor, lane));
        var firming = 1.0;
        for (var i = 0; i < g.Layout.Ingredients; i++)
        {
            if ((int)g.Of(i, Layout.Place, lane) != v)
            {
                continue;
            }

            var dry = g.Of(i, Layout.Dry, lane);
            water += g.OfWide(i, Layout.Wet, lane) + g.OfWide(i, Layout.Swollen, lane);
            if (g.Layout.KindOf(i) == Matter.Pulse)
            {
                pulses += dry;
            }
            else if (g.Layout.KindOf(i) == Matter.Extra)
            {
                acid += dry * g.Of(i, Layout.Solids, lane);
                var sweet = dry * g.Of(i, Layout.Cooked, lane);
                sugar += sweet;
                firming = sweet > 0 ? Math.Max(firming, g.Of(i, Layout.Over, lane)) : firming;
            }
        }

        if (pulses <= 0)
        {
            return;
        }

        sugarTime = sugar > 0 ? c.Curve("sugar").Typical(100 * sugar / (water + sugar)) * firming : 1;
        var liquor = Math.Max(1, g.VesselWide(v, Layout.Liquor, lane));
        var saltPercent = 100 * g.VesselWide(v, Layout.Salt, lane) / (liquor + g.VesselWide(v, Layout.Salt, lane));
        var salt = saltPercent > 0 ? c.Curve("salt_soaked").Typical(saltPercent) : 1;
        var uptake = saltPercent > 0 ? c.Curve("salt_uptake").Typical(saltPercent) : 1;
        for (var i = 0; i < g.Layout.Ingredients; i++)
        {
            if (g.Layout.KindOf(i) != Matter.Pulse || (int)g.Of(i, Layout.Place, lane) != v)
            {
                continue;
            }

            ref var inside = ref g.Of(i, Layout.Acid, lane);
            inside += (float)(((acid / pulses) - inside) * RateLaws.Taken(seconds / c.AcidTime));
            var time = g.Of(i, Layout.LotFactor, lane) * salt * sugarTime * Sour(inside, pulses, water, c);
            g.Of(i, Layout.SoftFactor, lane) = Speed(time);
            g.Of(i, Layout.WetFactor, lane) = (float)(1 / uptake);
        }
    }

    /// <summary>Time factor of acid or soda that has come into the seed.</summary>
    /// <param name="perGram">mmol of acid per g dry; negative for alkali.</param>
    private static double Sour(double perGram, double pulses, double water, ModelConstants c) => perGram switch
    {
        0 => 1,
        > 0 => 1 / c.Curve("acid").Typical(Math.Max(LeastPh, NeutralPh - (perGram / c.AcidBuffer))),
        _ => c.Curve("soda").Typical(-perGram * pulses / MillimolesPerGramSoda / Math.Max(0.05, water / 1000)),
    };
}
