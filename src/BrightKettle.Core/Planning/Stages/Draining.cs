using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;

namespace BrightKettle.Core.Planning.Stages;

/// <summary>Par-cooked pulses leave their liquor, which is thrown away, just before the rice comes with fresh water.</summary>
internal sealed record DrainPulses : Stage
{
    public override IReadOnlyList<string> Steps => [StepIds.Drained];

    public override void Emit(List<CookAction> actions, Dish dish, Way way) =>
        actions.Add(new CookAction.Drain(way.JoinTrigger, null) { StepId = StepIds.Drained });
}

/// <summary>Cooked pulses go into a covered bowl; their liquor stays for what comes.</summary>
internal sealed record LiftPulses(Trigger When) : Stage
{
    public override IReadOnlyList<string> Steps => [StepIds.Lifted];

    public override void Emit(List<CookAction> actions, Dish dish, Way way)
    {
        actions.Add(
            new CookAction.Transfer(When, PulseBowl.Id, TransferWhat.Ingredient) { IngredientId = Way.PulseId, StepId = StepIds.Lifted }
        );
        actions.Add(new CookAction.Cover(Trigger.Next with { AfterStep = StepIds.Lifted }, Lid.On) { In = PulseBowl.Id });
    }
}

/// <summary>The liquor of cooked pulses goes over into another pot, for the rice; they wait in theirs, covered.</summary>
/// <param name="To">That pot.</param>
internal sealed record PourLiquor(Trigger When, string To) : Stage
{
    public override IReadOnlyList<string> Steps => [StepIds.Poured];

    public override void Emit(List<CookAction> actions, Dish dish, Way way)
    {
        actions.Add(new CookAction.Transfer(When, To, TransferWhat.Liquor) { StepId = StepIds.Poured });
        actions.Add(new CookAction.Heat(Trigger.Next, Flame.Off));
        actions.Add(new CookAction.Cover(Trigger.Next, Lid.On));
    }
}

/// <summary>They go back on the rice as its flame goes out, and get hot again while it rests; or to the other pulses when these are found.</summary>
/// <param name="After">The step that they wait for.</param>
internal sealed record PutBack(string After = StepIds.HeatOff) : Stage
{
    /// <summary>Where they wait.</summary>
    public string From { get; init; } = PulseBowl.Id;

    /// <summary>Where they go; null for the first vessel.</summary>
    public string? To { get; init; }

    public override IReadOnlyList<string> Steps => [StepIds.PutBack];

    public override void Emit(List<CookAction> actions, Dish dish, Way way)
    {
        actions.Add(
            new CookAction.Transfer(Trigger.Next with { AfterStep = After }, To ?? dish.Vessel.Id, TransferWhat.Everything)
            {
                In = From,
                StepId = StepIds.PutBack,
            }
        );
        actions.Add(new CookAction.Cover(Trigger.Next with { AfterStep = StepIds.PutBack }, Lid.On) { In = To });
    }
}
