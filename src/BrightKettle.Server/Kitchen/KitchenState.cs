using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Learning.House;
using BrightKettle.Data.Records;
using NodaTime;

namespace BrightKettle.Server.Kitchen;

/// <summary>The household as the core knows it, with its row.</summary>
public sealed record KitchenState(
    HouseholdRow Row,
    Household Household,
    HouseWays HouseWays,
    IReadOnlyList<Vessel> Vessels,
    IReadOnlyList<Burner> Burners,
    IReadOnlyList<Bag> Bags,
    HousePaces Paces
)
{
    /// <summary>What is left of a pulse or a rice, in all its bags; without those of which nothing is.</summary>
    public IReadOnlyDictionary<string, double> ShelfGrams { get; } =
        Bags.Where(b => b is { Removed: false, Grams: > 0 }).GroupBy(b => b.FoodId).ToDictionary(g => g.Key, g => g.Sum(b => b.Grams));

    /// <summary>The bag that is to be used first: the one that is open, then the one that is best before the others, then the oldest;
    /// null where there is none.</summary>
    public Bag? FirstBag(string foodId) =>
        Bags.Where(b => b is { Removed: false, Grams: > 0 } && b.FoodId == foodId)
            .OrderBy(b => b.OpenedOn is null)
            .ThenBy(b => b.BestBefore ?? LocalDate.MaxIsoValue)
            .ThenBy(b => b.BoughtOn ?? LocalDate.MaxIsoValue)
            .ThenBy(b => b.Id, StringComparer.Ordinal)
            .FirstOrDefault();

    /// <summary>The bag that is named, or the one to be used first; null where there is none. One of another food is not meant: the dish
    /// was changed since.</summary>
    public Bag? BagFor(string? named, string foodId) => FindBag(named) is { } bag && bag.FoodId == foodId ? bag : FirstBag(foodId);

    /// <summary>A bag that a dinner names, whether it is still in the cupboard or not.</summary>
    public Bag? FindBag(string? id) => Bags.FirstOrDefault(b => b.Id == id);

    /// <summary>Ids of the burners with a flame of gas.</summary>
    public IReadOnlySet<string> GasBurners { get; init; } = new HashSet<string>();

    /// <summary>Burners that are gone from the kitchen and kept for the dinners that use them.</summary>
    public IReadOnlyList<Burner> RemovedBurners { get; init; } = [];

    /// <summary>A burner that a dinner names: one of the kitchen, or one that is kept for it; the first where none is named; null when
    /// there is none.</summary>
    public Burner? FindBurner(string? id) =>
        id is null ? (Burners.Count > 0 ? Burners[0] : null) : Burners.Concat(RemovedBurners).FirstOrDefault(b => b.Id == id);

    /// <summary>Pots that are gone from the kitchen and kept for the dinners that use them.</summary>
    public IReadOnlyList<Vessel> RemovedVessels { get; init; } = [];

    /// <summary>By vessel, burner or bag, and the id of the row.</summary>
    public IReadOnlyDictionary<(string Kind, string Id), int> Versions { get; init; } = new Dictionary<(string, string), int>();

    public int VersionOf(string kind, string id) => Versions.GetValueOrDefault((kind, id));

    /// <summary>A pot that a dinner names: one of the kitchen, or one that is kept for it; null when there is none.</summary>
    public Vessel? Find(string? id) => Vessels.Concat(RemovedVessels).FirstOrDefault(v => v.Id == id);

    /// <summary>The rice cooker; null where there is none.</summary>
    public Vessel? RiceCooker => Vessels.FirstOrDefault(v => v.Cooker is { IsForRice: true });

    /// <summary>Whether this burner, or the first where none is named, is gas.</summary>
    public bool IsGas(string? burnerId) => (burnerId ?? (Burners.Count > 0 ? Burners[0].Id : null)) is { } id && GasBurners.Contains(id);
}
