using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Planning.Hands;
using BrightKettle.Core.Planning.Manners;
using Xunit;
using static BrightKettle.Core.Tests.Kitchens;

namespace BrightKettle.Core.Tests.Planning;

/// <summary>What ways are compared by, and what is said to differ.</summary>
public class WayFactsTests
{
    private static WayFacts Of(Plan plan) => WayFacts.Of(plan, HandsPlanner.For(plan, 2));

    private static readonly Plan Soaked = Planned(Dish("chickpea", 200, "long_white", 250, SoakChoice.Overnight));
    private static readonly Plan Dry = Planned(Dish("chickpea", 200, "long_white", 250));

    [Fact]
    public void A_longer_fire_takes_more_energy()
    {
        Assert.True(Of(Dry).EnergyKilowattHours > 1.2 * Of(Soaked).EnergyKilowattHours);
        // 2 kg of water from 19 to 100 °C is 0.19 kWh; an hour's simmer adds a few times that at most.
        Assert.InRange(Of(Soaked).EnergyKilowattHours, 0.2, 1.5);
    }

    [Fact]
    public void The_times_to_be_there_are_in_order_apart_and_hold_every_visit()
    {
        var hands = HandsPlanner.For(Soaked, 2);
        var there = WayFacts.Of(Soaked, hands).BeThere;
        Assert.All(there.Zip(there.Skip(1)), p => Assert.True((p.Second.Start - p.First.End).TotalMinutes >= 10));
        Assert.All(hands.Visits, v => Assert.Contains(there, t => t.Start <= v.From && v.To <= t.End));
    }

    [Fact]
    public void Hands_on_minutes_are_visits_and_attended_tasks()
    {
        var hands = HandsPlanner.For(Soaked, 2);
        var visits = hands.Visits.Sum(v => (v.To - v.From).TotalMinutes);
        Assert.Equal(visits + hands.InWaits + hands.Outside, hands.HandsOnMinutes, 6);
    }

    [Fact]
    public void Each_way_has_the_one_reason_that_speaks_for_it()
    {
        Assert.Equal("even_and_short", Of(Soaked).Why);
        Assert.Equal("nothing_ahead", Of(Dry).Why);
        Assert.Equal("needs_no_soak", Of(Planned(Dish("lentil_red_split", 200, style: Style.Saucy))).Why);
        Assert.Equal(
            "fast_and_even",
            Of(
                Planned(
                    Dish("chickpea", 200, soak: SoakChoice.Overnight, style: Style.Saucy)
                        .With(new UnderPressure(Cooking.Pots.Cooker(CookerKind.Electric)))
                )
            ).Why
        );
    }

    [Fact]
    public void Breaking_splits_and_whole_chickpeas_are_told_apart()
    {
        Assert.Contains(Of(Planned(Dish("lentil_red_split", 200, style: Style.Saucy))).Texture, new[] { "melting", "soft_edges" });
        Assert.Contains(Of(Soaked).Texture, new[] { "whole", "tender" });
    }

    [Fact]
    public void Half_the_wait_is_worth_a_task()
    {
        // Washing the rice always finds a minute between the looks.
        var hands = HandsPlanner.For(Soaked, 2);
        Assert.True(hands.InWaits >= 3);
        Assert.Equal(0, hands.Outside);
    }

    [Fact]
    public void Trying_all_ways_tells_of_each_and_stops_when_it_is_called_off()
    {
        var finder = new WayFinder(Plans, Kitchens.Catalogue);
        var dish = Dish("chickpea", 200, "long_white", 250);
        var told = new System.Collections.Concurrent.ConcurrentBag<WayOffer>();
        var all = finder.For(dish, 16, (way, _) => told.Add(way));
        Assert.Equal(all.Count(w => w.PulseId is null), told.Count);
        using var cancel = CancellationTokenSource.CreateLinkedTokenSource(TestContext.Current.CancellationToken);
        var seen = 0;
        var called = new WayFinder(new Planner(Kitchens.Model.Within(new WorkBudget(long.MaxValue, cancel.Token))), Kitchens.Catalogue);
        Assert.ThrowsAny<OperationCanceledException>(() => called.For(dish, 16, (_, _) =>
            {
                Interlocked.Increment(ref seen);
                cancel.Cancel();
            }));
        Assert.True(seen < told.Count);
    }

    public static TheoryData<string> Pairs => ["soak", "rice", "pot", "amount"];

    private static Plan Other(string what) =>
        what switch
        {
            "soak" => Dry,
            "rice" => Planned(Dish("chickpea", 200, null, 0, SoakChoice.Overnight, Style.Saucy)),
            "pot" => Planned(Dish("chickpea", 200, "long_white", 250, SoakChoice.Overnight, pot: Pot(28, 8))),
            _ => Planned(Dish("chickpea", 260, "long_white", 325, SoakChoice.Overnight)),
        };

    [Theory]
    [MemberData(nameof(Pairs))]
    public void Differences_are_none_with_itself_and_turn_round_with_the_plans(string what)
    {
        var other = Other(what);
        Assert.Empty(PlanDifference.Between(other, other));
        var (there, back) = (PlanDifference.Between(Soaked, other), PlanDifference.Between(other, Soaked));
        Assert.NotEmpty(there);
        Assert.Equal(there.Select(d => d.Code).Order(), back.Select(d => d.Code).Order());
        foreach (var d in there)
        {
            var b = back.Single(x => x.Code == d.Code);
            Assert.Equal((d.Before, d.After), (b.After, b.Before));
            Assert.Equal(d.Amount is { } a ? -a : null, b.Amount);
        }
    }
}
