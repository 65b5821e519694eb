using BrightKettle.Core.Catalogue;

namespace BrightKettle.Core.Cooking;

/// <summary>What a dry weight becomes.</summary>
/// <param name="CookedGrams">Drained, ±12 % for its water.</param>
/// <param name="Cups">Of 236.6 mL, cooked and drained, ±0.3.</param>
/// <param name="Plates">Of a household's size: 60 g dry beside rice, 90 g alone; 75 g of dry rice.</param>
public sealed record Yield(double CookedGrams, double Cups, double Plates)
{
    /// <summary>From the table's own balance: one plus the water taken up less the solids lost.</summary>
    public static Yield Of(Pulse pulse, double dryGrams, bool withRice)
    {
        var cooked = dryGrams * (1 + pulse.Absorbed.Typical - pulse.SolidsLoss);
        return new(cooked, cooked / pulse.CookedGramsPerCup, dryGrams / Portions.PulseGramsEach(withRice));
    }

    public static Yield Of(Rice rice, double dryGrams, ModelConstants c)
    {
        var cooked = dryGrams * (1 + rice.Absorbed.Typical);
        return new(cooked, cooked / (c.RiceCookedBulk * Portions.TableCupMillilitres), dryGrams / Portions.RiceGramsEach);
    }
}
