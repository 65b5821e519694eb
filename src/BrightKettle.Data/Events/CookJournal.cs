using BrightKettle.Data.Records;
using Microsoft.EntityFrameworkCore;

namespace BrightKettle.Data.Events;

/// <summary>What came of an event.</summary>
public abstract record Recorded
{
    /// <summary>Written, or found to have been written before.</summary>
    public sealed record Done(CookRow Cook) : Recorded;

    /// <summary>The client knew an older state; nothing was written.</summary>
    public sealed record Conflict(CookRow Cook) : Recorded;

    public sealed record Missing : Recorded;
}

/// <summary>Appends events and keeps the projection in step, both in one transaction.</summary>
public sealed class CookJournal(KettleDb db)
{
    public async Task<Recorded> AppendAsync(CookEvent happened, string title, DateTimeOffset serveAt, CancellationToken cancel = default)
    {
        ArgumentNullException.ThrowIfNull(happened);
        await using var transaction = await db.Database.BeginTransactionAsync(cancel);
        var cook = await db.Cooks.SingleOrDefaultAsync(c => c.Id == happened.CookId, cancel);
        if (await db.CookEvents.AnyAsync(e => e.Id == happened.Id, cancel))
        {
            return cook is null ? new Recorded.Missing() : new Recorded.Done(cook);
        }

        if (cook is null && happened.Kind != CookProjection.Saved)
        {
            return new Recorded.Missing();
        }

        if (cook is not null && happened.BasedOn != cook.Version)
        {
            return new Recorded.Conflict(cook);
        }

        db.CookEvents.Add(happened);
        await db.SaveChangesAsync(cancel);
        if (cook is null)
        {
            cook = CookProjection.Start(happened, title, serveAt);
            db.Cooks.Add(cook);
        }
        else
        {
            CookProjection.Apply(cook, happened, title, serveAt);
        }

        await db.SaveChangesAsync(cancel);
        await transaction.CommitAsync(cancel);
        return new Recorded.Done(cook);
    }

    /// <summary>Appends what was told at the stove. Nothing of it is lost to a newer state: whether two entries contradict each other is for the reader.</summary>
    /// <param name="told">Of one cook that was started, in their order.</param>
    /// <returns>The cook as it stands now, or null when it is not here or not at the stove.</returns>
    public async Task<CookRow?> TellAsync(Guid cookId, IReadOnlyList<CookEvent> told, CancellationToken cancel = default)
    {
        ArgumentNullException.ThrowIfNull(told);
        await using var transaction = await db.Database.BeginTransactionAsync(cancel);
        var cook = await db.Cooks.SingleOrDefaultAsync(c => c.Id == cookId && !c.Deleted && c.StartedAt != null, cancel);
        if (cook is null)
        {
            return null;
        }

        foreach (var happened in told)
        {
            if (await db.CookEvents.AnyAsync(e => e.Id == happened.Id, cancel))
            {
                continue;
            }

            db.CookEvents.Add(happened);
            await db.SaveChangesAsync(cancel);
            CookProjection.Apply(cook, happened, cook.Title, cook.ServeAt);
        }

        await db.SaveChangesAsync(cancel);
        await transaction.CommitAsync(cancel);
        return cook;
    }
}
