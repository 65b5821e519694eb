using BrightKettle.Core.Cooking;
using BrightKettle.Core.Safety;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Planning.Stages;

/// <summary>Bowls of pulses on the counter and in the fridge, where the dish has them soaked so and there is a time for it.</summary>
internal sealed record SoakPulses : Stage
{
    public override IReadOnlyList<string> Steps => [StepIds.SoakStarts, StepIds.SoakEnds, StepIds.SoakChilled];

    /// <summary>Water of the soak over the dry weight: enough to stay covered when they have swollen.</summary>
    private const double WaterShare = 3;

    /// <summary>Salt of a brine to soak in, g per g (effects 3.5: 1 to 2 %).</summary>
    private const double BrineShare = 0.015;

    public override void Emit(List<CookAction> actions, Dish dish, Way way)
    {
        if (dish.How.Soak.Place(dish, way.LightAt, out _) is not { } soak)
        {
            return;
        }

        Add(actions, dish, soak, Way.PulseId, dish.PulseDry, Keeps(dish), marked: true);
        foreach (var other in dish.OtherPulses.Where(o => o.Pulse.SoakHours.High > 0))
        {
            Add(actions, dish, soak, other.Id, other.Dry, keeps: false, marked: false);
        }
    }

    private static void Add(List<CookAction> actions, Dish dish, SoakPlan soak, string id, Mass dry, bool keeps, bool marked)
    {
        actions.Add(
            new CookAction.Soak(Trigger.At(soak.StartsAt), id, dry * WaterShare, dish.Household.Room)
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
    private static bool Keeps(Dish dish) => dish.KeepsSoakWater && !dish.Pulse.BoilsFirst && dish.Salt != SaltSchool.InTheSoak;
}

/// <summary>Rice that wants it stands in water until it goes in.</summary>
/// <param name="AtLight">It goes in first; else it joins.</param>
internal sealed record SoakRice(bool AtLight) : Stage
{
    public override IReadOnlyList<string> Steps => [StepIds.RiceSoakStarts];

    public override void Emit(List<CookAction> actions, Dish dish, Way way) =>
        actions.AddRange(RiceStart.Soaked(dish, AtLight ? way.LightAt : way.JoinAt));
}

/// <summary>Two or three minutes at the boil, an hour covered off the heat, drained.</summary>
internal sealed record QuickSoak : Stage
{
    public override IReadOnlyList<string> Steps => [StepIds.Light, StepIds.QuickSoak, StepIds.SoakEnds];

    /// <summary>Water over the dry weight.</summary>
    private const double WaterShare = 4;

    private static readonly Duration Boil = Duration.FromMinutes(2.5);

    public override void Emit(List<CookAction> actions, Dish dish, Way way)
    {
        actions.Add(new CookAction.Add(Trigger.At(way.LightAt), Way.PulseId));
        actions.Add(new CookAction.AddWater(Trigger.Next, dish.PulsesDry * WaterShare, dish.Household.Room));
        actions.Add(new CookAction.Cover(Trigger.Next, Lid.On));
        actions.Add(new CookAction.Heat(Trigger.Next, Flame.Full) { StepId = StepIds.Light });
        actions.Add(new CookAction.Heat(Trigger.Once(PotEvent.Boils, Boil), Flame.Off) { StepId = StepIds.QuickSoak });
        actions.Add(new CookAction.Drain(Trigger.Later(LectinGate.QuickSoakRest), null) { StepId = StepIds.SoakEnds });
    }
}
