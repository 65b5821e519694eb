using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Planning.Manners;
using BrightKettle.Core.Units;
using BrightKettle.Sweep;
using NodaTime;
using Xunit;
using static BrightKettle.Core.Tests.Kitchens;

namespace BrightKettle.Core.Tests.Planning;

/// <summary>Bound with starch, moved over into the pot, added so many minutes before the table, half kept back, infusions.</summary>
public sealed class FinishingStagesTests(ITestOutputHelper output)
{
    private static readonly Vessel Drum = Cooking.Pots.Cooker(CookerKind.Electric);

    private static DishExtra Extra(string id, double grams, ExtraTime time) =>
        new(Kitchens.Catalogue.FindExtra(id)!, Mass.FromGrams(grams), time);

    private static double Minutes(Plan plan, int action, string to) =>
        (plan.Forecast.Reference.At(plan.Cook.StepAt(to)).Seconds - plan.Forecast.Reference.At(action).Seconds) / 60;

    private static int Added(Plan plan, string id) =>
        plan.Cook.Actions.ToList().FindIndex(a => a is CookAction.Add add && add.IngredientId == id);

    [Theory]
    [InlineData("black_eyed_pea", Style.Saucy, Thickness.Thick)]
    [InlineData("chickpea", Style.Saucy, Thickness.Thick)]
    [InlineData("cannellini", Style.Soup, Thickness.CoatsASpoon)]
    public void Bound_liquor_runs_a_step_thicker_with_no_more_starch_than_that_takes(string pulse, Style style, Thickness wanted)
    {
        var plain = Planned(Dish(pulse, 250, soak: SoakChoice.Overnight, style: style, pot: Pot(28, 8)));
        var bound = Planned(plain.Dish with { Asked = [AskedStage.Bind] });
        Assert.Null(CookRules.Check(bound.Cook));
        Assert.Equal(wanted, ThicknessOf.Of(bound.Forecast.Reference.Vessels[0]));
        var starch = bound.Cook.Actions.OfType<CookAction.Thicken>().Sum(t => t.Starch.Grams);
        Assert.InRange(starch, 1, 0.08 * bound.Dish.WantedLiquorGrams);
        Assert.InRange(bound.Forecast.Reference.FinalLiquor, 0.8 * bound.Dish.WantedLiquorGrams, 1.25 * bound.Dish.WantedLiquorGrams);
        Assert.InRange(bound.MinuteOfDay(StepIds.Table), (19 * 60) - 3, (19 * 60) + 3);
        Assert.True(bound.ShareTender >= plain.ShareTender - 0.05);
        // A dal that has fallen apart binds by itself.
        var dal = Planned(Dish("lentil_red_split", 250, style: Style.Saucy) with { Asked = [AskedStage.Bind] });
        Assert.DoesNotContain(dal.Cook.Actions, a => a is CookAction.Thicken);
        Assert.Empty(dal.LeftOut);
    }

    [Theory]
    [InlineData(null)]
    [InlineData("long_white")]
    public void From_under_the_lid_they_move_over_into_the_pot_and_go_on_there(string? rice)
    {
        var dish = Dish("chickpea", 250, rice, rice is null ? 0 : 250, SoakChoice.Overnight, Style.Moist, Pot(28, 8))
            .With(new UnderPressure(Drum));
        var plan = Planned(dish with { Asked = [AskedStage.Move] });
        Assert.Null(CookRules.Check(plan.Cook));
        int At(string step) => plan.Cook.StepAt(step);
        var cooker = plan.Cook.Kitchen.IndexOf(Drum.Id);
        Assert.Equal(cooker, plan.Trace.PlaceBefore(At(StepIds.BackInPot), Way.PulseId));
        Assert.Equal(0, plan.Trace.PlaceAfter(At(StepIds.BackInPot), Way.PulseId));
        Assert.True(plan.Forecast.Reference.At(At(StepIds.Opened)).Seconds < plan.Forecast.Reference.At(At(StepIds.BackInPot)).Seconds);
        Assert.Equal(0, plan.Cook.VesselOf(plan.Cook.Actions[At(rice is null ? StepIds.Finish : StepIds.Join)]));
        Assert.DoesNotContain(plan.Gates, g => g.Blocks);
        Assert.InRange(plan.ShareTender, 0.85, 1);
        Assert.InRange(plan.MinuteOfDay(StepIds.Table), (19 * 60) - 3, (19 * 60) + 3);
        // Nothing moves that is in its pot already.
        Assert.Contains(AskedStage.Move, Planned(dish.With(new OpenPot()) with { Asked = [AskedStage.Move] }).LeftOut);
    }

    [Fact]
    public void What_goes_in_late_goes_in_by_its_minutes_before_the_table()
    {
        var soup = Dish("navy", 250, soak: SoakChoice.Overnight, style: Style.Soup, pot: Pot(28, 8)) with
        {
            Extras =
            [
                Extra("greens", 200, ExtraTime.Late),
                Extra("dough", 200, ExtraTime.Late),
                Extra("soft_vegetable", 200, ExtraTime.Late) with
                {
                    Before = 20,
                },
            ],
        };
        var plan = Planned(soup);
        Assert.Equal(20, Minutes(plan, Added(plan, "x_soft_vegetable"), StepIds.Table), 2.5);
        Assert.Equal(9, Minutes(plan, Added(plan, "x_dough"), StepIds.Table), 2.5);
        Assert.Equal(4, Minutes(plan, Added(plan, "x_greens"), StepIds.Table), 2.5);
        // With rice the lid is lifted only when the flame is out: greens go on top, dough boils with it.
        var moist = Planned(
            Dish("navy", 250, "long_white", 250, SoakChoice.Overnight, Style.Moist, Pot(28, 8)) with
            {
                Extras = soup.Extras,
            }
        );
        Assert.Equal(moist.Dish.RiceRestMinutes, Minutes(moist, Added(moist, "x_greens"), StepIds.Table), 1.0);
        Assert.True(Minutes(moist, Added(moist, "x_soft_vegetable"), StepIds.Table) > moist.Dish.RiceRestMinutes + 5);
    }

    [Fact]
    public void Of_what_is_halved_the_second_half_goes_in_at_the_end()
    {
        var onion = Extra("onion", 240, ExtraTime.Start) with { Before = 5 };
        var plan = Planned(
            Dish("pinto", 300, soak: SoakChoice.Overnight, style: Style.Saucy, pot: Pot(28, 8)) with
            {
                Extras = onion.Halved(),
            }
        );
        Assert.Null(CookRules.Check(plan.Cook));
        Assert.True(Minutes(plan, Added(plan, "x_onion"), StepIds.Table) > 30);
        Assert.Equal(5, Minutes(plan, Added(plan, "x_onion_rest"), StepIds.Table), 2.5);
        Assert.All(plan.Cook.Ingredients.OfType<ExtraIngredient>(), x => Assert.Equal(120, x.Dry.Grams));
    }

    [Theory]
    // Dinner at seven, asked for at noon, the evening before, and an hour ahead.
    [InlineData(-1, 20, true)]
    [InlineData(0, 12, true)]
    [InlineData(0, 17, false)]
    public void An_infusion_is_steeped_cold_where_there_is_time_and_else_boiled(int day, int hour, bool cold)
    {
        var home = Home();
        var due = home.InstantOf(new LocalDateTime(2026, 11, 25, 18, 0));
        var now = home.InstantOf(new LocalDateTime(2026, 11, 25 + day, hour, 0));
        var extra = Extra("leaf_infusion", 600, ExtraTime.Start);
        var made = Infusion.For(extra, home, now, due)!;
        Assert.Equal(cold, made.Cold);
        Assert.InRange(made.From, now, made.StrainAt);
        Assert.True(made.StrainAt < due);
        Assert.Equal(600, (made.Steeped + made.Thinned).Grams, 1e-6);
        var strong = Infusion.For(extra with { Strength = InfusionStrength.Strong }, home, now, due)!;
        var weak = Infusion.For(extra with { Strength = InfusionStrength.Weak }, home, now, due)!;
        Assert.True(weak.LeavesGrams < made.LeavesGrams && made.LeavesGrams < strong.LeavesGrams);
        Assert.Null(Infusion.For(Extra("onion", 100, ExtraTime.Start), home, now, due));
    }

    /// <summary>Stages asked for by lot of dinners by lot: each has its place or is told to have none, and costs hardly a dinner.</summary>
    [Fact]
    public void Of_stages_that_are_asked_for_nine_in_ten_are_in_a_plan_that_comes_out_as_before()
    {
        var lot = new Random(20261207);
        var stages = Enum.GetValues<AskedStage>();
        var (all, good) = (0, 0);
        foreach (var dinner in Dinners.ByLot(Kitchens.Catalogue, 36, 20261208))
        {
            var dish = Dinners.Dish(dinner).With(dinner.Pulse.SoakHours.High > 0 ? new OvernightSoak() : new Unsoaked());
            dish = lot.Next(3) == 0 ? dish.With(new UnderPressure(dish.OtherVessels.Single(v => v.Id == "electric"))) : dish;
            if (Plans.Plan(dish, 64, rough: true) is not PlanAnswer.Planned { Plan: var plain })
            {
                continue;
            }

            var stage = stages[lot.Next(stages.Length)];
            var asked = dish with { Asked = [stage] };
            var plan = (Plans.Plan(asked, 64, rough: true) as PlanAnswer.Planned)?.Plan;
            var told = plan is not null && (asked.Has(stage) != plan.LeftOut.Contains(stage) || plan.LeftOut.Contains(stage));
            var came = told && plan!.ShareTender >= plain.ShareTender - 0.1;
            all++;
            good += came ? 1 : 0;
            output.WriteLine(
                $"{(came ? "good" : "    ")} {stage} {dinner.Name} {dish.Method}: {plain.ShareTender:0.00} {plan?.ShareTender:0.00}"
            );
        }

        Assert.True(all >= 24, $"{all}");
        Assert.True(good >= 0.9 * all, $"{good} of {all}");
    }
}
