using System.Globalization;

namespace BrightKettle.Reliability.Kills;

/// <summary>What was counted over all kills.</summary>
internal sealed class Tally
{
    private readonly Dictionary<Guid, int> _known = [];

    public int Kills { get; set; }

    public int Entries { get; set; }

    /// <summary>Confirmed and gone: must be 0.</summary>
    public int Missing { get; set; }

    /// <summary>Stored twice: must be 0.</summary>
    public int Twice { get; set; }

    /// <summary>Stored and never sent: must be 0.</summary>
    public int Strangers { get; set; }

    /// <summary>Stored, but the answer did not get out before the kill: allowed, the page sends them again.</summary>
    public int Unconfirmed { get; set; }

    /// <summary>Restarts after which a timer stood elsewhere: must be 0.</summary>
    public int TimesMoved { get; set; }

    /// <summary>Restarts of which the timers were compared.</summary>
    public int Timed { get; set; }

    public List<TimeSpan> Restarts { get; } = [];

    public bool Failed => Missing + Twice + Strangers + TimesMoved > 0;

    /// <summary>Entries of a dinner that were counted before; remembers the new count.</summary>
    public int Known(Guid cook, int now)
    {
        var before = _known.GetValueOrDefault(cook);
        _known[cook] = now;
        return before;
    }

    public string Line(TimeSpan took) =>
        string.Create(
            CultureInfo.InvariantCulture,
            $"{Kills} kills in {took.TotalMinutes:0.0} min: {Entries} entries stored, {Missing} confirmed ones missing, {Twice} twice, {Strangers} never sent, {Unconfirmed} stored unconfirmed, {TimesMoved} times moved"
        );

    public string Table(int wanted, TimeSpan took)
    {
        var restarts = Restarts.Select(r => r.TotalSeconds).Order().ToList();
        var median = restarts.Count == 0 ? 0 : restarts[restarts.Count / 2];
        return string.Create(
            CultureInfo.InvariantCulture,
            $"""
            | counted | result | must be |
            |---|---|---|
            | kills | {Kills} | {wanted} |
            | entries stored | {Entries} | |
            | confirmed and gone afterwards | {Missing} | 0 |
            | stored twice | {Twice} | 0 |
            | stored and never sent | {Strangers} | 0 |
            | of {Timed} restarts, those after which any timer stood at another second | {TimesMoved} | 0 |
            | stored, but killed before the answer was out | {Unconfirmed} | any: the page sends them again, and they are stored once |
            | from the kill to the first answer, median | {median:0.0} s | |
            | took | {took.TotalMinutes:0.0} min | 30 min at most |
            """
        );
    }
}
