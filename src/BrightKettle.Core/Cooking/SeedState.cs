namespace BrightKettle.Core.Cooking;

/// <summary>Where an ingredient is.</summary>
public enum Place
{
    Shelf,
    Bowl,
    Pot,
}

/// <summary>The state of one ingredient in one pot. Grams, °C; shares and doneness without unit.</summary>
public struct SeedState
{
    public Place Place;

    /// <summary>Temperature while it is not in the pot, °C.</summary>
    public double OutsideCelsius;

    /// <summary>Free water in its bowl, g.</summary>
    public double BowlGrams;

    /// <summary>Water from soaking and from the warm-up: bounded by the cold ceiling, g per g dry.</summary>
    public double Hydration;

    /// <summary>Water that cooking adds as starch swells, g per g dry.</summary>
    public double Swelling;

    /// <summary>How far the coat lets water in, 0 to 1.</summary>
    public double Coat;

    /// <summary>0 dry, 100 tender in the slow seeds.</summary>
    public double Doneness;

    /// <summary>All water taken up, g per g dry.</summary>
    public readonly double Uptake => Hydration + Swelling;
}
