using System.Net.ServerSentEvents;
using System.Runtime.CompilerServices;
using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Stove;
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

/// <summary>Evenings at the stove: started from a kept dinner, told by whoever stands there, followed by all.</summary>
public static class StoveEndpoints
{
    public static void Map(IEndpointRouteBuilder routes)
    {
        routes.MapGet("/api/stove", List);
        routes.MapPost("/api/stove/{id:guid}/start", Start);
        routes.MapGet("/api/stove/{id:guid}", Get);
        routes.MapGet("/api/stove/{id:guid}/stream", Follow);
        routes.MapPost("/api/stove/{id:guid}/entries", Tell);
        routes.MapGet("/api/stove/{id:guid}/record", Record);
        routes.MapGet("/api/stove/{id:guid}/late", Late);
        routes.MapGet("/api/stove/{id:guid}/look", Look);
        routes.MapPost("/api/stove/{id:guid}/trouble", Help);
        routes.MapPost("/api/stove/{id:guid}/finish", Finish);
    }

    /// <summary>Evenings that are not closed, the latest first.</summary>
    public static async Task<Ok<IReadOnlyList<StoveLine>>> List(KettleDb db, PulseCatalogue catalogue, CancellationToken cancel)
    {
        var rows = await db.Cooks.AsNoTracking().Where(c => !c.Deleted && c.StartedAt != null && c.FinishedAt == null).OrderByDescending(c => c.StartedAt).Take(20).ToListAsync(cancel);
        var lines = new List<StoveLine>();
        foreach (var row in rows)
        {
            var stored = await StoredEvening.ReadAsync(db, catalogue, row.Id, cancel);
            lines.Add(new(row.Id, row.Title, row.StartedAt!.Value, row.ServeAt, stored?.Evening.ServedAt is not null));
        }

        return TypedResults.Ok<IReadOnlyList<StoveLine>>(lines);
    }

    /// <summary>Takes a kept dinner to the stove, as it was planned when it was kept; started twice, it is started once.</summary>
    public static async Task<Results<Ok<StoveDto>, ProblemHttpResult>> Start(
        Guid id, StoveStart start, KettleDb db, PulseCatalogue catalogue, Planner planner, StoveDesk desk, StoveBell bell, TimeProvider clock, CancellationToken cancel)
    {
        if (start.EventId == Guid.Empty)
        {
            return KettleProblems.Invalid("request.event_id", "eventId");
        }

        if (await db.Cooks.AsNoTracking().SingleOrDefaultAsync(c => c.Id == id && !c.Deleted, cancel) is not { } row)
        {
            return KettleProblems.Missing();
        }

        if (row.StartedAt is null)
        {
            var saved = SavedDinner.Read(row);
            var kitchen = await KitchenStore.ReadAsync(db, cancel);
            var checks = new FieldChecks();
            if (new DishMapper(catalogue, kitchen, Instant.FromDateTimeOffset(row.ChangedAt)).Map(saved.Dish, checks) is not { } dish || checks.Any)
            {
                return KettleProblems.Invalid(checks);
            }

            var answer = planner.Plan(dish);
            if (answer is PlanAnswer.Refused { Refusal: var refusal })
            {
                return KettleProblems.Refused(refusal, dish);
            }

            var plan = ((PlanAnswer.Planned)answer).Plan;
            var happened = StoveEvents.Make(id, CookProjection.Started, start.EventId, start.OccurredAt, start.BasedOn, clock, StartedCook.Of(row.Title, saved.Dish, plan).Json(), dish.Seed);
            switch (await new CookJournal(db).AppendAsync(happened, row.Title, row.ServeAt, cancel))
            {
                case Recorded.Conflict { Cook.StartedAt: null } conflict:
                    return KettleProblems.Conflict("cook.conflict", new { version = conflict.Cook.Version });
                case Recorded.Missing:
                    return KettleProblems.Missing();
            }

            bell.Ring(id);
        }

        return await Get(id, db, desk, cancel);
    }

    public static async Task<Results<Ok<StoveDto>, ProblemHttpResult>> Get(Guid id, KettleDb db, StoveDesk desk, CancellationToken cancel) =>
        await desk.StateAsync(db, id, cancel) is { } state ? TypedResults.Ok(state) : KettleProblems.Missing("stove.missing");

    /// <summary>The state as it changes, and each minute. Ids are the stored sequences; a page that comes back gets the state as it is now.</summary>
    public static async Task<Results<ServerSentEventsResult<StoveDto>, ProblemHttpResult>> Follow(
        Guid id, IServiceScopeFactory scopes, KettleDb db, StoveDesk desk, StoveBell bell, IHostApplicationLifetime life, CancellationToken cancel)
    {
        if (await desk.StateAsync(db, id, cancel) is null)
        {
            return KettleProblems.Missing("stove.missing");
        }

        return TypedResults.ServerSentEvents(States(id, scopes, desk, bell, life.ApplicationStopping, cancel));
    }

    private static async IAsyncEnumerable<SseItem<StoveDto>> States(
        Guid id, IServiceScopeFactory scopes, StoveDesk desk, StoveBell bell, CancellationToken stopping, [EnumeratorCancellation] CancellationToken cancel)
    {
        using var either = CancellationTokenSource.CreateLinkedTokenSource(cancel, stopping);
        while (!either.IsCancellationRequested)
        {
            var (heard, minuteEnds) = (bell.Listen(id), bell.MinuteEnds());
            StoveDto? state;
            await using (var scope = scopes.CreateAsyncScope())
            {
                state = await desk.StateAsync(scope.ServiceProvider.GetRequiredService<KettleDb>(), id, either.Token);
            }

            if (state is null)
            {
                yield break;
            }

            yield return new SseItem<StoveDto>(state, "state") { EventId = state.Version.ToString(System.Globalization.CultureInfo.InvariantCulture), ReconnectionInterval = TimeSpan.FromSeconds(2) };
            try
            {
                await bell.WaitAsync(heard, minuteEnds, either.Token);
            }
            catch (OperationCanceledException) when (either.IsCancellationRequested)
            {
                yield break;
            }
        }
    }

    /// <summary>Entries in their order; each is stored or refused by itself, and what is confirmed is on the disk.</summary>
    public static async Task<Results<Ok<StoveReceipt>, ProblemHttpResult>> Tell(
        Guid id, StoveEntries told, KettleDb db, PulseCatalogue catalogue, StoveDesk desk, StoveBell bell, TimeProvider clock, CancellationToken cancel)
    {
        if (told.Entries is not { Count: > 0 and <= StoveTeller.MostAtOnce })
        {
            return KettleProblems.Invalid("stove.entries", "entries");
        }

        if (await StoredEvening.ReadAsync(db, catalogue, id, cancel) is not { } stored)
        {
            return KettleProblems.Missing("stove.missing");
        }

        var kitchen = await KitchenStore.ReadAsync(db, cancel);
        var (events, receipts) = new StoveTeller(catalogue, desk, kitchen, clock).Read(stored, told.Entries);
        var version = stored.Row.Version;
        if (events.Count > 0)
        {
            if (await new CookJournal(db).TellAsync(id, events, cancel) is not { } row)
            {
                return KettleProblems.Missing("stove.missing");
            }

            version = row.Version;
            bell.Ring(id);
        }

        return TypedResults.Ok(new StoveReceipt(version, receipts));
    }

    /// <summary>All that was told, as it is stored, with nothing worked out from it.</summary>
    public static async Task<Results<Ok<IReadOnlyList<ToldDto>>, ProblemHttpResult>> Record(Guid id, KettleDb db, PulseCatalogue catalogue, CancellationToken cancel) =>
        await StoredEvening.ReadAsync(db, catalogue, id, cancel) is { } stored
            ? TypedResults.Ok<IReadOnlyList<ToldDto>>([.. stored.Told.Select(t => new ToldDto(t.Entry, t.RecordedAt, t.Undone, null))])
            : KettleProblems.Missing("stove.missing");

    /// <summary>What can be done when the table is in danger, the quickest first.</summary>
    public static Task<Results<Ok<IReadOnlyList<StoveAnswerDto>>, ProblemHttpResult>> Late(
        Guid id, KettleDb db, PulseCatalogue catalogue, StoveDesk desk, CancellationToken cancel) =>
        Answer(id, null, null, null, db, catalogue, desk, cancel);

    /// <summary>What a look under a lid that is locked, or is to be locked next, costs; empty where no lid is in the way.</summary>
    public static Task<Results<Ok<IReadOnlyList<StoveAnswerDto>>, ProblemHttpResult>> Look(
        Guid id, KettleDb db, PulseCatalogue catalogue, StoveDesk desk, CancellationToken cancel) =>
        Answer(id, StoveDesk.Look, null, null, db, catalogue, desk, cancel);

    /// <summary>What can be done about what is seen, the best first.</summary>
    public static Task<Results<Ok<IReadOnlyList<StoveAnswerDto>>, ProblemHttpResult>> Help(
        Guid id, StoveTrouble seen, KettleDb db, PulseCatalogue catalogue, StoveDesk desk, CancellationToken cancel)
    {
        var checks = new FieldChecks();
        if (StoveTeller.TroubleOf(seen.Trouble) is null)
        {
            checks.Add("request.unknown_word", "trouble");
        }

        if (seen.Minutes is { } minutes)
        {
            checks.Within(minutes, 1, 240, "minutes");
        }

        if (seen.Percent is { } percent)
        {
            checks.Within(percent, 0, 5, "percent");
        }

        return checks.Any
            ? Task.FromResult<Results<Ok<IReadOnlyList<StoveAnswerDto>>, ProblemHttpResult>>(KettleProblems.Invalid(checks))
            : Answer(id, seen.Trouble, seen.Minutes, seen.Percent, db, catalogue, desk, cancel);
    }

    private static async Task<Results<Ok<IReadOnlyList<StoveAnswerDto>>, ProblemHttpResult>> Answer(
        Guid id, string? about, double? minutes, double? percent, KettleDb db, PulseCatalogue catalogue, StoveDesk desk, CancellationToken cancel)
    {
        if (await StoredEvening.ReadAsync(db, catalogue, id, cancel) is not { } stored)
        {
            return KettleProblems.Missing("stove.missing");
        }

        var kitchen = await KitchenStore.ReadAsync(db, cancel);
        var (now, answers) = desk.Answers(stored, kitchen, about, minutes, percent);
        return TypedResults.Ok<IReadOnlyList<StoveAnswerDto>>([.. answers.Select(a => StoveSentences.For(a, now))]);
    }

    /// <summary>Closes the evening; what was told stays.</summary>
    public static async Task<Results<Ok<StoveReceipt>, ProblemHttpResult>> Finish(
        Guid id, CookMark mark, KettleDb db, StoveBell bell, TimeProvider clock, CancellationToken cancel)
    {
        if (mark.EventId == Guid.Empty)
        {
            return KettleProblems.Invalid("request.event_id", "eventId");
        }

        var happened = StoveEvents.Make(id, CookProjection.Finished, mark.EventId, mark.OccurredAt, mark.BasedOn, clock, string.Empty, 0);
        if (await new CookJournal(db).TellAsync(id, [happened], cancel) is not { } row)
        {
            return KettleProblems.Missing("stove.missing");
        }

        bell.Ring(id);
        return TypedResults.Ok(new StoveReceipt(row.Version, []));
    }
}
