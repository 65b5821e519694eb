using BrightKettle.Core.Cooking;
using BrightKettle.Core.Cooking.Trace;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Safety;
using BrightKettle.Core.Units;
using CsCheck;
using NodaTime;
using Xunit;
using static BrightKettle.Core.Tests.Cooking.Pots;

namespace BrightKettle.Core.Tests.Safety;

/// <summary>Gates on the trace: each vessel by itself, whatever stands between its actions in the list.</summary>
public class TwoVesselGateTests
{
    private const string Side = "side";

    private static readonly CookVessel Second = new(
        new Vessel(Side, "side pot", Length.FromCentimetres(20), Volume.FromMillilitres(3000)),
        Kitchens.Burner()
    );

    private static CookAction Beside(CookAction action) => action with { In = Side };

    private static Cook Two(
        IEnumerable<Ingredient> ingredients,
        IEnumerable<CookAction> actions,
        CookVessel? second = null,
        double altitude = 0
    )
    {
        var cook = Cook(Kitchens.Pot(), [.. ingredients], actions, altitude);
        return cook with { Kitchen = cook.Kitchen with { OtherVessels = [second ?? Second] } };
    }

    private static readonly Ingredient[] BeansAndRice = [Pulse("kidney_red", 300), Rice("long_white", 200)];

    /// <summary>Soaked kidney beans boiled hard for so long in the first pot, then gently on; rice in the second.</summary>
    private static List<CookAction> Beans(double hardMinutes) =>
        [
            .. Soak(12, 300),
            Add("p"),
            Water(1500),
            Heat(Flame.Full),
            Heat(Flame.Rolling, Boils()),
            Heat(Flame.Lowest, After(hardMinutes)),
            Serve(After(60)),
        ];

    private static readonly CookAction[] RiceBeside =
    [
        Beside(Add("r")),
        Beside(Water(400)),
        Beside(Heat(Flame.Full)),
        Beside(Heat(Flame.Lowest, Boils())),
        Beside(Heat(Flame.Off, After(20))),
    ];

    private static (string Code, bool Blocks) Lectin(Cook cook) =>
        Assert.Single(LectinGate.Judge(new(cook), false)) is var f ? (f.Code, f.Blocks) : default;

    [Fact]
    public void Twenty_minutes_of_rice_between_the_boil_and_the_lowest_flame_are_no_hard_boil()
    {
        var beans = Beans(1);
        var cook = Two(BeansAndRice, [.. beans.Take(6), .. RiceBeside, .. beans.Skip(6)]);
        Assert.Equal(("lectin.not_boiled", true), Lectin(cook));
    }

    [Fact]
    public void The_rice_may_be_turned_off_while_the_beans_boil_beside_it()
    {
        var beans = Beans(10);
        var cook = Two(BeansAndRice, [.. beans.Take(6), .. RiceBeside, .. beans.Skip(6)]);
        Assert.Equal(("lectin.hard_boil", false), Lectin(cook));
        var off = cook.Actions.ToList().FindLastIndex(a => a.In == Side);
        Assert.Null(Gates.Before(new(cook), off, [], Instant.FromUnixTimeSeconds(60_000), GateHouse.Unknown));
        // The beans' own flame is held all the same.
        var lowest = cook.Actions.ToList().FindIndex(a => a is CookAction.Heat { Flame: Flame.Lowest, In: null });
        Assert.Equal(
            "lectin.not_boiled",
            Gates.Before(new(cook), lowest, [], Instant.FromUnixTimeSeconds(60_000), GateHouse.Unknown)?.Code
        );
    }

    /// <summary>Two laws: an action in a vessel without pulses never changes a lectin finding; neither does the order in which the
    /// actions of two vessels are listed, nor what steps are called, nor a boil told in two halves.</summary>
    [Fact]
    public void Nothing_beside_the_beans_pot_changes_what_is_found_in_it()
    {
        var (blocked, passed) = (0, 0);
        Gen.Select(Gen.Int[0, 25], Gen.Int[0, 1000], Gen.Bool, Gen.Bool)
            .Sample(
                (whole, seed, rename, split) =>
                {
                    double minutes = whole;
                    var alone = Two(BeansAndRice, Beans(minutes));
                    var beans = Beans(minutes);
                    if (split)
                    {
                        beans[6] = Heat(Flame.Lowest, After(minutes / 2));
                        beans.Insert(6, new CookAction.Stir(After(minutes / 2)));
                    }

                    var mixed = Mix(beans, RiceBeside, new Random(seed));
                    if (rename)
                    {
                        mixed = [.. mixed.Select((a, i) => a with { StepId = $"step {i}" })];
                    }

                    var (found, was) = (Lectin(Two(BeansAndRice, mixed)), Lectin(alone));
                    _ = was.Blocks ? Interlocked.Increment(ref blocked) : Interlocked.Increment(ref passed);
                    return found == was;
                },
                iter: 300,
                threads: 1
            );
        // Neither side is starved.
        Assert.True(blocked > 60 && passed > 60, $"{blocked} blocked, {passed} passed");
    }

    /// <summary>Both lists in their own order, the last of the first at the end.</summary>
    private static List<CookAction> Mix(List<CookAction> one, CookAction[] other, Random random)
    {
        var list = new List<CookAction>();
        var (i, k) = (0, 0);
        while (i < one.Count - 1 || k < other.Length)
        {
            list.Add(k == other.Length || (i < one.Count - 1 && random.Next(2) == 0) ? one[i++] : other[k++]);
        }

        list.Add(one[^1]);
        return list;
    }

    [Theory]
    [InlineData(1500, 29, true)]
    [InlineData(1500, 30, false)]
    [InlineData(2500, 59, true)]
    [InlineData(2500, 60, false)]
    [InlineData(3500, 120, true)] // pressure only
    public void Higher_up_the_hard_boil_is_longer_and_then_not_enough(double altitude, double minutes, bool blocks) =>
        Assert.Equal(blocks, Lectin(Two(BeansAndRice, Beans(minutes), altitude: altitude)).Blocks);

    [Fact]
    public void High_up_dry_seed_passes_under_pressure_and_not_in_an_open_pot()
    {
        CookAction[] open = [Add("p"), Water(1500), Heat(Flame.Full), Heat(Flame.Lively, Boils()), UntilTender()];
        CookAction[] pressed =
        [
            Add("p"),
            Water(1500),
            new CookAction.Pressurise(Trigger.Next),
            Heat(Flame.Full),
            Heat(Flame.Off, Trigger.Once(PotEvent.PressureUp, Duration.FromMinutes(60))),
            new CookAction.Release(Trigger.Next, ReleaseKind.Natural),
            Heat(Flame.Lively, Trigger.Once(PotEvent.PinDown)),
            UntilTender(),
        ];
        Assert.True(Lectin(Cook(Kitchens.Pot(), [BeansAndRice[0]], open, altitude: 3500)).Blocks);
        Assert.False(Lectin(Cook(Cooker(CookerKind.Spring), [BeansAndRice[0]], pressed, altitude: 3500)).Blocks);
        Assert.False(Lectin(Cook(Kitchens.Pot(), [BeansAndRice[0]], open, altitude: 500)).Blocks);
    }

    [Fact]
    public void A_pot_that_is_told_to_boil_and_stands_at_eighty_degrees_is_found_out_by_its_run()
    {
        // Boiled once, then held by a mark of a burner that does not keep the boil, whatever its word is.
        var cook = Cook(
            Kitchens.Pot(),
            [Pulse("kidney_red", 300)],
            [
                Add("p"),
                Water(1500),
                Heat(Flame.Full),
                new CookAction.Heat(Boils(), Flame.Lively) { Net = Power.FromWatts(119) },
                UntilTender(doneness: Doneness.Tender),
            ]
        );
        Assert.False(Assert.Single(LectinGate.Judge(new(cook), false)).Blocks);
        var run = cook.Run();
        // It boils once, stands for hours under the boil, and boils again only when it is nearly dry.
        Assert.Equal(2, run.BoilsAt.Count);
        Assert.True(run.BoilsAt[1] - run.BoilsAt[0] > 3 * 3600);
        Assert.True(Assert.Single(LectinGate.Judge(new(cook), false, run)).Blocks);
        // A word for a slow cooker's heat is none for a stove.
        Assert.True(Lectin(Two(BeansAndRice, [Add("p"), Water(1500), Heat(Flame.Full), Heat(Flame.Low, Boils()), UntilTender()])).Blocks);
    }

    [Fact]
    public void A_hard_boil_of_the_whole_pot_clears_two_pulses_and_one_that_came_later_is_named()
    {
        Ingredient[] both = [Pulse("chickpea", 200), Pulse("kidney_red", 200, name: "k")];
        List<CookAction> together = [.. Soak(12, 200), .. Soak(12, 200, "k"), Add("p"), Add("k"), .. Beans(10).Skip(3)];
        var finding = Assert.Single(LectinGate.Judge(new(Two(both, together)), false));
        Assert.Equal(("lectin.hard_boil", "k", false), (finding.Code, finding.IngredientId, finding.Blocks));
        List<CookAction> later =
        [
            .. Soak(12, 200),
            .. Soak(12, 200, "k"),
            Add("p"),
            .. Beans(10).Skip(3).Take(4),
            Add("k"),
            Serve(After(60)),
        ];
        finding = Assert.Single(LectinGate.Judge(new(Two(both, later)), false));
        Assert.Equal(("lectin.not_boiled", "k", true), (finding.Code, finding.IngredientId, finding.Blocks));
    }

    [Fact]
    public void A_lid_that_was_locked_again_wants_its_pin_seen_again()
    {
        var cook = Cook(
            Cooker(CookerKind.Spring),
            [Pulse("chickpea", 300)],
            [
                Add("p"),
                Water(1500),
                new CookAction.Pressurise(Trigger.Next),
                Heat(Flame.Full),
                Heat(Flame.Off, Trigger.Once(PotEvent.PressureUp)),
                new CookAction.Release(Trigger.Next, ReleaseKind.Natural),
                Heat(Flame.Lively, Trigger.Once(PotEvent.PinDown)),
                new CookAction.Pressurise(Trigger.Next),
                Heat(Flame.Full),
                Heat(Flame.Off, Trigger.Once(PotEvent.PressureUp)),
                new CookAction.Release(Trigger.Next, ReleaseKind.Natural),
                Serve(Trigger.Once(PotEvent.PinDown)),
            ]
        );
        Instant At(int minutes) => Instant.FromUnixTimeSeconds(60 * minutes);
        List<Observation> seen = [new Observation.VentClear(At(1)), new Observation.Seen(At(40), PotEvent.PinDown)];
        Assert.Null(Gates.Before(new(cook), 6, seen, At(41), GateHouse.Unknown));
        seen.Add(new Observation.VentClear(At(45)));
        Assert.Equal(PressureGate.StillUp, Gates.Before(new(cook), 11, seen, At(80), GateHouse.Unknown)?.Code);
        seen.Add(new Observation.Seen(At(82), PotEvent.PinDown));
        Assert.Null(Gates.Before(new(cook), 11, seen, At(83), GateHouse.Unknown));
        Assert.Equal([0, 1, 2], new[] { 1, 4, 11 }.Select(i => new CookTrace(cook).Before(i).Locking));
    }

    [Fact]
    public void Cooked_food_that_is_tipped_into_a_cold_pot_takes_its_clock_along()
    {
        var crock = new CookVessel(Cooker(CookerKind.Slow), Kitchens.Burner());
        Cook Tipped(double hours) =>
            Two(
                [Pulse("chickpea", 300)],
                [
                    Add("p") with
                    {
                        In = crock.Vessel.Id,
                    },
                    Water(1200, 95) with
                    {
                        In = crock.Vessel.Id,
                    },
                    Heat(Flame.High) with
                    {
                        In = crock.Vessel.Id,
                    },
                    Heat(Flame.Off, After(300)) with
                    {
                        In = crock.Vessel.Id,
                    },
                    new CookAction.Transfer(Trigger.Next, "pot", TransferWhat.Everything) { In = crock.Vessel.Id, StepId = "over" },
                    new CookAction.Heat((After(60 * hours)) with { AfterStep = "over" }, Flame.Full),
                    Serve(Boils()),
                ],
                crock
            );
        string First(Cook c) => c.Kitchen.Vessel.Id;
        Cook Named(Cook c) => c with { Actions = [.. c.Actions.Select(a => a is CookAction.Transfer t ? t with { To = First(c) } : a)] };
        var (soon, late) = (Named(Tipped(1)), Named(Tipped(6)));
        Assert.DoesNotContain(HoldGate.Judge(new(soon), soon.Run()), f => f.Blocks);
        Assert.Contains(HoldGate.Judge(new(late), late.Run()), f => f is { Blocks: true, Code: HoldGate.TooCool });
    }

    [Fact]
    public void A_second_pot_that_is_never_turned_off_burns_until_the_table()
    {
        List<CookAction> beans =
        [
            Add("p"),
            Water(2500),
            Heat(Flame.Full),
            Heat(Flame.Gentle, Boils()),
            Heat(Flame.Off, After(300)),
            Serve(),
        ];
        var cook = Two(
            [Pulse("chickpea", 300), Rice("long_white", 200)],
            [.. beans.SkipLast(1), Beside(Add("r")), Beside(Water(900)), Beside(Heat(Flame.Lowest)), beans[^1]]
        );
        var away = new GateHouse(false, 20, at => at < cook.Starts + Duration.FromHours(1) || at > cook.Starts + Duration.FromHours(24));
        var lit = cook.Actions.ToList().FindIndex(a => a is CookAction.Heat { Flame: Flame.Lowest, In: Side });
        Assert.Contains(FlameGate.Flames(new(cook), cook.Run()), f => f.Action == lit && f.To > f.From + Duration.FromHours(4));
        Assert.Contains(FlameGate.Judge(new(cook), cook.Run(), away), f => f.Blocks);
    }

    [Fact]
    public void Eighty_hours_of_soak_in_the_fridge_are_too_long_after_a_while_on_the_counter_too()
    {
        Cook Soaked(double fridgeHours) =>
            Cook(
                Kitchens.Pot(),
                [Pulse("chickpea", 300)],
                [
                    new CookAction.Soak(Trigger.Next, "p", Mass.FromGrams(1200), Temperature.FromCelsius(20)),
                    new CookAction.Chill(After(480), "p", Temperature.FromCelsius(5)),
                    new CookAction.Drain(After(60 * fridgeHours), "p"),
                    Add("p"),
                    Water(1200),
                    Heat(Flame.Full),
                    UntilTender(),
                ]
            );
        Assert.Empty(SoakGate.Judge(new(Soaked(12)), 20, null));
        Assert.Contains(SoakGate.Judge(new(Soaked(80)), 20, null), f => f is { Code: SoakGate.TooLong, Blocks: true });
    }

    [Fact]
    public void Two_handfuls_of_soda_count_together_and_water_that_was_poured_away_counts_no_more()
    {
        CookAction[] Pot(params string[] soda) => [Add("p"), Water(1000), .. soda.Select(Add), Heat(Flame.Full), Serve(Boils(60))];
        Cook With(IEnumerable<Ingredient> soda, IEnumerable<CookAction> actions) =>
            Cook(Kitchens.Pot(), [Pulse("chickpea", 300), .. soda], actions);
        Ingredient[] two = [Extra("soda", 2.4, name: "a"), Extra("soda", 2.4, name: "b")];
        Assert.Empty(SodaGate.Judge(new(With(two[..1], Pot("a")))));
        Assert.Contains(SodaGate.Judge(new(With(two, Pot("a", "b")))), f => f.Blocks);
        CookAction[] drained =
        [
            Add("p"),
            Water(3000),
            Heat(Flame.Full),
            Heat(Flame.Off, Boils()),
            new CookAction.Drain(After(60), null),
            .. Pot("a")[1..],
        ];
        Assert.Empty(SodaGate.Judge(new(With(two[..1], drained))));
        Assert.Contains(SodaGate.Judge(new(With([Extra("soda", 4, name: "a")], drained))), f => f.Blocks);
    }

    [Theory]
    [InlineData("lima_large")]
    [InlineData("lablab")]
    public void Limas_are_not_locked_in_dry_and_from_cold(string id)
    {
        CookAction[] pressed =
        [
            new CookAction.Pressurise(Trigger.Next),
            Heat(Flame.Full),
            Heat(Flame.Off, Trigger.Once(PotEvent.PressureUp, Duration.FromMinutes(30))),
            new CookAction.Release(Trigger.Next, ReleaseKind.Natural),
            Heat(Flame.Lively, Trigger.Once(PotEvent.PinDown)),
            UntilTender(),
        ];
        Cook Of(IEnumerable<CookAction> before) => Cook(Cooker(CookerKind.Spring), [Pulse(id, 300)], [.. before, .. pressed]);
        CookAction[] boiled = [Add("p"), Water(1500), Heat(Flame.Full), Heat(Flame.Lively, Boils())];
        Assert.Contains(Gates.Judge(Of([Add("p"), Water(1500)]), GateHouse.Unknown), f => f is { Code: CyanogenGate.Locked, Blocks: true });
        Assert.Empty(CyanogenGate.Judge(new(Of([.. Soak(8, 300), Add("p"), Water(1500)]))));
        Assert.Empty(CyanogenGate.Judge(new(Of(boiled))));
        Assert.NotEmpty(CyanogenGate.Judge(new(Of([.. boiled[..3], Lid(Core.Cooking.Lid.On), boiled[3]]))));
    }

    [Fact]
    public void Broad_beans_and_horse_gram_want_their_boil_before_a_slow_cooker()
    {
        foreach (var id in new[] { "fava_whole", "horse_gram" })
        {
            var cook = Cook(
                Cooker(CookerKind.Slow),
                [Pulse(id, 300)],
                [.. Soak(10, 300), Add("p"), Water(1500, 95), Heat(Flame.High), UntilTender()]
            );
            Assert.Equal(("lectin.not_boiled", true), Lectin(cook));
        }

        Assert.Empty(
            LectinGate.Judge(
                new(Cook(Cooker(CookerKind.Slow), [Pulse("chickpea", 300)], [Add("p"), Water(1500, 95), Heat(Flame.High), UntilTender()])),
                false
            )
        );
    }

    [Theory]
    [InlineData(-18, true)]
    [InlineData(4, false)]
    public void Meat_does_not_go_frozen_into_a_slow_cooker(double celsius, bool blocks)
    {
        var cook = Cook(
            Cooker(CookerKind.Slow),
            [Pulse("chickpea", 300), Extra("fresh_meat", 200, celsius, "m")],
            [Add("p"), Add("m"), Water(1500, 95), Heat(Flame.High), UntilTender()]
        );
        Assert.Equal(blocks, Gates.Judge(cook, GateHouse.Unknown).Any(f => f is { Code: FrozenMeatGate.Frozen, Blocks: true }));
    }

    [Fact]
    public void Rice_turns_in_a_warm_soak_as_pulses_do()
    {
        var cook = Cook(
            Kitchens.Pot(),
            [Rice("glutinous", 300)],
            [.. Soak(8, 300, "r"), Add("r"), Water(500), Heat(Flame.Full), Serve(Boils(20))]
        );
        Assert.Contains(SoakGate.Judge(new(cook), 28, null), f => f is { Code: SoakGate.TooLong, IngredientId: "r", Blocks: true });
        Assert.Empty(SoakGate.Judge(new(cook), 20, null));
    }
}
