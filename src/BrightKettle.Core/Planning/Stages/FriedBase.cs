using BrightKettle.Core.Cooking;
using NodaTime;

namespace BrightKettle.Core.Planning.Stages;

/// <summary>Onions, meat or spices that are fried in the cooking pot before anything else goes in.</summary>
internal static class FriedBase
{
    /// <summary>Until onions are soft and begin to brown (confidence C: 8 to 15).</summary>
    public static readonly Duration Fries = Duration.FromMinutes(12);

    /// <summary>Into the pot on a gentle flame, so that it is done when the pulses go in.</summary>
    /// <returns>Whether there was anything to fry.</returns>
    public static bool AddBase(this List<CookAction> actions, Dish dish, Way way)
    {
        var fried = dish.Extras.Where(dish.FriesFirst).ToList();
        if (fried.Count == 0)
        {
            return false;
        }

        actions.Add(new CookAction.Heat(Trigger.At(way.LightAt - Fries), Flame.Gentle) { StepId = StepIds.Base });
        actions.AddRange(fried.Select(x => new CookAction.Add(Trigger.Next, x.Id)));
        return true;
    }
}
