using System.Globalization;
using System.Text.RegularExpressions;
using BrightKettle.Core.Catalogue;

namespace BrightKettle.Core.Words;

/// <summary>Numbers as people write them in a kitchen: 1.5, 1 1/2, 1½, half a, two, a dozen.</summary>
public static partial class Numbers
{
    internal static readonly Dictionary<string, double> Said = PulseCatalogue
        .ReadList<SaidNumber>("numbers.json")
        .ToDictionary(n => n.Word, n => n.Value);

    private sealed record SaidNumber(string Word, double Value);

    internal static readonly Dictionary<char, double> Signs = new()
    {
        ['½'] = 0.5,
        ['¼'] = 0.25,
        ['¾'] = 0.75,
        ['⅓'] = 1.0 / 3,
        ['⅔'] = 2.0 / 3,
        ['⅛'] = 0.125,
    };

    /// <summary>One number at the start of a text, low and high alike unless it is a range such as 2-3 or 2 to 3; null when there is
    /// none.</summary>
    /// <param name="rest">What follows it.</param>
    public static (double Low, double High)? At(string text, out string rest)
    {
        ArgumentNullException.ThrowIfNull(text);
        if (One(text.TrimStart(), out rest) is not { } first)
        {
            return null;
        }

        var to = To().Match(rest);
        if (to.Success && One(rest[to.Length..], out var after) is { } second && second > first)
        {
            rest = after;
            return (first, second);
        }

        return (first, first);
    }

    private static double? One(string text, out string rest)
    {
        rest = text;
        var digits = Digits().Match(text);
        if (digits.Success)
        {
            var (whole, part) = (digits.Groups["whole"].Value, digits.Groups["part"].Value);
            var value = whole.Length > 0 ? double.Parse(whole.Replace(',', '.'), CultureInfo.InvariantCulture) : 0;
            if (part.Length > 0)
            {
                var ends = part.Split('/');
                var below = ends.Length == 2 ? double.Parse(ends[1], CultureInfo.InvariantCulture) : 1;
                value +=
                    ends.Length == 1 ? Signs[part[0]]
                    : below == 0 ? 0
                    : double.Parse(ends[0], CultureInfo.InvariantCulture) / below;
            }

            rest = text[digits.Length..];
            return value;
        }

        var word = Word().Match(text);
        if (!word.Success || !Said.TryGetValue(word.Groups[1].Value.ToLowerInvariant(), out var said))
        {
            return null;
        }

        rest = text[word.Length..];
        // "Half a cup", "a half", "two and a half", "a couple of", "a dozen".
        if (said < 1)
        {
            rest = OfA().Replace(rest, " ");
        }
        else if (
            word.Groups[1].Value.Length <= 2
            && Word().Match(rest.TrimStart()) is { Success: true } next
            && Said.TryGetValue(next.Groups[1].Value.ToLowerInvariant(), out var more)
            && next.Groups[1].Value.Length > 2
        )
        {
            rest = OfA().Replace(rest.TrimStart()[next.Length..], " ");
            return more;
        }

        var half = AndAHalf().Match(rest);
        if (half.Success)
        {
            rest = rest[half.Length..];
            return said + 0.5;
        }

        return said;
    }

    [GeneratedRegex(@"^(?:(?<whole>\d+(?:[.,]\d+)?)?\s*(?<part>\d+/\d+|[½¼¾⅓⅔⅛])|(?<whole>\d+(?:[.,]\d+)?))")]
    private static partial Regex Digits();

    [GeneratedRegex(@"^([A-Za-z]+)\b")]
    private static partial Regex Word();

    [GeneratedRegex(@"^\s*(?:to|–|-|or)\s*", RegexOptions.IgnoreCase)]
    private static partial Regex To();

    [GeneratedRegex(@"^\s*(?:of\s+)?(?:an?|the|of)\s+", RegexOptions.IgnoreCase)]
    private static partial Regex OfA();

    [GeneratedRegex(@"^\s+and\s+a\s+half\b", RegexOptions.IgnoreCase)]
    private static partial Regex AndAHalf();
}
