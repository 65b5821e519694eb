using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Planning.Beside;
using BrightKettle.Core.Planning.Hands;
using BrightKettle.Core.Planning.Manners;
using BrightKettle.Sweep;
using NodaTime;
using Xunit;
using static BrightKettle.Core.Tests.Kitchens;

namespace BrightKettle.Core.Tests.Planning;

/// <summary>What a dish takes of the kitchen, and when two want the same.</summary>
public sealed class NeighbourTests
{
    private static readonly Lazy<IReadOnlyList<(Dish Dish, Plan Plan)>> Lot = new(() =>
        [
            .. Dinners
                .EveningsByLot(Kitchens.Catalogue, 12, 20261204)
                .SelectMany(e => new[] { e.First, e.Second })
                .Select(d => (d, Plans.Plan(d, 16, rough: true)))
                .Where(p => p.Item2 is PlanAnswer.Planned)
                .Select(p => (p.d, ((PlanAnswer.Planned)p.Item2).Plan)),
        ]
    );

    private static Neighbour Of(Plan plan) => Neighbour.Of(plan.Dish.Pulse.Id, plan.Dish.Pulse.Said, plan.Cook, plan.Forecast.Reference);

    [Fact]
    public void What_two_want_at_once_is_the_same_from_either_side_and_the_same_at_another_hour()
    {
        var clashes = 0;
        var lot = Lot.Value;
        Assert.True(lot.Count >= 16);
        foreach (var (a, b) in lot.Zip(lot.Skip(1)))
        {
            var (one, two) = (Of(a.Plan), Of(b.Plan));
            var here = Clash.Between(one, [two]);
            var there = Clash.Between(two, [one]);
            Assert.Equal(here.Select(c => (c.Kind, c.From, c.To)).Order(), there.Select(c => (c.Kind, c.From, c.To)).Order());
            var later = Duration.FromMinutes(25);
            Assert.Equal(
                here.Select(c => (c.Kind, c.Id, c.From + later)),
                Clash.Between(one.Later(later), [two.Later(later)]).Select(c => (c.Kind, c.Id, c.From))
            );
            Assert.Empty(Clash.Between(one, [two.Later(Duration.FromHours(48))]));
            clashes += here.Count;
        }

        Assert.True(clashes > lot.Count);
    }

    [Fact]
    public void Another_dish_changes_nothing_of_a_plan_but_what_is_told_beside_it()
    {
        var lot = Lot.Value;
        foreach (var (a, b) in lot.Zip(lot.Skip(1)).Take(6))
        {
            var beside = ((PlanAnswer.Planned)Plans.Plan(a.Dish with { Beside = [Of(b.Plan)] }, 16, rough: true)).Plan;
            Assert.Equal(a.Plan.Cook.Actions, beside.Cook.Actions);
            Assert.Equal(a.Plan.ShareTender, beside.ShareTender);
        }
    }

    [Fact]
    public void A_pot_is_taken_from_what_first_goes_in_to_the_table_and_a_bowl_is_no_pot()
    {
        foreach (var (_, plan) in Lot.Value)
        {
            var taken = Of(plan);
            var run = plan.Forecast.Reference;
            var table = plan.Cook.Starts + Duration.FromSeconds(Math.Round(run.EndSeconds));
            var pot = Assert.Single(taken.Pots, p => p.Id == plan.Dish.Vessel.Id);
            Assert.Equal(table, pot.To);
            Assert.All(taken.Burners, b => Assert.True(b.From >= pot.From && b.To <= table));
            Assert.All(taken.Pots, p => Assert.Contains(p.Id, plan.Dish.OtherVessels.Select(v => v.Id)));
            // Nobody is wanted while it only soaks.
            Assert.All(taken.Hands, h => Assert.True(h.To >= pot.From, h.Id));
        }
    }

    [Fact]
    public void An_electric_cooker_takes_no_burner()
    {
        var dish = Dinners.Dish(new Dinner(Kitchens.Catalogue.FindPulse("pinto")!, null, Style.Soup));
        var electric = dish.OtherVessels.Single(v => v.Id == "electric");
        var plan = Planned(dish.With(new UnderPressure(electric)));
        Assert.Contains(Of(plan).Pots, p => p.Id == "electric");
        Assert.DoesNotContain(Of(plan).Burners, b =>
            b.From < plan.Forecast.Find(StepIds.Opened)!.Reference && b.To > plan.Forecast.Find(StepIds.Lock)!.Reference
        );
    }

    [Fact]
    public void Side_tasks_keep_out_of_the_way_of_another_dish_s_moments()
    {
        var crowded = 0;
        foreach (var (dish, plan) in Lot.Value)
        {
            var tasks = HandsPlanner.For(plan, 2).Tasks.Where(t => t.Task.Attended).ToList();
            // The other dish wants the cook just when these would be done.
            var beside = new Neighbour("1", "other", [], [], [.. tasks.Select(t => new Busy("x", t.From, t.From + t.Task.Length))]);
            var moved = HandsPlanner.For(plan with { Dish = dish with { Beside = [beside] } }, 2);
            foreach (var task in moved.Tasks.Where(t => t.Task.Attended))
            {
                crowded++;
                Assert.DoesNotContain(beside.Hands, h => h.Meets(new("t", task.From, task.From + task.Task.Length)));
            }
        }

        Assert.True(crowded > 0);
    }
}
