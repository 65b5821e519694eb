using System.Text.Json;
using System.Text.Json.Nodes;

namespace BrightKettle.Data.Stored;

/// <summary>What an event of judging carries: how a dinner was. Words are those of the day on which it was written; null for what nobody
/// said.</summary>
public sealed record VerdictForm(string? Pulses, string? Rice, string? Salt, string? Sauce, bool? Again, string? Note)
{
    private static readonly Func<JsonObject, JsonObject>[] Lifts = [StoredJson.Unchanged];

    public string Write() => StoredJson.Write(this, Lifts.Length);

    /// <exception cref="JsonException">This is no verdict of this version or an older one.</exception>
    public static VerdictForm Read(string payload) => StoredJson.Read<VerdictForm>(payload, Lifts);
}
