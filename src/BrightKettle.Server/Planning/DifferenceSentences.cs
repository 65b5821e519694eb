using System.Globalization;
using BrightKettle.Core.Planning;

namespace BrightKettle.Server.Planning;

/// <summary>The words for what changes from one plan to another.</summary>
public static class DifferenceSentences
{
    private static readonly Dictionary<string, string> Felt = new()
    {
        ["Hard"] = "hard",
        ["ChalkyMiddle"] = "chalky in the middle",
        ["NearlyASpeck"] = "nearly, with a speck",
        ["BiteNoChalk"] = "with a bite",
        ["Soft"] = "soft",
        ["FallingApart"] = "falling apart",
    };

    private static readonly Dictionary<string, string> Grain = new(Felt) { ["ChalkyMiddle"] = "hard in the middle", ["NearlyASpeck"] = "firm", ["FallingApart"] = "mush" };

    private static readonly Dictionary<string, string> Ways = new()
    {
        ["None"] = "not soaked",
        ["Overnight"] = "soaked overnight",
        ["Quick"] = "soaked the quick way",
        ["OpenPot"] = "in the open pot",
        ["Pressure"] = "under pressure",
        ["SlowCooker"] = "in the slow cooker",
        ["Cooked"] = "cooked already",
    };

    public static IReadOnlyList<DifferenceDto> For(IEnumerable<Difference> differences) =>
        [.. differences.Select(d => new DifferenceDto(d.Code, Text(d), d.Worse))];

    public static string Text(Difference d)
    {
        ArgumentNullException.ThrowIfNull(d);
        return d.Code switch
        {
            "table" => $"Table {Later(d)}",
            "begins" => $"You begin {Later(d)}",
            "flame" => $"Flame {Later(d)}",
            "join" => $"Rice in {Later(d)}",
            "chance" => d.Amount > 0 ? $"Surer: {Dinners(d)} more" : $"Less sure: {Dinners(d)} fewer",
            "pulses" => $"Pulses {Word(Felt, d.After)} instead of {Word(Felt, d.Before)}",
            "rice" when d.Before == d.After => "Rice softer than wanted",
            "rice" => $"Rice {Word(Grain, d.After)} instead of {Word(Grain, d.Before)}",
            "dry" => string.Create(CultureInfo.InvariantCulture, $"{d.Amount:0} minutes of flame under a dry bed"),
            "base" => d.After switch { "Crust" => "A crust forms on the base", "Scorched" => "It scorches on the base", _ => "No crust on the base" },
            "liquor" => d.Amount > 0 ? $"{Number(d)} mL more liquid at the table" : $"{Number(d)} mL less liquid at the table",
            "boiling" => d.Amount > 0 ? $"{Number(d)} mL more boiling water for the rice" : $"{Number(d)} mL less boiling water for the rice",
            "first_water" => d.Amount > 0 ? $"{Number(d)} mL more water at the start" : $"{Number(d)} mL less water at the start",
            "pulse_grams" => d.Amount > 0 ? $"{Number(d)} g more pulses" : $"{Number(d)} g fewer pulses",
            "rice_grams" => d.Amount > 0 ? $"{Number(d)} g more rice" : $"{Number(d)} g less rice",
            "soak" or "method" => $"{Capital(Word(Ways, d.After))} instead of {Word(Ways, d.Before)}",
            "pot" or "pulse" or "rice_kind" => d.After is null ? $"Without {d.Before}" : d.Before is null ? $"With {d.After}" : $"{d.After} instead of {d.Before}",
            _ => throw new InvalidOperationException($"No words for the difference {d.Code}."),
        };
    }

    private static string Later(Difference d) => string.Create(CultureInfo.InvariantCulture, $"{Span(Math.Abs(d.Amount ?? 0))} {(d.Amount > 0 ? "later" : "earlier")}");

    private static string Span(double minutes) => minutes < 100
        ? string.Create(CultureInfo.InvariantCulture, $"{minutes:0} minutes")
        : string.Create(CultureInfo.InvariantCulture, $"{Math.Floor(minutes / 60):0} h {minutes % 60:0} min");

    /// <summary>Of ten, since most people count on their fingers.</summary>
    private static string Dinners(Difference d)
    {
        var ten = Math.Max(1, Math.Round(Math.Abs(d.Amount ?? 0) * 10));
        return string.Create(CultureInfo.InvariantCulture, $"{ten:0} {(ten == 1 ? "dinner" : "dinners")} in ten");
    }

    private static string Number(Difference d) => Math.Abs(d.Amount ?? 0).ToString("0", CultureInfo.InvariantCulture);

    private static string Word(Dictionary<string, string> words, string? name) => name is not null && words.TryGetValue(name, out var word) ? word : name ?? string.Empty;

    private static string Capital(string text) => text.Length == 0 ? text : char.ToUpperInvariant(text[0]) + text[1..];
}
