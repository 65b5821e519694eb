using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Kitchen;

namespace BrightKettle.Core.Cooking.Engine;

/// <summary>Puts one pot into a lane: its vessels cold and empty, its ingredients on the shelf.</summary>
internal static class PotSetup
{
    /// <summary>Rice is a little short of done when its flame goes off, and is finished by the rest: of its time, so many times the
    /// printed simmer.</summary>
    private const double StillToRest = 1.06;

    /// <summary>Part of the rest that counts as cooking for rice that does nothing but stand, at about 90 °C and falling.</summary>
    private const double StandingShare = 0.35;

    /// <summary>So much further than its usual any grain drinks where there is liquor, g/g: 0.2 more reads as wet (textures, 1).</summary>
    private const double LeastFurther = 0.15;

    public const float OnShelf = -1;

    public static void Load(PotGroup g, int lane, Script script, PotTraits traits, float grid)
    {
        var room = (float)script.Cook.Kitchen.Room.Celsius;
        g.At(Layout.Grid, lane) = grid;
        g.At(Layout.ToGrid, lane) = grid;
        g.Wide(Layout.Due, lane) = 0;
        for (var v = 0; v < g.Layout.Vessels; v++)
        {
            var place = script.Vessels[v];
            g.Vessel(v, Layout.Celsius, lane) = place.Starts is { } hot ? (float)Math.Min(hot.Celsius, script.Boils) : room;
            g.Vessel(v, Layout.Room, lane) = room;
            g.Vessel(v, Layout.Shell, lane) = place.Above ? 200 : (float)place.Vessel.HeatCapacity;
            g.Vessel(v, Layout.RatesAt, lane) = float.NaN;
            g.Vessel(v, Layout.VapourAt, lane) = float.NaN;
        }

        for (var i = 0; i < script.Ingredients.Length; i++)
        {
            var ingredient = script.Ingredients[i];
            g.Of(i, Layout.Place, lane) = OnShelf;
            g.Of(i, Layout.Dry, lane) = (float)ingredient.Dry.Grams;
            g.Of(i, Layout.PerDry, lane) = (float)(1 / ingredient.Dry.Grams);
            g.Of(i, Layout.SoftFactor, lane) = 1;
            g.Of(i, Layout.WetFactor, lane) = 1;
            g.Of(i, Layout.LotFactor, lane) = 1;
            switch (ingredient)
            {
                case PulseIngredient p:
                    Pulse(g, i, lane, p, traits.Pace[i], script);
                    break;
                case RiceIngredient r:
                    Rice(g, i, lane, r, traits.Pace[i], traits.RiceThirst);
                    break;
                case ExtraIngredient x:
                    Extra(g, i, lane, x);
                    break;
            }
        }
    }

    private static void Pulse(PotGroup g, int i, int lane, PulseIngredient p, double pace, Script script)
    {
        var c = g.Constants;
        var pulse = p.Pulse;
        g.Of(i, Layout.Rate98, lane) = (float)(pace * pulse.HydrationPerHourAt98C / 3600);
        g.Of(i, Layout.EnergyK, lane) = script.EnergyK[i];
        g.Of(i, Layout.CoatRate, lane) = pulse.LagHoursAt20C > 0 ? (float)(pace / (pulse.LagHoursAt20C * 3600)) : 0;
        g.Of(i, Layout.Coat, lane) = pulse.LagHoursAt20C > 0 ? 0 : 1;
        g.Of(i, Layout.Ceil, lane) = (float)pulse.ColdCeiling;
        g.Of(i, Layout.Cooked, lane) = (float)(pulse.Absorbed.Typical - pulse.ColdCeiling);
        g.Of(i, Layout.Over, lane) = (float)(pulse.Absorbed.High - pulse.Absorbed.Typical);
        g.Of(i, Layout.Soft98, lane) = (float)(pace / (pulse.SofteningMinutesAt98C * 60));
        g.Of(i, Layout.Solids, lane) = (float)pulse.SolidsLoss;
        g.Of(i, Layout.SaltRate, lane) = (float)(1 / (pulse.Kind == PulseKind.Split ? c.SaltTimeSplit : c.SaltTimeBean));
        g.Of(i, Layout.Capacity, lane) = (float)(p.Dry.Grams * c.SpecificHeatDry);
        g.Of(i, Layout.LotFactor, lane) = script.LotFactor[i];
        Chemistry.Speed(OneLane.Load(ref g.Of(i, Layout.LotFactor, lane))).Store(ref g.Of(i, Layout.SoftFactor, lane));
        if (p.Green)
        {
            Green(g, i, lane, p, pace);
        }
        else if (p.Start is { } start)
        {
            g.Of(i, Layout.Soft98, lane) *= start.FromTin ? (float)c.TinnedSpeed : 1;
            var soft = SoftOf(g, start);
            Begins(g, i, lane, soft, pulse.ColdCeiling * start.WetShare, (pulse.Absorbed.Typical - pulse.ColdCeiling) * Math.Min(1, soft));
        }

        Salted(g, i, lane, p.CookedSaltShare * p.Dry.Grams * (1 + pulse.Absorbed.Typical));
    }

    /// <summary>Never dried: it holds nearly all its water, and is tender in minutes.</summary>
    private static void Green(PotGroup g, int i, int lane, PulseIngredient p, double pace)
    {
        var green = p.Pulse.Green ?? throw new ArgumentException($"{p.Pulse.Id} is not sold green.", nameof(p));
        var holds = (1 / green.DryShare) - 1;
        g.Of(i, Layout.Ceil, lane) = (float)holds;
        g.Of(i, Layout.Cooked, lane) = (float)(green.Uptake / green.DryShare);
        g.Of(i, Layout.Over, lane) = (float)(green.Uptake / green.DryShare);
        g.Of(i, Layout.Soft98, lane) = (float)(pace / (green.Minutes.Middle * 60));
        Begins(g, i, lane, p.Start is { } start ? SoftOf(g, start) : 0, holds, 0);
    }

    /// <summary>Softness behind a doneness that is felt, in wet seed: the other way round than <see cref="WaterStep{T}.Doneness"/>.</summary>
    private static double SoftOf(PotGroup g, SeedStart start)
    {
        if (start.Doneness >= Doneness.Tender)
        {
            return start.Doneness / Doneness.Tender;
        }

        double share = g.Step.HydrationShare;
        double bulge = g.Step.Bulge;
        var felt = Math.Max(0, ((start.Doneness / Doneness.Tender) - (share * start.WetShare)) / (1 - share));
        var b = 1 + bulge;
        return Math.Min(1, bulge < 1e-6 ? felt : (b - Math.Sqrt((b * b) - (4 * bulge * felt))) / (2 * bulge));
    }

    private static void Begins(PotGroup g, int i, int lane, double soft, double wet, double swollen)
    {
        double dry = g.Of(i, Layout.Dry, lane);
        g.Of(i, Layout.Coat, lane) = 1;
        g.Of(i, Layout.Soft, lane) = (float)soft;
        g.Of(i, Layout.Ran, lane) = (float)soft;
        g.Of(i, Layout.RanTender, lane) = soft >= 1 ? 1 : 0;
        g.OfWide(i, Layout.Wet, lane) = dry * wet;
        g.OfWide(i, Layout.Swollen, lane) = dry * swollen;
        g.OfWide(i, Layout.Book, lane) = dry * (wet + swollen);
        g.Wide(Layout.Shelf, lane) -= dry * (wet + swollen);
    }

    private static void Salted(PotGroup g, int i, int lane, double salt)
    {
        g.OfWide(i, Layout.SaltIn, lane) = salt;
        g.OfWide(i, Layout.SaltInBook, lane) = salt;
        g.Wide(Layout.SaltAdded, lane) -= salt;
    }

    private static void Rice(PotGroup g, int i, int lane, RiceIngredient r, double rate, double thirst)
    {
        var rice = r.Rice;
        var seconds =
            60 * (rice.SimmerMinutes.Typical + (rice.Method == "cover" ? StandingShare * rice.RestMinutes.Typical : 0)) * StillToRest;
        rate *= r.Toasted ? 1 - g.Constants.RiceToasted : 1;
        g.Of(i, Layout.Soft98, lane) = (float)(rate / seconds);
        var headroom = rice.DrinksOn ? WaterStep<OneLane>.EarlyHeadroom : WaterStep<OneLane>.Headroom;
        var most = rice.DrinksOn ? rice.Absorbed.High / rice.Absorbed.Typical : 1;
        // Minutes of a rice that is always soaked count from what the soak has given it.
        var soaked = rice.SoakMinutes.Low > 0 && rice.Method == "absorb" ? Bowls.RiceCeiling / rice.Absorbed.Typical : 0;
        g.Of(i, Layout.Rate98, lane) = (float)(rate * Math.Log((headroom - soaked) / (headroom - 1)) / seconds);
        g.Of(i, Layout.Headroom, lane) = (float)(headroom * most);
        g.Of(i, Layout.Ceil, lane) = (float)(rice.Absorbed.Typical * thirst);
        g.Of(i, Layout.Cooked, lane) = (float)(Math.Max(LeastFurther, rice.Absorbed.High - rice.Absorbed.Typical) * thirst);
        g.Of(i, Layout.Over, lane) = (float)(rice.Method == "steam" ? Bowls.SteamedShare * rice.Absorbed.Typical : Bowls.RiceCeiling);
        g.Of(i, Layout.SaltRate, lane) = (float)(1 / g.Constants.SaltTimeSplit);
        g.Of(i, Layout.Capacity, lane) = (float)(r.Dry.Grams * g.Constants.SpecificHeatDry);
        if (r.Start is { } start)
        {
            var soft = start.Doneness / Doneness.Tender;
            var wet = rice.Absorbed.Typical * Math.Min(1, soft) * start.WetShare;
            g.Of(i, Layout.Soft, lane) = (float)Math.Min(1, soft);
            g.OfWide(i, Layout.Wet, lane) = r.Dry.Grams * wet;
            g.OfWide(i, Layout.Book, lane) = r.Dry.Grams * wet;
            g.Wide(Layout.Shelf, lane) -= r.Dry.Grams * wet;
        }
    }

    private static void Extra(PotGroup g, int i, int lane, ExtraIngredient x)
    {
        var extra = x.Extra;
        var grams = x.Dry.Grams;
        g.Of(i, Layout.Rate98, lane) = (float)(1 / (60 * extra.Minutes));
        g.Of(i, Layout.Ceil, lane) = (float)extra.CookedWater;
        g.Of(i, Layout.SaltRate, lane) = extra.SaltMinutes > 0 ? (float)(1 / (60 * extra.SaltMinutes)) : 0;
        g.Of(i, Layout.Solids, lane) = (float)extra.AcidMillimoles;
        g.Of(i, Layout.Cooked, lane) = (float)extra.Sugar;
        g.Of(i, Layout.Over, lane) = (float)extra.Firming;
        g.Of(i, Layout.Capacity, lane) = (float)(grams * (1 - extra.FreeWater - extra.BoundWater) * g.Constants.SpecificHeatDry);
        g.OfWide(i, Layout.Wet, lane) = grams * extra.BoundWater;
        g.OfWide(i, Layout.Book, lane) = grams * extra.BoundWater;
        g.Wide(Layout.Shelf, lane) -= grams * extra.BoundWater;
        Salted(g, i, lane, grams * x.Salt.Typical);
    }
}
