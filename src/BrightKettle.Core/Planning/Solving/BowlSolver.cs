using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
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

    /// <summary>Both under one lid.</summary>
    /// <param name="way">The pulses alone, under pressure.</param>
    public Way Under(Way way)
    {
        var alone = way with { Bowl = null };
        var first = new BowlNumbers(Closes(alone), dish.RiceDry * dish.Rice!.Absorbed.Typical, way.HoldMinutes, way.Whistles);
        var held = Held(alone with { Bowl = first });
        var settled = new Settling(simulator, dish, w => w.Build(dish), RunOptions.Search).Of(held, [new BowlWater()], MostTries).Way;
        return settled with { Bowl = settled.Bowl! with { Water = settled.Bowl.Water.RoundedTo(10) } };
    }

    /// <summary>When the reference pot comes to the lock, to the minute: nothing that is tried here changes it.</summary>
    private Instant Closes(Way alone)
    {
        var cook = alone.Build(dish);
        var run = simulator.Run(cook, PotTraits.Reference(cook), RunOptions.Search);
        var at = run.Done[cook.StepAt(StepIds.Lock)] is { } done ? cook.Starts + Duration.FromSeconds(done.Seconds) : cook.Starts;
        return Instant.FromUnixTimeSeconds(at.ToUnixTimeSeconds() / 60 * 60);
    }

    /// <summary>With a bowl above it the cooker comes up and cools more slowly: held only as long as the pulses then need.</summary>
    private Way Held(Way way)
    {
        List<Way> shorter =
            way.Whistles > 0
                ? [.. Enumerable.Range(1, way.Whistles).Select(n => way with { Bowl = way.Bowl! with { Whistles = n } })]
                :
                [
                    .. Enumerable
                        .Range(0, MostHolds)
                        .Select(k =>
                            way with
                            {
                                Bowl = way.Bowl! with { HoldMinutes = Math.Round(way.HoldMinutes * k / (MostHolds - 1)) },
                            }
                        ),
                ];
        var cooks = shorter.ConvertAll(w => w.Build(dish));
        var runs = simulator.RunMany([.. cooks.Select(c => new PotJob(c, PotTraits.Reference(c)))], RunOptions.Search);
        var soft = Enumerable
            .Range(0, runs.Length)
            .Where(k =>
                runs[k].Done[cooks[k].StepAt(StepIds.Opened)] is { } done && done.Doneness[cooks[k].IndexOf(Way.PulseId)] >= Doneness.Tender
            )
            .Select(k => shorter[k])
            .FirstOrDefault();
        return soft ?? way;
    }
}
