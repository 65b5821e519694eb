using BrightKettle.Core.Cooking;
using BrightKettle.Core.Cooking.Trace;
using BrightKettle.Core.Safety;
using NodaTime;

namespace BrightKettle.Core.Planning;

/// <summary>A few bags by which ways are compared before the forecast runs many.</summary>
internal sealed partial class WaySolver
{
    /// <summary>Shares of bags on which states to wait for are compared.</summary>
    private static readonly double[] Bags = [0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9];

    /// <summary>How many of a few bags, from slow to fast, come out as wanted, all pulses of the dish.</summary>
    private int BagsServed(Way way)
    {
        var cook = way.Build(dish);
        // Only where one pulse waits for another can they stand for so long that they cool.
        var trace = way.OtherWait is null ? null : new CookTrace(cook);
        return simulator
            .RunMany([.. Enumerable.Range(0, Bags.Length).Select(n => new PotJob(cook, Mixed(cook, n)))], _search)
            .Count(run =>
                run.StalledAt is null
                && (trace is null || HoldGate.Judge(trace, run, HoldGate.LongestPlanned).Count == 0)
                && cook.Starts + Duration.FromSeconds(run.EndSeconds) <= dish.ServeAt + Way.RiceWaits
                && PulseAtTable(run) >= _wanted.Low
                && PulseAtTable(run) <= _wanted.High
                && dish.OtherPulses.All(o =>
                    run.Final[cook.IndexOf(o.Id)].Doneness is var done
                    && dish.Targets.Window(o.Pulse) is var window
                    && done >= window.Low
                    && done <= window.High
                )
            );
    }

    /// <summary>The nth of a few pots: a slow bag of one pulse says nothing of the next one's.</summary>
    private static PotTraits Mixed(Cook cook, int n) =>
        PotTraits.AtPaceShare(cook, Bags[n]) with
        {
            Pace =
            [
                .. cook.Ingredients.Select(
                    (i, at) => PotTraits.AtPaceShare(cook, Bags[n * (at == 0 ? 1 : FarApart) % Bags.Length]).Pace[at]
                ),
            ],
        };

    /// <summary>Steps through the bags that meet each of them once, far from those of the first pulse.</summary>
    private const int FarApart = 4;
}
