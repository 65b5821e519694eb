using NodaTime;

namespace BrightKettle.Core.Planning.Hands;

/// <summary>Places side tasks in the waits, as late as they may be: fewest left out, then fewest attended minutes before the flame, then
/// least idle time before each deadline.</summary>
/// <remarks>
/// Every order of the tasks is tried, each placed in it as late as hands, burners and what comes after allow. Moving a task later never
/// makes the
/// aim worse, so one of these schedules is best. Orders that are already worse than the best found are cut short. Orders grow factorially
/// with the
/// tasks, so the effort is bounded: after <see cref="MostTries"/> the best found so far is the answer. Up to five tasks are always tried
/// in every order.
/// </remarks>
internal sealed class HandsSolver
{
    /// <summary>Placings that are tried: about 30 ms. Five tasks need fewer than 4,000 in every order, with each left out or not.</summary>
    internal const int MostTries = 8000;

    private readonly IReadOnlyList<SideTask> _tasks;
    private readonly IReadOnlyList<(int From, int To)> _hands;
    private readonly IReadOnlyList<(int From, int To)> _flames;
    private readonly int _burners;
    private readonly Instant _zero;
    private readonly int _opens;
    private readonly int?[] _at;
    private readonly bool[] _decided;
    private readonly int?[] _best;
    private readonly int[] _order;
    private (int Left, int Outside, int Idle) _bestCost = (int.MaxValue, 0, 0);

    /// <param name="hands">Minutes at which the hands are at the stove.</param>
    /// <param name="flames">Spans in which a burner is in use, one entry a burner.</param>
    /// <param name="opens">The first flame: attended minutes before it are the price.</param>
    public HandsSolver(
        IReadOnlyList<SideTask> tasks,
        IReadOnlyList<(Instant From, Instant To)> hands,
        IReadOnlyList<(Instant From, Instant To)> flames,
        int burners,
        Instant opens
    )
    {
        _tasks = tasks;
        // Those that are due last are placed first: without anything in the way that is the best order, so a search that is cut short
        // begins well.
        _order = [.. Enumerable.Range(0, tasks.Count).OrderByDescending(i => tasks[i].Latest)];
        _zero = opens - Duration.FromHours(24);
        _hands = [.. hands.Select(h => (Floor(h.From), Ceiling(h.To)))];
        _flames = [.. flames.Select(f => (Floor(f.From), Ceiling(f.To)))];
        _burners = burners;
        _opens = Floor(opens);
        _at = new int?[tasks.Count];
        _best = new int?[tasks.Count];
        _decided = new bool[tasks.Count];
    }

    /// <summary>Placings that were tried.</summary>
    internal int Tries { get; private set; }

    /// <summary>The start of each task, or null for one that finds no place; in the order of the tasks.</summary>
    public IReadOnlyList<Instant?> Solve()
    {
        Try((0, 0, 0), 0);
        return [.. _best.Select(m => m is { } minute ? _zero + Duration.FromMinutes(minute) : (Instant?)null)];
    }

    private void Try((int Left, int Outside, int Idle) cost, int decided)
    {
        if (IsEnough || cost.CompareTo(_bestCost) >= 0)
        {
            return;
        }

        Tries++;

        if (decided == _tasks.Count)
        {
            _bestCost = cost;
            _at.CopyTo(_best, 0);
            return;
        }

        foreach (var i in _order)
        {
            // What follows is placed first, since time is filled from the end.
            if (_decided[i] || IsEnough || Followers(i).Any(f => !_decided[f]))
            {
                continue;
            }

            _decided[i] = true;
            _at[i] = LatestStart(i);
            var needed = Followers(i).Any(f => _at[f] is not null);
            if (_at[i] is not null)
            {
                Try(Plus(cost, Cost(i, _at[i])), decided + 1);
            }

            // Leaving a task out may make room for more of the others, but not one that something placed depends on.
            if (!needed)
            {
                _at[i] = null;
                Try(Plus(cost, Cost(i, null)), decided + 1);
            }

            _at[i] = null;
            _decided[i] = false;
        }
    }

    /// <summary>The effort is spent, and there is an answer.</summary>
    private bool IsEnough => Tries >= MostTries && _bestCost.Left < int.MaxValue;

    private IEnumerable<int> Followers(int task)
    {
        for (var i = 0; i < _tasks.Count; i++)
        {
            if (_tasks[i].After == _tasks[task].Id)
            {
                yield return i;
            }
        }
    }

    private (int Left, int Outside, int Idle) Cost(int task, int? start) =>
        start is { } from
            ? (
                0,
                _tasks[task].Attended ? Math.Clamp(_opens - from, 0, Minutes(task)) : 0,
                Floor(_tasks[task].Latest) - from - Minutes(task)
            )
            : (1, 0, 0);

    private static (int Left, int Outside, int Idle) Plus((int Left, int Outside, int Idle) a, (int Left, int Outside, int Idle) b) =>
        (a.Left + b.Left, a.Outside + b.Outside, a.Idle + b.Idle);

    private int? LatestStart(int task)
    {
        var length = Minutes(task);
        var end = Floor(_tasks[task].Latest);
        foreach (var f in Followers(task))
        {
            // What follows something that cannot be done is not held up by it.
            end = _at[f] is { } next ? Math.Min(end, next) : end;
        }

        var earliest = Ceiling(_tasks[task].Earliest);
        var from = end - length;
        while (from >= earliest)
        {
            if (InTheWay(task, from, from + length) is not { } busy)
            {
                return from;
            }

            from = busy - length;
        }

        return null;
    }

    /// <summary>The minute from which hands or burners are taken, so that the task must be over by then; null when both are free for all
    /// of it.</summary>
    private int? InTheWay(int task, int from, int to)
    {
        if (_tasks[task].Attended)
        {
            foreach (var hands in _hands)
            {
                if (hands.From < to && from < hands.To)
                {
                    return hands.From;
                }
            }

            foreach (var other in OtherTasks(task))
            {
                if (_tasks[other].Attended && Overlaps(other, from, to))
                {
                    return _at[other];
                }
            }
        }

        if (!_tasks[task].Burner)
        {
            return null;
        }

        for (var minute = to - 1; minute >= from; minute--)
        {
            var used =
                _flames.Count(f => f.From <= minute && minute < f.To)
                + OtherTasks(task).Count(o => _tasks[o].Burner && Overlaps(o, minute, minute + 1));
            if (used >= _burners)
            {
                return minute;
            }
        }

        return null;
    }

    private IEnumerable<int> OtherTasks(int task) => Enumerable.Range(0, _tasks.Count).Where(o => o != task && _at[o] is not null);

    private bool Overlaps(int other, int from, int to) => _at[other] is { } start && start < to && from < start + Minutes(other);

    private int Minutes(int task) => Math.Max(1, (int)Math.Ceiling(_tasks[task].Length.TotalMinutes - 1e-9));

    private int Floor(Instant at) => (int)Math.Floor((at - _zero).TotalMinutes + 1e-9);

    private int Ceiling(Instant at) => (int)Math.Ceiling((at - _zero).TotalMinutes - 1e-9);
}
