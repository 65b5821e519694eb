using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Planning.Manners;
using BrightKettle.Core.Tests.Stove;
using BrightKettle.Core.Units;
using Xunit;
using static BrightKettle.Core.Tests.Kitchens;

namespace BrightKettle.Core.Tests.Planning;

/// <summary>Rice in a rice cooker, beside the pulses.</summary>
public sealed class RiceCookerTests(ITestOutputHelper output)
{
    private static Vessel Automat(double litres) =>
        new("automat", "rice cooker", Length.FromCentimetres(19), Volume.FromMillilitres(litres * 1000))
        {
            Cooker = Cooker.Typical(CookerKind.Rice, litres * 1000),
        };

    private static Dish Beside(string pulse, string rice, double grams, Vessel automat) =>
        Dish(pulse, 250, rice, grams, SoakChoice.Overnight, Style.Saucy).With(new InItsOwnPot(new(automat, Burner())));

    private static int At(Plan plan, string step) => plan.Cook.StepAt(step);

    [Fact]
    public void It_goes_over_to_warm_by_itself_and_keeps_until_the_table()
    {
        var dish = Beside("chickpea", "long_white", 300, Automat(2.5));
        var plan = Planned(dish);
        Assert.Null(CookRules.Check(plan.Cook));
        string[] inOrder = [StepIds.RiceLight, StepIds.RiceWarm, StepIds.RiceRested];
        Assert.Equal(inOrder, inOrder.OrderBy(s => At(plan, s)));
        double Minutes(string from, string to) => (plan.Forecast.Find(to)!.Reference - plan.Forecast.Find(from)!.Reference).TotalMinutes;
        Assert.InRange(Minutes(StepIds.RiceLight, StepIds.RiceWarm), 22, 40);
        // It is ready early, and still hot at the table.
        Assert.InRange(Minutes(StepIds.RiceRested, StepIds.Table), 8, 13);
        Assert.InRange(plan.Forecast.Reference.Vessels[1].Celsius, 65, 101);
        Assert.InRange(plan.MinuteOfDay(StepIds.Table), (19 * 60) - 3, (19 * 60) + 3);
        Assert.DoesNotContain(plan.Gates, g => g.Blocks);
        plan.WalkToTheTable();
        // Nothing of it is turned or tasted: toast and crust have no place there.
        Assert.Equal(
            [AskedStage.Toast, AskedStage.Crust, AskedStage.Plenty],
            Planned(dish with { Asked = [AskedStage.Toast, AskedStage.Crust, AskedStage.Plenty] }).LeftOut
        );
    }

    [Fact]
    public void Only_a_rice_cooker_goes_over_by_itself_and_it_has_no_lively_flame()
    {
        var plan = Planned(Beside("chickpea", "long_white", 300, Automat(2.5)));
        var warm = At(plan, StepIds.RiceWarm);
        Cook With(CookAction action) => plan.Cook with { Actions = [.. plan.Cook.Actions.Select((a, i) => i == warm ? action : a)] };
        var lively = ((CookAction.Heat)plan.Cook.Actions[warm]) with { Flame = Flame.Lively };
        Assert.Equal("cook.rice_setting", CookRules.Check(With(lively))?.Code);
        var pot = plan.Cook with
        {
            Kitchen = plan.Cook.Kitchen with { OtherVessels = [new(Automat(2.5) with { Cooker = null }, Burner())] },
        };
        Assert.Contains(CookRules.Check(pot)?.Code, new[] { "cook.not_rice_cooker", "cook.not_slow" });
        var waits = pot with
        {
            Actions = [.. pot.Actions.Select(a => a is CookAction.Heat { Flame: Flame.High } h ? h with { Flame = Flame.Full } : a)],
        };
        Assert.Equal("cook.not_rice_cooker", CookRules.Check(waits)?.Code);
    }

    /// <summary>A kitchen with one burner has rice beside all the same, and no cooker for the pulses in it.</summary>
    [Fact]
    public void The_ways_of_a_kitchen_with_one_take_it_for_the_rice_and_for_nothing_else()
    {
        var automat = Automat(2.5);
        var dish = Dish("lentil_brown", 250, "long_white", 250, SoakChoice.None, Style.Saucy) with
        {
            OtherVessels = [automat],
            OtherBurner = null,
            BurnerCount = 1,
        };
        var ways = new WayFinder(Plans, Kitchens.Catalogue).For(dish, 32);
        Assert.Contains(ways, w => w.RiceVesselId == automat.Id && w.Plan is not null);
        Assert.DoesNotContain(ways, w => w.CookerId == automat.Id);
        // What wants a flame of its own wants a pot.
        Assert.DoesNotContain(new WayFinder(Plans, Kitchens.Catalogue).For(dish with { Asked = [AskedStage.Plenty] }, 32), w =>
            w.RiceVesselId == automat.Id
        );
    }

    /// <summary>Rices, amounts and sizes by lot, each against the same rice in a pot on a burner.</summary>
    [Fact]
    public void Twenty_dinners_by_lot_come_out_with_it()
    {
        var lot = new Random(11);
        string[] rices = ["basmati_unsoaked", "long_white", "jasmine", "brown_long", "parboiled", "medium_white"];
        string[] pulses = ["chickpea", "lentil_brown", "pinto", "mung_whole"];
        var (wanted, all, wet) = (0, 0, 0);
        var worse = new List<string>();
        for (var i = 0; i < 20; i++)
        {
            var dish = Beside(pulses[i % 4], rices[i % 6], 150 + lot.Next(200), Automat(1.8 + (2.2 * lot.NextDouble())));
            var plan = Planned(dish);
            var pot = Planned(dish.With(new InItsOwnPot(new(Pot(23, 4), Burner(1200)))));
            if (plan.ShareTender < pot.ShareTender - 0.05)
            {
                worse.Add($"{dish.Pulse.Id} {dish.Rice!.Id} {plan.ShareTender:0.00} not {pot.ShareTender:0.00}");
            }

            var rice = plan.Cook.IndexOf(Way.RiceId);
            var window = dish.Targets.Window(dish.Rice!);
            var runs = Model.RunMany([.. PotTraits.Many(plan.Cook, Model.Constants, 32).Select(t => new PotJob(plan.Cook, t))]);
            foreach (var run in runs)
            {
                all++;
                var done = run.Final[rice].Doneness;
                wanted += done >= window.Low && done <= window.High ? 1 : 0;
                wet += run.Vessels[1].LiquorGrams > 0.15 * dish.RiceDry.Grams ? 1 : 0;
            }

            var own = plan.Forecast.Reference;
            output.WriteLine(
                $"{dish.Pulse.Id} {dish.Rice!.Id} {dish.RiceDry.Grams:0} g: {plan.ShareTender:0.00} {pot.ShareTender:0.00}, "
                    + $"rice {runs.Min(r => r.Final[rice].Doneness):0} {own.Final[rice].Doneness:0} {runs.Max(r => r.Final[rice].Doneness):0}, "
                    + $"left {own.Vessels[1].LiquorGrams:0} g, {own.Vessels[1].Celsius:0} °C, "
                    + $"{(plan.Forecast.Find(StepIds.RiceWarm)!.Reference - plan.Forecast.Find(StepIds.RiceLight)!.Reference).TotalMinutes:0} min"
            );
        }

        output.WriteLine($"{wanted} of {all} as wanted, {wet} wet");
        Assert.Empty(worse);
        Assert.True(wanted >= 0.95 * all, $"{wanted} of {all}");
        Assert.True(wet <= 0.02 * all, $"{wet} of {all} wet");
    }
}
