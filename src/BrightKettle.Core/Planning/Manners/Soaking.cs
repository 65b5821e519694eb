using BrightKettle.Core.Planning.Stages;
using BrightKettle.Core.Safety;
using NodaTime;

namespace BrightKettle.Core.Planning.Manners;

/// <summary>What is done with dry pulses before their flame.</summary>
public abstract record Soaking
{
    /// <summary>Its stable code.</summary>
    public abstract SoakChoice Choice { get; }

    /// <summary>They stand in a bowl of water, for however long.</summary>
    internal virtual bool InBowl => true;

    /// <summary>Done on the flame, in their pot, before they are cooked.</summary>
    internal virtual IReadOnlyList<Stage> InPot => [];

    /// <summary>Why one would take it; null where nothing is done.</summary>
    internal virtual string? Why => InBowl ? "even_and_short" : null;

    /// <summary>Since when it is so already; null for what is still to be begun.</summary>
    public virtual Instant? Since => null;

    /// <summary>When the bowl is filled and drained, for a flame at an instant; or null with the latest start that would still do.</summary>
    internal virtual SoakPlan? Place(Dish dish, Instant lightAt, out Instant latestStart)
    {
        latestStart = lightAt;
        return null;
    }

    /// <summary>Whether a lectin has too few hours to leave with the water, for a flame at an instant.</summary>
    internal virtual bool IsShort(Dish dish, Func<Instant> lightAt) => false;

    /// <summary>The soaking of a code.</summary>
    /// <param name="hours">For <see cref="SoakChoice.Hours"/>, 0.5 to 24.</param>
    /// <param name="since">For <see cref="SoakChoice.Already"/>.</param>
    /// <param name="cold">The same: in the fridge.</param>
    public static Soaking Of(SoakChoice choice, double hours = 2, Instant since = default, bool cold = false) =>
        choice switch
        {
            SoakChoice.None => new Unsoaked(),
            SoakChoice.Overnight => new OvernightSoak(),
            SoakChoice.Quick => new HotSoak(),
            SoakChoice.Hours => new SoakOfHours(hours),
            SoakChoice.Already => new SoaksAlready(since, cold),
            _ => throw new ArgumentOutOfRangeException(nameof(choice)),
        };
}

/// <summary>From the bag into the pot.</summary>
public sealed record Unsoaked : Soaking
{
    public override SoakChoice Choice => SoakChoice.None;

    internal override bool InBowl => false;
}

/// <summary>In a bowl since the evening before.</summary>
public sealed record OvernightSoak : Soaking
{
    public override SoakChoice Choice => SoakChoice.Overnight;

    internal override SoakPlan? Place(Dish dish, Instant lightAt, out Instant latestStart) =>
        SoakPlan.Overnight(dish, lightAt, out latestStart);
}

/// <summary>Two or three minutes at the boil, an hour covered off the heat, drained.</summary>
public sealed record HotSoak : Soaking
{
    public override SoakChoice Choice => SoakChoice.Quick;

    internal override bool InBowl => false;

    internal override IReadOnlyList<Stage> InPot => [new QuickSoak(), new FreshWater()];

    internal override string Why => "soaked_in_an_hour";
}

/// <summary>In a bowl for so many hours before the flame, 0.5 to 24.</summary>
public sealed record SoakOfHours(double Hours) : Soaking
{
    public override SoakChoice Choice => SoakChoice.Hours;

    internal override SoakPlan? Place(Dish dish, Instant lightAt, out Instant latestStart) =>
        SoakPlan.ForHours(dish, Hours, lightAt, out latestStart);

    internal override bool IsShort(Dish dish, Func<Instant> lightAt) => Duration.FromHours(Hours) < LectinGate.LeastSoak;
}

/// <summary>In a bowl already.</summary>
/// <param name="From">Since when.</param>
/// <param name="Cold">It stands in the fridge, and not on the counter.</param>
public sealed record SoaksAlready(Instant From, bool Cold = false) : Soaking
{
    public override SoakChoice Choice => SoakChoice.Already;

    public override Instant? Since => From;

    internal override SoakPlan Place(Dish dish, Instant lightAt, out Instant latestStart)
    {
        latestStart = From;
        return SoakPlan.Standing(dish, From, Cold, lightAt);
    }

    /// <summary>How long they will have stood is known once it is known when the flame is lit.</summary>
    internal override bool IsShort(Dish dish, Func<Instant> lightAt) =>
        Place(dish, lightAt(), out _) is var soak && soak.EndsAt - soak.StartsAt < LectinGate.LeastSoak;
}
