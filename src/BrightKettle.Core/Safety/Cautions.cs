using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;

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

        AddForStarts(codes, cook);
        AddForCookers(codes, cook);
        AddForExtras(codes, cook);
        codes.Add(cook.Ingredients.OfType<RiceIngredient>().Any() ? "keep_rice" : "keep_pulses");
        codes.Add("local_guidance");
        return [.. codes.Distinct()];
    }

    /// <summary>What was cooked before has a clock of its own.</summary>
    private static void AddForStarts(List<string> codes, Cook cook)
    {
        if (cook.Ingredients.Any(i => i is RiceIngredient { Start.IsCooked: true }))
        {
            codes.Add("cooked_rice");
        }

        if (cook.Ingredients.Any(i => i is PulseIngredient { Green: false, Start.IsCooked: false }))
        {
            codes.Add("half_cooked");
        }
    }

    private static void AddForCookers(List<string> codes, Cook cook)
    {
        var kinds = Enumerable.Range(0, cook.Kitchen.VesselCount).Select(v => cook.Kitchen[v].Vessel.Cooker?.Kind).ToList();
        if (cook.Actions.Any(a => a is CookAction.Pressurise))
        {
            codes.AddRange(["cooker.fill", "cooker.vent", "cooker.silent", "cooker.never_force"]);
            if (
                cook.Ingredients.OfType<PulseIngredient>().Any(p => p.Pulse.Foam == Foam.High)
                || cook.Actions.Any(a => a is CookAction.Release { Kind: ReleaseKind.Quick })
            )
            {
                codes.Add("cooker.release");
            }
        }

        if (kinds.Contains(CookerKind.Slow))
        {
            codes.Add("slow_cooker");
        }

        if (cook.Actions.Any(a => a is CookAction.Cover { Lid: Lid.Wrapped } or CookAction.Heat { Flame: Flame.Warm }))
        {
            codes.Add("hold_hot");
        }

        if (cook.Actions.Any(a => a is CookAction.Cover { Lid: Lid.Sealed }))
        {
            codes.Add("seal");
        }
    }

    /// <summary>What can make somebody ill who knows nothing of it: poisons and allergies.</summary>
    private static readonly string[] Grave = ["lectin", "favism", "allergy", "cyanogen", "bitter"];

    /// <summary>Whether a caution is to be read before all others.</summary>
    public static bool IsGrave(string code) => Grave.Any(g => code.StartsWith(g, StringComparison.Ordinal));

    private static void AddForExtras(List<string> codes, Cook cook)
    {
        foreach (var extra in cook.Ingredients.OfType<ExtraIngredient>())
        {
            if (extra.Extra.Kind == ExtraKind.Alkali)
            {
                codes.Add("soda");
            }

            if (extra.Extra.Kind == ExtraKind.Meat)
            {
                codes.Add("meat");
            }

            if (extra.Extra.ComesOut)
            {
                codes.Add("comes_out");
            }
        }
    }
}
