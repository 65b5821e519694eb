namespace BrightKettle.Data.Records;

/// <summary>What one dinner says of one bag's pace: worked out of its events, and worked out anew after a change of them or of the
/// model.</summary>
public sealed class LearnedRow
{
    public required Guid CookId { get; init; }

    public required string BagId { get; init; }

    public required string PulseId { get; init; }

    /// <summary>ln(pace) at which the looks point.</summary>
    public required double Log { get; init; }

    /// <summary>Standard deviation of that.</summary>
    public required double Spread { get; init; }
}
