using System.Text.Json.Serialization;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Practice.Dinners;
using BrightKettle.Server.Answers;
using BrightKettle.Server.Planning;
using BrightKettle.Server.Stove;

namespace BrightKettle.Server.Practice;

/// <summary>A dinner that is ready to be practised in this kitchen.</summary>
/// <param name="Id">Its words are found by it.</param>
/// <param name="PlannedAt">To be sent back with it.</param>
public sealed record PracticeReadyDto(string Id, string PulseName, string? RiceName, DishDto Dish, DateTimeOffset PlannedAt);

/// <summary>A practice dinner as far as it has come. The server keeps nothing of it.</summary>
/// <param name="Title">As it is shown; may be empty.</param>
/// <param name="PlannedAt">The now of its plan; null for this minute, when it is begun.</param>
/// <param name="Seed">Of the kitchen, of the hand and of who calls; 0 to 999999.</param>
/// <param name="Entries">All that was told before, in its order, as it was last answered. At most 300.</param>
/// <param name="Told">What is told now, at the minute given.</param>
/// <param name="Now">The minute in that kitchen; null before it was begun.</param>
/// <param name="Minutes">Time goes on by so many, or until something is heard or somebody calls; 0 to 1440, null for not at all.</param>
/// <param name="Next">Time goes on until something is due.</param>
public sealed record PracticeDinnerAsk(
    string? Title,
    DishDto? Dish,
    DateTimeOffset? PlannedAt,
    int Seed,
    [property: OneOf(typeof(PracticeLevel))] string Level,
    IReadOnlyList<StoveEntry>? Entries,
    IReadOnlyList<StoveEntry>? Told,
    DateTimeOffset? Now,
    double? Minutes = null,
    bool Next = false
);

/// <summary>How a practice dinner stands.</summary>
/// <param name="PlannedAt">The now of its plan, to be sent back with it.</param>
/// <param name="Stove">As the stove tells it: it knows of that kitchen only what it was told.</param>
/// <param name="Seen">What an eye, an ear and a hand find there.</param>
/// <param name="Called">Who called while time went on; null for nobody.</param>
/// <param name="Entries">All that was told and taken; what had to be done first, as boiling down, is among it.</param>
/// <param name="Refused">Of what was told now, what was not taken.</param>
/// <param name="End">Null until it is on the table.</param>
public sealed record PracticeDinnerDto(
    DateTimeOffset PlannedAt,
    StoveDto Stove,
    PracticeSeenDto Seen,
    PracticeCallDto? Called,
    IReadOnlyList<StoveEntry> Entries,
    IReadOnlyList<EntryReceipt> Refused,
    PracticeEndDto? End
)
{
    /// <summary>To be opened up; null until it is on the table.</summary>
    [JsonIgnore]
    public ServedDinner? Served { get; init; }
}

/// <param name="Pots">Those with something in them.</param>
/// <param name="Hands">Of what is in no locked pot.</param>
/// <param name="Signs">Heard or seen now, of what is waited for.</param>
public sealed record PracticeSeenDto(
    IReadOnlyList<PracticePotSeenDto> Pots,
    IReadOnlyList<PracticeHandDto> Hands,
    IReadOnlyList<PracticeSignDto> Signs
);

/// <param name="BedCentimetres">Null where it does not show, or under a locked lid.</param>
/// <param name="LevelCentimetres">Of the liquid over the base; null under a locked lid.</param>
/// <param name="JugMillilitres">The liquid, poured out and measured hot; null under a locked lid.</param>
public sealed record PracticePotSeenDto(
    string VesselId,
    string Name,
    bool Boils,
    bool Steams,
    bool Locked,
    double? BedCentimetres,
    double? LevelCentimetres,
    double? JugMillilitres,
    double HeightCentimetres
);

/// <param name="Kind">pulse or rice.</param>
/// <param name="Seed">Its name in the catalogue, for how it looks.</param>
/// <param name="ChalkyOfFive">Null for rice.</param>
public sealed record PracticeHandDto(
    string Ingredient,
    [property: OneOf("pulse", "rice")] string Kind,
    string Seed,
    string Name,
    [property: OneOf(typeof(FeltState))] string Felt,
    int? ChalkyOfFive
);

public sealed record PracticeSignDto(string VesselId, [property: OneOf(typeof(PotEvent))] string What);

public sealed record PracticeCallDto([property: OneOf(typeof(CalledBy))] string By, DateTimeOffset At, double Minutes);

/// <summary>Opened up afterwards.</summary>
/// <param name="Advised">By somebody who does what the stove says, in the same kitchen; null where they never got it to the table, or where that
/// would take more computing than a request may.</param>
/// <param name="Pace">Of this bag against the usual one, as the next two.</param>
/// <param name="Steam">What the lid let go.</param>
/// <param name="Flame">The burner's heat.</param>
/// <param name="WantedLow">Doneness of the first pulse that is right at this table, from here</param>
/// <param name="WantedHigh">to here; null where it cannot be too soft.</param>
public sealed record PracticeEndDto(
    PracticeTableDto Yours,
    PracticeTableDto? Advised,
    double Pace,
    double Steam,
    double Flame,
    double WantedLow,
    double? WantedHigh,
    IReadOnlyList<PracticePointDto> Line,
    IReadOnlyList<PracticePointDto> AdvisedLine
);

/// <param name="SpoiltBy">What the table sends it back for; null for nothing.</param>
/// <param name="Forbidden">Code of the caution that forbids to eat it; null for none.</param>
/// <param name="Points">0 to 100; the others are points lost.</param>
public sealed record PracticeTableDto(
    DateTimeOffset ServedAt,
    [property: OneOf(typeof(Spoilt))] string? SpoiltBy,
    [property: SaidBy("caution", "title")] string? Forbidden,
    double Points,
    double Texture,
    double Water,
    double Salt,
    double Late,
    double Attention,
    IReadOnlyList<PracticeFeltDto> Felt
);

public sealed record PracticeFeltDto(string Ingredient, [property: OneOf(typeof(FeltState))] string Felt);
