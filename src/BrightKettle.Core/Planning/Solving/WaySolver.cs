using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning.Stages;
using BrightKettle.Core.Safety;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Planning.Solving;

/// <summary>A solved way with the reference pot's run through it.</summary>
/// <param name="Fault">Null when it works; else a code of <see cref="PlanRefusal"/>.</param>
/// <param name="SaltGrams">Worked out for it; null before.</param>
internal sealed record SolvedWay(Way Way, Cook Cook, PotRun Run, string? Fault, double? SaltGrams = null);

/// <summary>Finds the numbers of a way by running pots: nothing here knows a cooking time.</summary>
internal sealed partial class WaySolver(Simulator simulator, Dish dish)
{
    /// <summary>The share of bags that a look by itself allows to be late.</summary>
    private static readonly double SlowShare = new UntilFound(AtFirstLook: true).Slack;

    private const double FastShare = 0.9;

    private const int MostTries = 16;

    /// <summary>Water under pressure over the dry weight: what they drink and enough to stay covered.</summary>
    private const double PressureWaterShare = 2.2;

    /// <summary>J/g, for a first guess at the water that a hard boil takes.</summary>
    internal const double HeatOfSteam = 2257;

    /// <summary>A rough forecast that misses by more than this will not be mended by an exact one.</summary>
    private const double HopelessBy = 8;

    /// <summary>Joins with less lead than this are one act.</summary>
    private const double TogetherSeconds = 240;

    /// <summary>A state below this cannot be told by hand from a raw seed: such a join goes by the clock.</summary>
    private const double LeastFelt = 30;

    /// <summary>Pulses that soften sooner than this change from one long step to the next.</summary>
    private const double QuickMinutes = 24;

    /// <summary>How many times the usual misses (5 s, 3 g of liquor, 0.7 of doneness) are let pass while a way is still being worked on:
    /// rough enough to save half of the runs.</summary>
    private const double Loosely = 5;

    /// <summary>How far rice is to be when its flame goes out: its rest does the remainder, and finished rice waits without harm.</summary>
    public static double RiceAtOff(Dish dish) =>
        dish.Rice is { } rice && dish.Targets.Window(rice).Low is > Doneness.Tender and var low ? low + SoftMargin : JustBeforeDone;

    private const double JustBeforeDone = 95;

    /// <summary>Over the least of soft rice or porridge, so that most pots get there.</summary>
    private const double SoftMargin = 4;

    private static readonly FeltState[] Waits = [FeltState.ChalkyMiddle, FeltState.NearlyASpeck, FeltState.BiteNoChalk, FeltState.Soft];

    private readonly RunOptions _search = StepsOf(dish);

    /// <summary>Where only the end matters.</summary>
    private readonly RunOptions _ends = StepsOf(dish) with { Moments = false };

    private readonly Span _wanted = dish.Targets.Window(dish.Pulse);

    /// <summary>The doneness to aim at where nobody can look.</summary>
    private double Aim => dish.Targets.Aim(dish.Pulse);

    /// <summary>What pulses by themselves are looked for: a bite is enough where they shall be firm.</summary>
    private FeltState Alone => dish.Targets.Usual(dish.Pulse) == PulseTarget.Firm ? FeltState.BiteNoChalk : FeltState.Soft;

    private bool AtRisk => dish.BoilsFirst;

    /// <summary>Steps that are good enough to search by: longer ones for what takes its time.</summary>
    public static RunOptions StepsOf(Dish dish)
    {
        var quick = dish.Pulse.SofteningMinutesAt98C < QuickMinutes;
        return dish.How.Pulses.RunsAlone
            ? quick
                ? RunOptions.Compare
                : RunOptions.LongSearch
            : quick
                ? RunOptions.Search
                : RunOptions.Compare;
    }

    public SolvedWay Solve()
    {
        var way = new Way(WayLists.PulsesFirst(dish), dish.ServeAt);
        var alone = dish.RiceInPot is null;
        // Boiling dry seed clears nothing: it must be tender before the flame goes down, or before it leaves the boil.
        var dryRisk = AtRisk && dish.CountsAsDry;
        var single = dish.OtherPulses.Count == 0;
        if (dish.How.Pulses.IsClosed)
        {
            return dish.How.Pulses.FindsStates && !alone && single && !dryRisk
                ? Best(null, way, Waits.Reverse())
                : SolveWaiting(way with { Wait = alone ? Alone : FeltState.Soft, JoinsOnLook = dish.How.JoinMoves && JoinsMayMove });
        }

        if (!alone && !dish.StirsRiceIn && dish.How.Rice.Drains)
        {
            // Cooked through before their liquor is wanted.
            return Best(null, way, dish.How.Rice.LiftsPulses || dryRisk ? [FeltState.Soft] : Waits);
        }

        if (!single)
        {
            return SolveSeveral(way with { Wait = FeltState.Soft });
        }

        if (alone)
        {
            return SolveAlone();
        }

        if (dish.StirsRiceIn || dryRisk)
        {
            return SolveWaiting(way with { Wait = FeltState.Soft });
        }

        var clock = SolveByClock();
        // What is cooked already need not be looked at.
        if (
            clock.Fault is not null
            || !dish.How.Pulses.FromRaw
            || (!AtRisk && (clock.Way.List != way.List || JoinDoneness(clock) < LeastFelt))
        )
        {
            return clock;
        }

        // What a slow bag still gains once the rice is in: a state that leaves it well short is not worth trying.
        var slowGain = (PulseAtTable(clock.Cook, clock.Run) - JoinDoneness(clock)) * dish.Pace.Quantile(SlowShare) / dish.Pace.Median;
        return Best(
            AtRisk ? null : clock,
            way with
            {
                JoinLiquor = clock.Way.JoinLiquor,
                LastMinutes = clock.Way.LastMinutes,
            },
            Waits.Where(w => w == FeltState.Soft || Doneness.Anchor(w) + slowGain > _wanted.Low - HopelessBy)
        );
    }

    /// <summary>In an open pot without rice. What shall be firm is found so too early by a hand that is off: where it is drained at once,
    /// just soft is looked for; in hot water, and while the liquor boils down, it goes on. The state is taken that serves most pots, the
    /// soft one where that is as good.</summary>
    private SolvedWay SolveAlone()
    {
        var way = new Way(WayLists.PulsesAlone, dish.ServeAt);
        var best = SolveWaiting(way with { Wait = FeltState.Soft });
        if (best.Way.DrainsAtLook(dish) || (AtRisk && dish.CountsAsDry))
        {
            return best;
        }

        var served = best.Fault is null ? PotsServed(best.Way) : -1;
        var gain = best.Way.GainBefore(dish, dish.Pulse);
        foreach (
            var state in Waits
                .Reverse()
                .Where(w => w != FeltState.Soft && (w == Alone || Doneness.Anchor(w) + gain > _wanted.Low))
                .TakeWhile(_ => served < WellServed)
        )
        {
            var tried = SolveWaiting(way with { Wait = state });
            if (tried.Fault is null && PotsServed(tried.Way) is var more && more > served)
            {
                (best, served) = (tried, more);
            }
        }

        return best;
    }

    /// <summary>Each state that a hand can tell is tried; the one that serves most bags wins. At a tie a look beats the clock, the hour
    /// that was asked for one that moves, and the state that was tried first the others.</summary>
    /// <param name="known">By the clock, where that may be; null where a look must be.</param>
    private SolvedWay Best(SolvedWay? known, Way way, IEnumerable<FeltState> states)
    {
        var best = dish.How.JoinMoves ? null : known;
        var bestServed = best is null ? -1 : PotsServed(best.Way);
        foreach (
            var onLook in !JoinsMayMove ? [false]
            : dish.How.JoinMoves ? [true]
            : new[] { false, true }
        )
        {
            foreach (var state in states)
            {
                if (bestServed >= WellServed && best!.Way.Wait is not null)
                {
                    break;
                }

                var tried = SolveWaiting(way with { Wait = state, JoinsOnLook = onLook });
                var served = tried.Fault is null ? PotsServed(tried.Way) : -1;
                if (served > bestServed || (served == bestServed && best?.Way.Wait is null))
                {
                    (best, bestServed) = (tried, served);
                }

                best ??= tried;
            }
        }

        return best!;
    }

    /// <summary>Somebody is there whenever the look says yes.</summary>
    private bool JoinsMayMove => dish.How.Pulses.IsWatched && dish.Away.Count == 0;

    private static double JoinDoneness(SolvedWay way) => way.Run.At(way.Cook.StepAt(StepIds.Join)).Doneness[way.Cook.IndexOf(Way.PulseId)];

    /// <summary>A look decides: light early enough for the slow bags, let the fast ones wait off the heat.</summary>
    /// <param name="sketch">Near enough to compare it with others: settled loosely, and not in round figures.</param>
    private SolvedWay SolveWaiting(Way way, bool sketch = false)
    {
        var rice = dish.RiceInPot;
        var settledLiquor = rice is null || way.JoinLiquor > Mass.Zero;
        Instant Joins(Way of) =>
            dish.ServeAt
            - Duration.FromMinutes(of.MinutesBefore(dish) + (rice is null ? 0 : rice.SimmerMinutes.Typical + rice.RestMinutes.Typical + 6));
        way = way with
        {
            JoinAt = Joins(way),
            JoinLiquor = way.JoinLiquor > Mass.Zero || rice is null ? way.JoinLiquor : FirstGuess(rice),
            LastMinutes = way.LastMinutes > 0 || rice is null ? way.LastMinutes : rice.SimmerMinutes.Typical,
            Water = dish.PulsesDry * 4,
            FirstLook = way.LightAt,
        };
        var hold = way.Stages(dish).Any(s => s is HoldUnderPressure or InVessel { Inner: HoldUnderPressure });
        if (hold)
        {
            way = way with { Water = Mass.Max(dish.PulsesDry * PressureWaterShare, dish.How.Pulses.LeastWater(dish)) + HardBoilSteam };
        }

        SolvedWay? settled = null;
        // More water comes up more slowly and holds its heat longer: once it is known, the hold is worked out anew.
        var rounds = sketch
            ? settledLiquor
                ? 2
                : 1
            : hold
                ? 3
                : 2;
        for (var i = 0; i < rounds; i++)
        {
            // How long it boils down is known from the round before.
            way = i == 1 && rice is null ? way with { JoinAt = Joins(way) } : way;
            var held = hold ? Held(way) : way;
            if (i == 2 && held == way)
            {
                break;
            }

            way = held;
            if (SecondsUntil(way, SlackOf(way), 0.5, FastShare) is not [{ } slow, { } middle, { } fast])
            {
                var cook = way.Build(dish);
                var run = simulator.Run(cook, PotTraits.Reference(cook), _search);
                return new(way, cook, run, run.BoilsAt.Count == 0 ? PlanRefusal.NeverBoils : PlanRefusal.NeverTender);
            }

            way = Schedule(way, slow, middle, fast);
            way = i < 2 ? WithFirstWater(way) : way;
            if (i == 0 && settledLiquor)
            {
                // What the join wants is known already: the water can be refined before anything is settled.
                continue;
            }

            settled = Settled(way, sketch || i < rounds - 1 ? Loosely : 1);
            if (settled.Fault is not null)
            {
                return settled;
            }

            way = settled.Way;
        }

        return sketch ? settled! : Round(settled!);
    }

    /// <summary>A hard boil before a lid is locked takes its steam from the same water.</summary>
    private Mass HardBoilSteam =>
        dish.How.Pulses.IsClosed && AtRisk && !dish.CountsAsDry
            ? Mass.FromGrams(
                simulator.Constants.VigourRolling
                    / HeatOfSteam
                    * LectinGate.RequiredBoil(dish.Household.Altitude, dish.Household.Cautious).TotalSeconds
            )
            : Mass.Zero;

    /// <summary>A way that is known, where only what is ready waits otherwise: when to light and when to look stands.</summary>
    public SolvedWay WaitingAgain(Way known)
    {
        if (known.Wait is null)
        {
            return Solve();
        }

        // What the look at the rice accepts follows from the minutes, and a vessel of its own is solved when they are known.
        var way = known with { RiceOff = null, OwnPot = null, Bowl = null };
        var settled = Settled(WithFirstWater(way));
        return settled.Fault is null ? Round(settled) : settled;
    }

    /// <summary>Seconds from the flame until a pot with each of these bags is found far enough, by looks so close together that nothing
    /// is lost; null for one that never is.</summary>
    private double?[] SecondsUntil(Way way, params double[] paceShares)
    {
        var light = way.LightAt;
        var cook = (
            way with
            {
                FirstLook = light,
                LookAgain = dish.How.Pulses.RunsAlone ? Duration.FromMinutes(5) : _search.Step,
                List = WayLists.PulsesAlone,
            }
        ).Build(dish);
        var ready = cook.StepAt(StepIds.Ready);
        List<CookAction> actions =
        [
            .. cook.Actions.Take(ready),
            new CookAction.Serve(cook.Actions[ready].Trigger) { In = cook.Actions[ready].In },
        ];
        // What comes later has no time yet, so the cook starts with the first of what is left.
        cook = cook with { Actions = actions, Starts = actions.Min(a => a.Trigger.NotBefore ?? light) };
        var lit = cook.StepAt(StepIds.Light);
        return
        [
            .. RunAt(cook, _search, paceShares).Select(run => run.StalledAt is null ? run.EndSeconds - run.At(lit).Seconds : (double?)null),
        ];
    }

    /// <summary>The share of bags that may be late, by the stage that waits for them.</summary>
    private double SlackOf(Way way) => way.Stages(dish).Select(s => s.Slack).First(s => s > 0);

    /// <summary>One cook with bags of several speeds, side by side.</summary>
    private PotRun[] RunAt(Cook cook, RunOptions options, params double[] paceShares) =>
        simulator.RunMany([.. paceShares.Select(share => new PotJob(cook, PotTraits.AtPaceShare(cook, share)))], options);

    /// <summary>All of a way earlier or later.</summary>
    public static Way Shift(Way way, Duration by) =>
        way with
        {
            LightAt = way.LightAt + by,
            JoinAt = way.JoinAt + by,
            FirstLook = way.FirstLook + by,
            OwnPot = way.OwnPot is { } own ? own with { LightAt = own.LightAt + by } : null,
            Bowl = way.Bowl is { } bowl ? bowl with { ClosesAt = bowl.ClosesAt + by } : null,
        };

    /// <summary>Whole minutes, ten-gram liquor: what a cook can do. The forecast is made from these.</summary>
    private SolvedWay Round(SolvedWay solved)
    {
        static Instant Minute(Instant t) => Instant.FromUnixTimeSeconds((long)Math.Round(t.ToUnixTimeSeconds() / 60.0) * 60);
        var way = solved.Way with
        {
            Water = solved.Way.Water.RoundedTo(10),
            JoinLiquor = solved.Way.JoinLiquor.RoundedTo(10),
            LastMinutes = Math.Round(solved.Way.LastMinutes),
            FinishLiquor = solved.Way.FinishLiquor?.RoundedTo(10),
            StarchGrams = Math.Round(solved.Way.StarchGrams),
        };
        if (solved.Fault is null && dish.RiceInPot is not null)
        {
            var run = Run(way, 0.5);
            var cook = way.Build(dish);
            way = Shift(way, dish.ServeAt - (cook.Starts + Duration.FromSeconds(run.EndSeconds))) with
            {
                RiceOff = run.At(cook.StepAt(StepIds.HeatOff)).Doneness[cook.IndexOf(Way.RiceId)],
            };
        }

        way = way with { LightAt = Minute(way.LightAt), JoinAt = Minute(way.JoinAt), FirstLook = Minute(way.FirstLook) };
        var rounded = way.Build(dish);
        var after = simulator.Run(rounded, PotTraits.Reference(rounded), RunOptions.Search);
        // Rounded apart, light and join may miss the table by a minute or two: all of it moves by whole minutes, so that the clock shows
        // the hour that was asked for.
        if (
            after.StalledAt is null
            && Math.Floor((rounded.Starts + Duration.FromSeconds(after.EndSeconds) - dish.ServeAt).TotalMinutes) is var late
            && late != 0
        )
        {
            way = Shift(way, Duration.FromMinutes(-late));
            rounded = way.Build(dish);
            after = simulator.Run(rounded, PotTraits.Reference(rounded), RunOptions.Search);
        }

        return solved with
        {
            Way = way,
            Cook = rounded,
            Run = after,
        };
    }

    private PotRun Run(Way way, double paceShare)
    {
        var cook = way.Build(dish);
        return simulator.Run(cook, PotTraits.AtPaceShare(cook, paceShare), _search);
    }

    private static double PulseAtTable(Cook cook, PotRun run) => run.Final[cook.IndexOf(Way.PulseId)].Doneness;

    private Mass FirstGuess(Rice rice) =>
        (dish.RiceDry * (rice.BeanPotLiquor?.Typical ?? (rice.Absorbed.Typical + 0.4))) + Mass.FromGrams(dish.WantedLiquorGrams);
}
