using BrightKettle.Data;
using BrightKettle.Data.Records;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Infrastructure;
using Microsoft.EntityFrameworkCore.Migrations;
using Microsoft.Extensions.DependencyInjection;
using Xunit;

namespace BrightKettle.Server.Tests;

public sealed class DataTests : IDisposable
{
    private readonly DataDirectory _directory = new(Path.Combine(Path.GetTempPath(), $"kettle-data-{Guid.NewGuid():n}"));

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    public void Dispose()
    {
        _directory.Dispose();
        Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
        if (Directory.Exists(_directory.Path))
        {
            Directory.Delete(_directory.Path, recursive: true);
        }
    }

    private KettleDb Open() =>
        new(
            new DbContextOptionsBuilder<KettleDb>().UseSqlite(_directory.ConnectionString).AddInterceptors(new DurableConnection()).Options
        );

    private const UnixFileMode OwnerOnly = UnixFileMode.UserRead | UnixFileMode.UserWrite | UnixFileMode.UserExecute;

    [Fact]
    public void A_folder_made_here_is_its_owners_alone_and_one_that_was_there_keeps_its_rights()
    {
        _directory.Claim();
        Assert.Equal(OwnerOnly, File.GetUnixFileMode(_directory.Path));
        Assert.False(_directory.OpenToOthers);
        var shared = _directory.Path + "-shared";
        Directory.CreateDirectory(shared);
        File.SetUnixFileMode(shared, (UnixFileMode)0b111_101_101);
        using (var there = new DataDirectory(shared))
        {
            there.Claim();
            Assert.Equal((UnixFileMode)0b111_101_101, File.GetUnixFileMode(shared));
            Assert.True(there.OpenToOthers);
        }

        Directory.Delete(shared, recursive: true);
    }

    /// <summary>A server that was told to stop gives its folder up a moment later: whoever starts at once waits for it.</summary>
    [Fact]
    public async Task A_folder_that_is_being_left_is_waited_for_and_one_that_is_not_is_refused()
    {
        _directory.Claim();
        using var next = new DataDirectory(_directory.Path);
        var claiming = next.ClaimAsync(Cancel);
        Assert.False(claiming.IsCompleted);
        _directory.Dispose();
        await claiming;
        using var third = new DataDirectory(_directory.Path);
        Assert.Equal(DataFaultKind.InUse, (await Assert.ThrowsAsync<DataFaultException>(() => third.ClaimAsync(Cancel))).Kind);
    }

    [Fact]
    public async Task Every_connection_is_durable_and_keeps_its_references()
    {
        await using var db = await Ready();
        await using var other = Open();
        foreach (var context in new[] { db, other })
        {
            await context.Database.OpenConnectionAsync(Cancel);
            async Task<string?> Pragma(string name)
            {
                await using var command = context.Database.GetDbConnection().CreateCommand();
                command.CommandText = $"PRAGMA {name}";
                return (await command.ExecuteScalarAsync(Cancel))?.ToString();
            }

            Assert.Equal("wal", await Pragma("journal_mode"));
            Assert.Equal("2", await Pragma("synchronous"));
            Assert.Equal("1", await Pragma("foreign_keys"));
        }
    }

    /// <summary>A database of this version in a folder that is claimed.</summary>
    private async Task<KettleDb> Ready()
    {
        _directory.Claim();
        var db = Open();
        Assert.Null(await _directory.OpenAsync(db, DateTimeOffset.UnixEpoch, Cancel));
        return db;
    }

    /// <summary>As it was before the last migration, with a pot in it.</summary>
    private async Task Older()
    {
        await using var db = await Ready();
        var migrations = db.Database.GetMigrations().ToList();
        await db.GetInfrastructure().GetRequiredService<IMigrator>().MigrateAsync(migrations[^2], Cancel);
        await db.Database.ExecuteSqlAsync(
            $"INSERT INTO vessels (id, name, diameter_centimetres, brim_millilitres, position) VALUES ('a', 'kept', 20, 3000, 1)",
            Cancel
        );
    }

    [Fact]
    public async Task What_stood_on_the_shelf_becomes_a_bag_of_each_and_goes_back_as_what_is_left()
    {
        _directory.Claim();
        await using var db = Open();
        var migrator = db.GetInfrastructure().GetRequiredService<IMigrator>();
        var before = db.Database.GetMigrations().Last(m => string.CompareOrdinal(m, "20261129") < 0);
        await migrator.MigrateAsync(before, Cancel);
        await db.Database.ExecuteSqlRawAsync("INSERT INTO shelf (id, grams, version) VALUES ('brown_basmati', 640, 3)", Cancel);
        await migrator.MigrateAsync(cancellationToken: Cancel);
        var bag = await db.Bags.SingleAsync(Cancel);
        Assert.Equal(("bag-brown-basmati", "brown_basmati", 640, "cupboard"), (bag.Id, bag.FoodId, bag.Grams, bag.Storage));
        await migrator.MigrateAsync(before, Cancel);
        Assert.Equal(640, await db.Database.SqlQuery<double>($"SELECT grams AS Value FROM shelf").SingleAsync(Cancel));
    }

    [Fact]
    public async Task A_database_with_something_to_lose_is_copied_before_it_is_migrated()
    {
        await Older();
        await using var db = Open();
        var copy = await _directory.OpenAsync(db, DateTimeOffset.UnixEpoch, Cancel);
        Assert.NotNull(copy);
        Assert.Empty(await db.Database.GetPendingMigrationsAsync(Cancel));
        await using var saved = new Microsoft.Data.Sqlite.SqliteConnection($"Data Source={copy};Mode=ReadOnly");
        await saved.OpenAsync(Cancel);
        await using var command = saved.CreateCommand();
        command.CommandText = "SELECT name FROM vessels";
        Assert.Equal("kept", await command.ExecuteScalarAsync(Cancel));
        Assert.Equal("kept", (await db.Vessels.SingleAsync(Cancel)).Name);
    }

    [Fact]
    public async Task A_copy_that_was_broken_off_is_no_copy_and_is_cleared_away()
    {
        await Older();
        var half = Path.Combine(_directory.Path, "before-half.db.partial");
        await File.WriteAllTextAsync(half, "half a copy", Cancel);
        await using var db = Open();
        await _directory.OpenAsync(db, DateTimeOffset.UnixEpoch, Cancel);
        Assert.False(File.Exists(half));
        Assert.Single(Directory.GetFiles(_directory.Path, "before-*"));
    }

    /// <summary>Left behind by every kill within a third of a second of a start: the next start waited for it for ever.</summary>
    [Fact]
    public async Task What_a_process_left_that_was_ended_while_it_migrated_keeps_nobody_out()
    {
        await Older();
        await using var db = Open();
        await db.Database.ExecuteSqlRawAsync(
            """CREATE TABLE IF NOT EXISTS "__EFMigrationsLock" ("Id" INTEGER PRIMARY KEY, "Timestamp" TEXT NOT NULL)""",
            Cancel
        );
        await db.Database.ExecuteSqlRawAsync("""INSERT INTO "__EFMigrationsLock" VALUES (1, '2026-11-24')""", Cancel);
        Assert.NotNull(await _directory.OpenAsync(db, DateTimeOffset.UnixEpoch, Cancel).WaitAsync(TimeSpan.FromMinutes(2), Cancel));
    }

    [Fact]
    public async Task Nothing_is_locked_where_nothing_is_to_be_migrated()
    {
        await using var db = await Ready();
        await db.Database.ExecuteSqlRawAsync("""INSERT INTO "__EFMigrationsLock" VALUES (1, '2026-11-24')""", Cancel);
        Assert.Null(await _directory.OpenAsync(db, DateTimeOffset.UnixEpoch, Cancel).WaitAsync(TimeSpan.FromMinutes(2), Cancel));
        Assert.Equal(1, await db.Database.SqlQuery<int>($"SELECT count(*) AS Value FROM __EFMigrationsLock").SingleAsync(Cancel));
    }

    [Fact]
    public void A_folder_has_one_server_and_is_free_when_that_is_gone()
    {
        _directory.Claim();
        using (var second = new DataDirectory(_directory.Path))
        {
            var fault = Assert.Throws<DataFaultException>(second.Claim);
            Assert.Equal(DataFaultKind.InUse, fault.Kind);
            Assert.Equal($"{Environment.ProcessId}", fault.Detail);
        }

        _directory.Dispose();
        using var third = new DataDirectory(_directory.Path);
        third.Claim();
    }

    [Fact]
    public void The_migrations_are_up_to_date_with_the_model()
    {
        using var db = Open();
        Assert.False(db.Database.HasPendingModelChanges());
        Assert.NotEmpty(db.GetInfrastructure().GetService<IMigrationsAssembly>()!.Migrations);
    }
}
