using NodaTime;

namespace BrightKettle.Core.Safety;

/// <summary>How long what is cooked may stand and be kept, by one country's advice or by the strictest of them.</summary>
/// <remarks>As recalled, confidence B/C; local guidance comes first. Rice by the household's rule, pulses likewise; a dish with both
/// keeps as long as its rice.</remarks>
/// <param name="Id">cautious, uk, us, au_nz or ca.</param>
/// <param name="ChillWithin">From the table to the fridge.</param>
/// <param name="RiceKeeps">In the fridge.</param>
/// <param name="PulsesKeep">In the fridge.</param>
/// <param name="HotCelsius">Kept warm at this or more.</param>
/// <param name="ReheatCelsius">All through.</param>
public sealed record StorageRule(
    string Id,
    Duration ChillWithin,
    Duration RiceKeeps,
    Duration PulsesKeep,
    double HotCelsius,
    double ReheatCelsius
)
{
    public static IReadOnlyList<StorageRule> All { get; } =
    [
        new("cautious", Duration.FromHours(1), Duration.FromHours(24), Duration.FromHours(72), 63, 75),
        new("uk", Duration.FromHours(1), Duration.FromHours(24), Duration.FromHours(48), 63, 75),
        new("us", Duration.FromHours(2), Duration.FromHours(72), Duration.FromHours(72), 60, 74),
        new("au_nz", Duration.FromHours(2), Duration.FromHours(48), Duration.FromHours(48), 60, 75),
        new("ca", Duration.FromHours(2), Duration.FromHours(72), Duration.FromHours(72), 60, 74),
    ];

    /// <summary>The rule of this id, or null.</summary>
    public static StorageRule? Find(string id) => All.FirstOrDefault(r => r.Id == id);

    /// <summary>When it should be in the fridge at the latest; in a room over 32 °C within the hour whatever the rule.</summary>
    public Instant ChillBy(Instant served, double roomCelsius) =>
        served + (roomCelsius > WarmRoomCelsius ? Duration.Min(ChillWithin, Duration.FromHours(1)) : ChillWithin);

    /// <summary>When it should be eaten at the latest, counted from the table.</summary>
    public Instant EatBy(Instant served, bool withRice) => served + (withRice ? Duration.Min(RiceKeeps, PulsesKeep) : PulsesKeep);

    private const double WarmRoomCelsius = 32;
}
