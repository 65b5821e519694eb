using System.Text.Json;
using System.Text.Json.Nodes;

namespace BrightKettle.Data.Stored;

/// <summary>What was forecast when it was kept.</summary>
public sealed record SummaryForm(
    DateTimeOffset FirstAt,
    DateTimeOffset LightAt,
    DateTimeOffset? JoinAt,
    DateTimeOffset TableEarly,
    DateTimeOffset TableAt,
    DateTimeOffset TableLate,
    double WithLooks
);

/// <summary>What an event of saving or changing carries: a kept dinner.</summary>
/// <param name="Cook">In the exchange form, which has a version of its own.</param>
public sealed record DinnerForm(string Title, DishForm Dish, string PulseName, string? RiceName, SummaryForm Summary, JsonElement Cook)
{
    private static readonly Func<JsonObject, JsonObject>[] Lifts = [StoredJson.Unchanged, StoredJson.Unchanged];

    public string Write() => StoredJson.Write(this, Lifts.Length);

    /// <exception cref="JsonException">This is no kept dinner of this version or an older one.</exception>
    public static DinnerForm Read(string payload) => StoredJson.Read<DinnerForm>(payload, Lifts);
}
