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

    /// <summary>Whole minutes under pressure after which the reference bag is just soft when the pin falls; eight tries side by side, twice.</summary>
    private double Hold(Way way)
    {
        var (low, high) = (0.0, 64.0);
        for (var round = 0; round < 2; round++)
        {
            var step = (high - low) / 8;
            var holds = Enumerable.Range(1, 8).Select(k => low + (k * step)).ToArray();
            var runs = simulator.RunMany([.. holds.Select(h => Opened(way with { HoldMinutes = h }))], _ends);
            var enough = Array.FindIndex(runs, r => r.StalledAt is null && PulseAtTable(r) >= Doneness.Tender);
            high = enough < 0 ? high : holds[enough];
            low = high - step;
        }

        return Math.Ceiling(high);
    }

    /// <summary>The fewest whistles after which the reference bag is just soft when the pin falls; 0 where the cooker has no weight or they would be too many to count.</summary>
    private int Whistles(Way way)
    {
        if (dish.Cooker!.Cooker!.Kind != CookerKind.Weight)
        {
            return 0;
        }

        var runs = simulator.RunMany([.. Enumerable.Range(1, PressureHold.MostWhistles).Select(n => Opened(way with { Whistles = n }))], _ends);
        return 1 + Array.FindIndex(runs, r => r.StalledAt is null && PulseAtTable(r) >= Doneness.Tender);
    }

    /// <summary>The cook up to the moment at which the lid comes off.</summary>
    private PotJob Opened(Way way)
    {
        var cook = (way with { Order = Order.PulseAlone }).Build(dish);
        var at = IndexOf(cook, Marks.Opened);
        cook = cook with { Actions = [.. cook.Actions.Take(at), new CookAction.Serve(cook.Actions[at].When)] };
        return new(cook, PotTraits.Reference(cook));
    }
}
