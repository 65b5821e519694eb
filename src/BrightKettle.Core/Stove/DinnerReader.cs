using BrightKettle.Core.Cooking;
using BrightKettle.Core.Learning;
using BrightKettle.Core.Learning.House;

namespace BrightKettle.Core.Stove;

/// <summary>Reads what a dinner that reached the table says of the bags that went into it.</summary>
public sealed class DinnerReader(Simulator simulator)
{
    /// <param name="dinnerId">Of the dinner.</param>
    /// <param name="evening">Told up to its table.</param>
    /// <param name="bags">By pulse: the bag that it came from.</param>
    /// <returns>Nothing of pulses that came cooked, or half-cooked, or green, and of those of which nothing was seen.</returns>
    public IReadOnlyList<BagEvidence> Read(string dinnerId, EveningState evening, IReadOnlyDictionary<string, string> bags)
    {
        ArgumentNullException.ThrowIfNull(evening);
        ArgumentNullException.ThrowIfNull(bags);
        if (evening.ServedAt is not { } served || bags.Count == 0)
        {
            return [];
        }

        // Whatever was known of the bag when it was planned, this dinner speaks for itself.
        var unknown = new Pace(1, simulator.Constants.LotSpread);
        var past = EveningForecaster.Past(evening, served);
        past = past with
        {
            Ingredients = [.. past.Ingredients.Select(i => i is PulseIngredient p ? p with { Pace = unknown } : i)],
            Evaporation = null,
            BurnerPower = null,
        };
        var known = new Learner(simulator).Learn(past, [.. evening.Seen.Where(o => o.At <= served)]);
        return
        [
            .. past
                .Ingredients.OfType<PulseIngredient>()
                .Where(p => p is { Start: null, Green: false } && bags.ContainsKey(p.Pulse.Id))
                .Select(p => BagEvidence.Of(dinnerId, bags[p.Pulse.Id], p.Pulse.Id, known.Paces[p.Id], unknown))
                .OfType<BagEvidence>(),
        ];
    }
}
