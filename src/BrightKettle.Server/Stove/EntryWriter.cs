using BrightKettle.Core.Cooking;
using BrightKettle.Core.Stove;
using BrightKettle.Server.Answers;

namespace BrightKettle.Server.Stove;

/// <summary>From an entry of the core to what a page would have sent: what a simulated cook tells.</summary>
public static class EntryWriter
{
    /// <param name="version">Of the evening that the teller knew.</param>
    /// <exception cref="ArgumentOutOfRangeException">Of a kind that no simulated cook tells.</exception>
    public static StoveEntry Write(Entry entry, Guid eventId, long version, string by)
    {
        ArgumentNullException.ThrowIfNull(entry);
        StoveEntry Of(EntryKind kind) => new(eventId, entry.At.ToDateTimeOffset(), version, ClosedSet.Word(kind), by);
        return entry switch
        {
            Entry.Done d => Of(EntryKind.Did) with { MomentId = d.MomentId },
            Entry.Saw { What: Observation.Seen seen } => Of(EntryKind.Seen) with
            {
                What = ClosedSet.Word(seen.What),
                VesselId = seen.VesselId,
            },
            Entry.Saw { What: Observation.FeltAs felt } => Of(EntryKind.Felt) with
            {
                Ingredient = felt.IngredientId,
                State = ClosedSet.Word(felt.State),
            },
            _ => throw new ArgumentOutOfRangeException(nameof(entry)),
        };
    }
}
