using BrightKettle.Core.Cooking;
using NodaTime;

namespace BrightKettle.Core.Planning;

/// <summary>Several pulses in one pot.</summary>
internal sealed partial class WaySolver
{
    /// <summary>The slowest is soft first and waits; then the quicker ones go in, to the state from which most bags end as
    /// wanted.</summary>
    private SolvedWay SolveSeveral(Way way)
    {
        var joining = dish.OtherPulses.Where(o => Way.JoinsLater(dish, o)).ToList();
        if (joining.Count == 0)
        {
            return SolveWaiting(way);
        }

        SolvedWay? best = null;
        var bestServed = -1;
        foreach (var (state, lead) in Leads(joining))
        {
            var tried = SolveWaiting(way with { OtherWait = state, OtherLead = Duration.FromMinutes(Math.Ceiling(lead)) });
            var served = tried.Fault is null ? BagsServed(tried.Way) : -1;
            if (served > bestServed || best is null)
            {
                (best, bestServed) = (tried, served);
            }

            if (bestServed == Bags.Length)
            {
                break;
            }
        }

        return best ?? SolveWaiting(way);
    }

    /// <summary>Ways in which the quicker pulses may go in: to a state that is looked for, or, with rice to come, some minutes before it
    /// or with it.</summary>
    private IEnumerable<(FeltState State, double Minutes)> Leads(List<OtherPulse> joining)
    {
        foreach (var minutes in dish.Rice is null ? [] : MinutesBeforeRice)
        {
            yield return (FeltState.Hard, minutes);
        }

        foreach (var state in dish.Rice is null ? [FeltState.Soft] : Waits)
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
        var soak = dish.Soak == SoakChoice.Overnight && other.Pulse.SoakHours.High > 0 ? SoakChoice.Overnight : SoakChoice.None;
        var alone = new WaySolver(
            simulator,
            dish with
            {
                Pulse = other.Pulse,
                PulseDry = other.Dry,
                OtherPulses = [],
                Extras = [],
                Rice = null,
                Soak = soak,
            }
        );
        return alone.SecondsUntil(new Way(JoinOrder.PulseAlone, dish.ServeAt) { Wait = state, Water = other.Dry * 4 }, SlowShare)[0];
    }
}
