using System.Globalization;

namespace BrightKettle.Durability;

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

    public string Line(TimeSpan took) => string.Create(
        CultureInfo.InvariantCulture,
        $"{Kills} kills in {took.TotalMinutes:0.0} min: {Entries} entries stored, {Missing} confirmed ones missing, {Twice} twice, {Strangers} never sent, {Unconfirmed} stored unconfirmed, {TimesMoved} times moved");

    public string Report(int wanted, TimeSpan took)
    {
        var restarts = Restarts.Select(r => r.TotalSeconds).Order().ToList();
        var median = restarts.Count == 0 ? 0 : restarts[restarts.Count / 2];
        return string.Create(
            CultureInfo.InvariantCulture,
            $"""
            # Reliability: it must not lose the dinner

            Written by `./kettle durability`, which kills the published server with signal 9 at random moments (up to
            250 ms after it is at work, fixed seed) while two hands tell it things, starts it anew on the same folder, and compares
            what it has with what it had confirmed. It stops after {wanted} kills or 30 minutes.

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

            ## Why nothing is lost

            - An entry is written down in the browser before it is sent, and taken off that list only when the server has said
              that it is stored. A page that was closed, or a phone without Wi-Fi, sends what is left when it can.
            - The server answers only after the transaction is committed. SQLite runs in WAL with `synchronous=FULL`, set on
              every connection by `DurableConnection`; `DataTests.Every_connection_is_durable_and_keeps_its_references` reads it
              back on more than one.
            - Entries are append-only events with ids made by the page. The same id sent twice is one entry; an undo is an event
              of its own. The state is built from the events each time, so there is no other copy that could disagree.
            - A timer is an instant, not a countdown: a restart, a sleeping laptop or a changed clock moves nothing. The page
              counts by the browser's steady clock from the server's last word, never by the phone's time of day.
            - `StoveTests` drives a whole dinner in the browser with the network cut for ten minutes and the server killed twice;
              its record equals that of the same dinner without.

            ## What it does not cover

            A disk that says that it has written and has not; two servers on one folder; a phone whose browser has thrown its
            storage away before it could send.
            """) + "\n";
    }
}
