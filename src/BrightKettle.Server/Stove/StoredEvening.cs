using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Stove;
using BrightKettle.Data;
using BrightKettle.Data.Events;
using BrightKettle.Data.Records;
using BrightKettle.Server.Contracts;
using BrightKettle.Server.Formats;
using BrightKettle.Server.Problems;
using Microsoft.EntityFrameworkCore;

namespace BrightKettle.Server.Stove;

/// <summary>Something told, as it is stored.</summary>
public sealed record StoredEntry(long Sequence, StoveEntry Entry, CourseDocument? Course, DateTimeOffset RecordedAt, bool Undone);

/// <summary>An evening as its events tell it.</summary>
/// <param name="Undoings">Ids of what took something back: can be taken back in turn.</param>
public sealed record StoredEvening(CookRow Row, StartedCook Started, Cook Planned, IReadOnlyList<StoredEntry> Told, IReadOnlySet<Guid> Undoings, Underway Evening)
{
    /// <summary>Reads all events of a cook that was started; null when it was not, or is not here.</summary>
    public static async Task<StoredEvening?> ReadAsync(KettleDb db, PulseCatalogue catalogue, Guid id, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(db);
        var row = await db.Cooks.AsNoTracking().SingleOrDefaultAsync(c => c.Id == id && !c.Deleted && c.StartedAt != null, cancel);
        if (row is null)
        {
            return null;
        }

        var events = await db.CookEvents.AsNoTracking().Where(e => e.CookId == id).OrderBy(e => e.Sequence).ToListAsync(cancel);
        var started = StartedCook.Read(events.Last(e => e.Kind == CookProjection.Started).Payload);
        var planned = new CookReader(catalogue, new FieldChecks()).Read(started.Cook) ?? throw new InvalidOperationException($"The cook {id} was stored and cannot be read.");
        var undone = Undone(events);
        List<StoredEntry> told =
        [
            .. events.Where(e => e.Kind == CookProjection.Told)
                .Select(e => (e, Payload: ToldPayload.Read(e.Payload)))
                .Select(p => new StoredEntry(p.e.Sequence, p.Payload.Entry, p.Payload.Course, p.e.RecordedAt, undone.Contains(p.e.Id))),
        ];
        return new(row, started, planned, told, events.Where(e => e.Kind == CookProjection.Undone).Select(e => e.Id).ToHashSet(), EveningOf(catalogue, planned, told.Where(t => !t.Undone)));
    }

    /// <summary>Without the last thing that was told or taken back: to say what it changed.</summary>
    public Underway Before(PulseCatalogue catalogue) => EveningOf(catalogue, Planned, Told.Where(t => !t.Undone).SkipLast(1));

    /// <summary>Two dones of one moment, the later told by somebody who did not know of the first.</summary>
    public IEnumerable<(StoredEntry Holds, StoredEntry Other)> Conflicts()
    {
        foreach (var same in Told.Where(t => !t.Undone && t.Entry is { Kind: "did", MomentId: not null }).GroupBy(t => t.Entry.MomentId))
        {
            var first = same.First();
            foreach (var other in same.Skip(1))
            {
                yield return (first, other);
            }
        }
    }

    private static Underway EveningOf(PulseCatalogue catalogue, Cook planned, IEnumerable<StoredEntry> told)
    {
        var entries = new List<Entry>();
        var cook = planned;
        foreach (var one in told)
        {
            if (new EntryReader(catalogue, cook).Read(new ToldPayload(one.Entry, one.Course), new FieldChecks()) is { } entry)
            {
                entries.Add(entry);
                cook = entry is Entry.Chose ? new Underway(planned, entries).Cook : cook;
            }
        }

        return new(planned, entries);
    }

    /// <summary>Ids that an undoing names which holds itself: an undoing that was taken back undoes nothing.</summary>
    private static HashSet<Guid> Undone(List<CookEvent> events)
    {
        var undone = new HashSet<Guid>();
        foreach (var e in Enumerable.Reverse(events))
        {
            if (e is { Kind: CookProjection.Undone, Supersedes: { } target } && !undone.Contains(e.Id))
            {
                undone.Add(target);
            }
        }

        return undone;
    }
}
