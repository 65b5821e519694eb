using BrightKettle.Core.Units;

namespace BrightKettle.Core.Kitchen;

/// <summary>The bowl in which cooked pulses stand covered while the rice is in their liquor. Every kitchen has one.</summary>
public static class PulseBowl
{
    /// <summary>Its id in a cook; no pot of a household has it.</summary>
    public const string Id = "pulse_bowl";

    /// <summary>A bowl as wide as the pot and half as high (confidence D).</summary>
    public static Vessel For(Vessel pot)
    {
        ArgumentNullException.ThrowIfNull(pot);
        return new(Id, Id, pot.Diameter, Volume.FromMillilitres(pot.Brim.Millilitres / 2));
    }
}
