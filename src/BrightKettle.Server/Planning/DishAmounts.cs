using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Planning;
using BrightKettle.Server.Answers;
using BrightKettle.Server.Kitchen;

namespace BrightKettle.Server.Planning;

/// <summary>From amounts as they were said to the dry weight behind them.</summary>
internal sealed class DishAmounts(KitchenState kitchen)
{
    /// <summary>Of pulses as they come.</summary>
    /// <returns>Their dry weight, g.</returns>
    public double Pulse(AmountDto? amount, Pulse pulse, PulseState state, bool withRice, int people, FieldFaults checks)
    {
        var scale = Dish.PulseScale(pulse, state);
        var usual = people * Portions.PulseGramsEach(withRice) * scale;
        return Grams(amount, pulse.Id, GramsPerCup(pulse, state), usual, people, "pulse", checks) / scale;
    }

    /// <inheritdoc cref="Pulse"/>
    public double Rice(AmountDto? amount, Rice rice, RiceState state, int people, FieldFaults checks)
    {
        var scale = Dish.RiceScale(rice, state);
        return Grams(amount, rice.Id, GramsPerCup(rice, state), people * Portions.RiceGramsEach * scale, people, "rice", checks) / scale;
    }

    /// <summary>Of pulses as they come, g a cup.</summary>
    public static double GramsPerCup(Pulse pulse, PulseState state) =>
        state switch
        {
            PulseState.Dry => pulse.GramsPerCup,
            PulseState.HalfCooked => pulse.CookedGramsPerCup,
            _ => pulse.Green!.GramsPerCup,
        };

    /// <inheritdoc cref="GramsPerCup(Pulse, PulseState)"/>
    public static double GramsPerCup(Rice rice, RiceState state) => state == RiceState.Dry ? rice.GramsPerCup : CookedRiceGramsPerCup;

    /// <summary>Loosely filled (confidence C: 150 to 175 g).</summary>
    private const double CookedRiceGramsPerCup = 160;

    /// <summary>A bag as most shops sell it, g.</summary>
    private const double PacketGrams = 500;

    /// <summary>Grams on the scale of an amount as it was said.</summary>
    /// <param name="usual">Where nobody says how much, and so for a plate of it, g for all.</param>
    public double Grams(AmountDto? amount, string id, double gramsPerCup, double usual, int people, string field, FieldFaults checks)
    {
        if (amount is null)
        {
            return usual;
        }

        switch (amount.Unit)
        {
            case "g":
                return checks.Within(amount.Value, 20, 5000, field);
            case "shelf" when kitchen.ShelfGrams.TryGetValue(id, out var left):
                return left;
            case "shelf":
                checks.Add("dish.not_on_shelf", field);
                return usual;
            case "plate":
                return checks.Within(amount.Value, 1, 40, field) * usual / people;
            case "packet":
                return checks.Within(amount.Value, 0.1, 10, field) * PacketGrams;
            case "cup":
                var cups = checks.Within(amount.Value, 0.1, 25, field);
                return Portions.GramsOfCups(cups, gramsPerCup, kitchen.Row.CupMillilitres);
            default:
                checks.Add("request.unknown_word", $"{field}.unit");
                return usual;
        }
    }
}
