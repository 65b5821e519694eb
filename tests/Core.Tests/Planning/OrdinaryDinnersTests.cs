using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Units;
using Xunit;
using static BrightKettle.Core.Tests.Kitchens;

namespace BrightKettle.Core.Tests.Planning;

/// <summary>Twenty ordinary wishes that were not chosen to fit, through gates, mixed pots and slow cookers. What comes out is published in
/// docs/model.md; nothing may get worse unseen.</summary>
public class OrdinaryDinnersTests(ITestOutputHelper output)
{
    private sealed record Wish(
        string Pulse,
        double Grams,
        string? Rice,
        double RiceGrams,
        SoakChoice Soak,
        Style Style,
        Method Method,
        string? Other = null,
        double OtherGrams = 0
    );

    private static readonly Wish[] Wishes =
    [
        new("pinto", 275, "long_white", 220, SoakChoice.Overnight, Style.Moist, Method.SlowCooker),
        new("black_eyed_pea", 240, "jasmine", 180, SoakChoice.None, Style.Moist, Method.SlowCooker),
        new("lentil_brown", 320, null, 0, SoakChoice.None, Style.Soup, Method.SlowCooker),
        new("kidney_red", 350, null, 0, SoakChoice.Overnight, Style.Saucy, Method.SlowCooker),
        new("fava_whole", 220, "brown_long", 210, SoakChoice.Overnight, Style.Moist, Method.SlowCooker),
        new("chickpea", 410, null, 0, SoakChoice.Overnight, Style.Dry, Method.SlowCooker),
        new("chickpea", 160, null, 0, SoakChoice.Overnight, Style.Saucy, Method.OpenPot, "kidney_red", 140),
        new("chickpea", 120, "basmati_unsoaked", 200, SoakChoice.Overnight, Style.Moist, Method.OpenPot, "black", 120),
        new("cannellini", 150, null, 0, SoakChoice.Overnight, Style.Soup, Method.OpenPot, "lentil_green", 90),
        new("pinto", 180, "long_white", 200, SoakChoice.Overnight, Style.Saucy, Method.OpenPot, "mung_whole", 80),
        new("adzuki", 150, null, 0, SoakChoice.Overnight, Style.Saucy, Method.OpenPot, "navy", 150),
        new("black_eyed_pea", 130, null, 0, SoakChoice.Overnight, Style.Moist, Method.OpenPot, "great_northern", 150),
        new("lima_large", 300, null, 0, SoakChoice.None, Style.Saucy, Method.Pressure),
        new("lima_large", 300, null, 0, SoakChoice.Overnight, Style.Saucy, Method.Pressure),
        new("lablab", 260, null, 0, SoakChoice.None, Style.Moist, Method.OpenPot),
        new("horse_gram", 200, "long_white", 200, SoakChoice.Overnight, Style.Moist, Method.OpenPot),
        new("horse_gram", 200, null, 0, SoakChoice.None, Style.Soup, Method.Pressure),
        new("fava_whole", 280, null, 0, SoakChoice.Overnight, Style.Soup, Method.OpenPot),
        new("kidney_red", 300, "long_white", 240, SoakChoice.Quick, Style.Moist, Method.OpenPot),
        new("lima_baby", 250, null, 0, SoakChoice.None, Style.Saucy, Method.Pressure),
    ];

    /// <summary>A dinner is answered as a practised cook would when it has a good chance with looks, or is refused with something that works
    /// instead. What does not: mixed pots whose pulses are not right at one time (chickpeas with black beans, black-eyed peas with great
    /// northern beans), which are refused without a way for both.</summary>
    private const int GoodToday = 15;

    [Fact]
    public void Twenty_ordinary_wishes_are_answered_no_worse_than_before_and_none_is_left_without_a_way()
    {
        var answers = Wishes.AsParallel().AsOrdered().Select(w => (Wish: w, Answer: Plan(w))).ToList();
        var told = string.Join('\n', answers.Select(a => $"{a.Wish.Pulse} {a.Wish.Rice} {a.Wish.Method} {a.Wish.Other}: {Tell(a.Answer)}"));
        static bool NoOffer(PlanAnswer answer) => answer is PlanAnswer.Refused { Refusal.Alternatives.Count: 0 };
        Assert.All(answers, a => Assert.False(NoOffer(a.Answer), told));
        Assert.All(answers, a => Assert.False(a.Answer is PlanAnswer.Planned { Plan: var p } && p.Gates.Any(g => g.Blocks), told));
        var good = answers.Count(a =>
            !NoOffer(a.Answer) && a.Answer is PlanAnswer.Refused or PlanAnswer.Planned { Plan.ShareTender: >= 0.8 }
        );
        output.WriteLine($"{good} good\n{told}");
        Assert.True(good >= GoodToday, $"{good} of {answers.Count} good\n{told}");
    }

    private static string Tell(PlanAnswer answer) =>
        answer switch
        {
            PlanAnswer.Planned { Plan: var p } => $"{p.ShareTender:0.00}",
            PlanAnswer.Refused { Refusal: var r } => $"{r.Code} {r.Gate}, {r.Alternatives.Count} offers",
            _ => "?",
        };

    private static PlanAnswer Plan(Wish w) =>
        new Planner(Model).Plan(
            Dish(w.Pulse, w.Grams, w.Rice, w.RiceGrams, w.Soak, w.Style, Pot(28, 7.6))
                .With(
                    Cooks(
                        w.Method,
                        w.Method switch
                        {
                            Method.SlowCooker => Cooking.Pots.Cooker(CookerKind.Slow),
                            Method.Pressure => Cooking.Pots.Cooker(CookerKind.Electric),
                            _ => null,
                        }
                    )
                ) with
            {
                OtherPulses = w.Other is { } other ? [new OtherPulse(Pulse(other), Mass.FromGrams(w.OtherGrams))] : [],
            }
        );
}
