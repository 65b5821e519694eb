using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Safety;
using NodaTime;
using Xunit;
using static BrightKettle.Core.Tests.Cooking.Pots;

namespace BrightKettle.Core.Tests.Safety;

/// <summary>Gates judge the many pots as well as the one in the middle.</summary>
public class GateSpreadTests
{
    private const int Many = 200;

    private static Cook UntilSoft(double spread) =>
        Cook(
            Kitchens.Pot(24, 6),
            [Pulse("chickpea", 250, spread)],
            [Add("p"), Water(2500), Heat(Flame.Full), Heat(Flame.Lively, Boils()), UntilTender()]
        );

    /// <summary>Who is at home until a share of the pots is on the table; the gate looks every five minutes.</summary>
    private static (IReadOnlyList<GateFinding> Found, double Late) LeavesAt(Cook cook, Func<List<double>, double> leaves)
    {
        var pots = Kitchens.Model.RunMany(
            [.. PotTraits.Many(cook, Kitchens.Catalogue.Constants, Many).Select(t => new PotJob(cook, t))],
            new RunOptions { Heights = false }
        );
        var ends = pots.Select(p => p.EndSeconds).Order().ToList();
        var gone = leaves(ends);
        var house = new GateHouse(false, 20, at => (at - cook.Starts).TotalSeconds <= gone);
        return (Gates.OfMany(Gates.InOnePot(cook, house), cook.Run(), pots), ends.Count(e => e > gone) / (double)Many);
    }

    [Fact]
    public void What_blocks_in_more_than_one_pot_in_twenty_blocks()
    {
        var cook = UntilSoft(0.28);
        var (found, late) = LeavesAt(cook, ends => ends[(int)(0.92 * Many)]);
        Assert.InRange(late, 0.051, 0.09);
        Assert.Contains(found, f => f is { Blocks: true, Code: FlameGate.Unattended });
        (found, late) = LeavesAt(cook, ends => ends[(int)(0.96 * Many)]);
        Assert.InRange(late, 0.02, 0.05);
        Assert.DoesNotContain(found, f => f.Blocks);
        // The reference pot blocks by itself.
        (found, _) = LeavesAt(cook, _ => 60);
        Assert.Single(found, f => f.Code == FlameGate.Unattended);
    }

    [Theory]
    [InlineData(30, 5, true)]
    [InlineData(30, 1, false)]
    [InlineData(400, 5, false)]
    public void A_flame_too_weak_to_keep_it_hot_keeps_nothing(double leastWatts, double hours, bool cold)
    {
        var cook = Cook(
            Kitchens.Pot(24, 6),
            [Pulse("lentil_brown", 250)],
            [
                Add("p"),
                Water(1500),
                Heat(Flame.Full),
                Heat(Flame.Lively, Boils()),
                Heat(Flame.Lowest, After(25)),
                Heat(Flame.Full, After(60 * hours)),
                Serve(Boils()),
            ]
        );
        cook = cook with
        {
            Kitchen = cook.Kitchen with { Burner = cook.Kitchen.Burner with { Least = Core.Units.Power.FromWatts(leastWatts) } },
        };
        var run = Kitchens.Model.Run(cook, PotTraits.Reference(cook), new RunOptions(Sample: true));
        Assert.Equal(cold, HoldGate.Judge(new(cook), run).Any(f => f.Code == HoldGate.TooCool));
    }

    [Fact]
    public void Turning_off_what_is_off_starts_no_new_clock()
    {
        var cook = Cook(
            Kitchens.Pot(24, 6),
            [Pulse("lentil_brown", 250)],
            [
                Add("p"),
                Water(1500),
                Heat(Flame.Full),
                Heat(Flame.Off, Boils(25)),
                Heat(Flame.Off, After(120)),
                Heat(Flame.Full, After(120)),
                Serve(Boils()),
            ]
        );
        Assert.Contains(HoldGate.Judge(new(cook), cook.Run()), f => f.Code == HoldGate.TooCool);
    }

    [Fact]
    public void Every_pot_that_comes_to_the_table_is_judged_for_having_stood_lukewarm()
    {
        var side = new CookVessel(Kitchens.Pot(20, 3), Kitchens.Burner());
        CookAction Beside(CookAction a) => a with { In = side.Vessel.Id };
        Cook Waits(double minutes)
        {
            var cook = Cook(
                Kitchens.Pot(24, 6),
                [Pulse("chickpea", 250), Rice("long_white", 200)],
                [
                    Beside(Add("r")),
                    Beside(Water(400)),
                    Beside(Heat(Flame.Full)),
                    Beside(Heat(Flame.Lowest, Boils())),
                    Beside(Heat(Flame.Off, After(15))),
                    Add("p"),
                    Water(2500),
                    Heat(Flame.Full),
                    Heat(Flame.Lively, Boils()),
                    Serve(After(minutes)),
                ]
            );
            return cook with { Kitchen = cook.Kitchen with { OtherVessels = [side] } };
        }

        Assert.DoesNotContain(HoldGate.Judge(new(Waits(40)), Waits(40).Run()), f => f.Blocks);
        Assert.Contains(HoldGate.Judge(new(Waits(300)), Waits(300).Run()), f => f.Code == HoldGate.TooCool);
    }
}
