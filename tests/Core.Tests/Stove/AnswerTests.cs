using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Safety;
using BrightKettle.Core.Stove;
using BrightKettle.Core.Units;
using CsCheck;
using NodaTime;
using Xunit;
using static BrightKettle.Core.Tests.Stove.Evenings;

namespace BrightKettle.Core.Tests.Stove;

/// <summary>What can be done when it is late or has gone wrong.</summary>
public sealed class AnswerTests
{
    private static readonly Vessel Drum = new("drum", "drum", Length.FromCentimetres(22), Volume.FromMillilitres(6000))
    {
        Cooker = Cooker.Typical(CookerKind.Electric, 6000),
    };
    private static readonly Plan Chickpeas = Kitchens.Planned(
        Kitchens.Dish("chickpea", 300, "brown_basmati", 300, SoakChoice.Overnight) with
        {
            OtherVessels = [Kitchens.Pot(), Kitchens.Pot(24, 5), Drum],
            BurnerCount = 2,
        }
    );
    private static readonly Plan Soup = Kitchens.Planned(
        Kitchens.Dish("borlotti", 300, soak: SoakChoice.Overnight, style: Style.Soup, pot: Kitchens.Pot(28, 8)) with
        {
            OtherVessels = [Kitchens.Pot(28, 8), Drum],
        }
    );
    private static readonly LateOptions Lateness = new(Kitchens.Model, Eye);
    private static readonly Rescue Help = new(Kitchens.Model, Eye);

    private static double Final(Answer answer, string id) => answer.After.Forecast.Reference.Final[answer.After.Cook.IndexOf(id)].Doneness;

    /// <summary>Half chalky when the rice was due.</summary>
    private static EveningForecast SlowBag(Plan plan)
    {
        var due = At(plan, plan.Dish.Rice is null ? StepIds.Reheat : StepIds.Join);
        List<Entry> told =
        [
            .. AsPlanned(plan, At(plan, StepIds.Ready) - Min(0.1)),
            Saw(new Observation.FeltAs(due - Min(20), "pulse", FeltState.ChalkyMiddle)),
            Saw(new Observation.FeltAs(due, "pulse", FeltState.ChalkyMiddle)),
        ];
        return Eye.Forecast(Begin(plan, told), due, plan.Dish.Targets);
    }

    /// <summary>A pot that is too small, or wanted on the table: all of it goes over, and what was still to do is done there.</summary>
    [Fact]
    public void Moved_into_another_pot_the_rest_of_the_plan_goes_on_there()
    {
        var now = At(Chickpeas, StepIds.Ready) - Min(5);
        var evening = Begin(Chickpeas, AsPlanned(Chickpeas, now));
        var answer = Assert.Single(Help.For(evening, now, Trouble.WrongPot, Chickpeas.Dish));
        Assert.Equal("move_over", answer.Code);
        var pot = answer.Into!.Id;
        Assert.NotEqual(Chickpeas.Dish.Vessel.Id, pot);
        var moved = evening.With(answer.Course!, now);
        Assert.Null(EveningForecaster.Check(moved, now));
        var cook = answer.After.Cook;
        var place = cook.Kitchen.IndexOf(pot);
        var run = answer.After.Forecast.Reference;
        Assert.All(run.Final.Take(2), f => Assert.Equal(place, f.Vessel));
        Assert.Equal(place, cook.VesselOf(cook.Actions[cook.StepAt(StepIds.Join)]));
        Assert.InRange((answer.After.Table!.At - At(Chickpeas, StepIds.Table)).TotalMinutes, -5, 10);
        Assert.InRange(Final(answer, "pulse"), Doneness.Wanted, 140);
        // No other pot, no move.
        Assert.Empty(Help.For(evening, now, Trouble.WrongPot, Chickpeas.Dish with { OtherVessels = [Chickpeas.Dish.Vessel] }));
    }

    [Fact]
    public void A_slow_bag_is_offered_what_is_quicker_with_its_gain_and_eating_later_last()
    {
        var now = SlowBag(Soup);
        Assert.True(now.Table!.At > At(Soup, StepIds.Table) + Min(10));
        var answers = Lateness.For(now, Soup.Dish);
        Assert.Equal("later", answers[^1].Code);
        Assert.Contains(answers, a => a.Code == "pressure");
        Assert.All(answers.SkipLast(1), a => Assert.True(a.After.Table!.At <= now.Table.At - Min(2), a.Code));
        Assert.Equal(answers.SkipLast(1).OrderBy(a => a.After.Table!.At), answers.SkipLast(1));
        var pressure = answers.First(a => a.Code == "pressure");
        Assert.InRange(pressure.For!.Value.TotalMinutes, 1, 38);
        Assert.True(Final(pressure, "pulse") >= Doneness.Wanted);
        var soda = answers.FirstOrDefault(a => a.Code == "soda");
        Assert.True(soda is null || SodaGate.Judge(new(soda.After.Cook)).All(f => !f.Blocks));
    }

    [Fact]
    public void Rice_of_its_own_is_offered_while_a_pot_and_a_burner_are_free()
    {
        var plan = Kitchens.Planned(
            Kitchens.Dish("borlotti", 300, "long_white", 300, pot: Kitchens.Pot(28, 8)) with
            {
                OtherVessels = [Kitchens.Pot(28, 8), Kitchens.Pot(24, 5)],
                BurnerCount = 2,
            }
        );
        var answers = Lateness.For(SlowBag(plan), plan.Dish);
        var apart = answers.First(a => a.Code == "rice_apart");
        Assert.InRange(Final(apart, "rice"), 90, 135);
        Assert.True(Final(apart, "pulse") >= Doneness.Wanted);
        Assert.DoesNotContain(Lateness.For(SlowBag(plan), plan.Dish with { BurnerCount = 1 }), a => a.Code == "rice_apart");
    }

    [Fact]
    public void Hard_and_dry_gets_boiling_water_and_minutes_that_make_it_tender()
    {
        var now = At(Chickpeas, StepIds.HeatOff) - Min(3);
        var answer = Help.For(Begin(Chickpeas, AsPlanned(Chickpeas, now)), now, Trouble.HardDry, Chickpeas.Dish)[0];
        Assert.InRange(answer.Amount!.Value.Grams, 40, 800);
        Assert.Equal(100, answer.Temperature!.Value.Celsius);
        Assert.InRange(answer.For!.Value.TotalMinutes, 4, 60);
        Assert.True(Final(answer, "rice") >= 93, $"{Final(answer, "rice")}");
        Assert.True(answer.After.Table!.At > At(Chickpeas, StepIds.Table) - Min(5));
    }

    [Fact]
    public void Hard_and_wet_gets_no_water_and_soft_and_wet_gets_rid_of_it()
    {
        var now = At(Chickpeas, StepIds.Seal) + Min(8);
        var evening = Begin(Chickpeas, AsPlanned(Chickpeas, now));
        var hard = Help.For(evening, now, Trouble.HardWet, Chickpeas.Dish)[0];
        Assert.Null(hard.Amount);
        Assert.True(Final(hard, "rice") >= 93);
        var wet = Help.For(evening, now, Trouble.SoftWet, Chickpeas.Dish);
        Assert.True(wet[0].Code == "pour_off" && wet[0].Amount!.Value.Grams < -30);
        Assert.All(wet, a =>
            Assert.True(a.After.Forecast.Reference.FinalLiquor < 300, $"{a.Code} {a.After.Forecast.Reference.FinalLiquor}")
        );
    }

    [Fact]
    public void Too_salty_tells_how_much_plain_food_or_fresh_water_brings_it_back()
    {
        var now = At(Soup, StepIds.Table) - Min(2);
        var answers = Help.For(Begin(Soup, AsPlanned(Soup, now)), now, Trouble.TooSalty, Soup.Dish, percent: 1.8);
        var sheet = SaltSheet.Of(Soup.Cook, Soup.Forecast.Reference, 0.9);
        Assert.InRange(answers.First(a => a.Code == "more_plain").Amount!.Value.Grams, sheet.EdibleGrams * 0.98, sheet.EdibleGrams * 1.02);
        Assert.InRange(answers.First(a => a.Code == "swap").Amount!.Value.Grams, 0.3 * sheet.EdibleGrams, 0.51 * sheet.EdibleGrams);
        Assert.Empty(Help.For(Begin(Soup, AsPlanned(Soup, now)), now, Trouble.TooSalty, Soup.Dish, percent: 0.8));
    }

    [Fact]
    public void A_flame_that_was_out_costs_time_and_stands_in_the_record_from_when_it_went_out()
    {
        var now = At(Soup, StepIds.HardBoilOver) + Min(17);
        var told = AsPlanned(Soup, now);
        var evening = Begin(Soup, told);
        var before = Eye.Forecast(evening, now, Targets.Lenient);
        var answer = Help.For(evening, now, Trouble.FlameOut, Soup.Dish, 10).Single();
        Assert.True(answer.After.Pot!.Celsius < before.Pot!.Celsius - 3);
        Assert.Equal(now - Min(10), answer.Before.Single().At);
        // What is found later has cooled less when it is brought back to the boil: half a minute, and no more.
        Assert.InRange((answer.After.Table!.At - before.Table!.At).TotalMinutes, -1, 30);
        var longer = Help.For(evening, now, Trouble.FlameOut, Soup.Dish, 16).Single();
        Assert.True(longer.After.Pot!.Celsius < answer.After.Pot.Celsius);
    }

    [Fact]
    public void Called_away_means_no_flame_until_one_is_back()
    {
        var now = At(Soup, StepIds.HardBoilOver) + Min(20);
        var answer = Help.For(Begin(Soup, AsPlanned(Soup, now)), now, Trouble.CalledAway, Soup.Dish, 25).Single();
        // It is out as soon as that is chosen, and on again when somebody is back.
        Assert.Contains(answer.Before, e => e is Entry.Extra { Action: CookAction.Heat { Flame: Flame.Off } } && e.At == now);
        Assert.Equal(now + Min(25), answer.Course!.Actions.OfType<CookAction.Heat>().First().Trigger.NotBefore);
        Assert.NotNull(answer.After.Table);
    }

    [Fact]
    public void Scorched_goes_into_a_clean_pot_without_what_sticks()
    {
        var now = At(Chickpeas, StepIds.Boils) + Min(25);
        var answer = Help.For(Begin(Chickpeas, AsPlanned(Chickpeas, now)), now, Trouble.Scorched, Chickpeas.Dish)[0];
        Assert.Equal("other_pot", answer.Code);
        Assert.Equal(Kitchens.Pot(24, 5).Id, answer.Course!.Vessels.Single().Vessel.Id);
        Assert.True(Final(answer, "rice") is >= 90 and <= 135);
    }

    [Fact]
    public void Every_trouble_at_any_minute_has_answers_that_can_be_run_or_none() =>
        Gen.Select(Any.Of(Enum.GetValues<Trouble>()), Gen.Double[0.02, 0.98], Gen.Bool, Gen.Int[1, 60])
            .Sample(
                (trouble, share, rice, minutes) =>
                {
                    var plan = rice ? Chickpeas : Soup;
                    var (lit, table) = (At(plan, StepIds.Light), At(plan, StepIds.Table));
                    var now = lit + ((table - lit) * share);
                    var evening = Begin(plan, AsPlanned(plan, now));
                    foreach (var answer in Help.For(evening, now, trouble, plan.Dish, minutes))
                    {
                        Assert.NotNull(answer.After.Table);
                        Assert.True(answer.After.Table.At >= now - Duration.FromSeconds(1));
                        // No trouble of the pulses makes a dinner without its rice.
                        Assert.True(!rice || answer.After.Forecast.Reference.Final[1].Vessel >= 0, answer.Code);
                        Assert.InRange(answer.Amount?.Grams ?? 0, -5000, 20_000);
                        var chosen = answer.Course is null
                            ? evening
                            : answer.Before.Aggregate(evening, (e, b) => e.With(b)).With(answer.Course, now);
                        Assert.Null(EveningForecaster.Check(chosen, now + Min(1)));
                    }
                },
                iter: 80
            );

    /// <summary>The law above says nothing of a trouble that is never answered: here each is, somewhere in a dinner. A silent cooker
    /// needs one, and has its own tests.</summary>
    [Fact]
    public void Each_trouble_of_an_open_pot_is_answered_somewhere_in_a_dinner() =>
        Assert.All(Enum.GetValues<Trouble>().Where(t => t != Trouble.Silent), trouble =>
        {
            var tried =
                from share in new[] { 0.3, 0.92, 0.75, 0.55, 0.97, 0.1 }
                from plan in new[] { Chickpeas, Soup }
                select (share, plan);
            Assert.Contains(tried, t =>
            {
                var (lit, table) = (At(t.plan, StepIds.Light), At(t.plan, StepIds.Table));
                var now = lit + ((table - lit) * t.share);
                return Help.For(Begin(t.plan, AsPlanned(t.plan, now)), now, trouble, t.plan.Dish, 10).Count > 0;
            });
        });

    [Fact]
    public void Beans_that_were_taken_for_ready_and_are_not_go_back_to_the_boil_before_the_rice()
    {
        var now = At(Chickpeas, StepIds.Join) - Min(1);
        var evening = Begin(Chickpeas, AsPlanned(Chickpeas, now));
        var answer = Help.For(evening, now, Trouble.HardWet, Chickpeas.Dish).Single();
        Assert.Equal("boil_on", answer.Code);
        Assert.True(answer.For >= Min(3));
        Assert.Contains(answer.Course!.Actions, a => a.Trigger.Look is { IngredientId: "pulse" });
        Assert.True(Final(answer, "pulse") >= Doneness.Wanted - 8, $"{Final(answer, "pulse")}");
    }

    [Fact]
    public void No_answer_cuts_a_hard_boil_short_and_one_that_was_broken_off_is_counted_anew()
    {
        var boiled = At(Soup, StepIds.Boils);
        var now = boiled + Min(4);
        var told = AsPlanned(Soup, now);
        var evening = Begin(Soup, told);
        Assert.Equal(["later"], Lateness.For(Eye.Forecast(evening, now, Targets.Lenient), Soup.Dish).Select(a => a.Code));
        foreach (var trouble in new[] { Trouble.FlameOut, Trouble.CalledAway })
        {
            var course = Help.For(evening, now, trouble, Soup.Dish, 3).Single().Course!;
            var over = course.Actions.ToList().FindIndex(a => a.StepId == StepIds.HardBoilOver);
            Assert.Equal(Min(10), course.Actions[over].Trigger.Delay);
            Assert.True(course.Actions[over - 1] is CookAction.Heat { Flame: Flame.Rolling, Trigger.After: PotEvent.Boils });
        }
    }
}
