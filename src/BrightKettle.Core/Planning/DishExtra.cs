using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Units;

namespace BrightKettle.Core.Planning;

/// <summary>When something beside pulses and rice goes into the pot.</summary>
public enum ExtraTime
{
    /// <summary>Into the first water.</summary>
    Start,

    /// <summary>With the rice; without rice, when the tender pulses are brought back to the boil.</summary>
    Join,

    /// <summary>For the last minutes.</summary>
    Late,

    /// <summary>Into the rice's own pot, fried there before the rice where most fry it; as usual where the rice has none.</summary>
    Rice,
}

/// <summary>Something beside pulses and rice that the dish wants.</summary>
/// <param name="Amount">As it goes in, more than 0 g.</param>
/// <param name="Pieces">That must come out again; 0 where nothing does.</param>
/// <param name="Blanched">See <see cref="Cooking.ExtraIngredient.Blanched"/>.</param>
public sealed record DishExtra(Extra Extra, Mass Amount, ExtraTime Time, int Pieces = 0, bool Blanched = false)
{
    /// <summary>Out of the freezer: thawed in the fridge since the day before where there is time, else it goes in as it is.</summary>
    public bool Frozen { get; init; }

    /// <summary>So many minutes before the table, where somebody says how many, 0 to 120; null: by what it wants.</summary>
    public double? Before { get; init; }

    /// <summary>What was kept back of something that went in before.</summary>
    public bool IsRest { get; init; }

    /// <summary>How strong an infusion is wanted; means nothing for what is none.</summary>
    public InfusionStrength Strength { get; init; } = InfusionStrength.Usual;

    /// <summary>Id of the ingredient in the cook.</summary>
    public string Id => IsRest ? $"x_{Extra.Id}_rest" : $"x_{Extra.Id}";

    /// <summary>Half now, and the other half so many minutes before the table.</summary>
    public IReadOnlyList<DishExtra> Halved() =>
        [
            this with
            {
                Amount = Amount * 0.5,
                Before = null,
            },
            this with
            {
                Amount = Amount * 0.5,
                Time = ExtraTime.Late,
                IsRest = true,
                Pieces = 0,
            },
        ];

    /// <summary>It goes in with the pulses, and may be fried before.</summary>
    internal bool CanFry => Time == ExtraTime.Start && IsFryable;

    /// <summary>Most fry it before anything else, and it comes ready for that.</summary>
    internal bool IsFryable => Extra.Fries && !Blanched && !Frozen && !IsRest;

    /// <summary>Minutes before the table at which it goes in, where it goes in late.</summary>
    public double MinutesBefore => Before ?? LeastMinutes;

    /// <summary>When most households put it in: acid and coconut milk once the pulses are soft (acid keeps them hard, effects 3.2),
    /// greens and dough for the last minutes.</summary>
    public static ExtraTime Usual(Extra extra) =>
        extra switch
        {
            { AcidMillimoles: > 0 } or { Id: "coconut_milk" or "coconut_powder" or "butter" or "salted_butter" } => ExtraTime.Join,
            { Kind: ExtraKind.Acid or ExtraKind.Sweet or ExtraKind.Powder } => ExtraTime.Join,
            { Kind: ExtraKind.Dough } or { Id: "greens" } => ExtraTime.Late,
            _ => ExtraTime.Start,
        };

    /// <summary>Minutes it wants at the boil when it goes in late or at the join; 0 where it only has to be warm.</summary>
    public double LeastMinutes =>
        Extra.Kind switch
        {
            ExtraKind.Dough or ExtraKind.Vegetable => Extra.Minutes,
            ExtraKind.Acid => 8,
            _ => 2,
        };
}
