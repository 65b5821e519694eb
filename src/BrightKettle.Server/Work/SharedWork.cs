using BrightKettle.Core.Cooking;
using Microsoft.Extensions.Caching.Memory;

namespace BrightKettle.Server.Work;

/// <summary>Answers that several screens ask for: each is computed once, whoever asks while it is computed waits for the same, and it is
/// kept for a while. Nothing depends on what is kept but speed.</summary>
/// <param name="most">Answers that are kept.</param>
/// <param name="keep">How long an answer is kept that nobody asks for.</param>
public sealed class SharedWork<TKey, TValue>(WorkScheduler queue, int most, TimeSpan keep) : IDisposable
    where TKey : notnull
    where TValue : class
{
    private readonly Lock _lock = new();
    private readonly MemoryCache _answers = new(new MemoryCacheOptions { SizeLimit = most });
    private readonly Dictionary<TKey, Running> _running = [];

    /// <summary>The answer, from whoever computes it first; called off when nobody waits for it any more.</summary>
    /// <inheritdoc cref="WorkScheduler.RunAsync" path="/exception"/>
    public async Task<TValue> GetAsync(TKey key, string who, WorkLength length, Func<Simulator, TValue> work, CancellationToken caller)
    {
        Running running;
        lock (_lock)
        {
            if (_answers.TryGetValue(key, out TValue? known))
            {
                return known!;
            }

            if (!_running.TryGetValue(key, out running!))
            {
                running = new();
                _running.Add(key, running);
                running.Answer = ComputeAsync(key, running, who, length, work);
            }

            running.Waiting++;
        }

        try
        {
            return await running.Answer.WaitAsync(caller);
        }
        finally
        {
            Leave(key, running);
        }
    }

    private async Task<TValue> ComputeAsync(TKey key, Running running, string who, WorkLength length, Func<Simulator, TValue> work)
    {
        // Off this thread, which holds the lock.
        await Task.Yield();
        try
        {
            var answer = await queue.RunAsync(who, length, work, running.Unwanted.Token);
            _answers.Set(key, answer, new MemoryCacheEntryOptions { Size = 1, SlidingExpiration = keep });
            return answer;
        }
        finally
        {
            Forget(key, running);
        }
    }

    private void Leave(TKey key, Running running)
    {
        lock (_lock)
        {
            if (--running.Waiting > 0 || running.Answer.IsCompleted)
            {
                return;
            }
        }

        // Nobody who comes from now on waits for something that is called off.
        Forget(key, running);
        running.Unwanted.Cancel();
    }

    private void Forget(TKey key, Running running)
    {
        lock (_lock)
        {
            if (_running.TryGetValue(key, out var found) && found == running)
            {
                _running.Remove(key);
            }
        }
    }

    public void Dispose() => _answers.Dispose();

    private sealed class Running
    {
        public CancellationTokenSource Unwanted { get; } = new();

        public int Waiting { get; set; }

        public Task<TValue> Answer { get; set; } = null!;
    }
}
