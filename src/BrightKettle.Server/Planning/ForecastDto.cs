using BrightKettle.Core.Cooking;
using BrightKettle.Server.Answers;

namespace BrightKettle.Server.Planning;

/// <summary>A figure and the range in which eight pots in ten lie.</summary>
public sealed record BandDto(double Low, double Mid, double High);

/// <summary>One moment of the cook; eight pots in ten come to it between early and late.</summary>
public sealed record MomentForecastDto(string Mark, DateTimeOffset Early, DateTimeOffset At, DateTimeOffset Late);

/// <summary>One ingredient over the picture's points.</summary>
/// <param name="Kind">pulse, rice or extra.</param>
/// <param name="Seed">Its name in the catalogue, for how it looks.</param>
/// <param name="BedCentimetres">Height of its own layer.</param>
/// <param name="Doneness">0 to about 200; 100 is tender.</param>
/// <param name="Felt">What a hand would name it.</param>
public sealed record LayerDto(
    string Id,
    string Kind,
    string Seed,
    string Name,
    IReadOnlyList<double> BedCentimetres,
    IReadOnlyList<BandDto> Doneness,
    IReadOnlyList<string> Felt
);

/// <summary>The picture from the flame to the table: each list has one entry a point.</summary>
public sealed record SeriesDto(
    IReadOnlyList<DateTimeOffset> At,
    IReadOnlyList<double> Celsius,
    IReadOnlyList<BandDto> LiquorMillilitres,
    IReadOnlyList<BandDto> LevelCentimetres,
    IReadOnlyList<double> OverBedCentimetres,
    IReadOnlyList<LayerDto> Layers,
    double VesselHeightCentimetres
);

/// <summary>What a gate says: whether it blocks, and of which action.</summary>
public sealed record GateDto([property: SaidBy("caution", "title")] string Code, string? Ingredient, int? Action, bool Blocks);

/// <param name="Grave">It can make somebody ill: it is said first, with its source.</param>
public sealed record CautionDto([property: SaidBy("caution", "title")] string Code, bool Grave)
{
    public static CautionDto Of(string code) => new(code, Core.Safety.Cautions.IsGrave(code));
}

/// <summary>What a cook's actions do to its pot.</summary>
/// <param name="ShareTender">0 to 1: of the pots, those in which all is as wanted at the end.</param>
public sealed record ForecastDto(
    IReadOnlyList<MomentForecastDto> Moments,
    SeriesDto Series,
    double ShareTender,
    int Pots,
    IReadOnlyList<GateDto> Gates,
    IReadOnlyList<CautionDto> Cautions,
    string ModelVersion,
    string ParameterVersion,
    IReadOnlyList<VesselSeriesDto> Vessels,
    StalledDto? Stalled
);

/// <summary>What becomes of one vessel: its lists have one entry for each point of the picture.</summary>
/// <param name="ShareScorched">0 to 1: of the pots.</param>
/// <param name="SaltPercent">In its liquor at the end, % by weight.</param>
/// <param name="Thickness">Of its liquor at the end, hot; null where there is none.</param>
/// <param name="OnThePlate">The same some minutes later on the plate.</param>
public sealed record VesselSeriesDto(
    string Id,
    IReadOnlyList<double> Celsius,
    IReadOnlyList<BandDto> LiquorMillilitres,
    IReadOnlyList<BandDto> LevelCentimetres,
    [property: OneOf(typeof(BaseState))] string Base,
    double ShareScorched,
    BandDto SaltPercent,
    [property: OneOf(typeof(Thickness))] string? Thickness,
    [property: OneOf(typeof(Thickness))] string? OnThePlate
);

/// <summary>A cook that cannot come to its end: which action waits, and for what.</summary>
/// <param name="Action">Its number in the list, from 0.</param>
/// <param name="WaitsFor">event, look, step or time.</param>
/// <param name="Event">For event.</param>
/// <param name="Ingredient">For look.</param>
/// <param name="Step">For step: the mark that never comes.</param>
/// <param name="Text">The same, as it is said.</param>
public sealed record StalledDto(
    int Action,
    [property: OneOf("event", "look", "step", "time")] string WaitsFor,
    [property: OneOf(typeof(PotEvent))] string? Event,
    string? Ingredient,
    string? Step,
    string Text
);
