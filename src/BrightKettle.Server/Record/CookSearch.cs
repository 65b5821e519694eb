using System.Globalization;
using System.Linq.Expressions;
using BrightKettle.Core.Catalogue;
using BrightKettle.Data.Records;
using Microsoft.EntityFrameworkCore;

namespace BrightKettle.Server.Record;

/// <summary>Finds kept dinners by words.</summary>
public static class CookSearch
{
    private const string Escape = "\\";

    /// <summary>Of one dinner: the words are in its title, or in a name of its pulse.</summary>
    public static Expression<Func<CookRow, bool>> For(string? words, PulseCatalogue catalogue)
    {
        ArgumentNullException.ThrowIfNull(catalogue);
        if (words?.Trim() is not { Length: > 0 } sought)
        {
            return _ => true;
        }

        var title = $"%{Escaped(sought)}%";
        // The dish is stored as JSON, its pulse by id.
        var pulses = catalogue
            .Pulses.Where(p => p.Aliases.Append(p.Name).Append(p.Said).Any(name => Holds(name, sought)))
            .Select(p => $"%\"pulseId\":\"{Escaped(p.Id)}\"%")
            .ToList();
        return c => EF.Functions.Like(c.Title, title, Escape) || pulses.Any(p => EF.Functions.Like(c.Payload, p, Escape));
    }

    private static bool Holds(string name, string sought) =>
        CultureInfo.InvariantCulture.CompareInfo.IndexOf(name, sought, CompareOptions.IgnoreCase | CompareOptions.IgnoreNonSpace) >= 0;

    private static string Escaped(string words) => string.Concat(words.Select(c => c is '%' or '_' or '\\' ? $"{Escape}{c}" : $"{c}"));
}
