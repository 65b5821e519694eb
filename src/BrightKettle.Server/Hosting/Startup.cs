using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Planning;
using BrightKettle.Data;
using BrightKettle.Data.Records;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.Options;
using NodaTime;

namespace BrightKettle.Server.Hosting;

/// <summary>Before the first request: the database is up to date and holds a household.</summary>
public static class Startup
{
    public static async Task PrepareAsync(IServiceProvider services)
    {
        await using var scope = services.CreateAsyncScope();
        var options = scope.ServiceProvider.GetRequiredService<IOptions<KettleOptions>>().Value;
        var directory = scope.ServiceProvider.GetRequiredService<DataDirectory>();
        var db = scope.ServiceProvider.GetRequiredService<KettleDb>();
        var clock = scope.ServiceProvider.GetRequiredService<TimeProvider>();
        directory.Create();
        await directory.MigrateAsync(db, clock.GetUtcNow());
        if (await db.Households.AnyAsync())
        {
            return;
        }

        if (options.Demo)
        {
            await DemoHousehold.SeedAsync(db, scope.ServiceProvider.GetRequiredService<PulseCatalogue>(), scope.ServiceProvider.GetRequiredService<Planner>(), clock);
        }
        else
        {
            await SeedOwnAsync(db);
        }
    }

    /// <summary>Three common pots and a middling burner to begin with; all of it can be changed.</summary>
    private static async Task SeedOwnAsync(KettleDb db)
    {
        var zone = DateTimeZoneProviders.Tzdb.GetZoneOrNull(TimeZoneInfo.Local.Id)?.Id ?? "UTC";
        db.Households.Add(new HouseholdRow { Name = "My kitchen", Zone = zone });
        db.Vessels.AddRange(
            new VesselRow { Id = "small", Name = "18 cm pot", DiameterCentimetres = 18, BrimMillilitres = 2500, Position = 1 },
            new VesselRow { Id = "middle", Name = "22 cm pot", DiameterCentimetres = 22, BrimMillilitres = 4500, Position = 2 },
            new VesselRow { Id = "large", Name = "26 cm pot", DiameterCentimetres = 26, BrimMillilitres = 7500, Position = 3 });
        db.Burners.Add(new BurnerRow { Id = "hob", Name = "Hob", MostWatts = 1400, LeastWatts = 120, Position = 1 });
        await db.SaveChangesAsync();
    }
}
