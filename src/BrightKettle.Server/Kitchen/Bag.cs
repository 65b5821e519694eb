using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Data.Records;
using BrightKettle.Server.Answers;
using NodaTime;

namespace BrightKettle.Server.Kitchen;

/// <summary>A bag of the cupboard.</summary>
/// <param name="FoodId">A pulse or a rice.</param>
/// <param name="Name">Empty where the food's own name will do.</param>
/// <param name="Removed">Gone from the cupboard; kept for the dinners that came from it.</param>
public sealed record Bag(
    string Id,
    string FoodId,
    string Name,
    double Grams,
    LocalDate? BoughtOn,
    LocalDate? BestBefore,
    LocalDate? OpenedOn,
    Storage Storage,
    bool Removed
)
{
    public static Bag Of(BagRow row)
    {
        ArgumentNullException.ThrowIfNull(row);
        return new(
            row.Id,
            row.FoodId,
            row.Name,
            row.Grams,
            Day(row.BoughtOn),
            Day(row.BestBefore),
            Day(row.OpenedOn),
            ClosedSet.Find<Storage>(row.Storage) ?? Storage.Cupboard,
            row.Removed
        );
    }

    /// <summary>How old it is; as from the shop where nobody knows since when it stands here.</summary>
    public Lot LotOn(LocalDate day) =>
        BoughtOn is not { } bought
            ? Lot.Fresh
            // A bag is a few months old when it is bought, which the reference has in it.
            : new(Math.Round(Math.Clamp(Period.DaysBetween(bought, day) / 365.25, 0, MostYears), 2), Storage);

    private const double MostYears = 20;

    private static LocalDate? Day(DateOnly? day) => day is { } d ? LocalDate.FromDateOnly(d) : null;
}
