using BrightKettle.Core.Catalogue;
using MathNet.Numerics.Distributions;

namespace BrightKettle.Core.Cooking;

/// <summary>What is hidden in one pot: factors on the reference, 1 when it is just that.</summary>
/// <param name="Pace">One per ingredient: a pulse's bag or the rice's rate.</param>
/// <param name="RiceThirst">On the rice's uptake.</param>
/// <param name="Evaporation">On surface evaporation.</param>
/// <param name="BurnerPower">On what the burner brings.</param>
public sealed record PotTraits(IReadOnlyList<double> Pace, double RiceThirst, double Evaporation, double BurnerPower)
{
    /// <summary>On how far a weight lets the cooker fall with each whistle.</summary>
    public double Whistle { get; init; } = 1;

    /// <summary>Whose fingers look: they feel a state up to some points off, other each time; null for a hand that feels it as it
    /// is.</summary>
    public Hand? Hand { get; init; }

    /// <summary>The reference pot: every factor in its middle.</summary>
    public static PotTraits Reference(Cook cook) => AtPaceShare(cook, 0.5);

    /// <summary>A pot whose pulses have the pace that this share of bags stays below; all else in its middle.</summary>
    public static PotTraits AtPaceShare(Cook cook, double share) =>
        new(
            [
                .. cook.Ingredients.Select(i =>
                    i switch
                    {
                        PulseIngredient pulse => pulse.Pace.Quantile(share),
                        RiceIngredient rice => rice.RateFactor,
                        _ => 1,
                    }
                ),
            ],
            1,
            cook.Evaporation?.Median ?? 1,
            cook.BurnerPower?.Median ?? 1
        );

    /// <summary>Many pots, spread over each trait in equal shares (a Latin square of quantiles), the same for the same seed.</summary>
    public static PotTraits[] Many(Cook cook, ModelConstants constants, int count)
    {
        var random = new SplitMix(cook.Seed);
        var quantiles = Enumerable.Range(0, count).Select(k => Normal.InvCDF(0, 1, (k + 0.5) / count)).ToArray();
        double[] Column(double median, double spread) =>
            [.. random.Permutation(count).Select(k => median * Math.Exp(spread * quantiles[k]))];

        var pace = cook
            .Ingredients.Select(i =>
                i switch
                {
                    PulseIngredient pulse => Column(pulse.Pace.Median, pulse.Pace.Spread),
                    RiceIngredient rice => Column(rice.RateFactor, constants.RiceSpread),
                    _ => null,
                }
            )
            .ToArray();
        var thirst = Column(1, constants.RiceThirstSpread);
        var evaporation = Column(cook.Evaporation?.Median ?? 1, cook.Evaporation?.Spread ?? constants.EvaporationSpread);
        var power = Column(cook.BurnerPower?.Median ?? 1, cook.BurnerPower?.Spread ?? constants.BurnerSpread);
        var whistle = Column(1, constants.WhistleSpread);
        return
        [
            .. Enumerable
                .Range(0, count)
                .Select(n => new PotTraits([.. pace.Select(p => p?[n] ?? 1)], thirst[n], evaporation[n], power[n])
                {
                    Whistle = whistle[n],
                    Hand = new Hand(cook.Seed, n),
                }),
        ];
    }
}
