using System.Globalization;
using BrightKettle.Data.Copies;
using Microsoft.EntityFrameworkCore;

namespace BrightKettle.Data;

/// <summary>The folder that holds the household's database and its copies. One server at a time owns it, by a lock that the operating
/// system drops with the process.</summary>
public sealed class DataDirectory(string path) : IDisposable
{
    private const UnixFileMode OwnerOnly = UnixFileMode.UserRead | UnixFileMode.UserWrite | UnixFileMode.UserExecute;
    private const UnixFileMode Others =
        UnixFileMode.GroupRead
        | UnixFileMode.GroupWrite
        | UnixFileMode.GroupExecute
        | UnixFileMode.OtherRead
        | UnixFileMode.OtherWrite
        | UnixFileMode.OtherExecute;

    private FileStream? _lock;

    public string Path { get; } = System.IO.Path.GetFullPath(path);

    public string DatabaseFile => System.IO.Path.Combine(Path, "kettle.db");

    public string ConnectionString => $"Data Source={DatabaseFile}";

    private string HolderFile => System.IO.Path.Combine(Path, "kettle.pid");

    private string LockFile => System.IO.Path.Combine(Path, "kettle.lock");

    /// <summary>Whether other users of this machine may look into the folder: it was there before, and its rights are left as they
    /// are.</summary>
    public bool OpenToOthers => Directory.Exists(Path) && (File.GetUnixFileMode(Path) & Others) != 0;

    /// <summary>Makes the folder, for its owner alone, where it is missing, and takes it for this process.</summary>
    /// <exception cref="DataFaultException">It cannot be made or written, or another server has it.</exception>
    public void Claim()
    {
        if (_lock is not null)
        {
            return;
        }

        try
        {
            Create();
            _lock = new FileStream(LockFile, FileMode.OpenOrCreate, FileAccess.ReadWrite, FileShare.None);
            // For whoever finds the folder taken; the lock itself is the system's, and a locked file cannot be read.
            File.WriteAllText(HolderFile, Environment.ProcessId.ToString(CultureInfo.InvariantCulture));
        }
        catch (UnauthorizedAccessException denied)
        {
            throw new DataFaultException(DataFaultKind.NotWritable, Path, inner: denied);
        }
        catch (IOException failed)
        {
            throw StorageFaults.Of(failed) == StorageFault.Full
                ? new DataFaultException(DataFaultKind.Full, Path, inner: failed)
                : new DataFaultException(
                    _lock is null && File.Exists(LockFile) ? DataFaultKind.InUse : DataFaultKind.NotAFolder,
                    Path,
                    Holder(),
                    failed
                );
        }
    }

    /// <summary>The same, with a little patience: a server that was told to stop a moment ago may still be leaving.</summary>
    /// <exception cref="DataFaultException">As <see cref="Claim"/>.</exception>
    public async Task ClaimAsync(CancellationToken cancel = default)
    {
        for (var tries = 1; ; tries++)
        {
            try
            {
                Claim();
                return;
            }
            catch (DataFaultException fault) when (fault.Kind == DataFaultKind.InUse && tries < MostTries)
            {
                await Task.Delay(BetweenTries, cancel);
            }
        }
    }

    private const int MostTries = 20;
    private static readonly TimeSpan BetweenTries = TimeSpan.FromMilliseconds(100);

    private void Create()
    {
        if (File.Exists(Path))
        {
            throw new DataFaultException(DataFaultKind.NotAFolder, Path);
        }

        if (!Directory.Exists(Path))
        {
            Directory.CreateDirectory(Path, OwnerOnly);
        }
        else if ((File.GetUnixFileMode(Path) & UnixFileMode.UserWrite) == 0)
        {
            // Told to a user who may write anyway, too: somebody meant it.
            throw new DataFaultException(DataFaultKind.NotWritable, Path);
        }
    }

    /// <summary>The process that has the folder, as it wrote it down; null when that cannot be read.</summary>
    private string? Holder()
    {
        try
        {
            return File.ReadAllText(HolderFile) is { Length: > 0 and < 12 } process ? process : null;
        }
        catch (IOException)
        {
            // Only its name is missing from the sentence then.
            return null;
        }
    }

    /// <summary>Looks whether the database can be used, without changing it, and brings it up to date; one that has something to lose is
    /// copied first.</summary>
    /// <returns>The copy's file, or null when none was needed.</returns>
    /// <exception cref="DataFaultException">It cannot be used; it is as it was.</exception>
    public async Task<string?> OpenAsync(KettleDb db, DateTimeOffset now, CancellationToken cancel = default)
    {
        ArgumentNullException.ThrowIfNull(db);
        try
        {
            foreach (var left in Directory.EnumerateFiles(Path, "before-*" + DatabaseCopy.Partial).ToList())
            {
                File.Delete(left);
            }

            List<string> known = [.. db.Database.GetMigrations()];
            var applied = DatabaseCheck.Look(DatabaseFile, known);
            if (applied.Count == known.Count)
            {
                return null;
            }

            var copy = applied.Count > 0 ? await CopyAsync(db, known.Except(applied).First(), now, cancel) : null;
            // The folder is this process's, so a row that is there was left by one that was ended while it migrated: nobody would ever
            // take it away.
            await db.Database.ExecuteSqlRawAsync("""DROP TABLE IF EXISTS "__EFMigrationsLock" """, cancel);
            await db.Database.MigrateAsync(cancel);
            return copy;
        }
        catch (Exception failed) when (KindOf(failed) is { } kind)
        {
            throw new DataFaultException(kind, DatabaseFile, inner: failed);
        }
    }

    /// <summary>What somebody has to mend, or null for a fault of the program.</summary>
    public static DataFaultKind? KindOf(Exception exception) =>
        exception is DataFaultException
            ? null
            : StorageFaults.Of(exception) switch
            {
                StorageFault.Full => DataFaultKind.Full,
                StorageFault.ReadOnly => DataFaultKind.NotWritable,
                StorageFault.Damaged => DataFaultKind.Damaged,
                StorageFault.Busy => DataFaultKind.InUse,
                _ => null,
            };

    /// <summary>A whole copy beside the database, or none.</summary>
    private async Task<string> CopyAsync(KettleDb db, string before, DateTimeOffset now, CancellationToken cancel)
    {
        var copy = System.IO.Path.Combine(Path, string.Create(CultureInfo.InvariantCulture, $"before-{before}-{now:yyyyMMddHHmmss}.db"));
        await DatabaseCopy.TakeAsync(db, copy, cancel);
        return copy;
    }

    /// <summary>Gives the folder back.</summary>
    public void Dispose() => _lock?.Dispose();
}
