using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Server.Work;
using Microsoft.Extensions.Hosting;
using Microsoft.Extensions.Time.Testing;
using Xunit;

namespace BrightKettle.Server.Tests;

/// <summary>Who computes when: screens take turns, long work leaves a place for quick work, and nothing is computed that nobody waits
/// for.</summary>
public sealed class WorkSchedulerTests : IDisposable
{
    private readonly Life _life = new();
    private readonly FakeTimeProvider _clock = new();

    // Steps are cheap here: a test waits, it does not compute.
    private readonly WorkLimits _limits = new() { MostSteps = long.MaxValue };
    private WorkScheduler? _scheduler;

    private WorkScheduler Scheduler => _scheduler ??= new(new Simulator(PulseCatalogue.Shipped.Constants), _limits, _clock, _life);

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    public void Dispose()
    {
        _scheduler?.Dispose();
        _life.Dispose();
    }

    /// <summary>Work that ends when it is told to, and says when it began.</summary>
    private sealed class Held
    {
        private volatile bool _over;

        public TaskCompletionSource Began { get; } = new(TaskCreationOptions.RunContinuationsAsynchronously);

        public void End() => _over = true;

        public int Work(Simulator simulator)
        {
            Began.TrySetResult();
            while (!_over)
            {
                // As every run does: a called-off budget ends it.
                simulator.Spend(1);
                Thread.Yield();
            }

            return 1;
        }
    }

    [Fact]
    public async Task Quick_work_passes_long_work_and_long_work_is_not_starved_by_it()
    {
        _limits.LongAtOnce = 2;
        var slow = new[] { new Held(), new Held(), new Held() };
        var running = slow.Select(h => Scheduler.RunAsync("a", WorkLength.Lengthy, h.Work, Cancel)).ToList();
        await Task.WhenAll(slow[0].Began.Task, slow[1].Began.Task);
        // Two long ones take their places; the third waits; quick work still comes through at once.
        for (var i = 0; i < 20; i++)
        {
            Assert.Equal(7, await Scheduler.RunAsync("a", WorkLength.Quick, _ => 7, Cancel));
        }

        Assert.False(slow[2].Began.Task.IsCompleted);
        slow[0].End();
        await slow[2].Began.Task;
        slow[1].End();
        slow[2].End();
        await Task.WhenAll(running);
    }

    [Fact]
    public async Task Screens_take_turns_however_much_one_of_them_asks()
    {
        _limits.AtOnce = 1;
        var first = new Held();
        var all = new List<Task> { Scheduler.RunAsync("hog", WorkLength.Quick, first.Work, Cancel) };
        await first.Began.Task;
        var order = new List<string>();
        Task Ask(string who) =>
            Scheduler.RunAsync(
                who,
                WorkLength.Quick,
                _ =>
                {
                    lock (order)
                    {
                        order.Add(who);
                    }

                    return 0;
                },
                Cancel
            );
        all.AddRange(Enumerable.Range(0, 10).Select(_ => Ask("hog")));
        all.AddRange([Ask("phone"), Ask("phone")]);
        first.End();
        await Task.WhenAll(all);
        // Each of the phone's is done after one of the other's, not after ten.
        Assert.True(order.IndexOf("phone") <= 1, string.Join(' ', order));
        Assert.True(order.LastIndexOf("phone") <= 3, string.Join(' ', order));
    }

    [Fact]
    public async Task What_nobody_waits_for_is_called_off_waiting_or_running()
    {
        _limits.AtOnce = 1;
        using var leaves = new CancellationTokenSource();
        var running = new Held();
        var run = Scheduler.RunAsync("a", WorkLength.Quick, running.Work, leaves.Token);
        await running.Began.Task;
        var began = false;
        var waiting = Scheduler.RunAsync("a", WorkLength.Quick, _ => began = true, leaves.Token);
        await leaves.CancelAsync();
        await Assert.ThrowsAnyAsync<OperationCanceledException>(() => run);
        await Assert.ThrowsAnyAsync<OperationCanceledException>(() => waiting);
        Assert.Equal(3, await Scheduler.RunAsync("a", WorkLength.Quick, _ => 3, Cancel));
        Assert.False(began);
    }

    [Fact]
    public async Task Too_long_is_told_from_called_off_and_a_stop_ends_all()
    {
        var slow = new Held();
        var late = Scheduler.RunAsync("a", WorkLength.Lengthy, slow.Work, Cancel);
        await slow.Began.Task;
        _clock.Advance(_limits.Longest);
        Assert.Equal(WorkLimit.Milliseconds, (await Assert.ThrowsAsync<OverBudgetException>(() => late)).Limit);
        var stopped = new Held();
        var running = Scheduler.RunAsync("a", WorkLength.Lengthy, stopped.Work, Cancel);
        await stopped.Began.Task;
        _life.StopApplication();
        await Assert.ThrowsAnyAsync<OperationCanceledException>(() => running);
    }

    [Fact]
    public async Task More_than_can_wait_is_refused()
    {
        _limits.AtOnce = 1;
        _limits.MostWaitingEach = 3;
        var first = new Held();
        var all = new List<Task> { Scheduler.RunAsync("a", WorkLength.Quick, first.Work, Cancel) };
        await first.Began.Task;
        all.AddRange(Enumerable.Range(0, 3).Select(_ => Scheduler.RunAsync("a", WorkLength.Quick, _ => 0, Cancel)));
        await Assert.ThrowsAsync<TooBusyException>(() => Scheduler.RunAsync("a", WorkLength.Quick, _ => 0, Cancel));
        all.Add(Scheduler.RunAsync("b", WorkLength.Quick, _ => 0, Cancel));
        first.End();
        await Task.WhenAll(all);
    }

    [Fact]
    public async Task What_two_ask_for_is_computed_once_and_goes_on_while_one_of_them_waits()
    {
        using var shared = new SharedWork<string, object>(Scheduler, 4, TimeSpan.FromMinutes(1));
        var held = new Held();
        var times = 0;
        object Work(Simulator simulator)
        {
            Interlocked.Increment(ref times);
            held.Work(simulator);
            return "answer";
        }

        using var leaves = new CancellationTokenSource();
        var one = shared.GetAsync("state", "a", WorkLength.Quick, Work, leaves.Token);
        await held.Began.Task;
        var two = shared.GetAsync("state", "b", WorkLength.Quick, Work, Cancel);
        await leaves.CancelAsync();
        await Assert.ThrowsAnyAsync<OperationCanceledException>(() => one);
        held.End();
        Assert.Equal("answer", await two);
        Assert.Equal("answer", await shared.GetAsync("state", "c", WorkLength.Quick, Work, Cancel));
        Assert.Equal(1, times);
    }

    [Fact]
    public async Task What_all_have_left_is_called_off_and_computed_anew_for_the_next()
    {
        using var shared = new SharedWork<string, object>(Scheduler, 4, TimeSpan.FromMinutes(1));
        var held = new Held();
        using var leaves = new CancellationTokenSource();
        var one = shared.GetAsync("state", "a", WorkLength.Quick, s => held.Work(s), leaves.Token);
        await held.Began.Task;
        await leaves.CancelAsync();
        await Assert.ThrowsAnyAsync<OperationCanceledException>(() => one);
        Assert.Equal("anew", await shared.GetAsync("state", "a", WorkLength.Quick, _ => "anew", Cancel));
    }

    private sealed class Life : IHostApplicationLifetime, IDisposable
    {
        private readonly CancellationTokenSource _stopping = new();

        public CancellationToken ApplicationStarted => CancellationToken.None;

        public CancellationToken ApplicationStopping => _stopping.Token;

        public CancellationToken ApplicationStopped => CancellationToken.None;

        public void StopApplication() => _stopping.Cancel();

        public void Dispose() => _stopping.Dispose();
    }
}
