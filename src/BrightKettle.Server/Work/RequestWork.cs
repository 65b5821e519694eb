using BrightKettle.Core.Cooking;

namespace BrightKettle.Server.Work;

/// <summary>Computes for the request at hand: in the turn of its screen, and only as long as it waits.</summary>
public sealed class RequestWork(WorkScheduler queue, IHttpContextAccessor accessor)
{
    private HttpContext Context => accessor.HttpContext ?? throw new InvalidOperationException("Work for a request, outside of one.");

    /// <summary>Names the screen that asks.</summary>
    public string Who => Screen.Of(Context);

    /// <summary>Ends when the screen waits no longer.</summary>
    public CancellationToken Left => Context.RequestAborted;

    /// <inheritdoc cref="WorkScheduler.RunAsync"/>
    public Task<T> RunAsync<T>(WorkLength length, Func<Simulator, T> work) => queue.RunAsync(Who, length, work, Left);

    /// <summary>The same for an answer that others may ask for too.</summary>
    public Task<TValue> ShareAsync<TKey, TValue>(SharedWork<TKey, TValue> shared, TKey key, Func<Simulator, TValue> work)
        where TKey : notnull
        where TValue : class
    {
        ArgumentNullException.ThrowIfNull(shared);
        return shared.GetAsync(key, Who, WorkLength.Quick, work, Left);
    }
}
