using NodaTime;

namespace BrightKettle.Core.Cooking;

/// <summary>What somebody saw or felt, with its own time, which may lie in the past.</summary>
public abstract record Observation(Instant At)
{
    /// <summary>An event was seen: for the boil, a full rolling boil with the pulses in.</summary>
    /// <param name="What">Which.</param>
    public sealed record Seen(Instant At, PotEvent What) : Observation(At)
    {
        /// <summary>Id of the vessel; null for the first.</summary>
        public string? VesselId { get; init; }
    }

    /// <summary>Five or more were squeezed, halved or tasted.</summary>
    public sealed record FeltAs(Instant At, string IngredientId, FeltState State) : Observation(At);

    /// <summary>Before a lid is locked: vent looked through, gasket whole, float free.</summary>
    public sealed record VentClear(Instant At) : Observation(At);

    /// <summary>All pieces of an ingredient that must come out were counted out.</summary>
    public sealed record CountedOut(Instant At, string IngredientId) : Observation(At);

    /// <summary>A probe in the middle of the food, °C.</summary>
    public sealed record Probed(Instant At, double Celsius) : Observation(At);

    /// <summary>Some were halved: how many of them still show chalk.</summary>
    /// <param name="Chalky">0 to <paramref name="Of"/>.</param>
    /// <param name="Of">At least 1; five or more are asked for.</param>
    public sealed record ChalkyOf(Instant At, string IngredientId, int Chalky, int Of) : Observation(At);

    /// <summary>The free liquor of a vessel, g.</summary>
    /// <param name="VesselId">Null for the first.</param>
    public sealed record Liquor(Instant At, string? VesselId, double Grams, LiquorBy By) : Observation(At);

    /// <summary>The liquor against the top of the bed, cm; negative when it stands under it.</summary>
    public sealed record OverBed(Instant At, string? VesselId, double Centimetres) : Observation(At);

    /// <summary>Looked for an event of a vessel, and it has not come.</summary>
    public sealed record NotYet(Instant At, PotEvent What, string? VesselId) : Observation(At);

    /// <summary>Something that is looked after now and then was found in order.</summary>
    /// <param name="What">A code of a visit.</param>
    public sealed record Checked(Instant At, string What, string? VesselId) : Observation(At);

    /// <summary>It sticks to the base.</summary>
    public sealed record Sticks(Instant At, string? VesselId, bool Scorched) : Observation(At);
}

/// <summary>How liquor was measured: decides how much the figure is believed.</summary>
public enum LiquorBy
{
    Jug,
    Ruler,
    Eye,
}
