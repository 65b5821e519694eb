using NodaTime;
using Superpower.Model;

namespace BrightKettle.Core.Words.Lines;

/// <summary>How long pulses stand in water, and since when.</summary>
internal sealed partial class LineGrammar
{
    private static readonly string[] Sinces = ["since", "desde", "depuis", "seit", "dalle", "dal", "da"];

    /// <summary>Said of what is so already.</summary>
    private static readonly string[] Beens = ["been", "already", "have", "i", "were", "stood", "now"];

    private static readonly Duration LongestSoak = Duration.FromHours(48);

    /// <summary>since 8, since 7:30 am, desde las 9.</summary>
    private Found Since(IReadOnlyList<Token<LineToken>> t, int at)
    {
        if (!Is(t, at, Sinces))
        {
            return default;
        }

        var next = at + 1;
        while (Is(t, next, Ats))
        {
            next++;
        }

        if (Shown(t, next, led: true) is not (var time, > 0 and var length))
        {
            return default;
        }

        var sure = time.Hour is 0 || Enumerable.Range(next, length).Any(i => Is(t, i, "am", "pm", "morning", "evening", "afternoon"));
        sure |= int.TryParse(t[next].ToStringValue().Split(':', '.')[0], out var hour) && hour > 12;
        return new((s, l) => new LinePart.Since(s, l, time, sure), next + length - at);
    }

    /// <summary>soaked for 3 hours, soaked 6 h, a 2 hour soak, remojo de 4 horas.</summary>
    private Found SoakFor(IReadOnlyList<Token<LineToken>> t, int at)
    {
        var first = at;
        while (Is(t, first, "a", "an", "una", "un") || Is(t, first, Beens))
        {
            first++;
        }

        var word = SoakWord(t, first);
        var next = first + word;
        while (word > 0 && Is(t, next, "for", "about", "de", "of", "por", "pendant", "durante", "in", "water", ",", "("))
        {
            next++;
        }

        if (Span(t, next) is not ({ } span, var length) || span > LongestSoak)
        {
            return default;
        }

        next += length;
        if (word == 0)
        {
            next += Is(t, next, "of", "de", "-") ? 1 : 0;
            word = SoakWord(t, next);
            next += word;
        }

        if (word == 0)
        {
            return default;
        }

        next += Is(t, next, "already", "now") ? 1 : 0;
        var stood = Enumerable.Range(at, next - at).Any(i => Is(t, i, Beens));
        return new((s, l) => new LinePart.SoakFor(s, l, span, stood), next - at);
    }

    /// <summary>How many tokens say that something soaks; 0 for none.</summary>
    private int SoakWord(IReadOnlyList<Token<LineToken>> t, int at) =>
        at < t.Count && vocabulary.Words.At(t, at) is ("soak:overnight", var length) ? length : 0;

    /// <summary>two hours, 90 minutes.</summary>
    private (Duration? Span, int Length) Span(IReadOnlyList<Token<LineToken>> t, int at)
    {
        var (value, length) = Number(t, at);
        var next = at + length;
        next += Is(t, next, "-") ? 1 : 0;
        return length > 0 && Is(t, next, HourWords) ? ((Duration?)Duration.FromHours(value), next + 1 - at)
            : length > 0 && Is(t, next, MinuteWords) ? (Duration.FromMinutes(value), next + 1 - at)
            : (null, 0);
    }
}
