using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Safety;

/// <summary>How long pulses may stand in water before they turn. Practice, not a published limit (confidence C).</summary>
public static class SoakLimit
{
    /// <summary>In a fridge at 5 °C or less.</summary>
    public static readonly Duration InFridge = Duration.FromHours(24);

    /// <summary>On the counter: 12 h up to 20 °C, 8 h up to 25 °C, 4 h up to 28 °C, 2 h above.</summary>
    public static Duration OnCounter(Temperature room) =>
        room.Celsius switch
        {
            <= 20 => Duration.FromHours(12),
            <= 25 => Duration.FromHours(8),
            <= 28 => Duration.FromHours(4),
            _ => Duration.FromHours(2),
        };
}
