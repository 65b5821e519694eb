using System.Text.Json;
using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning;
using BrightKettle.Data;
using BrightKettle.Data.Events;
using BrightKettle.Data.Records;
using BrightKettle.Data.Stored;
using BrightKettle.Server.Answers;
using BrightKettle.Server.Exchange;
using BrightKettle.Server.Planning;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;

namespace BrightKettle.Server.Record;

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
        routes.MapPut("/api/cooks/{id:guid}/title", Rename);
        routes.MapPost("/api/cooks/{id:guid}/deletion", Delete);
        routes.MapPost("/api/cooks/{id:guid}/restoration", Restore);
        routes.MapPost("/api/cooks/{id:guid}/leaving-out", LeaveOut);
        routes.MapPost("/api/cooks/{id:guid}/counting", Count);
    }

    private const int PageLength = 50;
    private const int LongestPage = 200;

    /// <summary>Kept dinners, the latest hour first, a page at a time.</summary>
    /// <param name="after">The last of the page before, as that page names it; null for the first page.</param>
    /// <param name="take">1 to 200; 50 when it is not said.</param>
    /// <param name="find">Words of the title, or of the pulse by any of its names; all when it is not said.</param>
    public static async Task<Results<Ok<CookPageDto>, ProblemHttpResult>> List(
        KettleDb db,
        PulseCatalogue catalogue,
        CancellationToken cancel,
        Guid? after = null,
        int take = PageLength,
        string? find = null
    )
    {
        var checks = new FieldFaults();
        take = (int)checks.Within(take, 1, LongestPage, "take");
        if (!string.IsNullOrWhiteSpace(find))
        {
            find = checks.Text(find, LongestTitle, "find");
        }

        if (checks.Any)
        {
            return KettleProblems.Invalid(checks);
        }

        var kept = db.Cooks.AsNoTracking().Where(c => !c.Deleted).Where(CookSearch.For(find, catalogue));
        var all = await kept.CountAsync(cancel);
        if (after is { } id)
        {
            // The place is known by the row even when it was deleted meanwhile.
            if (
                await db.Cooks.AsNoTracking().Where(c => c.Id == id).Select(c => (DateTimeOffset?)c.ServeAt).SingleOrDefaultAsync(cancel)
                is not { } from
            )
            {
                return KettleProblems.Missing();
            }

            kept = kept.Where(c => c.ServeAt < from || (c.ServeAt == from && c.Id.CompareTo(id) < 0));
        }

        var rows = await kept.OrderByDescending(c => c.ServeAt).ThenByDescending(c => c.Id).Take(take + 1).ToListAsync(cancel);
        return TypedResults.Ok(new CookPageDto([.. rows.Take(take).Select(Line)], rows.Count > take ? rows[take - 1].Id : null, all));
    }

    private static CookLineDto Line(CookRow row)
    {
        var saved = SavedDinner.Read(row);
        return new(
            row.Id,
            row.Title,
            saved.PulseName,
            saved.RiceName,
            row.ServeAt,
            saved.Summary,
            row.StartedAt is not null,
            row.FinishedAt is not null,
            row.Version
        );
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

    /// <summary>Keeps a new dinner; 409 when there is one of this id.</summary>
    public static Task<Results<Ok<CookDto>, ProblemHttpResult>> Save(
        Guid id,
        CookChange change,
        KettleDb db,
        DishRequestReader dishes,
        TimeProvider clock,
        CancellationToken cancel
    ) => Write(id, CookProjection.Saved, change, db, dishes, clock, cancel);

    /// <summary>Changes a kept dinner that is neither deleted nor at the stove.</summary>
    public static Task<Results<Ok<CookDto>, ProblemHttpResult>> Change(
        Guid id,
        CookChange change,
        KettleDb db,
        DishRequestReader dishes,
        TimeProvider clock,
        CancellationToken cancel
    ) => Write(id, CookProjection.Changed, change, db, dishes, clock, cancel);

    /// <summary>Another title, whether it is to come, under way or past.</summary>
    public static async Task<Results<Ok<CookDto>, ProblemHttpResult>> Rename(
        Guid id,
        CookTitle title,
        KettleDb db,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        var checks = Titled(title.EventId, title.Title);
        if (checks.Any)
        {
            return KettleProblems.Invalid(checks);
        }

        if (await db.Cooks.AsNoTracking().SingleOrDefaultAsync(c => c.Id == id, cancel) is not { } row)
        {
            return KettleProblems.Missing();
        }

        var named = title.Title.Trim();
        var payload = new RenamedForm(named).Write();
        var happened = CookEvents.Make(
            id,
            CookProjection.Renamed,
            title.EventId,
            title.OccurredAt,
            title.BasedOn,
            clock,
            payload,
            row.Seed
        );
        return Answer(await new CookJournal(db).AppendAsync(happened, named, row.ServeAt, cancel));
    }

    public static Task<Results<Ok<CookDto>, ProblemHttpResult>> Delete(
        Guid id,
        CookMark mark,
        KettleDb db,
        TimeProvider clock,
        CancellationToken cancel
    ) => Mark(id, CookProjection.Deleted, mark, db, clock, cancel);

    public static Task<Results<Ok<CookDto>, ProblemHttpResult>> Restore(
        Guid id,
        CookMark mark,
        KettleDb db,
        TimeProvider clock,
        CancellationToken cancel
    ) => Mark(id, CookProjection.Restored, mark, db, clock, cancel);

    /// <summary>Nothing is to be learned from this dinner; all that was is as if it had never been cooked.</summary>
    public static Task<Results<Ok<CookDto>, ProblemHttpResult>> LeaveOut(
        Guid id,
        CookMark mark,
        KettleDb db,
        TimeProvider clock,
        CancellationToken cancel
    ) => Mark(id, CookProjection.LeftOut, mark, db, clock, cancel);

    /// <summary>It counts again.</summary>
    public static Task<Results<Ok<CookDto>, ProblemHttpResult>> Count(
        Guid id,
        CookMark mark,
        KettleDb db,
        TimeProvider clock,
        CancellationToken cancel
    ) => Mark(id, CookProjection.Counted, mark, db, clock, cancel);

    /// <summary>What is wrong with an event that gives a title.</summary>
    private static FieldFaults Titled(Guid eventId, string? title)
    {
        var checks = new FieldFaults();
        if (eventId == Guid.Empty)
        {
            checks.Add("request.event_id", "eventId");
        }

        checks.Text(title, LongestTitle, "title");
        return checks;
    }

    private static async Task<Results<Ok<CookDto>, ProblemHttpResult>> Write(
        Guid id,
        string kind,
        CookChange told,
        KettleDb db,
        DishRequestReader dishes,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        // The address says which dinner it is.
        var change = told.Dish is null ? told : told with { Dish = told.Dish with { KeptAs = null } };
        var checks = Titled(change.EventId, change.Title);

        // A retry of what is written already must not be planned and refused anew when its hour has passed meanwhile.
        if (await db.CookEvents.AsNoTracking().SingleOrDefaultAsync(e => e.Id == change.EventId, cancel) is { } written)
        {
            return written.CookId == id && written.Kind == kind && change.Dish is not null && SavedDinner.Read(written).IsOf(change)
                ? await Get(id, db, cancel)
                : KettleProblems.IdTaken();
        }

        if (await db.Cooks.AsNoTracking().AnyAsync(c => c.Id == id && c.StartedAt != null, cancel))
        {
            return KettleProblems.Conflict("cook.under_way");
        }

        var asked = await dishes.ReadAsync(told.Dish is null ? null : told.Dish with { KeptAs = id }, cancel, checks);
        if (asked.Dish is not { } dish || checks.Any)
        {
            return asked.Problem;
        }

        if (await dishes.PlanAsync(asked) is not PlanAnswer.Planned { Plan: var plan })
        {
            return PlanProblems.Refused(((PlanAnswer.Refused)await dishes.PlanAsync(asked)).Refusal, dish);
        }

        var saved = SavedDinner.Of(change.Title.Trim(), change.Dish, plan);
        var happened = CookEvents.Make(id, kind, change.EventId, change.OccurredAt, change.BasedOn, clock, saved.Json(), dish.Seed);
        return Answer(await new CookJournal(db).AppendAsync(happened, saved.Title, dish.ServeAt.ToDateTimeOffset(), cancel));
    }

    private static async Task<Results<Ok<CookDto>, ProblemHttpResult>> Mark(
        Guid id,
        string kind,
        CookMark mark,
        KettleDb db,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        if (mark.EventId == Guid.Empty)
        {
            return KettleProblems.Invalid("request.event_id", "eventId");
        }

        if (await db.Cooks.AsNoTracking().SingleOrDefaultAsync(c => c.Id == id, cancel) is not { } row)
        {
            return KettleProblems.Missing();
        }

        var undone =
            kind == CookProjection.Restored
                ? await db
                    .CookEvents.AsNoTracking()
                    .Where(e => e.CookId == id && e.Kind == CookProjection.Deleted)
                    .OrderByDescending(e => e.Sequence)
                    .Select(e => (Guid?)e.Id)
                    .FirstOrDefaultAsync(cancel)
                : null;
        var happened = CookEvents.Make(id, kind, mark.EventId, mark.OccurredAt, mark.BasedOn, clock, string.Empty, row.Seed, undone);
        return Answer(await new CookJournal(db).AppendAsync(happened, row.Title, row.ServeAt, cancel));
    }

    private static Results<Ok<CookDto>, ProblemHttpResult> Answer(Recorded recorded) =>
        recorded is Recorded.Done done ? TypedResults.Ok(Dto(done.Cook)) : Refused(recorded);

    /// <summary>Why an event of a cook was not written.</summary>
    internal static ProblemHttpResult Refused(Recorded recorded) =>
        recorded switch
        {
            Recorded.Conflict conflict => KettleProblems.Conflict("cook.conflict", Dto(conflict.Cook)),
            Recorded.Exists exists => KettleProblems.Conflict("cook.exists", Dto(exists.Cook)),
            Recorded.Gone gone => KettleProblems.Conflict("cook.deleted", Dto(gone.Cook)),
            Recorded.IdTaken => KettleProblems.IdTaken(),
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
            row.Version
        );
    }
}
