using System.Text.Json;
using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Units;
using BrightKettle.Server.Problems;
using NodaTime;

namespace BrightKettle.Server.Formats;

/// <summary>From the exchange form to a cook that can be run; anything wrong is named by its place.</summary>
public sealed class CookReader(PulseCatalogue catalogue, FieldChecks checks)
{
    /// <summary>The cook, or null with the faults in the checks; a field is a path such as actions[3].grams.</summary>
    public Cook? Read(CookDocument document)
    {
        ArgumentNullException.ThrowIfNull(document);
        if (document.Format != CookDocument.FormatName || document.Version != CookDocument.CurrentVersion)
        {
            return checks.Refuse<Cook>("cook.format", document.Format == CookDocument.FormatName ? "version" : "format");
        }

        if (document.Kitchen is null || document.Ingredients is null || document.Actions is null)
        {
            return checks.Refuse<Cook>("request.missing", document.Kitchen is null ? "kitchen" : document.Ingredients is null ? "ingredients" : "actions");
        }

        var kitchen = Kitchen(document.Kitchen);
        var ingredients = document.Ingredients.Select((ingredient, i) => Ingredient(ingredient, $"ingredients[{i}]")).ToList();
        var actions = document.Actions.Select((action, i) => Action(action, $"actions[{i}]")).ToList();
        if (checks.Any)
        {
            return null;
        }

        var cook = new Cook(
            kitchen,
            [.. ingredients.OfType<Ingredient>()],
            [.. actions.OfType<CookAction>()],
            Instant.FromDateTimeOffset(document.Starts),
            document.Seed);
        return CookRules.Check(cook) is { } fault
            ? checks.Refuse<Cook>(fault.Code, fault.Action is { } at ? $"actions[{at}].{fault.Field}" : fault.Field)
            : cook;
    }

    private CookKitchen Kitchen(CookKitchenDocument k) => new(
        new Vessel(
            "vessel",
            k.VesselName ?? string.Empty,
            Length.FromCentimetres(checks.Within(k.VesselDiameterCentimetres, 8, 60, "kitchen.vesselDiameterCentimetres")),
            Volume.FromMillilitres(checks.Within(k.VesselBrimMillilitres, 200, 60_000, "kitchen.vesselBrimMillilitres"))),
        new Burner(
            "burner",
            string.Empty,
            Power.FromWatts(checks.Within(k.BurnerMostWatts, 50, 10_000, "kitchen.burnerMostWatts")),
            Power.FromWatts(checks.Within(k.BurnerLeastWatts, 0, k.BurnerMostWatts, "kitchen.burnerLeastWatts"))),
        checks.Within(k.AltitudeMetres, -400, 5500, "kitchen.altitudeMetres"),
        checks.Within(k.RoomCelsius, 0, 45, "kitchen.roomCelsius"));

    private Ingredient? Ingredient(IngredientDocument d, string at)
    {
        if (d?.Id is null || d.CatalogueId is null)
        {
            return checks.Refuse<Ingredient>("request.missing", at);
        }

        var grams = Mass.FromGrams(checks.Within(d.Grams, 1, 20_000, $"{at}.grams"));
        switch (d.Kind)
        {
            case "pulse" when catalogue.FindPulse(d.CatalogueId) is { } pulse:
                var median = checks.Within(d.PaceMedian ?? 1, 0.1, 5, $"{at}.paceMedian");
                var spread = checks.Within(d.PaceSpread ?? catalogue.Constants.LotSpread, 0, 1, $"{at}.paceSpread");
                return new PulseIngredient(d.Id, grams, pulse, new Pace(median, spread));
            case "rice" when catalogue.FindRice(d.CatalogueId) is { } rice:
                return new RiceIngredient(d.Id, grams, rice);
            case "pulse":
                return checks.Refuse<Ingredient>("catalogue.unknown_pulse", $"{at}.catalogueId");
            case "rice":
                return checks.Refuse<Ingredient>("catalogue.unknown_rice", $"{at}.catalogueId");
            default:
                return checks.Refuse<Ingredient>("request.unknown_word", $"{at}.kind");
        }
    }

    private CookAction? Action(ActionDocument d, string at)
    {
        if (d is null)
        {
            return checks.Refuse<CookAction>("request.missing", at);
        }

        var when = When(d.When, $"{at}.when");
        string Id() => d.Ingredient ?? checks.Refuse<string>("request.missing", $"{at}.ingredient") ?? string.Empty;
        Mass Grams() => Mass.FromGrams(checks.Within(d.Grams ?? double.NaN, 0, 60_000, $"{at}.grams"));
        Temperature Celsius(double otherwise) => Temperature.FromCelsius(checks.Within(d.Celsius ?? otherwise, 0, 105, $"{at}.celsius"));
        CookAction? action = d.Do switch
        {
            "soak" => new CookAction.Soak(when, Id(), Grams(), Celsius(20)),
            "drain" => new CookAction.Drain(when, d.Ingredient),
            "chill" => new CookAction.Chill(when, Id(), Celsius(5)),
            "rinse" => new CookAction.Rinse(when, Id()),
            "add" => new CookAction.Add(when, Id()),
            "water" => new CookAction.AddWater(when, Grams(), Celsius(20)),
            "salt" => new CookAction.AddSalt(when, Grams()),
            "measure" => new CookAction.Measure(when, Grams()),
            "heat" => new CookAction.Heat(when, Word<Flame>(d.Flame, $"{at}.flame")),
            "cover" => new CookAction.Cover(when, Word<Lid>(d.Lid, $"{at}.lid")),
            "stir" => new CookAction.Stir(when),
            "serve" => new CookAction.Serve(when),
            _ => checks.Refuse<CookAction>("cook.unknown_action", $"{at}.do"),
        };
        return action is null ? null : action with { Mark = d.Mark };
    }

    private When When(WhenDocument? d, string at) => d is null
        ? Core.Cooking.When.Next
        : new(
            d.NotBefore is { } notBefore ? Instant.FromDateTimeOffset(notBefore) : null,
            d.After is null ? null : Word<PotEvent>(d.After, $"{at}.after"),
            d.DelayMinutes is { } minutes ? Duration.FromMinutes(checks.Within(minutes, 0, 2880, $"{at}.delayMinutes")) : null,
            d.Look is not { } look ? null : new Look(
                look.Ingredient ?? checks.Refuse<string>("request.missing", $"{at}.look.ingredient") ?? string.Empty,
                checks.Within(look.Doneness, 0, 200, $"{at}.look.doneness"),
                Duration.FromMinutes(checks.Within(look.AgainMinutes, 1, 240, $"{at}.look.againMinutes"))));

    private T Word<T>(string? word, string at)
        where T : struct, Enum
    {
        foreach (var value in Enum.GetValues<T>())
        {
            if (CookWriter.Word(value) == word)
            {
                return value;
            }
        }

        checks.Add("request.unknown_word", at);
        return default;
    }
}
