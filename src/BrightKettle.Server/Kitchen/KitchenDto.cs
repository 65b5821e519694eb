using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Server.Answers;

namespace BrightKettle.Server.Kitchen;

/// <summary>What the household fixes, and the server's clock.</summary>
/// <param name="Now">The server's time: pages ask nothing of the phone's clock.</param>
/// <param name="NowLocal">The same on the kitchen's clock, as 2026-11-25T19:00.</param>
/// <param name="StorageRule">cautious, uk, us, au_nz or ca.</param>
/// <param name="RemovedVessels">Gone from the kitchen, and kept for the dinners that use them.</param>
/// <param name="Version">To be sent back with a change.</param>
/// <param name="IsSetUp">The first questions were answered or skipped.</param>
public sealed record KitchenDto(
    string Name,
    string Zone,
    double AltitudeMetres,
    double BoilingCelsius,
    double RoomCelsius,
    double FridgeCelsius,
    string Wakes,
    string Sleeps,
    string SoaksAt,
    double CupMillilitres,
    bool Cautious,
    double HardnessMilligramsPerLitre,
    [property: OneOf(typeof(SaltSchool))] string Salt,
    double SaltPercent,
    bool KeepsSoakWater,
    bool StirsAtJoin,
    [property: OneOf("cautious", "uk", "us", "au_nz", "ca")] string StorageRule,
    [property: OneOf(HouseUnits.Metric, HouseUnits.Us)] string Units,
    [property: OneOf(HouseUnits.Hours24, HouseUnits.AmPm)] string Hours,
    int Version,
    bool IsSetUp,
    IReadOnlyList<VesselDto> Vessels,
    IReadOnlyList<VesselDto> RemovedVessels,
    IReadOnlyList<BurnerDto> Burners,
    IReadOnlyList<BurnerDto> RemovedBurners,
    IReadOnlyList<BagDto> Bags,
    DateTimeOffset Now,
    string NowLocal
);

/// <param name="Version">To be sent back with a change.</param>
public sealed record VesselDto(
    string Id,
    string Name,
    double DiameterCentimetres,
    double BrimMillilitres,
    double HeightCentimetres,
    double MillilitresPerCentimetre,
    [property: OneOf(typeof(CookerKind))] string? Cooker,
    int Version
);

/// <summary>A bag of the cupboard.</summary>
/// <param name="FoodName">Of the pulse or rice.</param>
/// <param name="Name">The household's own; empty where the food's will do.</param>
/// <param name="Grams">Left; 0 for a bag that was used up.</param>
/// <param name="BoughtOn">As 2026-11-25; null where nobody knows.</param>
/// <param name="First">Of its food, it is to be used first.</param>
/// <param name="Pace">How fast it cooks; null for a rice.</param>
/// <param name="Version">To be sent back with a change.</param>
public sealed record BagDto(
    string Id,
    string FoodId,
    string FoodName,
    string Name,
    double Grams,
    string? BoughtOn,
    string? BestBefore,
    string? OpenedOn,
    [property: OneOf(typeof(Storage))] string Storage,
    bool First,
    BagPaceDto? Pace,
    int Version
);

/// <summary>How long a bag takes against an unknown one of its pulse, as a factor on the time: 1.2 takes a fifth longer.</summary>
/// <param name="Time">The middle.</param>
/// <param name="TimeLow">Of ten such dinners one is quicker.</param>
/// <param name="TimeHigh">Of ten such dinners one is slower.</param>
/// <param name="UnknownLow">The same of a bag of which nothing is known.</param>
/// <param name="Dinners">From this bag that told something.</param>
/// <param name="OtherBags">Of the same pulse that told something.</param>
public sealed record BagPaceDto(
    double Time,
    double TimeLow,
    double TimeHigh,
    double UnknownLow,
    double UnknownHigh,
    int Dinners,
    int OtherBags
);

/// <summary>A bag as it is bought, or changed.</summary>
/// <param name="Grams">20 to 25000; 0 for one that is used up.</param>
/// <param name="BoughtOn">As 2026-11-25, not after today; null where nobody knows.</param>
/// <param name="Version">Of what was shown; 0 for a new bag.</param>
public sealed record BagChange(
    string FoodId,
    string Name,
    double Grams,
    string? BoughtOn = null,
    string? BestBefore = null,
    [property: OneOf(typeof(Storage))] string Storage = "cupboard",
    int Version = 0
);

/// <summary>What one dinner from a bag says of it.</summary>
/// <param name="Time">Factor on the time at which its looks point.</param>
/// <param name="LeftOut">Nothing is learned from it.</param>
/// <param name="Version">Of the dinner, to be sent back.</param>
public sealed record BagDinnerDto(
    Guid Id,
    string Title,
    DateTimeOffset ServeAt,
    double Time,
    double TimeLow,
    double TimeHigh,
    bool LeftOut,
    long Version
);

/// <param name="Version">To be sent back with a change.</param>
public sealed record BurnerDto(string Id, string Name, double MostWatts, double LeastWatts, bool Gas, int Version);

/// <summary>A burner as it is entered.</summary>
/// <param name="MostWatts">What reaches the pot at full flame: 300 to 4000 W.</param>
/// <param name="Version">Of what was shown; ignored for a new one.</param>
public sealed record BurnerChange(string Name, double MostWatts, bool Gas, int Version = 0);

/// <summary>The answers to the first questions; null for what was skipped, which stays as it is.</summary>
/// <param name="Burners">All of them, 1 to 8.</param>
/// <param name="Cookers">Beside the pots, one of a kind.</param>
public sealed record FirstAnswers(
    string? Zone = null,
    double? AltitudeMetres = null,
    double? HardnessMilligramsPerLitre = null,
    double? CupMillilitres = null,
    IReadOnlyList<BurnerChange>? Burners = null,
    IReadOnlyList<CookerAnswer>? Cookers = null,
    [property: OneOf(HouseUnits.Metric, HouseUnits.Us)] string? Units = null,
    [property: OneOf(HouseUnits.Hours24, HouseUnits.AmPm)] string? Hours = null
);

/// <summary>A cooker that a new household has, of the usual size.</summary>
/// <param name="Name">What it is called here.</param>
public sealed record CookerAnswer([property: OneOf(typeof(CookerKind))] string Kind, string Name);

/// <summary>A pot as it is entered.</summary>
/// <param name="Cooker">weight, spring, electric or slow; null for a plain pot.</param>
/// <param name="Version">Of what was shown; ignored for a new pot.</param>
public sealed record VesselChange(
    string Name,
    double DiameterCentimetres,
    double BrimMillilitres,
    [property: OneOf(typeof(CookerKind))] string? Cooker = null,
    int Version = 0
);

/// <summary>The settings as they are entered. Times as 21:30.</summary>
/// <param name="Units">Null leaves them as they are.</param>
/// <param name="Hours">Null leaves them as they are.</param>
public sealed record KitchenChange(
    string Zone,
    double AltitudeMetres,
    double RoomCelsius,
    string Wakes,
    string Sleeps,
    string SoaksAt,
    double CupMillilitres,
    bool Cautious,
    double HardnessMilligramsPerLitre,
    int Version,
    [property: OneOf(typeof(SaltSchool))] string Salt = "with_the_rice",
    double SaltPercent = 0.9,
    bool KeepsSoakWater = false,
    [property: OneOf("cautious", "uk", "us", "au_nz", "ca")] string StorageRule = "cautious",
    bool StirsAtJoin = true,
    [property: OneOf(HouseUnits.Metric, HouseUnits.Us)] string? Units = null,
    [property: OneOf(HouseUnits.Hours24, HouseUnits.AmPm)] string? Hours = null
);
