using System.Globalization;
using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Safety;
using BrightKettle.Core.Words;
using BrightKettle.Server.Answers;
using BrightKettle.Server.Exchange;
using BrightKettle.Server.Kitchen;
using BrightKettle.Server.Planning;
using BrightKettle.Server.Work;
using Microsoft.AspNetCore.Http.HttpResults;
using NodaTime;
using Said = BrightKettle.Server.Messages.Messages;

namespace BrightKettle.Server.Words;

/// <summary>Somebody's notes: understood, asked back, doubted, and, once all is answered, forecast as they stand and planned
/// anew.</summary>
public static class NotesEndpoint
{
    private const int MostLetters = 40_000;

    public static async Task<Results<Ok<NotesDto>, ProblemHttpResult>> Read(
        NotesRequest request,
        DishRequestReader dishes,
        NotesReader reader,
        NotesCheck check,
        CancellationToken cancel
    )
    {
        var catalogue = dishes.Catalogue;
        if (string.IsNullOrWhiteSpace(request.Text) || request.Dish is null)
        {
            return KettleProblems.Invalid("request.missing", request.Dish is null ? "dish" : "text");
        }

        if (request.Text.Length > MostLetters)
        {
            return KettleProblems.Invalid("words.too_long", "text");
        }

        var checks = new FieldFaults();
        var answers = Answers(request.Answers ?? new(), catalogue, checks);
        var kitchen = await dishes.KitchenAsync(cancel);
        var vessel = kitchen.Vessels.FirstOrDefault(v => v.Id == request.Dish.VesselId)
            ?? checks.Refuse<Vessel>("kitchen.unknown_vessel", "dish.vesselId");
        if (checks.Any || vessel is null)
        {
            return KettleProblems.Invalid(checks);
        }

        var notes = NotesCook.Answered(RecipeReader.Read(request.Text, reader, kitchen.Row.CupMillilitres), answers, catalogue);
        var questions = check.Questions(notes).Where(q => !IsAnswered(q.Code, answers)).ToList();
        var complete = questions.Count == 0;
        return TypedResults.Ok(
            new NotesDto(
                notes.Title,
                notes.People,
                [
                    .. notes.Amounts.Select(a => new NoteAmountDto(
                        a.Line,
                        a.Kind,
                        a.Id,
                        a.Name,
                        a.Grams is { } g ? Math.Round(g) : null,
                        a.Cooked
                    )),
                ],
                [.. notes.Steps.Select(s => new NoteStepDto(s.Line, ClosedSet.Word(s.Act), s.Minutes?.Low, s.Minutes?.High, s.Whistles))],
                [.. questions.Select(Question)],
                [.. check.Doubts(notes).Select(d => new NoteDoubtDto(d.Code, WordSentences.Doubt(d)))],
                complete && Cook(notes, answers, catalogue, kitchen, vessel, dishes.Now) is { } cook
                    ? await GivesAsync(cook, kitchen, dishes.Work)
                    : null,
                complete ? Dish(notes, request.Dish, kitchen) : null
            )
        );
    }

    private static NoteAnswers Answers(NoteAnswersDto dto, PulseCatalogue catalogue, FieldFaults checks)
    {
        double? Within(double? value, double low, double high, string field) =>
            value is { } v ? checks.Within(v, low, high, $"answers.{field}") : null;
        string? OneOf(string? word, string field, params string[] words)
        {
            if (word is null || words.Contains(word))
            {
                return word;
            }

            checks.Add("request.unknown_word", $"answers.{field}");
            return null;
        }

        if (dto.PulseId is { } id && catalogue.FindPulse(id) is null)
        {
            checks.Add("catalogue.unknown_pulse", "answers.pulseId");
        }

        return new(
            dto.PulseId,
            Within(dto.PulseGrams, 20, 5000, "pulseGrams"),
            Within(dto.RiceGrams, 20, 5000, "riceGrams"),
            Within(dto.WaterGrams, 50, 20_000, "waterGrams"),
            Within(dto.Minutes, 1, 1440, "minutes"),
            OneOf(dto.Soak, "soak", "none", "overnight", "quick"),
            OneOf(dto.Lid, "lid", "on", "ajar", "open"),
            OneOf(dto.ClockStart, "clockStart", "boil", "heat_on", "pressure_up"),
            OneOf(dto.Release, "release", "natural", "quick"),
            Within(dto.SaltGrams, 0, 500, "saltGrams")
        );
    }

    /// <summary>Facts that the notes themselves never carry, once somebody gave them.</summary>
    private static bool IsAnswered(string code, NoteAnswers answers) =>
        code switch
        {
            "lid" => answers.Lid is not null,
            "clock_start" => answers.ClockStart is not null,
            "release" => answers.Release is not null,
            "salt" => answers.SaltGrams is not null,
            _ => false,
        };

    private static NoteQuestionDto Question(NoteQuestion q)
    {
        var (text, unit) = WordSentences.Question(q.Code);
        return new(q.Code, text, unit, [.. q.Choices.Select(c => new NoteChoiceDto(c, WordSentences.Choice(c)))]);
    }

    /// <summary>The notes as they stand, as a cook of this kitchen; null when they cannot be run here.</summary>
    private static Cook? Cook(Notes notes, NoteAnswers answers, PulseCatalogue catalogue, KitchenState kitchen, Vessel vessel, Instant now)
    {
        var act = notes.Cooking?.Act;
        var cooker =
            act is NoteAct.Pressure or NoteAct.Whistles
                ? kitchen.Vessels.FirstOrDefault(v =>
                    v.Cooker is { UnderPressure: true } c && (act == NoteAct.Pressure || c.Kind == CookerKind.Weight)
                )
            : act == NoteAct.Slow ? kitchen.Vessels.FirstOrDefault(v => v.Cooker?.Kind == CookerKind.Slow)
            : vessel;
        if (cooker is null)
        {
            return null;
        }

        var home = kitchen.Household;
        var place = new CookKitchen(cooker, kitchen.Burners[0], home.Altitude, home.Room)
        {
            HardnessMilligramsPerLitre = home.HardnessMilligramsPerLitre,
        };
        return NotesCook.Of(notes, answers, catalogue, place, now) is { } cook && CookRules.Check(cook) is null ? cook : null;
    }

    private static async Task<NotesGiveDto> GivesAsync(Cook cook, KitchenState kitchen, RequestWork work)
    {
        // Notes say no hour: nobody knows who is at home then.
        var house = GateHouse.Of(kitchen.Household) with { Attended = null };
        var forecast = await work.RunAsync(WorkLength.Lengthy, simulator =>
            new Forecaster(simulator).Run(cook, Targets.Lenient, picture: false, gates: Gates.InOnePot(cook, house))
        );
        return new(
            Told(cook, forecast),
            forecast.ShareTender,
            [.. forecast.Gates.Where(g => g.Blocks).Select(g => new GateDto(g.Code, g.IngredientId, g.Action, g.Blocks))],
            CookWriter.Write(cook)
        );
    }

    private static string Told(Cook cook, Forecast forecast)
    {
        if (forecast.Reference.StalledAt is not null)
        {
            return Said.NotesNever();
        }

        var pulse = (PulseIngredient)cook.Ingredients[0];
        var final = forecast.Reference.Final;
        var rice =
            cook.Ingredients.Count > 1 && cook.Ingredients[1] is RiceIngredient
                ? WordSentences.FeltRice(Doneness.Felt(final[1].Doneness, null))
                : null;
        return Said.NotesGives(
            WordSentences.Felt(Doneness.Felt(final[0].Doneness, pulse.Pulse.FallsApartAt)),
            rice,
            Math.Round(PotGeometry.LiquorMillilitres(forecast.Reference.FinalLiquor, 90) / 10) * 10,
            Math.Round(forecast.ShareTender * 10)
        );
    }

    /// <summary>What the planner is asked: the notes' amounts and method, in this kitchen.</summary>
    private static DishDto? Dish(Notes notes, DishDto dish, KitchenState kitchen)
    {
        if (notes.Pulse is not { Id: { } pulse, Grams: { } grams } line)
        {
            return null;
        }

        var act = notes.Cooking?.Act;
        var method =
            line.Cooked ? Method.Cooked
            : act is NoteAct.Pressure or NoteAct.Whistles ? Method.Pressure
            : act == NoteAct.Slow ? Method.SlowCooker
            : Method.OpenPot;
        var cooker = method is Method.Pressure or Method.SlowCooker
            ? kitchen.Vessels.FirstOrDefault(v => v.Cooker is { } c && c.UnderPressure == (method == Method.Pressure))
            : null;
        return dish with
        {
            PulseId = pulse,
            Pulse = new(Math.Round(grams), "g"),
            RiceId = notes.Rice?.Id,
            Rice = notes.Rice is { Grams: { } rice } ? new(Math.Round(rice), "g") : null,
            People = notes.People ?? dish.People,
            Soak = ClosedSet.Word(
                line.Cooked ? SoakChoice.None
                : notes.Has(NoteAct.QuickSoak) ? SoakChoice.Quick
                : notes.Has(NoteAct.Soak) ? SoakChoice.Overnight
                : SoakChoice.None
            ),
            Method = ClosedSet.Word(cooker is null && method is Method.Pressure or Method.SlowCooker ? Method.OpenPot : method),
            CookerId = cooker?.Id,
            Extras =
            [
                .. notes
                    .Amounts.Where(a => a is { Kind: "extra", Id: not null })
                    .DistinctBy(a => a.Id)
                    .Take(12)
                    .Select(a => new ExtraWishDto(a.Id!, a.Grams is > 0.1 and < 5000 ? new(Math.Round(a.Grams.Value, 1), "g") : null)),
            ],
            Pull = null,
        };
    }
}
