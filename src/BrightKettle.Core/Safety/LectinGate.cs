using BrightKettle.Core.Cooking;
using BrightKettle.Core.Cooking.Trace;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Safety;

/// <summary>Whether a pulse with lectin may go on to gentle cooking. Judges actions, temperatures and observations, never the texture
/// model.</summary>
/// <remarks>
/// Soaked 5 h or more (or quick-soaked), the water thrown away, and boiled hard in fresh water: then anything goes. Unsoaked
/// or not boiled hard: only in a pot that keeps boiling, or under pressure, until a look has found nothing firm; never in a
/// slow cooker or a wrapped pot. Strictest of the guidance collected in the project's reference (10 minutes at least; 30 in
/// the cautious setting and above 1000 m; 60 above 2000 m; above 3000 m under pressure only). What was cooked in a tin is past
/// all this. Each pulse is judged by what happens in the vessel in which it is, and in no other.
/// </remarks>
public static class LectinGate
{
    public static readonly Duration LeastSoak = Duration.FromHours(5);
    public static readonly Duration HardBoil = Duration.FromMinutes(10);
    public static readonly Duration HardBoilCautious = Duration.FromMinutes(30);
    public static readonly Duration HardBoilHigh = Duration.FromMinutes(60);

    /// <summary>How long a quick soak stands covered off the heat, at least.</summary>
    public static readonly Duration QuickSoakRest = Duration.FromMinutes(60);

    /// <summary>Where a pot is said to boil it is no cooler than this under the boil, °C: a thermometer's and the run's own grain.</summary>
    private const double BoilsWithin = 4;

    private static readonly Altitude High = Altitude.FromMetres(1000);
    private static readonly Altitude VeryHigh = Altitude.FromMetres(2000);
    private static readonly Altitude PressureOnly = Altitude.FromMetres(3000);

    /// <summary>The hard boil that is asked for; above 3000 m no boil is enough: see <see cref="NeedsPressure"/>.</summary>
    public static Duration RequiredBoil(Altitude altitude, bool cautious) =>
        altitude > VeryHigh ? HardBoilHigh
        : cautious || altitude > High ? HardBoilCautious
        : HardBoil;

    /// <summary>Whether water boils too cool here to destroy a lectin in any time that is known to be enough.</summary>
    public static bool NeedsPressure(Altitude altitude) => altitude > PressureOnly;

    /// <summary>Findings for each pulse at risk, in the order of the ingredients; empty when none is.</summary>
    /// <param name="run">The cook on the reference pot: a pot that is told to boil and does not, does not count; null when it is not
    /// known.</param>
    public static IReadOnlyList<GateFinding> Judge(Cook cook, bool cautious, PotRun? run = null)
    {
        ArgumentNullException.ThrowIfNull(cook);
        var trace = new CookTrace(cook);
        return [.. cook.Ingredients.Where(IsAtRisk).Select(p => JudgeOne(cook, trace, p.Id, cautious, run))];
    }

    /// <summary>When the hard boil is over by what the cook has seen, or null while the gate cannot open by boiling.</summary>
    public static Instant? ClearsAt(Cook cook, string ingredientId, IReadOnlyList<Observation> observations, bool cautious)
    {
        ArgumentNullException.ThrowIfNull(cook);
        var trace = new CookTrace(cook);
        if (!SoakedAndDrained(cook, trace, ingredientId) || NeedsPressure(cook.Kitchen.Altitude))
        {
            return null;
        }

        // The short boil of a quick soak is not the hard boil. A boil that is seen again before the time was up starts it anew.
        var boils = SeenAround(cook, trace, ingredientId, observations)
            .Where(o => o.What == PotEvent.Boils)
            .Select(o => o.At)
            .Order()
            .Skip(QuickSoakEnds(cook, trace, ingredientId) >= 0 ? 1 : 0)
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
        ArgumentNullException.ThrowIfNull(cook);
        var nothingFirm =
            observations
                .OfType<Observation.FeltAs>()
                .Where(o => o.IngredientId == ingredientId && o.At <= now)
                .OrderBy(o => o.At)
                .LastOrDefault()
                ?.State >= FeltState.Soft;
        var boiled = ClearsAt(cook, ingredientId, observations, cautious) <= now;
        // A cooker under pressure is over the boil.
        var pressed = NeedsPressure(cook.Kitchen.Altitude);
        var boilSeen = SeenAround(cook, new CookTrace(cook), ingredientId, observations)
            .Any(o => o.At <= now && (o.What is PotEvent.PressureUp or PotEvent.Whistle || (o.What == PotEvent.Boils && !pressed)));
        return boiled || (nothingFirm && boilSeen);
    }

    /// <summary>Whether this action would take a pulse at risk off the boil before it may; null when it may go on.</summary>
    internal static GateFinding? Before(Cook cook, CookTrace trace, int action, IReadOnlyList<Observation> seen, Instant now, bool cautious)
    {
        var deed = cook.Actions[action];
        var vessel = trace.VesselOf(action);
        var before = trace.Before(action);
        // Down from a rolling boil, or off the boil altogether.
        var leaves =
            deed is CookAction.Serve
            || IsGentle(cook, deed)
            || (
                deed is CookAction.Heat heat
                && (
                    (!before.Locked && !Boils(heat.Flame))
                    || (before.Flame == Flame.Rolling && heat.Flame is not (Flame.Rolling or Flame.Full))
                )
            );
        if (!leaves)
        {
            return null;
        }

        // From dry seed the pot only has to go on boiling: down from rolling to lively is no leaving.
        var boilsOn = deed is CookAction.Heat { Flame: Flame.Lively or Flame.Rolling or Flame.Full };
        var held = cook
            .Ingredients.Where(IsAtRisk)
            .Where(p => trace.PlaceBefore(action, p.Id) is var place && (place == vessel || (deed is CookAction.Serve && place >= 0)))
            .Where(p => action > QuickSoakEnds(cook, trace, p.Id))
            .FirstOrDefault(p => !(boilsOn && !SoakedAndDrained(cook, trace, p.Id)) && !MayGoGentle(cook, p.Id, seen, now, cautious));
        return held is null
            ? null
            : new("lectin.not_boiled", held.Id, action, true, RequiredBoil(cook.Kitchen.Altitude, cautious).TotalMinutes);
    }

    private static bool IsAtRisk(Ingredient ingredient) => ingredient is PulseIngredient { CookedAt: null, Pulse.BoilsFirst: true };

    /// <summary>A flame whose word means a pot that boils.</summary>
    private static bool Boils(Flame flame) => flame is Flame.Gentle or Flame.Lively or Flame.Rolling or Flame.Full or Flame.High;

    private static GateFinding JudgeOne(Cook cook, CookTrace trace, string id, bool cautious, PotRun? run)
    {
        var required = RequiredBoil(cook.Kitchen.Altitude, cautious);
        GateFinding NotBoiled(int at) => new("lectin.not_boiled", id, at, true, required.TotalMinutes);
        if (KeepsSoakWater(cook, id) is { } kept)
        {
            return new("lectin.soak_water_kept", id, kept, true);
        }

        var needsPressure = NeedsPressure(cook.Kitchen.Altitude);
        var boiledAt = !needsPressure && SoakedAndDrained(cook, trace, id) ? BoiledHardAt(cook, trace, id, required, run) : -1;
        var soakEnds = QuickSoakEnds(cook, trace, id);
        var pressed = false;
        foreach (var i in trace.Around(id).Where(i => i > soakEnds))
        {
            var action = cook.Actions[i];
            if (boiledAt >= 0 && i >= boiledAt)
            {
                return new("lectin.hard_boil", id, null, false, required.TotalMinutes);
            }

            var locked = trace.After(i).Locked;
            pressed |= locked;
            if (action.Trigger.Look is { } look && look.IngredientId == id && look.Doneness >= Doneness.Tender && !IsGentle(cook, action))
            {
                return (needsPressure && !pressed) || (!pressed && LeftTheBoil(cook, trace, run, id, i))
                    ? NotBoiled(i)
                    : new("lectin.keep_boiling", id, i, false);
            }

            if (IsGentle(cook, action) || (!locked && action is CookAction.Heat heat && !Boils(heat.Flame)) || action is CookAction.Serve)
            {
                return NotBoiled(i);
            }
        }

        return NotBoiled(cook.Actions.Count - 1);
    }

    /// <summary>Whether the run finds the vessel under the boil at this action, whatever the word for its flame.</summary>
    private static bool IsCool(Cook cook, PotRun? run, int action) =>
        run is { Done.Count: > 0 }
        && run.Done[action] is { } done
        && done.Celsius < BoilingPoint.At(cook.Kitchen.Altitude).Celsius - BoilsWithin;

    /// <summary>Whether the run finds the vessel off the boil between its first boil and this action: cool now, or come to the boil anew
    /// although nothing was done that cools it.</summary>
    private static bool LeftTheBoil(Cook cook, CookTrace trace, PotRun? run, string id, int action)
    {
        if (run is not { Done.Count: > 0 } || run.Done[action] is not { } now)
        {
            return false;
        }

        var vessel = trace.PlaceBefore(action, id);
        var boils = run.Happenings.Count(h => h.What == PotEvent.Boils && h.Vessel == vessel && h.Seconds < now.Seconds);
        var around = trace.Around(id).Where(i => i < action).ToList();
        var first = around.FindIndex(i => cook.Actions[i].Trigger.After == PotEvent.Boils);
        var cooled = around.Skip(first + 1).Count(i => Cools(cook.Actions[i]) || cook.Actions[i] is CookAction.Heat { Flame: Flame.Full });
        return boils == 0 || IsCool(cook, run, action) || boils > 1 + cooled;
    }

    /// <summary>What is colder than the pot goes in, or the hot liquid out.</summary>
    private static bool Cools(CookAction action) =>
        action is CookAction.AddWater or CookAction.Add or CookAction.PourBack or CookAction.Transfer or CookAction.Drain;

    /// <summary>A slow cooker on any setting, or a pot in blankets: heat that never boils.</summary>
    private static bool IsGentle(Cook cook, CookAction action) =>
        action is CookAction.Cover { Lid: Lid.Wrapped }
        || (
            action is CookAction.Heat { Flame: not Flame.Off } && cook.Kitchen[cook.VesselOf(action)].Vessel.Cooker?.Kind == CookerKind.Slow
        );

    /// <summary>Events that were seen in a vessel in which this ingredient is at some time.</summary>
    private static IEnumerable<Observation.Seen> SeenAround(Cook cook, CookTrace trace, string id, IReadOnlyList<Observation> observations)
    {
        var vessels = trace.Around(id).Select(i => trace.PlaceAfter(i, id)).Where(v => v >= 0).ToHashSet();
        return observations.OfType<Observation.Seen>().Where(o => vessels.Contains(cook.Kitchen.IndexOf(o.VesselId)));
    }

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

    /// <summary>Whether it stood in water for <see cref="LeastSoak"/> or was quick-soaked, and that water was poured away.</summary>
    internal static bool SoakedAndDrained(Cook cook, CookTrace trace, string id)
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

        return QuickSoakEnds(cook, trace, id) >= 0;
    }

    /// <summary>Index of the drain that ends a quick soak of this pulse: boiled, an hour off the heat, poured away; -1 for none.</summary>
    private static int QuickSoakEnds(Cook cook, CookTrace trace, string id)
    {
        var (off, rested) = (false, Duration.Zero);
        foreach (var i in trace.Around(id))
        {
            var action = cook.Actions[i];
            if (off)
            {
                rested += action.Trigger.Delay ?? Duration.Zero;
            }

            if (off && action is CookAction.Drain { IngredientId: null, Keep: false })
            {
                return rested >= QuickSoakRest ? i : -1;
            }

            if (action is CookAction.Heat heat)
            {
                (off, rested) = (heat.Flame == Flame.Off && heat.Trigger.After == PotEvent.Boils, Duration.Zero);
            }
        }

        return -1;
    }

    /// <summary>Index of the first action at which the pulse's vessel has been kept at a rolling boil long enough, counted from the boil
    /// being seen with this pulse in it; -1 for never. What cools the pot starts the count anew.</summary>
    private static int BoiledHardAt(Cook cook, CookTrace trace, string id, Duration required, PotRun? run)
    {
        var (rolling, boiled) = (false, Duration.Zero);
        foreach (var i in trace.Around(id).Where(i => i > QuickSoakEnds(cook, trace, id)))
        {
            var action = cook.Actions[i];
            if (rolling)
            {
                // Only minutes count: another event, or an hour by the clock, says nothing of how long it rolled.
                boiled += action.Trigger is { After: null } ? action.Trigger.Delay ?? Duration.Zero : Duration.Zero;
                if (boiled >= required)
                {
                    return IsCool(cook, run, i) ? -1 : i;
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
