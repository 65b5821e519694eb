using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Planning.Manners;
using BrightKettle.Core.Planning.Solving;
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
        Dish(pulse, 200, rice, 250, soak, style).With(Comes(join));

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
        var drained = run.At(plan.Cook.StepAt(StepIds.Drained));
        // Their own water was enough to the end, and none of it comes to the rice.
        Assert.True(drained.LiquorBefore > 50 && drained.LiquorAfter < 20, $"{drained.LiquorBefore} {drained.LiquorAfter}");
        Assert.Equal(0, run.DrySeconds);
        var set = run.At(plan.Cook.StepAt(StepIds.SetLiquor));
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
        int At(string step) => plan.Cook.StepAt(step);
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
        Assert.True(plan.Forecast.Reference.At(plan.Cook.StepAt(StepIds.Lifted)).Doneness[0] >= Doneness.Tender);
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
        var off = run.At(plan.Cook.StepAt(StepIds.HeatOff)).Seconds;
        // In as the flame goes out, and off the heat until the table.
        Assert.Equal(off, run.At(plan.Cook.StepAt(StepIds.Join)).Seconds, 1.0);
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
        double At(string step) => run.At(plan.Cook.StepAt(step)).Seconds;
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
        var joins = plan.Cook.StepAt(StepIds.OtherIn);
        Assert.True(joins > plan.Cook.StepAt(StepIds.Ready));
        var boil = plan.Cook.Actions.Skip(joins).OfType<CookAction.Heat>().SkipWhile(h => h.Flame != Flame.Rolling).Take(2).ToList();
        Assert.Equal(LectinGate.RequiredBoil(plan.Dish.Household.Altitude, cautious: false), boil[1].Trigger.Delay);
        Assert.InRange(plan.ShareTender, 0.85, 1);
    }

    /// <summary>What docs/architecture.md promises: a way is added by writing down its stages.</summary>
    [Fact]
    public void A_new_way_is_a_new_list()
    {
        var dish = Dish("chickpea", 200, null, 0, SoakChoice.Overnight, Style.Dry);
        var way = new Way(WayLists.PulsesAlone, dish.ServeAt - Duration.FromHours(2))
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

    /// <summary>Dishes that between them have every list, every manner and every stage that is asked for.</summary>
    private static IEnumerable<Dish> EveryKind()
    {
        var beans = Dish("pinto", 200, "long_white", 250, SoakChoice.Overnight, Style.Moist);
        var cooker = Cooking.Pots.Cooker(CookerKind.Electric);
        PulseCooking[] cooked = [new OpenPot(), new UnderPressure(cooker), new InCrock(Cooking.Pots.Cooker(CookerKind.Slow))];
        RiceCooking[] rices =
        [
            new InThePot(),
            new InItsOwnPot(new(Pot(20, 3), Burner())),
            new AboveThem(new(RiceBowl.For(cooker), Burner(), Above: true)),
            new AfterDraining(),
            new InTheLiquor(),
        ];
        foreach (var rice in rices)
        {
            foreach (
                var kind in cooked.Where(k => rice is InThePot or InItsOwnPot || (rice is AboveThem ? k is UnderPressure : k is OpenPot))
            )
            {
                yield return beans.With(kind).With(rice) with
                {
                    Asked = Enum.GetValues<AskedStage>(),
                };
                yield return beans.With(kind).With(rice).With(new Unsoaked());
            }
        }

        // Rice in a bowl wants a short hold; what is mashed before the rice was waited for until it is soft.
        yield return Dish("toor_split", 200, "long_white", 250, style: Style.Saucy).With(new UnderPressure(cooker)).With(rices[2]);
        yield return Dish("kidney_red", 200, "long_white", 250, style: Style.Moist) with
        {
            Asked = [AskedStage.Mash],
        };
        yield return Dish("chickpea", 250, soak: SoakChoice.Overnight, style: Style.Saucy).With(new UnderPressure(cooker)) with
        {
            Asked = [AskedStage.Move, AskedStage.Bind],
        };
        yield return beans.With(new HotSoak()) with
        {
            Rice = null,
            Style = Style.Dry,
        };
        yield return Dish("black_eyed_pea", 200, "long_white", 250, SoakChoice.Overnight, Style.Moist)
            .With(new InTheLiquor(new(Pot(26, 6), Burner())));
        yield return Dish("chickpea", 200, "long_white", 250, SoakChoice.Overnight, Style.Saucy)
            .With(new InItsOwnPot(new(Pot(23, 4), Burner()))) with
        {
            Asked = [AskedStage.Plenty],
        };
        yield return beans.With(new Warmed(CookedFrom.Fridge));
        yield return Dish("lentil_red_split", 200, "brown_long", 250, style: Style.Moist);
        yield return Dish("chickpea", 200, "instant_precooked", 250, SoakChoice.Overnight, Style.Moist);
        yield return Dish("lentil_green", 150) with
        {
            OtherPulses = [new OtherPulse(Pulse("lentil_french"), Mass.FromGrams(75))],
        };
        yield return Dish("lentil_green", 200) with
        {
            PulseTarget = PulseTarget.Firm,
        };
    }

    /// <summary>Sentences and hands go by the ids of steps: a stage says which it may mark, and marks no other; none is marked that nobody
    /// knows.</summary>
    [Fact]
    public void A_stage_marks_the_steps_that_it_says()
    {
        string[] everywhere = [StepIds.ExtraIn, StepIds.TakeOut, StepIds.Salt];
        var known = typeof(StepIds).GetFields().Select(f => (string)f.GetValue(null)!).ToHashSet();
        var seen = new HashSet<Type>();
        foreach (var plan in EveryKind().Select(d => Plans.Plan(d, rough: true)).OfType<PlanAnswer.Planned>().Select(p => p.Plan))
        {
            foreach (var stage in plan.Way.Stages(plan.Dish))
            {
                var actions = new List<CookAction>();
                stage.Emit(actions, plan.Dish, plan.Way);
                var marks = actions.Select(a => a.StepId).OfType<string>().Except(everywhere).ToList();
                Assert.All(marks, m => Assert.Contains(m, stage.Steps));
                Assert.All(stage.Steps, s => Assert.Contains(s, known));
                seen.Add(stage.GetType());
            }
        }

        var all = typeof(Stage).Assembly.GetTypes().Where(t => t.IsSubclassOf(typeof(Stage))).ToHashSet();
        Assert.Empty(all.Except(seen).Select(t => t.Name));
    }

    /// <summary>One solver: each number that a stage frees is right in the plan, whatever the list.</summary>
    [Fact]
    public void Every_number_that_is_free_reaches_what_it_has_to()
    {
        var checkedNumbers = new HashSet<Type>();
        foreach (var plan in EveryKind().Select(d => Plans.Plan(d, rough: true)).OfType<PlanAnswer.Planned>().Select(p => p.Plan))
        {
            // A vessel of its own is solved by itself, the pot without it.
            foreach (
                var number in plan
                    .Way.Stages(plan.Dish)
                    .SelectMany(s => s.Frees(plan.Way))
                    .Where(n => n is TableHour or JoinLiquor or LastMinutes)
            )
            {
                var miss = number.Miss(new Tried(plan.Dish, plan.Way, plan.Cook, plan.Forecast.Reference));
                // In round figures: whole minutes, ten grams; rice drinks what ten grams more bring.
                var most = number switch
                {
                    TableHour => 180,
                    JoinLiquor => 25 + (0.06 * plan.Dish.TotalDry.Grams),
                    _ => 8,
                };
                Assert.True(
                    Math.Abs(miss) <= most,
                    $"{plan.Dish.Pulse.Id} {plan.Dish.How.Pulses.Method} {plan.Dish.How.Rice.GetType().Name} {number.GetType().Name}: {miss:0.0}"
                );
                checkedNumbers.Add(number.GetType());
            }
        }

        Assert.Equal(3, checkedNumbers.Count);
    }

    /// <summary>The pots of two vessels know nothing of each other: which is written down first changes nothing.</summary>
    [Fact]
    public void Stages_of_another_vessel_may_stand_anywhere_before_the_table()
    {
        var plan = Planned(
            Dish("pinto", 200, "long_white", 250, SoakChoice.Overnight, Style.Moist).With(new InItsOwnPot(new(Pot(20, 3), Burner())))
        );
        var stages = plan.Way.Stages(plan.Dish);
        var beside = stages.Where(s => s is RiceBeside or FoldIn).ToList();
        var moved = plan.Way.Build(plan.Dish, [.. beside, .. stages.Except(beside)]);
        Assert.NotEqual(plan.Cook.Actions.Select(a => a.ToString()), moved.Actions.Select(a => a.ToString()));
        Assert.Null(CookRules.Check(moved));
        PotRun Run(Cook cook) => Model.Run(cook, PotTraits.Reference(cook));
        var (here, there) = (Run(plan.Cook), Run(moved));
        Assert.Equal(here.EndSeconds, there.EndSeconds, 1e-6);
        Assert.Equal(here.Final.Select(f => f.Doneness), there.Final.Select(f => f.Doneness));
        Assert.Equal(here.Vessels.Select(v => v.LiquorGrams), there.Vessels.Select(v => v.LiquorGrams));
        foreach (var step in new[] { StepIds.Ready, StepIds.Finish, StepIds.RiceOff, StepIds.Table })
        {
            Assert.Equal(here.At(plan.Cook.StepAt(step)).Seconds, there.At(moved.StepAt(step)).Seconds, 1e-6);
        }
    }

    /// <summary>Names of steps are for people: the pots do not know them.</summary>
    [Fact]
    public void Steps_by_other_names_are_the_same_cook()
    {
        var plan = Planned(
            Dish("pinto", 200, "long_white", 250, SoakChoice.Overnight, Style.Moist).With(new InItsOwnPot(new(Pot(20, 3), Burner())))
        );
        string? Renamed(string? id) => id is null ? null : $"other {id}";
        var named = plan.Cook with
        {
            Actions =
            [
                .. plan.Cook.Actions.Select(a =>
                    a with
                    {
                        StepId = Renamed(a.StepId),
                        Trigger = a.Trigger with { AfterStep = Renamed(a.Trigger.AfterStep) },
                    }
                ),
            ],
        };
        Assert.Null(CookRules.Check(named));
        var (here, there) = (Model.Run(plan.Cook, PotTraits.Reference(plan.Cook)), Model.Run(named, PotTraits.Reference(named)));
        Assert.Equal(here.Done.Select(d => d?.Seconds), there.Done.Select(d => d?.Seconds));
    }
}
