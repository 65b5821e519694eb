using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Planning.Manners;
using BrightKettle.Core.Tests.Stove;
using Xunit;
using static BrightKettle.Core.Tests.Kitchens;

namespace BrightKettle.Core.Tests.Planning;

/// <summary>Rice in the pulses' liquor, in another pot than theirs.</summary>
public sealed class LiquorInAnotherPotTests(ITestOutputHelper output)
{
    private static readonly CookVessel Wide = new(Pot(26, 6), Burner());

    private static int At(Plan plan, string step) => plan.Cook.StepAt(step);

    [Fact]
    public void The_liquor_goes_over_and_the_pulses_follow_when_the_rice_is_done()
    {
        var dish = Dish("black_eyed_pea", 220, "jasmine", 260, SoakChoice.Overnight, Style.Moist).With(new InTheLiquor(Wide));
        var plan = Planned(dish);
        Assert.Null(CookRules.Check(plan.Cook));
        string[] inOrder =
        [
            StepIds.Ready,
            StepIds.Poured,
            StepIds.SetLiquor,
            StepIds.Join,
            StepIds.HeatOff,
            StepIds.PutBack,
            StepIds.Table,
        ];
        Assert.Equal(inOrder, inOrder.OrderBy(s => plan.Forecast.Reference.At(At(plan, s)).Seconds));
        // All of it is in the wide pot at the table, hot, with the liquor that is wanted.
        Assert.All([Way.PulseId, Way.RiceId], id => Assert.Equal(1, plan.Trace.PlaceAfter(plan.Cook.Actions.Count - 1, id)));
        var served = plan.Forecast.Reference.Vessels[1];
        Assert.InRange(served.Celsius, 65, 101);
        Assert.InRange(served.LiquorGrams, 0.6 * plan.Dish.WantedLiquorGrams, 1.6 * plan.Dish.WantedLiquorGrams);
        Assert.DoesNotContain(plan.Gates, g => g.Blocks);
        Assert.InRange(plan.MinuteOfDay(StepIds.Table), (19 * 60) - 3, (19 * 60) + 3);
        plan.WalkToTheTable();
        // Drained rice was asked for and has no place here: it asks for no larger pot.
        var wished = Planned(dish.With(new InTheLiquor(new(Pot(24, 2.6), Burner()))) with { Asked = [AskedStage.Plenty] });
        Assert.Equal([AskedStage.Plenty], wished.LeftOut);
        // It must hold all of it.
        var small = dish.With(new InTheLiquor(new(Pot(18, 1.5), Burner())));
        Assert.Equal(PlanRefusal.PotTooSmallForRice, Assert.IsType<PlanAnswer.Refused>(Plans.Plan(small)).Refusal.Code);
    }

    /// <summary>Every quick and slow pulse by lot, against the same rice in the pulses' own pot.</summary>
    [Fact]
    public void Twenty_dinners_by_lot_are_as_sure_as_in_one_pot()
    {
        var lot = new Random(31);
        string[] rices = ["basmati_unsoaked", "long_white", "jasmine", "brown_long", "parboiled", "medium_white"];
        string[] pulses = ["chickpea", "lentil_brown", "pinto", "mung_whole", "black_eyed_pea", "kidney_red", "adzuki"];
        var worse = new List<string>();
        var planned = 0;
        for (var i = 0; i < 20; i++)
        {
            var dish = Dish(
                pulses[i % 7],
                180 + lot.Next(100),
                rices[i % 6],
                180 + lot.Next(120),
                Pulse(pulses[i % 7]).SoakHours.High > 0 ? SoakChoice.Overnight : SoakChoice.None,
                i % 2 == 0 ? Style.Dry : Style.Moist
            );
            var (one, two) = (Plans.Plan(dish.With(new InTheLiquor())), Plans.Plan(dish.With(new InTheLiquor(Wide))));
            var (same, other) = ((one as PlanAnswer.Planned)?.Plan.ShareTender, (two as PlanAnswer.Planned)?.Plan.ShareTender);
            planned += other is null ? 0 : 1;
            output.WriteLine(
                $"{dish.Pulse.Id} {dish.Rice!.Id} {dish.Style}: {other:0.00} {same:0.00} {(two as PlanAnswer.Refused)?.Refusal.Code} {(one as PlanAnswer.Refused)?.Refusal.Code}"
            );
            if ((other ?? 0) < (same ?? 0) - 0.06)
            {
                worse.Add($"{dish.Pulse.Id} {dish.Rice!.Id} {dish.Style}");
            }
        }

        Assert.Empty(worse);
        Assert.True(planned >= 16, $"{planned} of 20");
    }
}
