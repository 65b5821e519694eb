using Quickenshtein;
using Superpower.Model;

namespace BrightKettle.Core.Words.Grammar;

/// <summary>Puts right a word of a name that was typed with a letter wrong, where nothing else is as near: chikpeas, baasmati, lentlis.</summary>
internal sealed class Misspellings
{
    /// <summary>Shorter words are too like each other.</summary>
    private const int LeastLetters = 5;

    /// <summary>From here on two letters may be wrong.</summary>
    private const int LongLetters = 8;

    private readonly HashSet<string> _known = [];
    private readonly HashSet<string> _names = [];

    /// <summary>Words by their first letter, which nobody mistypes unseen.</summary>
    private readonly Dictionary<char, List<string>> _byFirst = [];

    /// <summary>The same beside more words that are no names; this one stays as it is.</summary>
    public Misspellings Beside(IEnumerable<string> words)
    {
        var more = new Misspellings();
        foreach (var word in _known)
        {
            more.LearnWord(word);
        }

        more._names.UnionWith(_names);
        foreach (var word in words)
        {
            more.LearnWord(word);
        }

        return more;
    }

    /// <summary>A word of a name.</summary>
    public void LearnName(string word)
    {
        _names.Add(word);
        LearnWord(word);
    }

    /// <summary>A word that means something else.</summary>
    public void LearnWord(string word)
    {
        foreach (var form in new[] { word, LineTokens.Stem(word) })
        {
            if (form.Length < LeastLetters - 1 || !_known.Add(form))
            {
                continue;
            }

            if (!_byFirst.TryGetValue(form[0], out var list))
            {
                _byFirst[form[0]] = list = [];
            }

            list.Add(form);
        }
    }

    /// <summary>The tokens with misspelt words of names put right; each stands where it stood.</summary>
    public IReadOnlyList<Token<LineToken>> Corrected(IReadOnlyList<Token<LineToken>> tokens)
    {
        List<Token<LineToken>>? corrected = null;
        for (var i = 0; i < tokens.Count; i++)
        {
            if (Nearest(tokens[i]) is { } word)
            {
                corrected ??= [.. tokens];
                corrected[i] = At(tokens[i], word);
            }
        }

        return corrected ?? tokens;
    }

    private string? Nearest(Token<LineToken> token)
    {
        var word = token.ToStringValue();
        // "Minced" is no mince, "peppered" no pepper.
        if (word.EndsWith("ed", StringComparison.Ordinal) || word.EndsWith("ing", StringComparison.Ordinal))
        {
            return null;
        }

        if (token.Kind != LineToken.Word || word.Length < LeastLetters || _known.Contains(word) || _known.Contains(LineTokens.Stem(word)))
        {
            return null;
        }

        var most = word.Length >= LongLetters ? 2 : 1;
        var near = _byFirst
            .GetValueOrDefault(word[0], [])
            .Where(k => Math.Abs(k.Length - word.Length) <= most)
            .Select(k => (Word: k, Far: Far(word, k)))
            .Where(k => k.Far <= most)
            .ToList();
        if (near.Count == 0)
        {
            return null;
        }

        var best = near.Min(k => k.Far);
        // Plural and singular of one word are one.
        var all = near.Where(k => k.Far == best).Select(k => LineTokens.Stem(k.Word)).Distinct().ToList();
        var name = near.Where(k => k.Far == best).Select(k => k.Word).FirstOrDefault(_names.Contains);
        return all.Count == 1 ? name : null;
    }

    /// <summary>Letters wrong, missing or too many; two that changed places are one.</summary>
    private static int Far(string one, string other)
    {
        var distance = Levenshtein.GetDistance(one, other);
        if (distance != 2 || one.Length != other.Length)
        {
            return distance;
        }

        for (var i = 0; i + 1 < one.Length; i++)
        {
            if (one[i] != other[i])
            {
                return one[i] == other[i + 1] && one[i + 1] == other[i] && one.AsSpan(i + 2).SequenceEqual(other.AsSpan(i + 2)) ? 1 : 2;
            }
        }

        return distance;
    }

    private static Token<LineToken> At(Token<LineToken> token, string word)
    {
        var start = token.Position.Absolute;
        return new(token.Kind, new TextSpan(new string(' ', start) + word, token.Position, word.Length));
    }
}
