using BrightKettle.Server.Answers;

namespace BrightKettle.Server.Planning;

/// <summary>A figure and the range in which eight pots in ten lie.</summary>
public sealed record BandDto(double Low, double Mid, double High);

/// <summary>One moment of the cook; eight pots in ten come to it between early and late.</summary>
public sealed record MomentForecastDto(string Mark, DateTimeOffset Early, DateTimeOffset At, DateTimeOffset Late);

/// <summary>One ingredient over the picture's points.</summary>
/// <param name="Kind">pulse or rice.</param>
/// <param name="BedCentimetres">Height of its own layer.</param>
/// <param name="Doneness">0 to about 200; 100 is tender.</param>
/// <param name="Felt">What a hand would name it.</param>
public sealed record LayerDto(
    string Id,
    string Kind,
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
    string ParameterVersion
);
