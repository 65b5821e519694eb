using System.Text.Json;
using AngleSharp.Html.Parser;
using BrightKettle.Core.Words;
using BrightKettle.Core.Words.FromNotes;

namespace BrightKettle.Server.Exchange;

/// <summary>Reads a schema.org Recipe in JSON-LD, alone or within the page that carries it; anything else is somebody's notes.</summary>
public static class RecipeReader
{
    private const int MostDepth = 6;

    public static Notes Read(string text, NotesReader reader, double cupMillilitres)
    {
        ArgumentNullException.ThrowIfNull(text);
        ArgumentNullException.ThrowIfNull(reader);
        var trimmed = text.TrimStart();
        if (trimmed.StartsWith('{') || trimmed.StartsWith('['))
        {
            return Parse(text) is { } alone ? Of(alone, reader, cupMillilitres) : reader.Read(text, cupMillilitres);
        }

        if (!text.Contains('<', StringComparison.Ordinal) || !text.Contains('>', StringComparison.Ordinal))
        {
            return reader.Read(text, cupMillilitres);
        }

        var page = new HtmlParser().ParseDocument(text);
        var recipe = page.QuerySelectorAll("script")
            .Where(s => s.GetAttribute("type")?.Trim().StartsWith(JsonLd, StringComparison.OrdinalIgnoreCase) == true)
            .Select(s => Parse(s.TextContent))
            .FirstOrDefault(r => r is not null);
        if (recipe is { } found)
        {
            return Of(found, reader, cupMillilitres);
        }

        // A page without one, or notes that were copied with their marks: what can be read of it.
        return reader.Read(TextOf(page), cupMillilitres);
    }

    private const string JsonLd = "application/ld+json";

    private static Notes Of(JsonElement recipe, NotesReader reader, double cupMillilitres) =>
        reader.Of(
            Plain(Text(recipe, "name")),
            People(recipe),
            Texts(recipe, "recipeIngredient").Select(Plain).OfType<string>(),
            Steps(recipe).Select(Plain).OfType<string>(),
            cupMillilitres
        );

    /// <summary>A page's words, each block on a line of its own.</summary>
    private static string TextOf(AngleSharp.Html.Dom.IHtmlDocument page)
    {
        foreach (var hidden in page.QuerySelectorAll("script, style, noscript, template, nav, header, footer"))
        {
            hidden.Remove();
        }

        foreach (var block in page.QuerySelectorAll("p, li, br, div, h1, h2, h3, h4, h5, h6, tr, dt, dd, section"))
        {
            block.Insert(AngleSharp.Dom.AdjacentPosition.AfterEnd, "\n");
        }

        return page.Body?.TextContent ?? string.Empty;
    }

    /// <summary>Recipes carry marks and entities in their strings.</summary>
    private static string? Plain(string? text) =>
        text is not null && (text.Contains('<', StringComparison.Ordinal) || text.Contains('&', StringComparison.Ordinal))
            ? TextOf(new HtmlParser().ParseDocument($"<body>{text}</body>")).Trim()
            : text;

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
        var digits = string.Concat(text.SkipWhile(c => !char.IsAsciiDigit(c)).TakeWhile(char.IsAsciiDigit));
        return int.TryParse(digits, out var people) && people is >= 1 and <= 40 ? people : null;
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
}
