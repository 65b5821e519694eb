using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Planning.Manners;
using BrightKettle.Core.Safety;
using BrightKettle.Core.Stove;
using BrightKettle.Core.Units;
using NodaTime;
using Xunit;
using static BrightKettle.Core.Tests.Stove.Evenings;

namespace BrightKettle.Core.Tests.Stove;

/// <summary>Going on, being late, being called away and mending a trouble pass the gates that the plan passed.</summary>
public sealed class StoveDoorTests(ITestOutputHelper output)
{
    private static readonly Vessel Crock = new("crock", "crock", Length.FromCentimetres(24), Volume.FromMillilitres(6000))
    {
        Cooker = Cooker.Typical(CookerKind.Slow, 6000),
    };
    private static readonly EveningForecaster AtHome = new(Kitchens.Model, GateHouse.Of(Kitchens.Home()));

    public static TheoryData<string, string?, SoakChoice, Method> Dinners =>
        new()
        {
            { "kidney_red", "long_white", SoakChoice.None, Method.OpenPot },
            { "kidney_red", "basmati_unsoaked", SoakChoice.Overnight, Method.OpenPot },
            { "lentil_brown", "basmati_unsoaked", SoakChoice.None, Method.OpenPot },
            { "black", null, SoakChoice.None, Method.OpenPot },
            { "pinto", "long_white", SoakChoice.Quick, Method.OpenPot },
            { "navy", null, SoakChoice.Overnight, Method.SlowCooker },
        };

    private static Plan Planned(string pulse, string? rice, SoakChoice soak, Method method) =>
        Kitchens.Planned(
            Kitchens
                .Dish(pulse, 200, rice, rice is null ? 0 : 300, soak, Style.Saucy, Kitchens.Pot(28, 8))
                .With(Kitchens.Cooks(method, method == Method.SlowCooker ? Crock : null)) with
            {
                BurnerCount = 2,
            }
        );

    /// <summary>As planned, with what each step waits for seen.</summary>
    private static EveningState Until(Plan plan, Instant now)
    {
        var done = AsPlanned(plan, now).OfType<Entry.Done>().ToList();
        var start = Begin(plan);
        return Begin(
            plan,
            done.SelectMany(d =>
                start.Find(d.MomentId)!.Moment is { Trigger.After: { } what, Lane: var lane }
                    ? (IEnumerable<Entry>)[Saw(new Observation.Seen(d.At, what) { VesselId = lane }), d]
                    : [d]
            )
        );
    }

    private static HashSet<(string, string?)> Blocking(EveningForecast ahead) =>
        [.. ahead.Forecast.Gates.Where(g => g.Blocks).Select(g => (g.Code, g.IngredientId))];

    [Theory]
    [MemberData(nameof(Dinners))]
    public void No_answer_at_the_stove_brings_what_a_plan_may_not(string pulse, string? rice, SoakChoice soak, Method method)
    {
        var plan = Planned(pulse, rice, soak, method);
        var (lit, table) = (At(plan, StepIds.Light), At(plan, StepIds.Table));
        var (rescue, late) = (new Rescue(Kitchens.Model, AtHome), new LateOptions(Kitchens.Model, AtHome));
        var (answers, cold) = (0, 0);
        foreach (var share in new[] { 0.3, 0.6, 0.9 })
        {
            var now = lit + ((table - lit) * share);
            var evening = Until(plan, now);
            var standing = AtHome.Forecast(evening, now, plan.Dish.Targets, 24);
            // What goes as planned is found fault with by nobody.
            Assert.Empty(Blocking(standing));
            var offered = Enum.GetValues<Trouble>()
                .SelectMany(t => rescue.For(evening, now, t, plan.Dish, t == Trouble.CalledAway ? 40 : null))
                .Concat(late.For(standing, plan.Dish));
            foreach (var answer in offered)
            {
                answers++;
                cold += answer.Caution == HoldGate.TooCool ? 1 : 0;
                Assert.True(
                    answer.Course is null || answer.Caution == HoldGate.TooCool || Blocking(answer.After).Count == 0,
                    $"{share}: {answer.Code} {string.Join(", ", Blocking(answer.After))}"
                );
            }
        }

        output.WriteLine($"{answers} answers, {cold} of them cold");
        Assert.True(answers >= 12, $"{answers}");
    }

    [Fact]
    public void A_cooker_that_may_run_alone_goes_on_while_somebody_is_called_away()
    {
        var plan = Planned("navy", null, SoakChoice.Overnight, Method.SlowCooker);
        var now = At(plan, StepIds.SlowStarts) + Min(60);
        var answer = Assert.Single(new Rescue(Kitchens.Model, AtHome).For(Until(plan, now), now, Trouble.CalledAway, plan.Dish, 60));
        Assert.Equal(("runs_on", FlameGate.ApplianceAlone), (answer.Code, answer.Caution));
        Assert.Empty(answer.Before);
    }

    [Fact]
    public void Three_hours_away_without_a_flame_are_told_as_food_to_throw_away()
    {
        var plan = Planned("black", null, SoakChoice.None, Method.OpenPot);
        var now = At(plan, StepIds.Light) + ((At(plan, StepIds.Ready) - At(plan, StepIds.Light)) * 0.7);
        Answer Away(double minutes) =>
            Assert.Single(new Rescue(Kitchens.Model, Eye).For(Until(plan, now), now, Trouble.CalledAway, plan.Dish, minutes));
        Assert.Null(Away(40).Caution);
        Assert.Equal(HoldGate.TooCool, Away(240).Caution);
    }

    [Fact]
    public void A_soak_that_began_too_late_at_the_stove_is_none()
    {
        var plan = Planned("kidney_red", "basmati_unsoaked", SoakChoice.Overnight, Method.OpenPot);
        var (starts, drains) = (At(plan, StepIds.SoakStarts), At(plan, StepIds.SoakEnds));
        IReadOnlyList<GateFinding> Soaked(Instant from)
        {
            var evening = Begin(plan);
            List<Entry> told = [Did(evening, StepIds.SoakStarts, from), Did(evening, StepIds.SoakEnds, drains)];
            var now = drains + Min(1);
            return AtHome.Forecast(Begin(plan, told), now, plan.Dish.Targets, 16).Forecast.Gates;
        }

        Assert.DoesNotContain(Soaked(starts), g => g.Blocks);
        Assert.Contains(Soaked(drains - Min(180)), g => g is { Blocks: true, Code: LectinGate.NotBoiledCode });
    }

    [Fact]
    public void A_flame_that_went_out_in_the_hard_boil_is_mended_only_by_a_whole_one()
    {
        var plan = Planned("kidney_red", "basmati_unsoaked", SoakChoice.Overnight, Method.OpenPot);
        var now = At(plan, StepIds.Boils) + Min(5);
        var evening = Until(plan, now);
        var answer = Assert.Single(new Rescue(Kitchens.Model, AtHome).For(evening, now, Trouble.FlameOut, plan.Dish, 3));
        Assert.Empty(Blocking(answer.After));
        // Lit again for the five minutes that were left is not enough.
        EveningState broken = answer.Before.Aggregate(evening, (e, entry) => e.With(entry));
        var rest = AtHome.Forecast(broken, now, plan.Dish.Targets, 16);
        var hasty = broken.With(
            new Course(
                "hasty",
                [new CookAction.Heat(Trigger.At(now), Flame.Rolling), .. rest.Cook.Actions.Where((_, i) => rest.Pending[i] is not null)],
                [],
                []
            ),
            now
        );
        Assert.Contains(Blocking(AtHome.Forecast(hasty, now, plan.Dish.Targets, 16)), b => b is (LectinGate.NotBoiledCode, "pulse"));
    }
}
