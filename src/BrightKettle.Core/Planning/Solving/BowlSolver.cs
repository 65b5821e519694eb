using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning.Stages;
using NodaTime;

namespace BrightKettle.Core.Planning.Solving;

/// <summary>Rice in its own bowl above the pulses, under one lid. The pulses say how long; the bowl's water is solved by running
/// both.</summary>
internal sealed class BowlSolver(Simulator simulator, Dish dish)
{
    /// <summary>Held this many times its own minutes, and a few, rice is mush however little water it has (confidence D).</summary>
    private const double MostHeld = 3;
    private const double HeldBeside = 5;

    private const int MostTries = 8;

    /// <summary>Holds that are tried side by side.</summary>
    private const int MostHolds = 16;

    /// <summary>Whether the pulses' time under pressure is too long for this rice.</summary>
    public static bool IsTooLong(Dish dish, Cook cook, PotRun run) =>
        dish.Rice is { } rice
        && cook.StepAt(StepIds.HoldOver) is >= 0 and var at
        && run.Done[at] is { } over
        && run.Nth(PotEvent.PressureUp) is { } up
        && (over.Seconds - up) / 60 > (MostHeld * rice.PressureMinutes.High) + HeldBeside;

    /// <summary>Both under one lid: of the holds that may do, the one that serves most pots; the longest at a tie.</summary>
    /// <param name="way">The pulses alone, under pressure.</param>
    public Way Under(Way way)
    {
        var alone = way with { Bowl = null };
        var first = new BowlNumbers(Closes(alone), dish.RiceDry * dish.Rice!.Absorbed.Typical, way.HoldMinutes, way.Whistles);
        var judge = new WaySolver(simulator, dish);
        (Way Way, int Served)? best = null;
        foreach (var held in Holds(alone with { Bowl = first }).Select(InTime))
        {
            var settled = new Settling(simulator, dish, w => w.Build(dish), RunOptions.Search).Of(held, [new BowlWater()], MostTries).Way;
            settled = settled with { Bowl = settled.Bowl! with { Water = settled.Bowl.Water.RoundedTo(10) } };
            var served = judge.PotsServed(settled);
            best = best is null || served > best.Value.Served ? (settled, served) : best;
            if (best.Value.Served >= WaySolver.WellServed)
            {
                break;
            }
        }

        return best!.Value.Way;
    }

    /// <summary>When the reference pot comes to the lock, to the minute: nothing that is tried here changes it.</summary>
    private Instant Closes(Way alone)
    {
        var cook = alone.Build(dish);
        var run = simulator.Run(cook, PotTraits.Reference(cook), RunOptions.Search);
        var at = run.Done[cook.StepAt(StepIds.Lock)] is { } done ? cook.Starts + Duration.FromSeconds(done.Seconds) : cook.Starts;
        return Instant.FromUnixTimeSeconds(at.ToUnixTimeSeconds() / 60 * 60);
    }

    /// <summary>With a bowl above it the cooker comes up and cools more slowly: held as long as the pulses then need to be tender when the
    /// lid comes off, or less, and they are finished in the open pot, where somebody looks.</summary>
    private IEnumerable<Way> Holds(Way way)
    {
        List<Way> held =
            way.Whistles > 0
                ? [.. Enumerable.Range(1, way.Whistles).Select(n => way with { Bowl = way.Bowl! with { Whistles = n } })]
                :
                [
                    .. Enumerable
                        .Range(0, MostHolds)
                        .Select(k => Math.Round(way.HoldMinutes * k / (MostHolds - 1)))
                        .Distinct()
                        .Select(minutes => way with { Bowl = way.Bowl! with { HoldMinutes = minutes } }),
                ];
        var cooks = held.ConvertAll(w => w.Build(dish));
        var runs = simulator.RunMany([.. cooks.Select(c => new PotJob(c, PotTraits.Reference(c)))], RunOptions.Search);
        var opened = Enumerable
            .Range(0, runs.Length)
            .Select(k => runs[k].Done[cooks[k].StepAt(StepIds.Opened)] is { } done ? done.Doneness[cooks[k].IndexOf(Way.PulseId)] : 0)
            .ToList();
        var tender = opened.FindIndex(d => d >= Doneness.Tender) is >= 0 and var found ? found : held.Count - 1;
        return Enumerable
            .Range(0, tender + 1)
            .Reverse()
            .Where(k => k == tender || opened[k] >= LeastOpened)
            .Take(MostTried)
            .Select(k => held[k]);
    }

    /// <summary>Lit so much earlier that a slow bag is found when its time is come, with the bowl above it too.</summary>
    private Way InTime(Way held)
    {
        var cook = held.Build(dish);
        var run = simulator.Run(cook, PotTraits.AtPaceShare(cook, SlowShare), RunOptions.Search);
        if (held.JoinsOnLook || run.Done[cook.StepAt(StepIds.Ready)] is not { } found)
        {
            return held;
        }

        var late = cook.Starts + Duration.FromSeconds(found.Seconds) - held.JoinAt;
        var minutes = Duration.FromMinutes(Math.Ceiling(late.TotalMinutes));
        return minutes <= Duration.Zero
            ? held
            : held with
            {
                LightAt = held.LightAt - minutes,
                FirstLook = held.FirstLook - minutes,
                Bowl = held.Bowl! with { ClosesAt = held.Bowl.ClosesAt - minutes },
            };
    }

    private static readonly double SlowShare = new UntilFound(AtFirstLook: false).Slack;

    /// <summary>What is found further from done than this boils for so long beside finished rice that it is no way to cook them
    /// together.</summary>
    private static readonly double LeastOpened = Doneness.Anchor(FeltState.ChalkyMiddle);

    /// <summary>Holds that are judged on pots.</summary>
    private const int MostTried = 5;
}
