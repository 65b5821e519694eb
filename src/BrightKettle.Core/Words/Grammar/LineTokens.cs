using System.Text;
using Superpower;
using Superpower.Model;
using Superpower.Parsers;
using Superpower.Tokenizers;

namespace BrightKettle.Core.Words.Grammar;

/// <summary>What a line is made of.</summary>
internal enum LineToken
{
    Word,

    /// <summary>300, 1.5, 1,5, 18:30, 1/2; 200/250 are two.</summary>
    Number,

    /// <summary>½ and its like.</summary>
    Part,

    /// <summary>Anything else.</summary>
    Mark,
}

/// <summary>Cuts a line into words, numbers and marks; each knows where it stands.</summary>
internal static class LineTokens
{
    private static readonly Tokenizer<LineToken> Cutter = new TokenizerBuilder<LineToken>()
        .Ignore(Span.WhiteSpace)
        .Match(Span.Regex("""[0-9]{1,9}(?:[.,:][0-9]{1,9}|/(?:1[0-6]|[2-9])(?![0-9]))?"""), LineToken.Number)
        .Match(Span.Regex("""[½¼¾⅓⅔⅛]"""), LineToken.Part)
        .Match(Span.Regex("""\p{L}+"""), LineToken.Word)
        .Match(Character.AnyChar, LineToken.Mark)
        .Build();

    /// <summary>Of a line that was <see cref="Fold">folded</see> before.</summary>
    public static IReadOnlyList<Token<LineToken>> Of(string folded) => [.. Cutter.Tokenize(folded)];

    /// <summary>Small letters without accents, letter by letter: places in it are places in the line. `Fold("Weiße")` → `"weise"`.</summary>
    public static string Fold(string text)
    {
        var folded = new StringBuilder(text.Length);
        foreach (var c in text)
        {
            var plain = char.IsSurrogate(c) ? c : c.ToString().Normalize(NormalizationForm.FormD)[0];
            folded.Append(
                char.ToLowerInvariant(plain) switch
                {
                    'ı' => 'i',
                    'ß' => 's',
                    'ø' => 'o',
                    'ł' => 'l',
                    var small => small,
                }
            );
        }

        return folded.ToString();
    }

    /// <summary>What plurals and genders have in common: `Stem("frijoles")` and `Stem("frijol")` → `"frijol"`.</summary>
    public static string Stem(string word)
    {
        if (word is "leaves" or "leaf")
        {
            return "leaf";
        }

        var stem = word;
        if (stem.Length > 5 && stem.EndsWith("en", StringComparison.Ordinal))
        {
            stem = stem[..^2];
        }

        if (stem.Length > 3 && stem[^1] == 's' && stem[^2] != 's')
        {
            stem = stem[..^1];
        }

        while (stem.Length > 4 && stem[^1] is 'a' or 'e' or 'i' or 'o' && stem.Length > 4)
        {
            stem = stem[..^1];
        }

        return stem;
    }
}
