using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;

namespace BrightKettle.Core.Safety;

/// <summary>The cap on bicarbonate in the water that is cooked in, and in a soak.</summary>
public static class SodaGate
{
    public const string TooMuch = "soda.too_much";

    /// <summary>Of soda in the cooking water, g per L: more is soapy, and a lot of sodium.</summary>
    public const double MostGramsPerLitre = 2.5;

    /// <summary>In a soak that is poured away, g per L.</summary>
    public const double MostInSoak = 5;

    public static IReadOnlyList<GateFinding> Judge(Cook cook)
    {
        ArgumentNullException.ThrowIfNull(cook);
        var found = new List<GateFinding>();
        var litres = cook.Actions.OfType<CookAction.AddWater>().Sum(a => a.Water.Grams) / 1000;
        foreach (var extra in cook.Ingredients.OfType<ExtraIngredient>().Where(x => x.Extra.Kind == ExtraKind.Alkali))
        {
            if (extra.Dry.Grams > MostGramsPerLitre * litres)
            {
                found.Add(new(TooMuch, extra.Id, null, true));
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
