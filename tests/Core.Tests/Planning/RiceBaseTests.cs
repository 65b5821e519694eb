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

/// <summary>What goes into the rice's own pot: a base that is fried there first, coconut milk for its water, leaves that come out.</summary>
public sealed class RiceBaseTests(ITestOutputHelper output)
{
    private static DishExtra WithRice(string id, double grams, int pieces = 0) =>
        new(Kitchens.Catalogue.FindExtra(id)!, Mass.FromGrams(grams), ExtraTime.Rice, pieces);

    private static Dish Beside(string pulse, string rice, double grams, CookVessel pot, params DishExtra[] extras) =>
        Dish(pulse, 250, rice, grams, SoakChoice.Overnight, Style.Saucy).With(new InItsOwnPot(pot)) with
        {
            Extras = extras,
        };

    private static int At(Plan plan, string step) => plan.Cook.StepAt(step);

    [Fact]
    public void A_base_is_fried_in_the_rices_pot_and_leaves_come_out_of_it()
    {
        var pot = new CookVessel(Pot(23, 4), Burner());
        var plan = Planned(Beside("chickpea", "long_white", 300, pot, WithRice("leaf", 1, 2), WithRice("onion", 120)));
        Assert.Null(CookRules.Check(plan.Cook));
        var own = plan.Cook.Actions.Where(a => a.In == "pot23").ToList();
        Assert.Equal(["x_onion", Way.RiceId, "x_leaf"], own.OfType<CookAction.Add>().Select(a => a.IngredientId));
        Assert.Equal(StepIds.RiceBase, own[0].StepId);
        Assert.Equal(
            12,
            (plan.Forecast.Find(StepIds.RiceLight)!.Reference - plan.Forecast.Find(StepIds.RiceBase)!.Reference).TotalMinutes,
            0.5
        );
        // Out of the rice, before it is fluffed, and not looked for among the pulses.
        var leaf = Assert.Single(plan.Cook.Actions.OfType<CookAction.TakeOut>());
        Assert.Equal("pot23", leaf.In);
        Assert.True(plan.Cook.Actions.ToList().IndexOf(leaf) < At(plan, StepIds.RiceRested));
        Assert.DoesNotContain(plan.Gates, g => g.Blocks);
        plan.WalkToTheTable();
        var hands = HandsPlanner.For(plan, 2);
        Assert.Contains(hands.Visits, v => v.Mark == StepIds.RiceBase);
        Assert.DoesNotContain(hands.Tasks.Select(t => t.Task).Concat(hands.Unplaced), t => t.Kind == "brown");
        // In a pot for all of it, or in a rice cooker, nothing is fried there.
        var joined = Planned(plan.Dish.With(new InThePot()));
        Assert.Equal(ExtraTime.Start, joined.Dish.Extras.Single(x => x.Extra.Id == "onion").Time);
        Assert.True(At(joined, StepIds.RiceBase) < 0);
    }

    [Fact]
    public void Coconut_milk_counts_as_its_water()
    {
        var pot = new CookVessel(Pot(23, 4), Burner());
        double Water(Plan plan) => plan.Cook.Actions.OfType<CookAction.AddWater>().Single(a => a.In == "pot23").Water.Grams;
        var plain = Planned(Beside("chickpea", "jasmine", 300, pot));
        var coconut = Planned(Beside("chickpea", "jasmine", 300, pot, WithRice("coconut_milk", 300)));
        var brings = 300 * Kitchens.Catalogue.FindExtra("coconut_milk")!.FreeWater;
        Assert.InRange(Water(plain) - Water(coconut), brings - 30, brings + 30);
        Assert.InRange(coconut.ShareTender, plain.ShareTender - 0.03, 1);
    }

    /// <summary>By lot: onions, carrots, coconut milk, peas or fat with the rice cost no dinner.</summary>
    [Fact]
    public void Twenty_dinners_by_lot_come_out_with_it()
    {
        var lot = new Random(23);
        string[] rices = ["basmati_unsoaked", "long_white", "jasmine", "brown_long", "parboiled", "medium_white"];
        string[] pulses = ["chickpea", "lentil_brown", "pinto", "mung_whole"];
        string[] extras = ["onion", "coconut_milk", "leaf", "soft_vegetable", "butter"];
        var worse = new List<string>();
        for (var i = 0; i < 20; i++)
        {
            var what = extras.OrderBy(_ => lot.Next()).Take(1 + lot.Next(3)).ToList();
            var dish = Beside(
                pulses[i % 4],
                rices[i % 6],
                150 + lot.Next(200),
                new(Pot(23 + lot.Next(3), 4), Burner(900 + lot.Next(900))),
                [.. what.Select(id => WithRice(id, id == "leaf" ? 1 : 30 + lot.Next(170), id == "leaf" ? 2 : 0))]
            );
            var (with, without) = (Planned(dish), Planned(dish with { Extras = [] }));
            var rice = with.Cook.IndexOf(Way.RiceId);
            output.WriteLine(
                $"{dish.Pulse.Id} {dish.Rice!.Id} {string.Join(" ", what)}: {with.ShareTender:0.00} {without.ShareTender:0.00}, "
                    + $"rice {with.Forecast.Reference.Final[rice].Doneness:0}, left {with.Forecast.Reference.Vessels[1].LiquorGrams:0} g"
            );
            if (with.ShareTender < without.ShareTender - 0.05 || with.Forecast.Reference.Vessels[1].LiquorGrams > 0.15 * dish.RiceDry.Grams)
            {
                worse.Add($"{dish.Pulse.Id} {dish.Rice!.Id} {string.Join(" ", what)}");
            }
        }

        Assert.Empty(worse);
    }
}
