namespace BrightKettle.Core.Catalogue;

/// <summary>Salt by the level teaspoon of 5 mL, g: crystals differ by twice and more (reference, section 10).</summary>
public static class SaltSpoons
{
    public static readonly Triple Fine = new(5.7, 6.0, 6.3);

    /// <summary>Coarse sea salt.</summary>
    public static readonly Triple Coarse = new(4.6, 5.0, 5.6);

    /// <summary>Hollow flakes and the light kosher kind.</summary>
    public static readonly Triple Flakes = new(2.8, 3.6, 5.0);

    /// <summary>Level teaspoons that weigh this much.</summary>
    public static double TeaspoonsOf(double grams, Triple kind) => grams / kind.Typical;
}
