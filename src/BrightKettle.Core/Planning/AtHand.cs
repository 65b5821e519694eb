namespace BrightKettle.Core.Planning;

/// <summary>How the pulses come into the kitchen that are not cooked already.</summary>
public enum PulseState
{
    /// <summary>From the bag.</summary>
    Dry,

    /// <summary>Simmered part of the way before and kept in the fridge: see <see cref="Dish.HalfCookedTo"/>.</summary>
    HalfCooked,

    /// <summary>Picked green, never dried.</summary>
    Green,

    /// <summary>The same, frozen raw; it goes in as it is.</summary>
    FrozenGreen,
}

/// <summary>How the rice comes into the kitchen.</summary>
public enum RiceState
{
    Dry,

    /// <summary>Cooked the day before at most, and kept in the fridge.</summary>
    Fridge,

    /// <summary>Cooked, and frozen; it goes in as it is.</summary>
    Freezer,
}
