using System.Runtime.ExceptionServices;

namespace BrightKettle.Core.Cooking;

/// <summary>Work on as many threads as the machine has; called off as one.</summary>
internal static class SideBySide
{
    private static readonly ParallelOptions AllCores = new() { MaxDegreeOfParallelism = Environment.ProcessorCount };

    /// <summary>Does something for each index from 0 on.</summary>
    /// <exception cref="OverBudgetException">The budget of the work is spent: one word for it, however many threads met it.</exception>
    /// <exception cref="OperationCanceledException">The work was called off.</exception>
    public static void For(int count, Action<int> work)
    {
        try
        {
            Parallel.For(0, count, AllCores, work);
        }
        catch (AggregateException several)
            when (several.Flatten().InnerExceptions.FirstOrDefault(e => e is OverBudgetException or OperationCanceledException) is { } first
            )
        {
            ExceptionDispatchInfo.Throw(first);
        }
    }
}
