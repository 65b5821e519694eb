using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Planning;

/// <summary>How pulses by themselves come to the table.</summary>
internal sealed partial record Way
{
    /// <summary>What shall be firm, and dry, is drained when it is found so: in its hot water it would go on softening. It stands covered
    /// until the table, within the hour.</summary>
    public bool DrainsAtLook(Dish dish) =>
        Order == JoinOrder.PulseAlone
        && dish is { Style: Style.Dry, Method: Method.OpenPot, WaitsHot: false, OtherPulses.Count: 0 }
        && dish.Targets.Usual(dish.Pulse) == PulseTarget.Firm
        && HotUntil is null
        && !(dish.BoilsFirst && dish.Soak == SoakChoice.None)
        && dish.Extras.All(x => x.Time == ExtraTime.Start);

    /// <summary>Tender pulses may have waited an hour: they come to the boil once more, so that nothing is served lukewarm.</summary>
    private void AddAloneEnd(List<CookAction> actions, Dish dish)
    {
        if (DrainsAtLook(dish))
        {
            AddSalt(actions, dish, SaltSchool.WithTheRice);
            AddServe(actions, dish, Trigger.At(JoinAt));
            return;
        }

        actions.Add(new CookAction.Heat(Trigger.At(JoinAt), Flame.Full) { StepId = StepIds.Reheat });
        AddExtras(actions, dish, ExtraTime.Join);
        var boils = Trigger.Once(PotEvent.Boils);
        var last = dish.Extras.Where(x => x.Time != ExtraTime.Start).ToList();
        if (last.Count > 0)
        {
            actions.Add(new CookAction.Heat(boils, Flame.Gentle));
            AddExtras(actions, dish, ExtraTime.Late);
            boils = Trigger.Later(Duration.FromMinutes(Math.Ceiling(last.Max(x => x.LeastMinutes))));
        }

        actions.Add(
            dish.Style == Style.Dry
                ? new CookAction.Drain(boils, null) { StepId = StepIds.Finish }
                : new CookAction.SetLiquor(boils, Mass.FromGrams(dish.WantedLiquorGrams)) { StepId = StepIds.Finish }
        );
        // What is poured off would take its share along.
        AddSalt(actions, dish, SaltSchool.WithTheRice);
        actions.Add(new CookAction.Heat(Trigger.Next, Flame.Off));
        AddServe(actions, dish, Trigger.Next);
    }
}
