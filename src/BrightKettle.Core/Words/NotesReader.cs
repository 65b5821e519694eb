using System.Text.RegularExpressions;
using BrightKettle.Core.Catalogue;

namespace BrightKettle.Core.Words;

/// <summary>Reads somebody's notes: amounts line by line, then what is done and how long. What it does not understand it says; it never
/// guesses.</summary>
public sealed partial class NotesReader(CatalogueNames names, PulseCatalogue catalogue)
{
    private const int MostLines = 120;

    /// <summary>A line longer than this is read in pieces: nobody writes one amount or one step of so many letters, and no pattern has to
    /// go through more.</summary>
    private const int LongestLine = 300;

    /// <summary>Pasted text: lines that begin with an amount are ingredients, the others are steps.</summary>
    public Notes Read(string text, double cupMillilitres)
    {
        ArgumentNullException.ThrowIfNull(text);
        var lines = PlainText
            .Of(text)
            .ReplaceLineEndings("\n")
            .Split('\n')
            .SelectMany(Pieces)
            .SelectMany(Sentences)
            .Select(l => Tins().Replace(Bullet().Replace(l.Trim(), string.Empty), "$1 $2"))
            .SelectMany(Amounts)
            .Where(l => l.Length > 1)
            .Take(MostLines)
            .ToList();
        var amounts = lines.Where(IsAmount).ToList();
        var title = Title(lines);
        return Of(
            title,
            lines.Select(People).FirstOrDefault(p => p is not null),
            amounts,
            // What was soaked before it is weighed is an amount and a step.
            lines.Where(l =>
                l != title
                && !Heading().IsMatch(l)
                && (IsAmount(l) ? ActOf(l) == NoteAct.Soak : People(l) is null || ActOf(l) != NoteAct.Other)
            ),
            cupMillilitres
        );
    }

    /// <summary>Notes whose ingredients and steps are told apart already, as in a schema.org Recipe.</summary>
    public Notes Of(string? title, int? people, IEnumerable<string> ingredients, IEnumerable<string> steps, double cupMillilitres)
    {
        var amounts = ingredients
            .SelectMany(l => Pieces(PlainText.Of(l)))
            .Take(MostLines)
            .Select(l => Amount(l.Trim(), cupMillilitres))
            .ToList();
        var all = steps.SelectMany(l => Pieces(PlainText.Of(l))).Take(MostLines).ToList();
        var told = all.SelectMany(Sentences)
            .SelectMany(s => NextAct().Split(s))
            .Select(s => s.Trim())
            .Where(s => s.Length > 1)
            .Take(MostLines)
            .Select(Step)
            .ToList();
        foreach (var kind in new[] { "pulse", "rice" })
        {
            // Named without an amount, in a step or in the title: known, and its amount is asked.
            if (
                amounts.TrueForAll(a => a.Kind != kind)
                && all.Append(title ?? string.Empty).SelectMany(l => names.In(l)).FirstOrDefault(n => n.Kind == kind) is { } named
            )
            {
                amounts.Add(new(named.Name, kind, named.Id, named.Name, AmountBefore(all, named)));
            }
        }

        // Water that only a step names counts too: "cover with 2 litres of water".
        if (amounts.All(a => a.Kind != "water"))
        {
            amounts.AddRange(
                told.Select(s => (s.Line, Match: WaterIn().Match(s.Line)))
                    .Where(w => w.Match.Success)
                    .Select(w => Amount(w.Match.Value, cupMillilitres) with { Line = w.Line })
                    .Take(1)
            );
        }

        // "Chickpeas, no soak" is a name that says what no step does.
        if (
            title is not null
            && ActOf(title) == NoteAct.Unsoaked
            && told.TrueForAll(s => s.Act is not (NoteAct.Soak or NoteAct.QuickSoak or NoteAct.Unsoaked))
        )
        {
            told.Insert(0, new(title, NoteAct.Unsoaked, null, null));
        }

        return new(title, people, amounts, told);
    }

    private static IEnumerable<string> Sentences(string line) => SentenceEnd().Split(line);

    /// <summary>A long line, cut between two words where it has some.</summary>
    private static IEnumerable<string> Pieces(string line)
    {
        var rest = line;
        while (rest.Length > LongestLine)
        {
            var cut = rest.LastIndexOf(' ', LongestLine);
            cut = cut > 0 ? cut : LongestLine;
            yield return rest[..cut];
            rest = rest[cut..].TrimStart();
        }

        yield return rest;
    }

    /// <summary>The first line, where it is short and what comes next is no more of it: a name is no step, even of a dish in the slow
    /// cooker.</summary>
    private static string? Title(List<string> lines) =>
        lines is [var first, var second, ..]
        && first.Length < 70
        && !IsAmount(first)
        && !Heading().IsMatch(first)
        && Minutes(first) is null
        && Numbers.At(first, out _) is null
        && (IsAmount(second) || People(second) is not null || Heading().IsMatch(second))
            ? first
            : lines.FirstOrDefault(l =>
                !IsAmount(l) && l.Length < 70 && ActOf(l) == NoteAct.Other && People(l) is null && !Heading().IsMatch(l)
            );

    /// <summary>Two amounts on one line.</summary>
    private static IEnumerable<string> Amounts(string line)
    {
        var parts = NextAmount().Split(line);
        return parts.Length > 1 && parts.All(IsAmount) ? parts : [line];
    }

    private static bool IsAmount(string line) =>
        (
            Numbers.At(line, out var rest) is not null
            && UnitOf(rest.TrimStart()) is not null
            && ActOf(line) is NoteAct.Other or NoteAct.Soak
            && Minutes(line[..Math.Min(line.Length, MinutesWithin)]) is null
        ) || BareAmount().IsMatch(line);

    private static int? People(string line) =>
        Serves().Match(line) is { Success: true } match
        && Numbers.At(match.Groups[1].Value + match.Groups[2].Value + match.Groups[3].Value, out _)
            is { Low: >= 1 and <= 40 and var people }
            ? (int)people
            : null;

    private static (HouseholdMeasure Measure, string Left)? UnitOf(string text) => HouseholdMeasure.At(text.ToLowerInvariant());

    private NoteAmount Amount(string line, double cupMillilitres)
    {
        var number = Numbers.At(line, out var rest);
        var unit = UnitOf(rest.TrimStart());
        var of = unit?.Left ?? rest;
        var thing =
            names.In(of) is [var first, ..] ? first
            : names.In(line) is [var other, ..] ? other
            : null;
        var middle = number is { } n ? (n.Low + n.High) / 2 : (double?)null;
        // Stock or water is liquid all the same.
        thing = OrWater().IsMatch(of) ? null : thing;
        var cooked = Cooked().IsMatch(line) || unit?.Measure.Id == "tin";
        if (thing is null)
        {
            var kind =
                Water().IsMatch(of) ? "water"
                : Salt().IsMatch(of) ? "salt"
                : "unknown";
            var perMillilitre = kind == "salt" ? SaltSpoons.Fine.Typical / 5 : 1;
            return new(
                line,
                kind,
                null,
                kind == "unknown" ? of.Trim() : kind,
                Weight(middle, unit?.Measure, perMillilitre, cupMillilitres)
            );
        }

        var density = thing.Kind switch
        {
            "pulse" => catalogue.FindPulse(thing.Id)!.GramsPerCup / Portions.TableCupMillilitres,
            "rice" => catalogue.FindRice(thing.Id)!.GramsPerCup / Portions.TableCupMillilitres,
            _ => 1,
        };
        var grams = Weight(middle, unit?.Measure, density, cupMillilitres);
        if (
            grams is null
            && middle is { } pieces
            && unit is null
            && thing.Kind == "extra"
            && catalogue.FindExtra(thing.Id) is { PieceGrams: > 0 } extra
        )
        {
            grams = pieces * extra.PieceGrams;
        }

        if (cooked && thing.Kind == "pulse" && grams is { } weight)
        {
            // A tin is drained; what is cooked is told as the dry weight it came from.
            var pulse = catalogue.FindPulse(thing.Id)!;
            var drained = unit?.Measure.Drained is { } d && middle is { } tins ? tins * d : weight;
            grams = Cooking.PulseIngredient.DryOf(pulse, Units.Mass.FromGrams(drained)).Grams;
        }

        return new(line, thing.Kind, thing.Id, thing.Name, grams, cooked && thing.Kind == "pulse");
    }

    /// <summary>"Add 300 g white rice": grams that stand before the name in a step; null when none do.</summary>
    private double? AmountBefore(List<string> steps, NamedThing thing) =>
        steps
            .Where(l => names.In(l).Any(n => n.Id == thing.Id))
            .Select(l => GramsIn().Match(l))
            .Where(m => m.Success)
            .Select(m =>
                Numbers.At(m.Groups["n"].Value, out _) is { } n
                    ? (double?)(n.High * (m.Groups["unit"].Value.StartsWith('k') ? 1000 : 1))
                    : null
            )
            .FirstOrDefault();

    private static double? Weight(double? number, HouseholdMeasure? measure, double gramsPerMillilitre, double cupMillilitres) =>
        (number, measure) switch
        {
            (null, _) or (_, null) => null,
            ({ } n, { Kind: "mass" } m) => n * m.Typical,
            ({ } n, { Kind: "household_cup" }) => n * cupMillilitres * gramsPerMillilitre,
            ({ } n, { } m) => n * m.Typical * gramsPerMillilitre,
        };

    private static NoteStep Step(string line)
    {
        var minutes = Minutes(line) ?? (Overnight().IsMatch(line) ? (480, 720) : null);
        var whistles =
            Whistles().Match(line) is { Success: true } w && Numbers.At(w.Groups["n"].Value, out _) is { High: <= 20 and var count }
                ? (int)count
                : (int?)null;
        return new(line, ActOf(line), minutes, whistles);
    }

    private static (double Low, double High)? Minutes(string line)
    {
        var span = Span().Match(line);
        if (!span.Success || Numbers.At(span.Groups["n"].Value, out _) is not { } number)
        {
            return null;
        }

        var hours = span.Groups["unit"].Value is [var u, ..] && char.ToLowerInvariant(u) != 'm' ? 60 : 1;
        var more =
            span.Groups["half"].Success ? 30
            : span.Groups["quarter"].Success ? 15
            : 0;
        return ((number.Low * hours) + more, (number.High * hours) + more);
    }

    /// <summary>Letters at the head of a line in which a time makes it a step and no amount.</summary>
    private const int MinutesWithin = 12;

    private static NoteAct ActOf(string line)
    {
        foreach (var (pattern, act) in Acts)
        {
            if (pattern.IsMatch(line))
            {
                return act;
            }
        }

        return NoteAct.Other;
    }

    private static readonly (Regex Pattern, NoteAct Act)[] Acts =
    [
        (Unsoaked(), NoteAct.Unsoaked),
        (QuickSoak(), NoteAct.QuickSoak),
        (Soak(), NoteAct.Soak),
        (Whistles(), NoteAct.Whistles),
        (Pressure(), NoteAct.Pressure),
        (SlowCook(), NoteAct.Slow),
        (RiceIn(), NoteAct.RiceIn),
        (Drain(), NoteAct.Drain),
        (Simmer(), NoteAct.Simmer),
        (Boil(), NoteAct.Boil),
        (Rest(), NoteAct.Rest),
    ];

    [GeneratedRegex(@"^(?:[-*•·–]|\d+[.)]\s)\s*")]
    private static partial Regex Bullet();

    [GeneratedRegex(@"(?<=[.;!])\s+(?=[A-Z])|(?<=\p{L}{4}[.!])\s+(?=\p{L})|;\s+")]
    private static partial Regex SentenceEnd();

    /// <summary>Where one act follows another within a sentence.</summary>
    [GeneratedRegex(
        @",?\s*\b(?:and\s+)?then\s+|(?:,\s*(?:and\s+)?|\s+(?:and|y|et|e|und)\s+)(?=(?:soak|drain|boil|bring|simmer|cook|pressure|slow|add|stir\s+in|rest|quick|natural|leave|scolare|cuocere|cocer|escurrir|laisser|porter)\b)",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex NextAct();

    [GeneratedRegex(@"^(?:ingredients|method|steps|directions|instructions|notes)\b.{0,3}$", RegexOptions.IgnoreCase)]
    private static partial Regex Heading();

    [GeneratedRegex(
        @"^(?:salt|water|pepper|oil|\d+\s+(?:onion|onions|tomato|tomatoes|bay|clove|cloves|carrot|carrots|leaf|leaves|chil))\b[^.]{0,40}$",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex BareAmount();

    /// <summary>"For 40 minutes" is not forty people: a bare "for" wants people behind it, or nothing.</summary>
    [GeneratedRegex(
        @"(?:\b(?:serves|feeds|servings?:?)\s+(\w+)\b|\bfor\s+(\w+)(?:\s+(?:people|persons|eaters|plates|guests)\b|\s*$)|\b(?:pour|para|für|per)\s+(\d+)\s+pers)",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex Serves();

    [GeneratedRegex(@"(?<n>\d+(?:[.,]\d+)?)\s*(?<unit>kg|g|grams?)\b", RegexOptions.IgnoreCase)]
    private static partial Regex GramsIn();

    [GeneratedRegex(@"\b(?:water|agua|água|eau|wasser|acqua|su)\b", RegexOptions.IgnoreCase)]
    private static partial Regex Water();

    [GeneratedRegex(
        @"(?:\d[\d.,/ ]*|\b(?:a|an|one|two|three|four|five|six|half a)\s+)\s*(?:l|litres?|liters?|litros?|litri|ml|cups?|pints?|quarts?)\s+(?:of\s+|de\s+|di\s+|d.)?(?:\w+\s+)?(?:water|agua|água|eau|wasser|acqua)\b",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex WaterIn();

    /// <summary>"2 x 400g tins" are two tins.</summary>
    [GeneratedRegex(@"^(\d+)\s*[x×]\s*\d+\s*(?:g|oz|ml)\s+(tins?|cans?)\b", RegexOptions.IgnoreCase)]
    private static partial Regex Tins();

    [GeneratedRegex(@"\bor\s+water\b|\bwater\s+or\b", RegexOptions.IgnoreCase)]
    private static partial Regex OrWater();

    /// <summary>Where a second amount begins.</summary>
    [GeneratedRegex(@"\s*(?:,|;|\+|\band\b|&)\s*(?=(?:\d|½|¼|¾|a\s+cup|half\s+a)[^,;]*)", RegexOptions.IgnoreCase)]
    private static partial Regex NextAmount();

    [GeneratedRegex(@"\b(?:salt|sal|sel|salz|sale)\b", RegexOptions.IgnoreCase)]
    private static partial Regex Salt();

    [GeneratedRegex(@"\b(?:tinned|canned|cooked|tins?|cans?)\b", RegexOptions.IgnoreCase)]
    private static partial Regex Cooked();

    [GeneratedRegex(
        @"(?<n>(?:\d[\d.,/½¼¾ ]*|an?|one|two|three|four|five|six|seven|eight|nine|ten|twelve|half an|twenty|thirty|forty)(?:\s*(?:to|-|–|or)\s*(?:\d[\d.,/½¼¾ ]*|\w+))?)\s*(?<unit>h|hrs?|hours?|horas?|heures?|stunden?|or[ae]|min|mins|minutes?|minutos|minuten|minuti)\b(?:\s+(?:and|y|et|e|und)\s+(?:(?<half>(?:a\s+)?half|media|demie|mezza|meia)|(?<quarter>a\s+quarter|cuarto|quart))\b)?",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex Span();

    [GeneratedRegex(@"\bovernight\b|\bnotte\b|\bnoche\b|\bnuit\b|\bnacht\b|\bnoite\b", RegexOptions.IgnoreCase)]
    private static partial Regex Overnight();

    [GeneratedRegex(@"(?<n>\d+|one|two|three|four|five|six|seven|eight)\s+whistles?\b", RegexOptions.IgnoreCase)]
    private static partial Regex Whistles();

    [GeneratedRegex(
        @"\b(?:no|without)\s+soak|\bunsoaked\b|\bdo\s+not\s+soak|\bdon.?t\s+soak|\bsin\s+remoj|\bsans\s+tremp|\bohne\s+einweich|\bsenza\s+ammollo",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex Unsoaked();

    [GeneratedRegex(@"\b(?:quick|hot|fast)[- ]?soak", RegexOptions.IgnoreCase)]
    private static partial Regex QuickSoak();

    [GeneratedRegex(
        @"\bsoak|\bremoj|\btremp|\beinweich|\beingeweicht|\ba\s+bagno\b|\bammoll|\bde\s+molho\b|\bdemolh",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex Soak();

    [GeneratedRegex(@"\bpressure\b|\binstant\s+pressure\b", RegexOptions.IgnoreCase)]
    private static partial Regex Pressure();

    [GeneratedRegex(@"\bslow[- ]?cook", RegexOptions.IgnoreCase)]
    private static partial Regex SlowCook();

    [GeneratedRegex(
        @"\b(?:add|stir\s+in|tip\s+in|put\s+in|in\s+with)\b[^.]*\brice\b|\bcook\s+(?:the\s+)?rice\s+in\b|\b(?:a\u00F1ad|ech|agreg|ajout|zugeb|aggiung)\w*[^.]*\b(?:arroz|riz|reis|riso)\b",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex RiceIn();

    [GeneratedRegex(@"^\s*(?:drain|escurr|egoutt|\u00E9goutt|abgie|scol)|\bdrain\s+(?:and|the|them)\b", RegexOptions.IgnoreCase)]
    private static partial Regex Drain();

    [GeneratedRegex(
        @"\bsimmer|\bcook\b|\bbubble\b|^\s*heat\b|\bcocer|\bcocin|\bfuego\b|\bmijot|\bcuire\b|\bk\u00F6chel|\bgaren\b|\bcuocere\b|\bfuoco\b|\bcozinh|\bpişir",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex Simmer();

    [GeneratedRegex(@"\bboil|\bherv|\bébullition|\bkochen|\baufkoch|\bboll|\bferv|\bkaynat", RegexOptions.IgnoreCase)]
    private static partial Regex Boil();

    [GeneratedRegex(@"\brest\b|\bstand\b|\boff\s+the\s+heat\b", RegexOptions.IgnoreCase)]
    private static partial Regex Rest();
}
