using System.Globalization;
using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Learning.House;
using BrightKettle.Server.Answers;
using NodaTime;

namespace BrightKettle.Server.Kitchen;

/// <summary>Bags as pages show them.</summary>
public static class BagMapper
{
    private const double Low = 0.1;
    private const double High = 0.9;

    /// <summary>Those of the cupboard, by food; of one food in the order in which they are to be used.</summary>
    public static IEnumerable<BagDto> Map(KitchenState kitchen)
    {
        ArgumentNullException.ThrowIfNull(kitchen);
        return kitchen
            .Bags.Where(b => !b.Removed)
            .Select(b => Map(b, kitchen))
            .OrderBy(b => b.FoodName, StringComparer.Ordinal)
            .ThenBy(b => !b.First)
            .ThenBy(b => b.Grams <= 0)
            .ThenBy(b => b.BoughtOn, StringComparer.Ordinal);
    }

    private static BagDto Map(Bag bag, KitchenState kitchen)
    {
        var pulse = PulseCatalogue.Shipped.FindPulse(bag.FoodId);
        return new(
            bag.Id,
            bag.FoodId,
            pulse?.Said ?? PulseCatalogue.Shipped.FindRice(bag.FoodId)?.Name ?? bag.FoodId,
            bag.Name,
            bag.Grams,
            Day(bag.BoughtOn),
            Day(bag.BestBefore),
            Day(bag.OpenedOn),
            ClosedSet.Word(bag.Storage),
            kitchen.FirstBag(bag.FoodId)?.Id == bag.Id,
            pulse is null ? null : Pace(kitchen.Paces.Of(bag.Id, pulse.Id)),
            kitchen.VersionOf("bag", bag.Id)
        );
    }

    public static BagPaceDto Pace(BagPace known)
    {
        ArgumentNullException.ThrowIfNull(known);
        var unknown = new Pace(1, PulseCatalogue.Shipped.Constants.LotSpread);
        return new(
            Time(known.Pace, 0.5),
            Time(known.Pace, High),
            Time(known.Pace, Low),
            Time(unknown, High),
            Time(unknown, Low),
            known.Dinners,
            known.OtherBags
        );
    }

    /// <summary>What is fast takes less time.</summary>
    public static double Time(Pace pace, double share)
    {
        ArgumentNullException.ThrowIfNull(pace);
        return Math.Round(1 / pace.Quantile(share), 2);
    }

    private static string? Day(LocalDate? day) => day?.ToString("uuuu-MM-dd", CultureInfo.InvariantCulture);
}
