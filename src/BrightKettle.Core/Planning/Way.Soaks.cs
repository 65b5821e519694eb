using BrightKettle.Core.Cooking;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Planning;

/// <summary>Bowls on the counter and in the fridge.</summary>
internal sealed partial record Way
{
    private static void AddSoak(List<CookAction> actions, Dish dish, SoakPlan soak)
    {
        AddSoak(actions, dish, soak, PulseId, dish.PulseDry, KeepsSoakWater(dish), marked: true);
        foreach (var other in dish.OtherPulses.Where(Soaks))
        {
            AddSoak(actions, dish, soak, other.Id, other.Dry, keeps: false, marked: false);
        }
    }

    private static bool Soaks(OtherPulse other) => other.Pulse.SoakHours.High > 0;

    private static void AddSoak(List<CookAction> actions, Dish dish, SoakPlan soak, string id, Mass dry, bool keeps, bool marked)
    {
        actions.Add(
            new CookAction.Soak(Trigger.At(soak.StartsAt), id, dry * SoakWaterShare, dish.Household.Room)
            {
                StepId = marked ? StepIds.SoakStarts : null,
                SaltShare = dish.Salt == SaltSchool.InTheSoak ? BrineShare : 0,
            }
        );
        if (soak.InFridge)
        {
            actions.Add(new CookAction.Chill(Trigger.Next, id, dish.Household.Fridge));
        }

        if (keeps)
        {
            if (soak.ChilledAfter)
            {
                actions.Add(new CookAction.Chill(Trigger.At(soak.EndsAt), id, dish.Household.Fridge) { StepId = StepIds.SoakChilled });
            }

            return;
        }

        actions.Add(new CookAction.Drain(Trigger.At(soak.EndsAt), id) { StepId = marked ? StepIds.SoakEnds : null });
        actions.Add(new CookAction.Rinse(Trigger.Next, id));
        if (soak.ChilledAfter)
        {
            actions.Add(new CookAction.Chill(Trigger.Next, id, dish.Household.Fridge));
        }
    }

    /// <summary>Never with a lectin or a brine in it.</summary>
    private static bool KeepsSoakWater(Dish dish) => dish.KeepsSoakWater && !dish.Pulse.BoilsFirst && dish.Salt != SaltSchool.InTheSoak;
}
