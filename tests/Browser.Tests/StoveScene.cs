using System.Net.Http.Json;
using System.Text.Json;

namespace BrightKettle.Browser.Tests;

/// <summary>An evening at the stove, asked and told past the browser.</summary>
internal class StoveScene(HttpClient http, Guid id)
{
    public Guid Id => id;

    /// <summary>The first kept dinner, taken to the stove.</summary>
    public static StoveScene OfFirst(Kitchen k)
    {
        var http = k.Http;
        var first = http.GetFromJsonAsync<JsonElement>("/api/cooks").GetAwaiter().GetResult()[0];
        var id = first.GetProperty("id").GetGuid();
        http.PostAsJsonAsync($"/api/stove/{id}/start", new { eventId = Guid.CreateVersion7(), occurredAt = k.Clock.GetUtcNow(), basedOn = first.GetProperty("version").GetInt64() })
            .GetAwaiter().GetResult().EnsureSuccessStatusCode();
        return new StoveScene(http, id);
    }

    public JsonElement State() => http.GetFromJsonAsync<JsonElement>($"/api/stove/{id}").GetAwaiter().GetResult();

    public JsonElement Moment(string step) => State().GetProperty("moments").EnumerateArray()
        .First(m => m.GetProperty("step") is { ValueKind: JsonValueKind.Object } s && s.GetProperty("kind").GetString() == step);

    public DateTimeOffset Due(string step) => Moment(step).GetProperty("due").GetProperty("at").GetDateTimeOffset();

    public DateTimeOffset Table() => State().GetProperty("table").GetProperty("at").GetDateTimeOffset();

    /// <summary>Does each of these at its own time, the boils seen.</summary>
    public void Do(Kitchen k, params string[] steps)
    {
        foreach (var step in steps)
        {
            k.Clock.SetUtcNow(Due(step).AddSeconds(2));
            var moment = Moment(step);
            if (moment.GetProperty("waits").GetProperty("event").GetString() is { } what)
            {
                Tell(k, new { kind = "seen", what });
            }

            Tell(k, new { kind = "did", momentId = moment.GetProperty("id").GetString() });
        }
    }

    public void Tell(Kitchen k, object what)
    {
        var entry = JsonSerializer.SerializeToNode(what)!.AsObject();
        entry["eventId"] = Guid.CreateVersion7().ToString();
        entry["occurredAt"] = k.Clock.GetUtcNow().ToString("O");
        entry["basedOn"] = State().GetProperty("version").GetInt64();
        entry["by"] = "laptop";
        http.PostAsJsonAsync($"/api/stove/{id}/entries", new { entries = new[] { entry } }).GetAwaiter().GetResult().EnsureSuccessStatusCode();
    }
}
