using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Kitchen;

namespace BrightKettle.Core.Cooking.Engine;

/// <summary>Follows one cook on one pot: does each action when what it waits for has come, notes what happened, says when it next wants attending to.</summary>
internal sealed class LaneRun
{
    /// <summary>How long a run waits for an event.</summary>
    private const double PatienceSeconds = 9 * 3600;

    /// <summary>How long looks are repeated: longer than the slowest bean in a slow cooker.</summary>
    private const double LookSeconds = 20 * 3600;

    /// <summary>How long one vessel waits for another.</summary>
    private const double LongestSeconds = 4 * 86_400;

    private const double SampleSeconds = 60;

    /// <summary>Steps of a cold pot with something in it.</summary>
    private const float QuietStep = 300;

    private readonly PotGroup _g;
    private readonly int _lane;
    private readonly Cook _cook;
    private readonly Pot _pot;
    private readonly RunOptions _options;
    private readonly float _step;
    private readonly ActionDone?[] _done;
    private readonly Track[] _tracks;
    private readonly (int Action, double Due)[] _bowls;
    private readonly List<Happening> _happenings = [];
    private readonly List<PotSample>? _samples;
    private int _bowl;
    private double _nextSample;
    private double _lastSample = double.NegativeInfinity;
    private double _worst;
    private double _peak;
    private double _peakAt;
    private double _leakedTo;
    private int? _stalled;

    public LaneRun(PotGroup group, int lane, Cook cook, PotTraits traits, RunOptions options)
    {
        (_g, _lane, _cook, _options) = (group, lane, cook, options);
        _step = (float)options.Step.TotalSeconds;
        _pot = new Pot(group, lane, cook, traits, _step);
        _done = new ActionDone?[cook.Actions.Count];
        _samples = options.Sample ? new(400) : null;
        _bowls = BowlLane.Due(cook) is { Count: > 0 } bowls
            ? [.. bowls.Select(b => (b.Action, (b.At - cook.Starts).TotalSeconds)).OrderBy(b => b.Item2).ThenBy(b => b.Action)]
            : [];
        _tracks = new Track[cook.Kitchen.VesselCount];
        for (var v = 0; v < _tracks.Length; v++)
        {
            _tracks[v].Next = NextOf(v, -1);
        }

        Attend();
    }

    public bool IsOver { get; private set; }

    public PotRun Result => new(
        _done,
        _happenings,
        _stalled,
        _samples ?? [],
        [.. Enumerable.Range(0, _cook.Ingredients.Count).Select(_pot.Seed)],
        [.. Enumerable.Range(0, _cook.Kitchen.VesselCount).Select(_pot.State)],
        _peak,
        _peakAt,
        _pot.DrySeconds,
        _pot.WaterAdded,
        _pot.JugGrams,
        _worst);

    /// <summary>Called when the lane's due time has come or a vessel has met its ceiling.</summary>
    public void Attend()
    {
        Leak();
        NoteReached();
        for (var changed = true; changed && !IsOver;)
        {
            changed = DoBowls();
            for (var v = 0; v < _tracks.Length && !IsOver; v++)
            {
                changed |= Progress(v);
            }
        }

        for (var v = 0; v < _tracks.Length; v++)
        {
            _tracks[v].BoilingSince = _pot.IsBoiling(v) ? _tracks[v].BoilingSince : null;
        }

        _worst = Math.Max(_worst, _pot.LedgerError);
        if (IsOver)
        {
            TakeSample();
            Rest();
            return;
        }

        if (_pot.Now >= _nextSample - 1e-3)
        {
            TakeSample();
            NotePeaks();
            _nextSample = (Math.Floor((_pot.Now + 1e-3) / SampleSeconds) + 1) * SampleSeconds;
        }

        Schedule();
    }

    /// <summary>Simulates a pot that loses water which no account is told of.</summary>
    private void Leak()
    {
        if (_options.LeakGramsPerSecond > 0 && _pot.Liquor(0) > 0)
        {
            _g.VesselWide(0, Layout.Liquor, _lane) -= _options.LeakGramsPerSecond * (_pot.Now - _leakedTo);
        }

        _leakedTo = _pot.Now;
    }

    private void NoteReached()
    {
        if (_g.At(Layout.Reached, _lane) < 0.5f)
        {
            return;
        }

        _g.At(Layout.Reached, _lane) = 0;
        for (var v = 0; v < _tracks.Length; v++)
        {
            ref var track = ref _tracks[v];
            if (!_pot.IsBoiling(v) || track.BoilingSince is not null)
            {
                continue;
            }

            if (_pot.Stage(v) != PressureStage.Closed)
            {
                track.BoilingSince = _pot.Now;
                Note(v, PotEvent.Boils);
                continue;
            }

            if (track.PressureSince is null)
            {
                track.PressureSince = _pot.Now;
                Note(v, PotEvent.PressureUp);
            }

            if (_cook.Kitchen[v].Vessel.Cooker!.Kind == CookerKind.Weight)
            {
                track.Whistles++;
                track.WhistledAt = _pot.Now;
                Note(v, PotEvent.Whistle);
                _pot.Whistle(v);
            }
        }
    }

    private void Note(int vessel, PotEvent what) => _happenings.Add(new(what, _pot.Now, vessel));

    private bool DoBowls()
    {
        var any = false;
        while (_bowl < _bowls.Length && _bowls[_bowl].Due <= _pot.Now + 1e-3)
        {
            Do(_bowls[_bowl++].Action);
            any = true;
        }

        return any;
    }

    /// <summary>Does the vessel's next action if its time has come.</summary>
    private bool Progress(int v)
    {
        ref var track = ref _tracks[v];
        track.Due = double.PositiveInfinity;
        if (track.Next < 0)
        {
            return false;
        }

        if (_pot.Stage(v) == PressureStage.Venting && _pot.UntilVented(v) <= 1e-3)
        {
            _pot.Seat(v);
            track.BoilingSince = null;
        }

        if (track.ByItself && _pot.UntilPinDown(v) <= 1e-3)
        {
            track.ByItself = false;
            track.PinDownAt = _pot.Now;
            _pot.Open(v);
            Note(v, PotEvent.PinDown);
        }

        var action = _cook.Actions[track.Next];
        if (!Ready(v, ref track, action))
        {
            return false;
        }

        var at = track.Next;
        track.Since = _pot.Now;
        track.LookAt = double.NaN;
        track.Next = NextOf(v, at);
        Do(at);
        return true;
    }

    private bool Ready(int v, ref Track track, CookAction action)
    {
        var when = action.When;
        var from = track.Since;
        if (when.AfterMark is { } mark)
        {
            if (DoneAt(mark) is not { } doneAt)
            {
                return Wait(ref track, track.Since + LongestSeconds, track.Next);
            }

            from = Math.Max(from, doneAt);
        }

        if (when.After is { } what)
        {
            if (Since(v, ref track, what, when.Count) is not { } happened)
            {
                // No flame, no boil: waiting for it would be for ever.
                var hopeless = what is PotEvent.Boils or PotEvent.PressureUp or PotEvent.Whistle && _pot.FlameOf(v) == Flame.Off;
                return Wait(ref track, hopeless ? _pot.Now : track.Since + PatienceSeconds, track.Next);
            }

            from = Math.Max(from, happened);
        }

        var due = from + (when.Delay?.TotalSeconds ?? 0);
        if (when.NotBefore is { } instant)
        {
            due = Math.Max(due, (instant - _cook.Starts).TotalSeconds);
        }

        if (action is CookAction.Add add)
        {
            due = Math.Max(due, BowlDone(add.IngredientId));
        }

        if (_pot.Now < due - 1e-3)
        {
            track.Due = due;
            return false;
        }

        return when.Look is not { } look || LookIn(ref track, look);
    }

    private bool LookIn(ref Track track, Look look)
    {
        if (double.IsNaN(track.LookAt))
        {
            track.LookAt = _pot.Now;
            track.LookEnds = _pot.Now + LookSeconds;
        }

        if (_pot.Now < track.LookAt - 1e-3)
        {
            track.Due = track.LookAt;
            return false;
        }

        if (_pot.Doneness(_cook.IndexOf(look.IngredientId)) >= look.Doneness)
        {
            return true;
        }

        track.LookAt += look.Again.TotalSeconds;
        return Wait(ref track, track.LookEnds, track.Next, track.LookAt);
    }

    /// <summary>Goes on waiting; the run stalls once patience is over. Always answers false.</summary>
    private bool Wait(ref Track track, double until, int action, double next = double.PositiveInfinity)
    {
        if (_pot.Now >= until)
        {
            _stalled = action;
            IsOver = true;
            return false;
        }

        track.Due = Math.Min(until, next);
        return false;
    }

    private double? Since(int v, ref Track track, PotEvent what, int count)
    {
        switch (what)
        {
            case PotEvent.Boils:
                return _pot.IsBoiling(v) ? track.BoilingSince : null;
            case PotEvent.PressureUp:
                return track.PressureSince;
            case PotEvent.Whistle:
                return track.Whistles >= count ? track.WhistledAt : null;
            case PotEvent.PinDown:
                return track.PinDownAt;
            default:
                track.DrySince = _pot.SurfaceIsDry(v) ? track.DrySince ?? _pot.Now : null;
                return track.DrySince;
        }
    }

    private double? DoneAt(string mark)
    {
        for (var i = 0; i < _done.Length; i++)
        {
            if (_cook.Actions[i].Mark == mark && _done[i] is { } done)
            {
                return done.Seconds;
            }
        }

        return null;
    }

    /// <summary>An ingredient cannot leave its bowl before its own soak and drain are done.</summary>
    private double BowlDone(string id)
    {
        var last = 0.0;
        foreach (var (action, due) in _bowls)
        {
            if (BowlLane.IngredientOf(_cook.Actions[action]) == id)
            {
                last = Math.Max(last, due);
            }
        }

        return last;
    }

    private void Schedule()
    {
        var due = _bowl < _bowls.Length ? _bowls[_bowl].Due : double.PositiveInfinity;
        var watched = _options.Audit;
        for (var v = 0; v < _tracks.Length; v++)
        {
            ref readonly var track = ref _tracks[v];
            due = Math.Min(due, track.Due);
            if (track.Next < 0)
            {
                continue;
            }

            watched |= _cook.Actions[track.Next].When.After == PotEvent.SurfaceDry && double.IsInfinity(track.Due - track.Since);
            watched |= _cook.Actions[track.Next].When.After == PotEvent.SurfaceDry && track.DrySince is null;
            if (_pot.Stage(v) == PressureStage.Venting)
            {
                due = Math.Min(due, _pot.Now + Math.Clamp(_pot.UntilVented(v), 0.05, _step));
            }
            else if (track.ByItself)
            {
                due = Math.Min(due, _pot.Now + Math.Clamp(_pot.UntilPinDown(v), 0.05, _step));
            }
        }

        if (_samples is not null)
        {
            // A kitchen asleep looks the same every minute.
            due = _pot.IsAsleep ? due : Math.Min(due, _nextSample);
        }

        if (watched)
        {
            due = Math.Min(due, _pot.Now + _step);
        }

        Pace(due);
        _g.Wide(Layout.Due, _lane) = due;
    }

    /// <summary>Cold pots are moved on in long steps; one with nothing in it in a single one.</summary>
    private void Pace(double due)
    {
        var left = due - _pot.Now;
        if (_pot.IsAsleep)
        {
            _g.At(Layout.Grid, _lane) = _g.At(Layout.ToGrid, _lane) = (float)Math.Min(left, 400_000);
            return;
        }

        var grid = _pot.IsQuiet ? Math.Max(_step, QuietStep) : _step;
        _g.At(Layout.Grid, _lane) = grid;
        _g.At(Layout.ToGrid, _lane) = (float)(((Math.Floor((_pot.Now + 1e-3) / grid) + 1) * grid) - _pot.Now);
    }

    /// <summary>The lane moves no further.</summary>
    public void Rest()
    {
        _g.Wide(Layout.Due, _lane) = double.PositiveInfinity;
        _g.At(Layout.Grid, _lane) = 0;
        _g.At(Layout.ToGrid, _lane) = 0;
    }

    private void Do(int at)
    {
        var action = _cook.Actions[at];
        var v = _cook.VesselOf(action);
        var before = _pot.Liquor(v);
        var overBefore = OverBed(v);
        Act(v, action);
        if (_options.Peaks)
        {
            NotePeaks();
        }

        var doneness = new double[_cook.Ingredients.Count];
        for (var i = 0; i < doneness.Length; i++)
        {
            doneness[i] = _pot.Doneness(i);
        }

        _done[at] = new(_pot.Now, before, _pot.Liquor(v), doneness, _pot.Celsius(v), overBefore, OverBed(v));
        if (action is CookAction.Serve)
        {
            IsOver = true;
        }
    }

    private void Act(int v, CookAction action)
    {
        switch (action)
        {
            case CookAction.Soak a:
                _pot.Fill(_cook.IndexOf(a.IngredientId), a.Water.Grams, a.Temperature.Celsius, a.SaltShare, a.SodaGramsPerLitre);
                break;
            case CookAction.Drain { IngredientId: { } id }:
                _pot.EmptyBowl(_cook.IndexOf(id));
                break;
            case CookAction.Drain a:
                _pot.DrainVessel(v, a.Keep);
                break;
            case CookAction.Chill a:
                _pot.ChillBowl(_cook.IndexOf(a.IngredientId), a.Temperature.Celsius);
                break;
            case CookAction.Rinse a:
                _pot.Rinse(_cook.IndexOf(a.IngredientId));
                break;
            case CookAction.Add a:
                _pot.IntoVessel(v, _cook.IndexOf(a.IngredientId));
                break;
            case CookAction.TakeOut a:
                _pot.TakeOut(_cook.IndexOf(a.IngredientId));
                break;
            case CookAction.AddWater a:
                _pot.PourWater(v, a.Water.Grams, a.Temperature.Celsius, a.IceShare);
                break;
            case CookAction.AddSalt a:
                _pot.AddSalt(v, a.Salt.Grams);
                break;
            case CookAction.Measure a when a.Liquor.Grams > _pot.Liquor(v):
                _pot.PourWater(v, a.Liquor.Grams - _pot.Liquor(v), _pot.BoilingCelsius);
                break;
            case CookAction.Measure a:
                _pot.PourOff(v, _pot.Liquor(v) - a.Liquor.Grams, keep: true);
                break;
            case CookAction.PourBack a:
                _pot.PourBack(v, a.Liquor.Grams);
                break;
            case CookAction.Heat a:
                _pot.SetFlame(v, a.Flame, a.Net?.Watts);
                break;
            case CookAction.Cover a:
                _pot.SetLid(v, a.Lid);
                break;
            case CookAction.Pressurise a:
                _tracks[v].Lock();
                _pot.Lock(v, a.High);
                break;
            case CookAction.Release { Kind: ReleaseKind.Natural }:
                _tracks[v].ByItself = true;
                break;
            case CookAction.Release:
                _tracks[v].ByItself = false;
                _pot.Open(v);
                break;
            case CookAction.Transfer a:
                _pot.Move(v, _cook.Kitchen.IndexOf(a.To), a.What, a.IngredientId is { } moved ? _cook.IndexOf(moved) : -1, a.Most?.Grams ?? double.PositiveInfinity);
                break;
            case CookAction.Mash a:
                _pot.Mash(_cook.IndexOf(a.IngredientId), a.Share);
                break;
            case CookAction.Thicken a:
                _pot.Thicken(v, a.Starch.Grams, a.Water.Grams);
                break;
        }
    }

    private int NextOf(int vessel, int after)
    {
        for (var i = after + 1; i < _cook.Actions.Count; i++)
        {
            if (!BowlLane.Holds(_cook.Actions[i]) && _cook.VesselOf(_cook.Actions[i]) == vessel)
            {
                return i;
            }
        }

        return -1;
    }

    private double Area(int vessel) => _cook.Kitchen[vessel].Vessel.AreaSquareCentimetres;

    private double OverBed(int vessel)
    {
        var (heap, solid) = _pot.Bed(vessel);
        var liquor = PotGeometry.LiquorMillilitres(_pot.Liquor(vessel), _pot.Celsius(vessel));
        return PotGeometry.Level(heap, solid, liquor, Area(vessel)) - (heap / Area(vessel));
    }

    private void NotePeaks()
    {
        var (heap, solid) = _pot.Bed(0);
        var liquor = PotGeometry.LiquorMillilitres(_pot.Liquor(0), _pot.Celsius(0));
        var filled = Math.Max(PotGeometry.Level(heap, solid, liquor, Area(0)) * Area(0), heap);
        if (filled > _peak)
        {
            _peak = filled;
            _peakAt = _pot.Now;
        }
    }

    private void TakeSample()
    {
        if (_samples is null || _pot.Now <= _lastSample)
        {
            return;
        }

        _lastSample = _pot.Now;
        var shown = Math.Max(0, Enumerable.Range(0, _cook.Ingredients.Count).Select(_pot.PlaceOf).FirstOrDefault(v => v >= 0, 0));
        var beds = new double[_cook.Ingredients.Count];
        var doneness = new double[_cook.Ingredients.Count];
        for (var i = 0; i < beds.Length; i++)
        {
            beds[i] = _pot.PlaceOf(i) == shown ? _pot.Heap(i).Heap / Area(shown) : 0;
            doneness[i] = _pot.Doneness(i);
        }

        _samples.Add(new(_pot.Now, Level(shown), doneness, beds) { All = _tracks.Length == 1 ? [] : [.. Enumerable.Range(0, _tracks.Length).Select(Level)] });
    }

    private VesselLevel Level(int vessel)
    {
        var (heap, solid) = _pot.Bed(vessel);
        var liquor = PotGeometry.LiquorMillilitres(_pot.Liquor(vessel), _pot.Celsius(vessel));
        return new(_pot.Celsius(vessel), liquor, heap > 0 || liquor > 0 ? PotGeometry.Level(heap, solid, liquor, Area(vessel)) : 0);
    }

    /// <summary>Where one vessel's actions stand.</summary>
    private struct Track
    {
        /// <summary>Index of the action that is waited for; -1 when all are done.</summary>
        public int Next;
        public double Since;
        public double Due;
        public double LookAt = double.NaN;
        public double LookEnds;
        public double? BoilingSince;
        public double? PressureSince;
        public double? PinDownAt;
        public double? DrySince;
        public double WhistledAt;
        public int Whistles;

        /// <summary>It is left to lose its pressure.</summary>
        public bool ByItself;

        public Track()
        {
        }

        public void Lock()
        {
            (PressureSince, PinDownAt, BoilingSince, Whistles, ByItself) = (null, null, null, 0, false);
        }
    }
}
