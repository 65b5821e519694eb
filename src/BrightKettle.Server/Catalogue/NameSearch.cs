using BrightKettle.Core.Words;
using Quickenshtein;

namespace BrightKettle.Server.Catalogue;

/// <summary>Finds by any of the names that households give, with slips of spelling forgiven.</summary>
public static class NameSearch
{
    /// <summary>Similarity, of 100, below which a name was not meant.</summary>
    private const int Least = 72;

    private const int MostAsked = 100;

    public static IReadOnlyList<FoundDto> Find(string? asked, IEnumerable<(string Id, string Name, IReadOnlyList<string> Aliases)> things)
    {
        var wanted = Fold(asked ?? string.Empty);
        return wanted.Length == 0
            ? [.. things.Select(t => new FoundDto(t.Id, t.Name, null))]
            :
            [
                .. things
                    .Select(t =>
                        (
                            Thing: t,
                            Best: t.Aliases.Prepend(t.Name)
                                .Select(name => (Name: name, Score: Score(wanted, Fold(name))))
                                .MaxBy(n => n.Score)
                        )
                    )
                    .Where(t => t.Best.Score >= Least)
                    .OrderByDescending(t => t.Best.Score)
                    .ThenBy(t => t.Thing.Name.Length)
                    .Select(t => new FoundDto(t.Thing.Id, t.Thing.Name, t.Best.Name == t.Thing.Name ? null : t.Best.Name)),
            ];
    }

    /// <summary>A start of the name or of one of its words counts most, then likeness of the whole.</summary>
    private static int Score(string wanted, string name)
    {
        if (name == wanted)
        {
            return 130;
        }

        if (name.StartsWith(wanted, StringComparison.Ordinal))
        {
            return 120;
        }

        var words = name.Split(' ');
        if (wanted.Split(' ').All(w => words.Any(n => n.StartsWith(w, StringComparison.Ordinal))))
        {
            return 110;
        }

        var whole = Alike(Sorted(wanted), Sorted(name));
        var word = wanted.Length >= 4 ? words.Where(w => w.Length >= 4).Select(w => Alike(wanted, w)).DefaultIfEmpty(0).Max() : 0;
        return Math.Max(whole, ((4 * word) + whole) / 5);
    }

    /// <summary>100 for the same, less for each letter that is wrong, missing or too many, by the longer of both.</summary>
    private static int Alike(string one, string other) =>
        100 - (100 * Levenshtein.GetDistance(one, other) / Math.Max(1, Math.Max(one.Length, other.Length)));

    /// <summary>The words in an order of their own, so that theirs does not matter.</summary>
    private static string Sorted(string text) => string.Join(' ', text.Split(' ').Order(StringComparer.Ordinal));

    private static string Fold(string text) =>
        string.Join(' ', PlainText.Folded(text[..Math.Min(text.Length, MostAsked)]).Split(' ', StringSplitOptions.RemoveEmptyEntries));
}
