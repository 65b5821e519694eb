using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Planning.Hands;
using BrightKettle.Core.Planning.Manners;
using BrightKettle.Core.Tests.Stove;
using BrightKettle.Core.Units;
using Xunit;
using static BrightKettle.Core.Tests.Kitchens;

namespace BrightKettle.Core.Tests.Planning;

/// <summary>Rice that boils in plenty of water and is drained.</summary>
public sealed class RiceInPlentyTests(ITestOutputHelper output)
{
    private static Dish Boiled(string pulse, string rice, double grams, CookVessel pot, params AskedStage[] more) =>
        Dish(pulse, 250, rice, grams, SoakChoice.Overnight, Style.Saucy).With(new InItsOwnPot(pot)) with
        {
            Asked = [AskedStage.Plenty, .. more],
        };

    private static int At(Plan plan, string step) => plan.Cook.StepAt(step);

    [Fact]
    public void It_goes_into_boiling_salted_water_and_leaves_it_when_it_is_far_enough()
    {
        var plan = Planned(Boiled("chickpea", "long_white", 300, new(Pot(23, 4), Burner())));
        Assert.Null(CookRules.Check(plan.Cook));
        Assert.Empty(plan.LeftOut);
        string[] inOrder = [StepIds.RiceLight, StepIds.RiceIn, StepIds.RiceBoils, StepIds.RiceDrained, StepIds.RiceRested];
        Assert.Equal(inOrder, inOrder.OrderBy(s => At(plan, s)));
        // The water boils before the rice is in it, and its salt is in by then.
        var own = plan.Cook.Actions.Where(a => a.In == "pot23").ToList();
        Assert.Equal(PotEvent.Boils, own[own.FindIndex(a => a.StepId == StepIds.RiceIn) - 1].Trigger.After);
        Assert.IsType<CookAction.AddSalt>(own[own.FindIndex(a => a.StepId == StepIds.RiceIn) - 1]);
        Assert.InRange(
            (plan.Forecast.Find(StepIds.RiceIn)!.Reference - plan.Forecast.Find(StepIds.RiceLight)!.Reference).TotalMinutes,
            5,
            25
        );
        // Most of the water is poured off, and most of its salt with it: what stays tastes nearly as the household has it.
        var poured = plan.Forecast.Reference.At(At(plan, StepIds.RiceDrained) + 1);
        Assert.InRange(poured.LiquorBefore - poured.LiquorAfter, 700, 1500);
        Assert.InRange(plan.Amounts.Sheet.PercentNow, 0.75 * plan.Dish.SaltPercent, 1.2 * plan.Dish.SaltPercent);
        var salt = plan.Cook.Actions.OfType<CookAction.AddSalt>().Single(a => a.In == "pot23").Salt.Grams;
        Assert.InRange(salt, 18, 0.015 * 1800);
        Assert.InRange(plan.MinuteOfDay(StepIds.Table), (19 * 60) - 3, (19 * 60) + 3);
        Assert.DoesNotContain(plan.Gates, g => g.Blocks);
        plan.WalkToTheTable();
        Assert.Contains(HandsPlanner.For(plan, 2).Visits, v => v.Mark == StepIds.RiceIn);
        Assert.Contains(HandsPlanner.For(plan, 2).Visits, v => v.Mark == StepIds.RiceDrained);
    }

    [Fact]
    public void Where_it_has_no_pot_or_is_cooked_already_it_is_left_out_and_a_small_pot_is_refused()
    {
        var plain = Dish("navy", 250, "long_white", 250, SoakChoice.Overnight, Style.Moist) with { Asked = [AskedStage.Plenty] };
        Assert.Equal([AskedStage.Plenty], Planned(plain).LeftOut);
        // Either the crust or the sieve.
        Assert.False(Boiled("navy", "long_white", 300, new(Pot(23, 4), Burner()), AskedStage.Crust).Has(AskedStage.Crust));
        var small = Boiled("navy", "long_white", 400, new(Pot(18, 2.2), Burner()));
        var refused = Assert.IsType<PlanAnswer.Refused>(Plans.Plan(small)).Refusal;
        Assert.Equal(PlanRefusal.PotTooSmallForRice, refused.Code);
        Assert.Equal(2800, refused.Facts.NeededMillilitres!.Value, 1.0);
        Assert.IsType<PlanAnswer.Planned>(Plans.Plan(small with { Asked = [] }));
    }

    /// <summary>Rices, amounts, pots and burners by lot: it is as sure as rice in measured water, and leaves no pot wet.</summary>
    [Fact]
    public void Twenty_dinners_by_lot_come_out_with_it()
    {
        var lot = new Random(7);
        string[] rices = ["basmati_unsoaked", "long_white", "jasmine", "brown_long", "parboiled", "medium_white"];
        string[] pulses = ["chickpea", "lentil_brown", "pinto", "mung_whole"];
        var (wanted, all, wet) = (0, 0, 0);
        var worse = new List<string>();
        for (var i = 0; i < 20; i++)
        {
            var dish = Boiled(
                pulses[i % pulses.Length],
                rices[i % rices.Length],
                150 + lot.Next(250),
                new(Pot(23 + lot.Next(5), 4 + lot.Next(3)), Burner(900 + lot.Next(1100)))
            );
            var measured = (Plans.Plan(dish with { Asked = [] }) as PlanAnswer.Planned)?.Plan;
            var answer = Plans.Plan(dish);
            if (answer is not PlanAnswer.Planned { Plan: var drained })
            {
                output.WriteLine(
                    $"{dish.Pulse.Id} {dish.Rice!.Id}: {((PlanAnswer.Refused)answer).Refusal.Code}, measured {measured?.ShareTender:0.00}"
                );
                Assert.True(measured is null);
                continue;
            }

            if (drained.ShareTender < measured?.ShareTender - 0.05)
            {
                worse.Add($"{dish.Pulse.Id} {dish.Rice!.Id} {drained.ShareTender:0.00} not {measured?.ShareTender:0.00}");
            }

            var rice = drained.Cook.IndexOf(Way.RiceId);
            var window = dish.Targets.Window(dish.Rice!);
            foreach (
                var run in Model.RunMany([.. PotTraits.Many(drained.Cook, Model.Constants, 32).Select(t => new PotJob(drained.Cook, t))])
            )
            {
                all++;
                var done = run.Final[rice].Doneness;
                wanted += done >= window.Low && done <= window.High ? 1 : 0;
                wet += run.Vessels[1].LiquorGrams > 0.15 * dish.RiceDry.Grams ? 1 : 0;
            }

            output.WriteLine(
                $"{dish.Pulse.Id} {dish.Rice!.Id}: {drained.ShareTender:0.00} {measured?.ShareTender:0.00}, "
                    + $"rice {drained.Forecast.Reference.Final[rice].Doneness:0} uptake {drained.Forecast.Reference.Final[rice].Uptake:0.00} of {dish.Rice.Absorbed.Typical:0.00}, "
                    + $"left {drained.Forecast.Reference.Vessels[1].LiquorGrams:0} g"
            );
        }

        output.WriteLine($"{wanted} of {all} as wanted, {wet} wet");
        Assert.Empty(worse);
        Assert.True(wanted >= 0.95 * all, $"{wanted} of {all}");
        Assert.True(wet <= 0.02 * all, $"{wet} of {all} wet");
    }
}
