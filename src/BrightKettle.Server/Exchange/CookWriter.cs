using System.Text.Json;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Stove;
using BrightKettle.Core.Units;
using BrightKettle.Server.Answers;

namespace BrightKettle.Server.Exchange;

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
                VesselNames.Of(kitchen.Vessel),
                kitchen.Vessel.Diameter.Centimetres,
                kitchen.Vessel.Brim.Millilitres,
                kitchen.Burner.Most.Watts,
                kitchen.Burner.Least.Watts,
                kitchen.Altitude.Metres,
                kitchen.Room.Celsius,
                kitchen.Vessel.Id,
                Cooker(kitchen.Vessel.Cooker),
                kitchen.HardnessMilligramsPerLitre > 0 ? kitchen.HardnessMilligramsPerLitre : null,
                kitchen.OtherVessels.Count == 0 ? null : [.. kitchen.OtherVessels.Select(Other)],
                kitchen.Starts?.Celsius,
                kitchen.Burner.Id,
                kitchen.Burner.Name
            ),
            [.. cook.Ingredients.Select(Ingredient)],
            [.. cook.Actions.Select(Action)]
        );
    }

    public static CourseDocument Write(Course course)
    {
        ArgumentNullException.ThrowIfNull(course);
        return new(
            course.Code,
            [.. course.Actions.Select(Action)],
            [.. course.Vessels.Select(Other)],
            [.. course.Extras.Select(Ingredient)]
        );
    }

    private static IngredientDocument Ingredient(Ingredient ingredient) =>
        ingredient switch
        {
            PulseIngredient p => new(
                p.Id,
                "pulse",
                p.Pulse.Id,
                p.Dry.Grams,
                p.Pace.Median,
                p.Pace.Spread,
                p.Lot == Lot.Fresh ? null : p.Lot.Years,
                p.Lot == Lot.Fresh ? null : ClosedSet.Word(p.Lot.Storage),
                p.Start?.Temperature.Celsius,
                p.CookedSaltShare > 0 ? p.CookedSaltShare : null,
                p.Start is { FromTin: true } ? true : null,
                Green: p.Green ? true : null,
                StartsDoneness: p.Start is { Doneness: not SeedStart.Cooked } ? p.Start.Doneness : null,
                StartsWetShare: p.Start is { WetShare: not 1 } ? p.Start.WetShare : null,
                SoakedHours: p.Start?.Soaked?.TotalHours
            ),
            RiceIngredient r => new(
                r.Id,
                "rice",
                r.Rice.Id,
                r.Dry.Grams,
                CookedCelsius: r.Start?.Temperature.Celsius,
                StartsDoneness: r.Start is { Doneness: not SeedStart.Cooked } ? r.Start.Doneness : null,
                StartsWetShare: r.Start is { WetShare: not 1 } ? r.Start.WetShare : null,
                Toasted: r.Toasted ? true : null,
                RateFactor: r.RateFactor == 1 ? null : r.RateFactor
            ),
            ExtraIngredient x => new(
                x.Id,
                "extra",
                x.Extra.Id,
                x.Dry.Grams,
                Celsius: x.Temperature.Celsius,
                Pieces: x.Pieces > 0 ? x.Pieces : null,
                Blanched: x.Blanched ? true : null
            ),
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
                SodaGramsPerLitre: a.SodaGramsPerLitre > 0 ? a.SodaGramsPerLitre : null
            ),
            CookAction.Drain a => new("drain", Ingredient: a.IngredientId, Keep: a.Keep ? true : null),
            CookAction.Chill a => new("chill", Ingredient: a.IngredientId, Celsius: a.Temperature.Celsius),
            CookAction.Rinse a => new("rinse", Ingredient: a.IngredientId),
            CookAction.Add a => new("add", Ingredient: a.IngredientId),
            CookAction.TakeOut a => new("take_out", Ingredient: a.IngredientId),
            CookAction.AddWater a => new(
                "water",
                Grams: a.Water.Grams,
                Celsius: a.Temperature.Celsius,
                IceShare: a.IceShare > 0 ? a.IceShare : null
            ),
            CookAction.AddSalt a => new("salt", Grams: a.Salt.Grams),
            CookAction.SetLiquor a => new("measure", Grams: a.Liquor.Grams, BoilDownMinutes: a.BoilDown?.TotalMinutes),
            CookAction.TopUp a => new("top_up", Centimetres: a.OverBedCentimetres, Celsius: a.Temperature.Celsius),
            CookAction.KeepLevel a => new("keep_level", Centimetres: a.OverBedCentimetres),
            CookAction.PourBack a => new("pour_back", Grams: a.Liquor.Grams),
            CookAction.Heat a => new("heat", Flame: ClosedSet.Word(a.Flame), Watts: a.Net?.Watts),
            CookAction.Cover a => new("cover", Lid: ClosedSet.Word(a.Lid), With: a.With is { } with ? ClosedSet.Word(with) : null),
            CookAction.Pressurise a => new("pressurise", Setting: a.High ? "high" : "low"),
            CookAction.Release a => new("release", Setting: ClosedSet.Word(a.Kind)),
            CookAction.Transfer a => new(
                "transfer",
                Ingredient: a.IngredientId,
                Grams: a.Most?.Grams,
                To: a.To,
                What: ClosedSet.Word(a.What)
            ),
            CookAction.Stir => new("stir"),
            CookAction.Mash a => new("mash", Ingredient: a.IngredientId, Share: a.Share),
            CookAction.Thicken a => new("thicken", Grams: a.Starch.Grams, WaterGrams: a.Water.Grams),
            CookAction.Serve => new("serve"),
            _ => throw new InvalidOperationException($"No exchange form for {action.GetType().Name}."),
        };
        return document with { Mark = action.StepId, In = action.In, When = When(action.Trigger) };
    }

    private static WhenDocument? When(Trigger when) =>
        when == Trigger.Next
            ? null
            : new(
                when.NotBefore?.ToDateTimeOffset(),
                when.After is { } after ? ClosedSet.Word(after) : null,
                when.Delay?.TotalMinutes,
                when.Look is { } look ? Look(look) : null,
                when.Count == 1 ? null : when.Count,
                when.AfterStep
            );

    private static LookDocument Look(Look look) =>
        new(
            look.IngredientId,
            look.Doneness,
            look.Again.TotalMinutes,
            look.Also.Count == 0 ? null : [.. look.Also.Select(o => new LookAlsoDocument(o.IngredientId, o.Doneness))],
            look.NotYet is { } no
                ? new(
                    ClosedSet.Word(no.Flame),
                    no.Sprinkle > Mass.Zero ? no.Sprinkle.Grams : null,
                    no.Longest?.TotalMinutes,
                    no.LockAgain is { } again ? new(again.Below, again.Held.TotalMinutes) : null
                )
                : null,
            look.LidOff is { } off ? new(off.Over.Grams, off.Longest.TotalMinutes) : null
        );

    private static CookerDocument? Cooker(Cooker? c) =>
        c is null
            ? null
            : new(ClosedSet.Word(c.Kind), c.HighKilopascals, c.LowKilopascals, c.High.Watts, c.Low.Watts, c.LossWattsPerKelvin);

    private static OtherVesselDocument Other(CookVessel v) =>
        new(
            v.Vessel.Id,
            VesselNames.Of(v.Vessel),
            v.Vessel.Diameter.Centimetres,
            v.Vessel.Brim.Millilitres,
            v.Burner.Most.Watts,
            v.Burner.Least.Watts,
            Cooker(v.Vessel.Cooker),
            v.Above,
            v.Starts?.Celsius,
            v.Burner.Id,
            v.Burner.Name
        );
}
