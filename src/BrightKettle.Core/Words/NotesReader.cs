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
            .Select(l => Bullet().Replace(l.Trim(), string.Empty))
            .Where(l => l.Length > 1)
            .Take(MostLines)
            .ToList();
        var amounts = lines.Where(IsAmount).ToList();
        var title = lines.FirstOrDefault(l =>
            !IsAmount(l) && l.Length < 70 && ActOf(l) == NoteAct.Other && People(l) is null && !Heading().IsMatch(l)
        );
        return Of(
            title,
            lines.Select(People).FirstOrDefault(p => p is not null),
            amounts,
            lines.Where(l => !IsAmount(l) && l != title && !Heading().IsMatch(l) && (People(l) is null || ActOf(l) != NoteAct.Other)),
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
                && all.Prepend(title ?? string.Empty).SelectMany(l => names.In(l)).FirstOrDefault(n => n.Kind == kind) is { } named
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

    private static bool IsAmount(string line) =>
        (Numbers.At(line, out var rest) is not null && UnitOf(rest.TrimStart()) is not null && ActOf(line) == NoteAct.Other)
        || BareAmount().IsMatch(line);

    private static int? People(string line) =>
        Serves().Match(line) is { Success: true } match
        && Numbers.At(match.Groups[1].Value + match.Groups[2].Value, out _) is { Low: >= 1 and <= 40 and var people }
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
        var span = Span().Match(line);
        (double Low, double High)? minutes = null;
        if (span.Success && Numbers.At(span.Groups["n"].Value, out _) is { } number)
        {
            var hours = span.Groups["unit"].Value.StartsWith("h", StringComparison.OrdinalIgnoreCase) ? 60 : 1;
            minutes = (number.Low * hours, number.High * hours);
        }
        else if (Overnight().IsMatch(line))
        {
            minutes = (480, 720);
        }

        var whistles =
            Whistles().Match(line) is { Success: true } w && Numbers.At(w.Groups["n"].Value, out _) is { High: <= 20 and var count }
                ? (int)count
                : (int?)null;
        return new(line, ActOf(line), minutes, whistles);
    }

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

    [GeneratedRegex(@"(?<=[.;!])\s+(?=[A-Z])|;\s+")]
    private static partial Regex SentenceEnd();

    /// <summary>Where one act follows another within a sentence.</summary>
    [GeneratedRegex(
        @",?\s*\b(?:and\s+)?then\s+|(?:,\s*(?:and\s+)?|\s+and\s+)(?=(?:soak|drain|boil|bring|simmer|cook|pressure|slow|add|stir\s+in|rest|quick|natural|leave)\b)",
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
        @"(?:\b(?:serves|feeds|servings?:?)\s+(\w+)\b|\bfor\s+(\w+)(?:\s+(?:people|persons|eaters|plates|guests)\b|\s*$))",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex Serves();

    [GeneratedRegex(@"(?<n>\d+(?:[.,]\d+)?)\s*(?<unit>kg|g|grams?)\b", RegexOptions.IgnoreCase)]
    private static partial Regex GramsIn();

    [GeneratedRegex(@"\bwater\b", RegexOptions.IgnoreCase)]
    private static partial Regex Water();

    [GeneratedRegex(
        @"(?:\d[\d.,/ ]*|\b(?:a|an|one|two|three|four|five|six|half a)\s+)\s*(?:l|litres?|liters?|ml|cups?|pints?|quarts?)\s+(?:of\s+)?(?:\w+\s+)?water\b",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex WaterIn();

    [GeneratedRegex(@"\bsalt\b", RegexOptions.IgnoreCase)]
    private static partial Regex Salt();

    [GeneratedRegex(@"\b(?:tinned|canned|cooked|tins?|cans?)\b", RegexOptions.IgnoreCase)]
    private static partial Regex Cooked();

    [GeneratedRegex(
        @"(?<n>(?:\d[\d.,/½¼¾ ]*|an?|one|two|three|four|five|six|seven|eight|nine|ten|twelve|half an|twenty|thirty|forty)(?:\s*(?:to|-|–|or)\s*(?:\d[\d.,/½¼¾ ]*|\w+))?)\s*(?<unit>h|hrs?|hours?|min|mins|minutes?)\b",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex Span();

    [GeneratedRegex(@"\bovernight\b", RegexOptions.IgnoreCase)]
    private static partial Regex Overnight();

    [GeneratedRegex(@"(?<n>\d+|one|two|three|four|five|six|seven|eight)\s+whistles?\b", RegexOptions.IgnoreCase)]
    private static partial Regex Whistles();

    [GeneratedRegex(@"\b(?:no|without)\s+soak|\bunsoaked\b|\bdo\s+not\s+soak", RegexOptions.IgnoreCase)]
    private static partial Regex Unsoaked();

    [GeneratedRegex(@"\bquick[- ]?soak", RegexOptions.IgnoreCase)]
    private static partial Regex QuickSoak();

    [GeneratedRegex(@"\bsoak", RegexOptions.IgnoreCase)]
    private static partial Regex Soak();

    [GeneratedRegex(@"\bpressure\b|\binstant\s+pressure\b", RegexOptions.IgnoreCase)]
    private static partial Regex Pressure();

    [GeneratedRegex(@"\bslow[- ]?cook", RegexOptions.IgnoreCase)]
    private static partial Regex SlowCook();

    [GeneratedRegex(@"\b(?:add|stir\s+in|tip\s+in|put\s+in|in\s+with)\b[^.]*\brice\b", RegexOptions.IgnoreCase)]
    private static partial Regex RiceIn();

    [GeneratedRegex(@"^\s*drain\b|\bdrain\s+(?:and|the|them)\b", RegexOptions.IgnoreCase)]
    private static partial Regex Drain();

    [GeneratedRegex(@"\bsimmer|\bcook\b|\bbubble\b", RegexOptions.IgnoreCase)]
    private static partial Regex Simmer();

    [GeneratedRegex(@"\bboil", RegexOptions.IgnoreCase)]
    private static partial Regex Boil();

    [GeneratedRegex(@"\brest\b|\bstand\b|\boff\s+the\s+heat\b", RegexOptions.IgnoreCase)]
    private static partial Regex Rest();
}
