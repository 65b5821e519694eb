using System.Globalization;
using BrightKettle.Data;
using BrightKettle.Data.Copies;
using Microsoft.AspNetCore.Http.HttpResults;

namespace BrightKettle.Server.Hosting;

/// <summary>The copies that are kept of all that the household has.</summary>
/// <param name="Folder">Where they are, on the kettle's machine.</param>
/// <param name="Days">Of which days, the latest first, as 2026-11-24.</param>
public sealed record CopiesDto(string Folder, IReadOnlyList<string> Days);

/// <summary>Which copies there are, and one of now.</summary>
public static class CopiesEndpoints
{
    public static void Map(IEndpointRouteBuilder routes)
    {
        routes.MapGet("/api/copies", Kept);
        routes.MapPost("/api/copies", Now);
    }

    public static Ok<CopiesDto> Kept(HouseholdCopies copies) => TypedResults.Ok(Told(copies));

    /// <summary>Today's copy, taken anew.</summary>
    public static async Task<Ok<CopiesDto>> Now(HouseholdCopies copies, KettleDb db, TimeProvider clock, CancellationToken cancel)
    {
        await copies.OfDayAsync(db, DailyCopies.Today(clock), anew: true, cancel);
        return TypedResults.Ok(Told(copies));
    }

    private static CopiesDto Told(HouseholdCopies copies) =>
        new(copies.Folder, [.. copies.Days().OrderDescending().Select(d => d.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture))]);
}
