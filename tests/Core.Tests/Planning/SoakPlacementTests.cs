using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Safety;
using BrightKettle.Core.Units;
using NodaTime;
using Xunit;
using static BrightKettle.Core.Tests.Kitchens;

namespace BrightKettle.Core.Tests.Planning;

public class SoakPlacementTests
{
    private static (Instant Start, Instant End, bool Chilled) Soak(Plan plan)
    {
        var start = plan.Forecast.Find(StepIds.SoakStarts)!.Reference;
        var end = plan.Forecast.Find(StepIds.SoakEnds)!.Reference;
        return (start, end, plan.Cook.Actions.OfType<CookAction.Chill>().Any());
    }

    [Fact]
    public void A_clock_change_in_the_night_shortens_the_soak_by_an_hour_and_no_clock_time_moves()
    {
        // Summer time starts on 29 March 2026 at 02:00.
        var plan = Planned(
            Dish("chickpea", 300, "brown_basmati", 300, SoakChoice.Overnight, serve: new(2026, 3, 29, 19, 0), now: new(2026, 3, 28, 18, 0))
        );
        var usual = Planned(Dish("chickpea", 300, "brown_basmati", 300, SoakChoice.Overnight));
        Assert.Equal("2026-03-28 21:30", plan.Clock(StepIds.SoakStarts));
        Assert.Equal("2026-03-29 07:30", plan.Clock(StepIds.SoakEnds));
        Assert.Equal("2026-03-29 19:00", plan.Clock(StepIds.Table)[..16]);
        Assert.Equal(Duration.FromHours(9), Soak(plan).End - Soak(plan).Start);
        Assert.Equal(Duration.FromHours(10), Soak(usual).End - Soak(usual).Start);
    }

    [Fact]
    public void In_a_warm_room_the_soak_goes_into_the_fridge_from_the_start()
    {
        // 26 °C allows 4 h on the counter, which would end in the night.
        var home = Home(room: 26);
        var plan = Planned(Dish("chickpea", 300, "brown_basmati", 300, SoakChoice.Overnight, home: home));
        var chill = plan.Cook.Actions.ToList().FindIndex(a => a is CookAction.Chill);
        var drain = plan.Cook.Actions.ToList().FindIndex(a => a is CookAction.Drain);
        Assert.True(chill < drain);
    }

    [Fact]
    public void No_bowl_stands_on_the_counter_past_its_limit_whatever_the_room_and_the_hour()
    {
        var dinners =
            from room in new[] { 15.0, 20, 22, 25, 27, 30 }
            from hour in new[] { 11, 13, 17, 19, 21 }
            select Dish(
                "adzuki",
                200,
                "sushi_short",
                300,
                SoakChoice.Overnight,
                home: Home(room: room),
                serve: new(2026, 11, 25, hour, 0),
                now: new(2026, 11, 24, 12, 0)
            );
        Assert.All(dinners, dish =>
        {
            if (Plans.Plan(dish, 10) is not PlanAnswer.Planned { Plan: var plan })
            {
                return;
            }

            var (start, end, _) = Soak(plan);
            var actions = plan.Cook.Actions.ToList();
            var cold =
                actions.FindIndex(a => a is CookAction.Chill) is var c && c >= 0 && c < actions.FindIndex(a => a is CookAction.Drain);
            Assert.True(end - start <= (cold ? SoakLimit.InFridge : SoakLimit.OnCounter(dish.Household.Room)));
            Assert.True(dish.Household.AwakeAt(start));
            Assert.True(dish.Household.AwakeAt(end));
        });
    }

    [Fact]
    public void A_soak_remembered_in_the_morning_starts_at_once()
    {
        var plan = Planned(Dish("adzuki", 200, "sushi_short", 300, SoakChoice.Overnight, now: new(2026, 11, 25, 8, 0)));
        Assert.Equal("2026-11-25 08:00", plan.Clock(StepIds.SoakStarts));
    }
}
