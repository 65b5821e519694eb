using System.Globalization;
using BrightKettle.Core.Words;
using Xunit;

namespace BrightKettle.Core.Tests.Words;

/// <summary>Notes as people write them, with what each must mean: notes.txt. Weights may be off by a twentieth, by the cup that was
/// meant.</summary>
public class NotesCorpusTests(ITestOutputHelper output)
{
    private static readonly NotesReader Reader = new(new CatalogueNames(Kitchens.Catalogue), Kitchens.Catalogue);

    private const double Near = 0.08;

    [Fact]
    public void Nine_notes_in_ten_are_read_wholly_right_and_19_fields_in_20()
    {
        using var file = typeof(NotesCorpusTests).Assembly.GetManifestResourceStream("notes.txt")!;
        using var reader = new StreamReader(file);
        var (notes, whole, fields, right) = (0, 0, 0, 0);
        foreach (var block in reader.ReadToEnd().Split("%\n", StringSplitOptions.RemoveEmptyEntries))
        {
            var (text, meant) = (
                block[..block.IndexOf("=>", StringComparison.Ordinal)],
                block[(block.IndexOf("=>", StringComparison.Ordinal) + 2)..]
            );
            var (wanted, got) = (Fields(meant), Fields(Told(Reader.Read(text, 240))));
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
        Assert.True(notes >= 40);
        Assert.True(whole >= 0.9 * notes, $"{whole} of {notes} notes wholly right");
        Assert.True(right >= 0.95 * fields, $"{right} of {fields} fields right");
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
                ? string.Create(CultureInfo.InvariantCulture, $"salt={salt.Grams:0}")
                : null,
            n.Has(NoteAct.Soak) ? "soak" : null,
            n.Has(NoteAct.QuickSoak) ? "quicksoak" : null,
            n.Has(NoteAct.Unsoaked) ? "unsoaked" : null,
            n.Has(NoteAct.Slow) ? "slow" : null,
            n.Has(NoteAct.Pressure) || n.Has(NoteAct.Whistles) ? "pressure" : null,
            n.Has(NoteAct.RiceIn) ? "ricein" : null,
            n.Cooking?.Whistles is { } w ? $"whistles={w}" : null,
            n.Cooking is { Minutes: { } m, Whistles: null } ? string.Create(CultureInfo.InvariantCulture, $"minutes={m.Low:0}") : null,
        ];
        return string.Join(' ', told.Where(t => t is not null));
    }
}
