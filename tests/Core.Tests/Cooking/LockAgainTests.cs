using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Units;
using NodaTime;
using Xunit;
using static BrightKettle.Core.Tests.Cooking.Pots;

namespace BrightKettle.Core.Tests.Cooking;

/// <summary>A cooker that was opened too early is locked again, or its pulses simmer on.</summary>
public sealed class LockAgainTests
{
    private static readonly LockAgain Far = new(80, Duration.FromMinutes(10));

    private static Cook Opened(
        LockAgain? again,
        double pace = 1,
        string pulse = "chickpea",
        CookerKind kind = CookerKind.Electric,
        double litres = 6,
        double water = 1200
    ) =>
        Cook(
            Cooker(kind, litres),
            [Pulse(pulse, 300) with { Pace = new Pace(pace, 0) }],
            [
                Add("p"),
                Water(water),
                new CookAction.Pressurise(Trigger.Next),
                Heat(Flame.Full),
                Heat(Flame.Gentle, Trigger.Once(kind == CookerKind.Weight ? PotEvent.Whistle : PotEvent.PressureUp)),
                Heat(Flame.Off, After(12)),
                new CookAction.Release(Trigger.Next, ReleaseKind.Natural),
                Heat(Flame.Lively, Trigger.Once(PotEvent.PinDown)),
                Serve(
                    new Trigger(
                        Look: new Look("p", Doneness.Tender, Duration.FromMinutes(5))
                        {
                            NotYet = again is null ? null : new NotYet(Flame.Lively, Mass.Zero) { LockAgain = again },
                        }
                    )
                ),
            ]
        );

    [Theory]
    [InlineData(CookerKind.Electric)]
    [InlineData(CookerKind.Spring)]
    [InlineData(CookerKind.Weight)]
    public void What_is_far_from_done_is_sooner_done_under_pressure_again(CookerKind kind)
    {
        var (again, simmered) = (Opened(Far, 0.7, kind: kind).Run(), Opened(null, 0.7, kind: kind).Run());
        Assert.Null(again.StalledAt);
        Assert.Equal(1, simmered.Happenings.Count(h => h.What == PotEvent.PinDown));
        Assert.InRange(again.Happenings.Count(h => h.What == PotEvent.PinDown), 2, 3);
        Assert.True(again.EndSeconds < simmered.EndSeconds - 600, $"{again.EndSeconds} {simmered.EndSeconds}");
        Assert.True(again.Final[0].Doneness >= Doneness.Tender);
        // Up, held for ten minutes, down by itself: nothing of it is passed over.
        var pins = again.Happenings.Where(h => h.What == PotEvent.PinDown).Select(h => h.Seconds).ToList();
        Assert.InRange((pins[1] - pins[0]) / 60, 14, 60);
    }

    [Fact]
    public void What_is_nearly_done_simmers_on()
    {
        var found = Opened(null).Run().At(7).Doneness[0];
        Assert.InRange(found, 20, 95);
        var again = Opened(Far with { Below = found - 1 }).Run();
        Assert.Equal(1, again.Happenings.Count(h => h.What == PotEvent.PinDown));
        Assert.Equal(Opened(null).Run().EndSeconds, again.EndSeconds, 1e-6);
    }

    /// <summary>Over the cooker's line nobody locks it.</summary>
    [Fact]
    public void A_cooker_that_is_over_its_line_stays_open()
    {
        var run = Opened(Far, 0.7, litres: 2.6, water: 1400).Run();
        Assert.Null(run.StalledAt);
        Assert.Equal(1, run.Happenings.Count(h => h.What == PotEvent.PinDown));
    }

    /// <summary>A cooker is not locked with less in it than it asks for: it is filled up to that.</summary>
    [Fact]
    public void It_has_its_least_liquid_when_it_is_locked_again()
    {
        var run = Opened(Far, 0.7, water: 600).Run();
        Assert.Null(run.StalledAt);
        Assert.True(run.Happenings.Count(h => h.What == PotEvent.PinDown) > 1);
        Assert.True(run.WaterAdded > 600, $"{run.WaterAdded}");
    }

    [Fact]
    public void Only_what_locks_is_locked_again_and_for_an_hour_at_most()
    {
        Assert.Null(CookRules.Check(Opened(Far)));
        Assert.Equal("cook.look", CookRules.Check(Opened(Far with { Held = Duration.FromMinutes(61) }))!.Code);
        Assert.Equal("cook.look", CookRules.Check(Opened(Far with { Held = Duration.Zero }))!.Code);
        var pot = Cook(
            Kitchens.Pot(),
            [Pulse("chickpea", 300)],
            [
                Add("p"),
                Water(900),
                Heat(Flame.Full),
                Serve(
                    new Trigger(
                        Look: new Look("p", Doneness.Tender, Duration.FromMinutes(5))
                        {
                            NotYet = new NotYet(Flame.Lively, Mass.Zero) { LockAgain = Far },
                        }
                    )
                ),
            ]
        );
        Assert.Equal("cook.look", CookRules.Check(pot)!.Code);
    }
}
