using BrightKettle.Core.Cooking;

namespace BrightKettle.Core.Practice.Dinners;

/// <summary>What stands on the stove and the counter, as an eye, an ear and a hand find it.</summary>
/// <param name="Pots">Those with something in them.</param>
/// <param name="Hands">What five of each, taken out now, would say; nothing from under a locked lid.</param>
/// <param name="Signs">What can be seen or heard now that the next thing of its pot waits for.</param>
public sealed record DinnerSight(IReadOnlyList<PotSight> Pots, IReadOnlyList<HandSight> Hands, IReadOnlyList<SignSight> Signs);

/// <param name="Boils">Bubbles all over.</param>
/// <param name="Steams">It is hot.</param>
/// <param name="Locked">Nothing of its inside is seen: heights and liquor are null.</param>
/// <param name="BedCentimetres">Null where the bed does not show.</param>
/// <param name="LevelCentimetres">Of the liquor, over the base.</param>
/// <param name="LiquorMillilitres">As a jug shows it, hot.</param>
public sealed record PotSight(
    string VesselId,
    bool Boils,
    bool Steams,
    bool Locked,
    double? BedCentimetres,
    double? LevelCentimetres,
    double? LiquorMillilitres,
    double HeightCentimetres
);

/// <param name="ChalkyOfFive">Null for rice: it is bitten.</param>
public sealed record HandSight(string IngredientId, FeltState Felt, int? ChalkyOfFive);

public sealed record SignSight(string VesselId, PotEvent What);
