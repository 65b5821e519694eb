using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;

namespace BrightKettle.Core.Safety;

/// <summary>Which cautions belong to a cook, as stable codes in the order in which they should be read.</summary>
public static class Cautions
{
    public static IReadOnlyList<string> For(Cook cook, IReadOnlyList<GateFinding> findings)
    {
        var codes = new List<string>();
        codes.AddRange(findings.Select(f => f.Code));
        codes.AddRange(cook.Ingredients.OfType<PulseIngredient>().SelectMany(p => p.Pulse.Cautions));
        if (cook.Ingredients.OfType<PulseIngredient>().Any(p => p.Pulse.Foam != Foam.Low))
        {
            codes.Add("boil_over");
        }

        codes.Add(cook.Ingredients.OfType<RiceIngredient>().Any() ? "keep_rice" : "keep_pulses");
        codes.Add("local_guidance");
        return [.. codes.Distinct()];
    }
}
