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

    /// <summary>The run with this many minutes between the boil (or the steam) and the flame's going out.</summary>
    private static PotRun Run(Core.Catalogue.Rice rice, double minutes)
    {
        var grams = 2 * rice.GramsPerCup;
        var water = 2 * 236.6 * rice.WaterByVolume.Typical * 0.998;
        List<CookAction> soak =
            rice.SoakMinutes.Typical > 0 && rice.Method != "absorb" || rice.SoakMinutes.Low > 0
                ?
                [
                    new CookAction.Soak(Trigger.Next, "r", Mass.FromGrams(grams * 2), Temperature.FromCelsius(20)),
                    new CookAction.Drain(After(rice.SoakMinutes.Typical), "r"),
                ]
                : [];
        var rest = Serve(After(rice.RestMinutes.Typical));
        var pot = Kitchens.Pot(20, 3.5);
        switch (rice.Method)
        {
            case "steam":
                var bowl = new CookVessel(Kitchens.Pot(16, 2), Kitchens.Burner(), Above: true);
                var kitchen = new CookKitchen(Kitchens.Pot(24, 6), Kitchens.Burner(), Altitude.SeaLevel, Temperature.FromCelsius(20))
                {
                    OtherVessels = [bowl],
                };
                return new Cook(
                    kitchen,
                    [Rice(rice.Id, grams)],
                    [
                        .. soak,
                        Add("r") with
                        {
                            In = bowl.Vessel.Id,
                            StepId = "in",
                        },
                        new CookAction.AddWater(Trigger.Next with { AfterStep = "in" }, Mass.FromGrams(1500), Temperature.FromCelsius(20)),
                        Lid(Core.Cooking.Lid.On),
                        Heat(Flame.Full),
                        Heat(Flame.Lively, Boils()),
                        Heat(Flame.Off, After(minutes)),
                        rest,
                    ],
                    Instant.FromUnixTimeSeconds(0),
                    1
                ).Run();
            case "cover":
                return Cook(
                        pot,
                        [Rice(rice.Id, grams)],
                        [
                            Water(water),
                            Lid(Core.Cooking.Lid.On),
                            Heat(Flame.Full),
                            new CookAction.Add(Boils(), "r"),
                            Heat(Flame.Off, After(minutes)),
                            rest,
                        ]
                    )
                    .Run();
            case "boil_drain":
                return Cook(
                        pot,
                        [Rice(rice.Id, grams)],
                        [
                            Add("r"),
                            Water(grams * 5),
                            Lid(Core.Cooking.Lid.Ajar),
                            Heat(Flame.Full),
                            Heat(Flame.Lively, Boils()),
                            new CookAction.Drain(After(minutes), null),
                            Heat(Flame.Off),
                            rest,
                        ]
                    )
                    .Run();
            default:
                return Cook(
                        pot,
                        [Rice(rice.Id, grams)],
                        [
                            .. soak,
                            Add("r"),
                            Water(water),
                            Lid(Core.Cooking.Lid.On),
                            Heat(Flame.Full),
                            Heat(Flame.Gentle, Boils()),
                            Lid(rice.Id == "spanish_short" ? Core.Cooking.Lid.Open : Core.Cooking.Lid.Sealed),
                            Heat(Flame.Off, After(minutes)),
                            rest,
                        ]
                    )
                    .Run();
        }
    }

    [Theory]
    [MemberData(nameof(All))]
    public void Two_cups_alone_are_done_in_the_printed_time(string id)
    {
        var rice = Kitchens.Rice(id);
        var printed = rice.SimmerMinutes.Typical;
        // The minutes that make it just tender after its usual rest.
        double low = 0,
            high = (2 * printed) + 20;
        for (var i = 0; i < 30; i++)
        {
            var middle = (low + high) / 2;
            (low, high) = Run(rice, middle).Final[0].Doneness >= 97 ? (low, middle) : (middle, high);
        }

        var run = Run(rice, high);
        output.WriteLine(
            $"{id}: {high:0.0} min, printed {printed:0}; left over {run.FinalLiquor + run.Vessels.Skip(1).Sum(v => v.LiquorGrams):0} g of liquor; uptake {run.Final[0].Uptake:0.00} g/g"
        );
        Assert.InRange(high, printed - Math.Max(2, 0.15 * printed), printed + Math.Max(2, 0.15 * printed));
    }

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
                    Water(30 + (grams * (rice.Absorbed.Typical + 0.15))),
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
                        Heat(Flame.Lowest, Boils()),
                        Lid(Core.Cooking.Lid.Sealed),
                        Serve(Pots.After(minutes)),
                    ]
                )
                .Run();
        Assert.True(After(12).Vessels[0].CrustJoules < 5);
        Assert.InRange(After(32).Vessels[0].CrustJoules, 15, 700);
        Assert.True(After(70).Vessels[0].CrustJoules > After(32).Vessels[0].CrustJoules + 100);
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
