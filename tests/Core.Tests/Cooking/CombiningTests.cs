using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Units;
using NodaTime;
using Xunit;
using static BrightKettle.Core.Tests.Cooking.Pots;

namespace BrightKettle.Core.Tests.Cooking;

/// <summary>Several pulses, several pots, cooked pulses and the many sources of water.</summary>
public class CombiningTests
{
    private static readonly CookVessel Second = new(Kitchens.Pot(20, 3.5), Kitchens.Burner());

    private static Cook TwoPots(IReadOnlyList<Ingredient> ingredients, IEnumerable<CookAction> actions) =>
        new(
            new CookKitchen(Kitchens.Pot(24, 6), Kitchens.Burner(), Altitude.SeaLevel, Temperature.FromCelsius(20))
            {
                OtherVessels = [Second],
            },
            ingredients,
            [.. actions],
            Instant.FromUnixTimeSeconds(0),
            1
        );

    private static CookAction There(CookAction action) => action with { In = Second.Vessel.Id };

    [Fact]
    public void In_a_mixed_pot_the_slowest_rules_and_the_quick_one_falls_apart()
    {
        var run = Cook(
                Kitchens.Pot(24, 6),
                [Pulse("chickpea", 150), Pulse("lentil_red_split", 150, name: "l")],
                [
                    .. Soak(10, 150),
                    Add("p"),
                    Add("l"),
                    Water(2500),
                    Lid(Core.Cooking.Lid.On),
                    Heat(Flame.Full),
                    Heat(Flame.Lively, Boils()),
                    UntilTender(),
                ]
            )
            .Run();
        Assert.Equal(FeltState.FallingApart, Doneness.Felt(run.Final[1].Doneness, Kitchens.Pulse("lentil_red_split").FallsApartAt));
        Assert.InRange(run.Final[0].Doneness, 100, 101);
    }

    [Fact]
    public void Staggered_pulses_end_together()
    {
        var lead = 50.0;
        var run = Cook(
                Kitchens.Pot(24, 6),
                [Pulse("borlotti", 200), Pulse("lentil_green", 150, name: "l")],
                [
                    .. Soak(10, 200),
                    Add("p"),
                    Water(2500),
                    Lid(Core.Cooking.Lid.On),
                    Heat(Flame.Full),
                    Heat(Flame.Lively, Boils()),
                    new CookAction.Add(After(lead - 20), "l"),
                    Heat(Flame.Full),
                    Heat(Flame.Lively, Boils()),
                    UntilTender("l"),
                ]
            )
            .Run();
        Assert.InRange(run.Final[0].Doneness, 85, 140);
    }

    /// <summary>Each vessel keeps its own order: the second pot is told to crush before the first has given anything.</summary>
    [Fact]
    public void What_has_not_come_over_yet_is_not_crushed_and_breaks_nothing()
    {
        CookAction[] Crush(double minutes) =>
            [
                Add("p"),
                Water(1700),
                Heat(Flame.Full),
                new CookAction.Transfer(After(60), Second.Vessel.Id, TransferWhat.Everything) { StepId = "over" },
                There(new CookAction.Mash(After(minutes), "p", 0.5)),
                Serve(After(90) with { AfterStep = "over" }),
            ];
        var (early, late) = (TwoPots([Pulse("black", 300)], Crush(5)), TwoPots([Pulse("black", 300)], Crush(80)));
        Assert.Null(CookRules.Check(early));
        Assert.Equal(0, early.Run().Vessels[1].SolidsGrams, 20.0);
        Assert.True(late.Run().Vessels[1].SolidsGrams > early.Run().Vessels[1].SolidsGrams + 50);
    }

    [Fact]
    public void Rice_cooks_in_the_measured_liquor_of_the_pulse_in_a_second_pot()
    {
        var run = TwoPots(
                [Pulse("black", 300), Rice("long_white", 300)],
                [
                    .. Soak(10, 300),
                    Add("p"),
                    Water(1700),
                    Lid(Core.Cooking.Lid.On),
                    Heat(Flame.Full),
                    Heat(Flame.Lively, Boils()),
                    new CookAction.Transfer(After(75), Second.Vessel.Id, TransferWhat.Liquor)
                    {
                        Most = Mass.FromGrams(640),
                        StepId = "liquor",
                    },
                    There(new CookAction.Add(Trigger.Next with { AfterStep = "liquor" }, "r")),
                    There(Lid(Core.Cooking.Lid.On)),
                    There(Heat(Flame.Full)),
                    There(Heat(Flame.Gentle, Boils())),
                    There(Lid(Core.Cooking.Lid.Sealed)),
                    There(new CookAction.Heat(After(17), Flame.Off) { StepId = "rice" }),
                    Serve(After(10) with { AfterStep = "rice" }),
                ]
            )
            .Run();
        Assert.InRange(run.Final[1].Doneness, 88, 115);
        Assert.Equal(1, run.Final[1].Vessel);
        Assert.True(run.WorstLedgerError < 0.01);
    }

    [Fact]
    public void The_liquor_carries_what_the_pulse_gave_into_the_second_pot_and_leaves_less_behind()
    {
        double After(params CookAction[] first) =>
            TwoPots(
                    [Pulse("black", 300), Rice("long_white", 150)],
                    [
                        Add("p"),
                        Water(2500),
                        Lid(Core.Cooking.Lid.On),
                        Heat(Flame.Full),
                        Heat(Flame.Gentle, Boils()),
                        new CookAction.Heat(Pots.After(120), Flame.Off) { StepId = "soft" },
                        .. first,
                        There(Lid(Core.Cooking.Lid.On)),
                        There(Heat(Flame.Full)),
                        There(Heat(Flame.Gentle, Boils())),
                        There(new CookAction.Heat(Pots.After(14), Flame.Off) { StepId = "rice" }),
                        Serve(Trigger.Next with { AfterStep = "rice" }),
                    ]
                )
                .Run()
                .Final[1]
                .Doneness;
        var add = There(new CookAction.Add(Trigger.Next with { AfterStep = "liquor" }, "r"));
        var inLiquor = After(
            new CookAction.Transfer(Trigger.Next, Second.Vessel.Id, TransferWhat.Liquor) { Most = Mass.FromGrams(700), StepId = "liquor" },
            add
        );
        var inWater = After(
            There(
                new CookAction.AddWater(Trigger.Next with { AfterStep = "soft" }, Mass.FromGrams(700), Temperature.FromCelsius(95))
                {
                    StepId = "liquor",
                }
            ),
            add
        );
        Assert.InRange(inWater / inLiquor, 1.02, 1.15);
    }

    [Fact]
    public void Cooked_apart_and_folded_the_heat_is_shared()
    {
        var run = TwoPots(
                [Pulse("black", 200) with { Start = new SeedStart(Temperature.FromCelsius(6)) }, Rice("long_white", 300)],
                [
                    Add("p"),
                    Water(100),
                    Lid(Core.Cooking.Lid.On),
                    Heat(Flame.Full),
                    Heat(Flame.Off, Boils(2)),
                    There(Add("r")),
                    There(Water(640)),
                    There(Lid(Core.Cooking.Lid.On)),
                    There(Heat(Flame.Full)),
                    There(Heat(Flame.Gentle, Boils())),
                    There(Heat(Flame.Off, After(16))),
                    There(
                        new CookAction.Transfer(Trigger.Later(Duration.FromMinutes(5)), Kitchens.Pot(24, 6).Id, TransferWhat.Everything)
                        {
                            StepId = "fold",
                        }
                    ),
                    Serve(Trigger.Next with { AfterStep = "fold" }),
                ]
            )
            .Run();
        Assert.All(run.Final, s => Assert.Equal(0, s.Vessel));
        Assert.InRange(run.Final[0].Doneness, 100, 115);
        // The beans stand covered for the rice's 25 minutes: still well over 60 °C when they meet.
        Assert.InRange(run.Vessels[0].Celsius, 72, 100);
        Assert.InRange(run.FinalLiquor, 0, 160);
    }

    [Fact]
    public void Par_cooked_and_drained_they_go_on_together()
    {
        var run = Cook(
                Kitchens.Pot(24, 6),
                [Pulse("black_eyed_pea", 200), Rice("parboiled", 250)],
                [
                    Add("p"),
                    Water(2500),
                    Lid(Core.Cooking.Lid.On),
                    Heat(Flame.Full),
                    Heat(Flame.Lively, Boils()),
                    new CookAction.Drain(After(28), null) { Keep = true },
                    new CookAction.Rinse(Trigger.Next, "r"),
                    Add("r"),
                    new CookAction.PourBack(Trigger.Next, Mass.FromGrams(700)),
                    Heat(Flame.Full),
                    Heat(Flame.Gentle, Boils()),
                    Lid(Core.Cooking.Lid.Sealed),
                    Heat(Flame.Off, After(21)),
                    Serve(After(10)),
                ]
            )
            .Run();
        Assert.InRange(run.Final[0].Doneness, 85, 150);
        Assert.InRange(run.Final[1].Doneness, 85, 115);
        Assert.True(run.JugGrams > 400);
    }

    [Fact]
    public void Dal_below_and_rice_in_its_own_bowl_above_come_ready_in_one_cooker()
    {
        var run = DalUnderRice().Run();
        Assert.InRange(run.Final[1].Doneness, 85, 135);
        Assert.True(run.Final[0].Doneness > 92);
        Assert.True(run.WorstLedgerError < 0.01);
    }

    [Fact]
    public void Coconut_milk_tomato_meat_and_vegetables_bring_their_water_and_dough_drinks()
    {
        double Left(string? id, double grams = 400)
        {
            var more = id is null ? Array.Empty<Ingredient>() : [Extra(id, grams)];
            var add = id is null ? Array.Empty<CookAction>() : [Add(id)];
            return Cook(
                    Kitchens.Pot(24, 6),
                    [Pulse("navy", 250), .. more],
                    [
                        .. Soak(10),
                        Add("p"),
                        Water(1500),
                        .. add,
                        Lid(Core.Cooking.Lid.Sealed),
                        Heat(Flame.Full),
                        Heat(Flame.Gentle, Boils()),
                        Serve(After(60)),
                    ]
                )
                .Run()
                .FinalLiquor;
        }

        var plain = Left(null);
        // Coconut milk is 72 % water, canned tomato 92 %; onion gives a third of its weight, dough takes as much.
        Assert.Equal(400 * 0.72, Left("coconut_milk") - plain, 25.0);
        Assert.Equal(400 * 0.92, Left("tomato_tin") - plain, 30.0);
        Assert.InRange(Left("onion") - plain, 100, 150);
        Assert.InRange(Left("fresh_meat") - plain, 50, 90);
        Assert.InRange(plain - Left("dough"), 110, 160);
        Assert.InRange(Left("coconut_powder") - plain, -15, 20);
    }

    [Fact]
    public void What_was_added_over_the_whole_cook_is_told()
    {
        var run = Cook(
                Kitchens.Pot(24, 6),
                [Pulse("navy", 250)],
                [
                    Add("p"),
                    Water(1500),
                    Heat(Flame.Full),
                    Heat(Flame.Lively, Boils()),
                    new CookAction.AddWater(After(20), Mass.FromGrams(300), Temperature.FromCelsius(100)),
                    Serve(After(5)),
                ]
            )
            .Run();
        Assert.Equal(1800, run.WaterAdded, 3);
    }

    [Fact]
    public void Rinsed_rice_brings_its_film_of_water()
    {
        double Water(bool rinsed) =>
            Cook(
                    Kitchens.Pot(20, 3.5),
                    [Rice("long_white", 300)],
                    [.. rinsed ? [new CookAction.Rinse(Trigger.Next, "r")] : Array.Empty<CookAction>(), Add("r"), Pots.Water(600), Serve()]
                )
                .Run()
                .WaterAdded;
        Assert.Equal(300 * 0.08, Water(true) - Water(false), 1.0);
    }

    [Fact]
    public void Pieces_that_come_out_leave_the_pot()
    {
        var run = Cook(
                Kitchens.Pot(24, 6),
                [Pulse("navy", 250), Extra("whole_chilli", 12)],
                [Add("p"), Add("whole_chilli"), Water(1500), Heat(Flame.Full), new CookAction.TakeOut(Boils(10), "whole_chilli"), Serve()]
            )
            .Run();
        Assert.Equal(-1, run.Final[1].Vessel);
    }
}
