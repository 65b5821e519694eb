using BrightKettle.Core.Cooking;
using BrightKettle.Core.Words.Grammar;
using Superpower.Model;

namespace BrightKettle.Core.Words.FromNotes;

/// <summary>Reads a line of notes piece by piece: at each place the longest that can be read; what nothing reads stands as
/// unread.</summary>
internal sealed class NoteGrammar : SpokenGrammar
{
    private readonly NoteWords _notes;

    public NoteGrammar(Vocabulary vocabulary, NoteWords words)
        : base(vocabulary)
    {
        _notes = words;
        // A verb is no misspelt name.
        foreach (var word in _notes.AllWords)
        {
            vocabulary.Misspellings.LearnWord(word);
        }
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

    /// <summary>300 g chickpeas, 2 x 400 g tins of beans, 1 litre cold water, a pinch of salt, 1 cup soaked adzuki, lentils.</summary>
    private Found Amounted(IReadOnlyList<Token<LineToken>> t, int at)
    {
        var (amount, length) =
            Tinned(t, at) is (_, > 0) tinned ? tinned
            : Bare(t, at) is (_, > 0) bare ? bare
            : Amount(t, at);
        if (length == 0)
        {
            return Plain(t, at, null, 0);
        }

        var (next, the, soaked, odd) = (at + length, false, false, 0);
        while (next < t.Count && Plain(t, next, amount, 0).Tokens == 0)
        {
            if (Is(t, next, Fillers) || Is(t, next, Dried))
            {
                the |= Is(t, next, "the", "del", "dell", "du");
                next++;
            }
            else if (_notes.Words.At(t, next) is ("do:soak" or "do:rinse" or "do:drain", var said))
            {
                soaked |= _notes.Words.At(t, next) is ("do:soak", _);
                next += said;
            }
            // 200 g organic French lentils: words that say nothing here.
            else if (amount.Unit != "piece" && odd < MostOdd && IsOdd(t, next))
            {
                (next, odd) = (next + 1, odd + 1);
            }
            else
            {
                break;
            }
        }

        if (Plain(t, next, amount, next - at, the, soaked) is { Tokens: > 0 } named)
        {
            return named;
        }

        return amount.Unit == "piece" ? default : new((s, l) => new NotePiece.Loose(s, l, amount), length);
    }

    private const int MostOdd = 3;

    private bool IsOdd(IReadOnlyList<Token<LineToken>> t, int at) =>
        t[at].Kind == LineToken.Word && _notes.Words.At(t, at) is null && _notes.Breaks.At(t, at) is null && Words.Units.At(t, at) is null;

    /// <summary>Pinch of salt, a good splash of water: one, where nobody counts.</summary>
    private (SaidAmount Amount, int Length) Bare(IReadOnlyList<Token<LineToken>> t, int at)
    {
        var next = at;
        while (Is(t, next, "a", "big", "good", "small", "generous", "tiny", "large", "une", "una", "un", "eine"))
        {
            next++;
        }

        return
            Words.Units.At(t, next) is (("pinch" or "splash" or "handful" or "knob" or "bunch" or "handful_leaves") and var unit, var words)
            ? (new(1, unit), next + words - at)
            : default;
    }

    private static readonly string[] Fillers =
    [
        "of",
        "de",
        "di",
        "d",
        "'",
        "’",
        "the",
        "von",
        "del",
        "da",
        "-",
        "uncooked",
        "heaped",
        "level",
        "scant",
        "big",
        "large",
        "medium",
        "small",
        "whole",
        "good",
        "about",
        "(",
        ")",
        "x",
    ];

    /// <summary>2 x 400 g tins, 1 (400 g) tin, a 400 g can: so many tins.</summary>
    private (SaidAmount Amount, int Length) Tinned(IReadOnlyList<Token<LineToken>> t, int at)
    {
        var (count, digits) = One(t, at);
        if (digits == 0)
        {
            return default;
        }

        var next = at + digits;
        while (Is(t, next, "x", "×", "(", "a"))
        {
            next++;
        }

        var (grams, weighs) = One(t, next);
        if (weighs == 0 || Words.Units.At(t, next + weighs) is not ("g" or "oz" or "ml", var unit))
        {
            // 400 g tin: one.
            (grams, weighs, next, count) = (count, digits, at, 1);
            if (Words.Units.At(t, next + weighs) is not ("g" or "oz" or "ml", var plain))
            {
                return default;
            }

            unit = plain;
        }

        var tin = next + weighs + unit;
        while (Is(t, tin, ")", "-"))
        {
            tin++;
        }

        return grams > 0 && Words.Units.At(t, tin) is ("tin", var words) ? (new(count, "tin"), tin + words - at) : default;
    }

    /// <summary>What has a name, with the amount before it.</summary>
    /// <param name="led">Tokens before it that belong to it.</param>
    /// <param name="the">Of what was named before.</param>
    /// <param name="soaked">It comes soaked.</param>
    private Found Plain(IReadOnlyList<Token<LineToken>> t, int at, SaidAmount? amount, int led, bool the = false, bool soaked = false)
    {
        if (Water(t, at) is (var celsius, > 0 and var water) && (amount is not null || !Is(t, at, "su")))
        {
            return amount is { Unit: "piece" } ? default : new((s, l) => new NotePiece.Water(s, l, amount, celsius, the), led + water);
        }

        var salted = at;
        while (Is(t, salted, "fine", "coarse", "sea", "more"))
        {
            salted++;
        }

        if (
            amount is null
            && _notes.Salt.At(t, at) is var (_, verb)
            && Is(t, at + verb, "it", "them", "well", "everything", "the", "lightly", "generously")
        )
        {
            return new((s, l) => new NotePiece.Does(s, l, NoteAct.Season, VerbRank.Strong), verb + 1);
        }

        if (_notes.Salt.At(t, salted) is var (_, salt) && Name(t, salted) is not (_, > 1))
        {
            return new((s, l) => new NotePiece.Salt(s, l, amount), led + salted + salt - at);
        }

        // "Brown" by itself is how onions are fried, not a rice.
        if (ThingAt(t, at) is { Name.Beside: false } thing && !(amount is null && thing.Length == 1 && Is(t, at, Colours)))
        {
            // "4 cups stock or water" is liquid all the same.
            if (Is(t, at + thing.Length, "or") && Water(t, at + thing.Length + 1) is (_, > 0 and var or))
            {
                return new((s, l) => new NotePiece.Water(s, l, amount, null, the), led + thing.Length + 1 + or);
            }

            // The amount behind it: chickpeas 300 g.
            var (after, more) = (amount, 0);
            if (amount is null && thing.Name.Kind != "extra")
            {
                var from = at + thing.Length;
                from += Is(t, from, ":", "-", "–", "=", "(") ? 1 : 0;
                if (Amount(t, from) is ({ Unit: not "piece" } behind, > 0 and var words) && MinutesOf(t, from).Length == 0)
                {
                    (after, more) = (behind, from + words - at - thing.Length);
                }
            }

            var name = thing.Name;
            IReadOnlyList<string> comes = soaked ? [.. thing.Is, NotePiece.Soaked] : thing.Is;
            // Nobody counts beans or grains: three-bean stew is no three beans.
            after = name.Kind != "extra" && after is { Unit: "piece" } ? null : after;
            return new((s, l) => new NotePiece.Named(s, l, name.Kind, name.Ids, name.Name, after, comes), led + thing.Length + more);
        }

        return default;
    }

    private static readonly string[] Colours = ["brown", "red", "black", "white", "green", "yellow"];

    private (double? Celsius, int Length) Water(IReadOnlyList<Token<LineToken>> t, int at)
    {
        var (next, celsius) = (at, (double?)null);
        for (var i = 0; i < MostOfWater && _notes.Warmth.At(t, next) is var (warm, words); i++)
        {
            celsius = warm.Length > 0 ? double.Parse(warm, System.Globalization.CultureInfo.InvariantCulture) : celsius;
            next += words;
        }

        if (_notes.Water.At(t, next) is not var (_, water))
        {
            return default;
        }

        next += water;
        // Agua hirviendo.
        if (_notes.Warmth.At(t, next) is var (behind, more) && behind.Length > 0)
        {
            (celsius, next) = (double.Parse(behind, System.Globalization.CultureInfo.InvariantCulture), next + more);
        }

        return (celsius, next - at);
    }

    /// <summary>Words that say what water it is.</summary>
    private const int MostOfWater = 3;

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
                "lid" => (s, l) => new NotePiece.Covered(s, l, NoteWords.LidOf(what)),
                "flame" => (s, l) => new NotePiece.AtFlame(s, l, NoteWords.FlameOf(what)),
                _ => (s, l) => new NotePiece.Said(s, l, what),
            },
            length
        );
    }
}
