using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Cooking;

/// <summary>What an action waits for. All parts that are given must hold, and the action before it in its vessel must be done.</summary>
/// <param name="NotBefore">A clock time.</param>
/// <param name="After">An event of its vessel, counted since the action before; a pot that already boils counts as boiling.</param>
/// <param name="Delay">Time after the event, or after the action before when there is no event.</param>
/// <param name="Look">A look into the pot, repeated until the answer is yes.</param>
public sealed record Trigger(Instant? NotBefore = null, PotEvent? After = null, Duration? Delay = null, Look? Look = null)
{
    /// <summary>The how-manieth whistle since the lid was locked; at least 1.</summary>
    public int Count { get; init; } = 1;

    /// <summary>The mark of an action of another vessel that must be done first; null for none.</summary>
    public string? AfterStep { get; init; }

    /// <summary>At once after the action before.</summary>
    public static Trigger Next { get; } = new();

    public static Trigger At(Instant instant) => new(NotBefore: instant);

    public static Trigger Once(PotEvent what, Duration? delay = null) => new(After: what, Delay: delay);

    public static Trigger Later(Duration delay) => new(Delay: delay);
}

/// <summary>Look for a doneness; if it is not there yet, look again.</summary>
/// <param name="Doneness">In the slow seeds, 0 to 200.</param>
/// <param name="Again">How long until the next look; at least 1 minute.</param>
public sealed record Look(string IngredientId, double Doneness, Duration Again)
{
    /// <summary>What else must be far enough at the same look; empty for nothing.</summary>
    public IReadOnlyList<LookAlso> Also { get; init; } = [];

    /// <summary>What is done at a look that says no, beside waiting; null for nothing.</summary>
    public NotYet? NotYet { get; init; }

    /// <summary>What is done at a look that says yes, where too much liquid stands; null for nothing.</summary>
    public LidOff? LidOff { get; init; }

    // Lists are compared by what is in them.
    public bool Equals(Look? other) =>
        other is not null
        && (IngredientId, Doneness, Again, NotYet, LidOff) == (other.IngredientId, other.Doneness, other.Again, other.NotYet, other.LidOff)
        && Also.SequenceEqual(other.Also);

    public override int GetHashCode() => HashCode.Combine(IngredientId, Doneness, Again, NotYet, LidOff, Also.Count);
}

/// <summary>Something else that a look asks for.</summary>
/// <param name="Doneness">In the slow seeds, 0 to 200.</param>
public readonly record struct LookAlso(string IngredientId, double Doneness);

/// <summary>The answer to "not yet": looks are moves, not delays.</summary>
/// <param name="Flame">To which the flame is set.</param>
/// <param name="Sprinkle">Boiling water over a bed that shows no liquid while the rice in it is hard; zero for none.</param>
public sealed record NotYet(Flame Flame, Mass Sprinkle)
{
    /// <summary>How long what is far enough waits for the others: then it is done all the same; what is never far enough itself is given up
    /// after twice as long. Null for as long as it takes.</summary>
    public Duration? Longest { get; init; }

    /// <summary>In a pressure cooker: what is far from it goes under pressure again; null where it only simmers on.</summary>
    public LockAgain? LockAgain { get; init; }
}

/// <summary>Done, and too wet: the lid is off until it is not, on the flame that it has; then it is back on.</summary>
/// <param name="Over">Free liquor that is too much, g; 0 to 10,000.</param>
/// <param name="Longest">Nobody waits longer: 10 seconds to an hour.</param>
public sealed record LidOff(Mass Over, Duration Longest);

/// <summary>The lid is locked once more, where the cooker's lines allow it; then it is looked into again.</summary>
/// <param name="Below">Felt doneness under which that is quicker than to simmer on, 0 to 200.</param>
/// <param name="Held">Under pressure, from its coming up; 1 to 60 minutes.</param>
public sealed record LockAgain(double Below, Duration Held);
