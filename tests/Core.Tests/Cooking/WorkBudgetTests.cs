using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Safety;
using CsCheck;
using NodaTime;
using Xunit;
using static BrightKettle.Core.Tests.Cooking.Pots;

namespace BrightKettle.Core.Tests.Cooking;

/// <summary>Every run ends: by its cook, by the longest cook, by its budget, or when nobody wants it any more.</summary>
public class WorkBudgetTests
{
    /// <summary>Water that simmers, with so many waits of two days.</summary>
    private static Cook Waits(int twoDays) =>
        Cook(
            Kitchens.Pot(),
            [Pulse("navy", 200)],
            [
                Add("p"),
                Water(1500),
                Heat(Flame.Gentle),
                .. Enumerable.Repeat(Water(10), twoDays).Select(a => a with { Trigger = Trigger.Later(Duration.FromDays(2)) }),
                Serve(),
            ]
        );

    private static PotRun[] Run(Cook cook, WorkBudget budget, int pots = 1, RunOptions? options = null) =>
        Kitchens.Model.Within(budget).RunMany([.. Enumerable.Repeat(new PotJob(cook, PotTraits.Reference(cook)), pots)], options);

    [Fact]
    public void Waits_that_add_up_to_more_than_a_week_are_over_the_limit_though_each_is_allowed()
    {
        Assert.Null(CookRules.Check(Waits(60)));
        Assert.Equal(6 * 24 * 3600, Run(Waits(3), WorkBudget.Unlimited)[0].EndSeconds, 600d);
        Assert.All(Run(Waits(60), WorkBudget.Unlimited, 10), run =>
        {
            Assert.True(run.IsEndless);
            // Three waits fit into a week: it stalls at the fourth.
            Assert.Equal(6, run.StalledAt);
        });
        Assert.Equal(
            WorkLimit.SimulatedHours,
            Assert
                .Throws<OverBudgetException>(() => new Forecaster(Kitchens.Model).RunForeign(Waits(60), Targets.Lenient, GateHouse.Unknown))
                .Limit
        );
    }

    [Fact]
    public void A_long_cook_keeps_no_more_samples_than_a_day_of_minutes()
    {
        var run = Run(Waits(3), WorkBudget.Unlimited, options: new RunOptions(Sample: true))[0];
        // Six days in steps of eight minutes: 1080, and never more than 1440.
        Assert.InRange(run.Samples.Count, 720, 1441);
        Assert.Equal(run.EndSeconds, run.Samples[^1].Seconds, 1d);
        Assert.All(run.Samples.Zip(run.Samples.Skip(1)), p => Assert.True(p.First.Seconds < p.Second.Seconds));
    }

    [Fact]
    public void Steps_are_counted_over_all_runs_and_end_at_the_budget()
    {
        var cook = Waits(1);
        var counted = new WorkBudget(long.MaxValue);
        Run(cook, counted);
        // Two days on a flame in steps of 10 s.
        Assert.InRange(counted.Steps, 10_000, 40_000);
        Assert.Equal(WorkLimit.Steps, Assert.Throws<OverBudgetException>(() => Run(cook, new WorkBudget(counted.Steps / 2))).Limit);
        var shared = new WorkBudget(counted.Steps * 3 / 2);
        Run(cook, shared);
        Assert.Throws<OverBudgetException>(() => Run(cook, shared));
    }

    [Fact]
    public void A_run_stops_within_a_few_hundred_steps_when_it_is_called_off_or_late()
    {
        using var cancel = new CancellationTokenSource();
        using var late = new CancellationTokenSource();
        var budget = new WorkBudget(long.MaxValue, cancel.Token, late.Token);
        late.Cancel();
        Assert.Equal(WorkLimit.Milliseconds, Assert.Throws<OverBudgetException>(() => Run(Waits(3), budget, 64)).Limit);
        cancel.Cancel();
        Assert.ThrowsAny<OperationCanceledException>(() => Run(Waits(3), budget, 64));
        Assert.InRange(budget.Steps, 0, 64 * 512);
    }

    [Fact]
    public void A_plan_and_all_ways_take_what_the_limits_say_they_take()
    {
        var plan = new WorkBudget(long.MaxValue);
        new Planner(Kitchens.Model.Within(plan)).Plan(Kitchens.Dish("chickpea", 300, "brown_basmati", 300, SoakChoice.Overnight));
        var ways = new WorkBudget(long.MaxValue);
        new WayFinder(new Planner(Kitchens.Model.Within(ways)), Kitchens.Catalogue).For(
            Kitchens.Dish("chickpea", 300, "brown_basmati", 300)
        );
        Assert.InRange(plan.Steps, 20_000, 1_000_000);
        Assert.InRange(ways.Steps, 100_000, 8_000_000);
    }

    private static Cook Whistles(int count, double delayMinutes, double? notBeforeMinutes = null) =>
        Cook(
            Cooker(CookerKind.Weight, 5),
            [Pulse("mung_whole", 200)],
            [
                Add("p"),
                Water(900),
                new CookAction.Pressurise(Trigger.Next),
                Heat(Flame.Full),
                Heat(
                    Flame.Off,
                    new Trigger(
                        notBeforeMinutes is { } minutes ? Instant.FromUnixTimeSeconds((long)(minutes * 60)) : null,
                        PotEvent.Whistle,
                        Duration.FromMinutes(delayMinutes)
                    )
                    {
                        Count = count,
                    }
                ),
                new CookAction.Release(Trigger.Next, ReleaseKind.Natural),
                Serve(Trigger.Once(PotEvent.PinDown)),
            ]
        );

    /// <summary>A weight goes on letting steam go while the delay runs: counted from the last whistle, it never came to its end.</summary>
    [Fact]
    public void A_delay_after_the_nth_whistle_counts_from_that_one_though_more_follow() =>
        Gen.Select(Gen.Int[1, 4], Gen.Double[0, 12], Gen.Int[0, 40])
            .Sample(
                (count, delay, notBefore) =>
                {
                    var run = Whistles(count, delay, notBefore).Run();
                    var due = Math.Max(run.Nth(PotEvent.Whistle, count)!.Value + (delay * 60), notBefore * 60);
                    return run.StalledAt is null && Math.Abs(run.At(4).Seconds - due) <= 11;
                },
                iter: 60
            );

    [Fact]
    public void Whistles_of_an_earlier_locking_do_not_count()
    {
        var first = Whistles(2, 0);
        var again = first with
        {
            Actions =
            [
                .. first.Actions.Take(6),
                new CookAction.Cover(Trigger.Once(PotEvent.PinDown), Core.Cooking.Lid.Open),
                Water(400, 95),
                new CookAction.Pressurise(Trigger.Next),
                Heat(Flame.Full),
                Heat(Flame.Off, Trigger.Once(PotEvent.Whistle, Duration.FromMinutes(3)) with { Count = 1 }),
                new CookAction.Release(Trigger.Next, ReleaseKind.Natural),
                Serve(Trigger.Once(PotEvent.PinDown)),
            ],
        };
        var run = again.Run();
        Assert.Null(run.StalledAt);
        var locked = run.At(8).Seconds;
        var whistle = run.Happenings.First(h => h.What == PotEvent.Whistle && h.Seconds > locked).Seconds;
        Assert.Equal(whistle + 180, run.At(10).Seconds, 11d);
    }
}
