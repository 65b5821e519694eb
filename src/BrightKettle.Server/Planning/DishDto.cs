using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Planning;
using BrightKettle.Server.Answers;

namespace BrightKettle.Server.Planning;

/// <summary>An amount as it was said.</summary>
/// <param name="Unit">g, cup, plate, packet or shelf (all that is left there, whatever the value); for extras g, mL, cup or piece.</param>
public sealed record AmountDto(double Value, [property: OneOf("g", "cup", "plate", "packet", "shelf", "mL", "piece")] string Unit);

/// <summary>What is wanted.</summary>
/// <param name="Pulse">Null: the usual amount for so many people.</param>
/// <param name="RiceId">Null: no rice.</param>
/// <param name="Soak">none, overnight, quick, hours (see soakHours) or already (see soakedSinceLocal).</param>
/// <param name="Style">dry, moist, saucy or soup.</param>
/// <param name="BurnerId">Null: the first burner.</param>
/// <param name="ServeAtLocal">On the kitchen's clock, as 2026-11-25T19:00.</param>
/// <param name="Seed">Fixes the many pots; 0 to 999999.</param>
/// <param name="Method">open_pot, pressure, slow_cooker or cooked (from a tin, the fridge or the freezer).</param>
/// <param name="CookerId">For pressure and slow_cooker: which.</param>
/// <param name="RiceVesselId">A pot or a rice cooker of its own for the rice, or bowl_above under pressure; null when it joins the
/// pulses. With in_the_liquor: the pot into which their liquor is poured for it.</param>
/// <param name="RiceJoin">in_the_pot, after_draining or in_the_liquor; null: in_the_pot.</param>
/// <param name="Away">When nobody is at home.</param>
/// <param name="Salt">in_the_soak, at_the_start, with_the_rice or at_the_table; null: as the household does.</param>
/// <param name="KeepsSoakWater">Null: as the household does.</param>
/// <param name="Pull">Moments that the cook has pulled from where they are best; its table must be 0, since that is serveAtLocal.</param>
/// <param name="Others">Further pulses; of all of them the slowest leads, whatever the order.</param>
/// <param name="CookedFrom">With the method cooked: tin, fridge or freezer; null: a tin.</param>
/// <param name="PulseTarget">firm, whole, creamy or melted; null: as is usual with the style.</param>
/// <param name="RiceTarget">fluffy, soft or porridge; null: as is usual with the style.</param>
/// <param name="LittleOnes">Who get theirs before the salt; 0 to 10.</param>
/// <param name="Stages">What is added to the way where it fits: season, mash, toast, towel and fold.</param>
/// <param name="SoakHours">With the soak hours: how long, 0.5 to 24; null: two.</param>
/// <param name="SoakedSinceLocal">With the soak already: since when, as 2026-11-25T08:00, at most three days ago.</param>
/// <param name="SoaksCold">With the soak already: in the fridge, and not on the counter.</param>
/// <param name="PulseState">dry, half_cooked (see halfCookedTo), green or frozen_green; null: dry. Grams are then those on the scale.</param>
/// <param name="HalfCookedTo">chalky_middle, nearly_a_speck or bite_no_chalk; null: chalky_middle.</param>
/// <param name="RiceState">dry, fridge or freezer (cooked before, and stirred in); null: dry. Grams are then those on the scale.</param>
/// <param name="BagId">Of the cupboard, of this pulse; null: the one that is to be used first. Where there is none, an unknown bag.</param>
/// <param name="RiceBagId">The same of the rice.</param>
/// <param name="KeptAs">The kept dinner that it is: of all others of the evening it has to keep out of the way. Never kept itself.</param>
public sealed record DishDto(
    string PulseId,
    AmountDto? Pulse,
    string? RiceId,
    AmountDto? Rice,
    int People,
    [property: OneOf(typeof(SoakChoice))] string Soak,
    [property: OneOf(typeof(Style))] string Style,
    string VesselId,
    string? BurnerId,
    string ServeAtLocal,
    int Seed,
    [property: OneOf(typeof(Method))] string Method = "open_pot",
    string? CookerId = null,
    IReadOnlyList<ExtraWishDto>? Extras = null,
    string? RiceVesselId = null,
    IReadOnlyList<AwayDto>? Away = null,
    [property: OneOf(typeof(SaltSchool))] string? Salt = null,
    bool? KeepsSoakWater = null,
    int LittleOnes = 0,
    PullDto? Pull = null,
    IReadOnlyList<OtherPulseDto>? Others = null,
    [property: OneOf(typeof(CookedFrom))] string? CookedFrom = null,
    [property: OneOf(typeof(PulseTarget))] string? PulseTarget = null,
    [property: OneOf(typeof(RiceTarget))] string? RiceTarget = null,
    [property: OneOf(typeof(RiceJoin))] string? RiceJoin = null,
    double? SoakHours = null,
    string? SoakedSinceLocal = null,
    bool? SoaksCold = null,
    [property: OneOf(typeof(AskedStage))] IReadOnlyList<string>? Stages = null,
    Guid? KeptAs = null,
    [property: OneOf(typeof(PulseState))] string? PulseState = null,
    [property: OneOf("chalky_middle", "nearly_a_speck", "bite_no_chalk")] string? HalfCookedTo = null,
    [property: OneOf(typeof(RiceState))] string? RiceState = null,
    string? BagId = null,
    string? RiceBagId = null
);

/// <summary>A further pulse in the same pot.</summary>
/// <param name="Amount">Null: as much as the usual share of all of them.</param>
/// <param name="Target">What this one is cooked to; null: as all of them.</param>
/// <param name="BagId">As of the dish.</param>
public sealed record OtherPulseDto(
    string PulseId,
    AmountDto? Amount = null,
    [property: OneOf(typeof(PulseTarget))] string? Target = null,
    string? BagId = null
);

/// <summary>Something beside pulses and rice.</summary>
/// <param name="Amount">Null: the usual amount for so many people.</param>
/// <param name="Time">start, join, late, or rice for the rice's own pot; null: as most households do.</param>
/// <param name="Pieces">How many pieces must come out again; null: worked out from the amount.</param>
/// <param name="MinutesBefore">The table, 0 to 120, for what goes in late; null: by what it wants.</param>
/// <param name="KeptHalf">Half of it is kept back, and goes in so many minutes before the table.</param>
/// <param name="Strength">Of an infusion; null: as usual.</param>
public sealed record ExtraWishDto(
    string ExtraId,
    AmountDto? Amount = null,
    [property: OneOf(typeof(ExtraTime))] string? Time = null,
    int? Pieces = null,
    bool? Blanched = null,
    bool? Frozen = null,
    double? MinutesBefore = null,
    bool? KeptHalf = null,
    [property: OneOf(typeof(InfusionStrength))] string? Strength = null
);

/// <summary>A span on the kitchen's clock in which nobody is at home, as 2026-11-25T17:30.</summary>
public sealed record AwayDto(string FromLocal, string ToLocal);

/// <summary>One way to the dish, with its table or the reason why not.</summary>
/// <param name="PulseId">Another pulse than was asked for; null otherwise.</param>
/// <param name="Title">Why not, in short; null for a way that works.</param>
/// <param name="RiceVesselId">Where the rice is cooked, as in a dish.</param>
/// <param name="RiceJoin">How it comes to the pulses, as in a dish.</param>
/// <param name="Meets">Another dish of the evening that wants a pot or burner of it; null where none does.</param>
public sealed record WayDto(
    [property: OneOf(typeof(Method))] string Method,
    [property: OneOf(typeof(SoakChoice))] string Soak,
    string? CookerId,
    string? CookerName,
    string? PulseId,
    string? PulseName,
    DateTimeOffset? StartsAt,
    DateTimeOffset? TableEarly,
    DateTimeOffset? TableAt,
    DateTimeOffset? TableLate,
    double? WithLooks,
    WayFactsDto? Facts,
    string? Title,
    string? Detail,
    IReadOnlyList<AlternativeDto> Alternatives,
    string? RiceVesselId,
    string CookedFrom,
    [property: OneOf(typeof(RiceJoin))] string RiceJoin,
    string? Meets
);

/// <summary>What one compares ways by.</summary>
/// <param name="EnergyKilowattHours">That reaches the pots.</param>
public sealed record WayFactsDto(
    double HandsOnMinutes,
    IReadOnlyList<SpanDto> BeThere,
    double EnergyKilowattHours,
    [property: SaidBy("way.texture")] string Texture,
    [property: SaidBy("way.why")] string Why
);

public sealed record SpanDto(DateTimeOffset From, DateTimeOffset To);

/// <summary>One change that makes a refused dish possible; it has been planned.</summary>
/// <param name="Kind">serve_at, unsoaked, vessel, amount, way, place or style.</param>
/// <param name="BurnerId">For kind place: the burner, beside the pot.</param>
/// <param name="Method">For kind way: how it is cooked instead.</param>
/// <param name="RiceVesselId">For kind way: the rice's own pot; null where it joins the pulses.</param>
/// <param name="PulseTarget">For kind way: what the pulses are cooked to instead; null where that stays.</param>
public sealed record AlternativeDto(
    [property: OneOf("serve_at", "unsoaked", "vessel", "amount", "way", "place", "style")] string Kind,
    string? ServeAtLocal,
    string? VesselId,
    string? VesselName,
    double? Scale,
    [property: OneOf(typeof(SoakChoice))] string? Soak,
    [property: OneOf(typeof(Method))] string? Method,
    string? RiceVesselId,
    [property: OneOf(typeof(PulseTarget))] string? PulseTarget,
    string? BurnerId = null,
    string? BurnerName = null,
    [property: OneOf(typeof(Style))] string? Style = null
);

/// <summary>One line of the stream in which ways arrive.</summary>
/// <param name="Of">How many ways are tried.</param>
/// <param name="Way">As it is judged; null in the last line.</param>
/// <param name="All">In the last line: all of them in their order.</param>
/// <param name="DoubleRefused">In the last line: why twice as much cannot be cooked; null when it can.</param>
public sealed record WayEventDto(int Of, WayDto? Way, IReadOnlyList<WayDto>? All, string? DoubleRefused);
