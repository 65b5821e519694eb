using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning.Manners;
using BrightKettle.Core.Safety;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Planning.Solving;

/// <summary>Several pulses in one pot.</summary>
internal sealed partial class WaySolver
{
    /// <summary>The slowest is soft first and waits; then the quicker ones go in, to the state from which most bags end as wanted. All
    /// are sketched, and those that promise most are solved.</summary>
    private SolvedWay SolveSeveral(Way way)
    {
        var joining = dish.OtherPulses.Where(o => Way.MayJoinLater(dish, o)).ToList();
        var sketched = new List<(Way Way, int Served)>();
        var solved = new Dictionary<Way, (SolvedWay Solved, int Served)>(ReferenceEqualityComparer.Instance);
        foreach (var candidate in Staggers(way, joining))
        {
            var served = Served(SolveWaiting(candidate, sketch: true));
            sketched.Add((candidate, served));
            if (served >= WellServed && Solved(candidate).Served >= WellServed)
            {
                break;
            }
        }

        foreach (var (candidate, _) in sketched.OrderByDescending(s => s.Served).Take(MostSolved))
        {
            Solved(candidate);
        }

        // The best that is found at one look, and the best of those that go in one after the other.
        var bests = solved.Values.GroupBy(s => s.Solved.Way.OtherWait is null).Select(g => g.MaxBy(s => s.Served)).ToList();
        foreach (
            var sooner in bests.Exists(s => s.Served >= WellServed) ? [] : bests.SelectMany(s => Sooner(s.Solved.Way, joining)).ToList()
        )
        {
            sketched.Add((sooner, 0));
            Solved(sooner);
        }

        SolvedWay? best = null;
        var least = 0;
        foreach (var (candidate, _) in sketched.Where(s => solved.ContainsKey(s.Way)))
        {
            var (tried, served) = Solved(candidate);
            if (served >= least || best is null)
            {
                // All in one pot from the start is the least work: what asks for more must serve three bags more.
                (best, least) = (tried, served + (candidate.OtherWait is null ? 3 : 1));
            }
        }

        return best!;

        int Served(SolvedWay tried) => tried.Fault is null ? PotsServed(tried.Way) : -1;

        (SolvedWay Solved, int Served) Solved(Way candidate)
        {
            if (!solved.TryGetValue(candidate, out var known))
            {
                var anew = SolveWaiting(candidate);
                solved[candidate] = known = (anew, Served(anew));
            }

            return known;
        }
    }

    /// <summary>What softens on while its liquor boils down is found sooner.</summary>
    private IEnumerable<Way> Sooner(Way way, List<OtherPulse> joining)
    {
        var quickest = dish.OtherPulses.Select(o => o.Pulse).Append(dish.Pulse).MinBy(p => p.SofteningMinutesAt98C)!;
        if (dish.RiceInPot is not null || (AtRisk && dish.CountsAsDry) || way.GainBefore(dish, quickest) < WorthSooner)
        {
            yield break;
        }

        foreach (var state in new[] { FeltState.BiteNoChalk, FeltState.NearlyASpeck })
        {
            var anew = way with { LightAt = dish.ServeAt, Water = Mass.Zero, JoinLiquor = Mass.Zero };
            yield return anew with
            {
                Wait = state,
            };
            if (way.OtherWait is not null && joining.Max(o => SecondsAlone(o, state)) is { } seconds)
            {
                yield return anew with
                {
                    OtherWait = state,
                    OtherLead = Duration.FromMinutes(Math.Ceiling(seconds / 60)),
                };
            }
        }
    }

    /// <summary>A gain in doneness that a hand could tell.</summary>
    private const double WorthSooner = 8;

    /// <summary>Of the ways that were sketched, so many are solved.</summary>
    private const int MostSolved = 4;

    /// <summary>The slowest is found soft and waits for the others; else all are in from the start, and the last to be far enough
    /// decides; else the others go in while the slowest is still on its way. With a lectin in them all boil hard at once, if that
    /// will do.</summary>
    private IEnumerable<Way> Staggers(Way way, List<OtherPulse> joining)
    {
        var together = (dish.RiceInPot is null ? [Alone] : Waits).Reverse().Select(w => way with { Wait = w });
        if (joining.Count == 0)
        {
            return together;
        }

        var leads = Leads(joining).Select(l => (l.State, Lead: Duration.FromMinutes(Math.Ceiling(l.Minutes)))).ToList();
        var waits = leads.Select(l => way with { OtherWait = l.State, OtherLead = l.Lead });
        var earlier = Waits
            .Where(w => w != way.Wait)
            .SelectMany(w => leads.Select(l => way with { Wait = w, OtherWait = l.State, OtherLead = l.Lead }));
        return joining.Exists(o => o.Pulse.BoilsFirst)
            ? together.Concat(waits).Concat(Lifted(way)).Concat(earlier)
            : waits.Concat(together).Concat(Lifted(way)).Concat(earlier);
    }

    /// <summary>Of the longest that cooked food may stand lukewarm, what a slow bag in the pot beside may take.</summary>
    private const double InBowlShare = 0.8;

    /// <summary>One is cooked through and lifted out, and the other cooks in its liquor.</summary>
    private IEnumerable<Way> Lifted(Way way)
    {
        Way Lift(bool atOnce, double seconds) =>
            way with
            {
                Wait = Alone,
                LiftsFirst = true,
                LiftsAtOnce = atOnce,
                OtherWait = FeltState.Soft,
                OtherLead = Duration.FromMinutes(Math.Ceiling(seconds / 60)),
            };
        return
            dish is { RiceInPot: null, OtherPulses: [var other] }
            && Way.MayJoinLater(dish, other)
            && SecondsAlone(other, FeltState.Soft) is { } seconds
            // A bowl of beans does not stand lukewarm for longer, even where the second bag is the slowest of twenty.
            && seconds <= InBowlShare * HoldGate.LongestPlanned.TotalSeconds
            ? [Lift(false, seconds), Lift(true, seconds)]
            : [];
    }

    /// <summary>Ways in which the quicker pulses may go in: to a state that is looked for, or, with rice to come, some minutes before it
    /// or with it.</summary>
    private IEnumerable<(FeltState State, double Minutes)> Leads(List<OtherPulse> joining)
    {
        foreach (var minutes in dish.RiceInPot is null ? [] : MinutesBeforeRice)
        {
            yield return (FeltState.Hard, minutes);
        }

        foreach (var state in dish.RiceInPot is null ? [FeltState.Soft] : Waits)
        {
            if (joining.Max(o => SecondsAlone(o, state)) is { } seconds)
            {
                yield return (state, seconds / 60);
            }
        }
    }

    private static readonly double[] MinutesBeforeRice = [0, 6, 12, 18];

    /// <summary>Seconds that a slow bag of a further pulse takes by itself, from the flame; null when it never gets there.</summary>
    private double? SecondsAlone(OtherPulse other, FeltState state)
    {
        var soaked = dish.SoaksInBowl && other.Pulse.SoakHours.High > 0;
        var alone = new WaySolver(
            simulator,
            dish with
            {
                Pulse = other.Pulse,
                Pace = other.Pace ?? dish.Pace,
                Lot = other.Lot,
                PulseDry = other.Dry,
                OtherPulses = [],
                Extras = [],
                Rice = null,
                How = soaked ? dish.How : dish.How with { Soak = new Unsoaked() },
            }
        );
        return alone.SecondsUntil(new Way(WayLists.PulsesAlone, dish.ServeAt) { Wait = state, Water = other.Dry * 4 }, SlowShare)[0];
    }
}
