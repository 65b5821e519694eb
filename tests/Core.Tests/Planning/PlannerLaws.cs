using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning;
using CsCheck;
using NodaTime;
using Xunit;
using static BrightKettle.Core.Tests.Kitchens;

namespace BrightKettle.Core.Tests.Planning;

public class PlannerLaws
{
    /// <summary>Pulses and rices that can share a pot, in amounts that fit.</summary>
    private static readonly Gen<Dish> AnyDish =
        from pulse in Any.Of<Core.Catalogue.Pulse>([.. Kitchens.Catalogue.Pulses])
        from rice in Any.Of<Core.Catalogue.Rice>([.. Kitchens.Catalogue.Rices.Where(r => r.Method == "absorb")])
        from grams in Gen.Int[10, 40]
        from riceGrams in Gen.Int[10, 40]
        from soak in Gen.Bool
        from style in Gen.Enum<Style>()
        select Dish(pulse.Id, grams * 10, rice.Id, riceGrams * 10, soak ? SoakChoice.Overnight : SoakChoice.None, style, Pot(28, 12));

    [Fact]
    public void Any_dish_is_on_the_table_at_its_hour_or_refused_with_a_code()
    {
        var planned = new Judged();
        AnyDish.Sample(
            dish =>
            {
                switch (Plans.Plan(dish, 20))
                {
                    case PlanAnswer.Planned { Plan: var plan }:
                        var table = plan.Forecast.Find(StepIds.Table)!.Reference;
                        var off = table > dish.ServeAt ? table - dish.ServeAt : dish.ServeAt - table;
                        return planned.By(
                            off <= Duration.FromMinutes(1.5) && !plan.Gates.Any(g => g.Blocks) && CookRules.Check(plan.Cook) is null
                        )
                            ? true
                            : throw new InvalidOperationException($"{dish.Pulse.Id} {dish.Rice?.Id} {dish.Soak} {dish.Style}: {off}");
                    case PlanAnswer.Refused { Refusal: var refusal }:
                        return planned.Passed()
                            && refusal.Code
                                is PlanRefusal.NeverTender
                                    or PlanRefusal.TooSoon
                                    or PlanRefusal.FlameWhileAsleep
                                    or PlanRefusal.PotTooSmallForRice
                                    or PlanRefusal.PotTooSmall
                                    or PlanRefusal.Unlikely;
                    default:
                        return false;
                }
            },
            iter: 60
        );
        planned.AtLeast(50);
    }

    [Fact]
    public void Halving_the_rices_rate_moves_every_solved_join()
    {
        var joins = new Judged();
        AnyDish.Sample(
            dish =>
            {
                if (
                    Plans.Plan(dish, rough: true)
                        is not PlanAnswer.Planned { Plan: { IsAlone: false, RiceStarts: false, BothStart: false } plan }
                    || Plans.Plan(dish with { RiceRateFactor = 0.5 }, rough: true)
                        is not PlanAnswer.Planned { Plan: { Join: not null } slower }
                )
                {
                    return joins.Passed();
                }

                // Slower rice goes in earlier, counted back from the same table; or it now starts and the pulse joins it.
                return joins.By(
                    slower.RiceStarts
                        || slower.BothStart
                        || slower.Forecast.Find(StepIds.Join)!.Reference
                            < plan.Forecast.Find(StepIds.Join)!.Reference - Duration.FromMinutes(4)
                );
            },
            iter: 40
        );
        joins.AtLeast(15);
    }

    [Fact]
    public void The_plans_own_actions_run_again_give_the_plans_states()
    {
        var plan = Planned(Dish("pinto", 250, "parboiled", 250, SoakChoice.Overnight));
        var again = Model.Run(plan.Cook, PotTraits.Reference(plan.Cook));
        Assert.Equal(plan.Forecast.Reference.EndSeconds, again.EndSeconds);
        Assert.Equal(plan.Forecast.Reference.Final.Select(s => s.Doneness), again.Final.Select(s => s.Doneness));
        var join = again.At(plan.Forecast.Find(StepIds.SetLiquor)!.Action);
        Assert.Equal(plan.Join!.Doneness, join.Doneness[0]);
        Assert.Equal(plan.Join.LiquorNeeded.Grams, join.LiquorAfter, 6);
    }

    [Fact]
    public void The_same_dish_gives_the_same_plan()
    {
        var dish = Dish("black", 250, "long_white", 250, SoakChoice.Overnight);
        var (one, two) = (Planned(dish), Planned(dish));
        Assert.Equal(one.ShareTender, two.ShareTender);
        Assert.Equal(one.Forecast.Moments.Select(m => m.Late), two.Forecast.Moments.Select(m => m.Late));
    }

    [Fact]
    public void An_unknown_bag_has_a_wider_range_than_a_known_one()
    {
        static double Width(Plan plan)
        {
            var hour = plan.Forecast.Find(StepIds.Light)!.Reference + Duration.FromMinutes(75);
            var then = plan.Forecast.Points.Last(p => p.At <= hour).Doneness[0];
            return then.High - then.Low;
        }

        var unknown = Planned(Dish("chickpea", 300, "brown_basmati", 300, SoakChoice.Overnight));
        var known = Planned(Dish("chickpea", 300, "brown_basmati", 300, SoakChoice.Overnight, spread: 0.06));
        Assert.True(Width(unknown) > 2 * Width(known));
        // And a known bag may be lit later: less waiting is planned in.
        Assert.True(known.MinuteOfDay(StepIds.Light) > unknown.MinuteOfDay(StepIds.Light) + 15);
    }

    [Theory]
    [InlineData(Style.Dry, Style.Moist)]
    [InlineData(Style.Moist, Style.Saucy)]
    [InlineData(Style.Saucy, Style.Soup)]
    public void A_wetter_style_ends_with_more_liquor(Style drier, Style wetter)
    {
        double Left(Style style) =>
            Planned(Dish("pinto", 250, "parboiled", 250, SoakChoice.Overnight, style)).Forecast.Reference.FinalLiquor;
        Assert.True(Left(drier) + 50 < Left(wetter));
    }

    [Fact]
    public void A_pulse_alone_is_tender_and_waits_for_the_table()
    {
        var plan = Planned(Dish("borlotti", 400, soak: SoakChoice.Overnight, style: Style.Saucy));
        Assert.True(plan.IsAlone);
        Assert.Null(plan.Join);
        Assert.True(plan.Forecast.Reference.Final[0].Doneness >= 100);
        // 0.8 g/g of free liquor: 320 g.
        Assert.Equal(320, plan.Forecast.Reference.FinalLiquor, 30.0);
        Assert.True(plan.MinuteOfDay(StepIds.Ready) < 19 * 60);
    }
}
