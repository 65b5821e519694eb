using BrightKettle.Core.Cooking;

namespace BrightKettle.Core.Learning;

/// <summary>What is known of one evening's pot: each trait log-normal against the reference.</summary>
/// <param name="Paces">Of each pulse and rice, by ingredient id; for a rice its rate, of which a cook keeps the middle.</param>
/// <param name="Evaporation">Of the pot.</param>
/// <param name="BurnerPower">Of the burner.</param>
public sealed record TraitEstimate(IReadOnlyDictionary<string, Pace> Paces, Pace Evaporation, Pace BurnerPower)
{
    /// <summary>The same cook with what is known of it.</summary>
    public Cook In(Cook cook)
    {
        ArgumentNullException.ThrowIfNull(cook);
        return cook with
        {
            Ingredients =
            [
                .. cook.Ingredients.Select(i =>
                    !Paces.TryGetValue(i.Id, out var pace)
                        ? i
                        : i switch
                        {
                            PulseIngredient p => p with { Pace = pace },
                            RiceIngredient r => r with { RateFactor = pace.Median },
                            _ => i,
                        }
                ),
            ],
            Evaporation = Evaporation,
            BurnerPower = BurnerPower,
        };
    }
}
