using System.Text.Json;
using BrightKettle.Data;
using BrightKettle.Server.Kitchen;
using BrightKettle.Server.Planning;
using BrightKettle.Server.Record;
using Microsoft.AspNetCore.Hosting;
using Microsoft.AspNetCore.Mvc.Testing;
using Microsoft.Extensions.DependencyInjection;
using Microsoft.Extensions.Time.Testing;

namespace BrightKettle.Server.Tests;

/// <summary>The real server over a real SQLite file in a folder of its own, with a clock that stands until it is moved.</summary>
public class KettleServer : WebApplicationFactory<Program>
{
    private readonly bool _demo;

    public KettleServer(bool demo, string? data = null)
    {
        _demo = demo;
        Data = data ?? Path.Combine(Path.GetTempPath(), $"kettle-test-{Guid.NewGuid():n}");
    }

    /// <summary>24 November 2026, 18:00 in the demo's kitchen.</summary>
    public FakeTimeProvider Clock { get; } = new(new DateTimeOffset(2026, 11, 24, 18, 0, 0, TimeSpan.Zero));

    public string Data { get; }

    /// <summary>The folder outlives this server, for one that is started on it anew.</summary>
    public bool LeavesData { get; set; }

    public static DishDto Dish(string serveAt = "2026-11-25T19:00") =>
        new(
            "chickpea",
            new AmountDto(300, "g"),
            "brown_basmati",
            new AmountDto(300, "g"),
            4,
            "overnight",
            "dry",
            "blue-pot",
            null,
            serveAt,
            7
        );

    public static CookChange Change(DishDto dish, long? basedOn = null, string title = "Test dinner") =>
        new(Guid.CreateVersion7(), new DateTimeOffset(2026, 11, 24, 18, 0, 0, TimeSpan.Zero), title, dish, basedOn);

    /// <summary>A change of the kitchen that changes nothing yet.</summary>
    public static KitchenChange Unchanged(KitchenDto k) =>
        new(
            k.Zone,
            k.AltitudeMetres,
            k.RoomCelsius,
            k.Wakes,
            k.Sleeps,
            k.SoaksAt,
            k.CupMillilitres,
            k.Cautious,
            k.HardnessMilligramsPerLitre,
            k.Version
        );

    /// <summary>Something in the database, read past the server.</summary>
    public T Read<T>(Func<KettleDb, T> query)
    {
        using var scope = Services.CreateScope();
        return query(scope.ServiceProvider.GetRequiredService<KettleDb>());
    }

    protected override void ConfigureWebHost(IWebHostBuilder builder)
    {
        builder.UseSetting("Kettle:Data", Data);
        builder.UseSetting("Kettle:Demo", _demo ? "true" : "false");
        builder.ConfigureServices(services => services.AddSingleton<TimeProvider>(Clock));
    }

    protected override void Dispose(bool disposing)
    {
        base.Dispose(disposing);
        if (disposing && !LeavesData && Directory.Exists(Data))
        {
            Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
            Directory.Delete(Data, recursive: true);
        }
    }
}

/// <summary>One demo server for a class of tests that write nothing.</summary>
public sealed class DemoServer() : KettleServer(demo: true);

internal static class HttpAnswers
{
    /// <summary>The body as JSON, whatever the status.</summary>
    public static async Task<JsonElement> Json(this HttpResponseMessage response) =>
        JsonSerializer.Deserialize<JsonElement>(await response.Content.ReadAsStringAsync());

    public static async Task<(int Status, string? Code, string? Field)> Problem(this HttpResponseMessage response)
    {
        var json = await response.Json();
        return (
            (int)response.StatusCode,
            json.TryGetProperty("code", out var code) ? code.GetString() : null,
            json.TryGetProperty("field", out var field) ? field.GetString() : null
        );
    }
}
