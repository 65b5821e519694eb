using System.Runtime.CompilerServices;
using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Words.Measures;

namespace BrightKettle.Core.Words.Grammar;

/// <summary>A name, and what it may mean: the likeliest first.</summary>
/// <param name="Kind">pulse, rice or extra.</param>
/// <param name="Beside">Meant only beside another pulse or kitchen word.</param>
internal sealed record SpokenName(string Kind, string Name, IReadOnlyList<string> Ids, bool Beside = false);

/// <summary>A dish that names its pulse, its rice and how it is cooked and eaten.</summary>
/// <param name="RiceJoin">beside, after_draining or in_the_liquor; null where the name says nothing of it.</param>
internal sealed record SpokenDish(
    IReadOnlyList<string> Names,
    IReadOnlyList<string> Pulses,
    string? Rice = null,
    string? Style = null,
    string? PulseTarget = null,
    string? RiceTarget = null,
    IReadOnlyList<string>? Extras = null,
    string? RiceJoin = null
);

/// <summary>spoken-words.json: what else is said, by its meaning.</summary>
/// <param name="Halves">Of the day: morning or evening.</param>
/// <param name="Before">How a thing comes, said before its name: frozen peas.</param>
/// <param name="Behind">The same behind it: peas from the freezer.</param>
/// <param name="WithoutBehind">No to what stands before it: pirinç yok, chawal nahi.</param>
/// <param name="Known">Words that mean nothing here, so that none of them is taken for a misspelt name.</param>
internal sealed record SpokenWords(
    IReadOnlyDictionary<string, IReadOnlyList<string>> Words,
    IReadOnlyDictionary<string, IReadOnlyList<string>> Before,
    IReadOnlyDictionary<string, IReadOnlyList<string>> Behind,
    IReadOnlyDictionary<string, IReadOnlyList<string>> Days,
    IReadOnlyDictionary<string, IReadOnlyList<string>> Weekdays,
    IReadOnlyDictionary<string, IReadOnlyList<string>> Clock,
    IReadOnlyDictionary<string, IReadOnlyList<string>> Halves,
    IReadOnlyList<string> People,
    IReadOnlyList<string> Kids,
    IReadOnlyList<string> Without,
    IReadOnlyList<string> WithoutBehind,
    IReadOnlyList<string> Idle,
    IReadOnlyList<string> Known,
    IReadOnlyDictionary<string, double> Numbers
);

/// <summary>All words that a line may hold, from the data files and the catalogue's own names.</summary>
internal sealed class Vocabulary
{
    public Phrases<SpokenName> Names { get; } = new();
    public Phrases<SpokenDish> Dishes { get; } = new();
    public Phrases<string> Words { get; } = new();
    public Phrases<string> Before { get; } = new();
    public Phrases<string> Behind { get; } = new();
    public Phrases<string> Days { get; } = new();
    public Phrases<string> Weekdays { get; } = new();
    public Phrases<string> Clock { get; } = new();
    public Phrases<string> Halves { get; } = new();
    public Phrases<string> Units { get; } = new();
    public Phrases<string> People { get; } = new();
    public Phrases<string> Kids { get; } = new();
    public Phrases<string> Without { get; } = new();
    public Phrases<string> WithoutBehind { get; } = new();
    public HashSet<string> Idle { get; }

    /// <summary>Pulses that come green as well as dried.</summary>
    public HashSet<string> SoldGreen { get; }

    public Dictionary<string, double> Numbers { get; } = [];

    /// <summary>Words of names, told from each other and from all other words.</summary>
    public Misspellings Misspellings { get; } = new();

    private static readonly ConditionalWeakTable<PulseCatalogue, Vocabulary> Known = [];

    /// <summary>Built once for a catalogue: it has some thousand phrases.</summary>
    public static Vocabulary Of(PulseCatalogue catalogue) => Known.GetValue(catalogue, c => new Vocabulary(c));

    private Vocabulary(PulseCatalogue catalogue)
    {
        SoldGreen = [.. catalogue.Pulses.Where(p => p.Green is not null).Select(p => p.Id)];
        // Households' names first: of a name that means several they know the likeliest.
        foreach (var name in PulseCatalogue.ReadList<SpokenName>("spoken-names.json"))
        {
            Names.Learn(name.Name, name, Both);
        }

        foreach (var p in catalogue.Pulses)
        {
            Learn("pulse", p.Id, [p.Said, p.Name, .. p.Aliases]);
        }

        foreach (var r in catalogue.Rices)
        {
            Learn("rice", r.Id, [r.Said, r.Name, .. r.Aliases]);
        }

        foreach (var x in catalogue.Extras)
        {
            Learn("extra", x.Id, [x.Name, .. x.Aliases]);
        }

        foreach (var dish in PulseCatalogue.ReadList<SpokenDish>("spoken-dishes.json"))
        {
            foreach (var name in dish.Names)
            {
                Dishes.Learn(name, dish);
            }
        }

        var words = PulseCatalogue.ReadOne<SpokenWords>("spoken-words.json");
        Words.LearnAll(words.Words);
        Before.LearnAll(words.Before);
        Behind.LearnAll(words.Behind);
        Days.LearnAll(words.Days);
        Weekdays.LearnAll(words.Weekdays);
        Clock.LearnAll(words.Clock);
        Halves.LearnAll(words.Halves);
        Units.LearnAll(HouseholdMeasure.All.ToDictionary(m => m.Id, m => m.Names));
        All(People, words.People);
        All(Kids, words.Kids);
        All(Without, words.Without);
        All(WithoutBehind, words.WithoutBehind);
        Idle = [.. words.Idle.SelectMany(w => LineTokens.Fold(w).Split(' ', '-', '\''))];
        foreach (var (word, value) in words.Numbers)
        {
            Numbers[LineTokens.Fold(word)] = value;
        }

        foreach (
            var word in Words
                .Words.Concat(Before.Words)
                .Concat(Behind.Words)
                .Concat(Days.Words)
                .Concat(Weekdays.Words)
                .Concat(Clock.Words)
                .Concat(Halves.Words)
                .Concat(Units.Words)
                .Concat(People.Words)
                .Concat(Kids.Words)
                .Concat(Without.Words)
                .Concat(WithoutBehind.Words)
                .Concat(Idle)
                .Concat(words.Known.Select(LineTokens.Fold))
                .Concat(Numbers.Keys)
        )
        {
            Misspellings.LearnWord(word);
        }

        foreach (var word in Names.Words.Concat(Dishes.Words))
        {
            Misspellings.LearnName(word);
        }
    }

    private void Learn(string kind, string id, IEnumerable<string> names)
    {
        // What stands in brackets says which one it is, and nobody types it.
        foreach (var name in names.Select(n => n.Split(" (")[0]).Where(n => n.Length > 2))
        {
            Names.Learn(name, new(kind, name, [id]), Both);
        }
    }

    /// <summary>One name for several things, the likelier first.</summary>
    private static SpokenName Both(SpokenName first, SpokenName other) =>
        first.Kind == other.Kind ? first with { Ids = [.. first.Ids.Union(other.Ids)] } : first;

    private static void All(Phrases<string> phrases, IReadOnlyList<string> said)
    {
        foreach (var phrase in said)
        {
            phrases.Learn(phrase, phrase);
        }
    }
}
