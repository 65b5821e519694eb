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

    /// <summary>There is a cook of this id already; nothing was written.</summary>
    public sealed record Exists(CookRow Cook) : Recorded;

    /// <summary>The cook was deleted: it is restored first, or left. Nothing was written.</summary>
    public sealed record Gone(CookRow Cook) : Recorded;

    /// <summary>The event's id belongs to something else that was written before; nothing was written.</summary>
    public sealed record IdTaken : Recorded;

    public sealed record Missing : Recorded;
}

/// <summary>What came of what was told at the stove.</summary>
/// <param name="Taken">Ids that belong to something else: what came with them was not written.</param>
public sealed record ToldToCook(CookRow Cook, IReadOnlySet<Guid> Taken);

/// <summary>Appends events and keeps the projection in step, both in one transaction.</summary>
public sealed class CookJournal(KettleDb db)
{
    public async Task<Recorded> AppendAsync(CookEvent happened, string title, DateTimeOffset serveAt, CancellationToken cancel = default)
    {
        ArgumentNullException.ThrowIfNull(happened);
        await using var transaction = await db.Database.BeginTransactionAsync(cancel);
        var cook = await db.Cooks.SingleOrDefaultAsync(c => c.Id == happened.CookId, cancel);
        switch (await WrittenAsync(happened, null, cancel))
        {
            case Written.Same when cook is not null:
                return new Recorded.Done(cook);
            case not Written.No:
                return new Recorded.IdTaken();
        }

        var refused = (cook, happened.Kind) switch
        {
            (null, not CookProjection.Saved) => new Recorded.Missing(),
            (not null, CookProjection.Saved) => new Recorded.Exists(cook),
            (not null, _) when happened.BasedOn != cook.Version => new Recorded.Conflict(cook),
            (not null, not CookProjection.Restored and not CookProjection.Deleted) when cook.Deleted => new Recorded.Gone(cook),
            _ => (Recorded?)null,
        };
        if (refused is not null)
        {
            return refused;
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
        if (happened.Kind is CookProjection.Deleted or CookProjection.Restored or CookProjection.LeftOut or CookProjection.Counted)
        {
            // What was learned from it counts no more, or again.
            await db.Households.ExecuteUpdateAsync(h => h.SetProperty(x => x.LearnedVersion, x => x.LearnedVersion + 1), cancel);
        }

        await transaction.CommitAsync(cancel);
        return new Recorded.Done(cook);
    }

    /// <summary>Appends what was told at the stove. Nothing of it is lost to a newer state: whether two entries contradict each other is
    /// for the reader.</summary>
    /// <param name="told">Of one cook that was started, in their order.</param>
    /// <param name="same">Whether two payloads tell the same thing.</param>
    /// <returns>The cook as it stands now, or null when it is not here or not at the stove.</returns>
    public async Task<ToldToCook?> TellAsync(
        Guid cookId,
        IReadOnlyList<CookEvent> told,
        Func<string, string, bool> same,
        CancellationToken cancel = default
    )
    {
        ArgumentNullException.ThrowIfNull(told);
        await using var transaction = await db.Database.BeginTransactionAsync(cancel);
        var cook = await db.Cooks.SingleOrDefaultAsync(c => c.Id == cookId && !c.Deleted && c.StartedAt != null, cancel);
        if (cook is null)
        {
            return null;
        }

        var taken = new HashSet<Guid>();
        foreach (var happened in told)
        {
            switch (await WrittenAsync(happened, same, cancel))
            {
                case Written.Other:
                    taken.Add(happened.Id);
                    continue;
                case Written.Same:
                    continue;
            }

            db.CookEvents.Add(happened);
            await db.SaveChangesAsync(cancel);
            CookProjection.Apply(cook, happened, cook.Title, cook.ServeAt);
        }

        await db.SaveChangesAsync(cancel);
        await transaction.CommitAsync(cancel);
        return new(cook, taken);
    }

    private enum Written
    {
        No,

        /// <summary>The same event, sent again.</summary>
        Same,

        /// <summary>Something else that carries the same id.</summary>
        Other,
    }

    /// <param name="same">Null: what was worked out differs from try to try, so the time at which the client made the event tells.</param>
    private async Task<Written> WrittenAsync(CookEvent happened, Func<string, string, bool>? same, CancellationToken cancel)
    {
        var known = await db.CookEvents.AsNoTracking().SingleOrDefaultAsync(e => e.Id == happened.Id, cancel);
        if (known is null)
        {
            return Written.No;
        }

        var alike = known.CookId == happened.CookId && known.Kind == happened.Kind && known.Supersedes == happened.Supersedes;
        return
            alike
            && (
                same?.Invoke(known.Payload, happened.Payload)
                ?? known.OccurredAt.ToUnixTimeMilliseconds() == happened.OccurredAt.ToUnixTimeMilliseconds()
            )
            ? Written.Same
            : Written.Other;
    }
}
