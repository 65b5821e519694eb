using BrightKettle.Core.Cooking;
using BrightKettle.Core.Safety;
using NodaTime;

namespace BrightKettle.Core.Planning;

/// <summary>A figure with the range in which eight pots in ten lie; the middle is the reference pot's.</summary>
public readonly record struct Band(double Low, double Reference, double High);

/// <summary>A moment of the cook. The range comes from many pots; a pot that never got there is left out.</summary>
/// <param name="Begins">When somebody begins with it, where that is earlier: what is too much is boiled down first.</param>
public sealed record MomentForecast(
    string StepId,
    int Action,
    Instant Early,
    Instant Reference,
    Instant Late,
    Band LiquorGrams,
    Band AddedGrams,
    MomentBegins? Begins = null
);

/// <param name="LiquorGrams">That is found then.</param>
public sealed record MomentBegins(Instant Early, Instant Reference, Instant Late, Band LiquorGrams);

/// <summary>One minute of the picture. Bands are over many pots.</summary>
/// <param name="Doneness">One per ingredient.</param>
/// <param name="BedCentimetres">The reference pot's layers, one per ingredient.</param>
public sealed record ForecastPoint(
    Instant At,
    double Celsius,
    Band LiquorMillilitres,
    Band LevelCentimetres,
    IReadOnlyList<Band> Doneness,
    IReadOnlyList<double> BedCentimetres
);

/// <summary>What a cook's actions do to its pot.</summary>
/// <param name="Reference">The one real pot in the middle.</param>
/// <param name="Points">From the flame to the table.</param>
/// <param name="ShareTender">Of the pots: all ingredients as wanted at the table.</param>
/// <param name="Pots">How many were run.</param>
public sealed record Forecast(
    Cook Cook,
    PotRun Reference,
    IReadOnlyList<MomentForecast> Moments,
    IReadOnlyList<ForecastPoint> Points,
    double ShareTender,
    int Pots
)
{
    /// <summary>Every vessel of the cook, in its order; empty where no picture was asked for.</summary>
    public IReadOnlyList<VesselForecast> Vessels { get; init; } = [];

    /// <summary>What the gates find in the reference pot, and what blocks in more than one pot in twenty; empty where nobody
    /// asked.</summary>
    public IReadOnlyList<GateFinding> Gates { get; init; } = [];

    /// <summary>What spoils most of the pots that are not as wanted; null where none is.</summary>
    public Spoilt? MostSpoiltBy { get; init; }

    public MomentForecast? Find(string mark) => Moments.FirstOrDefault(m => m.StepId == mark);
}
