using System.Collections.Immutable;
using BrightKettle.Core.Units;

namespace BrightKettle.Core.Cooking.Trace;

/// <summary>How one vessel stands between two actions, by the actions alone.</summary>
public sealed record VesselTrace
{
    /// <summary>Ids of the ingredients in it, in the order in which they went in.</summary>
    public ImmutableList<string> Inside { get; init; } = [];

    public Flame Flame { get; init; } = Flame.Off;

    public Lid Lid { get; init; } = Lid.Open;

    /// <summary>What lies between pot and lid; null for nothing that was said.</summary>
    public SealMaterial? Seal { get; init; }

    /// <summary>Under a locked lid.</summary>
    public bool Locked { get; init; }

    /// <summary>Left to lose its pressure; the pin is still up.</summary>
    public bool Releasing { get; init; }

    /// <summary>How many times its lid was locked so far; 0 before the first.</summary>
    public int Locking { get; init; }

    /// <summary>What went in and was not poured off; what seeds drink and steam carries off is not counted.</summary>
    public Mass Liquor { get; init; }

    /// <summary>Something came over from another vessel: how much liquid is known only at the stove.</summary>
    public bool Received { get; init; }
}
