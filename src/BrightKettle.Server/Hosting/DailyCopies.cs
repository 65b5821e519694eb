using System.Data.Common;
using BrightKettle.Data;
using BrightKettle.Data.Copies;

namespace BrightKettle.Server.Hosting;

/// <summary>Keeps a copy of each day on which the kettle is on, and the last seven of them.</summary>
public sealed partial class DailyCopies(HouseholdCopies copies, IServiceScopeFactory scopes, TimeProvider clock, ILogger<DailyCopies> log)
    : BackgroundService
{
    /// <summary>Whoever has just opened the page does not wait for it.</summary>
    public static readonly TimeSpan AfterStart = TimeSpan.FromMinutes(2);

    public static readonly TimeSpan Again = TimeSpan.FromHours(1);

    /// <summary>By Greenwich: a copy's name goes by no household's clock, which may be set anew.</summary>
    public static DateOnly Today(TimeProvider clock)
    {
        ArgumentNullException.ThrowIfNull(clock);
        return DateOnly.FromDateTime(clock.GetUtcNow().UtcDateTime);
    }

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        for (var wait = AfterStart; ; wait = Again)
        {
            await Task.Delay(wait, clock, stoppingToken);
            try
            {
                await using var scope = scopes.CreateAsyncScope();
                var db = scope.ServiceProvider.GetRequiredService<KettleDb>();
                await copies.OfDayAsync(db, Today(clock), cancel: stoppingToken);
            }
            catch (Exception failed) when (failed is IOException or UnauthorizedAccessException or DbException)
            {
                // A full disk, a folder without rights: the household goes on, and it is tried again in an hour.
                NotTaken(log, copies.Folder, failed);
            }
        }
    }

    [LoggerMessage(LogLevel.Warning, "No copy of today could be kept in {Folder}.")]
    private static partial void NotTaken(ILogger log, string folder, Exception failed);
}
