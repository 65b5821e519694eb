using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Words.Grammar;

namespace BrightKettle.Core.Words.FromNotes;

/// <summary>Reads somebody's notes: what is needed, then what is done and how long. What it does not understand it says; it never
/// guesses.</summary>
public sealed class NotesReader(PulseCatalogue catalogue)
{
    private const int MostLines = 160;

    /// <summary>A line longer than this is read in pieces: nobody writes one amount or one step of so many letters.</summary>
    private const int LongestLine = 300;

    private const int LongestTitle = 70;

    private readonly NoteGrammar _grammar = new(Vocabulary.Of(catalogue), NoteWords.Shipped);

    /// <summary>A line, and what it says.</summary>
    private sealed record Line(string Text, IReadOnlyList<NotePiece> Pieces, bool Numbered)
    {
        /// <summary>What comes below it, for a line that says only that; null for others.</summary>
        public string? Heading { get; } = HeadingOf(Text);

        public bool Does => Pieces.Any(p => p is NotePiece.Does { Rank: not VerbRank.Weak } or NotePiece.Whistled);

        /// <summary>What begins with an amount is needed, whatever is done with it.</summary>
        public bool IsAmount =>
            Pieces.FirstOrDefault(p => p is not NotePiece.Unread { Word.Length: <= 3 })
                is NotePiece.Loose
                    or NotePiece.Named { Amount: not null }
                    or NotePiece.Water { Amount: not null }
                    or NotePiece.Salt;

        /// <summary>Names alone: "salt", "cold water", "thyme, whole pepper".</summary>
        public bool OnlyNames =>
            Pieces.Count > 0
            && Pieces[0] is NotePiece.Named or NotePiece.Salt or NotePiece.Water or NotePiece.Unread
            && Pieces.Any(p => p is NotePiece.Named or NotePiece.Salt or NotePiece.Water)
            && Pieces.All(p => p is not NotePiece.Over)
            && !Does
            && Pieces.All(p => p is not (NotePiece.Lasts or NotePiece.Until));

        /// <summary>A flame, a time or a place: it is done, not needed.</summary>
        public bool Cooks =>
            Pieces.Any(p => p is NotePiece.Whistled or NotePiece.Said { What: "late" })
            || Pieces.Any(p =>
                p is NotePiece.Does { Rank: not VerbRank.Weak, Act: not (NoteAct.Soak or NoteAct.QuickSoak or NoteAct.Unsoaked) } does
                && IsStep(does.Act)
            );

        /// <summary>What is said of a thing that is needed is no step: drained, rinsed, fried.</summary>
        private static bool IsStep(NoteAct act) =>
            act is NoteAct.Boil or NoteAct.Simmer or NoteAct.Pressure or NoteAct.Slow or NoteAct.RiceIn;
    }

    /// <summary>Pasted text.</summary>
    public Notes Read(string text, double cupMillilitres)
    {
        ArgumentNullException.ThrowIfNull(text);
        var lines = Lines([PlainText.Of(text)]);
        var title = TitleOf(lines);
        var (needed, done) = (new List<Line>(), new List<(Line Line, bool ForRice)>());
        var (list, steps, rice) = (false, false, false);
        foreach (var line in lines.Where(l => l != title))
        {
            if (line.Heading is { } heading)
            {
                (list, steps) = heading is "ingredients" or "steps" ? (heading == "ingredients", heading == "steps") : (list, steps);
                rice = heading == "rice";
                continue;
            }

            if (OnlyPeople(line))
            {
                continue;
            }

            var amount = line.IsAmount || (line.OnlyNames && !steps) || (list && !line.Does);
            if (amount && !(steps && line.Cooks && !line.IsAmount))
            {
                needed.Add(line);
            }

            if (!amount || line.Cooks || steps)
            {
                done.Add((line, rice));
            }
        }

        return Of(title, PeopleOf(lines), needed, done, cupMillilitres);
    }

    /// <summary>Notes whose ingredients and steps are told apart already, as in a schema.org Recipe.</summary>
    public Notes Of(string? title, int? people, IEnumerable<string> ingredients, IEnumerable<string> steps, double cupMillilitres) =>
        Of(
            title is null ? null : new(title, _grammar.Read(PlainText.Of(title)), false),
            people,
            Lines(ingredients),
            [.. Lines(steps).Where(l => l.Heading is null).Select(l => (l, false))],
            cupMillilitres
        );

    private Notes Of(Line? title, int? people, List<Line> needed, List<(Line Line, bool ForRice)> done, double cupMillilitres)
    {
        var amounts = new NoteAmounts(catalogue, cupMillilitres);
        var steps = new NoteSteps(amounts);
        var rest = done.Select(d => d.Line).ToHashSet();
        foreach (var line in needed)
        {
            amounts.Read(line.Text, line.Pieces);
            if (!rest.Contains(line))
            {
                steps.ReadSoak(line.Text, line.Pieces);
            }
        }

        foreach (var (line, forRice) in done)
        {
            steps.Read(line.Text, line.Pieces, forRice);
        }

        steps.TellRiceApart();
        foreach (var step in steps.All)
        {
            amounts.ReadStep(step);
        }

        amounts.PourAwayOf(steps.All);
        if (title is not null)
        {
            amounts.ReadTitle(title.Text, title.Pieces);
            steps.ReadTitle(title.Text, title.Pieces);
        }

        return new(title?.Text, people, amounts.All, steps.All);
    }

    private List<Line> Lines(IEnumerable<string> texts) =>
        [
            .. texts
                .SelectMany(t => PlainText.Of(t).ReplaceLineEndings("\n").Split('\n'))
                .SelectMany(Pieces)
                .Select(Bare)
                .Where(l => l.Text.Length > 1)
                .Take(MostLines)
                .Select(l => new Line(l.Text, _grammar.Read(l.Text), l.Numbered)),
        ];

    /// <summary>Without its bullet or its number.</summary>
    private static (string Text, bool Numbered) Bare(string line)
    {
        var text = line.Trim().TrimStart('-', '*', '•', '·', '–', '—', '▢', '□', '>', '#').TrimStart();
        var digits = text.TakeWhile(char.IsAsciiDigit).Count();
        var numbered = digits is 1 or 2 && text.Length > digits + 1 && text[digits] is '.' or ')' && !char.IsAsciiDigit(text[digits + 1]);
        return (numbered ? text[(digits + 1)..].TrimStart() : text, numbered);
    }

    /// <summary>A long line, cut between two words where it has some.</summary>
    private static IEnumerable<string> Pieces(string line)
    {
        var rest = line;
        while (rest.Length > LongestLine)
        {
            var cut = rest.LastIndexOf(". ", LongestLine, StringComparison.Ordinal) is > 0 and var stop
                ? stop + 1
                : rest.LastIndexOf(' ', LongestLine);
            cut = cut > 0 ? cut : LongestLine;
            yield return rest[..cut];
            rest = rest[cut..].TrimStart();
        }

        yield return rest;
    }

    /// <summary>A line that only says what comes below it.</summary>
    private static string? HeadingOf(string text)
    {
        var words = LineTokens.Of(LineTokens.Fold(text));
        return
            words.Count > 0
            && NoteWords.Shipped.Headings.At(words, 0) is var (heading, length)
            && words.Skip(length).All(w => w.Kind == LineToken.Mark)
            // "Rice" alone may be what is needed; with a colon it is a heading.
            && (heading is "ingredients" or "steps" || text.TrimEnd().EndsWith(':') || length > 1)
            ? heading
            : null;
    }

    private static bool OnlyPeople(Line line) =>
        line.Pieces.Any(p => p is NotePiece.People)
        && line.Pieces.Count(p => p is NotePiece.Unread) <= 1
        && line.Pieces[0] is not NotePiece.Unread { Length: > 4 }
        && line.Pieces.All(p =>
            p is NotePiece.People or NotePiece.Break or NotePiece.Stop or NotePiece.Lasts or NotePiece.Unread or NotePiece.Said
        )
        && !line.Does;

    private static int? PeopleOf(List<Line> lines) =>
        lines.SelectMany(l => l.Pieces).OfType<NotePiece.People>().Select(p => (int?)p.Count).FirstOrDefault();

    /// <summary>The first line, where it is short and no step and no amount: a name is no step, even of a dish in the slow cooker.</summary>
    private static Line? TitleOf(List<Line> lines) =>
        lines is [var first, var second, ..]
        && first.Text.Length < LongestTitle
        && !first.Numbered
        && !first.IsAmount
        && first.Heading is null
        && !OnlyPeople(first)
        && first.Pieces.All(p => p is not NotePiece.Whistled)
        // "The 15 minute version" is a name, "simmer 15 minutes" a step.
        && (first.Pieces.All(p => p is not NotePiece.Lasts) || (!first.Does && IsBegun(second)))
        // What begins with a verb is a name only where the list follows.
        && (first.Pieces is not [NotePiece.Does { Rank: not VerbRank.Weak }, ..] || IsBegun(second))
            ? first
            : null;

    /// <summary>With this line begins what is needed.</summary>
    private static bool IsBegun(Line line) => line.IsAmount || OnlyPeople(line) || line.Heading is not null;
}
