using BrightKettle.Core.Cooking;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Stove;

/// <summary>How far a moment has come.</summary>
public enum MomentState
{
    Waiting,
    Done,

    /// <summary>A later moment of its lane was done without it.</summary>
    PassedOver,

    /// <summary>Another course was chosen before it came.</summary>
    Dropped,
}

/// <param name="DoneAt">Null unless it was done.</param>
/// <param name="DoneBy">The entry that says so; null unless it was done.</param>
public sealed record MomentStatus(Moment Moment, MomentState State, Instant? DoneAt, Guid? DoneBy);
