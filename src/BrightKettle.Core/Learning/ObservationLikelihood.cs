using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Cooking.Trace;
using MathNet.Numerics.Distributions;
using NodaTime;

namespace BrightKettle.Core.Learning;

/// <summary>How likely what was observed is in a pot that was run: logarithms, up to a constant.</summary>
/// <remarks>The errors of hand, eye and ruler are our own estimates (confidence D); each is wide enough that one odd answer does not
/// overrule the rest.</remarks>
public sealed class ObservationLikelihood(ModelConstants constants)
{
    /// <summary>The same for what is called chalk: eyes differ more in it.</summary>
    private const double ChalkSpread = 10;

    /// <summary>Steps of that error, with how likely each is.</summary>
    private static readonly (double Step, double Weight)[] Errors =
    [
        (-2, 0.054),
        (-1.33, 0.13),
        (-0.67, 0.2),
        (0, 0.232),
        (0.67, 0.2),
        (1.33, 0.13),
        (2, 0.054),
    ];

    /// <summary>Share of answers that are simply wrong: the wrong button, the wrong pot.</summary>
    private const double Slip = 0.0005;

    /// <summary>Standard deviation with which a boil is noticed, s, and its share of the time it took.</summary>
    private const double NoticeSeconds = 75;
    private const double NoticeShare = 0.08;

    /// <param name="run">With samples, through everything done so far.</param>
    /// <param name="trace">Of what was run.</param>
    public double LogLikelihood(CookTrace trace, PotRun run, Observation seen)
    {
        ArgumentNullException.ThrowIfNull(trace);
        ArgumentNullException.ThrowIfNull(run);
        var cook = trace.Cook;
        var seconds = (seen.At - cook.Starts).TotalSeconds;
        return seen switch
        {
            Observation.FeltAs o => Felt(cook, DonenessAt(cook, run, o.IngredientId, seconds), o),
            Observation.ChalkyOf o => Chalky(DonenessAt(cook, run, o.IngredientId, seconds), o.Chalky, o.Of),
            Observation.Liquor o => Liquor(
                MeasuredAt(cook, run, seconds, o) ?? GramsOf(LevelAt(run, cook.Kitchen.IndexOf(o.VesselId), seconds)),
                o
            ),
            Observation.OverBed o => Ruler(cook, run, seconds, o),
            Observation.Seen o => Event(trace, run, seconds, o),
            Observation.NotYet o => NotYet(trace, run, seconds, o),
            _ => 0,
        };
    }

    /// <summary>Chance that a hand names this state at this doneness.</summary>
    private static double Felt(Cook cook, double doneness, Observation.FeltAs o)
    {
        var apart = cook.Ingredients[cook.IndexOf(o.IngredientId)] is PulseIngredient p ? p.Pulse.FallsApartAt : null;
        var high = o.State == FeltState.FallingApart ? double.PositiveInfinity : Doneness.From(o.State + 1, apart);
        return Math.Log(Slip + ((1 - Slip) * (Below(high, doneness) - Below(Doneness.From(o.State, apart), doneness))));
    }

    private static double Below(double bound, double doneness) =>
        double.IsInfinity(bound) ? (bound > 0 ? 1 : 0) : Normal.CDF(doneness, Hand.Spread, bound);

    private double Chalky(double doneness, int chalky, int of)
    {
        // The pot's own slow seeds and the eye both blur the share: averaged over a hand's error.
        var sum = 0.0;
        foreach (var (step, weight) in Errors)
        {
            var share = Math.Clamp(
                Doneness.ChalkyOfFive(Math.Max(0, doneness + (step * ChalkSpread)), constants.SeedSpread) / 5,
                0.02,
                0.98
            );
            sum += weight * Binomial.PMF(share, of, chalky);
        }

        return Math.Log(Slip + ((1 - Slip) * sum));
    }

    private static double GramsOf(VesselLevel level) => PotGeometry.LiquorGrams(level.LiquorMillilitres, level.Celsius);

    /// <summary>The liquor that a pot had just before it was brought to what was measured there and then; null where it was not.</summary>
    private static double? MeasuredAt(Cook cook, PotRun run, double seconds, Observation.Liquor o)
    {
        var vessel = cook.Kitchen.IndexOf(o.VesselId);
        for (var i = 0; i < cook.Actions.Count; i++)
        {
            if (
                cook.Actions[i] is CookAction.SetLiquor set
                && cook.VesselOf(set) == vessel
                && Math.Abs(set.Liquor.Grams - o.Grams) < 0.5
                && run.Done[i] is { } done
                && Math.Abs(done.Seconds - seconds) < 1
            )
            {
                return done.LiquorBefore;
            }
        }

        return null;
    }

    private static double Liquor(double grams, Observation.Liquor o)
    {
        var spread = o.By switch
        {
            LiquorBy.Jug => 20 + (0.05 * o.Grams),
            LiquorBy.Ruler => 60 + (0.12 * o.Grams),
            _ => 100 + (0.3 * o.Grams),
        };
        return Gauss(grams, o.Grams, spread);
    }

    private static double Ruler(Cook cook, PotRun run, double seconds, Observation.OverBed o)
    {
        if (cook.Kitchen.IndexOf(o.VesselId) != 0)
        {
            return 0;
        }

        var sample = SampleAt(run, seconds);
        return sample is null ? 0 : Gauss(sample.LevelCentimetres - sample.BedCentimetres.Sum(), o.Centimetres, 0.5);
    }

    private static double Event(CookTrace trace, PotRun run, double seconds, Observation.Seen o)
    {
        var vessel = trace.Cook.Kitchen.IndexOf(o.VesselId);
        var from = SinceAction(trace, run, vessel, seconds);
        if (o.What is not (PotEvent.Boils or PotEvent.PressureUp))
        {
            return 0;
        }

        // What had not come by the end of the run is held against a pot as much as the spread of noticing says.
        var came = run
            .Happenings.Where(h => h.What == o.What && h.Vessel == vessel && h.Seconds >= from - 1)
            .Select(h => h.Seconds)
            .DefaultIfEmpty(Math.Max(seconds, run.EndSeconds) + 120)
            .First();
        return Math.Log(Slip + Math.Exp(Gauss(came, seconds, NoticeSeconds + (NoticeShare * (seconds - from)))));
    }

    private static double NotYet(CookTrace trace, PotRun run, double seconds, Observation.NotYet o)
    {
        var vessel = trace.Cook.Kitchen.IndexOf(o.VesselId);
        var from = SinceAction(trace, run, vessel, seconds);
        var came = run
            .Happenings.Where(h => h.What == o.What && h.Vessel == vessel && h.Seconds >= from - 1)
            .Select(h => (double?)h.Seconds)
            .FirstOrDefault();
        return came is null || came > seconds
            ? 0
            : Math.Log(Slip + ((1 - Slip) * (1 - Normal.CDF(0, NoticeSeconds + (NoticeShare * (seconds - from)), seconds - came.Value))));
    }

    /// <summary>When a heat was last set in this vessel before a moment, s.</summary>
    private static double SinceAction(CookTrace trace, PotRun run, int vessel, double before) =>
        trace
            .In(vessel)
            .Where(i => trace.Cook.Actions[i] is CookAction.Heat or CookAction.Pressurise)
            .Select(i => run.Done[i])
            .OfType<ActionDone>()
            .Select(d => d.Seconds)
            .Where(s => s < before - 1)
            .DefaultIfEmpty(0)
            .Max();

    private static double DonenessAt(Cook cook, PotRun run, string id, double seconds) =>
        SampleAt(run, seconds)?.Doneness[cook.IndexOf(id)] ?? 0;

    private static VesselLevel LevelAt(PotRun run, int vessel, double seconds)
    {
        var sample = SampleAt(run, seconds);
        return sample is null ? default
            : sample.All.Count > vessel ? sample.All[vessel]
            : sample.Shown;
    }

    /// <summary>The last picture taken by then; they are a minute apart while anything is warm.</summary>
    private static PotSample? SampleAt(PotRun run, double seconds)
    {
        PotSample? last = null;
        foreach (var sample in run.Samples)
        {
            if (sample.Seconds > seconds + 1)
            {
                break;
            }

            last = sample;
        }

        return last;
    }

    private static double Gauss(double value, double seen, double spread) => -0.5 * Math.Pow((value - seen) / spread, 2);
}
