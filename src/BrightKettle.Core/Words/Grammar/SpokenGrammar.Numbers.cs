using System.Globalization;
using Superpower.Model;

namespace BrightKettle.Core.Words.Grammar;

/// <summary>Numbers and ranges, token by token.</summary>
internal abstract partial class SpokenGrammar
{
    /// <summary>One number, or the middle of a range; how many tokens it takes, 0 for none.</summary>
    protected (double Value, int Tokens) Number(IReadOnlyList<Token<LineToken>> t, int at) =>
        Range(t, at) is (var low, var high, var length) ? ((low + high) / 2, length) : default;

    /// <summary>One number, low and high alike, or a range; length 0 for none.</summary>
    protected (double Low, double High, int Tokens) Range(IReadOnlyList<Token<LineToken>> t, int at)
    {
        var (low, first) = One(t, at);
        return
            first == 0
            || !Is(t, at + first, "-", "–", "to", "or", "a", "bis", "ou", "o")
            || One(t, at + first + 1) is not (var high, > 0 and var second)
            || high <= low
            ? (low, low, first)
            : (low, high, first + 1 + second);
    }

    protected (double Value, int Tokens) One(IReadOnlyList<Token<LineToken>> t, int at)
    {
        if (at >= t.Count)
        {
            return default;
        }

        var text = t[at].ToStringValue();
        switch (t[at].Kind)
        {
            case LineToken.Part:
                return (Numbers.Signs[text[0]], 1);
            case LineToken.Number:
                var value = Written(text);
                if (at + 1 < t.Count && t[at + 1].Kind == LineToken.Part)
                {
                    return (value + Numbers.Signs[t[at + 1].ToStringValue()[0]], 2);
                }

                // 1 and a half, 1 and 1/2.
                if (Is(t, at + 1, "and") && Is(t, at + 2, "a") && Is(t, at + 3, "half"))
                {
                    return (value + 0.5, 4);
                }

                var and =
                    Is(t, at + 1, "and") && at + 2 < t.Count && t[at + 2].ToStringValue().Contains('/', StringComparison.Ordinal) ? 1 : 0;
                return
                    at + 1 + and < t.Count
                    && t[at + 1 + and].Kind == LineToken.Number
                    && t[at + 1 + and].ToStringValue().Contains('/', StringComparison.Ordinal)
                    ? (value + Written(t[at + 1 + and].ToStringValue()), 2 + and)
                    : (value, 1);
            case LineToken.Word when Is(t, at, "trois", "tres", "tre", "drei") && Is(t, at + 1, "quarts", "cuartos", "quarti", "viertel"):
                return (0.75, 2);
            case LineToken.Word when Numbers.Said.TryGetValue(text, out var said) || Words.Numbers.TryGetValue(text, out said):
                if (
                    text.Length <= 2
                    && at + 1 < t.Count
                    && Numbers.Said.TryGetValue(t[at + 1].ToStringValue(), out var more)
                    && t[at + 1].ToStringValue().Length > 2
                )
                {
                    return (more, 2);
                }

                return Is(t, at + 1, "and") && Is(t, at + 2, "a") && Is(t, at + 3, "half") ? (said + 0.5, 4)
                    : said is >= 2 and <= 3 && Is(t, at + 1, "quarter", "quarters") ? (said / 4, 2)
                    : (said, 1);
            default:
                return default;
        }
    }

    private static double Written(string text)
    {
        if (text.Split('/') is [var above, var below])
        {
            var (a, b) = (double.Parse(above, CultureInfo.InvariantCulture), double.Parse(below, CultureInfo.InvariantCulture));
            return b == 0 ? 0 : a / b;
        }

        return double.TryParse(text.Replace(',', '.').Replace(':', '.'), CultureInfo.InvariantCulture, out var value) ? value : 0;
    }
}
