using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Words.Grammar;
using BrightKettle.Core.Words.Measures;

namespace BrightKettle.Core.Words.FromNotes;

/// <summary>All amounts that notes name, each counted once.</summary>
internal sealed class NoteAmounts(PulseCatalogue catalogue, double cupMillilitres)
{
    private readonly List<NoteAmount> _amounts = [];

    public IReadOnlyList<NoteAmount> All => _amounts;

    public bool HasRice => _amounts.Exists(a => a.Kind == "rice");

    /// <summary>A line that lists what is needed.</summary>
    public void Read(string line, IReadOnlyList<NotePiece> pieces)
    {
        var several = pieces.Count(p => AmountOf(p) is not null) > 1;
        var before = _amounts.Count;
        // 150 g each of kidney beans, pintos and black beans.
        var each = pieces.Any(p => p is NotePiece.Said { What: "each" })
            ? pieces.Select(AmountOf).FirstOrDefault(a => a is not null)
            : null;
        var divided = pieces.Any(p => p is NotePiece.Said { What: "divided" });
        for (var i = 0; i < pieces.Count; i++)
        {
            if (each is not null && pieces[i] is NotePiece.Named { Amount: null } shared)
            {
                pieces = [.. pieces.Take(i), shared with { Amount = each }, .. pieces.Skip(i + 1)];
            }

            var cooked = IsCooked(pieces[i], pieces);
            if (PutOf(pieces[i], cooked) is { } put && (put.Grams is not null || put.Kind != "water"))
            {
                // A name within what is said of another: lentils (or split peas).
                if (put.Grams is null && _amounts.Count > before && put.Kind is "pulse" or "rice")
                {
                    continue;
                }

                var told = several ? Slice(line, pieces, i) : line;
                _amounts.Add(
                    new(told, put.Kind, put.Id, NameOf(put), put.Grams, cooked) { Others = OthersOf(pieces[i]), IsDivided = divided }
                );
            }
            else if (pieces[i] is NotePiece.Loose { Of: var amount } loose)
            {
                _amounts.Add(new(several ? Slice(line, pieces, i) : line, "unknown", null, line[loose.End..].Trim(), Grams(amount, 1)));
            }
        }

        if (_amounts.Count == before && line.Length > 1)
        {
            _amounts.Add(new(line, "unknown", null, line, null));
        }
    }

    /// <summary>What a step names with an amount, where the list does not: "add 300 g of rice", "cover with 2 litres of water".</summary>
    public void ReadStep(NoteStep step)
    {
        if (step.IfNeeded || step.Act is NoteAct.TopUp or NoteAct.Serve)
        {
            return;
        }

        foreach (var put in step.Puts.Where(p => !p.OfListed))
        {
            // A soak's salt goes with its water.
            if (put.Kind == "salt" && step.Act is NoteAct.Soak)
            {
                continue;
            }

            if (put.Kind == "water")
            {
                // A soak's and a washing's water is poured away; what the list names is not counted twice.
                if (
                    put.Grams is { } water
                    && step.Act is not (NoteAct.Soak or NoteAct.QuickSoak or NoteAct.Rinse)
                    && !_amounts.Exists(a => a.Kind == "water" && !a.InStep && a.Grams is { } listed && IsSame(listed, water))
                )
                {
                    _amounts.Add(new(step.Line, "water", null, "water", water) { InStep = true });
                }
            }
            else if (_amounts.FindIndex(a => a.Kind == put.Kind && (a.Id == put.Id || put.Kind is "pulse" or "rice")) is var at && at < 0)
            {
                if (put.Grams is not null || put.Kind is not "salt")
                {
                    _amounts.Add(new(step.Line, put.Kind, put.Id, NameOf(put), put.Grams) { InStep = true });
                }
            }
            else if (_amounts[at] is { Grams: null } && put.Grams is not null)
            {
                _amounts[at] = _amounts[at] with { Grams = put.Grams };
            }
        }
    }

    /// <summary>What the soak takes of water that the list names once for all: 10 cups, divided.</summary>
    public void PourAwayOf(IReadOnlyList<NoteStep> steps)
    {
        var soaked = steps
            .Where(s => s.Act is NoteAct.Soak)
            .SelectMany(s => s.Puts)
            .FirstOrDefault(p => p is { Kind: "water", Grams: > 0 });
        var at = _amounts.FindIndex(a => a is { Kind: "water", InStep: false });
        if (
            soaked?.Grams is { } grams
            && at >= 0
            && _amounts[at].Grams is { } listed
            && listed > grams
            && (_amounts[at].IsDivided || steps.Any(s => s.Left && s.Puts.Any(p => p.Kind == "water")))
        )
        {
            _amounts[at] = _amounts[at] with { Grams = listed - grams };
        }
    }

    private static IReadOnlyList<string> OthersOf(NotePiece piece) =>
        piece is NotePiece.Named { Kind: "pulse", Ids: { Count: > 1 } ids } ? [.. ids.Skip(1)] : [];

    /// <summary>A pulse or a rice that only the title names: its amount is asked.</summary>
    public void ReadTitle(string title, IReadOnlyList<NotePiece> pieces)
    {
        foreach (var kind in new[] { "pulse", "rice" })
        {
            if (
                !_amounts.Exists(a => a.Kind == kind)
                && pieces.OfType<NotePiece.Named>().FirstOrDefault(n => n.Kind == kind) is { } named
                && PutOf(named) is { } put
            )
            {
                // Where the name means several, nothing was said yet.
                if (OthersOf(named).Count == 0)
                {
                    _amounts.Add(new(title, kind, put.Id, NameOf(put), put.Grams));
                }
            }
        }
    }

    internal const double Near = 0.08;

    internal static bool IsSame(double listed, double said) => Math.Abs(listed - said) <= Near * Math.Max(listed, said);

    /// <summary>What a piece names, with its weight; null for what is no thing.</summary>
    public NotePut? PutOf(NotePiece piece) => PutOf(piece, IsCooked(piece, []));

    private NotePut? PutOf(NotePiece piece, bool cooked) =>
        piece switch
        {
            NotePiece.Water w => new("water", null, Grams(w.Amount, 1), w.Celsius, w.OfListed),
            NotePiece.Salt s => new("salt", null, Grams(s.Amount, SaltSpoons.Fine.Typical / MillilitresPerTeaspoon)),
            NotePiece.Named n => new(n.Kind, n.Ids[0], WeightOf(n, cooked)),
            _ => null,
        };

    private const double MillilitresPerTeaspoon = 5;

    private double? WeightOf(NotePiece.Named named, bool cooked)
    {
        var id = named.Ids[0];
        switch (named.Kind)
        {
            case "pulse":
                var pulse = catalogue.FindPulse(id)!;
                var grams = Grams(named.Amount, pulse.GramsPerCup / Portions.TableCupMillilitres);
                if (grams is not { } weight || !cooked)
                {
                    return grams;
                }

                // A tin is drained; what is cooked is told as the dry weight it came from.
                var tin = named.Amount!.Unit == "tin" ? HouseholdMeasure.Find("tin")!.Drained : null;
                return PulseIngredient.DryOf(pulse, Units.Mass.FromGrams(tin is { } drained ? named.Amount.Value * drained : weight)).Grams;
            case "rice":
                return Grams(named.Amount, catalogue.FindRice(id)!.GramsPerCup / Portions.TableCupMillilitres);
            default:
                return named.Amount is { Unit: "piece", Value: var pieces }
                    ? catalogue.FindExtra(id) is { PieceGrams: > 0 and var each }
                        ? pieces * each
                        : null
                    : Grams(named.Amount, 1);
        }
    }

    private static bool IsCooked(NotePiece piece, IReadOnlyList<NotePiece> beside) =>
        piece is NotePiece.Named { Kind: "pulse" } named
        && (named.Amount?.Unit == "tin" || named.Is.Contains(Quality.Cooked) || beside.Any(p => p is NotePiece.Said { What: "tinned" }));

    private double? Grams(SaidAmount? amount, double gramsPerMillilitre) =>
        amount is null ? null : HouseholdMeasure.Find(amount.Unit)?.GramsOf(amount.Value, gramsPerMillilitre, cupMillilitres);

    private static SaidAmount? AmountOf(NotePiece piece) =>
        piece switch
        {
            NotePiece.Named n => n.Amount,
            NotePiece.Water w => w.Amount,
            NotePiece.Salt s => s.Amount,
            NotePiece.Loose a => a.Of,
            _ => null,
        };

    private string NameOf(NotePut put) =>
        put.Kind switch
        {
            "pulse" => catalogue.FindPulse(put.Id!)!.Said,
            "rice" => catalogue.FindRice(put.Id!)!.Said,
            "extra" => catalogue.FindExtra(put.Id!)!.Name,
            var plain => plain,
        };

    /// <summary>The part of a line that one of several amounts takes.</summary>
    private static string Slice(string line, IReadOnlyList<NotePiece> pieces, int at)
    {
        var end = at + 1 < pieces.Count ? pieces[at + 1].Start : line.Length;
        return line[pieces[at].Start..Math.Min(line.Length, Math.Max(end, pieces[at].End))].TrimEnd(' ', ',', ';', '+', '&');
    }
}
