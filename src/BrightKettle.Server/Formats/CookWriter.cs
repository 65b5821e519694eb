using System.Text.Json;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Stove;

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
                kitchen.RoomCelsius,
                kitchen.Vessel.Id,
                Cooker(kitchen.Vessel.Cooker),
                kitchen.HardnessMilligramsPerLitre > 0 ? kitchen.HardnessMilligramsPerLitre : null,
                kitchen.Others.Count == 0 ? null : [.. kitchen.Others.Select(Other)]),
            [.. cook.Ingredients.Select(Ingredient)],
            [.. cook.Actions.Select(Action)]);
    }

    public static CourseDocument Write(NewCourse course)
    {
        ArgumentNullException.ThrowIfNull(course);
        return new(course.Code, [.. course.Actions.Select(Action)], [.. course.Others.Select(Other)], [.. course.Extras.Select(Ingredient)]);
    }

    /// <summary>The word of the exchange form for a member of one of the closed sets, as surface_dry.</summary>
    public static string Word<T>(T value)
        where T : struct, Enum => JsonNamingPolicy.SnakeCaseLower.ConvertName(value.ToString());

    private static IngredientDocument Ingredient(Ingredient ingredient) => ingredient switch
    {
        PulseIngredient p => new(
            p.Id,
            "pulse",
            p.Pulse.Id,
            p.Dry.Grams,
            p.Pace.Median,
            p.Pace.Spread,
            p.Lot == Lot.Fresh ? null : p.Lot.Years,
            p.Lot == Lot.Fresh ? null : Word(p.Lot.Storage),
            p.CookedAt?.Celsius,
            p.CookedSaltShare > 0 ? p.CookedSaltShare : null),
        RiceIngredient r => new(r.Id, "rice", r.Rice.Id, r.Dry.Grams, Toasted: r.Toasted ? true : null, RateFactor: r.RateFactor == 1 ? null : r.RateFactor),
        ExtraIngredient x => new(x.Id, "extra", x.Extra.Id, x.Dry.Grams, Celsius: x.Temperature.Celsius, Pieces: x.Pieces > 0 ? x.Pieces : null, Blanched: x.Blanched ? true : null),
        _ => throw new InvalidOperationException($"No exchange form for {ingredient.GetType().Name}."),
    };

    private static ActionDocument Action(CookAction action)
    {
        var document = action switch
        {
            CookAction.Soak a => new ActionDocument(
                "soak",
                Ingredient: a.IngredientId,
                Grams: a.Water.Grams,
                Celsius: a.Temperature.Celsius,
                SaltShare: a.SaltShare > 0 ? a.SaltShare : null,
                SodaGramsPerLitre: a.SodaGramsPerLitre > 0 ? a.SodaGramsPerLitre : null),
            CookAction.Drain a => new("drain", Ingredient: a.IngredientId, Keep: a.Keep ? true : null),
            CookAction.Chill a => new("chill", Ingredient: a.IngredientId, Celsius: a.Temperature.Celsius),
            CookAction.Rinse a => new("rinse", Ingredient: a.IngredientId),
            CookAction.Add a => new("add", Ingredient: a.IngredientId),
            CookAction.TakeOut a => new("take_out", Ingredient: a.IngredientId),
            CookAction.AddWater a => new("water", Grams: a.Water.Grams, Celsius: a.Temperature.Celsius, IceShare: a.IceShare > 0 ? a.IceShare : null),
            CookAction.AddSalt a => new("salt", Grams: a.Salt.Grams),
            CookAction.Measure a => new("measure", Grams: a.Liquor.Grams),
            CookAction.PourBack a => new("pour_back", Grams: a.Liquor.Grams),
            CookAction.Heat a => new("heat", Flame: Word(a.Flame), Watts: a.Net?.Watts),
            CookAction.Cover a => new("cover", Lid: Word(a.Lid), With: a.With is { } with ? Word(with) : null),
            CookAction.Pressurise a => new("pressurise", Setting: a.High ? "high" : "low"),
            CookAction.Release a => new("release", Setting: Word(a.Kind)),
            CookAction.Transfer a => new("transfer", Ingredient: a.IngredientId, Grams: a.Most?.Grams, To: a.To, What: Word(a.What)),
            CookAction.Stir => new("stir"),
            CookAction.Mash a => new("mash", Ingredient: a.IngredientId, Share: a.Share),
            CookAction.Thicken a => new("thicken", Grams: a.Starch.Grams, WaterGrams: a.Water.Grams),
            CookAction.Serve => new("serve"),
            _ => throw new InvalidOperationException($"No exchange form for {action.GetType().Name}."),
        };
        return document with { Mark = action.Mark, In = action.In, When = When(action.When) };
    }

    private static WhenDocument? When(When when) => when == Core.Cooking.When.Next
        ? null
        : new(
            when.NotBefore?.ToDateTimeOffset(),
            when.After is { } after ? Word(after) : null,
            when.Delay?.TotalMinutes,
            when.Look is { } look ? new(look.IngredientId, look.Doneness, look.Again.TotalMinutes) : null,
            when.Count == 1 ? null : when.Count,
            when.AfterMark);

    private static CookerDocument? Cooker(Cooker? c) => c is null
        ? null
        : new(Word(c.Kind), c.HighKilopascals, c.LowKilopascals, c.High.Watts, c.Low.Watts, c.LossWattsPerKelvin);

    private static OtherVesselDocument Other(CookVessel v) => new(
        v.Vessel.Id,
        v.Vessel.Name,
        v.Vessel.Diameter.Centimetres,
        v.Vessel.Brim.Millilitres,
        v.Burner.Most.Watts,
        v.Burner.Least.Watts,
        Cooker(v.Vessel.Cooker),
        v.Above);
}
