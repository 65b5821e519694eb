using System.Text.Json;
using System.Text.Json.Nodes;

namespace BrightKettle.Data.Stored;

/// <summary>A step as the plan worded it: its kind and the facts of its sentence.</summary>
public sealed record StepForm(string Kind, DateTimeOffset At, DateTimeOffset Early, DateTimeOffset Late, StepFactsForm Facts);

/// <summary>Figures of a step; null where they do not belong to it.</summary>
public sealed record StepFactsForm(
    double? Grams = null,
    double? Millilitres = null,
    double? Minutes = null,
    double? Hours = null,
    double? EveryMinutes = null,
    double? OverBedCentimetres = null,
    double? AddMillilitres = null,
    string? Felt = null,
    string? Ingredient = null,
    string? Place = null,
    bool? Drained = null,
    string? Name = null,
    int? Pieces = null,
    int? Count = null,
    IReadOnlyList<string>? Salty = null,
    IReadOnlyList<PartForm>? Others = null,
    bool? Blanched = null
);

public sealed record PartForm(double Grams, string Name);

/// <summary>What an event of starting carries: the cook as it was taken to the stove, and how its plan words it.</summary>
/// <param name="PlannedAt">The now of the plan.</param>
/// <param name="Cook">In the exchange form, which has a version of its own.</param>
/// <param name="Steps">By the moment in which each is done.</param>
public sealed record StartForm(
    string Title,
    DishForm Dish,
    DateTimeOffset PlannedAt,
    JsonElement Cook,
    string PulseName,
    string? RiceName,
    string Order,
    string? RiceRinse,
    double SaltPercent,
    DateTimeOffset WantedAt,
    IReadOnlyDictionary<string, IReadOnlyList<StepForm>> Steps,
    IReadOnlyList<string> Cautions
)
{
    private static readonly Func<JsonObject, JsonObject>[] Lifts = [StoredJson.Unchanged, WithoutMelting, SaltyInAList];

    /// <summary>Form 2 no longer says whether melting is welcome: the dish knows what it wants.</summary>
    private static JsonObject WithoutMelting(JsonObject start)
    {
        start.Remove("meltingIsWelcome");
        return start;
    }

    /// <summary>Form 3 lists what has brought salt; before, its names stood in one text.</summary>
    private static JsonObject SaltyInAList(JsonObject start)
    {
        var facts = (start["steps"] as JsonObject ?? [])
            .SelectMany(moment => moment.Value as JsonArray ?? [])
            .Select(step => step?["facts"])
            .OfType<JsonObject>();
        foreach (var f in facts)
        {
            if (f["salty"] is JsonValue salty)
            {
                f["salty"] = new JsonArray([.. salty.GetValue<string>().Split(", ").Select(name => (JsonNode?)JsonValue.Create(name))]);
            }
        }

        return start;
    }

    public string Write() => StoredJson.Write(this, Lifts.Length);

    /// <exception cref="JsonException">This is no start of this version or an older one.</exception>
    public static StartForm Read(string payload) => StoredJson.Read<StartForm>(payload, Lifts);
}
