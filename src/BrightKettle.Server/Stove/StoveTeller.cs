using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Safety;
using BrightKettle.Core.Stove;
using BrightKettle.Data.Events;
using BrightKettle.Data.Records;
using BrightKettle.Server.Contracts;
using BrightKettle.Server.Endpoints;
using BrightKettle.Server.Formats;
using BrightKettle.Server.Problems;
using NodaTime;

namespace BrightKettle.Server.Stove;

/// <summary>Decides of each entry whether it is stored, and says why not. A refusal of one does not touch the others.</summary>
public sealed class StoveTeller(PulseCatalogue catalogue, StoveDesk desk, KitchenState kitchen, TimeProvider clock)
{
    public const int MostAtOnce = 200;

    /// <summary>Clocks of two machines are never quite the same.</summary>
    private static readonly Duration FutureAllowed = Duration.FromMinutes(2);

    /// <summary>A soak may have begun days before anybody came to the page.</summary>
    private static readonly Duration LongestAgo = Duration.FromDays(4);

    /// <summary>Told within this of its own time, an entry is about what is being done now, and a gate may stop it; later it is a record of what was done, and what comes after is stopped instead. Nothing is ever served with pieces inside.</summary>
    private static readonly Duration Live = Duration.FromMinutes(2);

    public static Trouble? TroubleOf(string? word) => Enum.GetValues<Trouble>().Where(t => CookWriter.Word(t) == word).Select(t => (Trouble?)t).FirstOrDefault();

    public (IReadOnlyList<CookEvent> Events, IReadOnlyList<EntryReceipt> Receipts) Read(StoredEvening stored, IReadOnlyList<StoveEntry> told)
    {
        ArgumentNullException.ThrowIfNull(stored);
        ArgumentNullException.ThrowIfNull(told);
        var events = new List<CookEvent>();
        var receipts = new List<EntryReceipt>();
        var known = stored.Told.Select(t => t.Entry.EventId).Concat(stored.Undoings).ToHashSet();
        var evening = stored.Evening;
        foreach (var entry in told)
        {
            var (code, text, made) = known.Contains(entry.EventId) ? (null, null, []) : One(stored, entry, known, ref evening);
            receipts.Add(new(entry.EventId, code, text));
            events.AddRange(made);
            known.UnionWith(made.Select(e => e.Id));
        }

        return (events, receipts);
    }

    private (string? Code, string? Text, IReadOnlyList<CookEvent> Made) One(StoredEvening stored, StoveEntry entry, HashSet<Guid> known, ref Underway evening)
    {
        (string?, string?, IReadOnlyList<CookEvent>) Refuse(string code, string? text = null) => (code, text ?? Sentences.For(code), []);
        var at = Instant.FromDateTimeOffset(entry.OccurredAt);
        if (entry.EventId == Guid.Empty)
        {
            return Refuse("request.event_id");
        }

        if (at > desk.Now + FutureAllowed || at < desk.Now - LongestAgo)
        {
            return Refuse("stove.time");
        }

        if (entry.Kind == "undo")
        {
            return entry.EventUndone is { } target && known.Contains(target)
                ? (null, null, [Event(stored, CookProjection.Undone, entry, string.Empty, target)])
                : Refuse("stove.nothing_to_undo");
        }

        return entry.Kind == "chose" ? Chosen(stored, entry) : Told(stored, entry, at, ref evening);
    }

    private (string? Code, string? Text, IReadOnlyList<CookEvent> Made) Told(StoredEvening stored, StoveEntry entry, Instant at, ref Underway evening)
    {
        (string?, string?, IReadOnlyList<CookEvent>) Refuse(string code, string? text = null) => (code, text ?? Sentences.For(code), []);
        var payload = new ToldPayload(entry);
        var checks = new FieldChecks();
        var read = new EntryReader(catalogue, evening.Cook).Read(payload, checks);
        if (checks.Any)
        {
            return Refuse(checks.Faults[0].Code, Sentences.For(checks.Faults[0]));
        }

        switch (read)
        {
            case Entry.Done done when evening.Find(done.MomentId) is not { } found:
                return Refuse("stove.unknown_moment");
            case Entry.Done done when evening.Find(done.MomentId) is { State: MomentState.Waiting, Moment: var moment } && StoveGates.Before(evening, moment, at, kitchen) is { } gate
                && (desk.Now - at < Live || gate.Code == TakeOutGate.StillIn):
                return Refuse(gate.Code, gate.Text);
            case Entry.CameOut came when evening.ComesOut().All(i => i.IngredientId != came.IngredientId || i.Left < came.Pieces):
                return Refuse("stove.not_inside");
        }

        if (read is not null)
        {
            var with = evening.With(read);
            if (with.ServedAt is null && evening.ServedAt is null && Watch.Check(with, Instant.Max(at, desk.Now)) is not null)
            {
                return Refuse("stove.impossible");
            }

            evening = with;
        }

        return (null, null, [Event(stored, CookProjection.Told, entry, payload.Json())]);
    }

    /// <summary>What was chosen is worked out and stored as it is, so that a later model changes nothing of it.</summary>
    private (string? Code, string? Text, IReadOnlyList<CookEvent> Made) Chosen(StoredEvening stored, StoveEntry entry)
    {
        var (_, answers) = desk.Answers(stored, kitchen, entry.State, entry.Count, entry.Grams);
        if (answers.FirstOrDefault(a => a.Code == entry.What) is not { } answer)
        {
            return ("stove.no_such_answer", Sentences.For("stove.no_such_answer"), []);
        }

        // What it takes for granted has ids of its own, which follow from the choice: sent twice, it is stored once.
        var before = answer.Before.Select((e, i) => EntryReader.Write(e, Derived(entry.EventId, i), entry.By, entry.BasedOn)).ToList();
        List<CookEvent> made = [.. before.Select(e => Event(stored, CookProjection.Told, e, new ToldPayload(e).Json()))];
        made.Add(Event(stored, CookProjection.Told, entry, new ToldPayload(entry, answer.Course is { } course ? CookWriter.Write(course) : null).Json()));
        return (null, null, made);
    }

    private static Guid Derived(Guid id, int number)
    {
        var bytes = id.ToByteArray();
        bytes[^1] ^= (byte)(number + 1);
        return new Guid(bytes);
    }

    private CookEvent Event(StoredEvening stored, string kind, StoveEntry entry, string payload, Guid? supersedes = null) =>
        StoveEvents.Make(stored.Row.Id, kind, entry.EventId, entry.OccurredAt, entry.BasedOn, clock, payload, stored.Planned.Seed, supersedes);
}
