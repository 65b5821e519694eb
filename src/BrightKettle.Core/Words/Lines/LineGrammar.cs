using BrightKettle.Core.Catalogue;
using NodaTime;
using Superpower.Model;

namespace BrightKettle.Core.Words.Lines;

/// <summary>Reads a line part by part: at each place the longest that can be read; what nothing reads stands as unread.</summary>
internal sealed class LineGrammar(Vocabulary vocabulary)
{
    private static readonly Dictionary<string, double> SaidNumbers = PulseCatalogue
        .ReadList<SaidNumber>("numbers.json")
        .ToDictionary(n => n.Word, n => n.Value);

    private sealed record SaidNumber(string Word, double Value);

    /// <summary>A part with the tokens that it takes.</summary>
    private readonly record struct Found(Func<int, int, LinePart>? Part, int Tokens);

    /// <param name="line">In composed form.</param>
    public IReadOnlyList<LinePart> Read(string line)
    {
        var tokens = LineTokens.Of(LineTokens.Fold(line));
        var parts = new List<LinePart>();
        for (var at = 0; at < tokens.Count; )
        {
            var best = Best(tokens, at);
            if (best.Tokens == 0)
            {
                var word = tokens[at];
                if (word.Kind is LineToken.Word or LineToken.Number && !vocabulary.Idle.Contains(word.ToStringValue()))
                {
                    parts.Add(
                        new LinePart.Unread(
                            word.Position.Absolute,
                            word.Span.Length,
                            line.Substring(word.Position.Absolute, word.Span.Length)
                        )
                    );
                }

                at++;
                continue;
            }

            var (first, last) = (tokens[at], tokens[at + best.Tokens - 1]);
            var start = first.Position.Absolute;
            if (best.Part is { } make)
            {
                parts.Add(make(start, last.Position.Absolute + last.Span.Length - start));
            }

            at += best.Tokens;
        }

        return parts;
    }

    private Found Best(IReadOnlyList<Token<LineToken>> tokens, int at)
    {
        Found best = default;
        foreach (var found in Tries(tokens, at))
        {
            best = found.Tokens > best.Tokens ? found : best;
        }

        return best;
    }

    /// <summary>In the order in which they win where they are equally long.</summary>
    private IEnumerable<Found> Tries(IReadOnlyList<Token<LineToken>> t, int at)
    {
        if (vocabulary.Dishes.At(t, at) is var (dish, dishLength))
        {
            yield return new(
                (s, l) => new LinePart.Dish(s, l, dish.Pulses, dish.Rice, dish.Style, dish.PulseTarget, dish.RiceTarget, dish.Extras ?? []),
                dishLength
            );
        }

        yield return Relative(t, at);
        yield return Clock(t, at);
        yield return People(t, at);
        yield return Amounted(t, at);
        yield return Loose(t, at);
        yield return Word(t, at);
        yield return Without(t, at);
        if (vocabulary.Days.At(t, at) is var (day, dayLength))
        {
            yield return new((s, l) => new LinePart.Day(s, l, int.Parse(day, null)), dayLength);
        }

        if (vocabulary.Weekdays.At(t, at) is var (weekday, weekLength))
        {
            yield return new((s, l) => new LinePart.Weekday(s, l, Enum.Parse<IsoDayOfWeek>(weekday, ignoreCase: true)), weekLength);
        }

        if (vocabulary.Clock.At(t, at) is var (hour, hourLength))
        {
            var (h, m) = (int.Parse(hour[..2], null), int.Parse(hour[3..], null));
            yield return new((s, l) => new LinePart.Time(s, l, new LocalTime(h, m)), hourLength);
        }
    }

    private Found Word(IReadOnlyList<Token<LineToken>> t, int at) =>
        vocabulary.Words.At(t, at) is var (means, length) && means.Split(':') is [var of, var what]
            ? new((s, l) => new LinePart.Said(s, l, of, what), length)
            : default;

    /// <summary>no onion, without rice, not soaked, skip the coconut.</summary>
    private Found Without(IReadOnlyList<Token<LineToken>> t, int at)
    {
        if (vocabulary.Without.At(t, at) is not var (_, no))
        {
            return default;
        }

        var next = at + no;
        while (next < t.Count && Is(t, next, "the", "any", "a", "of", "de", "la", "el", "use", "want"))
        {
            next++;
        }

        if (vocabulary.Names.At(t, next) is var (name, length))
        {
            return name.Kind == "rice"
                ? new((s, l) => new LinePart.Said(s, l, "rice", "none"), next + length - at)
                : new((s, l) => new LinePart.Named(s, l, name.Kind, name.Ids, null, true), next + length - at);
        }

        return vocabulary.Words.At(t, next) is ({ } means, var words) && means.StartsWith("soak:", StringComparison.Ordinal)
            ? new((s, l) => new LinePart.Said(s, l, "soak", "none"), next + words - at)
            : default;
    }

    /// <summary>300 g chickpeas, chickpeas 300 g, two cups of rice, half a kilo, a tin of beans, lentils.</summary>
    private Found Amounted(IReadOnlyList<Token<LineToken>> t, int at)
    {
        if (Amount(t, at) is var (amount, length) && length > 0)
        {
            var next = at + length;
            while (
                next < t.Count
                && (Is(t, next, "of", "de", "di", "d", "the", "von", "del", "da", "-", "'", "uncooked") || Is(t, next, Dried))
            )
            {
                next++;
            }

            // A tin of tomatoes is a name; a tin of beans an amount of them.
            return Name(t, next) is var (name, words)
                ? new((s, l) => new LinePart.Named(s, l, name.Kind, name.Ids, amount, false), next + words - at)
                : default;
        }

        if (Name(t, at) is not var (plain, taken))
        {
            return default;
        }

        // Dry seed is what it is, not how it is eaten.
        taken += plain.Kind == "pulse" && Is(t, at + taken, Dried) ? 1 : 0;
        var from = at + taken;
        while (from < t.Count && Is(t, from, ":", "(", "-", ",", "="))
        {
            from++;
        }

        return Amount(t, from) is var (after, more) && more > 0 && after.Unit != "piece" && !BelongsToNext(t, from + more)
            ? new((s, l) => new LinePart.Named(s, l, plain.Kind, plain.Ids, after, false), from + more - at)
            : new((s, l) => new LinePart.Named(s, l, plain.Kind, plain.Ids, null, false), taken);
    }

    private static readonly string[] Dried =
    [
        "dry",
        "dried",
        "seco",
        "secos",
        "secas",
        "seca",
        "secs",
        "secche",
        "secchi",
        "getrocknet",
        "kuru",
        "raw",
    ];

    /// <summary>An amount between two names: the second's, unless that one has its own behind it.</summary>
    private bool BelongsToNext(IReadOnlyList<Token<LineToken>> t, int at) =>
        NamesFollow(t, at) || (Name(t, at) is var (_, words) && Amount(t, at + words).Length == 0);

    /// <summary>An amount by itself: of what was named last.</summary>
    private Found Loose(IReadOnlyList<Token<LineToken>> t, int at) =>
        Amount(t, at) is var (amount, length) && length > 0 && amount.Unit != "piece"
            ? new((s, l) => new LinePart.Loose(s, l, amount), length)
            : default;

    /// <summary>"…, 200 g of rice": the amount belongs to what follows.</summary>
    private bool NamesFollow(IReadOnlyList<Token<LineToken>> t, int at) =>
        at < t.Count && Is(t, at, "of", "de", "di", "d", "von", "dried", "dry") && Name(t, at + 1) is not null;

    private (SpokenName Name, int Length)? Name(IReadOnlyList<Token<LineToken>> t, int at)
    {
        if (vocabulary.Names.At(t, at) is not var (name, length))
        {
            return null;
        }

        return name.Beside && !Enumerable.Range(0, t.Count).Any(i => i != at && vocabulary.Names.At(t, i) is ({ Beside: false }, _))
            ? null
            : (name, length);
    }

    private (SaidAmount Amount, int Length) Amount(IReadOnlyList<Token<LineToken>> t, int at)
    {
        var (value, digits) = Number(t, at);
        if (digits == 0)
        {
            return default;
        }

        var next = at + digits;
        while (next < t.Count && Is(t, next, "a", "an", "x", "of"))
        {
            next++;
        }

        if (vocabulary.Units.At(t, next) is var (unit, words))
        {
            var said = unit switch
            {
                "kg" => new SaidAmount(1000 * value, "g"),
                "oz" => new SaidAmount(28.35 * value, "g"),
                "lb" => new SaidAmount(453.6 * value, "g"),
                "l" => new SaidAmount(1000 * value, "ml"),
                _ => new SaidAmount(value, unit),
            };
            return (said, next + words - at);
        }

        return digits == 1 && t[at].Kind == LineToken.Word && value == 1 ? default : (new SaidAmount(value, "piece"), digits);
    }

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

        var token = t[at].ToStringValue();
        if (t[at].Kind == LineToken.Number && token.Split(':', '.', ',') is [{ Length: <= 2 } h, { Length: 2 } m])
        {
            var (hours, minutes) = (int.Parse(h, null), int.Parse(m, null));
            var unit = vocabulary.Units.At(t, at + 1) is not null;
            if (hours < 24 && minutes < 60 && !unit && (token.Contains(':', StringComparison.Ordinal) || led || minutes % 5 == 0))
            {
                var (evening, more) = Half(t, at + 1, hours, token.Contains(':', StringComparison.Ordinal) && h.Length == 2);
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
        // 13h, 20h30, 19 Uhr, 7 pm, seven o'clock.
        if (Is(t, at + 1, "h", "uhr", "hs", "hrs"))
        {
            var minutes =
                at + 2 < t.Count && t[at + 2].Kind == LineToken.Number && int.TryParse(t[at + 2].ToStringValue(), out var m2) && m2 < 60
                    ? m2
                    : -1;
            var hour = whole < 12 && Is(t, at + 1, "h", "uhr") && whole <= 8 ? whole + 12 : whole;
            return (new LocalTime(hour % 24, Math.Max(0, minutes)), minutes >= 0 ? 3 : 2);
        }

        if (Is(t, at + 1, "ish"))
        {
            return (new LocalTime((whole is >= 1 and < 12 ? whole + 12 : whole) % 24, 0), 2);
        }

        var (at2, pm) = Half(t, at + 1, whole);
        return
            pm > 0
            || (led && !Counts(t, at + 1) && whole is >= 1 && !Is(t, at - 1, "for", "a", "about", "around", "la", "le", "os"))
            || (led && whole >= 1 && Is(t, at - 1, "around", "about") && !Counts(t, at + 1))
            ? (new LocalTime(at2 % 24, 0), 1 + pm)
            : default;
    }

    /// <summary>Whether what follows makes a number an amount or people.</summary>
    private bool Counts(IReadOnlyList<Token<LineToken>> t, int at) =>
        vocabulary.Units.At(t, at) is not null
        || vocabulary.People.At(t, at) is not null
        || vocabulary.Kids.At(t, at) is not null
        || Name(t, at) is not null;

    /// <summary>The hour with am, pm or o'clock behind it; a bare hour up to eleven is an evening's.</summary>
    private static (int Hour, int Tokens) Half(IReadOnlyList<Token<LineToken>> t, int at, int hour, bool asShown = false)
    {
        if (Is(t, at, "am") || (Is(t, at, "a") && Is(t, at + 1, "m")))
        {
            return (hour % 12, 1);
        }

        if (Is(t, at, "pm"))
        {
            return (hour < 12 ? hour + 12 : hour, 1);
        }

        if (Is(t, at, "in") && Is(t, at + 1, "the") && Is(t, at + 2, "morning"))
        {
            return (hour % 12, 3);
        }

        if (Is(t, at, "in") && Is(t, at + 1, "the") && Is(t, at + 2, "evening", "afternoon"))
        {
            return (hour < 12 ? hour + 12 : hour, 3);
        }

        var clock =
            Is(t, at, "oclock") ? 1
            : Is(t, at, "o") && Is(t, at + 1, "clock") ? 2
            : Is(t, at, "o") && Is(t, at + 1, "'", "’") && Is(t, at + 2, "clock") ? 3
            : 0;
        return (!asShown && hour is >= 1 and < 12 ? hour + 12 : hour, clock);
    }

    /// <summary>in two hours, in an hour and a half, in 90 minutes, dans 2 heures, en dos horas.</summary>
    private Found Relative(IReadOnlyList<Token<LineToken>> t, int at)
    {
        if (!Is(t, at, "in", "dans", "en", "within", "tra", "em"))
        {
            return default;
        }

        var (value, length) = Number(t, at + 1);
        if (length == 0)
        {
            return default;
        }

        var next = at + 1 + length;
        while (Is(t, next, "a", "an", "of"))
        {
            next++;
        }

        var hours = Is(
            t,
            next,
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
            "ora",
            "ore",
            "saat"
        );
        if (!hours && !Is(t, next, "min", "mins", "minute", "minutes", "minuten", "minutos", "minuti", "dakika"))
        {
            return default;
        }

        next++;
        var half = hours && Is(t, next, "and") && Is(t, next + 1, "a") && Is(t, next + 2, "half");
        var span = Duration.FromMinutes((value * (hours ? 60 : 1)) + (half ? 30 : 0));
        return span > Duration.FromDays(3) ? default : new((s, l) => new LinePart.FromNow(s, l, span), next + (half ? 3 : 0) - at);
    }

    private static readonly Dictionary<char, double> Parts = new()
    {
        ['½'] = 0.5,
        ['¼'] = 0.25,
        ['¾'] = 0.75,
        ['⅓'] = 1.0 / 3,
        ['⅔'] = 2.0 / 3,
        ['⅛'] = 0.125,
    };

    /// <summary>One number, or the middle of a range; how many tokens it takes, 0 for none.</summary>
    private (double Value, int Tokens) Number(IReadOnlyList<Token<LineToken>> t, int at)
    {
        var (low, first) = One(t, at);
        if (
            first == 0
            || !Is(t, at + first, "-", "–", "to", "or")
            || One(t, at + first + 1) is not (var high, > 0 and var second)
            || high <= low
        )
        {
            return (low, first);
        }

        return ((low + high) / 2, first + 1 + second);
    }

    private (double Value, int Tokens) One(IReadOnlyList<Token<LineToken>> t, int at)
    {
        if (at >= t.Count)
        {
            return default;
        }

        var text = t[at].ToStringValue();
        switch (t[at].Kind)
        {
            case LineToken.Part:
                return (Parts[text[0]], 1);
            case LineToken.Number:
                var value = Written(text);
                if (at + 1 < t.Count && t[at + 1].Kind == LineToken.Part)
                {
                    return (value + Parts[t[at + 1].ToStringValue()[0]], 2);
                }

                return
                    at + 1 < t.Count
                    && t[at + 1].Kind == LineToken.Number
                    && t[at + 1].ToStringValue().Contains('/', StringComparison.Ordinal)
                    ? (value + Written(t[at + 1].ToStringValue()), 2)
                    : (value, 1);
            case LineToken.Word when SaidNumbers.TryGetValue(text, out var said) || vocabulary.Numbers.TryGetValue(text, out said):
                if (
                    text.Length <= 2
                    && at + 1 < t.Count
                    && SaidNumbers.TryGetValue(t[at + 1].ToStringValue(), out var more)
                    && t[at + 1].ToStringValue().Length > 2
                )
                {
                    return (more, 2);
                }

                return Is(t, at + 1, "and") && Is(t, at + 2, "a") && Is(t, at + 3, "half") ? (said + 0.5, 4) : (said, 1);
            default:
                return default;
        }
    }

    private static double Written(string text)
    {
        if (text.Split('/') is [var above, var below])
        {
            var (a, b) = (
                double.Parse(above, System.Globalization.CultureInfo.InvariantCulture),
                double.Parse(below, System.Globalization.CultureInfo.InvariantCulture)
            );
            return b == 0 ? 0 : a / b;
        }

        return double.TryParse(text.Replace(',', '.').Replace(':', '.'), System.Globalization.CultureInfo.InvariantCulture, out var value)
            ? value
            : 0;
    }

    private static bool Is(IReadOnlyList<Token<LineToken>> t, int at, params string[] words) =>
        at >= 0 && at < t.Count && words.Contains(t[at].ToStringValue());
}
