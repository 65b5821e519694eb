using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Cooking.Trace;
using BrightKettle.Core.Safety;
using BrightKettle.Core.Units;
using NodaTime;
using Xunit;
using static BrightKettle.Core.Tests.Cooking.Pots;

namespace BrightKettle.Core.Tests.Cooking;

/// <summary>Pulses and rice that do not come dry from their bag: each with its own water, doneness and warmth.</summary>
public class StartingStateTests
{
    private static PotRun Into(Ingredient ingredient, double minutes, double water = 1500) =>
        Cook(
                Kitchens.Pot(24, 6),
                [ingredient],
                [
                    Water(water),
                    Lid(Core.Cooking.Lid.On),
                    Heat(Flame.Full),
                    new CookAction.Add(Boils(), ingredient.Id),
                    Heat(Flame.Full),
                    Heat(Flame.Lively, Boils()),
                    Serve(After(minutes)),
                ]
            )
            .Run();

    /// <summary>Minutes from the second boil to tender.</summary>
    private static double Takes(Ingredient ingredient)
    {
        var (low, high) = (0.0, 240.0);
        while (high - low > 0.2)
        {
            var middle = (low + high) / 2;
            (low, high) = Into(ingredient, middle).Final[0].Doneness < Doneness.Tender ? (middle, high) : (low, middle);
        }

        return high;
    }

    private static SeedStart Cold(double doneness, double wet = 1) => new(Temperature.FromCelsius(5), doneness, wet);

    [Theory]
    [InlineData("lentil_brown")]
    [InlineData("chickpea")]
    [InlineData("black")]
    public void Par_cooked_seed_goes_on_from_what_a_hand_felt(string id)
    {
        var whole = Takes(Pulse(id, 200) with { Start = Cold(0) });
        var before = whole;
        foreach (var state in new[] { FeltState.ChalkyMiddle, FeltState.NearlyASpeck, FeltState.BiteNoChalk })
        {
            var from = Doneness.Anchor(state);
            var run = Into(Pulse(id, 200) with { Start = Cold(from) }, 0);
            Assert.InRange(run.At(3).Doneness[0], from - 0.5, from + 0.5);
            var takes = Takes(Pulse(id, 200) with { Start = Cold(from) });
            Assert.True(takes < before, $"{state}: {takes} after {before}");
            before = takes;
        }

        // From the chalky middle about half of it is left.
        Assert.InRange(Takes(Pulse(id, 200) with { Start = Cold(50) }) / whole, 0.45, 0.75);
    }

    [Fact]
    public void What_was_soaked_elsewhere_is_as_quick_as_what_was_soaked_here()
    {
        var here = Cook(
            Kitchens.Pot(24, 6),
            [Pulse("pinto", 200)],
            [
                .. Soak(10),
                Water(1500) with
                {
                    Trigger = After(600),
                },
                Lid(Core.Cooking.Lid.On),
                Heat(Flame.Full),
                new CookAction.Add(Boils(), "p"),
                Heat(Flame.Full),
                Heat(Flame.Lively, Boils()),
                Serve(After(60)),
            ]
        );
        var run = here.Run();
        var wet =
            run.At(here.Actions.ToList().FindIndex(a => a is CookAction.Add)).Doneness[0]
            / (100 * Kitchens.Catalogue.Constants.HydrationShare);
        Assert.InRange(wet, 0.8, 1);
        var elsewhere = Pulse("pinto", 200) with { Start = new SeedStart(Temperature.FromCelsius(20), 0, wet) };
        Assert.InRange(run.Final[0].Doneness - Into(elsewhere, 60).Final[0].Doneness, -2, 2);
    }

    [Fact]
    public void A_frozen_pot_comes_to_the_boil_later_by_the_heat_that_ice_takes()
    {
        double Boils(double celsius) =>
            Into(Pulse("black", 200) with { Start = new SeedStart(Temperature.FromCelsius(celsius)) }, 5).BoilsAt[1];
        double Milk(double celsius) =>
            Into(Extra("coconut_milk", 400, name: "p") with { Temperature = Temperature.FromCelsius(celsius) }, 5).BoilsAt[1];
        var seed = 200 * Kitchens.Pulse("black").Absorbed.Typical * 334 / 1500;
        Assert.InRange(Boils(-18) - Boils(0), seed, 1.6 * seed);
        Assert.InRange(Milk(-18) - Milk(0), 400 * 0.72 * 334 / 1500, 1.6 * 400 * 0.72 * 334 / 1500);
    }

    [Fact]
    public void Cooked_rice_is_done_and_drinks_only_what_stands_around_it()
    {
        var cooked = Rice("long_white", 200, "p") with { Start = Cold(100) };
        Assert.Equal(100, Into(cooked, 0).At(3).Doneness[0], 0.5);
        var dry = Into(cooked, 5, water: 100);
        Assert.InRange(dry.Final[0].Uptake, cooked.Rice.Absorbed.Typical, cooked.Rice.Absorbed.High + 0.1);
    }

    [Fact]
    public void Green_seed_is_tender_in_its_minutes_and_takes_up_little() =>
        Assert.All(Kitchens.Catalogue.Pulses.Where(p => p.Green is not null), pulse =>
        {
            var green = pulse.Green!;
            var seed = new PulseIngredient("p", Mass.FromGrams(300 * green.DryShare), pulse, new Pace(1, 0)) { Green = true };
            Assert.Equal(300, seed.OnTheScale.Grams, 0.1);
            var takes = Takes(seed);
            Assert.InRange(takes, green.Minutes.Low, green.Minutes.High);
            var gained = (Into(seed, takes).Final[0].Uptake * green.DryShare) - (1 - green.DryShare);
            Assert.InRange(gained, 0.05, 0.15);
        });

    [Fact]
    public void At_least_six_pulses_are_sold_green() => Assert.True(Kitchens.Catalogue.Pulses.Count(p => p.Green is not null) >= 6);

    [Fact]
    public void Par_cooked_beans_with_a_lectin_are_no_cooked_ones()
    {
        IEnumerable<GateFinding> Slow(SeedStart start, bool boils)
        {
            var cook = Cook(
                Kitchens.Pot(24, 6),
                [Pulse("kidney_red", 200) with { Start = start }],
                [
                    Add("p"),
                    Water(1200, 95),
                    Lid(Core.Cooking.Lid.On),
                    .. boils
                        ? [Heat(Flame.Full), Heat(Flame.Rolling, Boils()), Heat(Flame.Lowest, After(10))]
                        : new[] { Heat(Flame.Lowest) },
                    Serve(After(120)),
                ]
            );
            return LectinGate.Judge(new CookTrace(cook), cautious: false).Where(f => f.Blocks);
        }

        Assert.Empty(Slow(Cold(105), boils: false));
        // A bite is not soft.
        Assert.NotEmpty(Slow(Cold(97), boils: false));
        Assert.NotEmpty(Slow(Cold(80), boils: false));
        // Nobody knows how long they were soaked.
        Assert.NotEmpty(Slow(Cold(80), boils: true));
        Assert.NotEmpty(Slow(Cold(80) with { Soaked = Duration.FromHours(3) }, boils: true));
        Assert.Empty(Slow(Cold(80) with { Soaked = Duration.FromHours(9) }, boils: true));
    }

    [Fact]
    public void A_fresh_tomato_takes_room_gives_its_water_over_minutes_and_is_as_sour_as_from_a_tin()
    {
        PotRun With(string id, double grams) =>
            Cook(
                    Kitchens.Pot(24, 6),
                    [Pulse("pinto", 300), Extra(id, grams)],
                    [.. Soak(10, 300), Add("p"), Water(1500), Add(id), Heat(Flame.Full), Heat(Flame.Lively, Boils()), Serve(After(40))]
                )
                .Run();
        var (fresh, tin, none) = (With("tomato_fresh", 400), With("tomato_tin", 400), With("soft_vegetable", 400));
        Assert.True(fresh.Final[0].Doneness < none.Final[0].Doneness - 3);
        Assert.InRange(fresh.Final[0].Doneness - tin.Final[0].Doneness, -3, 3);
        Assert.InRange(fresh.FinalLiquor - tin.FinalLiquor, -300, -80);
        Assert.True(fresh.At(5).OverBedBefore < tin.At(5).OverBedBefore);
    }
}
