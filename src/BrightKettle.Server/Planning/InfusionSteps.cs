using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning;
using NodaTime;

namespace BrightKettle.Server.Planning;

/// <summary>Steps of infusions: begun long before the pot, or boiled just before they go in. They are in no pot of the cook until then.</summary>
internal static class InfusionSteps
{
    public static IEnumerable<StepDto> Of(Plan plan)
    {
        foreach (var extra in plan.Dish.Extras.Where(x => x.Extra.Leaves is not null))
        {
            if (
                plan.Forecast.Moments.FirstOrDefault(m => plan.Cook.Actions[m.Action] is CookAction.Add add && add.IngredientId == extra.Id)
                    is { } goesIn
                && Infusion.For(extra, plan.Dish.Household, plan.Dish.Now, goesIn.Reference) is { } made
            )
            {
                yield return At(
                    made.Cold ? "steep" : "steep_hot",
                    made.From,
                    new(Grams: made.LeavesGrams, Millilitres: Math.Round(made.Steeped.Grams))
                );
                yield return At(
                    "strain",
                    made.StrainAt,
                    new(Millilitres: Math.Round(extra.Amount.Grams), AddMillilitres: Math.Round(made.Thinned.Grams))
                );
            }
        }
    }

    private static StepDto At(string kind, Instant at, StepFactsDto facts) =>
        new(kind, at.ToDateTimeOffset(), at.ToDateTimeOffset(), at.ToDateTimeOffset(), facts);
}
