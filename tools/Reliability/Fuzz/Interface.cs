using System.Text.Json.Nodes;

namespace BrightKettle.Reliability.Fuzz;

/// <summary>One thing that the server can be asked.</summary>
/// <param name="Body">The schema of its body; null when it takes none.</param>
/// <param name="Query">Names of its query's fields.</param>
public sealed record Operation(string Method, string Path, JsonObject? Body, IReadOnlyList<string> Query);

/// <summary>The server's own description of itself, with a body that fits each of its schemas.</summary>
public sealed class Interface
{
    private readonly JsonObject _schemas;
    private readonly IReadOnlyDictionary<string, JsonNode> _known;

    /// <param name="document">OpenAPI.</param>
    /// <param name="known">Bodies that are fine, by the name of their schema: what no schema can say.</param>
    public Interface(JsonObject document, IReadOnlyDictionary<string, JsonNode> known)
    {
        ArgumentNullException.ThrowIfNull(document);
        _known = known;
        _schemas = document["components"]!["schemas"]!.AsObject();
        Operations =
        [
            .. document["paths"]!
                .AsObject()
                .SelectMany(path =>
                    path.Value!.AsObject()
                        .Where(m => m.Key is "get" or "post" or "put" or "delete")
                        .Select(m => new Operation(
                            m.Key.ToUpperInvariant(),
                            path.Key,
                            m.Value!["requestBody"]?["content"]?["application/json"]?["schema"]?.AsObject(),
                            [
                                .. (m.Value["parameters"]?.AsArray() ?? [])
                                    .Where(p => (string?)p!["in"] == "query")
                                    .Select(p => (string)p!["name"]!),
                            ]
                        ))
                ),
        ];
    }

    public IReadOnlyList<Operation> Operations { get; }

    /// <summary>A body that fits a schema as far as the schema says.</summary>
    public JsonNode? Fitting(JsonObject schema, Random random, int depth = 0)
    {
        ArgumentNullException.ThrowIfNull(schema);
        ArgumentNullException.ThrowIfNull(random);
        if ((string?)schema["$ref"] is { } reference)
        {
            var name = reference.Split('/')[^1];
            return _known.TryGetValue(name, out var fine) ? fine.DeepClone() : Fitting(_schemas[name]!.AsObject(), random, depth + 1);
        }

        var choices = (schema["oneOf"] ?? schema["anyOf"])?.AsArray();
        if (choices is { Count: > 0 })
        {
            var given = choices.Where(c => (string?)c!["type"] != "null").ToList();
            return given.Count == 0 || random.Next(4) == 0 ? null : Fitting(given[random.Next(given.Count)]!.AsObject(), random, depth + 1);
        }

        if (schema["enum"] is JsonArray { Count: > 0 } words)
        {
            return words[random.Next(words.Count)]?.DeepClone();
        }

        return TypeOf(schema) switch
        {
            "object" when depth < 8 => new JsonObject(
                (schema["properties"]?.AsObject() ?? []).Select(p =>
                    KeyValuePair.Create(p.Key, Fitting(p.Value!.AsObject(), random, depth + 1))
                )
            ),
            "array" when depth < 8 => new JsonArray([
                .. Enumerable.Range(0, random.Next(3)).Select(_ => Fitting(schema["items"]!.AsObject(), random, depth + 1)),
            ]),
            "integer" => random.Next(1, 20),
            "number" => Math.Round(random.NextDouble() * 200, 1),
            "boolean" => random.Next(2) == 0,
            "string" when (string?)schema["format"] == "uuid" => Guid.CreateVersion7().ToString(),
            "string" when (string?)schema["format"] == "date-time" => "2026-11-24T18:00:00Z",
            "string" => Words[random.Next(Words.Length)],
            _ => null,
        };
    }

    private static string? TypeOf(JsonObject schema) =>
        schema["type"] switch
        {
            JsonArray several => several.Select(t => (string?)t).FirstOrDefault(t => t != "null"),
            { } one => (string?)one,
            null => null,
        };

    private static readonly string[] Words =
    [
        "chickpea",
        "g",
        "overnight",
        "dry",
        "blue-pot",
        "front",
        "did",
        "felt",
        "open_pot",
        "2026-11-25T19:00",
        "an inch over",
        "for six at 7 pm: lentils, rice",
    ];
}
