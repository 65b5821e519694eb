using BrightKettle.Core.Planning.Beside;
using NodaTime;

namespace BrightKettle.Server.Planning;

/// <summary>Tells what else is cooked around an hour.</summary>
public interface IEveningNeighbours
{
    /// <summary>Kept dinners that are near a table and not over, by what they take of the kitchen.</summary>
    /// <param name="except">The dinner that is asked about, where it is kept.</param>
    Task<IReadOnlyList<Neighbour>> NearAsync(Instant table, Guid? except, CancellationToken cancel);
}
