using BrightKettle.Core.Planning.Stages;

namespace BrightKettle.Core.Planning;

/// <summary>One way as a list of stages. A new way is a new list, never a new branch.</summary>
/// <param name="Starts">What is in the pot first, by its id in the cook; null where both are.</param>
/// <param name="Joins">What comes to it; null where nothing does.</param>
/// <param name="Judges">Step at which the liquor of the pulses is to be what is wanted.</param>
/// <param name="Stages">What is done, in its order, for a dish with the numbers of a way.</param>
internal sealed record WayList(string? Starts, string? Joins, string Judges, Func<Dish, Way, IReadOnlyList<Stage>> Stages)
{
    /// <summary>Pulses go to the table as they are found.</summary>
    public bool IsAlone => Starts == Way.PulseId && Joins is null;

    /// <summary>The pulses' liquor is thrown away before anything joins.</summary>
    public bool ThrowsLiquor { get; init; }

    /// <summary>Pulses cook on in the pot with what joins them.</summary>
    public bool CooksOn { get; init; }
}
