using BrightKettle.Core.Cooking;
using BrightKettle.Core.Safety;
using BrightKettle.Core.Stove;
using NodaTime;

namespace BrightKettle.Core.Practice.Dinners;

/// <summary>Judges a practice dinner at the table, against somebody who does what the stove says in the same kitchen.</summary>
/// <param name="house">As the gates know it.</param>
public sealed class DinnerJudge(Simulator simulator, GateHouse house)
{
    private const double MostForWater = 15;
    private const double MostForSalt = 5;
    private const double MostForLate = 15;
    private const double MostForAttention = 5;

    /// <summary>Liquid so far off is not noticed, g, and so much more costs all.</summary>
    private const double Unnoticed = 100;
    private const double WrongLiquid = 300;

    /// <summary>Salt off by this share is not noticed, and by this one costs all.</summary>
    private const double SaltUnnoticed = 0.1;
    private const double SaltWrong = 0.6;

    /// <summary>Minutes late that are nothing.</summary>
    private const double OnTime = 10;
    private const double PointsAMinute = 0.5;

    /// <summary>Looks and doings beyond those of the one who is advised that are nothing, and what each more costs.</summary>
    private const double FreeLooks = 4;
    private const double PointsALook = 0.5;

    /// <summary>So many points are enough for a drawing as wide as a screen.</summary>
    private const int MostPoints = 80;

    private readonly Planning.Forecaster _judge = new(simulator);

    /// <summary>The same dinner by somebody who does what the stove says in the same kitchen: a whole evening of forecasts.</summary>
    public PlayedDinner Advise(PracticeDinner dinner)
    {
        ArgumentNullException.ThrowIfNull(dinner);
        return new AdvicePlayer(simulator).Play(dinner.Plan, dinner.Hidden, dinner.Seed);
    }

    /// <param name="evening">That was served.</param>
    /// <param name="advised">See <see cref="Advise"/>; null where that is not known.</param>
    /// <exception cref="ArgumentException">It was not served.</exception>
    public DinnerEnd End(PracticeDinner dinner, EveningState evening, PlayedDinner? advised)
    {
        ArgumentNullException.ThrowIfNull(dinner);
        ArgumentNullException.ThrowIfNull(evening);
        var served = evening.ServedAt ?? throw new ArgumentException("It is not on the table.", nameof(evening));
        var theirs = advised?.Served is null ? null : new EveningState(dinner.Plan.Cook, advised.Told);
        var usual = theirs is null ? Attention(evening) : Attention(theirs);
        var (mine, run) = Table(dinner, evening, served, usual);
        var (other, otherRun) = theirs is null ? (null, null) : Table(dinner, theirs, advised!.Served!.Value, usual);
        var first = dinner.Plan.Cook.Ingredients.Select((x, i) => (x, i)).First(x => x.x is PulseIngredient).i;
        var reference = PotTraits.Reference(dinner.Plan.Cook);
        return new(
            mine,
            other,
            dinner.Hidden.Pace[first] / reference.Pace[first],
            dinner.Hidden.Evaporation / reference.Evaporation,
            dinner.Hidden.BurnerPower / reference.BurnerPower,
            dinner.Plan.Dish.Targets.Window(((PulseIngredient)dinner.Plan.Cook.Ingredients[first]).Pulse),
            Points(evening, run, first),
            otherRun is null ? [] : Points(theirs!, otherRun, first)
        );
    }

    private (DinnerTable Table, PotRun Run) Table(PracticeDinner dinner, EveningState evening, Instant served, int usual)
    {
        var (plan, cook, targets) = (dinner.Plan, evening.Cook, dinner.Plan.Dish.Targets);
        var kitchen = dinner.KitchenOf(evening);
        var run = kitchen.Seen(served);
        double Off(double by, double unnoticed, double all, double most) => Math.Clamp(most * (Math.Abs(by) - unnoticed) / all, 0, most);
        var salt = SaltOf(plan.Cook.Actions);
        var score = new DinnerScore(
            Ending.TextureLost(cook, run, targets, simulator.Constants),
            Off(
                run.Vessels.Sum(v => v.LiquorGrams) - plan.Forecast.Reference.Vessels.Sum(v => v.LiquorGrams),
                Unnoticed,
                WrongLiquid,
                MostForWater
            ),
            salt > 0 ? Off((SaltOf(evening.ActionsDone().Select(d => d.Action)) / salt) - 1, SaltUnnoticed, SaltWrong, MostForSalt) : 0,
            Math.Clamp(PointsAMinute * ((served - plan.Dish.ServeAt).TotalMinutes - OnTime), 0, MostForLate),
            Math.Clamp(PointsALook * (Attention(evening) - usual - FreeLooks), 0, MostForAttention),
            Forbidden(kitchen, evening)
        );
        return (
            new(
                served,
                _judge.SpoiltBy(cook, run, targets),
                score,
                [
                    .. cook
                        .Ingredients.Select((x, i) => (x, i))
                        .Where(x => x.x is PulseIngredient or RiceIngredient)
                        .Select(x => (x.x.Id, Doneness.Felt(run.Final[x.i].Doneness, (x.x as PulseIngredient)?.Pulse.FallsApartAt))),
                ]
            ),
            run
        );
    }

    /// <summary>What a gate finds by what really happened: a boil that was told and never came is none.</summary>
    private string? Forbidden(SimulatedKitchen kitchen, EveningState evening)
    {
        var meant = evening.AsMeant(out _);
        var seen = evening.Seen.Where(o => o is not Observation.Seen).ToList();
        return Gates.OfActions(meant, house, kitchen.Truth(meant), seen).FirstOrDefault(f => f.Blocks)?.Code;
    }

    private static double SaltOf(IEnumerable<CookAction> actions) => actions.OfType<CookAction.AddSalt>().Sum(a => a.Salt.Grams);

    /// <summary>How often somebody saw to it.</summary>
    private static int Attention(EveningState evening) =>
        evening.Seen.Count(o => o is Observation.FeltAs or Observation.ChalkyOf or Observation.OverBed or Observation.Liquor);

    /// <summary>From the first flame on: a soak of a night has nothing to show.</summary>
    private static List<DinnerPoint> Points(EveningState evening, PotRun run, int first)
    {
        var cook = evening.Cook;
        var lit = evening
            .ActionsDone()
            .Where(d => d.Action is CookAction.Heat)
            .Select(d => (d.At - cook.Starts).TotalSeconds)
            .FirstOrDefault();
        var shown = run.Samples.Where(s => s.Seconds >= lit).ToList();
        var rice = cook.Ingredients.Select((x, i) => (x, i)).Where(x => x.x is RiceIngredient).Select(x => (int?)x.i).FirstOrDefault();
        var every = Math.Max(1, shown.Count / MostPoints);
        return
        [
            .. shown
                .Where((_, i) => i % every == 0 || i == shown.Count - 1)
                .Select(s => new DinnerPoint(
                    (s.Seconds - lit) / 60,
                    s.Doneness[first],
                    rice is { } r ? s.Doneness[r] : null,
                    s.BedCentimetres.Sum(),
                    s.LevelCentimetres
                )),
        ];
    }
}
