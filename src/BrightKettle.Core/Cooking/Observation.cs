using NodaTime;

namespace BrightKettle.Core.Cooking;

/// <summary>What somebody saw or felt, with its own time, which may lie in the past.</summary>
public abstract record Observation(Instant At)
{
    /// <summary>An event was seen: for the boil, a full rolling boil with the pulses in.</summary>
    public sealed record Seen(Instant At, PotEvent What) : Observation(At);

    /// <summary>Five or more were squeezed, halved or tasted.</summary>
    public sealed record FeltAs(Instant At, string IngredientId, FeltState State) : Observation(At);
}
