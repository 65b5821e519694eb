using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;

namespace BrightKettle.Core.Stove;

/// <summary>What is done in one go at the stove: an action that waits for something, with those that follow it at once in the same vessel
/// or bowl.</summary>
/// <param name="Id">Stays the same for the whole evening: the number of the plan it comes from, and of its first action there.</param>
/// <param name="Lane">Id of its vessel; for what happens in a bowl, bowl: and the ingredient.</param>
public sealed record Moment(string Id, string Lane, IReadOnlyList<CookAction> Actions)
{
    private const string Bowl = "bowl:";

    /// <summary>What it waits for.</summary>
    public Trigger Trigger => Actions[0].Trigger;

    public bool InBowl => Lane.StartsWith(Bowl, StringComparison.Ordinal);

    public IEnumerable<string> Marks => Actions.Select(a => a.StepId).OfType<string>();

    public bool Has(string mark) => Actions.Any(a => a.StepId == mark);

    /// <summary>The moments of a list of actions, in the order of their first actions.</summary>
    /// <param name="plan">0 for the first plan of the evening, one more for each that replaced it.</param>
    public static IReadOnlyList<Moment> Of(IReadOnlyList<CookAction> actions, CookKitchen kitchen, int plan)
    {
        ArgumentNullException.ThrowIfNull(actions);
        ArgumentNullException.ThrowIfNull(kitchen);
        var moments = new List<(string Id, string Lane, List<CookAction> Actions)>();
        var open = new Dictionary<string, List<CookAction>>();
        for (var i = 0; i < actions.Count; i++)
        {
            var lane = LaneOf(actions[i], kitchen);
            if (actions[i].Trigger == Trigger.Next && open.TryGetValue(lane, out var together))
            {
                together.Add(actions[i]);
                continue;
            }

            open[lane] = [actions[i]];
            moments.Add(($"{plan}.{i}", lane, open[lane]));
        }

        return [.. moments.Select(m => new Moment(m.Id, m.Lane, m.Actions))];
    }

    /// <summary>Where an action is done.</summary>
    internal static string LaneOf(CookAction action, CookKitchen kitchen) =>
        BowlLane.Holds(action) ? Bowl + BowlLane.IngredientOf(action) : kitchen[kitchen.IndexOf(action.In)].Vessel.Id;
}
