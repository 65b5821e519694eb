using BrightKettle.Core.Units;

namespace BrightKettle.Core.Kitchen;

/// <summary>A straight-sided pot.</summary>
/// <param name="Id">Stable name within the household.</param>
/// <param name="Name">What the household calls it.</param>
/// <param name="Diameter">Inside, 8 to 60 cm.</param>
/// <param name="Brim">Volume to the brim, 200 mL to 60 L.</param>
public sealed record Vessel(string Id, string Name, Length Diameter, Volume Brim)
{
    /// <summary>Share of the brim that may be filled at any moment: the rest is for bubbling (confidence C).</summary>
    public const double UsableShare = 0.8;

    /// <summary>The same for pulses that foam freely.</summary>
    public const double UsableShareFoaming = 0.67;

    /// <summary>What it does beyond a pot; null for a plain pot.</summary>
    public Cooker? Cooker { get; init; }

    /// <summary>A bowl that every kitchen has: it is no pot of the household, and stands on no burner.</summary>
    public bool IsBowl => Id is RiceBowl.Id or RiceBowl.OutId or PulseBowl.Id;

    /// <summary>Cross-section, cm².</summary>
    public double AreaSquareCentimetres => Math.PI * Diameter.Centimetres * Diameter.Centimetres / 4;

    /// <summary>Inside height, cm: brim volume over area.</summary>
    public double HeightCentimetres => Brim.Millilitres / AreaSquareCentimetres;

    /// <summary>Heat capacity of the empty pot, J/K: steel, 0.5 kg and 0.25 kg a litre at 0.5 kJ/(kg K) (confidence C).</summary>
    public double HeatCapacity => Cooker?.ShellJoulesPerKelvin ?? 500 * (0.5 + (0.25 * Brim.Millilitres / 1000));
}
