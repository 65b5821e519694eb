using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Cooking.Trace;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Safety;

namespace BrightKettle.Core.Practice.Scenes;

/// <summary>Runs scenes on their hidden pots: what is seen at the moment, and how each answer ends.</summary>
public sealed class SceneRunner(Simulator simulator, PulseCatalogue catalogue)
{
    private readonly Forecaster _judge = new(simulator);

    public IReadOnlyList<Scene> Scenes { get; } = Scene.All(catalogue);

    public Scene? Find(string id) => Scenes.FirstOrDefault(s => s.Id == id);

    /// <summary>At the moment of the decision; the same pot is seen the same each time.</summary>
    /// <param name="pot">0 to <see cref="Scene.Pots"/> - 1.</param>
    public SceneSight See(Scene scene, int pot)
    {
        ArgumentNullException.ThrowIfNull(scene);
        var (cook, run, moment) = Run(scene, pot, scene.Choices[0]);
        var at = SampleAt(run, moment);
        var boiled = run.Nth(PotEvent.Boils);
        var (bed, level) = Heights(at);
        return new(
            moment / 60,
            boiled is { } boil && boil < moment ? (moment - boil) / 60 : null,
            Felt(cook, at.Doneness, 0, new Hand(cook.Seed, pot)),
            IsIn(cook, scene.Moment) ? RiceFelt(cook, at.Doneness, new Hand(cook.Seed, pot)) : null,
            Math.Round(2 * (level - bed)) / 2,
            bed,
            Math.Max(bed, level),
            at.Celsius
        );
    }

    /// <summary>Every answer on the same pot; the best is the one with the most points.</summary>
    public IReadOnlyList<SceneOutcome> Outcomes(Scene scene, int pot)
    {
        ArgumentNullException.ThrowIfNull(scene);
        var ends = scene.Choices.Select(c => (Choice: c, Ran: Run(scene, pot, c))).ToList();
        var judged = ends.Select(e => (e.Choice, e.Ran, Lost: Lost(scene, e.Ran.Cook, e.Ran.Run))).ToList();
        // Who waits longer than somebody who eats as well waits for nothing.
        double Minutes((Cook, PotRun Run, double Moment) ran) =>
            ran.Run.StalledAt is null ? (ran.Run.EndSeconds - ran.Moment) / 60 : Longest;
        return
        [
            .. judged.Select(j =>
            {
                var quickest = judged
                    .Where(o => !o.Lost.Forbidden && o.Lost.Points >= j.Lost.Points - EquallyGood)
                    .Select(o => Minutes(o.Ran))
                    .DefaultIfEmpty(Minutes(j.Ran))
                    .Min();
                return Outcome(
                    scene,
                    j.Choice,
                    j.Ran,
                    j.Lost with
                    {
                        Time = Math.Clamp(PointsAMinute * (Minutes(j.Ran) - quickest), 0, MostForTime),
                    }
                );
            }),
        ];
    }

    private const double Longest = 240;
    private const double EquallyGood = 3;
    private const double PointsAMinute = 0.5;
    private const double MostForTime = 15;
    private const double MostForLiquid = 25;

    /// <summary>g of liquid too much or too little that cost all that liquid can.</summary>
    private const double WrongLiquid = 250;

    private (Cook Cook, PotRun Run, double Moment) Run(Scene scene, int pot, string choice)
    {
        var cook = scene.Cook(choice);
        var run = simulator.Run(cook, scene.Traits(pot, simulator.Constants), new RunOptions(Sample: true));
        var last = scene.Moment > 0 ? run.Done[scene.Moment - 1]?.Seconds ?? 0 : 0;
        return (cook, run, last + (60 * scene.MinutesAfter));
    }

    private SceneScore Lost(Scene scene, Cook cook, PotRun run)
    {
        var house = GateHouse.Unknown;
        if (Gates.Judge(new CookTrace(cook), house, run).Any(f => f.Blocks))
        {
            return new(0, 0, 0, true);
        }

        var texture = Ending.TextureLost(cook, run, scene.Targets, simulator.Constants);
        if (run.StalledAt is not null)
        {
            return new(texture, MostForLiquid, 0, false);
        }

        var (least, most) = scene.Liquor;
        var free = run.FinalLiquor;
        var off = Math.Max(0, Math.Max(least - free, free - most));
        return new(texture, Math.Min(MostForLiquid, MostForLiquid * off / WrongLiquid), 0, false);
    }

    private SceneOutcome Outcome(Scene scene, string choice, (Cook Cook, PotRun Run, double Moment) ran, SceneScore score)
    {
        var final = ran.Run.Final.Select(s => s.Doneness).ToList();
        return new(
            choice,
            Gates.Judge(new CookTrace(ran.Cook), GateHouse.Unknown, ran.Run).FirstOrDefault(f => f.Blocks)?.Code,
            _judge.SpoiltBy(ran.Cook, ran.Run, scene.Targets),
            Doneness.Felt(final[0], scene.Pulse.FallsApartAt),
            final.Count > 1 ? Doneness.Felt(final[1], null) : null,
            ran.Run.FinalLiquor,
            ran.Run.StalledAt is null ? (ran.Run.EndSeconds - ran.Moment) / 60 : Longest,
            score,
            Points(ran.Run)
        );
    }

    /// <summary>So many points are enough for a drawing as wide as a screen.</summary>
    private const int MostPoints = 80;

    private static List<ScenePoint> Points(PotRun run)
    {
        var every = Math.Max(1, run.Samples.Count / MostPoints);
        return
        [
            .. run
                .Samples.Where((_, i) => i % every == 0 || i == run.Samples.Count - 1)
                .Select(s =>
                {
                    var (bed, level) = Heights(s);
                    return new ScenePoint(s.Seconds / 60, s.Doneness[0], s.Doneness.Count > 1 ? s.Doneness[1] : null, bed, level);
                }),
        ];
    }

    private static (double Bed, double Level) Heights(PotSample sample) => (sample.BedCentimetres.Sum(), sample.LevelCentimetres);

    private static PotSample SampleAt(PotRun run, double seconds) =>
        run.Samples.LastOrDefault(s => s.Seconds <= seconds + 1e-6) ?? run.Samples[0];

    private static bool IsIn(Cook cook, int moment) =>
        cook.Actions.Take(moment).Any(a => a is CookAction.Add { IngredientId: SceneWords.Rice });

    private static FeltState Felt(Cook cook, IReadOnlyList<double> doneness, int ingredient, Hand hand) =>
        Doneness.Felt(
            doneness[ingredient] + hand.Error(0, ingredient, 0),
            cook.Ingredients[ingredient] is PulseIngredient p ? p.Pulse.FallsApartAt : null
        );

    private static FeltState RiceFelt(Cook cook, IReadOnlyList<double> doneness, Hand hand) => Felt(cook, doneness, 1, hand);
}
