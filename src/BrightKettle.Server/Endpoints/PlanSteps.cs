using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Units;
using BrightKettle.Server.Contracts;
using BrightKettle.Server.Formats;
using NodaTime;

namespace BrightKettle.Server.Endpoints;

/// <summary>The steps of a plan, from the marks of its cook's actions, in the order of the clock.</summary>
public static class PlanSteps
{
    public static IReadOnlyList<StepDto> Of(Plan plan)
    {
        ArgumentNullException.ThrowIfNull(plan);
        return [.. ByAction(plan).Select(s => s.Step).OrderBy(s => s.At).ThenBy(Rank)];
    }

    /// <summary>Of the same minute: the lid comes after what goes under it, the table last.</summary>
    private static int Rank(StepDto step) => step switch { { Kind: "rice_bowl" } or { Kind: "salt", Facts.Name: not null } => 1, { Kind: "lock" } => 2, { Kind: "table" } => 3, _ => 0 };

    /// <summary>Each step with the number of the action that makes it.</summary>
    public static IEnumerable<(int Action, StepDto Step)> ByAction(Plan plan)
    {
        ArgumentNullException.ThrowIfNull(plan);
        return plan.Forecast.Milestones.Select(m => (m.Action, Step: Step(plan, m))).Where(s => s.Step is not null).Select(s => (s.Action, s.Step!));
    }

    private static StepDto? Step(Plan plan, Milestone m)
    {
        var action = plan.Cook.Actions[m.Action];
        var next = m.Action + 1 < plan.Cook.Actions.Count ? plan.Cook.Actions[m.Action + 1] : null;
        return m.Mark switch
        {
            Marks.SoakStarts => Make("soak", m, new(
                Grams: plan.Dish.PulseDry.Grams,
                Millilitres: Cold(plan, ((CookAction.Soak)action).Water),
                Name: Others(plan, o => plan.Cook.Actions.OfType<CookAction.Soak>().Any(s => s.IngredientId == o.Id)),
                Place: next is CookAction.Chill ? "fridge" : "counter")),
            Marks.SoakEnds when plan.Dish.Soak == SoakChoice.Quick => Make("quick_drain", m, new(Millilitres: Cold(plan, ((CookAction.AddWater)next!).Water))),
            Marks.SoakEnds => Make("drain", m, new(
                Hours: Math.Round((m.Reference - plan.Forecast.Find(Marks.SoakStarts)!.Reference).TotalHours, 1),
                Place: plan.Cook.Actions.Skip(m.Action).Take(3).Any(a => a is CookAction.Chill) ? "fridge" : "pot")),
            Marks.SoakChilled => Make("chill", m, new()),
            Marks.RiceSoakStarts => Make("rice_soak", m, new(Grams: plan.Dish.RiceDry.Grams, Minutes: plan.Dish.Rice!.SoakMinutes.Typical)),
            Marks.Light => Make("light", m, new(
                Grams: plan.Order == Order.RiceFirst ? plan.Dish.RiceDry.Grams : Math.Round(plan.OnTheScale()),
                Millilitres: Cold(plan, plan.Cook.Actions.OfType<CookAction.AddWater>().First().Water),
                OverBedCentimetres: Math.Round(plan.Forecast.Reference.At(m.Action).OverBedCentimetres, 1),
                Name: Others(plan, o => plan.Cook.Actions.OfType<CookAction.Add>().Any(a => a.IngredientId == o.Id && a.Mark is null)),
                Ingredient: plan.Order switch { Order.RiceFirst => "rice", Order.Together => "both", _ => "pulse" },
                Place: m.Action > 0 && plan.Cook.Actions[m.Action - 1] is CookAction.Pressurise ? "locked" : null)),
            Marks.QuickSoak => Make("quick_soak", m, new(Minutes: next?.When.Delay?.TotalMinutes)),
            Marks.Lock => Make("lock", m, new(Millilitres: Cold(plan, plan.Amounts.FirstWater), Place: CookWriter.Word(PressureHold.Up(plan.Dish.Cooker!.Cooker!)))),
            Marks.HoldOver => Make("hold_over", m, new(Minutes: action.When.Delay?.TotalMinutes, Count: action.When.After == PotEvent.Whistle ? action.When.Count : null)),
            Marks.Opened => Make("opened", m, new()),
            Marks.SlowStarts => Make("slow_starts", m, new()),
            Marks.Boils => Make("boil", m, new(Minutes: next is CookAction.Heat { Mark: Marks.HardBoilOver, When.Delay: { } hard } ? hard.TotalMinutes : null)),
            Marks.Ready => Look(plan, m, (CookAction.Heat)action),
            Marks.Join when plan.Order != Order.Together => Make("join", m, new(
                Grams: plan.Order == Order.RiceFirst ? Math.Round(plan.OnTheScale()) : plan.Dish.RiceDry.Grams,
                Millilitres: Math.Round(plan.Join!.NeededMillilitres / 10) * 10,
                OverBedCentimetres: Math.Round(plan.Join.OverBedCentimetres, 1),
                AddMillilitres: Math.Round(plan.Join.AddedMillilitres.Reference / 10) * 10,
                Felt: plan.Waits is { } state ? CookWriter.Word(state) : null,
                Ingredient: plan.Order == Order.RiceFirst ? "pulse" : "rice")),
            Marks.Seal => Make("seal", m, new(Minutes: plan.Cook.Actions.Skip(m.Action).Select(a => a.When.Delay).FirstOrDefault(d => d is not null)?.TotalMinutes)),
            Marks.HeatOff => Make("heat_off", m, new(Minutes: plan.Dish.Rice!.RestMinutes.Typical)),
            Marks.Reheat => Make("reheat", m, new()),
            Marks.OtherIn => OtherIn(plan, m, ((CookAction.Add)action).IngredientId),
            Marks.OtherSoft => Make("other_soft", m, new(EveryMinutes: action.When.Look!.Again.TotalMinutes, Felt: CookWriter.Word(Doneness.Felt(action.When.Look.Doneness, null)))),
            Marks.Salt when plan.Dish.RiceApart is { } own && action.In == own.Vessel.Id => Make("salt", m, new(Grams: ((CookAction.AddSalt)action).Salt.Grams, Name: own.Vessel.Name)),
            Marks.Salt => Make("salt", m, new(Grams: ((CookAction.AddSalt)action).Salt.Grams, Pieces: plan.Dish.LittleOnes > 0 ? plan.Dish.LittleOnes : null)),
            Marks.ExtraIn => Extra(plan, m, ((CookAction.Add)action).IngredientId, "extra_in"),
            Marks.TakeOut => Extra(plan, m, ((CookAction.TakeOut)action).IngredientId, "take_out"),
            Marks.RiceLight => Make("rice_light", m, new(
                Grams: plan.Dish.RiceDry.Grams,
                Millilitres: Cold(plan, plan.Cook.Actions.Take(m.Action).OfType<CookAction.AddWater>().Last().Water),
                Place: plan.Dish.RiceApart!.Vessel.Name)),
            Marks.RiceBowl => Make("rice_bowl", m, new(Grams: plan.Dish.RiceDry.Grams, Millilitres: Cold(plan, ((CookAction.AddWater)action).Water))),
            Marks.RiceOut => Make("rice_out", m, new()),
            Marks.RiceRested when plan.Dish.RiceApart is { Above: true } => Make("rice_covered", m, new()),
            Marks.RiceBoils => Make("rice_boils", m, new(Minutes: plan.Cook.Actions[m.Action + 2].When.Delay?.TotalMinutes)),
            Marks.RiceOff => Make("rice_off", m, new(Minutes: next?.When.Delay?.TotalMinutes)),
            Marks.RiceRested => Make("rice_rested", m, new()),
            Marks.Finish => Make("finish", m, new(
                Millilitres: action is CookAction.Measure measure ? Hot(measure.Liquor) : null,
                Drained: action is CookAction.Drain)),
            Marks.Table => Make("table", m, new()),
            _ => null,
        };
    }

    private static StepDto OtherIn(Plan plan, Milestone m, string id)
    {
        var other = plan.Dish.Others.First(o => o.Id == id);
        var withRice = plan.Cook.Actions.Take(m.Action).Any(a => a.Mark == Marks.Join);
        return Make("other_in", m, new(Grams: Math.Round(plan.OnTheScale(other.Id)), Name: other.Pulse.Said, Place: withRice ? "rice" : "pot"));
    }

    /// <summary>Further pulses that share a step, as 150 g pinto beans; null where none does.</summary>
    private static string? Others(Plan plan, Func<OtherPulse, bool> which)
    {
        var names = plan.Dish.Others.Where(which).Select(o => FormattableString.Invariant($"{plan.OnTheScale(o.Id):0} g {o.Pulse.Said.ToLowerInvariant()}")).ToList();
        return names.Count == 0 ? null : string.Join(" and ", names);
    }

    /// <summary>The looks start before the reference pot is ready, so the step stands at the first look.</summary>
    private static StepDto Look(Plan plan, Milestone m, CookAction.Heat action)
    {
        // Under pressure and in a slow cooker the first look is when it can be had at all.
        var first = action.When.NotBefore ?? Instant.Max(m.Early, plan.Forecast.Find(Marks.Opened)?.Reference ?? m.Early);
        return new(
            "look",
            first.ToDateTimeOffset(),
            m.Early.ToDateTimeOffset(),
            m.Late.ToDateTimeOffset(),
            new(EveryMinutes: action.When.Look!.Again.TotalMinutes, Felt: plan.Waits is { } state ? CookWriter.Word(state) : null));
    }

    private static StepDto Extra(Plan plan, Milestone m, string id, string kind)
    {
        var extra = plan.Dish.Extras.First(x => x.Id == id);
        return Make(kind, m, new(Grams: Math.Round(extra.Amount.Grams), Name: extra.Blanched ? $"{extra.Extra.Name}, blanched" : extra.Extra.Name, Pieces: extra.Pieces > 0 ? extra.Pieces : null));
    }

    private static StepDto Make(string kind, Milestone m, StepFactsDto facts) =>
        new(kind, m.Reference.ToDateTimeOffset(), m.Early.ToDateTimeOffset(), m.Late.ToDateTimeOffset(), facts);

    private static double Cold(Plan plan, Mass water) => Math.Round(Volume.OfWater(water, plan.Dish.Household.Room).Millilitres / 10) * 10;

    private static double Hot(Mass water) => Math.Round(Volume.OfWater(water, Temperature.FromCelsius(90)).Millilitres / 10) * 10;
}
