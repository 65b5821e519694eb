using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Safety;
using BrightKettle.Core.Units;
using NodaTime;
using Xunit;
using static BrightKettle.Core.Tests.Cooking.Pots;

namespace BrightKettle.Core.Tests.Cooking;

/// <summary>The action list says what it means.</summary>
public class ActionListTests
{
    private static Cook Beans(params IEnumerable<CookAction> actions) => Cook(Kitchens.Pot(24, 8), [Pulse("chickpea", 250)], actions);

    [Fact]
    public void A_delay_counts_from_the_first_boil_however_often_it_boils_again()
    {
        // A second action list in the same pot would start the count anew; cold water from the jug does it within one wait.
        var side = new CookVessel(Kitchens.Pot(20, 3), Kitchens.Burner());
        var cook = Beans(
            Add("p"),
            Water(1500),
            Heat(Flame.Full),
            Serve(Boils(40)),
            Water(1000, 5) with
            {
                In = side.Vessel.Id,
            },
            new CookAction.Transfer(After(20), "pot24", TransferWhat.Liquor) { In = side.Vessel.Id }
        );
        var actions = cook.Actions.ToList();
        (actions[3], actions[4], actions[5]) = (actions[4], actions[5], actions[3]);
        cook = cook with { Actions = actions, Kitchen = cook.Kitchen with { OtherVessels = [side] } };
        Assert.Null(CookRules.Check(cook));
        var run = cook.Run();
        Assert.True(run.BoilsAt.Count >= 2, $"{run.BoilsAt.Count} boils");
        Assert.Equal(run.BoilsAt[0] + 2400, run.EndSeconds, 30.0);
    }

    [Fact]
    public void Only_whistles_are_counted()
    {
        Assert.Equal("cook.count", CookRules.Check(Beans(Add("p"), Heat(Flame.Full), Serve(Boils() with { Count = 2 })))?.Code);
        Assert.Null(CookRules.Check(Beans(Add("p"), Heat(Flame.Full), Serve(Boils()))));
    }

    [Theory]
    [InlineData(Flame.Low)]
    [InlineData(Flame.High)]
    public void Low_and_high_belong_to_slow_cookers(Flame flame)
    {
        Assert.Equal("cook.not_slow", CookRules.Check(Beans(Add("p"), Water(900), Heat(flame), Serve(After(10))))?.Code);
        var crock = Cook(Cooker(CookerKind.Slow), [Pulse("chickpea", 250)], [Add("p"), Water(900), Heat(flame), Serve(After(10))]);
        Assert.Null(CookRules.Check(crock));
    }

    [Fact]
    public void What_is_off_has_no_watts() =>
        Assert.Equal(
            "cook.off_watts",
            CookRules.Check(Beans(Add("p"), new CookAction.Heat(Trigger.Next, Flame.Off) { Net = Power.FromWatts(5) }, Serve()))?.Code
        );

    [Theory]
    [InlineData(2)]
    [InlineData(5)]
    [InlineData(-0.3)]
    public void A_pot_is_topped_up_to_a_level_and_never_poured_off(double centimetres)
    {
        CookAction Top(double cm) => new CookAction.TopUp(Trigger.Next, cm, Temperature.FromCelsius(100)) { StepId = "top" };
        var cook = Beans(Add("p"), Water(20), Top(centimetres), Serve());
        var done = cook.Run().At(2);
        // Hot water warms what is there, which then stands a little higher.
        Assert.Equal(centimetres, done.OverBedCentimetres, 0.2);
        Assert.True(done.Added > 0);
        var full = Beans(Add("p"), Water(4000), Top(centimetres), Serve()).Run().At(2);
        Assert.Equal(0, full.Added);
        Assert.Equal("cook.level", CookRules.Check(Beans(Add("p"), Top(60), Serve()))?.Code);
    }

    [Fact]
    public void A_level_is_kept_while_it_boils_away_and_let_go_again()
    {
        IEnumerable<CookAction> Boiled(double minutes) =>
            [Heat(Flame.Full), Heat(Flame.Lively, Boils()), new CookAction.Stir(After(minutes))];
        Cook Kept(double? until) =>
            Beans([
                Add("p"),
                Water(1600),
                new CookAction.KeepLevel(Trigger.Next, 2),
                .. Boiled(120),
                .. until is null ? [] : (CookAction[])[new CookAction.KeepLevel(Trigger.Next, null)],
                Serve(After(until ?? 0)),
            ]);
        var run = Kitchens.Model.Run(Kept(null), PotTraits.Reference(Kept(null)), new RunOptions(Sample: true));
        var over = run.Samples.Where(s => s.Seconds > 2400).Select(s => s.LevelCentimetres - s.BedCentimetres.Sum()).ToList();
        Assert.All(over, cm => Assert.InRange(cm, 1.2, 2.6));
        Assert.True(run.WorstLedgerError < 0.01);
        Assert.True(run.WaterAdded > 1900, $"{run.WaterAdded}");
        Assert.True(Kept(90).Run().FinalLiquor < run.FinalLiquor - 150);
    }

    [Fact]
    public void A_pot_that_starts_hot_boils_sooner()
    {
        Cook From(double? celsius)
        {
            var cook = Beans(Add("p"), Water(800, 90), Heat(Flame.Full), Serve(Boils()));
            return cook with { Kitchen = cook.Kitchen with { Starts = celsius is { } c ? Temperature.FromCelsius(c) : null } };
        }

        Assert.True(From(95).Run().EndSeconds < From(null).Run().EndSeconds - 20);
        // No hotter than water boils here.
        Assert.True(From(105).Run().EndSeconds >= 0);
    }

    [Fact]
    public void A_cook_that_never_ends_names_the_action_that_waits()
    {
        var run = Beans(Add("p"), Water(900), Heat(Flame.Full), Heat(Flame.Off, Boils()), Water(300), Heat(Flame.Lively, Boils()), Serve())
            .Run();
        Assert.Equal(5, run.StalledAt);
    }

    [Fact]
    public void A_forecast_covers_every_vessel_with_bands_salt_thickness_and_base()
    {
        var side = new CookVessel(Kitchens.Pot(20, 3), Kitchens.Burner());
        CookAction Beside(CookAction a) => a with { In = side.Vessel.Id };
        var cook = Cook(
            Kitchens.Pot(24, 8),
            [Pulse("lentil_red_split", 250, 0.28), Rice("long_white", 200)],
            [
                Add("p"),
                Water(900),
                Salt(9),
                Heat(Flame.Full),
                Heat(Flame.Gentle, Boils()),
                Beside(Add("r")),
                Beside(Water(420)),
                Beside(Heat(Flame.Full)),
                Beside(Heat(Flame.Lowest, Boils())),
                Serve(After(30)),
            ]
        );
        cook = cook with { Kitchen = cook.Kitchen with { OtherVessels = [side] } };
        var forecast = new Forecaster(Kitchens.Model).RunForeign(cook, Targets.Lenient, GateHouse.Unknown);
        Assert.Equal(["pot24", "pot20"], forecast.Vessels.Select(v => v.VesselId));
        Assert.All(forecast.Vessels, v => Assert.Equal(forecast.Points.Count, v.Points.Count));
        // What is drawn of the first is the same as in the picture.
        Assert.Equal(forecast.Points.Select(p => p.LiquorMillilitres), forecast.Vessels[0].Points.Select(p => p.LiquorMillilitres));
        Assert.True(forecast.Vessels[1].Points.Max(p => p.LiquorMillilitres.Reference) > 350);
        Assert.Contains(forecast.Vessels[0].Points, p => p.LevelCentimetres.High - p.LevelCentimetres.Low > 0.05);
        Assert.InRange(forecast.Vessels[0].SaltPercent.Reference, 0.5, 2.5);
        Assert.Equal(0, forecast.Vessels[1].SaltPercent.Reference);
        Assert.InRange(forecast.Vessels[0].ShareScorched, 0, 1);
        Assert.NotNull(forecast.Vessels[0].Thickness);
    }

    [Fact]
    public void Starch_and_crushing_thicken_by_steps()
    {
        Thickness? With(double starch, double mashed = 0) =>
            ThicknessOf.Of(
                Beans(
                        Add("p"),
                        Water(2600),
                        Heat(Flame.Full),
                        Heat(Flame.Off, Boils()),
                        new CookAction.Thicken(Trigger.Next, Mass.FromGrams(starch), Mass.FromGrams(30)),
                        new CookAction.Mash(Trigger.Next, "p", mashed),
                        Serve()
                    )
                    .Run()
                    .Vessels[0]
            );
        Assert.Equal(Thickness.Runny, With(0));
        Assert.True(With(160) > With(0));
        Assert.True(With(400) > With(160));
        Assert.True(With(0, 1) > With(0));
        Assert.Null(ThicknessOf.Of(default));
    }

    /// <summary>Water over dry, at the end: effects has thick dal at 2.8 to 3.6, pouring at 4.5 to 6, soup at 6 to 8.5.</summary>
    [Theory]
    [InlineData("lentil_red_split", 3.2, Thickness.Thick, Thickness.Stands)]
    [InlineData("lentil_red_split", 5.2, Thickness.CoatsASpoon, Thickness.Thick)]
    [InlineData("lentil_red_split", 8, Thickness.CoatsASpoon, Thickness.CoatsASpoon)]
    [InlineData("mung_split_hulled", 3.2, Thickness.Thick, Thickness.Stands)]
    [InlineData("mung_split_hulled", 5.2, Thickness.CoatsASpoon, Thickness.Thick)]
    public void A_dal_runs_as_its_water_says(string id, double waterOverDry, Thickness hot, Thickness plate)
    {
        var run = Cook(
                Kitchens.Pot(),
                [Pulse(id, 200)],
                [
                    Add("p"),
                    Water(200 * (waterOverDry + 0.3)),
                    Lid(Core.Cooking.Lid.On),
                    Heat(Flame.Full),
                    Heat(Flame.Lowest, Boils()),
                    Serve(After(150)),
                ]
            )
            .Run();
        // Nothing of it is whole any more.
        Assert.True(run.Final[0].Doneness >= TargetWindows.Of(Kitchens.Pulse(id), PulseTarget.Melted).Low, $"{run.Final[0].Doneness}");
        Assert.InRange((run.FinalLiquor + (200 * run.Final[0].Uptake)) / 200, waterOverDry - 0.4, waterOverDry + 0.4);
        Assert.Equal((hot, plate), (ThicknessOf.Of(run.Vessels[0]), ThicknessOf.OnThePlate(run.Vessels[0])));
    }

    [Fact]
    public void A_dal_that_has_melted_is_thick_and_thicker_on_the_plate_and_dough_binds_a_stew()
    {
        VesselState Pot(string id, double minutes, params Ingredient[] extras) =>
            Cook(
                    Kitchens.Pot(),
                    [Pulse(id, 200), .. extras],
                    [
                        Add("p"),
                        Water(800),
                        Lid(Core.Cooking.Lid.On),
                        Heat(Flame.Full),
                        Heat(Flame.Gentle, Boils()),
                        .. extras.Select(x => Add(x.Id)),
                        Serve(After(minutes)),
                    ]
                )
                .Run()
                .Vessels[0];
        var early = Pot("lentil_red_split", 3);
        var dal = Pot("lentil_red_split", 40);
        Assert.Equal(Thickness.Runny, ThicknessOf.Of(early));
        Assert.True(ThicknessOf.Of(dal) >= Thickness.Thick);
        var beans = Pot("black", 5);
        Assert.True(ThicknessOf.OnThePlate(dal) > ThicknessOf.Of(early));
        Assert.All(new[] { early, dal, beans }, v => Assert.InRange(ThicknessOf.OnThePlate(v) - ThicknessOf.Of(v) ?? 9, 0, 2));
        Assert.True(Pot("black", 30, Extra("dough", 250)).SolidsGrams > Pot("black", 30).SolidsGrams + 8);
        Assert.True(Pot("black", 2, Extra("dough", 250)).SolidsGrams < Pot("black", 30, Extra("dough", 250)).SolidsGrams - 5);
        // Coconut milk binds at once.
        var milk = Extra("coconut_milk", 400);
        Assert.InRange(Pot("black", 2, milk).SolidsGrams - beans.SolidsGrams, 25, 40);
    }
}
