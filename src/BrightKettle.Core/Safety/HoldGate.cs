using BrightKettle.Core.Cooking;
using BrightKettle.Core.Cooking.Trace;
using NodaTime;

namespace BrightKettle.Core.Safety;

/// <summary>What is cooked stays at 60 °C or more, or is heated, eaten or chilled within two hours of having cooled to that.</summary>
public static class HoldGate
{
    public const string TooCool = "hold.too_cool";

    /// <summary>Hot enough to stand (the stricter of several national rules; UK 63 by law, US 57).</summary>
    public const double HotCelsius = 60;

    /// <summary>A plan lets nothing that is cooked stand lukewarm for longer: it goes back to the boil or to the table (design, 6).</summary>
    public static readonly Duration LongestPlanned = Duration.FromHours(1);

    /// <summary>Longest below that; after it, it is thrown away.</summary>
    public static readonly Duration Longest = Duration.FromHours(2);

    /// <summary>Minutes after the table by which leftovers are in the fridge.</summary>
    public static readonly Duration ChillWithin = Duration.FromHours(1);

    /// <param name="run">The cook on one pot.</param>
    /// <param name="longest">How long it may stand under 60 °C; null for <see cref="Longest"/>.</param>
    public static IReadOnlyList<GateFinding> Judge(CookTrace trace, PotRun run, Duration? longest = null)
    {
        ArgumentNullException.ThrowIfNull(trace);
        ArgumentNullException.ThrowIfNull(run);
        var cook = trace.Cook;
        var found = new List<GateFinding>();
        // Since when each vessel's food stands without heat, and how hot it was then; null where none does.
        var off = new (double Seconds, double Celsius)?[cook.Kitchen.VesselCount];
        // A quick soak is drained and boiled afresh: it is no cooked food yet.
        var drained = new bool[cook.Kitchen.VesselCount];
        bool Cooled(int vessel, double seconds, double celsius) =>
            off[vessel] is { } since
            && !drained[vessel]
            && celsius < HotCelsius
            && SecondsBelow(since, (seconds, celsius), cook.Kitchen.Room.Celsius) > (longest ?? Longest).TotalSeconds;
        for (var i = 0; i < cook.Actions.Count; i++)
        {
            var (action, v) = (cook.Actions[i], trace.VesselOf(i));
            if (run.Done[i] is not { } done || BowlLane.Holds(action))
            {
                continue;
            }

            drained[v] |= action is CookAction.Drain { IngredientId: null };
            if (action is CookAction.Serve)
            {
                // Everything that stands about comes to the table, from whichever pot.
                var cold = Enumerable
                    .Range(0, cook.Kitchen.VesselCount)
                    .Any(w => !trace.Before(i, w).Inside.IsEmpty && Cooled(w, done.Seconds, run.Vessels[w].Celsius));
                if (cold)
                {
                    found.Add(new(TooCool, null, i, true));
                }
            }
            else if (action is CookAction.Heat)
            {
                var burns = trace.After(i, v).Flame != Flame.Off;
                if (burns && Cooled(v, done.Seconds, done.Celsius))
                {
                    found.Add(new(TooCool, null, i, true));
                }

                // Turned off a second time, it has stood since the first.
                off[v] = burns || trace.After(i, v).Inside.IsEmpty ? null : off[v] ?? (done.Seconds, done.Celsius);
                drained[v] = false;
            }
            else if (
                action is CookAction.Transfer { What: not TransferWhat.Liquor } moved
                && cook.Kitchen.IndexOf(moved.To) is >= 0 and var to
            )
            {
                // The clock goes along with the food, from when it left the heat; food that stood there before keeps the longer one.
                var came = off[v] ?? (done.Seconds, done.Celsius);
                off[to] =
                    trace.Before(i, to).Flame != Flame.Off ? null
                    : off[to] is { } stood && stood.Seconds < came.Seconds && !trace.Before(i, to).Inside.IsEmpty ? stood
                    : came;
                drained[to] = false;
                if (trace.After(i, v).Inside.IsEmpty)
                {
                    off[v] = null;
                }
            }
        }

        if (found.Count == 0 && StoodLukewarm(trace, run, longest ?? Longest) is { } at)
        {
            found.Add(new(TooCool, null, at, true));
        }

        return found;
    }

    /// <summary>A flame that is too weak keeps nothing hot, whatever its word: by the minutes of the run, where it has them.</summary>
    /// <returns>Index of the action since which it stood so; null where it did not.</returns>
    private static int? StoodLukewarm(CookTrace trace, PotRun run, Duration longest)
    {
        var cook = trace.Cook;
        for (var v = 0; v < cook.Kitchen.VesselCount && run.Samples.Count > 0; v++)
        {
            List<int> touched =
            [
                .. Enumerable
                    .Range(0, cook.Actions.Count)
                    .Where(i => run.Done[i] is not null && !BowlLane.Holds(cook.Actions[i]))
                    .Where(i => trace.VesselOf(i) == v || (cook.Actions[i] is CookAction.Transfer t && cook.Kitchen.IndexOf(t.To) == v)),
            ];
            var (next, cooked, since) = (0, false, (double?)null);
            foreach (var sample in run.Samples)
            {
                for (; next < touched.Count && run.At(touched[next]).Seconds <= sample.Seconds; next++)
                {
                    // What is drained, or empty, is begun afresh.
                    if (cook.Actions[touched[next]] is CookAction.Drain || trace.After(touched[next], v).Inside.IsEmpty)
                    {
                        (cooked, since) = (false, null);
                    }
                }

                var hot = (sample.All.Count > v ? sample.All[v] : sample.Shown).Celsius >= HotCelsius;
                if (next == 0 || trace.After(touched[next - 1], v).Inside.IsEmpty || hot)
                {
                    (cooked, since) = (cooked || (hot && next > 0), null);
                }
                else if (cooked && sample.Seconds - (since ??= sample.Seconds) > longest.TotalSeconds)
                {
                    return touched[next - 1];
                }
            }
        }

        return null;
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
