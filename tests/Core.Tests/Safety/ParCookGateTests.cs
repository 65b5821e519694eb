using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Safety;
using BrightKettle.Core.Units;
using NodaTime;
using Xunit;
using static BrightKettle.Core.Tests.Cooking.Pots;

namespace BrightKettle.Core.Tests.Safety;

/// <summary>Dry seed with a lectin leaves its liquid only when it has boiled for half an hour and shows no chalk, and boils again until
/// soft.</summary>
public class ParCookGateTests
{
    private static CookAction.Heat Looked(double doneness, Flame then) =>
        new(new Trigger(Look: new Look("p", doneness, Duration.FromMinutes(5))), then);

    /// <summary>Boiled, looked at, drained, and on in fresh water until a second look.</summary>
    private static Cook Drained(double hardMinutes, double first, double second, double soakHours = 0, Flame after = Flame.Lively) =>
        Cook(
            Kitchens.Pot(24, 6),
            [Pulse("kidney_red", 250)],
            [
                .. soakHours > 0 ? Soak(soakHours) : [],
                Add("p"),
                Water(1800),
                Heat(Flame.Full),
                Heat(Flame.Rolling, Boils()),
                Heat(Flame.Lively, After(hardMinutes)),
                Looked(first, Flame.Off),
                new CookAction.Drain(Trigger.Next, null),
                Water(1200, 95),
                Heat(Flame.Full),
                Heat(after, Boils()),
                Looked(second, Flame.Off),
                Serve(),
            ]
        );

    private static string Found(Cook cook) =>
        Assert.Single(LectinGate.Judge(new(cook), false)) is { Blocks: var blocks, Code: var code } && blocks ? code : "passes";

    [Theory]
    [InlineData(30, 92, 100, 0, "passes")]
    [InlineData(25, 92, 100, 0, LectinGate.LeavesEarly)]
    [InlineData(30, 80, 100, 0, LectinGate.LeavesEarly)]
    [InlineData(30, 92, 90, 0, LectinGate.NotBoiledCode)]
    // A soak under five hours counts as dry; a longer one is cleared by its ten minutes.
    [InlineData(25, 92, 100, 4, LectinGate.LeavesEarly)]
    [InlineData(25, 50, 60, 6, "passes")]
    public void Dry_seed_is_drained_when_it_has_boiled_for_half_an_hour_and_shows_no_chalk(
        double hard,
        double first,
        double second,
        double soak,
        string found
    ) => Assert.Equal(found, Found(Drained(hard, first, second, soak)));

    [Fact]
    public void After_the_drain_it_boils_again_and_never_goes_gentle()
    {
        Assert.NotEqual("passes", Found(Drained(30, 92, 100, after: Flame.Lowest)));
        var crock = new CookVessel(Cooker(CookerKind.Slow), Kitchens.Burner());
        var actions = Drained(30, 92, 100).Actions.ToList();
        var into = actions.FindIndex(a => a is CookAction.Drain);
        // Lit before it is filled: nothing is said in the crock afterwards.
        List<CookAction> gentle =
        [
            Heat(Flame.High) with
            {
                In = crock.Vessel.Id,
            },
            .. actions.Take(into),
            new CookAction.Transfer(Trigger.Next, crock.Vessel.Id, TransferWhat.Everything),
            new CookAction.Cover(new Trigger(Look: new Look("p", 100, Duration.FromMinutes(5))), Core.Cooking.Lid.On)
            {
                In = crock.Vessel.Id,
            },
            Serve(),
        ];
        var cook = Cook(Kitchens.Pot(24, 6), [Pulse("kidney_red", 250)], gentle);
        Assert.Equal(LectinGate.NotBoiledCode, Found(cook with { Kitchen = cook.Kitchen with { OtherVessels = [crock] } }));
    }

    [Fact]
    public void Off_the_flame_only_to_be_moved_is_no_break_but_a_pause_is()
    {
        var clean = new CookVessel(Kitchens.Pot(28, 8), Kitchens.Burner());
        Cook Moved(Trigger then)
        {
            var cook = Cook(
                Kitchens.Pot(24, 6),
                [Pulse("kidney_red", 250)],
                [
                    Add("p"),
                    Water(1800),
                    Heat(Flame.Full),
                    Heat(Flame.Lively, Boils()),
                    Heat(Flame.Off, After(20)),
                    new CookAction.Transfer(Trigger.Next, clean.Vessel.Id, TransferWhat.Everything) { StepId = "over" },
                    Heat(Flame.Lively, then with { AfterStep = "over" }) with
                    {
                        In = clean.Vessel.Id,
                    },
                    Looked(100, Flame.Off) with
                    {
                        In = clean.Vessel.Id,
                    },
                    Serve(),
                ]
            );
            return cook with { Kitchen = cook.Kitchen with { OtherVessels = [clean] } };
        }

        Assert.Equal("passes", Found(Moved(Trigger.Next)));
        Assert.Equal(LectinGate.NotBoiledCode, Found(Moved(After(20))));
    }
}
