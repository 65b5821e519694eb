using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning;

namespace BrightKettle.Core.Practice.Scenes;

/// <summary>What can be seen and felt at the moment, and nothing else.</summary>
/// <param name="MinutesSinceBoil">Null where it has not boiled, or is under pressure.</param>
/// <param name="Pulses">As five squeezed seeds tell it.</param>
/// <param name="Rice">Null where no rice is in the pot.</param>
/// <param name="OverBedCentimetres">Liquid over the bed, as a spoon's handle tells it, to half a centimetre; negative under its surface.</param>
/// <param name="LiquidCentimetres">From the base to the liquid, or to the bed's top where that is higher.</param>
public sealed record SceneSight(
    double MinutesSinceStart,
    double? MinutesSinceBoil,
    FeltState Pulses,
    FeltState? Rice,
    double OverBedCentimetres,
    double BedCentimetres,
    double LiquidCentimetres,
    double Celsius
);

/// <summary>The pot at a moment, for a drawing. Minutes from the start; cm.</summary>
public readonly record struct ScenePoint(double Minutes, double Pulses, double? Rice, double BedCentimetres, double LevelCentimetres);

/// <summary>How it ended with one answer.</summary>
/// <param name="Forbidden">Code of what a gate says to it; null for nothing.</param>
/// <param name="Spoilt">What the table would send back; null for nothing.</param>
/// <param name="LiquorGrams">Free at the table.</param>
/// <param name="Minutes">From the moment to the table.</param>
/// <param name="Score">0 to 100.</param>
public sealed record SceneOutcome(
    string Choice,
    string? Forbidden,
    Spoilt? Spoilt,
    FeltState Pulses,
    FeltState? Rice,
    double LiquorGrams,
    double Minutes,
    SceneScore Score,
    IReadOnlyList<ScenePoint> Points
);

/// <summary>What an ending lost, of 100.</summary>
/// <param name="Texture">0 to 60.</param>
/// <param name="Liquid">0 to 25.</param>
/// <param name="Time">0 to 15, for minutes that an equally good ending did not need.</param>
public sealed record SceneScore(double Texture, double Liquid, double Time, bool Forbidden)
{
    public double Points => Forbidden ? 0 : Math.Max(0, 100 - Texture - Liquid - Time);
}
