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
public sealed record Look(string IngredientId, double Doneness, Duration Again);
