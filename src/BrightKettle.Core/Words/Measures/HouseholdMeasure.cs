using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Words.Grammar;

namespace BrightKettle.Core.Words.Measures;

/// <summary>A measure that people name; kind is volume, mass, household_cup or count, figures in mL or g.</summary>
/// <param name="Id">As <see cref="SaidAmount.Unit"/> says it.</param>
/// <param name="Names">In every language that is read.</param>
/// <param name="Drained">Of a tin, g; null elsewhere.</param>
public sealed record HouseholdMeasure(
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

    private static readonly Dictionary<string, HouseholdMeasure> ById = All.ToDictionary(m => m.Id);

    /// <summary>Null for a unit that is none.</summary>
    public static HouseholdMeasure? Find(string id) => ById.GetValueOrDefault(id);

    public bool IsMass => Kind == "mass";

    public bool IsVolume => Kind is "volume" or "household_cup";

    /// <summary>What one of it holds, mL; a mass has none.</summary>
    public double MillilitresWith(double cupMillilitres) => Kind == "household_cup" ? cupMillilitres : Typical;

    /// <summary>An amount in it, g; null where it is a count.</summary>
    /// <param name="gramsPerMillilitre">Of what is measured.</param>
    public double? GramsOf(double number, double gramsPerMillilitre, double cupMillilitres) =>
        IsMass ? number * Typical
        : IsVolume ? number * MillilitresWith(cupMillilitres) * gramsPerMillilitre
        : null;
}
