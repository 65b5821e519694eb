using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Units;
using BrightKettle.Data;
using BrightKettle.Data.Records;
using BrightKettle.Server.Answers;
using Microsoft.EntityFrameworkCore;
using NodaTime;

namespace BrightKettle.Server.Kitchen;

/// <summary>Reads the household for a request.</summary>
public static class KitchenStore
{
    public static async Task<KitchenState> ReadAsync(KettleDb db, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(db);
        var row = await db.Households.AsNoTracking().SingleAsync(cancel);
        var vessels = await db.Vessels.AsNoTracking().OrderBy(v => v.Position).ThenBy(v => v.Name).ToListAsync(cancel);
        var burners = await db.Burners.AsNoTracking().OrderBy(b => b.Position).ToListAsync(cancel);
        var bags = await db.Bags.AsNoTracking().OrderBy(b => b.Id).ToListAsync(cancel);
        return new(
            row,
            HouseholdOf(row),
            HouseWaysOf(row),
            [.. vessels.Where(v => !v.Removed).Select(VesselOf)],
            [.. burners.Where(b => !b.Removed).Select(BurnerOf)],
            bags.ConvertAll(Bag.Of),
            await LearnedPaces.ReadAsync(db, row, cancel)
        )
        {
            GasBurners = burners.Where(b => b.Gas).Select(b => b.Id).ToHashSet(),
            RemovedBurners = [.. burners.Where(b => b.Removed).Select(BurnerOf)],
            RemovedVessels = [.. vessels.Where(v => v.Removed).Select(VesselOf)],
            Versions = vessels
                .Select(v => (("vessel", v.Id), v.Version))
                .Concat(burners.Select(b => (("burner", b.Id), b.Version)))
                .Concat(bags.Select(b => (("bag", b.Id), b.Version)))
                .ToDictionary(v => v.Item1, v => v.Version),
        };
    }

    private static Household HouseholdOf(HouseholdRow row) =>
        new(
            DateTimeZoneProviders.Tzdb[row.Zone],
            Altitude.FromMetres(row.AltitudeMetres),
            Temperature.FromCelsius(row.RoomCelsius),
            Temperature.FromCelsius(row.FridgeCelsius),
            LocalTime.FromTimeOnly(row.Wakes),
            LocalTime.FromTimeOnly(row.Sleeps),
            LocalTime.FromTimeOnly(row.SoaksAt),
            row.Cautious
        )
        {
            HardnessMilligramsPerLitre = row.HardnessMilligramsPerLitre,
        };

    private static HouseWays HouseWaysOf(HouseholdRow row) =>
        new(ClosedSet.Find<SaltSchool>(row.SaltSchool) ?? SaltSchool.WithTheRice, row.SaltPercent, row.KeepsSoakWater, row.StirsAtJoin);

    private static Vessel VesselOf(VesselRow row) =>
        new(row.Id, row.Name, Length.FromCentimetres(row.DiameterCentimetres), Volume.FromMillilitres(row.BrimMillilitres))
        {
            Cooker =
                row.CookerKind is { } word && ClosedSet.Find<CookerKind>(word) is { } kind
                    ? Cooker.Typical(kind, row.BrimMillilitres)
                    : null,
        };

    private static Burner BurnerOf(BurnerRow row) => new(row.Id, row.Name, Power.FromWatts(row.MostWatts), Power.FromWatts(row.LeastWatts));
}
