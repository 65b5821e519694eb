using BrightKettle.Core.Catalogue;
using BrightKettle.Server.Answers;

namespace BrightKettle.Server.Catalogue;

/// <summary>A pulse for the picker. Amounts in g, times in minutes and hours.</summary>
public sealed record PulseDto(
    string Id,
    string Name,
    string Said,
    IReadOnlyList<string> Aliases,
    [property: OneOf(typeof(PulseKind))] string Kind,
    double GramsPerCup,
    double SoakHoursLow,
    double SoakHoursHigh,
    string LectinRisk,
    int HoldsShape,
    bool SoldGreen,
    string Note
);

/// <summary>A rice for the picker.</summary>
public sealed record RiceDto(
    string Id,
    string Name,
    string Said,
    IReadOnlyList<string> Aliases,
    double GramsPerCup,
    string Rinse,
    string Note
);

/// <summary>Something beside pulses and rice that can go into a pot. Salt in g per g.</summary>
/// <param name="SaltAfterBlanch">Share of its salt that is left after a blanch; null where none is usual.</param>
public sealed record ExtraDto(
    string Id,
    string Name,
    IReadOnlyList<string> Aliases,
    [property: OneOf(typeof(PulseKind))] string Kind,
    double SaltShare,
    double? SaltAfterBlanch,
    bool ComesOut,
    bool Freezes,
    bool Infuses,
    string Confidence,
    string Note
);

public sealed record CatalogueDto(IReadOnlyList<PulseDto> Pulses, IReadOnlyList<RiceDto> Rices);

/// <summary>A pulse or rice found by name.</summary>
/// <param name="Matched">The name that was meant, when it is not the usual one.</param>
public sealed record FoundDto(string Id, string Name, string? Matched);

/// <summary>A figure of the model with its spread and basis.</summary>
public sealed record EffectDto(string Id, double Low, double Typical, double High, string Unit, string Confidence, string Basis);

/// <summary>Why a rule holds. Its words stand in the catalogue of sentences.</summary>
/// <param name="Strength">How well it is supported: A best, D a guess.</param>
/// <param name="Figures">What the model computes with, of it.</param>
public sealed record ReasonDto(
    [property: SaidBy("reason", "title")] string Id,
    [property: SaidBy("why.subject")] string Subject,
    [property: OneOf("A", "B", "C", "D")] string Strength,
    IReadOnlyList<EffectDto> Figures
);
