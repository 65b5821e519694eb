using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning.Solving;

namespace BrightKettle.Core.Planning.Stages;

/// <summary>A stage in another vessel than the first.</summary>
internal sealed record InVessel(Stage Inner, string VesselId) : Stage
{
    public override IReadOnlyList<FreeNumber> Frees(Way way) => Inner.Frees(way);

    public override IReadOnlyList<string> Steps => Inner.Steps;

    public override double Slack => Inner.Slack;

    public override void Emit(List<CookAction> actions, Dish dish, Way way)
    {
        var inner = new List<CookAction>();
        Inner.Emit(inner, dish, way);
        actions.AddRange(inner.Select(a => a with { In = a.In ?? VesselId }));
    }
}

/// <summary>All of it goes over into the first vessel, when what comes is due.</summary>
/// <param name="From">Where it is.</param>
internal sealed record MoveOver(string From) : Stage
{
    public override IReadOnlyList<string> Steps => [StepIds.BackInPot];

    public override void Emit(List<CookAction> actions, Dish dish, Way way)
    {
        actions.Add(
            new CookAction.Transfer(way.JoinTrigger, dish.Vessel.Id, TransferWhat.Everything) { In = From, StepId = StepIds.BackInPot }
        );
        actions.Add(new CookAction.Heat(Trigger.Next, Flame.Off) { In = From });
        actions.Add(new CookAction.Cover(Trigger.Next with { AfterStep = StepIds.BackInPot }, Lid.On));
    }
}
