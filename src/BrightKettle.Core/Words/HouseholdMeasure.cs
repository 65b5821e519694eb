using BrightKettle.Core.Catalogue;

namespace BrightKettle.Core.Words;

/// <summary>A measure that people name; kind is volume, mass or household_cup, figures in mL or g.</summary>
/// <param name="Drained">Of a tin, g; null elsewhere.</param>
internal sealed record HouseholdMeasure(
    string Id,
    IReadOnlyList<string> Names,
    string Kind,
    double Low,
    double Typical,
    double High,
    string Confidence,
    double? Drained = null
)
{
    public static IReadOnlyList<HouseholdMeasure> All { get; } = PulseCatalogue.ReadList<HouseholdMeasure>("measures.json");

    /// <summary>The measure with the longest name that a text in small letters begins with, and what follows it; null for none.</summary>
    public static (HouseholdMeasure Measure, string Left)? At(string text)
    {
        var best = All.SelectMany(m => m.Names.Select(n => (Measure: m, Name: n)))
            .Where(m => text == m.Name || (text.StartsWith(m.Name, StringComparison.Ordinal) && !char.IsLetter(text[m.Name.Length])))
            .OrderByDescending(m => m.Name.Length)
            .FirstOrDefault();
        return best.Measure is null ? null : (best.Measure, text[best.Name.Length..].TrimStart('.', ' '));
    }
}
