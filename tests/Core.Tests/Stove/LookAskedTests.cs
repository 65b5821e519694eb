using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Stove;
using NodaTime;
using Xunit;

namespace BrightKettle.Core.Tests.Stove;

public sealed class LookAskedTests
{
    private static readonly Plan Plan = Kitchens.Planned(Kitchens.Dish("chickpea", 300, null, 0, SoakChoice.Overnight));

    /// <summary>Everything up to the look at its first minute, with these answers each a little later than the last.</summary>
    private static EveningForecast At(Instant now, params Observation[] answers) =>
        Evenings.Eye.Forecast(
            Evenings.Begin(Plan, [.. Evenings.AsPlanned(Plan, Evenings.At(Plan, StepIds.Ready)), .. answers.Select(Evenings.Saw)]),
            now,
            Plan.Dish.Targets,
            10
        );

    private static Moment Looks(EveningForecast ahead) => ahead.Evening.Pending.First(m => m.Has(StepIds.Ready));

    private static Instant Ready => Evenings.At(Plan, StepIds.Ready);

    [Fact]
    public void No_chalk_in_five_long_before_the_time_is_not_yet_soft_and_at_its_time_it_is()
    {
        var early = Ready - Evenings.Min(35);
        var ahead = At(early, new Observation.ChalkyOf(early, Way.PulseId, 0, 5));
        Assert.Equal(false, LookAsked.IsFound(ahead, Looks(ahead)));
        ahead = At(Ready, new Observation.ChalkyOf(Ready, Way.PulseId, 0, 5));
        Assert.Equal(true, LookAsked.IsFound(ahead, Looks(ahead)));
    }

    [Fact]
    public void A_hand_that_names_more_than_was_asked_for_is_believed()
    {
        var early = Ready - Evenings.Min(20);
        var ahead = At(early, new Observation.FeltAs(early, Way.PulseId, FeltState.FallingApart));
        Assert.Equal(true, LookAsked.IsFound(ahead, Looks(ahead)));
        ahead = At(early, new Observation.FeltAs(early, Way.PulseId, FeltState.ChalkyMiddle));
        Assert.Equal(false, LookAsked.IsFound(ahead, Looks(ahead)));
    }

    [Fact]
    public void A_hand_that_has_not_found_it_is_believed_whatever_was_forecast()
    {
        var ahead = At(Ready, new Observation.FeltAs(Ready, Way.PulseId, FeltState.NearlyASpeck));
        Assert.Equal(false, LookAsked.IsFound(ahead, Looks(ahead)));
        ahead = At(Ready, new Observation.ChalkyOf(Ready, Way.PulseId, 2, 5));
        Assert.Equal(false, LookAsked.IsFound(ahead, Looks(ahead)));
    }

    [Fact]
    public void The_next_look_waits_until_it_may_be_found_and_not_until_it_should_be()
    {
        var first = Plan.Cook.Actions.First(a => a.StepId == StepIds.Ready).Trigger.NotBefore!.Value;
        var before = At(first - Evenings.Min(1));
        Assert.InRange(From(before), first, Ready);
        Instant After(FeltState felt)
        {
            var ahead = At(first, new Observation.FeltAs(first, Way.PulseId, felt));
            var from = From(ahead);
            Assert.InRange(from, first + Looks(ahead).Trigger.Look!.Again, ahead.Due.First(d => d.MomentId == Looks(ahead).Id).At);
            return from;
        }

        // The harder they were, the longer nobody looks.
        Assert.True(After(FeltState.Hard) > After(FeltState.ChalkyMiddle) + Evenings.Min(2));
    }

    private static Instant From(EveningForecast ahead) =>
        LookAsked.From(ahead, Looks(ahead), ahead.Cook.Actions.First(a => a.StepId == StepIds.Ready).Trigger.NotBefore)!.Value;

    [Fact]
    public void Nothing_is_found_before_it_was_looked_at_and_after_a_while_it_is_asked_again()
    {
        var ahead = At(Ready);
        Assert.Null(LookAsked.IsFound(ahead, Looks(ahead)));
        var early = Ready - Evenings.Min(30);
        var look = Looks(ahead).Trigger.Look!;
        ahead = At(early + look.Again, new Observation.FeltAs(early, Way.PulseId, FeltState.ChalkyMiddle));
        Assert.Null(LookAsked.IsFound(ahead, Looks(ahead)));
    }

    [Fact]
    public void At_the_last_look_both_are_asked_for_one_after_the_other()
    {
        var plan = Kitchens.Planned(Kitchens.Dish("lentil_brown", 200, "long_white", 300, SoakChoice.None));
        var off = Evenings.At(plan, StepIds.HeatOff);
        EveningForecast With(params Observation[] answers) =>
            Evenings.Eye.Forecast(
                Evenings.Begin(plan, [.. Evenings.AsPlanned(plan, off), .. answers.Select(Evenings.Saw)]),
                off + Evenings.Min(1),
                plan.Dish.Targets,
                10
            );

        var rice = new Observation.FeltAs(off + Evenings.Min(0.5), Way.RiceId, FeltState.Soft);
        var before = With();
        var moment = before.Evening.Pending.First(m => m.Has(StepIds.HeatOff));
        Assert.Equal((Way.RiceId, null), Judged(before, moment));
        var half = With(rice);
        Assert.Equal((Way.PulseId, null), Judged(half, moment));
        // What was not asked yet is asked at once, and nothing more after what is short.
        Assert.True(WaitsUntil(half, moment) <= half.Now);
        var firm = With(rice with { State = FeltState.NearlyASpeck });
        Assert.Equal((Way.RiceId, false), Judged(firm, moment));
        Assert.Equal(rice.At + moment.Trigger.Look!.Again, WaitsUntil(firm, moment));
        var both = With(rice, new Observation.FeltAs(off + Evenings.Min(0.6), Way.PulseId, FeltState.Soft));
        Assert.Equal(true, LookAsked.IsFound(both, moment));
        // What was found stays so, and what was short is asked alone.
        var later = Evenings.Eye.Forecast(
            Evenings.Begin(
                plan,
                [
                    .. Evenings.AsPlanned(plan, off),
                    Evenings.Saw(rice),
                    Evenings.Saw(new Observation.FeltAs(off + Evenings.Min(0.6), Way.PulseId, FeltState.ChalkyMiddle)),
                ]
            ),
            rice.At + moment.Trigger.Look.Again + Evenings.Min(2),
            plan.Dish.Targets,
            10
        );
        Assert.Equal((Way.PulseId, null), Judged(later, moment));
    }

    private static (string, bool?)? Judged(EveningForecast ahead, Moment moment) =>
        LookAsked.Judge(ahead, moment) is var (asked, found) ? (asked.IngredientId, found) : null;

    private static Instant? WaitsUntil(EveningForecast ahead, Moment moment) =>
        ahead.Cook.Actions[Enumerable.Range(0, ahead.Pending.Count).First(i => ahead.Pending[i]?.Id == moment.Id)].Trigger.NotBefore;
}
