using System.Collections.Concurrent;

namespace BrightKettle.Server.Stove;

/// <summary>Wakes those who follow an evening when something is told of it, and all of them each minute.</summary>
public sealed class StoveChangeNotifier(TimeProvider clock)
{
    private static readonly TimeSpan Minute = TimeSpan.FromMinutes(1);

    private readonly ConcurrentDictionary<Guid, TaskCompletionSource> _waiting = new();

    public void Notify(Guid id)
    {
        if (_waiting.TryRemove(id, out var bell))
        {
            bell.TrySetResult();
        }
    }

    public void RingAll()
    {
        foreach (var id in _waiting.Keys)
        {
            Notify(id);
        }
    }

    /// <summary>Taken before the state is read, so that nothing that is told in between is missed.</summary>
    public Task Listen(Guid id) => _waiting.GetOrAdd(id, _ => new(TaskCreationOptions.RunContinuationsAsynchronously)).Task;

    /// <summary>The end of this minute: taken before the state is read, so that a clock that is moved meanwhile is not missed
    /// either.</summary>
    public DateTimeOffset MinuteEnds()
    {
        var now = clock.GetUtcNow();
        return now + (Minute - TimeSpan.FromTicks(now.Ticks % Minute.Ticks));
    }

    /// <summary>Until it rings or the minute is over.</summary>
    public async Task WaitAsync(Task heard, DateTimeOffset minuteEnds, CancellationToken cancel)
    {
        var left = minuteEnds - clock.GetUtcNow();
        if (left <= TimeSpan.Zero)
        {
            return;
        }

        using var either = CancellationTokenSource.CreateLinkedTokenSource(cancel);
        await Task.WhenAny(heard, Task.Delay(left, clock, either.Token));
        await either.CancelAsync();
        cancel.ThrowIfCancellationRequested();
    }
}
