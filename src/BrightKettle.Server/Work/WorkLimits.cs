namespace BrightKettle.Server.Work;

/// <summary>What one request, and all of them together, may cost. All limits of the server that are not a field's range stand
/// here.</summary>
public sealed class WorkLimits
{
    /// <summary>Steps of single pots that one request may take. A plan takes about 0.2 million, all ways of a kitchen about 5 million; a
    /// core takes some 10 million a second.</summary>
    public long MostSteps { get; set; } = 40_000_000;

    /// <summary>The same in time, should the machine be slow. Waiting in the queue does not count.</summary>
    public TimeSpan Longest { get; set; } = TimeSpan.FromSeconds(30);

    /// <summary>Requests computed at a time.</summary>
    public int AtOnce { get; set; } = 3;

    /// <summary>Of these, such as take long: all ways, a forecast, notes. Each uses all cores by itself, so a second one beside it would
    /// only make both slower,
    /// and every page with them: with two the kitchen's page took up to 290 ms beside them, with one 90 (docs/reliability.md).</summary>
    public int LongAtOnce { get; set; } = 1;

    /// <summary>Requests of one screen that wait.</summary>
    public int MostWaitingEach { get; set; } = 24;

    /// <summary>Requests that wait in all.</summary>
    public int MostWaiting { get; set; } = 96;

    /// <summary>Bytes of a request's body: a cook of 200 actions takes 40,000.</summary>
    public const int MostBodyBytes = 1_000_000;

    /// <summary>Faults that are named in one answer; how many there are is said.</summary>
    public const int MostFaultsNamed = 20;
}
