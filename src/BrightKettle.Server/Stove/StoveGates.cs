using BrightKettle.Core.Cooking;
using BrightKettle.Core.Safety;
using BrightKettle.Core.Stove;
using BrightKettle.Server.Kitchen;
using BrightKettle.Server.Planning;
using NodaTime;
using Said = BrightKettle.Server.Messages.Messages;

namespace BrightKettle.Server.Stove;

/// <summary>The gates before the next thing at the stove.</summary>
public static class StoveGates
{
    /// <summary>What stands in the way, as it is said.</summary>
    public static string Words(BlockDto block)
    {
        ArgumentNullException.ThrowIfNull(block);
        var text = Said.Say($"caution.{block.Code}.text");
        return block.Name is null ? text : Said.BlockStillIn(block.Name, block.Left, block.Pieces, text);
    }

    /// <summary>Its gate is told before the moment leads: a tap, of which the answer is still under way, may bring it to the front.</summary>
    public static bool StandsFromFarOff(CookAction action) => action is CookAction.Serve or CookAction.Pressurise;

    /// <summary>What stands in the way of a moment; null when it may be done.</summary>
    public static BlockDto? Before(EveningState evening, Moment moment, Instant now, KitchenState kitchen)
    {
        ArgumentNullException.ThrowIfNull(evening);
        ArgumentNullException.ThrowIfNull(moment);
        ArgumentNullException.ThrowIfNull(kitchen);
        if (moment.Actions.Any(a => a is CookAction.Serve) && evening.ComesOut().FirstOrDefault(i => i.Left > 0) is { } inside)
        {
            return new(TakeOutGate.StillIn, null, inside.Name, inside.Left, inside.Pieces);
        }

        // In order, with what each was to wait for: the gates judge what was meant, and what was seen of it.
        var trace = evening.AsMeant(out var pending);
        var house = GateHouse.Of(kitchen.Household);
        // A hard boil that was broken off says nothing.
        var required = LectinGate.RequiredBoil(trace.Cook.Kitchen.Altitude, house.Cautious);
        var seen = evening.WithoutBrokenBoils(required);
        var finding = Enumerable
            .Range(0, pending.Count)
            .Where(i => pending[i]?.Id == moment.Id)
            .Select(i => Gates.Before(trace, i, seen, now, house))
            .FirstOrDefault(f => f is { Blocks: true });
        if (finding is null)
        {
            return null;
        }

        var until =
            finding.IngredientId is { } id && finding.Code.StartsWith("lectin", StringComparison.Ordinal)
                ? LectinGate.ClearsAt(trace, id, seen, house.Cautious)
                : null;
        return new(finding.Code, until?.ToDateTimeOffset());
    }
}
