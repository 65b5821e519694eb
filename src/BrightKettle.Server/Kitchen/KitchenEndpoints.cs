using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Safety;
using BrightKettle.Core.Units;
using BrightKettle.Data;
using BrightKettle.Data.Records;
using BrightKettle.Server.Answers;
using BrightKettle.Server.Exchange;
using BrightKettle.Server.Work;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using NodaTime;

namespace BrightKettle.Server.Kitchen;

public static class KitchenEndpoints
{
    public static void Map(IEndpointRouteBuilder routes)
    {
        routes.MapGet("/api/kitchen", Get);
        routes.MapPut("/api/kitchen", Put);
        routes.MapPost("/api/kitchen/vessels", AddVessel);
        routes.MapPut("/api/kitchen/vessels/{id}", ChangeVessel);
        routes.MapDelete("/api/kitchen/vessels/{id}", RemoveVessel);
        BurnerEndpoints.Map(routes);
        routes.MapPost("/api/kitchen/first-run", FirstRun.Answer);
    }

    public static async Task<Ok<KitchenDto>> Get(KettleDb db, TimeProvider clock, CancellationToken cancel) =>
        TypedResults.Ok(Dto(await KitchenStore.ReadAsync(db, cancel), clock));

    public static async Task<Results<Ok<KitchenDto>, ProblemHttpResult>> Put(
        KitchenChange change,
        KettleDb db,
        HouseUnits units,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        var checks = new FieldFaults();
        if (change.Zone is null || DateTimeZoneProviders.Tzdb.GetZoneOrNull(change.Zone) is null)
        {
            checks.Add("request.zone", "zone");
        }

        checks.Within(change.AltitudeMetres, Altitude.LeastMetres, Altitude.MostMetres, "altitudeMetres");
        checks.Within(change.RoomCelsius, 5, 45, "roomCelsius");
        checks.Within(change.CupMillilitres, 150, 300, "cupMillilitres");
        checks.Within(change.HardnessMilligramsPerLitre, 0, 1000, "hardnessMilligramsPerLitre");
        checks.Within(change.SaltPercent, 0, 2, "saltPercent");
        if (ClosedSet.Find<SaltSchool>(change.Salt) is null)
        {
            checks.Add("request.unknown_word", "salt");
        }

        if (change.Units is { } said && !HouseUnits.IsUnits(said))
        {
            checks.Add("request.unknown_word", "units");
        }

        if (change.Hours is { } hours && !HouseUnits.IsHours(hours))
        {
            checks.Add("request.unknown_word", "hours");
        }

        if (StorageRule.Find(change.StorageRule ?? string.Empty) is null)
        {
            checks.Add("request.unknown_word", "storageRule");
        }

        var wakes = Time(change.Wakes, "wakes", checks);
        var sleeps = Time(change.Sleeps, "sleeps", checks);
        var soaksAt = Time(change.SoaksAt, "soaksAt", checks);
        if (checks.Any)
        {
            return KettleProblems.Invalid(checks);
        }

        var row = await db.Households.SingleAsync(cancel);
        if (row.Version != change.Version)
        {
            return Stale(row.Version);
        }

        row.Zone = change.Zone!;
        row.AltitudeMetres = change.AltitudeMetres;
        row.RoomCelsius = change.RoomCelsius;
        row.CupMillilitres = change.CupMillilitres;
        row.Wakes = wakes;
        row.Sleeps = sleeps;
        row.SoaksAt = soaksAt;
        row.Cautious = change.Cautious;
        row.HardnessMilligramsPerLitre = change.HardnessMilligramsPerLitre;
        row.SaltSchool = change.Salt!;
        row.SaltPercent = change.SaltPercent;
        row.KeepsSoakWater = change.KeepsSoakWater;
        row.StirsAtJoin = change.StirsAtJoin;
        row.StorageRule = change.StorageRule!;
        row.Units = change.Units ?? row.Units;
        row.Hours = change.Hours ?? row.Hours;
        row.Version++;
        await db.SaveChangesAsync(cancel);
        units.Tell(row.Units, row.Hours);
        return TypedResults.Ok(Dto(await KitchenStore.ReadAsync(db, cancel), clock));
    }

    /// <summary>More pots than any kitchen has: all ways of a dinner look at each of them.</summary>
    private const int MostVessels = 60;

    internal const int LongestName = 60;

    public static async Task<Results<Ok<KitchenDto>, ProblemHttpResult>> AddVessel(
        VesselChange change,
        KettleDb db,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        if (Check(change) is { } problem)
        {
            return problem;
        }

        if (await db.Vessels.CountAsync(v => !v.Removed, cancel) >= MostVessels)
        {
            return KettleProblems.Invalid("kitchen.too_many", "name");
        }

        var last = await db.Vessels.MaxAsync(v => (int?)v.Position, cancel) ?? 0;
        db.Vessels.Add(
            new VesselRow
            {
                Id = Guid.CreateVersion7(clock.GetUtcNow()).ToString("n"),
                Name = change.Name.Trim(),
                DiameterCentimetres = change.DiameterCentimetres,
                BrimMillilitres = change.BrimMillilitres,
                CookerKind = change.Cooker,
                Position = last + 1,
            }
        );
        return await SavedAsync(db, clock, cancel);
    }

    public static async Task<Results<Ok<KitchenDto>, ProblemHttpResult>> ChangeVessel(
        string id,
        VesselChange change,
        KettleDb db,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        if (Check(change) is { } problem)
        {
            return problem;
        }

        // One that was taken away stands there again.
        if (await db.Vessels.SingleOrDefaultAsync(v => v.Id == id, cancel) is not { } row)
        {
            return KettleProblems.Missing("kitchen.unknown_vessel");
        }

        if (change.Version != row.Version)
        {
            return Stale(row.Version);
        }

        row.Name = change.Name.Trim();
        row.DiameterCentimetres = change.DiameterCentimetres;
        row.BrimMillilitres = change.BrimMillilitres;
        row.CookerKind = change.Cooker;
        row.Removed = false;
        row.Version++;
        return await SavedAsync(db, clock, cancel);
    }

    /// <summary>Takes a pot from the list. Where dinners use it that are still to come, it asks first, and keeps it for them.</summary>
    /// <param name="version">Of the pot, as it was shown.</param>
    /// <param name="keep">Yes, it may go from the list; the dinners that use it keep it.</param>
    public static async Task<Results<Ok<KitchenDto>, ProblemHttpResult>> RemoveVessel(
        string id,
        KettleDb db,
        TimeProvider clock,
        CancellationToken cancel,
        int version = 0,
        bool keep = false
    )
    {
        if (await db.Vessels.SingleOrDefaultAsync(v => v.Id == id && !v.Removed, cancel) is not { } row)
        {
            return KettleProblems.Missing("kitchen.unknown_vessel");
        }

        if (version != row.Version)
        {
            return Stale(row.Version);
        }

        if (await db.Vessels.CountAsync(v => !v.Removed, cancel) == 1)
        {
            return KettleProblems.Invalid("kitchen.last_vessel", "vesselId");
        }

        if (!keep && await InUseAsync(db, id, "kitchen.vessel_in_use", cancel) is { } asks)
        {
            return asks;
        }

        // Kept for the dinners that use it, and for the undo.
        row.Removed = true;
        row.Version++;
        return await SavedAsync(db, clock, cancel);
    }

    /// <summary>The question whether something may go that dinners use which are still to come; null where none does.</summary>
    internal static async Task<ProblemHttpResult?> InUseAsync(KettleDb db, string id, string code, CancellationToken cancel)
    {
        var quoted = $"\"{id}\"";
        var coming = await db
            .Cooks.Where(c => c.Payload.Contains(quoted) && !c.Deleted && c.FinishedAt == null)
            .OrderBy(c => c.ServeAt)
            .Select(c => c.Title)
            .ToListAsync(cancel);
        return coming.Count == 0
            ? null
            : KettleProblems.Conflict(code, new { dinners = coming.Take(WorkLimits.MostFaultsNamed), count = coming.Count });
    }

    /// <summary>Somebody else has changed it meanwhile.</summary>
    internal static ProblemHttpResult Stale(int version) => KettleProblems.Conflict("kitchen.stale", new { version });

    internal static async Task<Ok<KitchenDto>> SavedAsync(KettleDb db, TimeProvider clock, CancellationToken cancel)
    {
        await db.SaveChangesAsync(cancel);
        return TypedResults.Ok(Dto(await KitchenStore.ReadAsync(db, cancel), clock));
    }

    private static ProblemHttpResult? Check(VesselChange change)
    {
        var checks = new FieldFaults();
        checks.Text(change.Name, LongestName, "name");
        checks.Within(change.DiameterCentimetres, 10, 50, "diameterCentimetres");
        checks.Within(change.BrimMillilitres, 500, 40_000, "brimMillilitres");
        if (change.Cooker is not null && ClosedSet.Find<CookerKind>(change.Cooker) is null)
        {
            checks.Add("request.unknown_word", "cooker");
        }

        return checks.Any ? KettleProblems.Invalid(checks) : null;
    }

    private static TimeOnly Time(string? text, string field, FieldFaults checks)
    {
        if (TimeOnly.TryParseExact(text, "HH:mm", out var time))
        {
            return time;
        }

        checks.Add("request.malformed", field);
        return default;
    }

    private static KitchenDto Dto(KitchenState state, TimeProvider clock)
    {
        var row = state.Row;
        var now = clock.GetUtcNow();
        return new(
            row.Name,
            row.Zone,
            row.AltitudeMetres,
            Math.Round(BoilingPoint.At(state.Household.Altitude).Celsius, 1),
            row.RoomCelsius,
            row.FridgeCelsius,
            row.Wakes.ToString("HH:mm"),
            row.Sleeps.ToString("HH:mm"),
            row.SoaksAt.ToString("HH:mm"),
            row.CupMillilitres,
            row.Cautious,
            row.HardnessMilligramsPerLitre,
            row.SaltSchool,
            row.SaltPercent,
            row.KeepsSoakWater,
            row.StirsAtJoin,
            row.StorageRule,
            row.Units,
            row.Hours,
            row.Version,
            row.IsSetUp,
            [.. state.Vessels.Select(v => Vessel(v, state))],
            [.. state.RemovedVessels.Select(v => Vessel(v, state))],
            [.. state.Burners.Select(b => Burner(b, state))],
            [.. state.RemovedBurners.Select(b => Burner(b, state))],
            [.. BagMapper.Map(state)],
            now,
            LocalTimes.Write(state.Household.LocalOf(Instant.FromDateTimeOffset(now)))
        );
    }

    private static BurnerDto Burner(Burner b, KitchenState state) =>
        new(b.Id, b.Name, b.Most.Watts, b.Least.Watts, state.GasBurners.Contains(b.Id), state.VersionOf("burner", b.Id));

    private static VesselDto Vessel(Vessel v, KitchenState state) =>
        new(
            v.Id,
            v.Name,
            v.Diameter.Centimetres,
            v.Brim.Millilitres,
            Math.Round(v.HeightCentimetres, 1),
            Math.Round(v.AreaSquareCentimetres / 10) * 10,
            v.Cooker is { } c ? ClosedSet.Word(c.Kind) : null,
            state.VersionOf("vessel", v.Id)
        );
}
