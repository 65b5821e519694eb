namespace BrightKettle.Core.Catalogue;

/// <summary>How a rice was milled.</summary>
public enum Grain
{
    White,

    /// <summary>Steamed in its husk before milling.</summary>
    Parboiled,

    /// <summary>The same, cooked halfway and dried: porous, ready in ten minutes.</summary>
    QuickParboiled,

    /// <summary>Whole, in its bran.</summary>
    Bran,
}

/// <summary>One rice of the catalogue. Ratios and times hold for about two cups, lid on, by the named method.</summary>
public sealed record Rice
{
    public required string Id { get; init; }

    public required string Name { get; init; }

    /// <summary>As a household says it, inside a sentence: "brown basmati".</summary>
    public required string Said { get; init; }

    public required IReadOnlyList<string> Aliases { get; init; }

    /// <summary>Grams of dry grain in a cup of 236.6 mL.</summary>
    public required double GramsPerCup { get; init; }

    /// <summary>yes, light, optional or no.</summary>
    public required string Rinse { get; init; }

    /// <summary>absorb, boil_drain, steam or cover: how the table's figures were meant.</summary>
    public required string Method { get; init; }

    /// <summary>Soak before cooking, minutes; zero when none is usual.</summary>
    public required Triple SoakMinutes { get; init; }

    /// <summary>Water per rice by volume, cooked alone by the method.</summary>
    public required Triple WaterByVolume { get; init; }

    /// <summary>Minutes held at an electric cooker's high.</summary>
    public required Triple PressureMinutes { get; init; }

    /// <summary>Water taken up when cooked and fluffy, g per g dry.</summary>
    public required Triple Absorbed { get; init; }

    /// <summary>From the boil to the heat going off, minutes.</summary>
    public required Triple SimmerMinutes { get; init; }

    /// <summary>Rest under the lid off the heat, minutes.</summary>
    public required Triple RestMinutes { get; init; }

    /// <summary>Liquor a bean pot needs for it, g per g dry; null where the table is silent.</summary>
    public Triple? BeanPotLiquor { get; init; }

    /// <summary>How it was milled.</summary>
    public required Grain Grain { get; init; }

    /// <summary>Steamed in its husk before milling: it stays separate however long it stands.</summary>
    public bool IsParboiled => Grain is Grain.Parboiled or Grain.QuickParboiled;

    /// <summary>Parboiled or in its bran: it stays separate, and while there is liquor it drinks on up to the high end of
    /// <see cref="Absorbed"/> without turning wet.</summary>
    public bool DrinksOn => Grain is Grain.Parboiled or Grain.Bran;

    public required string Note { get; init; }
}
