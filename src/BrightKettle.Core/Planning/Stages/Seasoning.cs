using BrightKettle.Core.Cooking;
using BrightKettle.Core.Units;

namespace BrightKettle.Core.Planning.Stages;

/// <summary>What stages share: extras, salt, and what must come out again.</summary>
internal static class Seasoning
{
    /// <summary>What goes in at this time, and at the join out with the chilli before it bursts.</summary>
    public static void AddExtras(this List<CookAction> actions, Dish dish, ExtraTime time)
    {
        actions.AddRange(
            dish.Extras.Where(x => x.Time == time && !dish.FriesFirst(x))
                .Select(x => new CookAction.Add(Trigger.Next, x.Id) { StepId = StepIds.ExtraIn })
        );
        if (time == ExtraTime.Join)
        {
            actions.AddRange(
                dish.Extras.Where(BurstsSoon).Select(x => new CookAction.TakeOut(Trigger.Next, x.Id) { StepId = StepIds.TakeOut })
            );
        }
    }

    private static bool BurstsSoon(DishExtra x) => x is { Extra: { ComesOut: true, Id: "whole_chilli" }, Time: ExtraTime.Start };

    /// <summary>A cloth under the lid, once the flame is out.</summary>
    public static void AddTowel(this List<CookAction> actions, Dish dish)
    {
        if (dish.Has(AskedStage.Towel))
        {
            actions.Add(new CookAction.Cover(Trigger.Next, Lid.On) { With = SealMaterial.Towel });
        }
    }

    public static void AddSalt(this List<CookAction> actions, Dish dish, SaltSchool now)
    {
        // What a brine leaves to add goes in with the rice.
        if (dish.SaltGrams > 0 && now == (dish.Salt == SaltSchool.InTheSoak ? SaltSchool.WithTheRice : dish.Salt))
        {
            actions.Add(new CookAction.AddSalt(Trigger.Next, Mass.FromGrams(dish.SaltGrams)) { StepId = StepIds.Salt });
        }
    }

    /// <summary>Leaves and sticks come out, and the dish goes to the table.</summary>
    /// <param name="after">A step in another vessel that the table waits for; null for none.</param>
    public static void AddServe(this List<CookAction> actions, Dish dish, Trigger when, string? after)
    {
        foreach (var x in dish.Extras.Where(x => x.Extra.ComesOut && x.Time != ExtraTime.Rice && !BurstsSoon(x)))
        {
            actions.Add(new CookAction.TakeOut(when, x.Id) { StepId = StepIds.TakeOut });
            when = Trigger.Next;
        }

        if (dish.SaltGrams > 0 && dish.Salt == SaltSchool.AtTheTable)
        {
            actions.Add(new CookAction.AddSalt(when, Mass.FromGrams(dish.SaltGrams)) { StepId = StepIds.Salt });
            when = Trigger.Next;
        }

        actions.Add(new CookAction.Serve(when with { AfterStep = after }) { StepId = StepIds.Table });
    }

    /// <summary>Into fresh water with what belongs in from the start.</summary>
    public static void AddFirst(this List<CookAction> actions, Dish dish, Way way)
    {
        actions.AddRange(way.FromTheStart(dish).Select(o => new CookAction.Add(Trigger.Next, o.Id)));
        actions.AddExtras(dish, ExtraTime.Start);
        actions.AddSalt(dish, SaltSchool.AtTheStart);
    }
}
