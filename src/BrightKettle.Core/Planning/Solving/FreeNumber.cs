using BrightKettle.Core.Cooking;

namespace BrightKettle.Core.Planning.Solving;

/// <summary>A way as it was tried on the reference pot.</summary>
internal sealed record Tried(Dish Dish, Way Way, Cook Cook, PotRun Run);

/// <summary>A number of a way that is free: what it has to reach, and where it goes when it misses.</summary>
internal abstract record FreeNumber
{
    /// <summary>How much is missing in what was tried; 0 where it is right, and for a number that only follows others.</summary>
    public virtual double Miss(Tried tried) => 0;

    /// <summary>A smaller miss is let pass.</summary>
    public virtual double Tolerance => 1;

    /// <summary>The way with this number moved.</summary>
    /// <param name="tried">What was tried.</param>
    /// <param name="way">With the numbers before this one moved.</param>
    public abstract Way Moved(Tried tried, Way way);

    /// <summary>Minutes wait until the liquor is about right: a grain short of water is not mended by them, g.</summary>
    protected const double AboutRight = 60;

    /// <summary>Of a miss, what one move makes good: minutes and liquor pull at each other.</summary>
    protected const double Damped = 0.8;

    /// <summary>Liquor that may be a little off, g.</summary>
    protected const double FewGrams = 3;

    /// <summary>Doneness that no tooth tells.</summary>
    protected const double Unfelt = 0.7;
}
