using BrightKettle.Core.Kitchen;
using BrightKettle.Data.Records;

namespace BrightKettle.Server.Kitchen;

/// <summary>The household as the core knows it, with its row.</summary>
public sealed record KitchenState(
    HouseholdRow Row,
    Household Household,
    HouseWays HouseWays,
    IReadOnlyList<Vessel> Vessels,
    IReadOnlyList<Burner> Burners,
    IReadOnlyDictionary<string, double> ShelfGrams
)
{
    /// <summary>Ids of the burners with a flame of gas.</summary>
    public IReadOnlySet<string> GasBurners { get; init; } = new HashSet<string>();

    /// <summary>Pots that are gone from the kitchen and kept for the dinners that use them.</summary>
    public IReadOnlyList<Vessel> RemovedVessels { get; init; } = [];

    /// <summary>By vessel, burner or shelf, and the id of the row.</summary>
    public IReadOnlyDictionary<(string Kind, string Id), int> Versions { get; init; } = new Dictionary<(string, string), int>();

    public int VersionOf(string kind, string id) => Versions.GetValueOrDefault((kind, id));

    /// <summary>A pot that a dinner names: one of the kitchen, or one that is kept for it; null when there is none.</summary>
    public Vessel? Find(string? id) => Vessels.Concat(RemovedVessels).FirstOrDefault(v => v.Id == id);

    /// <summary>Whether this burner, or the first where none is named, is gas.</summary>
    public bool IsGas(string? burnerId) => (burnerId ?? (Burners.Count > 0 ? Burners[0].Id : null)) is { } id && GasBurners.Contains(id);
}
