using BrightKettle.Core.Cooking;

namespace BrightKettle.Core.Practice;

/// <summary>Five seeds taken out of a pot, as a hand finds them.</summary>
internal static class FiveTaken
{
    public const int Of = 5;

    /// <summary>Halved: how many show chalk, 0 to 5.</summary>
    /// <param name="doneness">In the slow seeds of the pot.</param>
    /// <param name="seedSpread">Standard deviation of ln(cooking time) within the pot.</param>
    public static int Chalky(double doneness, double seedSpread, SplitMix dice)
    {
        var share = Doneness.ChalkyOfFive(doneness, seedSpread) / Of;
        return Enumerable.Range(0, Of).Count(_ => dice.Uniform() < share);
    }

    /// <summary>Squeezed or bitten, and named by the hardest: some points off, as a hand is.</summary>
    /// <param name="fallsApartAt">The pulse's own anchor; null when it never does, and for rice.</param>
    public static FeltState Felt(double doneness, double? fallsApartAt, SplitMix dice) =>
        Doneness.Felt(doneness + (Hand.Spread * dice.Normal()), fallsApartAt);
}
