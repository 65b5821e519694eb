using BrightKettle.Core.Kitchen;
using NodaTime;

namespace BrightKettle.Core.Cooking;

/// <summary>A list of timed actions on a pot: what is planned, what is cooked, what is stored.</summary>
/// <param name="Kitchen">The pot, the flame and the place.</param>
/// <param name="Ingredients">What the actions name by <see cref="Ingredient.Id"/>; in this order everywhere.</param>
/// <param name="Actions">Done one after the other; each waits for its <see cref="When"/>.</param>
/// <param name="Starts">Nothing happens before this instant.</param>
/// <param name="Seed">Fixes the many pots of a forecast.</param>
public sealed record Cook(
    CookKitchen Kitchen,
    IReadOnlyList<Ingredient> Ingredients,
    IReadOnlyList<CookAction> Actions,
    Instant Starts,
    int Seed)
{
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
}

/// <summary>The part of the kitchen that one cook uses.</summary>
/// <param name="AltitudeMetres">-400 to 5500.</param>
/// <param name="RoomCelsius">0 to 45.</param>
public sealed record CookKitchen(Vessel Vessel, Burner Burner, double AltitudeMetres, double RoomCelsius);
