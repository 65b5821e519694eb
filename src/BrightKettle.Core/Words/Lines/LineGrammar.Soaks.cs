using BrightKettle.Core.Words.Grammar;
using NodaTime;
using Superpower.Model;

namespace BrightKettle.Core.Words.Lines;

/// <summary>How long pulses stand in water, and since when.</summary>
internal sealed partial class LineGrammar
{
    private static readonly string[] Sinces = ["since", "desde", "depuis", "seit", "dalle", "dal", "da"];

    /// <summary>Said of what is so already.</summary>
    private static readonly string[] Beens = ["been", "already", "have", "i", "were", "stood", "now", "ago"];

    private static readonly Duration LongestSoak = Duration.FromHours(48);

    /// <summary>since 8, since 7:30 am, desde las 9, put to soak at noon.</summary>
    private Found Since(IReadOnlyList<Token<LineToken>> t, int at)
    {
        // "Soaked, at eight" is the hour of the table; what was put to soak at eight was put so then.
        var put = Is(t, at, "to") && SoakWord(t, at) is var words and > 0 && Is(t, at + words, "at") ? words + 1 : 0;
        // Where morning is said it can be no table's: en remojo a las 8 de la mañana.
        var soaks = put == 0 ? SoakWord(t, at) : 0;
        if (put == 0 && soaks == 0 && !Is(t, at, Sinces))
        {
            return default;
        }

        var next = at + Math.Max(1, put + soaks);
        while (Is(t, next, Ats))
        {
            next++;
        }

        if (soaks == 0 && Words.Clock.At(t, next) is var (named, name))
        {
            var spoken = new LocalTime(int.Parse(named[..2], null), int.Parse(named[3..], null));
            return new((s, l) => new LinePart.Since(s, l, spoken, true), next + name - at);
        }

        if (Shown(t, next, led: true) is not (var time, > 0 and var length))
        {
            return default;
        }

        var half = Enumerable.Range(next, length).Select(i => Words.Halves.At(t, i)?.Means).FirstOrDefault(h => h is not null);
        if (soaks > 0 && half != Morning)
        {
            return default;
        }

        var sure = time.Hour is 0 || half is not null;
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
        // Soaked pintos (8 hours).
        if (Is(t, at, "(") && Span(t, at + 1) is ({ } within, var hours) && Is(t, at + 1 + hours, ")") && within <= LongestSoak && Soaks(t))
        {
            return new((s, l) => new LinePart.SoakFor(s, l, within, false), hours + 2);
        }

        if (word == 0 && Span(t, first) is ({ } past, var ago) && Is(t, first + ago, "ago") && past <= LongestSoak && Soaks(t))
        {
            return new((s, l) => new LinePart.SoakFor(s, l, past, true), first + ago + 1 - at);
        }

        while (word > 0 && Is(t, next, "for", "about", "de", "of", "por", "pendant", "durante", "in", "water", "("))
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

        next += Is(t, next, "already", "now", "ago") ? 1 : 0;
        var stood = Enumerable.Range(at, next - at).Any(i => Is(t, i, Beens));
        return new((s, l) => new LinePart.SoakFor(s, l, span, stood), next - at);
    }

    /// <summary>Whether the line says anywhere that something soaks: "an hour ago" may be of anything.</summary>
    private bool Soaks(IReadOnlyList<Token<LineToken>> t) => Enumerable.Range(0, t.Count).Any(i => SoakWord(t, i) > 0);

    /// <summary>How many tokens say that something soaks; 0 for none.</summary>
    private int SoakWord(IReadOnlyList<Token<LineToken>> t, int at) =>
        at < t.Count && Words.Words.At(t, at) is ("soak:overnight", var length) ? length : 0;
}
