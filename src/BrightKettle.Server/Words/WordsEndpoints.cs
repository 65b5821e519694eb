using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Words;
using BrightKettle.Core.Words.Measures;
using BrightKettle.Server.Answers;
using BrightKettle.Server.Planning;
using BrightKettle.Server.Work;
using Microsoft.AspNetCore.Http.HttpResults;

namespace BrightKettle.Server.Words;

/// <summary>What people say: a dinner in one line, vague words, somebody's notes.</summary>
public static class WordsEndpoints
{
    public static void Map(IEndpointRouteBuilder routes)
    {
        routes.MapPost("/api/words", Words);
        routes.MapPost("/api/line", Line);
        routes.MapPost("/api/notes", NotesEndpoint.Read);
    }

    /// <summary>A vague word in, figures for this pot and this bag out; an empty list when it means nothing here.</summary>
    public static async Task<Results<Ok<IReadOnlyList<WordAnswerDto>>, ProblemHttpResult>> Words(
        WordsRequest request,
        DishRequestReader dishes,
        CancellationToken cancel
    )
    {
        if (request.Phrase is null)
        {
            return KettleProblems.Invalid("request.missing", "phrase");
        }

        var asked = await dishes.ReadAsync(request.Dish, cancel);
        if (asked.Dish is not { } dish)
        {
            return asked.Problem;
        }

        var kitchen = asked.Kitchen;
        var against = new WordsKitchen(
            dish.Vessel,
            dish.Pulse,
            dish.PulseDry,
            dish.Burner,
            kitchen.Vessels.FirstOrDefault(v => v.Cooker?.Kind == CookerKind.Weight),
            kitchen.Vessels.FirstOrDefault(v => v.Cooker?.Kind == CookerKind.Slow),
            kitchen.Row.CupMillilitres,
            kitchen.Household.Room.Celsius
        );
        var answers = await dishes.Work.RunAsync(WorkLength.Quick, simulator =>
            new VagueWords(dishes.Catalogue, simulator).Answer(request.Phrase, against)
        );
        return TypedResults.Ok<IReadOnlyList<WordAnswerDto>>([
            .. answers.Select(a => new WordAnswerDto(a.Code, WordSentences.For(a), a.Low, a.Typical, a.High, a.Unit, a.Confidence)),
        ]);
    }

    private const int LongestLine = 400;

    /// <summary>A dinner in one line; what it does not say stays as it is.</summary>
    public static async Task<Results<Ok<LineAnswerDto>, ProblemHttpResult>> Line(
        LineRequest request,
        DishRequestReader dishes,
        DishLine lines,
        CancellationToken cancel
    )
    {
        if (request.Line is null || request.Dish is null || request.Line.Length > LongestLine)
        {
            return KettleProblems.Invalid(
                request.Line is { Length: > LongestLine } ? "words.too_long" : "request.missing",
                request.Dish is null ? "dish" : "line"
            );
        }

        var said = new LineMapper(dishes.Catalogue, await dishes.KitchenAsync(cancel), dishes.Now).Map(
            lines.Read(request.Line),
            request.Dish,
            PlainText.Of(request.Line)
        );
        return TypedResults.Ok(said with { Dish = await InAPotThatHoldsItAsync(said.Dish, dishes, cancel) });
    }

    /// <summary>A line names no pot: where the one of before is too small, the next that holds the dinner is taken.</summary>
    private static async Task<DishDto> InAPotThatHoldsItAsync(DishDto dish, DishRequestReader dishes, CancellationToken cancel)
    {
        var asked = await dishes.ReadAsync(dish, cancel);
        return
            asked.Dish is not null
            && await dishes.PlanAsync(asked) is PlanAnswer.Refused { Refusal: var refusal }
            && refusal.Alternatives.FirstOrDefault(a => a.Kind == "vessel") is { VesselId: { } larger }
            ? dish with
            {
                VesselId = larger,
            }
            : dish;
    }
}
