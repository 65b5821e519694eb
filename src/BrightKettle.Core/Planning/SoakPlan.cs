using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Safety;
using NodaTime;

namespace BrightKettle.Core.Planning;

/// <summary>When a soak starts and ends.</summary>
/// <param name="InFridge">It stands in the fridge from the start, since the counter would be too long.</param>
/// <param name="ChilledAfter">Drained before it is cooked, and kept in the fridge until then.</param>
internal sealed record SoakPlan(Instant StartsAt, Instant EndsAt, bool InFridge, bool ChilledAfter)
{
    /// <summary>Half an hour after getting up.</summary>
    private static readonly Duration AfterWaking = Duration.FromMinutes(30);

    /// <summary>A soak that ends this shortly before the heat is not worth a trip to the fridge.</summary>
    private static readonly Duration NotWorthChilling = Duration.FromMinutes(40);

    /// <summary>The evening before: drained at the latest when the limit is reached while somebody is up; or null with the latest start
    /// that would still do.</summary>
    public static SoakPlan? Overnight(Dish dish, Instant lightAt, out Instant latestStart)
    {
        var home = dish.Household;
        var least = Duration.FromHours(Math.Max(1, dish.Pulse.SoakHours.Low));
        latestStart = lightAt - least;
        var evening = home.InstantOf(home.LocalOf(lightAt).Date.PlusDays(-1) + home.SoaksAt);
        // Dinner at noon wants the bowl filled a little before the usual hour.
        evening = evening < latestStart ? evening : latestStart;
        var start = evening > dish.Now ? evening : home.NextAwake(dish.Now);
        if (start > latestStart)
        {
            return null;
        }

        var limit = start + SoakLimit.OnCounter(home.Room);
        if (lightAt <= limit)
        {
            return new(start, lightAt, false, false);
        }

        var morning = NextMorning(home, start) + AfterWaking;
        var end = morning <= limit ? morning : limit;
        if (home.AwakeAt(end) && end - start >= least && end < lightAt)
        {
            return new(start, end, false, lightAt - end > NotWorthChilling);
        }

        var cold = start + SoakLimit.InFridge;
        return lightAt <= cold ? new(start, lightAt, true, false) : new(start, home.NextAwake(start + least), true, true);
    }

    /// <summary>So many hours before the flame, begun while somebody is up; or null with the latest start that would still do.</summary>
    public static SoakPlan? ForHours(Dish dish, double hours, Instant lightAt, out Instant latestStart)
    {
        var home = dish.Household;
        latestStart = lightAt - Duration.FromHours(hours);
        var start = latestStart;
        while (!home.AwakeAt(start) && lightAt - start < SoakLimit.InFridge)
        {
            start -= AStep;
        }

        return start < dish.Now ? null : Placed(dish, start, stands: false, mayStand: true, lightAt);
    }

    /// <summary>Begun already.</summary>
    /// <param name="cold">In the fridge, where it stays.</param>
    public static SoakPlan Standing(Dish dish, Instant since, bool cold, Instant lightAt) =>
        Placed(dish, since, stands: cold, mayStand: cold, lightAt);

    /// <param name="stands">It is in the fridge.</param>
    /// <param name="mayStand">It may stand there from its start.</param>
    private static SoakPlan Placed(Dish dish, Instant start, bool stands, bool mayStand, Instant lightAt)
    {
        // A bowl that has begun on the counter is not moved into the fridge unnoticed: it is drained by its limit, and then chilled.
        var home = dish.Household;
        var counter = start + SoakLimit.OnCounter(home.Room);
        if (lightAt <= counter && !stands)
        {
            return new(start, lightAt, false, false);
        }

        var limit = mayStand ? start + SoakLimit.InFridge : counter;
        if (lightAt <= limit)
        {
            return new(start, lightAt, mayStand, false);
        }

        var end = Instant.Max(limit, dish.Now);
        while (!home.AwakeAt(end) && end > dish.Now)
        {
            end -= AStep;
        }

        return new(start, end, mayStand, lightAt - end > NotWorthChilling);
    }

    private static readonly Duration AStep = Duration.FromMinutes(5);

    private static Instant NextMorning(Household home, Instant from)
    {
        var local = home.LocalOf(from);
        var today = home.InstantOf(local.Date + home.Wakes);
        return today > from ? today : home.InstantOf(local.Date.PlusDays(1) + home.Wakes);
    }
}
