using BrightKettle.Core.Cooking;
using BrightKettle.Core.Cooking.Trace;

namespace BrightKettle.Core.Safety;

/// <summary>Nothing is served while a leaf, a stalk, a whole spice or a chilli is still in it.</summary>
public static class TakeOutGate
{
    public const string StillIn = "comes_out.still_in";

    internal static GateFinding? Before(CookTrace trace, int action, IReadOnlyList<Observation> seen)
    {
        if (trace.Cook.Actions[action] is not CookAction.Serve)
        {
            return null;
        }

        var inside = trace
            .Cook.Ingredients.OfType<ExtraIngredient>()
            .Where(x => x.Extra.ComesOut && trace.PlaceBefore(action, x.Id) >= 0)
            .Select(x => x.Id)
            .ToHashSet();
        inside.ExceptWith(seen.OfType<Observation.CountedOut>().Select(o => o.IngredientId));
        return inside.Count == 0 ? null : new(StillIn, inside.Order(StringComparer.Ordinal).First(), action, true);
    }
}
