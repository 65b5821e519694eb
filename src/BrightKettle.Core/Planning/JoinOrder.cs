using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Safety;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Planning;

/// <summary>Who starts and who joins.</summary>
public enum JoinOrder
{
    PulseAlone,
    PulseFirst,
    Together,
    RiceFirst,
}
