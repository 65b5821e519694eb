using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Cooking;

/// <summary>A list of timed actions on pots: what is planned, what is cooked, what is stored.</summary>
/// <param name="Kitchen">The pots, the flames and the place.</param>
/// <param name="Ingredients">What the actions name by <see cref="Ingredient.Id"/>; in this order everywhere.</param>
/// <param name="Actions">Within one vessel done one after the other; each waits for its <see cref="Trigger"/>.</param>
/// <param name="Starts">Nothing happens before this instant.</param>
/// <param name="Seed">Fixes the many pots of a forecast.</param>
public sealed record Cook(
    CookKitchen Kitchen,
    IReadOnlyList<Ingredient> Ingredients,
    IReadOnlyList<CookAction> Actions,
    Instant Starts,
    int Seed
)
{
    /// <summary>What is known of how fast this pot loses steam, against the reference; null: nothing yet.</summary>
    public Pace? Evaporation { get; init; }

    /// <summary>What is known of what this burner brings, against its rating; null: nothing yet.</summary>
    public Pace? BurnerPower { get; init; }

    public int IndexOf(string ingredientId)
    {
        for (var i = 0; i < Ingredients.Count; i++)
        {
            if (Ingredients[i].Id == ingredientId)
            {
                return i;
            }
        }

        return -1;
    }

    /// <summary>Place of the first action with this mark; -1 for none.</summary>
    public int StepAt(string mark)
    {
        for (var i = 0; i < Actions.Count; i++)
        {
            if (Actions[i].StepId == mark)
            {
                return i;
            }
        }

        return -1;
    }

    /// <summary>Number of the vessel that an action is done to, from 0; -1 for one that the cook does not have.</summary>
    public int VesselOf(CookAction action) => Kitchen.IndexOf(action.In);
}

/// <summary>The part of the kitchen that one cook uses.</summary>
/// <param name="Room">0 to 45 °C.</param>
public sealed record CookKitchen(Vessel Vessel, Burner Burner, Altitude Altitude, Temperature Room)
{
    /// <summary>Hardness of the tap's water, mg/L as calcium carbonate; 0 to 1000.</summary>
    public double HardnessMilligramsPerLitre { get; init; }

    /// <summary>How hot the first vessel is when the cook starts; null for the room's.</summary>
    public Temperature? Starts { get; init; }

    /// <summary>Further vessels: a second pot, or a bowl that stands above in the first.</summary>
    public IReadOnlyList<CookVessel> OtherVessels { get; init; } = [];

    public int VesselCount => 1 + OtherVessels.Count;

    public CookVessel this[int index] => index == 0 ? new(Vessel, Burner) { Starts = Starts } : OtherVessels[index - 1];

    /// <summary>Number of a vessel by its id; null means the first; -1 for an unknown one.</summary>
    public int IndexOf(string? vesselId)
    {
        if (vesselId is null || vesselId == Vessel.Id)
        {
            return 0;
        }

        for (var i = 0; i < OtherVessels.Count; i++)
        {
            if (OtherVessels[i].Vessel.Id == vesselId)
            {
                return i + 1;
            }
        }

        return -1;
    }
}

/// <summary>A vessel of a cook on its burner.</summary>
/// <param name="Above">It stands in the steam of the first vessel and has no heat of its own.</param>
public sealed record CookVessel(Vessel Vessel, Burner Burner, bool Above = false)
{
    /// <summary>How hot it is when the cook starts, as a crock that was switched on before; null for the room's. 0 to 105 °C.</summary>
    public Temperature? Starts { get; init; }
}
