using System.Globalization;
using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Data;
using BrightKettle.Data.Records;
using BrightKettle.Server.Answers;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using NodaTime;

namespace BrightKettle.Server.Kitchen;

/// <summary>The bags of the household: bought, changed, used up, and what their dinners say of them.</summary>
public static class CupboardEndpoints
{
    public static void Map(IEndpointRouteBuilder routes)
    {
        routes.MapPost("/api/kitchen/bags", Add);
        routes.MapPut("/api/kitchen/bags/{id}", Change);
        routes.MapDelete("/api/kitchen/bags/{id}", Remove);
        routes.MapGet("/api/kitchen/bags/{id}/dinners", Dinners);
    }

    /// <summary>More than any cupboard holds, those that were used up included.</summary>
    private const int MostBags = 400;

    private const int LongestName = 60;

    private const double MostGrams = 25_000;

    /// <summary>Dinners of one bag that are told: the latest.</summary>
    private const int MostDinners = 50;

    public static async Task<Results<Ok<KitchenDto>, ProblemHttpResult>> Add(
        BagChange change,
        KettleDb db,
        PulseCatalogue catalogue,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        var kitchen = await KitchenStore.ReadAsync(db, cancel);
        var row = new BagRow
        {
            Id = Guid.CreateVersion7(clock.GetUtcNow()).ToString("n"),
            FoodId = change.FoodId ?? string.Empty,
            Name = string.Empty,
            Storage = string.Empty,
        };
        if (Take(change, row, kitchen, catalogue, clock) is { } problem)
        {
            return problem;
        }

        if (kitchen.Bags.Count(b => !b.Removed) >= MostBags)
        {
            return KettleProblems.Invalid("kitchen.too_many", "name");
        }

        db.Bags.Add(row);
        return await KitchenEndpoints.SavedAsync(db, clock, cancel);
    }

    /// <summary>Changes a bag; one that was taken off the shelf stands there again.</summary>
    public static async Task<Results<Ok<KitchenDto>, ProblemHttpResult>> Change(
        string id,
        BagChange change,
        KettleDb db,
        PulseCatalogue catalogue,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        if (await db.Bags.SingleOrDefaultAsync(b => b.Id == id, cancel) is not { } row)
        {
            return KettleProblems.Missing("kitchen.unknown_bag");
        }

        if (change.Version != row.Version)
        {
            return KitchenEndpoints.Stale(row.Version);
        }

        if (Take(change, row, await KitchenStore.ReadAsync(db, cancel), catalogue, clock) is { } problem)
        {
            return problem;
        }

        row.Removed = false;
        row.Version++;
        return await KitchenEndpoints.SavedAsync(db, clock, cancel);
    }

    /// <summary>Takes a bag off the shelf; what was learned of it is kept, and a change brings it back.</summary>
    /// <param name="version">Of the bag, as it was shown.</param>
    public static async Task<Results<Ok<KitchenDto>, ProblemHttpResult>> Remove(
        string id,
        KettleDb db,
        TimeProvider clock,
        CancellationToken cancel,
        int version = 0
    )
    {
        if (await db.Bags.SingleOrDefaultAsync(b => b.Id == id && !b.Removed, cancel) is not { } row)
        {
            return KettleProblems.Missing("kitchen.unknown_bag");
        }

        if (version != row.Version)
        {
            return KitchenEndpoints.Stale(row.Version);
        }

        row.Removed = true;
        row.Version++;
        return await KitchenEndpoints.SavedAsync(db, clock, cancel);
    }

    /// <summary>What each dinner from a bag says of it, the latest first.</summary>
    public static async Task<Results<Ok<IReadOnlyList<BagDinnerDto>>, ProblemHttpResult>> Dinners(
        string id,
        KettleDb db,
        CancellationToken cancel
    )
    {
        if (!await db.Bags.AnyAsync(b => b.Id == id, cancel))
        {
            return KettleProblems.Missing("kitchen.unknown_bag");
        }

        var rows = await db
            .Learned.AsNoTracking()
            .Where(l => l.BagId == id)
            .Join(db.Cooks.Where(c => !c.Deleted), l => l.CookId, c => c.Id, (l, c) => new { Said = l, Dinner = c })
            .OrderByDescending(r => r.Dinner.ServeAt)
            .Take(MostDinners)
            .ToListAsync(cancel);
        return TypedResults.Ok<IReadOnlyList<BagDinnerDto>>([
            .. rows.Select(r =>
            {
                var pace = new Pace(Math.Exp(r.Said.Log), Math.Min(1, r.Said.Spread));
                return new BagDinnerDto(
                    r.Dinner.Id,
                    r.Dinner.Title,
                    r.Dinner.ServeAt,
                    BagMapper.Time(pace, 0.5),
                    BagMapper.Time(pace, 0.9),
                    BagMapper.Time(pace, 0.1),
                    r.Dinner.LeftOut,
                    r.Dinner.Version
                );
            }),
        ]);
    }

    /// <summary>Takes over what is in order; the first thing that is not is the answer, and nothing is taken then.</summary>
    private static ProblemHttpResult? Take(BagChange change, BagRow row, KitchenState kitchen, PulseCatalogue catalogue, TimeProvider clock)
    {
        var checks = new FieldFaults();
        if (change.FoodId is not { } food || (catalogue.FindPulse(food) is null && catalogue.FindRice(food) is null))
        {
            checks.Add("catalogue.unknown_food", "foodId");
        }
        else if (food != row.FoodId)
        {
            // What was learned of it is of that pulse.
            checks.Add("kitchen.bag_food", "foodId");
        }

        if (!string.IsNullOrWhiteSpace(change.Name))
        {
            checks.Text(change.Name, LongestName, "name");
        }

        if (change.Grams != 0)
        {
            checks.Within(change.Grams, 20, MostGrams, "grams");
        }

        if (ClosedSet.Find<Storage>(change.Storage) is null)
        {
            checks.Add("request.unknown_word", "storage");
        }

        var today = kitchen.Household.LocalOf(Instant.FromDateTimeOffset(clock.GetUtcNow())).Date.ToDateOnly();
        var bought = Day(change.BoughtOn, "boughtOn", checks);
        var best = Day(change.BestBefore, "bestBefore", checks);
        if (bought > today)
        {
            checks.Add("kitchen.bought_later", "boughtOn");
        }

        if (checks.Any)
        {
            return KettleProblems.Invalid(checks);
        }

        (row.Name, row.Grams, row.BoughtOn, row.BestBefore) = ((change.Name ?? string.Empty).Trim(), change.Grams, bought, best);
        row.Storage = change.Storage;
        return null;
    }

    private static DateOnly? Day(string? text, string field, FieldFaults checks)
    {
        if (string.IsNullOrEmpty(text))
        {
            return null;
        }

        if (
            DateOnly.TryParseExact(text, "yyyy-MM-dd", CultureInfo.InvariantCulture, DateTimeStyles.None, out var day)
            && day.Year is >= 1990 and <= 2100
        )
        {
            return day;
        }

        checks.Add("request.date", field);
        return null;
    }
}
