using Superpower.Model;

namespace BrightKettle.Core.Words.Grammar;

/// <summary>How what is named comes into the kitchen; <see cref="SpokenWords.Before"/> and <see cref="SpokenWords.Behind"/> say it.</summary>
public static class Quality
{
    public const string Frozen = "frozen";

    /// <summary>Cooked before and kept cold.</summary>
    public const string Chilled = "chilled";

    public const string Cooked = "cooked";

    public const string Half = "half";

    /// <summary>Never dried.</summary>
    public const string Green = "green";

    public const string Toasted = "toasted";

    /// <summary>In a pot of its own.</summary>
    public const string Apart = "apart";

    /// <summary>Rice in plenty of water, of which the rest is poured off.</summary>
    public const string Drained = "drained";
}

/// <content>Frozen peas, peas from the freezer, cooked black beans, 400 g leftover rice, basmati beside.</content>
internal abstract partial class SpokenGrammar
{
    /// <summary>A name with how it comes.</summary>
    /// <param name="Is">Each of <see cref="Quality"/>.</param>
    /// <param name="Length">Tokens that it takes.</param>
    protected sealed record Thing(SpokenName Name, IReadOnlyList<string> Is, int Length);

    protected Thing? ThingAt(IReadOnlyList<Token<LineToken>> t, int at)
    {
        var (found, next) = (new List<string>(), at);
        (SpokenName Name, int Length)? name;
        // A name may begin with such a word: fresh tomatoes.
        while ((name = Name(t, next)) is null && Words.Before.At(t, next) is var (quality, length) && Comes(t, next, quality))
        {
            found.Add(quality);
            next += length;
        }

        if (name is not { } named || found.Exists(q => !Fits(q, named.Name)))
        {
            return null;
        }

        next += named.Length;
        // One after the other: in lots of water, drained.
        while (BehindAt(t, next, named.Name) is var (also, behind))
        {
            found.Add(also);
            next = behind;
        }

        return new(named.Name, found, next - at);
    }

    /// <summary>A word behind a name that says how it comes, and where it ends.</summary>
    private (string Quality, int Next)? BehindAt(IReadOnlyList<Token<LineToken>> t, int next, SpokenName name)
    {
        var behind = next;
        while (behind < t.Count && Is(t, behind, ",", "are", "is"))
        {
            behind++;
        }

        // "In the fridge soaking" says more than "in the fridge"; before a name it is rather that one's.
        return
            Words.Behind.At(t, behind) is var (also, words)
            && Fits(also, name)
            && !(Words.Words.At(t, behind) is var (_, longer) && longer > words)
            && !(behind > next && Name(t, behind + words) is not null)
            ? (also, behind + words)
            : null;
    }

    /// <summary>A pulse that nobody sells green does not come fresh, and what is drained is not all of it rice: the word stands unread.</summary>
    private bool Fits(string quality, SpokenName name) =>
        quality switch
        {
            Quality.Green => name.Kind != "pulse" || name.Ids.Any(Words.SoldGreen.Contains),
            Quality.Drained => name.Kind == "rice",
            _ => true,
        };

    /// <summary>"Perfectly cooked lentils" are how they shall be, "cooked lentils" how they come.</summary>
    private bool Comes(IReadOnlyList<Token<LineToken>> t, int at, string quality) =>
        quality != Quality.Cooked || at == 0 || t[at - 1].Kind != LineToken.Word || Is(t, at - 1, Openers) || Stands(t, at - 1);

    private static readonly string[] Openers =
    [
        "my",
        "the",
        "some",
        "of",
        "have",
        "our",
        "these",
        "those",
        "frozen",
        "leftover",
        "cold",
        "g",
        "gr",
        "kg",
        "cups",
        "cup",
        "grams",
        "oz",
        "lb",
        "tin",
        "tins",
    ];
}
