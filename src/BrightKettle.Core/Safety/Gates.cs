using BrightKettle.Core.Cooking;
using BrightKettle.Core.Cooking.Trace;
using NodaTime;

namespace BrightKettle.Core.Safety;

/// <summary>All gates over one cook. They judge actions, clock times and temperatures, never how soft a model says something is.</summary>
/// <remarks>The strictest rule stands first: what blocks before what is asked for, and the illness that is worst before the
/// others.</remarks>
public static class Gates
{
    /// <param name="run">The cook as planned on the reference pot, for the times and temperatures of its actions; null to judge what the
    /// actions alone tell.</param>
    public static IReadOnlyList<GateFinding> Judge(Cook cook, GateHouse house, PotRun? run = null)
    {
        ArgumentNullException.ThrowIfNull(cook);
        ArgumentNullException.ThrowIfNull(house);
        IEnumerable<GateFinding> found =
        [
            .. LectinGate.Judge(cook, house.Cautious, run),
            .. CyanogenGate.Judge(cook),
            .. PressureGate.Judge(cook),
            .. run is null ? [] : FlameGate.Judge(cook, run, house),
            .. SoakGate.Judge(cook, house.RoomCelsius, run),
            .. run is null ? [] : HoldGate.Judge(cook, run),
            .. FrozenMeatGate.Judge(cook),
            .. SodaGate.Judge(cook),
            .. SealGate.Judge(cook),
        ];
        return [.. found.OrderByDescending(f => f.Blocks)];
    }

    /// <summary>What stands in the way of this action now, by what was seen at the stove; null when it may go on.</summary>
    /// <param name="action">Index of the action that is about to be done.</param>
    /// <param name="seen">Everything observed so far, in any order.</param>
    public static GateFinding? Before(Cook cook, int action, IReadOnlyList<Observation> seen, Instant now, GateHouse house)
    {
        ArgumentNullException.ThrowIfNull(cook);
        ArgumentNullException.ThrowIfNull(seen);
        ArgumentNullException.ThrowIfNull(house);
        var known = seen.Where(o => o.At <= now).ToList();
        var trace = new CookTrace(cook);
        return LectinGate.Before(cook, trace, action, known, now, house.Cautious)
            ?? PressureGate.Before(cook, trace, action, known)
            ?? TakeOutGate.Before(cook, trace, action, known);
    }
}
