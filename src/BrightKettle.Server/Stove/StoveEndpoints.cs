using System.Net.ServerSentEvents;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Stove;
using BrightKettle.Data;
using BrightKettle.Data.Events;
using BrightKettle.Data.Stored;
using BrightKettle.Server.Answers;
using BrightKettle.Server.Pairing;
using BrightKettle.Server.Planning;
using BrightKettle.Server.Record;
using BrightKettle.Server.Work;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using NodaTime;

namespace BrightKettle.Server.Stove;

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

    private const int MostEvenings = 20;

    /// <summary>Evenings that are not closed, the latest first.</summary>
    public static async Task<Ok<IReadOnlyList<StoveLine>>> List(KettleDb db, StoveStateCache states, CancellationToken cancel)
    {
        var rows = await db
            .Cooks.AsNoTracking()
            .Where(c => !c.Deleted && c.StartedAt != null && c.FinishedAt == null)
            .OrderByDescending(c => c.StartedAt)
            .Take(MostEvenings)
            .Select(c => c.Id)
            .ToListAsync(cancel);
        var lines = new List<StoveLine>();
        foreach (var id in rows)
        {
            if (await states.ReadAsync(db, id, cancel) is { Row: var row } stored)
            {
                lines.Add(
                    new(
                        row.Id,
                        row.Title,
                        row.StartedAt!.Value,
                        row.ServeAt,
                        stored.Evening.ServedAt is not null,
                        states.IsSetAside(stored)
                    )
                );
            }
        }

        return TypedResults.Ok<IReadOnlyList<StoveLine>>(lines);
    }

    /// <summary>Takes a kept dinner to the stove, as it was planned when it was kept; started twice, it is started once.</summary>
    public static async Task<Results<Ok<StoveDto>, ProblemHttpResult>> Start(
        Guid id,
        StoveStart start,
        KettleDb db,
        DishRequestReader dishes,
        StoveStateCache states,
        StoveChangeNotifier notifier,
        TimeProvider clock,
        CancellationToken cancel
    )
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
            var kitchen = await dishes.KitchenAsync(cancel);
            var beside = await dishes.BesideAsync(saved.Dish with { KeptAs = id }, kitchen, cancel);
            var asked = dishes.Map(saved.Dish, kitchen, Instant.FromDateTimeOffset(row.ChangedAt), new(), beside);
            if (asked.Dish is not { } dish)
            {
                return asked.Problem;
            }

            var answer = await dishes.PlanAsync(asked);
            if (answer is PlanAnswer.Refused { Refusal: var refusal })
            {
                return PlanProblems.Refused(refusal, dish);
            }

            var plan = ((PlanAnswer.Planned)answer).Plan;
            // From now on it is this bag, whatever is bought meanwhile.
            var fromBags = DinnerLessons.WithBags(saved.Dish, kitchen);
            var happened = CookEvents.Make(
                id,
                CookProjection.Started,
                start.EventId,
                start.OccurredAt,
                start.BasedOn,
                clock,
                StartedCook.Of(row.Title, fromBags, plan).Json(),
                dish.Seed
            );
            var recorded = await new CookJournal(db).AppendAsync(happened, row.Title, row.ServeAt, cancel);
            // Somebody else started it meanwhile: it is started.
            if (recorded is not Recorded.Done and not Recorded.Conflict { Cook.StartedAt: not null })
            {
                return CookEndpoints.Refused(recorded);
            }

            notifier.Notify(id);
        }

        return await Get(id, db, dishes, states, cancel);
    }

    public static async Task<Results<Ok<StoveDto>, ProblemHttpResult>> Get(
        Guid id,
        KettleDb db,
        DishRequestReader dishes,
        StoveStateCache states,
        CancellationToken cancel
    ) =>
        await states.StateAsync(db, id, dishes.Work, cancel) is { } state
            ? TypedResults.Ok(state)
            : KettleProblems.Missing("stove.missing");

    /// <summary>The state as it changes, and each minute. Ids are the stored sequences; a page that comes back gets the state as it is
    /// now.</summary>
    public static async Task<Results<ServerSentEventsResult<StoveDto>, ProblemHttpResult>> Follow(
        Guid id,
        IServiceScopeFactory scopes,
        KettleDb db,
        DishRequestReader dishes,
        StoveStateCache states,
        StoveChangeNotifier notifier,
        OpenStreams streams,
        IHostApplicationLifetime life,
        CancellationToken cancel
    )
    {
        if (await states.StateAsync(db, id, dishes.Work, cancel) is null)
        {
            return KettleProblems.Missing("stove.missing");
        }

        return streams.Open(dishes.Work.Who, cancel, life.ApplicationStopping) is { } stream
            ? TypedResults.ServerSentEvents(States(id, scopes, dishes.Work, states, notifier, stream))
            : KettleProblems.Busy("stream.too_many");
    }

    private static async IAsyncEnumerable<SseItem<StoveDto>> States(
        Guid id,
        IServiceScopeFactory scopes,
        RequestWork work,
        StoveStateCache states,
        StoveChangeNotifier notifier,
        StreamPlace stream
    )
    {
        using var open = stream;
        while (!stream.Ended.IsCancellationRequested)
        {
            var (heard, minuteEnds) = (notifier.Listen(id), notifier.MinuteEnds());
            StoveDto? state;
            try
            {
                await using var scope = scopes.CreateAsyncScope();
                state = await states.StateAsync(scope.ServiceProvider.GetRequiredService<KettleDb>(), id, work, stream.Ended);
            }
            catch (OperationCanceledException) when (stream.Ended.IsCancellationRequested)
            {
                yield break;
            }

            if (state is null)
            {
                yield break;
            }

            yield return new SseItem<StoveDto>(state, "state")
            {
                EventId = state.Version.ToString(System.Globalization.CultureInfo.InvariantCulture),
                ReconnectionInterval = TimeSpan.FromSeconds(2),
            };
            try
            {
                await notifier.WaitAsync(heard, minuteEnds, stream.Ended);
            }
            catch (OperationCanceledException) when (stream.Ended.IsCancellationRequested)
            {
                yield break;
            }
        }
    }

    /// <summary>Entries in their order; each is stored or refused by itself, and what is confirmed is on the disk.</summary>
    public static async Task<Results<Ok<StoveReceipt>, ProblemHttpResult>> Tell(
        Guid id,
        StoveEntries told,
        KettleDb db,
        DishRequestReader dishes,
        StoveStateCache states,
        StoveChangeNotifier notifier,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        if (told.Entries is not { Count: > 0 and <= EntryValidator.MostAtOnce } || told.Entries.Any(e => e is null))
        {
            return KettleProblems.Invalid("stove.entries", "entries");
        }

        if (await states.ReadAsync(db, id, cancel) is not { } stored)
        {
            return KettleProblems.Missing("stove.missing");
        }

        var kitchen = await dishes.KitchenAsync(cancel);
        var ids = told.Entries.Select(e => e.EventId).Distinct().ToList();
        var elsewhere = (
            await db
                .CookEvents.AsNoTracking()
                .Where(e => ids.Contains(e.Id) && (e.CookId != id || (e.Kind != CookProjection.Told && e.Kind != CookProjection.Undone)))
                .Select(e => e.Id)
                .ToListAsync(cancel)
        ).ToHashSet();
        var (events, receipts) = await dishes.Work.RunAsync(WorkLength.Quick, simulator =>
            new EntryValidator(
                dishes.Catalogue,
                kitchen,
                states.Now,
                (evening, entry) => states.Answers(evening, kitchen, entry.State, entry.Count, entry.Grams, simulator).Answers,
                clock
            ).Read(stored, told.Entries, elsewhere)
        );
        var version = stored.Row.Version;
        if (events.Count > 0)
        {
            if (await new CookJournal(db).TellAsync(id, events, ToldForm.TellTheSame, cancel) is not { } written)
            {
                return KettleProblems.Missing("stove.missing");
            }

            receipts =
            [
                .. receipts.Select(r =>
                    written.Taken.Contains(r.EventId)
                        ? r with
                        {
                            Code = "stove.id_taken",
                            Text = KettleProblems.Detail("stove.id_taken"),
                        }
                        : r
                ),
            ];
            version = written.Cook.Version;
            notifier.Notify(id);
        }

        return TypedResults.Ok(new StoveReceipt(version, receipts));
    }

    /// <summary>All that was told, as it is stored, with nothing worked out from it.</summary>
    public static async Task<Results<Ok<IReadOnlyList<ToldDto>>, ProblemHttpResult>> Record(
        Guid id,
        KettleDb db,
        StoveStateCache states,
        CancellationToken cancel
    ) =>
        await states.ReadAsync(db, id, cancel) is { } stored
            ? TypedResults.Ok<IReadOnlyList<ToldDto>>([.. stored.Told.Select(t => new ToldDto(t.Entry, t.RecordedAt, t.Undone, null))])
            : KettleProblems.Missing("stove.missing");

    /// <summary>What can be done when the table is in danger, the quickest first.</summary>
    public static Task<Results<Ok<StoveAnswersDto>, ProblemHttpResult>> Late(
        Guid id,
        KettleDb db,
        DishRequestReader dishes,
        StoveStateCache states,
        CancellationToken cancel
    ) => Answer(id, null, null, null, db, dishes, states, cancel);

    /// <summary>What a look under a lid that is locked, or is to be locked next, costs; empty where no lid is in the way.</summary>
    public static Task<Results<Ok<StoveAnswersDto>, ProblemHttpResult>> Look(
        Guid id,
        KettleDb db,
        DishRequestReader dishes,
        StoveStateCache states,
        CancellationToken cancel
    ) => Answer(id, StoveStateCache.Look, null, null, db, dishes, states, cancel);

    /// <summary>What can be done about what is seen, the best first.</summary>
    public static Task<Results<Ok<StoveAnswersDto>, ProblemHttpResult>> Help(
        Guid id,
        StoveTrouble seen,
        KettleDb db,
        DishRequestReader dishes,
        StoveStateCache states,
        CancellationToken cancel
    )
    {
        var checks = new FieldFaults();
        if (ClosedSet.Find<Trouble>(seen.Trouble) is null)
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
            ? Task.FromResult<Results<Ok<StoveAnswersDto>, ProblemHttpResult>>(KettleProblems.Invalid(checks))
            : Answer(id, seen.Trouble, seen.Minutes, seen.Percent, db, dishes, states, cancel);
    }

    private static async Task<Results<Ok<StoveAnswersDto>, ProblemHttpResult>> Answer(
        Guid id,
        string? about,
        double? minutes,
        double? percent,
        KettleDb db,
        DishRequestReader dishes,
        StoveStateCache states,
        CancellationToken cancel
    )
    {
        if (await states.ReadAsync(db, id, cancel) is not { } stored)
        {
            return KettleProblems.Missing("stove.missing");
        }

        // Nobody stands at this stove: there is nothing to be done there.
        if (states.IsSetAside(stored))
        {
            return TypedResults.Ok(new StoveAnswersDto(stored.Row.Version, []));
        }

        var kitchen = await dishes.KitchenAsync(cancel);
        var (now, answers) = await dishes.Work.RunAsync(WorkLength.Quick, simulator =>
            states.Answers(stored, kitchen, about, minutes, percent, simulator)
        );
        return TypedResults.Ok(new StoveAnswersDto(stored.Row.Version, [.. answers.Select(a => StoveAnswers.For(a, now))]));
    }

    /// <summary>Closes the evening; what was told stays.</summary>
    public static async Task<Results<Ok<StoveReceipt>, ProblemHttpResult>> Finish(
        Guid id,
        CookMark mark,
        KettleDb db,
        DinnerLessons lessons,
        StoveChangeNotifier notifier,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        if (mark.EventId == Guid.Empty)
        {
            return KettleProblems.Invalid("request.event_id", "eventId");
        }

        var happened = CookEvents.Make(id, CookProjection.Finished, mark.EventId, mark.OccurredAt, mark.BasedOn, clock, string.Empty, 0);
        if (await new CookJournal(db).TellAsync(id, [happened], static (_, _) => true, cancel) is not { } written)
        {
            return KettleProblems.Missing("stove.missing");
        }

        if (written.Taken.Count > 0)
        {
            return KettleProblems.IdTaken();
        }

        notifier.Notify(id);
        await lessons.TryLearnAsync(id, cancel);
        return TypedResults.Ok(new StoveReceipt(written.Cook.Version, []));
    }
}
