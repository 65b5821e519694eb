using BrightKettle.Core.Cooking;
using BrightKettle.Core.Units;
using NodaTime;
using Xunit;
using static BrightKettle.Core.Tests.Kitchens;

namespace BrightKettle.Core.Tests.Cooking;

public class HeatTests
{
    [Fact]
    public void A_cold_pot_boils_after_the_time_that_its_mass_and_the_burner_say()
    {
        // 2.5 kg water (10.45 kJ/K) + pot 2 kg at 0.5 (1.0 kJ/K) + 0.25 kg beans (0.4 kJ/K) = 11.9 kJ/K; 80 K; 1.5 kW: 634 s, and losses.
        var boil = Run(Simmer(Pulse("pinto"), pot: Pot(24, 6))).BoilsAt[0];
        Assert.InRange(boil, 634, 800);
    }

    [Fact]
    public void Cold_water_stalls_a_boiling_pot_and_boiling_water_does_not()
    {
        PotRun TopUp(double celsius)
        {
            var cook = Simmer(Pulse("pinto"), water: 1500);
            var actions = cook.Actions.ToList();
            actions.InsertRange(
                actions.Count - 1,
                [
                    new CookAction.AddWater(Trigger.Later(Duration.FromMinutes(20)), Mass.FromGrams(500), Temperature.FromCelsius(celsius)),
                    new CookAction.Heat(Trigger.Next, Flame.Full),
                    new CookAction.Heat(Trigger.Once(PotEvent.Boils), Flame.Lively),
                ]
            );
            return Run(cook with { Actions = actions });
        }

        var (cold, hot) = (TopUp(15), TopUp(100));
        Assert.Equal(2, cold.BoilsAt.Count);
        Assert.InRange(cold.BoilsAt[1] - cold.At(5).Seconds, 60, 240);
        Assert.Single(hot.BoilsAt);
    }

    [Theory]
    [InlineData(Lid.Open, Lid.Ajar)]
    [InlineData(Lid.Ajar, Lid.On)]
    [InlineData(Lid.On, Lid.Sealed)]
    public void A_closer_lid_keeps_more_liquor(Lid wider, Lid closer) =>
        Assert.True(Run(Simmer(Pulse("pinto"), lid: wider)).FinalLiquor < Run(Simmer(Pulse("pinto"), lid: closer)).FinalLiquor);

    [Fact]
    public void A_covered_pot_off_the_heat_cools_over_an_hour_or_two()
    {
        var cook = Simmer(Pulse("pinto"), pot: Pot(24, 6));
        var actions = cook.Actions.ToList();
        actions[^1] = new CookAction.Serve(Trigger.Later(Duration.FromMinutes(30)));
        actions.Insert(actions.Count - 1, new CookAction.Heat(Trigger.Next, Flame.Off));
        // About 2.7 L in a steel pot: the table gives a time constant of 1.3 to 2.2 h, so 77 to 84 °C after half an hour.
        Assert.InRange(Run(cook with { Actions = actions }).At(actions.Count - 1).Celsius, 74, 86);
    }

    [Fact]
    public void A_burner_that_is_too_weak_never_boils_and_the_run_says_where_it_stalled()
    {
        var cook = Simmer(Pulse("pinto"), lid: Lid.Open);
        cook = cook with { Kitchen = cook.Kitchen with { Burner = Burner(150) } };
        var run = Run(cook);
        Assert.Equal(4, run.StalledAt);
        Assert.Empty(run.BoilsAt);
    }

    [Fact]
    public void Level_counts_the_liquor_between_the_seeds()
    {
        // A heap of 1000 mL with 600 mL solid has 400 mL of voids; on 100 cm² it is 10 cm high.
        Assert.Equal(5, PotGeometry.Level(1000, 600, 200, 100), 6);
        Assert.Equal(10, PotGeometry.Level(1000, 600, 400, 100), 6);
        Assert.Equal(12, PotGeometry.Level(1000, 600, 600, 100), 6);
    }

    [Fact]
    public void An_inch_of_liquor_is_more_in_a_wider_pot()
    {
        // 2.54 cm in an 18 cm pot is 0.65 L, in a 28 cm pot 1.56 L.
        Assert.Equal(646, 2.54 * Pot(18).AreaSquareCentimetres, 1.0);
        Assert.Equal(1564, 2.54 * Pot(28).AreaSquareCentimetres, 1.0);
    }
}
