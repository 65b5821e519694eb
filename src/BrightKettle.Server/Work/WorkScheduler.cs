using BrightKettle.Core.Cooking;

namespace BrightKettle.Server.Work;

/// <summary>How long some work is expected to take.</summary>
public enum WorkLength
{
    /// <summary>Somebody waits with a finger on the screen: a plan, the stove.</summary>
    Quick,

    /// <summary>Some tenths of a second or more: all ways, a forecast, notes.</summary>
    Lengthy,
}

/// <summary>More is waiting than can be computed in time.</summary>
public sealed class TooBusyException() : Exception("Too many requests wait to be computed.");

/// <summary>Computes on threads of its own, so that pages which compute nothing are answered at once. Screens take turns; long work
/// leaves a place for quick work.</summary>
public sealed class WorkScheduler : IDisposable
{
    private readonly Lock _lock = new();
    private readonly Simulator _simulator;
    private readonly WorkLimits _limits;
    private readonly TimeProvider _clock;
    private readonly SemaphoreSlim _waiting = new(0);
    private readonly CancellationTokenSource _stopping = new();
    private readonly List<(string Who, Queue<Job> Jobs)> _screens = [];
    private readonly Thread[] _threads;
    private int _next;
    private int _count;
    private int _longRunning;

    /// <param name="clock">By which work is too long.</param>
    /// <param name="life">Work ends with the server.</param>
    public WorkScheduler(Simulator simulator, WorkLimits limits, TimeProvider clock, IHostApplicationLifetime life)
    {
        ArgumentNullException.ThrowIfNull(limits);
        ArgumentNullException.ThrowIfNull(life);
        (_simulator, _limits, _clock) = (simulator, limits, clock);
        life.ApplicationStopping.Register(_stopping.Cancel);
        _threads = [.. Enumerable.Range(0, limits.AtOnce).Select(i => new Thread(Work) { IsBackground = true, Name = $"kettle work {i}" })];
        foreach (var thread in _threads)
        {
            thread.Start();
        }
    }

    /// <summary>Does the work when its turn has come.</summary>
    /// <param name="who">Names the screen: each has its turn.</param>
    /// <param name="work">Gets a simulator that pays from the budget of this work.</param>
    /// <param name="caller">Ends when nobody waits for the answer: the work is then called off, waiting or running.</param>
    /// <exception cref="TooBusyException">Too much is waiting.</exception>
    /// <exception cref="OverBudgetException">It cost more than <see cref="WorkLimits"/> allow.</exception>
    public async Task<T> RunAsync<T>(string who, WorkLength length, Func<Simulator, T> work, CancellationToken caller)
    {
        ArgumentNullException.ThrowIfNull(work);
        caller.ThrowIfCancellationRequested();
        var done = new TaskCompletionSource<T>(TaskCreationOptions.RunContinuationsAsynchronously);
        Enqueue(
            who,
            new(
                length,
                simulator =>
                {
                    try
                    {
                        done.TrySetResult(work(simulator));
                    }
                    catch (OperationCanceledException called)
                    {
                        done.TrySetCanceled(called.CancellationToken);
                    }
#pragma warning disable CA1031 // Whatever happened is thrown where the answer is awaited.
                    catch (Exception thrown)
#pragma warning restore CA1031
                    {
                        done.TrySetException(thrown);
                    }
                },
                caller
            )
        );
        await using var left = caller.Register(() => done.TrySetCanceled(caller));
        return await done.Task;
    }

    private void Enqueue(string who, Job job)
    {
        lock (_lock)
        {
            var at = _screens.FindIndex(s => s.Who == who);
            if (_count >= _limits.MostWaiting || (at >= 0 && _screens[at].Jobs.Count >= _limits.MostWaitingEach))
            {
                throw new TooBusyException();
            }

            if (at < 0)
            {
                at = _screens.Count;
                _screens.Add((who, new()));
            }

            _screens[at].Jobs.Enqueue(job);
            _count++;
        }

        _waiting.Release();
    }

    private void Work()
    {
        while (true)
        {
            try
            {
                _waiting.Wait(_stopping.Token);
            }
            catch (OperationCanceledException)
            {
                return;
            }

            if (Take() is not { } job)
            {
                continue;
            }

            try
            {
                Do(job);
            }
            finally
            {
                if (job.Length == WorkLength.Lengthy)
                {
                    lock (_lock)
                    {
                        _longRunning--;
                    }

                    // What was passed over because of this one may go on now.
                    _waiting.Release();
                }
            }
        }
    }

    private void Do(Job job)
    {
        if (job.Caller.IsCancellationRequested)
        {
            return;
        }

        using var late = new CancellationTokenSource(_limits.Longest, _clock);
        using var unwanted = CancellationTokenSource.CreateLinkedTokenSource(job.Caller, _stopping.Token);
        job.Work(_simulator.Within(new WorkBudget(_limits.MostSteps, unwanted.Token, late.Token)));
    }

    /// <summary>The next job of the screen whose turn it is; null when all that waits is long and its places are taken.</summary>
    private Job? Take()
    {
        lock (_lock)
        {
            for (var tried = 0; tried < _screens.Count; tried++)
            {
                var at = (_next + tried) % _screens.Count;
                var jobs = _screens[at].Jobs;
                if (Startable(jobs) is not { } job)
                {
                    continue;
                }

                _count--;
                _longRunning += job.Length == WorkLength.Lengthy ? 1 : 0;
                _next = at + 1;
                if (jobs.Count == 0)
                {
                    _screens.RemoveAt(at);
                    _next = at;
                }

                return job;
            }

            return null;
        }
    }

    /// <summary>The first of a screen's jobs that may start; quick work passes long work that has to wait.</summary>
    private Job? Startable(Queue<Job> jobs)
    {
        var passed = jobs.TakeWhile(j => j.Length == WorkLength.Lengthy && _longRunning >= _limits.LongAtOnce).Count();
        if (passed == jobs.Count)
        {
            return null;
        }

        // A queue gives from its front only: what was passed goes round to where it was.
        Job? found = null;
        for (int i = 0, all = jobs.Count; i < all; i++)
        {
            var job = jobs.Dequeue();
            if (i == passed)
            {
                found = job;
                continue;
            }

            jobs.Enqueue(job);
        }

        return found;
    }

    public void Dispose()
    {
        _stopping.Cancel();
        foreach (var thread in _threads)
        {
            thread.Join(TimeSpan.FromSeconds(5));
        }

        _waiting.Dispose();
        _stopping.Dispose();
    }

    private sealed record Job(WorkLength Length, Action<Simulator> Work, CancellationToken Caller);
}
