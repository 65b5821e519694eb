using BrightKettle.Core.Cooking;
using BrightKettle.Core.Units;
using NodaTime;
using Xunit;
using static BrightKettle.Core.Tests.Cooking.Pots;

namespace BrightKettle.Core.Tests.Cooking;

public class SaltTests
{
    private static PotRun Pot(IReadOnlyList<Ingredient> more, IEnumerable<CookAction> extra, double minutes = 60, double water = 1500) =>
        Cook(
                Kitchens.Pot(24, 6),
                [Pulse("pinto", 500), .. more],
                [
                    .. Soak(10, 500),
                    Add("p"),
                    Water(water),
                    .. extra,
                    Lid(Core.Cooking.Lid.On),
                    Heat(Flame.Full),
                    Heat(Flame.Lively, Boils()),
                    Serve(After(minutes)),
                ]
            )
            .Run();

    private static double All(PotRun run) => run.Vessels.Sum(v => v.SaltGrams) + run.Final.Sum(s => s.SaltGrams);

    [Fact]
    public void Sixteen_grams_in_a_pot_of_half_a_kilo_is_about_one_percent()
    {
        // The reference's own sum: 500 g dry and 1.3 kg liquor, 16 g: 0.9 %.
        var run = Pot([], [Salt(16)], water: 1000);
        var edible = 500 * (1 + run.Final[0].Uptake) + run.FinalLiquor;
        Assert.Equal(16, All(run), 6);
        Assert.InRange(100 * 16 / edible, 0.7, 1.1);
    }

    [Fact]
    public void Salt_wanders_into_beans_within_half_an_hour_or_so()
    {
        double Share(double minutes)
        {
            var run = Pot([], [Salt(16)], minutes);
            var inside = run.Final[0].SaltGrams / (500 * run.Final[0].Uptake);
            return inside / (run.Vessels[0].SaltGrams / run.FinalLiquor);
        }

        // Half in 20 to 40 min: at first most is in the liquor, in the end both are alike.
        Assert.True(Share(1) < 0.6);
        // The liquor goes on boiling down, so the beans stay a little behind it.
        Assert.InRange(Share(150), 0.75, 1.02);
    }

    [Fact]
    public void Cured_meat_gives_half_or_more_of_its_salt_in_two_hours()
    {
        var run = Pot([Extra("ham_hock", 400)], [Add("ham_hock")], 120);
        var whole = 400 * 0.035;
        Assert.InRange(1 - (run.Final[1].SaltGrams / whole), 0.5, 0.85);
        Assert.Equal(whole, All(run), 6);
    }

    [Theory]
    [InlineData("ham_hock", 0.7)]
    [InlineData("bacon", 0.6)]
    [InlineData("salt_pork", 0.5)]
    public void Cured_meat_that_was_blanched_brings_the_share_that_is_left(string id, double left)
    {
        SaltSheet Sheet(bool blanched)
        {
            var meat = Extra(id, 200) with { Blanched = blanched };
            var cook = Cook(
                Kitchens.Pot(24, 6),
                [Pulse("pinto", 500), meat],
                [.. Soak(10, 500), Add("p"), Add(id), Water(1500), Heat(Flame.Full), Heat(Flame.Lively, Boils()), Serve(After(60))]
            );
            return SaltSheet.Of(cook, cook.Run());
        }

        var (raw, blanched) = (Sheet(false), Sheet(true));
        Assert.Equal(left, blanched.SaltGrams / raw.SaltGrams, 3);
        Assert.Equal(left, blanched.Sources.Single().High / raw.Sources.Single().High, 3);
        Assert.True(blanched.ToAddGrams > raw.ToAddGrams);
    }

    [Fact]
    public void Stock_cubes_butter_and_seasoning_are_counted()
    {
        var run = Pot(
            [Extra("stock_cube", 20), Extra("salted_butter", 60), Extra("seasoned_blend", 10)],
            [Add("stock_cube"), Add("salted_butter"), Add("seasoned_blend")]
        );
        Assert.Equal((20 * 0.55) + (60 * 0.016) + (10 * 0.45), All(run), 6);
    }

    [Fact]
    public void A_brine_carries_salt_into_the_pot_and_most_of_it_is_poured_away()
    {
        var run = Cook(
                Kitchens.Pot(24, 6),
                [Pulse("pinto", 500)],
                [.. Soak(12, 500, salt: 0.015), Add("p"), Water(1500), Heat(Flame.Full), Serve(Boils())]
            )
            .Run();
        // 1.5 % in the soak gives about 0.2 to 0.9 % in the bean's kilogram: 3 to 9 g.
        Assert.InRange(All(run), 3, 9);
        Assert.True(run.WorstLedgerError < 0.01);
    }

    [Fact]
    public void Pouring_off_takes_its_share_of_the_salt_along()
    {
        var kept = Pot([], [Salt(16)]);
        var run = Cook(
                Kitchens.Pot(24, 6),
                [Pulse("pinto", 500)],
                [
                    .. Soak(10, 500),
                    Add("p"),
                    Water(1500),
                    Salt(16),
                    Lid(Core.Cooking.Lid.On),
                    Heat(Flame.Full),
                    Heat(Flame.Lively, Boils()),
                    new CookAction.SetLiquor(After(60), Mass.FromGrams(200)),
                    Serve(),
                ]
            )
            .Run();
        Assert.True(All(run) < All(kept) - 2);
        Assert.InRange(run.JugGrams, 300, 1200);
    }
}
