using BrightKettle.Core.Cooking;
using BrightKettle.Core.Cooking.Trace;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Stove;
using NodaTime;

namespace BrightKettle.Core.Practice.Dinners;

/// <summary>A whole dinner in a kitchen whose bag, flame, lid and thirst nobody knows. What was told is what was done there. It keeps
/// nothing: an evening and a minute go in, what is found there comes out.</summary>
/// <param name="plan">That is cooked.</param>
/// <param name="seed">Of the kitchen, of the hand and of who calls.</param>
public sealed class PracticeDinner(Simulator simulator, Plan plan, int seed, PracticeLevel level)
{
    /// <summary>Different kitchens that can be met.</summary>
    private const int Kitchens = 32;

    /// <summary>Bubbles all over, °C short of the boil there.</summary>
    private const double AtTheBoil = 1;

    /// <summary>Steam is seen from here on, °C.</summary>
    private const double SteamsFrom = 75;

    /// <summary>Nobody is sent on further in one go.</summary>
    private static readonly Duration Furthest = Duration.FromHours(48);

    /// <summary>Where nothing is ever due, time goes on by this.</summary>
    private static readonly Duration AWhile = Duration.FromMinutes(5);

    public Plan Plan => plan;

    public int Seed => seed;

    /// <summary>Of this kitchen.</summary>
    public PotTraits Hidden { get; } =
        PotTraits.Many(plan.Cook with { Seed = seed / Kitchens }, simulator.Constants, Kitchens)[seed % Kitchens];

    public IReadOnlyList<Interruption> Interruptions { get; } =
        Interruption.Of(level, seed, LitAt(plan), Instant.Max(LitAt(plan), plan.Dish.ServeAt));

    /// <summary>What is found there at a minute.</summary>
    /// <param name="evening">Valid by <see cref="EveningForecaster.Check"/>; nothing in it is later.</param>
    public DinnerSight See(EveningState evening, Instant now)
    {
        ArgumentNullException.ThrowIfNull(evening);
        var kitchen = KitchenOf(evening);
        var run = kitchen.Seen(now);
        var signs = Signs(evening, kitchen).Where(s => s.At <= now).Select(s => s.Sign);
        var done = evening.ActionsDone().Select(d => d.Action).ToList();
        if (done.Count == 0)
        {
            return new([], [], [.. signs]);
        }

        var trace = new CookTrace(kitchen.Setup with { Actions = done });
        return new([.. Pots(trace, run)], [.. Hands(trace, run, now)], [.. signs]);
    }

    private static IEnumerable<PotSight> Pots(CookTrace trace, PotRun run)
    {
        var (cook, last, sample) = (trace.Cook, trace.Cook.Actions.Count - 1, run.Samples[^1]);
        var boils = BoilingPoint.At(cook.Kitchen.Altitude).Celsius - AtTheBoil;
        for (var v = 0; v < cook.Kitchen.VesselCount; v++)
        {
            var vessel = cook.Kitchen[v].Vessel;
            if (vessel.IsBowl || !trace.In(v).Any())
            {
                continue;
            }

            var locked = trace.After(last, v).Locked;
            var seen = sample.All.Count > 0 ? sample.All[v] : sample.Shown;
            var bed = cook.Ingredients.Select((x, i) => trace.PlaceAfter(last, x.Id) == v ? sample.BedCentimetres[i] : 0).Sum();
            yield return new(
                vessel.Id,
                !locked && seen.Celsius >= boils,
                seen.Celsius >= SteamsFrom,
                locked,
                locked || bed <= 0 ? null : bed,
                locked ? null : Math.Max(seen.LevelCentimetres, 0),
                locked ? null : seen.LiquorMillilitres,
                vessel.HeightCentimetres
            );
        }
    }

    private IEnumerable<HandSight> Hands(CookTrace trace, PotRun run, Instant now)
    {
        var (cook, last) = (trace.Cook, trace.Cook.Actions.Count - 1);
        var minute = (int)(now - cook.Starts).TotalMinutes;
        for (var i = 0; i < cook.Ingredients.Count; i++)
        {
            var place = trace.PlaceAfter(last, cook.Ingredients[i].Id);
            if (cook.Ingredients[i] is not (PulseIngredient or RiceIngredient) || place < 0 || trace.After(last, place).Locked)
            {
                continue;
            }

            var doneness = run.Final[i].Doneness;
            var pulse = cook.Ingredients[i] as PulseIngredient;
            yield return new(
                cook.Ingredients[i].Id,
                FiveTaken.Felt(doneness, pulse?.Pulse.FallsApartAt, SplitMix.Of(seed, minute, i, 2)),
                pulse is null ? null : FiveTaken.Chalky(doneness, simulator.Constants.SeedSpread, SplitMix.Of(seed, minute, i, 1))
            );
        }
    }

    /// <summary>Time goes on until something is heard or due, somebody calls, or so long has passed; who is called is back again after
    /// it.</summary>
    /// <param name="minutes">At most; null to go on until something is due by the clock or heard.</param>
    /// <returns>The minute then, and who called on the way.</returns>
    public (Instant Now, Interruption? Called) GoOn(EveningState evening, Instant now, double? minutes, EveningForecaster eye)
    {
        ArgumentNullException.ThrowIfNull(evening);
        ArgumentNullException.ThrowIfNull(eye);
        var kitchen = KitchenOf(evening);
        var until = minutes is { } some ? now + Duration.FromMinutes(some) : NextAt(evening, now, kitchen, eye) ?? now + AWhile;
        var heard = Signs(evening, kitchen).Where(s => s.At > now).Select(s => (Instant?)s.At).Min();
        // By whole seconds, so that what is due then is due.
        var then = FullSecond(Instant.Min(Instant.Min(until, now + Furthest), heard ?? until));
        return Interruptions.FirstOrDefault(i => i.At >= now && i.At < then) is { } called
            ? (FullSecond(called.Back), called)
            : (then, null);
    }

    private static Instant FullSecond(Instant at) =>
        Instant.FromUnixTimeSeconds(at.ToUnixTimeSeconds()) is var second && second < at ? second + Duration.FromSeconds(1) : second;

    /// <summary>When liquor that is too much for what comes next would be boiled down, on the full flame and without a lid; null where it
    /// is not too much.</summary>
    /// <param name="moment">That is to be done now.</param>
    public Instant? BoiledDown(EveningState evening, Moment moment, Instant now)
    {
        ArgumentNullException.ThrowIfNull(evening);
        ArgumentNullException.ThrowIfNull(moment);
        if (moment.Actions[0] is not CookAction.SetLiquor { BoilDown: not null } measure)
        {
            return null;
        }

        var kitchen = KitchenOf(evening);
        return kitchen.Do(now, measure) is var down && down > now ? down : null;
    }

    /// <summary>When something is due by its clock, later than now.</summary>
    private Instant? NextAt(EveningState evening, Instant now, SimulatedKitchen kitchen, EveningForecaster eye)
    {
        var ahead = eye.Forecast(evening, now, plan.Dish.Targets, NextPots);
        return evening
            .Leading.Select(m => NextDue.At(ahead, m, kitchen))
            .Concat(Visits.Of(ahead, new HashSet<string>()).Select(v => (Instant?)v.At))
            .Where(at => at > now)
            .Min();
    }

    private const int NextPots = 24;

    /// <summary>What the first things of each pot wait for, with when it is heard.</summary>
    private static IEnumerable<(SignSight Sign, Instant At)> Signs(EveningState evening, SimulatedKitchen kitchen) =>
        evening
            .Leading.Where(m => m.Trigger.After is not null && !m.InBowl)
            .Select(m =>
                (
                    Sign: new SignSight(m.Lane, m.Trigger.After!.Value),
                    At: kitchen.When(m.Lane, m.Trigger.After!.Value, m.Trigger.After == PotEvent.Whistle ? evening.Whistles(m.Lane) + 1 : 1)
                )
            )
            .Where(s => s.At is not null)
            .Select(s => (s.Sign, s.At!.Value));

    /// <summary>The kitchen after all that was told.</summary>
    internal SimulatedKitchen KitchenOf(EveningState evening)
    {
        var kitchen = new SimulatedKitchen(simulator, evening.Cook with { Actions = [] }, Hidden);
        kitchen.Did(evening.Unseen().ActionsDone().Where(d => d.Action is not CookAction.Serve));
        return kitchen;
    }

    private static Instant LitAt(Plan plan)
    {
        for (var i = 0; i < plan.Cook.Actions.Count; i++)
        {
            if (plan.Cook.Actions[i] is CookAction.Heat && plan.Forecast.Reference.Done[i] is { } lit)
            {
                return plan.Cook.Starts + Duration.FromSeconds(lit.Seconds);
            }
        }

        return plan.Cook.Starts;
    }
}
