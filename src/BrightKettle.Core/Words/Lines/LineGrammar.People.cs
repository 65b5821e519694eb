using Superpower.Model;

namespace BrightKettle.Core.Words.Lines;

/// <summary>For how many.</summary>
internal sealed partial class LineGrammar
{
    /// <summary>for four, for 6 people, we are 3, 2 kids, para 4, 4 kişilik.</summary>
    private Found People(IReadOnlyList<Token<LineToken>> t, int at)
    {
        var led =
            Is(t, at, "for", "para", "pour", "fur", "per", "feeds", "serves", "serving", "we", "somos", "seremos", "sommes")
            || (Is(t, at, "there"));
        var next = at;
        while (
            led
            && next < t.Count
            && Is(
                t,
                next,
                "for",
                "para",
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
                "of",
                "us",
                "about"
            )
        )
        {
            next++;
        }

        var (count, length) = Number(t, next);
        if (length == 0 || count is < 1 or > 40 || count != Math.Floor(count))
        {
            return default;
        }

        next += length;
        if (vocabulary.Kids.At(t, next) is var (_, kids))
        {
            return new((s, l) => new LinePart.People(s, l, (int)count, true), next + kids - at);
        }

        if (vocabulary.People.At(t, next) is var (_, people))
        {
            return new((s, l) => new LinePart.People(s, l, (int)count, false), next + people - at);
        }

        // "For six" is people; "for six o'clock", "for 6 pm" and "for 300 g" are not.
        return
            led
            && !Is(t, next, "pm", "am", "o", "h", "uhr", "oclock", "hours", "hour", "ish")
            && vocabulary.Units.At(t, next) is null
            && (Name(t, next) is null || t[next - 1].Kind == LineToken.Word || count <= 12)
            ? new((s, l) => new LinePart.People(s, l, (int)count, false), next - at)
            : default;
    }
}
