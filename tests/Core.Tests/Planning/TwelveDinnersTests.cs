using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Planning.Manners;
using BrightKettle.Core.Tests.Stove;
using BrightKettle.Core.Units;
using NodaTime;
using Xunit;
using static BrightKettle.Core.Tests.Kitchens;

namespace BrightKettle.Core.Tests.Planning;

/// <summary>One dinner of each way that practised cooks have, with its reasons, and each walked to the table at the stove.</summary>
public sealed class TwelveDinnersTests
{
    private static readonly Vessel Spring = Cooking.Pots.Cooker(CookerKind.Spring);
    private static readonly CookVessel Beside = new(Pot(20, 3), Burner());

    /// <summary>Its chance, its table at seven, and every step done when it is due: what is forecast on the way stays so.</summary>
    private static Plan Walked(Dish dish, double least = 0.85)
    {
        var plan = Planned(dish);
        Assert.Null(CookRules.Check(plan.Cook));
        Assert.InRange(plan.ShareTender, least, 1);
        Assert.DoesNotContain(plan.Gates, g => g.Blocks);
        Assert.Equal(19 * 60, plan.MinuteOfDay(StepIds.Table), 3.0);
        plan.WalkToTheTable();
        return plan;
    }

    private static void InOrder(Plan plan, params string[] steps)
    {
        var at = steps.Select(s => plan.Cook.StepAt(s)).ToList();
        Assert.DoesNotContain(-1, at);
        double Done(string s) => plan.Forecast.Reference.At(plan.Cook.StepAt(s)).Seconds;
        Assert.Equal(steps, steps.OrderBy(Done));
    }

    private static double Minutes(Plan plan, string from, string to) => plan.MinuteOfDay(to) - plan.MinuteOfDay(from);

    private static double AtTable(Plan plan, int ingredient = 0) => plan.Forecast.Reference.Final[ingredient].Doneness;

    [Fact]
    public void Pulses_first_and_the_rice_joins_at_a_felt_state()
    {
        var plan = Walked(Dish("borlotti", 250, "long_white", 250, SoakChoice.Overnight, Style.Moist));
        InOrder(
            plan,
            StepIds.SoakStarts,
            StepIds.SoakEnds,
            StepIds.Light,
            StepIds.Boils,
            StepIds.Ready,
            StepIds.SetLiquor,
            StepIds.Join,
            StepIds.Seal,
            StepIds.HeatOff,
            StepIds.Table
        );
        // White rice in a bean pot takes 18 to 30 min from when it goes in, with its rest.
        Assert.InRange(Minutes(plan, StepIds.Join, StepIds.Table), 24, 40);
        Assert.NotNull(plan.Waits);
    }

    [Fact]
    public void Rice_first_and_quick_pulses_join()
    {
        var plan = Walked(Dish("lentil_red_split", 200, "brown_long", 250, style: Style.Moist));
        Assert.True(plan.RiceStarts);
        // Brown rice takes three times as long as red lentils: they go in when most of its time has passed.
        Assert.InRange(Minutes(plan, StepIds.Light, StepIds.Join), 8, 40);
        Assert.InRange(AtTable(plan), 97, 400);
    }

    [Fact]
    public void Both_from_the_start_for_a_porridge()
    {
        var plan = Walked(
            Dish("lentil_red_split", 200, "basmati_unsoaked", 200, style: Style.Soup) with
            {
                RiceTarget = RiceTarget.Porridge,
            }
        );
        // Rice that shall fall apart and lentils that melt need no look at either before the end.
        Assert.InRange(plan.Forecast.Reference.Final[1].Doneness, 125, 400);
        Assert.True(plan.Forecast.Reference.FinalLiquor > 400);
    }

    [Fact]
    public void Par_cooked_and_drained_then_with_raw_rice_in_measured_water()
    {
        var plan = Walked(Dish("lentil_black", 220, "basmati_unsoaked", 260).With(new AfterDraining()));
        InOrder(plan, StepIds.Light, StepIds.Ready, StepIds.Drained, StepIds.SetLiquor, StepIds.Join, StepIds.HeatOff, StepIds.Table);
        // They are not soft yet when they are drained: the rice's minutes do the rest.
        Assert.InRange(plan.Forecast.Reference.At(plan.Cook.StepAt(StepIds.Drained)).Doneness[0], 40, 99);
    }

    [Fact]
    public void Rice_in_the_pulses_liquor()
    {
        var plan = Walked(Dish("black_eyed_pea", 220, "jasmine", 260, SoakChoice.Overnight, Style.Moist).With(new InTheLiquor()));
        InOrder(plan, StepIds.Ready, StepIds.Lifted, StepIds.SetLiquor, StepIds.Join, StepIds.HeatOff, StepIds.PutBack, StepIds.Table);
    }

    [Fact]
    public void Under_pressure_and_then_the_rice()
    {
        var plan = Walked(Dish("chickpea", 250, "long_white", 250, SoakChoice.Overnight, Style.Moist).With(new UnderPressure(Spring)));
        InOrder(plan, StepIds.Lock, StepIds.HoldOver, StepIds.Opened, StepIds.Ready, StepIds.Join, StepIds.Table);
        // Soaked chickpeas want 10 to 20 min under pressure, come-up and release apart.
        Assert.InRange(Minutes(plan, StepIds.Lock, StepIds.Opened), 15, 60);
    }

    [Fact]
    public void Alone_to_creamy_and_boiled_down()
    {
        var plan = Walked(
            Asked(
                Dish("cannellini", 300, soak: SoakChoice.Overnight, style: Style.Saucy) with
                {
                    PulseTarget = PulseTarget.Creamy,
                },
                AskedStage.Mash
            )
        );
        InOrder(plan, StepIds.Ready, StepIds.Reheat, StepIds.Mash, StepIds.Finish, StepIds.Table);
        Assert.True(AtTable(plan) >= TargetWindows.Of(Pulse("cannellini"), PulseTarget.Creamy).Low);
        // As much liquor as a saucy dish wants, by boiling down and not by pouring off.
        Assert.InRange(plan.Forecast.Reference.FinalLiquor, 0.8 * plan.Dish.WantedLiquorGrams, 1.2 * plan.Dish.WantedLiquorGrams);
        Assert.True(plan.Forecast.Reference.JugGrams < 30);
    }

    [Fact]
    public void Rice_beside_and_folded_in()
    {
        var plan = Walked(
            Asked(
                Dish("split_pea_yellow", 250, "basmati_unsoaked", 300, style: Style.Saucy, pot: Pot(28, 8)).With(new InItsOwnPot(Beside)),
                AskedStage.Fold
            )
        );
        InOrder(plan, StepIds.RiceLight, StepIds.RiceBoils, StepIds.RiceOff, StepIds.RiceRested, StepIds.Fold, StepIds.Table);
        Assert.Equal(0, plan.Trace.PlaceAfter(plan.Cook.StepAt(StepIds.Fold), Way.RiceId));
    }

    [Fact]
    public void Rice_in_a_bowl_above_under_one_lid()
    {
        var dish = Dish("chana_dal", 200, "long_white", 200, style: Style.Saucy).With(new UnderPressure(Spring));
        var plan = Walked(dish.With(new AboveThem(new(RiceBowl.For(Spring), Burner(), Above: true))));
        InOrder(plan, StepIds.RiceBowl, StepIds.Lock, StepIds.HoldOver, StepIds.Opened, StepIds.RiceOut, StepIds.Table);
    }

    [Fact]
    public void In_the_slow_cooker_after_a_hard_boil_with_rice_beside()
    {
        var plan = Walked(
            Dish("flageolet", 250, "long_white", 250, SoakChoice.Overnight, Style.Saucy)
                .With(new InCrock(Cooking.Pots.Cooker(CookerKind.Slow)))
                .With(new InItsOwnPot(Beside))
        );
        // A lectin first: ten minutes rolling in the pot, then over into the crock, and back only when the pot is lit.
        InOrder(plan, StepIds.Boils, StepIds.HardBoilOver, StepIds.SlowStarts, StepIds.Ready, StepIds.BackInPot, StepIds.Table);
        Assert.InRange(Minutes(plan, StepIds.Boils, StepIds.HardBoilOver), 9.5, 10.5);
    }

    [Fact]
    public void From_a_tin_with_rice()
    {
        var plan = Walked(Dish("chickpea", 150, "basmati_unsoaked", 250, style: Style.Moist).With(new Warmed(CookedFrom.Tin)));
        // Firm seeds out of a tin may be in all along, in water enough for the rice.
        Assert.True(plan.BothStart);
        Assert.InRange(Minutes(plan, StepIds.Light, StepIds.Table), 18, 45);
    }

    [Fact]
    public void Several_pulses_by_what_each_needs()
    {
        var plan = Walked(
            Dish("chickpea", 150, soak: SoakChoice.Overnight, style: Style.Saucy) with
            {
                OtherPulses = [new OtherPulse(Pulse("lentil_brown"), Mass.FromGrams(100))],
            }
        );
        // The lentils take a third of the chickpeas' time: they go in when these are found soft.
        InOrder(plan, StepIds.Ready, StepIds.OtherIn, StepIds.OtherSoft, StepIds.Table);
        Assert.True(AtTable(plan, 1) >= 97);
    }

    private static Dish Asked(Dish dish, params AskedStage[] stages) => dish with { Asked = stages };
}
