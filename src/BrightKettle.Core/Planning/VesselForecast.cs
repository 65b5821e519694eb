using BrightKettle.Core.Cooking;

namespace BrightKettle.Core.Planning;

/// <summary>One minute of one vessel. Bands are over many pots.</summary>
public sealed record VesselPoint(double Celsius, Band LiquorMillilitres, Band LevelCentimetres);

/// <summary>What becomes of one vessel.</summary>
/// <param name="Points">As many as the forecast's own.</param>
/// <param name="Base">Of the reference pot at the end.</param>
/// <param name="ShareScorched">Of the pots: scorched at the end. 0 to 1.</param>
/// <param name="SaltPercent">In its liquor at the end, % by weight, over many pots.</param>
/// <param name="Thickness">Of the reference pot's liquor, hot; null where there is none.</param>
/// <param name="OnThePlate">The same some minutes later on the plate.</param>
public sealed record VesselForecast(
    string VesselId,
    IReadOnlyList<VesselPoint> Points,
    BaseState Base,
    double ShareScorched,
    Band SaltPercent,
    Thickness? Thickness,
    Thickness? OnThePlate
);
