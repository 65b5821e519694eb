namespace BrightKettle.Core.Stove;

/// <summary>What is seen when something has gone wrong.</summary>
public enum Trouble
{
    HardDry,
    HardWet,
    SoftWet,
    Sticking,
    Scorched,
    TooSalty,
    TooThin,
    TooThick,
    BoiledOver,
    FlameOut,
    PowerCut,
    LidLifted,
    RiceTooEarly,
    CalledAway,

    /// <summary>Nothing is wrong but the pot: it is too small, or wanted on the table.</summary>
    WrongPot,

    /// <summary>A locked cooker that neither hisses nor whistles.</summary>
    Silent,
}
