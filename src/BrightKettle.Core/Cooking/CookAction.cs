using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Cooking;

/// <summary>Where the flame stands. The three in the middle are held by the cook's eye, within what the burner can give.</summary>
public enum Flame
{
    Off,

    /// <summary>The least that stays lit.</summary>
    Lowest,

    /// <summary>The least that still bubbles.</summary>
    Gentle,

    /// <summary>A lively simmer.</summary>
    Lively,

    /// <summary>A hard rolling boil.</summary>
    Rolling,

    /// <summary>All the burner has.</summary>
    Full,
}

/// <summary>How the pot is covered.</summary>
public enum Lid
{
    Open,
    Ajar,
    On,

    /// <summary>Lid shut tight, with foil or parchment if it fits badly.</summary>
    Sealed,
}

/// <summary>What can happen by itself and start the next action.</summary>
public enum PotEvent
{
    Boils,
    SurfaceDry,
}

/// <summary>One thing done to the pot. The set is closed.</summary>
/// <param name="When">What it waits for, after the action before it.</param>
public abstract record CookAction(When When)
{
    /// <summary>What this action is in the plan, from <see cref="Marks"/>; null where nobody asks.</summary>
    public string? Mark { get; init; }

    /// <summary>Cover with water in a bowl.</summary>
    public sealed record Soak(When When, string IngredientId, Mass Water, Temperature Temperature) : CookAction(When);

    /// <summary>Pour a bowl's water away, or all the free liquor of the pot when no ingredient is named.</summary>
    public sealed record Drain(When When, string? IngredientId) : CookAction(When);

    /// <summary>Put an ingredient, with the bowl it is in, into the fridge.</summary>
    public sealed record Chill(When When, string IngredientId, Temperature Temperature) : CookAction(When);

    /// <summary>Rinse: no change that the model follows, but hands and a gate ask for it.</summary>
    public sealed record Rinse(When When, string IngredientId) : CookAction(When);

    /// <summary>An ingredient into the pot.</summary>
    public sealed record Add(When When, string IngredientId) : CookAction(When);

    /// <summary>Water into the pot.</summary>
    public sealed record AddWater(When When, Mass Water, Temperature Temperature) : CookAction(When);

    /// <summary>Salt into the pot.</summary>
    public sealed record AddSalt(When When, Mass Salt) : CookAction(When);

    /// <summary>Measure the free liquor and bring it to this mass: add boiling water, or pour off.</summary>
    public sealed record Measure(When When, Mass Liquor) : CookAction(When);

    public sealed record Heat(When When, Flame Flame) : CookAction(When);

    public sealed record Cover(When When, Lid Lid) : CookAction(When);

    public sealed record Stir(When When) : CookAction(When);

    /// <summary>On the table: the forecast ends here.</summary>
    public sealed record Serve(When When) : CookAction(When);
}

/// <summary>What an action waits for. All parts that are given must hold, and the action before it must be done.</summary>
/// <param name="NotBefore">A clock time.</param>
/// <param name="After">An event, counted since the action before; a pot that already boils counts as boiling.</param>
/// <param name="Delay">Time after the event, or after the action before when there is no event.</param>
/// <param name="Look">A look into the pot, repeated until the answer is yes.</param>
public sealed record When(Instant? NotBefore = null, PotEvent? After = null, Duration? Delay = null, Look? Look = null)
{
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
