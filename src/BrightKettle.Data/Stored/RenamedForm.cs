using System.Text.Json;
using System.Text.Json.Nodes;

namespace BrightKettle.Data.Stored;

/// <summary>What an event of renaming carries.</summary>
public sealed record RenamedForm(string Title)
{
    private static readonly Func<JsonObject, JsonObject>[] Lifts = [StoredJson.Unchanged];

    public string Write() => StoredJson.Write(this, Lifts.Length);

    /// <exception cref="JsonException">This is no renaming of this version or an older one.</exception>
    public static RenamedForm Read(string payload) => StoredJson.Read<RenamedForm>(payload, Lifts);
}
