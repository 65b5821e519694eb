using BrightKettle.Core.Cooking;

namespace BrightKettle.Core.Planning.Stages;

/// <summary>Locked, up, held, left alone; then the lid comes off.</summary>
/// <param name="Lit">The flame burns already.</param>
/// <param name="After">A step in another vessel that the lid waits for; null for none.</param>
internal sealed record HoldUnderPressure(bool Lit, string? After = null) : Stage
{
    public override IReadOnlyList<string> Steps => [StepIds.Lock, StepIds.Light, StepIds.HoldOver, StepIds.Opened];

    public override void Emit(List<CookAction> actions, Dish dish, Way way)
    {
        actions.Add(new CookAction.Pressurise(Trigger.Next with { AfterStep = After }) { StepId = StepIds.Lock });
        actions.Add(new CookAction.Heat(Trigger.Next, Flame.Full) { StepId = Lit ? null : StepIds.Light });
        actions.AddRange(
            PressureHold.Actions(
                dish.Cooker!.Cooker!,
                dish.Burner,
                way.Bowl?.HoldMinutes ?? way.HoldMinutes,
                way.Bowl?.Whistles ?? way.Whistles
            )
        );
        actions.Add(new CookAction.Release(Trigger.Next, ReleaseKind.Natural));
        actions.Add(new CookAction.Heat(Trigger.Once(PotEvent.PinDown), Flame.Lively) { StepId = StepIds.Opened });
    }
}

/// <summary>In the crock with boiling water until a look finds them soft, on warm until the join.</summary>
/// <param name="FromPot">They were boiled hard and come over from the pot; else the dry seed goes in.</param>
internal sealed record SlowCook(bool FromPot) : Stage
{
    /// <summary>Looks are far apart there and soft pulses wait on warm without harm: an early hour costs nothing, a late one an
    /// hour.</summary>
    public override double Slack => 0.03;

    public override IReadOnlyList<string> Steps => [StepIds.IntoCrock, StepIds.SlowStarts, StepIds.Light, StepIds.Ready];

    public override void Emit(List<CookAction> actions, Dish dish, Way way)
    {
        var crock = dish.Cooker!.Id;
        if (FromPot)
        {
            actions.Add(new CookAction.Transfer(Trigger.Next, crock, TransferWhat.Everything) { StepId = StepIds.IntoCrock });
            actions.Add(new CookAction.Cover(Trigger.Next with { AfterStep = StepIds.IntoCrock }, Lid.On) { In = crock });
        }
        else
        {
            actions.Add(new CookAction.Add(Trigger.At(way.LightAt), Way.PulseId) { In = crock });
            var first = new List<CookAction>();
            first.AddFirst(dish, way);
            actions.AddRange(first.Select(a => a with { In = crock }));
            actions.Add(new CookAction.AddWater(Trigger.Next, way.Water, FreshWater.Kettle) { In = crock });
            actions.Add(new CookAction.Cover(Trigger.Next, Lid.On) { In = crock });
        }

        actions.Add(
            new CookAction.Heat(Trigger.Next, way.SlowOnLow ? Flame.Low : Flame.High)
            {
                In = crock,
                StepId = FromPot ? StepIds.SlowStarts : StepIds.Light,
            }
        );
        actions.Add(
            new CookAction.Heat(
                new Trigger(NotBefore: way.FirstLook, Look: new Look(Way.PulseId, Doneness.Tender, way.LookAgain)),
                Flame.Warm
            )
            {
                In = crock,
                StepId = StepIds.Ready,
            }
        );
        // They wait on warm, hot enough to stand, and come over only when the pot is lit.
    }
}
