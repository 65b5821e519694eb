using System.Collections.Concurrent;
using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Cooking.Trace;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning.Beside;
using BrightKettle.Core.Planning.Manners;
using BrightKettle.Core.Planning.Solving;
using BrightKettle.Core.Safety;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Planning;

/// <summary>From a dish to a plan: solves the way on one pot, judges it on many, refuses with what would work.</summary>
public sealed class Planner(Simulator simulator)
{
    private readonly Forecaster _forecaster = new(simulator);

    /// <param name="rough">For a plan that is only compared with others: the same times, but no picture, and many pots as in
    /// <see cref="Forecaster.Run"/>.</param>
    public PlanAnswer Plan(Dish dish, int pots = Forecaster.DefaultPots, bool rough = false)
    {
        var tried = Try(dish, pots, rough);
        return tried.Plan is { } plan && tried.Refusal is null
            ? new PlanAnswer.Planned(rough || plan.Clashes.Count == 0 ? plan : plan with { Apart = new RoomFinder(this).For(plan) })
            : new PlanAnswer.Refused(tried.Refusal! with { Alternatives = new AlternativeFinder(this).For(dish, tried.Refusal!) });
    }

    /// <summary>A dish solved, with its plan where it could be judged, and what speaks against it.</summary>
    internal sealed record Tried(SolvedWay Solved, Plan? Plan, PlanRefusal? Refusal);

    /// <summary>The way that a dish is solved by, judged on many pots. Nothing is offered instead: whatever is offered is tried so
    /// first.</summary>
    private Tried Try(Dish asked, int pots, bool rough)
    {
        var dish = asked with { How = asked.How with { SoakIsShort = IsShort(asked) } };
        var solved = Solve(dish);
        var first = Waits(solved) && Parks(solved) ? null : Judged(dish, solved, pots, rough);
        if (first is not null && !Cools(first))
        {
            return first.Plan is not null && MovesBetter(dish, solved) && Judged(Moving(dish), pots, rough) is var moved && Comes(moved) > 0
                ? moved
                : first;
        }

        // A fast bag would stand lukewarm. A fast pot decides, the same for a plan that is compared as for one that is opened; what more
        // pots find after all is answered likewise. What is ready is kept hot, and the hour stands; where that does not come out well,
        // the join comes with the look and the table moves.
        var hot = dish with { How = dish.How with { WaitsHot = true } };
        var best = Judged(hot, Solve(hot, solved.Way), pots, rough);
        foreach (var other in new[] { hot, Moving(dish) })
        {
            // Another state to wait for, and another time for the join, are sought only where it takes them.
            best = Comes(best) < SureShare ? Better(best, Judged(other, pots, rough)) : best;
        }

        // Kept hot it is safe and still no dinner: what spoils it is the reason.
        var told = Comes(best) > 0 || best.Refusal?.Code == PlanRefusal.Unlikely;
        return told ? best : first ?? Judged(dish, solved, pots, rough);
    }

    private static Dish Moving(Dish dish) => dish with { How = dish.How with { JoinMoves = true } };

    /// <summary>What is tender when the lid comes off goes on softening while it waits for slower bags: whether the table had better wait for
    /// these. The same pots in the same steps decide, however many the plan is judged on.</summary>
    private bool MovesBetter(Dish dish, SolvedWay solved) =>
        dish.How.Rice.IsDoneWithThem
        && Judged(dish, solved, Forecaster.DefaultPots, rough: true) is var known
        && Comes(known) < SureShare
        && Better(known, Judged(Moving(dish), Forecaster.DefaultPots, rough: true)) != known;

    /// <summary>One pot in ten comes to the table so long after the hour, or later.</summary>
    private static Duration Late(Tried tried) =>
        tried.Plan?.Forecast.Find(StepIds.Table) is { } table ? table.Late - tried.Plan.Dish.ServeAt : Duration.Zero;

    /// <summary>The one that comes out more often. Rice that is done stands covered, and not for longer than it may wait.</summary>
    private static Tried Better(Tried known, Tried other) =>
        Comes(other) > Comes(known) && !(other.Plan is { Dish.How.Rice.IsDoneWithThem: true } && Late(other) > Way.RiceWaits)
            ? other
            : known;

    /// <summary>Whether a lectin has had too few hours to leave with the water: how long what soaks already stands is known once it is
    /// known when the flame is lit.</summary>
    private bool IsShort(Dish dish) => dish.BoilsFirst && dish.How.Soak.IsShort(dish, () => Solve(dish).Way.LightAt);

    /// <summary>Chance of what can be planned; 0 for what is refused.</summary>
    private static double Comes(Tried tried) => tried is { Refusal: null, Plan: { } plan } ? plan.ShareTender : 0;

    /// <summary>A chance from here on needs no other (design, 5).</summary>
    private const double SureShare = 0.85;

    private Tried Judged(Dish dish, int pots, bool rough) => Judged(dish, Solve(dish), pots, rough);

    /// <summary>A bag as fast as this is not rare.</summary>
    private const double FastShare = 0.97;

    /// <summary>Of the time that a plan may leave food lukewarm, so much is left to a pot that cools faster than the reference.</summary>
    private const double CoolsFaster = 0.75;

    /// <summary>The same of the few pots that are looked at for it.</summary>
    private const double NearlyToo = 0.85;

    private static bool Cools(Tried tried) => tried.Refusal is { Gate: HoldGate.TooCool };

    /// <summary>Whether anything cooked may stand for an hour.</summary>
    private static bool Waits(SolvedWay solved) =>
        solved.Fault is null && solved.Run.StalledAt is null && solved.Way is not ({ Wait: null } or { JoinsOnLook: true });

    /// <summary>Whether cooked food stands lukewarm in a middle or in a fast bag.</summary>
    private bool Parks(SolvedWay solved)
    {
        var trace = new CookTrace(solved.Cook);
        // The same pots in the same steps, however many the plan is judged on: what is compared and what is opened decide alike.
        var traits = PotTraits.Many(solved.Cook, simulator.Constants, FewPots);
        var cool = simulator
            .RunMany([.. traits.Select(t => new PotJob(solved.Cook, t))], RunOptions.Compare with { Sample = true })
            .Count(run => run.StalledAt is null && HoldGate.Judge(trace, run, HoldGate.LongestPlanned * NearlyToo).Any(f => f.Blocks));
        return cool > 0
            || new[] { solved.Run, simulator.Run(solved.Cook, PotTraits.AtPaceShare(solved.Cook, FastShare), RunOptions.Search) }.Any(run =>
                run.StalledAt is null && HoldGate.Judge(trace, run, HoldGate.LongestPlanned * CoolsFaster).Any(f => f.Blocks)
            );
    }

    private Tried Judged(Dish dish, SolvedWay solved, int pots, bool rough)
    {
        if (Obstacle(dish, solved) is { } refusal)
        {
            return new(solved, null, refusal);
        }

        var plan = Describe(dish, solved, pots, rough);
        if (plan.ShareTender < SureShare && solved.Way.RiceOff is not null && dish.Pull.IsNothing)
        {
            // Where a hand that errs spoils more than its last look saves, the flame goes out by the clock: the same pot, with its salt.
            var salted = dish with { SaltGrams = solved.SaltGrams ?? dish.SaltGrams };
            var clock = OnTime(salted, solved.Way with { RiceOff = null }) with { SaltGrams = solved.SaltGrams };
            var byClock = clock.Run.StalledAt is null ? Describe(dish, clock, pots, rough) : plan;
            (solved, plan) = byClock.ShareTender > plan.ShareTender ? (clock, byClock) : (solved, plan);
        }

        // What a cook pulled on purpose is shown with what it costs.
        var unlikely = plan.ShareTender < LeastShare && dish.Pull.IsNothing;
        return new(solved, plan, BlockedBy(plan.Gates) ?? (unlikely ? Unlikely(plan) : null));
    }

    /// <summary>A plan that fails more often than not is no answer (design, 5).</summary>
    private const double LeastShare = 0.5;

    private static PlanRefusal Unlikely(Plan plan) =>
        new(PlanRefusal.Unlikely, "method", new(Share: plan.ShareTender, SpoiltBy: plan.Forecast.MostSpoiltBy ?? Spoilt.NeverDone), []);

    /// <summary>The same on a few pots: enough to know whether it can be offered, and how many come out as wanted.</summary>
    internal Tried Probe(Dish dish) => Try(dish, FewPots, rough: true);

    private ConcurrentDictionary<(Dish, Way?), Lazy<SolvedWay>>? _solved;

    /// <summary>The same planner, which remembers what it has solved: of many ways side by side, those that fail are offered the same
    /// ones instead, which stand beside them.</summary>
    internal Planner Remembering() => new(simulator) { _solved = [] };

    private const int FewPots = 32;

    /// <summary>A plan with some of its moments pulled elsewhere: nothing is solved again, so what it costs shows.</summary>
    public PulledPlan Pulled(Plan best, Pull pull, int pots = Forecaster.DefaultPots)
    {
        ArgumentNullException.ThrowIfNull(best);
        ArgumentNullException.ThrowIfNull(pull);
        var dish = best.Dish with { ServeAt = best.Dish.ServeAt + Duration.FromMinutes(pull.Table), Pull = pull with { Table = 0 } };
        var way = Whole(dish, pull.Of(best.Way));
        var cook = way.Build(dish);
        var forecast = _forecaster.Run(cook, dish.Targets, pots, gates: JudgeOf(cook, dish));
        if (forecast.Reference.StalledAt is not null)
        {
            return new(best, [], new(PlanRefusal.NeverTender, "join", new(), []));
        }

        var solved = new SolvedWay(way, cook, forecast.Reference, null);
        var plan = Describe(dish, solved, forecast, new Lazy<double>(forecast.ShareTender));
        return new(plan, PlanDifference.Between(best, plan), Obstacle(dish, solved) ?? BlockedBy(plan.Gates));
    }

    /// <summary>The way's numbers, with the salt that it wants and, where the rice has a pot of its own, that pot.</summary>
    /// <param name="known">Of the same dish, where only what is ready waits otherwise; null to begin from nothing.</param>
    private SolvedWay Solve(Dish dish, Way? known = null) =>
        _solved is null
            ? SolveAnew(dish, known)
            : _solved.GetOrAdd((dish, known), key => new Lazy<SolvedWay>(() => SolveAnew(key.Item1, key.Item2))).Value;

    private SolvedWay SolveAnew(Dish dish, Way? known)
    {
        var solver = new WaySolver(simulator, dish);
        var solved = known is null ? solver.Solve() : solver.WaitingAgain(known);
        if (solved.Fault is not null)
        {
            return solved;
        }

        var unsalted = SaltSheet.Of(solved.Cook, solved.Run, dish.SaltPercent);
        var salted = dish with { SaltGrams = Math.Round(unsalted.ToAddGrams) };
        if (dish.Salt == SaltSchool.AtTheStart && salted.SaltGrams > 0)
        {
            // Salt in the water changes how fast they soften: solved once more with it.
            solved = new WaySolver(simulator, salted).Solve();
            if (solved.Fault is not null)
            {
                return solved;
            }

            // What is poured off before the rice takes salt along; so much more goes in.
            var arrived = (SaltSheet.Of(solved.Cook, solved.Run, dish.SaltPercent).SaltGrams - unsalted.SaltGrams) / salted.SaltGrams;
            salted = salted with { SaltGrams = Math.Round(salted.SaltGrams / Math.Clamp(arrived, 0.3, 1)) };
        }

        dish = dish with { SaltGrams = salted.SaltGrams };
        solved = OnTime(dish, solved.Way) with { SaltGrams = salted.SaltGrams };
        return dish.Pull.IsNothing ? solved : Ran(dish, dish.Pull.Of(solved.Way)) with { SaltGrams = salted.SaltGrams };
    }

    /// <summary>By the steps that are told: a table that the steps of the search had a moment too early, or late, moves by whole minutes.
    /// Rice in a pot of its own keeps its own time.</summary>
    private SolvedWay OnTime(Dish dish, Way way)
    {
        var solved = Ran(dish, way);
        return
            dish.RiceVessel is not { Above: false }
            && solved.Run.StalledAt is null
            && Math.Floor((solved.Cook.Starts + Duration.FromSeconds(solved.Run.EndSeconds) - dish.ServeAt).TotalMinutes) is var late
            && late != 0
            ? Ran(dish, WaySolver.Shift(way, Duration.FromMinutes(-late)))
            : solved;
    }

    private SolvedWay Ran(Dish dish, Way way)
    {
        var whole = Whole(dish, way);
        var cook = whole.Build(dish);
        return new(whole, cook, _forecaster.Reference(cook), null);
    }

    /// <summary>The way with the rice too, where that has a vessel of its own.</summary>
    private Way Whole(Dish dish, Way way) => dish.RiceVessel is null ? way : dish.How.Rice.Solved(simulator, dish, way);

    private static PlanRefusal? Obstacle(Dish dish, SolvedWay solved)
    {
        PlanRefusal Refuse(string code, string field, PlanFacts? facts = null) => new(code, field, facts ?? new(), []);
        if (solved.Fault is { } fault)
        {
            return Refuse(fault, fault == PlanRefusal.NeverBoils ? "burnerId" : "pulseId");
        }

        var light = solved.Way.LightAt;
        if (light >= dish.Now && Unattended(dish, solved) is { } unattended)
        {
            return unattended;
        }

        if (dish.SoaksInBowl && dish.How.Soak.Place(dish, light, out var latest) is null)
        {
            return Refuse(PlanRefusal.SoakTooLate, "soak", new(LatestSoak: latest, Minutes: (dish.ServeAt - latest).TotalMinutes));
        }

        if (Planning.Plan.FirstDeed(dish, solved.Cook, solved.Way.LightAt) is var begins && begins < dish.Now)
        {
            var table = dish.Now + (dish.ServeAt - begins);
            // Where the flame would be early enough it is the rice that has to stand in water for so long.
            var rice = light >= dish.Now && dish.Rice is { SoakMinutes: { Low: > 0 } standing } ? standing.Typical : (double?)null;
            return Refuse(
                PlanRefusal.TooSoon,
                "serveAt",
                new(EarliestTable: table, Minutes: (dish.ServeAt - light).TotalMinutes, RiceSoakMinutes: rice)
            );
        }

        if (dish.Rice is not null && dish.How.Rice.Obstacle(dish, solved) is { } ofRice)
        {
            return ofRice;
        }

        var usable = Usable(dish, solved);
        if (solved.Run.PeakMillilitres > usable)
        {
            var join = solved.Cook.StepAt(StepIds.Join);
            var forRice = join >= 0 && solved.Run.PeakSeconds >= solved.Run.At(join).Seconds;
            return Refuse(
                forRice ? PlanRefusal.PotTooSmallForRice : PlanRefusal.PotTooSmall,
                "vesselId",
                new(NeededMillilitres: solved.Run.PeakMillilitres, UsableMillilitres: usable)
            );
        }

        return BlockedBy(Gates.Judge(solved.Cook, House(dish), solved.Run));
    }

    /// <summary>The refusal for the first finding that blocks; null where none does.</summary>
    private static PlanRefusal? BlockedBy(IReadOnlyList<GateFinding> gates) =>
        gates.FirstOrDefault(f => f.Blocks) is { } gate
            ? new(PlanRefusal.GateBlocks, gate.Code.StartsWith("lectin", StringComparison.Ordinal) ? "soak" : "method", new(), [])
            {
                Gate = gate.Code,
            }
            : null;

    /// <summary>What the gates find in one pot of this dish.</summary>
    private static Func<PotRun, IReadOnlyList<GateFinding>> JudgeOf(Cook cook, Dish dish) => Gates.InOnePot(cook, House(dish));

    private static GateHouse House(Dish dish) =>
        new(dish.Household.Cautious, dish.Household.Room.Celsius, dish.AttendedAt) { Lukewarm = HoldGate.LongestPlanned };

    /// <summary>A flame that nobody is there for, or something to be done while nobody is.</summary>
    private static PlanRefusal? Unattended(Dish dish, SolvedWay solved)
    {
        var trace = new CookTrace(solved.Cook);
        var flame = FlameGate.Judge(trace, solved.Run, House(dish)).FirstOrDefault(f => f.Blocks);
        var from = solved.Way.LightAt;
        if (flame is not null)
        {
            var alone = FlameGate.Flames(trace, solved.Run).First(f => f.Action == flame.Action);
            var asleep = !AwakeThroughout(dish, alone.From, alone.To);
            var code = asleep ? PlanRefusal.FlameWhileAsleep : PlanRefusal.FlameWhileAway;
            return new(code, asleep ? "serveAt" : "away", new(Minutes: (dish.ServeAt - from).TotalMinutes, At: alone.From), []);
        }

        var missed = Enumerable
            .Range(0, solved.Cook.Actions.Count)
            .Where(i => solved.Run.Done[i] is not null && solved.Cook.Actions[i] is not CookAction.Soak and not CookAction.Chill)
            .Select(i => solved.Cook.Starts + Duration.FromSeconds(solved.Run.At(i).Seconds))
            .Where(at => at >= from && !dish.AttendedAt(at))
            .Select(at => (Instant?)at)
            .FirstOrDefault();
        return missed is { } moment
            ? dish.Household.AwakeAt(moment)
                ? new(PlanRefusal.AwayFromStove, "away", new(At: moment), [])
                : new(PlanRefusal.FlameWhileAsleep, "serveAt", new(Minutes: (dish.ServeAt - from).TotalMinutes, At: moment), [])
            : null;
    }

    private static bool AwakeThroughout(Dish dish, Instant from, Instant to)
    {
        for (var at = from; at < to; at += Duration.FromMinutes(10))
        {
            if (!dish.Household.AwakeAt(at))
            {
                return false;
            }
        }

        return dish.Household.AwakeAt(to);
    }

    /// <summary>What of the first vessel may be filled when it is fullest, mL.</summary>
    private static double Usable(Dish dish, SolvedWay solved) =>
        dish.How.Pulses.UsableMillilitres(dish, solved.Run.PeakSeconds, OpenedAt(solved));

    private static double? OpenedAt(SolvedWay solved) =>
        solved.Cook.StepAt(StepIds.Opened) is >= 0 and var at ? solved.Run.Done[at]?.Seconds : null;

    private Plan Describe(Dish dish, SolvedWay solved, int pots, bool rough)
    {
        var steps = rough ? RunOptions.Compare : null;
        var forecast = _forecaster.Run(solved.Cook, dish.Targets, pots, picture: !rough, steps, solved.Run, JudgeOf(solved.Cook, dish));
        var blind = new Lazy<double>(() => _forecaster.BlindShare(solved.Cook, forecast, dish.Targets, pots, steps));
        return Describe(dish, solved, forecast, rough ? blind : new(blind.Value));
    }

    private Plan Describe(Dish asked, SolvedWay solved, Forecast forecast, Lazy<double> blind)
    {
        // The salt that was worked out belongs to the dish from here on.
        var dish = asked with { SaltGrams = solved.SaltGrams ?? asked.SaltGrams };
        var cook = solved.Cook;
        var gates = forecast.Gates;
        var salt = SaltSheet.Of(cook, forecast.Reference, dish.SaltPercent);
        var added = cook.Actions.OfType<CookAction.AddSalt>().Sum(a => a.Salt.Grams);
        var soak = cook.Actions.OfType<CookAction.Soak>().FirstOrDefault(s => s.IngredientId == Way.PulseId);
        return new(
            dish,
            solved.Way.Wait,
            cook,
            forecast,
            Join(dish, solved, forecast),
            new(
                FirstWater(cook),
                dish.How.Soak.Since is null ? soak?.Water : null,
                Mass.FromGrams(added + salt.ToAddGrams),
                Mass.FromGrams(salt.EdibleGrams)
            )
            {
                Sheet = salt,
            },
            forecast.ShareTender,
            blind,
            gates,
            Safety.Cautions.For(cook, gates)
        )
        {
            Way = solved.Way,
            Clashes =
                dish.Beside.Count == 0
                    ? []
                    : Clash.Between(Neighbour.Of(string.Empty, string.Empty, cook, forecast.Reference), dish.Beside),
            Base = Crust.Of(forecast.Reference, simulator.Constants),
        };
    }

    /// <summary>Of the pot in which the pulses are cooked: the last fresh water before anything else is asked of it.</summary>
    private static Mass FirstWater(Cook cook) =>
        cook
            .Actions.OfType<CookAction.AddWater>()
            .Last(a => !cook.Actions.OfType<CookAction.Add>().Any(r => r.IngredientId == Way.RiceId && r.In is not null && r.In == a.In))
            .Water;

    private JoinMoment? Join(Dish dish, SolvedWay solved, Forecast forecast)
    {
        if (forecast.Find(StepIds.SetLiquor) is not { } measure)
        {
            return null;
        }

        var done = forecast.Reference.At(measure.Action);
        var riceIsIn = solved.Way.List.Starts == Way.RiceId;
        var doneness = done.Doneness[solved.Cook.IndexOf(solved.Way.List.Starts ?? Way.PulseId)];
        double Hot(double grams) => Math.Sign(grams) * PotGeometry.LiquorMillilitres(Math.Abs(grams), done.Celsius);
        Band Millilitres(Band b) => new(Hot(b.Low), Hot(b.Reference), Hot(b.High));
        return new(
            doneness,
            Doneness.Felt(doneness, riceIsIn ? null : dish.Pulse.FallsApartAt),
            riceIsIn ? null : Doneness.ChalkyOfFive(doneness, simulator.Constants.SeedSpread),
            Mass.FromGrams(done.LiquorAfter),
            Hot(done.LiquorAfter),
            Millilitres(measure.LiquorGrams),
            Millilitres(measure.AddedGrams),
            done.OverBedCentimetres
        );
    }
}
