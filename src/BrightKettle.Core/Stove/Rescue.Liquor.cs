using BrightKettle.Core.Cooking;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Stove;

/// <summary>Too much liquor, too little, too salty.</summary>
public sealed partial class Rescue
{
    /// <summary>Less is not worth a jug, g.</summary>
    private const double LeastGrams = 30;

    /// <summary>Salt in percent that makes somebody say it is too salty, where the ledger knows of none (confidence D).</summary>
    private const double SaltyPercent = 1.4;

    /// <summary>Share of the pulses that is crushed: about one step thicker (10 to 20 %, confidence C).</summary>
    private const double CrushShare = 0.15;

    private static IEnumerable<Answer> PourOff(CourseBuilder c)
    {
        var extra = c.LiquorGrams - c.Dish.WantedLiquorGrams;
        if (extra < LeastGrams)
        {
            return [];
        }

        List<CookAction> deeds =
        [
            new CookAction.SetLiquor(Trigger.Next, Mass.FromGrams(c.Dish.WantedLiquorGrams)),
            new CookAction.Heat(Trigger.Next, Flame.Off),
            new CookAction.Cover(Trigger.Next, Lid.On),
        ];
        var course = CourseBuilder.Make(
            "pour_off",
            [.. c.Begin(deeds), .. OtherActions(c), .. c.Table(Duration.FromMinutes(c.Pot.RiceIn ? 5 : 0))]
        );
        return c.Works(course) ? [c.Of("pour_off", course) with { Amount = Mass.FromGrams(-Round(extra)) }] : [];
    }

    /// <summary>Open and lively until as much is left as is wanted; then all goes on.</summary>
    private static IEnumerable<Answer> Reduce(CourseBuilder c)
    {
        if (c.Pot.RiceIn || c.LiquorGrams - c.Dish.WantedLiquorGrams < LeastGrams)
        {
            return [];
        }

        Course With(double minutes) =>
            CourseBuilder.Make(
                "reduce",
                [
                    .. c.Begin([
                        new CookAction.Cover(Trigger.Next, Lid.Open),
                        new CookAction.Heat(Trigger.Next, Flame.Lively),
                        new CookAction.Heat(Trigger.Later(Duration.FromMinutes(minutes)), c.Pot.Flame) { StepId = "reduced" },
                        new CookAction.Cover(Trigger.Next, c.Pot.Lid),
                    ]),
                    .. c.Rest,
                ]
            );
        var courses = MinutesToTry.Select(With).ToList();
        if (!c.Works(courses[0]))
        {
            return [];
        }

        var runs = c.Try(courses);
        var cook = c.Now.Evening.With(courses[0], c.Now.Now).AsOf(c.Now.Now, out _);
        var at = cook.Actions.ToList().FindIndex(a => a.StepId == "reduced");
        var best = Enumerable
            .Range(0, courses.Count)
            .Where(k => runs[k].Done[at] is not null)
            .MinBy(k => Math.Abs(runs[k].At(at).LiquorBefore - c.Dish.WantedLiquorGrams));
        return
        [
            c.Of("reduce", courses[best]) with
            {
                For = Duration.FromMinutes(MinutesToTry[best]),
                Amount = Mass.FromGrams(-Round(Math.Max(0, c.LiquorGrams - runs[best].At(at).LiquorBefore))),
            },
        ];
    }

    private static IEnumerable<Answer> Crush(CourseBuilder c)
    {
        var pulse = c.Now.Evening.Cook.Ingredients.OfType<PulseIngredient>().First();
        var course = c.First("crush", new CookAction.Mash(Trigger.Next, pulse.Id, CrushShare));
        return c.Pot.PulsesIn && c.Works(course)
            ?
            [
                c.Of("crush", course) with
                {
                    Amount = Mass.FromGrams(Math.Round(pulse.Dry.Grams * CrushShare * (1 + pulse.Pulse.Absorbed.Typical) / 10) * 10),
                },
            ]
            : [];
    }

    /// <summary>Boiling water up to what is wanted; a ladle where the ledger sees no want.</summary>
    private static IEnumerable<Answer> Thin(CourseBuilder c)
    {
        var water = Mass.FromGrams(Round(Math.Max(80, c.Dish.WantedLiquorGrams - c.LiquorGrams)));
        var course = c.First(
            "thin",
            new CookAction.AddWater(Trigger.Next, water, CourseBuilder.Boiling),
            new CookAction.Stir(Trigger.Next)
        );
        return c.Works(course) ? [c.Of("thin", course) with { Amount = water, Temperature = CourseBuilder.Boiling }] : [];
    }

    private static List<Answer> Unsalt(CourseBuilder c, double? percent)
    {
        var sheet = SaltSheet.Of(c.Now.Cook, c.Now.Forecast.Reference, c.Dish.SaltPercent);
        var target = Math.Max(0.3, c.Dish.SaltPercent) / 100;
        var now = (percent ?? Math.Max(SaltyPercent, sheet.PercentNow)) / 100;
        if (now <= target)
        {
            return [];
        }

        // What is too much goes into more of it, or out with liquor that unsalted water replaces.
        var dilute = Mass.FromGrams(Round(sheet.EdibleGrams * ((now / target) - 1)));
        var swap = Mass.FromGrams(Round(Math.Min(c.LiquorGrams * 0.8, sheet.EdibleGrams * (1 - (target / now)))));
        var list = new List<Answer>();
        var change = c.First(
            "swap",
            new CookAction.SetLiquor(Trigger.Next, Mass.FromGrams(Math.Max(0, c.LiquorGrams - swap.Grams))),
            new CookAction.AddWater(Trigger.Next, swap, CourseBuilder.Boiling)
        );
        if (swap.Grams >= LeastGrams && c.Works(change))
        {
            list.Add(c.Of("swap", change) with { Amount = swap, Temperature = CourseBuilder.Boiling });
        }

        // As plain rice beside it takes nothing from the pot and needs no room in it.
        list.Add(c.Of("more_plain", null) with { Amount = dilute });
        return list;
    }

    private static double Round(double grams) => Math.Round(grams / 10) * 10;
}
