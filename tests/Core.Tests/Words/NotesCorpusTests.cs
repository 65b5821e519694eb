using System.Globalization;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Units;
using BrightKettle.Core.Words.FromNotes;
using Xunit;

namespace BrightKettle.Core.Tests.Words;

/// <summary>Notes as people write them, with what each must mean. Each file after the first was written before it was read: of
/// notes-more.txt 12 of 24 were wholly right at first, of notes-third.txt 2 of 12 (51 of 75 fields), of notes-fourth.txt 3 of 12 (60 of
/// 71 fields). Weights may be off by a twentieth, by the cup that was meant.</summary>
public class NotesCorpusTests(ITestOutputHelper output)
{
    private static readonly NotesReader Reader = new(Kitchens.Catalogue);

    private const double Near = 0.08;

    [Theory]
    [InlineData("notes.txt", 40)]
    [InlineData("notes-more.txt", 24)]
    [InlineData("notes-third.txt", 12)]
    [InlineData("notes-fourth.txt", 12)]
    [InlineData("notes-fifth.txt", 10)]
    public void Nine_notes_in_ten_are_read_wholly_right_and_19_fields_in_20(string name, int least)
    {
        using var file = typeof(NotesCorpusTests).Assembly.GetManifestResourceStream(name)!;
        using var reader = new StreamReader(file);
        var (notes, whole, fields, right) = (0, 0, 0, 0);
        foreach (var block in reader.ReadToEnd().Split("%\n", StringSplitOptions.RemoveEmptyEntries))
        {
            var (text, meant) = (
                block[..block.IndexOf("=>", StringComparison.Ordinal)],
                block[(block.IndexOf("=>", StringComparison.Ordinal) + 2)..]
            );
            var (wanted, got) = (Fields(meant), Fields(Told(Reader.Read(text, 240))));
            if (!wanted.ContainsKey("acts"))
            {
                got.Remove("acts");
            }

            var wrong = wanted.Keys.Union(got.Keys).Where(k => !Same(wanted.GetValueOrDefault(k), got.GetValueOrDefault(k))).ToList();
            notes++;
            whole += wrong.Count == 0 ? 1 : 0;
            fields += wanted.Count;
            right += wanted.Count - wrong.Count;
            if (wrong.Count > 0)
            {
                output.WriteLine(
                    $"{text.Split('\n')[0]}: {string.Join("; ", wrong.Select(k => $"{k} meant {wanted.GetValueOrDefault(k)} read {got.GetValueOrDefault(k)}"))}"
                );
            }
        }

        output.WriteLine($"{whole} of {notes} notes, {right} of {fields} fields");
        Assert.True(notes >= least);
        Assert.True(whole >= 0.9 * notes, $"{whole} of {notes} notes wholly right");
        Assert.True(right >= 0.95 * fields, $"{right} of {fields} fields right");
    }

    /// <summary>With the usual taken where they leave something out, in a kitchen that has everything.</summary>
    [Fact]
    public void Every_note_is_a_cook_that_runs_to_its_table()
    {
        var (all, fails) = (0, new List<string>());
        foreach (
            var text in new[] { "notes.txt", "notes-more.txt", "notes-third.txt", "notes-fourth.txt", "notes-fifth.txt" }.SelectMany(Texts)
        )
        {
            all++;
            var read = Reader.Read(text, 240);
            var asked = new NotesCheck(Kitchens.Catalogue).Questions(read);
            var answers = new NoteAnswers().WithLikely(asked);
            var notes = answers.PutInto(read, Kitchens.Catalogue);
            if (
                NotesCook.Of(notes, answers, Kitchens.Catalogue, PlaceOf(notes), NodaTime.Instant.FromUtc(2026, 11, 28, 8, 0))
                is not { } cook
            )
            {
                fails.Add($"{notes.Title}: no cook");
            }
            else if (CookRules.Check(cook) is { } fault)
            {
                fails.Add($"{notes.Title}: {fault.Code} at {cook.Actions[fault.Action!.Value]}");
            }
            else if (Kitchens.Model.Run(cook, PotTraits.Reference(cook)) is var run && run.StalledAt is { } stalled)
            {
                fails.Add($"{notes.Title}: stalls at {cook.Actions[stalled]}");
            }
            else if (run.Final[0].Doneness is not > 30)
            {
                fails.Add($"{notes.Title}: pulses end at {run.Final[0].Doneness:0}");
            }
        }

        Assert.True(all >= 98);
        Assert.True(fails.Count == 0, string.Join('\n', fails));
    }

    private static IEnumerable<string> Texts(string name)
    {
        using var reader = new StreamReader(typeof(NotesCorpusTests).Assembly.GetManifestResourceStream(name)!);
        return
        [
            .. reader
                .ReadToEnd()
                .Split("%\n", StringSplitOptions.RemoveEmptyEntries)
                .Select(b => b[..b.IndexOf("=>", StringComparison.Ordinal)]),
        ];
    }

    private static CookKitchen PlaceOf(Notes notes)
    {
        var slow = Cooking.Pots.Cooker(CookerKind.Slow);
        var pot = Kitchens.Pot(26, 7);
        var boils = notes.Steps.Any(s => s.Act is NoteAct.Boil or NoteAct.Simmer);
        return new(
            notes.Cooking?.Act switch
            {
                NoteAct.Pressure => Cooking.Pots.Cooker(CookerKind.Spring),
                NoteAct.Whistles => Cooking.Pots.Cooker(CookerKind.Weight),
                NoteAct.Slow when !boils => slow,
                _ => pot,
            },
            Kitchens.Burner(),
            Altitude.SeaLevel,
            Temperature.FromCelsius(20)
        )
        {
            OtherVessels = notes.Cooking?.Act == NoteAct.Slow && boils ? [new(slow, Kitchens.Burner())] : [],
        };
    }

    private static Dictionary<string, string> Fields(string text) =>
        text.Split((char[])[' ', '\n'], StringSplitOptions.RemoveEmptyEntries).ToDictionary(f => f.Split('=')[0], f => f.Split('=')[^1]);

    private static bool Same(string? a, string? b)
    {
        if (a is null || b is null)
        {
            return a == b;
        }

        var (x, y) = (a.Split(':'), b.Split(':'));
        return x.Length == y.Length
            && x.Zip(y)
                .All(p =>
                    double.TryParse(p.First, CultureInfo.InvariantCulture, out var m)
                    && double.TryParse(p.Second, CultureInfo.InvariantCulture, out var n)
                        ? Math.Abs(m - n) <= Near * Math.Max(m, n)
                        : p.First == p.Second
                );
    }

    /// <summary>What changes nothing in the pot.</summary>
    private static readonly NoteAct[] Idle = [NoteAct.Other, NoteAct.Leave, NoteAct.Stir, NoteAct.Serve];

    private static string Snake(NoteAct act) =>
        string.Concat(
            act.ToString().Select((c, i) => i > 0 && char.IsUpper(c) ? $"_{char.ToLowerInvariant(c)}" : $"{char.ToLowerInvariant(c)}")
        );

    private static string Told(Notes n)
    {
        static string With(NoteAmount a) => string.Create(CultureInfo.InvariantCulture, $"{a.Id}:{a.Grams:0}");
        List<string?> told =
        [
            n.Title is { } title ? $"title={title.Replace(' ', '_').ToLowerInvariant()}" : null,
            n.People is { } p ? $"people={p}" : null,
            n.Pulse is { } pulse ? $"pulse={With(pulse)}" : null,
            n.Rice is { Grams: not null } rice ? $"rice={With(rice)}" : null,
            n.WaterGrams is { } water ? string.Create(CultureInfo.InvariantCulture, $"water={water:0}") : null,
            n.Amounts.FirstOrDefault(a => a is { Kind: "salt", Grams: not null }) is { } salt
                ? string.Create(CultureInfo.InvariantCulture, $"salt={salt.Grams:0.#}")
                : null,
            n.Has(NoteAct.Soak) ? "soak" : null,
            n.Has(NoteAct.QuickSoak) ? "quicksoak" : null,
            n.Has(NoteAct.Unsoaked) ? "unsoaked" : null,
            n.Has(NoteAct.Slow) ? "slow" : null,
            n.Has(NoteAct.Pressure) || n.Has(NoteAct.Whistles) ? "pressure" : null,
            n.Has(NoteAct.RiceIn) ? "ricein" : null,
            n.Cooking?.Whistles is { } w ? $"whistles={w}" : null,
            n.Cooking is { Minutes: { } m, Whistles: null } ? string.Create(CultureInfo.InvariantCulture, $"minutes={m.Low:0}") : null,
            $"acts={string.Join(',', n.Steps.Where(s => !Idle.Contains(s.Act)).Select(s => Snake(s.Act)))}",
        ];
        return string.Join(' ', told.Where(t => t is not null));
    }
}
