namespace BrightKettle.Server.Stove;

/// <summary>What an entry at the stove tells.</summary>
public enum EntryKind
{
    /// <summary>A moment of the plan was done.</summary>
    Did,

    /// <summary>Something happened by itself.</summary>
    Seen,

    /// <summary>It has not happened.</summary>
    NotYet,

    /// <summary>What the hand or the tongue felt.</summary>
    Felt,

    /// <summary>So many of so many were chalky.</summary>
    Chalky,

    /// <summary>Measured.</summary>
    Liquor,

    /// <summary>So much over the bed.</summary>
    OverBed,
    Water,
    PourOff,

    /// <summary>All its liquor poured away, or into the jug.</summary>
    Drain,

    /// <summary>A ladle of its pulses crushed.</summary>
    Mash,
    Flame,
    Lid,
    Salt,
    WentIn,

    /// <summary>A second half is to go in.</summary>
    Later,
    CameOut,
    Sticks,

    /// <summary>A visit was made.</summary>
    Checked,
    VentClear,
    Probed,

    /// <summary>An answer was taken.</summary>
    Chose,

    /// <summary>What became of the leftovers.</summary>
    PutAway,

    /// <summary>Somebody came back to an evening that was set aside.</summary>
    StillOn,

    /// <summary>Something told does not hold.</summary>
    Undo,
}
