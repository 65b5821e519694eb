using System.Text.Json.Serialization;
using BrightKettle.Core.Stove;
using BrightKettle.Server.Answers;
using BrightKettle.Server.Planning;

namespace BrightKettle.Server.Stove;

/// <summary>Something told at the stove; which figures belong to it depends on its kind.</summary>
/// <param name="EventId">UUIDv7 made by the client; sent again, it changes nothing.</param>
/// <param name="OccurredAt">When it was so, which may lie in the past.</param>
/// <param name="BasedOn">The version that the page showed.</param>
/// <param name="Kind">did, seen, not_yet, felt, chalky, liquor, over_bed, water, pour_off, drain, mash, flame, lid, salt, went_in, later, came_out,
/// sticks, checked, vent_clear, probed, chose, put_away, still_on or undo.</param>
/// <param name="By">Which screen it was told on.</param>
/// <param name="MomentId">For did.</param>
/// <param name="Millilitres">For did (poured in), liquor, water and pour_off.</param>
/// <param name="Grams">For did (salt), salt and went_in.</param>
/// <param name="Celsius">For water and probed.</param>
/// <param name="Centimetres">For over_bed: over the bed, negative under it.</param>
/// <param name="What">For seen and not_yet: boils, pressure_up, whistle, pin_down or surface_dry; for liquor: jug, ruler or eye; for
/// flame and lid: which; for drain: jug where it is kept; for chose: the code of the answer; for put_away: fridge, freezer, warm or gone; for sticks: a_little or
/// scorched.</param>
/// <param name="Ingredient">For felt, chalky and came_out; for went_in an extra of the catalogue.</param>
/// <param name="State">For felt.</param>
/// <param name="Count">For later: after how many minutes the rest goes in. For chalky (how many still show chalk), went_in and came_out
/// (pieces), put_away (portions).</param>
/// <param name="Of">For chalky: of how many.</param>
/// <param name="VesselId">Null for the first.</param>
/// <param name="EventUndone">For undo.</param>
public sealed record StoveEntry(
    Guid EventId,
    DateTimeOffset OccurredAt,
    long BasedOn,
    [property: OneOf(typeof(EntryKind))] string Kind,
    string? By = null,
    string? MomentId = null,
    double? Millilitres = null,
    double? Grams = null,
    double? Celsius = null,
    double? Centimetres = null,
    string? What = null,
    string? Ingredient = null,
    string? State = null,
    int? Count = null,
    int? Of = null,
    string? VesselId = null,
    Guid? EventUndone = null
)
{
    /// <summary>What it tells; null for a word that is none.</summary>
    [JsonIgnore]
    public EntryKind? Tells => ClosedSet.Find<EntryKind>(Kind);
}

/// <summary>Entries in their order, as a page that was away sends them.</summary>
public sealed record StoveEntries(IReadOnlyList<StoveEntry> Entries);

/// <summary>What became of each entry.</summary>
/// <param name="Version">Of the cook, with all that was taken.</param>
public sealed record StoveReceipt(long Version, IReadOnlyList<EntryReceipt> Entries);

/// <param name="Code">Null when it is stored; else why not.</param>
public sealed record EntryReceipt(Guid EventId, string? Code, string? Text);

/// <summary>An evening at the stove in a list.</summary>
/// <param name="SetAside">Nobody touched it for hours after its last moment.</param>
public sealed record StoveLine(Guid Id, string Title, DateTimeOffset StartedAt, DateTimeOffset ServeAt, bool Served, bool SetAside);

/// <summary>How an evening stands.</summary>
/// <param name="Now">The server's clock.</param>
/// <param name="Version">Sequence of the last event.</param>
/// <param name="Moments">In the order in which they are or will be done.</param>
/// <param name="NowId">The moment to look at first; null when the dinner is on the table.</param>
/// <param name="Changes">What the last entry changed.</param>
/// <param name="ToppedUpMillilitres">All top-ups together.</param>
/// <param name="LateMinutes">Table after the hour that was wanted; 0 when not.</param>
/// <param name="Told">The latest of what was told; all of it stands in the record.</param>
/// <param name="ToldCount">How much was told in all.</param>
/// <param name="Gates">What is not safe as it stands or goes on; each code once.</param>
/// <param name="SetAsideFrom">Since when nobody is taken to stand at this stove; null while somebody is. All else is as it was
/// then.</param>
public sealed record StoveDto(
    Guid Id,
    string Title,
    string PulseName,
    string? RiceName,
    string Order,
    string? RiceRinse,
    string Zone,
    DateTimeOffset Now,
    long Version,
    DateTimeOffset WantedAt,
    SpanOfTimeDto? Table,
    double ShareTender,
    double LateMinutes,
    IReadOnlyList<StoveVesselDto> Vessels,
    IReadOnlyList<StoveMomentDto> Moments,
    string? NowId,
    PotNowDto? Pot,
    IReadOnlyList<StoveSeedDto> Seeds,
    IReadOnlyList<InsideDto> Inside,
    int ToppedUp,
    double ToppedUpMillilitres,
    IReadOnlyList<StoveChangeDto> Changes,
    IReadOnlyList<LearnedDto> Learned,
    IReadOnlyList<ToldDto> Told,
    IReadOnlyList<StoveConflictDto> Conflicts,
    IReadOnlyList<VisitDto> Visits,
    IReadOnlyList<CautionDto> Cautions,
    IReadOnlyList<GateDto> Gates,
    AfterDto? After,
    string? Course,
    SeriesDto? Series,
    int ToldCount,
    DateTimeOffset? SetAsideFrom
);

public sealed record SpanOfTimeDto(DateTimeOffset Early, DateTimeOffset At, DateTimeOffset Late);

/// <param name="Colour">Number of its colour on the page.</param>
public sealed record StoveVesselDto(
    string Id,
    string Name,
    int Colour,
    bool Pressure,
    bool Gas,
    double MillilitresPerCentimetre,
    double HeightCentimetres
);

/// <summary>Something to do, or done.</summary>
/// <param name="Lane">A vessel's id, or bowl: and an ingredient.</param>
/// <param name="State">waiting, done, passed_over or dropped.</param>
/// <param name="Step">As the plan says it; null where the deeds say it.</param>
/// <param name="Beside">Further steps in the same go.</param>
public sealed record StoveMomentDto(
    string Id,
    string Lane,
    string? VesselName,
    int Colour,
    string State,
    StepDto? Step,
    IReadOnlyList<StepDto> Beside,
    IReadOnlyList<DeedDto> Deeds,
    WaitDto Waits,
    SpanOfTimeDto? Due,
    DateTimeOffset? DoneAt,
    Guid? DoneBy,
    JoinNowDto? Join,
    BlockDto? Blocked,
    PutOffDto? PutOff
);

/// <summary>What it costs to do it some minutes after it is due.</summary>
/// <param name="Minutes">Put off by so many.</param>
/// <param name="TableMinutes">The table is so many later.</param>
/// <param name="PulseState">How the pulses then come to the table; null where that changes nothing.</param>
/// <param name="RiceState">The same of the rice.</param>
public sealed record PutOffDto(double Minutes, double TableMinutes, string? PulseState, string? RiceState);

/// <summary>One action, to be worded.</summary>
/// <param name="Name">Of the ingredient, where it has one.</param>
public sealed record DeedDto(
    string Do,
    string? Name,
    double? Millilitres,
    double? Grams,
    string? Flame,
    string? Lid,
    string? To,
    double? Celsius,
    int? Pieces
);

/// <summary>What a moment waits for.</summary>
/// <param name="Event">boils, pressure_up, whistle, pin_down, surface_dry, switches_over or null.</param>
/// <param name="Seen">Of the whistles asked for, how many were counted.</param>
/// <param name="Look">The look that is asked for now, or first; null when none is waited for.</param>
/// <param name="Asks">Everything that the same look asks for, in its order.</param>
/// <param name="NotBefore">By the clock; null when nothing but the event decides.</param>
/// <param name="DelayMinutes">After the event, or after what was done before; null when there is none.</param>
/// <param name="Priced">Minutes that a look costs, where a lid has to be released first; 0 elsewhere.</param>
public sealed record WaitDto(
    string? Event,
    int Count,
    int Seen,
    LookForDto? Look,
    IReadOnlyList<LookForDto> Asks,
    DateTimeOffset? NotBefore,
    double Priced,
    double? DelayMinutes
);

/// <param name="Kind">pulse or rice.</param>
/// <param name="Ingredient">What is asked for now: of several the first that was not answered at this look.</param>
/// <param name="EnoughChalky">Of five, so many may still show chalk; null where counting chalk does not tell.</param>
/// <param name="Found">Whether it is far enough, by all that was told; null while something is to be asked.</param>
public sealed record LookForDto(
    string Ingredient,
    string Name,
    string Kind,
    string State,
    double EveryMinutes,
    int? EnoughChalky,
    bool? Found
);

/// <summary>Something to see to.</summary>
/// <param name="Code">boil_over, still_lit, level, sticking, silent, chilli, too_little, too_much, dry or second_half.</param>
/// <param name="Ingredient">For second_half an extra of the catalogue, for chilli what is inside.</param>
public sealed record VisitDto(
    string Code,
    string VesselId,
    string VesselName,
    DateTimeOffset At,
    string? Ingredient = null,
    string? Name = null,
    double? Grams = null
);

/// <summary>What the second ingredient will find.</summary>
/// <param name="NeededMillilitres">Hot.</param>
public sealed record JoinNowDto(double NeededMillilitres, BandDto FoundMillilitres, double NeededOverBedCentimetres);

/// <param name="Until">When the clock alone lifts it; null when it does not.</param>
/// <param name="Name">For what is still inside: what.</param>
/// <param name="Left">For what is still inside: how many of its pieces.</param>
public sealed record BlockDto(
    [property: SaidBy("caution", "title")] string Code,
    DateTimeOffset? Until,
    string? Name = null,
    int? Left = null,
    int? Pieces = null
);

/// <summary>The reference pot with the pulses in it, now.</summary>
/// <param name="BedTopMillilitres">Liquor that just fills the gaps of the bed: what stands over it comes on top.</param>
public sealed record PotNowDto(
    string VesselId,
    double Celsius,
    double LiquorMillilitres,
    double LevelCentimetres,
    double OverBedCentimetres,
    double BedTopMillilitres,
    string Lid,
    string Flame,
    bool Locked
);

/// <summary>One ingredient now.</summary>
/// <param name="Seed">Its name in the catalogue, for how it looks.</param>
public sealed record StoveSeedDto(string Id, string Kind, string Seed, string Name, bool In, BandDto Doneness, string Felt);

public sealed record InsideDto(string Ingredient, string Name, int Pieces, int Out);

/// <summary>What this evening has taught so far.</summary>
/// <param name="What">bag, pot or burner.</param>
/// <param name="Factor">Against the usual one: bag's speed, pot's steam, burner's heat.</param>
public sealed record LearnedDto(string What, string Name, double Low, double Factor, double High);

/// <summary>Something that was told, for the list with its undo.</summary>
public sealed record ToldDto(StoveEntry Entry, DateTimeOffset RecordedAt, bool Undone, StepDto? Step);

/// <summary>Two screens said the same thing differently; the first holds until one is taken back.</summary>
public sealed record StoveConflictDto(StoveEntry Holds, StoveEntry Other);

/// <summary>After the table.</summary>
/// <param name="Rule">Whose: cautious, uk, us, au_nz or ca.</param>
public sealed record AfterDto(
    DateTimeOffset ServedAt,
    DateTimeOffset ChillBy,
    DateTimeOffset EatBy,
    string Rule,
    double HotCelsius,
    double ReheatCelsius,
    double CookedGrams,
    double Plates,
    double NextDayWaterMillilitres,
    DateTimeOffset? PutAwayAt,
    string? PutAwayAs,
    int? Portions,
    bool TooLate
);

/// <summary>What the last entry changed.</summary>
/// <param name="Minutes">By which it moved; negative for earlier, null for a bag.</param>
/// <param name="At">When it is now; null for a bag.</param>
public sealed record StoveChangeDto([property: SaidBy("change")] string Code, bool Worse, double? Minutes, DateTimeOffset? At);

/// <summary>What can be done.</summary>
/// <param name="Version">Of the evening that it was worked out for; it holds for no other.</param>
public sealed record StoveAnswersDto(long Version, IReadOnlyList<StoveAnswerDto> Answers);

/// <summary>An answer to a trouble or to being late.</summary>
/// <param name="SoftLaterMinutes">For a look under a lid: so much later the pulses are soft; negative for earlier.</param>
/// <param name="Code">Chosen by it.</param>
/// <param name="Caution">To be said with it; null for none.</param>
public sealed record StoveAnswerDto(
    [property: SaidBy("answer", "title")] string Code,
    [property: SaidBy("caution", "title")] string? Caution,
    double? Millilitres,
    double? Grams,
    double? Celsius,
    double? Minutes,
    SpanOfTimeDto? Table,
    double? LaterMinutes,
    double? SoftLaterMinutes,
    string? PulseState,
    string? RiceState,
    double? ShareTender,
    string? VesselName
);

public sealed record StoveTrouble([property: OneOf(typeof(Trouble))] string Trouble, double? Minutes = null, double? Percent = null);

public sealed record StoveStart(Guid EventId, DateTimeOffset OccurredAt, long BasedOn);
