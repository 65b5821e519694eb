namespace BrightKettle.Data.Records;

/// <summary>The current state of a cook: a projection of its events, rebuilt by <see cref="Events.CookProjection"/>.</summary>
public sealed class CookRow
{
    public required Guid Id { get; init; }

    public required string Title { get; set; }

    public required DateTimeOffset ServeAt { get; set; }

    /// <summary>JSON of the payload of the last event that carried one.</summary>
    public required string Payload { get; set; }

    public required string ModelVersion { get; set; }

    public required string ParameterVersion { get; set; }

    public required int Seed { get; set; }

    public required DateTimeOffset ChangedAt { get; set; }

    public bool Deleted { get; set; }

    /// <summary>When it was taken to the stove; null before.</summary>
    public DateTimeOffset? StartedAt { get; set; }

    /// <summary>When the evening was closed; null before.</summary>
    public DateTimeOffset? FinishedAt { get; set; }

    /// <summary>The version and the model by which it was read for what it teaches; null before.</summary>
    public string? LearnedAs { get; set; }

    /// <summary>The household wants nothing learned from it.</summary>
    public bool LeftOut { get; set; }

    /// <summary>Sequence of the last event; a change that knows an older one is a conflict.</summary>
    public required long Version { get; set; }
}
