using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Units;
using BrightKettle.Core.Words;
using BrightKettle.Core.Words.FromNotes;
using NodaTime;
using Xunit;
using static BrightKettle.Core.Tests.Kitchens;

namespace BrightKettle.Core.Tests.Words;

/// <summary>Somebody's notes, and what must be asked of them.</summary>
public class NotesTests
{
    private static readonly NotesReader Reader = new(Kitchens.Catalogue);
    private static readonly NotesCheck Check = new(Kitchens.Catalogue);

    private const string Aunt = """
        Harbour chickpeas
        Serves 4
        - 2 cups chickpeas
        - 8 litres water
        - 1 onion, chopped
        - 2 bay leaves
        1. Soak the chickpeas overnight.
        2. Drain, bring to the boil and simmer for 1 to 1 1/2 hours, lid on.
        3. Add 300 g white rice and cook 18 minutes.
        """;

    private static Notes Read(string text) => Reader.Read(text, 240);

    private static IEnumerable<string> Asked(Notes notes) => Check.Questions(notes).Select(q => q.Code);

    [Fact]
    public void Amounts_times_and_actions_are_recognised()
    {
        var notes = Read(Aunt);
        Assert.Equal(("Harbour chickpeas", 4), (notes.Title, notes.People));
        Assert.Equal("chickpea", notes.Pulse!.Id);
        Assert.InRange(notes.Pulse.Grams!.Value, 390, 420);
        Assert.Equal(8000, notes.WaterGrams);
        Assert.Contains(notes.Amounts, a => a is { Id: "onion", Grams: 120 });
        Assert.Contains(notes.Amounts, a => a is { Id: "leaf" });
        Assert.Equal((60, 90), notes.Steps.First(s => s.Act == NoteAct.Simmer).Minutes);
        Assert.True(notes.Has(NoteAct.Soak) && notes.Has(NoteAct.RiceIn));
    }

    [Fact]
    public void Only_what_is_missing_is_asked()
    {
        Assert.Equal(["salt"], Asked(Read(Aunt)).Order());
        Assert.Equal(["pulse"], Asked(Read("simmer for 40 minutes")));
        Assert.Equal(
            ["clock_start", "lid", "minutes", "pulse_grams", "salt", "soak", "water"],
            Asked(Read("pinto beans, cooked slowly on the stove")).Order()
        );
        Assert.Equal(
            ["clock_start", "release", "salt", "soak"],
            Asked(Read("250 g pinto beans\n1 l water\nPressure cook for 25 minutes")).Order()
        );
        Assert.Equal(
            ["salt", "soak"],
            Asked(Read("250 g pinto beans\n1 l water\nBring to the boil, cover with a lid and simmer 2 hours")).Order()
        );
    }

    [Theory]
    [InlineData("250 g chickpeas\n8 l water\nsoak overnight, then boil and simmer 80 minutes with the lid on", "too_much_water")]
    [InlineData("500 g chickpeas\n1 cup water\nsoak overnight, then boil and simmer 80 minutes with the lid on", "too_little_water")]
    [InlineData("250 g chickpeas\n1 l water\nsoak overnight, then boil and simmer 10 minutes with the lid on", "too_short")]
    [InlineData("250 g red lentils\n1 l water\nboil and simmer 3 hours", "too_long")]
    [InlineData("250 g chickpeas\n1 l water\n60 g salt\nsoak overnight, then boil and simmer 80 minutes", "too_much_salt")]
    [InlineData("250 g kidney beans\n1 l water\nsoak overnight, then slow cook for 8 hours", "low_for_lectin")]
    public void What_can_hardly_be_meant_is_doubted(string text, string code) =>
        Assert.Equal([code], Check.Doubts(Read(text)).Select(d => d.Code));

    [Theory]
    [InlineData("250 g chickpeas\nsimmer for 40 minutes", null)]
    [InlineData("Chickpeas for six\n250 g chickpeas\nsimmer for 40 minutes", 6)]
    [InlineData("For 5 people\n250 g chickpeas", 5)]
    [InlineData("Serves 4 to 6\n250 g chickpeas", 4)]
    public void Minutes_are_not_taken_for_people(string text, int? people) => Assert.Equal(people, Read(text).People);

    [Fact]
    public void Sound_notes_raise_no_doubt() =>
        Assert.Empty(
            Check.Doubts(Read("250 g chickpeas\n1.2 l water\n2 tsp salt\nsoak overnight, then boil and simmer 80 minutes with the lid on"))
        );

    [Fact]
    public void A_tin_is_told_as_the_dry_weight_it_came_from()
    {
        var line = Read("2 tins chickpeas\n200 ml water\nsimmer 10 minutes").Pulse!;
        Assert.True(line.Cooked);
        Assert.InRange(line.Grams!.Value, 190, 240);
    }

    private static Cook? CookOf(Notes notes, NoteAnswers answers) =>
        NotesCook.Of(
            answers.PutInto(notes, Kitchens.Catalogue),
            answers,
            Kitchens.Catalogue,
            new CookKitchen(Pot(28, 8), Burner(), Altitude.SeaLevel, Temperature.FromCelsius(20)),
            Instant.FromUtc(2026, 11, 25, 9, 0)
        );

    [Fact]
    public void Nothing_is_guessed_a_cook_needs_every_answer()
    {
        Assert.Null(CookOf(Read("pinto beans, simmered"), new()));
        var answers = new NoteAnswers(
            PulseGrams: 250,
            WaterGrams: 1500,
            Minutes: 120,
            Soak: "none",
            Lid: "ajar",
            ClockStart: "boil",
            SaltGrams: 8
        );
        var notes = answers.PutInto(Read("pinto beans, simmered"), Kitchens.Catalogue);
        Assert.Empty(Asked(notes).Except(["lid", "clock_start"]));
        Assert.NotNull(CookOf(Read("pinto beans, simmered"), answers));
    }

    [Theory]
    [InlineData("250 g pinto beans\n1.5 l water\n8 g salt\nsoak overnight, boil, simmer 70 minutes, lid ajar")]
    [InlineData("250 g pinto beans\n1 l water\n8 g salt\nquick soak, then pressure cook 12 minutes, natural release")]
    [InlineData(
        "250 g red lentils\n1 l water\n8 g salt\nboil and simmer 15 minutes, lid on\nAdd 200 g rice and cook 16 minutes\nRest 10 minutes"
    )]
    [InlineData("250 g chickpeas\n1.2 l water\n8 g salt\nsoak 8 hours, slow cook on high for 6 hours")]
    public void The_cook_of_the_notes_is_valid_and_runs_to_its_end(string text)
    {
        var cook = CookOf(Read(text), new(RiceGrams: 200))!;
        var kitchen =
            text.Contains("pressure", StringComparison.Ordinal)
                ? cook.Kitchen with
                {
                    Vessel = Cooking.Pots.Cooker(Core.Kitchen.CookerKind.Spring),
                }
            : text.Contains("slow", StringComparison.Ordinal)
                ? cook.Kitchen with
                {
                    Vessel = Cooking.Pots.Cooker(Core.Kitchen.CookerKind.Slow),
                }
            : cook.Kitchen;
        cook = cook with { Kitchen = kitchen };
        Assert.Null(CookRules.Check(cook));
        Assert.Null(Model.Run(cook, PotTraits.Reference(cook)).StalledAt);
    }

    [Fact]
    public void Counting_from_the_flame_leaves_them_firmer_than_counting_from_the_boil()
    {
        double Done(string clock)
        {
            var cook = CookOf(
                Read("250 g pinto beans\n2 l water\n8 g salt\nsoak overnight, simmer 40 minutes, lid on"),
                new(ClockStart: clock)
            )!;
            return Model.Run(cook, PotTraits.Reference(cook)).Final[0].Doneness;
        }

        Assert.True(Done("heat_on") < Done("boil") - 5);
    }

    /// <summary>10,000 digits took 6 s and 40,000 took 111: each pattern went through all of them again and again.</summary>
    [Theory]
    [InlineData('7')]
    [InlineData(' ')]
    [InlineData('x')]
    public void A_line_of_very_many_letters_is_read_in_pieces(char letter)
    {
        var notes = Reader.Read($"300 g chickpeas\n1{new string(letter, 39_000)}x\nBoil 40 minutes", 240);
        Assert.All(notes.Steps, s => Assert.True(s.Line.Length <= 300));
        Assert.All(notes.Amounts, a => Assert.True(a.Line.Length <= 300));
        Assert.Equal("chickpea", notes.Pulse!.Id);
    }

    [Fact]
    public void A_long_sentence_is_cut_between_two_words_and_nothing_of_it_is_lost()
    {
        var words = Enumerable.Range(0, 200).Select(i => $"word{i}").ToList();
        var notes = Reader.Of(null, null, [], [string.Join(' ', words)], 240);
        Assert.Equal(words, notes.Steps.SelectMany(s => s.Line.Split(' ')));
    }
}
