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
        if (p.CookedAt is not null)
        {
            var dry = p.Dry.Grams;
            g.Of(i, Layout.Coat, lane) = 1;
            g.Of(i, Layout.Soft98, lane) *= p.FromTin ? (float)c.TinnedSpeed : 1;
            g.Of(i, Layout.Soft, lane) = 1.05f;
            g.Of(i, Layout.Ran, lane) = 1.05f;
            g.Of(i, Layout.RanTender, lane) = 1;
            g.OfWide(i, Layout.Wet, lane) = dry * pulse.ColdCeiling;
            g.OfWide(i, Layout.Swollen, lane) = dry * (pulse.Absorbed.Typical - pulse.ColdCeiling);
            g.OfWide(i, Layout.Book, lane) = dry * pulse.Absorbed.Typical;
            g.Wide(Layout.Shelf, lane) -= dry * pulse.Absorbed.Typical;
            var salt = p.CookedSaltShare * dry * (1 + pulse.Absorbed.Typical);
            g.OfWide(i, Layout.SaltIn, lane) = salt;
            g.OfWide(i, Layout.SaltInBook, lane) = salt;
            g.Wide(Layout.SaltAdded, lane) -= salt;
        }
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
        g.Of(i, Layout.Rate98, lane) = (float)(rate * Math.Log(headroom / (headroom - 1)) / seconds);
        g.Of(i, Layout.Headroom, lane) = (float)(headroom * most);
        g.Of(i, Layout.Ceil, lane) = (float)(rice.Absorbed.Typical * thirst);
        g.Of(i, Layout.Cooked, lane) = (float)(Math.Max(LeastFurther, rice.Absorbed.High - rice.Absorbed.Typical) * thirst);
        g.Of(i, Layout.Over, lane) = (float)(rice.Method == "steam" ? Bowls.SteamedShare * rice.Absorbed.Typical : Bowls.RiceCeiling);
        g.Of(i, Layout.SaltRate, lane) = (float)(1 / g.Constants.SaltTimeSplit);
        g.Of(i, Layout.Capacity, lane) = (float)(r.Dry.Grams * g.Constants.SpecificHeatDry);
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
        var salt = grams * x.Salt.Typical;
        g.OfWide(i, Layout.SaltIn, lane) = salt;
        g.OfWide(i, Layout.SaltInBook, lane) = salt;
        g.Wide(Layout.SaltAdded, lane) -= salt;
    }
}
