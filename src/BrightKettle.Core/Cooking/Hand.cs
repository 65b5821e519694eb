namespace BrightKettle.Core.Cooking;

/// <summary>A hand that halves five seeds and goes by the hardest: each of its looks is some points off, the same for the same seed.</summary>
/// <param name="Seed">The cook's.</param>
/// <param name="Pot">Which of the many it looks into.</param>
public readonly record struct Hand(int Seed, int Pot)
{
    /// <summary>Standard deviation of a felt state, points of doneness (textures, how it is felt).</summary>
    public const double Spread = 7;

    /// <summary>Points that this look is off.</summary>
    /// <param name="action">What is looked for, by its place in the cook.</param>
    /// <param name="ingredient">Of what.</param>
    /// <param name="time">Which look it is, from 0.</param>
    public double Error(int action, int ingredient, int time) => Spread * SplitMix.Of(Seed, Pot, action, ingredient, time).Normal();
}
