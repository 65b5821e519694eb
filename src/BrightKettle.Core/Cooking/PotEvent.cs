using NodaTime;

namespace BrightKettle.Core.Cooking;

/// <summary>What can happen by itself and start the next action.</summary>
public enum PotEvent
{
    Boils,
    SurfaceDry,

    /// <summary>A rice cooker has gone over to warm by itself, since what is in it is dry.</summary>
    SwitchesOver,

    /// <summary>A locked cooker has come to its pressure.</summary>
    PressureUp,

    /// <summary>A weight has let steam go; counted by <see cref="Trigger.Count"/>.</summary>
    Whistle,

    /// <summary>The pressure is gone and the lid can be opened.</summary>
    PinDown,
}
