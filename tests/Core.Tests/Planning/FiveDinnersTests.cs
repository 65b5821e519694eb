using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning;
using Xunit;
using static BrightKettle.Core.Tests.Kitchens;

namespace BrightKettle.Core.Tests.Planning;

/// <summary>Five dinners at seven that a good cook would nod at, each with the reasons.</summary>
public class FiveDinnersTests
{
    private static void ServedAtSeven(Plan plan)
    {
        Assert.Equal(19 * 60, plan.MinuteOfDay(StepIds.Table), 1.0);
        // The rice is there and nothing is left swimming or scorched.
        Assert.InRange(plan.Forecast.Reference.Final[1].Doneness, 93, 112);
        Assert.True(plan.Forecast.Reference.DrySeconds < 120);
    }

    [Fact]
    public void Chickpeas_with_brown_basmati()
    {
        var plan = Planned(Dish("chickpea", 300, "brown_basmati", 300, SoakChoice.Overnight));
        ServedAtSeven(plan);
        Assert.False(plan.IsAlone || plan.RiceStarts || plan.BothStart);
        // 21:30 to 16:10 would be over 18 h in water: drained half an hour after getting up, then chilled.
        Assert.Equal("2026-11-24 21:30", plan.Clock(StepIds.SoakStarts));
        Assert.Equal("2026-11-25 07:30", plan.Clock(StepIds.SoakEnds));
        Assert.Contains(plan.Cook.Actions, a => a is CookAction.Chill);
        // 36 min and a 10 min rest, a few minutes to boil again: a little after six.
        Assert.InRange(plan.MinuteOfDay(StepIds.Join), (18 * 60) + 1, (18 * 60) + 16);
        // 300 g at 2.4 g/g for a bean pot (2.1 to 2.7): about 720 mL.
        Assert.InRange(plan.Join!.NeededMillilitres, 650, 790);
        // Less than a finger (about 2 cm) over the beans: half of it stands between them.
        Assert.InRange(plan.Join.OverBedCentimetres, 0.3, 1.9);
        // They wait for "nearly": two of five still chalky means no rice yet.
        Assert.Equal(FeltState.NearlyASpeck, plan.Waits);
        Assert.True(plan.Join.ChalkyOfFive < 1);
        // Looking is worth more than the clock, and by the clock it is far from sure.
        Assert.True(plan.ShareTender > plan.BlindShare + 0.1);
        Assert.True(plan.BlindShare < 0.85);
    }

    [Fact]
    public void Adzuki_with_short_grain_rice()
    {
        var plan = Planned(Dish("adzuki", 200, "sushi_short", 400));
        ServedAtSeven(plan);
        // Beans well on but not tender when a look finds them; what then waits off the heat for the hour goes on a little.
        Assert.False(plan.IsAlone || plan.RiceStarts || plan.BothStart);
        Assert.Equal(FeltState.NearlyASpeck, plan.Waits);
        var ready = plan.Forecast.Find(StepIds.Ready)!.Action;
        Assert.InRange(plan.Forecast.Reference.At(ready).Doneness[0], 55, 88);
        Assert.InRange(plan.Join!.Doneness, 75, 108);
        // 13 min, 12 min rest, a few to boil: half past six, and the rice soaks half an hour before.
        Assert.InRange(plan.MinuteOfDay(StepIds.Join), (18 * 60) + 24, (18 * 60) + 36);
        Assert.Equal(plan.MinuteOfDay(StepIds.Join) - 30, plan.MinuteOfDay(StepIds.RiceSoakStarts), 1.0);
        // 1.3 g/g with its soak: 450 to 650 mL for 400 g.
        Assert.InRange(plan.Join.NeededMillilitres, 450, 650);
    }

    [Fact]
    public void Small_green_lentils_with_white_rice()
    {
        var plan = Planned(Dish("lentil_french", 200, "long_white", 300));
        ServedAtSeven(plan);
        Assert.False(plan.IsAlone || plan.RiceStarts || plan.BothStart);
        // 27 minutes against 26 with the rest: the lentils have only a little lead after the boil.
        var lead = plan.MinuteOfDay(StepIds.Join) - plan.MinuteOfDay(StepIds.Boils);
        Assert.InRange(lead, 2, 18);
        Assert.InRange(plan.Join!.Doneness, 8, 60);
    }

    [Fact]
    public void Red_split_lentils_with_brown_rice()
    {
        var plan = Planned(Dish("lentil_red_split", 150, "brown_long", 300));
        ServedAtSeven(plan);
        // 12 minutes against 52: the rice starts and the lentils join.
        Assert.True(plan.RiceStarts);
        // Under the rice they stand in steam for part of it, which takes twice as long.
        Assert.InRange((19 * 60) - plan.MinuteOfDay(StepIds.Join), 18, 36);
        // They drink 1.6 g/g, 240 g, and would lie dry without about that much boiling water.
        Assert.InRange(plan.Join!.AddedMillilitres.Reference, 200, 320);
    }

    [Fact]
    public void Whole_mung_unsoaked_with_jasmine()
    {
        var plan = Planned(Dish("mung_whole", 250, "jasmine", 300, style: Style.Moist));
        ServedAtSeven(plan);
        Assert.False(plan.IsAlone || plan.RiceStarts || plan.BothStart);
        // 45 minutes against 23 with the rest: the rice joins half-way or later, while the mung is still whole.
        Assert.InRange(plan.Join!.Doneness, 35, 90);
        var lead = plan.MinuteOfDay(StepIds.Join) - plan.MinuteOfDay(StepIds.Boils);
        Assert.InRange(lead, 20, 55);
        // Jasmine 1.6 g/g and 1.9 g/g of mung, part of it drunk already, and a moist finish.
        Assert.InRange(plan.Join.NeededMillilitres, 550, 950);
    }
}
