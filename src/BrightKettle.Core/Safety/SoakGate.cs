using BrightKettle.Core.Cooking;
using BrightKettle.Core.Cooking.Trace;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Safety;

/// <summary>Whether a bowl stands in the room longer than <see cref="SoakLimit"/> allows.</summary>
public static class SoakGate
{
    public const string TooLong = "soak.too_long";

    public static IReadOnlyList<GateFinding> Judge(CookTrace trace, double roomCelsius, PotRun? run)
    {
        ArgumentNullException.ThrowIfNull(trace);
        var cook = trace.Cook;
        var found = new List<GateFinding>();
        for (var i = 0; i < cook.Actions.Count; i++)
        {
            if (cook.Actions[i] is not CookAction.Soak soak)
            {
                continue;
            }

            var (end, chilled) = End(cook, i, soak.IngredientId);
            var limit = chilled ? SoakLimit.InFridge : SoakLimit.OnCounter(Temperature.FromCelsius(roomCelsius));
            if (end >= 0 && Between(cook, i, end, run) > limit)
            {
                found.Add(new(TooLong, soak.IngredientId, end, true));
            }
            else if (end >= 0 && cook.Actions[end] is CookAction.Chill)
            {
                // In the fridge with its water: that has its own end.
                var (taken, _) = End(cook, end, soak.IngredientId);
                if (taken >= 0 && Between(cook, end, taken, run) > SoakLimit.InFridge)
                {
                    found.Add(new(TooLong, soak.IngredientId, taken, true));
                }
            }
        }

        return found;
    }

    /// <summary>The action that drains the bowl, empties it into the pot, or moves it into the fridge; a bowl that is chilled at once
    /// counts as a soak in the fridge.</summary>
    private static (int Action, bool Chilled) End(Cook cook, int soak, string id)
    {
        var chilled = false;
        for (var i = soak + 1; i < cook.Actions.Count; i++)
        {
            switch (cook.Actions[i])
            {
                case CookAction.Chill chill when chill.IngredientId == id && chill.Trigger is { NotBefore: null, Delay: null }:
                    chilled = true;
                    break;
                case CookAction.Chill chill when chill.IngredientId == id:
                case CookAction.Drain drain when drain.IngredientId == id:
                case CookAction.Add add when add.IngredientId == id:
                    return (i, chilled);
            }
        }

        return (-1, chilled);
    }

    private static Duration Between(Cook cook, int from, int to, PotRun? run)
    {
        if (run?.Done[from] is { } start && run.Done[to] is { } end)
        {
            return Duration.FromSeconds(end.Seconds - start.Seconds);
        }

        var begins = cook.Actions[from].Trigger.NotBefore ?? cook.Starts;
        var waits = cook
            .Actions.Skip(from + 1)
            .Take(to - from)
            .Select(a => a.Trigger.Delay ?? Duration.Zero)
            .Aggregate(Duration.Zero, (a, b) => a + b);
        return cook.Actions[to].Trigger.NotBefore is { } at ? at - begins : waits;
    }
}
