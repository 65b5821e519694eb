using System.Diagnostics;
using System.Net.Http.Json;
using System.Text.Json;

namespace BrightKettle.Reliability.Kills;

/// <summary>Kills the server with signal 9 at random moments while two hands tell it things, and looks whether anything that was
/// confirmed is missing afterwards.</summary>
internal static class WorkKills
{
    private const int KillsPerDinner = 20;
    private const int TimesEvery = 5;
    private const int Seed = 20261125;

    private static readonly TimeSpan Longest = TimeSpan.FromMinutes(30);

    public static async Task<Outcome> RunAsync(string app, int kills)
    {
        var now = new DateTimeOffset(2026, 11, 24, 18, 0, 0, TimeSpan.Zero);
        var data = Path.Combine(Path.GetTempPath(), $"kettle-durability-{Guid.NewGuid():n}");
        var random = new Random(Seed);
        var clock = Stopwatch.StartNew();
        var tally = new Tally();
        using var server = new OwnServer(app, data, now);
        try
        {
            await server.StartAsync();
            var confirmed = new List<Guid>();
            var sent = new HashSet<Guid>();
            var cook = Guid.Empty;
            string? times = null;
            while (tally.Kills < kills && clock.Elapsed < Longest)
            {
                if (tally.Kills % KillsPerDinner == 0)
                {
                    cook = await StartDinnerAsync(server, now);
                    (confirmed, sent, times) = ([], [], null);
                }

                var timed = tally.Kills % TimesEvery == 0;
                times = timed ? await TimesAsync(server, cook) : null;
                var before = confirmed.Count;
                using var stop = new CancellationTokenSource();
                var hands = Enumerable
                    .Range(0, 2)
                    .Select(_ => Task.Run(() => TellAsync(server, cook, now, confirmed, sent, stop.Token)))
                    .ToList();
                // A server that has just started answers slowly: the moment is counted from when it is at work.
                var patience = Stopwatch.StartNew();
                while (Count(confirmed) < before + 2 && patience.Elapsed < TimeSpan.FromSeconds(5))
                {
                    await Task.Delay(2);
                }

                await Task.Delay(random.Next(0, 250));
                server.Kill();
                tally.Kills++;
                await stop.CancelAsync();
                await Task.WhenAll(hands);

                var start = Stopwatch.StartNew();
                await server.StartAsync();
                tally.Restarts.Add(start.Elapsed);
                var told = await ToldAsync(server, cook);
                tally.Missing += confirmed.Count(id => !told.Contains(id));
                tally.Twice += told.Count - told.Distinct().Count();
                tally.Strangers += told.Count(id => !sent.Contains(id));
                tally.Unconfirmed += told.Count(id => !confirmed.Contains(id));
                tally.TimesMoved += !timed || await TimesAsync(server, cook) == times ? 0 : 1;
                tally.Timed += timed ? 1 : 0;
                // What was stored without being confirmed is confirmed when it is sent again, and stored once.
                confirmed = [.. told];
                tally.Entries += told.Count - tally.Known(cook, told.Count);
            }
        }
        finally
        {
            server.Dispose();
            Directory.Delete(data, recursive: true);
        }

        return new Outcome("kills", tally.Table(kills, clock.Elapsed), tally.Line(clock.Elapsed), !tally.Failed);
    }

    private static int Count(List<Guid> list)
    {
        lock (list)
        {
            return list.Count;
        }
    }

    private static async Task<Guid> StartDinnerAsync(OwnServer server, DateTimeOffset now)
    {
        var id = Guid.CreateVersion7();
        var dish = new
        {
            pulseId = "chickpea",
            pulse = new { value = 300, unit = "g" },
            riceId = "brown_basmati",
            rice = new { value = 300, unit = "g" },
            people = 4,
            soak = "overnight",
            style = "dry",
            vesselId = "blue-pot",
            burnerId = (string?)null,
            serveAtLocal = "2026-11-25T19:00",
            seed = 7,
        };
        var kept = await server.Http.PostAsJsonAsync(
            server.At($"/api/cooks/{id}"),
            new
            {
                eventId = Guid.CreateVersion7(),
                occurredAt = now,
                title = "Killed dinner",
                dish,
                basedOn = (long?)null,
            }
        );
        kept.EnsureSuccessStatusCode();
        var started = await server.Http.PostAsJsonAsync(
            server.At($"/api/stove/{id}/start"),
            new
            {
                eventId = Guid.CreateVersion7(),
                occurredAt = now,
                basedOn = (await kept.Content.ReadFromJsonAsync<JsonElement>()).GetProperty("version").GetInt64(),
            }
        );
        started.EnsureSuccessStatusCode();
        return id;
    }

    private static async Task TellAsync(
        OwnServer server,
        Guid cook,
        DateTimeOffset now,
        List<Guid> confirmed,
        HashSet<Guid> sent,
        CancellationToken stop
    )
    {
        while (!stop.IsCancellationRequested)
        {
            var id = Guid.CreateVersion7();
            lock (sent)
            {
                sent.Add(id);
            }

            try
            {
                var entry = new
                {
                    eventId = id,
                    occurredAt = now,
                    basedOn = 0,
                    kind = "checked",
                    what = "sticking",
                };
                var answer = await server.Http.PostAsJsonAsync(
                    server.At($"/api/stove/{cook}/entries"),
                    new { entries = new[] { entry } },
                    CancellationToken.None
                );
                if (
                    answer.IsSuccessStatusCode
                    && (await answer.Content.ReadFromJsonAsync<JsonElement>(CancellationToken.None))
                        .GetProperty("entries")[0]
                        .GetProperty("code")
                        .ValueKind == JsonValueKind.Null
                )
                {
                    lock (confirmed)
                    {
                        confirmed.Add(id);
                    }
                }
            }
            catch (Exception e) when (e is HttpRequestException or IOException or JsonException)
            {
                // The server died over it: nothing was confirmed.
                return;
            }
        }
    }

    private static async Task<List<Guid>> ToldAsync(OwnServer server, Guid cook) =>
        [
            .. (await server.Http.GetFromJsonAsync<JsonElement>(server.At($"/api/stove/{cook}/record")))
                .EnumerateArray()
                .Select(t => t.GetProperty("entry").GetProperty("eventId").GetGuid()),
        ];

    /// <summary>When each thing that is still to do is due: must be the same to the second after a kill, by the same clock.</summary>
    private static async Task<string> TimesAsync(OwnServer server, Guid cook) =>
        string.Join(
            ' ',
            (await server.Http.GetFromJsonAsync<JsonElement>(server.At($"/api/stove/{cook}")))
                .GetProperty("moments")
                .EnumerateArray()
                .Select(m => m.GetProperty("due").GetProperty("at").GetString())
        );
}
