using BrightKettle.Core.Cooking;
using NodaTime;

namespace BrightKettle.Core.Planning;

/// <summary>Further pulses in the pot of the slowest.</summary>
internal sealed partial record Way
{
    /// <summary>With a lectin in it, and where no lid comes off, a further pulse goes in with the first; the others join once the slowest
    /// is soft.</summary>
    internal static bool JoinsLater(Dish dish, OtherPulse other) => dish.Method is Method.OpenPot && !other.Pulse.BoilsFirst;

    private void AddOthersAtStart(List<CookAction> actions, Dish dish) =>
        actions.AddRange(
            dish.OtherPulses.Where(o => OtherWait is null || !JoinsLater(dish, o)).Select(o => new CookAction.Add(Trigger.Next, o.Id))
        );

    /// <summary>Back to the boil with the quicker pulses, until they are far enough; then all of it waits.</summary>
    private void AddOthersLater(List<CookAction> actions, Dish dish)
    {
        if (OtherWait is not { } state || WithTheRice)
        {
            return;
        }

        var joining = dish.OtherPulses.Where(o => JoinsLater(dish, o)).ToList();
        actions.Add(new CookAction.Add(Trigger.At(OtherAt), joining[0].Id) { StepId = StepIds.OtherIn });
        actions.AddRange(joining.Skip(1).Select(o => new CookAction.Add(Trigger.Next, o.Id) { StepId = StepIds.OtherIn }));
        actions.Add(new CookAction.Heat(Trigger.Next, Flame.Full));
        actions.Add(new CookAction.Heat(Trigger.Once(PotEvent.Boils), Flame.Lively));
        if (state == FeltState.Hard)
        {
            return;
        }

        double Far(OtherPulse other) =>
            state == FeltState.Soft ? Math.Max(Doneness.Anchor(state), dish.Targets.CookTo(other.Pulse)) : Doneness.Anchor(state);
        var look = new Look(joining[0].Id, Far(joining[0]), OtherAgain)
        {
            Also = [.. joining.Skip(1).Select(o => new LookAlso(o.Id, Far(o)))],
        };
        actions.Add(new CookAction.Heat(new Trigger(Look: look), Flame.Off) { StepId = StepIds.OtherSoft });
    }

    /// <summary>A quick pulse changes under the hand.</summary>
    private static readonly Duration OtherAgain = Duration.FromMinutes(4);
}
