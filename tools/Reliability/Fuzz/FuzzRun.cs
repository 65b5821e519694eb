using System.Diagnostics;
using System.Globalization;
using Microsoft.Data.Sqlite;

namespace BrightKettle.Reliability.Fuzz;

/// <summary>Very many spoilt requests to the published server: no answer of 500, none that hangs, nothing half saved, memory
/// bounded.</summary>
internal static class FuzzRun
{
    private const int Seed = 20261128;
    private const double MostMegabytes = 400;

    private static readonly TimeSpan Longest = TimeSpan.FromMinutes(30);

    public static async Task<Outcome> RunAsync(string app, int requests)
    {
        var now = new DateTimeOffset(2026, 11, 24, 18, 0, 0, TimeSpan.Zero);
        var folder = Path.Combine(Path.GetTempPath(), $"kettle-fuzz-{Guid.NewGuid():n}");
        var clock = Stopwatch.StartNew();
        using var server = new OwnServer(app, folder, now);
        await server.StartAsync();
        using var http = new HttpClient { BaseAddress = server.At("/"), Timeout = TimeSpan.FromMinutes(1) };
        using var database = new SqliteConnection($"Data Source={Path.Combine(folder, "kettle.db")};Mode=ReadOnly;Pooling=False");
        await database.OpenAsync();
        var fuzzer = new Fuzzer(http, Seed, () => StoredState.Of(database));
        await fuzzer.PrepareAsync(now);
        var tally = await fuzzer.RunAsync(requests, () => clock.Elapsed > Longest);
        var (rest, most) = server.Memory();
        // Still well: the first page answers.
        (await http.GetAsync("/api/kitchen")).EnsureSuccessStatusCode();
        database.Close();
        server.Kill();
        Directory.Delete(folder, recursive: true);
        foreach (var bad in tally.Faults.Concat(tally.Hangs).Concat(tally.Bare).Concat(tally.HalfSaves).Take(20))
        {
            Console.Error.WriteLine(bad);
        }

        var table = string.Create(
            CultureInfo.InvariantCulture,
            $"""
            | counted | result | must be |
            |---|---|---|
            | spoilt requests, seed {Seed} | {tally.Requests} | {requests} |
            | answers by status | {string.Join(", ", tally.Statuses.Select(s => $"{s.Key}: {s.Value}"))} | |
            | answers of 500 | {tally.Faults.Count} | 0 |
            | longer than {Fuzzer.Hang.TotalSeconds:0} s (longest {tally.Longest.TotalSeconds:0.0} s) | {tally.Hangs.Count} | 0 |
            | errors without a code or without the security headers | {tally.Bare.Count} | 0 |
            | refused, and changed something all the same | {tally.HalfSaves.Count} | 0 |
            | memory at its highest, and afterwards | {most:0} MB, {rest:0} MB | at most {MostMegabytes:0} MB |
            | took | {clock.Elapsed.TotalMinutes:0.0} min | 30 min at most |
            """
        );
        var good =
            tally.Requests == requests
            && tally.Faults.Count + tally.Hangs.Count + tally.Bare.Count + tally.HalfSaves.Count == 0
            && most <= MostMegabytes;
        return new Outcome(
            "fuzz",
            table,
            $"{tally.Requests} requests in {clock.Elapsed.TotalMinutes:0.0} min: {tally.Faults.Count} faults, {tally.Hangs.Count} hangs, {tally.Bare.Count} bare, {tally.HalfSaves.Count} half-saves, {most:0} MB",
            good
        );
    }
}
