using System.Text.Json;
using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning;
using BrightKettle.Data;
using BrightKettle.Data.Events;
using BrightKettle.Data.Records;
using BrightKettle.Server.Contracts;
using BrightKettle.Server.Formats;
using BrightKettle.Server.Problems;
using BrightKettle.Server.Stove;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using NodaTime;

namespace BrightKettle.Server.Endpoints;

/// <summary>Saved dinners: each change is an event, the list is their projection.</summary>
public static class CookEndpoints
{
    private const int LongestTitle = 120;

    public static void Map(IEndpointRouteBuilder routes)
    {
        routes.MapGet("/api/cooks", List);
        routes.MapGet("/api/cooks/{id:guid}", Get);
        routes.MapGet("/api/cooks/{id:guid}/cook.json", Export);
        routes.MapPost("/api/cooks/{id:guid}", Save);
        routes.MapPut("/api/cooks/{id:guid}", Change);
        routes.MapPost("/api/cooks/{id:guid}/deletion", Delete);
        routes.MapPost("/api/cooks/{id:guid}/restoration", Restore);
    }

    public static async Task<Ok<IReadOnlyList<CookLineDto>>> List(KettleDb db, CancellationToken cancel)
    {
        var rows = await db.Cooks.AsNoTracking().Where(c => !c.Deleted).OrderBy(c => c.ServeAt).Take(500).ToListAsync(cancel);
        return TypedResults.Ok<IReadOnlyList<CookLineDto>>([.. rows.Select(row =>
        {
            var saved = SavedDinner.Read(row);
            return new CookLineDto(row.Id, row.Title, saved.PulseName, saved.RiceName, row.ServeAt, saved.Summary, row.StartedAt is not null, row.FinishedAt is not null, row.Version);
        })]);
    }

    public static async Task<Results<Ok<CookDto>, ProblemHttpResult>> Get(Guid id, KettleDb db, CancellationToken cancel) =>
        await db.Cooks.AsNoTracking().SingleOrDefaultAsync(c => c.Id == id && !c.Deleted, cancel) is { } row
            ? TypedResults.Ok(Dto(row))
            : KettleProblems.Missing();

    /// <summary>The cook in its exchange form.</summary>
    public static async Task<Results<Ok<CookDocument>, ProblemHttpResult>> Export(Guid id, KettleDb db, CancellationToken cancel) =>
        await db.Cooks.AsNoTracking().SingleOrDefaultAsync(c => c.Id == id && !c.Deleted, cancel) is { } row
            ? TypedResults.Ok(SavedDinner.Read(row).Cook)
            : KettleProblems.Missing();

    public static Task<Results<Ok<CookDto>, ProblemHttpResult>> Save(
        Guid id, CookChange change, KettleDb db, PulseCatalogue catalogue, Planner planner, TimeProvider clock, CancellationToken cancel) =>
        Write(id, CookProjection.Saved, change, db, catalogue, planner, clock, cancel);

    public static Task<Results<Ok<CookDto>, ProblemHttpResult>> Change(
        Guid id, CookChange change, KettleDb db, PulseCatalogue catalogue, Planner planner, TimeProvider clock, CancellationToken cancel) =>
        Write(id, CookProjection.Changed, change, db, catalogue, planner, clock, cancel);

    public static Task<Results<Ok<CookDto>, ProblemHttpResult>> Delete(
        Guid id, CookMark mark, KettleDb db, TimeProvider clock, CancellationToken cancel) =>
        Mark(id, CookProjection.Deleted, mark, db, clock, cancel);

    public static Task<Results<Ok<CookDto>, ProblemHttpResult>> Restore(
        Guid id, CookMark mark, KettleDb db, TimeProvider clock, CancellationToken cancel) =>
        Mark(id, CookProjection.Restored, mark, db, clock, cancel);

    private static async Task<Results<Ok<CookDto>, ProblemHttpResult>> Write(
        Guid id, string kind, CookChange change, KettleDb db, PulseCatalogue catalogue, Planner planner, TimeProvider clock, CancellationToken cancel)
    {
        var kitchen = await KitchenStore.ReadAsync(db, cancel);
        var checks = new FieldChecks();
        if (change.EventId == Guid.Empty)
        {
            checks.Add("request.event_id", "eventId");
        }

        if (string.IsNullOrWhiteSpace(change.Title) || change.Title.Length > LongestTitle)
        {
            checks.Add("request.missing", "title");
        }

        if (change.Dish is null)
        {
            checks.Add("request.missing", "dish");
            return KettleProblems.Invalid(checks);
        }

        // A retry of what is written already must not be planned and refused anew when its hour has passed meanwhile.
        if (await db.CookEvents.AsNoTracking().AnyAsync(e => e.Id == change.EventId, cancel))
        {
            return await Get(id, db, cancel);
        }

        if (kind == CookProjection.Changed && await db.Cooks.AsNoTracking().AnyAsync(c => c.Id == id && c.StartedAt != null, cancel))
        {
            return KettleProblems.Invalid("cook.under_way", "dish");
        }

        var dish = new DishMapper(catalogue, kitchen, Instant.FromDateTimeOffset(clock.GetUtcNow())).Map(change.Dish, checks);
        if (dish is null || checks.Any)
        {
            return KettleProblems.Invalid(checks);
        }

        var answer = planner.Plan(dish);
        if (answer is PlanAnswer.Refused { Refusal: var refusal })
        {
            return KettleProblems.Refused(refusal, dish);
        }

        var plan = ((PlanAnswer.Planned)answer).Plan;
        var saved = new SavedDinner(change.Title.Trim(), change.Dish, dish.Pulse.Said, dish.Rice?.Said, PlanMapper.Summary(plan), CookWriter.Write(plan.Cook));
        var happened = StoveEvents.Make(id, kind, change.EventId, change.OccurredAt, change.BasedOn, clock, saved.Json(), dish.Seed);
        return Answer(await new CookJournal(db).AppendAsync(happened, saved.Title, dish.ServeAt.ToDateTimeOffset(), cancel));
    }

    private static async Task<Results<Ok<CookDto>, ProblemHttpResult>> Mark(
        Guid id, string kind, CookMark mark, KettleDb db, TimeProvider clock, CancellationToken cancel)
    {
        if (mark.EventId == Guid.Empty)
        {
            return KettleProblems.Invalid("request.event_id", "eventId");
        }

        if (await db.Cooks.AsNoTracking().SingleOrDefaultAsync(c => c.Id == id, cancel) is not { } row)
        {
            return KettleProblems.Missing();
        }

        var undone = kind == CookProjection.Restored
            ? await db.CookEvents.AsNoTracking().Where(e => e.CookId == id && e.Kind == CookProjection.Deleted).OrderByDescending(e => e.Sequence).Select(e => (Guid?)e.Id).FirstOrDefaultAsync(cancel)
            : null;
        var happened = StoveEvents.Make(id, kind, mark.EventId, mark.OccurredAt, mark.BasedOn, clock, string.Empty, row.Seed, undone);
        return Answer(await new CookJournal(db).AppendAsync(happened, row.Title, row.ServeAt, cancel));
    }

    private static Results<Ok<CookDto>, ProblemHttpResult> Answer(Recorded recorded) => recorded switch
    {
        Recorded.Done done => TypedResults.Ok(Dto(done.Cook)),
        Recorded.Conflict conflict => KettleProblems.Conflict("cook.conflict", Dto(conflict.Cook)),
        _ => KettleProblems.Missing(),
    };

    private static CookDto Dto(CookRow row)
    {
        var saved = SavedDinner.Read(row);
        return new(
            row.Id,
            row.Title,
            saved.Dish,
            saved.Summary,
            row.Seed,
            row.ModelVersion,
            row.ParameterVersion,
            row.ModelVersion != Simulator.ModelVersion || row.ParameterVersion != PulseCatalogue.ParameterVersion,
            row.Deleted,
            row.StartedAt is not null,
            row.Version);
    }
}

/// <summary>What an event of saving carries.</summary>
public sealed record SavedDinner(string Title, DishDto Dish, string PulseName, string? RiceName, SavedSummaryDto Summary, CookDocument Cook)
{
    private static readonly JsonSerializerOptions Options = new(JsonSerializerDefaults.Web);

    public static SavedDinner Read(CookRow row)
    {
        ArgumentNullException.ThrowIfNull(row);
        return JsonSerializer.Deserialize<SavedDinner>(row.Payload, Options)
            ?? throw new InvalidOperationException($"The payload of cook {row.Id} is empty.");
    }

    public string Json() => JsonSerializer.Serialize(this, Options);
}
