using System.Text.Json;
using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Stove;
using BrightKettle.Core.Units;
using BrightKettle.Server.Answers;
using NodaTime;

namespace BrightKettle.Server.Exchange;

/// <summary>From the exchange form to a cook that can be run; anything wrong is named by its place.</summary>
public sealed class CookReader(PulseCatalogue catalogue, FieldFaults checks)
{
    /// <summary>Cooks are of this age: a time that a clock without a battery shows, or none that comes, is a slip.</summary>
    private static readonly DateTimeOffset Earliest = new(1970, 1, 1, 0, 0, 0, TimeSpan.Zero);
    private static readonly DateTimeOffset Latest = new(2200, 1, 1, 0, 0, 0, TimeSpan.Zero);

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
            return checks.Refuse<Cook>(
                "request.missing",
                document.Kitchen is null ? "kitchen"
                    : document.Ingredients is null ? "ingredients"
                    : "actions"
            );
        }

        // What is longer than any cook is not gone through: each of its parts could be a fault.
        if (document.Actions.Count > CookRules.MostActions || document.Ingredients.Count > CookRules.MostIngredients)
        {
            return document.Actions.Count > CookRules.MostActions
                ? checks.Refuse<Cook>("cook.actions", "actions")
                : checks.Refuse<Cook>("cook.ingredients", "ingredients");
        }

        if (document.Starts < Earliest || document.Starts > Latest)
        {
            return checks.Refuse<Cook>("cook.starts", "starts");
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
            document.Seed
        );
        return CookRules.Check(cook) is { } fault
            ? checks.Refuse<Cook>(fault.Code, fault.Action is { } at ? $"actions[{at}].{fault.Field}" : fault.Field)
            : cook;
    }

    /// <summary>What is to be done instead of a plan, or null with the faults in the checks.</summary>
    public Course? Read(CourseDocument document)
    {
        ArgumentNullException.ThrowIfNull(document);
        var actions = document.Actions.Select((action, i) => Action(action, $"actions[{i}]")).OfType<CookAction>().ToList();
        var others = document.Others.Select((o, i) => Other(o, $"others[{i}]")).OfType<CookVessel>().ToList();
        var extras = document.Extras.Select((x, i) => Ingredient(x, $"extras[{i}]")).OfType<ExtraIngredient>().ToList();
        return checks.Any ? null : new(document.Code, actions, others, extras);
    }

    private CookKitchen Kitchen(CookKitchenDocument k) =>
        new(
            Vessel(
                k.VesselId ?? "vessel",
                k.VesselName,
                k.VesselDiameterCentimetres,
                k.VesselBrimMillilitres,
                k.Cooker,
                "kitchen.vesselDiameterCentimetres",
                "kitchen.vesselBrimMillilitres",
                "kitchen.cooker"
            ),
            Burner(k.BurnerId, k.BurnerName, k.BurnerMostWatts, k.BurnerLeastWatts, "kitchen."),
            Altitude.FromMetres(checks.Within(k.AltitudeMetres, Altitude.LeastMetres, Altitude.MostMetres, "kitchen.altitudeMetres")),
            Temperature.FromCelsius(checks.Within(k.RoomCelsius, 0, 45, "kitchen.roomCelsius"))
        )
        {
            Starts = Starts(k.StartsCelsius, "kitchen.startsCelsius"),
            HardnessMilligramsPerLitre = checks.Within(k.HardnessMilligramsPerLitre ?? 0, 0, 1000, "kitchen.hardnessMilligramsPerLitre"),
            OtherVessels = k.Others is not { Count: > 0 } others
                ? []
                : [.. others.Take(CookRules.MostVessels).Select((o, i) => Other(o, $"kitchen.others[{i}]")).OfType<CookVessel>()],
        };

    private Temperature? Starts(double? celsius, string at) =>
        celsius is { } hot ? Temperature.FromCelsius(checks.Within(hot, 0, 105, at)) : null;

    private CookVessel? Other(OtherVesselDocument? o, string at) =>
        o?.Id is null
            ? checks.Refuse<CookVessel>("request.missing", $"{at}.id")
            : new(
                Vessel(
                    o.Id,
                    o.Name,
                    o.DiameterCentimetres,
                    o.BrimMillilitres,
                    o.Cooker,
                    $"{at}.diameterCentimetres",
                    $"{at}.brimMillilitres",
                    $"{at}.cooker"
                ),
                Burner(o.BurnerId, o.BurnerName, o.BurnerMostWatts, o.BurnerLeastWatts, $"{at}."),
                o.Above
            )
            {
                Starts = Starts(o.StartsCelsius, $"{at}.startsCelsius"),
            };

    private Vessel Vessel(
        string id,
        string? name,
        double diameter,
        double brim,
        CookerDocument? cooker,
        string diameterAt,
        string brimAt,
        string cookerAt
    ) =>
        new(
            id,
            name ?? string.Empty,
            Length.FromCentimetres(checks.Within(diameter, 8, 60, diameterAt)),
            Volume.FromMillilitres(checks.Within(brim, 200, 60_000, brimAt))
        )
        {
            Cooker = cooker is null ? null : Cooker(cooker, brim, cookerAt),
        };

    private Burner Burner(string? id, string? name, double most, double least, string at) =>
        new(
            id ?? "burner",
            name ?? string.Empty,
            Power.FromWatts(checks.Within(most, 50, 10_000, $"{at}burnerMostWatts")),
            Power.FromWatts(checks.Within(least, 0, Math.Max(0, most), $"{at}burnerLeastWatts"))
        );

    private Cooker Cooker(CookerDocument d, double brim, string at)
    {
        var typical = Core.Kitchen.Cooker.Typical(ClosedSet.Read<CookerKind>(d.Kind, $"{at}.kind", checks), brim);
        double Or(double? given, double otherwise, double low, double high, string field) =>
            given is { } g ? checks.Within(g, low, high, $"{at}.{field}") : otherwise;
        return typical with
        {
            HighKilopascals = Or(d.HighKilopascals, typical.HighKilopascals, 0, 120, "highKilopascals"),
            LowKilopascals = Or(d.LowKilopascals, typical.LowKilopascals, 0, 120, "lowKilopascals"),
            High = Power.FromWatts(Or(d.HighWatts, typical.High.Watts, 0, 3000, "highWatts")),
            Low = Power.FromWatts(Or(d.LowWatts, typical.Low.Watts, 0, 3000, "lowWatts")),
            LossWattsPerKelvin = Or(d.LossWattsPerKelvin, typical.LossWattsPerKelvin, 0.2, 20, "lossWattsPerKelvin"),
        };
    }

    private SeedStart? Start(IngredientDocument d, string at) =>
        d.CookedCelsius is not { } celsius
            ? null
            : new(
                Temperature.FromCelsius(checks.Within(celsius, -25, 100, $"{at}.cookedCelsius")),
                checks.Within(d.StartsDoneness ?? SeedStart.Cooked, 0, 300, $"{at}.startsDoneness"),
                checks.Within(d.StartsWetShare ?? 1, 0, 1, $"{at}.startsWetShare")
            )
            {
                FromTin = d.FromTin ?? false,
                Soaked = d.SoakedHours is { } hours ? Duration.FromHours(checks.Within(hours, 0, 72, $"{at}.soakedHours")) : null,
            };

    private Ingredient? Ingredient(IngredientDocument d, string at)
    {
        if (d?.Id is null || d.CatalogueId is null)
        {
            return checks.Refuse<Ingredient>("request.missing", at);
        }

        var grams = Mass.FromGrams(checks.Within(d.Grams, d.Kind == "extra" ? 0.1 : 1, 20_000, $"{at}.grams"));
        switch (d.Kind)
        {
            case "pulse" when catalogue.FindPulse(d.CatalogueId) is { } pulse:
                var median = checks.Within(d.PaceMedian ?? 1, 0.1, 5, $"{at}.paceMedian");
                var spread = checks.Within(d.PaceSpread ?? catalogue.Constants.LotSpread, 0, 1, $"{at}.paceSpread");
                if (d.Green == true && pulse.Green is null)
                {
                    checks.Add("catalogue.not_green", $"{at}.green");
                }

                return new PulseIngredient(d.Id, grams, pulse, new Pace(median, spread))
                {
                    Lot =
                        d.AgeYears is null && d.Storage is null
                            ? Lot.Fresh
                            : new Lot(
                                checks.Within(d.AgeYears ?? 0, 0, 20, $"{at}.ageYears"),
                                ClosedSet.Read<Storage>(d.Storage ?? "cupboard", $"{at}.storage", checks)
                            ),
                    Start = Start(d, at),
                    Green = d.Green ?? false,
                    CookedSaltShare = checks.Within(d.CookedSaltShare ?? 0, 0, 0.03, $"{at}.cookedSaltShare"),
                };
            case "rice" when catalogue.FindRice(d.CatalogueId) is { } rice:
                return new RiceIngredient(d.Id, grams, rice, checks.Within(d.RateFactor ?? 1, 0.2, 5, $"{at}.rateFactor"))
                {
                    Toasted = d.Toasted ?? false,
                    Start = Start(d, at),
                };
            case "extra" when catalogue.FindExtra(d.CatalogueId) is { } extra:
                if (d.Blanched == true && extra.SaltAfterBlanch is null)
                {
                    checks.Add("extra.not_blanched", $"{at}.blanched");
                }

                return new ExtraIngredient(
                    d.Id,
                    grams,
                    extra,
                    Temperature.FromCelsius(checks.Within(d.Celsius ?? 20, -25, 100, $"{at}.celsius"))
                )
                {
                    Pieces = (int)checks.Within(d.Pieces ?? 0, 0, 50, $"{at}.pieces"),
                    Blanched = d.Blanched ?? false,
                };
            case "extra":
                return checks.Refuse<Ingredient>("catalogue.unknown_extra", $"{at}.catalogueId");
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
            "soak" => new CookAction.Soak(when, Id(), Grams(), Celsius(20))
            {
                SaltShare = d.SaltShare ?? 0,
                SodaGramsPerLitre = d.SodaGramsPerLitre ?? 0,
            },
            "drain" => new CookAction.Drain(when, d.Ingredient) { Keep = d.Keep ?? false },
            "chill" => new CookAction.Chill(when, Id(), Celsius(5)),
            "rinse" => new CookAction.Rinse(when, Id()),
            "add" => new CookAction.Add(when, Id()),
            "take_out" => new CookAction.TakeOut(when, Id()),
            "water" => new CookAction.AddWater(when, Grams(), Celsius(20)) { IceShare = d.IceShare ?? 0 },
            "pour_back" => new CookAction.PourBack(when, Grams()),
            "salt" => new CookAction.AddSalt(when, Grams()),
            "measure" => new CookAction.SetLiquor(when, Grams())
            {
                BoilDown = d.BoilDownMinutes is { } minutes ? Duration.FromMinutes(Math.Clamp(minutes, -1, 100_000)) : null,
            },
            "top_up" => new CookAction.TopUp(when, checks.Within(d.Centimetres ?? double.NaN, -20, 40, $"{at}.centimetres"), Celsius(100)),
            "keep_level" => new CookAction.KeepLevel(
                when,
                d.Centimetres is { } level ? checks.Within(level, -20, 40, $"{at}.centimetres") : null
            ),
            "heat" => new CookAction.Heat(when, ClosedSet.Read<Flame>(d.Flame, $"{at}.flame", checks))
            {
                Net = d.Watts is { } watts ? Power.FromWatts(checks.Within(watts, 0, 10_000, $"{at}.watts")) : null,
            },
            "pressurise" => new CookAction.Pressurise(
                when,
                d.Setting switch
                {
                    "high" or null => true,
                    "low" => false,
                    _ => Unknown($"{at}.setting"),
                }
            ),
            "release" => new CookAction.Release(when, ClosedSet.Read<ReleaseKind>(d.Setting, $"{at}.setting", checks)),
            "transfer" => new CookAction.Transfer(when, d.To ?? string.Empty, ClosedSet.Read<TransferWhat>(d.What, $"{at}.what", checks))
            {
                IngredientId = d.Ingredient,
                Most = d.Grams is null ? null : Grams(),
            },
            "mash" => new CookAction.Mash(when, Id(), d.Share ?? double.NaN),
            "thicken" => new CookAction.Thicken(
                when,
                Grams(),
                Mass.FromGrams(checks.Within(d.WaterGrams ?? 0, 0, 5000, $"{at}.waterGrams"))
            ),
            "cover" => new CookAction.Cover(when, ClosedSet.Read<Lid>(d.Lid, $"{at}.lid", checks))
            {
                With = d.With is null ? null : ClosedSet.Read<SealMaterial>(d.With, $"{at}.with", checks),
            },
            "stir" => new CookAction.Stir(when),
            "serve" => new CookAction.Serve(when),
            _ => checks.Refuse<CookAction>("cook.unknown_action", $"{at}.do"),
        };
        return action is null ? null : action with { StepId = d.Mark, In = d.In };
    }

    private bool Unknown(string at)
    {
        checks.Add("request.unknown_word", at);
        return false;
    }

    private Look LookOf(LookDocument d, string at) =>
        new(
            d.Ingredient ?? checks.Refuse<string>("request.missing", $"{at}.ingredient") ?? string.Empty,
            checks.Within(d.Doneness, 0, 400, $"{at}.doneness"),
            Duration.FromMinutes(checks.Within(d.AgainMinutes, 1, 240, $"{at}.againMinutes"))
        )
        {
            Also =
            [
                .. (d.Also ?? []).Select(
                    (o, i) =>
                        new LookAlso(
                            o?.Ingredient ?? checks.Refuse<string>("request.missing", $"{at}.also[{i}].ingredient") ?? string.Empty,
                            checks.Within(o?.Doneness ?? 0, 0, 400, $"{at}.also[{i}].doneness")
                        )
                ),
            ],
            LidOff = d.LidOff is { } off
                ? new LidOff(
                    Mass.FromGrams(checks.Within(off.OverGrams, 0, 10_000, $"{at}.lidOff.overGrams")),
                    Duration.FromMinutes(checks.Within(off.LongestMinutes, 1, 60, $"{at}.lidOff.longestMinutes"))
                )
                : null,
            NotYet = d.NotYet is { } no
                ? new NotYet(
                    ClosedSet.Read<Flame>(no.Flame, $"{at}.notYet.flame", checks),
                    Mass.FromGrams(checks.Within(no.SprinkleGrams ?? 0, 0, 1000, $"{at}.notYet.sprinkleGrams"))
                )
                {
                    Longest = no.LongestMinutes is { } longest
                        ? Duration.FromMinutes(checks.Within(longest, 1, 240, $"{at}.notYet.longestMinutes"))
                        : null,
                    LockAgain = no.LockAgain is { } again
                        ? new LockAgain(
                            checks.Within(again.Below, 0, 400, $"{at}.notYet.lockAgain.below"),
                            Duration.FromMinutes(checks.Within(again.Minutes, 1, 60, $"{at}.notYet.lockAgain.minutes"))
                        )
                        : null,
                }
                : null,
        };

    private Trigger When(WhenDocument? d, string at) =>
        d is null
            ? Trigger.Next
            : new(
                d.NotBefore is { } notBefore ? Instant.FromDateTimeOffset(notBefore) : null,
                d.After is null ? null : ClosedSet.Read<PotEvent>(d.After, $"{at}.after", checks),
                d.DelayMinutes is { } minutes ? Duration.FromMinutes(checks.Within(minutes, 0, 2880, $"{at}.delayMinutes")) : null,
                d.Look is not { } look ? null : LookOf(look, $"{at}.look")
            )
            {
                Count = d.Count ?? 1,
                AfterStep = d.AfterMark,
            };
}
