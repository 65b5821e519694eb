using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Words.Grammar;
using BrightKettle.Core.Words.Lines;
using NodaTime;

namespace BrightKettle.Core.Words;

/// <summary>What one line says of a dinner; null, or empty, where it says nothing.</summary>
/// <param name="People">Little ones counted in.</param>
/// <param name="FromNow">The table so long from now.</param>
/// <param name="Pulses">In the order in which they were said, with the amount of each where one was.</param>
/// <param name="Extras">The same for what goes in beside them.</param>
/// <param name="RiceBeside">In a pot of its own, by the words or by the dish that is named.</param>
/// <param name="SaysBeside">By the words.</param>
/// <param name="Stages">What is added to the way.</param>
/// <param name="Soaking">How long they stand in water, or since when; null where the line does not say.</param>
/// <param name="WithoutIds">Extras and pulses that are not wanted.</param>
/// <param name="Parts">What was read and what was not, where it stands.</param>
public sealed record DishWish(
    int? People,
    int? LittleOnes,
    LocalTime? At,
    Duration? FromNow,
    int? DaysOn,
    IsoDayOfWeek? Weekday,
    IReadOnlyList<(string Id, SaidAmount? Amount)> Pulses,
    (string Id, SaidAmount? Amount)? Rice,
    bool NoRice,
    bool RiceBeside,
    bool SaysBeside,
    RiceJoin? RiceJoin,
    Style? Style,
    PulseTarget? PulseTarget,
    RiceTarget? RiceTarget,
    SoakChoice? Soak,
    LineSoak? Soaking,
    IReadOnlyList<AskedStage> Stages,
    Method? Method,
    CookedFrom CookedFrom,
    IReadOnlyList<(string Id, SaidAmount? Amount)> Extras,
    IReadOnlyList<string> WithoutIds,
    IReadOnlyList<LinePart> Parts
)
{
    /// <summary>How the pulses come; null where nobody says.</summary>
    public PulseState? PulseState { get; init; }

    /// <summary>How the rice comes; null where nobody says.</summary>
    public RiceState? RiceState { get; init; }

    /// <summary>Extras that come from the freezer.</summary>
    public IReadOnlyList<string> FrozenIds { get; init; } = [];

    public IReadOnlyList<string> PulseIds => [.. Pulses.Select(p => p.Id)];

    public string? RiceId => Rice?.Id;

    public IReadOnlyList<string> ExtraIds => [.. Extras.Select(e => e.Id)];

    /// <summary>Words that mean nothing here.</summary>
    public IReadOnlyList<string> NotUnderstood => [.. Parts.OfType<LinePart.Unread>().Select(u => u.Word)];
}

/// <summary>What a line says of a soak beside its kind.</summary>
/// <param name="For">How long; null where it is not said.</param>
/// <param name="Stood">They stand in water already.</param>
/// <param name="Since">Since this hour; null where it is not said.</param>
/// <param name="Sure">Morning or evening of it was said.</param>
/// <param name="Night">The night before, where they stand already.</param>
public sealed record LineSoak(Duration? For, bool Stood, LocalTime? Since, bool Sure, bool Night)
{
    /// <summary>In the fridge.</summary>
    public bool Cold { get; init; }
}

/// <summary>Reads a dinner said in one line: "for four, at seven: 300 g chickpeas with brown rice, saucy, no onion".</summary>
public sealed class DishLine(PulseCatalogue catalogue)
{
    private readonly LineGrammar _grammar = new(Vocabulary.Of(catalogue));

    public DishWish Read(string line)
    {
        ArgumentNullException.ThrowIfNull(line);
        var plain = PlainText.Of(line);
        var parts = Settled(_grammar.Read(plain), plain);
        BareHour(parts, plain);
        RiceCooker(parts, plain);
        var dish = parts.OfType<LinePart.Dish>().FirstOrDefault();
        var named = new LineNames(line, parts, dish, catalogue).Settled();
        string? Said(string of) => parts.OfType<LinePart.Said>().LastOrDefault(s => s.Of == of)?.Means;
        var pulses = Of(named, "pulse");
        // A dish says its pulse, unless the line names one itself.
        var all = pulses.Count == 0 && dish is not null ? [(dish.Pulses[0], null)] : pulses;
        var rice = Of(named, "rice").Select(r => ((string Id, SaidAmount? Amount)?)r).FirstOrDefault();
        var noRice = Said("rice") == "none";
        var extras = Of(named, "extra");
        var kids = parts.OfType<LinePart.People>().Where(p => p.Little).Sum(p => p.Count);
        kids = kids == 0 && Said("little") is not null ? 1 : kids;
        var grown = parts.OfType<LinePart.People>().Where(p => !p.Little).Select(p => (int?)p.Count).FirstOrDefault();
        var tins = named.Any(n => n is { Kind: "pulse", Without: false, Amount.Unit: "tin" });
        var (pulsesAre, riceIs) = (Qualities(named, "pulse"), Qualities(named, "rice"));
        var from = Said("from") ?? FromOf(pulsesAre);
        // What soaks in the fridge is not cooked already.
        var soaksCold =
            from == "fridge" && parts.Any(p => p is LinePart.Since or LinePart.SoakFor or LinePart.Said { Of: "soak" or "stood" });
        // Frozen peas were never cooked; frozen chickpeas were.
        var green = all.Count > 0 && IsSoldGreen(all[0].Id);
        var frozen = green && from == "freezer" && !line.Contains("cooked", StringComparison.OrdinalIgnoreCase);
        var half = pulsesAre.Contains(Quality.Half);
        var asked = parts
            .OfType<LinePart.Said>()
            .Where(s => s.Of == "stage")
            .Select(s => Word<AskedStage>(s.Means)!.Value)
            .Concat(riceIs.Contains(Quality.Toasted) ? [AskedStage.Toast] : [])
            .Concat(riceIs.Contains(Quality.Drained) ? [AskedStage.Plenty] : [])
            .Distinct()
            .ToList();
        // Rice that is drained is drained of its own water.
        var beside = Said("rice") == "beside" || riceIs.Contains(Quality.Apart) || asked.Contains(AskedStage.Plenty);
        return new(
                // "For four, 2 kids": they are among the four; "2 adults and 2 kids" are four.
                grown is { } g
                    ? g + (parts.OfType<LinePart.People>().Any(p => !p.Little && BesideKids.Any(w => Says(line, p, w))) ? kids : 0)
                : kids > 0 ? kids
                : null,
            kids > 0 ? kids : null,
            parts.OfType<LinePart.Time>().LastOrDefault(t => !IsMeal(line, t))?.At ?? parts.OfType<LinePart.Time>().LastOrDefault()?.At,
            parts.OfType<LinePart.FromNow>().LastOrDefault()?.Span,
            parts.OfType<LinePart.Day>().LastOrDefault()?.DaysOn,
            parts.OfType<LinePart.Weekday>().LastOrDefault(d => !SoaksOn(parts, d, plain))?.On,
            all,
            noRice
                ? null
                : rice
                    ?? (
                        dish?.Rice is { } usual ? (usual, null)
                        : beside ? (LineNames.PlainRice, null)
                        : null
                    ),
            noRice,
            beside || dish?.RiceJoin == "beside",
            beside,
            Word<RiceJoin>(Said("join")) ?? Word<RiceJoin>(dish?.RiceJoin),
            Word<Style>(Said("style")) ?? Word<Style>(dish?.Style),
            Word<PulseTarget>(Said("pulse")) ?? Word<PulseTarget>(dish?.PulseTarget),
            Word<RiceTarget>(Said("rice")) ?? Word<RiceTarget>(dish?.RiceTarget),
            Word<SoakChoice>(Said("soak"))
                ?? (parts.Any(p => p is LinePart.SoakFor or LinePart.Since or LinePart.Said { Of: "stood" }) ? SoakChoice.Overnight : null),
            Soaking(parts, line),
            asked,
            tins || (from is not null && !soaksCold && !frozen && !half) ? Method.Cooked : Word<Method>(Said("method")),
            tins ? CookedFrom.Tin : Word<CookedFrom>(from) ?? CookedFrom.Tin,
            [.. extras.Concat((dish?.Extras ?? []).Where(x => extras.All(e => e.Id != x)).Select(x => (x, (SaidAmount?)null)))],
            [.. named.Where(n => n.Without).Select(n => n.Ids[0]).Distinct()],
            [.. parts.Where(p => p is not LinePart.Named).Concat(named).OrderBy(p => p.Start)]
        )
        {
            PulseState =
                frozen ? PulseState.FrozenGreen
                : half ? PulseState.HalfCooked
                : green && pulsesAre.Contains(Quality.Green) ? PulseState.Green
                : null,
            RiceState =
                riceIs.Contains(Quality.Frozen) ? RiceState.Freezer
                : riceIs.Contains(Quality.Chilled) || riceIs.Contains(Quality.Cooked) ? RiceState.Fridge
                : null,
            FrozenIds = [.. named.Where(n => n.Kind == "extra" && n.Is.Contains(Quality.Frozen)).Select(n => n.Ids[0])],
        };
    }

    /// <summary>How all that is named of a kind comes.</summary>
    private static HashSet<string> Qualities(List<LinePart.Named> named, string kind) =>
        [.. named.Where(n => n.Kind == kind && !n.Without).SelectMany(n => n.Is)];

    /// <summary>"5 people. 7.": beside who eats, a number all alone is the hour; with an hour too, nobody knows.</summary>
    private static void BareHour(List<LinePart> parts, string line)
    {
        for (var i = 0; i < parts.Count; i++)
        {
            if (
                parts[i] is not LinePart.People { Bare: true } bare
                || !(parts.Exists(p => p is LinePart.People { Bare: false, Little: false }) || IsTonight(parts, bare))
            )
            {
                continue;
            }

            parts[i] =
                bare.Count <= 12 && !parts.Exists(p => p is LinePart.Time or LinePart.FromNow)
                    ? new LinePart.Time(bare.Start, bare.Length, new LocalTime(bare.Count == 12 ? 12 : bare.Count + 12, 0))
                    : new LinePart.Unread(bare.Start, bare.Length, line.Substring(bare.Start, bare.Length));
        }
    }

    /// <summary>"Jasmine rice cooker", "rice from the cooker", and "dal, rice in the cooker": the rice's, and no pulse is locked in.</summary>
    private static void RiceCooker(List<LinePart> parts, string line)
    {
        for (var i = 1; i < parts.Count; i++)
        {
            if (
                parts[i] is not LinePart.Said { Of: "method", Means: "pressure" } cooker
                || line.Substring(cooker.Start, cooker.Length) is not ("cooker" or "in the cooker" or "from the cooker")
                || parts[i - 1] is not LinePart.Named { Kind: "rice" } rice
            )
            {
                continue;
            }

            var between = line[(rice.Start + rice.Length)..(cooker.Start + cooker.Length - "cooker".Length)].Trim();
            var clause = line.LastIndexOfAny(Marks, rice.Start);
            var alone = !parts.Exists(p =>
                p is LinePart.Named { Kind: "pulse" } or LinePart.Dish && p.Start > clause && p.Start < rice.Start
            );
            if (
                between.Length == 0
                || between.StartsWith("from ", StringComparison.Ordinal)
                || (between.StartsWith("in ", StringComparison.Ordinal) && clause >= 0 && alone)
            )
            {
                parts[i] = new LinePart.Said(cooker.Start, cooker.Length, "rice", "beside");
            }
        }
    }

    /// <summary>"7 tonight": an hour at which people eat, where no other is said.</summary>
    private static bool IsTonight(List<LinePart> parts, LinePart.People bare) =>
        bare.Count is >= 6 and <= 9
        && parts.Exists(p => p is LinePart.Day { DaysOn: 0 } && p.Start == bare.Start + bare.Length + 1)
        && !parts.Exists(p => p is LinePart.Time or LinePart.FromNow);

    /// <summary>"For friday, soaking them thursday": a day of its own for the bowl, beside the table's.</summary>
    private static bool SoaksOn(List<LinePart> parts, LinePart.Weekday day, string line) =>
        parts.OfType<LinePart.Weekday>().Skip(1).Any()
        && parts.Where(p => p.Start < day.Start).MaxBy(p => p.Start) is LinePart.Said { Of: "soak" } soak
        && line[(soak.Start + soak.Length)..day.Start].IndexOfAny(Marks) < 0;

    private static readonly char[] Marks = [',', ';', '.', ':', '('];

    /// <summary>Where pulses come from that were cooked before, as <see cref="CookedFrom"/> says it; null for those that were not.</summary>
    private static string? FromOf(HashSet<string> are) =>
        are.Contains(Quality.Frozen) ? "freezer"
        : are.Contains(Quality.Chilled) || are.Contains(Quality.Cooked) ? "fridge"
        : null;

    private bool IsSoldGreen(string pulseId) => catalogue.FindPulse(pulseId) is { Green: not null };

    /// <summary>A loose amount goes to what was named last without one, else to what is named next; one of nothing stays unread.</summary>
    private static List<LinePart> Settled(IReadOnlyList<LinePart> read, string line)
    {
        var parts = read.ToList();
        for (var i = 0; i < parts.Count; i++)
        {
            if (parts[i] is not LinePart.Loose loose)
            {
                continue;
            }

            // "Urad and rajma, 200 g / 50 g": in the order of their names.
            if (
                i > 1
                && parts[i - 1] is LinePart.Named { Kind: "pulse" or "rice", Amount: { } first } second
                && parts[i - 2] is LinePart.Named { Kind: "pulse" or "rice", Amount: null, Without: false } before
                && !char.IsDigit(line[second.Start])
                && Joined(line[(before.Start + before.Length)..second.Start])
                && line[(second.Start + second.Length)..loose.Start].Trim() is "" or "/" or "," or "+" or "&" or "and"
            )
            {
                parts[i - 2] = before with { Amount = first };
                parts[i - 1] = second with { Amount = loose.Amount };
                continue;
            }

            // "Lentils and rice, 200 g + 150 g": the same, where a word stands between.
            if (
                i + 1 < parts.Count
                && parts[i + 1] is LinePart.Loose next
                && line[(loose.Start + loose.Length)..next.Start].Trim() is "/" or "," or "+" or "&" or "and"
                && parts.FindAll(p =>
                    p.Start < loose.Start && p is LinePart.Named { Kind: "pulse" or "rice", Amount: null, Without: false }
                )
                    is [LinePart.Named one, LinePart.Named two]
            )
            {
                parts[parts.IndexOf(one)] = one with { Amount = loose.Amount };
                parts[parts.IndexOf(two)] = two with { Amount = next.Amount };
                i++;
                continue;
            }

            // What comes in tins is no rice.
            bool Wants(LinePart part) =>
                part is LinePart.Named { Kind: "pulse" or "rice", Amount: null, Without: false } named
                && !(named.Kind == "rice" && loose.Amount.Unit == "tin");
            // "Rice apart, 250 g": the rice's.
            if (
                i > 0
                && parts[i - 1] is LinePart.Said { Of: "rice", Means: "beside" } apart
                && !parts.Exists(p => p is LinePart.Named { Kind: "rice" })
            )
            {
                parts[i - 1] = new LinePart.Named(apart.Start, apart.Length, "rice", [LineNames.PlainRice], loose.Amount, false)
                {
                    Is = [Quality.Apart],
                };
                continue;
            }

            var to = parts.FindLastIndex(i, Wants);
            to = to >= 0 ? to : parts.FindIndex(i, Wants);
            if (to >= 0)
            {
                parts[to] = (LinePart.Named)parts[to] with { Amount = loose.Amount };
            }
            else
            {
                parts[i] = new LinePart.Unread(loose.Start, loose.Length, $"{loose.Amount.Value:0.##} {loose.Amount.Unit}");
            }
        }

        return parts;
    }

    private static bool Joined(string between) =>
        between.Trim().ToLowerInvariant() is "and" or "&" or "+" or "y" or "e" or "et" or "und" or "ve" or "aur";

    private static LineSoak? Soaking(List<LinePart> parts, string line)
    {
        var cold =
            parts.Any(p => p is LinePart.Said { Of: "soak" } soaks && Says(line, soaks, "fridge"))
            || parts.Any(p => p is LinePart.Said { Of: "from", Means: "fridge" })
            || parts.OfType<LinePart.Named>().Any(n => n.Kind == "pulse" && n.Is.Contains(Quality.Chilled));
        if (parts.OfType<LinePart.SoakFor>().LastOrDefault() is { } so)
        {
            return new(so.Span, so.Stood, null, false, false) { Cold = cold };
        }

        if (parts.OfType<LinePart.Since>().LastOrDefault() is { } since)
        {
            return new(null, true, since.At, since.Sure, false) { Cold = cold };
        }

        if (parts.OfType<LinePart.Said>().LastOrDefault(s => s.Of == "stood") is { } stood)
        {
            LocalTime? at = stood.Means switch
            {
                "morning" => Morning,
                "noon" => LocalTime.Noon,
                _ => null,
            };
            return new(null, true, at, true, at is null) { Cold = cold };
        }

        // "Since this morning", "last night", "soaking already": the words themselves say when.
        return parts.LastOrDefault(p => p is LinePart.Said { Of: "soak", Means: "overnight" }) is not { } said ? null
            : Says(line, said, "morning") ? new(null, true, Morning, true, false) { Cold = cold }
            : Stood.Any(w => Says(line, said, w)) ? new(null, true, null, false, true) { Cold = cold }
            : Tensed.Any(w => Says(line, said, w)) ? new(null, false, null, false, true) { Cold = cold }
            : null;
    }

    private static readonly LocalTime Morning = new(8, 0);

    /// <summary>Said of those who eat beside the little ones.</summary>
    private static readonly string[] BesideKids = ["adult", "erwachsene", " me", "myself", " moi", " mich"];

    /// <summary>Words of what stands in water already.</summary>
    private static readonly string[] Stood =
    [
        "since",
        "last night",
        "already",
        "been",
        "soaking",
        "have",
        "night before",
        "yesterday",
        "desde",
        "dejado",
        "veille",
        "geceden",
    ];

    /// <summary>Words of what is soaked, or shall be: the hour of the table decides.</summary>
    private static readonly string[] Tensed = ["soaked", "remojad", "tremp", "eingeweicht", "ammollat", "demolhad", "bhig", "ıslatılmış"];

    private static List<(string Id, SaidAmount? Amount)> Of(List<LinePart.Named> named, string kind)
    {
        var without = named.Where(n => n.Without).SelectMany(n => n.Ids).ToHashSet();
        return
        [
            .. named
                .Where(n => n.Kind == kind && !n.Without && !without.Contains(n.Ids[0]))
                .GroupBy(n => n.Ids[0])
                .Select(g => (g.Key, g.Select(n => n.Amount).FirstOrDefault(a => a is not null))),
        ];
    }

    private static bool Says(string line, LinePart part, string word) =>
        line.Substring(part.Start, Math.Min(part.Length, line.Length - part.Start)).Contains(word, StringComparison.OrdinalIgnoreCase);

    /// <summary>A meal's usual hour gives way to one that was said: dinner at eight.</summary>
    private static bool IsMeal(string line, LinePart.Time time) =>
        !line.AsSpan(time.Start, Math.Min(time.Length, line.Length - time.Start)).ContainsAnyInRange('0', '9')
        && time.At.Minute == 0
        && time.At.Hour is 8 or 12 or 13 or 19
        && !SaidHours.Any(h => Says(line, time, h));

    private static readonly string[] SaidHours = ["seven", "eight", "one", "twelve", "sieben", "siete", "sept", "sette"];

    private static T? Word<T>(string? word)
        where T : struct, Enum =>
        Enum.TryParse<T>(word?.Replace("_", "", StringComparison.Ordinal), ignoreCase: true, out var value) ? value : null;
}
