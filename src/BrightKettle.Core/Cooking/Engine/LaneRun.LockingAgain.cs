using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Kitchen;

namespace BrightKettle.Core.Cooking.Engine;

/// <summary>The answer to pulses that are far from done when the cooker is opened: the lid is locked once more.</summary>
internal sealed partial class LaneRun
{
    /// <summary>Nobody does it a third time; what is hard by then simmers on.</summary>
    private const int MostLockedAgain = 2;

    /// <summary>Where a lid that was locked again stands.</summary>
    private enum Again
    {
        Open,
        ComesUp,
        Holds,
        ComesDown,
    }

    /// <summary>Not past the cooker's line, and not for ever.</summary>
    private bool MayLockAgain(int v, ref Track track) =>
        track.LockedAgain < MostLockedAgain
        && _script.Vessels[v].Vessel is { Cooker.UnderPressure: true } cooker
        && _pot.Stage(v) == PressureStage.None
        && Filled(v) <= cooker.Brim.Millilitres * (Foams(v) ? Cooker.FillShareFoaming : Cooker.FillShare);

    private bool Foams(int v)
    {
        for (var i = 0; i < _script.Ingredients.Length; i++)
        {
            if (_script.Ingredients[i] is PulseIngredient { Pulse.Foam: Foam.High } && _pot.PlaceOf(i) == v)
            {
                return true;
            }
        }

        return false;
    }

    /// <summary>At least the cooker's least liquid, lid locked, full flame. Always answers false.</summary>
    private bool LocksAgain(int v, ref Track track)
    {
        var least = _script.Vessels[v].Vessel.Cooker!.LeastLiquid.Millilitres;
        if (_pot.Liquor(v) < least)
        {
            _pot.PourWater(v, least - _pot.Liquor(v), _pot.BoilingCelsius);
        }

        track.LockedAgain++;
        track.Again = Again.ComesUp;
        track.Lock(_happenings.Count);
        _pot.Lock(v, high: true);
        _pot.SetFlame(v, Flame.Full, null);
        return Wait(ref track, _pot.Now + PatienceSeconds, track.Next);
    }

    /// <summary>Whether the lid is off, as it is where nobody locked it again; otherwise brings it a step further.</summary>
    private bool IsOpenAgain(int v, ref Track track, Look look)
    {
        if (track.Again == Again.ComesUp && track.PressureSince is not null)
        {
            _pot.SetFlame(v, Flame.Gentle, null);
            track.Again = Again.Holds;
        }

        var held = track.PressureSince + look.NotYet?.LockAgain?.Held.TotalSeconds ?? 0;
        if (track.Again == Again.Holds && _pot.Now >= held - 1e-3)
        {
            _pot.SetFlame(v, Flame.Off, null);
            (track.ByItself, track.PinDownAt, track.Again) = (true, null, Again.ComesDown);
        }

        if (track.Again == Again.ComesDown && track.PinDownAt is not null)
        {
            _pot.SetFlame(v, look.NotYet!.Flame, null);
            (track.Again, track.LookAt) = (Again.Open, _pot.Now);
        }

        return track.Again == Again.Open
            || Wait(ref track, track.LookEnds, track.Next, track.Again == Again.Holds ? held : double.PositiveInfinity);
    }
}
