using BrightKettle.Core.Cooking;
using BrightKettle.Core.Units;
using NodaTime;
using Xunit;
using static BrightKettle.Core.Tests.Kitchens;

namespace BrightKettle.Core.Tests.Cooking;

public class CookRulesTests
{
    private static readonly Cook Good = Simmer(Pulse("pinto"), 8);

    public static TheoryData<string, string, int?> Faults => new()
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

    [Fact]
    public void A_good_list_has_no_fault() => Assert.Null(CookRules.Check(Good));

    [Theory]
    [MemberData(nameof(Faults))]
    public void A_bad_list_is_refused_with_its_action(string what, string code, int? action)
    {
        var list = Good.Actions.ToList();
        switch (what)
        {
            case "no actions": list.Clear(); break;
            case "unknown ingredient": list[2] = new CookAction.Add(When.Next, "x"); break;
            case "added twice": list.Insert(3, new CookAction.Add(When.Next, "p")); break;
            case "look at what is not in": list[2] = new CookAction.Add(new When(Look: new Look("p", 50, Duration.FromMinutes(5))), "p"); break;
            case "negative water": list[3] = new CookAction.AddWater(When.Next, Mass.FromGrams(-5), Temperature.FromCelsius(20)); break;
            case "soak waits for the boil": list[0] = list[0] with { When = When.Once(PotEvent.Boils) }; break;
            case "no serving": list.RemoveAt(list.Count - 1); break;
            case "before the start": list[2] = list[2] with { When = When.At(Good.Starts - Duration.FromHours(1)) }; break;
        }

        var fault = CookRules.Check(Good with { Actions = list });
        Assert.Equal((code, action), (fault?.Code, fault?.Action));
    }

    [Fact]
    public void The_same_seed_gives_the_same_pots_and_another_seed_others()
    {
        var c = Kitchens.Catalogue.Constants;
        var cook = Good with { Ingredients = [((PulseIngredient)Good.Ingredients[0]) with { Pace = new Pace(1, 0.28) }] };
        Assert.Equal(PotTraits.Many(cook, c, 50).Select(t => t.Pace[0]), PotTraits.Many(cook, c, 50).Select(t => t.Pace[0]));
        Assert.NotEqual(PotTraits.Many(cook, c, 50).Select(t => t.Pace[0]), PotTraits.Many(cook with { Seed = 2 }, c, 50).Select(t => t.Pace[0]));
        // 95 % of unknown bags lie between about 0.6 and 1.8.
        Assert.InRange(PotTraits.Many(cook, c, 400).Count(t => t.Pace[0] is > 0.58 and < 1.73) / 400.0, 0.94, 0.96);
    }
}
