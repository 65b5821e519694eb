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
        var first = http.GetFromJsonAsync<JsonElement>("/api/cooks")
            .GetAwaiter()
            .GetResult()
            .GetProperty("dinners")
            .EnumerateArray()
            .Last();
        var id = first.GetProperty("id").GetGuid();
        http.PostAsJsonAsync(
                $"/api/stove/{id}/start",
                new
                {
                    eventId = Guid.CreateVersion7(),
                    occurredAt = k.Clock.GetUtcNow(),
                    basedOn = first.GetProperty("version").GetInt64(),
                }
            )
            .GetAwaiter()
            .GetResult()
            .EnsureSuccessStatusCode();
        return new StoveScene(http, id);
    }

    /// <summary>A dinner that is kept, with its version.</summary>
    public static (Guid Id, long Version) Keep(Kitchen k, string title, object dish)
    {
        var id = Guid.CreateVersion7();
        var kept = k
            .Http.PostAsJsonAsync(
                $"/api/cooks/{id}",
                new
                {
                    eventId = Guid.CreateVersion7(),
                    occurredAt = k.Clock.GetUtcNow(),
                    title,
                    dish,
                    basedOn = (long?)null,
                }
            )
            .GetAwaiter()
            .GetResult()
            .EnsureSuccessStatusCode();
        return (id, kept.Content.ReadFromJsonAsync<JsonElement>().GetAwaiter().GetResult().GetProperty("version").GetInt64());
    }

    /// <summary>A dinner for tomorrow at seven, kept and taken to the stove.</summary>
    public static StoveScene Of(Kitchen k, string title, object dish)
    {
        var (http, now) = (k.Http, k.Clock.GetUtcNow());
        var (id, version) = Keep(k, title, dish);
        http.PostAsJsonAsync(
                $"/api/stove/{id}/start",
                new
                {
                    eventId = Guid.CreateVersion7(),
                    occurredAt = now,
                    basedOn = version,
                }
            )
            .GetAwaiter()
            .GetResult()
            .EnsureSuccessStatusCode();
        return new StoveScene(http, id);
    }

    /// <summary>The moment to look at first; undefined when it is on the table.</summary>
    public JsonElement Now()
    {
        var state = State();
        return state
            .GetProperty("moments")
            .EnumerateArray()
            .FirstOrDefault(m => m.GetProperty("id").GetString() == state.GetProperty("nowId").GetString());
    }

    /// <summary>Does each thing at its time until one is as asked for; the clock then stands at that one's time, or so many minutes
    /// before.</summary>
    public JsonElement Walk(Kitchen k, Func<JsonElement, bool> until, double minutesBefore = 0)
    {
        for (var i = 0; i < 40; i++)
        {
            var moment = Now();
            if (moment.ValueKind == JsonValueKind.Undefined)
            {
                return moment;
            }

            var found = until(moment);
            var due = moment.GetProperty("due").GetProperty("at").GetDateTimeOffset().AddSeconds(2).AddMinutes(found ? -minutesBefore : 0);
            if (due > k.Clock.GetUtcNow())
            {
                k.Clock.SetUtcNow(due);
            }

            if (found)
            {
                return moment;
            }

            var (waits, lane) = (moment.GetProperty("waits"), moment.GetProperty("lane").GetString());
            for (
                var n = waits.GetProperty("seen").GetInt32();
                waits.GetProperty("event").GetString() is { } what && n < waits.GetProperty("count").GetInt32();
                n++
            )
            {
                Tell(
                    k,
                    new
                    {
                        kind = "seen",
                        what,
                        vesselId = lane,
                    }
                );
            }

            if (waits.GetProperty("look") is { ValueKind: JsonValueKind.Object } look)
            {
                Tell(
                    k,
                    new
                    {
                        kind = "felt",
                        ingredient = look.GetProperty("ingredient").GetString(),
                        state = look.GetProperty("state").GetString(),
                    }
                );
            }

            if (
                Now().GetProperty("blocked") is { ValueKind: JsonValueKind.Object } blocked
                && blocked.GetProperty("code").GetString() == "cooker.vent_unchecked"
            )
            {
                Tell(k, new { kind = "vent_clear" });
            }

            Tell(k, new { kind = "did", momentId = moment.GetProperty("id").GetString() });
        }

        throw new InvalidOperationException("It never came to what was asked for.");
    }

    public JsonElement State() => http.GetFromJsonAsync<JsonElement>($"/api/stove/{id}").GetAwaiter().GetResult();

    public JsonElement Moment(string step) =>
        State()
            .GetProperty("moments")
            .EnumerateArray()
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

    public void Tell(Kitchen k, object what, string by = "laptop")
    {
        var entry = JsonSerializer.SerializeToNode(what)!.AsObject();
        entry["eventId"] = Guid.CreateVersion7().ToString();
        entry["occurredAt"] = k.Clock.GetUtcNow().ToString("O");
        entry["basedOn"] = State().GetProperty("version").GetInt64();
        entry["by"] = by;
        http.PostAsJsonAsync($"/api/stove/{id}/entries", new { entries = new[] { entry } })
            .GetAwaiter()
            .GetResult()
            .EnsureSuccessStatusCode();
    }
}
