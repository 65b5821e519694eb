using BrightKettle.Data;
using BrightKettle.Data.Archive;
using BrightKettle.Data.Copies;
using BrightKettle.Server.Kitchen;
using BrightKettle.Server.Stove;
using Microsoft.EntityFrameworkCore;
using NodaTime.TimeZones;

namespace BrightKettle.Server.Hosting;

/// <summary>Another household in the place of the one that is here, while the kettle is on.</summary>
public sealed class HouseholdSwap(HouseholdCopies copies, EveningStore evenings, HouseUnits units, TimeProvider clock)
{
    /// <summary>What was here stays as today's copy; what comes is put in its place whole, or not at all.</summary>
    /// <exception cref="ArchiveFaultException">It does not fit together, and nothing was changed.</exception>
    public async Task ReplaceAsync(KettleDb db, ArchiveTables tables, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(db);
        ArgumentNullException.ThrowIfNull(tables);
        await copies.OfDayAsync(db, DailyCopies.Today(clock), anew: true, cancel);
        await using (var all = await db.Database.BeginTransactionAsync(cancel))
        {
            try
            {
                await tables.PutAsync(db, cancel);
                // What the kitchen cannot be read from would stop every page.
                _ = await KitchenStore.ReadAsync(db, cancel);
            }
            catch (Exception unfit)
                when (unfit
                        is DbUpdateException
                            or ArgumentException
                            or DateTimeZoneNotFoundException
                            or FormatException
                            or InvalidOperationException
                    && unfit is not OperationCanceledException
                )
            {
                throw new ArchiveFaultException(ArchiveFault.Unreadable, unfit);
            }

            await all.CommitAsync(cancel);
        }

        evenings.Clear();
        units.Tell(tables.Household.Units, tables.Household.Hours);
    }
}
