using BrightKettle.Core.Catalogue;

namespace BrightKettle.Core.Cooking.Engine;

/// <summary>Uptake in a bowl of cold water in closed form, g per g dry: exact for any time while the temperature stands.</summary>
internal static class Bowls
{
    /// <summary>Soaking gives rice up to this much, g/g (confidence C).</summary>
    public const double RiceCeiling = 0.32;

    /// <summary>Waxy rice that is steamed takes most of its water overnight, share of what it holds in the end (confidence D).</summary>
    public const double SteamedShare = 0.85;

    /// <summary>Time constant of both.</summary>
    private const double RiceSeconds = 600;

    public static double Gain(PotGroup g, int ingredient, int lane, double wet, double celsius, double seconds)
    {
        switch (g.Layout.KindOf(ingredient))
        {
            case IngredientKind.Rice:
                return Math.Max(0, g.Of(ingredient, Layout.Over, lane) - wet) * RateLaws.Taken(seconds / RiceSeconds);
            case IngredientKind.Extra:
                return 0;
        }

        var at = OneLane.All((float)celsius);
        var rate =
            Value(RateLaws.Hydration(at, OneLane.All(g.Of(ingredient, Layout.EnergyK, lane)), g.Step))
            * g.Of(ingredient, Layout.Rate98, lane);
        ref var coat = ref g.Of(ingredient, Layout.Coat, lane);
        var open = seconds;
        if (coat < 0.9999f)
        {
            var opening = Value(RateLaws.Coat(at, g.Step)) * g.Of(ingredient, Layout.CoatRate, lane);
            var left = Math.Exp(-opening * seconds);
            // The integral of 1 - (1 - coat) e^(-rate t): how long the coat stood open, all told.
            open = seconds - ((1 - coat) * (1 - left) / opening);
            coat = (float)(1 - ((1 - coat) * left));
            coat = coat > 0.9999f ? 1 : coat;
        }

        return Math.Max(0, g.Of(ingredient, Layout.Ceil, lane) - wet) * RateLaws.Taken(rate * open);
    }

    private static double Value(OneLane lane)
    {
        var value = 0f;
        lane.Store(ref value);
        return value;
    }
}
