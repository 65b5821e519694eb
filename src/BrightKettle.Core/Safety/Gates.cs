using BrightKettle.Core.Cooking;
using BrightKettle.Core.Cooking.Trace;
using NodaTime;

namespace BrightKettle.Core.Safety;

/// <summary>All gates over one cook. They judge actions, clock times and temperatures, never how soft a model says something is.</summary>
/// <remarks>The strictest rule stands first: what blocks before what is asked for, and the illness that is worst before the
/// others.</remarks>
public static class Gates
{
    /// <summary>A finding in more than this share of the pots counts.</summary>
    public const double Often = 0.05;

    /// <param name="run">The cook on one pot, for the times and temperatures of its actions; null to judge what the actions alone
    /// tell.</param>
    public static IReadOnlyList<GateFinding> Judge(Cook cook, GateHouse house, PotRun? run = null) =>
        Judge(new CookTrace(cook), house, run);

    /// <inheritdoc cref="Judge(Cook, GateHouse, PotRun?)"/>
    public static IReadOnlyList<GateFinding> Judge(CookTrace trace, GateHouse house, PotRun? run = null)
    {
        ArgumentNullException.ThrowIfNull(trace);
        ArgumentNullException.ThrowIfNull(house);
        return Sorted([.. OfActions(trace, house, run), .. run is null ? [] : OfRun(trace, house, run)]);
    }

    /// <summary>What the gates find in one pot of a cook. What is the same in all pots is found once.</summary>
    public static Func<PotRun, IReadOnlyList<GateFinding>> InOnePot(Cook cook, GateHouse house)
    {
        var trace = new CookTrace(cook);
        var everywhere = OfEveryPot(trace);
        // Whether anybody is there is asked for the same minutes in every pot.
        var (attended, known) = (house.Attended, new Dictionary<Instant, bool>());
        bool Attended(Instant at) => known.TryGetValue(at, out var there) ? there : known[at] = attended!(at);
        var remembering = attended is null ? house : house with { Attended = Attended };
        return run => Sorted([.. OfOnePot(trace, house, run, seen: null), .. everywhere, .. OfRun(trace, remembering, run)]);
    }

    /// <summary>What the reference pot shows, and what blocks in more than one pot in twenty.</summary>
    /// <param name="judge">What is found in one pot.</param>
    /// <param name="pots">Runs of the same cook, with their moments.</param>
    public static IReadOnlyList<GateFinding> OfMany(
        Func<PotRun, IReadOnlyList<GateFinding>> judge,
        PotRun reference,
        IReadOnlyList<PotRun> pots
    )
    {
        ArgumentNullException.ThrowIfNull(judge);
        ArgumentNullException.ThrowIfNull(pots);
        var found = judge(reference).ToList();
        bool IsKnown(GateFinding f) => found.Exists(k => k.Blocks && Subject(k) == Subject(f));
        // Most pots have nothing that blocks, which costs next to nothing.
        var often = pots.Select(judge)
            .Where(one => one.Any(f => f.Blocks))
            .SelectMany(one => one.Where(f => f.Blocks).DistinctBy(Subject))
            .GroupBy(Subject)
            .Where(same => same.Count() > Often * pots.Count)
            .Select(same => same.First())
            .Where(f => !IsKnown(f))
            .ToList();
        return Sorted([.. found, .. often]);
    }

    private static (string, string?) Subject(GateFinding f) => (f.Code, f.IngredientId);

    /// <summary>What the actions themselves say, and what stands in their pots.</summary>
    /// <param name="seen">Of an evening under way, without boils that were broken off; null for a plan.</param>
    internal static IEnumerable<GateFinding> OfActions(
        CookTrace trace,
        GateHouse house,
        PotRun? run,
        IReadOnlyList<Observation>? seen = null
    ) => [.. OfOnePot(trace, house, run, seen), .. OfEveryPot(trace)];

    /// <summary>What the actions say, with a run's times and temperatures where there is one.</summary>
    private static IEnumerable<GateFinding> OfOnePot(CookTrace trace, GateHouse house, PotRun? run, IReadOnlyList<Observation>? seen) =>
        [.. LectinGate.Judge(trace, house.Cautious, run, seen), .. SoakGate.Judge(trace, house.RoomCelsius, run)];

    /// <summary>What the actions say whatever the pot.</summary>
    private static IReadOnlyList<GateFinding> OfEveryPot(CookTrace trace) =>
        [
            .. CyanogenGate.Judge(trace),
            .. PressureGate.Judge(trace),
            .. FrozenMeatGate.Judge(trace),
            .. SodaGate.Judge(trace),
            .. SealGate.Judge(trace),
        ];

    /// <summary>What only the times and temperatures of a run can tell.</summary>
    internal static IEnumerable<GateFinding> OfRun(CookTrace trace, GateHouse house, PotRun run) =>
        [.. FlameGate.Judge(trace, run, house), .. HoldGate.Judge(trace, run, house.Lukewarm)];

    private static List<GateFinding> Sorted(List<GateFinding> found) =>
        found.Count < 2 ? found : [.. found.OrderByDescending(f => f.Blocks)];

    /// <summary>What stands in the way of this action now, by what was seen at the stove; null when it may go on.</summary>
    /// <param name="action">Index of the action that is about to be done.</param>
    /// <param name="seen">Everything observed so far, in any order.</param>
    public static GateFinding? Before(CookTrace trace, int action, IReadOnlyList<Observation> seen, Instant now, GateHouse house)
    {
        ArgumentNullException.ThrowIfNull(trace);
        ArgumentNullException.ThrowIfNull(seen);
        ArgumentNullException.ThrowIfNull(house);
        var known = seen.Where(o => o.At <= now).ToList();
        return LectinGate.Before(trace, action, known, now, house.Cautious)
            ?? PressureGate.Before(trace, action, known)
            ?? TakeOutGate.Before(trace, action, known);
    }
}
