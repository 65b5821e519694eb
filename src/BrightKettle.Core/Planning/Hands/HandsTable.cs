using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using NodaTime;

namespace BrightKettle.Core.Planning.Hands;

/// <summary>A moment at the stove and how long it takes a practised hand (minutes, confidence C: watched, not measured).</summary>
internal sealed record VisitRow(string Mark, double Minutes)
{
    /// <summary>When hands are busy with it. What is done at a set minute is begun so that it is done then; what waits for an event, what
    /// is fried in the pot, and the table, is begun when it comes.</summary>
    /// <param name="done">When the pot has it done.</param>
    public (Instant From, Instant To) Span(Instant done, Trigger trigger)
    {
        var length = Duration.FromMinutes(Minutes);
        return trigger.After is not null || Mark is StepIds.Table or StepIds.Base ? (done, done + length) : (done - length, done);
    }
}

/// <summary>A side task of the kitchen (minutes, confidence C).</summary>
/// <param name="For">An extra's id or kind, or rice, boiling_water or cooked.</param>
/// <param name="MinutesPer100">More minutes for each 100 g.</param>
/// <param name="BatchGrams">It is done in batches of at most this; 0 for all at once.</param>
/// <param name="Before">rice, join or extra: when what it is for goes in. Null for the day before.</param>
/// <param name="Gap">It is over this many minutes before.</param>
/// <param name="Within">And starts at most this many minutes before; 0 for any time.</param>
internal sealed record TaskRow(
    string Id,
    string For,
    double Minutes,
    bool Attended,
    double MinutesPer100 = 0,
    double BatchGrams = 0,
    bool Burner = false,
    string? Before = null,
    double Gap = 0,
    double Within = 0,
    string? After = null,
    bool DayBefore = false
);

internal static class HandsTable
{
    public static IReadOnlyDictionary<string, VisitRow> Visits { get; } =
        PulseCatalogue.ReadList<VisitRow>("visits.json").ToDictionary(v => v.Mark);

    public static IReadOnlyList<TaskRow> Tasks { get; } = PulseCatalogue.ReadList<TaskRow>("tasks.json");
}
