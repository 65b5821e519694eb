using BrightKettle.Core.Words.Grammar;
using Superpower.Model;

namespace BrightKettle.Core.Words.FromNotes;

/// <content>For how many, how long, how many whistles.</content>
internal sealed partial class NoteGrammar
{
    private static readonly string[] Leads =
    [
        "serves",
        "serve",
        "feeds",
        "feed",
        "makes",
        "yields",
        "yield",
        "servings",
        "rinde",
        "ergibt",
    ];

    private static readonly string[] Fors = ["for", "para", "pour", "fur", "per", "dosi"];

    /// <summary>serves 4, feeds 4 to 6, for six, for 5 people, pour 4 personnes, 4 kişilik; never "for 40 minutes".</summary>
    private Found People(IReadOnlyList<Token<LineToken>> t, int at)
    {
        var led = Is(t, at, Leads);
        var next = at;
        while (Is(t, next, Leads) || Is(t, next, Fors) || Is(t, next, "enough", "about", ":"))
        {
            next++;
        }

        var (low, _, digits) = Range(t, next);
        if (digits == 0 || low is < 1 or > 40 || low != Math.Floor(low))
        {
            return default;
        }

        var after = next + digits;
        var named = Words.People.At(t, after)?.Length ?? 0;
        // "For six" says how many where nothing follows that it could count.
        return named > 0 || led || (next > at && (after >= t.Count || t[after].Kind == LineToken.Mark) && MinutesOf(t, next).Length == 0)
            ? new((s, l) => new NotePiece.People(s, l, (int)low), after + named - at)
            : default;
    }

    private Found Whistled(IReadOnlyList<Token<LineToken>> t, int at)
    {
        var (low, high, digits) = Range(t, at);
        var next = at + Math.Max(digits, Is(t, at, "until", "till", "first", "one", "the") ? 1 : 0);
        while (digits == 0 && Is(t, next, "the", "first", "it", "one"))
        {
            next++;
        }

        next += Is(t, next, "-", "or", "more", "full", "loud", "long") ? 1 : 0;
        return _notes.Whistles.At(t, next) is var (_, length) && high <= MostWhistles
            ? new((s, l) => new NotePiece.Whistled(s, l, digits == 0 ? 1 : (int)Math.Ceiling((low + high) / 2)), next + length - at)
            : default;
    }

    private const int MostWhistles = 20;

    private Found Lasts(IReadOnlyList<Token<LineToken>> t, int at)
    {
        if (_notes.Words.At(t, at) is ("say:overnight", var words))
        {
            return new((s, l) => new NotePiece.Lasts(s, l, OvernightLow, OvernightHigh), words);
        }

        if (_notes.Words.At(t, at) is ("say:few", var some))
        {
            return new((s, l) => new NotePiece.Lasts(s, l, FewLow, FewHigh), some);
        }

        var next = at;
        while (Is(t, next, "for", "about", "another", "around", "approx", "approximately", "further", "unos", "weitere", "circa", "ca"))
        {
            next++;
        }

        if (MinutesOf(t, next) is not (var low, var high, > 0 and var length))
        {
            return Minutes(t, at);
        }

        // "1 hour to 1 1/2 hours", "50 mins to 1 hour".
        var to = next + length;
        if (Is(t, to, "to", "-", "–", "or", "a", "bis") && MinutesOf(t, to + 1) is (var from, var most, > 0 and var more) && most > low)
        {
            return new((s, l) => new NotePiece.Lasts(s, l, low, most), to + 1 + more - at);
        }

        return low > MostMinutes ? default : new((s, l) => new NotePiece.Lasts(s, l, low, high), to - at);
    }

    /// <summary>"Rest 10", "simmer 20": a bare number behind what takes minutes.</summary>
    private Found Minutes(IReadOnlyList<Token<LineToken>> t, int at) =>
        at > 0
        && _notes.Words.At(t, at - 1) is ({ } means, 1)
        && TakesMinutes.Contains(means)
        && t[at].Kind == LineToken.Number
        && Range(t, at) is (var low and >= 2, var high and <= MostBare, var length)
        && (at + length >= t.Count || t[at + length].Kind == LineToken.Mark || _notes.Breaks.At(t, at + length) is not null)
            ? new((s, l) => new NotePiece.Lasts(s, l, low, high), length)
            : default;

    private static readonly string[] TakesMinutes = ["do:rest", "do:simmer", "do:boil", "do:steam", "generic:simmer", "do:pressure"];

    private const double MostBare = 120;

    // A night, and some minutes (confidence C).
    private const double OvernightLow = 480;
    private const double OvernightHigh = 720;
    private const double FewLow = 3;
    private const double FewHigh = 5;

    /// <summary>Three days: nothing here takes longer.</summary>
    private const double MostMinutes = 3 * 24 * 60;
}
