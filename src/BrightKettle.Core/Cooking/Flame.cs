namespace BrightKettle.Core.Cooking;

/// <summary>Where the heat stands. The three of <see cref="Gentle"/> to <see cref="Rolling"/> are held by the cook's eye, within what the
/// burner can give.</summary>
public enum Flame
{
    Off,

    /// <summary>The least that stays lit.</summary>
    Lowest,

    /// <summary>The least that still bubbles; under pressure, the least that keeps it up.</summary>
    Gentle,

    /// <summary>A lively simmer.</summary>
    Lively,

    /// <summary>A hard rolling boil.</summary>
    Rolling,

    /// <summary>All the burner has.</summary>
    Full,

    /// <summary>An appliance's keep-warm, about 70 °C; a pot's, with a look now and then.</summary>
    Warm,

    /// <summary>A slow cooker's low.</summary>
    Low,

    /// <summary>A slow cooker's high; a rice cooker that is switched on.</summary>
    High,
}
