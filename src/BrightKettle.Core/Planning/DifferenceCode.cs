namespace BrightKettle.Core.Planning;

/// <summary>In what two plans can differ, with what tells it.</summary>
public enum DifferenceCode
{
    /// <summary>Minutes, as all up to <see cref="Join"/>; positive is later.</summary>
    Table,
    Begins,
    Flame,
    Join,

    /// <summary>A share from 0 to 1.</summary>
    Chance,

    /// <summary>Felt states, as <see cref="Rice"/>; alike where the rice is only softer than wanted.</summary>
    Pulses,
    Rice,

    /// <summary>mL, as the next two.</summary>
    Liquor,
    Boiling,
    FirstWater,

    /// <summary>Members of their own sets; a stage that is added or left out has only one of the two.</summary>
    Soak,
    Method,
    PulseState,
    RiceState,
    Stage,

    /// <summary>Minutes in the bowl.</summary>
    SoakHours,

    /// <summary>Names, as the next three; null where there is none.</summary>
    Pot,
    Burner,
    Pulse,
    RiceKind,

    /// <summary>g, as the next.</summary>
    PulseGrams,
    RiceGrams,

    /// <summary>Minutes of flame under a dry bed.</summary>
    Dry,

    /// <summary>States of the base.</summary>
    Base,
}
