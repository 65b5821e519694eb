using BrightKettle.Core.Cooking;

namespace BrightKettle.Core.Stove;

/// <summary>How the main pot stands by what was done: the one with the pulses in it.</summary>
/// <param name="VesselId">The first vessel of the cook until something is in one.</param>
public sealed record Conditions(string VesselId, Lid Lid, Flame Flame, bool Locked, bool PulsesIn, bool RiceIn)
{
    public static Conditions Of(EveningState evening)
    {
        ArgumentNullException.ThrowIfNull(evening);
        var kitchen = evening.Cook.Kitchen;
        var lids = new Dictionary<string, Lid>();
        var flames = new Dictionary<string, Flame>();
        var locked = new HashSet<string>();
        string? pulses = null,
            rice = null;
        foreach (var (_, action) in evening.ActionsDone())
        {
            var vessel = kitchen[kitchen.IndexOf(action.In)].Vessel.Id;
            switch (action)
            {
                case CookAction.Cover a:
                    lids[vessel] = a.Lid;
                    break;
                case CookAction.Heat a:
                    flames[vessel] = a.Flame;
                    break;
                case CookAction.Pressurise:
                    locked.Add(vessel);
                    break;
                case CookAction.Release { Kind: ReleaseKind.Quick }:
                    locked.Remove(vessel);
                    lids[vessel] = Lid.On;
                    break;
                case CookAction.Add a when evening.Cook.Ingredients[evening.Cook.IndexOf(a.IngredientId)] is PulseIngredient:
                    pulses = vessel;
                    break;
                case CookAction.Add a when evening.Cook.Ingredients[evening.Cook.IndexOf(a.IngredientId)] is RiceIngredient:
                    rice = vessel;
                    break;
                case CookAction.Transfer { What: TransferWhat.Everything } a:
                    pulses = pulses == vessel ? a.To : pulses;
                    rice = rice == vessel ? a.To : rice;
                    break;
            }
        }

        var main = pulses ?? rice ?? kitchen.Vessel.Id;
        return new(
            main,
            lids.GetValueOrDefault(main, Lid.Open),
            flames.GetValueOrDefault(main, Flame.Off),
            locked.Contains(main),
            pulses is not null,
            rice is not null && rice == main
        );
    }
}
