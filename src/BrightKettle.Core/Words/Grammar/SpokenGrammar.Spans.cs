using NodaTime;
using Superpower.Model;

namespace BrightKettle.Core.Words.Grammar;

/// <content>How long: two hours, 40 to 45 minutes, an hour and a half, 1 h 20, three quarters of an hour, hora y media.</content>
internal abstract partial class SpokenGrammar
{
    protected static readonly string[] HourWords =
    [
        "hour",
        "hours",
        "hr",
        "hrs",
        "h",
        "heure",
        "heures",
        "hora",
        "horas",
        "stunde",
        "stunden",
        "std",
        "ora",
        "ore",
        "saat",
        "ghante",
        "ghanta",
    ];

    protected static readonly string[] MinuteWords =
    [
        "m",
        "min",
        "mins",
        "mn",
        "minute",
        "minutes",
        "minuten",
        "minutos",
        "minuto",
        "minuti",
        "dakika",
        "dk",
        "minat",
    ];

    protected static readonly string[] DayWords = ["day", "days", "tag", "tage", "jour", "jours", "giorno", "giorni", "dia", "dias", "gun"];

    /// <summary>The middle of a range counts.</summary>
    protected (Duration? Span, int Length) Span(IReadOnlyList<Token<LineToken>> t, int at) =>
        MinutesOf(t, at) is (var low, var high, > 0 and var length) ? (Duration.FromMinutes((low + high) / 2), length) : (null, 0);

    /// <summary>Least and most, minutes; length 0 for none.</summary>
    protected (double Low, double High, int Length) MinutesOf(IReadOnlyList<Token<LineToken>> t, int at)
    {
        var (low, high, digits) = Range(t, at);
        if (digits == 0)
        {
            return default;
        }

        var next = at + digits;
        // Half an hour, three quarters of an hour, a 2-hour soak.
        while (Is(t, next, "-", "of", "a", "an", "de", "d", "'", "good", "full", "long", "more"))
        {
            next++;
        }

        double unit =
            Is(t, next, HourWords) ? 60
            : Is(t, next, DayWords) ? 24 * 60
            : Is(t, next, MinuteWords) ? 1
            : 0;
        if (unit == 0)
        {
            // 40′
            var mark = at + digits;
            return Is(t, mark, "'", "′", "’") && (mark + 1 >= t.Count || t[mark + 1].Kind == LineToken.Mark)
                ? (low, high, digits + 1)
                : default;
        }

        next++;
        (low, high) = (low * unit, high * unit);
        if (unit == 60)
        {
            var (more, tokens) = Beyond(t, next);
            (low, high, next) = (low + more, high + more, next + tokens);
        }

        return (low, high, next - at);
    }

    /// <summary>Minutes behind the hours: and a half, y cuarto, 20 min, and ten minutes.</summary>
    private (double Minutes, int Tokens) Beyond(IReadOnlyList<Token<LineToken>> t, int at)
    {
        var next = at + (Is(t, at, "and", "y", "et", "e", "und", "ve", "&", ",") ? 1 : 0);
        var led = next > at;
        while (led && Is(t, next, "a", "an", "un", "una", "une", "eine", "ein"))
        {
            next++;
        }

        if (led && Is(t, next, "half", "media", "demie", "demi", "mezza", "mezzo", "meia", "halbe"))
        {
            return (30, next + 1 - at);
        }

        if (led && Is(t, next, "quarter", "cuarto", "quart", "quarto", "viertel"))
        {
            return (15, next + 1 - at);
        }

        // 1 h 20, 1 hour 20 min.
        return
            One(t, next) is (var minutes and > 0 and < 60, 1)
            && (Is(t, next + 1, MinuteWords) || (!led && next < t.Count && t[next].ToStringValue().Length == 2 && Is(t, at - 1, "h")))
            ? (minutes, next + (Is(t, next + 1, MinuteWords) ? 2 : 1) - at)
            : (0, 0);
    }
}
