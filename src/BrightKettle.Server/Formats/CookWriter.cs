using System.Text.Json;
using BrightKettle.Core.Cooking;

namespace BrightKettle.Server.Formats;

/// <summary>From a cook to its exchange form.</summary>
public static class CookWriter
{
    public static CookDocument Write(Cook cook)
    {
        var kitchen = cook.Kitchen;
        return new(
            CookDocument.FormatName,
            CookDocument.CurrentVersion,
            cook.Starts.ToDateTimeOffset(),
            cook.Seed,
            new(
                kitchen.Vessel.Name,
                kitchen.Vessel.Diameter.Centimetres,
                kitchen.Vessel.Brim.Millilitres,
                kitchen.Burner.Most.Watts,
                kitchen.Burner.Least.Watts,
                kitchen.AltitudeMetres,
                kitchen.RoomCelsius),
            [.. cook.Ingredients.Select(Ingredient)],
            [.. cook.Actions.Select(Action)]);
    }

    /// <summary>The word of the exchange form for a member of one of the closed sets, as surface_dry.</summary>
    public static string Word<T>(T value)
        where T : struct, Enum => JsonNamingPolicy.SnakeCaseLower.ConvertName(value.ToString());

    private static IngredientDocument Ingredient(Ingredient ingredient) => ingredient switch
    {
        PulseIngredient p => new(p.Id, "pulse", p.Pulse.Id, p.Dry.Grams, p.Pace.Median, p.Pace.Spread),
        RiceIngredient r => new(r.Id, "rice", r.Rice.Id, r.Dry.Grams),
        _ => throw new InvalidOperationException($"No exchange form for {ingredient.GetType().Name}."),
    };

    private static ActionDocument Action(CookAction action)
    {
        var document = action switch
        {
            CookAction.Soak a => new ActionDocument("soak", Ingredient: a.IngredientId, Grams: a.Water.Grams, Celsius: a.Temperature.Celsius),
            CookAction.Drain a => new("drain", Ingredient: a.IngredientId),
            CookAction.Chill a => new("chill", Ingredient: a.IngredientId, Celsius: a.Temperature.Celsius),
            CookAction.Rinse a => new("rinse", Ingredient: a.IngredientId),
            CookAction.Add a => new("add", Ingredient: a.IngredientId),
            CookAction.AddWater a => new("water", Grams: a.Water.Grams, Celsius: a.Temperature.Celsius),
            CookAction.AddSalt a => new("salt", Grams: a.Salt.Grams),
            CookAction.Measure a => new("measure", Grams: a.Liquor.Grams),
            CookAction.Heat a => new("heat", Flame: Word(a.Flame)),
            CookAction.Cover a => new("cover", Lid: Word(a.Lid)),
            CookAction.Stir => new("stir"),
            CookAction.Serve => new("serve"),
            _ => throw new InvalidOperationException($"No exchange form for {action.GetType().Name}."),
        };
        return document with { Mark = action.Mark, When = When(action.When) };
    }

    private static WhenDocument? When(When when) => when == Core.Cooking.When.Next
        ? null
        : new(
            when.NotBefore?.ToDateTimeOffset(),
            when.After is { } after ? Word(after) : null,
            when.Delay?.TotalMinutes,
            when.Look is { } look ? new(look.IngredientId, look.Doneness, look.Again.TotalMinutes) : null);
}
