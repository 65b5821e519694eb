using Superpower.Model;

namespace BrightKettle.Core.Words.Grammar;

/// <summary>Phrases by their words, so that the longest at a place is found at once; plurals and genders are one.</summary>
internal sealed class Phrases<T>
    where T : class
{
    private sealed class Node
    {
        public Dictionary<string, Node> Next { get; } = [];

        public T? Means { get; set; }
    }

    private readonly Node _root = new();

    /// <summary>Every word of every phrase.</summary>
    public HashSet<string> Words { get; } = [];

    /// <summary>A phrase that was learned before keeps its first meaning, unless <paramref name="both"/> makes one of the two.</summary>
    public void Learn(string phrase, T means, Func<T, T, T>? both = null)
    {
        var node = _root;
        foreach (var token in LineTokens.Of(LineTokens.Fold(phrase)))
        {
            if (Key(token) is not { } key)
            {
                continue;
            }

            if (token.Kind == LineToken.Word)
            {
                Words.Add(token.ToStringValue());
            }

            if (!node.Next.TryGetValue(key, out var next))
            {
                node.Next[key] = next = new();
            }

            node = next;
        }

        if (node != _root)
        {
            node.Means = node.Means is not { } first ? means : both?.Invoke(first, means) ?? first;
        }
    }

    /// <summary>Phrases by what they mean.</summary>
    public void LearnAll(IReadOnlyDictionary<T, IReadOnlyList<string>> words)
    {
        foreach (var (means, said) in words)
        {
            foreach (var phrase in said)
            {
                Learn(phrase, means);
            }
        }
    }

    /// <summary>The longest phrase that begins at a place, and how many tokens it takes; null for none.</summary>
    public (T Means, int Length)? At(IReadOnlyList<Token<LineToken>> tokens, int at)
    {
        (T, int)? best = null;
        var node = _root;
        for (var i = at; i < tokens.Count; i++)
        {
            if (Key(tokens[i]) is not { } key)
            {
                // A hyphen, an apostrophe or a stroke within a phrase; other marks end it.
                if (i > at && tokens[i].ToStringValue() is "-" or "'" or "’" or "/")
                {
                    continue;
                }

                break;
            }

            if (!node.Next.TryGetValue(key, out var next))
            {
                break;
            }

            node = next;
            best = node.Means is { } means ? (means, i + 1 - at) : best;
        }

        return best;
    }

    private static string? Key(Token<LineToken> token) =>
        token.Kind switch
        {
            LineToken.Word => LineTokens.Stem(token.ToStringValue()),
            LineToken.Number => token.ToStringValue(),
            LineToken.Mark when token.ToStringValue() == "&" => "and",
            _ => null,
        };
}
