using NodaTime;

namespace BrightKettle.Core.Cooking;

/// <summary>What can happen by itself and start the next action.</summary>
public enum PotEvent
{
    Boils,
    SurfaceDry,

    /// <summary>A locked cooker has come to its pressure.</summary>
    PressureUp,

    /// <summary>A weight has let steam go; counted by <see cref="When.Count"/>.</summary>
    Whistle,

    /// <summary>The pressure is gone and the lid can be opened.</summary>
    PinDown,
}

/// <summary>What an action waits for. All parts that are given must hold, and the action before it in its vessel must be done.</summary>
/// <param name="NotBefore">A clock time.</param>
/// <param name="After">An event of its vessel, counted since the action before; a pot that already boils counts as boiling.</param>
/// <param name="Delay">Time after the event, or after the action before when there is no event.</param>
/// <param name="Look">A look into the pot, repeated until the answer is yes.</param>
public sealed record When(Instant? NotBefore = null, PotEvent? After = null, Duration? Delay = null, Look? Look = null)
{
    /// <summary>The how-manieth whistle since the lid was locked; at least 1.</summary>
    public int Count { get; init; } = 1;

    /// <summary>The mark of an action of another vessel that must be done first; null for none.</summary>
    public string? AfterMark { get; init; }

    /// <summary>At once after the action before.</summary>
    public static When Next { get; } = new();

    public static When At(Instant instant) => new(NotBefore: instant);

    public static When Once(PotEvent what, Duration? delay = null) => new(After: what, Delay: delay);

    public static When Later(Duration delay) => new(Delay: delay);
}

/// <summary>Look for a doneness; if it is not there yet, look again.</summary>
/// <param name="Doneness">In the slow seeds, 0 to 200.</param>
/// <param name="Again">How long until the next look; at least 1 minute.</param>
public sealed record Look(string IngredientId, double Doneness, Duration Again);
