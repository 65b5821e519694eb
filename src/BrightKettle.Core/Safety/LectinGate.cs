using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using NodaTime;

namespace BrightKettle.Core.Safety;

/// <summary>What a gate says of a cook. Sentences for the codes stand elsewhere.</summary>
/// <param name="Code">Stable.</param>
/// <param name="Action">Index of the action that it is about, or null for the whole cook.</param>
/// <param name="Blocks">The cook is no advice as it stands.</param>
/// <param name="Minutes">Of hard boil that are asked for, where the finding asks for some.</param>
public sealed record GateFinding(string Code, string IngredientId, int? Action, bool Blocks, double? Minutes = null);

/// <summary>Whether a pulse with lectin may go on to gentle cooking. Judges actions and observations, never the texture model.</summary>
/// <remarks>
/// Soaked 5 h or more, the water thrown away, and boiled hard in fresh water: then anything goes. Unsoaked or not boiled
/// hard: only in a pot that keeps boiling until a look has found nothing firm. Strictest of the guidance collected in
/// the project's reference (10 minutes at least, 30 in the cautious setting and above 1000 m).
/// </remarks>
public static class LectinGate
{
    public static readonly Duration LeastSoak = Duration.FromHours(5);
    public static readonly Duration HardBoil = Duration.FromMinutes(10);
    public static readonly Duration HardBoilCautious = Duration.FromMinutes(30);
    private const double HighAltitudeMetres = 1000;

    public static Duration RequiredBoil(double altitudeMetres, bool cautious) =>
        cautious || altitudeMetres > HighAltitudeMetres ? HardBoilCautious : HardBoil;

    /// <summary>Findings for each pulse at risk, in the order of the ingredients; empty when none is.</summary>
    public static IReadOnlyList<GateFinding> Judge(Cook cook, bool cautious)
    {
        var required = RequiredBoil(cook.Kitchen.AltitudeMetres, cautious);
        return [.. cook.Ingredients.OfType<PulseIngredient>()
            .Where(p => p.Pulse.LectinRisk != LectinRisk.Low)
            .Select(p => JudgeOne(cook, p.Id, required))];
    }

    /// <summary>When the hard boil is over by what the cook has seen, or null while the gate cannot open by boiling.</summary>
    public static Instant? ClearsAt(Cook cook, string ingredientId, IReadOnlyList<Observation> observations, bool cautious)
    {
        if (!SoakedAndDrained(cook, ingredientId))
        {
            return null;
        }

        var seen = observations.OfType<Observation.Seen>().Where(o => o.What == PotEvent.Boils).ToList();
        return seen.Count == 0 ? null : seen.Max(o => o.At) + RequiredBoil(cook.Kitchen.AltitudeMetres, cautious);
    }

    /// <summary>Whether the pot may leave the boil now, by what was seen and felt.</summary>
    public static bool MayGoGentle(Cook cook, string ingredientId, IReadOnlyList<Observation> observations, Instant now, bool cautious)
    {
        var nothingFirm = observations.OfType<Observation.FeltAs>()
            .Where(o => o.IngredientId == ingredientId && o.At <= now)
            .OrderBy(o => o.At)
            .LastOrDefault()?.State >= FeltState.Soft;
        var boiled = ClearsAt(cook, ingredientId, observations, cautious) <= now;
        var boilSeen = observations.OfType<Observation.Seen>().Any(o => o.What == PotEvent.Boils && o.At <= now);
        return boiled || (nothingFirm && boilSeen);
    }

    private static GateFinding JudgeOne(Cook cook, string id, Duration required)
    {
        var minutes = required.TotalMinutes;
        if (SoakedAndDrained(cook, id) && BoilsHard(cook, id) >= required)
        {
            return new("lectin.hard_boil", id, null, false, minutes);
        }

        var inPot = false;
        for (var i = 0; i < cook.Actions.Count; i++)
        {
            var action = cook.Actions[i];
            inPot |= action is CookAction.Add add && add.IngredientId == id;
            if (!inPot)
            {
                continue;
            }

            if (action.When.Look is { } look && look.IngredientId == id && look.Doneness >= Doneness.Tender)
            {
                return new("lectin.keep_boiling", id, i, false);
            }

            if (action is CookAction.Heat { Flame: Flame.Off or Flame.Lowest } or CookAction.Serve)
            {
                return new("lectin.not_boiled", id, i, true, minutes);
            }
        }

        return new("lectin.not_boiled", id, cook.Actions.Count - 1, true, minutes);
    }

    private static bool SoakedAndDrained(Cook cook, string id)
    {
        Instant? soakedAt = null;
        foreach (var (action, at) in BowlLane.Due(cook))
        {
            if (BowlLane.IngredientOf(cook.Actions[action]) != id)
            {
                continue;
            }

            if (cook.Actions[action] is CookAction.Soak)
            {
                soakedAt = at;
            }
            else if (cook.Actions[action] is CookAction.Drain && soakedAt is { } start)
            {
                return at - start >= LeastSoak;
            }
        }

        return false;
    }

    /// <summary>How long the pot is kept at a rolling boil, counted from the boil being seen with this pulse in it.</summary>
    private static Duration BoilsHard(Cook cook, string id)
    {
        var inPot = false;
        for (var i = 0; i < cook.Actions.Count - 1; i++)
        {
            inPot |= cook.Actions[i] is CookAction.Add add && add.IngredientId == id;
            if (inPot && cook.Actions[i] is CookAction.Heat { Flame: Flame.Rolling, When.After: PotEvent.Boils })
            {
                var next = cook.Actions[i + 1].When;
                return next.After is null ? next.Delay ?? Duration.Zero : Duration.Zero;
            }
        }

        return Duration.Zero;
    }
}
