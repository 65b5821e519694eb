using BrightKettle.Core.Cooking;
using BrightKettle.Core.Cooking.Trace;
using BrightKettle.Core.Kitchen;

namespace BrightKettle.Core.Stove;

/// <summary>How the main pot stands by what was done: the one with the pulses in it.</summary>
/// <param name="VesselId">The first vessel of the cook until something is in one.</param>
public sealed record Conditions(string VesselId, Lid Lid, Flame Flame, bool Locked, bool PulsesIn, bool RiceIn)
{
    public static Conditions Of(EveningState evening)
    {
        ArgumentNullException.ThrowIfNull(evening);
        var cook = evening.Cook with { Actions = [.. evening.ActionsDone().Select(d => d.Action)] };
        var trace = new CookTrace(cook);
        var last = cook.Actions.Count - 1;
        // The slowest pulse leads where several stand in different pots. A bowl stands on no burner: nothing is done to it.
        bool Pot(int place) => place >= 0 && cook.Kitchen[place].Vessel.Id is not (PulseBowl.Id or RiceBowl.OutId);
        int Where<T>()
            where T : Ingredient => cook.Ingredients.OfType<T>().Select(i => trace.PlaceAfter(last, i.Id)).FirstOrDefault(Pot, -1);
        var (pulses, rice) = (Where<PulseIngredient>(), Where<RiceIngredient>());
        var main = Math.Max(pulses >= 0 ? pulses : rice, 0);
        var stands = trace.After(last, main);
        return new(cook.Kitchen[main].Vessel.Id, stands.Lid, stands.Flame, stands.Locked, pulses >= 0, rice == main && rice >= 0);
    }
}
