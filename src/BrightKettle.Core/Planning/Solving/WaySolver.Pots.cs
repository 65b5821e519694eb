using BrightKettle.Core.Cooking;
using BrightKettle.Core.Cooking.Trace;
using BrightKettle.Core.Safety;
using NodaTime;

namespace BrightKettle.Core.Planning.Solving;

/// <summary>A few pots by which ways are compared before the forecast runs many.</summary>
internal sealed partial class WaySolver
{
    private readonly Forecaster _judge = new(simulator);

    /// <summary>As many as run side by side.</summary>
    private const int Few = 16;

    /// <summary>So many of them served are enough: one odd bag, or hand, is no reason to look further.</summary>
    public const int WellServed = Few - 1;

    /// <summary>How many of a few pots come out as wanted, each with bags, burner and hands of its own.</summary>
    public int PotsServed(Way way)
    {
        var cook = way.Build(dish);
        // Only where one pulse waits for another, or the house is left, can they stand for so long that they cool.
        var trace = way.OtherWait is null && dish.Away.Count == 0 ? null : new CookTrace(cook);
        return simulator
            .RunMany([.. PotTraits.Many(cook, simulator.Constants, Few).Select(t => new PotJob(cook, t))], _search)
            .Count(run =>
                _judge.AsWanted(cook, run, dish.Targets)
                && (trace is null || HoldGate.Judge(trace, run, HoldGate.LongestPlanned).Count == 0)
                && cook.Starts + Duration.FromSeconds(run.EndSeconds) <= dish.ServeAt + Way.RiceWaits
            );
    }
}
