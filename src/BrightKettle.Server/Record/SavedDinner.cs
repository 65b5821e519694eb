using System.Text.Json;
using BrightKettle.Core.Planning;
using BrightKettle.Data.Records;
using BrightKettle.Server.Exchange;
using BrightKettle.Server.Planning;

namespace BrightKettle.Server.Record;

/// <summary>What an event of saving carries.</summary>
public sealed record SavedDinner(string Title, DishDto Dish, string PulseName, string? RiceName, SavedSummaryDto Summary, CookDocument Cook)
{
    private static readonly JsonSerializerOptions Options = new(JsonSerializerDefaults.Web);

    public static SavedDinner Of(string title, DishDto dish, Plan plan)
    {
        ArgumentNullException.ThrowIfNull(plan);
        return new(title, dish, plan.Dish.Pulse.Said, plan.Dish.Rice?.Said, PlanMapper.Summary(plan), CookWriter.Write(plan.Cook));
    }

    public static SavedDinner Read(CookRow row)
    {
        ArgumentNullException.ThrowIfNull(row);
        return Read(row.Payload, row.Id);
    }

    /// <summary>What an event of saving or changing carries.</summary>
    public static SavedDinner Read(CookEvent happened)
    {
        ArgumentNullException.ThrowIfNull(happened);
        return Read(happened.Payload, happened.CookId);
    }

    private static SavedDinner Read(string payload, Guid id) =>
        JsonSerializer.Deserialize<SavedDinner>(payload, Options) ?? throw new InvalidOperationException($"The payload of cook {id} is empty.");

    /// <summary>Whether it was made from this request.</summary>
    public bool IsOf(CookChange change)
    {
        ArgumentNullException.ThrowIfNull(change);
        return Title == change.Title?.Trim() && JsonSerializer.Serialize(Dish, Options) == JsonSerializer.Serialize(change.Dish, Options);
    }

    public string Json() => JsonSerializer.Serialize(this, Options);
}
