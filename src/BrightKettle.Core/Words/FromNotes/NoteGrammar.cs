using BrightKettle.Core.Cooking;
using BrightKettle.Core.Words.Grammar;
using Superpower.Model;

namespace BrightKettle.Core.Words.FromNotes;

/// <summary>Reads a line of notes piece by piece: at each place the longest that can be read; what nothing reads stands as
/// unread.</summary>
internal sealed partial class NoteGrammar : SpokenGrammar
{
    private readonly NoteWords _notes;

    protected override Misspellings Spelling { get; }

    public NoteGrammar(Vocabulary vocabulary, NoteWords words)
        : base(vocabulary)
    {
        _notes = words;
        // A verb is no misspelt name.
        Spelling = vocabulary.Misspellings.Beside(_notes.AllWords);
    }

    /// <summary>A piece with the tokens that it takes.</summary>
    private readonly record struct Found(Func<int, int, NotePiece?>? Piece, int Tokens);

    /// <param name="line">In composed form.</param>
    public IReadOnlyList<NotePiece> Read(string line)
    {
        var t = Tokens(line);
        var pieces = new List<NotePiece>();
        for (var at = 0; at < t.Count; )
        {
            var best = Best(t, at, line);
            var tokens = Math.Max(1, best.Tokens);
            var (start, last) = (t[at].Position.Absolute, t[at + tokens - 1]);
            var length = EndOf(last, line) - start;
            if (best.Piece?.Invoke(start, length) is { } piece)
            {
                pieces.Add(piece);
            }
            else if (best.Tokens == 0 && t[at].Kind is LineToken.Word or LineToken.Number && !IsIdle(t[at].ToStringValue()))
            {
                pieces.Add(new NotePiece.Unread(start, length, line.Substring(start, length)));
            }

            at += tokens;
        }

        return Behind(pieces);
    }

    /// <summary>Salt at the end, 2 tsp; water 2 l: an amount goes to what stands before it without one.</summary>
    private static List<NotePiece> Behind(List<NotePiece> pieces)
    {
        var settled = new List<NotePiece>();
        foreach (var piece in pieces)
        {
            // Red wine vinegar, green bell pepper: the last word says what it is.
            if (
                piece is NotePiece.Named { Kind: "extra", Amount: null } last
                && settled.Count > 0
                && settled[^1] is NotePiece.Named { Kind: "extra" } first
                && last.Start - first.End <= 1
            )
            {
                settled[^1] = last with { Start = first.Start, Length = last.End - first.Start, Amount = first.Amount };
                continue;
            }

            var at =
                piece is NotePiece.Loose
                    ? settled.FindLastIndex(p => p is NotePiece.Stop or NotePiece.Break { Opens: false } or NotePiece.Loose || Takes(p))
                    : -1;
            if (at < 0 || !Takes(settled[at]))
            {
                settled.Add(piece);
                continue;
            }

            var of = ((NotePiece.Loose)piece).Of;
            settled[at] = settled[at] switch
            {
                NotePiece.Water w => w with { Amount = of, Length = piece.End - w.Start },
                NotePiece.Salt s => s with { Amount = of, Length = piece.End - s.Start },
                NotePiece.Named n => n with { Amount = of, Length = piece.End - n.Start },
                var other => other,
            };
        }

        return settled;
    }

    private static bool Takes(NotePiece piece) =>
        piece is NotePiece.Water { Amount: null } or NotePiece.Salt { Amount: null } or NotePiece.Named { Amount: null };

    /// <summary>Whether a word says nothing by itself.</summary>
    private bool IsIdle(string word) => word.Length < 2 || Words.Idle.Contains(word);

    private Found Best(IReadOnlyList<Token<LineToken>> t, int at, string line)
    {
        Found best = default;
        foreach (var found in Tries(t, at, line))
        {
            best = found.Tokens > best.Tokens ? found : best;
        }

        return best;
    }

    /// <summary>In the order in which they win where they are equally long.</summary>
    private IEnumerable<Found> Tries(IReadOnlyList<Token<LineToken>> t, int at, string line)
    {
        yield return Mark(t, at, line);
        yield return People(t, at);
        yield return Whistled(t, at);
        yield return Lasts(t, at);
        yield return Amounted(t, at);
        if (Is(t, at, Eachs))
        {
            yield return new((s, l) => new NotePiece.Said(s, l, "each"), 1);
        }

        yield return Over(t, at);
        yield return Until(t, at);
        yield return Unsoaked(t, at);
        yield return Word(t, at);
        if (_notes.Breaks.At(t, at) is var (_, length))
        {
            yield return new((s, l) => new NotePiece.Break(s, l), length);
        }
    }

    private Found Mark(IReadOnlyList<Token<LineToken>> t, int at, string line) =>
        t[at].Kind != LineToken.Mark ? default
        : t[at].ToStringValue() is "," or "(" or ")" or "+" or "&"
            ? new((s, l) => new NotePiece.Break(s, l) { Opens = t[at].ToStringValue() == "(" }, 1)
        : t[at].ToStringValue() is not ("." or ";" or "!" or "?" or ":") || IsShort(t, at, line) ? default
        : new((s, l) => new NotePiece.Stop(s, l), 1);

    /// <summary>"15 Min. in der Brühe": a point behind a short unit, and no sentence begins after it.</summary>
    private bool IsShort(IReadOnlyList<Token<LineToken>> t, int at, string line) =>
        t[at].ToStringValue() == "."
        && at > 0
        && at + 1 < t.Count
        && t[at - 1].Kind == LineToken.Word
        && t[at - 1].Span.Length <= LongestShort
        && (
            Is(t, at - 1, MinuteWords) || Is(t, at - 1, HourWords) || Words.Units.At(t, at - 1) is not null || Is(t, at - 1, "ca", "approx")
        )
        && !char.IsUpper(line[t[at + 1].Position.Absolute]);

    private const int LongestShort = 6;

    /// <summary>2 inches over, 3 cm above the beans, two fingers.</summary>
    private Found Over(IReadOnlyList<Token<LineToken>> t, int at)
    {
        var (low, high, digits) = Range(t, at);
        return digits > 0 && Height(t, at + digits) is { } centimetres
            ? new(
                (s, l) => new NotePiece.Over(s, l, centimetres * (low + high) / 2),
                digits + 1 + (Is(t, at + digits + 1, "over", "above") ? 1 : 0)
            )
            : default;
    }

    /// <summary>until they are soft, hasta que estén tiernos, bis sie weich sind: at most so many words between.</summary>
    private Found Until(IReadOnlyList<Token<LineToken>> t, int at)
    {
        if (_notes.Till.At(t, at) is not var (_, till))
        {
            // Some languages say it behind: yumuşayana kadar.
            return _notes.Until.At(t, at) is var (behind, words) && Is(t, at + words, "kadar", "tak", "dek")
                ? new((s, l) => new NotePiece.Until(s, l, NoteWords.UntilOf(behind)), words + 1)
                : default;
        }

        for (var next = at + till; next < Math.Min(t.Count, at + till + BetweenUntil) && t[next].Kind != LineToken.Mark; next++)
        {
            if (_notes.Until.At(t, next) is var (state, length))
            {
                var last = next + length;
                last += Is(t, last, "sind", "ist", "sont", "through") ? 1 : 0;
                return new((s, l) => new NotePiece.Until(s, l, NoteWords.UntilOf(state)), last - at);
            }
        }

        return default;
    }

    private const int BetweenUntil = 7;

    /// <summary>do not soak, no need to soak, sin remojo; other things that are not to be done are not read as done.</summary>
    private Found Unsoaked(IReadOnlyList<Token<LineToken>> t, int at)
    {
        // Soaked by no means: a word of lines.
        if (Words.Words.At(t, at) is ("soak:none", var said))
        {
            return new((s, l) => new NotePiece.Does(s, l, NoteAct.Unsoaked, VerbRank.Strong), said);
        }

        var no =
            Is(t, at, "do") && Is(t, at + 1, "not") ? 2
            : Is(t, at, "don") && Is(t, at + 1, "'", "’") && Is(t, at + 2, "t") ? 3
            : Is(t, at, "dont", "don", "never", "without", "no", "not") ? 1
            : Words.Without.At(t, at) is var (_, length) ? length
            : 0;
        if (no == 0)
        {
            return default;
        }

        var next = at + no;
        while (
            Is(t, next, "need", "to", "necessary", "the", "any", "of", "le", "les", "los", "las", "i", "gli", "die", "them", "it", "for")
        )
        {
            next++;
        }

        return _notes.Words.At(t, next) is ({ } means, var verb) && means.Contains(':', StringComparison.Ordinal)
            ? means switch
            {
                "do:soak" => new((s, l) => new NotePiece.Does(s, l, NoteAct.Unsoaked, VerbRank.Strong), next + verb - at),
                _ when means.StartsWith("do:", StringComparison.Ordinal) || means.StartsWith("generic:", StringComparison.Ordinal) => new(
                    (_, _) => null,
                    next + verb - at
                ),
                _ => default,
            }
            : default;
    }

    private const int CoverWords = 6;

    private Found Word(IReadOnlyList<Token<LineToken>> t, int at)
    {
        if (_notes.Words.At(t, at) is not var (means, length) || means.Split(':') is not [var of, var what])
        {
            return default;
        }

        if (what == "cover")
        {
            // "Couvrir d'eau froide" is water, "couvrir" the lid.
            return Enumerable.Range(at + length, CoverWords).Any(i => i < t.Count && Water(t, i).Length > 0)
                ? new((s, l) => new NotePiece.Does(s, l, NoteAct.Add, VerbRank.Weak), length)
                : new((s, l) => new NotePiece.Covered(s, l, Lid.On), length);
        }

        return new(
            of switch
            {
                "do" => (s, l) => new NotePiece.Does(s, l, NoteWords.ActOf(what), VerbRank.Strong),
                "generic" => (s, l) => new NotePiece.Does(s, l, NoteWords.ActOf(what), VerbRank.Generic),
                "weak" => (s, l) => new NotePiece.Does(s, l, NoteWords.ActOf(what), VerbRank.Weak),
                "release" => (s, l) => new NotePiece.Does(s, l, NoteAct.Release, VerbRank.Strong) { Release = NoteWords.ReleaseOf(what) },
                "lid" => (s, l) => new NotePiece.Covered(s, l, NoteWords.LidOf(what)),
                "flame" => (s, l) => new NotePiece.AtFlame(s, l, NoteWords.FlameOf(what)),
                _ => (s, l) => new NotePiece.Said(s, l, what),
            },
            length
        );
    }
}
