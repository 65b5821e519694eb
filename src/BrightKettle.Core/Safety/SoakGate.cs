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
        // What stood until now is judged by where it stood.
        foreach (var (i, id, before) in trace.StandsNoMore)
        {
            // A bowl that is chilled at once is a soak in the fridge.
            var since = before.Chilled ?? before.Soaked!.Value;
            var limit = before.Chilled is null ? SoakLimit.OnCounter(Temperature.FromCelsius(roomCelsius)) : SoakLimit.InFridge;
            if (SoakedBefore(cook, id) + Between(cook, since, i, run) > limit && !found.Exists(f => f.IngredientId == id))
            {
                found.Add(new(TooLong, id, i, true));
            }
        }

        return found;
    }

    /// <summary>What stood in water before this cook stands on.</summary>
    private static Duration SoakedBefore(Cook cook, string id) =>
        cook.Ingredients[cook.IndexOf(id)] is PulseIngredient { Start.Soaked: { } before } ? before : Duration.Zero;

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
