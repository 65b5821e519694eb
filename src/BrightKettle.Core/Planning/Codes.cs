using BrightKettle.Core.Planning.Manners;

namespace BrightKettle.Core.Planning;

/// <summary>What is done with dry pulses before their flame.</summary>
public enum SoakChoice
{
    None,
    Overnight,

    /// <summary>Two or three minutes at the boil, an hour covered off the heat, drained.</summary>
    Quick,

    /// <summary>In a bowl for so many hours before the flame: see <see cref="SoakOfHours"/>.</summary>
    Hours,

    /// <summary>In a bowl already: see <see cref="SoaksAlready"/>.</summary>
    Already,
}

/// <summary>Where pulses come from that are cooked already.</summary>
public enum CookedFrom
{
    /// <summary>At the room's temperature, salted as tins are.</summary>
    Tin,

    /// <summary>Cooked here before, salted as the household salts.</summary>
    Fridge,

    /// <summary>The same, thawed in the fridge since the day before.</summary>
    Freezer,
}

/// <summary>In what the pulses are cooked.</summary>
public enum Method
{
    OpenPot,
    Pressure,
    SlowCooker,

    /// <summary>Cooked already: see <see cref="CookedFrom"/>.</summary>
    Cooked,
}

/// <summary>How the rice comes to the pulses, in one pot.</summary>
public enum RiceJoin
{
    /// <summary>Into their liquor, or they into its water: the slower one starts.</summary>
    InThePot,

    /// <summary>They are simmered part of the way and drained; rice and fresh boiling water go in together.</summary>
    AfterDraining,

    /// <summary>They are cooked through and lifted out; the rice is cooked in their liquor, and they go back on it for its rest.</summary>
    InTheLiquor,
}
