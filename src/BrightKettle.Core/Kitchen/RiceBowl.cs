using BrightKettle.Core.Units;

namespace BrightKettle.Core.Kitchen;

/// <summary>The bowl of rice that stands in the steam above the pulses, in a pressure cooker.</summary>
public static class RiceBowl
{
    /// <summary>Its id in a cook; no pot of a household has it.</summary>
    public const string Id = "bowl_above";

    /// <summary>The same bowl, lifted out and covered.</summary>
    public const string OutId = "bowl_out";

    /// <summary>Of the cooker's width: steam must pass beside it (confidence D).</summary>
    private const double WidthShare = 0.72;

    /// <summary>Of the cooker's brim (confidence D).</summary>
    private const double BrimShare = 0.33;

    /// <summary>A bowl that fits this cooker.</summary>
    public static Vessel For(Vessel cooker)
    {
        ArgumentNullException.ThrowIfNull(cooker);
        return new(
            Id,
            Id,
            Length.FromCentimetres(cooker.Diameter.Centimetres * WidthShare),
            Volume.FromMillilitres(cooker.Brim.Millilitres * BrimShare)
        );
    }

    public static Vessel Out(Vessel bowl)
    {
        ArgumentNullException.ThrowIfNull(bowl);
        return bowl with { Id = OutId, Name = OutId };
    }
}
