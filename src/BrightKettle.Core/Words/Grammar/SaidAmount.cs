using BrightKettle.Core.Words.Measures;

namespace BrightKettle.Core.Words.Grammar;

/// <summary>An amount as it was said.</summary>
/// <param name="Unit">Id of a <see cref="HouseholdMeasure"/>: g and ml for all that has a plain weight or volume.</param>
public sealed record SaidAmount(double Value, string Unit);
