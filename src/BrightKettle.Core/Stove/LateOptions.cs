using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Planning.Manners;
using BrightKettle.Core.Planning.Solving;
using BrightKettle.Core.Safety;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Stove;

/// <summary>What can be done when the table is in danger, each with its cost.</summary>
public sealed class LateOptions(Simulator simulator, EveningForecaster forecaster)
{
    /// <summary>Less is not worth a change.</summary>
    private static readonly Duration WorthIt = Duration.FromMinutes(2);

    internal static readonly double[] Holds = [1, 2, 3, 5, 7, 9, 12, 15, 19, 24, 30, 38];

    /// <summary>The quickest first; eating later is always the last.</summary>
    public IReadOnlyList<Answer> For(EveningForecast now, Dish dish)
    {
        ArgumentNullException.ThrowIfNull(now);
        ArgumentNullException.ThrowIfNull(dish);
        var courses = new CourseBuilder(simulator, forecaster, dish with { Now = now.Now }, now, []);
        IEnumerable<Answer?> all =
        [
            LidOn(courses),
            MoreHeat(courses),
            LockedAgain.For(courses),
            Pressure(courses),
            Soda(courses),
            RiceApart(courses),
        ];
        var gained = all.OfType<Answer>().Where(a => Gain(now, a) >= WorthIt && courses.Passes(a)).OrderByDescending(a => Gain(now, a));
        return [.. gained, courses.Of("later", null)];
    }

    private static Duration Gain(EveningForecast now, Answer answer) =>
        answer.After.Table is { } then ? (now.Table?.At ?? Instant.MaxValue) - then.At : Duration.Zero;

    /// <summary>Pulses that are waited for and nothing else, in a pot that is not locked: a hard boil that is still due is never cut
    /// short by an answer.</summary>
    internal static bool Waits(CourseBuilder c) =>
        c.Pot is { Locked: false, PulsesIn: true, RiceIn: false } && c.NextInPot?.Trigger.Look is not null;

    private static Answer? Checked(CourseBuilder c, string code, Course course) => c.Works(course) ? c.Of(code, course) : null;

    private static Answer? LidOn(CourseBuilder c) =>
        Waits(c) && c.Pot.Lid is Lid.Open or Lid.Ajar
            ? Checked(c, "lid_on", c.First("lid_on", new CookAction.Cover(Trigger.Next, Lid.On)))
            : null;

    private static Answer? MoreHeat(CourseBuilder c) =>
        Waits(c) && c.Pot.Flame is Flame.Off or Flame.Lowest or Flame.Gentle
            ? Checked(c, "more_heat", c.First("more_heat", new CookAction.Heat(Trigger.Next, Flame.Lively)))
            : null;

    /// <summary>Over into a cooker, held so long that the reference bag is soft, and back.</summary>
    private static Answer? Pressure(CourseBuilder c)
    {
        var fill = (c.Now.Pot?.LevelCentimetres ?? 0) * c.Now.Evening.Cook.Kitchen.Vessel.AreaSquareCentimetres;
        var foams = c.Dish.Pulse.Foam == Catalogue.Foam.High;
        var cooker = c.Spare.FirstOrDefault(v =>
            v.Cooker is { UnderPressure: true } k && fill <= v.Brim.Millilitres * (foams ? Cooker.FillShareFoaming : Cooker.FillShare)
        );
        if (!Waits(c) || cooker is null)
        {
            return null;
        }

        var short_ = Math.Max(0, cooker.Cooker!.LeastLiquid.Millilitres - c.LiquorGrams);
        var rest = c.Rest.SkipWhile(a => a.Trigger.Look is null).Skip(1).SkipWhile(a => a.Trigger == Trigger.Next).ToList();
        if (rest.Count == 0)
        {
            return null;
        }

        Course With(double hold)
        {
            List<CookAction> actions =
                short_ > 0
                    ? [new CookAction.AddWater(Trigger.Next, Mass.FromGrams(Math.Ceiling(short_ / 50) * 50), CourseBuilder.Boiling)]
                    : [];
            actions.Add(new CookAction.Heat(Trigger.Next, Flame.Off));
            actions.Add(new CookAction.Transfer(Trigger.Next, cooker.Id, TransferWhat.Everything) { StepId = "into_cooker" });
            List<CookAction> inside =
            [
                new CookAction.Pressurise(Trigger.Next with { AfterStep = "into_cooker" }) { StepId = StepIds.Lock },
                new CookAction.Heat(Trigger.Next, Flame.Full),
                .. PressureHold.Actions(cooker.Cooker, c.Burner, hold),
                new CookAction.Release(Trigger.Next, ReleaseKind.Natural),
                new CookAction.Transfer(Trigger.Once(PotEvent.PinDown), c.Pot.VesselId, TransferWhat.Everything)
                {
                    StepId = "out_of_cooker",
                },
            ];
            var back = rest[0] with { Trigger = rest[0].Trigger with { AfterStep = "out_of_cooker", Delay = null, After = null } };
            return new(
                "pressure",
                [.. c.Begin(actions), .. inside.Select(a => a with { In = cooker.Id }), back, .. rest.Skip(1)],
                [new CookVessel(cooker, c.Burner)],
                []
            );
        }

        var courses = Holds.Select(With).Where(x => c.Works(x)).ToList();
        var runs = c.Try(courses);
        // Held until the pulses are soft when the lid comes off: from there they only wait.
        var best = Enumerable
            .Range(0, courses.Count)
            .Where(k => runs[k].StalledAt is null && runs[k].Final[0].Doneness >= Doneness.Tender)
            .Select(k => (int?)k)
            .FirstOrDefault();
        return best is not { } at
            ? null
            : c.Of("pressure", courses[at]) with
            {
                For = courses[at].Actions.First(a => a.StepId == StepIds.HoldOver).Trigger.Delay,
                Amount = short_ > 0 ? Mass.FromGrams(Math.Ceiling(short_ / 50) * 50) : null,
                Temperature = short_ > 0 ? CourseBuilder.Boiling : null,
                Caution = PressureGate.VentUnchecked,
            };
    }

    /// <summary>As much as the cap allows, less a fifth for what boils off.</summary>
    private static Answer? Soda(CourseBuilder c)
    {
        var already = c
            .Now.Evening.Cook.Ingredients.OfType<ExtraIngredient>()
            .Where(x => x.Extra.Kind == ExtraKind.Alkali)
            .Sum(x => x.Dry.Grams);
        var grams = Math.Floor(((0.8 * SodaGate.MostGramsPerLitre * c.LiquorGrams / 1000) - already) * 2) / 2;
        if (!Waits(c) || grams < 0.5 || Catalogue.PulseCatalogue.Shipped.FindExtra("soda") is not { } soda)
        {
            return null;
        }

        var pinch = new ExtraIngredient("soda_at_the_stove", Mass.FromGrams(grams), soda, c.Dish.Household.Room);
        var course = c.First("soda", new CookAction.Add(Trigger.Next, pinch.Id)) with { Extras = [pinch] };
        return Checked(c, "soda", course) is { } answer ? answer with { Amount = pinch.Dry, Caution = "soda" } : null;
    }

    /// <summary>Rice in a pot of its own while the pulses go on until they are soft.</summary>
    private Answer? RiceApart(CourseBuilder c)
    {
        var free = c.Dish.BurnerCount > c.Now.Evening.Cook.Kitchen.VesselCount;
        var pot = c
            .Spare.Where(v => v.Cooker is null && c.Dish.Rice is not null && RiceCooking.Holds(v, c.Dish))
            .OrderBy(v => v.Brim.Millilitres)
            .FirstOrDefault();
        if (!Waits(c) || !free || pot is null || c.Rest.All(a => a.StepId != StepIds.Join))
        {
            return null;
        }

        var own = new CookVessel(pot, c.Burner);
        var look = c.Rest.First(a => a.Trigger.Look is not null);
        List<CookAction> pulses =
        [
            new CookAction.Heat(look.Trigger with { Look = look.Trigger.Look! with { Doneness = Doneness.Tender } }, Flame.Gentle)
            {
                StepId = StepIds.Ready,
            },
            new CookAction.SetLiquor(Trigger.Next, Mass.FromGrams(c.Dish.WantedLiquorGrams)) { StepId = StepIds.Finish },
            new CookAction.Heat(Trigger.Next, Flame.Off),
        ];
        var alone = pulses.Select(a => a with { In = c.Pot.VesselId }).ToList();
        var table = c.Table(Duration.Zero).ToList();
        var run = c.Try([CourseBuilder.Make("alone", [.. alone, .. table])])[0];
        if (run.StalledAt is not null)
        {
            return null;
        }

        var soft = c.Now.Cook.Starts + Duration.FromSeconds(run.EndSeconds);
        var beside = new OwnPotSolver(simulator, c.Dish, own).Before(soft);
        table[^1] = table[^1] with { Trigger = table[^1].Trigger with { AfterStep = StepIds.RiceRested } };
        var course = new Course("rice_apart", [.. alone, .. beside, .. table], [own], []);
        return Checked(c, "rice_apart", course) is { } answer
            ? answer with
            {
                Amount = beside.OfType<CookAction.AddWater>().First().Water,
                Temperature = c.Dish.Household.Room,
            }
            : null;
    }
}
