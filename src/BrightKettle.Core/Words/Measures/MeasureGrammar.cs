using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Words.FromNotes;
using BrightKettle.Core.Words.Grammar;
using Superpower.Model;

namespace BrightKettle.Core.Words.Measures;

/// <summary>Reads "How much is …": one phrase, wholly or not at all.</summary>
internal sealed class MeasureGrammar(PulseCatalogue catalogue) : SpokenGrammar(Vocabulary.Of(catalogue))
{
    private const double MostNumber = 100_000;

    private const int MostMarks = 20;

    /// <summary>Null for what means nothing here.</summary>
    public MeasurePhrase? Read(string phrase)
    {
        var t = Tokens(phrase);
        return Crock(t) ?? Marked(t) ?? Counted(t);
    }

    private static MeasurePhrase.Crock? Crock(IReadOnlyList<Token<LineToken>> t)
    {
        bool Says(params string[] words) => Enumerable.Range(0, t.Count).Any(i => Is(t, i, words));
        return !Says("slow", "crock", "crockpot", "slowcooker") ? null
            : Says("warm") ? new(Flame.Warm)
            : Says("high") ? new(Flame.High)
            : Says("low") ? new(Flame.Low)
            : null;
    }

    /// <summary>mark 4, gas mark 4 of 9, setting 3/6.</summary>
    private MeasurePhrase.Mark? Marked(IReadOnlyList<Token<LineToken>> t)
    {
        var at = Is(t, 0, "gas") ? 1 : 0;
        if (!Is(t, at, "mark", "setting", "number") || at + 1 >= t.Count || t[at + 1].Kind != LineToken.Number)
        {
            return null;
        }

        if (
            t[at + 1].ToStringValue().Split('/') is [var above, var below]
            && int.TryParse(above, out var on)
            && int.TryParse(below, out var most)
        )
        {
            return most is > 1 and <= MostMarks ? new(on, most) : null;
        }

        var (mark, length) = One(t, at + 1);
        var next = at + 1 + length;
        return next == t.Count ? new(mark, null)
            : Is(t, next, "of", "/")
            && One(t, next + 1) is (var of and > 1 and <= MostMarks, > 0 and var more)
            && next + 1 + more == t.Count
                ? new(mark, (int)of)
            : null;
    }

    private MeasurePhrase? Counted(IReadOnlyList<Token<LineToken>> t)
    {
        var (low, high, length) = Range(t, 0);
        if (length == 0 || high >= MostNumber)
        {
            return null;
        }

        var next = length;
        while (Is(t, next, "-", "of", "a", "an"))
        {
            next++;
        }

        if (NoteWords.Shipped.Whistles.At(t, next) is not null)
        {
            return new MeasurePhrase.Whistles((int)Math.Round(high));
        }

        if (Is(t, next, MinuteWords))
        {
            return Enumerable.Range(next, t.Count - next).Any(i => Is(t, i, "pressure", "whistle", "whistles"))
                ? new MeasurePhrase.AtPressure(high)
                : null;
        }

        if (Height(t, next) is { } centimetres)
        {
            return new MeasurePhrase.Over(high * centimetres);
        }

        // One number with its unit, however it is written; a range keeps its ends.
        var (amount, taken) = Amount(t, 0);
        return taken > 0 && HouseholdMeasure.Find(amount.Unit) is { Kind: not "count" } measure
            ? low == high
                ? Measured(t, amount.Value, amount.Value, measure, taken)
                : Measured(t, low * amount.Value * 2 / (low + high), high * amount.Value * 2 / (low + high), measure, taken)
            : null;
    }

    private MeasurePhrase.Measured Measured(IReadOnlyList<Token<LineToken>> t, double low, double high, HouseholdMeasure measure, int at)
    {
        while (Is(t, at, "of", "de", "di", "d", "'") || Is(t, at, Dried))
        {
            at++;
        }

        var named = ThingAt(t, at)?.Name;
        return new(
            low,
            high,
            measure,
            named?.Kind == "pulse" ? named.Ids[0] : null,
            named?.Kind == "rice" ? named.Ids[0] : null,
            at < t.Count ? string.Join(' ', t.Skip(at).Select(x => x.ToStringValue())) : null
        );
    }
}
