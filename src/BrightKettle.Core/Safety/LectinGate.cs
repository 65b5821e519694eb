using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Safety;

/// <summary>Whether a pulse with lectin may go on to gentle cooking. Judges actions and observations, never the texture model.</summary>
/// <remarks>
/// Soaked 5 h or more (or quick-soaked), the water thrown away, and boiled hard in fresh water: then anything goes. Unsoaked
/// or not boiled hard: only in a pot that keeps boiling, or under pressure, until a look has found nothing firm; never in a
/// slow cooker or a wrapped pot. Strictest of the guidance collected in the project's reference (10 minutes at least, 30 in
/// the cautious setting and above 1000 m). What was cooked in a tin is past all this.
/// </remarks>
public static class LectinGate
{
    public static readonly Duration LeastSoak = Duration.FromHours(5);
    public static readonly Duration HardBoil = Duration.FromMinutes(10);
    public static readonly Duration HardBoilCautious = Duration.FromMinutes(30);

    /// <summary>How long a quick soak stands covered off the heat, at least.</summary>
    public static readonly Duration QuickSoakRest = Duration.FromMinutes(60);

    private static readonly Altitude High = Altitude.FromMetres(1000);

    public static Duration RequiredBoil(Altitude altitude, bool cautious) => cautious || altitude > High ? HardBoilCautious : HardBoil;

    /// <summary>Findings for each pulse at risk, in the order of the ingredients; empty when none is.</summary>
    public static IReadOnlyList<GateFinding> Judge(Cook cook, bool cautious)
    {
        var required = RequiredBoil(cook.Kitchen.Altitude, cautious);
        return
        [
            .. cook
                .Ingredients.OfType<PulseIngredient>()
                .Where(p => p.Pulse.LectinRisk != LectinRisk.Low && p.CookedAt is null)
                .Select(p => JudgeOne(cook, p.Id, required)),
        ];
    }

    /// <summary>When the hard boil is over by what the cook has seen, or null while the gate cannot open by boiling.</summary>
    public static Instant? ClearsAt(Cook cook, string ingredientId, IReadOnlyList<Observation> observations, bool cautious)
    {
        if (!SoakedAndDrained(cook, ingredientId))
        {
            return null;
        }

        // The short boil of a quick soak is not the hard boil. A boil that is seen again before the time was up starts it anew.
        var boils = observations
            .OfType<Observation.Seen>()
            .Where(o => o.What == PotEvent.Boils)
            .Select(o => o.At)
            .Order()
            .Skip(QuickSoakEnds(cook, ingredientId) >= 0 ? 1 : 0)
            .ToList();
        var required = RequiredBoil(cook.Kitchen.Altitude, cautious);
        for (var i = 0; i < boils.Count; i++)
        {
            if (i == boils.Count - 1 || boils[i + 1] >= boils[i] + required)
            {
                return boils[i] + required;
            }
        }

        return null;
    }

    /// <summary>Whether the pot may leave the boil now, by what was seen and felt.</summary>
    public static bool MayGoGentle(Cook cook, string ingredientId, IReadOnlyList<Observation> observations, Instant now, bool cautious)
    {
        var nothingFirm =
            observations
                .OfType<Observation.FeltAs>()
                .Where(o => o.IngredientId == ingredientId && o.At <= now)
                .OrderBy(o => o.At)
                .LastOrDefault()
                ?.State >= FeltState.Soft;
        var boiled = ClearsAt(cook, ingredientId, observations, cautious) <= now;
        // A cooker under pressure is over the boil.
        var boilSeen = observations
            .OfType<Observation.Seen>()
            .Any(o => o.What is PotEvent.Boils or PotEvent.PressureUp or PotEvent.Whistle && o.At <= now);
        return boiled || (nothingFirm && boilSeen);
    }

    /// <summary>Whether this action would take a pulse at risk off the boil before it may; null when it may go on.</summary>
    internal static GateFinding? Before(Cook cook, int action, IReadOnlyList<Observation> seen, Instant now, bool cautious)
    {
        var deed = cook.Actions[action];
        var locked = cook.Actions.Take(action).Aggregate(false, (l, a) => Locked(a, l));
        var leaves =
            deed is CookAction.Serve or CookAction.Heat { StepId: StepIds.HardBoilOver }
            || IsGentle(cook, deed)
            || (!locked && deed is CookAction.Heat { Flame: Flame.Off or Flame.Lowest or Flame.Warm });
        if (!leaves || DrainsSoak(cook, action))
        {
            return null;
        }

        // From dry seed the pot only has to go on boiling: down from rolling to lively is no leaving.
        var boilsOn = deed is CookAction.Heat { Flame: Flame.Lively or Flame.Rolling or Flame.Full };
        var inside = cook.Actions.Take(action).OfType<CookAction.Add>().Select(a => a.IngredientId).ToHashSet();
        var held = cook
            .Ingredients.OfType<PulseIngredient>()
            .Where(p => p.Pulse.LectinRisk != LectinRisk.Low && p.CookedAt is null && inside.Contains(p.Id))
            .FirstOrDefault(p => !(boilsOn && !SoakedAndDrained(cook, p.Id)) && !MayGoGentle(cook, p.Id, seen, now, cautious));
        return held is null
            ? null
            : new("lectin.not_boiled", held.Id, action, true, RequiredBoil(cook.Kitchen.Altitude, cautious).TotalMinutes);
    }

    private static GateFinding JudgeOne(Cook cook, string id, Duration required)
    {
        var minutes = required.TotalMinutes;
        if (KeepsSoakWater(cook, id) is { } kept)
        {
            return new("lectin.soak_water_kept", id, kept, true);
        }

        var boiledAt = SoakedAndDrained(cook, id) ? BoiledHardAt(cook, id, required) : -1;
        var inPot = false;
        var locked = false;
        for (var i = 0; i < cook.Actions.Count; i++)
        {
            var action = cook.Actions[i];
            inPot |= action is CookAction.Add add && add.IngredientId == id;
            locked = Locked(action, locked);
            if (!inPot || DrainsSoak(cook, i))
            {
                continue;
            }

            if (boiledAt >= 0 && i >= boiledAt)
            {
                return new("lectin.hard_boil", id, null, false, minutes);
            }

            if (action.Trigger.Look is { } look && look.IngredientId == id && look.Doneness >= Doneness.Tender && !IsGentle(cook, action))
            {
                return new("lectin.keep_boiling", id, i, false);
            }

            if (
                IsGentle(cook, action)
                || (!locked && action is CookAction.Heat { Flame: Flame.Off or Flame.Lowest or Flame.Warm })
                || action is CookAction.Serve
            )
            {
                return new("lectin.not_boiled", id, i, true, minutes);
            }
        }

        return new("lectin.not_boiled", id, cook.Actions.Count - 1, true, minutes);
    }

    internal static bool Locked(CookAction action, bool before) =>
        action switch
        {
            CookAction.Pressurise { High: true } => true,
            CookAction.Release { Kind: ReleaseKind.Quick } => false,
            _ when action.Trigger.After == PotEvent.PinDown => false,
            _ => before,
        };

    /// <summary>A slow cooker on any setting, or a pot in blankets: heat that never boils.</summary>
    private static bool IsGentle(Cook cook, CookAction action) =>
        action is CookAction.Cover { Lid: Lid.Wrapped }
        || (
            action is CookAction.Heat { Flame: not Flame.Off }
            && cook.Kitchen[cook.VesselOf(action)].Vessel.Cooker?.Kind == Kitchen.CookerKind.Slow
        );

    /// <summary>Index of the action at which the pulse goes into the pot with the water it was soaked in, or null.</summary>
    private static int? KeepsSoakWater(Cook cook, string id)
    {
        var wet = false;
        for (var i = 0; i < cook.Actions.Count; i++)
        {
            switch (cook.Actions[i])
            {
                case CookAction.Soak soak when soak.IngredientId == id:
                    wet = true;
                    break;
                case CookAction.Drain drain when drain.IngredientId == id:
                    wet = false;
                    break;
                case CookAction.Add add when add.IngredientId == id:
                    return wet ? i : null;
            }
        }

        return null;
    }

    private static bool SoakedAndDrained(Cook cook, string id)
    {
        Instant? soakedAt = null;
        foreach (var (action, at) in BowlLane.Due(cook))
        {
            if (BowlLane.IngredientOf(cook.Actions[action]) != id)
            {
                continue;
            }

            if (cook.Actions[action] is CookAction.Soak)
            {
                soakedAt = at;
            }
            else if (cook.Actions[action] is CookAction.Drain && soakedAt is { } start)
            {
                return at - start >= LeastSoak;
            }
        }

        return QuickSoakEnds(cook, id) >= 0;
    }

    /// <summary>Index of the drain that ends a quick soak of this pulse: boiled, an hour off the heat, poured away; -1 for none.</summary>
    private static int QuickSoakEnds(Cook cook, string id)
    {
        var inPot = false;
        var (off, rested) = (false, Duration.Zero);
        for (var i = 0; i < cook.Actions.Count; i++)
        {
            var action = cook.Actions[i];
            inPot |= action is CookAction.Add add && add.IngredientId == id;
            if (off)
            {
                rested += action.Trigger.Delay ?? Duration.Zero;
            }

            if (inPot && off && action is CookAction.Drain { IngredientId: null, Keep: false })
            {
                return rested >= QuickSoakRest ? i : -1;
            }

            if (action is CookAction.Heat heat)
            {
                (off, rested) = (inPot && heat.Flame == Flame.Off && heat.Trigger.After == PotEvent.Boils, Duration.Zero);
            }
        }

        return -1;
    }

    /// <summary>Whether this action belongs to a quick soak, whose water is thrown away before anything is cooked.</summary>
    private static bool DrainsSoak(Cook cook, int action) =>
        cook.Ingredients.OfType<PulseIngredient>().Any(p => QuickSoakEnds(cook, p.Id) is var end && action <= end);

    /// <summary>Index of the first action after the pot has been kept at a rolling boil long enough, counted from the boil being seen
    /// with this pulse in it; -1 for never.</summary>
    private static int BoiledHardAt(Cook cook, string id, Duration required)
    {
        var from = QuickSoakEnds(cook, id);
        var inPot = from >= 0;
        for (var i = from + 1; i < cook.Actions.Count - 1; i++)
        {
            inPot |= cook.Actions[i] is CookAction.Add add && add.IngredientId == id;
            if (inPot && cook.Actions[i] is CookAction.Heat { Flame: Flame.Rolling, Trigger.After: PotEvent.Boils })
            {
                var next = cook.Actions[i + 1].Trigger;
                return next.After is null && (next.Delay ?? Duration.Zero) >= required ? i + 1 : -1;
            }
        }

        return -1;
    }
}
