using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning.Solving;

namespace BrightKettle.Core.Planning.Stages;

/// <summary>Rice with its water in a bowl above the pulses, before the lid is locked.</summary>
/// <param name="AfterHardBoil">Pulses that are boiled hard first stand in the pot alone until then.</param>
internal sealed record RiceIntoBowl(bool AfterHardBoil) : Stage
{
    public override IReadOnlyList<FreeNumber> Frees(Way way) => [new BowlWater()];

    public override IReadOnlyList<string> Steps => [StepIds.RiceSoakStarts, StepIds.RiceBowl];

    public override void Emit(List<CookAction> actions, Dish dish, Way way)
    {
        var bowl = way.Bowl!;
        List<CookAction> fill =
        [
            .. RiceStart.Soaked(dish, bowl.ClosesAt),
            new CookAction.Add(
                AfterHardBoil ? Trigger.Next with { AfterStep = StepIds.HardBoilOver } : Trigger.At(bowl.ClosesAt),
                Way.RiceId
            ),
            new CookAction.AddWater(Trigger.Next, bowl.Water, dish.Household.Room) { StepId = StepIds.RiceBowl },
            .. RiceStart.Salted(dish),
        ];
        actions.AddRange(fill.Select(a => a with { In = RiceBowl.Id }));
    }
}

/// <summary>Once the lid is off the bowl comes out, and stands covered.</summary>
internal sealed record LiftBowl : Stage
{
    public override IReadOnlyList<string> Steps => [StepIds.RiceOut, StepIds.RiceRested];

    public override void Emit(List<CookAction> actions, Dish dish, Way way)
    {
        actions.Add(
            new CookAction.Transfer(Trigger.Next with { AfterStep = StepIds.Opened }, RiceBowl.OutId, TransferWhat.Everything)
            {
                In = RiceBowl.Id,
                StepId = StepIds.RiceOut,
            }
        );
        actions.Add(
            new CookAction.Cover(Trigger.Next with { AfterStep = StepIds.RiceOut }, Lid.On)
            {
                In = RiceBowl.OutId,
                StepId = StepIds.RiceRested,
            }
        );
    }
}
