using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Stove;

/// <summary>One thing that can be done now, with what comes of it. All figures are the model's.</summary>
/// <param name="Code">Stable; sentences for it stand elsewhere.</param>
/// <param name="Before">What it takes for granted of the minutes before: told with it when it is chosen.</param>
/// <param name="Course">Null when nothing of the plan changes.</param>
/// <param name="After">The evening with it.</param>
public sealed record Answer(string Code, IReadOnlyList<Entry> Before, Course? Course, EveningForecast After)
{
    /// <summary>Of water, salt, starch or rice; negative to pour off.</summary>
    public Mass? Amount { get; init; }

    public Temperature? Temperature { get; init; }

    /// <summary>A vessel that it takes; null where it takes no other.</summary>
    public Vessel? Into { get; init; }

    /// <summary>How long it takes or is kept up.</summary>
    public Duration? For { get; init; }

    /// <summary>By how much later the pulses are found soft, whatever the table does; null where nobody asks.</summary>
    public Duration? Costs { get; init; }

    /// <summary>A gate's code that goes with it; null for none.</summary>
    public string? Caution { get; init; }
}
