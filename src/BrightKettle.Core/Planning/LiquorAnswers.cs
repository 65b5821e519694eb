using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Planning;

/// <summary>What the liquor in the pot means: for the rice, for a reduction, for tomorrow. Each answer is a run of pots.</summary>
public sealed class LiquorAnswers(Simulator simulator)
{
    private const int Tries = 8;

    /// <summary>Boiling water to add before the rice goes in, g; negative: to pour off.</summary>
    public static double ToAdd(Plan plan, double measuredGrams) =>
        plan.Join is { } join
            ? join.LiquorNeeded.Grams - measuredGrams
            : throw new ArgumentException("The plan has no join.", nameof(plan));

    /// <summary>Dry rice that this much liquor feeds with nothing added, g, so that the dish ends as wet as it was wanted; 0 when it
    /// feeds none.</summary>
    public double RiceFedBy(Plan plan, double measuredGrams)
    {
        var asked = plan.Dish.RiceDry.Grams;
        var (low, high) = (5.0, Math.Max(4 * asked, measuredGrams));
        for (var round = 0; round < 3; round++)
        {
            var step = (high - low) / (Tries - 1);
            var grams = Enumerable.Range(0, Tries).Select(k => low + (k * step)).ToArray();
            var jobs = grams.Select(g => With(plan, g, measuredGrams)).Select(c => new PotJob(c, PotTraits.Reference(c))).ToList();
            var left = simulator
                .RunMany(jobs, new RunOptions { Heights = false })
                .Select((run, k) => run.FinalLiquor - ((plan.Dish with { RiceDry = Mass.FromGrams(grams[k]) }).WantedLiquorGrams))
                .ToArray();
            if (left[0] < 0)
            {
                return round == 0 ? 0 : low;
            }

            var last = Array.FindLastIndex(left, l => l >= 0);
            low = grams[last];
            high = grams[Math.Min(last + 1, Tries - 1)];
        }

        return low;
    }

    /// <summary>Minutes until an open pot at this heat has come down to so much liquor, after the last action of a cook; null when two
    /// hours are not enough.</summary>
    public double? ReduceMinutes(Cook cook, double toGrams, Flame flame = Flame.Lively)
    {
        var actions = cook
            .Actions.Take(cook.Actions.Count - 1)
            .Append(new CookAction.Cover(cook.Actions[^1].Trigger, Lid.Open))
            .Append(new CookAction.Heat(Trigger.Next, flame) { StepId = "reduce" })
            .Append(new CookAction.Serve(Trigger.Later(Duration.FromHours(2))));
        var longer = cook with { Actions = [.. actions] };
        var run = simulator.Run(longer, PotTraits.Reference(longer), new RunOptions(Sample: true));
        var from = run.At(longer.Actions.Count - 2).Seconds;
        var target = PotGeometry.LiquorMillilitres(toGrams, 98);
        var there = run.Samples.FirstOrDefault(s => s.Seconds >= from && s.LiquorMillilitres <= target);
        return there is null ? null : (there.Seconds - from) / 60;
    }

    /// <summary>How many times as thick pulse liquor is when it has cooled to this, against the simmer: low, typical, high (confidence
    /// C).</summary>
    public Triple ThickerAt(double celsius) => simulator.Constants.Curve("thickening").Range(celsius);

    /// <summary>Water to stir in next day, g: the pot goes on drinking in the fridge.</summary>
    public static Triple NextDayWater(Cook cook, PotRun run)
    {
        ArgumentNullException.ThrowIfNull(cook);
        ArgumentNullException.ThrowIfNull(run);
        double Weight<T>()
            where T : Ingredient =>
            Enumerable
                .Range(0, cook.Ingredients.Count)
                .Where(i => cook.Ingredients[i] is T && run.Final[i].Vessel >= 0)
                .Sum(i => cook.Ingredients[i].Dry.Grams * (1 + run.Final[i].Uptake));
        var (pulses, rice) = (Weight<PulseIngredient>(), Weight<RiceIngredient>());
        var split = cook.Ingredients.OfType<PulseIngredient>().First().Pulse.Kind == PulseKind.Split ? run.FinalLiquor + pulses : 0;
        // Beans drink 3 to 8 % of their weight overnight, rice 10 to 25 %, a split set to a gel wants 15 to 40 % of its own.
        return split > 0
            ? new(0.15 * split, 0.25 * split, 0.4 * split)
            : new((0.03 * pulses) + (0.1 * rice), (0.05 * pulses) + (0.17 * rice), (0.08 * pulses) + (0.25 * rice));
    }

    private static Cook With(Plan plan, double riceGrams, double liquorGrams) =>
        plan.Cook with
        {
            Ingredients = [.. plan.Cook.Ingredients.Select(i => i is RiceIngredient r ? r with { Dry = Mass.FromGrams(riceGrams) } : i)],
            Actions =
            [
                .. plan.Cook.Actions.Select(a =>
                    a is CookAction.SetLiquor { StepId: StepIds.SetLiquor } m
                        ? m with
                        {
                            Liquor = Mass.FromGrams(liquorGrams),
                            BoilDown = null,
                        }
                        : a
                ),
            ],
        };
}
