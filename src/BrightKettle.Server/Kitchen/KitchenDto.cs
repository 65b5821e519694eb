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
    int Version,
    IReadOnlyList<VesselDto> Vessels,
    IReadOnlyList<VesselDto> RemovedVessels,
    IReadOnlyList<BurnerDto> Burners,
    IReadOnlyList<ShelfDto> Shelf,
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

/// <summary>What is left of a pulse or a rice.</summary>
/// <param name="Version">To be sent back with a change.</param>
public sealed record ShelfDto(string Id, string Name, double Grams, int Version);

/// <summary>What is left now, g; 0 takes it off the shelf.</summary>
/// <param name="Version">Of what was shown; 0 where nothing of it was on the shelf.</param>
public sealed record ShelfChange(double Grams, int Version = 0);

/// <param name="Version">To be sent back with a change.</param>
public sealed record BurnerDto(string Id, string Name, double MostWatts, double LeastWatts, bool Gas, int Version);

/// <param name="Version">Of what was shown.</param>
public sealed record BurnerChange(bool Gas, int Version = 0);

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
    bool StirsAtJoin = true
);
