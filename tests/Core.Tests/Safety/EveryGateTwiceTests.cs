using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Safety;
using BrightKettle.Core.Units;
using NodaTime;
using Xunit;
using static BrightKettle.Core.Tests.Cooking.Pots;

namespace BrightKettle.Core.Tests.Safety;

/// <summary>Each gate in a kitchen with two vessels on the go and two pulses in one of them: what it finds is found where it is, names the
/// right pulse, and is not found of the vessel beside.</summary>
public class EveryGateTwiceTests
{
    private const string Side = "side";

    private static readonly Instant Start = Instant.FromUnixTimeSeconds(0);

    private static CookAction Beside(CookAction action) => action with { In = Side };

    /// <summary>Two pulses in the first vessel, a third and rice in the second; both cook and go off unless told otherwise.</summary>
    private static Cook Both(
        Vessel first,
        Vessel second,
        IEnumerable<CookAction> here,
        IEnumerable<CookAction> there,
        string one = "chickpea",
        string two = "black_eyed_pea",
        params Ingredient[] more
    )
    {
        var cook = Cook(
            first,
            [Pulse(one, 200), Pulse(two, 150, name: "q"), Pulse("adzuki", 150, name: "s"), Rice("long_white", 200), .. more],
            [.. here, .. there.Select(Beside), Serve()]
        );
        return cook with { Kitchen = cook.Kitchen with { OtherVessels = [new CookVessel(second with { Id = Side }, Kitchens.Burner())] } };
    }

    private static IEnumerable<CookAction> Cooked(params string[] what) =>
        [.. what.Select(Add), Water(2000), Heat(Flame.Full), Heat(Flame.Lively, Boils()), Heat(Flame.Off, After(90))];

    private static List<GateFinding> Found(Cook cook, bool run = false) =>
        [.. Gates.Judge(cook, GateHouse.Unknown, run ? cook.Run() : null).Where(f => f.Blocks)];

    private static Vessel Pot(double litres = 5) => Kitchens.Pot(24, litres);

    [Fact]
    public void Both_pots_as_they_should_be_have_no_finding() =>
        Assert.Empty(Found(Both(Pot(), Pot(), Cooked("p", "q"), Cooked("s", "r"))));

    [Theory]
    [InlineData("p", 30, 8)]
    [InlineData("q", 8, 30)]
    public void Soak_the_one_that_stood_too_long_is_named(string named, double first, double second)
    {
        IEnumerable<CookAction> here = [.. Soak(first), .. Soak(second, id: "q"), .. Cooked("p", "q")];
        var found = Assert.Single(Found(Both(Pot(), Pot(), here, Cooked("s", "r"))));
        Assert.Equal((SoakGate.TooLong, named), (found.Code, found.IngredientId));
    }

    [Theory]
    [InlineData("lima_large", "chickpea", "p")]
    [InlineData("chickpea", "lima_large", "q")]
    public void Cyanogens_the_limas_are_named_wherever_they_stand_in_the_pot(string one, string two, string named)
    {
        CookAction[] locked =
        [
            Add("p"),
            Add("q"),
            Water(1500),
            new CookAction.Pressurise(Trigger.Next),
            Heat(Flame.Full),
            Heat(Flame.Off, Trigger.Once(PotEvent.PressureUp, Duration.FromMinutes(30))),
            new CookAction.Release(Trigger.Next, ReleaseKind.Natural),
            Heat(Flame.Off, Trigger.Once(PotEvent.PinDown)),
        ];
        var found = Found(Both(Cooker(CookerKind.Spring), Pot(), locked, Cooked("s", "r"), one, two));
        Assert.Contains(found, f => f.Code == CyanogenGate.Locked && f.IngredientId == named);
        // In the open pot beside a cooker that is locked they are no matter of its lid.
        var beside = Both(Cooker(CookerKind.Spring), Pot(), [Add("s"), .. locked[2..]], [.. Cooked("p", "q"), Add("r")], one, two);
        Assert.DoesNotContain(Found(beside), f => f.Code == CyanogenGate.Locked);
    }

    [Fact]
    public void Soda_counts_against_the_liquor_of_its_own_pot()
    {
        var soda = Extra("soda", 4, name: "b");
        IEnumerable<CookAction> With(double water) =>
            [Add("p"), Add("q"), Add("b"), Water(water), Heat(Flame.Full), Heat(Flame.Off, Boils(60))];
        IEnumerable<CookAction> Plain(double water) => [Add("s"), Add("r"), Water(water), Heat(Flame.Full), Heat(Flame.Off, Boils(60))];
        Assert.Empty(Found(Both(Pot(), Pot(), With(2500), Plain(900), more: soda)));
        // Plenty of water in the other pot thins nothing.
        Assert.Equal(SodaGate.TooMuch, Assert.Single(Found(Both(Pot(), Pot(), With(900), Plain(2500), more: soda))).Code);
    }

    [Fact]
    public void Seal_the_plastic_is_found_on_either_pot_by_its_action()
    {
        var plastic = new CookAction.Cover(Trigger.Next, Core.Cooking.Lid.Sealed) { With = SealMaterial.Plastic };
        var here = Both(Pot(), Pot(), [.. Cooked("p", "q").SkipLast(1), plastic, Heat(Flame.Off, After(60))], Cooked("s", "r"));
        var there = Both(Pot(), Pot(), Cooked("p", "q"), [.. Cooked("s", "r").SkipLast(1), plastic, Heat(Flame.Off, After(60))]);
        foreach (var cook in new[] { here, there })
        {
            Assert.Equal(cook.Actions.ToList().FindIndex(a => a is CookAction.Cover), Assert.Single(Found(cook)).Action);
        }

        // A towel belongs over a pot that is off, whatever burns beside it.
        var towel = new CookAction.Cover(Trigger.Next, Core.Cooking.Lid.Sealed) { With = SealMaterial.Towel };
        Assert.Empty(Found(Both(Pot(), Pot(), [.. Cooked("p", "q"), towel], Cooked("s", "r").SkipLast(1))));
        Assert.NotEmpty(Found(Both(Pot(), Pot(), [.. Cooked("p", "q").SkipLast(1), towel], Cooked("s", "r"))));
    }

    [Fact]
    public void Frozen_meat_may_go_into_the_pot_and_not_into_the_crock_beside_it()
    {
        var meat = Extra("fresh_meat", 200, -18, "m");
        var crock = Cooker(CookerKind.Slow);
        CookAction[] slow = [Add("s"), Water(1500, 95), Heat(Flame.High), Heat(Flame.Off, After(360))];
        Assert.Empty(Found(Both(Pot(), crock, Cooked("p", "q", "m"), slow, more: meat)));
        var found = Assert.Single(Found(Both(Pot(), crock, Cooked("p", "q"), [Add("m"), .. slow], more: meat)));
        Assert.Equal((FrozenMeatGate.Frozen, "m"), (found.Code, found.IngredientId));
    }

    [Fact]
    public void Pressure_fill_and_liquid_are_the_cookers_own()
    {
        CookAction[] Locked(double water, params string[] what) =>
            [
                .. what.Select(Add),
                Water(water),
                new CookAction.Pressurise(Trigger.Next),
                Heat(Flame.Full),
                Heat(Flame.Off, Trigger.Once(PotEvent.PressureUp, Duration.FromMinutes(30))),
                new CookAction.Release(Trigger.Next, ReleaseKind.Natural),
                Heat(Flame.Off, Trigger.Once(PotEvent.PinDown)),
            ];
        var small = Cooker(CookerKind.Spring, 3);
        Assert.Empty(Found(Both(small, Pot(), Locked(600, "p"), Cooked("s", "r", "q"))));
        // Both pulses together swell over the line; the pot beside, however full, does not.
        Assert.Contains(Found(Both(small, Pot(), Locked(1200, "p", "q"), Cooked("s", "r"))), f => f.Code == PressureGate.Overfilled);
        Assert.Contains(Found(Both(small, Pot(), Locked(60, "p"), Cooked("s", "r", "q"))), f => f.Code == PressureGate.TooDry);
    }

    [Fact]
    public void Hold_the_pot_that_went_cold_is_found_whatever_boils_beside_it()
    {
        IEnumerable<CookAction> left = [.. Cooked("p", "q"), Heat(Flame.Off, After(300))];
        IEnumerable<CookAction> kept = [.. Cooked("s", "r").SkipLast(1), Heat(Flame.Off, After(400))];
        Assert.Contains(Found(Both(Pot(), Pot(), left, kept), run: true), f => f.Code == HoldGate.TooCool);
        IEnumerable<CookAction> hot = [.. Cooked("p", "q").SkipLast(1), Heat(Flame.Off, After(390))];
        Assert.DoesNotContain(Found(Both(Pot(), Pot(), hot, kept), run: true), f => f.Code == HoldGate.TooCool);
    }

    [Fact]
    public void Flame_each_burner_is_asked_for_its_own_hours()
    {
        var gone = GateHouse.Unknown with { Attended = at => at < Start + Duration.FromHours(2) };
        Cook Off(double first, double second) =>
            Both(
                Pot(),
                Pot(),
                [.. Cooked("p", "q").SkipLast(1), Heat(Flame.Off, After(first)), Heat(Flame.Off, After(300))],
                [.. Cooked("s", "r").SkipLast(1), Heat(Flame.Off, After(second))]
            );
        bool Blocked(Cook cook) => FlameGate.Judge(new(cook), cook.Run(), gone).Any(f => f.Blocks);
        Assert.False(Blocked(Off(60, 60)));
        Assert.True(Blocked(Off(60, 200)));
        Assert.True(Blocked(Off(200, 60)));
    }

    [Theory]
    [InlineData(false)]
    [InlineData(true)]
    public void Take_out_the_leaf_of_either_pot_keeps_the_dish_from_the_table(bool beside)
    {
        var leaf = Extra("leaf", 1, name: "leaf");
        var leaves = leaf with { Pieces = 2 };
        var cook = Both(
            Pot(),
            Pot(),
            Cooked(beside ? ["p", "q"] : ["p", "q", "leaf"]),
            Cooked(beside ? ["s", "r", "leaf"] : ["s", "r"]),
            more: leaves
        );
        var serve = cook.Actions.Count - 1;
        GateFinding? Now(Cook c) => Gates.Before(new(c), c.Actions.Count - 1, [], Start, GateHouse.Unknown);
        Assert.Equal(("leaf", serve), (Now(cook)?.IngredientId, Now(cook)?.Action));
        var taken = (CookAction)new CookAction.TakeOut(Trigger.Next, "leaf");
        var out_ = cook with { Actions = [.. cook.Actions.SkipLast(1), beside ? Beside(taken) : taken, Serve()] };
        Assert.Null(Now(out_));
    }

    [Theory]
    [InlineData("kidney_red", "chickpea", "p")]
    [InlineData("chickpea", "kidney_red", "q")]
    public void Lectin_the_one_at_risk_is_named_and_nobody_else(string one, string two, string named)
    {
        IEnumerable<CookAction> gentle = [Add("p"), Add("q"), Water(2000, 95), Heat(Flame.Lowest), Heat(Flame.Off, After(120))];
        var found = Found(Both(Pot(), Pot(), gentle, Cooked("s", "r"), one, two));
        Assert.All(found, f => Assert.Equal(named, f.IngredientId));
        Assert.Contains(found, f => f.Code == "lectin.not_boiled");
    }
}
