using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Safety;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Planning;

/// <summary>From a dish to a plan: solves the way on one pot, judges it on many, refuses with what would work.</summary>
public sealed class Planner(Simulator simulator)
{
    private readonly Forecaster _forecaster = new(simulator);

    /// <param name="picture">See <see cref="Forecaster.Run"/>.</param>
    public PlanAnswer Plan(Dish dish, int pots = Forecaster.DefaultPots, bool picture = true)
    {
        var solved = new WaySolver(simulator, dish).Solve();
        return Obstacle(dish, solved) is { } refusal
            ? new PlanAnswer.Refused(refusal with { Alternatives = new AlternativeFinder(this).For(dish, refusal, solved) })
            : new PlanAnswer.Planned(Describe(dish, solved, pots, picture));
    }

    /// <summary>Solves the way and answers whether it can be done, without judging it on many pots.</summary>
    internal (SolvedWay Solved, PlanRefusal? Refusal) Probe(Dish dish)
    {
        var solved = new WaySolver(simulator, dish).Solve();
        return (solved, Obstacle(dish, solved));
    }

    private static PlanRefusal? Obstacle(Dish dish, SolvedWay solved)
    {
        PlanRefusal Refuse(string code, string field, PlanFacts? facts = null) => new(code, field, facts ?? new(), []);
        if (solved.Fault is { } fault)
        {
            return Refuse(fault, fault == PlanRefusal.NeverBoils ? "burnerId" : "pulseId");
        }

        var light = solved.Way.LightAt;
        if (light >= dish.Now && !AwakeThroughout(dish, light))
        {
            return Refuse(PlanRefusal.FlameWhileAsleep, "serveAt", new(Minutes: (dish.ServeAt - light).TotalMinutes));
        }

        if (dish.Soak == SoakChoice.Overnight && SoakPlan.Place(dish, light, out var latest) is null)
        {
            return Refuse(PlanRefusal.SoakTooLate, "soak", new(LatestSoak: latest, Minutes: (dish.ServeAt - latest).TotalMinutes));
        }

        if (solved.Cook.Starts < dish.Now)
        {
            var table = dish.Now + (dish.ServeAt - solved.Cook.Starts);
            return Refuse(PlanRefusal.TooSoon, "serveAt", new(EarliestTable: table, Minutes: (dish.ServeAt - light).TotalMinutes));
        }

        var usable = Usable(dish);
        if (solved.Run.PeakMillilitres > usable)
        {
            var join = WaySolver.IndexOf(solved.Cook, Marks.Join);
            var forRice = join >= 0 && solved.Run.PeakSeconds >= solved.Run.At(join).Seconds;
            return Refuse(
                forRice ? PlanRefusal.PotTooSmallForRice : PlanRefusal.PotTooSmall,
                "vesselId",
                new(NeededMillilitres: solved.Run.PeakMillilitres, UsableMillilitres: usable));
        }

        return LectinGate.Judge(solved.Cook, dish.Household.Cautious).Any(f => f.Blocks)
            ? Refuse(PlanRefusal.GateBlocks, "soak")
            : null;
    }

    /// <summary>What of the first vessel may be filled at any moment, mL.</summary>
    private static double Usable(Dish dish) => dish.Method == Method.Pressure
        ? dish.Cooker!.Brim.Millilitres * (dish.Pulse.Foam == Foam.High ? Cooker.FillShareFoaming : Cooker.FillShare)
        : dish.Vessel.Brim.Millilitres * (dish.Pulse.Foam == Foam.High ? Vessel.UsableShareFoaming : Vessel.UsableShare);

    private static bool AwakeThroughout(Dish dish, Instant light)
    {
        for (var at = light; at < dish.ServeAt; at += Duration.FromMinutes(10))
        {
            if (!dish.Household.AwakeAt(at))
            {
                return false;
            }
        }

        return true;
    }

    private Plan Describe(Dish dish, SolvedWay solved, int pots, bool picture)
    {
        var cook = solved.Cook;
        var forecast = _forecaster.Run(cook, dish.MeltingIsWelcome, pots, picture);
        var gates = LectinGate.Judge(cook, dish.Household.Cautious);
        var salt = SaltSheet.Of(cook, forecast.Reference);
        var soak = cook.Actions.OfType<CookAction.Soak>().FirstOrDefault(s => s.IngredientId == Way.PulseId);
        return new(
            dish,
            solved.Way.Order,
            solved.Way.Wait,
            cook,
            forecast,
            Join(dish, solved, forecast),
            new(cook.Actions.OfType<CookAction.AddWater>().Last().Water, soak?.Water, Mass.FromGrams(salt.ToAddGrams), Mass.FromGrams(salt.EdibleGrams)),
            forecast.ShareTender,
            _forecaster.BlindShare(cook, forecast.Reference, dish.MeltingIsWelcome, pots),
            gates,
            Safety.Cautions.For(cook, gates));
    }

    private JoinMoment? Join(Dish dish, SolvedWay solved, Forecast forecast)
    {
        if (forecast.Find(Marks.Measure) is not { } measure)
        {
            return null;
        }

        var done = forecast.Reference.At(measure.Action);
        var riceIsIn = solved.Way.Order == Order.RiceFirst;
        var doneness = done.Doneness[riceIsIn ? 1 : 0];
        double Hot(double grams) => Math.Sign(grams) * PotGeometry.LiquorMillilitres(Math.Abs(grams), done.Celsius);
        Band Millilitres(Band b) => new(Hot(b.Low), Hot(b.Reference), Hot(b.High));
        return new(
            doneness,
            Doneness.Felt(doneness, riceIsIn ? null : dish.Pulse.FallsApartAt),
            riceIsIn ? null : Doneness.ChalkyOfFive(doneness, simulator.Constants.SeedSpread),
            Mass.FromGrams(done.LiquorAfter),
            Hot(done.LiquorAfter),
            Millilitres(measure.LiquorGrams),
            Millilitres(measure.AddedGrams),
            done.OverBedCentimetres);
    }
}
