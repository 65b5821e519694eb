using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Data;
using BrightKettle.Data.Records;
using BrightKettle.Server.Pairing;
using BrightKettle.Server.Settings;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.Options;
using NodaTime;

namespace BrightKettle.Server.Hosting;

/// <summary>Before the first request: the database is up to date and holds a household.</summary>
public static class Startup
{
    /// <param name="cancel">The start is broken off: what is half done is undone.</param>
    /// <exception cref="DataFaultException">The folder cannot be used; nothing in it was changed.</exception>
    public static async Task PrepareAsync(IServiceProvider services, CancellationToken cancel = default)
    {
        await using var scope = services.CreateAsyncScope();
        var options = scope.ServiceProvider.GetRequiredService<IOptions<KettleOptions>>().Value;
        var directory = scope.ServiceProvider.GetRequiredService<DataDirectory>();
        var db = scope.ServiceProvider.GetRequiredService<KettleDb>();
        var clock = scope.ServiceProvider.GetRequiredService<TimeProvider>();
        await directory.ClaimAsync(cancel);
        if (directory.OpenToOthers)
        {
            Console.WriteLine(Messages.Messages.StartOpenToOthers(directory.Path));
        }

        await directory.OpenAsync(db, clock.GetUtcNow(), cancel);
        // Made here when phones are let in, so that a damaged one is said now.
        _ = scope.ServiceProvider.GetService<LanCertificate>();
        try
        {
            await SeedAsync(scope.ServiceProvider, db, options.Demo, clock, cancel);
        }
        catch (Exception failed) when (DataDirectory.KindOf(failed) is { } kind)
        {
            throw new DataFaultException(kind, directory.DatabaseFile, inner: failed);
        }
    }

    /// <summary>The first household, all of it or nothing.</summary>
    private static async Task SeedAsync(IServiceProvider services, KettleDb db, bool demo, TimeProvider clock, CancellationToken cancel)
    {
        if (await db.Households.AnyAsync(cancel))
        {
            return;
        }

        await using var transaction = await db.Database.BeginTransactionAsync(cancel);
        if (demo)
        {
            await DemoHousehold.SeedAsync(
                db,
                services.GetRequiredService<PulseCatalogue>(),
                services.GetRequiredService<Simulator>(),
                clock,
                cancel
            );
        }
        else
        {
            await SeedOwnAsync(db, cancel);
        }

        await transaction.CommitAsync(cancel);
    }

    /// <summary>Three common pots and two burners to begin with; all of it can be changed.</summary>
    private static async Task SeedOwnAsync(KettleDb db, CancellationToken cancel)
    {
        var zone = DateTimeZoneProviders.Tzdb.GetZoneOrNull(TimeZoneInfo.Local.Id)?.Id ?? "UTC";
        db.Households.Add(
            new HouseholdRow
            {
                Name = "My kitchen",
                Zone = zone,
                IsSetUp = false,
            }
        );
        db.Vessels.AddRange(
            new VesselRow
            {
                Id = "small",
                Name = "18 cm pot",
                DiameterCentimetres = 18,
                BrimMillilitres = 2500,
                Position = 1,
            },
            new VesselRow
            {
                Id = "middle",
                Name = "22 cm pot",
                DiameterCentimetres = 22,
                BrimMillilitres = 4500,
                Position = 2,
            },
            new VesselRow
            {
                Id = "large",
                Name = "26 cm pot",
                DiameterCentimetres = 26,
                BrimMillilitres = 7500,
                Position = 3,
            }
        );
        db.Burners.AddRange(
            new BurnerRow
            {
                Id = "hob",
                Name = "Large burner",
                MostWatts = 1500,
                LeastWatts = 120,
                Position = 1,
            },
            new BurnerRow
            {
                Id = "hob-2",
                Name = "Small burner",
                MostWatts = 900,
                LeastWatts = 80,
                Position = 2,
            }
        );
        await db.SaveChangesAsync(cancel);
    }
}
