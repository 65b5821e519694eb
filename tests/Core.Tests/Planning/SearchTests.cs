using BrightKettle.Core.Cooking;
using BrightKettle.Core.Cooking.Engine;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Planning.Manners;
using BrightKettle.Core.Planning.Solving;
using CsCheck;
using NodaTime;
using Xunit;
using static BrightKettle.Core.Tests.Cooking.Pots;
using static BrightKettle.Core.Tests.Kitchens;

namespace BrightKettle.Core.Tests.Planning;

/// <summary>Ways are searched and compared by longer steps than they are told by: what that may cost.</summary>
public class SearchTests
{
    private static readonly Gen<Dish> AnyWay =
        from pulse in Any.Of("chickpea", "pinto", "lentil_brown", "toor_split", "kidney_red", "lentil_red_split")
        from rice in Any.Of<string?>(null, "brown_basmati", "long_white")
        from soak in Any.Of(SoakChoice.Overnight, SoakChoice.Quick, SoakChoice.None)
        from method in Any.Of(Method.OpenPot, Method.Pressure, Method.SlowCooker, Method.Cooked)
        from grams in Gen.Int[120, 350]
        select Dish(
                pulse,
                grams,
                rice,
                rice is null ? 0 : grams,
                method == Method.Cooked || (method == Method.SlowCooker && soak == SoakChoice.Quick) ? SoakChoice.None : soak,
                Style.Saucy
            )
            .With(
                Cooks(
                    method,
                    method is Method.OpenPot or Method.Cooked
                        ? null
                        : Cooker(method == Method.Pressure ? CookerKind.Electric : CookerKind.Slow, 6)
                )
            );

    [Fact]
    public void A_way_that_is_compared_has_the_times_and_amounts_of_the_way_that_is_opened_and_nearly_its_chance()
    {
        var compared = new Judged();
        AnyWay.Sample(
            dish =>
            {
                if (Plans.Plan(dish, 128, rough: true) is not PlanAnswer.Planned { Plan: var rough })
                {
                    compared.Passed();
                    return;
                }

                var opened = ((PlanAnswer.Planned)Plans.Plan(dish, 128)).Plan;
                var moments = rough.Forecast.Moments.Zip(opened.Forecast.Moments);
                var alike =
                    rough.Cook.Actions.SequenceEqual(opened.Cook.Actions)
                    && moments.All(m => m.First.Reference == m.Second.Reference)
                    && Math.Abs(rough.ShareTender - opened.ShareTender) <= 0.06
                    && Math.Abs(rough.BlindShare - opened.BlindShare) <= 0.06;
                Assert.True(
                    compared.By(alike),
                    $"{rough.ShareTender} for {opened.ShareTender}, by the clock {rough.BlindShare} for {opened.BlindShare}; {string.Join(", ", moments.Where(m => m.First.Reference != m.Second.Reference).Select(m => $"{m.First.StepId} {m.First.Reference} for {m.Second.Reference}"))}; {string.Join(", ", rough.Cook.Actions.Except(opened.Cook.Actions))} for {string.Join(", ", opened.Cook.Actions.Except(rough.Cook.Actions))}"
                );
            },
            iter: 60
        );
        compared.AtLeast(Planned);
    }

    /// <summary>Of a hundred dinners so many are planned at least; of the others nothing is learned.</summary>
    private const double Planned = 40;

    [Fact]
    public void The_reference_pot_is_on_the_table_within_the_minute_that_was_asked_for()
    {
        var planned = new Judged();
        AnyWay.Sample(
            dish =>
            {
                if (Plans.Plan(dish, 16, rough: true) is not PlanAnswer.Planned { Plan: var plan })
                {
                    planned.Passed();
                    return;
                }

                var late = (plan.Cook.Starts - dish.ServeAt).TotalSeconds + plan.Forecast.Reference.EndSeconds;
                Assert.True(planned.By(late is >= 0 and < 60), $"{late} s");
            },
            iter: 60
        );
        planned.AtLeast(Planned);
    }

    [Fact]
    public void The_steps_of_a_search_move_no_reference_pot_by_more_than_two_points_and_twenty_seconds()
    {
        var met = new Judged();
        AnyWay.Sample(dish => Within(Differs(dish, WaySolver.StepsOf(dish), new RunOptions()), (2, 3, 20), met), iter: 60);
        met.AtLeast(Planned);
    }

    [Fact]
    public void Nor_do_the_usual_steps_move_it_by_more_than_a_point_and_ten_seconds()
    {
        var met = new Judged();
        AnyWay.Sample(
            dish => Within(Differs(dish, new RunOptions(), new RunOptions { Step = Duration.FromSeconds(1) }), (1, 1, 10), met),
            iter: 60
        );
        met.AtLeast(Planned);
    }

    private static void Within(
        (double Doneness, double Liquor, double Seconds)? found,
        (double Doneness, double Liquor, double Seconds) most,
        Judged met
    )
    {
        if (found is not { } f)
        {
            met.Passed();
            return;
        }

        Assert.True(met.By(f.Doneness < most.Doneness && f.Liquor < most.Liquor && f.Seconds < most.Seconds), $"{found}");
    }

    /// <summary>How far apart two lengths of step bring the reference pot: points of doneness (per cent of it past tender), g of liquor,
    /// seconds; null for a way that cannot be.</summary>
    private static (double Doneness, double Liquor, double Seconds)? Differs(Dish dish, RunOptions one, RunOptions other)
    {
        var (solved, _, refusal) = Plans.Probe(dish);
        if (refusal is not null)
        {
            return null;
        }

        // Looks by the reference pot's clock: one that just misses its state would be ten minutes later.
        var cook = solved.Cook with
        {
            Actions =
            [
                .. solved.Cook.Actions.Select(
                    (a, i) =>
                        a.Trigger.Look is null
                            ? a
                            : a with
                            {
                                Trigger = Trigger.At(solved.Cook.Starts + Duration.FromSeconds(solved.Run.At(i).Seconds)),
                            }
                ),
            ],
        };
        var (a, b) = (Model.Run(cook, PotTraits.Reference(cook), one), Model.Run(cook, PotTraits.Reference(cook), other));
        return a.StalledAt is null && b.StalledAt is null
            ? (
                a.Final.Zip(b.Final).Max(s => Math.Abs(s.First.Doneness - s.Second.Doneness) / Math.Max(1, s.Second.Doneness / 100)),
                Math.Abs(a.FinalLiquor - b.FinalLiquor),
                Math.Abs(a.EndSeconds - b.EndSeconds)
            )
            : (double.PositiveInfinity, 0, 0);
    }

    [Fact]
    public void Where_nobody_looks_the_chance_by_the_clock_is_the_chance()
    {
        var forecast = new Forecaster(Model);
        var cook = Kitchens.Planned(Dish("lentil_red_split", 200, "basmati_unsoaked", 200)).Cook;
        cook = cook with { Actions = [.. cook.Actions.Select(a => a with { Trigger = a.Trigger with { Look = null } })] };
        var run = forecast.Run(cook, Targets.Lenient, 64, picture: false);
        Assert.Equal(run.ShareTender, forecast.BlindShare(cook, run, Targets.Lenient, 64));
    }

    [Fact]
    public void A_curve_for_many_pots_is_the_curve() =>
        Gen.Select(Any.Of("salt_soaked", "salt_uptake", "sugar", "acid", "soda"), Gen.Single[-2, 40])
            .Sample(
                (id, x) =>
                {
                    var curve = Model.Constants.Curve(id);
                    var row = new float[16];
                    new LaneCurve(curve).At(SixteenLanes.All(x)).Store(ref row[0]);
                    return row.All(y => Math.Abs(y - curve.Typical(x)) < 1e-4);
                }
            );
}
