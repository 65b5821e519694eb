using BrightKettle.Core.Cooking;
using BrightKettle.Core.Learning;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Safety;
using NodaTime;

namespace BrightKettle.Core.Stove;

/// <summary>Looks at an evening: learns from what was observed, then runs what is still to do.</summary>
/// <param name="house">What the gates need to know of the house; null where nothing is known.</param>
public sealed class EveningForecaster(Simulator simulator, GateHouse? house = null)
{
    public const int DefaultPots = 64;

    /// <summary>As the gates know it.</summary>
    internal GateHouse House { get; } = house ?? GateHouse.Unknown;

    private readonly Forecaster _forecaster = new(simulator);
    private readonly Learner _learner = new(simulator);

    /// <summary>Why this evening cannot be run, or null: an entry that contradicts the others.</summary>
    public static CookFault? Check(EveningState evening, Instant now)
    {
        ArgumentNullException.ThrowIfNull(evening);
        return CookRules.Check(evening.ServedAt is { } served ? Past(evening, served) : evening.AsOf(now, out _));
    }

    /// <param name="evening">Valid by <see cref="Check"/>.</param>
    /// <param name="targets">See <see cref="Targets"/>.</param>
    public EveningForecast Forecast(EveningState evening, Instant now, Targets targets, int pots = DefaultPots)
    {
        ArgumentNullException.ThrowIfNull(evening);
        var traits = Estimate(evening, now);
        var asOf = evening.AsOf(now, out var pending);
        var ahead = Ahead(evening, asOf, pending, traits, now, targets, pots);
        var found = evening.Leading.Where(m => LookAsked.IsFound(ahead, m) == true).ToList();
        return found.Count == 0 ? ahead : Ahead(evening, GoingOn(asOf, pending, found, now), pending, traits, now, targets, pots);
    }

    /// <summary>What was found far enough is looked at no more: it goes on now.</summary>
    private static Cook GoingOn(Cook cook, IReadOnlyList<Moment?> pending, List<Moment> found, Instant now) =>
        cook with
        {
            Actions =
            [
                .. cook.Actions.Select(
                    (a, i) =>
                        a.Trigger.Look is not null && found.Exists(m => m.Id == pending[i]?.Id) ? a with { Trigger = Trigger.At(now) } : a
                ),
            ],
        };

    /// <summary>What was learned by now.</summary>
    public TraitEstimate Estimate(EveningState evening, Instant now)
    {
        ArgumentNullException.ThrowIfNull(evening);
        return _learner.Learn(Past(evening, now), [.. evening.Seen.Where(o => o.At <= now)]);
    }

    /// <summary>What it costs to do a moment so much later than it is due, in the reference pot; null where nothing is known of
    /// it.</summary>
    public DelayCost? Later(EveningForecast ahead, string momentId, Duration by)
    {
        ArgumentNullException.ThrowIfNull(ahead);
        var first = Enumerable.Range(0, ahead.Pending.Count).FirstOrDefault(i => ahead.Pending[i]?.Id == momentId, -1);
        if (first < 0 || ahead.Table is null || ahead.Due.FirstOrDefault(d => d.MomentId == momentId) is not { } due)
        {
            return null;
        }

        var at = Instant.Max(due.At, ahead.Now) + by;
        var cook = ahead.Cook with
        {
            Actions = [.. ahead.Cook.Actions.Select((a, i) => i == first ? a with { Trigger = a.Trigger with { NotBefore = at } } : a)],
        };
        if (CookRules.Check(cook) is not null)
        {
            return null;
        }

        var run = simulator.Run(cook, PotTraits.Reference(cook));
        return run.StalledAt is not null ? null : new(Duration.FromSeconds(run.EndSeconds - ahead.Forecast.Reference.EndSeconds), run);
    }

    /// <summary>The same evening with another course from now on, and what is known already.</summary>
    internal EveningForecast With(EveningForecast known, Course course, Targets targets, int pots)
    {
        var evening = known.Evening.With(course, known.Now);
        return Ahead(evening, evening.AsOf(known.Now, out var pending), pending, known.Traits, known.Now, targets, pots);
    }

    private EveningForecast Ahead(
        EveningState evening,
        Cook asOf,
        IReadOnlyList<Moment?> pending,
        TraitEstimate traits,
        Instant now,
        Targets targets,
        int pots
    )
    {
        var cook = traits.In(Marked(AskedAlone(asOf, evening), pending));
        var forecast = _forecaster.Run(cook, targets, pots, gates: EveningGates.Of(evening, cook, House, now));
        var due = DueOf(forecast, pending);
        var table = due.FirstOrDefault(d => pending.Any(m => m?.Id == d.MomentId && m.Actions.Any(a => a is CookAction.Serve)));
        return new(evening, now, cook, pending, traits, _learner.Prior(evening.Cook), forecast, due, table, PotAt(forecast, pending, now));
    }

    /// <summary>A look is a question here, and what is done with its answer is not taken for granted: a lid is left off by who is asked,
    /// and locked again too. Only until it has come off it may be, as it was planned.</summary>
    private static Cook AskedAlone(Cook cook, EveningState evening)
    {
        var opened = evening.Moments.Any(m => m.State == MomentState.Done && m.Moment.Has(StepIds.Opened));
        return cook with
        {
            Actions =
            [
                .. cook.Actions.Select(a =>
                    a.Trigger.Look is { } look
                        ? a with
                        {
                            Trigger = a.Trigger with
                            {
                                Look = look with
                                {
                                    LidOff = null,
                                    NotYet = look.NotYet is { } no ? no with { LockAgain = opened ? null : no.LockAgain } : null,
                                },
                            },
                        }
                        : a
                ),
            ],
        };
    }

    /// <summary>Every moment gets a mark, so that the forecast tells its time.</summary>
    private static Cook Marked(Cook cook, IReadOnlyList<Moment?> pending) =>
        cook with
        {
            Actions =
            [
                .. cook.Actions.Select(
                    (a, i) =>
                        a.StepId is null && pending[i] is { } m && (i == 0 || pending[i - 1]?.Id != m.Id) ? a with { StepId = Unnamed } : a
                ),
            ],
        };

    private const string Unnamed = "moment";

    /// <summary>What was done, at its real times, up to now.</summary>
    internal static Cook Past(EveningState evening, Instant now)
    {
        var deeds = evening.ActionsDone().Where(d => d.At <= now).ToList();
        var actions = deeds
            .Select(d => d.Action)
            .Where(a => a is not CookAction.Serve)
            .Append(new CookAction.Serve(Trigger.At(now + Duration.FromSeconds(1))));
        var starts = deeds.Select(d => d.At).Append(evening.Cook.Starts).Append(now).Min();
        return evening.Cook with { Actions = [.. actions], Starts = starts };
    }

    private static List<DueForecast> DueOf(Forecast forecast, IReadOnlyList<Moment?> pending)
    {
        var list = new List<DueForecast>();
        foreach (var m in forecast.Moments)
        {
            if (pending[m.Action] is { } moment && list.TrueForAll(d => d.MomentId != moment.Id))
            {
                // At the stove it is due when somebody begins with it.
                list.Add(
                    m.Begins is { } b
                        ? new(moment.Id, b.Early, b.Reference, b.Late, b.LiquorGrams)
                        : new(moment.Id, m.Early, m.Reference, m.Late, m.LiquorGrams)
                );
            }
        }

        return [.. list.OrderBy(d => d.At)];
    }

    /// <summary>The reference pot before anything that is still to do.</summary>
    private static PotSample? PotAt(Forecast forecast, IReadOnlyList<Moment?> pending, Instant now)
    {
        var seconds = (now - forecast.Cook.Starts).TotalSeconds;
        var run = forecast.Reference;
        var last = run.Samples.LastOrDefault(s => s.Seconds < seconds - 0.5);
        if (last is null)
        {
            return null;
        }

        // Samples are a minute apart; what was poured since the last one is seen at once.
        var main = forecast.Cook.VesselOf(forecast.Cook.Actions[^1]);
        var poured = Enumerable
            .Range(0, run.Done.Count)
            .Where(i =>
                pending[i] is null && forecast.Cook.VesselOf(forecast.Cook.Actions[i]) == main && !BowlLane.Holds(forecast.Cook.Actions[i])
            )
            .Select(i => run.Done[i])
            .OfType<ActionDone>()
            .Where(d => d.Seconds > last.Seconds && d.Seconds <= seconds + 1)
            .Select(d => (ActionDone?)d)
            .LastOrDefault();
        return poured is not { } done || last.All.Count > 0
            ? last
            : last with
            {
                Shown = new VesselLevel(
                    done.Celsius,
                    PotGeometry.LiquorMillilitres(done.LiquorAfter, done.Celsius),
                    last.BedCentimetres.Sum() + done.OverBedCentimetres
                ),
            };
    }
}
