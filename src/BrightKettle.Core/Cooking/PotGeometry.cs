using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Units;

namespace BrightKettle.Core.Cooking;

/// <summary>How high bed and liquor stand in a pot. Volumes in mL, heights in cm.</summary>
/// <remarks>Layers are added up: rice that slips between the beans would lower the bed by some 5 to 10 % (confidence C).</remarks>
public static class PotGeometry
{
    private const double MillilitresPerCup = 236.6;

    /// <summary>Grams of water bound in a seed that fill a millilitre.</summary>
    private const double BoundWaterDensity = 1.03;

    /// <summary>Of green seed, g/mL (confidence C).</summary>
    private const double GreenDensity = 1.06;

    /// <summary>Of the voids of a bed, what is still filled when holes stand in its surface and no liquor is seen (confidence D, fitted
    /// with the rices of the calibration).</summary>
    public const double DryVoids = 0.44;

    /// <summary>The least share of a bed that is void, however far it has swollen.</summary>
    private const double LeastVoid = 0.08;

    /// <summary>Heap and solid volume of one ingredient.</summary>
    public static (double Heap, double Solid) Of(Ingredient ingredient, double uptake, ModelConstants c)
    {
        var grams = ingredient.Dry.Grams;
        if (ingredient is ExtraIngredient extra)
        {
            // What is not liquid stands in the pot as it is, about as dense as water.
            var volume = grams * Math.Max(0, 1 - extra.Extra.FreeWater - extra.Extra.BoundWater + uptake);
            return (extra.Extra.FreeWater > 0.5 ? 0 : volume * 1.3, extra.Extra.FreeWater > 0.5 ? 0 : volume);
        }

        if (ingredient is PulseIngredient { Green: true, Pulse.Green: { } green })
        {
            // Plump from the start, a little heavier than water.
            var weight = grams * (1 + uptake);
            return (weight * MillilitresPerCup / green.GramsPerCup, weight / GreenDensity);
        }

        var (dryHeap, cookedHeap, full, density) = ingredient switch
        {
            PulseIngredient { Pulse: var p } => (
                MillilitresPerCup / p.GramsPerCup,
                (1 + p.Absorbed.Typical - p.SolidsLoss) * MillilitresPerCup / p.CookedGramsPerCup,
                p.Absorbed.Typical,
                c.SeedDensity
            ),
            RiceIngredient { Rice: var r } => (
                MillilitresPerCup / r.GramsPerCup,
                (1 + r.Absorbed.Typical) / c.RiceCookedBulk,
                r.Absorbed.Typical,
                c.RiceDensity
            ),
            _ => throw new ArgumentOutOfRangeException(nameof(ingredient)),
        };
        var heap = grams * (dryHeap + ((cookedHeap - dryHeap) * uptake / full));
        var solid = grams * ((1 / density) + (uptake / BoundWaterDensity));
        return (heap, Math.Min(solid, heap * (1 - LeastVoid)));
    }

    /// <summary>Height of the liquor above the base, cm: within the bed while it only fills the voids, else above it.</summary>
    public static double Level(double heap, double solid, double liquorMillilitres, double areaSquareCentimetres)
    {
        var voids = heap - solid;
        if (heap <= 0)
        {
            return liquorMillilitres / areaSquareCentimetres;
        }

        return liquorMillilitres < voids
            ? heap / areaSquareCentimetres * (liquorMillilitres / voids)
            : (heap + liquorMillilitres - voids) / areaSquareCentimetres;
    }

    /// <summary>Liquor that fills the voids of a bed to its top, mL, from a level that was found: the other way round than
    /// <see cref="Level"/>.</summary>
    public static double BedTopMillilitres(
        double bedCentimetres,
        double levelCentimetres,
        double liquorMillilitres,
        double areaSquareCentimetres
    ) =>
        bedCentimetres <= 0 ? 0
        : levelCentimetres >= bedCentimetres
            ? Math.Max(0, liquorMillilitres - ((levelCentimetres - bedCentimetres) * areaSquareCentimetres))
        : levelCentimetres <= 0 ? 0
        : liquorMillilitres * bedCentimetres / levelCentimetres;

    /// <summary>Millilitres of free liquor at its temperature.</summary>
    public static double LiquorMillilitres(double grams, double celsius) =>
        Volume.OfWater(Mass.FromGrams(grams), Temperature.FromCelsius(celsius)).Millilitres;

    /// <summary>The other way round: grams of so many millilitres at this temperature.</summary>
    public static double LiquorGrams(double millilitres, double celsius) => millilitres / LiquorMillilitres(1, celsius);
}
