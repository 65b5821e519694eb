using BrightKettle.Core.Cooking;
using NodaTime;

namespace BrightKettle.Core.Planning.Stages;

/// <summary>A part of the pulses is crushed in its liquor.</summary>
/// <param name="When">What it waits for.</param>
internal sealed record MashSome(Trigger When) : Stage
{
    public override IReadOnlyList<string> Steps => [StepIds.Mash];

    /// <summary>A ladle or two of four (confidence D).</summary>
    private const double Share = 0.25;

    public override void Emit(List<CookAction> actions, Dish dish, Way way)
    {
        if (dish.Has(AskedStage.Mash))
        {
            actions.Add(new CookAction.Mash(When, Way.PulseId, Share) { StepId = StepIds.Mash });
        }
    }
}

/// <summary>What seasons the dish goes in and simmers on low, so that the liquor tastes right before it is set.</summary>
/// <param name="When">What it waits for.</param>
internal sealed record SeasonOnLow(Trigger When) : Stage
{
    public override IReadOnlyList<string> Steps => [StepIds.Reheat, StepIds.Season];

    public override void Emit(List<CookAction> actions, Dish dish, Way way)
    {
        if (dish.SeasonMinutes <= 0)
        {
            return;
        }

        actions.Add(new CookAction.Heat(When, Flame.Full) { StepId = StepIds.Reheat });
        actions.AddExtras(dish, ExtraTime.Join);
        actions.AddSalt(dish, SaltSchool.WithTheRice);
        actions.Add(new CookAction.Heat(Trigger.Once(PotEvent.Boils), Flame.Gentle) { StepId = StepIds.Season });
    }

    /// <summary>When what comes after it comes.</summary>
    public static Trigger? Over(Dish dish) => dish.SeasonMinutes > 0 ? Trigger.Later(Duration.FromMinutes(dish.SeasonMinutes)) : null;
}
