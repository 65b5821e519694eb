using BrightKettle.Reliability.Fuzz;
using Microsoft.Data.Sqlite;
using Xunit;

namespace BrightKettle.Server.Tests;

/// <summary>A short run of `./kettle fuzz` with a seed of its own: spoilt requests to everything that the server's own description
/// names.</summary>
public sealed class FuzzTests : IDisposable
{
    private const int Requests = 700;

    private readonly KettleServer _server = new(demo: true);

    public void Dispose() => _server.Dispose();

    [Fact]
    public async Task No_spoilt_request_is_a_fault_of_ours_hangs_or_is_half_saved()
    {
        // The real server: what is no HTTP at all must not break it either.
        _server.UseKestrel(0);
        _server.StartServer();
        using var http = new HttpClient { BaseAddress = _server.ClientOptions.BaseAddress };
        await using var database = new SqliteConnection(
            $"Data Source={Path.Combine(_server.Data, "kettle.db")};Mode=ReadOnly;Pooling=False"
        );
        await database.OpenAsync(TestContext.Current.CancellationToken);
        var fuzzer = new Fuzzer(http, 4711, () => StoredState.Of(database));
        await fuzzer.PrepareAsync(_server.Clock.GetUtcNow());
        var tally = await fuzzer.RunAsync(Requests);
        Assert.Empty(tally.Faults);
        Assert.Empty(tally.Bare);
        Assert.Empty(tally.HalfSaves);
        // On a busy machine an answer may be slow; one that never comes is called off after eight times as long.
        Assert.DoesNotContain(tally.Hangs, h => !h.Contains(" s: ", StringComparison.Ordinal));
        // It tries both what is taken and what is not: a fuzzer that is turned away at the door proves nothing.
        Assert.Equal(Requests, tally.Statuses.Values.Sum());
        Assert.InRange(tally.Statuses.Where(s => s.Key < 300).Sum(s => s.Value), Requests / 10, Requests);
        Assert.InRange(tally.Statuses.GetValueOrDefault(400), Requests / 10, Requests);
    }

    /// <summary>The state that is compared must see each kind of writing, or a half-save would go unseen.</summary>
    [Fact]
    public async Task What_is_stored_differs_after_each_kind_of_writing()
    {
        _server.CreateClient().Dispose();
        await using var database = new SqliteConnection(
            $"Data Source={Path.Combine(_server.Data, "kettle.db")};Mode=ReadOnly;Pooling=False"
        );
        await database.OpenAsync(TestContext.Current.CancellationToken);
        foreach (
            var sql in new[]
            {
                "UPDATE household SET room_celsius = 23",
                "UPDATE vessels SET brim_millilitres = 2000 WHERE id = 'blue-pot'",
                "UPDATE burners SET gas = 0",
                "DELETE FROM bags",
                "INSERT INTO learned (cook_id, bag_id, pulse_id, log, spread) VALUES ('a', 'b', 'c', 0.1, 0.1)",
                "UPDATE cooks SET deleted = 1 WHERE rowid = 1",
                "DELETE FROM cook_events WHERE sequence = 1",
            }
        )
        {
            var before = StoredState.Of(database);
            await using (var writer = new SqliteConnection($"Data Source={Path.Combine(_server.Data, "kettle.db")};Pooling=False"))
            {
                await writer.OpenAsync(TestContext.Current.CancellationToken);
                await using var command = writer.CreateCommand();
#pragma warning disable CA2100 // Every text comes from this file.
                command.CommandText = sql;
#pragma warning restore CA2100
                await command.ExecuteNonQueryAsync(TestContext.Current.CancellationToken);
            }

            Assert.NotEqual(before, StoredState.Of(database));
        }
    }
}
