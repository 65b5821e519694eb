using NodaTime;

namespace BrightKettle.Core.Cooking;

/// <summary>What happens in an ingredient's own bowl, beside the pot: it goes by the clock alone and holds nothing up but its own way
/// into the pot.</summary>
internal static class BowlLane
{
    public static bool Holds(CookAction action) =>
        action is CookAction.Soak or CookAction.Chill or CookAction.Rinse or CookAction.Drain { IngredientId: not null };

    public static string? IngredientOf(CookAction action) =>
        action switch
        {
            CookAction.Soak a => a.IngredientId,
            CookAction.Chill a => a.IngredientId,
            CookAction.Rinse a => a.IngredientId,
            CookAction.Drain a => a.IngredientId,
            _ => null,
        };

    /// <summary>When each bowl action is due: after the one before it in the same bowl, at its clock time, after its delay.</summary>
    public static IReadOnlyList<(int Action, Instant At)> Due(Cook cook)
    {
        if (!cook.Actions.Any(Holds))
        {
            return [];
        }

        var list = new List<(int, Instant)>();
        var clocks = new Dictionary<string, Instant>();
        for (var i = 0; i < cook.Actions.Count; i++)
        {
            var action = cook.Actions[i];
            if (!Holds(action))
            {
                continue;
            }

            var id = IngredientOf(action)!;
            var due = clocks.GetValueOrDefault(id, cook.Starts) + (action.Trigger.Delay ?? Duration.Zero);
            due = action.Trigger.NotBefore is { } at && at > due ? at : due;
            clocks[id] = due;
            list.Add((i, due));
        }

        return list;
    }
}
