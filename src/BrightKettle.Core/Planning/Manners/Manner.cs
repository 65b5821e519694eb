namespace BrightKettle.Core.Planning.Manners;

/// <summary>How a wish is to be cooked, as it was asked for or proposed: what is done with the pulses, before them and with the rice. With the
/// wish it makes the list of stages; the numbers of that list are what is solved.</summary>
/// <param name="Pulses">In what the pulses are cooked.</param>
/// <param name="Soak">What is done with them before.</param>
/// <param name="Rice">How the rice comes to them; means nothing without rice.</param>
public sealed record Manner(PulseCooking Pulses, Soaking Soak, RiceCooking Rice)
{
    /// <summary>In an open pot from the bag, and the rice with them.</summary>
    public static Manner Usual { get; } = new(new OpenPot(), new Unsoaked(), new InThePot());

    /// <summary>The join comes with the look that finds the pulses far enough, since they must not wait for the hour.</summary>
    internal bool JoinMoves { get; init; }

    /// <summary>What is ready before its time is kept hot instead of standing off the heat, where it would go lukewarm.</summary>
    internal bool WaitsHot { get; init; }

    /// <summary>A soak that ends before <see cref="Safety.LectinGate.LeastSoak"/>, once the planner has found that out.</summary>
    internal bool SoakIsShort { get; init; }
}
