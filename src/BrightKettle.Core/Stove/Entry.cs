using BrightKettle.Core.Cooking;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Stove;

/// <summary>One thing that the cook has told of the evening, with the time at which it was so.</summary>
/// <param name="Id">Of the stored event: an undo names it.</param>
public abstract record Entry(Guid Id, Instant At)
{
    /// <summary>A moment of the plan was done. What came before it in its lane and was not told is passed over.</summary>
    public sealed record Done(Guid Id, Instant At, string MomentId) : Entry(Id, At)
    {
        /// <summary>Water poured in instead of what the plan says, as a jug shows it, as hot as the plan wants it; null: as planned.</summary>
        public Volume? Poured { get; init; }

        /// <summary>Salt put in instead of what the plan says, g; null: as planned.</summary>
        public Mass? Salt { get; init; }
    }

    /// <summary>Something that no plan asked for: a top-up, a lid, a flame.</summary>
    public sealed record Extra(Guid Id, Instant At, CookAction Action) : Entry(Id, At);

    /// <summary>Something went in that was not planned.</summary>
    public sealed record WentIn(Guid Id, Instant At, ExtraIngredient What) : Entry(Id, At);

    public sealed record Saw(Guid Id, Instant At, Observation What) : Entry(Id, At);

    /// <summary>So many pieces came out; they are counted until none is left.</summary>
    public sealed record CameOut(Guid Id, Instant At, string IngredientId, int Pieces) : Entry(Id, At);

    /// <summary>What is still to do was replaced.</summary>
    public sealed record Chose(Guid Id, Instant At, Course Course) : Entry(Id, At);
}
