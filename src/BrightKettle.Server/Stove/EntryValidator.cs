using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Safety;
using BrightKettle.Core.Stove;
using BrightKettle.Data.Events;
using BrightKettle.Data.Records;
using BrightKettle.Server.Answers;
using BrightKettle.Server.Exchange;
using BrightKettle.Server.Kitchen;
using BrightKettle.Server.Record;
using NodaTime;

namespace BrightKettle.Server.Stove;

/// <summary>Decides of each entry whether it is stored, and says why not. A refusal of one does not touch the others.</summary>
/// <param name="now">By the clock of that kitchen.</param>
/// <param name="answers">What can be chosen there, by what was asked; nothing where nothing is offered.</param>
/// <param name="clock">Of the record.</param>
public sealed class EntryValidator(
    PulseCatalogue catalogue,
    KitchenState kitchen,
    Instant now,
    Func<StoredEvening, StoveEntry, IReadOnlyList<Answer>> answers,
    TimeProvider clock
)
{
    public const int MostAtOnce = 200;

    /// <summary>Clocks of two machines are never quite the same.</summary>
    private static readonly Duration FutureAllowed = Duration.FromMinutes(2);

    /// <summary>A soak may have begun days before anybody came to the page.</summary>
    private static readonly Duration LongestAgo = Duration.FromDays(4);

    /// <summary>Told within this of its own time, an entry is about what is being done now, and a gate may stop it; later it is a record
    /// of what was done, and what comes after is stopped instead. Nothing is ever served with pieces inside.</summary>
    private static readonly Duration Live = Duration.FromMinutes(2);

    /// <param name="elsewhere">Of the ids that are told, those that belong to another evening.</param>
    public (IReadOnlyList<CookEvent> Events, IReadOnlyList<EntryReceipt> Receipts) Read(
        StoredEvening stored,
        IReadOnlyList<StoveEntry> told,
        IReadOnlySet<Guid> elsewhere
    )
    {
        ArgumentNullException.ThrowIfNull(stored);
        ArgumentNullException.ThrowIfNull(told);
        ArgumentNullException.ThrowIfNull(elsewhere);
        var events = new List<CookEvent>();
        var receipts = new List<EntryReceipt>();
        foreach (var entry in told)
        {
            var (code, text, made) = One(ref stored, entry, elsewhere);
            receipts.Add(new(entry.EventId, code, text));
            events.AddRange(made);
        }

        return (events, receipts);
    }

    private static (string? Code, string? Text, IReadOnlyList<CookEvent> Made) Refuse(string code, string? text = null) =>
        (code, text ?? KettleProblems.Detail(code), []);

    /// <param name="stored">Goes on with the entry in it, so that the next one of the batch finds it.</param>
    private (string? Code, string? Text, IReadOnlyList<CookEvent> Made) One(
        ref StoredEvening stored,
        StoveEntry entry,
        IReadOnlySet<Guid> elsewhere
    )
    {
        if (entry.EventId == Guid.Empty)
        {
            return Refuse("request.event_id");
        }

        if (Known(stored, entry.EventId) is { } known)
        {
            return
                known == entry
                || (entry.Tells == EntryKind.Undo && stored.Undoings.Any(u => u.Id == entry.EventId && u.Target == entry.EventUndone))
                ? (null, null, [])
                : Refuse("stove.id_taken");
        }

        if (elsewhere.Contains(entry.EventId))
        {
            return Refuse("stove.id_taken");
        }

        var at = Instant.FromDateTimeOffset(entry.OccurredAt);
        if (at > now + FutureAllowed || at < now - LongestAgo)
        {
            return Refuse("stove.time");
        }

        return entry.Tells switch
        {
            EntryKind.Undo => Undone(ref stored, entry),
            EntryKind.Chose => Chosen(ref stored, entry),
            _ => Told(ref stored, entry, at),
        };
    }

    /// <summary>What an id stands for in this evening; for an undoing an entry without anything in it.</summary>
    private static StoveEntry? Known(StoredEvening stored, Guid id) =>
        stored.Told.FirstOrDefault(t => t.Entry.EventId == id)?.Entry
        ?? (stored.Undoings.Any(u => u.Id == id) ? new StoveEntry(id, default, 0, string.Empty) : null);

    /// <summary>Taken back only when what was told since still makes sense without it.</summary>
    private (string? Code, string? Text, IReadOnlyList<CookEvent> Made) Undone(ref StoredEvening stored, StoveEntry entry)
    {
        if (entry.EventUndone is not { } target || Known(stored, target) is null)
        {
            return Refuse("stove.nothing_to_undo");
        }

        var without = stored.Without(new(entry.EventId, target), catalogue);
        if (!MakesSense(without, now) && MakesSense(stored, now))
        {
            return Refuse("stove.undo_later_first");
        }

        var made = Event(stored, CookProjection.Undone, entry, string.Empty, target);
        stored = without;
        return (null, null, [made]);
    }

    /// <summary>Whether the evening can be run, and every step that was done is one of its plan.</summary>
    private static bool MakesSense(StoredEvening stored, Instant now) =>
        EveningForecaster.Check(stored.Evening, now) is null
        && stored.Told.All(t =>
            t.Undone || t.Entry is not { Tells: EntryKind.Did, MomentId: { } moment } || stored.Evening.Find(moment) is not null
        );

    private (string? Code, string? Text, IReadOnlyList<CookEvent> Made) Told(ref StoredEvening stored, StoveEntry entry, Instant at)
    {
        var evening = stored.Evening;
        var payload = new ToldPayload(entry);
        var checks = new FieldFaults();
        var read = new EntryReader(catalogue, evening.Cook).Read(payload, checks);
        if (checks.Any)
        {
            return Refuse(checks.Faults[0].Code, checks.Faults[0].Said());
        }

        switch (read)
        {
            case Entry.Done done when evening.Find(done.MomentId) is not { } found:
                return Refuse("stove.unknown_moment");
            case Entry.Done done
                when evening.Find(done.MomentId) is { State: MomentState.Waiting, Moment: var moment }
                    && StoveGates.Before(evening, moment, at, kitchen) is { } gate
                    && (now - at < Live || gate.Code == TakeOutGate.StillIn):
                return Refuse(gate.Code, StoveGates.Words(gate));
            case Entry.CameOut came when evening.ComesOut().All(i => i.IngredientId != came.IngredientId || i.Left < came.Pieces):
                return Refuse("stove.not_inside");
            case Entry.WentIn when evening.ServedAt is { } served && at > served:
                return Refuse("stove.after_the_table");
        }

        // Nothing new is learned of a pot that nobody has touched for days: it can only be closed.
        if (
            entry.Tells == EntryKind.StillOn
            && now - Instant.Min(evening.Cook.Starts, Instant.FromDateTimeOffset(stored.Row.StartedAt ?? stored.Started.PlannedAt))
                > LongestAgo
        )
        {
            return Refuse("stove.too_old");
        }

        if (read is not null)
        {
            var with = evening.With(read);
            if (
                EveningForecaster.Check(with, Instant.Max(at, now)) is not null
                && EveningForecaster.Check(evening, Instant.Max(at, now)) is null
            )
            {
                return Refuse("stove.impossible");
            }

            evening = with;
        }

        var made = Event(stored, CookProjection.Told, entry, payload.Json());
        stored = stored with { Told = [.. stored.Told, new(0, entry, null, clock.GetUtcNow(), false)], Evening = evening };
        return (null, null, [made]);
    }

    /// <summary>What was chosen is worked out and stored as it is, so that a later model changes nothing of it.</summary>
    private (string? Code, string? Text, IReadOnlyList<CookEvent> Made) Chosen(ref StoredEvening stored, StoveEntry entry)
    {
        if (answers(stored, entry).FirstOrDefault(a => a.Code == entry.What) is not { } answer)
        {
            return Refuse("stove.no_such_answer");
        }

        // What it takes for granted has ids of its own, which follow from the choice: sent twice, it is stored once.
        var before = answer.Before.Select((e, i) => EntryReader.Write(e, Derived(entry.EventId, i), entry.By, entry.BasedOn)).ToList();
        var course = answer.Course is { } chosen ? CookWriter.Write(chosen) : null;
        var evening = stored;
        List<CookEvent> made = [.. before.Select(e => Event(evening, CookProjection.Told, e, new ToldPayload(e).Json()))];
        made.Add(Event(stored, CookProjection.Told, entry, new ToldPayload(entry, course).Json()));
        stored = stored.After(stored.Row, made, catalogue);
        return (null, null, made);
    }

    /// <summary>The id of what follows from something that was told: the same each time.</summary>
    internal static Guid Derived(Guid id, int number)
    {
        var bytes = id.ToByteArray();
        bytes[^1] ^= (byte)(number + 1);
        return new Guid(bytes);
    }

    private CookEvent Event(StoredEvening stored, string kind, StoveEntry entry, string payload, Guid? supersedes = null) =>
        CookEvents.Make(
            stored.Row.Id,
            kind,
            entry.EventId,
            entry.OccurredAt,
            entry.BasedOn,
            clock,
            payload,
            stored.Planned.Seed,
            supersedes
        );
}
