using System.Globalization;
using BrightKettle.Server.Settings;
using BrightKettle.Server.Stove;
using Microsoft.AspNetCore.Http.HttpResults;

namespace BrightKettle.Server.Hosting;

/// <summary>A clock that stands until it is set: simulated time, for a server that was started with one and for no other.</summary>
public sealed class SimulatedClock(DateTimeOffset start) : TimeProvider
{
    private long _ticks = start.UtcTicks;

    public override DateTimeOffset GetUtcNow() => new(Interlocked.Read(ref _ticks), TimeSpan.Zero);

    /// <summary>The clock that the server was started with: its own, or this one.</summary>
    public static TimeProvider Or(TimeProvider system, IConfiguration configuration)
    {
        ArgumentNullException.ThrowIfNull(configuration);
        return configuration[$"{KettleOptions.Section}:{nameof(KettleOptions.Clock)}"] is { Length: > 0 } text
            ? new SimulatedClock(DateTimeOffset.Parse(text, CultureInfo.InvariantCulture, DateTimeStyles.AssumeUniversal))
            : system;
    }

    /// <summary>There is no way to set the clock of a server that runs by the machine's.</summary>
    public static void Map(WebApplication app)
    {
        ArgumentNullException.ThrowIfNull(app);
        if (app.Services.GetRequiredService<TimeProvider>() is SimulatedClock clock)
        {
            app.MapPut("/api/clock", (ClockChange change, StoveChangeNotifier notifier) => clock.Set(change.Now, notifier))
                .ExcludeFromDescription();
        }
    }

    private NoContent Set(DateTimeOffset now, StoveChangeNotifier notifier)
    {
        Interlocked.Exchange(ref _ticks, now.UtcTicks);
        notifier.RingAll();
        return TypedResults.NoContent();
    }
}

public sealed record ClockChange(DateTimeOffset Now);
