namespace BrightKettle.Server.Formats;

/// <summary>The exchange form of a cook, version 1. Described by cook-1.schema.json.</summary>
public sealed record CookDocument(
    string Format,
    int Version,
    DateTimeOffset Starts,
    int Seed,
    CookKitchenDocument Kitchen,
    IReadOnlyList<IngredientDocument> Ingredients,
    IReadOnlyList<ActionDocument> Actions)
{
    public const string FormatName = "bright-kettle/cook";
    public const int CurrentVersion = 1;
}

public sealed record CookKitchenDocument(
    string VesselName,
    double VesselDiameterCentimetres,
    double VesselBrimMillilitres,
    double BurnerMostWatts,
    double BurnerLeastWatts,
    double AltitudeMetres,
    double RoomCelsius);

/// <summary>A pulse or a rice of the catalogue.</summary>
/// <param name="Kind">pulse or rice.</param>
/// <param name="PaceMedian">For a pulse: its bag's speed, 1 is the reference.</param>
/// <param name="PaceSpread">For a pulse: standard deviation of ln(pace).</param>
public sealed record IngredientDocument(string Id, string Kind, string CatalogueId, double Grams, double? PaceMedian = null, double? PaceSpread = null);

/// <summary>One action; which of the figures belong to it depends on what it does.</summary>
/// <param name="Do">soak, drain, chill, rinse, add, water, salt, measure, heat, cover, stir or serve.</param>
public sealed record ActionDocument(
    string Do,
    WhenDocument? When = null,
    string? Mark = null,
    string? Ingredient = null,
    double? Grams = null,
    double? Celsius = null,
    string? Flame = null,
    string? Lid = null);

/// <summary>What an action waits for after the one before it.</summary>
/// <param name="After">boils or surface_dry.</param>
public sealed record WhenDocument(DateTimeOffset? NotBefore = null, string? After = null, double? DelayMinutes = null, LookDocument? Look = null);

public sealed record LookDocument(string Ingredient, double Doneness, double AgainMinutes);
