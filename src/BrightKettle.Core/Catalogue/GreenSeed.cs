namespace BrightKettle.Core.Catalogue;

/// <summary>A pulse picked green, fresh or frozen (textures, 8; dry shares confidence C).</summary>
/// <param name="Minutes">From the boil to tender.</param>
/// <param name="Uptake">Water that it still takes up, g per g as sold.</param>
/// <param name="DryShare">Of it, what is not water; 0.2 to 0.5.</param>
/// <param name="GramsPerCup">In a cup of 236.6 mL.</param>
public sealed record GreenSeed(Span Minutes, double Uptake, double DryShare, double GramsPerCup);
