using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using BrightKettle.Server.Kitchen;
using BrightKettle.Server.Record;
using BrightKettle.Server.Work;
using Microsoft.Extensions.DependencyInjection;
using Xunit;

namespace BrightKettle.Server.Tests;

/// <summary>What is over a limit is answered with which one it was, at once, and costs nothing more.</summary>
public sealed class LimitsApiTests : IDisposable
{
    private readonly KettleServer _server = new(demo: true);
    private readonly HttpClient _http;

    public LimitsApiTests() => _http = _server.CreateClient();

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    public void Dispose() => _server.Dispose();

    private async Task<JsonObject> Cook() =>
        (
            await _http.GetFromJsonAsync<JsonObject>(
                $"/api/cooks/{(await _http.GetFromJsonAsync<CookPageDto>("/api/cooks", Cancel))!.Dinners[0].Id}/cook.json",
                Cancel
            )
        )!;

    private async Task<(int Status, string? Code, string? Limit)> Forecast(JsonNode cook)
    {
        var answer = await _http.PostAsJsonAsync("/api/forecast", cook, Cancel);
        var json = await answer.Json();
        return (
            (int)answer.StatusCode,
            json.TryGetProperty("code", out var code) ? code.GetString() : null,
            json.TryGetProperty("limit", out var limit) ? limit.GetString() : null
        );
    }

    private static JsonObject Waiting(JsonObject cook, int twoDays)
    {
        for (var i = 0; i < twoDays; i++)
        {
            cook["actions"]!
                .AsArray()
                .Insert(
                    cook["actions"]!.AsArray().Count - 1,
                    JsonNode.Parse("""{"do":"water","grams":400,"celsius":95,"when":{"delayMinutes":2880}}""")
                );
        }

        return cook;
    }

    /// <summary>71 s of processor time and 5.3 GB before.</summary>
    [Fact]
    public async Task Waits_that_add_up_to_months_are_over_the_limit_of_hours()
    {
        Assert.Equal((200, null, null), await Forecast(Waiting(await Cook(), 2)));
        Assert.Equal((422, "request.over_limit", "simulated_hours"), await Forecast(Waiting(await Cook(), 60)));
    }

    [Fact]
    public async Task Too_many_steps_are_over_the_limit_of_steps_wherever_they_are_asked_for()
    {
        _server.Services.GetRequiredService<WorkLimits>().MostSteps = 5_000;
        Assert.Equal((422, "request.over_limit", "steps"), await Forecast(await Cook()));
        foreach (var path in new[] { "/api/plans", "/api/ways", "/api/ways/stream", "/api/plans/calendar" })
        {
            Assert.Equal(
                (422, "request.over_limit", null),
                await (await _http.PostAsJsonAsync(path, KettleServer.Dish(), Cancel)).Problem()
            );
        }

        // What computes nothing is answered as ever.
        Assert.Equal(HttpStatusCode.OK, (await _http.GetAsync("/api/kitchen", Cancel)).StatusCode);
    }

    [Fact]
    public async Task A_body_that_is_more_than_any_cook_is_not_read()
    {
        // The server in a test takes what it is given; the real one turns it away at its door.
        using var real = new KettleServer(demo: true);
        real.UseKestrel(0);
        real.StartServer();
        using var http = new HttpClient { BaseAddress = real.ClientOptions.BaseAddress };
        using var body = new ByteArrayContent(new byte[WorkLimits.MostBodyBytes + 1]);
        body.Headers.ContentType = new("application/json");
        Assert.Equal((413, "request.too_large", null), await (await http.PostAsync("/api/forecast", body, Cancel)).Problem());
    }

    [Fact]
    public async Task A_kitchen_has_so_many_pots_and_no_more()
    {
        var there = (await _http.GetFromJsonAsync<KitchenDto>("/api/kitchen", Cancel))!.Vessels.Count;
        for (var i = there; i < 60; i++)
        {
            (await _http.PostAsJsonAsync("/api/kitchen/vessels", new VesselChange($"Pot {i}", 20, 3000), Cancel)).EnsureSuccessStatusCode();
        }

        Assert.Equal(
            (400, "kitchen.too_many", "name"),
            await (await _http.PostAsJsonAsync("/api/kitchen/vessels", new VesselChange("One more", 20, 3000), Cancel)).Problem()
        );
    }
}
