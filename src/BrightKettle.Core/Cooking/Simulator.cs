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
    /// <summary>For a search that runs pots only to find figures of a way, which is then run anew in default steps: 30 s, which moves
    /// doneness by half a point and an event by seconds.</summary>
    internal static readonly RunOptions Search = new() { Step = Duration.FromSeconds(30), Heights = false };

    /// <summary>For the same where all takes hours, as in a slow cooker: 120 s.</summary>
    internal static readonly RunOptions LongSearch = new() { Step = Duration.FromSeconds(120), Heights = false };

    /// <summary>To count in how many pots of many all is tender, so that ways can be compared; and for a search of what takes its time:
    /// 60 s, which moves doneness by about a point.</summary>
    internal static readonly RunOptions Compare = new() { Step = Duration.FromSeconds(60), Heights = false };

    /// <summary>The longest step: at most 10 s for whatever is told, longer to search and to compare; shorter only to test that it does
    /// not matter.</summary>
    public Duration Step { get; init; } = Simulator.DefaultStep;

    /// <summary>Whether to follow how high bed and liquor stand: the fullest the pot was, and for each action; without it only for what
    /// sets the liquor or drains.</summary>
    public bool Heights { get; init; } = true;

    /// <summary>Whether to note what each action found and did; without it only the end of the run is told.</summary>
    public bool Moments { get; init; } = true;

    /// <summary>Water that no account is told of: proves that the balance is watched.</summary>
    internal double LeakGramsPerSecond { get; init; }

    /// <summary>Whether to compare the books after every step.</summary>
    internal bool Audit { get; init; }
}

/// <summary>Runs cooks on pots. The only place where cooking time is computed, and so the place where work is counted.</summary>
public sealed class Simulator
{
    /// <summary>Names the equations; stored with each saved forecast.</summary>
    public const string ModelVersion = "5";

    /// <summary>The longest step while anything is warm.</summary>
    public static readonly Duration DefaultStep = Duration.FromSeconds(10);

    private static readonly RunOptions Plain = new();

    /// <summary>Steps of a group between two looks at the budget: some tenths of a millisecond.</summary>
    private const int StepsBetweenLooks = 256;

    private readonly StepConstants _shared;
    private readonly WorkBudget _budget;

    public Simulator(ModelConstants constants)
        : this(constants, new StepConstants(constants), WorkBudget.Unlimited) { }

    private Simulator(ModelConstants constants, StepConstants shared, WorkBudget budget) =>
        (Constants, _shared, _budget) = (constants, shared, budget);

    public ModelConstants Constants { get; }

    /// <summary>The same simulator for one request: all that is run with it is paid from this budget.</summary>
    public Simulator Within(WorkBudget budget) => new(Constants, _shared, budget);

    /// <summary>For searches that place things without running pots: pays for so many tries from the same budget.</summary>
    /// <inheritdoc cref="WorkBudget.Spend" path="/exception"/>
    public void Spend(long steps) => _budget.Spend(steps);

    /// <summary>Runs every action in turn on one pot.</summary>
    /// <param name="cook">Valid by <see cref="CookRules"/>.</param>
    public PotRun Run(Cook cook, PotTraits traits, RunOptions? options = null) => RunMany([new PotJob(cook, traits)], options)[0];

    /// <summary>Runs many pots, up to sixteen side by side, on as many threads as there are; the answers do not depend on how
    /// many.</summary>
    /// <param name="jobs">Each cook valid by <see cref="CookRules"/>.</param>
    /// <exception cref="OverBudgetException">The budget of <see cref="Within"/> is spent.</exception>
    /// <exception cref="OperationCanceledException">The work was called off.</exception>
    public PotRun[] RunMany(IReadOnlyList<PotJob> jobs, RunOptions? options = null)
    {
        // Two pots take less time in eight lanes than one after the other; one alone does not.
        var width =
            jobs.Count == 1 ? OneLane.Width
            : jobs.Count <= EightLanes.Width ? EightLanes.Width
            : SixteenLanes.Width;
        var runs = new PotRun[jobs.Count];
        var scripts = Scripts(jobs);
        var groups = Groups(jobs, scripts, width);
        if (groups.Count == 1)
        {
            RunGroup(jobs, scripts, groups[0], options ?? Plain, runs, width);
        }
        else
        {
            SideBySide.For(groups.Count, i => RunGroup(jobs, scripts, groups[i], options ?? Plain, runs, width));
        }

        return runs;
    }

    /// <summary>The same on this thread alone, to compare: one pot after the other by a plain loop of the same equations, eight or
    /// sixteen side by side.</summary>
    /// <param name="width">1, 8 or 16.</param>
    internal PotRun[] RunOnOneCore(IReadOnlyList<PotJob> jobs, RunOptions options, int width)
    {
        var runs = new PotRun[jobs.Count];
        var scripts = Scripts(jobs);
        foreach (var group in Groups(jobs, scripts, width))
        {
            RunGroup(jobs, scripts, group, options, runs, width);
        }

        return runs;
    }

    private void RunGroup(
        IReadOnlyList<PotJob> jobs,
        Script[] scripts,
        (Layout Layout, int[] Jobs) group,
        RunOptions options,
        PotRun[] runs,
        int width
    )
    {
        switch (width)
        {
            case 1:
                RunGroup<OneLane>(jobs, scripts, group, options, runs);
                break;
            case 8:
                RunGroup<EightLanes>(jobs, scripts, group, options, runs);
                break;
            default:
                RunGroup<SixteenLanes>(jobs, scripts, group, options, runs);
                break;
        }
    }

    /// <summary>Jobs that can run side by side.</summary>
    private static List<(Layout Layout, int[] Jobs)> Groups(IReadOnlyList<PotJob> jobs, Script[] scripts, int width)
    {
        var groups = new List<(Layout, int[])>();
        foreach (var alike in Enumerable.Range(0, jobs.Count).GroupBy(i => scripts[i].Layout))
        {
            // Bags of like pace take about as long, and a group takes as long as its longest.
            groups.AddRange(
                alike.OrderBy(i => jobs[i].Traits.Pace is [var pace, ..] ? pace : 0).Chunk(width).Select(chunk => (alike.Key, chunk))
            );
        }

        return groups;
    }

    /// <summary>One for each job; pots of the same cook share theirs.</summary>
    private Script[] Scripts(IReadOnlyList<PotJob> jobs)
    {
        var known = new Dictionary<Cook, Script>(ReferenceEqualityComparer.Instance);
        var scripts = new Script[jobs.Count];
        for (var i = 0; i < scripts.Length; i++)
        {
            ref var script = ref System.Runtime.InteropServices.CollectionsMarshal.GetValueRefOrAddDefault(known, jobs[i].Cook, out _);
            scripts[i] = script ??= new Script(jobs[i].Cook, Constants);
        }

        return scripts;
    }

    private void RunGroup<T>(
        IReadOnlyList<PotJob> jobs,
        Script[] scripts,
        (Layout Layout, int[] Jobs) group,
        RunOptions options,
        PotRun[] runs
    )
        where T : struct, ILanes<T>
    {
        var g = new PotGroup(group.Layout, Constants, _shared, T.Width, options.Step);
        var lanes = new LaneRun[group.Jobs.Length];
        var open = 0u;
        for (var lane = 0; lane < T.Width; lane++)
        {
            // Lanes that nobody asked for hold a copy that stands still, so that no lane ever holds nonsense.
            var job = group.Jobs[Math.Min(lane, lanes.Length - 1)];
            var run = new LaneRun(g, lane, scripts[job], jobs[job].Traits, options);
            if (lane >= lanes.Length)
            {
                run.Rest();
                continue;
            }

            lanes[lane] = run;
            open |= run.IsOver ? 0 : 1u << lane;
        }

        var count = 0;
        var unpaid = 0;
        _budget.Spend(0);
        GroupStep<T>.Note(g);
        while (open != 0)
        {
            if (++unpaid == StepsBetweenLooks)
            {
                _budget.Spend(StepsBetweenLooks * lanes.Length);
                unpaid = 0;
            }

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

            GroupStep<T>.Note(g);
        }

        _budget.Spend(unpaid * lanes.Length);
        for (var lane = 0; lane < lanes.Length; lane++)
        {
            runs[group.Jobs[lane]] = lanes[lane].Result;
        }
    }
}
