using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Planning.Manners;
using BrightKettle.Core.Units;
using BrightKettle.Sweep;
using CsCheck;
using NodaTime;
using Xunit;
using static BrightKettle.Core.Tests.Kitchens;

namespace BrightKettle.Core.Tests.Planning;

/// <summary>What more of everything, a longer soak and one look more do to a plan.</summary>
public sealed class AmountLaws
{
    private static readonly Gen<Dish> Small =
        from dinner in Any.Of(Dinners.All(Kitchens.Catalogue).Where((_, i) => i % 3 == 0).ToArray())
        from grams in Gen.Int[10, 20]
        select Dinners.Dish(dinner) with
        {
            PulseDry = Mass.FromGrams(10 * grams),
            RiceDry = Mass.FromGrams(dinner.Rice is null ? 0 : 10 * grams),
        };

    private static Plan? Planned(Dish dish) => (Plans.Plan(dish, 128, rough: true) as PlanAnswer.Planned)?.Plan;

    /// <summary>What is compared is the same way: which state is looked for is a choice of its own.</summary>
    private static (bool, bool, FeltState?, bool, bool) Way(Plan plan) =>
        (plan.RiceStarts, plan.BothStart, plan.Waits, plan.Dish.How.JoinMoves, plan.Dish.How.WaitsHot);

    private static double Minutes(Plan plan, string from, string to) =>
        (plan.Forecast.Find(to)!.Reference - plan.Forecast.Find(from)!.Reference).TotalMinutes;

    /// <summary>Twice as much of both, in a pot twice as large on twice the flame.</summary>
    [Fact]
    public void Twice_the_amounts_take_twice_the_water_and_hardly_longer()
    {
        var judged = new Judged();
        Small.Sample(
            dish =>
            {
                var wide = new Vessel(
                    "wide",
                    "wide",
                    Length.FromCentimetres(dish.Vessel.Diameter.Centimetres * Math.Sqrt(2)),
                    Volume.FromMillilitres(2 * dish.Vessel.Brim.Millilitres)
                );
                var more = dish.Scaled(2) with
                {
                    RiceDry = dish.RiceDry * 2,
                    Vessel = wide,
                    Burner = dish.Burner with
                    {
                        Most = Power.FromWatts(2 * dish.Burner.Most.Watts),
                        Least = Power.FromWatts(2 * dish.Burner.Least.Watts),
                    },
                };
                if (Planned(dish) is not { } once || Planned(more) is not { } twice || Way(once) != Way(twice))
                {
                    return judged.Passed();
                }

                // A lid twice as wide loses no more than twice the steam; the rest is what they drink.
                double Water(Plan p) =>
                    p
                        .Cook.Actions.Select(
                            (a, i) => a is CookAction.AddWater or CookAction.SetLiquor ? Math.Max(0, p.Forecast.Reference.At(i).Added) : 0
                        )
                        .Sum();
                var ratio = Water(twice) / Water(once);
                // Cooking takes as long; how long soft pulses wait for the rice, where that is harmless, is chosen by chance.
                double Cooking(Plan p) =>
                    p.Cook.StepAt(StepIds.Ready) >= 0 && p.Cook.StepAt(StepIds.SetLiquor) > p.Cook.StepAt(StepIds.Ready)
                        ? Minutes(p, StepIds.Light, StepIds.Ready) + Minutes(p, StepIds.SetLiquor, StepIds.Table)
                        : Minutes(p, StepIds.Light, StepIds.Table);
                var (before, after) = (Cooking(once), Cooking(twice));
                return judged.By(ratio is > 1.5 and < 2.4 && Math.Abs(after - before) < 8 + (0.15 * before))
                    ? true
                    : throw new InvalidOperationException(
                        $"{dish.Pulse.Id} {dish.Rice?.Id} {dish.Style} {dish.PulseDry}: water {ratio:0.00}, {before:0} and {after:0} min"
                    );
            },
            iter: 60
        );
        judged.AtLeast(50);
    }

    /// <summary>From the flame until a slow bag is found: two hours more in the bowl never make it longer.</summary>
    [Fact]
    public void A_longer_soak_that_is_allowed_never_lengthens()
    {
        var judged = new Judged();
        (from dish in Small.Where(d => d.Pulse.SoakHours.High > 0) from hours in Gen.Double[1, 8] select (dish, hours)).Sample(
            t =>
            {
                // The lectin's five hours decide by a rule how it is cooked: not across them.
                if (t.dish.Pulse.BoilsFirst && t.hours < 5 && t.hours + 2 >= 5)
                {
                    return judged.Passed();
                }

                var alone = t.dish with { Rice = null, Style = Style.Saucy };
                return
                    Planned(alone.With(new SoakOfHours(t.hours))) is { } shorter
                    && Planned(alone.With(new SoakOfHours(t.hours + 2))) is { } longer
                    // What does not wait for the hour is timed by the middle bag, not by a slow one.
                    && (shorter.Dish.How.JoinMoves, shorter.Waits) == (longer.Dish.How.JoinMoves, longer.Waits)
                    ? judged.By(Minutes(longer, StepIds.Light, StepIds.Reheat) <= Minutes(shorter, StepIds.Light, StepIds.Reheat) + 1.5)
                        ? true
                        : throw new InvalidOperationException(
                            $"{t.dish.Pulse.Id} {t.dish.PulseDry} {t.hours:0.0} h: {Minutes(shorter, StepIds.Light, StepIds.Reheat):0.0} {Minutes(longer, StepIds.Light, StepIds.Reheat):0.0}"
                        )
                    : judged.Passed();
            },
            iter: 40
        );
        judged.AtLeast(50);
    }

    /// <summary>The look before the flame goes out, whose answer may be: go on. The same plan by the clock there is never better by more than
    /// the hundredth that a hand that errs may cost.</summary>
    [Fact]
    public void A_look_that_may_say_go_on_never_costs_more_than_one_dinner_in_a_hundred()
    {
        var judged = new Judged();
        const int Pots = 512;
        // What is in doubt is judged on as many as may be: two standard errors of so many pots with the same traits.
        const int Many = 2000;
        const double Noise = 0.01;
        var eye = new Forecaster(Model);
        Small
            .Where(d => d.Rice is not null)
            .Sample(
                dish =>
                {
                    // With or without the look was chosen on as many pots as it is judged by.
                    if (
                        (Plans.Plan(dish, Pots) as PlanAnswer.Planned)?.Plan is not { } plan
                        || plan.Cook.StepAt(StepIds.HeatOff) is not (>= 0 and var off)
                        || plan.Cook.Actions[off].Trigger.Look is null
                    )
                    {
                        return judged.Passed();
                    }

                    var without = plan.Cook with
                    {
                        Actions =
                        [
                            .. plan.Cook.Actions.Select((a, i) => i == off ? a with { Trigger = a.Trigger with { Look = null } } : a),
                        ],
                    };
                    double Chance(Cook cook, int pots) => eye.Run(cook, dish.Targets, pots, picture: false).ShareTender;
                    var (looked, blind) = (Chance(plan.Cook, Pots), Chance(without, Pots));
                    if (looked < blind - 0.01)
                    {
                        (looked, blind) = (Chance(plan.Cook, Many), Chance(without, Many));
                    }

                    return judged.By(looked >= blind - 0.01 - Noise)
                        ? true
                        : throw new InvalidOperationException(
                            $"{dish.Pulse.Id} {dish.Rice?.Id} {dish.Style} {dish.PulseDry}: {looked:0.000} {blind:0.000}"
                        );
                },
                iter: 30
            );
        judged.AtLeast(50);
    }
}
