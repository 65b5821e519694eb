using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Units;

namespace BrightKettle.Core.Cooking.Engine;

/// <summary>Whether what an action waits for has come.</summary>
internal sealed partial class LaneRun
{
    private bool Ready(int v, ref Track track, CookAction action)
    {
        var when = action.Trigger;
        var from = track.Since;
        if (_script.WaitsFor[track.Next] is { } marked)
        {
            if (DoneAt(marked) is not { } doneAt)
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

        return (when.Look is not { } look || LookIn(v, ref track, look))
            && (
                action is not CookAction.SetLiquor { BoilDown: { } longest } set
                || IsDown(v, ref track, set.Liquor.Grams, longest.TotalSeconds)
            );
    }

    /// <summary>So little too much is a ladle that nobody boils down, g, and of what is wanted.</summary>
    private const double NotWorthBoiling = 20;
    private const double NotWorthShare = 0.06;

    private static double Ladle(double grams) => Math.Max(NotWorthBoiling, NotWorthShare * grams);

    /// <summary>How often somebody looks whether it is down, s.</summary>
    private const double BoilsDownEvery = 20;

    /// <summary>Whether the liquor is down to what is wanted; until then the pot boils without its lid.</summary>
    private bool IsDown(int v, ref Track track, double grams, double longest)
    {
        // By its own clock, so that nothing else that is looked at changes when it is found.
        if (!double.IsNaN(track.BoilsDownSince) && _pot.Now < track.BoilsDownNext - 1e-3)
        {
            track.Due = track.BoilsDownNext;
            return false;
        }

        var excess = _pot.Liquor(v) - grams - Ladle(grams);
        if (excess <= 0 || _pot.Stage(v) == PressureStage.Closed)
        {
            return true;
        }

        var next = BoilsDownEvery;
        if (double.IsNaN(track.BoilsDownSince))
        {
            (track.BoilsDownSince, track.BoilsDownFound) = (_pot.Now, _pot.Liquor(v));
            _pot.SetLid(v, Lid.Open);
            _pot.SetFlame(v, Flame.Full, null);
        }
        else if (_pot.Now > track.BoilsDownFrom.At && track.BoilsDownFrom.Grams > _pot.Liquor(v))
        {
            // At this rate it is down in so many seconds.
            var rate = (track.BoilsDownFrom.Grams - _pot.Liquor(v)) / (_pot.Now - track.BoilsDownFrom.At);
            next = Math.Clamp(excess / rate, 0.5, BoilsDownEvery);
        }

        track.BoilsDownFrom = (_pot.Liquor(v), _pot.Now);
        track.Due = track.BoilsDownNext = Math.Min(_pot.Now + next, track.BoilsDownSince + longest);
        return _pot.Now >= track.BoilsDownSince + longest - 1e-3;
    }

    private bool LookIn(int v, ref Track track, Look look)
    {
        if (double.IsNaN(track.LookAt))
        {
            track.LookAt = _pot.Now;
            track.LookEnds = _pot.Now + LookSeconds;
        }

        if (!IsOpenAgain(v, ref track, look))
        {
            return false;
        }

        if (!double.IsNaN(track.LidOffSince))
        {
            return HasSteamedOff(v, ref track, look.LidOff!);
        }

        if (_pot.Now < track.LookAt - 1e-3)
        {
            track.Due = track.LookAt;
            return false;
        }

        var looked = _script.LookedAt[track.Next];
        var felt = Felt(looked, ref track);
        var first = felt >= look.Doneness;
        var enough = first;
        foreach (var (also, doneness) in _script.AlsoAt[track.Next])
        {
            enough &= Felt(also, ref track) >= doneness;
        }

        track.Looked++;

        var waited = _pot.Now - (track.LookEnds - LookSeconds);
        if (enough || (look.NotYet?.Longest is { } longest && waited >= PatienceFor(first) * longest.TotalSeconds - 1e-3))
        {
            return look.LidOff is not { } off || IsNotTooWet(v, ref track, off);
        }

        if (look.NotYet?.LockAgain is { } again && felt < again.Below && MayLockAgain(v, ref track))
        {
            return LocksAgain(v, ref track);
        }

        if (look.NotYet is { } answer)
        {
            NotYet(v, ref track, answer);
        }

        track.LookAt += look.Again.TotalSeconds;
        return Wait(ref track, track.LookEnds, track.Next, track.LookAt);
    }

    /// <summary>So many times as long as what is far enough waits, a hand goes on looking for what is not: then it is done all the same, and
    /// hard. The reference pot, which nobody stands beside, tells that it never gets there.</summary>
    private const double GivesUpAfter = 2;

    private double PatienceFor(bool first) =>
        first ? 1
        : _hand is null ? double.PositiveInfinity
        : GivesUpAfter;

    /// <summary>How far along a hand takes it to be.</summary>
    private double Felt(int ingredient, ref Track track) =>
        _pot.Doneness(ingredient) + (_hand?.Error(track.Next, ingredient, track.Looked) ?? 0);

    /// <summary>Dry and hard after that, it wants more than a sprinkling.</summary>
    private const int MostSprinkled = 2;

    /// <summary>What a cook does who finds it not far enough.</summary>
    private void NotYet(int v, ref Track track, NotYet answer)
    {
        _pot.SetFlame(v, answer.Flame, null);
        if (answer.Sprinkle > Mass.Zero && track.Sprinkled < MostSprinkled && _pot.SurfaceIsDry(v) && _pot.HasHardRice(v))
        {
            track.Sprinkled++;
            _pot.PourWater(v, answer.Sprinkle.Grams, _pot.BoilingCelsius);
        }
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
                return track.BoiledAt ?? (_pot.IsBoiling(v) ? track.BoilingSince : null);
            case PotEvent.PressureUp:
                return track.PressureSince;
            case PotEvent.Whistle:
                return track.Whistles >= count ? WhistledAt(v, track.LockedAfter, count) : null;
            case PotEvent.PinDown:
                return track.PinDownAt;
            case PotEvent.SwitchesOver:
                track.DrySince ??= _pot.BaseIsDry(v) ? _pot.Now : null;
                return track.DrySince;
            default:
                track.DrySince ??= _pot.SurfaceIsDry(v) ? _pot.Now : null;
                return track.DrySince;
        }
    }

    /// <summary>When the how-manieth whistle of this locking came: a weight goes on letting steam go, and what waits for the second does
    /// not wait for the last.</summary>
    private double WhistledAt(int vessel, int lockedAfter, int count)
    {
        for (var i = lockedAfter; i < _happenings.Count; i++)
        {
            if (_happenings[i] is { What: PotEvent.Whistle } whistle && whistle.Vessel == vessel && --count == 0)
            {
                return whistle.Seconds;
            }
        }

        throw new InvalidOperationException("Fewer whistles were noted than counted.");
    }

    /// <summary>Of actions that carry one mark, when the first that is done was.</summary>
    private double? DoneAt(int[] marked)
    {
        foreach (var i in marked)
        {
            if (!double.IsNaN(_doneAt[i]))
            {
                return _doneAt[i];
            }
        }

        return null;
    }

    /// <summary>An ingredient cannot leave its bowl before its own soak and drain are done.</summary>
    private double BowlDone(string id)
    {
        var last = 0.0;
        foreach (var (action, due) in _script.Bowls)
        {
            if (BowlLane.IngredientOf(_script.Actions[action]) == id)
            {
                last = Math.Max(last, due);
            }
        }

        return last;
    }
}
