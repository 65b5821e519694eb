using BrightKettle.Core.Cooking;
using BrightKettle.Core.Learning.House;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Planning.Manners;
using BrightKettle.Core.Practice;
using BrightKettle.Core.Stove;
using BrightKettle.Core.Tests.Stove;
using CsCheck;
using Xunit;

namespace BrightKettle.Core.Tests.Practice;

/// <summary>A pot with a pace that nobody knows, cooked along as the plan says, and what its dinner teaches.</summary>
public class HiddenPotTests
{
    private static PotTraits Slow(Cook cook, double pace) => HiddenPot.Traits(cook, pace, new Hand(3, 0));

    private static readonly Plan[] Plans =
    [
        Evenings.Chickpeas(),
        Kitchens.Planned(Kitchens.Dish("pinto", 240, "long_white", 260, SoakChoice.Overnight)),
        Kitchens.Planned(Kitchens.Dish("lentil_brown", 200, "long_white", 260)),
    ];

    [Fact]
    public void Whatever_the_pace_the_evening_that_is_told_is_one_that_can_be_run_and_comes_to_the_table()
    {
        Gen.Select(Gen.Int[0, Plans.Length - 1].Select(i => Plans[i]), Gen.Double[0.6, 1.7], Gen.Int[0, 9999])
            .Sample(
                (plan, pace, seed) =>
                {
                    var told = new HiddenPot(Kitchens.Model).Told(plan.Cook, Slow(plan.Cook, pace), seed);
                    Assert.NotNull(told);
                    var evening = new EveningState(plan.Cook, told);
                    Assert.NotNull(evening.ServedAt);
                    Assert.Null(EveningForecaster.Check(evening, evening.ServedAt.Value));
                    Assert.Equal(told.Select(e => e.At).Order(), told.Select(e => e.At));
                    Assert.Equal(told.Count, told.Select(e => e.Id).Distinct().Count());
                    // What was acted on was felt to be there, and what was felt before was not yet.
                    var felt = told.OfType<Entry.Saw>().Select(s => s.What).OfType<Observation.FeltAs>().ToList();
                    return felt.Zip(felt.Skip(1)).All(p => p.First.IngredientId != p.Second.IngredientId || p.Second.At > p.First.At);
                },
                iter: 40
            );
    }

    [Fact]
    public void Its_looks_point_at_its_pace_within_what_they_say_of_themselves()
    {
        var (within, all) = (0, 0);
        foreach (var plan in Plans)
        {
            foreach (var pace in new[] { 0.7, 0.85, 1, 1.2, 1.45 })
            {
                var told = new HiddenPot(Kitchens.Model).Told(plan.Cook, Slow(plan.Cook, pace), 11)!;
                var bags = new Dictionary<string, string> { [plan.Dish.Pulse.Id] = "bag" };
                foreach (var said in new DinnerReader(Kitchens.Model).Read("d", new EveningState(plan.Cook, told), bags))
                {
                    all++;
                    within += Math.Abs(said.Log - Math.Log(pace)) <= 2 * (said.Spread + HousePaces.DinnerSpread) ? 1 : 0;
                }
            }
        }

        // Most dinners say something; nine in ten of those say it right.
        Assert.InRange(all, 12, 15);
        Assert.True(within >= 0.9 * all, $"{within} of {all}");
    }

    [Fact]
    public void Of_a_bag_that_nobody_named_and_of_what_came_cooked_nothing_is_learned()
    {
        var plan = Plans[0];
        var told = new HiddenPot(Kitchens.Model).Told(plan.Cook, Slow(plan.Cook, 0.8), 5)!;
        Assert.Empty(new DinnerReader(Kitchens.Model).Read("d", new EveningState(plan.Cook, told), new Dictionary<string, string>()));
        var other = new Dictionary<string, string> { ["pinto"] = "bag" };
        Assert.Empty(new DinnerReader(Kitchens.Model).Read("d", new EveningState(plan.Cook, told), other));
        var before = told.Where(e => e.At < told[^1].At);
        var bags = new Dictionary<string, string> { ["chickpea"] = "bag" };
        // It never came to the table: nobody knows what became of it.
        Assert.Empty(new DinnerReader(Kitchens.Model).Read("d", new EveningState(plan.Cook, before), bags));
    }

    [Fact]
    public void What_is_known_of_a_bag_says_nothing_of_a_tin()
    {
        var tin = Kitchens.Dish("chickpea", 240, "long_white", 260).With(new Warmed(CookedFrom.Tin));
        var old = tin with { Pace = new(0.6, 0.05), Lot = new(4, Core.Catalogue.Storage.Warm) };
        Assert.Equal(
            Kitchens.Planned(tin).Forecast.Moments.Select(m => (m.StepId, m.Reference)),
            Kitchens.Planned(old).Forecast.Moments.Select(m => (m.StepId, m.Reference))
        );
    }
}
