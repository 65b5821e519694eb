using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Planning.Manners;
using BrightKettle.Core.Practice;
using BrightKettle.Core.Stove;
using BrightKettle.Core.Tests.Stove;
using NodaTime;
using Xunit;
using static BrightKettle.Core.Tests.Kitchens;

namespace BrightKettle.Core.Tests.Practice;

/// <summary>Whole dinners in kitchens that nobody knows.</summary>
public sealed class AdvicePlayerTests
{
    private const int Kitchens = 12;

    private static readonly (string Pulse, string? Rice, SoakChoice Soak, Style Style)[] Dinners =
    [
        ("lentil_brown", "long_white", SoakChoice.None, Style.Saucy),
        ("chickpea", "basmati_unsoaked", SoakChoice.Overnight, Style.Saucy),
        ("cannellini", null, SoakChoice.Overnight, Style.Moist),
        ("toor_split", null, SoakChoice.None, Style.Soup),
    ];

    private static Plan Of(int which) =>
        Dinners[which] is var (pulse, rice, soak, style)
            ? Planned(Dish(pulse, 250, rice, 250, soak) with { Style = style })
            : throw new InvalidOperationException();

    private static IEnumerable<(Plan Plan, PotTraits Hidden, int Number)> Lot(int kitchens) =>
        Enumerable
            .Range(0, Dinners.Length)
            .Select(Of)
            .SelectMany(
                (plan, d) =>
                    PotTraits
                        .Many(plan.Cook with { Seed = 100 + d }, Model.Constants, kitchens)
                        .Select((hidden, i) => (plan, hidden, (1000 * d) + i))
            );

    [Fact]
    public void Who_does_what_the_product_says_eats_as_was_promised_and_clearly_better_than_who_goes_by_the_clock()
    {
        var games = Lot(Kitchens)
            .Select(g =>
                (Advice: new AdvicePlayer(Model).Play(g.Plan, g.Hidden, g.Number), Clock: new ClockPlayer(Model).Play(g.Plan, g.Hidden))
            )
            .ToList();
        var (advice, clock) = (games.Count(g => g.Advice.Spoilt is null), games.Count(g => g.Clock.Spoilt is null));
        var promised = Lot(Kitchens).Sum(g => g.Plan.ShareTender);
        Assert.True(advice >= 0.92 * promised, $"{advice} of {games.Count} by advice, {promised:0.0} promised");
        Assert.True(advice >= clock + (0.1 * games.Count), $"{advice} by advice, {clock} by the clock, of {games.Count}");
        Assert.All(games, g => Assert.NotNull(g.Advice.Served));
    }

    [Fact]
    public void The_same_kitchen_and_hand_end_the_same_and_what_was_told_is_an_evening_that_can_be_run()
    {
        foreach (var (plan, hidden, number) in Lot(2))
        {
            var (once, again) = (new AdvicePlayer(Model).Play(plan, hidden, number), new AdvicePlayer(Model).Play(plan, hidden, number));
            Assert.Equal(once.Told, again.Told);
            Assert.Equal(once.Final, again.Final);
            var evening = new EveningState(plan.Cook, once.Told);
            Assert.Null(EveningForecaster.Check(evening, once.Served!.Value));
            Assert.True(once.Looks > 0);
        }
    }

    [Fact]
    public void In_the_kitchen_that_the_plan_believes_in_the_clock_brings_what_the_plan_says()
    {
        foreach (var (plan, _, _) in Lot(1))
        {
            var played = new ClockPlayer(Model).Play(plan, PotTraits.Reference(plan.Cook));
            Assert.NotNull(played.Served);
            Assert.InRange((played.Served.Value - Evenings.At(plan, StepIds.Table)).TotalMinutes, -2, 2);
            Assert.All(plan.Forecast.Reference.Final.Zip(played.Final), p =>
                Assert.InRange(p.Second, p.First.Doneness - 5, p.First.Doneness + 5)
            );
        }
    }

    [Fact]
    public void A_kitchen_says_when_something_will_be_heard_and_nothing_of_what_never_comes()
    {
        var plan = Of(0);
        var kitchen = new SimulatedKitchen(Model, plan.Cook, PotTraits.Reference(plan.Cook));
        var pot = plan.Cook.Kitchen.Vessel.Id;
        var now = plan.Cook.Starts;
        foreach (var action in plan.Cook.Actions.TakeWhile(a => a is not CookAction.Heat))
        {
            now = Instant.Max(now, kitchen.Do(now, action));
        }

        Assert.Null(kitchen.When(pot, PotEvent.Boils));
        _ = kitchen.Do(now, new CookAction.Heat(Trigger.Next, Flame.Full));
        Assert.InRange((kitchen.When(pot, PotEvent.Boils)!.Value - now).TotalMinutes, 3, 40);
        Assert.Throws<InvalidOperationException>(() =>
            kitchen.Do(now, new CookAction.Serve(Trigger.Once(PotEvent.PinDown)) { In = "elsewhere" })
        );
    }
}
