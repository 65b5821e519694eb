using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Safety;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Stove;

/// <summary>Builds other courses for the rest of an evening and runs them.</summary>
/// <param name="before">What was taken for granted to come to this standing.</param>
/// <param name="untroubled">The evening without that; null where nothing was taken for granted.</param>
internal sealed class CourseBuilder(
    Simulator simulator,
    EveningForecaster forecaster,
    Dish dish,
    EveningForecast now,
    IReadOnlyList<Entry> before,
    EveningState? untroubled = null
)
{
    public Dish Dish => dish;

    public EveningForecast Now => now;

    public Conditions Pot { get; } = Conditions.Of(now.Evening);

    public double LiquorGrams => now.Pot is null ? 0 : PotGeometry.LiquorGrams(Math.Max(0, now.Pot.LiquorMillilitres), now.Pot.Celsius);

    /// <summary>What was still to do, each with what it waits for from now.</summary>
    public IReadOnlyList<CookAction> Rest => [.. now.Cook.Actions.Where((_, i) => now.Pending[i] is not null)];

    /// <summary>What comes next in the main pot; null when nothing does.</summary>
    public CookAction? NextInPot => Rest.FirstOrDefault(a => !BowlLane.Holds(a) && VesselOf(a) == Pot.VesselId);

    private string VesselOf(CookAction a) => now.Evening.Cook.Kitchen[now.Evening.Cook.Kitchen.IndexOf(a.In)].Vessel.Id;

    /// <summary>The rest after the heat was away: a hard boil that is still due is counted anew from the next full boil, with its whole
    /// time.</summary>
    public IEnumerable<CookAction> RestBoiledAnew()
    {
        var hard = now
            .Evening.Pending.SelectMany(m => m.Actions.Take(1))
            .FirstOrDefault(a => a.StepId == StepIds.HardBoilOver)
            ?.Trigger.Delay;
        return hard is not { } minutes || Rest.Any(a => a.StepId == StepIds.Boils)
            ? Rest
            : Rest.SelectMany(a =>
                a.StepId != StepIds.HardBoilOver
                    ? (CookAction[])[a]
                    :
                    [
                        new CookAction.Heat(Trigger.Once(PotEvent.Boils), Flame.Rolling) { StepId = StepIds.Boils, In = a.In },
                        a with
                        {
                            Trigger = Trigger.Later(minutes),
                        },
                    ]
            );
    }

    /// <summary>The rice, or the pulses, are still to join: the rest of the evening is not the end of it.</summary>
    public bool JoinToCome => Rest.Any(a => a.StepId == StepIds.Join);

    /// <summary>The rest of the evening finds by itself when they are far enough: they join, or are looked at.</summary>
    public bool LookToCome => JoinToCome || Rest.Any(a => a.Trigger.Look is { IngredientId: Way.PulseId });

    /// <summary>Something is done now, then all goes on as it was to.</summary>
    public Course First(string code, params CookAction[] deeds) => Make(code, [.. Begin(deeds), .. Rest]);

    public static Course Make(string code, IEnumerable<CookAction> actions) => new(code, [.. actions], [], []);

    /// <summary>The deeds in the main pot, the first of them now.</summary>
    public IEnumerable<CookAction> Begin(IEnumerable<CookAction> deeds) =>
        deeds.Select(
            (d, i) => d with { In = Pot.VesselId, Trigger = i == 0 && d.Trigger == Trigger.Next ? Trigger.At(now.Now) : d.Trigger }
        );

    /// <summary>What is left to season and serve with: salt, late extras, what comes out; then the table.</summary>
    public IEnumerable<CookAction> Table(Duration rest)
    {
        var last = Rest.Where(a => a is CookAction.AddSalt or CookAction.Add or CookAction.TakeOut && VesselOf(a) == Pot.VesselId)
            .Where(a =>
                a is not CookAction.Add add || now.Evening.Cook.Ingredients[now.Evening.Cook.IndexOf(add.IngredientId)] is ExtraIngredient
            )
            .Select(a => a with { Trigger = Trigger.Next, In = Pot.VesselId })
            .ToList();
        var serve = Rest.OfType<CookAction.Serve>().First();
        var table = serve with { Trigger = Trigger.Next with { AfterStep = serve.Trigger.AfterStep } };
        List<CookAction> list = [.. last, table];
        list[0] = list[0] with { Trigger = list[0].Trigger with { Delay = rest > Duration.Zero ? rest : null } };
        return list;
    }

    public Answer Of(string code, Course? course) =>
        new(code, before, course, course is null ? now : forecaster.With(now, course, dish.Targets, Rescue.Pots));

    /// <summary>Whether the gates let an answer pass: it may bring nothing that blocks and did not block before the trouble. Where nothing
    /// of the plan changes there is nothing to let pass.</summary>
    public bool Passes(Answer answer) => answer.Course is null || Blocking(answer.After.Forecast.Gates).All(Standing.Contains);

    /// <summary>What blocked already: of what was done and meant before the trouble came, and of the times and temperatures since.</summary>
    private HashSet<(string, string?)> Standing =>
        field ??= [
            .. Blocking(EveningGates.OfMeant(untroubled ?? now.Evening, forecaster.House, now.Now)),
            .. Blocking(now.Forecast.Gates.Where(g => g.Code is HoldGate.TooCool or FlameGate.Unattended)),
        ];

    private static IEnumerable<(string, string?)> Blocking(IEnumerable<GateFinding> gates) =>
        gates.Where(g => g.Blocks).Select(g => (g.Code, g.IngredientId));

    /// <summary>Whether a course can be run at all.</summary>
    public bool Works(Course course) => EveningForecaster.Check(now.Evening.With(course, now.Now), now.Now) is null;

    /// <summary>Reference pots through several courses at once.</summary>
    public IReadOnlyList<PotRun> Try(IReadOnlyList<Course> courses)
    {
        var cooks = courses.Select(c => now.Traits.In(now.Evening.With(c, now.Now).AsOf(now.Now, out _))).ToList();
        return simulator.RunMany([.. cooks.Select(c => new PotJob(c, PotTraits.Reference(c)))], new RunOptions { Heights = false });
    }

    /// <summary>A run that never ends is worse than any other.</summary>
    private const double Never = 1e6;

    /// <summary>Hard is worse than soft: it cannot be eaten. Per point of doneness, against 1 for too soft.</summary>
    private const double HardWeight = 4;

    /// <summary>A tenth of the dry weight too much or too little liquid weighs as six points of doneness.</summary>
    private const double LiquorWeight = 60;

    /// <summary>Twenty seconds over a dry bed weigh as one point of doneness.</summary>
    private const double DrySecondsAPoint = 20;

    /// <summary>Seven minutes of waiting weigh as one point of doneness.</summary>
    private const double WeightOfAMinute = 0.15;

    /// <summary>How far a run ends from what is wanted, in points of doneness: hard weighs most, then wet or dry, then minutes.</summary>
    /// <remarks>The weights are a cook's judgement (confidence D); they only choose among amounts and minutes of one answer.</remarks>
    public double DistanceFromWanted(PotRun run)
    {
        if (run.StalledAt is not null)
        {
            return Never;
        }

        var sum = 0.0;
        for (var i = 0; i < now.Evening.Cook.Ingredients.Count; i++)
        {
            if (run.Final[i].Vessel < 0)
            {
                continue;
            }

            Span? wanted = now.Evening.Cook.Ingredients[i] switch
            {
                PulseIngredient p => dish.Targets.Window(p.Pulse),
                RiceIngredient r => dish.Targets.Window(r.Rice),
                _ => null,
            };
            if (wanted is { } w)
            {
                sum += (HardWeight * Math.Max(0, w.Low + 1 - run.Final[i].Doneness)) + Math.Max(0, run.Final[i].Doneness - w.High);
            }
        }

        var liquor =
            Math.Abs(run.Vessels[now.Evening.Cook.Kitchen.IndexOf(Pot.VesselId)].LiquorGrams - dish.WantedLiquorGrams)
            / dish.TotalDry.Grams;
        return sum + (LiquorWeight * liquor) + (run.DrySeconds / DrySecondsAPoint) + (WeightOfAMinute * run.EndSeconds / 60);
    }

    /// <summary>Pots that stand empty and are not part of this cook.</summary>
    public IEnumerable<Vessel> Spare => dish.OtherVessels.Where(v => now.Evening.Cook.Kitchen.IndexOf(v.Id) < 0);

    public Burner Burner => now.Evening.Cook.Kitchen[now.Evening.Cook.Kitchen.IndexOf(Pot.VesselId)].Burner;

    public static Temperature Boiling { get; } = Temperature.FromCelsius(100);
}
