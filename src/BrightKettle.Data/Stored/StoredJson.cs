using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Serialization;

namespace BrightKettle.Data.Stored;

/// <summary>How payloads of events are written: JSON with the number of their form, so that what was written years ago is still
/// read.</summary>
/// <remarks>A form that was ever written is never changed: a new one gets the next number and a reader that makes it of the one
/// before.</remarks>
internal static class StoredJson
{
    private const string Form = "form";

    private static readonly JsonSerializerOptions Options = new(JsonSerializerDefaults.Web)
    {
        DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull,
    };

    public static string Write<T>(T payload, int form)
        where T : class
    {
        var json = JsonSerializer.SerializeToNode(payload, Options)!.AsObject();
        json.Insert(0, Form, form);
        return json.ToJsonString(Options);
    }

    /// <param name="lifts">From each form to the next; the first makes form 1 of what was written before forms were numbered.</param>
    /// <exception cref="JsonException">This is no payload, or one of a newer Bright Kettle.</exception>
    public static T Read<T>(string json, IReadOnlyList<Func<JsonObject, JsonObject>> lifts)
        where T : class
    {
        ArgumentNullException.ThrowIfNull(lifts);
        var payload = JsonNode.Parse(json) as JsonObject ?? throw new JsonException("This is no payload.");
        var form = payload[Form]?.GetValue<int>() ?? 0;
        if (form < 0 || form > lifts.Count)
        {
            throw new JsonException($"A payload of form {form} is from a newer version.");
        }

        foreach (var lift in lifts.Skip(form))
        {
            payload = lift(payload);
        }

        payload.Remove(Form);
        return payload.Deserialize<T>(Options) ?? throw new JsonException("This is no payload.");
    }

    /// <summary>For a form that only got its number.</summary>
    public static JsonObject Unchanged(JsonObject payload) => payload;
}
