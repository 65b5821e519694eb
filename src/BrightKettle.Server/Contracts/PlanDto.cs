using BrightKettle.Server.Formats;

namespace BrightKettle.Server.Contracts;

/// <summary>One step in the order in which it is done; the page words it.</summary>
/// <param name="Kind">soak, drain, rice_soak, light, boil, look, join, seal, heat_off, finish or table.</param>
/// <param name="Early">Eight pots in ten come to it between this and late; equal to late where the clock decides.</param>
public sealed record StepDto(string Kind, DateTimeOffset At, DateTimeOffset Early, DateTimeOffset Late, StepFactsDto Facts);

/// <summary>Figures of a step; null where they do not belong to it.</summary>
public sealed record StepFactsDto(
    double? Grams = null,
    double? Millilitres = null,
    double? Minutes = null,
    double? Hours = null,
    double? EveryMinutes = null,
    double? OverBedCentimetres = null,
    double? AddMillilitres = null,
    string? Felt = null,
    string? Ingredient = null,
    string? Place = null,
    bool? Drained = null);

/// <summary>The moment of the join.</summary>
public sealed record JoinDto(
    string Joiner,
    double Doneness,
    string Felt,
    string? WaitFor,
    double? ChalkyOfFive,
    double NeededMillilitres,
    BandDto FoundMillilitres,
    BandDto AddMillilitres,
    double OverBedCentimetres);

/// <summary>What to measure out. Cups are the household's.</summary>
public sealed record MeasureOutDto(
    double PulseGrams,
    double PulseCups,
    double? RiceGrams,
    double? RiceCups,
    string? RiceRinse,
    double? SoakMillilitres,
    double FirstWaterMillilitres,
    double? BoilingMillilitres,
    double SaltGrams,
    double CookedGrams,
    double CookedGramsEach);

/// <summary>A solved way with its forecast and the cook behind it.</summary>
/// <param name="Order">pulse_alone, pulse_first, together or rice_first.</param>
/// <param name="WithLooks">0 to 1: share of pots in which all is tender together, with the looks that the plan asks for.</param>
/// <param name="ByClock">The same by the clock alone.</param>
public sealed record PlanDto(
    string Title,
    string PulseName,
    string? RiceName,
    string Order,
    DateTimeOffset ServeAt,
    double WithLooks,
    double ByClock,
    JoinDto? Join,
    MeasureOutDto MeasureOut,
    IReadOnlyList<StepDto> Steps,
    ForecastDto Forecast,
    CookDocument Cook);
