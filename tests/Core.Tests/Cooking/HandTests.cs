using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning;
using MathNet.Numerics.Statistics;
using Xunit;
using static BrightKettle.Core.Tests.Kitchens;

namespace BrightKettle.Core.Tests.Cooking;

/// <summary>Looks in a forecast are felt by a hand, as at the stove.</summary>
public class HandTests
{
    private const int Many = 4000;

    [Fact]
    public void A_hand_is_off_by_seven_points_to_either_side_and_anew_with_each_look()
    {
        var hands = Enumerable.Range(0, Many).Select(n => new Hand(11, n)).ToList();
        var first = hands.Select(h => h.Error(3, 0, 0)).ToArray();
        var next = hands.Select(h => h.Error(3, 0, 1)).ToArray();
        var other = hands.Select(h => h.Error(3, 1, 0)).ToArray();
        foreach (var errors in new[] { first, next, other })
        {
            Assert.InRange(errors.Mean(), -0.4, 0.4);
            Assert.InRange(errors.StandardDeviation(), 6.6, 7.4);
        }

        Assert.InRange(Correlation.Pearson(first, next), -0.06, 0.06);
        Assert.InRange(Correlation.Pearson(first, other), -0.06, 0.06);
        Assert.Equal(first, hands.Select(h => h.Error(3, 0, 0)));
    }

    [Fact]
    public void The_many_pots_of_a_forecast_are_found_too_early_and_too_late_and_the_reference_pot_as_it_is()
    {
        var plan = Planned(Dish("pinto", 250, soak: SoakChoice.Overnight, style: Style.Saucy));
        var look = plan.Cook.Actions.ToList().FindIndex(a => a.Trigger.Look is not null);
        var wanted = plan.Cook.Actions[look].Trigger.Look!.Doneness;
        Assert.InRange(plan.Forecast.Reference.At(look).Doneness[0], wanted, 200);
        var found = PotTraits.Many(plan.Cook, Model.Constants, 256).Select(t => Model.Run(plan.Cook, t).At(look).Doneness[0]).ToList();
        var early = found.Count(d => d < wanted);
        Assert.InRange(early, 256 * 0.2, 256 * 0.95);
        Assert.InRange(found.Min(), wanted - 25, wanted - 3);
        // The same pots by a hand that feels them as they are: none is found before its time.
        Assert.All(PotTraits.Many(plan.Cook, Model.Constants, 32), t =>
            Assert.True(Model.Run(plan.Cook, t with { Hand = null }).At(look).Doneness[0] >= wanted - 0.5)
        );
    }
}
