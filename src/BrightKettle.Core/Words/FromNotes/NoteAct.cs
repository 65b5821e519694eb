namespace BrightKettle.Core.Words.FromNotes;

/// <summary>What a step of somebody's notes does.</summary>
public enum NoteAct
{
    Soak,
    QuickSoak,
    Unsoaked,
    Rinse,
    Fry,
    Toast,
    Add,
    Boil,
    Simmer,
    Pressure,
    Whistles,
    Release,
    Slow,
    RiceIn,

    /// <summary>The rice, in a pot of its own.</summary>
    RiceApart,
    Drain,

    /// <summary>Drained, and the liquor is kept.</summary>
    Reserve,

    /// <summary>Back into the pot.</summary>
    Return,
    TopUp,
    Season,
    Thicken,
    Mash,
    Blend,
    Fold,
    Steam,
    Rest,
    Stir,
    TakeOut,
    Serve,

    /// <summary>Left alone, for what comes before it to say.</summary>
    Leave,

    /// <summary>Something that is not read.</summary>
    Other,
}
