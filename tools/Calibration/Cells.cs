using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;

namespace BrightKettle.Calibration;

/// <summary>One cell of the table: what is printed and what the model needs, minutes.</summary>
/// <param name="Minutes">NaN when it never gets tender.</param>
internal readonly record struct Cell(Pulse Pulse, Column Column, Span Range, double Minutes)
{
    /// <summary>Slack that the yardstick grants at both ends.</summary>
    public const double Slack = 0.05;

    public bool Inside => Range.Contains(Minutes, Slack);

    /// <summary>Distance from the range's middle on a logarithmic line, in half widths: within -1 and 1 it is inside.</summary>
    public double Miss
    {
        get
        {
            if (double.IsNaN(Minutes))
            {
                return 4;
            }

            var half = Math.Log(Range.High * (1 + Slack) / Range.Middle);
            return Math.Clamp(Math.Log(Math.Max(0.05, Minutes) / Range.Middle) / half, -6, 6);
        }
    }
}

/// <summary>Runs the cells of pulses through the simulator, all of them side by side.</summary>
internal static class Cells
{
    public static readonly Column[] Columns = Enum.GetValues<Column>();

    private static readonly RunOptions Bare = new() { Heights = false };

    public static IReadOnlyList<Cell> Run(
        Simulator simulator,
        Conditions conditions,
        IReadOnlyList<Pulse> pulses,
        IReadOnlyList<Column> columns
    )
    {
        var jobs = new List<PotJob>();
        var plan = new List<(Pulse Pulse, Column Column, int From, double[] Holds)>();
        foreach (var column in columns)
        {
            foreach (var pulse in pulses)
            {
                var range = Conditions.Range(pulse, column);
                // Several hold times at once; the one that is just enough lies between two of them.
                double[] holds = column is Column.PressureSoaked or Column.PressureUnsoaked
                    ? [0.4 * range.Low, 0.95 * range.Low, 1.05 * range.High, 1.8 * range.High]
                    : [0];
                plan.Add((pulse, column, jobs.Count, holds));
                jobs.AddRange(
                    holds.Select(h => conditions.CookOf(pulse, column, h)).Select(cook => new PotJob(cook, PotTraits.Reference(cook)))
                );
            }
        }

        var runs = simulator.RunMany(jobs, Bare);
        return
        [
            .. plan.Select(p => new Cell(
                p.Pulse,
                p.Column,
                Conditions.Range(p.Pulse, p.Column),
                p.Holds.Length == 1 ? FromClock(jobs[p.From].Cook, runs[p.From]) : JustEnough(p.Holds, runs, p.From)
            )),
        ];
    }

    private static double FromClock(Cook cook, PotRun run)
    {
        if (run.StalledAt is not null)
        {
            return double.NaN;
        }

        for (var i = 0; i < cook.Actions.Count; i++)
        {
            if (cook.Actions[i].StepId == "clock")
            {
                return (run.EndSeconds - run.At(i).Seconds) / 60;
            }
        }

        throw new InvalidOperationException("No clock in this cell's cook.");
    }

    private static double JustEnough(double[] holds, PotRun[] runs, int from)
    {
        double Doneness(int k) => runs[from + k].Final[0].Doneness;
        var upper = 1;
        while (upper < holds.Length - 1 && Doneness(upper) < Core.Cooking.Doneness.Tender)
        {
            upper++;
        }

        var slope = (Doneness(upper) - Doneness(upper - 1)) / (holds[upper] - holds[upper - 1]);
        return Math.Max(0.05, holds[upper] + ((Core.Cooking.Doneness.Tender - Doneness(upper)) / slope));
    }
}
