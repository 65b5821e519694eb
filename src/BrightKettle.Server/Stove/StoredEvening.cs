using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Stove;
using BrightKettle.Data.Events;
using BrightKettle.Data.Records;
using BrightKettle.Server.Answers;
using BrightKettle.Server.Exchange;
using NodaTime;

namespace BrightKettle.Server.Stove;

/// <summary>Something told, as it is stored.</summary>
public sealed record StoredEntry(long Sequence, StoveEntry Entry, CourseDocument? Course, DateTimeOffset RecordedAt, bool Undone);

/// <summary>Something taken back: an entry, or another taking back.</summary>
public sealed record StoredUndoing(Guid Id, Guid Target);

/// <summary>An evening as its events tell it.</summary>
/// <param name="Undoings">In their order; each can be taken back in turn.</param>
public sealed record StoredEvening(
    CookRow Row,
    StartedCook Started,
    Cook Planned,
    IReadOnlyList<StoredEntry> Told,
    IReadOnlyList<StoredUndoing> Undoings,
    EveningState Evening
)
{
    /// <summary>From all events of a cook that was started.</summary>
    /// <param name="events">In their order.</param>
    public static StoredEvening Of(CookRow row, IReadOnlyList<CookEvent> events, PulseCatalogue catalogue)
    {
        ArgumentNullException.ThrowIfNull(row);
        var started = StartedCook.Read(events.Last(e => e.Kind == CookProjection.Started).Payload);
        var planned = new CookReader(catalogue, new FieldFaults()).Read(started.Cook)
            ?? throw new InvalidOperationException($"The cook {row.Id} was stored and cannot be read.");
        return Begin(row, started, planned).After(row, events, catalogue);
    }

    /// <summary>An evening of which nothing has been told.</summary>
    public static StoredEvening Begin(CookRow row, StartedCook started, Cook planned) =>
        new(row, started, planned, [], [], new EveningState(planned, Begun(planned, started)));

    /// <summary>The same evening with what was told since: what is known already is not read again.</summary>
    /// <param name="since">Later events, in their order.</param>
    public StoredEvening After(CookRow row, IReadOnlyList<CookEvent> since, PulseCatalogue catalogue)
    {
        ArgumentNullException.ThrowIfNull(since);
        List<StoredUndoing> undoings =
        [
            .. Undoings,
            .. since
                .Where(e => e is { Kind: CookProjection.Undone, Supersedes: not null })
                .Select(e => new StoredUndoing(e.Id, e.Supersedes!.Value)),
        ];
        List<StoredEntry> told =
        [
            .. Told,
            .. since
                .Where(e => e.Kind == CookProjection.Told)
                .Select(e => (e, Payload: ToldPayload.Read(e.Payload)))
                .Select(p => new StoredEntry(p.e.Sequence, p.Payload.Entry, p.Payload.Course, p.e.RecordedAt, false)),
        ];
        return (this with { Row = row }).With(told, undoings, catalogue);
    }

    /// <summary>The same evening as if this had been taken back; to be tried before it is stored.</summary>
    public StoredEvening Without(StoredUndoing undoing, PulseCatalogue catalogue) => With(Told, [.. Undoings, undoing], catalogue);

    private StoredEvening With(IReadOnlyList<StoredEntry> told, IReadOnlyList<StoredUndoing> undoings, PulseCatalogue catalogue)
    {
        var undone = Undone(undoings);
        List<StoredEntry> marked = [.. told.Select(t => undone.Contains(t.Entry.EventId) == t.Undone ? t : t with { Undone = !t.Undone })];
        return this with { Told = marked, Undoings = undoings, Evening = EveningOf(catalogue, marked.Where(t => !t.Undone)) };
    }

    /// <summary>Without the last thing that was told or taken back: to say what it changed.</summary>
    public EveningState Before(PulseCatalogue catalogue) => EveningOf(catalogue, Told.Where(t => !t.Undone).SkipLast(1));

    /// <summary>An evening that nobody touched for so long after its last moment is set aside.</summary>
    private static readonly Duration Forgotten = Duration.FromHours(8);

    /// <summary>From when on nobody is taken to stand at this stove any more: some hours after the hour that was wanted, or after the
    /// last thing that was told.</summary>
    public Instant SetAsideFrom =>
        Told.Select(t => Instant.FromDateTimeOffset(t.Entry.OccurredAt))
            .Append(Instant.FromDateTimeOffset(Started.WantedAt))
            .Append(Instant.FromDateTimeOffset(Row.StartedAt ?? Started.PlannedAt))
            .Max() + Forgotten;

    /// <summary>Two dones of one moment, the later told by somebody who did not know of the first.</summary>
    public IEnumerable<(StoredEntry Holds, StoredEntry Other)> Conflicts()
    {
        foreach (
            var same in Told.Where(t => !t.Undone && t.Entry is { Tells: EntryKind.Did, MomentId: not null }).GroupBy(t => t.Entry.MomentId)
        )
        {
            var first = same.First();
            foreach (var other in same.Skip(1))
            {
                yield return (first, other);
            }
        }
    }

    /// <summary>What had been done when it was planned: pulses that stood in water already.</summary>
    private static IEnumerable<Entry> Begun(Cook planned, StartedCook started) =>
        Moment
            .Of(planned.Actions, planned.Kitchen, 0)
            .Where(m => m.Actions[0] is CookAction.Soak && m.Trigger.NotBefore < Instant.FromDateTimeOffset(started.PlannedAt))
            .Select(m => new Entry.Done(Guid.Empty, m.Trigger.NotBefore!.Value, m.Id));

    private EveningState EveningOf(PulseCatalogue catalogue, IEnumerable<StoredEntry> told)
    {
        List<Entry> entries = [.. Begun(Planned, Started)];
        var cook = Planned;
        foreach (var one in told)
        {
            if (new EntryReader(catalogue, cook).Read(new ToldPayload(one.Entry, one.Course), new FieldFaults()) is { } entry)
            {
                entries.Add(entry);
                cook = entry is Entry.Chose ? new EveningState(Planned, entries).Cook : cook;
            }
        }

        return new(Planned, entries);
    }

    /// <summary>Ids that an undoing names which holds itself: an undoing that was taken back undoes nothing.</summary>
    private static HashSet<Guid> Undone(IReadOnlyList<StoredUndoing> undoings)
    {
        var undone = new HashSet<Guid>();
        foreach (var (id, target) in undoings.Reverse())
        {
            if (!undone.Contains(id))
            {
                undone.Add(target);
            }
        }

        return undone;
    }
}
