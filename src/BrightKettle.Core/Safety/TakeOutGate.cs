using BrightKettle.Core.Cooking;

namespace BrightKettle.Core.Safety;

/// <summary>Nothing is served while a leaf, a stalk, a whole spice or a chilli is still in it.</summary>
public static class TakeOutGate
{
    public const string StillIn = "comes_out.still_in";

    internal static GateFinding? Before(Cook cook, int action, IReadOnlyList<Observation> seen)
    {
        if (cook.Actions[action] is not CookAction.Serve)
        {
            return null;
        }

        var inside = new HashSet<string>();
        foreach (var deed in cook.Actions.Take(action))
        {
            switch (deed)
            {
                case CookAction.Add add when cook.Ingredients[cook.IndexOf(add.IngredientId)] is ExtraIngredient { Extra.ComesOut: true }:
                    inside.Add(add.IngredientId);
                    break;
                case CookAction.TakeOut take:
                    inside.Remove(take.IngredientId);
                    break;
            }
        }

        inside.ExceptWith(seen.OfType<Observation.CountedOut>().Select(o => o.IngredientId));
        return inside.Count == 0 ? null : new(StillIn, inside.Order(StringComparer.Ordinal).First(), action, true);
    }
}
