using System.Globalization;
using BrightKettle.Data;
using BrightKettle.Data.Archive;
using BrightKettle.Data.Copies;
using BrightKettle.Server.Answers;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;

namespace BrightKettle.Server.Hosting;

/// <summary>All that the household has as one open file, out and in again; and the way back to the copy of a day.</summary>
public static class ArchiveEndpoints
{
    /// <summary>Ten thousand dinners are about a tenth of it.</summary>
    private const int MostBytes = 256_000_000;

    public static void Map(IEndpointRouteBuilder routes)
    {
        routes.MapGet("/api/archive", Out);
        routes.MapGet("/api/schemas/household-1.json", Schema);
        routes.MapPost("/api/archive", In).Accepts<ArchiveFile>("application/json").WithMetadata(new RequestSizeLimitAttribute(MostBytes));
        routes.MapPost("/api/copies/{day}/restore", Back);
    }

    public static async Task<FileContentHttpResult> Out(KettleDb db, TimeProvider clock, CancellationToken cancel)
    {
        var file = ArchiveFile.Write(await ArchiveTables.ReadAsync(db, cancel), clock.GetUtcNow());
        var day = DailyCopies.Today(clock).ToString("yyyy-MM-dd", CultureInfo.InvariantCulture);
        return TypedResults.File(file, "application/json", $"bright-kettle-{day}.json");
    }

    public static ContentHttpResult Schema() => TypedResults.Content(ArchiveFile.Schema.ToJsonString(), "application/schema+json");

    /// <summary>The household of a file in the place of the one that is here, which stays as today's copy.</summary>
    public static async Task<Results<NoContent, ProblemHttpResult>> In(
        HttpRequest request,
        KettleDb db,
        HouseholdSwap swap,
        CancellationToken cancel
    )
    {
        ArgumentNullException.ThrowIfNull(request);
        using var body = new MemoryStream();
        await request.Body.CopyToAsync(body, cancel);
        try
        {
            await swap.ReplaceAsync(db, ArchiveFile.Read(body.GetBuffer().AsMemory(0, (int)body.Length)), cancel);
            return TypedResults.NoContent();
        }
        catch (ArchiveFaultException refused)
        {
            return Refused(refused.Fault);
        }
    }

    /// <summary>The copy of a day in the place of what is here, which stays as today's copy.</summary>
    public static async Task<Results<NoContent, ProblemHttpResult>> Back(
        DateOnly day,
        KettleDb db,
        HouseholdCopies copies,
        HouseholdSwap swap,
        CancellationToken cancel
    )
    {
        ArgumentNullException.ThrowIfNull(copies);
        try
        {
            await swap.ReplaceAsync(db, await copies.ReadDayAsync(day, cancel), cancel);
            return TypedResults.NoContent();
        }
        catch (DataFaultException gone) when (gone.Kind == DataFaultKind.Missing)
        {
            return KettleProblems.Missing("copy.missing");
        }
        catch (DataFaultException fault) when (fault.Kind is DataFaultKind.Newer or DataFaultKind.Foreign or DataFaultKind.Damaged)
        {
            return Refused(
                fault.Kind switch
                {
                    DataFaultKind.Newer => ArchiveFault.Newer,
                    DataFaultKind.Damaged => ArchiveFault.Altered,
                    _ => ArchiveFault.Foreign,
                }
            );
        }
        catch (ArchiveFaultException refused)
        {
            return Refused(refused.Fault);
        }
    }

    private static ProblemHttpResult Refused(ArchiveFault fault) => KettleProblems.Invalid($"archive.{ClosedSet.Word(fault)}", "file");
}
