using System.Security.Cryptography;
using BrightKettle.Data;
using BrightKettle.Server.Hosting;
using BrightKettle.Server.Pairing;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Xunit;

namespace BrightKettle.Server.Tests;

/// <summary>Starts on folders that something is wrong with: each is said, and nothing in them is changed.</summary>
public sealed class StartTests : IDisposable
{
    private readonly string _path = Path.Combine(Path.GetTempPath(), $"kettle-start-{Guid.NewGuid():n}");

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    private string Database => Path.Combine(_path, "kettle.db");

    public StartTests() => Directory.CreateDirectory(_path);

    public void Dispose()
    {
        SqliteConnection.ClearAllPools();
        if (Directory.Exists(_path))
        {
            File.SetUnixFileMode(_path, UnixFileMode.UserRead | UnixFileMode.UserWrite | UnixFileMode.UserExecute);
            Directory.Delete(_path, recursive: true);
        }
    }

    private KettleDb Open() =>
        new(new DbContextOptionsBuilder<KettleDb>().UseSqlite($"Data Source={Database}").AddInterceptors(new DurableConnection()).Options);

    /// <summary>A sound database of this version, with no log beside it.</summary>
    private async Task Sound()
    {
        using var directory = new DataDirectory(_path);
        directory.Claim();
        await using (var db = Open())
        {
            await directory.OpenAsync(db, DateTimeOffset.UnixEpoch, Cancel);
        }

        Run("PRAGMA journal_mode=DELETE");
    }

    private void Run(string sql)
    {
        // A connection that was put back for the next one still holds the file, and the journal cannot be changed under it.
        SqliteConnection.ClearAllPools();
        using var connection = new SqliteConnection($"Data Source={Database};Pooling=False");
        connection.Open();
        using var command = connection.CreateCommand();
#pragma warning disable CA2100 // Every text comes from this file.
        command.CommandText = sql;
#pragma warning restore CA2100
        command.ExecuteNonQuery();
        SqliteConnection.ClearAllPools();
    }

    private Dictionary<string, string> Files() =>
        Directory
            .GetFiles(_path)
            .Where(f => Path.GetExtension(f) is not (".lock" or ".pid"))
            .ToDictionary(f => f, f => Convert.ToHexString(SHA256.HashData(File.ReadAllBytes(f))));

    private async Task<DataFaultException> Refused()
    {
        var before = Files();
        using var directory = new DataDirectory(_path);
        var fault = await Assert.ThrowsAsync<DataFaultException>(async () =>
        {
            directory.Claim();
            await using var db = Open();
            await directory.OpenAsync(db, DateTimeOffset.UnixEpoch, Cancel);
        });
        SqliteConnection.ClearAllPools();
        Assert.Equal(before, Files());
        return fault;
    }

    private async Task Says(DataFaultKind kind, string words)
    {
        var fault = await Refused();
        Assert.Equal(kind, fault.Kind);
        Assert.Contains(words, StartSentences.For(fault), StringComparison.Ordinal);
    }

    [Theory]
    [InlineData(0.3)]
    [InlineData(0.6)]
    [InlineData(0.95)]
    public async Task A_file_that_is_cut_off_is_damaged(double share)
    {
        await Sound();
        using (var file = File.OpenWrite(Database))
        {
            file.SetLength((long)(file.Length * share));
        }

        await Says(DataFaultKind.Damaged, "is damaged");
    }

    [Fact]
    public async Task A_page_that_was_overwritten_is_found_at_the_start()
    {
        await Sound();
        using (var file = File.OpenWrite(Database))
        {
            file.Position = 4096;
            file.Write(RandomNumberGenerator.GetBytes(4096));
        }

        await Says(DataFaultKind.Damaged, "is damaged");
    }

    [Fact]
    public async Task Another_kind_of_file_is_not_taken_for_a_database()
    {
        await File.WriteAllTextAsync(Database, "a shopping list, and quite a long one: chickpeas, rice, onions, salt", Cancel);
        await Says(DataFaultKind.Foreign, "is not a database of Bright Kettle");
    }

    [Fact]
    public async Task A_database_of_another_program_is_left_alone()
    {
        Run("CREATE TABLE recipes (id INTEGER PRIMARY KEY, text TEXT)");
        await Says(DataFaultKind.Foreign, "is not a database of Bright Kettle");
    }

    [Fact]
    public async Task A_newer_database_is_not_opened()
    {
        await Sound();
        Run("INSERT INTO __EFMigrationsHistory VALUES ('29990101000000_Later', '99.0.0')");
        await Says(DataFaultKind.Newer, "newer Bright Kettle");
    }

    [Fact]
    public async Task A_database_that_may_only_be_read_is_said_before_anything_is_tried()
    {
        await Sound();
        File.SetUnixFileMode(Database, UnixFileMode.UserRead);
        await Says(DataFaultKind.NotWritable, "may not be written");
        File.SetUnixFileMode(Database, UnixFileMode.UserRead | UnixFileMode.UserWrite);
    }

    [Fact]
    public async Task A_folder_that_may_only_be_read_is_said_too()
    {
        File.SetUnixFileMode(_path, UnixFileMode.UserRead | UnixFileMode.UserExecute);
        await Says(DataFaultKind.NotWritable, "may not be written");
    }

    [Fact]
    public async Task A_file_in_the_folders_place_is_said()
    {
        Directory.Delete(_path);
        await File.WriteAllTextAsync(_path, "no folder", Cancel);
        using var directory = new DataDirectory(_path);
        Assert.Equal(DataFaultKind.NotAFolder, Assert.Throws<DataFaultException>(directory.Claim).Kind);
        Assert.Equal("no folder", await File.ReadAllTextAsync(_path, Cancel));
        File.Delete(_path);
    }

    [Fact]
    public async Task An_authority_that_cannot_be_read_is_said_and_kept()
    {
        var file = Path.Combine(_path, "authority.pem");
        foreach (var damaged in new[] { "", "-----BEGIN CERTIFICATE-----\nnonsense\n-----END CERTIFICATE-----\n", "half" })
        {
            await File.WriteAllTextAsync(file, damaged, Cancel);
            var fault = Assert.Throws<DataFaultException>(() => LanCertificate.In(_path, DateTimeOffset.UtcNow));
            Assert.Equal(DataFaultKind.Certificate, fault.Kind);
            Assert.Equal(damaged, await File.ReadAllTextAsync(file, Cancel));
        }
    }

    /// <summary>No disk is filled here: these are the codes that a full one gives, see docs/reliability.md for one that was.</summary>
    [Theory]
    [InlineData(13, DataFaultKind.Full)]
    [InlineData(8, DataFaultKind.NotWritable)]
    [InlineData(14, DataFaultKind.NotWritable)]
    [InlineData(11, DataFaultKind.Damaged)]
    [InlineData(26, DataFaultKind.Damaged)]
    [InlineData(5, DataFaultKind.InUse)]
    public void What_the_database_reports_is_somebodys_to_mend(int code, DataFaultKind kind) =>
        Assert.Equal(kind, DataDirectory.KindOf(new DbUpdateException("x", new SqliteException("x", code))));

    [Fact]
    public void Every_fault_has_a_sentence_that_says_what_to_do() => Assert.All(Enum.GetValues<DataFaultKind>(), kind =>
        {
            var text = StartSentences.For(new DataFaultException(kind, "/a/folder", "4711"));
            Assert.StartsWith(
                "/a/folder",
                text.Replace("Another Bright Kettle (process 4711) is using ", string.Empty, StringComparison.Ordinal)
                    .Replace("The disk of ", string.Empty, StringComparison.Ordinal),
                StringComparison.Ordinal
            );
            Assert.EndsWith("Nothing was changed.", text, StringComparison.Ordinal);
        });
}
