using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Safety;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Stove;

/// <summary>A look into a pressure cooker with what it costs, and whether the lid need be locked at all: by running pots.</summary>
public sealed class LidInspection(Simulator simulator, EveningForecaster forecaster)
{
    public const string LookAndLock = "look_and_lock";
    public const string OpenForGood = "open_for_good";
    public const string StayOpen = "stay_open";

    /// <summary>Any answer ends this look: it is there to learn, and what follows is the same.</summary>
    private const double AnyDoneness = 0;

    /// <summary>Boiling water for a pot that was filled for pressure and now simmers open, g.</summary>
    private static readonly double[] Waters = [0, 100, 200, 300, 450, 600, 800, 1000, 1300, 1600];

    private static readonly double[] Holds = [0.5, 1, 2, 3, 4, 5, 6, 8, 10, 12, 15, 18, 22, 27, 33, 40];

    /// <summary>What can be done about a lid that is locked, or is to be locked next; empty where no lid is in the way.</summary>
    public IReadOnlyList<Answer> For(EveningForecast now, Dish dish)
    {
        ArgumentNullException.ThrowIfNull(now);
        ArgumentNullException.ThrowIfNull(dish);
        var c = new CourseBuilder(simulator, forecaster, dish with { Now = now.Now }, now, []);
        if (!c.Pot.PulsesIn || c.Pot.RiceIn || Opened(c) is not [var opened, ..])
        {
            return [];
        }

        IEnumerable<Answer?> answers = c.Pot.Locked
            ? Held(c)
                ?
                [
                    LookThenLock(c, LookAndLock),
                    Simmered(c, water => CourseBuilder.Make(OpenForGood, [.. c.Begin(LetDown()), opened, .. water, .. Opened(c).Skip(1)])),
                ]
                : []
            : LocksNext(c)
                ?
                [
                    Simmered(c, water =>
                        CourseBuilder.Make(
                            StayOpen,
                            [.. BeforeLock(c, opened with { Trigger = Trigger.Next }), .. water, .. Opened(c).Skip(1)]
                        )
                    ),
                ]
                : [];
        return [.. answers.OfType<Answer>().Where(c.Passes).Select(a => a with { Costs = Soft(a.After) - Soft(now) })];
    }

    /// <summary>Down, opened, looked into, and up again for as long as the reference bag then needs; null where that cannot be
    /// run.</summary>
    internal static Answer? LookThenLock(CourseBuilder c, string code)
    {
        var opened = Opened(c);
        if (
            opened.Count == 0
            || c.Now.Evening.Cook.Kitchen[c.Now.Evening.Cook.Kitchen.IndexOf(c.Pot.VesselId)].Vessel.Cooker is not { } cooker
        )
        {
            return null;
        }

        // Opened and vented twice, it must still hold what the cooker asks for.
        var water = Mass.FromGrams(
            Math.Max(0, Math.Ceiling((cooker.LeastLiquid.Millilitres + (2 * cooker.VentGrams) - c.LiquorGrams) / 50) * 50)
        );
        List<CookAction> fill = water.Grams > 0 ? [new CookAction.AddWater(Trigger.Next, water, CourseBuilder.Boiling)] : [];
        Course With(double hold)
        {
            List<CookAction> inside =
            [
                .. LetDown(),
                // Kept at a lively boil while it stands open: what carries a lectin must not go lower before it is soft.
                new CookAction.Heat(Trigger.Once(PotEvent.PinDown), Flame.Lively),
                new CookAction.Heat(new Trigger(Look: new Look(Way.PulseId, AnyDoneness, Duration.FromMinutes(5))), Flame.Lively),
                .. fill,
                // A moment of its own: the vent is looked through before it is done.
                new CookAction.Pressurise(Trigger.Later(Duration.Zero)) { StepId = StepIds.Lock },
                new CookAction.Heat(Trigger.Next, Flame.Full),
                .. PressureHold.Actions(cooker, c.Burner, hold),
                new CookAction.Release(Trigger.Next, ReleaseKind.Natural),
            ];
            return CourseBuilder.Make(code, [.. c.Begin(inside), .. opened]);
        }

        var courses = Holds.Select(With).Where(c.Works).ToList();
        if (courses.Count == 0)
        {
            return null;
        }

        var runs = c.Try(courses);
        var at = c
            .Now.Evening.With(courses[0], c.Now.Now)
            .AsOf(c.Now.Now, out _)
            .Actions.ToList()
            .FindLastIndex(a => a.StepId == opened[0].StepId && a.Trigger.After == PotEvent.PinDown);
        // Held until the pulses are soft when the lid comes off for the second time.
        var best = Enumerable
            .Range(0, runs.Count)
            .FirstOrDefault(k => runs[k].Done[at] is not null && runs[k].At(at).Doneness[0] >= Doneness.Tender, runs.Count - 1);
        return runs[best].StalledAt is not null
            ? null
            : c.Of(code, courses[best]) with
            {
                Amount = water.Grams > 0 ? water : null,
                Temperature = water.Grams > 0 ? CourseBuilder.Boiling : null,
                For = courses[best].Actions.First(a => a.StepId == StepIds.HoldOver).Trigger.Delay,
                Caution = PressureGate.VentUnchecked,
            };
    }

    /// <summary>When the reference bag is found soft, at the last look that is to come.</summary>
    private static Instant? Soft(EveningForecast ahead) =>
        ahead.Due.Where(d => ahead.Evening.Find(d.MomentId)!.Moment.Has(StepIds.Ready)).Select(d => (Instant?)d.At).LastOrDefault();

    /// <summary>The heat is still to go off: what is let down already opens by itself.</summary>
    private static bool Held(CourseBuilder c) => c.Rest.Any(a => a.StepId == StepIds.HoldOver);

    /// <summary>The lid is locked in the next thing that is done.</summary>
    private static bool LocksNext(CourseBuilder c) =>
        c.Rest.TakeWhile((a, i) => i == 0 || a.Trigger == Trigger.Next).Any(a => a is CookAction.Pressurise);

    /// <summary>What stands before the lock is done all the same, a hard boil to its end; then the pot goes on open.</summary>
    private static List<CookAction> BeforeLock(CourseBuilder c, CookAction then) =>
        c.Rest.TakeWhile(a => a is not CookAction.Pressurise).ToList() is { Count: > 0 } before ? [.. before, then] : [.. c.Begin([then])];

    /// <summary>Beans are never let down by the valve: starch spits.</summary>
    private static List<CookAction> LetDown() =>
        [new CookAction.Heat(Trigger.Next, Flame.Off), new CookAction.Release(Trigger.Next, ReleaseKind.Natural)];

    /// <summary>What was to be done from the lid's coming off.</summary>
    private static List<CookAction> Opened(CourseBuilder c) => [.. c.Rest.SkipWhile(a => a.Trigger.After != PotEvent.PinDown)];

    /// <summary>Open, with just the water that keeps the reference pot from falling dry; null where that cannot be run.</summary>
    private static Answer? Simmered(CourseBuilder c, Func<IReadOnlyList<CookAction>, Course> with)
    {
        var courses = Waters
            .Select(w =>
                with(w > 0 ? [new CookAction.AddWater(Trigger.Next, Mass.FromGrams(w), CourseBuilder.Boiling) { In = c.Pot.VesselId }] : [])
            )
            .ToList();
        if (!c.Works(courses[0]))
        {
            return null;
        }

        var runs = c.Try(courses);
        var best = Enumerable.Range(0, runs.Count).FirstOrDefault(k => runs[k] is { StalledAt: null, DrySeconds: 0 }, -1);
        return best < 0
            ? null
            : c.Of(courses[best].Code, courses[best]) with
            {
                Amount = best > 0 ? Mass.FromGrams(Waters[best]) : null,
                Temperature = best > 0 ? CourseBuilder.Boiling : null,
            };
    }
}
