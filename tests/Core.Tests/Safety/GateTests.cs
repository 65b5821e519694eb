using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Safety;
using BrightKettle.Core.Units;
using NodaTime;
using Xunit;
using static BrightKettle.Core.Tests.Cooking.Pots;

namespace BrightKettle.Core.Tests.Safety;

/// <summary>The gates beside the lectin: each with the nearest cook that passes and the nearest that does not.</summary>
public class GateTests
{
    private static readonly GateHouse House = new(false, 20, null);

    private static Cook Pressure(
        double litres,
        double grams,
        double water,
        ReleaseKind release = ReleaseKind.Natural,
        string pulse = "chickpea"
    ) =>
        Cook(
            Cooker(CookerKind.Spring, litres),
            [Pulse(pulse, grams)],
            [
                Add("p"),
                Water(water),
                new CookAction.Pressurise(Trigger.Next),
                Heat(Flame.Full),
                Heat(Flame.Off, Trigger.Once(PotEvent.PressureUp, Duration.FromMinutes(20))),
                new CookAction.Release(Trigger.Next, release),
                Serve(release == ReleaseKind.Natural ? Trigger.Once(PotEvent.PinDown) : Trigger.Next),
            ]
        );

    private static IEnumerable<string> Blocks(Cook cook, GateHouse? house = null, PotRun? run = null) =>
        Gates.Judge(cook, house ?? House, run).Where(f => f.Blocks).Select(f => f.Code);

    [Theory]
    [InlineData("adzuki", 900)] // half of 6 L
    [InlineData("lentil_red_split", 600)] // foams: a third
    public void A_locked_pot_stays_under_its_fill_line_swelling_counted_in(string pulse, double most)
    {
        Assert.DoesNotContain(PressureGate.Overfilled, Blocks(Pressure(6, most * 0.6, most, pulse: pulse)));
        Assert.Contains(PressureGate.Overfilled, Blocks(Pressure(6, most * 1.4, most * 2.2, pulse: pulse)));
        // Little water and a heap that swells over the line is as wrong as much water.
        Assert.Contains(PressureGate.Overfilled, Blocks(Pressure(6, most * 1.9, 400, pulse: pulse)));
    }

    [Fact]
    public void A_locked_pot_has_the_least_liquid()
    {
        Assert.Contains(PressureGate.TooDry, Blocks(Pressure(6, 100, 240)));
        Assert.DoesNotContain(PressureGate.TooDry, Blocks(Pressure(6, 100, 260)));
    }

    [Fact]
    public void Water_that_was_poured_away_does_not_count_as_liquid()
    {
        var cook = Pressure(6, 100, 900);
        cook = cook with { Actions = [.. cook.Actions.Take(2), new CookAction.Drain(Trigger.Next, null), .. cook.Actions.Skip(2)] };
        Assert.Contains(PressureGate.TooDry, Blocks(cook));
    }

    [Fact]
    public void Foaming_pots_are_never_released_quickly()
    {
        Assert.Contains(PressureGate.QuickWithFoam, Blocks(Pressure(6, 300, 900, ReleaseKind.Quick, "lentil_red_split")));
        Assert.DoesNotContain(PressureGate.QuickWithFoam, Blocks(Pressure(6, 300, 900, ReleaseKind.Natural, "lentil_red_split")));
        Assert.DoesNotContain(PressureGate.QuickWithFoam, Blocks(Pressure(6, 300, 900, ReleaseKind.Quick, "adzuki")));
    }

    [Fact]
    public void A_flame_needs_somebody_but_an_electric_cooker_may_run_on()
    {
        var noon = Instant.FromUnixTimeSeconds(0) + Duration.FromMinutes(30);
        var house = House with { Attended = at => at < noon };
        var pot = Kitchens.Simmer(Kitchens.Pulse("chickpea"));
        Assert.Contains(FlameGate.Unattended, Blocks(pot, house, Kitchens.Run(pot)));
        Assert.Empty(Blocks(pot, House with { Attended = _ => true }, Kitchens.Run(pot)));
        // Off before they leave is fine.
        var off = Cook(
            Kitchens.Pot(),
            [Pulse("chickpea", 200)],
            [Add("p"), Water(900), Heat(Flame.Full), Heat(Flame.Off, After(25)), Serve(After(60))]
        );
        Assert.DoesNotContain(FlameGate.Unattended, Blocks(off, house, off.Run()));
        var crock = Cook(Cooker(CookerKind.Slow), [Pulse("chickpea", 200)], [Add("p"), Water(900), Heat(Flame.High), Serve(After(120))]);
        var finding = Assert.Single(FlameGate.Judge(new(crock), crock.Run(), house));
        Assert.Equal((FlameGate.ApplianceAlone, false), (finding.Code, finding.Blocks));
    }

    [Theory]
    [InlineData(20, 12, false)]
    [InlineData(20, 12.5, true)]
    [InlineData(27, 4, false)]
    [InlineData(27, 6, true)]
    public void A_soak_in_the_room_ends_in_time(double room, double hours, bool blocked)
    {
        var cook = Cook(Kitchens.Pot(), [Pulse("chickpea", 250)], [.. Soak(hours), Add("p"), Water(900), Heat(Flame.Full), UntilTender()]);
        Assert.Equal(blocked, Blocks(cook, House with { RoomCelsius = room }).Contains(SoakGate.TooLong));
        Assert.Equal(blocked, Blocks(cook, House with { RoomCelsius = room }, cook.Run()).Contains(SoakGate.TooLong));
    }

    [Fact]
    public void Hours_in_water_before_this_cook_count()
    {
        Cook After(double before) =>
            Cook(
                Kitchens.Pot(),
                [
                    Pulse("chickpea", 250) with
                    {
                        Start = new SeedStart(Temperature.FromCelsius(20), 0) { Soaked = Duration.FromHours(before) },
                    },
                ],
                [.. Soak(8), Add("p"), Water(900), Heat(Flame.Full), UntilTender()]
            );
        Assert.DoesNotContain(SoakGate.TooLong, Blocks(After(3)));
        Assert.Contains(SoakGate.TooLong, Blocks(After(6)));
    }

    [Fact]
    public void A_soak_in_the_fridge_has_a_day()
    {
        Cook Chilled(double hours) =>
            Cook(
                Kitchens.Pot(),
                [Pulse("chickpea", 250)],
                [
                    new CookAction.Soak(Trigger.Next, "p", Mass.FromGrams(1000), Temperature.FromCelsius(20)),
                    new CookAction.Chill(Trigger.Next, "p", Temperature.FromCelsius(5)),
                    new CookAction.Drain(After(hours * 60), "p"),
                    Add("p"),
                    Water(900),
                    Heat(Flame.Full),
                    UntilTender(),
                ]
            );
        Assert.Empty(Blocks(Chilled(23)));
        Assert.Contains(SoakGate.TooLong, Blocks(Chilled(25)));
    }

    [Fact]
    public void Cooked_food_does_not_stand_lukewarm()
    {
        Cook Standing(double minutes, Flame flame) =>
            Cook(
                Kitchens.Pot(),
                [Pulse("lentil_red_split", 200)],
                [
                    Add("p"),
                    Water(800),
                    Lid(Core.Cooking.Lid.On),
                    Heat(Flame.Full),
                    Heat(Flame.Gentle, Boils()),
                    Heat(flame, After(20)),
                    Serve(After(minutes)),
                ]
            );
        IEnumerable<string> Of(Cook cook) => Blocks(cook, House, cook.Run());
        Assert.Contains(HoldGate.TooCool, Of(Standing(240, Flame.Off)));
        Assert.Empty(Of(Standing(100, Flame.Off)));
        // Two hours count from 60 °C, which a covered pot keeps for a while.
        Assert.Empty(Of(Standing(130, Flame.Off)));
        Assert.Empty(Of(Standing(240, Flame.Lowest)));
    }

    [Fact]
    public void Leftovers_are_chilled_within_the_hour_or_found_hot()
    {
        var served = Instant.FromUtc(2026, 11, 25, 18, 0);
        Instant Minutes(double m) => served + Duration.FromMinutes(m);
        Assert.True(HoldGate.MayKeep(served, [], Minutes(60)));
        Assert.False(HoldGate.MayKeep(served, [], Minutes(61)));
        Assert.True(HoldGate.MayKeep(served, [new Observation.Probed(Minutes(50), 62)], Minutes(100)));
        Assert.False(HoldGate.MayKeep(served, [new Observation.Probed(Minutes(50), 58)], Minutes(100)));
    }

    [Theory]
    [InlineData(2.4, false)]
    [InlineData(2.6, true)]
    public void Soda_has_a_cap(double gramsPerLitre, bool blocked)
    {
        var pot = Cook(
            Kitchens.Pot(),
            [Pulse("chickpea", 250), Extra("soda", gramsPerLitre)],
            [Add("p"), Add("soda"), Water(1000), Heat(Flame.Full), UntilTender()]
        );
        Assert.Equal(blocked, Blocks(pot).Contains(SodaGate.TooMuch));
        var bowl = Cook(
            Kitchens.Pot(),
            [Pulse("chickpea", 250)],
            [.. Soak(8, soda: 2 * gramsPerLitre), Add("p"), Water(1000), Heat(Flame.Full), UntilTender()]
        );
        Assert.Equal(blocked, Blocks(bowl).Contains(SodaGate.TooMuch));
        // Water that is kept brings its soda into the pot: half of it from the bowl, half of it as it is.
        var kept = Cook(
            Kitchens.Pot(24, 6),
            [Pulse("chickpea", 250), Extra("soda", gramsPerLitre / 2)],
            [Soak(8, soda: gramsPerLitre / 2).First(), new CookAction.Add(After(480), "p"), Add("soda"), Heat(Flame.Full), UntilTender()]
        );
        Assert.Equal(blocked, Blocks(kept).Contains(SodaGate.TooMuch));
    }

    [Theory]
    [InlineData(SealMaterial.Foil, false, null)]
    [InlineData(SealMaterial.Towel, true, null)]
    [InlineData(SealMaterial.Towel, false, SealGate.TowelOverHeat)]
    [InlineData(SealMaterial.Plastic, true, SealGate.Melts)]
    [InlineData(SealMaterial.WaxedPaper, true, SealGate.Melts)]
    public void What_seals_a_pot_neither_melts_nor_burns(SealMaterial with, bool heatOff, string? code)
    {
        var cook = Cook(
            Kitchens.Pot(),
            [Rice("long_white", 200)],
            [
                Add("r"),
                Water(400),
                Heat(Flame.Full),
                Heat(heatOff ? Flame.Off : Flame.Gentle, Boils(10)),
                new CookAction.Cover(Trigger.Next, Core.Cooking.Lid.Sealed) { With = with },
                Serve(After(10)),
            ]
        );
        Assert.Equal(code, Blocks(cook).SingleOrDefault());
    }

    [Fact]
    public void What_blocks_stands_before_what_is_only_asked_for()
    {
        var cook = Cook(
            Kitchens.Pot(),
            [Pulse("black", 250), Extra("soda", 9)],
            [
                .. Soak(8),
                Add("p"),
                Add("soda"),
                Water(1000),
                Heat(Flame.Full),
                Heat(Flame.Rolling, Boils()),
                Heat(Flame.Lively, After(10)),
                UntilTender(),
            ]
        );
        Assert.Equal([SodaGate.TooMuch, "lectin.hard_boil"], Gates.Judge(cook, House).Select(f => f.Code));
    }

    private static readonly Instant Lit = Instant.FromUnixTimeSeconds(0);

    private static Instant At(double minutes) => Lit + Duration.FromMinutes(minutes);

    [Fact]
    public void The_vent_is_looked_through_before_the_first_heat_under_a_lid_that_will_be_locked()
    {
        Cook Of(params CookAction[] actions) =>
            Cook(Cooker(CookerKind.Spring), [Pulse("chickpea", 200)], [Add("p"), Water(900), Heat(Flame.Full), .. actions]);
        var locked = Of(
            Heat(Flame.Rolling, Boils()),
            new CookAction.Pressurise(After(10)),
            Heat(Flame.Off, Trigger.Once(PotEvent.PressureUp, Duration.FromMinutes(5))),
            new CookAction.Release(Trigger.Next, ReleaseKind.Natural),
            Serve(Trigger.Once(PotEvent.PinDown))
        );
        Assert.Equal(PressureGate.VentUnchecked, Gates.Before(new(locked), 2, [], At(1), House)?.Code);
        Assert.Null(Gates.Before(new(locked), 2, [new Observation.VentClear(At(1))], At(1), House));
        // Turned down, or never locked: nobody is asked.
        Assert.NotEqual(PressureGate.VentUnchecked, Gates.Before(new(locked), 3, [], At(20), House)?.Code);
        Assert.Null(Gates.Before(new(Of(Heat(Flame.Gentle, Boils()), Serve(After(60)))), 2, [], At(1), House));
    }

    [Fact]
    public void At_the_stove_the_lid_waits_for_the_vent_and_the_opening_for_the_pin()
    {
        var cook = Pressure(6, 300, 900);
        Assert.Equal(PressureGate.VentUnchecked, Gates.Before(new(cook), 2, [], At(1), House)?.Code);
        Assert.Null(Gates.Before(new(cook), 2, [new Observation.VentClear(At(1))], At(1), House));
        // Seen in the future is not seen.
        Assert.NotNull(Gates.Before(new(cook), 2, [new Observation.VentClear(At(5))], At(1), House));
        Assert.Equal(PressureGate.StillUp, Gates.Before(new(cook), 6, [new Observation.VentClear(At(1))], At(50), House)?.Code);
        Assert.Null(Gates.Before(new(cook), 6, [new Observation.Seen(At(49), PotEvent.PinDown)], At(50), House));
    }

    [Fact]
    public void At_the_stove_beans_at_risk_leave_the_boil_only_when_it_was_seen_long_enough()
    {
        var cook = Cook(
            Kitchens.Pot(),
            [Pulse("kidney_red", 250)],
            [
                .. Soak(8),
                Add("p"),
                Water(1200),
                Heat(Flame.Full),
                Heat(Flame.Rolling, Boils()),
                Heat(Flame.Lowest, After(10)),
                UntilTender(),
            ]
        );
        Observation boil = new Observation.Seen(At(500), PotEvent.Boils);
        Assert.Equal("lectin.not_boiled", Gates.Before(new(cook), 6, [], At(511), House)?.Code);
        Assert.NotNull(Gates.Before(new(cook), 6, [boil], At(509), House));
        Assert.Null(Gates.Before(new(cook), 6, [boil], At(510), House));
        // The flame went out, and the boil was seen again before the time was up: it starts anew.
        Observation again = new Observation.Seen(At(506), PotEvent.Boils);
        Assert.NotNull(Gates.Before(new(cook), 6, [boil, again], At(511), House));
        Assert.Null(Gates.Before(new(cook), 6, [boil, again], At(516), House));
        // A later boil, when the rice is in, takes nothing back.
        Assert.Null(Gates.Before(new(cook), 7, [boil, new Observation.Seen(At(560), PotEvent.Boils)], At(562), House));
    }

    [Fact]
    public void Nothing_is_served_while_a_leaf_is_in_it()
    {
        var cook = Cook(
            Kitchens.Pot(),
            [Pulse("chickpea", 250), Extra("leaf", 1), Extra("whole_chilli", 10)],
            [
                Add("p"),
                Add("leaf"),
                Add("whole_chilli"),
                Water(900),
                Heat(Flame.Full),
                new CookAction.TakeOut(After(30), "whole_chilli"),
                UntilTender(),
            ]
        );
        var last = cook.Actions.Count - 1;
        Assert.Equal(
            (TakeOutGate.StillIn, "leaf"),
            Gates.Before(new(cook), last, [], At(90), House) is { } f ? (f.Code, f.IngredientId) : default
        );
        Assert.Null(Gates.Before(new(cook), last, [new Observation.CountedOut(At(85), "leaf")], At(90), House));
    }
}
