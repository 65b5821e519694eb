using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Cooking.Trace;
using BrightKettle.Core.Kitchen;

namespace BrightKettle.Core.Safety;

/// <summary>Fill line with swelling and foam, least liquid, vent, release. Cooker manuals; the appliance's own comes first.</summary>
public static class PressureGate
{
    public const string Overfilled = "cooker.overfilled";
    public const string TooDry = "cooker.too_dry";
    public const string QuickWithFoam = "cooker.quick_with_foam";
    public const string VentUnchecked = "cooker.vent_unchecked";
    public const string StillUp = "cooker.still_up";

    /// <summary>Findings for each lid that is locked, in the order of the actions. What comes from another pot is not counted: its amount
    /// is only known at the stove.</summary>
    public static IReadOnlyList<GateFinding> Judge(CookTrace trace)
    {
        ArgumentNullException.ThrowIfNull(trace);
        var cook = trace.Cook;
        var found = new List<GateFinding>();
        for (var i = 0; i < cook.Actions.Count; i++)
        {
            switch (cook.Actions[i])
            {
                case CookAction.Pressurise:
                    found.AddRange(Fill(trace, i));
                    break;
                case CookAction.Release { Kind: ReleaseKind.Quick } when Foams(Inside(trace, i)):
                    found.Add(new(QuickWithFoam, null, i, true));
                    break;
            }
        }

        return found;
    }

    /// <summary>The vent is looked through before the first heat under a lid that will be locked, and again before it is locked anew; it
    /// is opened only when the pin was seen down.</summary>
    internal static GateFinding? Before(CookTrace trace, int action, IReadOnlyList<Observation> seen)
    {
        var next = trace.Cook.Actions[action];
        var vessel = trace.VesselOf(action);
        var lights =
            next is CookAction.Heat { Flame: not Flame.Off }
            && trace.Before(action) is { Locking: 0, Flame: Flame.Off }
            && trace.In(vessel).Any(i => i > action && trace.Cook.Actions[i] is CookAction.Pressurise);
        if (next is CookAction.Pressurise || lights)
        {
            var opened = seen.OfType<Observation.Seen>()
                .Where(o => o.What == PotEvent.PinDown)
                .Select(o => o.At)
                .DefaultIfEmpty(trace.Cook.Starts)
                .Max();
            return seen.OfType<Observation.VentClear>().Any(o => o.At >= opened) ? null : new(VentUnchecked, null, action, true);
        }

        // Each opening wants its own pin: one that was seen before the lid was locked again says nothing of it.
        var locked = seen.OfType<Observation.VentClear>().Select(o => o.At).DefaultIfEmpty(trace.Cook.Starts).Max();
        var waits = next.Trigger.After == PotEvent.PinDown && trace.Before(action).Releasing;
        return waits && !seen.OfType<Observation.Seen>().Any(o => o.What == PotEvent.PinDown && o.At >= locked)
            ? new(StillUp, null, action, true)
            : null;
    }

    private static IEnumerable<GateFinding> Fill(CookTrace trace, int action)
    {
        var vessel = trace.Cook.Kitchen[trace.Cook.VesselOf(trace.Cook.Actions[action])].Vessel;
        if (vessel.Cooker is not { } cooker)
        {
            yield break;
        }

        var (before, inside) = (trace.Before(action), Inside(trace, action));
        var line = vessel.Brim.Millilitres * (Foams(inside) ? Cooker.FillShareFoaming : Cooker.FillShare);
        if (Swollen(inside, before.Liquor.Grams) > line)
        {
            yield return new(Overfilled, null, action, true);
        }

        if (!before.Received && before.Liquor.Grams < cooker.LeastLiquid.Millilitres)
        {
            yield return new(TooDry, null, action, true);
        }
    }

    private static List<Ingredient> Inside(CookTrace trace, int action) =>
        [.. trace.Before(action).Inside.Select(id => trace.Cook.Ingredients[trace.Cook.IndexOf(id)])];

    private static bool Foams(List<Ingredient> inside) => inside.OfType<PulseIngredient>().Any(p => p.Pulse.Foam == Foam.High);

    /// <summary>Seeds and liquid together, or the heap of the swollen seeds where that stands higher, mL.</summary>
    private static double Swollen(List<Ingredient> inside, double liquid)
    {
        var constants = PulseCatalogue.Shipped.Constants;
        var (heap, solid) = (0.0, liquid);
        foreach (var ingredient in inside)
        {
            var full = ingredient switch
            {
                PulseIngredient p => p.Pulse.Absorbed.Typical,
                RiceIngredient r => r.Rice.Absorbed.Typical,
                ExtraIngredient x => x.Extra.BoundWater,
                _ => 0,
            };
            heap += PotGeometry.Of(ingredient, full, constants).Heap;
            solid += PotGeometry.Of(ingredient, ingredient is ExtraIngredient ? full : 0, constants).Solid;
        }

        return Math.Max(heap, solid);
    }
}
