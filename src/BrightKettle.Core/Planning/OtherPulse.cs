using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Units;

namespace BrightKettle.Core.Planning;

/// <summary>A further pulse of a dish.</summary>
public sealed record OtherPulse(Pulse Pulse, Mass Dry)
{
    /// <summary>Named by the cook for this one; null for what all of them are cooked to.</summary>
    public PulseTarget? Target { get; init; }

    /// <summary>Of its own bag; null for one that is as known as the first.</summary>
    public Pace? Pace { get; init; }

    /// <summary>How old its bag is.</summary>
    public Lot Lot { get; init; } = Lot.Fresh;

    public string Id => $"{Way.PulseId}_{Pulse.Id}";
}
