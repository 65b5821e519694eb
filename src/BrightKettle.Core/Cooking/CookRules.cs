using NodaTime;

namespace BrightKettle.Core.Cooking;

/// <summary>Why a list of actions is not a cook. <see cref="Action"/> is the index of the action, or null for the list.</summary>
public sealed record CookFault(string Code, int? Action, string Field);

/// <summary>What makes a list of actions a cook that can be run.</summary>
public static class CookRules
{
    public const int MostActions = 200;

    /// <summary>The first fault, or null when the cook can be run.</summary>
    public static CookFault? Check(Cook cook)
    {
        if (cook.Ingredients.Count is 0 or > 8)
        {
            return new("cook.ingredients", null, "ingredients");
        }

        if (cook.Ingredients.Select(i => i.Id).Distinct().Count() != cook.Ingredients.Count)
        {
            return new("cook.ingredient_twice", null, "ingredients");
        }

        if (cook.Actions.Count is 0 or > MostActions)
        {
            return new("cook.actions", null, "actions");
        }

        var place = new Place[cook.Ingredients.Count];
        for (var i = 0; i < cook.Actions.Count; i++)
        {
            if (CheckAction(cook, cook.Actions[i], i, place) is { } fault)
            {
                return fault;
            }
        }

        return cook.Actions[^1] is CookAction.Serve ? null : new("cook.no_end", cook.Actions.Count - 1, "do");
    }

    private static CookFault? CheckAction(Cook cook, CookAction action, int i, Place[] place)
    {
        if (action.When is { Delay: { } delay } && (delay < Duration.Zero || delay > Duration.FromDays(2)))
        {
            return new("cook.delay", i, "when.delayMinutes");
        }

        if (action.When.NotBefore is { } at && (at < cook.Starts || at - cook.Starts > Duration.FromDays(4)))
        {
            return new("cook.too_far", i, "when.notBefore");
        }

        if (action.When.Look is { } look)
        {
            if (cook.IndexOf(look.IngredientId) is var k && (k < 0 || place[k] != Place.Pot))
            {
                return new("cook.not_in_pot", i, "when.look.ingredient");
            }

            if (look.Again < Duration.FromMinutes(1) || look.Doneness is not (>= 0 and <= 200))
            {
                return new("cook.look", i, "when.look");
            }
        }

        if (BowlLane.Holds(action) && (action.When.After is not null || action.When.Look is not null))
        {
            return new("cook.bowl_by_clock", i, "when");
        }

        var id = action is CookAction.Add add ? add.IngredientId : BowlLane.IngredientOf(action);
        if (id is not null)
        {
            var index = cook.IndexOf(id);
            if (index < 0)
            {
                return new("cook.unknown_ingredient", i, "ingredient");
            }

            if (place[index] == Place.Pot)
            {
                return new("cook.already_in_pot", i, "ingredient");
            }

            place[index] = action switch
            {
                CookAction.Add => Place.Pot,
                CookAction.Soak => Place.Bowl,
                _ => place[index],
            };
        }

        var amount = action switch
        {
            CookAction.Soak a => a.Water.Grams,
            CookAction.AddWater a => a.Water.Grams,
            CookAction.Measure a => a.Liquor.Grams,
            CookAction.AddSalt a => a.Salt.Grams,
            _ => 0,
        };
        return amount is >= 0 and <= 60_000 ? null : new("cook.amount", i, "grams");
    }
}
