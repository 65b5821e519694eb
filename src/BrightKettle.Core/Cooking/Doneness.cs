using BrightKettle.Core.Catalogue;
using MathNet.Numerics.Distributions;

namespace BrightKettle.Core.Cooking;

/// <summary>What a hand feels.</summary>
public enum FeltState
{
    Hard,
    ChalkyMiddle,
    NearlyASpeck,
    BiteNoChalk,
    Soft,
    FallingApart,
}

/// <summary>The scale from 0 (dry) over 100 (tender in 95 of 100 seeds) upwards, and how a hand tells it.</summary>
public static class Doneness
{
    public const double Tender = 100;

    /// <summary>What still eats well: a trace short of tender.</summary>
    public const double Wanted = 95;

    /// <summary>Doneness of a single seed below which a speck of chalk is seen when it is halved (confidence D).</summary>
    private const double SeedChalky = 85;

    /// <summary>The doneness at which a state is fully there; a cook can be asked to wait for it.</summary>
    public static double Anchor(FeltState state) =>
        state switch
        {
            FeltState.Hard => 0,
            FeltState.ChalkyMiddle => 50,
            FeltState.NearlyASpeck => 80,
            FeltState.BiteNoChalk => 92,
            FeltState.Soft => 100,
            FeltState.FallingApart => 165,
            _ => throw new ArgumentOutOfRangeException(nameof(state)),
        };

    /// <summary>The state that a hand would name.</summary>
    /// <param name="doneness">In the slow seeds.</param>
    /// <param name="fallsApartAt">The pulse's own anchor, or null when it never does.</param>
    public static FeltState Felt(double doneness, double? fallsApartAt)
    {
        var state = FeltState.FallingApart;
        while (state > FeltState.Hard && !(doneness >= From(state, fallsApartAt)))
        {
            state--;
        }

        return state;
    }

    /// <summary>The doneness from which a hand names this state: half way from the one before, a little late since a hand waits to be
    /// sure (confidence D).</summary>
    public static double From(FeltState state, double? fallsApartAt) =>
        state switch
        {
            FeltState.Hard => double.NegativeInfinity,
            FeltState.ChalkyMiddle => 36,
            FeltState.NearlyASpeck => 68,
            FeltState.BiteNoChalk => 88,
            FeltState.Soft => 97,
            _ => fallsApartAt ?? double.PositiveInfinity,
        };

    /// <summary>Of five seeds taken at random, how many still show chalk: the expected number, 0 to 5.</summary>
    /// <param name="doneness">In the slow seeds.</param>
    /// <param name="seedSpread">Standard deviation of ln(cooking time) within the pot.</param>
    /// <remarks>A seed at quantile q of the pot is ahead of the slow ones by exp(σ(1.645 - z_q)).</remarks>
    public static double ChalkyOfFive(double doneness, double seedSpread)
    {
        if (doneness <= 0)
        {
            return 5;
        }

        var z = 1.645 - (Math.Log(SeedChalky / doneness) / seedSpread);
        return 5 * (1 - Normal.CDF(0, 1, z));
    }
}
