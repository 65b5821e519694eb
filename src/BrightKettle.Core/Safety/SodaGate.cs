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
        // All of it together, what a kept soak brings too, against what is in the pot with it: water that was poured away before is none
        // of it.
        var kept = Enumerable.Range(0, cook.Actions.Count).Sum(i => KeptGrams(trace, i));
        var soda = cook.Ingredients.OfType<ExtraIngredient>().Where(x => x.Extra.Kind == ExtraKind.Alkali).ToList();
        if (soda.Count > 0 || kept > 0)
        {
            var last = Enumerable
                .Range(0, cook.Actions.Count)
                .LastOrDefault(
                    i => KeptGrams(trace, i) > 0 || (cook.Actions[i] is CookAction.Add add && soda.Exists(x => x.Id == add.IngredientId)),
                    -1
                );
            var most =
                last < 0
                    ? 0
                    : Enumerable.Range(last, cook.Actions.Count - last).Max(i => trace.After(i, trace.VesselOf(last)).Liquor.Grams) / 1000;
            if (soda.Sum(x => x.Dry.Grams) + kept > MostGramsPerLitre * most)
            {
                found.Add(new(TooMuch, soda.LastOrDefault()?.Id ?? ((CookAction.Add)cook.Actions[last]).IngredientId, null, true));
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

    /// <summary>Soda that goes into the pot here with the water of its soak, g.</summary>
    private static double KeptGrams(CookTrace trace, int action) =>
        trace.Cook.Actions[action] is CookAction.Add add
        && trace.BowlBefore(action, add.IngredientId) is { Wet: true, Soaked: { } at }
        && trace.Cook.Actions[at] is CookAction.Soak soak
            ? soak.SodaGramsPerLitre * soak.Water.Grams / 1000
            : 0;
}
