using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Planning.Manners;
using BrightKettle.Core.Practice;
using BrightKettle.Core.Practice.Dinners;
using BrightKettle.Core.Safety;
using BrightKettle.Core.Stove;
using BrightKettle.Core.Tests.Cooking;
using BrightKettle.Core.Tests.Stove;
using BrightKettle.Core.Units;
using NodaTime;
using Xunit;
using static BrightKettle.Core.Tests.Kitchens;

namespace BrightKettle.Core.Tests.Practice.Dinners;

/// <summary>Whole dinners to practise on, in kitchens that nobody knows.</summary>
public sealed class PracticeDinnerTests
{
    private static readonly Plan Lentils = Planned(
        Dish("lentil_brown", 250, "long_white", 250, SoakChoice.None) with
        {
            Style = Style.Saucy,
        }
    );

    private static readonly DinnerJudge Judge = new(Model, GateHouse.Unknown);

    private static PracticeDinner Of(Plan plan, int seed = 3, PracticeLevel level = PracticeLevel.Calm) => new(Model, plan, seed, level);

    private static EveningState Did(EveningState evening, Moment moment, Instant at) =>
        evening.With(new Entry.Done(Guid.CreateVersion7(), at, moment.Id));

    /// <summary>Up to the flame: what needs no waiting.</summary>
    private static (EveningState Evening, Instant Now) Lit(PracticeDinner dinner)
    {
        var (evening, now) = (new EveningState(dinner.Plan.Cook, []), dinner.Plan.Cook.Starts);
        while (evening.Leading.First() is { Trigger.After: null } moment && evening.ActionsDone().All(d => d.Action is not CookAction.Heat))
        {
            now = moment.Trigger.NotBefore is { } clock ? Instant.Max(now, clock) : now;
            evening = Did(evening, moment, now);
        }

        return (evening, now);
    }

    private static EveningState Advised(PracticeDinner dinner) =>
        new(dinner.Plan.Cook, new AdvicePlayer(Model).Play(dinner.Plan, dinner.Hidden, dinner.Seed).Told);

    private static DinnerEnd End(PracticeDinner dinner, EveningState evening) => Judge.End(dinner, evening, Judge.Advise(dinner));

    [Fact]
    public void Time_goes_on_to_the_boil_which_is_then_seen_and_not_before()
    {
        var dinner = Of(Lentils);
        var (evening, now) = Lit(dinner);
        var pot = Assert.Single(dinner.See(evening, now).Pots);
        Assert.False(pot.Boils);
        Assert.Empty(dinner.See(evening, now).Signs);
        var (boils, called) = dinner.GoOn(evening, now, null, Evenings.Eye);
        Assert.Null(called);
        Assert.InRange((boils - now).TotalMinutes, 3, 40);
        var then = dinner.See(evening, boils);
        Assert.Equal(PotEvent.Boils, Assert.Single(then.Signs).What);
        Assert.True(Assert.Single(then.Pots).Boils);
        Assert.Equal(now + Duration.FromMinutes(1), dinner.GoOn(evening, now, 1, Evenings.Eye).Now);
    }

    [Fact]
    public void The_same_evening_is_seen_the_same_and_another_seed_is_another_kitchen()
    {
        var (evening, now) = Lit(Of(Lentils));
        var later = now + Duration.FromMinutes(25);
        var (once, again) = (Of(Lentils).See(evening, later), Of(Lentils).See(evening, later));
        Assert.Equal(once.Pots, again.Pots);
        Assert.Equal(once.Hands, again.Hands);
        Assert.NotEqual(Of(Lentils, 3).Hidden.BurnerPower, Of(Lentils, 4).Hidden.BurnerPower);
    }

    [Fact]
    public void Somebody_calls_as_often_as_was_chosen_never_twice_at_once_and_time_is_gone()
    {
        var counts = new Dictionary<PracticeLevel, int>();
        for (var seed = 0; seed < 40; seed++)
        {
            foreach (var level in Enum.GetValues<PracticeLevel>())
            {
                var dinner = Of(Lentils, seed, level);
                var calls = dinner.Interruptions;
                counts[level] = counts.GetValueOrDefault(level) + calls.Count;
                Assert.All(calls.Zip(calls.Skip(1)), pair => Assert.True(pair.First.Back <= pair.Second.At));
                Assert.Equal(calls.Count, calls.Select(c => c.By).Distinct().Count());
                if (calls.Count > 0)
                {
                    var (now, called) = dinner.GoOn(
                        new EveningState(Lentils.Cook, []),
                        calls[0].At - Duration.FromSeconds(30),
                        1,
                        Evenings.Eye
                    );
                    Assert.Equal(calls[0], called);
                    Assert.InRange((now - calls[0].Back).TotalSeconds, 0, 1);
                }
            }
        }

        Assert.Equal((0, 80, 160), (counts[PracticeLevel.Calm], counts[PracticeLevel.Usual], counts[PracticeLevel.Busy]));
    }

    [Fact]
    public void Under_a_locked_lid_nothing_is_seen_and_no_hand_gets_in()
    {
        var dinner = Of(Planned(Dish("chickpea", 250, soak: SoakChoice.Overnight).With(new UnderPressure(Pots.Cooker(CookerKind.Spring)))));
        var (evening, now) = (new EveningState(dinner.Plan.Cook, []), dinner.Plan.Cook.Starts);
        while (evening.ActionsDone().All(d => d.Action is not CookAction.Pressurise))
        {
            var moment = evening.Leading.First();
            (now, _) = dinner.GoOn(evening, now, null, Evenings.Eye);
            evening = Did(evening, moment, now);
        }

        now += Duration.FromMinutes(1);
        var seen = dinner.See(evening, now);
        var pot = Assert.Single(seen.Pots);
        Assert.True(pot.Locked);
        Assert.Null(pot.LevelCentimetres);
        Assert.Empty(seen.Hands);
    }

    [Fact]
    public void Who_does_what_the_stove_says_loses_next_to_nothing_and_is_the_measure_of_others()
    {
        foreach (var seed in Enumerable.Range(0, 6))
        {
            var dinner = Of(Lentils, seed);
            var end = End(dinner, Advised(dinner));
            Assert.Equal(end.Advised!.Score, end.Yourself.Score);
            Assert.True(end.Yourself.Spoilt is not null || end.Yourself.Score.Points >= 80, $"{seed}: {end.Yourself.Score}");
            Assert.Equal(2, end.Yourself.Felt.Count);
            // Without them to measure by, what was eaten is the same.
            var alone = Judge.End(dinner, Advised(dinner), null);
            Assert.Null(alone.Advised);
            Assert.Empty(alone.Theirs);
            Assert.Equal(end.Yourself.Score, alone.Yourself.Score);
            Assert.True(end.Yours.Count is > 10 and <= 165, $"{end.Yours.Count} points");
        }
    }

    [Fact]
    public void Each_part_is_lost_by_what_it_is_about_and_by_nothing_else()
    {
        var dinner = Of(Lentils);
        var advised = Advised(dinner);
        var fair = End(dinner, advised).Yourself.Score;
        var table = advised.ServedAt!.Value;
        var before = table - Duration.FromMinutes(1);
        Entry Extra(CookAction action) => new Entry.Extra(Guid.CreateVersion7(), before, action);
        DinnerScore With(params Entry[] entries) =>
            End(dinner, entries.Aggregate(advised, (evening, entry) => evening.With(entry))).Yourself.Score;

        var wet = With(Extra(new CookAction.AddWater(Trigger.Next, Mass.FromGrams(500), Temperature.FromCelsius(100))));
        Assert.True(wet.Water > fair.Water + 5, $"{wet}");
        Assert.Equal((fair.Salt, fair.Late, fair.Attention), (wet.Salt, wet.Late, wet.Attention));

        var salty = With(Extra(new CookAction.AddSalt(Trigger.Next, Mass.FromGrams(30))));
        Assert.Equal(5, salty.Salt);
        Assert.Equal((fair.Late, fair.Attention), (salty.Late, salty.Attention));

        var restless = With([
            .. Enumerable.Range(0, 12).Select(i => new Entry.Saw(Guid.CreateVersion7(), before, new Observation.OverBed(before, null, 1))),
        ]);
        Assert.True(restless.Attention > 0);
        Assert.Equal((fair.Texture, fair.Water, fair.Salt, fair.Late), (restless.Texture, restless.Water, restless.Salt, restless.Late));

        // On the table an hour later: they are softer, and it is late.
        var serve = advised.Moments.First(m => m.Moment.Actions.Any(a => a is CookAction.Serve));
        var late = End(
            dinner,
            advised.Without(serve.DoneBy!.Value).With(new Entry.Done(Guid.CreateVersion7(), table + Duration.FromHours(1), serve.Moment.Id))
        );
        Assert.True(late.Yourself.Score.Late > fair.Late);
    }

    [Fact]
    public void Taken_off_hard_it_is_sent_back_and_what_a_gate_forbids_leaves_no_point()
    {
        var dinner = Of(Planned(Dish("kidney_red", 250, null, 0, SoakChoice.Overnight)));
        var advised = Advised(dinner);
        Assert.Null(End(dinner, advised).Yourself.Score.Forbidden);
        // Each thing at once after the other: they have never boiled.
        var evening = new EveningState(dinner.Plan.Cook, []);
        var now = dinner.Plan.Cook.Starts;
        foreach (var moment in evening.Moments.Select(m => m.Moment).ToList())
        {
            now += Duration.FromMinutes(1);
            evening = Did(evening, moment, now);
        }

        var end = End(dinner, evening);
        Assert.Equal(Spoilt.PulsesHard, end.Yourself.Spoilt);
        Assert.Equal(Ending.MostForTexture, end.Yourself.Score.Texture);
        Assert.NotNull(end.Yourself.Score.Forbidden);
        Assert.Equal(0, end.Yourself.Score.Points);
    }
}
