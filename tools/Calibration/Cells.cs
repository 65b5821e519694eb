using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;

namespace BrightKettle.Calibration;

/// <summary>One cell: what is printed or felt, and what the model says.</summary>
/// <param name="Value">Minutes for a column of times, doneness for a state; NaN when it never gets tender.</param>
internal readonly record struct Cell(Pulse Pulse, Column Column, Span Range, double Value)
{
    /// <summary>Slack that the yardstick grants columns of times at both ends.</summary>
    public const double Slack = 0.05;

    public bool IsTime => Column < Column.PressureSoaked;

    public bool Inside => IsTime ? Range.Contains(Value, Slack) : Value >= Range.Low && Value <= Range.High;

    /// <summary>Distance from the range's middle in half widths: within -1 and 1 it is inside. Times on a logarithmic line.</summary>
    public double Miss
    {
        get
        {
            if (double.IsNaN(Value))
            {
                return 4;
            }

            if (IsTime)
            {
                var half = Math.Log(Range.High * (1 + Slack) / Range.Middle);
                return Math.Clamp(Math.Log(Math.Max(0.05, Value) / Range.Middle) / half, -6, 6);
            }

            if (double.IsInfinity(Range.High))
            {
                // Only too little is a fault: nothing is drawn to a middle that is not there.
                return Value >= Range.Low ? 0 : Math.Max(-6, -1 - ((Range.Low - Value) / 10));
            }

            var middle = (Range.Low + Range.High) / 2;
            return Math.Clamp((Value - middle) / (Range.High - middle), -6, 6);
        }
    }
}

/// <summary>Runs the cells of pulses through the simulator, all of them side by side.</summary>
internal static class Cells
{
    public static readonly Column[] Columns = Enum.GetValues<Column>();

    /// <summary>Shares of a seed's own time to tender at which a hand was asked, and what it felt, doneness (textures, 2).</summary>
    public static readonly IReadOnlyList<(double Share, Span Felt)> OnTheWay =
    [
        (0.25, new(12, 42)),
        (1.0 / 3, new(22, 50)),
        (0.5, new(42, 65)),
        (2.0 / 3, new(58, 80)),
        (0.75, new(68, 88)),
        (0.9, new(84, 97)),
        (1, new(95, 105)),
    ];

    private static readonly RunOptions Bare = new() { Heights = false };
    private static readonly RunOptions Watched = new(Sample: true) { Heights = false };

    public static IReadOnlyList<Cell> Run(
        Simulator simulator,
        Conditions conditions,
        IReadOnlyList<Pulse> pulses,
        IReadOnlyList<Column> columns
    )
    {
        var list = new List<Cell>();
        foreach (var column in columns)
        {
            var holds = column is Column.PressureSoaked or Column.PressureUnsoaked;
            var simmers = column is Column.SimmerSoaked or Column.SimmerUnsoaked;
            var jobs = pulses
                .SelectMany(p =>
                    holds ? Conditions.Holds(p, column).Select(h => conditions.CookOf(p, column, h)) : [conditions.CookOf(p, column)]
                )
                .Select(cook => new PotJob(cook, PotTraits.Reference(cook)))
                .ToList();
            var runs = simulator.RunMany(jobs, simmers ? Watched : Bare);
            for (var i = 0; i < pulses.Count; i++)
            {
                if (holds)
                {
                    list.Add(new(pulses[i], column, new(LeastAtLowHold, double.PositiveInfinity), runs[2 * i].Final[0].Doneness));
                    list.Add(new(pulses[i], After(column), new(0, MostAtHighHold(pulses[i])), runs[(2 * i) + 1].Final[0].Doneness));
                    continue;
                }

                var minutes = FromClock(jobs[i].Cook, runs[i]);
                list.Add(new(pulses[i], column, Conditions.Range(pulses[i], column), minutes));
                if (simmers)
                {
                    list.AddRange(States(pulses[i], After(column), runs[i], minutes));
                }
            }
        }

        return list;
    }

    /// <summary>Only columns of their own are run; those of states come with them.</summary>
    public static readonly Column[] Own =
    [
        Column.SimmerSoaked,
        Column.SimmerUnsoaked,
        Column.SlowHigh,
        Column.SlowLow,
        Column.PressureSoaked,
        Column.PressureUnsoaked,
    ];

    private static Column After(Column column) =>
        column switch
        {
            Column.SimmerSoaked => Column.WaySoaked,
            Column.SimmerUnsoaked => Column.WayUnsoaked,
            Column.PressureSoaked => Column.PressureSoakedLong,
            _ => Column.PressureUnsoakedLong,
        };

    /// <summary>At the printed low hold a pot must be so far, doneness (textures, 5).</summary>
    private const double LeastAtLowHold = 92;

    /// <summary>At the printed high hold it may be so far; lentils and splits are done by coming up and release alone.</summary>
    private static double MostAtHighHold(Pulse pulse) =>
        pulse.Kind is PulseKind.Lentil or PulseKind.Split
            ? double.PositiveInfinity
            : Math.Max(160, TargetWindows.Of(pulse, PulseTarget.Whole).High);

    private static IEnumerable<Cell> States(Pulse pulse, Column column, PotRun run, double minutes)
    {
        var boil = run.Nth(PotEvent.Boils) ?? double.NaN;
        foreach (var (share, felt) in OnTheWay)
        {
            yield return new(pulse, column, felt, double.IsNaN(minutes) ? double.NaN : At(run, boil + (share * minutes * 60)));
        }
    }

    /// <summary>Doneness at a moment, between the samples beside it.</summary>
    private static double At(PotRun run, double seconds)
    {
        var samples = run.Samples;
        var after = 0;
        while (after < samples.Count && samples[after].Seconds < seconds)
        {
            after++;
        }

        if (after == samples.Count)
        {
            return run.Final[0].Doneness;
        }

        if (after == 0)
        {
            return samples[0].Doneness[0];
        }

        var (a, b) = (samples[after - 1], samples[after]);
        return a.Doneness[0] + ((b.Doneness[0] - a.Doneness[0]) * (seconds - a.Seconds) / (b.Seconds - a.Seconds));
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
}
