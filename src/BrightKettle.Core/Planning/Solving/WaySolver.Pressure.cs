using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;

namespace BrightKettle.Core.Planning.Solving;

/// <summary>How long to hold the pressure.</summary>
internal sealed partial class WaySolver
{
    private Way Held(Way way)
    {
        var timed = way with { Whistles = 0, HoldMinutes = Hold(way with { Whistles = 0 }) };
        return timed with { Whistles = Whistles(timed) };
    }

    private const int Side = 8;

    /// <summary>Whole minutes under pressure after which the reference bag is just soft when the pin falls; eight tries side by side,
    /// near the hold that is known or, from none, twice.</summary>
    private double Hold(Way way)
    {
        if (way.HoldMinutes > Side / 2)
        {
            // The first of the eight must be too short, or a shorter one might do.
            var near = Enough(way, way.HoldMinutes - (Side / 2), 1);
            if (near > 0)
            {
                return way.HoldMinutes - (Side / 2) + near;
            }
        }

        var (low, high) = (0.0, 64.0);
        for (var step = high / Side; step >= 1; step /= Side)
        {
            var enough = Enough(way, low + step, step);
            high = enough < 0 ? high : low + ((enough + 1) * step);
            low = high - step;
        }

        return high;
    }

    /// <summary>Of eight holds from one on, so many minutes apart, the first that is long enough; -1 for none.</summary>
    private int Enough(Way way, double first, double step) =>
        FirstEnough(way, Enumerable.Range(0, Side).Select(k => way with { HoldMinutes = first + (k * step) }));

    /// <summary>The fewest whistles after which the reference bag is just soft when the pin falls; 0 where the cooker has no weight or
    /// they would be too many to count.</summary>
    private int Whistles(Way way) =>
        dish.Cooker!.Cooker!.Kind == CookerKind.Weight
            ? 1 + FirstEnough(way, Enumerable.Range(1, PressureHold.MostWhistles).Select(n => way with { Whistles = n }))
            : 0;

    /// <summary>Of holds side by side the first after which the reference bag is far enough; -1 for none.</summary>
    private int FirstEnough(Way way, IEnumerable<Way> held)
    {
        var (jobs, enough) = (held.Select(Opened).ToList(), HoldTo(way));
        var runs = simulator.RunMany([.. jobs], _ends);
        return Array.FindIndex([.. Enumerable.Range(0, runs.Length)], k =>
            runs[k].StalledAt is null && PulseAtTable(jobs[k].Cook, runs[k]) >= enough
        );
    }

    /// <summary>What a hold is to reach in the reference bag: what is waited for, or, alone, what the target wants.</summary>
    private double HoldTo(Way way) => way.WaitsFor(dish, way.Wait ?? FeltState.Soft);

    /// <summary>The cook up to the moment at which the lid comes off.</summary>
    private PotJob Opened(Way way)
    {
        var cook = (way with { List = WayLists.PulsesAlone }).Build(dish);
        var at = cook.StepAt(StepIds.Opened);
        cook = cook with
        {
            Actions = [.. cook.Actions.Take(at), new CookAction.Serve(cook.Actions[at].Trigger) { In = cook.Actions[at].In }],
        };
        return new(cook, PotTraits.Reference(cook));
    }
}
