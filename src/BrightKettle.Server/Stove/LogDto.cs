using BrightKettle.Server.Answers;
using BrightKettle.Server.Planning;

namespace BrightKettle.Server.Stove;

/// <summary>How something was at the table: pulses and rice under are hard, over too soft; salt under is too little; a sauce under is too
/// thin.</summary>
public enum HowItWas
{
    Under,
    Right,
    Over,
}

/// <summary>How a dinner was; null for what nobody said.</summary>
/// <param name="Again">Whether it is wanted again.</param>
/// <param name="Note">At most 1000 letters.</param>
public sealed record VerdictDto(
    [property: OneOf(typeof(HowItWas))] string? Pulses = null,
    [property: OneOf(typeof(HowItWas))] string? Rice = null,
    [property: OneOf(typeof(HowItWas))] string? Salt = null,
    [property: OneOf(typeof(HowItWas))] string? Sauce = null,
    bool? Again = null,
    string? Note = null
);

/// <summary>A verdict as it is given, or given anew: the last one holds.</summary>
public sealed record VerdictChange(Guid EventId, DateTimeOffset OccurredAt, long BasedOn, VerdictDto Verdict);

/// <summary>What one evening was: as it was planned and as it went.</summary>
/// <param name="WithLooks">The chance that the plan gave.</param>
/// <param name="ServedAt">Null for one that never came to the table.</param>
/// <param name="Moments">In the order of the clock, by when they were done, or were to be done.</param>
/// <param name="Looks">What was seen, felt and measured; what was taken back is left out.</param>
/// <param name="Names">Of the ingredients.</param>
/// <param name="Bags">What it says of the bags that went in; empty where it says nothing.</param>
/// <param name="LeftOut">Nothing is learned from it.</param>
/// <param name="Version">To be sent back with a verdict.</param>
public sealed record DinnerLogDto(
    Guid Id,
    string Title,
    string PulseName,
    string? RiceName,
    string Order,
    string? RiceRinse,
    DateTimeOffset StartedAt,
    DateTimeOffset WantedAt,
    SpanOfTimeDto Table,
    double WithLooks,
    DateTimeOffset? ServedAt,
    IReadOnlyList<LogMomentDto> Moments,
    IReadOnlyList<ToldDto> Looks,
    IReadOnlyList<LogNameDto> Names,
    IReadOnlyList<LogBagDto> Bags,
    VerdictDto? Verdict,
    bool Finished,
    bool LeftOut,
    long Version
);

/// <summary>What an entry names, as people call it.</summary>
/// <param name="Kind">Whose states are felt: rice's, or pulse for all else.</param>
public sealed record LogNameDto(string Id, string Kind, string Name);

/// <summary>A moment of the plan it was started with.</summary>
/// <param name="DoneAt">Null for one that was passed over.</param>
public sealed record LogMomentDto(StepDto Step, DateTimeOffset? DoneAt);

/// <summary>A bag that went in.</summary>
/// <param name="Time">Factor on the usual time at which this evening's looks point.</param>
public sealed record LogBagDto(string Id, string FoodName, string Name, double Time, double TimeLow, double TimeHigh);
