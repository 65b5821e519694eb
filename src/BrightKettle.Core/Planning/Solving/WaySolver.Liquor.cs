using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Safety;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Planning.Solving;

/// <summary>How much water to begin with, how much liquor at the join, and how long after it.</summary>
internal sealed partial class WaySolver
{
    /// <summary>The least water to begin with, over the dry weight: what pulses drink until they are tender (effects 2: 1.1 to 1.3
    /// g/g).</summary>
    private const double LeastWaterShare = 1.2;

    private Mass LeastWater => Mass.Max(dish.PulsesDry * LeastWaterShare, dish.How.Pulses.LeastWater(dish) + HardBoilSteam);

    private const int WaterTries = 5;

    /// <summary>So many times the water for a pot that ran dry on it.</summary>
    private const double MoreWhenDry = 1.4;

    /// <summary>The water for the start: what the dish needs at the join, and never so little that a bag which nobody can top up falls dry;
    /// with how long what is then too much takes to boil down.</summary>
    private Way WithFirstWater(Way way)
    {
        var water = way.Water;
        var (excess, level) = (0.0, way.KeptLevel);
        var drained = way.List.ThrowsLiquor;
        for (var i = 0; i < WaterTries; i++)
        {
            var cook = (way with { Water = water, BoilsDown = false, KeptLevel = level }).Build(dish);
            var runs = RunAt(cook, _search, 0.5, SlowShare);
            var at = cook.StepAt(way.List.Judges);
            if (
                runs[0].Done[at] is not { } middle
                || runs[1].Done[at] is not { } slowest
                || runs.Any(r => r.DrySeconds > 0 && r.Done[at]!.Value.LiquorBefore <= 0)
            )
            {
                // It ran dry on the way, which says nothing of how much is missing.
                water *= MoreWhenDry;
                continue;
            }

            // What is thrown away only has to cover them.
            var wanted =
                drained || way.DrainsAtLook(dish) || (way.List.IsAlone && dish.Style == Style.Dry) ? double.NegativeInfinity
                : way.List.IsAlone ? dish.WantedLiquorGrams
                : way.JoinLiquor.Grams;
            var pot = dish.How.Pulses.Into(dish);
            // Just covered: liquor enough to fill the bed's voids, and, where nobody tops up, to stand half a centimetre over a slow bag.
            var (bag, over) = dish.How.Pulses.KeepsCovered ? (middle, 0) : (slowest, 0.5);
            // Under its top a bed holds less liquor than water would stand there.
            var above = (bag.OverBedBefore - over) * pot.AreaSquareCentimetres;
            var covered = bag.LiquorBefore - (above < 0 ? Voids * above : above);
            if (dish.How.Pulses.KeepsCovered && !double.IsNegativeInfinity(wanted))
            {
                // Where less is wanted the top of the bed may show a little.
                var inBed = Voids * pot.AreaSquareCentimetres;
                level = Math.Clamp((wanted - covered) / inBed, -Math.Min(MostShown, MostShownShare * Math.Max(0, covered) / inBed), 0);
                covered += level * inBed;
            }

            var missing = Math.Max(wanted - middle.LiquorBefore, covered - bag.LiquorBefore);
            var next = Mass.Max(LeastWater, water + Mass.FromGrams(missing));
            excess = double.IsNegativeInfinity(wanted) ? 0 : middle.LiquorBefore + (next - water).Grams - wanted;
            water = next;
            if (Math.Abs(missing) < 10)
            {
                break;
            }
        }

        var minutes = excess * HeatOfSteam / dish.Burner.Most.Watts / 60;
        return way with { Water = water, KeptLevel = level, BoilDownMinutes = minutes < NotWorthAMinute ? 0 : minutes };
    }

    /// <summary>Share of a bed that is liquor (confidence C).</summary>
    private const double Voids = 0.38;

    /// <summary>Of a bed that is kept nearly covered, what may show at most, cm, and of its depth: further out seeds are cooked by steam,
    /// and a thin bed scorches.</summary>
    private const double MostShown = 1;
    private const double MostShownShare = 0.25;

    /// <summary>A film that is gone before somebody has looked for the lid.</summary>
    private const double NotWorthAMinute = 1.5;

    private const int MostSettled = 14;

    /// <summary>Moves the free numbers of all stages until the rice is tender, the liquor as wanted and the table on time.</summary>
    /// <param name="slack">How many times the usual misses are let pass.</param>
    private SolvedWay Settled(Way way, double slack = 1)
    {
        var numbers = way.Stages(dish).SelectMany(s => s.Frees(way)).ToList();
        var tried = new Settling(simulator, dish, w => w.Build(dish), _search).Of(way, numbers, MostSettled, slack);
        return new(tried.Way, tried.Cook, tried.Run, Fault(tried));
    }

    private static string? Fault(Tried tried) =>
        tried.Run.StalledAt is not { } stalled ? null
        : tried.Run.BoilsAt.Count == 0 || tried.Cook.Actions[stalled].Trigger.After == PotEvent.Boils ? PlanRefusal.NeverBoils
        : PlanRefusal.NeverTender;
}
