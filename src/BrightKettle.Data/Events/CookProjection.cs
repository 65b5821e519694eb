using BrightKettle.Data.Records;

namespace BrightKettle.Data.Events;

/// <summary>From events to the current state.</summary>
public static class CookProjection
{
    public const string Saved = "saved";
    public const string Changed = "changed";
    public const string Deleted = "deleted";
    public const string Restored = "restored";

    /// <summary>Called otherwise, whether or not it was cooked already.</summary>
    public const string Renamed = "renamed";

    /// <summary>Taken to the stove.</summary>
    public const string Started = "started";

    /// <summary>Something that happened at the stove.</summary>
    public const string Told = "told";

    /// <summary>What the superseded event said does not hold; of an undoing, it holds again.</summary>
    public const string Undone = "undone";

    /// <summary>The evening is over.</summary>
    public const string Finished = "finished";

    /// <summary>How it was, at the table.</summary>
    public const string Judged = "judged";

    /// <summary>Nothing is to be learned from it, whatever was seen.</summary>
    public const string LeftOut = "left_out";

    /// <summary>It counts again.</summary>
    public const string Counted = "counted";

    public static CookRow Start(CookEvent first, string title, DateTimeOffset serveAt)
    {
        ArgumentNullException.ThrowIfNull(first);
        return new()
        {
            Id = first.CookId,
            Title = title,
            ServeAt = serveAt,
            Payload = first.Payload,
            ModelVersion = first.ModelVersion,
            ParameterVersion = first.ParameterVersion,
            Seed = first.Seed,
            ChangedAt = first.RecordedAt,
            Version = first.Sequence,
        };
    }

    public static void Apply(CookRow cook, CookEvent happened, string title, DateTimeOffset serveAt)
    {
        ArgumentNullException.ThrowIfNull(cook);
        ArgumentNullException.ThrowIfNull(happened);
        cook.Version = happened.Sequence;
        cook.ChangedAt = happened.RecordedAt;
        switch (happened.Kind)
        {
            case Deleted:
                cook.Deleted = true;
                break;
            case Restored:
                cook.Deleted = false;
                break;
            case Renamed:
                cook.Title = title;
                break;
            case Started:
                cook.StartedAt = happened.OccurredAt;
                break;
            case Finished:
                cook.FinishedAt = happened.OccurredAt;
                break;
            case Told or Undone or Judged:
                break;
            case LeftOut:
                cook.LeftOut = true;
                break;
            case Counted:
                cook.LeftOut = false;
                break;
            default:
                cook.Deleted = false;
                cook.Title = title;
                cook.ServeAt = serveAt;
                cook.Payload = happened.Payload;
                cook.ModelVersion = happened.ModelVersion;
                cook.ParameterVersion = happened.ParameterVersion;
                cook.Seed = happened.Seed;
                break;
        }
    }
}
