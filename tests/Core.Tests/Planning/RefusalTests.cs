using BrightKettle.Core.Planning;
using BrightKettle.Core.Planning.Manners;
using NodaTime;
using Xunit;
using static BrightKettle.Core.Tests.Kitchens;

namespace BrightKettle.Core.Tests.Planning;

public class RefusalTests
{
    private static LocalDateTime Local(Instant? instant) => Home().LocalOf(instant!.Value);

    /// <summary>An offer is a promise: taken up, it must give a plan.</summary>
    private static void EachOfferWorks(Dish dish, PlanRefusal refusal) => Assert.All(refusal.Alternatives, a =>
        {
            var changed = (a.Soak is { } soak ? dish.With(Soaking.Of(soak)) : dish) with
            {
                ServeAt = a.ServeAt ?? dish.ServeAt,
                Vessel = dish.OtherVessels.FirstOrDefault(v => v.Id == a.VesselId) ?? dish.Vessel,
                PulseDry = dish.PulseDry * (a.Scale ?? 1),
                RiceDry = dish.RiceDry * (a.Scale ?? 1),
            };
            Assert.IsType<PlanAnswer.Planned>(Plans.Plan(changed, 10));
        });

    [Fact]
    public void Dinner_in_twenty_minutes_from_dry_kidney_beans()
    {
        var dish = Dish("kidney_red", 300, "long_white", 300, now: new(2026, 11, 25, 16, 40), serve: new(2026, 11, 25, 17, 0));
        var refusal = Refused(dish);
        Assert.Equal((PlanRefusal.TooSoon, "serveAt"), (refusal.Code, refusal.Field));
        // Two hours to tender, slow bags allowed for, and the rice: between three and four and a half hours.
        Assert.InRange(Local(refusal.Facts.EarliestTable), new(2026, 11, 25, 19, 30), new(2026, 11, 25, 21, 10));
        Assert.NotEmpty(refusal.Alternatives);
        EachOfferWorks(dish, refusal);
    }

    [Fact]
    public void A_soak_that_was_forgotten()
    {
        var dish = Dish("pinto", 300, "long_white", 300, SoakChoice.Overnight, now: new(2026, 11, 25, 14, 0));
        var refusal = Refused(dish);
        Assert.Equal((PlanRefusal.SoakTooLate, "soak"), (refusal.Code, refusal.Field));
        Assert.Contains(refusal.Alternatives, a => a.Soak == SoakChoice.None);
        Assert.Contains(refusal.Alternatives, a => a.ServeAt > dish.ServeAt);
        EachOfferWorks(dish, refusal);
    }

    [Fact]
    public void A_pot_too_small_for_the_beans()
    {
        var dish = Dish("chickpea", 900, soak: SoakChoice.Overnight, style: Style.Soup, pot: Pot(16, 2));
        var refusal = Refused(dish);
        Assert.Equal((PlanRefusal.PotTooSmall, "vesselId"), (refusal.Code, refusal.Field));
        Assert.True(refusal.Facts.NeededMillilitres > refusal.Facts.UsableMillilitres);
        Assert.Contains(refusal.Alternatives, a => a.Kind == "vessel");
        Assert.Contains(refusal.Alternatives, a => a.Scale is > 0.1 and < 1);
        EachOfferWorks(dish, refusal);
    }

    [Fact]
    public void Rice_that_needs_more_water_than_the_pot_holds()
    {
        var dish = Dish("chickpea", 250, "brown_basmati", 500, SoakChoice.Overnight, pot: Pot(18, 2.6));
        var refusal = Refused(dish);
        Assert.Equal(PlanRefusal.PotTooSmallForRice, refusal.Code);
        EachOfferWorks(dish, refusal);
    }

    [Fact]
    public void No_flame_burns_while_everyone_sleeps()
    {
        var dish = Dish("kidney_red", 300, "long_white", 300, serve: new(2026, 11, 25, 8, 30));
        var refusal = Refused(dish);
        Assert.Equal(PlanRefusal.FlameWhileAsleep, refusal.Code);
        EachOfferWorks(dish, refusal);
    }

    [Fact]
    public void A_burner_that_never_boils_the_pot()
    {
        var dish = Dish("pinto", 300, "long_white", 300) with { Burner = Burner(100) };
        Assert.Equal(PlanRefusal.NeverBoils, Refused(dish).Code);
    }
}
