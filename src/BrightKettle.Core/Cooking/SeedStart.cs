using BrightKettle.Core.Units;

namespace BrightKettle.Core.Cooking;

/// <summary>What a pulse or a rice brings along that does not come dry from its bag: soaked, par-cooked, cooked, out of a tin, the fridge or
/// the freezer.</summary>
/// <param name="Temperature">-25 to 100 °C; below 0 its water is ice.</param>
/// <param name="Doneness">0 to 300; 105 for what was cooked until soft.</param>
/// <param name="WetShare">Of the water that a long cold soak gives, 0 to 1.</param>
public sealed record SeedStart(Temperature Temperature, double Doneness = SeedStart.Cooked, double WetShare = 1)
{
    /// <summary>Cooked until soft, with a little to spare.</summary>
    public const double Cooked = 105;

    /// <summary>Out of a tin: cooked under pressure and often firmed with calcium, so that it softens on slowly.</summary>
    public bool FromTin { get; init; }

    /// <summary>How long it stood in water that was poured away, where somebody knows; null otherwise.</summary>
    public NodaTime.Duration? Soaked { get; init; }

    /// <summary>Cooked until soft: what a lectin gate lets pass.</summary>
    public bool IsCooked => Doneness >= Cooking.Doneness.Tender;
}
