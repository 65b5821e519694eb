using System.Diagnostics;
using System.Globalization;
using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace BrightKettle.Reliability.Limits;

/// <summary>Asks for too much on purpose: chained waits, a caller that leaves, two heavy requests beside a page that must answer, an
/// evening forgotten for a year.</summary>
internal static class LimitsTried
{
    private static readonly DateTimeOffset Now = new(2026, 11, 24, 18, 0, 0, TimeSpan.Zero);

    public static async Task<Outcome> RunAsync(string app)
    {
        var folder = Path.Combine(Path.GetTempPath(), $"kettle-limits-{Guid.NewGuid():n}");
        using var server = new OwnServer(app, folder, Now);
        await server.StartAsync();
        using var http = new HttpClient { BaseAddress = server.At("/"), Timeout = TimeSpan.FromMinutes(2) };
        await Task.Delay(TimeSpan.FromSeconds(5));
        var (rest, _) = server.Memory();
        var id = Guid.CreateVersion7();
        var dish = JsonNode.Parse(
            """
            {"pulseId":"kidney_red","pulse":{"value":300,"unit":"g"},"riceId":"brown_basmati","rice":{"value":300,"unit":"g"},"people":4,"soak":"overnight","style":"dry","vesselId":"wide-pot","burnerId":"front","serveAtLocal":"2026-11-25T19:00","seed":7}
            """
        )!;
        (
            await http.PostAsJsonAsync(
                $"/api/cooks/{id}",
                new
                {
                    eventId = Guid.CreateVersion7(),
                    occurredAt = Now,
                    title = "Limits",
                    dish,
                    basedOn = (long?)null,
                }
            )
        ).EnsureSuccessStatusCode();
        var cook = (await http.GetFromJsonAsync<JsonObject>($"/api/cooks/{id}/cook.json"))!;
        var endless = Chained(cook, 60);

        // 1. Waits that add up to months: before, 71 s of processor time and 5.3 GB.
        var worked = server.Worked;
        var clock = Stopwatch.StartNew();
        var answer = await http.PostAsJsonAsync("/api/forecast", endless);
        var chained = (Status: (int)answer.StatusCode, clock.Elapsed, Worked: server.Worked - worked);

        // 2. A caller that leaves at once: before, 44 s went on.
        worked = server.Worked;
        using (var leave = new CancellationTokenSource(TimeSpan.FromMilliseconds(60)))
        {
            try
            {
                await http.PostAsJsonAsync("/api/forecast", Chained(cook, 3), leave.Token);
            }
            catch (OperationCanceledException)
            {
                // As meant.
            }
        }

        await Task.Delay(TimeSpan.FromSeconds(2));
        var afterwards = server.Worked;
        await Task.Delay(TimeSpan.FromSeconds(3));
        var goesOn = server.Worked - afterwards;

        // 3. The kitchen's page beside two that compute all the time.
        using var stop = new CancellationTokenSource();
        var heavy = Enumerable
            .Range(0, 2)
            .Select(i =>
                Task.Run(async () =>
                {
                    var done = 0;
                    while (!stop.IsCancellationRequested)
                    {
                        var asked = dish.DeepClone();
                        asked["seed"] = (i * 100_000) + done++;
                        await http.PostAsJsonAsync(i == 0 ? "/api/ways" : "/api/forecast", i == 0 ? asked : Chained(cook, 2));
                    }

                    return done;
                })
            )
            .ToList();
        var pages = new List<double>();
        for (var i = 0; i < 200; i++)
        {
            clock.Restart();
            (await http.GetAsync("/api/kitchen")).EnsureSuccessStatusCode();
            pages.Add(clock.Elapsed.TotalMilliseconds);
            await Task.Delay(30);
        }

        await stop.CancelAsync();
        var heavies = (await Task.WhenAll(heavy)).Sum();
        pages.Sort();

        // 4. A flame that was lit and forgotten: before, day 90 took 9.2 s and 1.9 GB, and day 365 none in 20 s.
        var started = await http.PostAsJsonAsync(
            $"/api/stove/{id}/start",
            new
            {
                eventId = Guid.CreateVersion7(),
                occurredAt = Now,
                basedOn = (await http.GetFromJsonAsync<JsonNode>($"/api/cooks/{id}"))!["version"]!.GetValue<long>(),
            }
        );
        started.EnsureSuccessStatusCode();
        var moments = (await http.GetFromJsonAsync<JsonNode>($"/api/stove/{id}"))!["moments"]!.AsArray();
        var light = moments.First(m => (string?)m!["step"]?["kind"] == "light")!;
        await http.PutAsJsonAsync("/api/clock", new { now = light["due"]!["at"]!.GetValue<DateTimeOffset>() });
        var told = await http.PostAsJsonAsync(
            $"/api/stove/{id}/entries",
            new
            {
                entries = new[]
                {
                    new
                    {
                        eventId = Guid.CreateVersion7(),
                        occurredAt = light["due"]!["at"]!.GetValue<DateTimeOffset>(),
                        basedOn = 1,
                        kind = "did",
                        momentId = (string?)light["id"],
                    },
                },
            }
        );
        told.EnsureSuccessStatusCode();
        var days = new List<string>();
        var longest = TimeSpan.Zero;
        foreach (var day in new[] { 1, 4, 30, 90, 365 })
        {
            await http.PutAsJsonAsync("/api/clock", new { now = Now.AddDays(day + 1) });
            clock.Restart();
            (await http.GetAsync($"/api/stove/{id}")).EnsureSuccessStatusCode();
            longest = clock.Elapsed > longest ? clock.Elapsed : longest;
            days.Add(string.Create(CultureInfo.InvariantCulture, $"day {day}: {clock.ElapsedMilliseconds} ms"));
        }

        // 5. Five thousand entries in one evening: before, the state took 15.5 s and 2.3 MB.
        var (many, manyBytes, batch) = await ManyEntriesAsync(http, dish);
        var (_, most) = server.Memory();
        server.Kill();
        Directory.Delete(folder, recursive: true);
        var page95 = pages[(int)(pages.Count * 0.95)];
        var table = string.Create(
            CultureInfo.InvariantCulture,
            $"""
            | asked for | result | must be |
            |---|---|---|
            | memory at rest, 5 s after the start | {rest:0} MB | at most 150 MB |
            | a cook of sixty waits of two days | {chained.Status}, in {chained.Elapsed.TotalSeconds:0.00} s, {chained.Worked.TotalSeconds:0.00} s of the processor | 422, at once |
            | a long forecast whose caller leaves after 60 ms: work in the seconds 2 to 5 after it left | {goesOn.TotalSeconds:0.00} s | none |
            | the kitchen's page beside two that compute without a pause ({heavies} requests of theirs) | median {pages[
                pages.Count / 2
            ]:0} ms, 95th percentile {page95:0} ms, longest {pages[^1]:0} ms | 200 ms |
            | the state of an evening that was lit and forgotten | {string.Join(", ", days)} | the same on each day |
            | the state of an evening of 5,000 entries, after each of ten more | median {many[many.Count / 2]:0} ms, longest {many[
                ^1
            ]:0} ms, {manyBytes / 1024} KB | 500 ms |
            | a batch of 200 entries to be stored in it | {batch:0} ms | |
            | memory at its highest through all of it | {most:0} MB | at most 400 MB |
            """
        );
        var good =
            rest <= 150
            && chained.Status == 422
            && chained.Elapsed < TimeSpan.FromSeconds(2)
            && goesOn < TimeSpan.FromSeconds(0.5)
            && page95 <= 200
            && longest < TimeSpan.FromSeconds(3)
            && many[many.Count / 2] <= 500
            && most <= 400;
        return new Outcome(
            "limits",
            table,
            $"rest {rest:0} MB, most {most:0} MB, page 95th percentile {page95:0} ms, forgotten evening at most {longest.TotalMilliseconds:0} ms",
            good
        );
    }

    /// <summary>An evening in which very much is told: how long its state takes after one more entry, how large it is, and how long a
    /// batch takes.</summary>
    private static async Task<(List<double> Milliseconds, int Bytes, double BatchMilliseconds)> ManyEntriesAsync(
        HttpClient http,
        JsonNode dish
    )
    {
        var id = Guid.CreateVersion7();
        var now = (await http.GetFromJsonAsync<JsonNode>("/api/kitchen"))!["now"]!.GetValue<DateTimeOffset>();
        var asked = dish.DeepClone();
        asked["soak"] = "none";
        asked["pulseId"] = "lentil_brown";
        asked["riceId"] = "long_white";
        asked["serveAtLocal"] = now.AddHours(20).ToString("yyyy-MM-dd'T'HH:mm", CultureInfo.InvariantCulture);
        (
            await http.PostAsJsonAsync(
                $"/api/cooks/{id}",
                new
                {
                    eventId = Guid.CreateVersion7(),
                    occurredAt = now,
                    title = "Many",
                    dish = asked,
                    basedOn = (long?)null,
                }
            )
        ).EnsureSuccessStatusCode();
        (
            await http.PostAsJsonAsync(
                $"/api/stove/{id}/start",
                new
                {
                    eventId = Guid.CreateVersion7(),
                    occurredAt = now,
                    basedOn = (await http.GetFromJsonAsync<JsonNode>($"/api/cooks/{id}"))!["version"]!.GetValue<long>(),
                }
            )
        ).EnsureSuccessStatusCode();
        var first = (await http.GetFromJsonAsync<JsonNode>($"/api/stove/{id}"))!;
        var light = first["moments"]!.AsArray().First(m => (string?)m!["step"]?["kind"] == "light")!;
        var lit = light["due"]!["at"]!.GetValue<DateTimeOffset>();
        await http.PutAsJsonAsync("/api/clock", new { now = lit });
        object Entry(int i, string kind) =>
            new
            {
                eventId = Guid.CreateVersion7(),
                occurredAt = lit.AddSeconds(i % 1500),
                basedOn = 1,
                kind,
                ingredient = kind == "felt" ? "pulse" : null,
                state = kind == "felt" ? "hard" : null,
                centimetres = kind == "over_bed" ? 2.0 : (double?)null,
                momentId = kind == "did" ? (string?)light["id"] : null,
            };
        (await http.PostAsJsonAsync($"/api/stove/{id}/entries", new { entries = new[] { Entry(0, "did") } })).EnsureSuccessStatusCode();
        await http.PutAsJsonAsync("/api/clock", new { now = lit.AddMinutes(26) });
        var clock = Stopwatch.StartNew();
        for (var n = 0; n < 25; n++)
        {
            clock.Restart();
            (
                await http.PostAsJsonAsync(
                    $"/api/stove/{id}/entries",
                    new { entries = Enumerable.Range(n * 200, 200).Select(i => Entry(i, i % 2 == 0 ? "felt" : "over_bed")) }
                )
            ).EnsureSuccessStatusCode();
        }

        var batch = clock.Elapsed.TotalMilliseconds;
        var times = new List<double>();
        var bytes = 0;
        for (var n = 0; n < 10; n++)
        {
            (
                await http.PostAsJsonAsync($"/api/stove/{id}/entries", new { entries = new[] { Entry(n, "felt") } })
            ).EnsureSuccessStatusCode();
            clock.Restart();
            bytes = (await http.GetByteArrayAsync($"/api/stove/{id}")).Length;
            times.Add(clock.Elapsed.TotalMilliseconds);
        }

        times.Sort();
        return (times, bytes, batch);
    }

    /// <summary>The cook with so many waits of two days in it, each allowed by itself.</summary>
    private static JsonObject Chained(JsonObject cook, int waits)
    {
        var chained = (JsonObject)cook.DeepClone();
        var actions = chained["actions"]!.AsArray();
        for (var i = 0; i < waits; i++)
        {
            actions.Insert(actions.Count - 1, JsonNode.Parse("""{"do":"water","grams":400,"celsius":95,"when":{"delayMinutes":2880}}"""));
        }

        return chained;
    }
}
