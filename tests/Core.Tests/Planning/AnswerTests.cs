using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning;
using Xunit;
using static BrightKettle.Core.Tests.Cooking.Pots;
using static BrightKettle.Core.Tests.Kitchens;

namespace BrightKettle.Core.Tests.Planning;

/// <summary>Questions about liquor, salt and yield, answered by runs.</summary>
public class AnswerTests
{
    private static readonly LiquorAnswers Answers = new(Model);
    private static readonly Plan Chickpeas = Planned(Dish("chickpea", 300, "brown_basmati", 300, SoakChoice.Overnight));

    [Fact]
    public void A_measured_residue_says_what_to_add_or_pour_off()
    {
        var needed = Chickpeas.Join!.LiquorNeeded.Grams;
        Assert.Equal(needed - 500, LiquorAnswers.ToAdd(Chickpeas, 500), 6);
        Assert.True(LiquorAnswers.ToAdd(Chickpeas, 1200) < 0);
    }

    [Fact]
    public void It_says_how_much_rice_a_residue_feeds()
    {
        var needed = Chickpeas.Join!.LiquorNeeded.Grams;
        // As much as planned feeds what was planned; half of it about half.
        Assert.Equal(300, Answers.RiceFedBy(Chickpeas, needed), 20.0);
        Assert.InRange(Answers.RiceFedBy(Chickpeas, needed / 2), 110, 175);
        Assert.Equal(0, Answers.RiceFedBy(Chickpeas, 0), 15.0);
    }

    [Fact]
    public void Reducing_takes_longer_for_more_and_less_at_a_bigger_flame()
    {
        var cook = Cook(
            Pot(24, 6),
            [Pulse("navy", 250)],
            [.. Soak(10), Add("p"), Water(1800), Lid(Core.Cooking.Lid.On), Heat(Flame.Full), Heat(Flame.Lively, Boils()), Serve(After(60))]
        );
        var from = Model.Run(cook, PotTraits.Reference(cook)).FinalLiquor;
        var small = Answers.ReduceMinutes(cook, from - 150)!.Value;
        var much = Answers.ReduceMinutes(cook, from - 500)!.Value;
        // 500 to 1200 mL an hour in an open 24 cm pot.
        Assert.InRange(small, 7, 20);
        Assert.True(much > 2.5 * small);
        Assert.True(Answers.ReduceMinutes(cook, from - 500, Flame.Rolling)!.Value < much);
        Assert.Null(Answers.ReduceMinutes(cook, 0, Flame.Lowest));
    }

    [Fact]
    public void A_pot_thickens_off_the_heat_and_drinks_overnight()
    {
        Assert.Equal(1, Answers.ThickerAt(96).Typical);
        Assert.InRange(Answers.ThickerAt(60).Typical, 2, 5);
        Assert.InRange(Answers.ThickerAt(25).Typical, 5, 15);
        var water = LiquorAnswers.NextDayWater(Chickpeas.Cook, Chickpeas.Forecast.Reference);
        Assert.True(water.Low < water.Typical && water.Typical < water.High);
        Assert.InRange(water.Typical, 60, 250);
    }

    [Fact]
    public void Keeping_warm_costs_the_rice_its_bite_but_not_its_dinner()
    {
        PotRun Keep(double hours) =>
            Cook(
                    Pot(20, 3.5),
                    [Rice("long_white", 370)],
                    [
                        Add("r"),
                        Water(830),
                        Lid(Core.Cooking.Lid.On),
                        Heat(Flame.Full),
                        Heat(Flame.Gentle, Boils()),
                        Lid(Core.Cooking.Lid.Sealed),
                        Heat(Flame.Warm, After(16)),
                        Serve(After(10 + (60 * hours))),
                    ]
                )
                .Run();
        var (now, later) = (Keep(0), Keep(3));
        Assert.True(later.Final[0].Doneness > now.Final[0].Doneness);
        Assert.True(later.Final[0].Doneness < 150);
        Assert.True(later.Vessels[0].Celsius >= 60);
    }

    [Fact]
    public void Mashing_a_share_thickens_the_liquor_for_the_rice()
    {
        PotRun Mash(double share) =>
            Cook(
                    Pot(24, 6),
                    [Pulse("black", 300), Rice("long_white", 200)],
                    [
                        .. Soak(10, 300),
                        Add("p"),
                        Water(2000),
                        Lid(Core.Cooking.Lid.On),
                        Heat(Flame.Full),
                        Heat(Flame.Lively, Boils()),
                        new CookAction.Mash(After(70), "p", share),
                        Add("r"),
                        Heat(Flame.Gentle),
                        Serve(After(13)),
                    ]
                )
                .Run();
        Assert.True(Mash(0.3).Final[1].Doneness < Mash(0).Final[1].Doneness);
        Assert.Equal(0.3 * 0.6 * 300, Mash(0.3).Vessels[0].ThickenedGrams, 1.0);
    }

    [Fact]
    public void Yield_follows_the_tables_balance()
    {
        // Chickpea: 1 + 1.31 - 0.06 = 2.25 g/g; a 200 g cup gives 2.74 cups.
        var yield = Yield.Of(Pulse("chickpea"), 200, withRice: true);
        Assert.Equal(450, yield.CookedGrams, 5.0);
        Assert.Equal(2.74, yield.Cups, 0.1);
        Assert.Equal(200.0 / 60, yield.Plates, 6);
        Assert.InRange(Yield.Of(Kitchens.Rice("long_white"), 185, Model.Constants).Cups, 2.7, 3.6);
    }

    [Fact]
    public void The_salt_sheet_adds_up_all_sources_and_says_what_is_missing()
    {
        var cook = Cook(
            Pot(24, 6),
            [Pulse("black", 400), Extra("ham_hock", 300), Extra("stock_cube", 10), Extra("soda", 1)],
            [
                .. Soak(10, 400),
                Add("p"),
                Add("ham_hock"),
                Add("stock_cube"),
                Add("soda"),
                Water(1400),
                Lid(Core.Cooking.Lid.On),
                Heat(Flame.Full),
                Heat(Flame.Lively, Boils()),
                Serve(After(75)),
            ]
        );
        var sheet = SaltSheet.Of(cook, cook.Run());
        // 300 g at 3.5 % and a cube of 55 %: 16 g in some 2 kg.
        Assert.Equal(10.5 + 5.5, sheet.SaltGrams, 0.1);
        Assert.Equal(["ham_hock", "stock_cube", "soda"], sheet.Sources.Select(s => s.What));
        Assert.InRange(sheet.PercentNow, 0.6, 1.0);
        Assert.Equal(sheet.EdibleGrams * 0.009, sheet.SaltGrams + (sheet.ToAddGrams * 0.991), sheet.ToAddGrams > 0 ? 0.2 : 5);
        // Sodium of soda is counted, though it does not taste of salt.
        Assert.Equal(0.274, sheet.Sources[2].SodiumGrams, 3);
        Assert.All(sheet.Sources, s => Assert.True(s.Low <= s.Grams && s.Grams <= s.High));
    }

    [Fact]
    public void No_salt_anywhere_is_a_finding_and_so_is_too_much()
    {
        SaltSheet With(double grams)
        {
            var cook = Cook(
                Pot(24, 6),
                [Pulse("black", 400)],
                [
                    .. Soak(10, 400),
                    Add("p"),
                    Water(1400),
                    Salt(grams),
                    Lid(Core.Cooking.Lid.On),
                    Heat(Flame.Full),
                    Heat(Flame.Gentle, Boils()),
                    Serve(After(60)),
                ]
            );
            return SaltSheet.Of(cook, cook.Run());
        }

        Assert.Equal("salt.none", With(0).Finding);
        Assert.Equal("salt.too_much", With(45).Finding);
        Assert.Null(With(18).Finding);
        Assert.InRange(With(0).ToAddGrams, 12, 26);
    }

    [Fact]
    public void Whistles_become_minutes_and_minutes_whistles()
    {
        var answers = new WhistleAnswers(Model);
        var cooker = Cooker(Core.Kitchen.CookerKind.Weight, 5);
        var medium = Core.Units.Power.FromWatts(560);
        var contents = Core.Units.Mass.FromGrams(1200);
        var times = answers.Times(cooker, Burner(1500), contents, medium, 6);
        // The first 4 to 10 min after the heat; then 1.5 to 3.5 min a whistle on a medium flame.
        Assert.InRange(times[0].Minutes, 4, 10);
        Assert.InRange((times[5].Minutes - times[0].Minutes) / 5, 1.5, 3.5);
        Assert.All(times, t => Assert.True(t.Low <= t.Minutes && t.Minutes <= t.High));
        var within = times[3].Minutes - times[0].Minutes + 0.1;
        Assert.Equal(4, answers.CountOf(cooker, Burner(1500), contents, medium, within));
        Assert.Throws<ArgumentException>(() => answers.Times(Pot(), Burner(), contents, medium, 2));
    }

    [Fact]
    public void A_spoon_of_flakes_weighs_far_less_than_one_of_fine_salt() =>
        Assert.True(SaltSpoons.TeaspoonsOf(12, SaltSpoons.Flakes) > 1.5 * SaltSpoons.TeaspoonsOf(12, SaltSpoons.Fine));
}
