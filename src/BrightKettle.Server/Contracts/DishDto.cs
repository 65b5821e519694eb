namespace BrightKettle.Server.Contracts;

/// <summary>An amount as it was said.</summary>
/// <param name="Unit">g or cup.</param>
public sealed record AmountDto(double Value, string Unit);

/// <summary>What is wanted.</summary>
/// <param name="Pulse">Null: the usual amount for so many people.</param>
/// <param name="RiceId">Null: no rice.</param>
/// <param name="Soak">none or overnight.</param>
/// <param name="Style">dry, moist, saucy or soup.</param>
/// <param name="BurnerId">Null: the first burner.</param>
/// <param name="ServeAtLocal">On the kitchen's clock, as 2026-11-25T19:00.</param>
/// <param name="Seed">Fixes the many pots; 0 to 999999.</param>
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
    int Seed);
