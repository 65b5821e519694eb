namespace BrightKettle.Data.Records;

/// <summary>One thing that happened to a cook. Never changed, never removed.</summary>
public sealed class CookEvent
{
    /// <summary>Given by the database; the order in which the server learned of things.</summary>
    public long Sequence { get; set; }

    /// <summary>UUIDv7 made by the client: the same event sent twice is one event.</summary>
    public required Guid Id { get; init; }

    public required Guid CookId { get; init; }

    /// <summary>One of the kinds of <see cref="Events.CookProjection"/>.</summary>
    public required string Kind { get; init; }

    /// <summary>The last sequence of this cook that the client knew; null for its first event.</summary>
    public long? BasedOn { get; init; }

    /// <summary>The event that this one takes back, when it does.</summary>
    public Guid? Supersedes { get; init; }

    /// <summary>When it happened, by the client.</summary>
    public required DateTimeOffset OccurredAt { get; init; }

    /// <summary>When it was written, by the server.</summary>
    public required DateTimeOffset RecordedAt { get; init; }

    public required string ModelVersion { get; init; }

    public required string ParameterVersion { get; init; }

    public required int Seed { get; init; }

    /// <summary>JSON: title, dish, cook and summary as of this event; what was started or told; empty for a deletion or an
    /// undoing.</summary>
    public required string Payload { get; init; }
}
