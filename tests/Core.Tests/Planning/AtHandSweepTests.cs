using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Planning.Manners;
using BrightKettle.Core.Units;
using BrightKettle.Sweep;
using Xunit;
using static BrightKettle.Core.Tests.Kitchens;

namespace BrightKettle.Core.Tests.Planning;

/// <summary>What is at hand and not dry: green seed fresh or frozen, half-cooked pulses, cooked rice. Every kind that is sold green or is
/// half-cooked at home, with rice and without, in each style.</summary>
public sealed class AtHandSweepTests(ITestOutputHelper output)
{
    private const double Sure = 0.85;
    private static readonly string?[] Rices = [null, "long_white", "basmati_unsoaked", "brown_long"];

    /// <summary>The share of dinners of which the best way is sure; each is told.</summary>
    private double Sweep(IEnumerable<(string Name, Dish Dish)> dishes, int least)
    {
        var finder = new WayFinder(Plans, Kitchens.Catalogue);
        var (all, good) = (0, 0);
        foreach (var (name, dish) in dishes)
        {
            var ways = finder.For(dish, 64).Where(w => w.PulseId is null).ToList();
            var best = ways.MaxBy(w => w.Plan?.ShareTender ?? 0);
            var share = best?.Plan?.ShareTender ?? 0;
            all++;
            good += share >= Sure ? 1 : 0;
            output.WriteLine(
                $"{(share >= Sure ? "good" : "    ")} {share:0.00} {name}: {best?.Method} {best?.RiceJoin} {best?.RiceVesselId}; {string.Join(", ", ways.Where(w => w.Plan is null).Select(w => $"{w.Refusal!.Code} {w.Refusal.Gate}").Distinct())}"
            );
        }

        Assert.True(all >= least, $"{all} dinners");
        return (double)good / all;
    }

    private static IEnumerable<(string, Dish)> Of(string pulse, Func<Dish, Dish> at, string?[]? rices = null) =>
        from rice in rices ?? Rices
        from style in Enum.GetValues<Style>()
        let dinner = new Dinner(
            Kitchens.Catalogue.FindPulse(pulse)!,
            rice is null ? null : Kitchens.Catalogue.FindRice(rice),
            style,
            (150, rice is null ? 0 : 300)
        )
        select ($"{dinner.Name}", at(Dinners.Dish(dinner)));

    [Fact]
    public void Nine_in_ten_dinners_of_green_pulses_fresh_or_frozen_come_out()
    {
        var sold = Kitchens.Catalogue.Pulses.Where(p => p.Green is not null).Select(p => p.Id).ToList();
        var share = Sweep(sold.SelectMany((id, i) => Of(id, d => d.With(i % 2 == 0 ? PulseState.FrozenGreen : PulseState.Green))), 80);
        Assert.True(share >= 0.9, $"{share:0.00}");
    }

    [Fact]
    public void Nine_in_ten_dinners_of_half_cooked_pulses_come_out_whatever_they_were_cooked_to()
    {
        FeltState[] states = [FeltState.ChalkyMiddle, FeltState.NearlyASpeck, FeltState.BiteNoChalk];
        string[] pulses = ["lentil_brown", "mung_whole", "chickpea", "pinto", "cowpea_red_brown", "kidney_red"];
        var share = Sweep(pulses.SelectMany((id, i) => Of(id, d => d.With(PulseState.HalfCooked, states[i % states.Length]))), 80);
        Assert.True(share >= 0.9, $"{share:0.00}");
    }

    [Fact]
    public void Nine_in_ten_dinners_with_cooked_rice_come_out_and_it_is_hot_through()
    {
        string[] pulses = ["lentil_brown", "chickpea", "black", "mung_whole", "split_pea_green", "borlotti"];
        var dishes = pulses
            .SelectMany(
                (id, i) =>
                    Of(
                        id,
                        d => d with { RiceState = i % 2 == 0 ? RiceState.Fridge : RiceState.Freezer },
                        ["long_white", "brown_long", "jasmine"]
                    )
            )
            .ToList();
        var share = Sweep(dishes, 60);
        Assert.True(share >= 0.9, $"{share:0.00}");
        foreach (var (_, dish) in dishes.Where((_, i) => i % 7 == 0))
        {
            var plan = Planned(dish.With(Soaking.Of(dish.CanSoak ? SoakChoice.Overnight : SoakChoice.None)));
            var off = plan.Forecast.Reference.At(plan.Cook.StepAt(StepIds.HeatOff));
            // Left over and warmed again (safety, 4).
            Assert.True(off.Celsius >= 74, $"{off.Celsius}");
            Assert.True(CookRules.Check(plan.Cook) is null);
            Assert.Contains("cooked_rice", plan.Cautions);
            Assert.DoesNotContain("half_cooked", plan.Cautions);
        }
    }

    [Fact]
    public void What_was_cooked_before_says_how_long_it_keeps_and_what_is_dry_or_green_does_not()
    {
        var dish = Dinners.Dish(new Dinner(Kitchens.Catalogue.FindPulse("cowpea_red_brown")!, null, Style.Saucy));
        Assert.Contains("half_cooked", Planned(dish.With(PulseState.HalfCooked)).Cautions);
        Assert.DoesNotContain("half_cooked", Planned(dish.With(PulseState.FrozenGreen)).Cautions);
        Assert.DoesNotContain("half_cooked", Planned(dish).Cautions);
    }
}
