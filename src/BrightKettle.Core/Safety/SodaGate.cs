using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Cooking.Trace;

namespace BrightKettle.Core.Safety;

/// <summary>The cap on bicarbonate over the whole cook: in the liquid of the pot, and in the water of a soak.</summary>
public static class SodaGate
{
    public const string TooMuch = "soda.too_much";

    /// <summary>Of soda in the cooking water, g per L: more is soapy, and a lot of sodium.</summary>
    public const double MostGramsPerLitre = 2.5;

    /// <summary>In a soak that is poured away, g per L.</summary>
    public const double MostInSoak = 5;

    public static IReadOnlyList<GateFinding> Judge(CookTrace trace)
    {
        ArgumentNullException.ThrowIfNull(trace);
        var cook = trace.Cook;
        var found = new List<GateFinding>();
        // All of it together, against what is in the pot with it: water that was poured away before is none of it.
        var soda = cook.Ingredients.OfType<ExtraIngredient>().Where(x => x.Extra.Kind == ExtraKind.Alkali).ToList();
        if (soda.Count > 0)
        {
            var last = Enumerable
                .Range(0, cook.Actions.Count)
                .LastOrDefault(i => cook.Actions[i] is CookAction.Add add && soda.Exists(x => x.Id == add.IngredientId), -1);
            var most =
                last < 0
                    ? 0
                    : Enumerable.Range(last, cook.Actions.Count - last).Max(i => trace.After(i, trace.VesselOf(last)).Liquor.Grams) / 1000;
            if (soda.Sum(x => x.Dry.Grams) > MostGramsPerLitre * most)
            {
                found.Add(new(TooMuch, soda[^1].Id, null, true));
            }
        }

        for (var i = 0; i < cook.Actions.Count; i++)
        {
            if (cook.Actions[i] is CookAction.Soak { SodaGramsPerLitre: > MostInSoak } soak)
            {
                found.Add(new(TooMuch, soak.IngredientId, i, true));
            }
        }

        return found;
    }
}
