using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Kitchen;

/// <summary>What the household fixes for every dinner.</summary>
/// <param name="Zone">Where the kitchen's clock hangs.</param>
/// <param name="Room">Where a soak stands.</param>
/// <param name="Fridge">Where it is chilled.</param>
/// <param name="Wakes">Nobody tends a flame or a bowl before this hour.</param>
/// <param name="Sleeps">Nor after it.</param>
/// <param name="SoaksAt">When an overnight soak is usually set up.</param>
/// <param name="Cautious">Longer hard boil, as the strictest guidance has it.</param>
public sealed record Household(
    DateTimeZone Zone,
    Altitude Altitude,
    Temperature Room,
    Temperature Fridge,
    LocalTime Wakes,
    LocalTime Sleeps,
    LocalTime SoaksAt,
    bool Cautious
)
{
    /// <summary>Hardness of the tap's water, mg/L as calcium carbonate; 0 to 1000.</summary>
    public double HardnessMilligramsPerLitre { get; init; }

    /// <summary>The instant of a local time, by one rule: a time that the clock skips moves forward by the gap, one that it repeats is
    /// the first of the two.</summary>
    public Instant InstantOf(LocalDateTime local) => local.InZoneLeniently(Zone).ToInstant();

    /// <summary>What the kitchen's clock shows.</summary>
    public LocalDateTime LocalOf(Instant instant) => instant.InZone(Zone).LocalDateTime;

    /// <summary>Whether somebody is up at this instant; both ends of the waking day are included.</summary>
    public bool AwakeAt(Instant instant)
    {
        var time = LocalOf(instant).TimeOfDay;
        return Wakes <= Sleeps ? time >= Wakes && time <= Sleeps : time >= Wakes || time <= Sleeps;
    }

    /// <summary>The first instant at or after this one at which somebody is up.</summary>
    public Instant NextAwake(Instant instant)
    {
        if (AwakeAt(instant))
        {
            return instant;
        }

        var local = LocalOf(instant);
        var day = local.TimeOfDay < Wakes ? local.Date : local.Date.PlusDays(1);
        return InstantOf(day + Wakes);
    }
}
