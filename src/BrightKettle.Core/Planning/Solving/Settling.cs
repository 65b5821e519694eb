using BrightKettle.Core.Cooking;
using NodaTime;

namespace BrightKettle.Core.Planning.Solving;

/// <summary>The one loop that moves free numbers: a run, what each of them misses, a move of each, until all are right.</summary>
/// <param name="build">The cook of a way: all of it, or one vessel by itself.</param>
/// <param name="options">Steps to search by.</param>
internal sealed class Settling(Simulator simulator, Dish dish, Func<Way, Cook> build, RunOptions options)
{
    /// <param name="numbers">In the order in which they are moved.</param>
    /// <param name="tries">At most. Not settled to the last gram then: round figures follow anyway, and the forecast shows what they
    /// give.</param>
    /// <param name="slack">How many times the usual misses are let pass.</param>
    /// <returns>The last that was tried; its run stalled where it did.</returns>
    public Tried Of(Way way, IReadOnlyList<FreeNumber> numbers, int tries, double slack = 1)
    {
        for (var i = 0; i < tries; i++)
        {
            var tried = Try(way);
            if (tried.Run.StalledAt is not null || numbers.All(n => Math.Abs(n.Miss(tried)) < n.Tolerance * slack))
            {
                return tried;
            }

            way = numbers.Aggregate(way, (moved, n) => n.Moved(tried, moved));
        }

        return Try(way);
    }

    public Tried Try(Way way)
    {
        var cook = build(way);
        return new(dish, way, cook, simulator.Run(cook, PotTraits.Reference(cook), options));
    }
}
