using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Words.Grammar;

namespace BrightKettle.Core.Words.FromNotes;

/// <summary>note-words.json: how notes say what is done, by its meaning.</summary>
/// <param name="Words">do:, release:, generic:, weak:, lid:, flame: or say:, with what is meant.</param>
/// <param name="Until">How far something shall be, behind one of <paramref name="Till"/>.</param>
/// <param name="Warmth">Of water, °C; the empty key is the tap's.</param>
internal sealed record SpokenNotes(
    IReadOnlyDictionary<string, IReadOnlyList<string>> Words,
    IReadOnlyDictionary<string, IReadOnlyList<string>> Until,
    IReadOnlyList<string> Till,
    IReadOnlyList<string> Water,
    IReadOnlyList<string> Salt,
    IReadOnlyDictionary<string, IReadOnlyList<string>> Warmth,
    IReadOnlyDictionary<string, IReadOnlyList<string>> Headings,
    IReadOnlyList<string> Whistles,
    IReadOnlyList<string> Breaks
);

/// <summary>The same, ready to be found.</summary>
internal sealed class NoteWords
{
    public static NoteWords Shipped { get; } = new(PulseCatalogue.ReadOne<SpokenNotes>("note-words.json"));

    public Phrases<string> Words { get; } = new();
    public Phrases<string> Until { get; } = new();
    public Phrases<string> Till { get; } = new();
    public Phrases<string> Water { get; } = new();
    public Phrases<string> Salt { get; } = new();
    public Phrases<string> Warmth { get; } = new();
    public Phrases<string> Headings { get; } = new();
    public Phrases<string> Whistles { get; } = new();
    public Phrases<string> Breaks { get; } = new();

    /// <summary>Every word of every phrase.</summary>
    public IEnumerable<string> AllWords =>
        new[] { Words, Until, Till, Water, Salt, Warmth, Headings, Whistles, Breaks }.SelectMany(p => p.Words);

    private NoteWords(SpokenNotes spoken)
    {
        Words.LearnAll(spoken.Words);
        Until.LearnAll(spoken.Until);
        Warmth.LearnAll(spoken.Warmth);
        Headings.LearnAll(spoken.Headings);
        foreach (
            var (phrases, said) in new[]
            {
                (Till, spoken.Till),
                (Water, spoken.Water),
                (Salt, spoken.Salt),
                (Whistles, spoken.Whistles),
                (Breaks, spoken.Breaks),
            }
        )
        {
            foreach (var phrase in said)
            {
                phrases.Learn(phrase, phrase);
            }
        }
    }

    public static NoteAct ActOf(string means) => Enum.Parse<NoteAct>(means.Replace("_", "", StringComparison.Ordinal), ignoreCase: true);

    public static ReleaseKind ReleaseOf(string means) => Enum.Parse<ReleaseKind>(means, ignoreCase: true);

    public static Lid LidOf(string means) => Enum.Parse<Lid>(means, ignoreCase: true);

    public static NoteUntil UntilOf(string means) => Enum.Parse<NoteUntil>(means, ignoreCase: true);

    public static Flame FlameOf(string means) =>
        means switch
        {
            "lowest" => Flame.Lowest,
            "low" => Flame.Gentle,
            "medium" => Flame.Lively,
            _ => Flame.Full,
        };
}
