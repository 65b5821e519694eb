using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Planning.Manners;
using BrightKettle.Core.Units;
using BrightKettle.Sweep;
using Xunit;
using static BrightKettle.Core.Tests.Kitchens;

namespace BrightKettle.Core.Tests.Planning;

/// <summary>Quick and slow pulses × usual rices × styles: the best way that this kitchen offers. Every fifth of them here; the count over
/// all is published in docs/ways.md.</summary>
public class DinnerSweepTests(ITestOutputHelper output)
{
    /// <summary>The yardstick of the design: nine dinners in ten have a way that comes out 17 times in 20.</summary>
    private const double Sure = 0.85;
    private const double Wanted = 0.9;

    [Fact]
    public void Nine_ordinary_dinners_in_ten_have_a_way_that_nearly_always_comes_out_and_each_has_one()
    {
        var dinners = Dinners.All(Kitchens.Catalogue).Where((_, i) => i % 5 == 2).ToList();
        var best = dinners.AsParallel().AsOrdered().Select(d => (Dinner: d, Best: Best(Dinners.Dish(d)))).ToList();
        foreach (var (dinner, share) in best.Where(b => b.Best < Sure))
        {
            output.WriteLine($"{share:0.00} {dinner.Name}");
        }

        Assert.True(best.Count > 90, $"{best.Count} dinners");
        Assert.All(best, b => Assert.True(b.Best >= 0.5, $"{b.Dinner.Name}: {b.Best:0.00}"));
        var sure = best.Count(b => b.Best >= Sure) / (double)best.Count;
        output.WriteLine($"{sure:0.000} of {best.Count}");
        Assert.InRange(sure, Wanted, 1);
    }

    /// <summary>Of what strangers wish, from the dry bag: it comes out, and at the hour.</summary>
    [Fact]
    public void What_strangers_wish_comes_out_within_a_quarter_of_an_hour()
    {
        var finder = new WayFinder(Plans, Kitchens.Catalogue);
        var dinners = Dinners.OfStrangers(Kitchens.Catalogue).ToList();
        Assert.True(dinners.Count >= 20);
        var good = dinners.Count(dinner =>
        {
            var found = finder
                .For(Dinners.Dish(dinner), 64)
                .Where(o => o.PulseId is null && o.Method != Method.Cooked)
                .Any(o =>
                    o.Plan is { } plan
                    && plan.ShareTender >= Sure
                    && plan.Forecast.Find(Core.Cooking.StepIds.Table)!.Late <= plan.Dish.ServeAt + NodaTime.Duration.FromMinutes(15)
                );
            output.WriteLine($"{found} {dinner.Name}");
            return found;
        });
        Assert.True(good >= 0.9 * dinners.Count, $"{good} of {dinners.Count}");
    }

    /// <summary>What is ready early is kept hot, and the hour stands: nobody's table moves by three quarters of an hour for it.</summary>
    [Theory]
    [InlineData("basmati_unsoaked", 200)]
    [InlineData("basmati_unsoaked", 300)]
    [InlineData("long_white", 200)]
    public void Large_beans_that_may_be_ready_long_before_wait_hot_for_their_rice(string rice, double grams)
    {
        var plan = Planned(Dish("runner_large", 250, rice, grams, SoakChoice.Overnight, Style.Moist, Pot(24, 6)));
        Assert.InRange(plan.ShareTender, Sure, 1);
        Assert.InRange((plan.Forecast.Find(Core.Cooking.StepIds.Table)!.Late - plan.Dish.ServeAt).TotalMinutes, -1, 20);
    }

    /// <summary>Plans let nothing that is cooked stand under 60 °C for more than an hour, in nineteen pots of twenty.</summary>
    [Fact]
    public void No_ordinary_plan_parks_cooked_food_lukewarm()
    {
        var plans = Dinners
            .All(Kitchens.Catalogue)
            .Where(d => d.Style == Style.Saucy)
            .Where((_, i) => i % 4 == 0)
            .Concat(Dinners.All(Kitchens.Catalogue).Where(d => d.Style == Style.Moist).Where((_, i) => i % 5 == 0))
            .AsParallel()
            .Select(d => Plans.Plan(Dinners.Dish(d).With(Soaking.Of(SoakChoice.Overnight))))
            .OfType<PlanAnswer.Planned>()
            .Select(a => a.Plan)
            .ToList();
        Assert.True(plans.Count > 35, $"{plans.Count}");
        Assert.All(plans, plan =>
        {
            var trace = new Core.Cooking.Trace.CookTrace(plan.Cook);
            var pots = Model.RunMany(
                [.. Core.Cooking.PotTraits.Many(plan.Cook, Model.Constants, 64).Select(t => new Core.Cooking.PotJob(plan.Cook, t))],
                new Core.Cooking.RunOptions { Heights = false }
            );
            var parked = pots.Count(run => Core.Safety.HoldGate.Judge(trace, run, Core.Safety.HoldGate.LongestPlanned).Count > 0);
            Assert.True(parked <= 0.05 * pots.Length, $"{plan.Dish.Pulse.Id} {plan.Dish.Rice?.Id}: {parked} of {pots.Length}");
        });
    }

    /// <summary>In one pot, soaked or not, or with the rice in its own.</summary>
    private static double Best(Dish dish)
    {
        IEnumerable<Dish> ways = [dish, dish.With(Soaking.Of(SoakChoice.Overnight)), .. WayFinder.RiceBeside(dish).Select(dish.With)];
        return ways.Max(w => Plans.Plan(w, rough: true) is PlanAnswer.Planned { Plan.ShareTender: var share } ? share : 0);
    }

    /// <summary>Rice targets that were named are planned to, not only judged by.</summary>
    [Theory]
    [InlineData("lentil_yellow_split", "broken")]
    [InlineData("mung_split_hulled", "long_white")]
    [InlineData("mung_whole", "jasmine")]
    public void A_porridge_that_was_asked_for_is_one(string pulse, string rice)
    {
        var plan = Planned(
            Dish(pulse, 200, rice, 200, style: Style.Soup, pot: Pot(24, 6)) with
            {
                RiceTarget = Core.Catalogue.RiceTarget.Porridge,
            }
        );
        Assert.True(plan.Forecast.Reference.Final[1].Doneness >= 130);
        Assert.True(plan.ShareTender >= 0.8, $"{plan.ShareTender}");
    }
}
