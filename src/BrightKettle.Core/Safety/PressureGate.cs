using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
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
    public static IReadOnlyList<GateFinding> Judge(Cook cook)
    {
        ArgumentNullException.ThrowIfNull(cook);
        var found = new List<GateFinding>();
        for (var i = 0; i < cook.Actions.Count; i++)
        {
            switch (cook.Actions[i])
            {
                case CookAction.Pressurise:
                    found.AddRange(Fill(cook, i));
                    break;
                case CookAction.Release { Kind: ReleaseKind.Quick } when Content.At(cook, i).Foams:
                    found.Add(new(QuickWithFoam, null, i, true));
                    break;
            }
        }

        return found;
    }

    /// <summary>A lid is locked only when the vent was looked through since the last time, and opened only when the pin was seen
    /// down.</summary>
    internal static GateFinding? Before(Cook cook, int action, IReadOnlyList<Observation> seen)
    {
        var next = cook.Actions[action];
        if (next is CookAction.Pressurise)
        {
            var opened = seen.OfType<Observation.Seen>()
                .Where(o => o.What == PotEvent.PinDown)
                .Select(o => o.At)
                .DefaultIfEmpty(cook.Starts)
                .Max();
            return seen.OfType<Observation.VentClear>().Any(o => o.At >= opened) ? null : new(VentUnchecked, null, action, true);
        }

        var released = Enumerable
            .Range(0, action)
            .LastOrDefault(i => cook.Actions[i] is CookAction.Release && cook.VesselOf(cook.Actions[i]) == cook.VesselOf(next), -1);
        var waits = released >= 0 && next.Trigger.After == PotEvent.PinDown;
        return waits && !seen.OfType<Observation.Seen>().Any(o => o.What == PotEvent.PinDown) ? new(StillUp, null, action, true) : null;
    }

    private static IEnumerable<GateFinding> Fill(Cook cook, int action)
    {
        var vessel = cook.Kitchen[cook.VesselOf(cook.Actions[action])].Vessel;
        var content = Content.At(cook, action);
        if (vessel.Cooker is not { } cooker)
        {
            yield break;
        }

        var line = vessel.Brim.Millilitres * (content.Foams ? Cooker.FillShareFoaming : Cooker.FillShare);
        if (content.SwollenMillilitres > line)
        {
            yield return new(Overfilled, null, action, true);
        }

        if (!content.Received && content.LiquidMillilitres < cooker.LeastLiquid.Millilitres)
        {
            yield return new(TooDry, null, action, true);
        }
    }

    /// <summary>What the actions say is in a vessel just before one of them.</summary>
    /// <param name="Received">Something came over from another vessel: the amount of liquid is not known from the actions.</param>
    private sealed record Content(double LiquidMillilitres, double SwollenMillilitres, bool Foams, bool Received)
    {
        public static Content At(Cook cook, int action)
        {
            var vessel = cook.VesselOf(cook.Actions[action]);
            var (liquid, received) = (0.0, false);
            var inside = new HashSet<string>();
            for (var i = 0; i < action; i++)
            {
                var deed = cook.Actions[i];
                if (deed is CookAction.Transfer t && cook.Kitchen.IndexOf(t.To) == vessel)
                {
                    received = true;
                    if (t.What == TransferWhat.Ingredient && t.IngredientId is { } moved)
                    {
                        inside.Add(moved);
                    }
                }

                if (cook.VesselOf(deed) != vessel)
                {
                    continue;
                }

                switch (deed)
                {
                    case CookAction.Add add:
                        inside.Add(add.IngredientId);
                        liquid += cook.Ingredients[cook.IndexOf(add.IngredientId)] is ExtraIngredient x
                            ? x.Dry.Grams * x.Extra.FreeWater
                            : 0;
                        break;
                    case CookAction.AddWater water:
                        liquid += water.Water.Grams;
                        break;
                    case CookAction.SetLiquor measure:
                        liquid = measure.Liquor.Grams;
                        break;
                    case CookAction.Drain { IngredientId: null }:
                        liquid = 0;
                        break;
                    case CookAction.Transfer { What: TransferWhat.Everything }:
                        (liquid, received) = (0, false);
                        inside.Clear();
                        break;
                }
            }

            var seeds = inside.Select(id => cook.Ingredients[cook.IndexOf(id)]).ToList();
            return new(liquid, Swollen(seeds, liquid), seeds.OfType<PulseIngredient>().Any(p => p.Pulse.Foam == Foam.High), received);
        }

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
}
