using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Planning.Manners;
using BrightKettle.Core.Safety;
using NodaTime;
using Xunit;
using static BrightKettle.Core.Tests.Kitchens;

namespace BrightKettle.Core.Tests.Planning;

/// <summary>Pulses that stand in water when somebody asks, and soaks of so many hours.</summary>
public sealed class SoakedAlreadyTests(ITestOutputHelper output)
{
    private static readonly LocalDateTime Afternoon = new(2026, 11, 25, 14, 30);

    private static Dish Soaking(string pulse, LocalDateTime since, string? rice = null, double room = 19, LocalDateTime? serve = null)
    {
        var home = Home(room);
        return Dish(pulse, 250, rice, rice is null ? 0 : 250, SoakChoice.Already, Style.Moist, home: home, serve: serve, now: Afternoon)
            .With(new SoaksAlready(home.InstantOf(since)));
    }

    private static readonly LocalDateTime LastNight = new(2026, 11, 24, 21, 30);
    private static readonly LocalDateTime Breakfast = new(2026, 11, 25, 8, 0);

    [Fact]
    public void What_soaks_already_is_drained_when_the_pot_is_lit_and_nothing_is_asked_before_now()
    {
        var plan = Planned(Soaking("chickpea", Breakfast, "long_white"));
        Assert.True(plan.Begins >= plan.Dish.Now);
        Assert.Equal(plan.Dish.How.Soak.Since, plan.Cook.Starts);
        var drain = plan.Cook.Actions.First(a => a is CookAction.Drain { IngredientId: not null });
        Assert.Equal(plan.Forecast.Find(StepIds.Light)!.Reference, drain.Trigger.NotBefore);
        Assert.Null(plan.Amounts.SoakWater);
        Assert.InRange(plan.ShareTender, 0.85, 1);
        // The same hours asked for ahead soften as much.
        var light = plan.Forecast.Find(StepIds.Light)!.Reference;
        var ahead = Planned(
            Dish("chickpea", 250, "long_white", 250, SoakChoice.Hours, Style.Moist, now: LastNight)
                .With(new SoakOfHours((light - plan.Dish.How.Soak.Since!.Value).TotalHours))
        );
        Assert.Equal(plan.MinuteOfDay(StepIds.Light), ahead.MinuteOfDay(StepIds.Light), 3.0);
    }

    [Fact]
    public void A_bowl_that_would_stand_too_long_on_the_counter_is_drained_by_its_limit_and_chilled()
    {
        // 10 h by half past two of the 12 that a cool room allows.
        var plan = Planned(Soaking("chickpea", new(2026, 11, 25, 4, 30), serve: new(2026, 11, 25, 22, 0)));
        var drain = plan.Cook.Actions.First(a => a is CookAction.Drain { IngredientId: not null });
        Assert.Equal(Duration.FromHours(12), drain.Trigger.NotBefore - plan.Dish.How.Soak.Since);
        Assert.Contains(plan.Cook.Actions, a => a is CookAction.Chill);
        Assert.DoesNotContain(plan.Gates, g => g.Blocks);
        // Past its limit it is no longer cooked; the same bowl in the fridge is.
        var warm = Soaking("chickpea", LastNight, room: 26);
        Assert.Equal(SoakGate.TooLong, Refused(warm).Gate);
        Assert.DoesNotContain(Planned(warm.With(new SoaksAlready(warm.How.Soak.Since!.Value, Cold: true))).Gates, g => g.Blocks);
    }

    [Fact]
    public void A_short_soak_counts_as_dry_where_a_lectin_is_in_it()
    {
        // Soaked since half past one: under five hours when the pot is lit, so that they boil on until they are soft.
        var late = Soaking("kidney_red", new(2026, 11, 25, 13, 30));
        var plan = Planned(late);
        Assert.True(plan.Dish.CountsAsDry);
        Assert.DoesNotContain(plan.Gates, g => g.Blocks);
        Assert.Equal(FeltState.Soft, plan.Waits);
        Assert.False(Planned(Soaking("kidney_red", Breakfast)).Dish.CountsAsDry);

        // A slow cooker wants the five hours, and the table moves until they are had.
        var crock = late.With(new InCrock(Cooking.Pots.Cooker(CookerKind.Slow))) with { ServeAt = late.ServeAt + Duration.FromHours(3) };
        var refused = Refused(crock);
        Assert.StartsWith("lectin", refused.Gate, StringComparison.Ordinal);
        var offer = Assert.Single(refused.Alternatives, a => a.Kind == "serve_at");
        Assert.True(offer.ServeAt > crock.ServeAt);
        Assert.IsType<PlanAnswer.Planned>(Plans.Plan(crock with { ServeAt = offer.ServeAt!.Value }));
    }

    [Fact]
    public void A_soak_of_some_hours_begins_so_long_before_the_flame_or_is_too_late()
    {
        var dish = Dish("black", 250, soak: SoakChoice.Hours, now: new(2026, 11, 25, 11, 0)).With(new SoakOfHours(3));
        var plan = Planned(dish);
        var light = plan.Forecast.Find(StepIds.Light)!.Reference;
        Assert.Equal(Duration.FromHours(3), light - plan.Cook.Starts);
        var late = dish with { Now = light - Duration.FromHours(2) };
        var refused = Refused(late);
        Assert.Equal(PlanRefusal.SoakTooLate, refused.Code);
        Assert.InRange((light - refused.Facts.LatestSoak!.Value).TotalHours, 2.75, 3.25);
        Assert.NotEmpty(refused.Alternatives);
    }

    /// <summary>What is in water now needs no other soak, in any way.</summary>
    [Fact]
    public void All_ways_of_what_soaks_already_begin_from_its_bowl()
    {
        var ways = new WayFinder(Plans, Kitchens.Catalogue).For(Soaking("black", Breakfast, "long_white"), 32);
        Assert.All(ways.Where(w => w.Method != Method.Cooked && w.PulseId is null), w => Assert.Equal(SoakChoice.Already, w.Soak));
        Assert.True(ways.Count(w => w.Plan is not null) >= 3);
    }

    /// <summary>Slow pulses that somebody put into water last night, at breakfast or at noon, asked of at half past two.</summary>
    [Fact]
    public void Nine_in_ten_dinners_of_what_soaks_already_come_out()
    {
        string[] pulses = ["chickpea", "kidney_red", "black", "pinto", "navy", "cannellini", "borlotti", "adzuki"];
        LocalDateTime[] sinces = [new(2026, 11, 25, 4, 0), Breakfast, new(2026, 11, 25, 12, 0)];
        var (all, good) = (0, 0);
        foreach (
            var (pulse, since, rice) in pulses.SelectMany(p => sinces.SelectMany(s => new[] { null, "long_white" }.Select(r => (p, s, r))))
        )
        {
            var dish = Soaking(pulse, since, rice, serve: new(2026, 11, 25, 19, 30));
            var best = new[] { dish }
                .Concat(WayFinder.RiceBeside(dish with { OtherBurner = Burner() }).Select(dish.With))
                .Max(d => Plans.Plan(d, 64, rough: true) is PlanAnswer.Planned p ? p.Plan.ShareTender : 0);
            all++;
            good += best >= 0.85 ? 1 : 0;
            if (best < 0.85)
            {
                output.WriteLine(
                    $"{pulse} since {since} with {rice ?? "no rice"}: {best:0.00} {(Plans.Plan(dish, 64) as PlanAnswer.Refused)?.Refusal.Code}"
                );
            }
        }

        Assert.True(good >= 0.9 * all, $"{good} of {all}");
    }
}
