namespace BrightKettle.Data.Records;

/// <summary>A phone that may read and write over the network.</summary>
public sealed class PairedDevice
{
    public required Guid Id { get; init; }

    public required string Name { get; set; }

    /// <summary>SHA-256 of the token that the phone carries: the token itself is nowhere here.</summary>
    public required string TokenHash { get; init; }

    public required DateTimeOffset PairedAt { get; init; }
}
