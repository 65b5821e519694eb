using BrightKettle.Core.Catalogue;
using BrightKettle.Data;
using BrightKettle.Server.Record;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.Caching.Memory;

namespace BrightKettle.Server.Stove;

/// <summary>Reads evenings, and remembers those that were read just now: after an entry only that entry is read.</summary>
public sealed class EveningStore(PulseCatalogue catalogue) : IDisposable
{
    private const int MostEvenings = 16;

    private readonly MemoryCache _evenings = new(new MemoryCacheOptions { SizeLimit = MostEvenings });

    /// <summary>The evening as it is stored; null when it was not started, or is not here.</summary>
    public async Task<StoredEvening?> ReadAsync(KettleDb db, Guid id, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(db);
        var row = await db.Cooks.AsNoTracking().SingleOrDefaultAsync(c => c.Id == id && !c.Deleted && c.StartedAt != null, cancel);
        if (row is null)
        {
            return null;
        }

        _evenings.TryGetValue(id, out StoredEvening? known);
        if (known is not null && known.Row.Version == row.Version)
        {
            return known;
        }

        var from = known is not null && known.Row.Version < row.Version ? known.Row.Version : 0;
        var events = await db
            .CookEvents.AsNoTracking()
            .Where(e => e.CookId == id && e.Sequence > from && e.Sequence <= row.Version)
            .OrderBy(e => e.Sequence)
            .ToListAsync(cancel);
        var read = from > 0 ? known!.After(row, events, catalogue) : StoredEvening.Of(row, events, catalogue);
        _evenings.Set(id, read, new MemoryCacheEntryOptions { Size = 1, SlidingExpiration = TimeSpan.FromMinutes(10) });
        return read;
    }

    /// <summary>All that was read belongs to another household.</summary>
    public void Clear() => _evenings.Clear();

    public void Dispose() => _evenings.Dispose();
}
