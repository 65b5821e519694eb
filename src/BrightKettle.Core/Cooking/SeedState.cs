namespace BrightKettle.Core.Cooking;

/// <summary>One ingredient of one pot at the end of a run.</summary>
/// <param name="Vessel">Number of the vessel it is in; -1 while it is on the shelf or in its bowl.</param>
/// <param name="Hydration">Water from soaking and from the warm-up, g per g dry.</param>
/// <param name="Swelling">Water that cooking added as starch swells, g per g dry.</param>
/// <param name="Doneness">0 dry, 100 tender in the slow seeds.</param>
/// <param name="SaltGrams">Salt inside, g.</param>
/// <param name="NeverSoftens">What it stands in, or its age, keeps it hard for good.</param>
public readonly record struct SeedState(int Vessel, double Hydration, double Swelling, double Doneness, double SaltGrams, bool NeverSoftens)
{
    /// <summary>All water taken up, g per g dry.</summary>
    public double Uptake => Hydration + Swelling;
}

/// <summary>What one vessel holds at a moment.</summary>
/// <param name="LiquorGrams">Free liquor, g of water.</param>
/// <param name="SaltGrams">Dissolved in it.</param>
/// <param name="SteamGrams">That has left it so far, by boiling, evaporation and venting.</param>
/// <param name="CrustJoules">Heat into a dry base, J/cm²: a crust from about 30, scorched at four times that.</param>
/// <param name="EnergyJoules">Drawn from its heat so far.</param>
/// <param name="ThickenedGrams">Starch stirred in and pulses crushed.</param>
/// <param name="SolidsGrams">All that binds its liquor.</param>
/// <param name="BrokenWaterGrams">Held by seeds that have broken up, and part of what runs.</param>
public readonly record struct VesselState(
    double Celsius,
    double LiquorGrams,
    double SaltGrams,
    double SteamGrams,
    double CrustJoules,
    double EnergyJoules,
    double ThickenedGrams,
    double SolidsGrams,
    double BrokenWaterGrams
);
