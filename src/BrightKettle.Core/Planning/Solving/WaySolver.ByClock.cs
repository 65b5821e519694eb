using BrightKettle.Core.Cooking;
using NodaTime;

namespace BrightKettle.Core.Planning.Solving;

/// <summary>Joins that go by the clock.</summary>
internal sealed partial class WaySolver
{
    /// <summary>Nobody can look: the join's time is searched so that the reference pot ends where it should.</summary>
    private SolvedWay SolveByClock()
    {
        var rice = dish.RiceInPot!;
        var start = new Way(WayLists.Together, dish.ServeAt)
        {
            Water = FirstGuess(rice),
            JoinLiquor = FirstGuess(rice),
            LastMinutes = rice.SimmerMinutes.Typical / dish.RiceRateFactor,
        };
        var together = Settled(start, Loosely);
        if (together.Fault is not null)
        {
            return together;
        }

        if (
            dish.Start is { IsCooked: true }
            && PulseAtTable(together.Cook, together.Run) < dish.Targets.Window(dish.Pulse).High - RoomAbove
        )
        {
            // Out of a tin they only get hot, and may be in all along: later they would find the rice overdone.
            return Round(Settled(together.Way));
        }

        var pulseIsSlow = PulseAtTable(together.Cook, together.Run) < Aim;
        var list = pulseIsSlow ? WayLists.PulsesFirst(dish) : WayLists.PulsesJoin;
        var whole = together.Run.EndSeconds - together.Run.At(together.Cook.StepAt(StepIds.Light)).Seconds;
        // Seconds from the flame to the join; doneness at the table rises with it when the pulse leads, falls when the rice does.
        // The line through the last two tries leads to the next one, kept within what is known to be too little and too much.
        double low = 0,
            high = pulseIsSlow ? 8 * 3600 : whole * 0.95;
        var (before, doneBefore) = (0.0, PulseAtTable(together.Cook, together.Run));
        var slope = (pulseIsSlow ? 1 : -1) * Doneness.Tender / (60 * dish.Pulse.SofteningMinutesAt98C);
        var lead = Within(low, high, (Aim - doneBefore) / slope);
        var best = together;
        var way = together.Way;
        for (var i = 0; i < MostTries && high - low > 20; i++)
        {
            way = way with { List = list, JoinAt = way.LightAt + Duration.FromSeconds(lead) };
            var tried = Settled(way, Loosely);
            if (tried.Fault is not null && tried.Fault != PlanRefusal.NeverTender)
            {
                return tried;
            }

            // A pot that never got there counts as one with nothing done.
            var done = tried.Fault is null ? PulseAtTable(tried.Cook, tried.Run) : 0;
            if (tried.Fault is null)
            {
                best = tried;
                way = tried.Way;
            }

            if (Math.Abs(done - Aim) < 1)
            {
                low = high = lead;
                break;
            }

            if (done >= Aim == pulseIsSlow)
            {
                high = lead;
            }
            else
            {
                low = lead;
            }

            if (Math.Abs(lead - before) > 1 && Math.Abs(done - doneBefore) > 1e-3)
            {
                slope = (done - doneBefore) / (lead - before);
            }

            (before, doneBefore) = (lead, done);
            lead = Within(low, high, lead + ((Aim - done) / slope));
        }

        return Round(Settled(((low + high) / 2 < TogetherSeconds ? together : best).Way));
    }

    /// <summary>Points that cooked pulses stay below the end of their window, for a soft tin.</summary>
    private const double RoomAbove = 1;

    /// <summary>The guess where it lies between the ends, else their middle.</summary>
    private static double Within(double low, double high, double guess) => guess > low && guess < high ? guess : (low + high) / 2;
}
