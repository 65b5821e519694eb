using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning;
using BrightKettle.Server.Answers;

namespace BrightKettle.Server.Practice;

/// <summary>A scene, without what its pots hide.</summary>
/// <param name="RiceName">Null where no rice is eaten with it.</param>
/// <param name="Pots">How many different pots it has, numbered from 0.</param>
public sealed record PracticeSceneDto(
    string Id,
    string PulseId,
    string PulseName,
    double PulseGrams,
    string? RiceName,
    double RiceGrams,
    [property: OneOf(typeof(Style))] string Style,
    IReadOnlyList<string> Choices,
    int Pots
);

/// <summary>What can be seen and felt in one pot when the decision is due.</summary>
/// <param name="Pulses">As the hardest of five squeezed seeds tells it.</param>
/// <param name="Rice">Null where none is in the pot.</param>
/// <param name="OverBedCentimetres">Liquid over the bed, to half a centimetre; negative under its surface.</param>
public sealed record PracticePotDto(
    double Minutes,
    double? MinutesSinceBoil,
    [property: OneOf(typeof(FeltState))] string Pulses,
    [property: OneOf(typeof(FeltState))] string? Rice,
    double OverBedCentimetres,
    double BedCentimetres,
    double LiquidCentimetres,
    double HeightCentimetres,
    double Celsius
);

/// <param name="Choice">One of the scene's.</param>
public sealed record PracticeDecision(string? Choice);

/// <summary>The pot opened up afterwards.</summary>
/// <param name="Best">The answer that earned most.</param>
/// <param name="WantedLow">Doneness of the pulses that is right at this table, from here</param>
/// <param name="WantedHigh">to here; null where they cannot be too soft.</param>
/// <param name="Endings">One for each answer, in the scene's order.</param>
public sealed record PracticeInsideDto(
    string Chosen,
    string Best,
    double Moment,
    double WantedLow,
    double? WantedHigh,
    IReadOnlyList<PracticeEndingDto> Endings
);

/// <summary>How the same pot ends with one answer.</summary>
/// <param name="Forbidden">Code of the caution that forbids it; null for none.</param>
/// <param name="SpoiltBy">What the table would send it back for; null for nothing.</param>
/// <param name="Minutes">From the decision to the table.</param>
/// <param name="Points">0 to 100.</param>
/// <param name="LostTexture">Points lost, as the next two.</param>
public sealed record PracticeEndingDto(
    string Choice,
    string? Forbidden,
    [property: OneOf(typeof(Spoilt))] string? SpoiltBy,
    [property: OneOf(typeof(FeltState))] string Pulses,
    [property: OneOf(typeof(FeltState))] string? Rice,
    double LiquidMillilitres,
    double Minutes,
    double Points,
    double LostTexture,
    double LostLiquid,
    double LostTime,
    IReadOnlyList<PracticePointDto> Line
);

/// <param name="Minutes">Since the evening began.</param>
/// <param name="Pulses">Doneness of the slow seeds; 100 is tender.</param>
public sealed record PracticePointDto(double Minutes, double Pulses, double? Rice, double BedCentimetres, double LevelCentimetres);
