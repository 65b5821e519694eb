using BrightKettle.Core.Cooking;
using BrightKettle.Core.Cooking.Trace;
using BrightKettle.Core.Safety;
using NodaTime;

namespace BrightKettle.Core.Stove;

/// <summary>All gates over an evening under way: what was done as it was done, and what is still to do as it is meant.</summary>
internal static class EveningGates
{
    /// <summary>What they find in one pot of this evening.</summary>
    /// <param name="cook">The evening as it will run.</param>
    public static Func<PotRun, IReadOnlyList<GateFinding>> Of(EveningState evening, Cook cook, GateHouse house, Instant now)
    {
        // Somebody has told all that lies behind: they were there.
        var attended = house.Attended is { } awake ? (Func<Instant, bool>)(at => at <= now || awake(at)) : null;
        var known = house with { Attended = attended };
        var runs = new CookTrace(cook);
        // Times and temperatures do not touch these, and a boil that was waited for is no boil any more once it has its time.
        var meant = OfMeant(evening, house, now);
        return run => [.. meant, .. Gates.OfRun(runs, known, run)];
    }

    /// <summary>What the actions say, of what was done and of what is still meant, with what was seen by now.</summary>
    public static IReadOnlyList<GateFinding> OfMeant(EveningState evening, GateHouse house, Instant now)
    {
        var required = LectinGate.RequiredBoil(evening.Cook.Kitchen.Altitude, house.Cautious);
        var seen = evening.WithoutBrokenBoils(required).Where(o => o.At <= now).ToList();
        return [.. Gates.OfActions(evening.AsMeant(out _), house, run: null, seen)];
    }
}
