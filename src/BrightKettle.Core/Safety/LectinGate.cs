using BrightKettle.Core.Catalogue;
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
public static partial class LectinGate
{
    public static readonly Duration LeastSoak = Duration.FromHours(5);
    public static readonly Duration HardBoil = Duration.FromMinutes(10);
    public static readonly Duration HardBoilCautious = Duration.FromMinutes(30);
    public static readonly Duration HardBoilHigh = Duration.FromMinutes(60);

    public const string NotBoiledCode = "lectin.not_boiled";

    /// <summary>Seed that was not soaked is poured off, or lifted out, before it may.</summary>
    public const string LeavesEarly = "lectin.leaves_early";

    /// <summary>At the full boil before dry seed may leave its liquid.</summary>
    public static readonly Duration ParBoil = Duration.FromMinutes(30);

    /// <summary>By a look without chalk: <see cref="FeltState.BiteNoChalk"/>.</summary>
    private static readonly double ParDoneness = Doneness.Anchor(FeltState.BiteNoChalk);

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
    /// <param name="seen">What was seen so far of an evening under way, without boils that were broken off; null for a plan. A boil that
    /// was seen counts from then; and where a flame had to go out, the seed may go on if it is brought back to the full boil and stays
    /// there until a look finds it soft. No plan may break off so.</param>
    public static IReadOnlyList<GateFinding> Judge(
        CookTrace trace,
        bool cautious,
        PotRun? run = null,
        IReadOnlyList<Observation>? seen = null
    )
    {
        ArgumentNullException.ThrowIfNull(trace);
        return [.. trace.Cook.Ingredients.Where(IsAtRisk).Select(p => JudgeOne(trace, p.Id, cautious, run, seen))];
    }

    /// <summary>When the hard boil is over by what the cook has seen, or null while the gate cannot open by boiling.</summary>
    public static Instant? ClearsAt(CookTrace trace, string ingredientId, IReadOnlyList<Observation> observations, bool cautious)
    {
        ArgumentNullException.ThrowIfNull(trace);
        if (!SoakedAndDrained(trace, ingredientId) || NeedsPressure(trace.Cook.Kitchen.Altitude))
        {
            return null;
        }

        // The short boil of a quick soak is not the hard boil. A boil that is seen again before the time was up starts it anew.
        var boils = SeenAround(trace, ingredientId, observations)
            .Where(o => o.What == PotEvent.Boils)
            .Select(o => o.At)
            .Order()
            .Skip(QuickSoakEnds(trace, ingredientId) >= 0 ? 1 : 0)
            .ToList();
        var required = RequiredBoil(trace.Cook.Kitchen.Altitude, cautious);
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
    public static bool MayGoGentle(
        CookTrace trace,
        string ingredientId,
        IReadOnlyList<Observation> observations,
        Instant now,
        bool cautious
    )
    {
        ArgumentNullException.ThrowIfNull(trace);
        var nothingFirm =
            observations
                .OfType<Observation.FeltAs>()
                .Where(o => o.IngredientId == ingredientId && o.At <= now)
                .OrderBy(o => o.At)
                .LastOrDefault()
                ?.State >= FeltState.Soft;
        var boiled = ClearsAt(trace, ingredientId, observations, cautious) <= now;
        // A cooker under pressure is over the boil.
        var pressed = NeedsPressure(trace.Cook.Kitchen.Altitude);
        var boilSeen = SeenAround(trace, ingredientId, observations)
            .Any(o => o.At <= now && (o.What is PotEvent.PressureUp or PotEvent.Whistle || (o.What == PotEvent.Boils && !pressed)));
        return boiled || (nothingFirm && boilSeen);
    }

    /// <summary>Whether this action would take a pulse at risk off the boil before it may; null when it may go on.</summary>
    internal static GateFinding? Before(CookTrace trace, int action, IReadOnlyList<Observation> seen, Instant now, bool cautious)
    {
        var deed = trace.Cook.Actions[action];
        var vessel = trace.VesselOf(action);
        var before = trace.Before(action);
        // Down from a rolling boil, or off the boil altogether.
        var leaves =
            deed is CookAction.Serve
            || IsGentle(trace, deed)
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
        var held = trace
            .Cook.Ingredients.Where(IsAtRisk)
            .Where(p => trace.PlaceBefore(action, p.Id) is var place && (place == vessel || (deed is CookAction.Serve && place >= 0)))
            .Where(p => action > QuickSoakEnds(trace, p.Id))
            .FirstOrDefault(p => !(boilsOn && !SoakedAndDrained(trace, p.Id)) && !MayGoGentle(trace, p.Id, seen, now, cautious));
        return held is null
            ? null
            : new(NotBoiledCode, held.Id, action, true, RequiredBoil(trace.Cook.Kitchen.Altitude, cautious).TotalMinutes);
    }

    private static bool IsAtRisk(Ingredient ingredient) =>
        ingredient is PulseIngredient { IsCooked: false } pulse
        && (pulse.Green ? pulse.Pulse.LectinRisk != LectinRisk.Low : pulse.Pulse.BoilsFirst);

    /// <summary>A flame whose word means a pot that boils.</summary>
    private static bool Boils(Flame flame) => flame is Flame.Gentle or Flame.Lively or Flame.Rolling or Flame.Full or Flame.High;

    private static GateFinding JudgeOne(CookTrace trace, string id, bool cautious, PotRun? run, IReadOnlyList<Observation>? seen)
    {
        var required = RequiredBoil(trace.Cook.Kitchen.Altitude, cautious);
        GateFinding NotBoiled(int at) => new(NotBoiledCode, id, at, true, required.TotalMinutes);
        if (KeepsSoakWater(trace, id) is { } kept)
        {
            return new("lectin.soak_water_kept", id, kept, true);
        }

        var needsPressure = NeedsPressure(trace.Cook.Kitchen.Altitude);
        var boiledAt =
            !needsPressure && SoakedAndDrained(trace, id)
                ? BoiledHardAt(trace, id, required, run, clears: seen is null ? null : ClearsAt(trace, id, seen, cautious))
                : -1;
        var soakEnds = QuickSoakEnds(trace, id);
        // Under a lid that was locked, or at the boil so far; a break is mended by what boils anew.
        var (pressed, brokenOff) = (false, false);
        foreach (var i in trace.Around(id).Where(i => i > soakEnds))
        {
            var action = trace.Cook.Actions[i];
            if (boiledAt >= 0 && i >= boiledAt)
            {
                return new("lectin.hard_boil", id, null, false, required.TotalMinutes);
            }

            var locked = trace.After(i).Locked;
            pressed |= locked;
            brokenOff &= !Reboils(action);
            var gentle = StandsGentle(trace, i, id);
            if (action.Trigger.Look is { } look && look.IngredientId == id && look.Doneness >= Doneness.Tender && !gentle)
            {
                var offTheBoil = brokenOff || LeftTheBoil(trace, run, id, i) || !Boils(trace.Before(i, trace.PlaceBefore(i, id)).Flame);
                return (needsPressure && !pressed) || (!pressed && offTheBoil) ? NotBoiled(i) : new("lectin.keep_boiling", id, i, false);
            }

            if (!locked && !pressed && LeavesItsLiquor(trace, i, id) && !ParCooked(trace, i, id, run))
            {
                return new(LeavesEarly, id, i, true, ParBoil.TotalMinutes);
            }

            if (!locked && action is CookAction.Heat heat && !Boils(heat.Flame) && !gentle)
            {
                if (ParCooked(trace, i, id, run) || GoesOnAtOnce(trace, i, id))
                {
                    continue;
                }

                if (seen is null || heat.Flame != Flame.Off)
                {
                    return NotBoiled(i);
                }

                brokenOff = true;
            }
            else if (gentle || action is CookAction.Serve)
            {
                return NotBoiled(i);
            }
        }

        return NotBoiled(trace.Cook.Actions.Count - 1);
    }

    /// <summary>A boil that is waited for: from here on the pot is at the boil again.</summary>
    private static bool Reboils(CookAction action) => action is CookAction.Heat { Trigger.After: PotEvent.Boils } heat && Boils(heat.Flame);

    /// <summary>Poured off from it, or it is lifted out.</summary>
    private static bool LeavesItsLiquor(CookTrace trace, int action, string id) =>
        trace.Cook.Actions[action] switch
        {
            CookAction.Drain { IngredientId: null } => trace.VesselOf(action) == trace.PlaceBefore(action, id),
            CookAction.Transfer { What: TransferWhat.Ingredient } t => t.IngredientId == id,
            _ => false,
        };

    /// <summary>Dry seed that has been at the full boil for <see cref="ParBoil"/> and was found without chalk, here or just before it left
    /// the flame.</summary>
    private static bool ParCooked(CookTrace trace, int action, string id, PotRun? run)
    {
        var looked = trace
            .Around(id)
            .Where(i => i <= action)
            .LastOrDefault(
                i => trace.Cook.Actions[i].Trigger.Look is { } look && look.IngredientId == id && look.Doneness >= ParDoneness,
                -1
            );
        return looked >= 0 && BoiledHardAt(trace, id, ParBoil, run, by: looked) >= 0;
    }

    /// <summary>Off the flame only to be moved or covered: it boils on before any time has passed.</summary>
    private static bool GoesOnAtOnce(CookTrace trace, int off, string id)
    {
        foreach (var i in trace.Around(id).Where(i => i > off))
        {
            if (trace.Cook.Actions[i].Trigger is not { After: null, Look: null, NotBefore: null, Delay: null })
            {
                return false;
            }

            if (trace.Cook.Actions[i] is CookAction.Heat heat)
            {
                return Boils(heat.Flame);
            }
        }

        return false;
    }

    /// <summary>Whether it stands in a slow cooker that is on, or in a pot in blankets, after this action: heat that never boils.</summary>
    private static bool StandsGentle(CookTrace trace, int action, string id) =>
        trace.PlaceAfter(action, id) is >= 0 and var place
        && trace.After(action, place) is var stands
        && (stands.Lid == Lid.Wrapped || (stands.Flame != Flame.Off && trace.Cook.Kitchen[place].Vessel.Cooker?.Kind == CookerKind.Slow));

    /// <summary>Whether the run finds the vessel under the boil at this action, whatever the word for its flame.</summary>
    private static bool IsCool(CookTrace trace, PotRun? run, int action) =>
        run is { Done.Count: > 0 }
        && run.Done[action] is { } done
        && done.Celsius < BoilingPoint.At(trace.Cook.Kitchen.Altitude).Celsius - BoilsWithin;

    /// <summary>Whether the run finds the vessel off the boil between its first boil and this action: cool now, or come to the boil anew
    /// although nothing was done that cools it.</summary>
    private static bool LeftTheBoil(CookTrace trace, PotRun? run, string id, int action)
    {
        if (run is not { Done.Count: > 0 } || run.Done[action] is not { } now)
        {
            return false;
        }

        var vessel = trace.PlaceBefore(action, id);
        var boils = run
            .Happenings.Where(h => h.What == PotEvent.Boils && h.Vessel == vessel && h.Seconds < now.Seconds)
            .Select(h => h.Seconds)
            .ToList();
        // What was fried there before they went in tells nothing of them.
        var wentIn = Enumerable
            .Range(0, action)
            .Where(i => trace.PlaceBefore(i, id) != vessel && trace.PlaceAfter(i, id) == vessel)
            .Select(i => run.Done[i]?.Seconds ?? 0)
            .LastOrDefault();
        var around = trace.Around(id).Where(i => i < action).ToList();
        var first = around.FindIndex(i => trace.Cook.Actions[i].Trigger.After == PotEvent.Boils);
        var cooled = around
            .Skip(first + 1)
            .Count(i => Cools(trace.Cook.Actions[i]) || trace.Cook.Actions[i] is CookAction.Heat { Flame: Flame.Full });
        return boils.Count == 0 || IsCool(trace, run, action) || boils.Count(at => at >= wentIn) > 1 + cooled;
    }

    /// <summary>What is colder than the pot goes in, or the hot liquid out; a splash from the kettle keeps it boiling.</summary>
    private static bool Cools(CookAction action) =>
        action
            is CookAction.AddWater { Temperature.Celsius: < FromTheKettle }
                or CookAction.Add
                or CookAction.PourBack
                or CookAction.Transfer
                or CookAction.Drain;

    /// <summary>Water that was boiling a moment ago, °C.</summary>
    private const double FromTheKettle = 95;

    /// <summary>A slow cooker on any setting, or a pot in blankets: heat that never boils.</summary>
    private static bool IsGentle(CookTrace trace, CookAction action) =>
        action is CookAction.Cover { Lid: Lid.Wrapped }
        || (
            action is CookAction.Heat { Flame: not Flame.Off }
            && trace.Cook.Kitchen[trace.Cook.VesselOf(action)].Vessel.Cooker?.Kind == CookerKind.Slow
        );

    /// <summary>Events that were seen in a vessel in which this ingredient is at some time.</summary>
    private static IEnumerable<Observation.Seen> SeenAround(CookTrace trace, string id, IReadOnlyList<Observation> observations)
    {
        var vessels = trace.Around(id).Select(i => trace.PlaceAfter(i, id)).Where(v => v >= 0).ToHashSet();
        return observations.OfType<Observation.Seen>().Where(o => vessels.Contains(trace.Cook.Kitchen.IndexOf(o.VesselId)));
    }

    /// <summary>Index of the action at which the pulse goes into the pot with the water it was soaked in, or null.</summary>
    private static int? KeepsSoakWater(CookTrace trace, string id)
    {
        var added = trace.Cook.Actions.Select((a, i) => (a, i)).Where(x => x.a is CookAction.Add add && add.IngredientId == id);
        return added.Select(x => (int?)x.i).FirstOrDefault() is { } into && trace.BowlBefore(into, id).Wet ? into : null;
    }
}
