using System.Text.RegularExpressions;
using BrightKettle.Core.Planning;
using NodaTime;

namespace BrightKettle.Core.Words;

/// <summary>What one line says of a dinner; null where it says nothing.</summary>
/// <param name="NotUnderstood">Words that mean nothing here.</param>
public sealed record DishWish(
    int? People,
    LocalTime? At,
    int? DaysOn,
    IReadOnlyList<string> PulseIds,
    string? RiceId,
    bool NoRice,
    Style? Style,
    SoakChoice? Soak,
    Method? Method,
    CookedFrom CookedFrom,
    IReadOnlyList<string> ExtraIds,
    IReadOnlyList<string> NotUnderstood
);

/// <summary>Reads a dinner said in one line: "for four, at seven: chickpeas with brown rice, saucy, with tomato".</summary>
public sealed partial class DishLine(CatalogueNames names)
{
    private static readonly (string Words, Style Style)[] Styles =
    [
        ("soup", Style.Soup),
        ("soupy", Style.Soup),
        ("broth", Style.Soup),
        ("porridge", Style.Soup),
        ("saucy", Style.Saucy),
        ("gravy", Style.Saucy),
        ("stew", Style.Saucy),
        ("moist", Style.Moist),
        ("dry", Style.Dry),
        ("fluffy", Style.Dry),
    ];

    private static readonly HashSet<string> Idle =
    [
        "for",
        "at",
        "with",
        "and",
        "in",
        "the",
        "a",
        "an",
        "of",
        "on",
        "some",
        "please",
        "tonight",
        "dinner",
        "lunch",
        "people",
        "persons",
        "guests",
        "eaters",
        "us",
        "want",
        "i",
        "we",
        "cook",
        "oclock",
        "clock",
        "o",
        "style",
        "not",
        "no",
        "without",
        "beans",
        "bean",
        "by",
        "today",
        "tomorrow",
    ];

    public DishWish Read(string line)
    {
        ArgumentNullException.ThrowIfNull(line);
        var text = PlainText.Of(line).Trim();
        var time = Time(ref text);
        var people = People(ref text);
        var noRice = Cut(ref text, NoRice());
        var soak =
            Cut(ref text, Unsoaked()) ? SoakChoice.None
            : Cut(ref text, Quick()) ? SoakChoice.Quick
            : Cut(ref text, Soaked()) ? SoakChoice.Overnight
            : (SoakChoice?)null;
        var from =
            Cut(ref text, Freezer()) ? CookedFrom.Freezer
            : Cut(ref text, Fridge()) ? CookedFrom.Fridge
            : CookedFrom.Tin;
        var method =
            from != CookedFrom.Tin ? Method.Cooked
            : Cut(ref text, Pressure()) ? Method.Pressure
            : Cut(ref text, Slow()) ? Method.SlowCooker
            : Cut(ref text, Tin()) ? Method.Cooked
            : Cut(ref text, Open()) ? Method.OpenPot
            : (Method?)null;
        var tomorrow =
            Tomorrow().IsMatch(text) ? 1
            : Today().IsMatch(text) ? 0
            : (int?)null;
        var found = names.In(text);
        var words = CatalogueNames.WordsOf(text);
        var style = Styles.Where(s => words.Contains(s.Words)).Select(s => (Style?)s.Style).FirstOrDefault();
        var named = found.SelectMany(f => Enumerable.Range(f.At, f.Length)).ToHashSet();
        var left = words.Where((w, i) => !named.Contains(i) && !Idle.Contains(w) && Styles.All(s => s.Words != w)).ToList();
        return new(
            people,
            time,
            tomorrow,
            [.. found.Where(f => f.Kind == "pulse").Select(f => f.Id).Distinct()],
            found.FirstOrDefault(f => f.Kind == "rice")?.Id,
            noRice,
            style,
            soak,
            method,
            from,
            [.. found.Where(f => f.Kind == "extra").Select(f => f.Id).Distinct()],
            left
        );
    }

    private static bool Cut(ref string text, Regex pattern)
    {
        var match = pattern.Match(text);
        text = match.Success ? text.Remove(match.Index, match.Length) : text;
        return match.Success;
    }

    private static int? People(ref string text)
    {
        foreach (Match match in For().Matches(text))
        {
            if (
                Numbers.At(text[(match.Index + match.Length)..], out var rest) is { Low: >= 1 and <= 40 and var people }
                && people == Math.Floor(people)
            )
            {
                text = string.Concat(text.AsSpan(0, match.Index), " ", rest);
                return (int)people;
            }
        }

        return null;
    }

    /// <summary>At seven, at 19:30, at half past six, at quarter to eight, 7 pm. A bare hour up to eleven is an evening's.</summary>
    private static LocalTime? Time(ref string text)
    {
        var match = Clock().Match(text);
        if (match.Success)
        {
            var (hour, minute) = (
                int.Parse(match.Groups["h"].Value, null),
                match.Groups["m"].Length > 0 ? int.Parse(match.Groups["m"].Value, null) : 0
            );
            var half = match.Groups["half"].Value.ToLowerInvariant();
            if (hour < 24 && minute < 60)
            {
                text = text.Remove(match.Index, match.Length);
                return new LocalTime(half == "am" || match.Groups["m"].Length > 0 && hour >= 12 ? hour % 24 : Evening(hour, half), minute);
            }
        }

        match = SaidClock().Match(text);
        if (
            !match.Success
            || Numbers.At(match.Groups["n"].Value, out _) is not { Low: >= 1 and <= 12 and var said }
            || said != Math.Floor(said)
        )
        {
            return null;
        }

        text = text.Remove(match.Index, match.Length);
        var at = new LocalTime(Evening((int)said, "pm") % 24, 0);
        return match.Groups["part"].Value.ToLowerInvariant() switch
        {
            "half past" => at.PlusMinutes(30),
            "quarter past" => at.PlusMinutes(15),
            "quarter to" => at.PlusMinutes(-15),
            _ => at,
        };
    }

    private static int Evening(int hour, string half) =>
        half == "am" ? hour % 12
        : hour < 12 ? hour + 12
        : hour;

    [GeneratedRegex(@"\bfor\s+", RegexOptions.IgnoreCase)]
    private static partial Regex For();

    [GeneratedRegex(
        @"\b(?:at\s+)?(?<h>\d{1,2})(?:[:.h](?<m>\d{2}))\s*(?<half>am|pm)?\b|\bat\s+(?<h>\d{1,2})\s*(?<half>am|pm)?\b|\b(?<h>\d{1,2})\s*(?<half>am|pm)\b",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex Clock();

    [GeneratedRegex(
        @"\bat\s+(?:(?<part>half past|quarter past|quarter to)\s+)?(?<n>one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve)\b(?:\s*o'?clock)?",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex SaidClock();

    [GeneratedRegex(@"\b(?:no|without)\s+rice\b", RegexOptions.IgnoreCase)]
    private static partial Regex NoRice();

    [GeneratedRegex(@"\b(?:not\s+soaked|unsoaked|no\s+soak|nothing\s+soaked|from\s+dry)\b", RegexOptions.IgnoreCase)]
    private static partial Regex Unsoaked();

    [GeneratedRegex(@"\bquick[- ]?soak(?:ed)?\b", RegexOptions.IgnoreCase)]
    private static partial Regex Quick();

    [GeneratedRegex(@"\bsoaked(?:\s+overnight)?\b", RegexOptions.IgnoreCase)]
    private static partial Regex Soaked();

    [GeneratedRegex(@"\b(?:under\s+pressure|pressure\s+cooker|pressure)\b", RegexOptions.IgnoreCase)]
    private static partial Regex Pressure();

    [GeneratedRegex(@"\bslow[- ]?cooker\b", RegexOptions.IgnoreCase)]
    private static partial Regex Slow();

    [GeneratedRegex(
        @"\bfrom\s+(?:a|the)\s+(?:tin|can)\b|\btinned\b|\bcanned\s+(?=chick|bean|lentil|kidney|black|pinto)",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex Tin();

    [GeneratedRegex(@"\b(?:cooked,?\s+)?from\s+(?:the|our|my)\s+fridge\b", RegexOptions.IgnoreCase)]
    private static partial Regex Fridge();

    [GeneratedRegex(@"\b(?:cooked,?\s+)?from\s+(?:the|our|my)\s+freezer\b", RegexOptions.IgnoreCase)]
    private static partial Regex Freezer();

    [GeneratedRegex(@"\b(?:on\s+the\s+stove|open\s+pot)\b", RegexOptions.IgnoreCase)]
    private static partial Regex Open();

    [GeneratedRegex(@"\btomorrow\b", RegexOptions.IgnoreCase)]
    private static partial Regex Tomorrow();

    [GeneratedRegex(@"\b(?:today|tonight)\b", RegexOptions.IgnoreCase)]
    private static partial Regex Today();
}
