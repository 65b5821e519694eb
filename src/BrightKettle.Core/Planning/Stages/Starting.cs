using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning.Solving;
using BrightKettle.Core.Safety;
using BrightKettle.Core.Units;

namespace BrightKettle.Core.Planning.Stages;

/// <summary>Into the cold pot with its first water, on the full flame.</summary>
/// <param name="First">What goes in first.</param>
/// <param name="Then">What goes in with it; null for nothing.</param>
internal sealed record Start(string First, Lid Lid, string? Then = null) : Stage
{
    public override IReadOnlyList<FreeNumber> Frees(Way way) => Then is null ? [] : [new JoinLiquor(), new OneWater()];

    public override IReadOnlyList<string> Steps =>
        Then is null ? [StepIds.Base, StepIds.Light] : [StepIds.Base, StepIds.Light, StepIds.Join];

    public override void Emit(List<CookAction> actions, Dish dish, Way way)
    {
        actions.AddBase(dish, way);
        actions.Add(new CookAction.Add(Trigger.At(way.LightAt), First));
        if (Then is not null)
        {
            actions.Add(new CookAction.Add(Trigger.Next, Then) { StepId = StepIds.Join });
            actions.AddExtras(dish, ExtraTime.Join);
            actions.AddSalt(dish, SaltSchool.WithTheRice);
        }

        actions.AddFirst(dish, way);
        actions.Add(new CookAction.AddWater(Trigger.Next, way.Water, dish.Household.Room));
        actions.Add(new CookAction.Cover(Trigger.Next, Lid));
        actions.Add(new CookAction.Heat(Trigger.Next, Flame.Full) { StepId = StepIds.Light });
    }
}

/// <summary>The same for a pot that is going to be locked: the flame comes with the lid.</summary>
internal sealed record FillCooker : Stage
{
    public override IReadOnlyList<string> Steps => [StepIds.Base];

    public override void Emit(List<CookAction> actions, Dish dish, Way way)
    {
        if (actions.AddBase(dish, way))
        {
            // The bottom is scraped free before a lid is locked.
            actions.Add(new CookAction.Heat(Trigger.At(way.LightAt), Flame.Off));
        }

        actions.Add(new CookAction.Add(Trigger.At(way.LightAt), Way.PulseId));
        actions.AddFirst(dish, way);
        actions.Add(new CookAction.AddWater(Trigger.Next, way.Water, dish.Household.Room));
    }
}

/// <summary>Fresh boiling water on what was drained a moment ago.</summary>
internal sealed record FreshWater : Stage
{
    /// <summary>From the kettle, a little under the boil when it lands.</summary>
    public static readonly Temperature Kettle = Temperature.FromCelsius(92);

    public override void Emit(List<CookAction> actions, Dish dish, Way way)
    {
        actions.AddFirst(dish, way);
        actions.Add(new CookAction.AddWater(Trigger.Next, way.Water, Kettle));
        actions.Add(new CookAction.Cover(Trigger.Next, Lid.Ajar));
        actions.Add(new CookAction.Heat(Trigger.Next, Flame.Full));
    }
}

/// <summary>Once it boils the flame goes down.</summary>
internal sealed record Simmer(Flame Flame) : Stage
{
    public override IReadOnlyList<string> Steps => [StepIds.Boils];

    public override void Emit(List<CookAction> actions, Dish dish, Way way) =>
        actions.Add(new CookAction.Heat(Trigger.Once(PotEvent.Boils), Flame) { StepId = StepIds.Boils });
}

/// <summary>A rolling boil of the minutes that the gate asks for. It clears the gate for a soaked pulse; for a dry one it clears nothing,
/// but is asked for all the same.</summary>
/// <param name="Then">The flame after it.</param>
internal sealed record HardBoil(Flame Then) : Stage
{
    public override IReadOnlyList<string> Steps => [StepIds.Boils, StepIds.HardBoilOver];

    public override void Emit(List<CookAction> actions, Dish dish, Way way)
    {
        var minutes = LectinGate.RequiredBoil(dish.Household.Altitude, dish.Household.Cautious);
        actions.Add(new CookAction.Heat(Trigger.Once(PotEvent.Boils), Flame.Rolling) { StepId = StepIds.Boils });
        actions.Add(new CookAction.Heat(Trigger.Later(minutes), Then) { StepId = StepIds.HardBoilOver });
    }
}

/// <summary>Boiling water whenever the pulses show above their liquor, until they are found: nothing has to be boiled away that only a slow
/// bag needs.</summary>
internal sealed record KeepCovered : Stage
{
    public override void Emit(List<CookAction> actions, Dish dish, Way way) =>
        actions.Add(new CookAction.KeepLevel(Trigger.Next, way.KeptLevel));
}
