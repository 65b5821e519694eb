using System.Diagnostics;
using System.Globalization;
using System.Net.Http.Json;
using System.Text.Json;

namespace BrightKettle.Reliability.Kills;

/// <summary>Ends the server while it starts, on new folders and on old ones, and looks whether it starts afterwards and has all that it
/// had.</summary>
internal static class StartKills
{
    private const int Seed = 20261128;

    /// <summary>Every so manieth is killed on a folder that is being made.</summary>
    private const int NewEvery = 4;

    /// <summary>Every so manieth is asked to end instead of killed.</summary>
    private const int AskedEvery = 5;

    private static readonly TimeSpan Polite = TimeSpan.FromSeconds(20);

    public static async Task<Outcome> RunAsync(string app, int kills)
    {
        var now = new DateTimeOffset(2026, 11, 24, 18, 0, 0, TimeSpan.Zero);
        var random = new Random(Seed);
        var clock = Stopwatch.StartNew();
        var (killed, asked, never, lost, unclean, late) = (0, 0, 0, 0, 0, 0);
        var restarts = new List<double>();
        var old = Folder();
        var longest = await StartTimeAsync(app, old, now);
        for (var i = 0; i < kills; i++)
        {
            var isNew = i % NewEvery == 0;
            var folder = isNew ? Folder() : old;
            using var server = new OwnServer(app, folder, now);
            server.Launch();
            await Task.Delay(random.Next(0, (int)longest.TotalMilliseconds));
            if (i % AskedEvery == 0)
            {
                asked++;
                // Until the program has taken the signal over, the system ends it: 143 (or 130) is as good as 0.
                switch (server.Stop(i % 2 == 0 ? "TERM" : "INT", Polite))
                {
                    case null:
                        late++;
                        break;
                    case not (0 or 130 or 143):
                        unclean++;
                        break;
                }
            }
            else
            {
                killed++;
                server.Kill();
            }

            var start = Stopwatch.StartNew();
            using var again = new OwnServer(app, folder, now);
            try
            {
                await again.StartAsync();
                restarts.Add(start.Elapsed.TotalSeconds);
                var dinners = await again.Http.GetFromJsonAsync<JsonElement>(again.At("/api/cooks"));
                lost += dinners.GetProperty("count").GetInt32() == 5 ? 0 : 1;
            }
            catch (InvalidOperationException)
            {
                never++;
            }

            again.Kill();
            if (isNew)
            {
                Directory.Delete(folder, recursive: true);
            }
        }

        Directory.Delete(old, recursive: true);
        restarts.Sort();
        var median = restarts.Count == 0 ? 0 : restarts[restarts.Count / 2];
        var table = string.Create(
            CultureInfo.InvariantCulture,
            $"""
            | counted | result | must be |
            |---|---|---|
            | ended during start, at a random moment of the {longest.TotalSeconds:0.0} s that one takes | {kills} | {kills} |
            | of these by signal 9 | {killed} | |
            | of these asked to end (TERM and INT in turn) | {asked} | |
            | folders that did not open again | {never} | 0 |
            | folders with a household that is not whole | {lost} | 0 |
            | asked, and not ended within {Polite.TotalSeconds:0} s | {late} | 0 |
            | asked, and ended as if something had gone wrong | {unclean} | 0 |
            | next start to the first answer, median and longest | {median:0.0} s, {restarts.LastOrDefault():0.0} s | |
            | took | {clock.Elapsed.TotalMinutes:0.0} min | |
            """
        );
        return new Outcome(
            "starts",
            table,
            $"{kills} ended during start: {never} did not open again, {lost} not whole, {late} late, {unclean} unclean",
            never + lost + late + unclean == 0
        );
    }

    /// <summary>How long a start on a new folder takes here: the moments of the kills lie within.</summary>
    private static async Task<TimeSpan> StartTimeAsync(string app, string folder, DateTimeOffset now)
    {
        using var server = new OwnServer(app, folder, now);
        var start = Stopwatch.StartNew();
        await server.StartAsync();
        var took = start.Elapsed;
        server.Kill();
        return took;
    }

    private static string Folder() => Path.Combine(Path.GetTempPath(), $"kettle-starts-{Guid.NewGuid():n}");
}
