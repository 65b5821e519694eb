using Superpower.Model;

namespace BrightKettle.Core.Words.Grammar;

/// <summary>What lines, notes and single amounts have in common: names, numbers, amounts, spans and how things come.</summary>
internal abstract partial class SpokenGrammar(Vocabulary vocabulary)
{
    protected Vocabulary Words => vocabulary;

    protected virtual Misspellings Spelling => Words.Misspellings;

    /// <summary>What is said of every one of those that are named.</summary>
    protected static readonly string[] Eachs =
    [
        "each",
        "cada",
        "chacun",
        "chacune",
        "jeweils",
        "je",
        "ciascuno",
        "ciascuna",
        "apiece",
        "chaque",
    ];

    /// <summary>The tokens of a text in composed form.</summary>
    protected IReadOnlyList<Token<LineToken>> Tokens(string text) => Spelling.Corrected(LineTokens.Of(LineTokens.Fold(text)));

    /// <summary>Where a token ends in the text as it was typed.</summary>
    protected static int EndOf(Token<LineToken> token, string text)
    {
        var end = token.Position.Absolute;
        if (token.Kind != LineToken.Word)
        {
            return end + token.Span.Length;
        }

        while (end < text.Length && char.IsLetter(text[end]))
        {
            end++;
        }

        return end;
    }

    protected (SpokenName Name, int Length)? Name(IReadOnlyList<Token<LineToken>> t, int at)
    {
        if (Words.Names.At(t, at) is not var (name, length))
        {
            return null;
        }

        if (Which(t, at, length) is { } one && one.Name.Kind == name.Kind)
        {
            return one;
        }

        // "Navy 250 g": what is weighed is meant.
        return
            name.Beside
            && Amount(t, at + length) is not ({ Unit: "g" or "cup" or "tin" }, > 0)
            && !Enumerable
                .Range(0, t.Count)
                .Any(i =>
                    (i < at || i >= at + length) && (Words.Names.At(t, i) is ({ Beside: false }, _) || Words.Words.At(t, i) is not null)
                )
            ? null
            : (name, length);
    }

    /// <summary>"Lentils, brown", "lima beans (baby)", "peas (yellow split)": which of a kind, behind it. With no brackets, what begins a
    /// longer name is that one's.</summary>
    private (SpokenName Name, int Length)? Which(IReadOnlyList<Token<LineToken>> t, int at, int length)
    {
        var behind = at + length;
        var brackets = Is(t, behind, "(");
        var from = behind + (brackets || Is(t, behind, ",") ? 1 : 0);
        for (var words = 2; words > 0; words--)
        {
            var end = from + words;
            if (
                end > t.Count
                || (brackets ? !Is(t, end, ")") : words > 1 || !Is(t, from, Colours) || Words.Names.At(t, from) is var (_, l) && l > 1)
                || !brackets && end < t.Count && t[end].Kind == LineToken.Word && Words.Names.At(t, end) is not null
            )
            {
                continue;
            }

            List<Token<LineToken>> turned = [.. t.Skip(from).Take(words), .. t.Skip(at).Take(length)];
            if (Words.Names.At(turned, 0) is var (name, all) && all == turned.Count)
            {
                return (name, end + (brackets ? 1 : 0) - at);
            }
        }

        return null;
    }

    protected static readonly string[] Colours = ["brown", "green", "red", "black", "white", "yellow", "pink"];

    protected (SaidAmount Amount, int Length) Amount(IReadOnlyList<Token<LineToken>> t, int at)
    {
        var (value, digits) = Number(t, at);
        // "Tin of beans" is one.
        if (
            digits == 0
            && Words.Units.At(t, at) is ("tin" or "packet" or "handful" or "cup" or "glass" or "mug", var one)
            && Is(t, at + one, "of", "de", "di")
        )
        {
            return (new SaidAmount(1, Words.Units.At(t, at)!.Value.Means), one);
        }

        if (digits == 0)
        {
            return default;
        }

        var next = at + digits;
        while (next < t.Count && Is(t, next, "a", "an", "x", "of"))
        {
            next++;
        }

        // "À l'ail" is no litre: an article needs a unit that is written out.
        var article = digits == 1 && t[at].Kind == LineToken.Word && t[at].ToStringValue().Length <= 2;
        if (Words.Units.At(t, next) is var (unit, words) && !(article && t[next].Span.Length == 1))
        {
            // Un litro y medio.
            if (
                Is(t, next + words, "y", "et", "e", "und")
                && Is(t, next + words + 1, "medio", "media", "demi", "demie", "mezzo", "meio", "halb")
            )
            {
                (value, words) = (value + 0.5, words + 2);
            }

            var said = unit switch
            {
                "kg" => new SaidAmount(1000 * value, "g"),
                "oz" => new SaidAmount(28.35 * value, "g"),
                "lb" => new SaidAmount(453.6 * value, "g"),
                "l" => new SaidAmount(1000 * value, "ml"),
                "cl" => new SaidAmount(10 * value, "ml"),
                "dl" => new SaidAmount(100 * value, "ml"),
                _ => new SaidAmount(value, unit),
            };
            return (said, next + words - at);
        }

        return digits == 1 && t[at].Kind == LineToken.Word && value == 1 ? default : (new SaidAmount(value, "piece"), digits);
    }

    protected static bool Is(IReadOnlyList<Token<LineToken>> t, int at, params string[] words) =>
        at >= 0 && at < t.Count && words.Contains(t[at].ToStringValue());

    /// <summary>A large bare number of a pulse or a rice are grams.</summary>
    protected static SaidAmount Weighed(SaidAmount amount, SpokenName name) =>
        amount is { Unit: "piece", Value: >= LeastBareGrams and <= MostBareGrams } && name.Kind != "extra"
            ? amount with
            {
                Unit = "g",
            }
            : amount;

    private const double LeastBareGrams = 50;

    private const double MostBareGrams = 3000;

    /// <summary>What was said ends here: with the line, a comma or another name.</summary>
    protected bool Stands(IReadOnlyList<Token<LineToken>> t, int at) =>
        at >= t.Count
        || t[at].Kind == LineToken.Mark
        || Is(t, at, Dried)
        || Is(t, at, "and", "y", "et", "und", "e", "with", "for")
        || Name(t, at) is not null;

    protected static readonly string[] Dried =
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
}
