namespace BrightKettle.Core.Cooking;

/// <summary>Which limit of a <see cref="WorkBudget"/> was reached.</summary>
public enum WorkLimit
{
    /// <summary>The cook would go on for longer than <see cref="WorkBudget.LongestCookHours"/>.</summary>
    SimulatedHours,

    /// <summary>All pots of the request together took more steps than the budget allows.</summary>
    Steps,

    /// <summary>It took longer, by the wall clock of whoever set the budget.</summary>
    Milliseconds,
}

/// <summary>Work was called off because a limit of its budget was reached. It is an answer, not a bug: the server says which limit it
/// was.</summary>
public sealed class OverBudgetException(WorkLimit limit) : Exception($"The limit {limit} was reached.")
{
    public WorkLimit Limit { get; } = limit;
}

/// <summary>How much work a request may cost, and whether it is still wanted. One budget serves all runs of a request, from any
/// thread.</summary>
/// <remarks>The core reads no clock: whoever sets a limit of time ends <paramref name="late"/> when it is over.</remarks>
/// <param name="mostSteps">Steps of single pots, all runs together. A plan takes about 0.2 million, all ways of a kitchen about 5
/// million.</param>
/// <param name="cancel">Ends when nobody waits for the answer any more.</param>
/// <param name="late">Ends when the answer has taken too long.</param>
public sealed class WorkBudget(long mostSteps, CancellationToken cancel = default, CancellationToken late = default)
{
    /// <summary>No cook is longer than this, hours: a soak of two days, a slow cooker's day, and as much again.</summary>
    public const double LongestCookHours = 7 * 24;

    private long _steps;

    /// <summary>For tools and tests: as many steps as it takes. A single pot still ends.</summary>
    public static WorkBudget Unlimited { get; } = new(long.MaxValue);

    /// <summary>Steps taken so far.</summary>
    public long Steps => Interlocked.Read(ref _steps);

    /// <summary>Books steps that were taken.</summary>
    /// <exception cref="OverBudgetException">They were too many, or it took too long.</exception>
    /// <exception cref="OperationCanceledException">Nobody wants the answer any more.</exception>
    public void Spend(long steps)
    {
        cancel.ThrowIfCancellationRequested();
        if (late.IsCancellationRequested)
        {
            throw new OverBudgetException(WorkLimit.Milliseconds);
        }

        if (Interlocked.Add(ref _steps, steps) > mostSteps)
        {
            throw new OverBudgetException(WorkLimit.Steps);
        }
    }
}
