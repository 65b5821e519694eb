using BrightKettle.Server.Planning;

namespace BrightKettle.Server.Record;

/// <summary>A dinner to keep.</summary>
/// <param name="EventId">UUIDv7 made by the client; sent again, it changes nothing.</param>
/// <param name="BasedOn">The version that the client knew; null for a new one.</param>
public sealed record CookChange(Guid EventId, DateTimeOffset OccurredAt, string Title, DishDto Dish, long? BasedOn);

/// <summary>A deletion or its undoing.</summary>
public sealed record CookMark(Guid EventId, DateTimeOffset OccurredAt, long BasedOn);

/// <summary>Another title.</summary>
/// <param name="BasedOn">The version that the client knew.</param>
public sealed record CookTitle(Guid EventId, DateTimeOffset OccurredAt, long BasedOn, string Title);

/// <summary>A saved dinner in a list.</summary>
public sealed record CookLineDto(
    Guid Id,
    string Title,
    string PulseName,
    string? RiceName,
    DateTimeOffset ServeAt,
    SavedSummaryDto Summary,
    bool Started,
    bool Finished,
    long Version
);

/// <summary>A saved dinner.</summary>
/// <param name="ModelMoved">The equations or figures have changed since it was saved, so a new forecast may differ from the saved
/// one.</param>
public sealed record CookDto(
    Guid Id,
    string Title,
    DishDto Dish,
    SavedSummaryDto Summary,
    int Seed,
    string ModelVersion,
    string ParameterVersion,
    bool ModelMoved,
    bool Deleted,
    bool Started,
    long Version
);

/// <summary>A page of kept dinners, the latest hour first.</summary>
/// <param name="Next">To ask for the next page with; null on the last.</param>
/// <param name="Count">Of all that are kept, or of those that were searched for.</param>
public sealed record CookPageDto(IReadOnlyList<CookLineDto> Dinners, Guid? Next, int Count);
