namespace BrightKettle.Server.Pairing;

/// <summary>A page that follows something: ends when it leaves, when the server stops, or when its device is removed.</summary>
public sealed class StreamPlace : IDisposable
{
    private readonly CancellationTokenSource _ended;
    private readonly Action<StreamPlace> _closed;

    internal StreamPlace(string who, Action<StreamPlace> closed, params CancellationToken[] reasons) =>
        (Who, _closed, _ended) = (who, closed, CancellationTokenSource.CreateLinkedTokenSource(reasons));

    public string Who { get; }

    public CancellationToken Ended => _ended.Token;

    internal void End() => _ended.Cancel();

    public void Dispose()
    {
        _closed(this);
        _ended.Dispose();
    }
}

/// <summary>All streams of events that are open: a few for each device, and not too many in all.</summary>
public sealed class OpenStreams
{
    /// <summary>More pages than somebody looks at on one device.</summary>
    public const int MostEach = 12;

    /// <summary>Devices of a large household, with some pages each.</summary>
    public const int MostInAll = 96;

    private readonly Lock _lock = new();
    private readonly List<StreamPlace> _open = [];

    public int Count
    {
        get
        {
            lock (_lock)
            {
                return _open.Count;
            }
        }
    }

    /// <summary>A place for one more; null when there is none.</summary>
    /// <param name="reasons">Each ends the stream.</param>
    public StreamPlace? Open(string who, params CancellationToken[] reasons)
    {
        lock (_lock)
        {
            if (_open.Count >= MostInAll || _open.Count(s => s.Who == who) >= MostEach)
            {
                return null;
            }

            var stream = new StreamPlace(who, Closed, reasons);
            _open.Add(stream);
            return stream;
        }
    }

    /// <summary>Ends all streams of a device.</summary>
    public void End(string who)
    {
        List<StreamPlace> theirs;
        lock (_lock)
        {
            theirs = _open.FindAll(s => s.Who == who);
        }

        theirs.ForEach(s => s.End());
    }

    private void Closed(StreamPlace stream)
    {
        lock (_lock)
        {
            _open.Remove(stream);
        }
    }
}
