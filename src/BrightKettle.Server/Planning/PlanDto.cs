using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Planning.Beside;
using BrightKettle.Server.Answers;
using BrightKettle.Server.Exchange;
using BrightKettle.Server.Kitchen;

namespace BrightKettle.Server.Planning;

/// <summary>One step in the order in which it is done; the page words it.</summary>
/// <param name="Kind">soak, drain, rice_soak, light, boil, look, boil_up, off_to_go, back_hot, reheat, join, seal, heat_off, finish, table and others; at the stove also
/// pressure_up, first_whistle and hard_over.</param>
/// <param name="Early">Eight pots in ten come to it between this and late; equal to late where the clock decides.</param>
public sealed record StepDto(
    [property: SaidBy("step", "title")] string Kind,
    DateTimeOffset At,
    DateTimeOffset Early,
    DateTimeOffset Late,
    StepFactsDto Facts
);

/// <summary>Figures of a step; null where they do not belong to it.</summary>
/// <param name="Count">Whistles after which it is done.</param>
/// <param name="Salty">What has brought salt before: the little ones' portion is not without.</param>
/// <param name="Others">Further pulses that share the step.</param>
/// <param name="Blanched">Of what is named: a piece that was blanched before.</param>
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
    bool? Drained = null,
    string? Name = null,
    int? Pieces = null,
    int? Count = null,
    IReadOnlyList<string>? Salty = null,
    IReadOnlyList<PartDto>? Others = null,
    bool? Blanched = null
);

/// <summary>Something with its weight, in a sentence.</summary>
public sealed record PartDto(double Grams, string Name);

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
    double OverBedCentimetres
);

/// <summary>What to measure out. Cups are the household's.</summary>
/// <param name="PulseCups">Dry, or, where they are cooked already, cooked and drained.</param>
/// <param name="DrainedGrams">Cooked and drained, where they are cooked already; null for dry ones.</param>
public sealed record MeasureOutDto(
    double PulseGrams,
    double PulseCups,
    double? DrainedGrams,
    double? RiceGrams,
    double? RiceCups,
    string? RiceRinse,
    double? SoakMillilitres,
    double FirstWaterMillilitres,
    double? BoilingMillilitres,
    double CookedGrams,
    double CookedGramsEach,
    IReadOnlyList<OtherLineDto> Others,
    IReadOnlyList<ExtraLineDto> Extras,
    SaltDto Salt,
    string? RiceVesselName,
    double? RiceWaterMillilitres,
    int LittleOnes,
    double LittleGramsEach,
    IReadOnlyList<string>? LittleSalty,
    [property: OneOf(typeof(PulseState))] string PulseState,
    [property: OneOf(typeof(RiceState))] string RiceState
);

/// <summary>A further pulse.</summary>
/// <param name="Collapsed">It will have fallen apart by the table.</param>
public sealed record OtherLineDto(string PulseId, string Name, double Grams, double? DrainedGrams, bool Collapsed);

/// <summary>Something beside pulses and rice to have ready.</summary>
/// <param name="Time">start, join or late.</param>
/// <param name="Pieces">That must come out again.</param>
/// <param name="Frozen">thawed, or frozen where there is no time for that; null for what does not come out of the freezer.</param>
/// <param name="KeptHalf">Half of it is for the end.</param>
public sealed record ExtraLineDto(
    string ExtraId,
    string Name,
    double Grams,
    [property: OneOf(typeof(ExtraTime))] string Time,
    int Pieces,
    bool Blanched,
    [property: OneOf("thawed", "frozen")] string? Frozen,
    string Note,
    bool KeptHalf
);

/// <summary>All the salt of the dinner.</summary>
/// <param name="Percent">Of all that is eaten, with what is to be added.</param>
/// <param name="Finding">salt.none, salt.too_much or null.</param>
public sealed record SaltDto(
    double Percent,
    double TargetPercent,
    double AddGrams,
    double Teaspoons,
    string? Finding,
    IReadOnlyList<SaltSourceDto> Sources
);

public sealed record SaltSourceDto(string What, double Low, double Grams, double High, double SodiumGrams);

/// <summary>What the cook's hands do, and every pot and flame beside.</summary>
/// <param name="InWaits">Attended minutes of side tasks that lie in the waits.</param>
public sealed record HandsDto(
    IReadOnlyList<HandDto> Visits,
    IReadOnlyList<HandDto> Tasks,
    IReadOnlyList<string> Unplaced,
    IReadOnlyList<string> DayBefore,
    IReadOnlyList<LaneDto> Flames,
    double InWaits,
    double Outside,
    double HandsOnMinutes
);

/// <param name="Attended">It needs the hands all the time.</param>
public sealed record HandDto(string Id, string Name, DateTimeOffset From, DateTimeOffset To, bool Attended, bool Burner);

/// <summary>A pot and when its flame burns.</summary>
/// <param name="BurnerName">Null for an appliance with a heat of its own.</param>
public sealed record LaneDto(string VesselName, string? BurnerName, IReadOnlyList<SpanDto> Burns);

/// <summary>A solved way with its forecast and the cook behind it.</summary>
/// <param name="Order">pulse_alone, pulse_first, together or rice_first.</param>
/// <param name="WithLooks">0 to 1: share of pots in which all is tender together, with the looks that the plan asks for.</param>
/// <param name="ByClock">The same by the clock alone.</param>
/// <param name="Base">clean, crust or scorched: what the reference pot's base is like at the table.</param>
/// <param name="LeftOut">Stages that were asked for and have no place in this way.</param>
/// <param name="Beside">Other dishes of the evening.</param>
/// <param name="Apart">What would keep it from wanting the same as they do; each has been planned.</param>
/// <param name="Bag">Of the pulse that leads.</param>
/// <param name="Sauce">Null for a dish that is to be dry or moist, and where rice cooks in it.</param>
public sealed record PlanDto(
    string Title,
    string PulseName,
    string? RiceName,
    string Order,
    DateTimeOffset ServeAt,
    double WithLooks,
    double ByClock,
    string Base,
    SauceDto? Sauce,
    JoinDto? Join,
    MeasureOutDto MeasureOut,
    IReadOnlyList<StepDto> Steps,
    HandsDto Hands,
    WayFactsDto Facts,
    HouseWaysDto HouseWays,
    ForecastDto Forecast,
    CookDocument Cook,
    [property: OneOf(typeof(AskedStage))] IReadOnlyList<string> LeftOut,
    IReadOnlyList<NeighbourDto> Beside,
    IReadOnlyList<ClashDto> Clashes,
    IReadOnlyList<AlternativeDto> Apart,
    PlanBagDto? Bag
);

/// <summary>The bag that is cooked.</summary>
/// <param name="Id">Null where none of this pulse is in the cupboard: then it is an unknown one, of a pulse that may be known.</param>
/// <param name="Name">The household's own; empty where the pulse's will do.</param>
/// <param name="Left">g in it; null without a bag.</param>
public sealed record PlanBagDto(string? Id, string Name, double? Left, BagPaceDto Pace);

/// <summary>Another dish of the evening.</summary>
/// <param name="Hands">When it wants the cook.</param>
public sealed record NeighbourDto(string Id, string Title, IReadOnlyList<BurnDto> Burns, IReadOnlyList<SpanDto> Hands);

/// <summary>A flame on one of the kitchen's burners.</summary>
public sealed record BurnDto(string BurnerName, DateTimeOffset From, DateTimeOffset To);

/// <summary>What this dish and another want at once.</summary>
/// <param name="With">Id of the other dish.</param>
/// <param name="Name">The pot or the burner; for hands, what this dish wants of them.</param>
/// <param name="Theirs">For hands: what the other dish wants of them; null otherwise.</param>
public sealed record ClashDto(
    [property: OneOf(typeof(ClashKind))] string Kind,
    string With,
    string Name,
    string? Theirs,
    DateTimeOffset From,
    DateTimeOffset To
);

/// <summary>How the liquid of a saucy dish or a soup runs.</summary>
/// <param name="Hot">In the pot, when it comes to the table.</param>
/// <param name="OnThePlate">Some minutes later.</param>
public sealed record SauceDto([property: OneOf(typeof(Thickness))] string Hot, [property: OneOf(typeof(Thickness))] string OnThePlate);

/// <summary>Which schools this plan follows.</summary>
/// <param name="SoakWaterMayBeKept">False where a lectin or a brine forbids it, or nothing is soaked.</param>
public sealed record HouseWaysDto([property: OneOf(typeof(SaltSchool))] string Salt, bool KeepsSoakWater, bool SoakWaterMayBeKept);

/// <summary>By how many minutes moments are pulled; positive is later.</summary>
public sealed record PullDto(int Table = 0, int Light = 0, int Join = 0, int Seal = 0, int FlameOff = 0);

/// <param name="Quick">While a finger is on it: fewer pots, and no word about the chance.</param>
public sealed record PullRequest(DishDto Dish, PullDto Pull, bool Quick = false);

/// <summary>A pulled plan: what is drawn while dragging.</summary>
public sealed record PulledDto(
    DateTimeOffset ServeAt,
    double WithLooks,
    IReadOnlyList<StepDto> Steps,
    SeriesDto Series,
    IReadOnlyList<DifferenceDto> Differences,
    string? Obstacle
);

/// <summary>One thing that changed, in words.</summary>
/// <param name="Amount">Minutes, millilitres, grams or a share, as the code has it.</param>
/// <param name="Before">A word or a name, as the code has it; likewise after.</param>
public sealed record DifferenceDto(
    [property: OneOf(typeof(DifferenceCode))] string Code,
    bool Worse,
    double? Amount,
    string? Before,
    string? After
)
{
    public static IReadOnlyList<DifferenceDto> Of(IEnumerable<Difference> differences) =>
        [
            .. differences.Select(d => new DifferenceDto(
                ClosedSet.Word(d.Code),
                d.Worse,
                d.Amount,
                Word(d.Code, d.Before),
                Word(d.Code, d.After)
            )),
        ];

    /// <summary>A name as it stands, a member of a closed set by its word.</summary>
    private static string? Word(DifferenceCode code, string? said) =>
        said is null || code is DifferenceCode.Pot or DifferenceCode.Burner or DifferenceCode.Pulse or DifferenceCode.RiceKind
            ? said
            : System.Text.Json.JsonNamingPolicy.SnakeCaseLower.ConvertName(said);
}

/// <summary>Something that went otherwise than planned.</summary>
/// <param name="Kind">start_late, dinner_moves, soak_forgotten, more_guests, without or smaller_pot.</param>
/// <param name="Minutes">For start_late and dinner_moves.</param>
/// <param name="People">For more_guests: how many more.</param>
/// <param name="What">For without: an extra's id; for smaller_pot: a vessel's.</param>
public sealed record SlipDto(
    [property: OneOf("start_late", "dinner_moves", "soak_forgotten", "more_guests", "without", "smaller_pot")] string Kind,
    int? Minutes = null,
    int? People = null,
    string? What = null
);

public sealed record CompareRequest(DishDto Before, DishDto After);

public sealed record ComparedDto(PlanDto Plan, IReadOnlyList<DifferenceDto> Differences);

public sealed record SlipRequest(DishDto Dish, SlipDto Slip);

/// <summary>The dinner after a slip.</summary>
/// <param name="Dish">As it would be planned now.</param>
/// <param name="Note">What was chosen to mend it, in words.</param>
public sealed record SlipAnswerDto(DishDto Dish, string Note, PlanDto Plan, IReadOnlyList<DifferenceDto> Differences);

/// <summary>What was forecast when it was saved.</summary>
public sealed record SavedSummaryDto(
    DateTimeOffset FirstAt,
    DateTimeOffset LightAt,
    DateTimeOffset? JoinAt,
    DateTimeOffset TableEarly,
    DateTimeOffset TableAt,
    DateTimeOffset TableLate,
    double WithLooks
);
