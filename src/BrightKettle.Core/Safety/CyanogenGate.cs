using BrightKettle.Core.Cooking;
using BrightKettle.Core.Cooking.Trace;

namespace BrightKettle.Core.Safety;

/// <summary>Limas and hyacinth beans give off a poison that leaves with the steam: soaked and drained, boiled with the lid off; dry ones are
/// never locked in from cold.</summary>
/// <remarks>General food-safety teaching (confidence B).</remarks>
public static class CyanogenGate
{
    public const string Locked = "cyanogen.locked";

    /// <summary>The caution by which the catalogue marks such seed.</summary>
    private const string Mark = "cyanogen";

    public static IReadOnlyList<GateFinding> Judge(CookTrace trace)
    {
        ArgumentNullException.ThrowIfNull(trace);
        var cook = trace.Cook;
        var found = new List<GateFinding>();
        foreach (var pulse in cook.Ingredients.OfType<PulseIngredient>().Where(p => !p.IsCooked && p.Pulse.Cautions.Contains(Mark)))
        {
            if (LectinGate.SoakedAndDrained(trace, pulse.Id))
            {
                continue;
            }

            var boiledOpen = false;
            foreach (var i in trace.Around(pulse.Id))
            {
                boiledOpen |=
                    cook.Actions[i].Trigger.After == PotEvent.Boils && trace.Before(i) is { Locked: false, Lid: Lid.Open or Lid.Ajar };
                if (cook.Actions[i] is CookAction.Pressurise && !boiledOpen)
                {
                    found.Add(new(Locked, pulse.Id, i, true));
                    break;
                }
            }
        }

        return found;
    }
}
