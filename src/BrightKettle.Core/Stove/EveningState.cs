using BrightKettle.Core.Cooking;
using BrightKettle.Core.Cooking.Trace;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Stove;

/// <summary>Something with pieces that must come out again.</summary>
public sealed record Inside(string IngredientId, string Name, int Pieces, int Out)
{
    public int Left => Math.Max(0, Pieces - Out);
}

/// <summary>An evening at the stove: what was planned, with what was told of it so far.</summary>
/// <remarks>Built anew from the entries each time, so that an undo is only an entry less.</remarks>
public sealed partial class EveningState
{
    private readonly Cook _planned;
    private readonly IReadOnlyList<Entry> _entries;
    private readonly List<MomentStatus> _moments;
    private readonly List<(Instant At, int Order, CookAction Action)> _extras = [];
    private readonly List<(Instant At, Entry.Done Entry)> _done = [];
    private readonly List<Entry.CameOut> _counts = [];
    private readonly List<Observation> _seen = [];

    /// <param name="planned">As it was started, valid by <see cref="CookRules"/>.</param>
    /// <param name="entries">What holds, in the order in which it was recorded; undone entries are left out.</param>
    public EveningState(Cook planned, IEnumerable<Entry> entries)
    {
        ArgumentNullException.ThrowIfNull(planned);
        ArgumentNullException.ThrowIfNull(entries);
        (_planned, _entries, Cook) = (planned, [.. entries], planned);
        _moments = [.. Moment.Of(planned.Actions, planned.Kitchen, 0).Select(m => new MomentStatus(m, MomentState.Waiting, null, null))];
        // A course is chosen for what was known then; all else takes its place by its own time.
        var order = 0;
        foreach (var entry in _entries)
        {
            Take(entry, order++);
        }

        PassOver();
    }

    /// <summary>The same evening with one more entry at its end.</summary>
    public EveningState With(Entry entry) => new(_planned, [.. _entries, entry]);

    /// <summary>The same evening as if this had never been told.</summary>
    public EveningState Without(Guid entryId) => new(_planned, _entries.Where(e => e.Id != entryId));

    /// <summary>What was done in it, without anything that was seen or measured: a pot is not what somebody takes it for.</summary>
    public EveningState Unseen() => new(_planned, _entries.Where(e => e is not Entry.Saw));

    /// <summary>The same evening with another course from now on.</summary>
    public EveningState With(Course course, Instant now) => With(new Entry.Chose(Guid.Empty, now, course));

    /// <summary>With the vessels and the ingredients that came in later; its actions are those of the first plan.</summary>
    public Cook Cook { get; private set; }

    public IReadOnlyList<MomentStatus> Moments => _moments;

    /// <summary>Everything observed, what was counted out included.</summary>
    public IReadOnlyList<Observation> Seen =>
        [
            .. _seen,
            .. Cook
                .Ingredients.OfType<ExtraIngredient>()
                .Select(x => (x.Id, At: OutAt(x)))
                .Where(o => o.At is not null)
                .Select(o => new Observation.CountedOut(o.At!.Value, o.Id)),
        ];

    /// <summary>What was chosen last; null while the first plan holds.</summary>
    public string? Course { get; private set; }

    /// <summary>Number of the plan in force.</summary>
    public int PlanNumber { get; private set; }

    /// <summary>The first thing to do in each vessel and bowl.</summary>
    public IEnumerable<Moment> Leading => Pending.GroupBy(m => m.Lane).Select(g => g.First());

    public IEnumerable<Moment> Pending => _moments.Where(m => m.State == MomentState.Waiting).Select(m => m.Moment);

    public MomentStatus? Find(string momentId) => _moments.Find(m => m.Moment.Id == momentId);

    /// <summary>When it went to the table; null before.</summary>
    public Instant? ServedAt =>
        _moments.Where(m => m.Moment.Actions.Any(a => a is CookAction.Serve)).Select(m => m.DoneAt).FirstOrDefault(at => at is not null);

    /// <summary>The last moment of a lane that was done.</summary>
    public MomentStatus? LastDone(string lane) =>
        _moments.Where(m => m.Moment.Lane == lane && m.State == MomentState.Done).MaxBy(m => m.DoneAt);

    /// <summary>Everything that was really done, in the order of the clock; actions of one moment stay together.</summary>
    public IReadOnlyList<(Instant At, CookAction Action)> ActionsDone()
    {
        var list = Done();
        foreach (var x in ComesOut().Where(i => i.Left == 0))
        {
            var at = OutAt((ExtraIngredient)Cook.Ingredients[Cook.IndexOf(x.IngredientId)])!.Value;
            var into = list.First(d => d.Action is CookAction.Add a && a.IngredientId == x.IngredientId).Action;
            list.Add((at, Late, new CookAction.TakeOut(Trigger.At(at), x.IngredientId) { In = into.In }));
        }

        // Extras at the same second come after the moment; LINQ's order is stable.
        return [.. list.OrderBy(d => d.At).ThenBy(d => d.Order).Select(d => (d.At, d.Action))];
    }

    /// <summary>What moments and extras did, in no order; pieces come out only by being counted.</summary>
    private List<(Instant At, int Order, CookAction Action)> Done()
    {
        var list = new List<(Instant At, int Order, CookAction Action)>(_extras);
        var last = new Dictionary<string, Instant>();
        foreach (
            var (told, entry, place) in _done
                .Select(d => (d.At, d.Entry, Place: _moments.FindIndex(m => m.Moment.Id == d.Entry.MomentId)))
                .OrderBy(d => d.Place)
        )
        {
            // Whatever minutes were told, one thing follows the other as planned: nothing is done in a lane before what stands before it.
            var lane = _moments[place].Moment.Lane;
            var at = last.TryGetValue(lane, out var before) ? Instant.Max(told, before) : told;
            last[lane] = at;
            var first = true;
            foreach (var action in AsDone(Doing(_moments[place].Moment, at), entry))
            {
                list.Add((at, place, action with { Trigger = first ? Trigger.At(at) : Trigger.Next }));
                first = false;
            }
        }

        return list;
    }

    /// <summary>The actions of a moment with the amounts that were really taken.</summary>
    private static IEnumerable<CookAction> AsDone(Moment moment, Entry.Done entry)
    {
        var poured = entry.Poured;
        if (moment.Trigger.After == PotEvent.PinDown)
        {
            // The lid is off, whatever the model thought of the pin.
            yield return new CookAction.Release(Trigger.Next, ReleaseKind.Quick) { In = moment.Actions[0].In };
        }

        foreach (var action in moment.Actions)
        {
            switch (action)
            {
                case CookAction.AddWater water when poured is { } jug:
                    yield return water with
                    {
                        Water = jug.MassOfWater(water.Temperature),
                    };
                    poured = null;
                    break;
                case CookAction.SetLiquor measure when poured is { } jug:
                    var boiling = Temperature.FromCelsius(100);
                    yield return new CookAction.AddWater(measure.Trigger, jug.MassOfWater(boiling), boiling)
                    {
                        StepId = measure.StepId,
                        In = measure.In,
                    };
                    poured = null;
                    break;
                case CookAction.SetLiquor { BoilDown: not null } measure:
                    // It was done at this minute: what had to boil down had done so.
                    yield return measure with
                    {
                        BoilDown = null,
                    };
                    break;
                case CookAction.KeepLevel:
                    // What was poured after is told, or was not poured.
                    break;
                case CookAction.TakeOut:
                    break;
                case CookAction.AddSalt salt when entry.Salt is { } weighed:
                    yield return salt with
                    {
                        Salt = weighed,
                    };
                    break;
                default:
                    yield return action;
                    break;
            }
        }
    }

    /// <summary>The cook as it stands: what was done at its real time, then what is still to do, none of it before now.</summary>
    /// <param name="pending">For each action of the answer: the moment that it still waits in; null for what was done.</param>
    public Cook AsOf(Instant now, out IReadOnlyList<Moment?> pending)
    {
        var actions = new List<CookAction>();
        var moments = new List<Moment?>();
        var starts = Cook.Starts;
        foreach (var (at, action) in ActionsDone())
        {
            starts = Instant.Min(starts, at);
            actions.Add(action);
            moments.Add(null);
        }

        foreach (var kept in Kept())
        {
            actions.Add(kept with { Trigger = Trigger.At(now) });
            moments.Add(null);
        }

        var first = new HashSet<string>();
        foreach (var moment in Pending)
        {
            var when = first.Add(moment.Lane) ? FirstInLane(moment, now) : moment.Trigger;
            if (moment.Trigger.After == PotEvent.PinDown && when.After is null)
            {
                // Seen to be down: the lid may come off, whatever the model thinks of the pin.
                actions.Add(new CookAction.Release(when, ReleaseKind.Quick) { In = moment.Actions[0].In });
                moments.Add(moment);
                when = Trigger.Next;
            }

            foreach (var action in Doing(moment).Actions.Where(a => a is not CookAction.TakeOut t || StillIn(t.IngredientId)))
            {
                actions.Add(action with { Trigger = when });
                moments.Add(moment);
                when = Trigger.Next;
            }
        }

        pending = moments;
        return Cook with { Actions = actions, Starts = starts };
    }

    /// <summary>Levels that somebody keeps from now on, as the plan has it.</summary>
    private IEnumerable<CookAction.KeepLevel> Kept() =>
        _moments
            .Where(m => m.State == MomentState.Done)
            .SelectMany(m => m.Moment.Actions.OfType<CookAction.KeepLevel>().Select(k => (m.Moment.Lane, Keeps: k)))
            .GroupBy(k => k.Lane)
            .Select(g => g.Last().Keeps)
            .Where(k => k.OverBedCentimetres is not null);

    /// <summary>The same in the order in which it was done, each thing with what it was to wait for: what the gates judge beside what was
    /// seen. Bowls keep their real times, since a soak is as long as it was.</summary>
    /// <param name="pending">As in <see cref="AsOf"/>.</param>
    public CookTrace AsMeant(out IReadOnlyList<Moment?> pending)
    {
        var done = _moments
            .Select((m, place) => (Status: m, Place: place))
            .Where(m => m.Status.State == MomentState.Done)
            .SelectMany(m =>
                m.Status.Moment.Actions.Select(a =>
                    (
                        At: m.Status.DoneAt!.Value,
                        Order: m.Place,
                        Action: BowlLane.Holds(a) ? a with { Trigger = Trigger.At(m.Status.DoneAt.Value) } : a
                    )
                )
            );
        var past = done.Concat(_extras).OrderBy(d => d.At).ThenBy(d => d.Order).ToList();
        var ahead = Pending.SelectMany(m => Doing(m).Actions.Select(a => (Moment: m, Action: a))).ToList();
        pending = [.. past.Select(_ => (Moment?)null), .. ahead.Select(a => (Moment?)a.Moment)];
        return new(
            Cook with
            {
                Actions = [.. past.Select(d => d.Action), .. ahead.Select(a => a.Action)],
            },
            [.. past.Select(d => (Instant?)d.At)]
        );
    }

    /// <summary>What was counted out needs no taking out any more; what has not gone in yet will.</summary>
    private bool StillIn(string id) => OutAt((ExtraIngredient)Cook.Ingredients[Cook.IndexOf(id)]) is null;

    /// <summary>What the first thing to do in a lane waits for, told from what has happened instead of from the action before it.</summary>
    private Trigger FirstInLane(Moment moment, Instant now)
    {
        var when = moment.Trigger;
        var since = LastDone(moment.Lane)?.DoneAt;
        var notBefore = when.NotBefore is { } at && at > now ? at : now;
        if (when.After is { } what)
        {
            return SeenAt(moment.Lane, what, what == PotEvent.Whistle ? LockedAt(moment.Lane) : since, when.Count) is { } seen
                ? when with
                {
                    After = null,
                    Delay = null,
                    NotBefore = Instant.Max(notBefore, seen + (when.Delay ?? Duration.Zero)),
                }
                : when with
                {
                    NotBefore = notBefore,
                };
        }

        if (when.Delay is { } delay && since is { } done)
        {
            notBefore = Instant.Max(notBefore, done + delay);
            when = when with { Delay = null };
        }

        if (when.Look is { } look && LookAsked.AgainFrom(this, moment.Lane, look) is { } again)
        {
            notBefore = Instant.Max(notBefore, again);
        }

        return when with
        {
            NotBefore = notBefore,
        };
    }

    /// <summary>What was seen, but for boils after which the pot was not kept hard at the boil for so long, or still is: a flame that went
    /// down or out in that vessel before the time voids the boil.</summary>
    public IReadOnlyList<Observation> WithoutBrokenBoils(Duration required)
    {
        // What goes out as soon as it boils is the short boil of a quick soak, which is meant to end: the gate knows of it.
        var meant = AsMeant(out _);
        var down = meant
            .Cook.Actions.Select((action, i) => (Action: action, At: meant.DoneAt(i)))
            .Where(d =>
                d is { At: not null, Action: CookAction.Heat { Flame: not (Flame.Rolling or Flame.Full) } heat }
                && heat is not { Flame: Flame.Off, Trigger.After: PotEvent.Boils }
            )
            .Select(d => (At: d.At!.Value, Lane: Moment.LaneOf(d.Action, Cook.Kitchen)))
            .ToList();
        return
        [
            .. Seen.Where(o =>
                o is not Observation.Seen { What: PotEvent.Boils } boil
                || !down.Exists(d => IsIn(boil.VesselId, d.Lane) && d.At > boil.At && d.At < boil.At + required)
            ),
        ];
    }

    /// <summary>When an event of a lane was seen after an instant; null when it was not.</summary>
    /// <param name="count">The how-manieth.</param>
    public Instant? SeenAt(string lane, PotEvent what, Instant? since, int count = 1) =>
        Sights(lane, what, since).Order().Skip(count - 1).Select(at => (Instant?)at).FirstOrDefault();

    /// <summary>How many whistles of a lane were counted since its lid was locked.</summary>
    public int Whistles(string lane) => Sights(lane, PotEvent.Whistle, LockedAt(lane)).Count();

    /// <summary>When a lane's lid was last locked; null when it was not.</summary>
    private Instant? LockedAt(string lane) =>
        ActionsDone()
            .Where(d => d.Action is CookAction.Pressurise && Moment.LaneOf(d.Action, Cook.Kitchen) == lane)
            .Select(d => (Instant?)d.At)
            .LastOrDefault();

    private IEnumerable<Instant> Sights(string lane, PotEvent what, Instant? since) =>
        _seen
            .OfType<Observation.Seen>()
            .Where(s => s.What == what && IsIn(s.VesselId, lane) && (since is null || s.At >= since))
            .Select(s => s.At);

    private bool IsIn(string? vesselId, string lane) => (vesselId ?? Cook.Kitchen.Vessel.Id) == lane;

    /// <summary>The last answer to a look at something; null where there was none since.</summary>
    internal Observation? LastLook(string ingredientId, Instant? since) =>
        _seen
            .Where(o =>
                o switch
                {
                    Observation.FeltAs f => f.IngredientId == ingredientId,
                    Observation.ChalkyOf c => c.IngredientId == ingredientId,
                    _ => false,
                }
            )
            .Where(o => since is null || o.At > since)
            .MaxBy(o => o.At);

    private void Take(Entry entry, int order)
    {
        switch (entry)
        {
            case Entry.Done done:
                var at = _moments.FindIndex(m => m.Moment.Id == done.MomentId);
                if (at >= 0 && _moments[at].State == MomentState.Waiting)
                {
                    _moments[at] = _moments[at] with { State = MomentState.Done, DoneAt = done.At, DoneBy = done.Id };
                    _done.Add((done.At, done));
                }

                break;
            case Entry.Extra extra:
                _extras.Add((extra.At, Late + order, extra.Action with { Trigger = Trigger.At(extra.At) }));
                break;
            case Entry.WentIn went:
                InAlready(went.What);
                Cook = Cook with { Ingredients = [.. Cook.Ingredients, went.What] };
                _extras.Add((went.At, Late + order, new CookAction.Add(Trigger.At(went.At), went.What.Id)));
                break;
            case Entry.Saw { What: Observation.Liquor found } when found.By == LiquorBy.Jug || found.Grams <= 0:
                // What was poured out and measured is so, and dry is dry by eye: every pot is brought to it, before what is done at the
                // same second.
                _seen.Add(found);
                _extras.Add(
                    (found.At, -1, new CookAction.SetLiquor(Trigger.At(found.At), Mass.FromGrams(found.Grams)) { In = found.VesselId })
                );
                break;
            case Entry.Saw saw:
                _seen.Add(saw.What);
                break;
            case Entry.CameOut came:
                _counts.Add(came);
                break;
            case Entry.Chose chose:
                Choose(chose.Course);
                break;
        }
    }

    /// <summary>Behind every moment of the same second.</summary>
    private const int Late = 10_000;

    private void Choose(Course course)
    {
        PassOver();
        PlanNumber++;
        Course = course.Code;
        for (var i = 0; i < _moments.Count; i++)
        {
            if (_moments[i].State == MomentState.Waiting)
            {
                _moments[i] = _moments[i] with { State = MomentState.Dropped };
            }
        }

        var known = Enumerable.Range(0, Cook.Kitchen.VesselCount).Select(v => Cook.Kitchen[v].Vessel.Id).ToHashSet();
        var ids = Cook.Ingredients.Select(i => i.Id).ToHashSet();
        Cook = Cook with { Ingredients = [.. Cook.Ingredients, .. course.Extras.Where(x => ids.Add(x.Id))] };
        Cook = Cook with
        {
            Kitchen = Cook.Kitchen with
            {
                OtherVessels = [.. Cook.Kitchen.OtherVessels, .. course.Vessels.Where(o => !known.Contains(o.Vessel.Id))],
            },
        };
        _moments.AddRange(
            Moment.Of(course.Actions, Cook.Kitchen, PlanNumber).Select(m => new MomentStatus(m, MomentState.Waiting, null, null))
        );
    }

    /// <summary>What lies before a moment that was done, in the same lane, is not waited for any more.</summary>
    private void PassOver()
    {
        foreach (var lane in _moments.Select(m => m.Moment.Lane).Distinct().ToList())
        {
            var last = _moments.FindLastIndex(m => m.Moment.Lane == lane && m.State == MomentState.Done);
            for (var i = 0; i < last; i++)
            {
                if (_moments[i].Moment.Lane == lane && _moments[i].State == MomentState.Waiting)
                {
                    _moments[i] = _moments[i] with { State = MomentState.PassedOver };
                }
            }
        }
    }
}
