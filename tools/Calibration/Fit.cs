using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using MathNet.Numerics.LinearAlgebra;
using MathNet.Numerics.Optimization;

namespace BrightKettle.Calibration;

/// <summary>Two figures a pulse (softening time and hydration rate at 98 °C), fitted under a few that all pulses share.</summary>
internal sealed class Fit(PulseCatalogue catalogue, Conditions conditions)
{
    /// <summary>Hydration at 98 °C is between these multiples of that at 20 °C: activation energies of about 14 to 50 kJ/mol, the
    /// published span.</summary>
    private const double LeastRatio = 3.3;
    private const double MostRatio = 75;

    /// <summary>A search that is granted this many tries starts from several places.</summary>
    private const int MultiStartFrom = 50;

    /// <summary>Of the shared figures.</summary>
    private const int Tries = 40;

    /// <summary>The shared figures that are searched, each within its own range in effects.json.</summary>
    public static readonly string[] Shared =
    [
        "softening_z_above_100",
        "softening_z",
        "softening_z_below_90",
        "hydration_energy_hot",
        "hydration_share_of_doneness",
        "doneness_bulge",
    ];

    /// <summary>How badly a cell is missed: little within its range, about one beyond it and not much more further out, so that no cell
    /// is chased.</summary>
    public static double Loss(Cell cell)
    {
        var miss = Math.Abs(cell.Miss);
        return Weight(cell.Column) * ((Pull(cell.Column) * miss * miss) + (1 / (1 + Math.Exp((0.93 - miss) / 0.07))));
    }

    /// <summary>How strongly a cell is drawn to the middle of its range: the simmer columns, known best, are not to sit at its
    /// edge.</summary>
    private static double Pull(Column column) => column is Column.SimmerSoaked or Column.SimmerUnsoaked ? 0.5 : 0.04;

    /// <summary>The simmer columns are known best and count twice; of the seven states on a way each counts a quarter.</summary>
    private static double Weight(Column column) =>
        column switch
        {
            Column.SimmerSoaked or Column.SimmerUnsoaked => 2,
            Column.WaySoaked or Column.WayUnsoaked => 0.25,
            _ => 1,
        };

    /// <summary>Both figures of each pulse, by a simplex search of its own.</summary>
    public IReadOnlyList<Pulse> Pulses(Simulator simulator, IReadOnlyList<Pulse> from, IReadOnlyList<Column> columns, int most = 60)
    {
        var fitted = new Pulse[from.Count];
        Parallel.For(0, from.Count, i => fitted[i] = One(simulator, from[i], columns, most));
        return fitted;
    }

    /// <summary>The shared figures by a simplex search over the whole table; pulses are refitted at each try.</summary>
    public (ModelConstants Constants, IReadOnlyList<Pulse> Pulses) All(Action<string> say)
    {
        var ranges = Shared.Select(id => catalogue.Effects.First(e => e.Id == id)).ToArray();
        var pulses = catalogue.Pulses;
        var best = (Loss: double.PositiveInfinity, Constants: catalogue.Constants, Pulses: pulses);
        double Try(Vector<double> x)
        {
            var values = ranges.Select((r, k) => r.Low + ((r.High - r.Low) / (1 + Math.Exp(-x[k])))).ToArray();
            var constants = catalogue.Constants.With(Shared.Select((id, k) => (id, values[k])));
            var simulator = new Simulator(constants);
            var tried = Pulses(simulator, best.Pulses, Cells.Own, 24);
            var cells = Cells.Run(simulator, conditions, tried, Cells.Own);
            var loss = cells.Sum(Loss);
            if (loss < best.Loss)
            {
                best = (loss, constants, tried);
                say(
                    $"loss {loss:0.0}, {cells.Count(c => c.Inside)} of {cells.Count} inside, {string.Join(", ", Shared.Select((id, k) => $"{id} {values[k]:0.0}"))}"
                );
            }

            return loss;
        }

        var start = Vector<double>.Build.Dense(ranges.Length, k =>
            Math.Log((ranges[k].Typical - ranges[k].Low + 0.01) / (ranges[k].High - ranges[k].Typical + 0.01))
        );
        try
        {
            new NelderMeadSimplex(0.05, Tries).FindMinimum(
                ObjectiveFunction.Value(Try),
                start,
                Vector<double>.Build.Dense(ranges.Length, 1.0)
            );
        }
        catch (MaximumIterationsException)
        {
            say("stopped after its last try; the best so far stands");
        }

        var rounded = catalogue.Constants.With(Shared.Select((id, k) => (id, Math.Round(Typical(best.Constants, id), 1))));
        return (rounded, Pulses(new Simulator(rounded), best.Pulses, Cells.Own, 200));
    }

    public static double Typical(ModelConstants constants, string id) => constants.Effect(id).Typical;

    private Pulse One(Simulator simulator, Pulse pulse, IReadOnlyList<Column> columns, int most)
    {
        Pulse With(Vector<double> x)
        {
            var slow = pulse.HydrationPerHourAt20C.Typical;
            return pulse with
            {
                SofteningMinutesAt98C = Math.Exp(Math.Clamp(x[0], -1, 7)),
                HydrationPerHourAt98C = slow * Math.Clamp(Math.Exp(x[1]), LeastRatio, MostRatio),
            };
        }

        double Miss(Vector<double> x)
        {
            var beyond = Math.Max(0, Math.Abs(x[1] - (Math.Log(LeastRatio * MostRatio) / 2)) - (Math.Log(MostRatio / LeastRatio) / 2));
            return Cells.Run(simulator, conditions, [With(x)], columns).Sum(Loss) + (0.2 * beyond * beyond);
        }

        // From where it stands, and, since the valley has several floors, from the simmer columns with two slopes of hydration.
        double[][] starts =
        [
            [Math.Log(pulse.SofteningMinutesAt98C), Math.Log(pulse.HydrationPerHourAt98C / pulse.HydrationPerHourAt20C.Typical)],
            [Math.Log(0.95 * pulse.SimmerSoakedMinutes.Middle), Math.Log(9)],
            [Math.Log(0.75 * pulse.SimmerSoakedMinutes.Middle), Math.Log(25)],
        ];
        var (best, bestLoss) = (Vector<double>.Build.Dense(starts[0]), double.PositiveInfinity);
        double Note(Vector<double> x)
        {
            var loss = Miss(x);
            if (loss < bestLoss)
            {
                (best, bestLoss) = (x.Clone(), loss);
            }

            return loss;
        }

        foreach (var start in most < MultiStartFrom ? starts[..1] : starts)
        {
            try
            {
                new NelderMeadSimplex(1e-3, most).FindMinimum(
                    ObjectiveFunction.Value(Note),
                    Vector<double>.Build.Dense(start),
                    Vector<double>.Build.Dense([0.15, 0.3])
                );
            }
            catch (MaximumIterationsException)
            {
                // As many tries as it was granted: the best of them stands.
            }
        }

        return Rounded(With(best));
    }

    /// <summary>As it will be written down.</summary>
    private static Pulse Rounded(Pulse pulse) =>
        pulse with
        {
            SofteningMinutesAt98C = Math.Round(pulse.SofteningMinutesAt98C, 2),
            HydrationPerHourAt98C = Math.Round(pulse.HydrationPerHourAt98C, 3),
        };
}
