using System.Net.Http.Json;
using System.Security.Cryptography;
using BrightKettle.Data;
using BrightKettle.Data.Copies;
using BrightKettle.Server.Hosting;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.DependencyInjection;
using Xunit;

namespace BrightKettle.Server.Tests;

/// <summary>All that a household has, kept in one file and put back.</summary>
public sealed class CopiesTests : IDisposable
{
    private readonly string _path = Path.Combine(Path.GetTempPath(), $"kettle-copies-{Guid.NewGuid():n}");

    /// <summary>Exit code.</summary>
    private const int CannotStart = 1;

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    public CopiesTests() => Directory.CreateDirectory(_path);

    public void Dispose()
    {
        SqliteConnection.ClearAllPools();
        Directory.Delete(_path, recursive: true);
    }

    private string At(string name) => Path.Combine(_path, name);

    /// <summary>A copy of a household with one dinner of its own, taken while its server works.</summary>
    private async Task<string> Copied(string title = "Kept for good")
    {
        var copy = At($"{Guid.NewGuid():n}.db");
        using var server = new KettleServer(demo: false, At($"from-{Guid.NewGuid():n}"));
        using var http = server.CreateClient();
        var dish = KettleServer.Dish() with { VesselId = "middle" };
        var kept = await http.PostAsJsonAsync($"/api/cooks/{Guid.CreateVersion7()}", KettleServer.Change(dish, title: title), Cancel);
        Assert.True(kept.IsSuccessStatusCode, await kept.Content.ReadAsStringAsync(Cancel));
        // Not a word of it need be in the file itself yet: it stands in the log.
        Assert.Equal(0, await CopyCommand.RunAsync(["backup", copy, server.Data], server.Clock));
        return copy;
    }

    private static string[] Titles(string data)
    {
        string[] titles;
        using (var server = new KettleServer(demo: false, data) { LeavesData = true })
        {
            titles = server.Read(db => db.Cooks.Select(c => c.Title).ToArray());
        }

        // A server that ended with its process would hold no file any more.
        SqliteConnection.ClearAllPools();
        return titles;
    }

    private static Dictionary<string, string> Files(string folder) =>
        Directory
            .GetFiles(folder)
            .Where(f => Path.GetExtension(f) is not (".lock" or ".pid"))
            .ToDictionary(f => f, f => Convert.ToHexString(SHA256.HashData(File.ReadAllBytes(f))));

    /// <summary>A household's folder with no server in it and no log.</summary>
    private async Task<string> Household(string title)
    {
        var data = At($"to-{Guid.NewGuid():n}");
        Assert.Equal(0, await CopyCommand.RunAsync(["restore", await Copied(title), data], TimeProvider.System));
        return data;
    }

    [Fact]
    public async Task What_is_copied_while_the_kettle_is_on_is_all_there_where_it_is_put_back()
    {
        Assert.Equal(["Kept for good"], Titles(await Household("Kept for good")));
    }

    [Fact]
    public async Task What_stood_there_before_is_kept_and_comes_back_likewise()
    {
        var data = await Household("The first");
        Assert.Equal(["The first"], Titles(data));
        Assert.Equal(0, await CopyCommand.RunAsync(["restore", await Copied("The second"), data], TimeProvider.System));
        Assert.Equal(["The second"], Titles(data));
        var before = Assert.Single(Directory.GetFiles(data, "before-restore-*.db"));
        Assert.Equal(0, await CopyCommand.RunAsync(["restore", before, data], TimeProvider.System));
        Assert.Equal(["The first"], Titles(data));
    }

    [Fact]
    public async Task Nothing_is_put_back_under_a_kettle_that_is_on_and_no_file_is_written_over()
    {
        var copy = await Copied();
        using var server = new KettleServer(demo: false, At("on"));
        using var http = server.CreateClient();
        Assert.Equal(CannotStart, await CopyCommand.RunAsync(["restore", copy, server.Data], server.Clock));
        Assert.Equal(CannotStart, await CopyCommand.RunAsync(["backup", copy, server.Data], server.Clock));
        Assert.Equal(CannotStart, await CopyCommand.RunAsync(["backup", At("no/where/copy.db"), server.Data], server.Clock));
        Assert.Equal(CannotStart, await CopyCommand.RunAsync(["backup", At("of-nothing.db"), At("nothing")], server.Clock));
        Assert.False(File.Exists(At("of-nothing.db")));
    }

    [Fact]
    public async Task What_is_no_whole_copy_is_refused_by_its_reason_and_changes_nothing()
    {
        var data = await Household("Stays");
        var sound = await File.ReadAllBytesAsync(await Copied(), Cancel);
        async Task<DataFaultKind> Refused(byte[]? spoilt)
        {
            var file = At("spoilt.db");
            if (spoilt is not null)
            {
                await File.WriteAllBytesAsync(file, spoilt, Cancel);
            }

            var before = Files(data);
            using var directory = new DataDirectory(data);
            directory.Claim();
            using var copies = new HouseholdCopies(directory);
            var fault = await Assert.ThrowsAsync<DataFaultException>(() => copies.RestoreAsync(file, DateTimeOffset.UnixEpoch));
            Assert.Equal(before, Files(data));
            Assert.Equal(file, fault.Path);
            // Each has a sentence that names the file.
            Assert.Contains(file, StartSentences.For(fault), StringComparison.Ordinal);
            return fault.Kind;
        }

        byte[] With(Action<byte[]> spoil)
        {
            var bytes = sound.ToArray();
            spoil(bytes);
            return bytes;
        }

        Assert.Equal(DataFaultKind.Missing, await Refused(null));
        Assert.Equal(DataFaultKind.Missing, await Refused([]));
        Assert.Equal(DataFaultKind.Foreign, await Refused("a shopping list"u8.ToArray()));
        Assert.Equal(DataFaultKind.Damaged, await Refused(sound[..(sound.Length / 2)]));
        Assert.Equal(DataFaultKind.Damaged, await Refused(With(b => RandomNumberGenerator.Fill(b.AsSpan(4096, 4096)))));
        // Cut off anywhere, or with a header that lies.
        var lot = new Random(20261201);
        for (var i = 0; i < 60; i++)
        {
            var kind = await Refused(i % 2 == 0 ? sound[..lot.Next(1, sound.Length - 4096)] : With(b => b[lot.Next(16)] ^= 0xff));
            Assert.True(kind is DataFaultKind.Damaged or DataFaultKind.Foreign, $"{kind}");
        }

        Assert.Equal(["Stays"], Titles(data));
    }

    [Fact]
    public async Task A_copy_of_a_later_version_and_one_of_another_program_are_told_apart()
    {
        var copy = await Copied();
        async Task<DataFaultKind> After(string sql)
        {
            var file = At($"{Guid.NewGuid():n}.db");
            File.Copy(copy, file);
            await using (var connection = new SqliteConnection($"Data Source={file};Pooling=False"))
            {
                await connection.OpenAsync(Cancel);
                await using var command = connection.CreateCommand();
#pragma warning disable CA2100 // Every text comes from this test.
                command.CommandText = sql;
#pragma warning restore CA2100
                await command.ExecuteNonQueryAsync(Cancel);
            }

            using var directory = new DataDirectory(At("other"));
            directory.Claim();
            using var copies = new HouseholdCopies(directory);
            return (await Assert.ThrowsAsync<DataFaultException>(() => copies.RestoreAsync(file, DateTimeOffset.UnixEpoch))).Kind;
        }

        Assert.Equal(DataFaultKind.Newer, await After("INSERT INTO __EFMigrationsHistory VALUES ('29990101000000_Later', '10.0.0')"));
        Assert.Equal(DataFaultKind.Foreign, await After("DROP TABLE __EFMigrationsHistory"));
        Assert.Equal(DataFaultKind.Foreign, await After("UPDATE __EFMigrationsHistory SET MigrationId = MigrationId || 'x'"));
    }

    [Fact]
    public async Task Each_day_that_it_is_on_is_kept_once_and_the_last_seven_stay()
    {
        using var server = new KettleServer(demo: false, At("daily"));
        _ = server.Services;
        var copies = server.Services.GetRequiredService<HouseholdCopies>();
        for (var day = 0; day < 10; day++)
        {
            var today = DailyCopies.Today(server.Clock);
            while (!File.Exists(copies.FileOf(today)))
            {
                // Its own wait may not have begun when the clock is moved.
                server.Clock.Advance(DailyCopies.AfterStart);
                await Task.Delay(5, Cancel);
            }

            server.Clock.Advance(TimeSpan.FromDays(1));
        }

        await File.WriteAllTextAsync(Path.Combine(copies.Folder, "kettle-mine.db"), "somebody's own", Cancel);
        using var http = server.CreateClient();
        var told = await (await http.PostAsync("/api/copies", null, Cancel)).Json();
        var days = told.GetProperty("days").EnumerateArray().Select(d => d.GetString()!).ToList();
        Assert.Equal(HouseholdCopies.DaysKept, days.Count);
        Assert.Equal(days.OrderDescending(), days);
        Assert.Equal($"{server.Clock.GetUtcNow():yyyy-MM-dd}", days[0]);
        Assert.Equal(copies.Folder, told.GetProperty("folder").GetString());
        Assert.Equal(told.ToString(), (await (await http.GetAsync("/api/copies", Cancel)).Json()).ToString());
        // Each can be put back.
        Assert.Equal(0, await CopyCommand.RunAsync(["restore", copies.FileOf(copies.Days().Min()), At("back")], TimeProvider.System));
        Assert.Empty(Titles(At("back")));
    }

    [Fact]
    public async Task A_day_that_cannot_be_kept_stops_nothing()
    {
        using var server = new KettleServer(demo: false, At("full"));
        using var http = server.CreateClient();
        // A file stands where the folder should be.
        await File.WriteAllTextAsync(Path.Combine(server.Data, "copies"), "in the way", Cancel);
        for (var i = 0; i < 30; i++)
        {
            server.Clock.Advance(DailyCopies.Again);
            await Task.Yield();
        }

        Assert.True((await http.GetAsync("/api/kitchen", Cancel)).IsSuccessStatusCode);
        File.Delete(Path.Combine(server.Data, "copies"));
        while (!Directory.Exists(Path.Combine(server.Data, "copies")))
        {
            server.Clock.Advance(DailyCopies.Again);
            await Task.Delay(5, Cancel);
        }
    }
}
