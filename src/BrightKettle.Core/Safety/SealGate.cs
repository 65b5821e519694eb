using BrightKettle.Core.Cooking;
using BrightKettle.Core.Cooking.Trace;

namespace BrightKettle.Core.Safety;

/// <summary>What may lie between pot and lid: foil or parchment; a towel with the heat off; never plastic or waxed paper.</summary>
public static class SealGate
{
    public const string Melts = "seal.melts";
    public const string TowelOverHeat = "seal.towel_over_heat";

    public static IReadOnlyList<GateFinding> Judge(CookTrace trace)
    {
        ArgumentNullException.ThrowIfNull(trace);
        var cook = trace.Cook;
        var found = new List<GateFinding>();
        for (var i = 0; i < cook.Actions.Count; i++)
        {
            if (cook.Actions[i] is CookAction.Cover { With: SealMaterial.Plastic or SealMaterial.WaxedPaper })
            {
                found.Add(new(Melts, null, i, true));
            }

            var after = trace.After(i);
            if (cook.Actions[i] is CookAction.Cover or CookAction.Heat && after is { Seal: SealMaterial.Towel, Flame: not Flame.Off })
            {
                found.Add(new(TowelOverHeat, null, i, true));
            }
        }

        return found;
    }
}
