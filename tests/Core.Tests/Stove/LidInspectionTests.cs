using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Planning.Manners;
using BrightKettle.Core.Safety;
using BrightKettle.Core.Stove;
using BrightKettle.Core.Units;
using CsCheck;
using Xunit;
using static BrightKettle.Core.Tests.Stove.Evenings;

namespace BrightKettle.Core.Tests.Stove;

/// <summary>A lid under which nobody sees.</summary>
public sealed class LidInspectionTests
{
    private static readonly LidInspection Inside = new(Kitchens.Model, Eye);
    private static readonly Plan Drum = Plan(CookerKind.Electric, "chickpea");

    private static Plan Plan(CookerKind kind, string pulse, SoakChoice soak = SoakChoice.None) =>
        Kitchens.Planned(
            Kitchens
                .Dish(pulse, 300, soak: soak, style: Style.Saucy)
                .With(
                    new UnderPressure(
                        new Vessel("drum", "drum", Length.FromCentimetres(22), Volume.FromMillilitres(6000))
                        {
                            Cooker = Cooker.Typical(kind, 6000),
                        }
                    )
                )
        );

    /// <summary>So far into the hold, from pressure to heat off.</summary>
    private static EveningForecast Held(Plan plan, double share)
    {
        var up = plan.Cook.Starts + NodaTime.Duration.FromSeconds(plan.Forecast.Reference.Nth(PotEvent.PressureUp)!.Value);
        var now = up + ((At(plan, StepIds.HoldOver) - up) * share);
        return Eye.Forecast(Begin(plan, AsPlanned(plan, now)), now, plan.Dish.Targets);
    }

    [Fact]
    public void A_look_costs_release_and_coming_up_again_and_the_minutes_after_it_are_worked_out_anew()
    {
        var now = Held(Drum, 0.4);
        var answers = Inside.For(now, Drum.Dish);
        Assert.Equal([LidInspection.LookAndLock, LidInspection.OpenForGood], answers.Select(a => a.Code));
        // With a minute to taste, 10 to 20 minutes by the reference until the pressure is there again; what the pot gains meanwhile is
        // taken off the hold.
        var again =
            now.Cook.Starts
            + NodaTime.Duration.FromSeconds(answers[0].After.Forecast.Reference.Nth(PotEvent.PressureUp, 2)!.Value)
            - now.Now;
        Assert.InRange(again.TotalMinutes + 1, 10, 30);
        Assert.InRange(answers[0].Costs!.Value.TotalMinutes, 2, again.TotalMinutes);
        Assert.True(
            answers[0].For!.Value < At(Drum, StepIds.HoldOver) - now.Now,
            $"{answers[0].For} {At(Drum, StepIds.HoldOver) - now.Now}"
        );
        Assert.All(answers, a => Assert.InRange(a.After.Forecast.Reference.Final[0].Doneness, Doneness.Wanted, 140));
    }

    [Fact]
    public void Opened_for_good_they_simmer_on_until_a_look_finds_them_soft()
    {
        var early = Inside.For(Held(Drum, 0.2), Drum.Dish)[1];
        var late = Inside.For(Held(Drum, 0.9), Drum.Dish)[1];
        Assert.DoesNotContain(early.Course!.Actions, a => a is CookAction.Pressurise);
        // The less was held, the longer the simmer that is left.
        Assert.True(early.Costs > late.Costs + Min(5), $"{early.Costs} {late.Costs}");
    }

    [Fact]
    public void Before_the_lid_is_locked_it_may_stay_off_and_afterwards_it_opens_by_itself()
    {
        var plan = Plan(CookerKind.Spring, "borlotti", SoakChoice.Overnight);
        var before = At(plan, StepIds.HardBoilOver) - Min(0.5);
        var answer = Assert.Single(Inside.For(Eye.Forecast(Begin(plan, AsPlanned(plan, before)), before, Targets.Lenient), plan.Dish), a =>
            a.Code == LidInspection.StayOpen
        );
        Assert.DoesNotContain(answer.Course!.Actions, a => a is CookAction.Pressurise);
        Assert.True(answer.Costs > Min(10));
        var letDown = At(plan, StepIds.HoldOver) + Min(2);
        Assert.Empty(Inside.For(Eye.Forecast(Begin(plan, AsPlanned(plan, letDown)), letDown, Targets.Lenient), plan.Dish));
    }

    [Fact]
    public void Whatever_is_chosen_at_whatever_minute_can_be_run() =>
        Gen.Select(Any.Of(CookerKind.Electric, CookerKind.Spring, CookerKind.Weight), Gen.Double[0, 1])
            .Sample(
                (kind, share) =>
                {
                    var plan = kind == CookerKind.Electric ? Drum : Plan(kind, "chickpea");
                    var now = Held(plan, share);
                    foreach (var answer in Inside.For(now, plan.Dish))
                    {
                        Assert.Null(EveningForecaster.Check(now.Evening.With(answer.Course!, now.Now), now.Now + Min(1)));
                        Assert.True(
                            answer.After.Table is { } table && table.At >= now.Now,
                            $"{answer.Code} stalled {answer.After.Forecast.Reference.StalledAt} {string.Join(' ', answer.After.Cook.Actions.Select((a, i) => $"{i}{a.GetType().Name}/{a.Trigger.After}"))}"
                        );
                        Assert.True(
                            answer.After.Forecast.Reference.Final[0].Doneness >= Doneness.Wanted,
                            $"{answer.Code} {answer.After.Forecast.Reference.Final[0].Doneness}"
                        );
                    }
                },
                iter: 25
            );

    [Fact]
    public void No_answer_lets_a_pulse_with_a_lectin_go_below_the_boil_before_it_is_soft()
    {
        // From dry nothing but the boil, kept up until they are soft, makes them safe.
        var plan = Plan(CookerKind.Electric, "kidney_red");
        var answers = Inside.For(Held(plan, 0.5), plan.Dish);
        Assert.Equal(2, answers.Count);
        Assert.All(answers, a =>
            Assert.DoesNotContain(Gates.Judge(a.After.Cook, GateHouse.Of(plan.Dish.Household), a.After.Forecast.Reference), f => f.Blocks)
        );
    }

    [Fact]
    public void A_weight_is_counted_in_whistles_while_they_are_few_and_by_minutes_from_the_first_when_they_are_many()
    {
        var few = Plan(CookerKind.Weight, "borlotti", SoakChoice.Overnight);
        var off = few.Cook.Actions.Single(a => a.StepId == StepIds.HoldOver);
        Assert.Equal(PotEvent.Whistle, off.Trigger.After);
        Assert.InRange(off.Trigger.Count, 2, PressureHold.MostWhistles);
        // One whistle less leaves the reference bag short when the lid comes off.
        PotRun With(int whistles)
        {
            var opened = few.Cook.Actions.ToList().FindIndex(a => a.StepId == StepIds.Opened);
            var cook = few.Cook with
            {
                Actions =
                [
                    .. few.Cook.Actions.Take(opened).Select(a => a == off ? a with { Trigger = a.Trigger with { Count = whistles } } : a),
                    new CookAction.Serve(few.Cook.Actions[opened].Trigger),
                ],
            };
            return Kitchens.Run(cook);
        }

        Assert.True(With(off.Trigger.Count).Final[0].Doneness >= Doneness.Tender);
        Assert.True(With(off.Trigger.Count - 1).Final[0].Doneness < Doneness.Tender);
        var many = Plan(CookerKind.Weight, "chickpea");
        Assert.Contains(many.Cook.Actions, a => a.Trigger is { After: PotEvent.Whistle, Count: 1 });
        Assert.True(many.Cook.Actions.Single(a => a.StepId == StepIds.HoldOver).Trigger.Delay > Min(10));
    }

    [Fact]
    public void Putting_off_costs_nothing_while_they_wait_and_minutes_when_the_rice_does()
    {
        var plan = Chickpeas();
        EveningForecast At_(string mark, double before)
        {
            var now = At(plan, mark) - Min(before);
            return Eye.Forecast(Begin(plan, AsPlanned(plan, now)), now, plan.Dish.Targets);
        }

        DelayCost Off(EveningForecast s, string mark) => Eye.Later(s, s.Evening.With(mark).Id, Min(3))!;
        var look = At_(StepIds.Ready, 1);
        Assert.InRange(Off(look, StepIds.Ready).Table.TotalMinutes, -0.2, 0.2);
        var off = At_(StepIds.HeatOff, 1);
        var later = Off(off, StepIds.HeatOff);
        Assert.InRange(later.Table.TotalMinutes, 2.5, 3.5);
        // The rice has drunk what it will; the pulses go on.
        Assert.True(later.Run.Final[0].Doneness > off.Forecast.Reference.Final[0].Doneness);
        Assert.Null(Eye.Later(off, "9.9", Min(3)));
    }

    /// <summary>Opened and far from soft: the same cooker once more, as an act of its own that asks for its vent; the forecast does it only
    /// when it is chosen.</summary>
    [Fact]
    public void Opened_and_hard_it_can_be_locked_once_more()
    {
        var now = At(Drum, StepIds.Opened) + NodaTime.Duration.FromMinutes(1);
        var ready = Begin(Drum).Moments.Single(m => m.Moment.Has(StepIds.Ready)).Moment.Id;
        List<Entry> opened = [.. AsPlanned(Drum, now).Where(e => e is not Entry.Done d || d.MomentId != ready)];
        var evening = Begin(Drum, [.. opened, Saw(new Observation.FeltAs(now, "pulse", FeltState.Hard))]);
        var ahead = Eye.Forecast(evening, now, Drum.Dish.Targets);
        Assert.All(ahead.Cook.Actions, a => Assert.Null(a.Trigger.Look?.NotYet?.LockAgain));
        var answers = new LateOptions(Kitchens.Model, Eye).For(ahead, Drum.Dish);
        var again = Assert.Single(answers, a => a.Code == LockedAgain.Code);
        Assert.Equal(PressureGate.VentUnchecked, again.Caution);
        Assert.InRange(again.For!.Value.TotalMinutes, 1, 38);
        Assert.True(again.After.Table!.At < ahead.Table!.At - NodaTime.Duration.FromMinutes(2));
        Assert.True(again.After.Forecast.Reference.Final[0].Doneness >= Doneness.Wanted);
        var chosen = evening.With(again.Course!, now);
        Assert.Null(EveningForecaster.Check(chosen, now));
        Assert.Contains(chosen.Pending, m => m.Has(StepIds.Lock));
        // Until the lid has come off the forecast does what the plan does: the table stays where it was promised.
        var held = Held(Drum, 0.5);
        Assert.Contains(held.Cook.Actions, a => a.Trigger.Look?.NotYet?.LockAgain is not null);
        Assert.True(held.Table!.Late - At(Drum, StepIds.Table) < NodaTime.Duration.FromMinutes(25), $"{held.Table.Late}");
        // Soft already, there is nothing to lock.
        var soft = Begin(Drum, [.. opened, Saw(new Observation.FeltAs(now, "pulse", FeltState.Soft))]);
        Assert.DoesNotContain(new LateOptions(Kitchens.Model, Eye).For(Eye.Forecast(soft, now, Drum.Dish.Targets), Drum.Dish), a =>
            a.Code == LockedAgain.Code
        );
    }
}
