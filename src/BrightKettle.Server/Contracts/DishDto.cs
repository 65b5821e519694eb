namespace BrightKettle.Server.Contracts;

/// <summary>An amount as it was said.</summary>
/// <param name="Unit">g or cup.</param>
public sealed record AmountDto(double Value, string Unit);

/// <summary>What is wanted.</summary>
/// <param name="Pulse">Null: the usual amount for so many people.</param>
/// <param name="RiceId">Null: no rice.</param>
/// <param name="Soak">none, overnight or quick.</param>
/// <param name="Style">dry, moist, saucy or soup.</param>
/// <param name="BurnerId">Null: the first burner.</param>
/// <param name="ServeAtLocal">On the kitchen's clock, as 2026-11-25T19:00.</param>
/// <param name="Seed">Fixes the many pots; 0 to 999999.</param>
/// <param name="Method">open_pot, pressure, slow_cooker or cooked (from a tin, the fridge or the freezer).</param>
/// <param name="CookerId">For pressure and slow_cooker: which.</param>
public sealed record DishDto(
    string PulseId,
    AmountDto? Pulse,
    string? RiceId,
    AmountDto? Rice,
    int People,
    string Soak,
    string Style,
    string VesselId,
    string? BurnerId,
    string ServeAtLocal,
    int Seed,
    string Method = "open_pot",
    string? CookerId = null);

/// <summary>One way to the dish, with its table or the reason why not.</summary>
/// <param name="PulseId">Another pulse than was asked for; null otherwise.</param>
/// <param name="Title">Why not, in short; null for a way that works.</param>
public sealed record WayDto(
    string Method,
    string Soak,
    string? CookerId,
    string? CookerName,
    string? PulseId,
    string? PulseName,
    DateTimeOffset? StartsAt,
    DateTimeOffset? TableEarly,
    DateTimeOffset? TableAt,
    DateTimeOffset? TableLate,
    double? WithLooks,
    double? ByClock,
    string? Title,
    string? Detail);
