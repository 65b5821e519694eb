namespace BrightKettle.Core.Cooking.Engine;

/// <summary>The answer to a pot that is done and too wet: its lid is off for some minutes.</summary>
internal sealed partial class LaneRun
{
    /// <summary>How often somebody looks whether it is dry enough, s.</summary>
    private const double LidOffEvery = 30;

    /// <summary>Takes the lid off where too much stands.</summary>
    private bool IsNotTooWet(int v, ref Track track, LidOff off)
    {
        if (_pot.Liquor(v) <= off.Over.Grams || _pot.FlameOf(v) == Flame.Off || _pot.Stage(v) != PressureStage.None)
        {
            return true;
        }

        (track.LidOffSince, track.LidBefore) = (_pot.Now, _pot.LidOf(v));
        _pot.SetLid(v, Lid.Open);
        track.Due = _pot.Now + LidOffEvery;
        return false;
    }

    /// <summary>Puts it back once it is down, or nobody waits any longer.</summary>
    private bool HasSteamedOff(int v, ref Track track, LidOff off)
    {
        var ends = track.LidOffSince + off.Longest.TotalSeconds;
        if (_pot.Liquor(v) > off.Over.Grams && _pot.Now < ends - 1e-3)
        {
            track.Due = Math.Min(_pot.Now + LidOffEvery, ends);
            return false;
        }

        _pot.SetLid(v, track.LidBefore);
        return true;
    }
}
