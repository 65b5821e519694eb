namespace BrightKettle.Core.Planning;

/// <summary>A stage that a cook adds to a way where it fits.</summary>
public enum AskedStage
{
    /// <summary>What seasons them simmers in their liquor, on low, before the rice goes in or the dish to the table.</summary>
    Season,

    /// <summary>A part of the pulses is crushed before the liquor is set, so that it binds.</summary>
    Mash,

    /// <summary>The rice is stirred in hot fat before it meets water.</summary>
    Toast,

    /// <summary>The rice rests for a quarter of an hour with a cloth under its lid.</summary>
    Towel,

    /// <summary>Rice from its own pot is folded in before the table.</summary>
    Fold,

    /// <summary>Rice in its own pot keeps a crust: its last minutes are dry, on the low flame, and nobody stirs.</summary>
    Crust,

    /// <summary>Rice in its own pot boils in plenty of water and is drained; the towel, or its lid, does the rest.</summary>
    Plenty,

    /// <summary>The liquor is bound with starch before the table.</summary>
    Bind,

    /// <summary>What is fried first is fried in the cooking pot, and the pulses go in on it.</summary>
    Base,

    /// <summary>From the cooker over into the pot, once they are soft: it is wider, or goes to the table.</summary>
    Move,
}

/// <summary>What stages want of the kitchen.</summary>
public static class AskedStages
{
    /// <summary>The rice wants a flame that can be turned, and no rice cooker.</summary>
    public static bool WantsFlame(this AskedStage stage) => stage is AskedStage.Plenty or AskedStage.Crust or AskedStage.Toast;
}
