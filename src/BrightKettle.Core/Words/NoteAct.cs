namespace BrightKettle.Core.Words;

/// <summary>What a step of somebody's notes does.</summary>
public enum NoteAct
{
    Soak,
    QuickSoak,
    Unsoaked,
    Boil,
    Simmer,
    Pressure,
    Whistles,
    Slow,
    RiceIn,
    Drain,
    Rest,

    /// <summary>Something that the core does not follow.</summary>
    Other,
}
