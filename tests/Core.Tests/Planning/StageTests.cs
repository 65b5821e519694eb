using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Planning.Stages;
using BrightKettle.Core.Safety;
using BrightKettle.Core.Units;
using NodaTime;
using Xunit;
using static BrightKettle.Core.Tests.Kitchens;

namespace BrightKettle.Core.Tests.Planning;

/// <summary>Ways are lists of stages; the two in which pulses leave their liquor for the rice.</summary>
public sealed class StageTests
{
    /// <summary>So many pots that the chance is known to two or three points.</summary>
    private const int Pots = 512;

    private static Plan Judged(Dish dish) => Assert.IsType<PlanAnswer.Planned>(Plans.Plan(dish, Pots)).Plan;

    private static Dish Joined(RiceJoin join, string pulse, string rice, SoakChoice soak, Style style = Style.Dry) =>
        Dish(pulse, 200, rice, 250, soak, style) with
        {
            RiceJoin = join,
        };

    [Theory]
    [InlineData("lentil_green", "long_white", SoakChoice.None)]
    [InlineData("lentil_black", "basmati_unsoaked", SoakChoice.None)]
    [InlineData("adzuki", "jasmine", SoakChoice.None)]
    [InlineData("cowpea_red_brown", "long_white", SoakChoice.None)]
    [InlineData("chickpea", "basmati_unsoaked", SoakChoice.Overnight)]
    public void Par_cooked_pulses_are_drained_and_both_are_right_in_fresh_water(string pulse, string rice, SoakChoice soak)
    {
        var plan = Judged(Joined(RiceJoin.AfterDraining, pulse, rice, soak));
        Assert.Null(CookRules.Check(plan.Cook));
        var run = plan.Forecast.Reference;
        var drained = run.At(WaySolver.IndexOf(plan.Cook, StepIds.Drained));
        // Their own water was enough to the end, and none of it comes to the rice.
        Assert.True(drained.LiquorBefore > 50 && drained.LiquorAfter < 20, $"{drained.LiquorBefore} {drained.LiquorAfter}");
        Assert.Equal(0, run.DrySeconds);
        var set = run.At(WaySolver.IndexOf(plan.Cook, StepIds.SetLiquor));
        Assert.True(set.Added > 250, $"{set.Added}");
        Assert.NotNull(plan.Waits);
        Assert.InRange(plan.ShareTender, 0.85, 1);
    }

    [Theory]
    [InlineData("lentil_brown", "long_white", SoakChoice.None)]
    [InlineData("mung_whole", "parboiled", SoakChoice.None)]
    [InlineData("black_eyed_pea", "jasmine", SoakChoice.None)]
    [InlineData("kidney_red", "basmati_unsoaked", SoakChoice.Overnight)]
    [InlineData("navy", "long_white", SoakChoice.Overnight)]
    public void Rice_is_cooked_in_the_pulses_liquor_and_they_come_back_on_it(string pulse, string rice, SoakChoice soak)
    {
        var plan = Judged(Joined(RiceJoin.InTheLiquor, pulse, rice, soak, Style.Moist));
        Assert.Null(CookRules.Check(plan.Cook));
        int At(string step) => WaySolver.IndexOf(plan.Cook, step);
        var bowl = plan.Cook.Kitchen.IndexOf(PulseBowl.Id);
        Assert.Equal(bowl, plan.Trace.PlaceAfter(At(StepIds.Lifted), Way.PulseId));
        Assert.Equal(bowl, plan.Trace.PlaceBefore(At(StepIds.HeatOff), Way.PulseId));
        Assert.Equal(0, plan.Trace.PlaceAfter(At(StepIds.PutBack), Way.PulseId));
        // Their liquor is what the rice drinks, nearly to the film that is wanted.
        var run = plan.Forecast.Reference;
        Assert.True(run.At(At(StepIds.SetLiquor)).LiquorBefore > 100);
        Assert.InRange(run.FinalLiquor, 0.3 * plan.Dish.WantedLiquorGrams, 2 * plan.Dish.WantedLiquorGrams);
        Assert.InRange(plan.ShareTender, 0.85, 1);
        // Hot again at the table, though they stood beside.
        Assert.True(run.Vessels[0].Celsius > HoldGate.HotCelsius, $"{run.Vessels[0].Celsius}");
        Assert.DoesNotContain(plan.Gates, g => g.Blocks);
    }

    [Fact]
    public void Both_are_offered_with_rice_that_is_eaten_without_a_spoon_and_nowhere_else()
    {
        IReadOnlyList<RiceJoin> Offered(Dish dish) =>
            [
                .. new WayFinder(Plans, PulseCatalogue.Shipped)
                    .For(dish, 32)
                    .Where(o => o.RiceJoin != RiceJoin.InThePot)
                    .Select(o => o.RiceJoin),
            ];
        var dry = Dish("lentil_green", 200, "long_white", 250, SoakChoice.Overnight);
        Assert.Equal([RiceJoin.AfterDraining, RiceJoin.InTheLiquor], Offered(dry).Order());
        Assert.Empty(Offered(dry with { Style = Style.Soup }));
        Assert.Empty(Offered(dry with { Rice = null }));
    }

    [Fact]
    public void Dry_beans_with_a_lectin_stay_at_the_boil_until_they_are_soft_before_they_are_lifted()
    {
        var plan = Planned(Joined(RiceJoin.InTheLiquor, "kidney_red", "long_white", SoakChoice.None));
        Assert.DoesNotContain(plan.Gates, g => g.Blocks);
        Assert.True(plan.Forecast.Reference.At(WaySolver.IndexOf(plan.Cook, StepIds.Lifted)).Doneness[0] >= Doneness.Tender);
    }

    /// <summary>It is cooked and dried: five minutes too many are porridge.</summary>
    [Theory]
    [InlineData("chickpea", SoakChoice.Overnight, Style.Moist)]
    [InlineData("pinto", SoakChoice.None, Style.Saucy)]
    [InlineData("lentil_green", SoakChoice.None, Style.Saucy)]
    [InlineData("black_eyed_pea", SoakChoice.None, Style.Soup)]
    public void Instant_rice_is_stirred_in_at_the_end_and_drinks_what_it_should(string pulse, SoakChoice soak, Style style)
    {
        var plan = Planned(Dish(pulse, 200, "instant_precooked", 250, soak, style));
        Assert.Null(CookRules.Check(plan.Cook));
        var run = plan.Forecast.Reference;
        var off = run.At(WaySolver.IndexOf(plan.Cook, StepIds.HeatOff)).Seconds;
        // In as the flame goes out, and off the heat until the table.
        Assert.Equal(off, run.At(WaySolver.IndexOf(plan.Cook, StepIds.Join)).Seconds, 1.0);
        Assert.Equal(60 * plan.Dish.RiceRestMinutes, run.EndSeconds - off, 1.0);
        // A broth of pulses lets it drink so much more than water.
        var more = 1 + Kitchens.Catalogue.Constants.RiceThirst;
        Assert.InRange(run.Final[1].Uptake, plan.Dish.Rice!.Absorbed.Low, plan.Dish.Rice.Absorbed.High * more);
        Assert.InRange(run.FinalLiquor, 0.7 * plan.Dish.WantedLiquorGrams, 1.3 * plan.Dish.WantedLiquorGrams);
        Assert.InRange(plan.ShareTender, 0.85, 1);
    }

    /// <summary>Two bags that are looked at one after the other: each ends when it is found right, however slow the other is.</summary>
    [Fact]
    public void Of_two_lentils_that_shall_stay_whole_one_waits_in_a_bowl_while_the_other_cooks_in_its_liquor()
    {
        var plan = Judged(
            Dish("lentil_green", 150, style: Style.Dry) with
            {
                OtherPulses = [new OtherPulse(Pulse("lentil_french"), Mass.FromGrams(75))],
            }
        );
        Assert.Null(CookRules.Check(plan.Cook));
        var run = plan.Forecast.Reference;
        double At(string step) => run.At(WaySolver.IndexOf(plan.Cook, step)).Seconds;
        string[] inOrder = [StepIds.Ready, StepIds.Lifted, StepIds.OtherIn, StepIds.OtherSoft, StepIds.PutBack, StepIds.Table];
        Assert.Equal(inOrder, inOrder.OrderBy(At));
        Assert.Equal(0, run.DrySeconds);
        Assert.InRange(plan.ShareTender, 0.85, 1);
    }

    /// <summary>Soaked seed with a lectin may go in later: it has its hard boil then.</summary>
    [Fact]
    public void A_quicker_bean_with_a_lectin_joins_later_and_boils_hard_for_itself()
    {
        var plan = Judged(
            Dish("bambara", 250, soak: SoakChoice.Overnight, style: Style.Moist) with
            {
                OtherPulses = [new OtherPulse(Pulse("flageolet"), Mass.FromGrams(100))],
            }
        );
        Assert.Null(CookRules.Check(plan.Cook));
        var joins = WaySolver.IndexOf(plan.Cook, StepIds.OtherIn);
        Assert.True(joins > WaySolver.IndexOf(plan.Cook, StepIds.Ready));
        var boil = plan.Cook.Actions.Skip(joins).OfType<CookAction.Heat>().SkipWhile(h => h.Flame != Flame.Rolling).Take(2).ToList();
        Assert.Equal(LectinGate.RequiredBoil(plan.Dish.Household.Altitude, cautious: false), boil[1].Trigger.Delay);
        Assert.InRange(plan.ShareTender, 0.85, 1);
    }

    /// <summary>What docs/architecture.md promises: a way is added by writing down its stages.</summary>
    [Fact]
    public void A_new_way_is_a_new_list()
    {
        var dish = Dish("chickpea", 200, null, 0, SoakChoice.Overnight, Style.Dry);
        var way = new Way(JoinOrder.PulseAlone, dish.ServeAt - Duration.FromHours(2))
        {
            Water = dish.PulseDry * 5,
            JoinAt = dish.ServeAt,
            FirstLook = dish.ServeAt - Duration.FromHours(1.5),
            Wait = FeltState.Soft,
        };
        // Soaked, simmered, drained as soon as they are soft.
        var cook = way.Build(
            dish,
            [
                new SoakPulses(),
                new Start(Way.PulseId, Lid.Ajar),
                new Simmer(Flame.Lively),
                new UntilFound(AtFirstLook: true, Drained: StepIds.Finish),
                new ServeDrained(),
            ]
        );
        Assert.Null(CookRules.Check(cook));
        var run = Model.Run(cook, PotTraits.Reference(cook));
        Assert.Null(run.StalledAt);
        Assert.True(run.Final[0].Doneness >= Doneness.Tender && run.FinalLiquor < 20);
    }
}
