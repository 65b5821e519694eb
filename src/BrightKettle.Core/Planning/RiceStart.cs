using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Planning;

/// <summary>What is done with rice before it is cooked, wherever that is.</summary>
internal static class RiceStart
{
    /// <summary>How long it stands in water; zero for rice that needs no soak.</summary>
    public static Duration SoakOf(Rice rice) => rice.SoakMinutes.Low > 0 ? Duration.FromMinutes(rice.SoakMinutes.Typical) : Duration.Zero;

    /// <summary>How long before its flame it is begun with: soaked, or its base fried.</summary>
    public static Duration LeadOf(Dish dish) =>
        Duration.Max(SoakOf(dish.Rice!), dish.RiceExtras.Any(dish.FriesForRice) ? Stages.FriedBase.Fries : Duration.Zero);

    /// <summary>Soaked and drained at an instant; nothing for rice that needs no soak.</summary>
    public static IEnumerable<CookAction> Soaked(Dish dish, Instant drained)
    {
        if (dish.Rice is { SoakMinutes.Low: > 0 } rice)
        {
            yield return new CookAction.Soak(
                Trigger.At(drained - Duration.FromMinutes(rice.SoakMinutes.Typical)),
                Way.RiceId,
                dish.RiceDry * 2,
                dish.Household.Room
            )
            {
                StepId = StepIds.RiceSoakStarts,
            };
            yield return new CookAction.Drain(Trigger.At(drained), Way.RiceId);
        }
    }

    /// <summary>Into the water of rice that is cooked by itself: the household's share of what it then weighs; nothing where salt waits
    /// for the table.</summary>
    /// <param name="plenty">So much instead, into water of which most is poured off; null: it drinks all of it.</param>
    public static IReadOnlyList<CookAction> Salted(Dish dish, double? plenty = null)
    {
        var grams = Math.Round(plenty ?? SaltOf(dish));
        return dish.SaltGrams > 0 && dish.Salt != SaltSchool.AtTheTable && grams > 0
            ? [new CookAction.AddSalt(Trigger.Next, Mass.FromGrams(grams)) { StepId = StepIds.Salt }]
            : [];
    }

    /// <summary>The household's share of what the rice weighs cooked, g.</summary>
    public static double SaltOf(Dish dish) => dish.SaltPercent / 100 * dish.RiceDry.Grams * (1 + dish.Rice!.Absorbed.Typical);
}
