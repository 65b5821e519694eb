using BrightKettle.Core.Cooking;
using BrightKettle.Core.Cooking.Trace;
using BrightKettle.Core.Kitchen;
using NodaTime;

namespace BrightKettle.Core.Safety;

/// <summary>No flame while nobody is at home and awake. An electric cooker may run on where its manual allows it.</summary>
public static class FlameGate
{
    public const string Unattended = "flame.unattended";
    public const string ApplianceAlone = "flame.appliance_alone";

    private static readonly Duration Step = Duration.FromMinutes(5);

    /// <summary>The first flame of each vessel that burns unattended, and appliances that do.</summary>
    public static IReadOnlyList<GateFinding> Judge(CookTrace trace, PotRun run, GateHouse house)
    {
        ArgumentNullException.ThrowIfNull(trace);
        ArgumentNullException.ThrowIfNull(run);
        ArgumentNullException.ThrowIfNull(house);
        if (house.Attended is not { } attended)
        {
            return [];
        }

        var found = new List<GateFinding>();
        foreach (var flame in Flames(trace, run))
        {
            if (!Throughout(flame.From, flame.To, attended) && !found.Exists(f => f.Action == flame.Action))
            {
                found.Add(flame.Appliance ? new(ApplianceAlone, null, flame.Action, false) : new(Unattended, null, flame.Action, true));
            }
        }

        return [.. found.DistinctBy(f => f.Code)];
    }

    /// <summary>When each heat burns, from the action that lights it to the one that changes it.</summary>
    public static IEnumerable<(int Action, Instant From, Instant To, bool Appliance)> Flames(CookTrace trace, PotRun run)
    {
        ArgumentNullException.ThrowIfNull(trace);
        ArgumentNullException.ThrowIfNull(run);
        var cook = trace.Cook;
        for (var v = 0; v < cook.Kitchen.VesselCount; v++)
        {
            var appliance = cook.Kitchen[v].Vessel.Cooker is { Stovetop: false };
            int? lit = null;
            for (var i = 0; i < cook.Actions.Count; i++)
            {
                if (trace.VesselOf(i) != v || cook.Actions[i] is not CookAction.Heat || run.Done[i] is not { } done)
                {
                    continue;
                }

                if (lit is { } from)
                {
                    yield return (from, At(cook, run.At(from).Seconds), At(cook, done.Seconds), appliance);
                }

                lit = trace.After(i, v).Flame == Flame.Off ? null : i;
            }

            // Nobody has turned it off by the table: it burns until then at least.
            if (lit is { } on && run.Done[^1] is { } end)
            {
                yield return (on, At(cook, run.At(on).Seconds), At(cook, end.Seconds), appliance);
            }
        }
    }

    private static bool Throughout(Instant from, Instant to, Func<Instant, bool> attended)
    {
        // By the clock's own steps, so that pots that differ by seconds ask for the same moments.
        var step = Step.TotalSeconds;
        for (var at = Instant.FromUnixTimeSeconds((long)(Math.Ceiling(from.ToUnixTimeSeconds() / step) * step)); at < to; at += Step)
        {
            if (!attended(at))
            {
                return false;
            }
        }

        return attended(from) && attended(to);
    }

    private static Instant At(Cook cook, double seconds) => cook.Starts + Duration.FromSeconds(Math.Round(seconds));
}
