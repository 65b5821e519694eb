using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Learning;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Safety;
using BrightKettle.Core.Stove;
using BrightKettle.Core.Units;
using BrightKettle.Server.Answers;
using BrightKettle.Server.Kitchen;
using BrightKettle.Server.Planning;
using NodaTime;

namespace BrightKettle.Server.Stove;

/// <summary>From a standing of the core to what the page shows. Rounds and names; computes nothing.</summary>
public static partial class StoveMapper
{
    /// <summary>What rings may be put off by so much.</summary>
    private static readonly Duration Snooze = Duration.FromMinutes(3);

    /// <summary>What is due within this may ring before the state is asked for again.</summary>
    private static readonly Duration Soon = Duration.FromMinutes(15);

    /// <summary>What was told is shown back so far; a page that wants all of it asks for the record.</summary>
    private const int MostTold = 60;

    private const double Low = 0.1;
    private const double High = 0.9;

    /// <summary>What a bag must have told of itself before it is worth a word: its doubt down to this share of what it was.</summary>
    private const double ToldEnough = 0.85;

    /// <summary>Or its middle has moved by so much.</summary>
    private const double MovedEnough = 0.08;

    /// <summary>Minutes that a look under a locked lid costs: release and coming up again (10 to 20, confidence C).</summary>
    private const double LookUnderPressure = 15;

    public static StoveDto Map(
        StoredEvening stored,
        EveningForecast ahead,
        IReadOnlyList<StoveChangeDto> changes,
        KitchenState kitchen,
        EveningForecaster forecaster
    )
    {
        ArgumentNullException.ThrowIfNull(stored);
        ArgumentNullException.ThrowIfNull(ahead);
        ArgumentNullException.ThrowIfNull(kitchen);
        ArgumentNullException.ThrowIfNull(forecaster);
        var started = stored.Started;
        var evening = ahead.Evening;
        var served = evening.ServedAt;
        var moments = Moments(stored, ahead, kitchen, forecaster);
        var late = ahead.Table is { } table && served is null ? (table.At - Instant.FromDateTimeOffset(started.WantedAt)).TotalMinutes : 0;
        return new(
            stored.Row.Id,
            stored.Row.Title,
            started.PulseName,
            started.RiceName,
            started.Order,
            started.RiceRinse,
            kitchen.Row.Zone,
            ahead.Now.ToDateTimeOffset(),
            stored.Row.Version,
            started.WantedAt,
            ahead.Table is { } t && served is null ? Span(t) : null,
            ahead.Forecast.ShareTender,
            Math.Max(0, Math.Round(late)),
            Vessels(evening, started.Dish, kitchen),
            moments,
            served is null
                ? moments
                    .Where(m => m.State == "waiting")
                    .OrderBy(m => m.Due?.At ?? DateTimeOffset.MaxValue)
                    .Select(m => m.Id)
                    .FirstOrDefault()
                : null,
            Pot(ahead),
            Seeds(ahead),
            [.. evening.ComesOut().Select(i => new InsideDto(i.IngredientId, i.Name, i.Pieces, i.Out))],
            stored.Told.Count(t => t is { Undone: false, Entry.Tells: EntryKind.Water }),
            stored.Told.Where(t => t is { Undone: false, Entry.Tells: EntryKind.Water }).Sum(t => t.Entry.Millilitres ?? 0),
            changes,
            Learned(ahead),
            [
                .. stored
                    .Told.TakeLast(MostTold)
                    .Select(e => new ToldDto(
                        e.Entry,
                        e.RecordedAt,
                        e.Undone,
                        e.Entry.MomentId is { } m && started.Steps.TryGetValue(m, out var steps) ? MainStep(steps) : null
                    )),
            ],
            [.. stored.Conflicts().Select(c => new StoveConflictDto(c.Holds.Entry, c.Other.Entry))],
            VisitsOf(stored, ahead, kitchen),
            [.. started.Cautions.Select(CautionDto.Of)],
            served is null ? Gates(ahead) : [],
            served is { } at ? After(stored, ahead, at, kitchen) : null,
            evening.Course,
            ahead.Forecast.Points.Count > 0 && served is null ? ForecastMapper.Map(ahead.Forecast, [], []).Series : null,
            stored.Told.Count,
            SetAsideFrom: null
        );
    }

    /// <summary>What blocks in what was done or is to come, each once.</summary>
    private static List<GateDto> Gates(EveningForecast ahead) =>
        [
            .. ahead
                .Forecast.Gates.Where(g => g.Blocks)
                .DistinctBy(g => g.Code)
                .Select(g => new GateDto(g.Code, g.IngredientId, null, g.Blocks)),
        ];

    private static List<VisitDto> VisitsOf(StoredEvening stored, EveningForecast ahead, KitchenState kitchen)
    {
        var evening = ahead.Evening;
        var gas = Vessels(evening, stored.Started.Dish, kitchen).Where(v => v.Gas).Select(v => v.Id).ToHashSet();
        var told = stored.Told.Where(t => !t.Undone).Select(t => t.Entry).ToList();
        // The rest of something of which a part went in, until it has gone in too.
        var halves = told.Where(e =>
            e.Tells == EntryKind.Later
            && evening.ServedAt is null
            && !told.Any(x => x.Tells == EntryKind.WentIn && x.Ingredient == e.Ingredient && x.OccurredAt > e.OccurredAt)
        );
        return
        [
            .. Visits
                .Of(ahead, gas)
                .Select(v => new VisitDto(
                    v.Code,
                    v.VesselId,
                    VesselNames.Of(evening.Cook.Kitchen[evening.Cook.Kitchen.IndexOf(v.VesselId)].Vessel),
                    v.At.ToDateTimeOffset(),
                    v.IngredientId,
                    Grams: v.Grams
                )),
            .. halves.Select(e => new VisitDto(
                "second_half",
                evening.Cook.Kitchen.Vessel.Id,
                VesselNames.Of(evening.Cook.Kitchen.Vessel),
                e.OccurredAt.AddMinutes(e.Count ?? 0),
                e.Ingredient,
                PulseCatalogue.Shipped.FindExtra(e.Ingredient ?? string.Empty)?.Name,
                e.Grams
            )),
        ];
    }

    private static SpanOfTimeDto Span(DueForecast due) =>
        new(due.Early.ToDateTimeOffset(), due.At.ToDateTimeOffset(), due.Late.ToDateTimeOffset());

    private static List<StoveVesselDto> Vessels(EveningState evening, DishDto dish, KitchenState kitchen) =>
        [
            .. Enumerable
                .Range(0, evening.Cook.Kitchen.VesselCount)
                .Select(v => evening.Cook.Kitchen[v])
                .Select(
                    (v, i) =>
                        new StoveVesselDto(
                            v.Vessel.Id,
                            VesselNames.Of(v.Vessel),
                            i,
                            v.Vessel.Cooker is { UnderPressure: true },
                            v.Vessel.Cooker is null or { Stovetop: true } && kitchen.IsGas(dish.BurnerId),
                            Math.Round(v.Vessel.AreaSquareCentimetres / 10) * 10,
                            Math.Round(v.Vessel.HeightCentimetres, 1)
                        )
                ),
        ];

    private static List<StoveMomentDto> Moments(
        StoredEvening stored,
        EveningForecast ahead,
        KitchenState kitchen,
        EveningForecaster forecaster
    )
    {
        var evening = ahead.Evening;
        var first = new HashSet<string>();
        var list = new List<StoveMomentDto>();
        foreach (var status in evening.Moments.Where(m => m.State != MomentState.Dropped))
        {
            var moment = status.Moment;
            var waiting = status.State == MomentState.Waiting;
            var leads = waiting && first.Add(moment.Lane);
            var due = ahead.Due.FirstOrDefault(d => d.MomentId == moment.Id);
            var steps = (stored.Started.Steps.TryGetValue(moment.Id, out var known) ? known : [])
                .Where(s => !IsInAlready(evening, s))
                .Select(s =>
                    waiting && s is { Kind: "salt", Facts.Grams: { } salt }
                        ? WithSalt(s, evening.SaltLeft(Mass.FromGrams(salt), moment.Lane))
                        : s
                )
                .ToList();
            var main = MainStep(steps) ?? Unplanned(evening, moment, status.DoneAt ?? due?.At ?? ahead.Now);
            var vessel = moment.InBowl ? -1 : evening.Cook.Kitchen.IndexOf(moment.Lane);
            list.Add(
                new(
                    moment.Id,
                    moment.Lane,
                    vessel >= 0 ? VesselNames.Of(evening.Cook.Kitchen[vessel].Vessel) : null,
                    vessel,
                    ClosedSet.Word(status.State),
                    main,
                    [.. steps.Where(s => s != main)],
                    [.. moment.Actions.Select(a => Deed(a, evening.Cook)).OfType<DeedDto>()],
                    Waits(ahead, moment, leads),
                    due is null || !waiting ? null : Span(due),
                    status.DoneAt?.ToDateTimeOffset(),
                    status.DoneBy,
                    waiting
                    && due is not null
                    && moment.Actions.OfType<CookAction.SetLiquor>().FirstOrDefault(a => a.StepId == StepIds.SetLiquor) is { } measure
                        ? Join(ahead, measure, due)
                        : null,
                    leads || (waiting && moment.Actions.Any(StoveGates.StandsFromFarOff))
                        ? StoveGates.Before(evening, moment, ahead.Now, kitchen)
                        : null,
                    waiting && due is not null && (leads || due.At - ahead.Now < Soon) ? PutOffOf(ahead, moment, forecaster) : null
                )
            );
        }

        return [.. list.OrderBy(m => m.DoneAt ?? m.Due?.At ?? DateTimeOffset.MaxValue)];
    }

    /// <summary>A step that asks for something which is in already.</summary>
    private static bool IsInAlready(EveningState evening, StepDto step) =>
        step.Kind == "extra_in"
        && evening.Cook.Ingredients.OfType<ExtraIngredient>().Any(x => x.Extra.Name == step.Facts.Name && evening.IsInAlready(x.Id));

    private static StepDto WithSalt(StepDto step, Mass left) => step with { Facts = step.Facts with { Grams = Math.Round(left.Grams) } };

    /// <summary>What putting a moment off by one press of the alarm costs; null where nothing is known of it.</summary>
    private static PutOffDto? PutOffOf(EveningForecast ahead, Moment moment, EveningForecaster forecaster)
    {
        if (forecaster.Later(ahead, moment.Id, Snooze) is not { } later)
        {
            return null;
        }

        string? Changed<T>()
            where T : Ingredient =>
            StoveAnswers.FeltAtTable<T>(ahead.Cook, later.Run) is { } then
            && then != StoveAnswers.FeltAtTable<T>(ahead.Cook, ahead.Forecast.Reference)
                ? then
                : null;
        return new(
            Snooze.TotalMinutes,
            Math.Max(0, Math.Round(later.Table.TotalMinutes)),
            Changed<PulseIngredient>(),
            Changed<RiceIngredient>()
        );
    }

    /// <summary>Moments that a plan does not list but a cook stands by; null for those that their deeds tell well enough.</summary>
    private static StepDto? Unplanned(EveningState evening, Moment moment, Instant at)
    {
        var then = evening
            .Moments.Select(m => m.Moment)
            .SkipWhile(m => m.Id != moment.Id)
            .Skip(1)
            .FirstOrDefault(m => m.Lane == moment.Lane);
        StepDto Make(string kind, string? place = null) =>
            new(
                kind,
                at.ToDateTimeOffset(),
                at.ToDateTimeOffset(),
                at.ToDateTimeOffset(),
                new(Minutes: then?.Trigger.Delay?.TotalMinutes, Place: place, Count: Counted(then))
            );
        return moment.Trigger.After == PotEvent.PressureUp ? Make("pressure_up")
            : moment.Trigger is { After: PotEvent.Whistle, Count: 1 } && !moment.Has(StepIds.HoldOver)
                ? Make("first_whistle", Medium(moment))
            : moment.Has(StepIds.HardBoilOver) ? Make("hard_over", moment.Actions[0] is CookAction.Heat { Flame: Flame.Off } ? "off" : null)
            : moment.Has(StepIds.Boils) ? Make("boil")
            : null;
    }

    private static int? Counted(Moment? moment) => moment?.Trigger is { After: PotEvent.Whistle, Count: var n } ? n : null;

    private static string Medium(Moment moment) => moment.Actions[0] is CookAction.Heat { Net: not null } ? "medium" : "low";

    /// <summary>The step that names the moment: the one that is more than a pinch or a leaf.</summary>
    private static StepDto? MainStep(IReadOnlyList<StepDto> steps) =>
        steps.FirstOrDefault(s => s.Kind is not ("salt" or "extra_in" or "take_out" or "other_in")) ?? (steps.Count > 0 ? steps[0] : null);

    private static WaitDto Waits(EveningForecast ahead, Moment moment, bool leads)
    {
        var evening = ahead.Evening;
        var when = moment.Trigger;
        var at = Enumerable.Range(0, ahead.Pending.Count).FirstOrDefault(i => ahead.Pending[i]?.Id == moment.Id, -1);
        var now = at >= 0 ? ahead.Cook.Actions[at].Trigger : when;
        var locked = when.After is PotEvent.PressureUp or PotEvent.Whistle or PotEvent.PinDown || moment.Has(StepIds.HoldOver);
        return new(
            now.After is { } what && leads ? ClosedSet.Word(what) : null,
            when.Count,
            when.After == PotEvent.Whistle ? evening.Whistles(moment.Lane) : 0,
            LookFor(ahead, moment, leads),
            when.Look is { } l ? [.. LookAsked.All(evening.Cook, l).Select(a => Asked(ahead, l, a))] : [],
            leads && LookAsked.From(ahead, moment, now.NotBefore) is { } clock && clock > ahead.Now ? clock.ToDateTimeOffset() : null,
            locked ? LookUnderPressure : 0,
            when.Delay?.TotalMinutes
        );
    }

    private static LookForDto? LookFor(EveningForecast ahead, Moment moment, bool leads)
    {
        if (moment.Trigger.Look is not { } look)
        {
            return null;
        }

        var (asked, found) =
            leads && LookAsked.Judge(ahead, moment) is { } judged ? judged : (LookAsked.All(ahead.Evening.Cook, look).First(), null);
        return Asked(ahead, look, asked) with { Found = found };
    }

    private static LookForDto Asked(EveningForecast ahead, Look look, LookAsked asked) =>
        new(
            asked.IngredientId,
            Name(ahead.Evening.Cook, asked.IngredientId),
            Kind(ahead.Evening.Cook, asked.IngredientId),
            ClosedSet.Word(asked.Wanted),
            look.Again.TotalMinutes,
            asked.EnoughChalky,
            null
        );

    private static JoinNowDto Join(EveningForecast ahead, CookAction.SetLiquor measure, DueForecast due)
    {
        BandDto Hot(Band band) => new(Round(Millilitres(band.Low)), Round(Millilitres(band.Reference)), Round(Millilitres(band.High)));
        var at = Enumerable.Range(0, ahead.Pending.Count).First(i => ahead.Pending[i]?.Id == due.MomentId);
        var over = ahead.Forecast.Reference.Done[at] is { } done ? done.OverBedCentimetres : 0;
        return new(Round(Millilitres(measure.Liquor.Grams)), Hot(due.LiquorGrams), Math.Round(over, 1));
    }

    private static double Millilitres(double grams) => Math.Sign(grams) * PotGeometry.LiquorMillilitres(Math.Abs(grams), 98);

    private static double Round(double millilitres) => Math.Round(millilitres / 10) * 10;

    private static PotNowDto? Pot(EveningForecast ahead)
    {
        var pot = Conditions.Of(ahead.Evening);
        return ahead.Pot is not { } now || (!pot.PulsesIn && !pot.RiceIn)
            ? null
            : new(
                pot.VesselId,
                Math.Round(now.Celsius),
                Round(now.LiquorMillilitres),
                Math.Round(now.LevelCentimetres, 1),
                Math.Round(now.LevelCentimetres - now.BedCentimetres.Sum(), 1),
                Round(
                    PotGeometry.BedTopMillilitres(
                        now.BedCentimetres.Sum(),
                        now.LevelCentimetres,
                        now.LiquorMillilitres,
                        ahead.Cook.Kitchen[ahead.Cook.Kitchen.IndexOf(pot.VesselId)].Vessel.AreaSquareCentimetres
                    )
                ),
                ClosedSet.Word(pot.Lid),
                ClosedSet.Word(pot.Flame),
                pot.Locked
            );
    }

    private static List<StoveSeedDto> Seeds(EveningForecast ahead)
    {
        var cook = ahead.Cook;
        var point = ahead.Forecast.Points.LastOrDefault(p => p.At <= ahead.Now + Duration.FromMinutes(1));
        var into = ahead.Evening.ActionsDone().Select(d => d.Action).OfType<CookAction.Add>().Select(a => a.IngredientId).ToHashSet();
        return
        [
            .. cook
                .Ingredients.Select((i, k) => (i, k))
                .Where(p => p.i is PulseIngredient or RiceIngredient)
                .Select(p =>
                {
                    var middle = ahead.Pot?.Doneness[p.k] ?? 0;
                    var band = point is null ? new Band(middle, middle, middle) : point.Doneness[p.k];
                    var apart = p.i is PulseIngredient x ? x.Pulse.FallsApartAt : null;
                    return new StoveSeedDto(
                        p.i.Id,
                        Kind(cook, p.i.Id),
                        p.i is PulseIngredient seed ? seed.Pulse.Id : ((RiceIngredient)p.i).Rice.Id,
                        Name(cook, p.i.Id),
                        into.Contains(p.i.Id),
                        ForecastMapper.Band(band),
                        ClosedSet.Word(Doneness.Felt(band.Reference, apart))
                    );
                }),
        ];
    }

    private static List<LearnedDto> Learned(EveningForecast ahead)
    {
        var list = new List<LearnedDto>();
        void Say(string what, string name, Pace now, double doubt, double usual = 1)
        {
            if (now.Spread < doubt * ToldEnough || Math.Abs(Math.Log(now.Median / usual)) > MovedEnough)
            {
                list.Add(new(what, name, Math.Round(now.Quantile(Low), 2), Math.Round(now.Median, 2), Math.Round(now.Quantile(High), 2)));
            }
        }

        foreach (var pulse in ahead.Evening.Cook.Ingredients.OfType<PulseIngredient>())
        {
            Say("bag", pulse.Pulse.Said, ahead.Traits.Paces[pulse.Id], pulse.Pace.Spread, pulse.Pace.Median);
        }

        Say("steam", VesselNames.Of(ahead.Evening.Cook.Kitchen.Vessel), ahead.Traits.Evaporation, ahead.Prior.Evaporation.Spread);
        Say("heat", VesselNames.Of(ahead.Evening.Cook.Kitchen.Vessel), ahead.Traits.BurnerPower, ahead.Prior.BurnerPower.Spread);
        return list;
    }

    private static AfterDto After(StoredEvening stored, EveningForecast ahead, Instant served, KitchenState kitchen)
    {
        var rule = StorageRule.Find(kitchen.Row.StorageRule) ?? StorageRule.All[0];
        var run = ahead.Forecast.Reference;
        var rice = ahead.Cook.Ingredients.Any(i => i is RiceIngredient);
        var edible = SaltSheet.Of(ahead.Cook, run, stored.Started.SaltPercent).EdibleGrams;
        var put = stored.Told.LastOrDefault(t => !t.Undone && t.Entry.Tells == EntryKind.PutAway);
        var hot = ahead
            .Evening.Seen.OfType<Observation.Probed>()
            .Where(o => o.At >= served && o.Celsius >= rule.HotCelsius)
            .Select(o => o.At)
            .DefaultIfEmpty(served)
            .Max();
        var by = rule.ChillBy(hot, kitchen.Household.Room.Celsius);
        var away = put is null ? (Instant?)null : Instant.FromDateTimeOffset(put.Entry.OccurredAt);
        return new(
            served.ToDateTimeOffset(),
            by.ToDateTimeOffset(),
            rule.EatBy(served, rice).ToDateTimeOffset(),
            rule.Id,
            rule.HotCelsius,
            rule.ReheatCelsius,
            Math.Round(edible / 10) * 10,
            Math.Round(edible / Math.Max(1, stored.Started.Dish.People) / 10) * 10,
            Round(LiquorAnswers.NextDayWater(ahead.Cook, run).Typical),
            put?.Entry.OccurredAt,
            put?.Entry.What,
            put?.Entry.Count,
            (away ?? ahead.Now) > by && put?.Entry.What is not ("gone" or "warm")
        );
    }
}
