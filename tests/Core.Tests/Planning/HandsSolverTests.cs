using BrightKettle.Core.Planning.Hands;
using CsCheck;
using NodaTime;
using Xunit;

namespace BrightKettle.Core.Tests.Planning;

/// <summary>The placing of side tasks, held against trying every minute.</summary>
public class HandsSolverTests
{
    private static readonly Instant Zero = Instant.FromUtc(2026, 11, 25, 17, 0);

    private static Instant M(int minute) => Zero + Duration.FromMinutes(minute);

    private sealed record Case(
        IReadOnlyList<SideTask> Tasks,
        IReadOnlyList<(Instant From, Instant To)> Hands,
        IReadOnlyList<(Instant From, Instant To)> Flames,
        int Burners,
        Instant Opens
    )
    {
        public HandsSolver Solver() => new(Tasks, Hands, Flames, Burners, Opens);
    }

    private static readonly Gen<(Instant From, Instant To)> AnySpan = Gen.Select(Gen.Int[0, 10], Gen.Int[1, 3])
        .Select((from, length) => (M(from), M(from + length)));

    private static readonly Gen<Case> AnyCase =
        from tasks in Gen.Select(Gen.Int[1, 5], Gen.Bool, Gen.Bool, Gen.Int[0, 4], Gen.Int[6, 13], Gen.Int[-1, 1]).Array[1, 3]
        from hands in AnySpan.List[0, 3]
        from flames in AnySpan.List[0, 2]
        from burners in Gen.Int[1, 2]
        from opens in Gen.Int[0, 8]
        select new Case(
            [
                .. tasks.Select(
                    (t, i) =>
                        new SideTask(
                            $"t{i}",
                            "task",
                            Duration.FromMinutes(t.Item1),
                            t.Item2,
                            t.Item3,
                            M(t.Item4),
                            M(t.Item5),
                            t.Item6 >= 0 && t.Item6 < i ? $"t{t.Item6}" : null
                        )
                ),
            ],
            hands,
            flames,
            burners,
            M(opens)
        );

    [Fact]
    public void No_placement_is_better_than_the_one_it_finds() =>
        AnyCase.Sample(
            c =>
            {
                var found = CostOf(c, [.. c.Solver().Solve().Select(Minute)]);
                return found.CompareTo(Best(c)) == 0;
            },
            iter: 400
        );

    [Fact]
    public void Two_hands_do_one_thing_and_a_burner_holds_one_pan() =>
        AnyCase.Sample(
            c =>
            {
                var starts = c.Solver().Solve();
                return Valid(c, [.. starts.Select(Minute)]);
            },
            iter: 400
        );

    [Fact]
    public void A_task_that_fits_a_wait_is_put_there_and_not_before_the_flame()
    {
        var chop = new SideTask("chop", "chop", Duration.FromMinutes(6), true, false, M(-60), M(50), null);
        var start = Assert.Single(new HandsSolver([chop], [(M(0), M(3)), (M(10), M(12)), (M(44), M(50))], [], 1, M(0)).Solve());
        Assert.Equal(M(38), start);
    }

    /// <summary>Factorial before: seven tasks took 17 s. The effort is counted, so this needs no clock.</summary>
    [Fact]
    public void Many_tasks_are_placed_with_bounded_effort_and_none_is_left_out_that_plainly_fits()
    {
        foreach (var count in new[] { 5, 7, 12, 40 })
        {
            List<SideTask> tasks =
            [
                .. Enumerable
                    .Range(0, count)
                    .Select(i => new SideTask(
                        $"t{i}",
                        "task",
                        Duration.FromMinutes(3 + (i % 4)),
                        i % 3 != 0,
                        i % 2 == 0,
                        M(-400),
                        M(20 + (i * 7 % 60)),
                        null
                    )),
            ];
            var solver = new HandsSolver(tasks, [(M(0), M(3)), (M(30), M(32)), (M(55), M(60))], [(M(0), M(70))], 2, M(0));
            var starts = solver.Solve();
            Assert.All(starts, s => Assert.NotNull(s));
            Assert.InRange(solver.Tries, count, HandsSolver.MostTries + 1);
            var c = new Case(tasks, [(M(0), M(3)), (M(30), M(32)), (M(55), M(60))], [(M(0), M(70))], 2, M(0));
            Assert.True(Valid(c, [.. starts.Select(Minute)]));
        }
    }

    /// <summary>Minutes as the solver counts them: from a day before the flame.</summary>
    private static int? Minute(Instant? at) => at is { } t ? (int)Math.Round((t - Zero).TotalMinutes) : null;

    private static (int, int, int) Best(Case c)
    {
        var best = (int.MaxValue, 0, 0);
        foreach (var starts in Every(c.Tasks.Count))
        {
            if (Valid(c, starts) && CostOf(c, starts) is var cost && cost.CompareTo(best) < 0)
            {
                best = cost;
            }
        }

        return best;
    }

    private static IEnumerable<int?[]> Every(int count) =>
        count == 0
            ?
            [
                [],
            ]
            : Every(count - 1).SelectMany(rest => Enumerable.Range(-1, 14).Select(m => (int?[])[.. rest, m < 0 ? null : m]));

    private static (int, int, int) CostOf(Case c, int?[] starts)
    {
        var (left, outside, idle) = (0, 0, 0);
        for (var i = 0; i < starts.Length; i++)
        {
            if (starts[i] is not { } from)
            {
                left++;
                continue;
            }

            var length = (int)c.Tasks[i].Length.TotalMinutes;
            outside += c.Tasks[i].Attended ? Math.Clamp(Minute(c.Opens)!.Value - from, 0, length) : 0;
            idle += Minute(c.Tasks[i].Latest)!.Value - from - length;
        }

        return (left, outside, idle);
    }

    private static bool Valid(Case c, int?[] starts)
    {
        for (var i = 0; i < starts.Length; i++)
        {
            var task = c.Tasks[i];
            if (starts[i] is not { } from)
            {
                continue;
            }

            var to = from + (int)task.Length.TotalMinutes;
            var before = task.After is null ? -1 : int.Parse(task.After[1..], null);
            if (
                from < Minute(task.Earliest)
                || to > Minute(task.Latest)
                || (before >= 0 && !(starts[before] + (int)c.Tasks[before].Length.TotalMinutes <= from))
            )
            {
                return false;
            }

            for (var m = from; m < to; m++)
            {
                bool Runs(int k) => starts[k] is { } s && s <= m && m < s + (int)c.Tasks[k].Length.TotalMinutes;
                var all = Enumerable.Range(0, starts.Length).ToList();
                if (
                    (
                        task.Attended
                        && (c.Hands.Any(h => Minute(h.From) <= m && m < Minute(h.To)) || all.Count(k => c.Tasks[k].Attended && Runs(k)) > 1)
                    )
                    || (
                        task.Burner
                        && c.Flames.Count(f => Minute(f.From) <= m && m < Minute(f.To)) + all.Count(k => c.Tasks[k].Burner && Runs(k))
                            > c.Burners
                    )
                )
                {
                    return false;
                }
            }
        }

        return true;
    }
}
