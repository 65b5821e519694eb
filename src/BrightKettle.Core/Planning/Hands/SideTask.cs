using NodaTime;

namespace BrightKettle.Core.Planning.Hands;

/// <summary>Something to be done beside the pot.</summary>
/// <param name="Kind">What is done: its id in the table of tasks.</param>
/// <param name="What">What it is done to, where the task does not say it.</param>
/// <param name="Batch">Which of its batches this is, from 1.</param>
/// <param name="Batches">In how many it is done.</param>
/// <param name="Length">Whole minutes, at least one.</param>
/// <param name="Attended">It needs the cook's hands all the time.</param>
/// <param name="Burner">It needs a burner of its own.</param>
/// <param name="Earliest">It does not start before.</param>
/// <param name="Latest">It is over by then.</param>
/// <param name="After">Id of the task that must be over first; null for none.</param>
public sealed record SideTask(
    string Id,
    string Kind,
    Duration Length,
    bool Attended,
    bool Burner,
    Instant Earliest,
    Instant Latest,
    string? After,
    string? What = null,
    int Batch = 1,
    int Batches = 1
);

/// <summary>A side task with its minute.</summary>
public sealed record PlacedTask(SideTask Task, Instant From)
{
    public Instant To => From + Task.Length;
}

/// <summary>A moment at the stove that is not moved.</summary>
public sealed record Visit(string Mark, Instant From, Instant To);

/// <summary>What the cook's two hands do.</summary>
/// <param name="Unplaced">Tasks for which there is no minute: they are done ahead or by somebody else.</param>
/// <param name="InWaits">Attended minutes of side tasks that lie between the flame and the table.</param>
/// <param name="Outside">Attended minutes of side tasks before the flame.</param>
public sealed record HandsPlan(
    IReadOnlyList<Visit> Visits,
    IReadOnlyList<PlacedTask> Tasks,
    IReadOnlyList<SideTask> Unplaced,
    IReadOnlyList<SideTask> DayBefore,
    double InWaits,
    double Outside
)
{
    /// <summary>Minutes of hands in all.</summary>
    public double HandsOnMinutes =>
        Visits.Sum(v => (v.To - v.From).TotalMinutes) + Tasks.Where(t => t.Task.Attended).Sum(t => t.Task.Length.TotalMinutes);
}
