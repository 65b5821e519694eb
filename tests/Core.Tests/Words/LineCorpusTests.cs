using System.Globalization;
using BrightKettle.Core.Words;
using BrightKettle.Core.Words.Grammar;
using BrightKettle.Core.Words.Lines;
using CsCheck;
using Xunit;

namespace BrightKettle.Core.Tests.Words;

/// <summary>Lines as people write them, with what each must mean: lines.txt. What a line does not say must stay unsaid.</summary>
public class LineCorpusTests(ITestOutputHelper output)
{
    private static readonly DishLine Lines = new(Kitchens.Catalogue);

    private static IEnumerable<(string Line, string Meant)> Corpus()
    {
        using var file = typeof(LineCorpusTests).Assembly.GetManifestResourceStream("lines.txt")!;
        using var reader = new StreamReader(file);
        while (reader.ReadLine() is { } row)
        {
            if (row.Split(" | ") is [var line, var meant])
            {
                yield return (line, meant);
            }
        }
    }

    [Fact]
    public void Nine_lines_in_ten_are_read_wholly_right_and_19_fields_in_20()
    {
        var (lines, right, fields, rightFields) = (0, 0, 0, 0);
        foreach (var (line, meant) in Corpus())
        {
            var (wanted, got) = (Fields(meant), Fields(Told(Lines.Read(line))));
            var all = wanted.Keys.Union(got.Keys).ToList();
            var same = all.Count(k => wanted.GetValueOrDefault(k) == got.GetValueOrDefault(k));
            lines++;
            fields += all.Count;
            rightFields += same;
            right += same == all.Count ? 1 : 0;
            if (same != all.Count)
            {
                output.WriteLine($"{line}\n   meant {meant}\n   read  {Told(Lines.Read(line))}");
            }
        }

        output.WriteLine($"{right} of {lines} lines, {rightFields} of {fields} fields");
        Assert.True(lines >= 720);
        Assert.True(right >= 0.9 * lines, $"{right} of {lines} lines wholly right");
        Assert.True(rightFields >= 0.95 * fields, $"{rightFields} of {fields} fields right");
    }

    /// <summary>What was silently wrong once stays right, whatever share of the corpus is.</summary>
    [Theory]
    [InlineData("lentils and rice on the table in 30 minutes", "fromnow=30 pulses=lentil_brown rice=long_white")]
    [InlineData("chickpeas, table in 40 minutes, 3 people", "fromnow=40 people=3 pulses=chickpea")]
    [InlineData("siamo in 6, ceci 300 g", "people=6 pulses=chickpea:300g")]
    [InlineData("urad and rajma, 200g / 50g", "pulses=urad_whole:200g,kidney_red:50g")]
    [InlineData("rice, 2 and a half cups", "rice=long_white:2.5cup")]
    [InlineData("kidney beans 300 g, 6:30 p.m., 4 people", "people=4 at=18:30 pulses=kidney_red:300g")]
    [InlineData("5 people. 7. lentils", "people=5 at=19:00 pulses=lentil_brown")]
    [InlineData("navy bean soup, 7 tonight", "at=19:00 days=0 pulses=navy style=soup")]
    [InlineData("navy beans, 4 tonight", "people=4 days=0 pulses=navy")]
    [InlineData("7 tonight at 8, navy beans", "people=7 days=0 at=20:00 pulses=navy")]
    [InlineData("lentills for 3", "people=3 pulses=lentil_brown")]
    [InlineData("adults 2, kids 3, black beans", "people=5 kids=3 pulses=black")]
    [InlineData("toor dal 3/4 cup, 4 whistles", "pulses=toor_split:0.75cup method=pressure")]
    [InlineData("red lentils, i have 40 minutes", "fromnow=40 pulses=lentil_red_split")]
    [InlineData("beans? black. people? 4. time? 7:30", "people=4 at=19:30 pulses=black")]
    public void No_field_is_silently_another(string line, string meant) => Assert.Equal(Fields(meant), Fields(Told(Lines.Read(line))));

    /// <summary>Whole phrases in any order mean the same.</summary>
    [Fact]
    public void The_order_of_phrases_does_not_matter()
    {
        string[] phrases =
        [
            "for 4",
            "at 19:30",
            "300 g chickpeas",
            "200 g basmati",
            "no onion",
            "saucy",
            "not soaked",
            "tomorrow",
            "with tomato",
        ];
        var meant = Told(Lines.Read(string.Join(", ", phrases)));
        Gen.Shuffle(phrases).Sample(mixed => Assert.Equal(meant, Told(Lines.Read(string.Join(", ", mixed)))), iter: 300);
    }

    [Fact]
    public void Each_word_is_read_or_stands_as_unread() =>
        Gen.Select(Any.Of<string>([.. Corpus().Select(c => c.Line)]), Gen.Int[100000, 999999])
            .Sample(
                (line, odd) =>
                    Assert.Contains(Lines.Read($"{line}, zq{Letters(odd)}").NotUnderstood, w =>
                        w.StartsWith("zq", StringComparison.OrdinalIgnoreCase)
                    ),
                iter: 200
            );

    /// <summary>A word of no language.</summary>
    private static string Letters(int number) =>
        string.Concat(number.ToString(CultureInfo.InvariantCulture).Select(c => (char)('q' + ((c - '0') % 5))));

    /// <summary>Nothing silent: each word of any text is part of what was read, stands as unread, or is one of the small words between.</summary>
    [Fact]
    public void No_word_of_any_text_is_lost()
    {
        var idle = Vocabulary.Of(Kitchens.Catalogue).Idle;
        string[] words =
        [
            "no",
            "half",
            "of",
            "10/0",
            "\u0663\u0660\u0660",
            "\u00bd",
            "chick",
            "peas",
            "not",
            "at",
            "for",
            "tin",
            "zwei",
            "h",
            "snorkel",
            "300g",
            "-",
            ":",
            "'",
            "rice",
            "soaked",
            "\ud83c\udf5a",
            "monday",
        ];
        Gen.Int[0, words.Length - 1]
            .Array[0, 14]
            .Sample(
                picked =>
                {
                    var line = PlainText.Of(string.Join(' ', picked.Select(i => words[i])));
                    var parts = Lines.Read(line).Parts;
                    foreach (var token in LineTokens.Of(LineTokens.Fold(line)).Where(t => t.Kind is LineToken.Word or LineToken.Number))
                    {
                        var at = token.Position.Absolute;
                        Assert.True(
                            idle.Contains(token.ToStringValue()) || parts.Any(p => at >= p.Start && at < p.Start + p.Length),
                            $"{token.ToStringValue()} of \"{line}\" is lost"
                        );
                    }
                },
                iter: 2000
            );
    }

    private static SortedDictionary<string, string> Fields(string text)
    {
        var fields = new SortedDictionary<string, string>();
        foreach (var field in text.Split(' ', StringSplitOptions.RemoveEmptyEntries))
        {
            fields[field.Split('=')[0]] = field;
        }

        return fields;
    }

    private static string Told(DishWish w)
    {
        static string With(string id, SaidAmount? a) =>
            a is null ? id : string.Create(CultureInfo.InvariantCulture, $"{id}:{a.Value:0.##}{a.Unit}");
        List<string?> told =
        [
            w.People is { } p ? $"people={p}" : null,
            w.LittleOnes is { } k ? $"kids={k}" : null,
            w.At is { } at ? $"at={at:HH:mm}" : null,
            w.FromNow is { } f ? $"fromnow={f.TotalMinutes:0}" : null,
            w.DaysOn is { } d ? $"days={d}" : null,
            w.Weekday is { } day ? $"weekday={day}" : null,
            w.Pulses.Count > 0 ? $"pulses={string.Join(',', w.Pulses.Select(x => With(x.Id, x.Amount)))}" : null,
            w.Rice is { } r ? $"rice={With(r.Id, r.Amount)}" : null,
            w.NoRice ? "norice" : null,
            w.RiceBeside ? "ricebeside" : null,
            w.RiceJoin is { } join ? $"join={join}" : null,
            w.Style is { } s ? $"style={s}" : null,
            w.PulseTarget is { } t ? $"target={t}" : null,
            w.RiceTarget is { } rt ? $"ricetarget={rt}" : null,
            w.Soak is { } soak ? $"soak={soak}" : null,
            w.Method is { } m ? $"method={m}" : null,
            w.Extras.Count > 0 ? $"extras={string.Join(',', w.Extras.Select(x => With(x.Id, x.Amount)))}" : null,
            w.WithoutIds.Count > 0 ? $"without={string.Join(',', w.WithoutIds)}" : null,
            w.NotUnderstood.Count > 0 ? $"unread={string.Join(',', w.NotUnderstood)}" : null,
        ];
        return string.Join(' ', told.Where(x => x is not null)).ToLowerInvariant();
    }
}
