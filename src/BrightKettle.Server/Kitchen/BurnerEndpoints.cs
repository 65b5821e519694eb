using BrightKettle.Data;
using BrightKettle.Data.Records;
using BrightKettle.Server.Answers;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;

namespace BrightKettle.Server.Kitchen;

/// <summary>The burners of the household.</summary>
public static class BurnerEndpoints
{
    public static void Map(IEndpointRouteBuilder routes)
    {
        routes.MapPost("/api/kitchen/burners", Add);
        routes.MapPut("/api/kitchen/burners/{id}", Change);
        routes.MapDelete("/api/kitchen/burners/{id}", Remove);
    }

    /// <summary>More than any hob has.</summary>
    internal const int MostBurners = 12;

    private const double LeastWatts = 300;
    private const double MostWatts = 4000;

    /// <summary>The lowest flame that stays lit, of the full one (confidence C: a twelfth).</summary>
    private const double LowestShare = 0.08;

    public static async Task<Results<Ok<KitchenDto>, ProblemHttpResult>> Add(
        BurnerChange change,
        KettleDb db,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        var checks = new FieldFaults();
        Check(change, string.Empty, checks);
        if (checks.Any)
        {
            return KettleProblems.Invalid(checks);
        }

        if (await db.Burners.CountAsync(b => !b.Removed, cancel) >= MostBurners)
        {
            return KettleProblems.Invalid("kitchen.too_many_burners", "name");
        }

        db.Burners.Add(New(change, (await db.Burners.MaxAsync(b => (int?)b.Position, cancel) ?? 0) + 1, clock));
        return await KitchenEndpoints.SavedAsync(db, clock, cancel);
    }

    /// <summary>Changes a burner; one that was taken away stands there again.</summary>
    public static async Task<Results<Ok<KitchenDto>, ProblemHttpResult>> Change(
        string id,
        BurnerChange change,
        KettleDb db,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        var checks = new FieldFaults();
        Check(change, string.Empty, checks);
        if (checks.Any)
        {
            return KettleProblems.Invalid(checks);
        }

        if (await db.Burners.SingleOrDefaultAsync(b => b.Id == id, cancel) is not { } row)
        {
            return KettleProblems.Missing("kitchen.unknown_burner");
        }

        if (change.Version != row.Version)
        {
            return KitchenEndpoints.Stale(row.Version);
        }

        Take(change, row);
        row.Removed = false;
        row.Version++;
        return await KitchenEndpoints.SavedAsync(db, clock, cancel);
    }

    /// <summary>Takes a burner from the list. Where dinners use it that are still to come, it asks first, and keeps it for them.</summary>
    /// <param name="version">Of the burner, as it was shown.</param>
    /// <param name="keep">Yes, it may go from the list.</param>
    public static async Task<Results<Ok<KitchenDto>, ProblemHttpResult>> Remove(
        string id,
        KettleDb db,
        TimeProvider clock,
        CancellationToken cancel,
        int version = 0,
        bool keep = false
    )
    {
        if (await db.Burners.SingleOrDefaultAsync(b => b.Id == id && !b.Removed, cancel) is not { } row)
        {
            return KettleProblems.Missing("kitchen.unknown_burner");
        }

        if (version != row.Version)
        {
            return KitchenEndpoints.Stale(row.Version);
        }

        if (await db.Burners.CountAsync(b => !b.Removed, cancel) == 1)
        {
            return KettleProblems.Invalid("kitchen.last_burner", "burnerId");
        }

        if (!keep && await KitchenEndpoints.InUseAsync(db, id, "kitchen.burner_in_use", cancel) is { } asks)
        {
            return asks;
        }

        row.Removed = true;
        row.Version++;
        return await KitchenEndpoints.SavedAsync(db, clock, cancel);
    }

    /// <param name="at">Where it stands in the request, with its point; empty for alone.</param>
    internal static void Check(BurnerChange change, string at, FieldFaults checks)
    {
        checks.Text(change.Name, KitchenEndpoints.LongestName, $"{at}name");
        checks.Within(change.MostWatts, LeastWatts, MostWatts, $"{at}mostWatts");
    }

    internal static BurnerRow New(BurnerChange change, int position, TimeProvider clock)
    {
        var row = new BurnerRow
        {
            Id = Guid.CreateVersion7(clock.GetUtcNow()).ToString("n"),
            Name = string.Empty,
            Position = position,
        };
        Take(change, row);
        return row;
    }

    internal static void Take(BurnerChange change, BurnerRow row)
    {
        row.Name = change.Name.Trim();
        // What was set by hand elsewhere stays, where the size is the same.
        row.LeastWatts = row.MostWatts == change.MostWatts ? row.LeastWatts : Math.Round(change.MostWatts * LowestShare);
        row.MostWatts = change.MostWatts;
        row.Gas = change.Gas;
    }
}
