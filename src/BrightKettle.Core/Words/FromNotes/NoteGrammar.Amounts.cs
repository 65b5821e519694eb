using BrightKettle.Core.Words.Grammar;
using Superpower.Model;

namespace BrightKettle.Core.Words.FromNotes;

/// <content>What is named, and how much of it.</content>
internal sealed partial class NoteGrammar
{
    /// <summary>300 g chickpeas, 2 x 400 g tins of beans, 1 litre cold water, a pinch of salt, 1 cup soaked adzuki, lentils.</summary>
    private Found Amounted(IReadOnlyList<Token<LineToken>> t, int at)
    {
        var (amount, length) =
            Tinned(t, at) is (_, > 0) tinned ? tinned
            : Bare(t, at) is (_, > 0) bare ? bare
            : Amount(t, at);
        if (length == 0)
        {
            return Plain(t, at, null, 0);
        }

        var (next, the, soaked, odd) = (at + length, false, false, 0);
        while (next < t.Count && Plain(t, next, amount, 0).Tokens == 0)
        {
            if (Is(t, next, Fillers) || Is(t, next, Dried))
            {
                the |= Is(t, next, "the", "del", "dell", "du");
                next++;
            }
            else if (_notes.Words.At(t, next) is ("do:soak" or "do:rinse" or "do:drain", var said))
            {
                soaked |= _notes.Words.At(t, next) is ("do:soak", _);
                next += said;
            }
            // 200 g organic French lentils: words that say nothing here.
            else if (amount.Unit != "piece" && odd < MostOdd && IsOdd(t, next))
            {
                (next, odd) = (next + 1, odd + 1);
            }
            else
            {
                break;
            }
        }

        if (Plain(t, next, amount, next - at, the, soaked) is { Tokens: > 0 } named)
        {
            return named;
        }

        return amount.Unit == "piece" ? default : new((s, l) => new NotePiece.Loose(s, l, amount), length);
    }

    private const int MostOdd = 3;

    private bool IsOdd(IReadOnlyList<Token<LineToken>> t, int at) =>
        t[at].Kind == LineToken.Word && _notes.Words.At(t, at) is null && _notes.Breaks.At(t, at) is null && Words.Units.At(t, at) is null;

    /// <summary>Pinch of salt, a good splash of water: one, where nobody counts.</summary>
    private (SaidAmount Amount, int Length) Bare(IReadOnlyList<Token<LineToken>> t, int at)
    {
        var next = at;
        while (Is(t, next, "a", "big", "good", "small", "generous", "tiny", "large", "une", "una", "un", "eine"))
        {
            next++;
        }

        return
            Words.Units.At(t, next) is (("pinch" or "splash" or "handful" or "knob" or "bunch" or "handful_leaves") and var unit, var words)
            ? (new(1, unit), next + words - at)
            : default;
    }

    private static readonly string[] Fillers =
    [
        "of",
        "de",
        "di",
        "d",
        "'",
        "’",
        "the",
        "von",
        "del",
        "da",
        "-",
        "uncooked",
        "heaped",
        "level",
        "scant",
        "big",
        "large",
        "medium",
        "small",
        "whole",
        "good",
        "about",
        "(",
        ")",
        "x",
    ];

    /// <summary>2 x 400 g tins, 1 (400 g) tin, a 400 g can: so many tins.</summary>
    private (SaidAmount Amount, int Length) Tinned(IReadOnlyList<Token<LineToken>> t, int at)
    {
        var (count, digits) = One(t, at);
        if (digits == 0)
        {
            return default;
        }

        var next = at + digits;
        while (Is(t, next, "x", "×", "(", "a"))
        {
            next++;
        }

        var (grams, weighs) = One(t, next);
        if (weighs == 0 || Words.Units.At(t, next + weighs) is not ("g" or "oz" or "ml", var unit))
        {
            // 400 g tin: one.
            (grams, weighs, next, count) = (count, digits, at, 1);
            if (Words.Units.At(t, next + weighs) is not ("g" or "oz" or "ml", var plain))
            {
                return default;
            }

            unit = plain;
        }

        var tin = next + weighs + unit;
        while (Is(t, tin, ")", "-"))
        {
            tin++;
        }

        return grams > 0 && Words.Units.At(t, tin) is ("tin", var words) ? (new(count, "tin"), tin + words - at) : default;
    }

    /// <summary>What has a name, with the amount before it.</summary>
    /// <param name="led">Tokens before it that belong to it.</param>
    /// <param name="the">Of what was named before.</param>
    /// <param name="soaked">It comes soaked.</param>
    private Found Plain(IReadOnlyList<Token<LineToken>> t, int at, SaidAmount? amount, int led, bool the = false, bool soaked = false)
    {
        if (Water(t, at) is (var celsius, > 0 and var water) && (amount is not null || !Is(t, at, "su")))
        {
            return amount is { Unit: "piece" } ? default : new((s, l) => new NotePiece.Water(s, l, amount, celsius, the), led + water);
        }

        var salted = at;
        while (Is(t, salted, "fine", "coarse", "sea", "more"))
        {
            salted++;
        }

        if (
            amount is null
            && _notes.Salt.At(t, at) is var (_, verb)
            && Is(t, at + verb, "it", "them", "well", "everything", "the", "lightly", "generously")
        )
        {
            return new((s, l) => new NotePiece.Does(s, l, NoteAct.Season, VerbRank.Strong), verb + 1);
        }

        if (_notes.Salt.At(t, salted) is var (_, salt) && Name(t, salted) is not (_, > 1))
        {
            return new((s, l) => new NotePiece.Salt(s, l, amount), led + salted + salt - at);
        }

        // "Brown" by itself is how onions are fried, not a rice.
        if (
            ThingAt(t, at) is { } thing
            && (amount is not null || !thing.Name.Beside)
            && !(amount is null && thing.Length == 1 && Is(t, at, Colours))
        )
        {
            // "4 cups stock or water" is liquid all the same.
            if (Is(t, at + thing.Length, "or") && Water(t, at + thing.Length + 1) is (_, > 0 and var or))
            {
                return new((s, l) => new NotePiece.Water(s, l, amount, null, the), led + thing.Length + 1 + or);
            }

            // The amount behind it: chickpeas 300 g.
            var (after, more) = (amount, 0);
            if (amount is null && thing.Name.Kind != "extra")
            {
                var from = at + thing.Length;
                from += Is(t, from, ":", "-", "–", "=", "(") ? 1 : 0;
                if (Amount(t, from) is ({ Unit: not "piece" } behind, > 0 and var words) && MinutesOf(t, from).Length == 0)
                {
                    (after, more) = (behind, from + words - at - thing.Length);
                }
            }

            var name = thing.Name;
            IReadOnlyList<string> comes = soaked ? [.. thing.Is, NotePiece.Soaked] : thing.Is;
            // Nobody counts beans or grains: three-bean stew is no three beans.
            after = name.Kind != "extra" && after is { Unit: "piece" } ? null : after;
            return new((s, l) => new NotePiece.Named(s, l, name.Kind, name.Ids, name.Name, after, comes), led + thing.Length + more);
        }

        return default;
    }

    private (double? Celsius, int Length) Water(IReadOnlyList<Token<LineToken>> t, int at)
    {
        var (next, celsius) = (at, (double?)null);
        for (var i = 0; i < MostOfWater && _notes.Warmth.At(t, next) is var (warm, words); i++)
        {
            celsius = warm.Length > 0 ? double.Parse(warm, System.Globalization.CultureInfo.InvariantCulture) : celsius;
            next += words;
        }

        if (_notes.Water.At(t, next) is not var (_, water))
        {
            return default;
        }

        next += water;
        // Agua hirviendo.
        if (_notes.Warmth.At(t, next) is var (behind, more) && behind.Length > 0)
        {
            (celsius, next) = (double.Parse(behind, System.Globalization.CultureInfo.InvariantCulture), next + more);
        }

        return (celsius, next - at);
    }

    /// <summary>Words that say what water it is.</summary>
    private const int MostOfWater = 3;
}
