using System.Collections.Concurrent;
using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Learning.House;
using BrightKettle.Data;
using BrightKettle.Data.Records;
using Microsoft.EntityFrameworkCore;

namespace BrightKettle.Server.Kitchen;

/// <summary>What the household's dinners say of its bags, worked out once for each change of it.</summary>
public static class LearnedPaces
{
    /// <summary>Databases, each with the version that was asked for last.</summary>
    private static readonly ConcurrentDictionary<string, (int Version, HousePaces Paces)> Known = new(StringComparer.Ordinal);

    /// <summary>A program has one; tests have many.</summary>
    private const int MostKnown = 16;

    public static async Task<HousePaces> ReadAsync(KettleDb db, HouseholdRow household, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(db);
        ArgumentNullException.ThrowIfNull(household);
        var place = db.Database.GetConnectionString() ?? string.Empty;
        if (Known.TryGetValue(place, out var known) && known.Version == household.LearnedVersion)
        {
            return known.Paces;
        }

        var rows = await db
            .Learned.AsNoTracking()
            .Where(l => db.Cooks.Any(c => c.Id == l.CookId && !c.Deleted && !c.LeftOut))
            .ToListAsync(cancel);
        var paces = new HousePaces(
            rows.Select(r => new BagEvidence(r.CookId.ToString(), r.BagId, r.PulseId, r.Log, r.Spread)),
            PulseCatalogue.Shipped.Constants.LotSpread
        );
        if (Known.Count >= MostKnown)
        {
            Known.Clear();
        }

        Known[place] = (household.LearnedVersion, paces);
        return paces;
    }
}
