namespace BrightKettle.Data.Records;

/// <summary>A phone that may read and write over the network.</summary>
public sealed class PairedDevice
{
    public required Guid Id { get; init; }

    public required string Name { get; set; }

    /// <summary>SHA-256 of the token that the phone carries: the token itself is nowhere here.</summary>
    public required string TokenHash { get; init; }

    public required DateTimeOffset PairedAt { get; init; }

    /// <summary>When it last asked for something, to the hour: tokens end that nobody uses.</summary>
    public required DateTimeOffset LastSeenAt { get; set; }
}

/// <summary>A try to pair that failed.</summary>
public sealed class PairingAttempt
{
    public long Id { get; set; }

    public required DateTimeOffset At { get; init; }

    /// <summary>The address that it came from.</summary>
    public required string From { get; init; }

    /// <summary>Why it failed: the code of the answer.</summary>
    public required string Code { get; init; }
}
