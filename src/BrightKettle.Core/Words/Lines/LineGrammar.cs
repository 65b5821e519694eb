using BrightKettle.Core.Words.Grammar;
using NodaTime;
using Superpower.Model;

namespace BrightKettle.Core.Words.Lines;

/// <summary>Reads a line part by part: at each place the longest that can be read; what nothing reads stands as unread.</summary>
internal sealed partial class LineGrammar(Vocabulary vocabulary) : SpokenGrammar(vocabulary)
{
    /// <summary>A part with the tokens that it takes.</summary>
    private readonly record struct Found(Func<int, int, LinePart>? Part, int Tokens);

    /// <param name="line">In composed form.</param>
    public IReadOnlyList<LinePart> Read(string line)
    {
        var tokens = Tokens(line);
        var parts = new List<LinePart>();
        for (var at = 0; at < tokens.Count; )
        {
            var best = Best(tokens, at);
            if (best.Tokens == 0)
            {
                var word = tokens[at];
                if (word.Kind is LineToken.Word or LineToken.Number && !Words.Idle.Contains(word.ToStringValue()))
                {
                    // As it was typed, whatever it was taken for.
                    var (from, to) = (word.Position.Absolute, EndOf(word, line));
                    parts.Add(new LinePart.Unread(from, to - from, line[from..to]));
                }

                at++;
                continue;
            }

            var (first, last) = (tokens[at], tokens[at + best.Tokens - 1]);
            var start = first.Position.Absolute;
            if (best.Part is { } make)
            {
                parts.Add(make(start, EndOf(last, line) - start));
            }

            at += best.Tokens;
        }

        return parts;
    }

    private Found Best(IReadOnlyList<Token<LineToken>> tokens, int at)
    {
        Found best = default;
        foreach (var found in Tries(tokens, at))
        {
            best = found.Tokens > best.Tokens ? found : best;
        }

        return best;
    }

    /// <summary>In the order in which they win where they are equally long.</summary>
    private IEnumerable<Found> Tries(IReadOnlyList<Token<LineToken>> t, int at)
    {
        if (Words.Dishes.At(t, at) is var (dish, dishLength))
        {
            yield return new(
                (s, l) =>
                    new LinePart.Dish(
                        s,
                        l,
                        dish.Pulses,
                        dish.Rice,
                        dish.Style,
                        dish.PulseTarget,
                        dish.RiceTarget,
                        dish.Extras ?? [],
                        dish.RiceJoin
                    ),
                dishLength
            );
        }

        yield return Since(t, at);
        yield return SoakFor(t, at);
        yield return BareHour(t, at);
        yield return Relative(t, at);
        yield return Clock(t, at);
        yield return People(t, at);
        yield return Lonely(t, at);
        yield return Amounted(t, at);
        yield return Loose(t, at);
        yield return Word(t, at);
        yield return Whistles(t, at);
        yield return Without(t, at);
        if (Words.Days.At(t, at) is var (day, dayLength))
        {
            yield return new((s, l) => new LinePart.Day(s, l, int.Parse(day, null)), dayLength);
        }

        if (Words.Weekdays.At(t, at) is var (weekday, weekLength))
        {
            yield return new((s, l) => new LinePart.Weekday(s, l, Enum.Parse<IsoDayOfWeek>(weekday, ignoreCase: true)), weekLength);
        }

        if (Words.Clock.At(t, at) is var (hour, hourLength))
        {
            var (h, m) = (int.Parse(hour[..2], null), int.Parse(hour[3..], null));
            yield return new((s, l) => new LinePart.Time(s, l, new LocalTime(h, m)), hourLength);
        }
    }

    private Found Word(IReadOnlyList<Token<LineToken>> t, int at) =>
        Words.Words.At(t, at) is var (means, length)
        && means.Split(':') is [var of, var what]
        // "Dry chickpeas" are dry seed, whatever becomes of them.
        && !(length == 1 && Is(t, at, Dried) && Name(t, at + 1) is ({ Kind: "pulse" }, _))
        // Frozen corn: how something comes that this product does not know.
        && !(Words.Before.At(t, at) is var (_, how) && how == length && IsUnknown(t, at + how))
            ? new((s, l) => new LinePart.Said(s, l, of, what), length)
            : default;

    /// <summary>4 whistles: how many the kettle counts by itself; that they are counted says under pressure.</summary>
    private Found Whistles(IReadOnlyList<Token<LineToken>> t, int at) =>
        One(t, at) is (_, 1) && Is(t, at + 1, "whistle", "whistles", "siti", "seeti")
            ? new((s, l) => new LinePart.Said(s, l, "method", "pressure"), 2)
            : default;

    /// <summary>A word that nothing reads; another word of how something comes is not asked further.</summary>
    private bool IsUnknown(IReadOnlyList<Token<LineToken>> t, int at) =>
        at < t.Count
        && Words.Before.At(t, at) is null
        && t[at].Kind == LineToken.Word
        && !Words.Idle.Contains(t[at].ToStringValue())
        && Best(t, at).Tokens == 0;

    /// <summary>no onion, without rice, not soaked, skip the coconut.</summary>
    private Found Without(IReadOnlyList<Token<LineToken>> t, int at)
    {
        if (Words.Without.At(t, at) is not var (_, no))
        {
            return default;
        }

        var next = at + no;
        while (next < t.Count && Is(t, next, "the", "any", "a", "of", "de", "la", "el", "use", "want"))
        {
            next++;
        }

        if (Words.Names.At(t, next) is var (name, length))
        {
            return name.Kind == "rice"
                ? new((s, l) => new LinePart.Said(s, l, "rice", "none"), next + length - at)
                : new((s, l) => new LinePart.Named(s, l, name.Kind, name.Ids, null, true), next + length - at);
        }

        // "Not soupy" says what is not wanted, and nothing else.
        return Words.Words.At(t, next) is not ({ } means, var words) ? default
            : means.StartsWith("soak:", StringComparison.Ordinal)
                ? new((s, l) => new LinePart.Said(s, l, "soak", "none"), next + words - at)
            // "No pressure".
            : means == "method:pressure" ? new((s, l) => new LinePart.Said(s, l, "method", "open_pot"), next + words - at)
            : means == "season:aroma" ? new((s, l) => new LinePart.Said(s, l, "season", "none"), next + words - at)
            : new(
                (s, l) => new LinePart.Unread(s, l, string.Join(' ', t.Skip(at).Take(next + words - at).Select(x => x.ToStringValue()))),
                next + words - at
            );
    }

    /// <summary>300 g chickpeas, chickpeas 300 g, two cups of rice, half a kilo, a tin of beans, lentils.</summary>
    private Found Amounted(IReadOnlyList<Token<LineToken>> t, int at)
    {
        // "Half-cooked beans" are no half of anything.
        if (Words.Before.At(t, at) is null && Amount(t, at) is var (amount, length) && length > 0)
        {
            var next = at + length;
            while (
                next < t.Count
                && (Is(t, next, "of", "de", "di", "d", "the", "von", "del", "da", "-", "'", "uncooked") || Is(t, next, Dried))
            )
            {
                next++;
            }

            // A tin of tomatoes is a name; a tin of beans an amount of them.
            if (ThingAt(t, next) is not { } counted || Words.Words.At(t, next) is var (_, said) && said > counted.Length)
            {
                return default;
            }

            amount = Weighed(amount, counted.Name);
            // "Split mung with skin 150 g rice 100 g": each behind its name.
            if (at > 0 && t[at - 1].Kind == LineToken.Word && counted.Name.Kind != "extra" && AmountEnds(t, next + counted.Length))
            {
                return default;
            }

            return counted.Name.Kind == "extra" || amount.Unit != "piece" ? Part(counted, amount, next - at) : default;
        }

        if (ThingAt(t, at) is not { } thing)
        {
            return default;
        }

        // Pirinç yok; coconut milk: no.
        var no =
            Words.WithoutBehind.At(t, at + thing.Length) is var (_, turned) ? turned
            : Is(t, at + thing.Length, "no") && (at + thing.Length + 1 == t.Count || t[at + thing.Length + 1].Kind == LineToken.Mark) ? 1
            : 0;
        if (no > 0)
        {
            return thing.Name.Kind == "rice"
                ? new((s, l) => new LinePart.Said(s, l, "rice", "none"), thing.Length + no)
                : new((s, l) => new LinePart.Named(s, l, thing.Name.Kind, thing.Name.Ids, null, true), thing.Length + no);
        }

        // Dry seed is what it is, not how it is eaten.
        var dry = thing.Name.Kind == "pulse" && Is(t, at + thing.Length, Dried) ? 1 : 0;
        thing = thing with { Length = thing.Length + dry };
        var from = at + thing.Length;
        // After what goes in beside, an amount behind a comma is rather the pulse's.
        while (from < t.Count && (Is(t, from, ":", "(", "=") || (thing.Name.Kind != "extra" && Is(t, from, "-", ","))))
        {
            from++;
        }

        // Ham, 8 bowls: so many eat.
        var (after, more) = People(t, from).Tokens > 0 ? default : Amount(t, from);
        // Tinned beans × 2.
        if (more == 0 && Is(t, from, "x", "×") && Amount(t, from + 1) is ({ Unit: "piece" } times, > 0 and var count))
        {
            (after, more) = (
                thing.Is.Contains(Quality.Cooked) || Is(t, at, "tinned", "canned") ? times with { Unit = "tin" } : times,
                count + 1
            );
        }

        // "Basmati 300": nobody counts grains.
        after = more > 0 && Stands(t, from + more) ? Weighed(after, thing.Name) : after;
        return
            more > 0
            && after.Unit != "piece"
            && !(after.Unit == "tin" && thing.Name.Kind == "rice")
            && EachAt(t, from + more) == 0
            && !BelongsToNext(t, from + more, thing.Name)
            ? Part(thing, after, from + more - at - thing.Length)
            : Part(thing, null, 0);
    }

    /// <summary>An amount that is no next name's.</summary>
    private bool AmountEnds(IReadOnlyList<Token<LineToken>> t, int at) =>
        Amount(t, at) is ({ Unit: not "piece" }, > 0 and var length) && !NamesFollow(t, at + length) && Name(t, at + length) is null;

    /// <param name="more">Tokens of the amount.</param>
    private static Found Part(Thing thing, SaidAmount? amount, int more) =>
        new((s, l) => new LinePart.Named(s, l, thing.Name.Kind, thing.Name.Ids, amount, false) { Is = thing.Is }, thing.Length + more);

    /// <summary>An amount between two names: the second's, unless that one has its own behind it, or only goes in beside the
    /// first.</summary>
    private bool BelongsToNext(IReadOnlyList<Token<LineToken>> t, int at, SpokenName first) =>
        NamesFollow(t, at)
        || (
            Name(t, at) is var (second, words)
            && !(Words.Words.At(t, at) is var (_, said) && said > words)
            && Amount(t, at + words).Length == 0
            && !(second.Kind == "extra" && first.Kind != "extra" && t[at - 1].Kind == LineToken.Word)
        );

    /// <summary>each, de chaque: how many tokens; 0 for none.</summary>
    private static int EachAt(IReadOnlyList<Token<LineToken>> t, int at) =>
        Is(t, at, Eachs) ? 1
        : Is(t, at, "de", "of") && Is(t, at + 1, Eachs) ? 2
        : Is(t, at, "l") && Is(t, at + 1, "'", "’") && Is(t, at + 2, "uno", "una", "un") ? 3
        : 0;

    /// <summary>An amount by itself: of what was named last, or of each.</summary>
    private Found Loose(IReadOnlyList<Token<LineToken>> t, int at) =>
        // Je 150 g.
        Is(t, at, Eachs) && Amount(t, at + 1) is ({ Unit: not "piece" } of, > 0 and var behind)
            ? new((s, l) => new LinePart.Each(s, l, of), behind + 1)
        : Amount(t, at) is not (var amount, > 0 and var length) || amount.Unit is "piece" or "ml" ? default
        : EachAt(t, at + length) is > 0 and var each ? new((s, l) => new LinePart.Each(s, l, amount), length + each)
        : new((s, l) => new LinePart.Loose(s, l, amount), length);

    /// <summary>"…, 200 g of rice": the amount belongs to what follows.</summary>
    private bool NamesFollow(IReadOnlyList<Token<LineToken>> t, int at) =>
        at < t.Count && Is(t, at, "of", "de", "di", "d", "von", "dried", "dry") && Name(t, at + 1) is not null;
}
