using System.Text.Json;
using System.Text.Json.Nodes;

namespace BrightKettle.Data.Stored;

/// <summary>Something told at the stove; which figures belong to it depends on its kind.</summary>
public sealed record EntryForm(
    Guid EventId,
    DateTimeOffset OccurredAt,
    long BasedOn,
    string Kind,
    string? By = null,
    string? MomentId = null,
    double? Millilitres = null,
    double? Grams = null,
    double? Celsius = null,
    double? Centimetres = null,
    string? What = null,
    string? Ingredient = null,
    string? State = null,
    int? Count = null,
    int? Of = null,
    string? VesselId = null,
    Guid? EventUndone = null
);

/// <summary>What an event of telling carries.</summary>
/// <param name="Course">For chose: what was chosen, as it was worked out then, its actions in the exchange form of a cook.</param>
public sealed record ToldForm(EntryForm Entry, JsonElement? Course = null)
{
    private static readonly Func<JsonObject, JsonObject>[] Lifts = [StoredJson.Unchanged];

    /// <summary>Whether two payloads tell the same thing. A course is worked out anew at each try, so it does not count.</summary>
    public static bool TellTheSame(string one, string other) =>
        one == other || (one.Length > 0 && other.Length > 0 && Read(one).Entry == Read(other).Entry);

    public string Write() => StoredJson.Write(this, Lifts.Length);

    /// <exception cref="JsonException">This is nothing told, of this version or an older one.</exception>
    public static ToldForm Read(string payload) => StoredJson.Read<ToldForm>(payload, Lifts);
}
