using System.Globalization;
using System.Text;
using System.Text.Json.Nodes;

namespace BrightKettle.Reliability.Fuzz;

/// <summary>Spoils requests as broken programs, hostile pages and other keyboards do.</summary>
public sealed class Mutator(Random random)
{
    /// <summary>Stands in a string of the tree for something that no tree can hold, and is put in as it is.</summary>
    private const string Raw = "⟦raw⟧";

    private static readonly string[] OddStrings =
    [
        "",
        " ",
        "null",
        "0",
        "-1",
        "٣٠٠",
        "१२",
        "７",
        "½",
        "1e999",
        "\0",
        "\u0001\u0002",
        "\u202Egnirts",
        "e\u0301",
        "ﬁ",
        "İ",
        "ß",
        "𝟛",
        "👩‍🍳",
        "../../etc",
        "' OR 1=1 --",
        "<script>",
        "%00",
        "{{7*7}}",
        "99999999999999999999",
        "9999-12-31T23:59:59Z",
        "0001-01-01T00:00:00Z",
        "2026-02-30T19:00",
        "2026-03-29T02:30",
        "24:00",
        "fríjol",
        "a\nb\rc",
        "http://example.com/",
    ];

    private static readonly string[] RawValues =
    [
        "\"\\ud83d\"",
        "\"\\udc00x\"",
        "1e400",
        "-1e400",
        "1E-400",
        "-0",
        "9007199254740993",
        "123456789012345678901234567890",
        "NaN",
        "Infinity",
        "01",
        "1.",
        "tru",
        "\"\u0001\"",
        "{\"a\":1,\"a\":2}",
        "[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[]]]",
    ];

    private static readonly double[] OddNumbers =
    [
        0,
        -1,
        1,
        0.1,
        -0.5,
        5e-324,
        1e15,
        1e22,
        1e100,
        1e308,
        -1e308,
        int.MaxValue,
        int.MinValue,
        long.MaxValue,
        1.5,
        40_000,
        200,
    ];

    /// <summary>The text of a body, spoilt in one to three places; now and then in a way that makes it none at all.</summary>
    public string Body(JsonNode? body)
    {
        var root = new JsonObject { ["body"] = body?.DeepClone() };
        for (int i = 0, times = random.Next(1, 4); i < times; i++)
        {
            Spoil(root);
        }

        var text = root["body"]?.ToJsonString() ?? "null";
        while (text.IndexOf($"\"{Encoded}", StringComparison.Ordinal) is var at and >= 0)
        {
            var end = text.IndexOf('"', at + 1);
            var index = int.Parse(text[(at + 1 + Encoded.Length)..end], CultureInfo.InvariantCulture);
            text = string.Concat(text.AsSpan(0, at), RawValues[index], text.AsSpan(end + 1));
        }

        return random.Next(12) switch
        {
            0 when text.Length > 2 => text[..random.Next(1, text.Length)],
            1 => text + text,
            2 => string.Empty,
            3 => $"{new string('[', 300)}{text}{new string(']', 300)}",
            4 => Swapped(text),
            _ => text,
        };
    }

    /// <summary>As the writer writes it.</summary>
    private static readonly string Encoded = JsonValue.Create(Raw).ToJsonString().Trim('"');

    private string Swapped(string text)
    {
        var letters = new StringBuilder(text);
        for (var i = 0; i < 3 && letters.Length > 0; i++)
        {
            letters[random.Next(letters.Length)] = (char)random.Next(1, 0x2FF);
        }

        return letters.ToString();
    }

    private void Spoil(JsonNode root)
    {
        var places = new List<(JsonNode Parent, string? Name, int Index)>();
        Collect(root, places);
        if (places.Count == 0)
        {
            return;
        }

        var (parent, name, index) = places[random.Next(places.Count)];
        if (parent is JsonObject owner && name is not null)
        {
            switch (random.Next(8))
            {
                case 0 when name != "body":
                    owner.Remove(name);
                    break;
                case 1 when name != "body":
                    owner[name + "X"] = 1;
                    break;
                case 2 when name != "body":
                    var value = owner[name]?.DeepClone();
                    owner.Remove(name);
                    owner[name.ToUpperInvariant()] = value;
                    break;
                default:
                    owner[name] = Odd(owner[name]);
                    break;
            }
        }
        else if (parent is JsonArray list)
        {
            switch (random.Next(5))
            {
                case 0:
                    list.RemoveAt(index);
                    break;
                case 1:
                    // Very many of the same.
                    for (var i = 0; i < 400; i++)
                    {
                        list.Add(list[index]?.DeepClone());
                    }

                    break;
                default:
                    list[index] = Odd(list[index]);
                    break;
            }
        }
    }

    private static void Collect(JsonNode node, List<(JsonNode Parent, string? Name, int Index)> places)
    {
        switch (node)
        {
            case JsonObject o:
                foreach (var (name, value) in o)
                {
                    places.Add((o, name, -1));
                    if (value is not null)
                    {
                        Collect(value, places);
                    }
                }

                break;
            case JsonArray a:
                for (var i = 0; i < a.Count; i++)
                {
                    places.Add((a, null, i));
                    if (a[i] is { } value)
                    {
                        Collect(value, places);
                    }
                }

                break;
        }
    }

    /// <summary>Something else in a value's place: of its own kind as often as of another.</summary>
    private JsonNode? Odd(JsonNode? was) =>
        random.Next(10) switch
        {
            0 => null,
            1 => $"{Raw}{random.Next(RawValues.Length)}",
            2 => new JsonArray(),
            3 => new JsonObject(),
            4 => new JsonArray(null, was?.DeepClone(), 1, "x"),
            5 => random.Next(2) == 0,
            6 => new string('9', random.Next(1, 5000)),
            7 =>
                $"{OddStrings[random.Next(OddStrings.Length)]}{(was is JsonValue v && v.TryGetValue<string>(out var text) ? text : string.Empty)}",
            8 => OddStrings[random.Next(OddStrings.Length)],
            _ => OddNumbers[random.Next(OddNumbers.Length)],
        };

    /// <summary>Something for a place in an address.</summary>
    public string Segment(IReadOnlyList<string> real) =>
        random.Next(3) == 0 ? Uri.EscapeDataString(OddStrings[random.Next(OddStrings.Length)] is { Length: > 0 } odd ? odd : "-")
        : real.Count > 0 && random.Next(4) > 0 ? real[random.Next(real.Count)]
        : Guid.NewGuid().ToString();

    /// <summary>A value in a query.</summary>
    public string Value() => Uri.EscapeDataString(OddStrings[random.Next(OddStrings.Length)]);

    /// <summary>The kind that a body says it is; mostly the right one.</summary>
    public string ContentType() =>
        random.Next(25) switch
        {
            0 => "text/plain",
            1 => "application/json; charset=bogus",
            2 => "application/json; charset=utf-16",
            3 => "application/x-www-form-urlencoded",
            4 => "nonsense",
            _ => "application/json",
        };
}
