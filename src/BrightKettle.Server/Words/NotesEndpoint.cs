using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Words.FromNotes;
using BrightKettle.Server.Answers;
using BrightKettle.Server.Exchange;
using BrightKettle.Server.Planning;
using Microsoft.AspNetCore.Http.HttpResults;

namespace BrightKettle.Server.Words;

/// <summary>Somebody's notes: understood, asked back, doubted, forecast as they stand and planned anew beside.</summary>
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

        var read = Meant(RecipeReader.Read(request.Text, reader, kitchen.Row.CupMillilitres), answers, catalogue);
        var questions = check.Questions(answers.PutInto(read, catalogue)).Where(q => !IsAnswered(q.Code, answers)).ToList();
        // What was not answered is taken as usual, and stays asked.
        var taken = answers.WithLikely(questions);
        var notes = taken.PutInto(read, catalogue);
        var (cook, cannot) = NotesInKitchen.Cook(notes, taken, catalogue, kitchen, vessel, dishes.Now);
        var (gives, style) = cook is null ? default : await NotesInKitchen.GivesAsync(cook, kitchen, dishes.Work);
        var dish = NotesDish.Of(notes, request.Dish, kitchen, style, catalogue);
        return TypedResults.Ok(
            new NotesDto(
                notes.Title,
                notes.People,
                [.. notes.Amounts.Select(a => Amount(a, catalogue))],
                [
                    .. notes.Steps.Select(s => new NoteStepDto(
                        s.Line,
                        ClosedSet.Word(s.Act),
                        s.Minutes?.Low,
                        s.Minutes?.High,
                        s.Whistles,
                        s.Until is { } until ? ClosedSet.Word(until) : null,
                        s.IfNeeded
                    )),
                ],
                [.. questions.Select(Question)],
                [.. check.Doubts(notes).Select(d => new NoteDoubtDto(d.Code, WordSentences.Doubt(d)))],
                gives,
                cannot,
                cook is null || dish is null ? null : await NotesInKitchen.OwnAsync(dish, dishes, cancel),
                dish
            )
        );
    }

    /// <summary>A name that means several pulses, as it was answered.</summary>
    private static Notes Meant(Notes notes, NoteAnswers answers, PulseCatalogue catalogue) =>
        answers.PulseId is { } id
        && notes.Pulse is { Others.Count: > 0 } pulse
        && catalogue.FindPulse(id) is { } meant
        && meant.Id != pulse.Id
            ? notes with
            {
                Amounts =
                [
                    .. notes.Amounts.Select(a =>
                        a == pulse
                            ? a with
                            {
                                Id = meant.Id,
                                Name = meant.Said,
                                Others = [a.Id!, .. a.Others.Where(o => o != meant.Id)],
                            }
                            : a
                    ),
                ],
            }
            : notes;

    private static NoteAmountDto Amount(NoteAmount a, PulseCatalogue catalogue) =>
        new(
            a.Line,
            a.Kind,
            a.Id,
            a.Name,
            a.Grams is { } g ? Math.Round(g) : null,
            a.Cooked,
            [.. a.Others.Select(o => new LineOtherDto(o, catalogue.FindPulse(o)!.Said))]
        );

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
        return new(q.Code, text, unit, [.. q.Choices.Select(c => new NoteChoiceDto(c, WordSentences.Choice(c)))], q.Likely);
    }
}
