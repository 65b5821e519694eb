using NodaTime;

namespace BrightKettle.Core.Cooking;

/// <summary>What somebody saw or felt, with its own time, which may lie in the past.</summary>
public abstract record Observation(Instant At)
{
    /// <summary>An event was seen: for the boil, a full rolling boil with the pulses in.</summary>
    public sealed record Seen(Instant At, PotEvent What) : Observation(At);

    /// <summary>Five or more were squeezed, halved or tasted.</summary>
    public sealed record FeltAs(Instant At, string IngredientId, FeltState State) : Observation(At);

    /// <summary>Before a lid is locked: vent looked through, gasket whole, float free.</summary>
    public sealed record VentClear(Instant At) : Observation(At);

    /// <summary>All pieces of an ingredient that must come out were counted out.</summary>
    public sealed record CountedOut(Instant At, string IngredientId) : Observation(At);

    /// <summary>A probe in the middle of the food, °C.</summary>
    public sealed record Probed(Instant At, double Celsius) : Observation(At);
}
