using BrightKettle.Calibration;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Units;
using NodaTime;
using Xunit;
using static BrightKettle.Core.Tests.Cooking.Pots;

namespace BrightKettle.Core.Tests.Cooking;

/// <summary>All rices, two cups alone, by the method that their table names.</summary>
public class RiceTableTests(ITestOutputHelper output)
{
    public static TheoryData<string> All => [.. Kitchens.Catalogue.Rices.Select(r => r.Id)];

    [Theory]
    [MemberData(nameof(All))]
    public void Two_cups_alone_are_done_in_the_printed_time_and_leave_little(string id)
    {
        var cell = Assert.Single(RiceCell.Run(Kitchens.Model, [Kitchens.Rice(id)]));
        output.WriteLine($"{id}: {cell}");
        Assert.True(cell.DoneAtOff && cell.DoneAfterRest, $"{cell}");
        Assert.True(cell.LeavesLittle && cell.DryInTime, $"{cell}");
    }

    [Fact]
    public void Dry_and_sealed_it_waits_an_hour_without_going_to_mush()
    {
        var run = Cook(
                Kitchens.Pot(20, 3.5),
                [Rice("long_white", 370)],
                [
                    Add("r"),
                    Water(760),
                    Lid(Core.Cooking.Lid.On),
                    Heat(Flame.Full),
                    Heat(Flame.Gentle, Boils()),
                    Lid(Core.Cooking.Lid.Sealed),
                    Heat(Flame.Off, After(16)),
                    Serve(After(60)),
                ]
            )
            .Run();
        Assert.InRange(run.Final[0].Doneness, 100, 115);
    }

    [Fact]
    public void A_towel_rest_finishes_a_grain_that_is_a_little_hard()
    {
        PotRun Off(double minutes, double rest) =>
            Cook(
                    Kitchens.Pot(20, 3.5),
                    [Rice("long_white", 370)],
                    [
                        Add("r"),
                        Water(760),
                        Lid(Core.Cooking.Lid.On),
                        Heat(Flame.Full),
                        Heat(Flame.Gentle, Boils()),
                        Heat(Flame.Off, After(minutes)),
                        Lid(Core.Cooking.Lid.Sealed),
                        Serve(After(rest)),
                    ]
                )
                .Run();
        var hard = Enumerable.Range(4, 12).First(m => Off(m, 0.1).Final[0].Doneness >= 85);
        Assert.InRange(Off(hard, 18).Final[0].Doneness, 94, 112);
    }

    [Theory]
    [InlineData(1.9)]
    [InlineData(2.2)]
    public void White_rice_in_a_boiling_bean_pot_is_dry_on_top_and_done_in_its_time(double millilitresPerGram)
    {
        var rice = 300.0;
        var run = Simulate(
            Cook(
                Kitchens.Pot(24, 6),
                [Pulse("black", 300), Rice("long_white", rice)],
                [
                    Add("p"),
                    Water(2500),
                    Lid(Core.Cooking.Lid.On),
                    Heat(Flame.Full),
                    Heat(Flame.Gentle, Boils()),
                    new CookAction.SetLiquor(After(110), Mass.FromGrams(rice * millilitresPerGram * 0.96)),
                    new CookAction.Add(Trigger.Next, "r") { StepId = "in" },
                    Heat(Flame.Full),
                    new CookAction.Heat(Boils(), Flame.Gentle) { StepId = "again" },
                    new CookAction.Cover(Trigger.Once(PotEvent.SurfaceDry), Core.Cooking.Lid.Sealed) { StepId = "dry" },
                    Serve(After(25)),
                ]
            )
        );
        double At(string step) => run.Run.At(run.Cook.Actions.ToList().FindIndex(a => a.StepId == step)).Seconds / 60;
        Assert.InRange(At("dry") - At("again"), 7.5, 14);
        var done = run.Run.Samples.First(s => s.Doneness[1] >= 95).Seconds / 60;
        Assert.InRange(done - At("in"), 15, 30);
        Assert.InRange(run.Run.Final[1].Doneness, 94, 118);
    }

    private static (Cook Cook, PotRun Run) Simulate(Cook cook) =>
        (cook, Kitchens.Model.Run(cook, PotTraits.Reference(cook), new RunOptions(Sample: true)));

    /// <summary>Held for the table's typical minutes, ten minutes by itself, then opened: rice that nobody would send back.</summary>
    [Theory]
    [MemberData(nameof(All))]
    public void Under_pressure_it_is_done_in_the_tables_minutes(string id)
    {
        var rice = Kitchens.Catalogue.FindRice(id)!;
        var grams = 2 * rice.GramsPerCup;
        IEnumerable<CookAction> soak =
            rice.SoakMinutes.Low > 0
                ?
                [
                    new CookAction.Soak(Trigger.Next, "r", Mass.FromGrams(grams * 2), Temperature.FromCelsius(20)),
                    new CookAction.Drain(After(rice.SoakMinutes.Typical), "r"),
                ]
                : [];
        var run = Cook(
                Cooker(CookerKind.Electric),
                [Rice(id, grams)],
                [
                    .. soak,
                    Add("r"),
                    // What it drank in its soak is not poured in again.
                    Water(30 + (grams * (rice.Absorbed.Typical + 0.15 - (rice.SoakMinutes.Low > 0 ? 0.3 : 0)))),
                    new CookAction.Pressurise(Trigger.Next),
                    Heat(Flame.Full),
                    Heat(Flame.Off, Trigger.Once(PotEvent.PressureUp, Duration.FromMinutes(rice.PressureMinutes.Typical))),
                    new CookAction.Release(Trigger.Next, ReleaseKind.Natural),
                    new CookAction.Release(After(10), ReleaseKind.Quick),
                    Serve(),
                ]
            )
            .Run();
        Assert.InRange(run.Final[0].Doneness, 100, 130);
    }

    [Fact]
    public void Toasted_rice_takes_a_little_longer()
    {
        double Doneness(bool toasted) =>
            Cook(
                    Kitchens.Pot(20, 3.5),
                    [Rice("long_white", 370) with { Toasted = toasted }],
                    [Add("r"), Water(830), Lid(Core.Cooking.Lid.On), Heat(Flame.Full), Heat(Flame.Gentle, Boils()), Serve(After(12))]
                )
                .Run()
                .Final[0]
                .Doneness;
        Assert.InRange(Doneness(false) - Doneness(true), 1, 12);
    }

    [Fact]
    public void A_dry_base_on_the_flame_makes_a_crust_and_in_the_end_scorches()
    {
        PotRun After(double minutes) =>
            Cook(
                    Kitchens.Pot(20, 3.5),
                    [Rice("long_white", 370)],
                    [
                        Add("r"),
                        Water(690),
                        Lid(Core.Cooking.Lid.On),
                        Heat(Flame.Full),
                        Heat(Flame.Gentle, Boils()),
                        Lid(Core.Cooking.Lid.Sealed),
                        Serve(Pots.After(minutes)),
                    ]
                )
                .Run();
        Assert.True(After(12).Vessels[0].CrustJoules < 5);
        Assert.InRange(After(26).Vessels[0].CrustJoules, 15, 200);
        Assert.True(After(70).Vessels[0].CrustJoules > After(26).Vessels[0].CrustJoules + 100);
        Assert.Equal(
            [BaseState.Clean, BaseState.Crust, BaseState.Scorched],
            Enumerable.Range(12, 59).Select(m => Crust.Of(After(m), Kitchens.Model.Constants)).Distinct()
        );
    }

    [Fact]
    public void Rice_in_bean_liquor_is_slower_and_thirstier_than_in_water()
    {
        PotRun With(double thick) =>
            Cook(
                    Kitchens.Pot(20, 3.5),
                    [Rice("long_white", 300)],
                    [
                        Add("r"),
                        Water(1200, 95),
                        .. thick > 0
                            ? [new CookAction.Thicken(Trigger.Next, Mass.FromGrams(thick), Mass.FromGrams(0))]
                            : Array.Empty<CookAction>(),
                        Lid(Core.Cooking.Lid.On),
                        Heat(Flame.Full),
                        Heat(Flame.Gentle, Boils()),
                        Serve(After(14)),
                    ]
                )
                .Run();
        // Liquor of 2 to 6 % solids slows by 5 to 15 % and wants 5 to 20 % more.
        var slower = With(0).Final[0].Doneness / With(50).Final[0].Doneness;
        Assert.InRange(slower, 1.03, 1.15);
    }

    [Fact]
    public void Rice_in_fresh_water_over_drained_beans_cooks_as_in_water_and_liquor_from_the_jug_slows_it_again()
    {
        // Doneness of the rice after 14 minutes at the boil, in 900 g of what there is.
        double After(params CookAction[] change) =>
            Cook(
                    Kitchens.Pot(24, 6),
                    [Pulse("black", 300), Rice("long_white", 150)],
                    [
                        Add("p"),
                        Water(2500),
                        Lid(Core.Cooking.Lid.On),
                        Heat(Flame.Full),
                        Heat(Flame.Gentle, Boils()),
                        Heat(Flame.Off, Pots.After(120)),
                        .. change,
                        Add("r"),
                        new CookAction.SetLiquor(Trigger.Next, Mass.FromGrams(900)),
                        Heat(Flame.Full),
                        Heat(Flame.Gentle, Boils()),
                        Serve(Pots.After(14)),
                    ]
                )
                .Run()
                .Final[1]
                .Doneness;
        var drained = new CookAction.Drain(Trigger.Next, null) { Keep = true };
        var inLiquor = After();
        var inWater = After(drained, Water(900, 99));
        var poured = After(drained, new CookAction.PourBack(Trigger.Next, Mass.FromGrams(900)));
        Assert.InRange(inWater / inLiquor, 1.03, 1.15);
        Assert.InRange(poured / inLiquor, 0.985, 1.015);
    }
}
