using BrightKettle.Core.Kitchen;
using NodaTime;

namespace BrightKettle.Core.Safety;

/// <summary>What the gates need to know of the house.</summary>
/// <param name="Cautious">The longer hard boil.</param>
/// <param name="RoomCelsius">Where a soak stands, °C.</param>
/// <param name="Attended">Whether somebody is at home and awake; null when nobody can say.</param>
public sealed record GateHouse(bool Cautious, double RoomCelsius, Func<Instant, bool>? Attended)
{
    /// <summary>How long cooked food may stand lukewarm.</summary>
    public Duration Lukewarm { get; init; } = HoldGate.Longest;

    /// <summary>For a cook of which only the actions are known.</summary>
    public static GateHouse Unknown { get; } = new(false, 20, null);

    public static GateHouse Of(Household home) => new(home.Cautious, home.Room.Celsius, home.AwakeAt);
}
