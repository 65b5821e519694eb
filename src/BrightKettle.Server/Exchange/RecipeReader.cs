using System.Text.Json;
using System.Text.RegularExpressions;
using BrightKettle.Core.Words;

namespace BrightKettle.Server.Exchange;

/// <summary>Reads a schema.org Recipe in JSON-LD, alone or within the page that carries it; anything else is somebody's notes.</summary>
public static partial class RecipeReader
{
    private const int MostDepth = 6;

    public static Notes Read(string text, NotesReader reader, double cupMillilitres)
    {
        ArgumentNullException.ThrowIfNull(text);
        ArgumentNullException.ThrowIfNull(reader);
        var candidates = Script()
            .Matches(text)
            .Select(m => m.Groups[1].Value)
            .DefaultIfEmpty(text.TrimStart().StartsWith('{') || text.TrimStart().StartsWith('[') ? text : string.Empty);
        foreach (var json in candidates.Where(c => c.Length > 0))
        {
            if (Parse(json) is { } recipe)
            {
                return reader.Of(Text(recipe, "name"), People(recipe), Texts(recipe, "recipeIngredient"), Steps(recipe), cupMillilitres);
            }
        }

        return reader.Read(text, cupMillilitres);
    }

    private static JsonElement? Parse(string json)
    {
        try
        {
            return Find(JsonDocument.Parse(json).RootElement, 0);
        }
        catch (JsonException)
        {
            // Not JSON after all: it is read as notes, and what is not understood there is told.
            return null;
        }
    }

    private static JsonElement? Find(JsonElement element, int depth)
    {
        if (depth > MostDepth)
        {
            return null;
        }

        switch (element.ValueKind)
        {
            case JsonValueKind.Array:
                return element.EnumerateArray().Select(e => Find(e, depth + 1)).FirstOrDefault(f => f is not null);
            case JsonValueKind.Object:
                var isRecipe =
                    element.TryGetProperty("@type", out var type)
                    && (
                        type.ValueKind == JsonValueKind.Array
                            ? type.EnumerateArray().Any(t => t.ValueKind == JsonValueKind.String && t.ValueEquals("Recipe"))
                            : type.ValueKind == JsonValueKind.String && type.ValueEquals("Recipe")
                    );
                return isRecipe ? element
                    : element.TryGetProperty("@graph", out var graph) ? Find(graph, depth + 1)
                    : null;
            default:
                return null;
        }
    }

    private static string? Text(JsonElement of, string name) =>
        of.TryGetProperty(name, out var value) && value.ValueKind == JsonValueKind.String ? Said(value) : null;

    /// <summary>The string of an element; null when half a letter stands in it, which JSON can write and no text can hold.</summary>
    private static string? Said(JsonElement element)
    {
        try
        {
            return element.GetString();
        }
        catch (InvalidOperationException)
        {
            return null;
        }
    }

    private static IEnumerable<string> Texts(JsonElement of, string name) =>
        of.TryGetProperty(name, out var list) && list.ValueKind == JsonValueKind.Array
            ? list.EnumerateArray().Where(e => e.ValueKind == JsonValueKind.String).Select(Said).OfType<string>()
        : Text(of, name) is { } one ? one.Split('\n')
        : [];

    private static int? People(JsonElement recipe)
    {
        if (!recipe.TryGetProperty("recipeYield", out var yield))
        {
            return null;
        }

        var first = yield.ValueKind == JsonValueKind.Array && yield.GetArrayLength() > 0 ? yield[0] : yield;
        var text =
            first.ValueKind == JsonValueKind.String ? Said(first) ?? string.Empty
            : first.ValueKind == JsonValueKind.Number ? first.ToString()
            : string.Empty;
        return Digits().Match(text) is { Success: true } digits && int.TryParse(digits.Value, out var people) && people is >= 1 and <= 40
            ? people
            : null;
    }

    private static IEnumerable<string> Steps(JsonElement recipe) =>
        recipe.TryGetProperty("recipeInstructions", out var told) ? StepsOf(told, 0) : [];

    private static IEnumerable<string> StepsOf(JsonElement element, int depth) =>
        element.ValueKind switch
        {
            _ when depth > MostDepth => [],
            JsonValueKind.String => (Said(element) ?? string.Empty).Split('\n'),
            JsonValueKind.Array => element.EnumerateArray().SelectMany(e => StepsOf(e, depth + 1)),
            JsonValueKind.Object when element.TryGetProperty("itemListElement", out var inner) => StepsOf(inner, depth + 1),
            JsonValueKind.Object => Text(element, "text") is { } text ? [text] : [],
            _ => [],
        };

    [GeneratedRegex("""<script[^>]*application/ld\+json[^>]*>(.*?)</script>""", RegexOptions.IgnoreCase | RegexOptions.Singleline)]
    private static partial Regex Script();

    [GeneratedRegex(@"\d+")]
    private static partial Regex Digits();
}
