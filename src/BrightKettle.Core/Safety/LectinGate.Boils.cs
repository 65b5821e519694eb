using BrightKettle.Core.Cooking;
using BrightKettle.Core.Cooking.Trace;
using NodaTime;

namespace BrightKettle.Core.Safety;

/// <summary>How long it was soaked, and how long it rolled.</summary>
public static partial class LectinGate
{
    /// <summary>Whether it stood in water for <see cref="LeastSoak"/> or was quick-soaked, and that water was poured away.</summary>
    /// <remarks>Green seed was never dry.</remarks>
    internal static bool SoakedAndDrained(CookTrace trace, string id)
    {
        if (trace.Cook.Ingredients[trace.Cook.IndexOf(id)] is PulseIngredient pulse && (pulse.Green || pulse.Start?.Soaked >= LeastSoak))
        {
            return true;
        }

        var bowl = trace.BowlBefore(trace.Cook.Actions.Count, id);
        if (bowl is { Soaked: { } soaked, Drained: { } drained })
        {
            var due = BowlLane.Due(trace.Cook).ToDictionary(d => d.Action, d => d.At);
            return due[drained] - due[soaked] >= LeastSoak;
        }

        return QuickSoakEnds(trace, id) >= 0;
    }

    /// <summary>Index of the drain that ends a quick soak of this pulse: boiled, an hour off the heat, poured away; -1 for none.</summary>
    private static int QuickSoakEnds(CookTrace trace, string id)
    {
        var (off, rested, offAt) = (false, Duration.Zero, (Instant?)null);
        foreach (var i in trace.Around(id))
        {
            var action = trace.Cook.Actions[i];
            if (off)
            {
                rested += action.Trigger.Delay ?? Duration.Zero;
            }

            if (off && action is CookAction.Drain { IngredientId: null, Keep: false })
            {
                // Where the stove knows when the flame went out, the clock says how long they stood.
                var stood = (trace.DoneAt(i) ?? action.Trigger.NotBefore) - offAt ?? Duration.Zero;
                return Duration.Max(rested, stood) >= QuickSoakRest ? i : -1;
            }

            if (action is CookAction.Heat heat)
            {
                (off, rested, offAt) = (heat.Flame == Flame.Off && heat.Trigger.After == PotEvent.Boils, Duration.Zero, trace.DoneAt(i));
            }
        }

        return -1;
    }

    /// <summary>Index of the first action at which the pulse's vessel has been kept at a rolling boil long enough, counted from the boil
    /// being seen with this pulse in it; -1 for never. What cools the pot starts the count anew.</summary>
    /// <param name="by">Only what has rolled by this action counts; null for the whole cook.</param>
    /// <param name="clears">When a boil that was seen has lasted long enough, if nothing cools or lowers the pot before.</param>
    private static int BoiledHardAt(CookTrace trace, string id, Duration required, PotRun? run, int? by = null, Instant? clears = null)
    {
        var (rolling, boiled) = (false, Duration.Zero);
        var soakEnds = QuickSoakEnds(trace, id);
        foreach (var i in trace.Around(id).Where(i => i > soakEnds && !(i > by)))
        {
            var action = trace.Cook.Actions[i];
            if (rolling)
            {
                // Only minutes count: another event, or an hour by the clock, says nothing of how long it rolled.
                boiled += action.Trigger is { After: null } ? action.Trigger.Delay ?? Duration.Zero : Duration.Zero;
                if (boiled >= required || action.Trigger.NotBefore >= clears)
                {
                    return IsCool(trace, run, i) ? -1 : i;
                }
            }

            if (action is CookAction.Heat { Flame: Flame.Rolling, Trigger.After: PotEvent.Boils })
            {
                (rolling, boiled) = (true, Duration.Zero);
            }
            else if (Cools(action) || action is CookAction.Heat { Flame: not (Flame.Rolling or Flame.Full) })
            {
                rolling = false;
            }
        }

        return -1;
    }
}
