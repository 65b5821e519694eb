using BrightKettle.Core.Words.Grammar;
using Superpower.Model;

namespace BrightKettle.Core.Words.Lines;

/// <summary>For how many.</summary>
internal sealed partial class LineGrammar
{
    /// <summary>for four, for 6 people, we are 3, 2 kids, para 4, 4 kişilik.</summary>
    private Found People(IReadOnlyList<Token<LineToken>> t, int at)
    {
        var led =
            Is(t, at, "for", "para", "pra", "pour", "fur", "per", "feeds", "serves", "serving", "we", "somos", "seremos", "sommes", "siamo")
            || Is(t, at, "there", "feed", "feeding", "crowd", "party", "table", "mesa", "so", "total");
        // For me, just us two.
        if (Is(t, at, "for", "para", "pour", "fur", "per") && Alone(t, at + 1) is > 0 and var alone)
        {
            return new((s, l) => new LinePart.People(s, l, 1, false), 1 + alone);
        }

        // Guests: 7.
        if (
            Words.People.At(t, at) is var (_, eaters)
            && Is(t, at + eaters, ":", "=", "?")
            && One(t, at + eaters + 1) is (var listed and >= 1 and <= 40, 1)
            && listed == Math.Floor(listed)
        )
        {
            return new((s, l) => new LinePart.People(s, l, (int)listed, false), eaters + 2);
        }

        // Adults 2, kids 3.
        if (
            (Words.People.At(t, at) ?? Words.Kids.At(t, at)) is var (_, who)
            && One(t, at + who) is (var each and >= 1 and <= 40, 1)
            && each == Math.Floor(each)
            && t[at + who].Kind == LineToken.Number
            && (at + who + 1 == t.Count || t[at + who + 1].ToStringValue() is "," or ";" or "." or ")")
        )
        {
            var little = Words.Kids.At(t, at) is not null;
            return new((s, l) => new LinePart.People(s, l, (int)each, little), who + 1);
        }

        // Just me, just the two of us; 2 little ones and me.
        if (Is(t, at, "just", "only") && Is(t, at + 1, "me", "myself"))
        {
            return new((s, l) => new LinePart.People(s, l, 1, false), 2);
        }

        if (
            Is(t, at, "and", "plus", "n", "y", "et", "und", "e")
            && Alone(t, at + 1) is > 0 and var beside
            && at > 0
            && Enumerable.Range(Math.Max(0, at - 2), Math.Min(2, at)).Any(i => Words.Kids.At(t, i) is not null)
        )
        {
            return new((s, l) => new LinePart.People(s, l, 1, false), 1 + beside);
        }

        var next = at;
        while (
            led
            && next < t.Count
            && Is(
                t,
                next,
                "for",
                "para",
                "pra",
                "pour",
                "fur",
                "per",
                "feeds",
                "serves",
                "serving",
                "we",
                "re",
                "are",
                "'",
                "’",
                "there",
                "will",
                "be",
                "ll",
                "somos",
                "seremos",
                "sommes",
                "siamo",
                "of",
                "us",
                "a",
                "crowd",
                "party",
                "feed",
                "feeding",
                "table",
                "mesa",
                "so",
                "total",
                "about"
            )
        )
        {
            next++;
        }

        // Siamo in 5; "on the table in 30 minutes" counts nobody.
        next += next > at && Is(t, next - 1, "siamo") && Is(t, next, "in") ? 1 : 0;
        var (count, length) = Number(t, next);
        // "Pour 2 à 20 h" is no range.
        (count, length) = length > 1 && Is(t, next + length, "h", "uhr", "hrs") ? One(t, next) : (count, length);
        // A mean of a range counts the guest who may come.
        count = length > 1 ? Math.Ceiling(count) : count;
        if (length == 0 || count is < 1 or > 40 || count != Math.Floor(count))
        {
            return default;
        }

        var article = length == 1 && Is(t, next, "a", "an", "un", "una", "une", "ein", "eine", "um", "uma");
        next += length;
        if (Words.Kids.At(t, next) is var (_, kids))
        {
            return new((s, l) => new LinePart.People(s, l, (int)count, true), next + kids - at);
        }

        if (Words.People.At(t, next) is var (_, people))
        {
            return new((s, l) => new LinePart.People(s, l, (int)count, false), next + people - at);
        }

        // "For six" is people; "for six o'clock", "for 6 pm" and "for 300 g" are not.
        return
            led
            && !article
            && !Is(t, next, "pm", "o", "h", "uhr", "oclock", "hours", "hour", "ish")
            && !(Is(t, next, "am") && Words.Weekdays.At(t, next + 1) is null)
            && Words.Units.At(t, next) is null
            && (Name(t, next) is null || t[next - 1].Kind == LineToken.Word || count <= 12)
            ? new((s, l) => new LinePart.People(s, l, (int)count, false), next - at)
            : default;
    }

    /// <summary>Words for one eater behind "for"; 0 for none.</summary>
    private static int Alone(IReadOnlyList<Token<LineToken>> t, int at) =>
        Is(t, at, "just", "only") && Is(t, at + 1, "me", "myself") ? 2
        : Is(t, at, "me", "myself", "mi", "moi", "mich", "mim") ? 1
        : 0;

    /// <summary>A number that stands all alone between commas, or with a day behind it: so many eat.</summary>
    private Found Lonely(IReadOnlyList<Token<LineToken>> t, int at)
    {
        bool Ends(int i) =>
            i < 0 || i >= t.Count || (t[i].Kind == LineToken.Mark && t[i].ToStringValue() is "," or ";" or "." or "!" or "(" or ")");
        var written = t[at].Kind == LineToken.Word;
        return
            One(t, at) is (var count, 1)
            && count is >= 1 and <= 20
            && count == Math.Floor(count)
            && !(written && count == 1)
            && (Ends(at - 1) || (!written && Name(t, at - 1) is not null))
            && (Ends(at + 1) || Words.Days.At(t, at + 1) is not null || Words.Weekdays.At(t, at + 1) is not null)
            ? new((s, l) => new LinePart.People(s, l, (int)count, false) { Bare = true }, 1)
            : default;
    }
}
