using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Safety;
using NodaTime;

namespace BrightKettle.Core.Planning;

/// <summary>Runs the reference pot and many others through a cook.</summary>
public sealed class Forecaster(Simulator simulator)
{
    /// <summary>Enough for a tenth and a ninetieth percentile that stand still to a few minutes.</summary>
    public const int DefaultPots = 64;

    /// <summary>The picture needs no more.</summary>
    private const int MostPoints = 90;

    private const double Low = 0.1;
    private const double High = 0.9;

    /// <param name="cook">Valid by <see cref="CookRules"/>.</param>
    /// <param name="targets">See <see cref="Targets"/>.</param>
    /// <param name="pots">10 to 2000.</param>
    /// <param name="picture">Whether the points of the picture are wanted; without them it is a good deal quicker.</param>
    /// <param name="steps">Longer steps for the many pots, enough to compare ways by; the reference pot never takes them.</param>
    /// <param name="known">The reference pot's run, by <see cref="Reference"/>, where it has been run already.</param>
    /// <param name="gates">What the gates find in one pot; null where nobody asks.</param>
    public Forecast Run(
        Cook cook,
        Targets targets,
        int pots = DefaultPots,
        bool picture = true,
        RunOptions? steps = null,
        PotRun? known = null,
        Func<PotRun, IReadOnlyList<GateFinding>>? gates = null
    )
    {
        ArgumentOutOfRangeException.ThrowIfLessThan(pots, 10);
        ArgumentOutOfRangeException.ThrowIfGreaterThan(pots, 2000);
        var reference = known ?? Reference(cook);
        var runs = RunMany(cook, pots, steps ?? new RunOptions(picture) { Heights = false });
        var spoilt = runs.Select(r => SpoiltBy(cook, r, targets)).ToList();
        List<VesselPoint>[] vessels = [.. Enumerable.Range(0, picture ? cook.Kitchen.VesselCount : 0).Select(_ => new List<VesselPoint>())];
        return new(
            cook,
            reference,
            MomentsOf(cook, reference, runs),
            picture ? Points(cook, reference, runs, vessels) : [],
            spoilt.Count(x => x is null) / (double)pots,
            pots
        )
        {
            Vessels = [.. vessels.Select((points, v) => VesselOf(cook, reference, runs, v, points))],
            Gates = gates is null ? [] : Safety.Gates.OfMany(gates, reference, runs),
            MostSpoiltBy = spoilt.Where(x => x is not null).GroupBy(x => x).MaxBy(g => g.Count())?.Key,
        };
    }

    /// <summary>The forecast of a cook that comes from elsewhere: one that would go on for ever is told so before many pots run through
    /// it.</summary>
    /// <exception cref="OverBudgetException">The reference pot is not done with it after
    /// <see cref="WorkBudget.LongestCookHours"/>.</exception>
    public Forecast RunForeign(Cook cook, Targets targets, GateHouse house)
    {
        var reference = Reference(cook);
        return reference.IsEndless
            ? throw new OverBudgetException(WorkLimit.SimulatedHours)
            : Run(cook, targets, known: reference, gates: Safety.Gates.InOnePot(cook, house));
    }

    /// <summary>The reference pot with its samples.</summary>
    public PotRun Reference(Cook cook) => simulator.Run(cook, PotTraits.Reference(cook), new RunOptions(Sample: true));

    /// <summary>The share of pots in which all is as wanted when nobody looks: every look is answered by the reference pot's
    /// clock.</summary>
    public double BlindShare(Cook cook, Forecast run, Targets targets, int pots = DefaultPots, RunOptions? steps = null)
    {
        if (cook.Actions.All(a => a.Trigger.Look is null))
        {
            return run.ShareTender;
        }

        var reference = run.Reference;
        var blind = cook with
        {
            Actions =
            [
                .. cook.Actions.Select(
                    (a, i) =>
                        a.Trigger.Look is null || reference.Done[i] is not { } done
                            ? a
                            : a with
                            {
                                Trigger = Trigger.At(cook.Starts + Duration.FromSeconds(done.Seconds)),
                            }
                ),
            ],
        };
        return RunMany(blind, pots, (steps ?? new RunOptions { Heights = false }) with { Moments = false })
                .Count(r => AsWanted(cook, r, targets)) / (double)pots;
    }

    private PotRun[] RunMany(Cook cook, int pots, RunOptions options)
    {
        var traits = PotTraits.Many(cook, simulator.Constants, pots);
        return simulator.RunMany([.. traits.Select(t => new PotJob(cook, t))], options);
    }

    /// <summary>So much past what is wanted is not felt, as a factor: the run's own grain.</summary>
    private const double Unfelt = 1.05;

    /// <summary>Whether every ingredient is within what is wanted, and no bed scorched.</summary>
    internal bool AsWanted(Cook cook, PotRun run, Targets targets) => SpoiltBy(cook, run, targets) is null;

    /// <summary>What somebody at the table would send this pot back for; null for nothing.</summary>
    internal Spoilt? SpoiltBy(Cook cook, PotRun run, Targets targets)
    {
        if (run.StalledAt is not null)
        {
            return Spoilt.NeverDone;
        }

        if (Crust.Of(run, simulator.Constants) == BaseState.Scorched)
        {
            return Spoilt.Scorched;
        }

        for (var i = 0; i < cook.Ingredients.Count; i++)
        {
            var (window, isRice) = cook.Ingredients[i] switch
            {
                PulseIngredient p => (targets.Window(p.Pulse), false),
                RiceIngredient r => (targets.Window(r.Rice), true),
                _ => ((Span?)null, false),
            };
            if (window is { } w && run.Final[i].Doneness < w.Low)
            {
                return isRice ? Spoilt.RiceHard : Spoilt.PulsesHard;
            }

            if (window is { } v && run.Final[i].Doneness > v.High * Unfelt)
            {
                return isRice ? Spoilt.RiceSoft : Spoilt.PulsesSoft;
            }
        }

        return null;
    }

    private static List<MomentForecast> MomentsOf(Cook cook, PotRun reference, PotRun[] runs)
    {
        var list = new List<MomentForecast>();
        var spread = new Spread(runs.Length);
        for (var i = 0; i < reference.Done.Count; i++)
        {
            if (cook.Actions[i].StepId is not { } mark || reference.Done[i] is not { } middle)
            {
                continue;
            }

            var done = runs.Select(r => r.Done[i]).OfType<ActionDone>().ToList();
            var seconds = spread.Of(done, d => d.Seconds, middle.Seconds);
            list.Add(
                new(
                    mark,
                    i,
                    At(cook, seconds.Low),
                    At(cook, seconds.Reference),
                    At(cook, seconds.High),
                    spread.Of(done, d => d.LiquorBefore, middle.LiquorBefore),
                    spread.Of(done, d => d.Added, middle.Added),
                    cook.Actions[i] is CookAction.SetLiquor { BoilDown: not null } ? Begins(cook, done, middle, spread) : null
                )
            );
        }

        return list;
    }

    private static MomentBegins Begins(Cook cook, List<ActionDone> done, ActionDone middle, Spread spread)
    {
        var seconds = spread.Of(done, d => d.Seconds - d.Took, middle.Seconds - middle.Took);
        return new(
            At(cook, seconds.Low),
            At(cook, seconds.Reference),
            At(cook, seconds.High),
            spread.Of(done, d => d.LiquorBefore + d.BoiledDown, middle.LiquorBefore + middle.BoiledDown)
        );
    }

    /// <summary>From the flame on; each minute, or more seldom when the cook is long.</summary>
    /// <param name="vessels">Gets the same minutes of each vessel.</param>
    private static List<ForecastPoint> Points(Cook cook, PotRun reference, PotRun[] runs, List<VesselPoint>[] vessels)
    {
        var lit = cook.Actions.Select((a, i) => a is CookAction.Heat ? reference.Done[i]?.Seconds : null).FirstOrDefault(s => s is not null)
            ?? 0;
        var shown = reference.Samples.Where(s => s.Seconds > lit + 1).ToList();
        var every = Math.Max(1, (shown.Count + MostPoints - 1) / MostPoints);
        var cursor = new int[runs.Length];
        var same = new List<PotSample>(runs.Length);
        var spread = new Spread(runs.Length);
        var points = new List<ForecastPoint>(MostPoints + 1);
        for (var n = 0; n < shown.Count; n++)
        {
            if (n % every != 0 && n != shown.Count - 1)
            {
                continue;
            }

            var sample = shown[n];
            same.Clear();
            for (var k = 0; k < runs.Length; k++)
            {
                var samples = runs[k].Samples;
                while (cursor[k] + 1 < samples.Count && samples[cursor[k] + 1].Seconds <= sample.Seconds + 1e-6)
                {
                    cursor[k]++;
                }

                same.Add(samples[cursor[k]]);
            }

            points.Add(
                new(
                    At(cook, sample.Seconds),
                    sample.Celsius,
                    spread.Of(same, s => s.LiquorMillilitres, sample.LiquorMillilitres),
                    spread.Of(same, s => s.LevelCentimetres, sample.LevelCentimetres),
                    [.. Enumerable.Range(0, cook.Ingredients.Count).Select(i => spread.Of(same, s => s.Doneness[i], sample.Doneness[i]))],
                    sample.BedCentimetres
                )
            );
            for (var v = 0; v < vessels.Length; v++)
            {
                var (of, middle) = (v, LevelIn(sample, v));
                vessels[v]
                    .Add(
                        new(
                            middle.Celsius,
                            spread.Of(same, s => LevelIn(s, of).LiquorMillilitres, middle.LiquorMillilitres),
                            spread.Of(same, s => LevelIn(s, of).LevelCentimetres, middle.LevelCentimetres)
                        )
                    );
            }
        }

        return points;
    }

    private static VesselLevel LevelIn(PotSample sample, int vessel) => sample.All.Count > vessel ? sample.All[vessel] : sample.Shown;

    private VesselForecast VesselOf(Cook cook, PotRun reference, PotRun[] runs, int v, List<VesselPoint> points)
    {
        static double Salt(VesselState s) => s.LiquorGrams + s.SaltGrams > 0 ? 100 * s.SaltGrams / (s.LiquorGrams + s.SaltGrams) : 0;
        return new(
            cook.Kitchen[v].Vessel.Id,
            points,
            Crust.Of(reference.Vessels[v], simulator.Constants),
            runs.Count(r => Crust.Of(r.Vessels[v], simulator.Constants) == BaseState.Scorched) / (double)runs.Length,
            new Spread(runs.Length).Of([.. runs], r => Salt(r.Vessels[v]), Salt(reference.Vessels[v])),
            ThicknessOf.Of(reference.Vessels[v]),
            ThicknessOf.OnThePlate(reference.Vessels[v])
        );
    }

    private static Instant At(Cook cook, double seconds) => cook.Starts + Duration.FromSeconds(Math.Round(seconds));

    /// <summary>Percentiles of one figure over the pots, on one buffer.</summary>
    private sealed class Spread(int most)
    {
        private readonly double[] _values = new double[most];

        public Band Of<T>(List<T> pots, Func<T, double> figure, double reference)
        {
            if (pots.Count == 0)
            {
                return new(reference, reference, reference);
            }

            for (var i = 0; i < pots.Count; i++)
            {
                _values[i] = figure(pots[i]);
            }

            Array.Sort(_values, 0, pots.Count);
            return new(Quantile(Low, pots.Count), reference, Quantile(High, pots.Count));
        }

        private double Quantile(double share, int count)
        {
            var at = share * (count - 1);
            var below = (int)at;
            var above = Math.Min(below + 1, count - 1);
            return _values[below] + ((at - below) * (_values[above] - _values[below]));
        }
    }
}
