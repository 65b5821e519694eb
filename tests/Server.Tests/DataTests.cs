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
        Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
        if (Directory.Exists(_directory.Path))
        {
            Directory.Delete(_directory.Path, recursive: true);
        }
    }

    private KettleDb Open() => new(new DbContextOptionsBuilder<KettleDb>()
        .UseSqlite(_directory.ConnectionString)
        .AddInterceptors(new DurableConnection())
        .Options);

    [Fact]
    public void The_folder_belongs_to_its_owner_alone()
    {
        Directory.CreateDirectory(_directory.Path);
        File.SetUnixFileMode(_directory.Path, (UnixFileMode)0b111_111_111);
        _directory.Create();
        Assert.Equal(UnixFileMode.UserRead | UnixFileMode.UserWrite | UnixFileMode.UserExecute, File.GetUnixFileMode(_directory.Path));
    }

    [Fact]
    public async Task Every_connection_is_durable_and_keeps_its_references()
    {
        _directory.Create();
        await using var db = Open();
        await _directory.MigrateAsync(db, DateTimeOffset.UnixEpoch, Cancel);
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

    [Fact]
    public async Task A_database_with_something_to_lose_is_copied_before_it_is_migrated()
    {
        _directory.Create();
        await using var db = Open();
        Assert.Null(await _directory.MigrateAsync(db, DateTimeOffset.UnixEpoch, Cancel));
        db.Vessels.Add(new VesselRow { Id = "a", Name = "kept", DiameterCentimetres = 20, BrimMillilitres = 3000 });
        await db.SaveChangesAsync(Cancel);
        // As if a later version brought a migration that this database has not seen.
        await db.Database.ExecuteSqlAsync($"DELETE FROM __EFMigrationsHistory WHERE MigrationId > (SELECT min(MigrationId) FROM __EFMigrationsHistory)", Cancel);
        await db.Database.ExecuteSqlAsync($"UPDATE __EFMigrationsHistory SET MigrationId = '20000101000000_Earlier'", Cancel);
        await db.Database.ExecuteSqlAsync($"DROP TABLE cook_events", Cancel);
        var copy = await Assert.ThrowsAnyAsync<Exception>(() => _directory.MigrateAsync(db, DateTimeOffset.UnixEpoch, Cancel))
            .ContinueWith(_ => Directory.GetFiles(_directory.Path, "before-*.db").Single(), Cancel);
        await using var saved = new KettleDb(new DbContextOptionsBuilder<KettleDb>().UseSqlite($"Data Source={copy}").Options);
        Assert.Equal("kept", (await saved.Vessels.SingleAsync(Cancel)).Name);
    }

    [Fact]
    public void The_migrations_are_up_to_date_with_the_model()
    {
        using var db = Open();
        Assert.False(db.Database.HasPendingModelChanges());
        Assert.NotEmpty(db.GetInfrastructure().GetService<IMigrationsAssembly>()!.Migrations);
    }
}
