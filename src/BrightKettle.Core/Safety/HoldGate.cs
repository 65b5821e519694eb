using BrightKettle.Core.Cooking;
using NodaTime;

namespace BrightKettle.Core.Safety;

/// <summary>What is cooked stays at 60 °C or more, or is heated, eaten or chilled within two hours of having cooled to that.</summary>
public static class HoldGate
{
    public const string TooCool = "hold.too_cool";

    /// <summary>Hot enough to stand (the stricter of several national rules; UK 63 by law, US 57).</summary>
    public const double HotCelsius = 60;

    /// <summary>Longest below that.</summary>
    public static readonly Duration Longest = Duration.FromHours(2);

    /// <summary>Minutes after the table by which leftovers are in the fridge.</summary>
    public static readonly Duration ChillWithin = Duration.FromHours(1);

    public static IReadOnlyList<GateFinding> Judge(Cook cook, PotRun run)
    {
        ArgumentNullException.ThrowIfNull(cook);
        ArgumentNullException.ThrowIfNull(run);
        var found = new List<GateFinding>();
        for (var v = 0; v < cook.Kitchen.VesselCount; v++)
        {
            (double Seconds, double Celsius)? off = null;
            var drained = false;
            for (var i = 0; i < cook.Actions.Count; i++)
            {
                if (cook.VesselOf(cook.Actions[i]) != v || run.Done[i] is not { } done)
                {
                    continue;
                }

                if (cook.Actions[i] is CookAction.Transfer { What: TransferWhat.Everything })
                {
                    off = null;
                }

                // A quick soak is drained and boiled afresh: it is no cooked food yet.
                drained |= cook.Actions[i] is CookAction.Drain { IngredientId: null };
                var ends = cook.Actions[i] is CookAction.Heat { Flame: not Flame.Off } or CookAction.Serve;
                if (
                    ends
                    && off is { } since
                    && !drained
                    && done.Celsius < HotCelsius
                    && SecondsBelow(since, (done.Seconds, done.Celsius), cook.Kitchen.Room.Celsius) > Longest.TotalSeconds
                )
                {
                    found.Add(new(TooCool, null, i, true));
                }

                if (cook.Actions[i] is CookAction.Heat heat)
                {
                    (off, drained) = (heat.Flame == Flame.Off ? (done.Seconds, done.Celsius) : null, false);
                }
            }
        }

        return found;
    }

    /// <summary>Of the time between two readings, how long it was under 60 °C, cooling towards the room as pots do.</summary>
    private static double SecondsBelow((double Seconds, double Celsius) from, (double Seconds, double Celsius) to, double room)
    {
        if (from.Celsius <= HotCelsius || to.Celsius <= room + 1 || room >= HotCelsius)
        {
            return to.Seconds - from.Seconds;
        }

        var share = Math.Log((from.Celsius - room) / (HotCelsius - room)) / Math.Log((from.Celsius - room) / (to.Celsius - room));
        return (1 - share) * (to.Seconds - from.Seconds);
    }

    /// <summary>Whether food may still be kept: it was on the table no longer than an hour, or a probe has found it hot within the last
    /// hour.</summary>
    public static bool MayKeep(Instant served, IReadOnlyList<Observation> seen, Instant now)
    {
        ArgumentNullException.ThrowIfNull(seen);
        var hot = seen.OfType<Observation.Probed>()
            .Where(o => o.Celsius >= HotCelsius && o.At >= served && o.At <= now)
            .Select(o => o.At)
            .DefaultIfEmpty(served)
            .Max();
        return now - hot <= ChillWithin;
    }
}
