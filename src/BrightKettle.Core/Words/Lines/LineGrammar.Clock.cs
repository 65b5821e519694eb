using BrightKettle.Core.Words.Grammar;
using NodaTime;
using Superpower.Model;

namespace BrightKettle.Core.Words.Lines;

/// <summary>Hours and spans, as people say them.</summary>
internal sealed partial class LineGrammar
{
    private static readonly string[] Ats =
    [
        "at",
        "a",
        "um",
        "gegen",
        "alle",
        "ore",
        "as",
        "saat",
        "by",
        "around",
        "vers",
        "sobre",
        "kl",
        "for",
        "til",
        "until",
        "before",
        "about",
        "las",
        "les",
        "la",
        "le",
        "os",
    ];

    /// <summary>at seven, 18:30, 6.30, 6:30 pm, half seven, half past six, quarter to eight, 13h, 20h30, um 19 uhr.</summary>
    private Found Clock(IReadOnlyList<Token<LineToken>> t, int at)
    {
        var next = at;
        while (next < t.Count && Is(t, next, Ats))
        {
            next++;
        }

        var led = next > at;
        if (Shown(t, next, led) is var (time, length) && length > 0)
        {
            return new((s, l) => new LinePart.Time(s, l, time), next + length - at);
        }

        return default;
    }

    /// <summary>tonight 8, tomorrow 7, dinner 8: a number behind a day or a meal that ends what is said; saturday 7 for 5 people.</summary>
    private Found BareHour(IReadOnlyList<Token<LineToken>> t, int at) =>
        at > 0
        && at < t.Count
        && t[at].Kind == LineToken.Number
        && int.TryParse(t[at].ToStringValue(), out var hour)
        && hour is >= 1 and <= 12
        && (
            at + 1 == t.Count
            || t[at + 1].Kind == LineToken.Mark
            || (Is(t, at + 1, "for", "para", "pour", "für", "per") && People(t, at + 1).Tokens > 0)
        )
        && Enumerable
            .Range(Math.Max(0, at - LongestDay), Math.Min(LongestDay, at))
            .Any(i => DayOrMeal(t, i) is var length and > 0 && i + length == at)
            ? new((s, l) => new LinePart.Time(s, l, new LocalTime(hour == 12 || IsMorning(t, at) ? hour : hour + 12, 0)), 1)
            : default;

    /// <summary>Brunch 11, breakfast 8.</summary>
    private bool IsMorning(IReadOnlyList<Token<LineToken>> t, int at) =>
        Enumerable
            .Range(Math.Max(0, at - LongestDay), Math.Min(LongestDay, at))
            .Any(i => Words.Clock.At(t, i) is var (meal, length) && i + length == at && string.CompareOrdinal(meal, "12:00") < 0);

    /// <summary>Words of the longest name of a day.</summary>
    private const int LongestDay = 4;

    private int DayOrMeal(IReadOnlyList<Token<LineToken>> t, int at) =>
        Words.Days.At(t, at) is var (_, day) ? day
        : Words.Weekdays.At(t, at) is var (_, weekday) ? weekday
        : Words.Clock.At(t, at) is var (_, meal) ? meal
        : 0;

    private (LocalTime At, int Length) Shown(IReadOnlyList<Token<LineToken>> t, int at, bool led)
    {
        if (at >= t.Count)
        {
            return default;
        }

        // Half seven is half past six in German kitchens, and half past seven in English ones.
        var part =
            Is(t, at, "half") && Is(t, at + 1, "past") ? (30, 2)
            : Is(t, at, "quarter") && Is(t, at + 1, "past") ? (15, 2)
            : Is(t, at, "quarter") && Is(t, at + 1, "to") ? (-15, 2)
            : Is(t, at, "half") ? (30, 1)
            : Is(t, at, "halb") ? (-30, 1)
            : Is(t, at, "viertel") && Is(t, at + 1, "nach") ? (15, 2)
            : Is(t, at, "viertel") && Is(t, at + 1, "vor") ? (-15, 2)
            : (0, 0);
        if (part.Item2 > 0)
        {
            var (hour, words) = Number(t, at + part.Item2);
            if (words == 1 && hour is >= 1 and <= 12 && hour == Math.Floor(hour))
            {
                var (evening, more) = Half(t, at + part.Item2 + 1, (int)hour);
                return (new LocalTime(evening % 24, 0).PlusMinutes(part.Item1), part.Item2 + 1 + more);
            }

            return default;
        }

        // Ten past seven, twenty to eight.
        if (
            Number(t, at) is (var past and (5 or 10 or 20 or 25), 1)
            && Is(t, at + 1, "past", "to")
            && Number(t, at + 2) is (var of and >= 1 and <= 12, 1)
        )
        {
            var (evening, more) = Half(t, at + 3, (int)of);
            return (new LocalTime(evening % 24, 0).PlusMinutes((long)(Is(t, at + 1, "to") ? -past : past)), 3 + more);
        }

        var token = t[at].ToStringValue();
        // 1930, where nothing is counted by it.
        if (
            t[at].Kind == LineToken.Number
            && token.Length == 4
            && int.TryParse(token, out var four)
            && four / 100 is >= 6 and < 24
            && four % 100 < 60
            && four % 5 == 0
            && !Counts(t, at + 1)
            && !Is(t, at + 1, "of", "de", "x")
        )
        {
            return (new LocalTime(four / 100, four % 100), 1);
        }

        if (t[at].Kind == LineToken.Number && token.Split(':', '.', ',') is [{ Length: <= 2 } h, { Length: 2 } m])
        {
            var (hours, minutes) = (int.Parse(h, null), int.Parse(m, null));
            var unit = Words.Units.At(t, at + 1) is not null;
            if (hours < 24 && minutes < 60 && !unit && (token.Contains(':', StringComparison.Ordinal) || led || minutes % 5 == 0))
            {
                var (evening, more) = Half(t, at + 1, hours, token.Contains(':', StringComparison.Ordinal) && h.Length == 2);
                more += Is(t, at + 1 + more, "h", "hs", "hrs", "uhr", "baje") ? 1 : 0;
                return (new LocalTime(evening % 24, minutes), 1 + more);
            }

            return default;
        }

        var (said, digits) = Number(t, at);
        if (digits != 1 || said != Math.Floor(said) || said is < 0 or > 24)
        {
            return default;
        }

        var whole = (int)said;
        // Seven thirty, eight fifteen, seven forty five.
        if (
            t[at].Kind == LineToken.Word
            && whole is >= 1 and <= 12
            && One(t, at + 1) is (var past2 and (10 or 15 or 20 or 30 or 40 or 50), 1)
            && t[at + 1].Kind == LineToken.Word
            && !Counts(t, at + 2)
        )
        {
            var five = past2 is 20 or 30 or 40 or 50 && One(t, at + 2) is (5, 1) && t[at + 2].Kind == LineToken.Word ? 1 : 0;
            var (said2, half) = Half(t, at + 2 + five, whole);
            return (new LocalTime(said2 % 24, (int)past2 + (5 * five)), 2 + five + half);
        }

        // 13h, 20h30, 19 Uhr, 7 pm, seven o'clock.
        // "8 hrs" is how long, "13 hrs" when.
        if (Is(t, at + 1, "h", "uhr", "hs", "baje") || (Is(t, at + 1, "hrs") && (led || whole >= 12)))
        {
            var minutes =
                at + 2 < t.Count
                && t[at + 2] is { Kind: LineToken.Number, Span.Length: 2 }
                && int.TryParse(t[at + 2].ToStringValue(), out var m2)
                && m2 < 60
                && !Counts(t, at + 3)
                    ? m2
                    : -1;
            var late = Is(t, at - 1, Evenings) || Is(t, at - 2, Evenings);
            var hour =
                whole < 12 && (late || (Is(t, at + 1, "h", "uhr", "baje") && whole <= 8) || Is(t, at + 1, "baje")) ? whole + 12 : whole;
            return (new LocalTime(hour % 24, Math.Max(0, minutes)), minutes >= 0 ? 3 : 2);
        }

        var ish = at + (Is(t, at + 1, "-") ? 2 : 1);
        if (Is(t, ish, "ish"))
        {
            return (new LocalTime((whole is >= 1 and < 12 ? whole + 12 : whole) % 24, 0), ish + 1 - at);
        }

        // A las dos y media, sept heures et quart, alle otto e mezza.
        if (led && Further(t, at + 1) is var (minutesOn, tokens) && tokens > 0)
        {
            return (new LocalTime((whole is >= 1 and < 12 ? whole + 12 : whole) % 24, 0).PlusMinutes(minutesOn), 1 + tokens);
        }

        var (at2, pm) = Half(t, at + 1, whole);
        return
            pm > 0
            || (
                led
                && !Counts(t, at + 1)
                && whole is >= 1
                && (!Is(t, at - 1, "for", "a", "about", "around", "la", "le", "os") || (Is(t, at - 1, "la") && Is(t, at - 2, "a")))
            )
            || (led && whole >= 1 && Is(t, at - 1, "around", "about") && !Counts(t, at + 1))
            ? (new LocalTime(at2 % 24, 0), 1 + pm)
            : default;
    }

    private static readonly string[] Evenings = ["raat", "sham", "shaam", "akşam", "aksam", "abends", "noche", "soir", "sera", "noite"];

    /// <summary>The half or the quarter behind an hour.</summary>
    private static (int Minutes, int Tokens) Further(IReadOnlyList<Token<LineToken>> t, int at) =>
        Is(t, at, "y", "et", "e") && Is(t, at + 1, "media", "demie", "mezza", "mezzo", "meia") ? (30, 2)
        : Is(t, at, "heures", "heure", "h") && Is(t, at + 1, "et") && Is(t, at + 2, "demie") ? (30, 3)
        : Is(t, at, "y", "et", "e") && Is(t, at + 1, "cuarto", "quart") ? (15, 2)
        : Is(t, at, "e") && Is(t, at + 1, "un") && Is(t, at + 2, "quarto") ? (15, 3)
        : Is(t, at, "menos") && Is(t, at + 1, "cuarto") ? (-15, 2)
        : Is(t, at, "moins") && Is(t, at + 1, "le") && Is(t, at + 2, "quart") ? (-15, 3)
        : (0, 0);

    /// <summary>Whether what follows makes a number an amount or people; nobody counts beans.</summary>
    private bool Counts(IReadOnlyList<Token<LineToken>> t, int at) =>
        Words.Units.At(t, at) is not null
        || Words.People.At(t, at) is not null
        || Words.Kids.At(t, at) is not null
        || Name(t, at) is ({ Kind: "extra" }, _);

    /// <summary>The hour with am, pm or o'clock behind it; a bare hour up to eleven is an evening's.</summary>
    private (int Hour, int Tokens) Half(IReadOnlyList<Token<LineToken>> t, int at, int hour, bool asShown = false)
    {
        // 6 p.m.
        if (Is(t, at, "a", "p") && Is(t, at + 1, ".") && Is(t, at + 2, "m"))
        {
            var dotted = Is(t, at + 3, ".") ? 4 : 3;
            return (
                Is(t, at, "a") ? hour % 12
                : hour < 12 ? hour + 12
                : hour,
                dotted
            );
        }

        // "6 am Sonntag" is a day, not a morning.
        if (Words.Halves.At(t, at) is var (half, length) && !(Is(t, at, "am") && Is(t, at + 1, GermanDays)))
        {
            return (
                half == Morning ? hour % 12
                : hour < 12 ? hour + 12
                : hour,
                length
            );
        }

        var clock =
            Is(t, at, "oclock") ? 1
            : Is(t, at, "o") && Is(t, at + 1, "clock") ? 2
            : Is(t, at, "o") && Is(t, at + 1, "'", "’") && Is(t, at + 2, "clock") ? 3
            : 0;
        return (!asShown && hour is >= 1 and < 12 && !Breakfasts(t, at) ? hour + 12 : hour, clock);
    }

    /// <summary>Breakfast at 9: the hour that ends here stands behind a meal of the morning.</summary>
    private bool Breakfasts(IReadOnlyList<Token<LineToken>> t, int at) => at > 2 && Is(t, at - 2, Ats) && IsMorning(t, at - 2);

    private const string Morning = "morning";

    private static readonly string[] GermanDays =
    [
        "montag",
        "dienstag",
        "mittwoch",
        "donnerstag",
        "freitag",
        "samstag",
        "sonnabend",
        "sonntag",
    ];

    /// <summary>in two hours, in an hour and a half, in 90 minutes, dans 2 heures, en dos horas.</summary>
    private Found Relative(IReadOnlyList<Token<LineToken>> t, int at)
    {
        var led = Is(t, at, "in", "dans", "en", "within", "tra", "fra", "em") ? 1 : 0;
        led += led > 0 && Is(t, at + led, "einer") ? 1 : 0;
        // I have 40 minutes.
        led += led == 0 && Is(t, at, "have", "got") ? 1 : 0;
        if (Span(t, at + led) is not ({ } span, > 0 and var length) || span > Duration.FromDays(3))
        {
            return default;
        }

        // Two hours from now; "40 minutes" alone may be anything.
        var next = at + led + length;
        var from =
            Is(t, next, "from") && Is(t, next + 1, "now") ? 2
            : Is(t, next, "hence", "icinde", "sonra") ? 1
            : 0;
        return led + from == 0 ? default : new((s, l) => new LinePart.FromNow(s, l, span), next + from - at);
    }
}
