using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Planning.Hands;
using BrightKettle.Core.Planning.Manners;
using BrightKettle.Core.Units;
using Xunit;
using static BrightKettle.Core.Tests.Kitchens;

namespace BrightKettle.Core.Tests.Planning;

/// <summary>Dishes with more in them, and with two pots.</summary>
public class DishShapeTests
{
    private static DishExtra Extra(string id, double grams, int pieces = 0)
    {
        var extra = Kitchens.Catalogue.FindExtra(id)!;
        return new(extra, Mass.FromGrams(grams), DishExtra.Usual(extra), pieces);
    }

    private static Dish Gravy =>
        Dish("borlotti", 300, "long_white", 300, SoakChoice.Overnight, Style.Saucy)
            .With(new InItsOwnPot(new CookVessel(Pot(18, 2.5), Burner(900)))) with
        {
            Extras = [Extra("tomato_tin", 400), Extra("onion", 240), Extra("leaf", 1, 2)],
            BurnerCount = 3,
        };

    private static Dish Porridge =>
        Dish("lentil_yellow_split", 120, "broken", 160, SoakChoice.None, Style.Soup) with
        {
            Extras = [Extra("whole_spice", 3, 3), Extra("greens", 150)],
            BurnerCount = 2,
        };

    private static Dish OnePot =>
        Dish("chickpea", 200, "brown_basmati", 220, SoakChoice.Overnight) with
        {
            Extras = [Extra("onion", 300)],
            BurnerCount = 2,
        };

    public static TheoryData<string> Shapes => ["gravy", "porridge", "one_pot"];

    private static Dish Of(string shape) =>
        shape switch
        {
            "gravy" => Gravy,
            "porridge" => Porridge,
            _ => OnePot,
        };

    [Theory]
    [MemberData(nameof(Shapes))]
    public void Each_shape_is_tender_together_on_the_hour(string shape)
    {
        var plan = Planned(Of(shape));
        Assert.InRange(plan.MinuteOfDay(StepIds.Table), (19 * 60) - 3, (19 * 60) + 3);
        Assert.InRange(plan.Forecast.Reference.Final[0].Doneness, Doneness.Wanted, 400);
        Assert.InRange(plan.Forecast.Reference.Final[1].Doneness, 94, 135);
        Assert.DoesNotContain(plan.Gates, g => g.Blocks);
    }

    [Theory]
    [MemberData(nameof(Shapes))]
    public void Two_hands_never_do_two_things_at_once(string shape)
    {
        var hands = HandsPlanner.For(Planned(Of(shape)), Of(shape).BurnerCount);
        var busy = hands
            .Visits.Select(v => (v.From, v.To))
            .Concat(hands.Tasks.Where(t => t.Task.Attended).Select(t => (t.From, t.To)))
            .OrderBy(b => b.Item1)
            .ToList();
        for (var i = 1; i < busy.Count; i++)
        {
            Assert.True(busy[i].Item1 >= busy[i - 1].Item2, $"{busy[i - 1]} and {busy[i]}");
        }

        Assert.True(hands.Unplaced.Count == 0, $"No place for {string.Join(", ", hands.Unplaced)} between {string.Join(", ", busy)}");
        Assert.Contains(hands.Tasks, t => t.Task.Attended);
    }

    [Fact]
    public void Both_pots_reach_the_table_together()
    {
        var plan = Planned(Gravy);
        var table = plan.Forecast.Find(StepIds.Table)!.Reference;
        Assert.InRange((table - plan.Forecast.Find(StepIds.RiceRested)!.Reference).TotalMinutes, 0, 4);
        Assert.InRange(plan.Forecast.Reference.Vessels[1].LiquorGrams, 0, 40);
    }

    [Fact]
    public void Acid_waits_until_they_are_soft_and_leaves_are_counted_out()
    {
        var plan = Planned(Gravy);
        int At(Func<CookAction, bool> what) => plan.Cook.Actions.ToList().FindIndex(a => what(a));
        Assert.True(At(a => a is CookAction.Add { IngredientId: "x_tomato_tin" }) > At(a => a.StepId == StepIds.Ready));
        Assert.InRange(
            At(a => a is CookAction.TakeOut { IngredientId: "x_leaf" }),
            At(a => a.StepId == StepIds.Finish),
            plan.Cook.Actions.Count - 2
        );
    }

    [Fact]
    public void Tomato_that_goes_in_at_the_start_asks_for_an_earlier_flame()
    {
        var late = Planned(Gravy.With(new InThePot()) with { Rice = null });
        var early = Planned(
            Gravy.With(new InThePot()) with
            {
                Rice = null,
                Extras = [Extra("tomato_tin", 400) with { Time = ExtraTime.Start }],
            }
        );
        Assert.True(early.Forecast.Find(StepIds.Light)!.Reference < late.Forecast.Find(StepIds.Light)!.Reference);
    }

    [Fact]
    public void Coconut_milk_stands_in_for_water()
    {
        var plain = Planned(Dish("chickpea", 200, "long_white", 300, SoakChoice.Overnight));
        var rich = Planned(Dish("chickpea", 200, "long_white", 300, SoakChoice.Overnight) with { Extras = [Extra("coconut_milk", 400)] });
        Assert.InRange(plain.Join!.NeededMillilitres - rich.Join!.NeededMillilitres, 200, 340);
        Assert.InRange(rich.Forecast.Reference.Final[1].Doneness, 94, 135);
    }

    [Theory]
    [InlineData(SaltSchool.InTheSoak)]
    [InlineData(SaltSchool.AtTheStart)]
    [InlineData(SaltSchool.WithTheRice)]
    public void Each_school_of_salting_ends_at_the_household_s_taste(SaltSchool school)
    {
        var plan = Planned(Dish("chickpea", 200, "long_white", 300, SoakChoice.Overnight) with { Salt = school, SaltPercent = 0.8 });
        Assert.InRange(plan.Amounts.Sheet.PercentNow, 0.72, 0.9);
        Assert.True(plan.Amounts.Salt.Grams > 3);
    }

    [Fact]
    public void A_brine_softens_the_skins_and_asks_for_less_fire()
    {
        Plan With(SaltSchool s) => Planned(Dish("chickpea", 200, null, 0, SoakChoice.Overnight, Style.Saucy) with { Salt = s });
        Assert.True(
            With(SaltSchool.InTheSoak).Forecast.Find(StepIds.Light)!.Reference
                > With(SaltSchool.WithTheRice).Forecast.Find(StepIds.Light)!.Reference
        );
    }

    private static OtherPulse Other(string id, double grams) => new(Pulse(id), Mass.FromGrams(grams));

    [Theory]
    [InlineData(true)]
    [InlineData(false)]
    public void A_quicker_pulse_joins_the_slow_one_in_time_to_be_soft_with_it(bool withRice)
    {
        var plan = Planned(
            Dish("chickpea", 180, withRice ? "long_white" : null, withRice ? 250 : 0, SoakChoice.Overnight, Style.Saucy) with
            {
                OtherPulses = [Other("lentil_brown", 100)],
            }
        );
        var lentils = plan.Cook.IndexOf("pulse_lentil_brown");
        Assert.InRange(plan.Forecast.Reference.Final[0].Doneness, Doneness.Wanted, 200);
        var joins = plan.Forecast.Find(StepIds.OtherIn)!.Reference;
        Assert.True(joins > plan.Forecast.Find(StepIds.Boils)!.Reference);
        Assert.True(joins >= plan.Forecast.Find(StepIds.Ready)!.Reference);
        Assert.InRange(plan.MinuteOfDay(StepIds.Table), (19 * 60) - 3, (19 * 60) + 3);
        // Neither has collapsed, and two bags of their own pace are still on the table together more often than not by luck.
        Assert.InRange(
            plan.Forecast.Reference.Final[lentils].Doneness,
            Doneness.Wanted,
            TargetWindows.Of(Pulse("lentil_brown"), PulseTarget.Whole).High * 1.05
        );
        Assert.True(plan.ShareTender > 0.3);
    }

    [Fact]
    public void Two_pulses_with_a_lectin_stand_through_the_hard_boil_together()
    {
        var plan = Planned(
            Dish("kidney_red", 150, null, 0, SoakChoice.Overnight, Style.Saucy) with
            {
                OtherPulses = [Other("pinto", 150)],
            }
        );
        Assert.Null(plan.Forecast.Find(StepIds.OtherIn));
        Assert.Equal(2, plan.Gates.Count(g => g.Code == "lectin.hard_boil"));
        Assert.Equal(2, plan.Cook.Actions.OfType<CookAction.Soak>().Count());
    }

    [Fact]
    public void Onions_for_a_crowd_are_browned_in_batches_on_a_free_burner()
    {
        var hands = HandsPlanner.For(Planned(OnePot with { Extras = [Extra("onion", 700)] }), 2);
        Assert.Equal(3, hands.Tasks.Count(t => t.Task.Batches == 3));
        Assert.True(
            hands
                .Tasks.Where(t => t.Task.Id == "chop")
                .All(c => hands.Tasks.Where(t => t.Task.Id.StartsWith("brown", StringComparison.Ordinal)).All(b => b.From >= c.To))
        );
    }
}
