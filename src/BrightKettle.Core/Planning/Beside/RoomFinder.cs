using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning.Manners;
using NodaTime;

namespace BrightKettle.Core.Planning.Beside;

/// <summary>What lets a dish be cooked beside the others of its evening: a free pot, a free burner, another hour. Each is planned before it
/// is offered.</summary>
internal sealed class RoomFinder(Planner planner)
{
    /// <summary>Pots and burners that are tried.</summary>
    private const int MostPlaces = 6;

    /// <summary>Nobody moves dinner further for another dish's sake.</summary>
    private const int MostMinutes = 120;

    private const int Step = 5;

    private const int MostHours = 3;

    /// <param name="plan">With clashes.</param>
    public IReadOnlyList<Alternative> For(Plan plan) => [.. Places(plan).Take(1), .. Hours(plan).Take(1)];

    /// <summary>The same dish at the same hour where pots and burners are free.</summary>
    private IEnumerable<Alternative> Places(Plan plan)
    {
        if (!plan.Clashes.Any(c => c.IsOfThings))
        {
            return [];
        }

        var dish = plan.Dish;
        var places =
            from vessel in Pots(dish)
            from burner in dish.Burners.OrderByDescending(b => b.Id == dish.Burner.Id)
            from there in On(dish, vessel, burner)
            where there.Vessel != dish.Vessel || there.Burner != dish.Burner || there.How.Rice.Takes != dish.How.Rice.Takes
            select there;
        return places
            .Take(MostPlaces)
            .Where(d => planner.Probe(d) is { Refusal: null, Plan: { } tried } && !tried.Clashes.Any(c => c.IsOfThings))
            .Select(d => new Alternative("place", VesselId: d.Vessel.Id, BurnerId: d.Burner.Id, RiceVesselId: d.How.Rice.Takes?.Vessel.Id));
    }

    /// <summary>This pot first, then those that come next in size.</summary>
    private static IEnumerable<Vessel> Pots(Dish dish) =>
        dish
            .OtherVessels.Append(dish.Vessel)
            .DistinctBy(v => v.Id)
            .Where(v => v.Cooker is null || v.Id == dish.Vessel.Id)
            .OrderByDescending(v => v.Id == dish.Vessel.Id)
            .ThenBy(v => Math.Abs(v.Brim.Millilitres - dish.Vessel.Brim.Millilitres));

    /// <summary>The dish in this pot on this burner; with its rice in each of the other pots that take it, where it has one of its own, and
    /// nowhere where it would have none.</summary>
    private static IEnumerable<Dish> On(Dish dish, Vessel vessel, Burner burner)
    {
        var there = dish with { Vessel = vessel, Burner = burner, OtherBurner = dish.Burners.FirstOrDefault(b => b.Id != burner.Id) };
        return dish.How.Rice.Takes is not { Above: false, Vessel.Cooker: null } apart || dish.Rice is null ? [there]
            : there.OtherBurner is not { } other ? []
            : WayFinder
                .RicePots(there)
                .OrderByDescending(v => v.Id == apart.Vessel.Id)
                .Select(v => there.With(dish.How.Rice.In(apart with { Vessel = v, Burner = other })));
    }

    /// <summary>The nearest hour at which nothing is wanted twice, later before earlier.</summary>
    private IEnumerable<Alternative> Hours(Plan plan)
    {
        var dish = plan.Dish;
        var mine = Neighbour.Of(string.Empty, string.Empty, plan.Cook, plan.Forecast.Reference);
        return Enumerable
            .Range(1, MostMinutes / Step)
            .SelectMany(i => new[] { i * Step, -i * Step })
            .Select(minutes => Duration.FromMinutes(minutes))
            .Where(move => plan.Begins + move >= dish.Now && Clash.Between(mine.Later(move), dish.Beside).Count == 0)
            .Take(MostHours)
            .Select(move => dish with { ServeAt = dish.ServeAt + move })
            .Where(d => planner.Probe(d) is { Refusal: null, Plan.Clashes.Count: 0 })
            .Select(d => new Alternative("serve_at", d.ServeAt));
    }
}
