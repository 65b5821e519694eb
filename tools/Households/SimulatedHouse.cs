using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Learning.House;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Planning.Manners;
using BrightKettle.Core.Practice;
using BrightKettle.Core.Stove;
using BrightKettle.Core.Units;
using MathNet.Numerics.Distributions;
using NodaTime;

namespace BrightKettle.Households;

/// <summary>One dinner of a simulated household.</summary>
/// <param name="Number">Of the household, from 1.</param>
/// <param name="OfBag">Of its bag, from 1.</param>
/// <param name="True">ln(pace) of this dinner's pulses, which nobody knew.</param>
/// <param name="Known">What was known of it when it was planned.</param>
/// <param name="SlackMinutes">In the plan: from when the reference pot is ready until the rice joins; null for what was not planned.</param>
/// <param name="Chance">That the plan gave.</param>
internal sealed record Cooked(int Number, string Bag, int OfBag, double True, Pace Known, double? SlackMinutes, double? Chance);

/// <summary>Twenty dinners in a house whose bags have paces of their own: five from the first bag, then one from each of five more, then
/// nine from others, of one pulse; and a last one from a new bag.</summary>
internal sealed class SimulatedHouse(int number)
{
    private static readonly PulseCatalogue Catalogue = PulseCatalogue.Shipped;
    private static readonly Simulator Model = new(Catalogue.Constants);
    private static readonly Planner Planner = new(Model);

    /// <summary>Bag of each dinner: five of one, five new ones, three of another, and so on.</summary>
    private static readonly int[] Bags = [0, 0, 0, 0, 0, 1, 2, 3, 4, 5, 6, 6, 6, 7, 7, 8, 9, 9, 10, 11];

    private readonly Random _dice = new(20261129 + number);

    private double Normal(double spread) => MathNet.Numerics.Distributions.Normal.Sample(_dice, 0, spread);

    public IReadOnlyList<Cooked> Cook()
    {
        // As the product believes houses to be (confidence D).
        var lot = Catalogue.Constants.LotSpread;
        var (house, pulse) = (Normal(lot * Math.Sqrt(0.25)), Normal(lot * Math.Sqrt(0.35)));
        var bags = Enumerable.Range(0, Bags.Max() + 1).Select(_ => Normal(lot * Math.Sqrt(0.4))).ToList();
        var evidence = new List<BagEvidence>();
        var cooked = new List<Cooked>();
        for (var i = 0; i < Bags.Length; i++)
        {
            var bag = $"bag{Bags[i]:00}";
            var truth = house + pulse + bags[Bags[i]] + Normal(HousePaces.DinnerSpread);
            var known = new HousePaces(evidence, lot).Of(bag, "chickpea").Pace;
            var (said, slack, chance) = Dinner(i, bag, truth, known);
            evidence.AddRange(said);
            cooked.Add(new(i + 1, bag, Bags.Take(i + 1).Count(b => b == Bags[i]), truth, known, slack, chance));
        }

        return cooked;
    }

    private (IReadOnlyList<BagEvidence> Said, double? Slack, double? Chance) Dinner(int i, string bag, double truth, Pace known)
    {
        var dish = Dish(i, known);
        if (Planner.Plan(dish, 64, rough: true) is not PlanAnswer.Planned { Plan: var plan })
        {
            return ([], null, null);
        }

        var constants = Catalogue.Constants;
        var middle = HiddenPot.Traits(plan.Cook, Math.Exp(truth), new Hand(number, i));
        var traits = middle with
        {
            Pace =
            [
                .. plan.Cook.Ingredients.Select(
                    (x, k) => x is RiceIngredient ? middle.Pace[k] * Math.Exp(Normal(constants.RiceSpread)) : middle.Pace[k]
                ),
            ],
            Evaporation = Math.Exp(Normal(constants.EvaporationSpread)),
            BurnerPower = Math.Exp(Normal(constants.BurnerSpread)),
        };
        var slack =
            plan.Forecast.Find(StepIds.Ready) is { Reference: var ready } && plan.Forecast.Find(StepIds.Join) is { Reference: var join }
                ? (join - ready).TotalMinutes
                : (double?)null;
        var bags = new Dictionary<string, string> { ["chickpea"] = bag };
        return new HiddenPot(Model).Told(plan.Cook, traits, (number * 100) + i) is not { } told
            ? ([], slack, plan.ShareTender)
            : (new DinnerReader(Model).Read($"d{i:00}", new EveningState(plan.Cook, told), bags), slack, plan.ShareTender);
    }

    private static Dish Dish(int i, Pace known)
    {
        var now = Instant.FromUtc(2026, 11, 24, 19, 0);
        var pot = new Vessel("pot22", "22 cm pot", Length.FromCentimetres(22), Volume.FromMillilitres(4500));
        var hob = new Burner("hob", "front hob", Power.FromWatts(1500), Power.FromWatts(120));
        var house = new Household(
            DateTimeZone.Utc,
            Altitude.FromMetres(50),
            Temperature.FromCelsius(20),
            Temperature.FromCelsius(5),
            new LocalTime(7, 0),
            new LocalTime(23, 0),
            new LocalTime(21, 30),
            false
        );
        return new(
            Catalogue.FindPulse("chickpea")!,
            Mass.FromGrams(240),
            known,
            Catalogue.FindRice("long_white"),
            Mass.FromGrams(260),
            Manner.Usual with
            {
                Soak = new OvernightSoak(),
            },
            Style.Saucy,
            pot,
            [pot],
            hob,
            house,
            now + Duration.FromHours(24),
            now,
            i + 1
        );
    }
}
