using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Words.Grammar;
using NodaTime;

namespace BrightKettle.Core.Words.Lines;

/// <summary>What a line names, with each thing once: a kind and which of it, an amount for each, a rice said twice.</summary>
/// <param name="parts">Of the line; what a rule takes from the names stays in it as a small word.</param>
/// <param name="dish">A dish that the line names; null for none.</param>
internal sealed class LineNames(string line, List<LinePart> parts, LinePart.Dish? dish, PulseCatalogue catalogue)
{
    /// <summary>Rice that was said by no name.</summary>
    public const string PlainRice = "long_white";

    /// <summary>Pulses stand longer.</summary>
    private static readonly Duration LongestRiceSoak = Duration.FromMinutes(59);

    /// <summary>Nobody cooks less for a table.</summary>
    private const double LeastPulseGrams = 80;

    private readonly List<LinePart.Named> _named = [.. parts.OfType<LinePart.Named>()];

    /// <summary>Each rule goes over what the one before it left.</summary>
    public List<LinePart.Named> Settled()
    {
        KindBehind();
        KindOfWhat();
        KindAndWhich();
        RiceSoaks();
        SoldGreen();
        RiceTwice();
        EachAmount();
        PulseBeforeBeside();
        DishSaysWhich();
        return _named;
    }

    /// <summary>"Split pea dal", "mung beans": the word of a kind behind a name says nothing new.</summary>
    private void KindBehind()
    {
        foreach (var kind in _named.Where(n => n is { Kind: "pulse", Ids.Count: > 1, Without: false } && Before(n) >= 0).ToList())
        {
            var at = Before(kind);
            var whole = _named[at];
            _named[at] = whole with { Amount = whole.Amount ?? kind.Amount, Length = kind.Start + kind.Length - whole.Start };
            _named.Remove(kind);
        }
    }

    /// <summary>"Dhal of red lentils" names one thing twice.</summary>
    private void KindOfWhat()
    {
        foreach (var kind in _named.Where(n => n is { Kind: "pulse", Ids.Count: > 1, Amount: null, Without: false }).ToList())
        {
            var of = _named.FindIndex(n => n is { Kind: "pulse", Without: false } && n != kind && IsOf(kind, n));
            if (of >= 0)
            {
                var whole = _named[of];
                _named[of] = whole with { Start = kind.Start, Length = whole.Start + whole.Length - kind.Start };
                _named.Remove(kind);
            }
        }
    }

    /// <summary>"Beans on the stove: a pound of borlotti", "yellow lentil soup, one glass of lentils": the kind, and which.</summary>
    private void KindAndWhich()
    {
        foreach (var kind in _named.Where(n => n is { Kind: "pulse", Ids.Count: > 1, Without: false }).ToList())
        {
            if (
                _named.FindIndex(n =>
                    n is { Kind: "pulse", Without: false } && n != kind && IsKindOf(kind, n) && (n.Amount is null || kind.Amount is null)
                )
                is >= 0
                    and var which
            )
            {
                _named[which] = _named[which] with { Amount = _named[which].Amount ?? kind.Amount };
                _named.Remove(kind);
                parts.Add(new LinePart.Said(kind.Start, kind.Length, "idle", "kind"));
            }
        }
    }

    /// <summary>"Basmati 300 g, soaked 30 min": the rice stands in water, not the pulses.</summary>
    private void RiceSoaks()
    {
        if (
            parts.FindIndex(p => p is LinePart.SoakFor { Span: var span } && span <= LongestRiceSoak) is > 0 and var brief
            && _named.FindLast(n => n.Start < parts[brief].Start) is { Kind: "rice", Without: false } soaks
        )
        {
            _named[_named.IndexOf(soaks)] = soaks with { Ids = [soaks.Ids[0] == "basmati_unsoaked" ? "basmati_soaked" : soaks.Ids[0]] };
            parts[brief] = new LinePart.Said(parts[brief].Start, parts[brief].Length, "idle", "rice_soak");
        }
    }

    /// <summary>"Frozen peas" are the green ones, "peas" by itself may mean any.</summary>
    private void SoldGreen()
    {
        if (
            parts.Exists(p => p is LinePart.Said { Of: "from", Means: "freezer" })
            || _named.Any(n => n.Kind == "pulse" && n.Is.Any(q => q is Quality.Frozen or Quality.Green))
        )
        {
            for (var i = 0; i < _named.Count; i++)
            {
                if (_named[i] is { Kind: "pulse", Without: false } several && several.Ids.FirstOrDefault(IsSoldGreen) is { } first)
                {
                    _named[i] = several with { Ids = [first, .. several.Ids.Where(id => id != first)] };
                }
            }
        }
    }

    /// <summary>"Rice: basmati", "brown basmati, rice in its own pot": one rice, named twice.</summary>
    private void RiceTwice()
    {
        if (
            _named.Find(n => n is { Kind: "rice", Without: false, Amount: null } && n.Ids[0] == PlainRice) is { } again
            && _named.Exists(n => n is { Kind: "rice", Without: false } && n.Ids[0] != PlainRice)
        )
        {
            _named.Remove(again);
            parts.Add(
                again.Is.Contains(Quality.Apart)
                    ? new LinePart.Said(again.Start, again.Length, "rice", "beside")
                    : new LinePart.Said(again.Start, again.Length, "idle", "kind")
            );
        }
    }

    /// <summary>"Dal and rice, 150 g each": every pulse has as much.</summary>
    private void EachAmount()
    {
        if (parts.OfType<LinePart.Each>().FirstOrDefault() is { } each)
        {
            for (var i = 0; i < _named.Count; i++)
            {
                // "Dal and rice, 150 g each"; rice that is _named behind has its own.
                _named[i] =
                    _named[i] is { Kind: "pulse", Without: false }
                    || (_named[i] is { Kind: "rice", Amount: null } && _named[i].Start < each.Start)
                        ? _named[i] with
                        {
                            Amount = each.Amount,
                        }
                        : _named[i];
            }
        }
    }

    /// <summary>"Chickpeas with spinach 300 g": who weighs, weighs the pulse first.</summary>
    private void PulseBeforeBeside()
    {
        if (
            _named.FindIndex(n => n is { Kind: "extra", Amount.Unit: "g" } && !char.IsDigit(line[n.Start])) is >= 0 and var beyond
            && _named.FindLastIndex(beyond, n => n is { Kind: "pulse", Without: false }) is >= 0 and var before
            && _named.TrueForAll(n => n.Kind != "pulse" || n.Amount is null)
            && _named[beyond].Amount is { Value: >= LeastPulseGrams }
        )
        {
            _named[before] = _named[before] with { Amount = _named[beyond].Amount };
            _named[beyond] = _named[beyond] with { Amount = null };
        }
    }

    /// <summary>"Red beans and rice, beans unsoaked": the dish has said which.</summary>
    private void DishSaysWhich()
    {
        if (dish is not null && _named.FindIndex(n => n is { Kind: "pulse", Ids.Count: > 1, Without: false }) is >= 0 and var its)
        {
            var of = new LinePart.Named(0, 0, "pulse", [dish.Pulses[0]], null, false);
            _named[its] = IsKindOf(_named[its], of) ? _named[its] with { Ids = of.Ids } : _named[its];
        }
    }

    /// <summary>Whether what was said by its kind may be this one.</summary>
    private bool IsKindOf(LinePart.Named kind, LinePart.Named pulse) =>
        pulse.Ids.Count == 1
        && (kind.Ids.Contains(pulse.Ids[0]) || catalogue.FindPulse(kind.Ids[0])?.Kind == catalogue.FindPulse(pulse.Ids[0])?.Kind);

    private bool IsOf(LinePart.Named kind, LinePart.Named pulse)
    {
        var end = kind.Start + kind.Length;
        return pulse.Start > end
            && pulse.Start <= line.Length
            && line[end..pulse.Start].Trim().ToLowerInvariant() is "of" or "de" or "di" or "aus" or "made of" or "made from";
    }

    /// <summary>The pulse with one meaning that it stands right behind; -1 for none.</summary>
    private int Before(LinePart.Named kind) =>
        _named.FindIndex(n => n is { Kind: "pulse", Ids.Count: 1, Without: false } && kind.Start - (n.Start + n.Length) is >= 0 and <= 1);

    private bool IsSoldGreen(string pulseId) => catalogue.FindPulse(pulseId) is { Green: not null };
}
