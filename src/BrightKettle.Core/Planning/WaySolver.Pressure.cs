using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;

namespace BrightKettle.Core.Planning;

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
    private int Enough(Way way, double first, double step)
    {
        var runs = simulator.RunMany(
            [.. Enumerable.Range(0, Side).Select(k => Opened(way with { HoldMinutes = first + (k * step) }))],
            _ends
        );
        return Array.FindIndex(runs, r => r.StalledAt is null && PulseAtTable(r) >= HoldTo(way));
    }

    /// <summary>The fewest whistles after which the reference bag is just soft when the pin falls; 0 where the cooker has no weight or
    /// they would be too many to count.</summary>
    private int Whistles(Way way)
    {
        if (dish.Cooker!.Cooker!.Kind != CookerKind.Weight)
        {
            return 0;
        }

        var runs = simulator.RunMany(
            [.. Enumerable.Range(1, PressureHold.MostWhistles).Select(n => Opened(way with { Whistles = n }))],
            _ends
        );
        return 1 + Array.FindIndex(runs, r => r.StalledAt is null && PulseAtTable(r) >= HoldTo(way));
    }

    /// <summary>What a hold is to reach in the reference bag: what is waited for, or, alone, what the target wants.</summary>
    private double HoldTo(Way way) => way.WaitsFor(dish, way.Wait ?? FeltState.Soft);

    /// <summary>The cook up to the moment at which the lid comes off.</summary>
    private PotJob Opened(Way way)
    {
        var cook = (way with { Order = JoinOrder.PulseAlone }).Build(dish);
        var at = IndexOf(cook, StepIds.Opened);
        cook = cook with { Actions = [.. cook.Actions.Take(at), new CookAction.Serve(cook.Actions[at].Trigger)] };
        return new(cook, PotTraits.Reference(cook));
    }
}
