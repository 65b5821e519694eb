using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Units;
using NodaTime;
using Xunit;
using static BrightKettle.Core.Tests.Kitchens;

namespace BrightKettle.Core.Tests.Cooking;

public class CookRulesTests
{
    private static readonly Cook Good = Simmer(Pulse("pinto"), 8);

    public static TheoryData<string, string, int?> Faults =>
        new()
        {
            { "no actions", "cook.actions", null },
            { "unknown ingredient", "cook.unknown_ingredient", 2 },
            { "added twice", "cook.already_in_pot", 3 },
            { "look at what is not in", "cook.not_in_pot", 2 },
            { "negative water", "cook.amount", 3 },
            { "soak waits for the boil", "cook.bowl_by_clock", 0 },
            { "no serving", "cook.no_end", 6 },
            { "before the start", "cook.too_far", 2 },
        };

    [Theory]
    [InlineData(0.001)]
    [InlineData(70_000)]
    public void An_ingredient_that_no_scale_shows_or_no_pot_holds_is_refused(double grams) =>
        Assert.Equal(
            "cook.ingredient_amount",
            CookRules.Check(Good with { Ingredients = [Good.Ingredients[0] with { Dry = Mass.FromGrams(grams) }] })?.Code
        );

    [Fact]
    public void A_good_list_has_no_fault() => Assert.Null(CookRules.Check(Good));

    [Theory]
    [MemberData(nameof(Faults))]
    public void A_bad_list_is_refused_with_its_action(string what, string code, int? action)
    {
        var list = Good.Actions.ToList();
        switch (what)
        {
            case "no actions":
                list.Clear();
                break;
            case "unknown ingredient":
                list[2] = new CookAction.Add(Trigger.Next, "x");
                break;
            case "added twice":
                list.Insert(3, new CookAction.Add(Trigger.Next, "p"));
                break;
            case "look at what is not in":
                list[2] = new CookAction.Add(new Trigger(Look: new Look("p", 50, Duration.FromMinutes(5))), "p");
                break;
            case "negative water":
                list[3] = new CookAction.AddWater(Trigger.Next, Mass.FromGrams(-5), Temperature.FromCelsius(20));
                break;
            case "soak waits for the boil":
                list[0] = list[0] with { Trigger = Trigger.Once(PotEvent.Boils) };
                break;
            case "no serving":
                list.RemoveAt(list.Count - 1);
                break;
            case "before the start":
                list[2] = list[2] with { Trigger = Trigger.At(Good.Starts - Duration.FromHours(1)) };
                break;
        }

        var fault = CookRules.Check(Good with { Actions = list });
        Assert.Equal((code, action), (fault?.Code, fault?.Action));
    }

    private static readonly Cook Pressed = Pots.Cook(
        Pots.Cooker(CookerKind.Electric),
        [Pots.Pulse("pinto", 300), Pots.Rice("long_white", 100)],
        [
            Pots.Add("p"),
            Pots.Water(900),
            new CookAction.Pressurise(Trigger.Next),
            Pots.Heat(Flame.Full),
            Pots.Heat(Flame.Off, Trigger.Once(PotEvent.PressureUp)),
            new CookAction.Release(Trigger.Next, ReleaseKind.Natural),
            Pots.Serve(Trigger.Once(PotEvent.PinDown)),
        ]
    );

    public static TheoryData<string, string, int?> PressureFaults =>
        new()
        {
            { "rice into a locked cooker", "cook.lid_locked", 4 },
            { "locked twice", "cook.lid_locked", 3 },
            { "whistle of an electric cooker", "cook.no_whistle", 4 },
            { "pressure without a lock", "cook.not_locked", 3 },
            { "pin without a release", "cook.not_released", 5 },
            { "a plain pot under pressure", "cook.no_pressure", 2 },
            { "unknown vessel", "cook.unknown_vessel", 1 },
            { "unknown mark", "cook.unknown_mark", 1 },
            { "mashed rice", "cook.not_a_pulse", 7 },
            { "too strong a brine", "cook.salt_share", 0 },
            { "after the end", "cook.after_the_end", 6 },
            { "poured to itself", "cook.unknown_vessel", 2 },
        };

    [Theory]
    [MemberData(nameof(PressureFaults))]
    public void A_deed_that_no_kitchen_allows_is_refused_with_its_action(string what, string code, int? action)
    {
        var list = Pressed.Actions.ToList();
        var cook = Pressed;
        switch (what)
        {
            case "rice into a locked cooker":
                list.Insert(4, Pots.Add("r"));
                break;
            case "locked twice":
                list.Insert(3, new CookAction.Pressurise(Trigger.Next));
                break;
            case "whistle of an electric cooker":
                list[4] = Pots.Heat(Flame.Off, Trigger.Once(PotEvent.Whistle));
                break;
            case "pressure without a lock":
                list.RemoveAt(2);
                break;
            case "pin without a release":
                list.RemoveAt(5);
                break;
            case "a plain pot under pressure":
                cook = cook with { Kitchen = cook.Kitchen with { Vessel = Pot() } };
                break;
            case "unknown vessel":
                list[1] = list[1] with { In = "nowhere" };
                break;
            case "unknown mark":
                list[1] = list[1] with { Trigger = Trigger.Next with { AfterStep = "never" } };
                break;
            case "mashed rice":
                list[6] = Pots.Heat(Flame.Off, Trigger.Once(PotEvent.PinDown));
                list.AddRange([new CookAction.Mash(Trigger.Next, "r", 0.2), Pots.Serve()]);
                list.Insert(1, Pots.Add("r"));
                list.RemoveAt(2);
                break;
            case "too strong a brine":
                list.Insert(
                    0,
                    new CookAction.Soak(Trigger.Next, "p", Mass.FromGrams(900), Temperature.FromCelsius(20)) { SaltShare = 0.2 }
                );
                break;
            case "after the end":
                list.Add(Pots.Serve());
                break;
            case "poured to itself":
                list.Insert(2, new CookAction.Transfer(Trigger.Next, Pressed.Kitchen.Vessel.Id, TransferWhat.Liquor));
                break;
        }

        var fault = CookRules.Check(cook with { Actions = list });
        Assert.Equal((code, action), (fault?.Code, fault?.Action));
    }

    [Fact]
    public void The_same_seed_gives_the_same_pots_and_another_seed_others()
    {
        var c = Kitchens.Catalogue.Constants;
        var cook = Good with { Ingredients = [((PulseIngredient)Good.Ingredients[0]) with { Pace = new Pace(1, 0.28) }] };
        Assert.Equal(PotTraits.Many(cook, c, 50).Select(t => t.Pace[0]), PotTraits.Many(cook, c, 50).Select(t => t.Pace[0]));
        Assert.NotEqual(
            PotTraits.Many(cook, c, 50).Select(t => t.Pace[0]),
            PotTraits.Many(cook with { Seed = 2 }, c, 50).Select(t => t.Pace[0])
        );
        // 95 % of unknown bags lie between about 0.6 and 1.8.
        Assert.InRange(PotTraits.Many(cook, c, 400).Count(t => t.Pace[0] is > 0.58 and < 1.73) / 400.0, 0.94, 0.96);
    }
}
