using BrightKettle.Core.Cooking;

namespace BrightKettle.Core.Safety;

/// <summary>What may lie between pot and lid: foil or parchment; a towel with the heat off; never plastic or waxed paper.</summary>
public static class SealGate
{
    public const string Melts = "seal.melts";
    public const string TowelOverHeat = "seal.towel_over_heat";

    public static IReadOnlyList<GateFinding> Judge(Cook cook)
    {
        ArgumentNullException.ThrowIfNull(cook);
        var found = new List<GateFinding>();
        var burning = new bool[cook.Kitchen.VesselCount];
        var towel = new bool[cook.Kitchen.VesselCount];
        for (var i = 0; i < cook.Actions.Count; i++)
        {
            var vessel = cook.VesselOf(cook.Actions[i]);
            switch (cook.Actions[i])
            {
                case CookAction.Heat heat:
                    burning[vessel] = heat.Flame != Flame.Off;
                    break;
                case CookAction.Cover cover:
                    towel[vessel] = cover.With == SealMaterial.Towel;
                    if (cover.With is SealMaterial.Plastic or SealMaterial.WaxedPaper)
                    {
                        found.Add(new(Melts, null, i, true));
                    }

                    break;
                default:
                    continue;
            }

            if (burning[vessel] && towel[vessel])
            {
                found.Add(new(TowelOverHeat, null, i, true));
            }
        }

        return found;
    }
}
