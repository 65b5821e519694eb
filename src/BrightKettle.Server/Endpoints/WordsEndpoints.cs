using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Words;
using BrightKettle.Data;
using BrightKettle.Server.Contracts;
using BrightKettle.Server.Problems;
using Microsoft.AspNetCore.Http.HttpResults;
using NodaTime;

namespace BrightKettle.Server.Endpoints;

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
        WordsRequest request, KettleDb db, PulseCatalogue catalogue, VagueWords words, TimeProvider clock, CancellationToken cancel)
    {
        if (request.Phrase is null || request.Dish is null)
        {
            return KettleProblems.Invalid("request.missing", request.Phrase is null ? "phrase" : "dish");
        }

        var kitchen = await KitchenStore.ReadAsync(db, cancel);
        var checks = new FieldChecks();
        if (new DishMapper(catalogue, kitchen, Instant.FromDateTimeOffset(clock.GetUtcNow())).Map(request.Dish, checks) is not { } dish)
        {
            return KettleProblems.Invalid(checks);
        }

        var against = new WordsKitchen(
            dish.Vessel,
            dish.Pulse,
            dish.PulseDry,
            dish.Burner,
            kitchen.Vessels.FirstOrDefault(v => v.Cooker?.Kind == CookerKind.Weight),
            kitchen.Vessels.FirstOrDefault(v => v.Cooker?.Kind == CookerKind.Slow),
            kitchen.Row.CupMillilitres,
            kitchen.Household.Room.Celsius);
        return TypedResults.Ok<IReadOnlyList<WordAnswerDto>>(
            [.. words.Answer(request.Phrase, against).Select(a => new WordAnswerDto(a.Code, WordSentences.For(a), a.Low, a.Typical, a.High, a.Unit, a.Confidence))]);
    }

    /// <summary>A dinner in one line; what it does not say stays as it is.</summary>
    public static async Task<Results<Ok<LineAnswerDto>, ProblemHttpResult>> Line(
        LineRequest request, KettleDb db, PulseCatalogue catalogue, DishLine lines, TimeProvider clock, CancellationToken cancel)
    {
        if (request.Line is null || request.Dish is null || request.Line.Length > 400)
        {
            return KettleProblems.Invalid(request.Line is { Length: > 400 } ? "words.too_long" : "request.missing", request.Dish is null ? "dish" : "line");
        }

        var kitchen = await KitchenStore.ReadAsync(db, cancel);
        return TypedResults.Ok(new LineMapper(catalogue, kitchen, Instant.FromDateTimeOffset(clock.GetUtcNow())).Map(lines.Read(request.Line), request.Dish));
    }
}
