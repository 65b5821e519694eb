using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Planning.Hands;
using BrightKettle.Core.Planning.Manners;
using BrightKettle.Core.Safety;
using BrightKettle.Core.Units;
using NodaTime;
using Xunit;
using static BrightKettle.Core.Tests.Cooking.Pots;
using static BrightKettle.Core.Tests.Kitchens;

namespace BrightKettle.Core.Tests.Planning;

/// <summary>Dinners that need more than an open pot, each with the reasons.</summary>
public class WayTests
{
    private static readonly WayFinder Ways = new(Plans, Kitchens.Catalogue);

    private static Dish InFullKitchen(Dish dish) =>
        dish with
        {
            OtherVessels = [Pot(), Pot(28, 8), Cooker(CookerKind.Electric), Cooker(CookerKind.Slow)],
        };

    private static Dish Kidneys(bool cautious = false, string? rice = null) =>
        InFullKitchen(
            Dish(
                "kidney_red",
                300,
                rice,
                rice is null ? 0 : 300,
                style: Style.Saucy,
                home: Home(cautious: cautious),
                now: new(2026, 11, 25, 17, 5),
                serve: new(2026, 11, 25, 19, 0)
            )
        );

    private static WayOffer One(IReadOnlyList<WayOffer> ways, Method method, SoakChoice soak) =>
        ways.Single(w => w.Method == method && w.Soak == soak && w.PulseId is null);

    [Fact]
    public void Five_past_five_dry_kidney_beans_wanted_at_seven()
    {
        var ways = Ways.For(Kidneys(), 32);
        // A slow cooker and an unsoaked simmer take hours more: refused for the hour.
        Assert.Equal(PlanRefusal.TooSoon, One(ways, Method.OpenPot, SoakChoice.None).Refusal?.Code);
        var slow = One(ways, Method.SlowCooker, SoakChoice.None).Refusal;
        Assert.True(slow?.Code is PlanRefusal.TooSoon or PlanRefusal.GateBlocks, slow?.Code);
        Assert.Equal(PlanRefusal.SoakTooLate, One(ways, Method.OpenPot, SoakChoice.Overnight).Refusal?.Code);
        // A tin is ready, and something quick from the cupboard is offered where nothing dry works.
        Assert.NotNull(One(ways, Method.Cooked, SoakChoice.None).Plan);
        Assert.All(ways.Where(w => w.Plan is not null), w => Assert.DoesNotContain(w.Plan!.Gates, g => g.Blocks));
    }

    [Theory]
    [InlineData(false, 18, 55, 19, 25)]
    [InlineData(true, 19, 5, 19, 45)] // 30 minutes of hard boil in the cautious setting
    public void Quick_soak_drain_hard_boil_and_pressure_bring_them_to_the_table_about_seven(
        bool cautious,
        int fromHour,
        int fromMinute,
        int toHour,
        int toMinute
    )
    {
        // Asked for late enough to be possible, the way itself is what counts.
        var dish = Kidneys(cautious).With(new UnderPressure(Cooker(CookerKind.Electric))).With(Soaking.Of(SoakChoice.Quick));
        var later = dish with { ServeAt = dish.ServeAt + Duration.FromHours(2) };
        var plan = Planned(later);
        var reference =
            later.Household.InstantOf(new LocalDateTime(2026, 11, 25, 17, 5))
            + (plan.Forecast.Find(StepIds.Ready)!.Reference - plan.Forecast.Find(StepIds.Light)!.Reference);
        var ready = later.Household.LocalOf(reference).TimeOfDay;
        Assert.InRange(ready, new LocalTime(fromHour, fromMinute), new LocalTime(toHour, toMinute));

        // Soaked to about a quarter past six; drained; boiled hard; 6 to 10 minutes held, natural release.
        var soaked = (plan.Forecast.Find(StepIds.SoakEnds)!.Reference - plan.Forecast.Find(StepIds.Light)!.Reference).TotalMinutes;
        Assert.InRange(soaked, 66, 80);
        var hold = plan.Cook.Actions.Single(a => a.StepId == StepIds.HoldOver).Trigger.Delay!.Value.TotalMinutes;
        Assert.InRange(hold, cautious ? 1 : 6, 10);
        Assert.Contains(plan.Cook.Actions, a => a is CookAction.Release { Kind: ReleaseKind.Natural });
        Assert.Equal("lectin.hard_boil", Assert.Single(plan.Gates).Code);
        Assert.Equal(cautious ? 30 : 10, plan.Gates[0].Minutes);
    }

    [Fact]
    public void Cooked_pulses_come_from_a_tin_the_fridge_or_thawed_from_the_freezer()
    {
        Plan From(CookedFrom from) => Planned(Dish("chickpea", 240, style: Style.Saucy).With(new Warmed(from)));
        double ToTheBoil(Plan plan) =>
            (plan.Forecast.Find(StepIds.Boils)!.Reference - plan.Forecast.Find(StepIds.Light)!.Reference).TotalMinutes;
        double Brought(Plan plan) => plan.Amounts.Sheet!.Sources.Single(s => s.What == Way.PulseId).Grams;
        var (tin, fridge, freezer) = (From(CookedFrom.Tin), From(CookedFrom.Fridge), From(CookedFrom.Freezer));
        Assert.True(ToTheBoil(fridge) > ToTheBoil(tin) + 0.15);
        Assert.Equal(ToTheBoil(fridge), ToTheBoil(freezer), 1);
        Assert.Equal(0.9 / 0.6, Brought(fridge) / Brought(tin), 2);
        Assert.Equal([0, 0, 1], new[] { tin, fridge, freezer }.Select(p => HandsPlanner.For(p, 1).DayBefore.Count(t => t.Id == "thaw")));
        Assert.All([tin, fridge, freezer], p => Assert.InRange(p.Forecast.Reference.Final[0].Doneness, 100, 150));
    }

    [Fact]
    public void Where_nothing_dry_works_a_quick_pulse_is_offered()
    {
        var ways = Ways.For(Kidneys() with { ServeAt = Kidneys().ServeAt - Duration.FromMinutes(60) }, 32);
        var quick = ways.Single(w => w.PulseId is not null);
        Assert.Equal("lentil_red_split", quick.PulseId);
        Assert.NotNull(quick.Plan);
    }

    [Fact]
    public void Four_whistles_for_split_pigeon_peas_with_rice_in_its_bowl_above()
    {
        var cook = DalUnderRice(spread: 0.28);
        var runs = Model.RunMany([.. PotTraits.Many(cook, Model.Constants, 64).Select(t => new PotJob(cook, t))]);
        double Share(Func<PotRun, double> minutes, double low, double high) =>
            runs.Count(r => minutes(r) >= low && minutes(r) <= high) / 64.0;
        // First whistle 4 to 10 minutes, the fourth 3 to 12 later, open at about 20 to 30: in nine pots of ten or nearly.
        Assert.InRange(Share(r => r.Nth(PotEvent.Whistle)!.Value / 60, 4, 10.5), 0.85, 1);
        Assert.InRange(Share(r => (r.Nth(PotEvent.Whistle, 4) - r.Nth(PotEvent.Whistle))!.Value / 60, 3, 12), 0.85, 1);
        Assert.InRange(Share(r => r.EndSeconds / 60, 17, 31), 0.85, 1);
        Assert.InRange(Model.Run(cook, PotTraits.Reference(cook)).EndSeconds / 60, 19, 30);
        // Filled to a third of the 5 L at most, dal and its water.
        Assert.InRange(runs[0].PeakMillilitres, 500, 5000.0 / 3);
        var middle = Model.Run(cook, PotTraits.Reference(cook));
        Assert.InRange(middle.Final[0].Doneness, 92, 200);
        Assert.InRange(middle.Final[1].Doneness, 85, 135);
        Assert.Contains("cooker.silent", Cautions.For(cook, []));
    }

    [Fact]
    public void Red_lentils_join_brown_long_rice_twenty_odd_minutes_before_the_end_with_boiling_water()
    {
        var plan = Planned(Dish("lentil_red_split", 150, "brown_long", 300));
        Assert.True(plan.RiceStarts);
        var before = (19 * 60) - plan.MinuteOfDay(StepIds.Join);
        // Under the rice they stand in steam for part of it, which takes twice as long.
        Assert.InRange(before, 18, 36);
        Assert.InRange(plan.Join!.AddedMillilitres.Reference, 190, 320);
        // Without that water, and with nobody to sprinkle any, they lie dry over the flame.
        var dry = plan.Cook with
        {
            Actions =
            [
                .. plan
                    .Cook.Actions.Where(a => a is not CookAction.SetLiquor)
                    .Select(a =>
                        a.Trigger.Look is { } look ? a with { Trigger = a.Trigger with { Look = look with { NotYet = null } } } : a
                    ),
            ],
        };
        Assert.Equal(0, plan.Forecast.Reference.DrySeconds);
        Assert.InRange(Model.Run(dry, PotTraits.Reference(dry)).DrySeconds, 600, double.MaxValue);
        // Melted into a sauce they go in about ten minutes earlier.
        var melted = Planned(
            Dish("lentil_red_split", 150, "brown_long", 300, style: Style.Saucy) with
            {
                PulseTarget = Core.Catalogue.PulseTarget.Melted,
            }
        );
        Assert.InRange((19 * 60) - melted.MinuteOfDay(StepIds.Join) - before, 4, 20);
    }

    [Fact]
    public void Soaked_pinto_at_1500_metres_in_very_hard_water()
    {
        var home = Home(altitude: 1500) with { HardnessMilligramsPerLitre = 350 };
        var open = Planned(InFullKitchen(Dish("pinto", 300, soak: SoakChoice.Overnight, style: Style.Saucy, home: home)));
        // 10^(5/22.8) for the altitude, 1.5 for the water: about two and a half hours, with a wide range.
        var minutes = (open.Forecast.Find(StepIds.Ready)!.Reference - open.Forecast.Find(StepIds.Boils)!.Reference).TotalMinutes;
        Assert.InRange(minutes, 110, 200);
        Assert.True((open.Forecast.Find(StepIds.Ready)!.Late - open.Forecast.Find(StepIds.Ready)!.Early).TotalMinutes > 50);
        // The gate: 30 minutes above 1000 m, at the local boil of 95 °C.
        var gate = Assert.Single(open.Gates);
        Assert.Equal(("lectin.hard_boil", 30.0), (gate.Code, gate.Minutes));
        Assert.Equal(95, BoilingPoint.At(Altitude.FromMetres(1500)).Celsius, 0.2);
        // Under pressure 10 to 16 minutes instead of 6 to 10; the hard boil before it has done some of that.
        double Hold(Household at) =>
            Planned(
                InFullKitchen(Dish("pinto", 300, soak: SoakChoice.Overnight, style: Style.Saucy, home: at))
                    .With(new UnderPressure(Cooker(CookerKind.Electric)))
            )
                .Cook.Actions.Single(a => a.StepId == StepIds.HoldOver)
                .Trigger.Delay!.Value.TotalMinutes;
        // The ten minutes of hard boil before it have done a part.
        Assert.InRange(Hold(Home()), 2, 8);
        Assert.InRange(Hold(home), 8, 18);
        Assert.True(Hold(home) >= Hold(Home()) + 4);
    }

    [Fact]
    public void A_slow_cooker_way_for_soaked_beans_boils_them_first_and_ends_in_the_pot()
    {
        var dish = InFullKitchen(Dish("navy", 300, soak: SoakChoice.Overnight, style: Style.Saucy))
            .With(new InCrock(Cooker(CookerKind.Slow)));
        var plan = Planned(dish);
        Assert.Equal("lectin.hard_boil", Assert.Single(plan.Gates).Code);
        var hours = (plan.Forecast.Find(StepIds.Ready)!.Reference - plan.Forecast.Find(StepIds.SlowStarts)!.Reference).TotalHours;
        // Soaked and boiled hard they need 0.45 to 0.75 of the printed hours, which are from cold and unsoaked (textures, 6).
        var printed = Pulse("navy").SlowHighHours;
        Assert.InRange(hours, 0.45 * printed.Low, 0.75 * printed.High);
        Assert.True(plan.Forecast.Reference.Final[0].Doneness >= 99);
    }
}
