using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning;
using NodaTime;

namespace BrightKettle.Core.Practice.Dinners;

/// <summary>What a dinner lost of 100 points, by its parts; never for how quickly somebody pressed.</summary>
/// <param name="Texture">Pulses and rice beside what was wanted, 0 to <see cref="Ending.MostForTexture"/>.</param>
/// <param name="Water">Liquid beside what the plan leaves, 0 to 15.</param>
/// <param name="Salt">0 to 5.</param>
/// <param name="Late">Minutes after the hour that was wanted, 0 to 15.</param>
/// <param name="Attention">Looks and doings beyond what the dinner asks for, 0 to 5.</param>
/// <param name="Forbidden">Code of the caution that forbids to eat it; null for none. It leaves no point.</param>
public sealed record DinnerScore(double Texture, double Water, double Salt, double Late, double Attention, string? Forbidden)
{
    /// <summary>0 to 100.</summary>
    public double Points => Forbidden is null ? 100 - Texture - Water - Salt - Late - Attention : 0;
}

/// <summary>How a dinner came to the table.</summary>
/// <param name="Spoilt">What the table sends back; null where all is as wanted.</param>
/// <param name="Felt">Of each pulse and rice.</param>
public sealed record DinnerTable(
    Instant Served,
    Spoilt? Spoilt,
    DinnerScore Score,
    IReadOnlyList<(string IngredientId, FeltState Felt)> Felt
);

/// <summary>A practice dinner at its end.</summary>
/// <param name="Advised">The same dinner in the same kitchen by somebody who does what the stove says; null where they never get it to the
/// table, or where that is not known.</param>
/// <param name="Pace">Of this bag of the first pulse against the usual one.</param>
/// <param name="Steam">Of what this lid lets go.</param>
/// <param name="Flame">Of this burner's heat.</param>
/// <param name="Wanted">What is right of the first pulse at this table.</param>
/// <param name="Yours">Minute by minute, of the first pulse and its liquor.</param>
/// <param name="Theirs">The same of who was advised; empty where there is none.</param>
public sealed record DinnerEnd(
    DinnerTable Yourself,
    DinnerTable? Advised,
    double Pace,
    double Steam,
    double Flame,
    Span Wanted,
    IReadOnlyList<DinnerPoint> Yours,
    IReadOnlyList<DinnerPoint> Theirs
);

/// <summary>A minute of a pot that has been opened up.</summary>
/// <param name="Pulses">Doneness of the first pulse.</param>
/// <param name="Rice">Null where no rice is cooked.</param>
public sealed record DinnerPoint(double Minutes, double Pulses, double? Rice, double BedCentimetres, double LevelCentimetres);
