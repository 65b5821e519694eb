using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Units;
using BrightKettle.Server.Answers;
using NodaTime;

namespace BrightKettle.Server.Planning;

/// <summary>The steps of a plan, from the marks of its cook's actions, in the order of the clock.</summary>
public static class PlanSteps
{
    public static IReadOnlyList<StepDto> Of(Plan plan)
    {
        ArgumentNullException.ThrowIfNull(plan);
        return [.. ByAction(plan).Select(s => s.Step).Concat(InfusionSteps.Of(plan)).OrderBy(s => s.At).ThenBy(Rank)];
    }

    /// <summary>Of the same minute: what goes to the rice comes after it, or before it into its boiling water; the lid comes after what goes
    /// under it, the table last.</summary>
    private static int Rank(StepDto step) =>
        step switch
        {
            { Kind: "rice_bowl" } or { Kind: "salt", Facts.Name: not null } or { Kind: "extra_in", Facts.Place: not null } => 1,
            { Kind: "lock" or "lock_boiled" or "rice_in" } => 2,
            { Kind: "table" } => 3,
            _ => 0,
        };

    /// <summary>Each step with the number of the action that makes it.</summary>
    public static IEnumerable<(int Action, StepDto Step)> ByAction(Plan plan)
    {
        ArgumentNullException.ThrowIfNull(plan);
        return plan
            .Forecast.Moments.Select(m => (m.Action, Step: Step(plan, m)))
            .Where(s => s.Step is not null)
            .Select(s => (s.Action, s.Step!));
    }

    private static StepDto? Step(Plan plan, MomentForecast m)
    {
        var action = plan.Cook.Actions[m.Action];
        var next = m.Action + 1 < plan.Cook.Actions.Count ? plan.Cook.Actions[m.Action + 1] : null;
        return m.StepId switch
        {
            StepIds.SoakStarts => Make(
                plan.Dish.How.Soak.Since is null ? "soak" : "soaking",
                m,
                new(
                    Grams: plan.Dish.PulseDry.Grams,
                    Millilitres: Cold(plan, ((CookAction.Soak)action).Water),
                    Others: Others(plan, o => plan.Trace.BowlAtEnd(o.Id).Soaked is not null),
                    Place: next is CookAction.Chill ? "fridge" : "counter"
                )
            ),
            StepIds.SoakEnds when plan.Dish.Soak == SoakChoice.Quick => Make(
                "quick_drain",
                m,
                new(Millilitres: Cold(plan, ((CookAction.AddWater)next!).Water))
            ),
            StepIds.SoakEnds => Make(
                "drain",
                m,
                new(
                    Hours: Math.Round((m.Reference - plan.Forecast.Find(StepIds.SoakStarts)!.Reference).TotalHours, 1),
                    Place: plan.Trace.BowlAtEnd(((CookAction.Drain)action).IngredientId!).Chilled > m.Action ? "fridge" : "pot"
                )
            ),
            StepIds.SoakChilled => Make("chill", m, new()),
            StepIds.RiceSoakStarts => Make(
                "rice_soak",
                m,
                new(Grams: plan.Dish.RiceDry.Grams, Minutes: plan.Dish.Rice!.SoakMinutes.Typical)
            ),
            StepIds.Light => Make(
                "light",
                m,
                new(
                    Grams: plan.RiceStarts ? plan.Dish.RiceDry.Grams : Math.Round(plan.OnTheScale()),
                    Millilitres: Cold(plan, plan.Cook.Actions.OfType<CookAction.AddWater>().First().Water),
                    OverBedCentimetres: Math.Round(plan.Forecast.Reference.At(m.Action).OverBedCentimetres, 1),
                    Others: Others(plan, o => plan.Trace.PlaceBefore(m.Action, o.Id) >= 0),
                    Ingredient: plan switch
                    {
                        { RiceStarts: true } => "rice",
                        { BothStart: true } => "both",
                        _ => "pulse",
                    },
                    Place: plan.Trace.Before(m.Action).Locked ? "locked"
                        : plan.Dish.Method == Method.Pressure ? "vent"
                        : plan.Dish.Method == Method.SlowCooker && action.In == plan.Dish.Cooker!.Id
                            ? (((CookAction.Heat)action).Flame == Flame.Low ? "crock_low" : "crock")
                        : null
                )
            ),
            StepIds.QuickSoak => Make("quick_soak", m, new(Minutes: next?.Trigger.Delay?.TotalMinutes)),
            StepIds.Lock => Make(
                plan.Forecast.Find(StepIds.HardBoilOver) is null ? "lock" : "lock_boiled",
                m,
                new(Millilitres: Cold(plan, plan.Amounts.FirstWater), Place: ClosedSet.Word(PressureHold.Up(plan.Dish.Cooker!.Cooker!)))
            ),
            StepIds.HoldOver => Make(
                "hold_over",
                m,
                new(
                    Minutes: action.Trigger.Delay?.TotalMinutes,
                    Count: action.Trigger.After == PotEvent.Whistle ? action.Trigger.Count : null
                )
            ),
            StepIds.Opened => Make("opened", m, new()),
            StepIds.SlowStarts => Make("slow_starts", m, new(Place: ClosedSet.Word(((CookAction.Heat)action).Flame))),
            StepIds.BackInPot => Make(
                "move",
                m,
                new(Place: VesselNames.Of(plan.Dish.Vessel), Ingredient: plan.Dish.Method == Method.SlowCooker ? "crock" : "cooker")
            ),
            StepIds.Boils => Make(
                "boil",
                m,
                new(
                    Minutes: next is CookAction.Heat { StepId: StepIds.HardBoilOver, Trigger.Delay: { } hard } ? hard.TotalMinutes : null,
                    Place: next is CookAction.Heat { Flame: Flame.Off } ? "off" : null
                )
            ),
            StepIds.Ready => Look(plan, m, (CookAction.Heat)action),
            StepIds.Join when !plan.BothStart => Make(
                "join",
                m,
                new(
                    Grams: plan.RiceStarts ? Math.Round(plan.OnTheScale()) : Math.Round(plan.RiceOnTheScale),
                    Millilitres: Math.Round(plan.Join!.NeededMillilitres / 10) * 10,
                    OverBedCentimetres: Math.Round(plan.Join.OverBedCentimetres, 1),
                    AddMillilitres: Math.Round(plan.Join.AddedMillilitres.Reference / 10) * 10,
                    Felt: plan.Waits is { } state ? ClosedSet.Word(state) : null,
                    Ingredient: plan.RiceStarts ? "pulse" : "rice",
                    Place: plan.Dish.RiceIsCooked ? "warm"
                        : plan.Dish.StirsRiceIn ? "off"
                        : null
                )
            ),
            StepIds.Seal => Make(
                "seal",
                m,
                new(Minutes: plan.Cook.Actions.Skip(m.Action).Select(a => a.Trigger.Delay).FirstOrDefault(d => d is not null)?.TotalMinutes)
            ),
            StepIds.HeatOff => Make(
                "heat_off",
                m,
                new(
                    Minutes: plan.Dish.RiceRestMinutes,
                    Place: HasTowel(plan, m.Action) ? "towel" : null,
                    EveryMinutes: action.Trigger.Look?.Again.TotalMinutes,
                    AddMillilitres: action.Trigger.Look?.NotYet is { Sprinkle.Grams: > 0 and var grams }
                        ? Math.Round(grams / 10) * 10
                        : null,
                    Count: (int?)action.Trigger.Look?.LidOff?.Longest.TotalMinutes
                )
            ),
            StepIds.Mash => Make("mash", m, new()),
            StepIds.Base => Make(
                "base",
                m,
                new(
                    Name: string.Join(", ", plan.Fried.Select(x => x.Extra.Name.ToLowerInvariant())),
                    Minutes: plan.BaseMinutes,
                    Place: plan.Forecast.Find(StepIds.Lock) is null ? null : "locked"
                )
            ),
            StepIds.Season => Make("season", m, new(Minutes: plan.SeasonMinutes)),
            StepIds.Bind => Make("bind", m, Binding((CookAction.Thicken)action)),
            StepIds.Fold => Make("fold", m, new(Name: VesselNames.Of(plan.Dish.RiceVessel!.Vessel))),
            StepIds.BoilUp => Make("boil_up", m, new()),
            StepIds.BackHot => Make("back_hot", m, new()),
            StepIds.OffToGo => Make("off_to_go", m, new()),
            StepIds.Reheat => Make("reheat", m, new(Minutes: Minutes(plan.BoilDownMinutes))),
            StepIds.OtherIn => OtherIn(plan, m, ((CookAction.Add)action).IngredientId),
            StepIds.OtherSoft => Make(
                "other_soft",
                m,
                new(
                    EveryMinutes: action.Trigger.Look!.Again.TotalMinutes,
                    Felt: ClosedSet.Word(Doneness.Felt(action.Trigger.Look.Doneness, null)),
                    Place: plan.DrainsAtLook ? "drained"
                        : action is CookAction.Heat { Flame: Flame.Warm } ? "hot"
                        : null
                )
            ),
            StepIds.Salt when plan.Dish.RiceVessel is { } own && action.In == own.Vessel.Id => Make(
                "salt",
                m,
                new(
                    Grams: ((CookAction.AddSalt)action).Salt.Grams,
                    Name: VesselNames.Of(own.Vessel),
                    Place: plan.Dish.Has(AskedStage.Plenty) ? "plenty" : null
                )
            ),
            StepIds.Salt => Make(
                "salt",
                m,
                new(
                    Grams: ((CookAction.AddSalt)action).Salt.Grams,
                    Pieces: plan.Dish.LittleOnes > 0 ? plan.Dish.LittleOnes : null,
                    Salty: PlanMapper.LittleSalty(plan)
                )
            ),
            StepIds.ExtraIn => Extra(plan, m, ((CookAction.Add)action).IngredientId, "extra_in"),
            StepIds.TakeOut => Extra(plan, m, ((CookAction.TakeOut)action).IngredientId, "take_out"),
            StepIds.RiceLight => Make(
                plan.Dish.RiceVessel is { Vessel.Cooker: not null } ? "rice_cooker"
                    : plan.Dish.Has(AskedStage.Plenty) ? "rice_water"
                    : "rice_light",
                m,
                new(
                    Grams: plan.Dish.RiceDry.Grams,
                    Millilitres: Cold(plan, plan.Cook.Actions.Take(m.Action).OfType<CookAction.AddWater>().Last().Water),
                    Place: VesselNames.Of(plan.Dish.RiceVessel!.Vessel)
                )
            ),
            StepIds.RiceBowl => Make(
                "rice_bowl",
                m,
                new(Grams: plan.Dish.RiceDry.Grams, Millilitres: Cold(plan, ((CookAction.AddWater)action).Water))
            ),
            StepIds.RiceOut => Make("rice_out", m, new()),
            StepIds.Drained => Make("drained", m, new()),
            StepIds.Poured => Make("poured", m, new(Place: VesselNames.Of(plan.Dish.How.Rice.Takes!.Vessel))),
            StepIds.Lifted => Make("lifted", m, Lifting(plan)),
            StepIds.PutBack => Make("put_back", m, Lifting(plan)),
            StepIds.RiceRested when plan.Dish.RiceVessel is { Above: true } => Make("rice_covered", m, new()),
            StepIds.RiceBase => Make(
                "rice_base",
                m,
                new(
                    Name: string.Join(", ", plan.FriedForRice.Select(x => x.Extra.Name.ToLowerInvariant())),
                    Minutes: plan.RiceBaseMinutes,
                    Place: VesselNames.Of(plan.Dish.RiceVessel!.Vessel)
                )
            ),
            StepIds.RiceWarm => Make(
                "rice_warm",
                m,
                new(Minutes: plan.Dish.RiceRestMinutes, Place: VesselNames.Of(plan.Dish.RiceVessel!.Vessel))
            ),
            StepIds.RiceIn => Make("rice_in", m, new(Grams: plan.Dish.RiceDry.Grams)),
            StepIds.RiceBoils when plan.Dish.Has(AskedStage.Plenty) => Make(
                "rice_boils_in_plenty",
                m,
                new(Minutes: next?.Trigger.Delay?.TotalMinutes)
            ),
            StepIds.RiceDrained => Make(
                "rice_drained",
                m,
                new(Minutes: plan.Dish.RiceRestMinutes, Place: HasTowel(plan, m.Action) ? "towel" : null)
            ),
            StepIds.RiceBoils => Make("rice_boils", m, new(Minutes: plan.Cook.Actions[m.Action + 2].Trigger.Delay?.TotalMinutes)),
            StepIds.RiceCrust => Make("rice_crust", m, new(Minutes: plan.Cook.Actions[m.Action + 1].Trigger.Delay?.TotalMinutes)),
            StepIds.RiceOff => Make(
                "rice_off",
                m,
                new(Minutes: plan.Dish.RiceRestMinutes, Place: HasTowel(plan, m.Action) ? "towel" : null)
            ),
            StepIds.RiceRested => Make("rice_rested", m, new()),
            StepIds.Finish => Make(
                "finish",
                m,
                new(
                    Millilitres: action is CookAction.SetLiquor measure ? Hot(measure.Liquor) : null,
                    Minutes: action is CookAction.SetLiquor ? Minutes(plan.BoilDownMinutes) : null,
                    Drained: action is CookAction.Drain
                )
            ),
            StepIds.Table => Make("table", m, new()),
            _ => null,
        };
    }

    /// <summary>A cloth comes under the lid in the same go.</summary>
    private static bool HasTowel(Plan plan, int action) =>
        plan
            .Cook.Actions.Skip(action + 1)
            .TakeWhile(a => a.Trigger == Trigger.Next)
            .Any(a => a is CookAction.Cover { With: SealMaterial.Towel });

    private static StepFactsDto Binding(CookAction.Thicken bind) =>
        new(Grams: bind.Starch.Grams, Millilitres: Math.Round(bind.Water.Grams));

    private static StepDto OtherIn(Plan plan, MomentForecast m, string id)
    {
        var other = plan.Dish.OtherPulses.First(o => o.Id == id);
        return Make(
            "other_in",
            m,
            new(Grams: Math.Round(plan.OnTheScale(other.Id)), Name: other.Pulse.Said, Place: plan.RiceIsIn(m.Action) ? "rice" : "pot")
        );
    }

    /// <summary>Further pulses that share a step; null where none does.</summary>
    private static List<PartDto>? Others(Plan plan, Func<OtherPulse, bool> which)
    {
        List<PartDto> parts =
        [
            .. plan
                .Dish.OtherPulses.Where(which)
                .Select(o => new PartDto(Math.Round(plan.OnTheScale(o.Id)), o.Pulse.Said.ToLowerInvariant())),
        ];
        return parts.Count == 0 ? null : parts;
    }

    /// <summary>The looks start before the reference pot is ready, so the step stands at the first look.</summary>
    private static StepDto Look(Plan plan, MomentForecast m, CookAction.Heat action)
    {
        // Under pressure and in a slow cooker the first look is when it can be had at all.
        var first = action.Trigger.NotBefore ?? Instant.Max(m.Early, plan.Forecast.Find(StepIds.Opened)?.Reference ?? m.Early);
        return new(
            "look",
            first.ToDateTimeOffset(),
            m.Early.ToDateTimeOffset(),
            m.Late.ToDateTimeOffset(),
            new(
                EveryMinutes: action.Trigger.Look!.Again.TotalMinutes,
                Felt: LookedFor(plan, action.Trigger.Look),
                Minutes: action.Trigger.Look.NotYet?.LockAgain?.Held.TotalMinutes,
                Place: plan.Dish.Method == Method.SlowCooker ? "crock"
                    : LiftsAtOnce(plan) ? "lifted"
                    : JoinsAtOnce(plan) ? (plan.Dish.RiceInPot is null ? "go_on" : "at_once")
                    : plan.DrainsAtLook && LiftedFor(plan) is null ? "drained"
                    : action.Flame == Flame.Warm && plan.Dish.Method != Method.SlowCooker
                        ? (plan.Forecast.Find(StepIds.OffToGo) is null ? "hot" : "until_gone")
                    : null
            )
        );
    }

    /// <summary>The state that ends the looks: past soft it is what the dish wants.</summary>
    private static string? LookedFor(Plan plan, Look look) =>
        look.Doneness > Doneness.Anchor(FeltState.Soft) && plan.Dish.Targets.Usual(plan.Dish.Pulse) is var target and > PulseTarget.Whole
            ? ClosedSet.Word(target)
        : plan.Waits is { } state ? ClosedSet.Word(state)
        : null;

    /// <summary>The pulse that cooks in the liquor of the one that is lifted out; null where that is rice.</summary>
    private static string? LiftedFor(Plan plan) =>
        plan.Cook.Actions.FirstOrDefault(a => a.StepId == StepIds.OtherIn) is CookAction.Add add
            ? plan.Dish.OtherPulses.First(o => o.Id == add.IngredientId).Pulse.Said.ToLowerInvariant()
            : null;

    private static StepFactsDto Lifting(Plan plan) => LiftedFor(plan) is { } name ? new(Name: name, Place: "pulses") : new();

    private static bool LiftsAtOnce(Plan plan) =>
        LiftedFor(plan) is not null && plan.Cook.Actions.Any(a => a is { StepId: StepIds.Lifted, Trigger.NotBefore: null });

    /// <summary>The rice goes in with the look that says yes, and does not wait for an hour.</summary>
    private static bool JoinsAtOnce(Plan plan) =>
        plan.Cook.Actions.FirstOrDefault(a =>
            a.StepId is StepIds.Drained or StepIds.Lifted or StepIds.Poured or StepIds.Reheat or StepIds.SetLiquor
        )
            is { Trigger.NotBefore: null };

    private static StepDto Extra(Plan plan, MomentForecast m, string id, string kind)
    {
        var extra = plan.Dish.Extras.First(x => x.Id == id);
        return Make(
            kind,
            m,
            new(
                Grams: Math.Round(extra.Amount.Grams),
                Name: extra.Extra.Name,
                Blanched: extra.Blanched ? true : null,
                Pieces: extra.Pieces > 0 ? extra.Pieces : null,
                Place: extra.Time == ExtraTime.Rice ? VesselNames.Of(plan.Dish.RiceVessel!.Vessel) : null
            )
        );
    }

    private static StepDto Make(string kind, MomentForecast m, StepFactsDto facts) =>
        new(kind, m.Reference.ToDateTimeOffset(), m.Early.ToDateTimeOffset(), m.Late.ToDateTimeOffset(), facts);

    private static double? Minutes(double minutes) => minutes > 0 ? minutes : null;

    private static double Cold(Plan plan, Mass water) => Math.Round(Volume.OfWater(water, plan.Dish.Household.Room).Millilitres / 10) * 10;

    private static double Hot(Mass water) => Math.Round(Volume.OfWater(water, Temperature.FromCelsius(90)).Millilitres / 10) * 10;
}
