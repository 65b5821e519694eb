using System.Text.Json;
using System.Text.Json.Serialization;
using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Server.Answers;

namespace BrightKettle.Server.Exchange;

/// <summary>The exchange form of a cook, version 1. Described by cook-1.schema.json.</summary>
public sealed record CookDocument(
    string Format,
    int Version,
    DateTimeOffset Starts,
    int Seed,
    CookKitchenDocument Kitchen,
    IReadOnlyList<IngredientDocument> Ingredients,
    IReadOnlyList<ActionDocument> Actions
)
{
    public const string FormatName = "bright-kettle/cook";
    public const int CurrentVersion = 1;

    private static readonly JsonSerializerOptions Options = new(JsonSerializerDefaults.Web)
    {
        DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull,
    };

    public JsonElement Json() => JsonSerializer.SerializeToElement(this, Options);

    public static CookDocument Read(JsonElement json) =>
        json.Deserialize<CookDocument>(Options) ?? throw new JsonException("This is no cook.");
}

public sealed record CookKitchenDocument(
    string VesselName,
    double VesselDiameterCentimetres,
    double VesselBrimMillilitres,
    double BurnerMostWatts,
    double BurnerLeastWatts,
    double AltitudeMetres,
    double RoomCelsius,
    string? VesselId = null,
    CookerDocument? Cooker = null,
    double? HardnessMilligramsPerLitre = null,
    IReadOnlyList<OtherVesselDocument>? Others = null,
    double? StartsCelsius = null,
    string? BurnerId = null,
    string? BurnerName = null
);

/// <summary>A further vessel of a cook.</summary>
/// <param name="Above">It stands in the steam of the first one and has no heat of its own.</param>
public sealed record OtherVesselDocument(
    string Id,
    string Name,
    double DiameterCentimetres,
    double BrimMillilitres,
    double BurnerMostWatts,
    double BurnerLeastWatts,
    CookerDocument? Cooker = null,
    bool Above = false,
    double? StartsCelsius = null,
    string? BurnerId = null,
    string? BurnerName = null
);

/// <summary>What a cooker does beyond a pot. Figures that are left out are the typical ones of its kind.</summary>
/// <param name="Kind">weight, spring, electric or slow.</param>
public sealed record CookerDocument(
    string Kind,
    double? HighKilopascals = null,
    double? LowKilopascals = null,
    double? HighWatts = null,
    double? LowWatts = null,
    double? LossWattsPerKelvin = null
);

/// <summary>A pulse, a rice or an extra of the catalogue.</summary>
/// <param name="Kind">pulse, rice or extra.</param>
/// <param name="PaceMedian">For a pulse: its bag's speed, 1 is the reference.</param>
/// <param name="PaceSpread">For a pulse: standard deviation of ln(pace).</param>
/// <param name="AgeYears">For a pulse: since the harvest.</param>
/// <param name="Storage">For a pulse: cool, cupboard, warm or hot.</param>
/// <param name="CookedCelsius">For a pulse or rice that does not start dry (soaked, par-cooked, cooked, frozen): its temperature; its
/// grams are then the dry weight it came from.</param>
/// <param name="StartsDoneness">Of such: how far along it is; left out: cooked until soft.</param>
/// <param name="StartsWetShare">Of such: of the water of a long soak, 0 to 1; left out: all of it.</param>
/// <param name="SoakedHours">Of such a pulse: how long it was soaked in water that was poured away; left out: nobody knows.</param>
/// <param name="Green">For a pulse: picked green, fresh or frozen; its grams are then the dry weight within.</param>
/// <param name="FromTin">For a pulse that is cooked already: out of a tin it softens on slowly.</param>
/// <param name="CookedSaltShare">For a pulse that is cooked already: salt, g per g.</param>
/// <param name="Toasted">For rice: stirred in hot fat first.</param>
/// <param name="RateFactor">For rice: 1 is the table's.</param>
/// <param name="Celsius">For an extra: as it goes in.</param>
/// <param name="Pieces">For an extra: how many must come out again.</param>
/// <param name="Blanched">For cured meat: boiled first in water that was poured away.</param>
public sealed record IngredientDocument(
    string Id,
    [property: OneOf("pulse", "rice", "extra")] string Kind,
    string CatalogueId,
    double Grams,
    double? PaceMedian = null,
    double? PaceSpread = null,
    double? AgeYears = null,
    [property: OneOf(typeof(Storage))] string? Storage = null,
    double? CookedCelsius = null,
    double? CookedSaltShare = null,
    bool? FromTin = null,
    bool? Toasted = null,
    double? RateFactor = null,
    double? Celsius = null,
    int? Pieces = null,
    bool? Blanched = null,
    bool? Green = null,
    double? StartsDoneness = null,
    double? StartsWetShare = null,
    double? SoakedHours = null
);

/// <summary>One action; which of the figures belong to it depends on what it does.</summary>
/// <param name="Do">soak, drain, chill, rinse, add, take_out, water, salt, measure, top_up, keep_level, pour_back, heat, cover, pressurise, release,
/// transfer, stir, mash, thicken or serve.</param>
/// <param name="In">Id of its vessel; left out for the first.</param>
/// <param name="Grams">Of water, salt, starch or liquor.</param>
/// <param name="Setting">high or low for pressurise, natural or quick for release.</param>
/// <param name="With">For cover: what the seal is made of: foil, parchment, towel, plastic or waxed_paper (the last two are refused by a
/// gate).</param>
/// <param name="What">liquor, ingredient or everything for transfer.</param>
/// <param name="BoilDownMinutes">For measure: what is too much is boiled down without a lid, for at most so long, instead of being poured off.</param>
/// <param name="Centimetres">Over the bed, for top_up and keep_level; left out to keep no level any more.</param>
public sealed record ActionDocument(
    [property: OneOf(
        "soak",
        "drain",
        "chill",
        "rinse",
        "add",
        "take_out",
        "water",
        "salt",
        "measure",
        "top_up",
        "keep_level",
        "pour_back",
        "heat",
        "cover",
        "pressurise",
        "release",
        "transfer",
        "stir",
        "mash",
        "thicken",
        "serve"
    )]
        string Do,
    WhenDocument? When = null,
    string? Mark = null,
    string? Ingredient = null,
    double? Grams = null,
    double? Celsius = null,
    [property: OneOf(typeof(Flame))] string? Flame = null,
    [property: OneOf(typeof(Lid))] string? Lid = null,
    string? In = null,
    double? Watts = null,
    double? SaltShare = null,
    double? SodaGramsPerLitre = null,
    double? IceShare = null,
    double? BoilDownMinutes = null,
    bool? Keep = null,
    [property: OneOf("high", "low", "natural", "quick")] string? Setting = null,
    string? To = null,
    [property: OneOf(typeof(TransferWhat))] string? What = null,
    double? Share = null,
    double? WaterGrams = null,
    [property: OneOf(typeof(SealMaterial))] string? With = null,
    double? Centimetres = null
);

/// <summary>What an action waits for after the one before it.</summary>
/// <param name="After">boils, surface_dry, switches_over, pressure_up, whistle or pin_down.</param>
/// <param name="Count">The how-manieth whistle.</param>
/// <param name="AfterMark">Mark of an action of another vessel.</param>
public sealed record WhenDocument(
    DateTimeOffset? NotBefore = null,
    [property: OneOf(typeof(PotEvent))] string? After = null,
    double? DelayMinutes = null,
    LookDocument? Look = null,
    int? Count = null,
    string? AfterMark = null
);

/// <summary>A look into the pot.</summary>
/// <param name="Also">What else must be far enough at the same look.</param>
/// <param name="NotYet">What is done at a look that says no.</param>
/// <param name="LidOff">What is done at a look that says yes, where too much liquid stands.</param>
public sealed record LookDocument(
    string Ingredient,
    double Doneness,
    double AgainMinutes,
    IReadOnlyList<LookAlsoDocument>? Also = null,
    NotYetDocument? NotYet = null,
    LidOffDocument? LidOff = null
);

/// <summary>Done and too wet: the lid is off for a while.</summary>
/// <param name="OverGrams">Free liquor that is too much.</param>
/// <param name="LongestMinutes">Nobody waits longer.</param>
public sealed record LidOffDocument(double OverGrams, double LongestMinutes);

public sealed record LookAlsoDocument(string Ingredient, double Doneness);

/// <param name="SprinkleGrams">Boiling water over a bed that is dry while its rice is hard.</param>
/// <param name="LongestMinutes">So long what is far enough waits for the others; left out for as long as it takes.</param>
/// <param name="LockAgain">What is far from it goes under pressure again.</param>
public sealed record NotYetDocument(
    [property: OneOf(typeof(Flame))] string Flame,
    double? SprinkleGrams = null,
    double? LongestMinutes = null,
    LockAgainDocument? LockAgain = null
);

/// <summary>The lid of a pressure cooker is locked once more.</summary>
/// <param name="Below">Felt doneness under which it is.</param>
/// <param name="Minutes">Held under pressure.</param>
public sealed record LockAgainDocument(double Below, double Minutes);

/// <summary>What was chosen to be done from a moment on.</summary>
public sealed record CourseDocument(
    string Code,
    IReadOnlyList<ActionDocument> Actions,
    IReadOnlyList<OtherVesselDocument> Others,
    IReadOnlyList<IngredientDocument> Extras
)
{
    private static readonly JsonSerializerOptions Options = new(JsonSerializerDefaults.Web)
    {
        DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull,
    };

    public JsonElement Json() => JsonSerializer.SerializeToElement(this, Options);

    public static CourseDocument Read(JsonElement json) =>
        json.Deserialize<CourseDocument>(Options) ?? throw new JsonException("This is no course.");
}
