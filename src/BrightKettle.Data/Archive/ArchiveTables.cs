using BrightKettle.Data.Records;
using Microsoft.EntityFrameworkCore;

namespace BrightKettle.Data.Archive;

/// <summary>All that a household has, table by table: its kitchen, its bags, every dinner with all that was told of it, and what they
/// taught. Paired devices and their tokens belong to the machine and are not part of it.</summary>
public sealed record ArchiveTables(
    HouseholdRow Household,
    IReadOnlyList<VesselRow> Vessels,
    IReadOnlyList<BurnerRow> Burners,
    IReadOnlyList<BagRow> Bags,
    IReadOnlyList<CookRow> Cooks,
    IReadOnlyList<CookEvent> Events,
    IReadOnlyList<LearnedRow> Learned
)
{
    /// <summary>As they stand at one moment, each in an order of its own that does not depend on the file.</summary>
    public static async Task<ArchiveTables> ReadAsync(KettleDb db, CancellationToken cancel = default)
    {
        ArgumentNullException.ThrowIfNull(db);
        await using var moment = await db.Database.BeginTransactionAsync(cancel);
        return new(
            await db.Households.AsNoTracking().SingleAsync(cancel),
            await db.Vessels.AsNoTracking().OrderBy(v => v.Id).ToListAsync(cancel),
            await db.Burners.AsNoTracking().OrderBy(b => b.Id).ToListAsync(cancel),
            await db.Bags.AsNoTracking().OrderBy(b => b.Id).ToListAsync(cancel),
            await db.Cooks.AsNoTracking().OrderBy(c => c.Id).ToListAsync(cancel),
            await db.CookEvents.AsNoTracking().OrderBy(e => e.Sequence).ToListAsync(cancel),
            await db.Learned.AsNoTracking().OrderBy(l => l.CookId).ThenBy(l => l.BagId).ToListAsync(cancel)
        );
    }

    /// <summary>Puts them in the place of what is there, within the caller's transaction: all of it, or with an exception nothing. The
    /// household's counters go on from the higher one, so that nobody takes what was read before for what is there now.</summary>
    /// <exception cref="DbUpdateException">They do not fit together.</exception>
    public async Task PutAsync(KettleDb db, CancellationToken cancel = default)
    {
        ArgumentNullException.ThrowIfNull(db);
        var was = await db.Households.AsNoTracking().SingleAsync(cancel);
        db.ChangeTracker.Clear();
        await db.Learned.ExecuteDeleteAsync(cancel);
        await db.CookEvents.ExecuteDeleteAsync(cancel);
        await db.Cooks.ExecuteDeleteAsync(cancel);
        await db.Bags.ExecuteDeleteAsync(cancel);
        await db.Burners.ExecuteDeleteAsync(cancel);
        await db.Vessels.ExecuteDeleteAsync(cancel);
        await db.Households.ExecuteDeleteAsync(cancel);
        Household.Version = Math.Max(was.Version, Household.Version) + 1;
        Household.LearnedVersion = Math.Max(was.LearnedVersion, Household.LearnedVersion) + 1;
        db.Add(Household);
        db.AddRange(Vessels);
        db.AddRange(Burners);
        db.AddRange(Bags);
        db.AddRange(Cooks);
        db.AddRange(Events);
        db.AddRange(Learned);
        await db.SaveChangesAsync(cancel);
        db.ChangeTracker.Clear();
    }
}
