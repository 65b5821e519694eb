namespace BrightKettle.Core.Planning;

/// <summary>What a pot would be sent back for.</summary>
public enum Spoilt
{
    PulsesHard,
    PulsesSoft,
    RiceHard,
    RiceSoft,
    Scorched,
    NeverDone,
}
