using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Words.Lines;

namespace BrightKettle.Core.Words;

/// <summary>A pulse, a rice or an extra that a text names.</summary>
/// <param name="Kind">pulse, rice or extra.</param>
/// <param name="At">Word at which the name starts, from 0.</param>
/// <param name="Length">Words it takes.</param>
public sealed record NamedThing(string Kind, string Id, string Name, int At, int Length);

/// <summary>Finds what the catalogue knows in a running text: the longest name at each place, plural or not.</summary>
public sealed class CatalogueNames
{
    private const int MostWords = 5;

    private readonly Dictionary<string, (string Kind, string Id, string Name)> _names = [];

    public CatalogueNames(PulseCatalogue catalogue)
    {
        ArgumentNullException.ThrowIfNull(catalogue);
        // Households' names first, as in a line: of a name that means several they know the likeliest; those that mean something only beside another name are too short for running text.
        foreach (var spoken in PulseCatalogue.ReadList<SpokenName>("spoken-names.json").Where(n => !n.Beside))
        {
            var id = spoken.Ids[0];
            var said = spoken.Kind switch
            {
                "pulse" => catalogue.FindPulse(id)?.Said,
                "rice" => catalogue.FindRice(id)?.Said,
                _ => catalogue.FindExtra(id)?.Name,
            };
            if (said is not null)
            {
                Learn(spoken.Kind, id, said, [spoken.Name]);
            }
        }

        foreach (var p in catalogue.Pulses)
        {
            Learn("pulse", p.Id, p.Said, [p.Name, p.Said, .. p.Aliases]);
        }

        foreach (var r in catalogue.Rices)
        {
            Learn("rice", r.Id, r.Said, [r.Name, r.Said, .. r.Aliases]);
        }

        foreach (var x in catalogue.Extras)
        {
            Learn("extra", x.Id, x.Name, [x.Name, .. x.Aliases]);
        }
    }

    /// <summary>Small words of a text, as names are compared: no accents, no marks.</summary>
    public static IReadOnlyList<string> WordsOf(string text)
    {
        ArgumentNullException.ThrowIfNull(text);
        return PlainText.Folded(text).Split(' ', StringSplitOptions.RemoveEmptyEntries);
    }

    /// <summary>All names in the text, in its order.</summary>
    public IReadOnlyList<NamedThing> In(string text)
    {
        var words = WordsOf(text).Select(Single).ToList();
        var found = new List<NamedThing>();
        for (var at = 0; at < words.Count; at++)
        {
            for (var length = Math.Min(MostWords, words.Count - at); length > 0; length--)
            {
                if (_names.TryGetValue(string.Join(' ', words.Skip(at).Take(length)), out var thing))
                {
                    found.Add(new(thing.Kind, thing.Id, thing.Name, at, length));
                    at += length - 1;
                    break;
                }
            }
        }

        return found;
    }

    private void Learn(string kind, string id, string name, IEnumerable<string> names)
    {
        foreach (var words in names.Select(n => string.Join(' ', WordsOf(n).Select(Single))).Where(n => n.Length > 2))
        {
            _names.TryAdd(words, (kind, id, name));
            if (kind == "pulse" && words.EndsWith(" bean", StringComparison.Ordinal) && !Colours.Contains(words[..^5]))
            {
                _names.TryAdd(words[..^5], (kind, id, name));
            }
        }
    }

    /// <summary>Words that mean a bean only with the word bean behind them.</summary>
    private static readonly HashSet<string> Colours =
    [
        "black",
        "white",
        "red",
        "small red",
        "pink",
        "green",
        "brown",
        "yellow",
        "broad",
        "rice",
        "large white",
        "butter",
    ];

    /// <summary>Plurals and singulars are one.</summary>
    private static string Single(string word) =>
        word switch
        {
            { Length: > 4 } when word.EndsWith("oes", StringComparison.Ordinal) => word[..^2],
            { Length: > 4 } when word.EndsWith("ies", StringComparison.Ordinal) => $"{word[..^3]}y",
            "leaves" => "leaf",
            { Length: > 3 } when word.EndsWith('s') && !word.EndsWith("ss", StringComparison.Ordinal) => word[..^1],
            _ => word,
        };
}
