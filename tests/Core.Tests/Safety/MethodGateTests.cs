using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Safety;
using BrightKettle.Core.Units;
using NodaTime;
using Xunit;
using static BrightKettle.Core.Tests.Cooking.Pots;

namespace BrightKettle.Core.Tests.Safety;

/// <summary>The lectin gate where it is not a plain pot.</summary>
public class MethodGateTests
{
    private static GateFinding Judge(Vessel vessel, params CookAction[] actions) =>
        Assert.Single(LectinGate.Judge(new(Cook(vessel, [Pulse("kidney_red", 300)], actions)), cautious: false));

    private static CookAction[] QuickSoak(double rest = 60) =>
        [
            Add("p"),
            Water(1200),
            Heat(Flame.Full),
            Heat(Flame.Off, Boils(2.5)),
            new CookAction.Drain(After(rest), null),
            Water(1200, 92),
            Heat(Flame.Full),
        ];

    private static CookAction[] HardBoil(double minutes = 10) => [Heat(Flame.Rolling, Boils()), Heat(Flame.Off, After(minutes))];

    [Fact]
    public void Merely_soaked_beans_never_go_into_a_slow_cooker()
    {
        var finding = Judge(
            Cooker(CookerKind.Slow),
            [
                .. Soak(12, 300),
                Add("p"),
                Water(1500, 100),
                Heat(Flame.High),
                new CookAction.Serve(new Trigger(Look: new Look("p", 100, Duration.FromMinutes(30)))),
            ]
        );
        Assert.Equal(("lectin.not_boiled", true), (finding.Code, finding.Blocks));
    }

    [Fact]
    public void A_look_that_finds_them_soft_in_a_slow_cooker_clears_nothing()
    {
        // A texture can never clear a gate: the look comes before the heat is changed, and it still blocks.
        var finding = Judge(
            Cooker(CookerKind.Slow),
            [
                Add("p"),
                Water(1500, 100),
                Heat(Flame.Low),
                Heat(Flame.Off, new Trigger(Look: new Look("p", 150, Duration.FromMinutes(30)))),
                Serve(),
            ]
        );
        Assert.True(finding.Blocks);
    }

    [Fact]
    public void A_wrapped_pot_wants_the_hard_boil_too()
    {
        Assert.True(
            Judge(
                Kitchens.Pot(),
                [
                    .. Soak(12, 300),
                    Add("p"),
                    Water(1500),
                    Heat(Flame.Full),
                    Heat(Flame.Lively, Boils()),
                    Lid(Core.Cooking.Lid.Wrapped),
                    Serve(After(300)),
                ]
            ).Blocks
        );
        Assert.False(
            Judge(
                Kitchens.Pot(),
                [.. Soak(12, 300), Add("p"), Water(1500), Heat(Flame.Full), .. HardBoil(), Lid(Core.Cooking.Lid.Wrapped), Serve(After(300))]
            ).Blocks
        );
    }

    [Fact]
    public void A_quick_soak_that_is_drained_counts_as_a_soak()
    {
        Assert.Equal("lectin.hard_boil", Judge(Kitchens.Pot(), [.. QuickSoak(), .. HardBoil(), Serve()]).Code);
        // Half an hour is not enough, and the boil of the soak itself is not the hard boil.
        Assert.True(Judge(Kitchens.Pot(), [.. QuickSoak(30), .. HardBoil(), Serve()]).Blocks);
        Assert.True(Judge(Kitchens.Pot(), [.. QuickSoak(), Heat(Flame.Lowest, Boils()), Serve(After(60))]).Blocks);
    }

    [Fact]
    public void Under_pressure_from_dry_to_tender_passes_with_a_look_for_anything_firm()
    {
        CookAction[] pressure =
        [
            Add("p"),
            Water(1000),
            new CookAction.Pressurise(Trigger.Next),
            Heat(Flame.Full),
            Heat(Flame.Off, Trigger.Once(PotEvent.PressureUp, Duration.FromMinutes(33))),
            new CookAction.Release(Trigger.Next, ReleaseKind.Natural),
        ];
        Assert.Equal(
            "lectin.keep_boiling",
            Judge(
                Cooker(CookerKind.Electric),
                [
                    .. pressure,
                    Heat(Flame.Lively, Trigger.Once(PotEvent.PinDown)),
                    Heat(Flame.Off, new Trigger(Look: new Look("p", 100, Duration.FromMinutes(5)))),
                    Serve(),
                ]
            ).Code
        );
        Assert.True(Judge(Cooker(CookerKind.Electric), [.. pressure, Serve(Trigger.Once(PotEvent.PinDown))]).Blocks);
    }

    [Fact]
    public void The_soak_water_is_never_kept()
    {
        var finding = Judge(
            Kitchens.Pot(),
            [
                new CookAction.Soak(Trigger.Next, "p", Mass.FromGrams(900), Temperature.FromCelsius(20)),
                new CookAction.Add(Trigger.Later(Duration.FromHours(10)), "p"),
                Water(300),
                Heat(Flame.Full),
                .. HardBoil(),
                Serve(),
            ]
        );
        Assert.Equal(("lectin.soak_water_kept", true), (finding.Code, finding.Blocks));
    }

    [Fact]
    public void What_comes_from_a_tin_is_past_the_gate() =>
        Assert.Empty(
            LectinGate.Judge(
                new(
                    Cook(
                        Kitchens.Pot(),
                        [Pulse("kidney_red", 200) with { Start = new SeedStart(Temperature.FromCelsius(20)) }],
                        [Add("p"), Water(200), Heat(Flame.Lowest), Serve(After(15))]
                    )
                ),
                false
            )
        );
}
