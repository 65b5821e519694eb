using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Kitchen;

namespace BrightKettle.Core.Cooking.Engine;

/// <summary>Follows one cook on one pot: does each action when what it waits for has come, notes what happened, says when it next wants
/// attending to.</summary>
internal sealed partial class LaneRun
{
    /// <summary>How long a run waits for an event.</summary>
    private const double PatienceSeconds = 9 * 3600;

    /// <summary>How long looks are repeated: longer than the slowest bean in a slow cooker.</summary>
    private const double LookSeconds = 20 * 3600;

    /// <summary>How long one vessel waits for another.</summary>
    private const double LongestSeconds = 4 * 86_400;

    private const double SampleSeconds = 60;

    /// <summary>A cook of more samples than this, a day of minutes, keeps every second one, and then every fourth.</summary>
    private const int MostSamples = 1440;

    /// <summary>No pot goes on for longer: what is not done by then stalls.</summary>
    private const double EndlessSeconds = WorkBudget.LongestCookHours * 3600;

    /// <summary>Steps of a cold pot with something in it.</summary>
    private const float QuietStep = 300;

    private readonly PotGroup _g;
    private readonly int _lane;
    private readonly Script _script;
    private readonly Cook _cook;
    private readonly Pot _pot;
    private readonly RunOptions _options;
    private readonly float _step;
    private readonly ActionDone?[] _done;
    private readonly double[] _doneAt;

    /// <summary>What the action that is done now was preceded by, s and g.</summary>
    private (double Took, double Grams) _boilsDown;
    private readonly Track[] _tracks;
    private readonly List<EventMoment> _happenings = [];
    private readonly List<PotSample>? _samples;
    private int _bowl;
    private double _sampleEvery = SampleSeconds;
    private double _nextSample;
    private double _lastSample = double.NegativeInfinity;
    private double _worst;
    private double _peak;
    private double _peakAt;
    private double _leakedTo;
    private int? _stalled;
    private readonly Hand? _hand;

    public LaneRun(PotGroup group, int lane, Script script, PotTraits traits, RunOptions options)
    {
        (_g, _lane, _script, _cook, _options) = (group, lane, script, script.Cook, options);
        _hand = traits.Hand;
        _step = (float)options.Step.TotalSeconds;
        _pot = new Pot(group, lane, script, traits, _step);
        _done = options.Moments ? new ActionDone?[script.Actions.Length] : [];
        _doneAt = new double[script.Actions.Length];
        _doneAt.AsSpan().Fill(double.NaN);
        _samples = options.Sample ? new(400) : null;
        _tracks = new Track[script.Vessels.Length];
        for (var v = 0; v < _tracks.Length; v++)
        {
            _tracks[v] = new() { Next = script.NextOf(v, -1) };
        }

        Attend();
    }

    public bool IsOver { get; private set; }

    public PotRun Result =>
        new(
            _done,
            _happenings,
            _stalled,
            _samples ?? [],
            [.. Enumerable.Range(0, _script.Ingredients.Length).Select(_pot.Seed)],
            [.. Enumerable.Range(0, _script.Vessels.Length).Select(_pot.State)],
            _peak,
            _peakAt,
            _pot.DrySeconds,
            _pot.WaterAdded,
            _pot.JugGrams,
            _worst
        )
        {
            IsEndless = _stalled is not null && _pot.Now >= EndlessSeconds,
        };

    /// <summary>Called when the lane's due time has come or a vessel has met its ceiling.</summary>
    public void Attend()
    {
        Leak();
        NoteReached();
        for (var changed = true; changed && !IsOver; )
        {
            changed = DoBowls();
            for (var v = 0; v < _tracks.Length && !IsOver; v++)
            {
                changed |= Progress(v);
            }
        }

        if (!IsOver && _pot.Now >= EndlessSeconds)
        {
            // It stalls at what it waits for; the last vessel that has something to do is named.
            _stalled = _tracks.Max(t => t.Next);
            IsOver = true;
        }

        for (var v = 0; v < _tracks.Length; v++)
        {
            KeepLevel(v);
            _tracks[v].BoilingSince = _pot.IsBoiling(v) ? _tracks[v].BoilingSince : null;
        }

        if (_options.Audit || IsOver)
        {
            // A flow that one of the books forgot is still missing at the end.
            _worst = Math.Max(_worst, _pot.LedgerError);
        }

        if (IsOver)
        {
            TakeSample();
            Rest();
            return;
        }

        if (_pot.Now >= _nextSample - 1e-3)
        {
            TakeSample();
            if (_options.Heights)
            {
                NotePeaks();
            }

            _nextSample = (Math.Floor((_pot.Now + 1e-3) / _sampleEvery) + 1) * _sampleEvery;
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
                track.BoiledAt ??= _pot.Now;
                Note(v, PotEvent.Boils);
                continue;
            }

            if (track.PressureSince is null)
            {
                track.PressureSince = _pot.Now;
                Note(v, PotEvent.PressureUp);
            }

            if (_script.Vessels[v].Vessel.Cooker!.Kind == CookerKind.Weight)
            {
                track.Whistles++;
                Note(v, PotEvent.Whistle);
                _pot.Whistle(v);
            }
        }
    }

    private void Note(int vessel, PotEvent what) => _happenings.Add(new(what, _pot.Now, vessel));

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

        var action = _script.Actions[track.Next];
        if (!Ready(v, ref track, action))
        {
            return false;
        }

        var at = track.Next;
        track.Since = _pot.Now;
        (track.BoiledAt, track.DrySince) = (null, null);
        _boilsDown = double.IsNaN(track.BoilsDownSince)
            ? default
            : (_pot.Now - track.BoilsDownSince, track.BoilsDownFound - _pot.Liquor(v));
        track.LookAt = track.BoilsDownSince = track.LidOffSince = double.NaN;
        track.Looked = track.LockedAgain = 0;
        track.Next = _script.NextOf(v, at);
        Do(at);
        _boilsDown = default;
        return true;
    }

    private void Schedule()
    {
        var due = _bowl < _script.Bowls.Length ? _script.Bowls[_bowl].Due : double.PositiveInfinity;
        var watched = _options.Audit;
        for (var v = 0; v < _tracks.Length; v++)
        {
            ref readonly var track = ref _tracks[v];
            due = Math.Min(due, track.Due);
            due = double.IsNaN(track.Kept) ? due : Math.Min(due, track.KeptDue);
            if (track.Next < 0)
            {
                continue;
            }

            watched |=
                _script.Actions[track.Next].Trigger.After is PotEvent.SurfaceDry or PotEvent.SwitchesOver
                && (double.IsInfinity(track.Due - track.Since) || track.DrySince is null);
            if (_pot.Stage(v) == PressureStage.Venting)
            {
                // Before the boil there is no steam, and its coming is told.
                if (!_pot.IsBoiling(v))
                {
                    continue;
                }

                due = Math.Min(due, _pot.Now + Soon(_pot.UntilVented(v)));
            }
            else if (track.ByItself)
            {
                due = Math.Min(due, _pot.Now + Soon(_pot.UntilPinDown(v)));
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

        due = Math.Min(due, EndlessSeconds);
        Pace(due);
        _g.Wide(Layout.Due, _lane) = due;
    }

    /// <summary>When to ask again for what comes in so many seconds by the present rate, which changes: halfway, and just then once it is
    /// near.</summary>
    private double Soon(double seconds) =>
        double.IsInfinity(seconds) ? _step
        : seconds > 2 * _step ? seconds / 2
        : Math.Clamp(seconds, 0.05, _step);

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

    /// <summary>Where one vessel's actions stand.</summary>
    private struct Track
    {
        /// <summary>Index of the action that is waited for; -1 when all are done.</summary>
        public int Next;
        public double Since;
        public double Due;
        public double LookAt = double.NaN;
        public double LookEnds;

        /// <summary>How often it was looked at for this action.</summary>
        public int Looked;

        /// <summary>Since when it boils without its lid to lose liquor; not a number while it does not.</summary>
        public double BoilsDownSince = double.NaN;

        /// <summary>Liquor when that began, g.</summary>
        public double BoilsDownFound;

        /// <summary>What it had when it was looked at last, g, and when that was.</summary>
        public (double Grams, double At) BoilsDownFrom;

        /// <summary>When that is looked at next.</summary>
        public double BoilsDownNext;

        /// <summary>How often boiling water was sprinkled over it.</summary>
        public int Sprinkled;

        /// <summary>Since when the lid is off because too much liquid stands, and what it was; not a number while it is not.</summary>
        public double LidOffSince = double.NaN;
        public Lid LidBefore;

        /// <summary>Where the lid that was locked again stands, and how often it was.</summary>
        public Again Again;
        public int LockedAgain;
        public double? BoilingSince;

        /// <summary>The first boil since the action before: one that nobody was there for has come all the same, even if the pot is dry by
        /// now, and a pot that boils again and again is counted from its first.</summary>
        public double? BoiledAt;
        public double? PressureSince;
        public double? PinDownAt;
        public double? DrySince;
        public int Whistles;

        /// <summary>How high over the bed the liquor is kept, cm; not a number for nobody keeping it.</summary>
        public double Kept = double.NaN;

        /// <summary>When that is looked at next.</summary>
        public double KeptDue;

        /// <summary>How many happenings were noted when the lid was locked: the whistles of this locking come after them.</summary>
        public int LockedAfter;

        /// <summary>It is left to lose its pressure.</summary>
        public bool ByItself;

        public Track() { }

        public void Lock(int noted)
        {
            (PressureSince, PinDownAt, BoilingSince, Whistles, ByItself, LockedAfter) = (null, null, null, 0, false, noted);
        }
    }
}
