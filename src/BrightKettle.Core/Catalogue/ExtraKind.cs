namespace BrightKettle.Core.Catalogue;

/// <summary>What something beside pulses and rice brings to the pot.</summary>
public enum ExtraKind
{
    Liquid,
    Powder,
    Acid,
    Alkali,
    Sweet,
    Salt,
    Meat,
    Vegetable,
    Dough,
    Fat,
    Leaf,
}
