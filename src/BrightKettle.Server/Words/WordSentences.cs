using System.Globalization;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Words;

namespace BrightKettle.Server.Words;

/// <summary>The words for answers to vague words, for questions and for doubts.</summary>
public static class WordSentences
{
    public static string For(VagueAnswer a)
    {
        ArgumentNullException.ThrowIfNull(a);
        var range = Range(a);
        return a.Code switch
        {
            "volume" or "mass" => a.Of is null ? range : $"{range} of {a.Of}",
            "drained" => $"{range} when it is drained",
            "weighs" => $"{range} of {a.Of!.ToLowerInvariant()}, dry",
            "cover_dry" => $"{range} of water in the {a.Of}, over dry pulses",
            "cover_soaked" => $"{range} of water in the {a.Of}, over soaked ones",
            "flame" => $"{range} into the pot on the {a.Of!.ToLowerInvariant()}",
            "whistle_from_heat" => $"{range} from the heat to the last of them, in {Article(a.Of!)}",
            "whistle_from_first" => $"{range} after the first whistle",
            "whistles" => $"{a.Low:0} to {a.High:0} whistles, in {Article(a.Of!)}",
            "slow_ends_at" => string.Create(CultureInfo.InvariantCulture, $"{a.Low:0} to {a.High:0} °C in the end, in {Article(a.Of!)}"),
            "slow_to_80" => string.Create(CultureInfo.InvariantCulture, $"{a.Low:0.0} to {a.High:0.0} hours until 80 °C from cold"),
            "cups" => string.Create(CultureInfo.InvariantCulture, $"{a.Typical:0.##} of your cups"),
            "glasses" => string.Create(CultureInfo.InvariantCulture, $"{a.Low:0.#} to {a.High:0.#} glasses"),
            "stands" => string.Create(CultureInfo.InvariantCulture, $"stands {Math.Abs(a.Typical):0.0} cm {(a.Typical < 0 ? "under the top of" : "over")} the soaked pulses in the {a.Of}"),
            _ => throw new InvalidOperationException($"No words for the answer {a.Code}."),
        };
    }

    public static (string Text, string? Unit) Question(string code) => code switch
    {
        "pulse" => ("Which pulse is it?", null),
        "pulse_grams" => ("How much of the pulse, dry?", "g"),
        "rice_grams" => ("How much rice, dry?", "g"),
        "water" => ("How much water in all?", "g"),
        "minutes" => ("How many minutes do they cook?", "min"),
        "soak" => ("Are they soaked first?", null),
        "lid" => ("Is the lid on?", null),
        "clock_start" => ("From when do the minutes count?", null),
        "release" => ("How does the pressure go?", null),
        "salt" => ("How much salt?", "g"),
        _ => throw new InvalidOperationException($"No words for the question {code}."),
    };

    public static string Choice(string id) => id switch
    {
        "none" => "not soaked",
        "overnight" => "overnight",
        "quick" => "quick",
        "on" => "lid on",
        "ajar" => "ajar",
        "open" => "no lid",
        "boil" => "from the boil",
        "heat_on" => "from the flame",
        "pressure_up" => "from full pressure",
        "natural" => "by itself",
        _ => id,
    };

    public static string Doubt(NoteDoubt d)
    {
        ArgumentNullException.ThrowIfNull(d);
        string Text(FormattableString text) => FormattableString.Invariant(text);
        return d.Code switch
        {
            "too_much_water" => Text($"{d.Said / 1000:0.0} L of water for this much is a lot: usual is {d.Low / 1000:0.0} to {d.High / 1000:0.0} L. Is it so?"),
            "too_little_water" => Text($"{d.Said:0} mL of water is little: usual is {d.Low / 1000:0.0} to {d.High / 1000:0.0} L. They would boil dry."),
            "too_short" => Text($"{d.Said:0} minutes is short: these take {d.Low:0} to {d.High:0}, more for an old bag."),
            "too_long" => Text($"{d.Said:0} minutes is long: these take {d.Low:0} to {d.High:0}. They would fall apart."),
            "too_much_salt" => Text($"{d.Said:0.0} % of salt is very salty: most people like {d.Low:0.0} to {d.High:0.0} %."),
            "low_for_lectin" => "These carry a lectin that a slow cooker does not destroy: a hard boil comes first, 10 minutes at least.",
            _ => throw new InvalidOperationException($"No words for the doubt {d.Code}."),
        };
    }

    public static string Felt(FeltState state) => state switch
    {
        FeltState.Hard => "hard",
        FeltState.ChalkyMiddle => "chalky in the middle",
        FeltState.NearlyASpeck => "nearly done, with a speck",
        FeltState.BiteNoChalk => "with a bite",
        FeltState.Soft => "soft",
        _ => "falling apart",
    };

    private static string Article(string of) => of.StartsWith("a ", StringComparison.Ordinal) ? of : $"the {of}";

    private static string Range(VagueAnswer a)
    {
        string One(double v) => v.ToString(v >= 20 ? "0" : "0.#", CultureInfo.InvariantCulture);
        var (low, typical, high) = (Round(a.Low), Round(a.Typical), Round(a.High));
        return high - low < 0.02 * Math.Max(1, typical) ? $"{One(typical)} {a.Unit}" : $"about {One(typical)} {a.Unit} ({One(low)} to {One(high)})";
    }

    /// <summary>No finer than a hand can tell.</summary>
    private static double Round(double v) => v >= 200 ? Math.Round(v / 10) * 10 : v >= 20 ? Math.Round(v) : Math.Round(v, 1);
}
