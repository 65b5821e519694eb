using BrightKettle.Core.Planning;

namespace BrightKettle.Server.Kitchen;

/// <summary>The household's choice where cooks disagree.</summary>
public sealed record HouseWays(SaltSchool Salt, double SaltPercent, bool KeepsSoakWater, bool StirsAtJoin);
