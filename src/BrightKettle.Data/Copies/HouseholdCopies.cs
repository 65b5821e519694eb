using System.Globalization;
using BrightKettle.Data.Archive;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace BrightKettle.Data.Copies;

/// <summary>Copies of all that a household has, and the way back from one.</summary>
/// <param name="directory">Of the household.</param>
public sealed class HouseholdCopies(DataDirectory directory) : IDisposable
{
    /// <summary>Copies of so many days are kept.</summary>
    public const int DaysKept = 7;

    private const string Logs = "-wal";
    private const string Shared = "-shm";

    /// <summary>Where the copy of each day stands.</summary>
    public string Folder => Path.Combine(directory.Path, "copies");

    /// <summary>Writes all of it into one file; others may work on it meanwhile.</summary>
    /// <exception cref="DataFaultException">There is nothing to copy, the file is there already, or it cannot be written.</exception>
    public async Task BackupAsync(string file, CancellationToken cancel = default)
    {
        if (File.Exists(file))
        {
            throw new DataFaultException(DataFaultKind.ThereAlready, file);
        }

        if (Path.GetDirectoryName(file) is not { } folder || !Directory.Exists(folder))
        {
            throw new DataFaultException(DataFaultKind.NotAFolder, file);
        }

        await using var db = Open();
        if (DatabaseCheck.Look(directory.DatabaseFile, [.. db.Database.GetMigrations()]).Count == 0)
        {
            throw new DataFaultException(DataFaultKind.Missing, directory.DatabaseFile);
        }

        await Told(file, () => DatabaseCopy.TakeAsync(db, file, cancel));
    }

    /// <summary>Puts a copy in the place of what is there; that is kept beside it. The folder must be <see cref="DataDirectory.Claim">this
    /// process's</see>.</summary>
    /// <returns>The file that keeps what was there; null where there was nothing.</returns>
    /// <exception cref="DataFaultException">It is no whole copy of a household that this version can read; nothing was
    /// changed.</exception>
    public async Task<string?> RestoreAsync(string file, DateTimeOffset now)
    {
        var partial = Path.Combine(directory.Path, "restored.db" + DatabaseCopy.Partial);
        try
        {
            return await Told(file, () =>
            {
                Bring(file, partial);
                var before = Keep(now);
                // A log of what was there must never meet the new file.
                File.Delete(directory.DatabaseFile + Logs);
                File.Delete(directory.DatabaseFile + Shared);
                File.Move(partial, directory.DatabaseFile, overwrite: true);
                return Task.FromResult(before);
            });
        }
        finally
        {
            File.Delete(partial);
            File.Delete(partial + Logs);
            File.Delete(partial + Shared);
        }
    }

    /// <summary>What stands in the copy of a day, brought to the form of this version; the copy itself stays as it is.</summary>
    /// <exception cref="DataFaultException">There is none, or it is no whole copy that this version can read.</exception>
    public async Task<ArchiveTables> ReadDayAsync(DateOnly day, CancellationToken cancel = default)
    {
        var partial = Path.Combine(directory.Path, $"read-{Guid.CreateVersion7():n}.db" + DatabaseCopy.Partial);
        try
        {
            return await Told(FileOf(day), async () =>
            {
                Bring(FileOf(day), partial);
                await using var db = new KettleDb(
                    new DbContextOptionsBuilder<KettleDb>()
                        .UseSqlite(new SqliteConnectionStringBuilder { DataSource = partial, Pooling = false }.ConnectionString)
                        .Options
                );
                await db.Database.MigrateAsync(cancel);
                return await ArchiveTables.ReadAsync(db, cancel);
            });
        }
        finally
        {
            File.Delete(partial);
            File.Delete(partial + Logs);
            File.Delete(partial + Shared);
        }
    }

    /// <summary>The copy of a day, where it is not there yet; of older ones the last <see cref="DaysKept"/> stay.</summary>
    /// <param name="anew">In the place of one that is there.</param>
    public async Task OfDayAsync(KettleDb db, DateOnly day, bool anew = false, CancellationToken cancel = default)
    {
        ArgumentNullException.ThrowIfNull(db);
        Directory.CreateDirectory(Folder);
        if (File.Exists(FileOf(day)) && !anew)
        {
            return;
        }

        await _turn.WaitAsync(cancel);
        try
        {
            await DatabaseCopy.TakeAsync(db, FileOf(day), cancel);
            foreach (var old in Days().Order().SkipLast(DaysKept).ToList())
            {
                File.Delete(FileOf(old));
            }
        }
        finally
        {
            _turn.Release();
        }
    }

    /// <summary>One copy after the other: the file of a day is one.</summary>
    private readonly SemaphoreSlim _turn = new(1);

    /// <summary>Days of which there is a copy, in no order; other files in the folder are somebody's own.</summary>
    public IEnumerable<DateOnly> Days()
    {
        foreach (var file in Directory.Exists(Folder) ? Directory.EnumerateFiles(Folder, Prefix + "*.db") : [])
        {
            var name = Path.GetFileNameWithoutExtension(file)[Prefix.Length..];
            if (DateOnly.TryParseExact(name, Day, CultureInfo.InvariantCulture, DateTimeStyles.None, out var day))
            {
                yield return day;
            }
        }
    }

    public string FileOf(DateOnly day) => Path.Combine(Folder, $"{Prefix}{day.ToString(Day, CultureInfo.InvariantCulture)}.db");

    private const string Prefix = "kettle-";
    private const string Day = "yyyy-MM-dd";

    /// <summary>Copies the file beside the database, and looks at it there.</summary>
    private void Bring(string file, string partial)
    {
        if (!File.Exists(file) || new FileInfo(file).Length == 0)
        {
            throw new DataFaultException(DataFaultKind.Missing, file);
        }

        // Of a database that was copied while it was in use, the newest stands in its log.
        foreach (var part in new[] { string.Empty, Logs }.Where(p => File.Exists(file + p)))
        {
            File.Copy(file + part, partial + part, overwrite: true);
            File.SetUnixFileMode(partial + part, UnixFileMode.UserRead | UnixFileMode.UserWrite);
        }

        using var db = Open();
        IReadOnlyList<string> applied;
        try
        {
            applied = DatabaseCheck.Look(partial, [.. db.Database.GetMigrations()]);
        }
        catch (DataFaultException fault)
        {
            throw new DataFaultException(fault.Kind, file, fault.Detail, fault);
        }

        if (applied.Count == 0)
        {
            throw new DataFaultException(DataFaultKind.Foreign, file);
        }

        Run(partial, "PRAGMA journal_mode=DELETE");
        DatabaseCopy.Flush(partial);
    }

    /// <summary>Keeps what is there under another name.</summary>
    private string? Keep(DateTimeOffset now)
    {
        if (!File.Exists(directory.DatabaseFile))
        {
            return null;
        }

        var before = Path.Combine(directory.Path, string.Create(CultureInfo.InvariantCulture, $"before-restore-{now:yyyyMMddHHmmss}.db"));
        try
        {
            Run(directory.DatabaseFile, "PRAGMA wal_checkpoint(TRUNCATE)");
        }
        catch (SqliteException failed) when (StorageFaults.Of(failed) == StorageFault.Damaged)
        {
            // What is damaged is kept as it is, its log with it.
            if (File.Exists(directory.DatabaseFile + Logs))
            {
                File.Copy(directory.DatabaseFile + Logs, before + Logs, overwrite: true);
            }
        }

        File.Copy(directory.DatabaseFile, before, overwrite: true);
        DatabaseCopy.Flush(before);
        return before;
    }

    private KettleDb Open() =>
        new(
            new DbContextOptionsBuilder<KettleDb>()
                .UseSqlite(directory.ConnectionString + ";Pooling=False")
                .AddInterceptors(new DurableConnection())
                .Options
        );

    private static void Run(string file, string sql)
    {
        using var connection = new SqliteConnection(
            new SqliteConnectionStringBuilder { DataSource = file, Pooling = false }.ConnectionString
        );
        connection.Open();
        using var command = connection.CreateCommand();
#pragma warning disable CA2100 // Every text comes from this file.
        command.CommandText = sql;
#pragma warning restore CA2100
        command.ExecuteNonQuery();
    }

    public void Dispose() => _turn.Dispose();

    private static async Task Told(string file, Func<Task> act) => await Told(file, async () =>
        {
            await act();
            return true;
        });

    /// <summary>What somebody has to mend is told with the file that it is about.</summary>
    private static async Task<T> Told<T>(string file, Func<Task<T>> act)
    {
        try
        {
            return await act();
        }
        catch (UnauthorizedAccessException denied)
        {
            throw new DataFaultException(DataFaultKind.NotWritable, file, inner: denied);
        }
        catch (DirectoryNotFoundException none)
        {
            throw new DataFaultException(DataFaultKind.NotAFolder, file, inner: none);
        }
        catch (Exception failed) when (DataDirectory.KindOf(failed) is { } kind)
        {
            throw new DataFaultException(kind, file, inner: failed);
        }
    }
}
