using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Safety;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Planning;

/// <summary>How much water to begin with, how much liquor at the join, and how long after it.</summary>
internal sealed partial class WaySolver
{
    /// <summary>The least water to begin with, over the dry weight: what pulses drink until they are tender (effects 2: 1.1 to 1.3
    /// g/g).</summary>
    private const double LeastWaterShare = 1.2;

    /// <summary>The least where nobody looks before the join, over the dry weight of the pulse that leads: so that a slow bag is still
    /// covered then.</summary>
    private const double LeastUnwatchedWaterShare = 1.5;

    /// <summary>The least water for rice that goes in first, over its dry weight: what it drinks until the pulses join.</summary>
    private const double LeastRiceWaterShare = 1.3;

    /// <summary>Liquor that rice which goes in first still has when the pulses join it, over its dry weight.</summary>
    private const double WetAtJoinShare = 0.15;

    private const int WaterTries = 5;

    /// <summary>So many times the water for a pot that ran dry on it.</summary>
    private const double MoreWhenDry = 1.4;

    /// <summary>The water for the start: what the dish needs at the join, and never so little that a bag which nobody can top up falls dry;
    /// with how long what is then too much takes to boil down.</summary>
    private Way WithFirstWater(Way way)
    {
        var water = way.Water;
        var (excess, level) = (0.0, way.KeptLevel);
        var drained = way.Order != JoinOrder.PulseAlone && dish.RiceJoin == RiceJoin.AfterDraining;
        for (var i = 0; i < WaterTries; i++)
        {
            var cook = (way with { Water = water, BoilsDown = false, KeptLevel = level }).Build(dish);
            var runs = RunAt(cook, _search, 0.5, SlowShare);
            var at = IndexOf(
                cook,
                way.Order == JoinOrder.PulseAlone ? StepIds.Finish
                    : drained ? StepIds.Drained
                    : StepIds.SetLiquor
            );
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
                drained || way.DrainsAtLook(dish) || (way.Order == JoinOrder.PulseAlone && dish.Style == Style.Dry)
                    ? double.NegativeInfinity
                : way.Order == JoinOrder.PulseAlone ? dish.WantedLiquorGrams
                : way.JoinLiquor.Grams;
            var pot = dish.Method == Method.Pressure ? dish.Cooker! : dish.Vessel;
            // Just covered: liquor enough to fill the bed's voids, and, where nobody tops up, to stand half a centimetre over a slow bag.
            var (bag, over) = dish.KeepsCovered ? (middle, 0) : (slowest, 0.5);
            // Under its top a bed holds less liquor than water would stand there.
            var above = (bag.OverBedBefore - over) * pot.AreaSquareCentimetres;
            var covered = bag.LiquorBefore - (above < 0 ? Voids * above : above);
            if (dish.KeepsCovered && !double.IsNegativeInfinity(wanted))
            {
                // Where less is wanted the top of the bed may show a little.
                var inBed = Voids * pot.AreaSquareCentimetres;
                level = Math.Clamp((wanted - covered) / inBed, -Math.Min(MostShown, MostShownShare * Math.Max(0, covered) / inBed), 0);
                covered += level * inBed;
            }

            var missing = Math.Max(wanted - middle.LiquorBefore, covered - bag.LiquorBefore);
            excess = double.IsNegativeInfinity(wanted) ? 0 : middle.LiquorBefore + missing - wanted;
            water = Mass.Max(dish.PulsesDry * LeastWaterShare, water + Mass.FromGrams(missing));
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

    /// <summary>Adjusts liquor, last minutes and clock until the rice is tender, the liquor as wanted and the table on time.</summary>
    /// <param name="slack">How many times the usual misses are let pass.</param>
    private SolvedWay SolveLiquorAndMinutes(Way way, double slack = 1)
    {
        for (var i = 0; i < 14; i++)
        {
            var cook = way.Build(dish);
            var run = simulator.Run(cook, PotTraits.Reference(cook), _search);
            if (run.StalledAt is { } stalled)
            {
                return new(
                    way,
                    cook,
                    run,
                    run.BoilsAt.Count == 0 || cook.Actions[stalled].Trigger.After == PotEvent.Boils
                        ? PlanRefusal.NeverBoils
                        : PlanRefusal.NeverTender
                );
            }

            var late = cook.Starts + Duration.FromSeconds(run.EndSeconds) - dish.ServeAt;
            var liquor = dish.Rice is null ? 0 : dish.WantedLiquorGrams + Clings(run, cook) - run.FinalLiquor;
            // What is only stirred in has no minutes of its own.
            var riceMiss = dish.Rice is null || dish.StirsRiceIn ? 0 : RiceAtOff(dish) - run.At(IndexOf(cook, StepIds.HeatOff)).Doneness[1];
            if (Math.Abs(late.TotalSeconds) < 5 * slack && Math.Abs(liquor) < 3 * slack && Math.Abs(riceMiss) < 0.7 * slack)
            {
                return new(way, cook, run, null);
            }

            way = Shift(way, -late);
            if (dish.Rice is { } rice)
            {
                // A grain short of water is not mended by minutes, so minutes wait until the liquor is about right.
                var perMinute = Doneness.Tender * dish.RiceRateFactor / (rice.SimmerMinutes.Typical + rice.RestMinutes.Typical);
                way = way with
                {
                    JoinLiquor = Mass.Max(Mass.Zero, way.JoinLiquor + Mass.FromGrams(liquor)),
                    LastMinutes = Math.Max(0, way.LastMinutes + (Math.Abs(liquor) < 60 ? 0.8 * riceMiss / perMinute : 0)),
                };
                way = way with
                {
                    Water = way.Order switch
                    {
                        JoinOrder.Together => way.JoinLiquor,
                        JoinOrder.RiceFirst => Mass.Max(
                            Mass.Max(
                                dish.RiceDry * LeastRiceWaterShare,
                                way.JoinLiquor - (dish.PulseDry * dish.Pulse.Absorbed.Typical) + RiceDrinksBeforeJoin(run, cook)
                            ),
                            // It must not lie dry over the flame before the pulses come.
                            way.Water
                                + (dish.RiceDry * WetAtJoinShare)
                                - LiquorBeforeJoin(run, cook)
                        ),
                        _ when way.Wait is null => Mass.Max(
                            dish.PulseDry * LeastUnwatchedWaterShare,
                            way.Water + way.JoinLiquor - LiquorBeforeJoin(run, cook)
                        ),
                        _ => way.Water,
                    },
                };
            }
        }

        // Not settled to the last gram: round figures follow anyway, and the forecast shows what they give.
        var final = way.Build(dish);
        return new(way, final, simulator.Run(final, PotTraits.Reference(final), _search), null);
    }

    /// <summary>Liquor that comes back with pulses which were lifted out, g: too late for the rice.</summary>
    private static double Clings(PotRun run, Cook cook) =>
        IndexOf(cook, StepIds.PutBack) is >= 0 and var back ? run.At(back).LiquorBefore : 0;

    private static Mass LiquorBeforeJoin(PotRun run, Cook cook) => Mass.FromGrams(run.At(IndexOf(cook, StepIds.SetLiquor)).LiquorBefore);

    private static Mass RiceDrinksBeforeJoin(PotRun run, Cook cook)
    {
        var at = IndexOf(cook, StepIds.SetLiquor);
        return at < 0 ? Mass.Zero : Mass.FromGrams(run.At(IndexOf(cook, StepIds.Light)).LiquorAfter - run.At(at).LiquorBefore);
    }
}
