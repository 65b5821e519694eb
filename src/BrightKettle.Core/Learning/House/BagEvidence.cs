using BrightKettle.Core.Cooking;

namespace BrightKettle.Core.Learning.House;

/// <summary>What one dinner by itself says of a bag's pace: what its looks add to knowing nothing.</summary>
/// <param name="DinnerId">Of the dinner; one dinner says one thing of a bag.</param>
/// <param name="BagId">Of the bag that went in.</param>
/// <param name="Log">ln(pace) at which the looks point.</param>
/// <param name="Spread">Standard deviation of that, by the looks alone; above 0.</param>
public sealed record BagEvidence(string DinnerId, string BagId, string PulseId, double Log, double Spread)
{
    /// <summary>A dinner that narrowed the pace by less than this share tells nothing worth keeping.</summary>
    private const double LeastNarrowed = 0.02;

    /// <summary>What the looks say, taken out of what is known with them and what was known before.</summary>
    /// <param name="known">With the looks of this dinner.</param>
    /// <param name="before">Without them.</param>
    /// <returns>Null where nothing was seen that tells of the pace.</returns>
    public static BagEvidence? Of(string dinnerId, string bagId, string pulseId, Pace known, Pace before)
    {
        ArgumentNullException.ThrowIfNull(known);
        ArgumentNullException.ThrowIfNull(before);
        if (known.Spread >= before.Spread * (1 - LeastNarrowed))
        {
            return null;
        }

        // Of two normal laws: precisions are taken from each other, and so are means by precision.
        var (with, without) = (1 / (known.Spread * known.Spread), 1 / (before.Spread * before.Spread));
        var precision = with - without;
        return new(
            dinnerId,
            bagId,
            pulseId,
            ((with * Math.Log(known.Median)) - (without * Math.Log(before.Median))) / precision,
            1 / Math.Sqrt(precision)
        );
    }
}
