using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking.Engine;
using NodaTime;

namespace BrightKettle.Core.Cooking;

/// <summary>One pot to be run: a cook and what is hidden in it.</summary>
public readonly record struct PotJob(Cook Cook, PotTraits Traits);

/// <summary>What is wanted of a run beside its end.</summary>
/// <param name="Sample">Whether to keep a sample each minute.</param>
public sealed record RunOptions(bool Sample = false)
{
    /// <summary>The longest step, at most 10 s; shorter only to test that it does not matter.</summary>
    public Duration Step { get; init; } = Simulator.DefaultStep;

    /// <summary>Whether to find the fullest the pot was.</summary>
    public bool Peaks { get; init; } = true;

    /// <summary>Water that no account is told of: proves that the balance is watched.</summary>
    internal double LeakGramsPerSecond { get; init; }

    /// <summary>Whether to compare the books after every step.</summary>
    internal bool Audit { get; init; }
}

/// <summary>Runs cooks on pots. The only place where cooking time is computed.</summary>
public sealed class Simulator(ModelConstants constants)
{
    /// <summary>Names the equations; stored with each saved forecast.</summary>
    public const string ModelVersion = "3";

    /// <summary>The longest step while anything is warm.</summary>
    public static readonly Duration DefaultStep = Duration.FromSeconds(10);

    private static readonly RunOptions Plain = new();

    public ModelConstants Constants { get; } = constants;

    /// <summary>Runs every action in turn on one pot.</summary>
    /// <param name="cook">Valid by <see cref="CookRules"/>.</param>
    public PotRun Run(Cook cook, PotTraits traits, RunOptions? options = null) => RunMany([new PotJob(cook, traits)], options)[0];

    /// <summary>Runs many pots, up to sixteen side by side, on as many threads as there are; the answers do not depend on how many.</summary>
    /// <param name="jobs">Each cook valid by <see cref="CookRules"/>.</param>
    public PotRun[] RunMany(IReadOnlyList<PotJob> jobs, RunOptions? options = null)
    {
        // Two pots take less time in eight lanes than one after the other; one alone does not.
        var width = jobs.Count == 1 ? OneLane.Width : jobs.Count <= EightLanes.Width ? EightLanes.Width : SixteenLanes.Width;
        var runs = new PotRun[jobs.Count];
        var groups = Groups(jobs, width);
        if (groups.Count == 1)
        {
            RunGroup(jobs, groups[0], options ?? Plain, runs, width);
        }
        else
        {
            Parallel.ForEach(groups, group => RunGroup(jobs, group, options ?? Plain, runs, width));
        }

        return runs;
    }

    /// <summary>The same on this thread alone, to compare: one pot after the other by a plain loop of the same equations, eight or sixteen side by side.</summary>
    /// <param name="width">1, 8 or 16.</param>
    internal PotRun[] RunOnOneCore(IReadOnlyList<PotJob> jobs, RunOptions options, int width)
    {
        var runs = new PotRun[jobs.Count];
        foreach (var group in Groups(jobs, width))
        {
            RunGroup(jobs, group, options, runs, width);
        }

        return runs;
    }

    private void RunGroup(IReadOnlyList<PotJob> jobs, (Layout Layout, int[] Jobs) group, RunOptions options, PotRun[] runs, int width)
    {
        switch (width)
        {
            case 1:
                RunGroup<OneLane>(jobs, group, options, runs);
                break;
            case 8:
                RunGroup<EightLanes>(jobs, group, options, runs);
                break;
            default:
                RunGroup<SixteenLanes>(jobs, group, options, runs);
                break;
        }
    }

    /// <summary>Jobs that can run side by side, in their own order.</summary>
    private static List<(Layout Layout, int[] Jobs)> Groups(IReadOnlyList<PotJob> jobs, int width)
    {
        var groups = new List<(Layout, int[])>();
        var layouts = new Dictionary<Cook, Layout>(ReferenceEqualityComparer.Instance as IEqualityComparer<Cook>);
        foreach (var alike in Enumerable.Range(0, jobs.Count).GroupBy(i => LayoutOf(jobs[i].Cook)))
        {
            groups.AddRange(alike.Chunk(width).Select(chunk => (alike.Key, chunk)));
        }

        return groups;

        Layout LayoutOf(Cook cook) => layouts.TryGetValue(cook, out var known) ? known : layouts[cook] = Layout.Of(cook);
    }

    private void RunGroup<T>(IReadOnlyList<PotJob> jobs, (Layout Layout, int[] Jobs) group, RunOptions options, PotRun[] runs)
        where T : struct, ILanes<T>
    {
        var g = new PotGroup(group.Layout, Constants, T.Width);
        var lanes = new LaneRun[group.Jobs.Length];
        var open = 0u;
        for (var lane = 0; lane < T.Width; lane++)
        {
            // Lanes that nobody asked for hold a copy that stands still, so that no lane ever holds nonsense.
            var job = jobs[group.Jobs[Math.Min(lane, lanes.Length - 1)]];
            var run = new LaneRun(g, lane, job.Cook, job.Traits, options);
            if (lane >= lanes.Length)
            {
                run.Rest();
                continue;
            }

            lanes[lane] = run;
            open |= run.IsOver ? 0 : 1u << lane;
        }

        var count = 0;
        g.NoteChanges();
        while (open != 0)
        {
            var attention = GroupStep<T>.Advance(g, ref count) & open;
            if (attention == 0)
            {
                continue;
            }

            while (attention != 0)
            {
                var lane = System.Numerics.BitOperations.TrailingZeroCount(attention);
                attention &= attention - 1;
                lanes[lane].Attend();
                open &= lanes[lane].IsOver ? ~(1u << lane) : ~0u;
            }

            g.NoteChanges();
        }

        for (var lane = 0; lane < lanes.Length; lane++)
        {
            runs[group.Jobs[lane]] = lanes[lane].Result;
        }
    }
}
