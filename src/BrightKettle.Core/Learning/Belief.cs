using BrightKettle.Core.Cooking;

namespace BrightKettle.Core.Learning;

/// <summary>What is known of one evening's pot: each trait log-normal against the reference.</summary>
/// <param name="Pulses">Pace of each pulse, by ingredient id.</param>
/// <param name="Evaporation">Of the pot.</param>
/// <param name="BurnerPower">Of the burner.</param>
public sealed record Belief(IReadOnlyDictionary<string, Pace> Pulses, Pace Evaporation, Pace BurnerPower)
{
    /// <summary>The same cook with what is known of it.</summary>
    public Cook In(Cook cook)
    {
        ArgumentNullException.ThrowIfNull(cook);
        return cook with
        {
            Ingredients = [.. cook.Ingredients.Select(i => i is PulseIngredient p && Pulses.TryGetValue(p.Id, out var pace) ? p with { Pace = pace } : i)],
            Evaporation = Evaporation,
            BurnerPower = BurnerPower,
        };
    }
}
