using BrightKettle.Core.Cooking;
using BrightKettle.Core.Cooking.Trace;
using MathNet.Numerics.Distributions;

namespace BrightKettle.Core.Learning;

/// <summary>From observations to what they say of this bag, this pot and this burner: many pots are run through what was done, and
/// weighed by how well they explain what was seen.</summary>
/// <remarks>Importance sampling: where few pots fit, it is drawn again around those that do. Everything is fixed by the cook's
/// seed.</remarks>
public sealed class Learner(Simulator simulator)
{
    private const int Pots = 192;
    private const int MostRounds = 4;

    /// <summary>With fewer pots than this left in weight, a round is drawn around them.</summary>
    private const double Enough = Pots / 4.0;

    /// <summary>A drawn round reaches this much further than what the one before found.</summary>
    private const double Reach = 1.4;

    private readonly ObservationLikelihood _evidence = new(simulator.Constants);

    /// <summary>What is known before anything is seen.</summary>
    public TraitEstimate Prior(Cook cook)
    {
        ArgumentNullException.ThrowIfNull(cook);
        return new(
            cook.Ingredients.OfType<PulseIngredient>()
                .Select(p => (p.Id, p.Pace))
                .Concat(
                    cook.Ingredients.OfType<RiceIngredient>()
                        .Select(r => (r.Id, Pace: new Pace(r.RateFactor, simulator.Constants.RiceSpread)))
                )
                .ToDictionary(p => p.Id, p => p.Pace),
            cook.Evaporation ?? new(1, simulator.Constants.EvaporationSpread),
            cook.BurnerPower ?? new(1, simulator.Constants.BurnerSpread)
        );
    }

    /// <summary>More looks than this in one evening, the latest of them, tell nothing that these do not.</summary>
    private const int MostLooks = 240;

    /// <summary>What tells something of bag, pot or burner; of the same look in the same minute the last.</summary>
    private static List<Observation> Telling(IReadOnlyList<Observation> seen)
    {
        var telling = seen.Where(o =>
                o
                    is not Observation.VentClear
                        and not Observation.CountedOut
                        and not Observation.Probed
                        and not Observation.Sticks
                        and not Observation.Checked
            )
            .ToList();
        return telling.Count <= MostLooks
            ? telling
            :
            [
                .. telling
                    .GroupBy(o => (o.GetType(), o.At.ToUnixTimeSeconds() / 60))
                    .Select(same => same.Last())
                    .OrderBy(o => o.At)
                    .TakeLast(MostLooks),
            ];
    }

    /// <param name="past">What was done, at its real times, with a serve at the moment up to which it is told.</param>
    /// <param name="seen">Observations that lie within it.</param>
    public TraitEstimate Learn(Cook past, IReadOnlyList<Observation> seen)
    {
        ArgumentNullException.ThrowIfNull(past);
        ArgumentNullException.ThrowIfNull(seen);
        var prior = Prior(past);
        var telling = Telling(seen);
        if (telling.Count == 0)
        {
            return prior;
        }

        var names = prior.Paces.Keys.Order(StringComparer.Ordinal).ToList();
        Pace[] before = [.. names.Select(n => prior.Paces[n]), prior.Evaporation, prior.BurnerPower];
        var (drawn, found) = (before, before);
        for (var round = 0; round < MostRounds; round++)
        {
            var (next, effective) = Round(past, telling, names, before, drawn, round);
            found = next;
            if (effective >= Enough)
            {
                break;
            }

            drawn = [.. next.Zip(before, (n, b) => new Pace(n.Median, Math.Min(b.Spread, Math.Max(n.Spread * Reach, b.Spread * 0.15))))];
        }

        return new(names.Zip(found).ToDictionary(p => p.First, p => p.Second), found[^2], found[^1]);
    }

    /// <summary>One set of pots, drawn from a guess and weighed against what was known before.</summary>
    private (Pace[] Found, double Effective) Round(
        Cook past,
        List<Observation> seen,
        List<string> names,
        Pace[] before,
        Pace[] drawn,
        int round
    )
    {
        var traits = Draw(past.Seed + round, drawn);
        var jobs = traits.Select(t => new PotJob(past, Traits(past, names, t))).ToList();
        var runs = simulator.RunMany(jobs, new RunOptions(Sample: true) { Heights = false });
        var trace = new CookTrace(past);
        var logs = new double[Pots];
        for (var k = 0; k < Pots; k++)
        {
            logs[k] = seen.Sum(o => _evidence.LogLikelihood(trace, runs[k], o));
            for (var j = 0; j < before.Length; j++)
            {
                logs[k] += LogDensity(traits[k][j], before[j]) - LogDensity(traits[k][j], drawn[j]);
            }
        }

        var most = logs.Max();
        var weights = logs.Select(l => Math.Exp(l - most)).ToArray();
        var sum = weights.Sum();
        var found = new Pace[before.Length];
        for (var j = 0; j < before.Length; j++)
        {
            var mean = Enumerable.Range(0, Pots).Sum(k => weights[k] * Math.Log(traits[k][j])) / sum;
            var variance = Enumerable.Range(0, Pots).Sum(k => weights[k] * Math.Pow(Math.Log(traits[k][j]) - mean, 2)) / sum;
            // Nothing is ever known exactly: what is left is at least a fortieth, or what was left before.
            found[j] = new(Math.Exp(mean), Math.Min(before[j].Spread, Math.Max(Math.Min(before[j].Spread, 0.025), Math.Sqrt(variance))));
        }

        return (found, sum * sum / weights.Sum(w => w * w));
    }

    private static PotTraits Traits(Cook past, List<string> names, double[] drawn)
    {
        var middle = PotTraits.Reference(past);
        return middle with
        {
            Pace = [.. past.Ingredients.Select((i, k) => names.IndexOf(i.Id) is var n && n >= 0 ? drawn[n] : middle.Pace[k])],
            Evaporation = drawn[^2],
            BurnerPower = drawn[^1],
        };
    }

    /// <summary>A Latin square of quantiles of each trait.</summary>
    private static double[][] Draw(int seed, Pace[] from)
    {
        var random = new SplitMix(seed);
        var columns = from.Select(p =>
                random.Permutation(Pots).Select(k => p.Median * Math.Exp(p.Spread * Normal.InvCDF(0, 1, (k + 0.5) / Pots))).ToArray()
            )
            .ToArray();
        return [.. Enumerable.Range(0, Pots).Select(k => columns.Select(c => c[k]).ToArray())];
    }

    private static double LogDensity(double value, Pace pace) =>
        pace.Spread <= 0 ? 0 : (-0.5 * Math.Pow(Math.Log(value / pace.Median) / pace.Spread, 2)) - Math.Log(pace.Spread);
}
