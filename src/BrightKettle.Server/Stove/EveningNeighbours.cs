using System.Text.Json;
using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning.Beside;
using BrightKettle.Data;
using BrightKettle.Data.Records;
using BrightKettle.Server.Answers;
using BrightKettle.Server.Exchange;
using BrightKettle.Server.Planning;
using BrightKettle.Server.Record;
using BrightKettle.Server.Work;
using Microsoft.EntityFrameworkCore;
using NodaTime;

namespace BrightKettle.Server.Stove;

/// <summary>What was worked out of kept dinners: a dinner under way changes with what is told, and with the minute.</summary>
public sealed class KnownNeighbours(WorkScheduler queue) : IDisposable
{
    private const int Most = 32;

    internal SharedWork<(Guid Id, long Version, long Minute), Neighbour> Work { get; } = new(queue, Most, TimeSpan.FromMinutes(10));

    public void Dispose() => Work.Dispose();
}

/// <summary>Kept dinners by what they take of the kitchen: as planned, or, at the stove, as they stand.</summary>
public sealed partial class EveningNeighbours(
    KettleDb db,
    PulseCatalogue catalogue,
    StoveStateCache states,
    KnownNeighbours known,
    RequestWork work,
    ILogger<EveningNeighbours> log
) : IEveningNeighbours
{
    /// <summary>No dish is on the stove for longer before its table, or after another's.</summary>
    private static readonly Duration Near = Duration.FromHours(12);

    /// <summary>Nobody cooks more dishes in an evening.</summary>
    private const int Most = 4;

    public async Task<IReadOnlyList<Neighbour>> NearAsync(Instant table, Guid? except, CancellationToken cancel)
    {
        var (from, to) = ((table - Near).ToDateTimeOffset(), (table + Near).ToDateTimeOffset());
        var rows = await db
            .Cooks.AsNoTracking()
            .Where(c => !c.Deleted && c.FinishedAt == null && c.Id != except && c.ServeAt > from && c.ServeAt < to)
            .ToListAsync(cancel);
        var found = new List<Neighbour>();
        foreach (var row in rows.OrderBy(r => Math.Abs((Instant.FromDateTimeOffset(r.ServeAt) - table).TotalMinutes)).Take(Most))
        {
            if (await OfAsync(row, cancel) is { } neighbour)
            {
                found.Add(neighbour);
            }
        }

        return found;
    }

    /// <summary>Null for what is on the table, or lies there forgotten, and for what cannot be read: one such dinner is in no other's
    /// way.</summary>
    private async Task<Neighbour?> OfAsync(CookRow row, CancellationToken cancel)
    {
        try
        {
            if (row.StartedAt is null)
            {
                return await Known(row, 0, () => Kept(row));
            }

            if (await states.ReadAsync(db, row.Id, cancel) is not { Evening.ServedAt: null } stored || states.IsSetAside(stored))
            {
                return null;
            }

            var now = states.Now;
            return await Known(row, now.ToUnixTimeSeconds() / 60, () => stored.Evening.AsOf(now, out _));
        }
        catch (JsonException unreadable)
        {
            LogUnreadable(unreadable, row.Id);
            return null;
        }
    }

    private Cook Kept(CookRow row) =>
        new CookReader(catalogue, new FieldFaults()).Read(SavedDinner.Read(row).Cook) ?? throw new JsonException("This is no cook.");

    [LoggerMessage(Level = LogLevel.Warning, Message = "The kept dinner {Id} cannot be read, and is left out of its evening.")]
    private partial void LogUnreadable(Exception why, Guid id);

    private Task<Neighbour> Known(CookRow row, long minute, Func<Cook> read) =>
        work.ShareAsync(known.Work, (row.Id, row.Version, minute), simulator =>
            Neighbour.Of(row.Id.ToString(), row.Title, read(), simulator)
        );
}
