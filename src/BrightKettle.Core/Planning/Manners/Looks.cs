using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning.Stages;

namespace BrightKettle.Core.Planning.Manners;

/// <summary>Looks into an open pot, until all pulses that are in it are far enough.</summary>
internal static class Looks
{
    /// <summary>All at one look, or one after the other: the first waits in the pot for the others, or in a bowl.</summary>
    public static IReadOnlyList<Stage> Until(Dish dish, Way way)
    {
        var drained = way.DrainsAtLook(dish) ? StepIds.Finish : null;
        return way switch
        {
            { OtherWait: null } => [new UntilFound(AtFirstLook: true, drained)],
            { LiftsFirst: true } =>
            [
                new UntilFound(AtFirstLook: true),
                new LiftPulses(way.LiftsAtOnce ? Trigger.Next : Trigger.At(way.OtherAt)),
                new OthersJoin(drained),
                new PutBack(StepIds.OtherSoft),
            ],
            _ => [new UntilFound(AtFirstLook: true), new OthersJoin(drained)],
        };
    }
}
