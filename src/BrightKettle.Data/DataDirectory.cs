using Microsoft.EntityFrameworkCore;

namespace BrightKettle.Data;

/// <summary>The folder that holds the household's database and its copies.</summary>
public sealed class DataDirectory(string path)
{
    private const UnixFileMode OwnerOnly = UnixFileMode.UserRead | UnixFileMode.UserWrite | UnixFileMode.UserExecute;

    public string Path { get; } = System.IO.Path.GetFullPath(path);

    public string DatabaseFile => System.IO.Path.Combine(Path, "kettle.db");

    public string ConnectionString => $"Data Source={DatabaseFile}";

    /// <summary>Creates the folder for its owner alone and closes an existing one to others.</summary>
    public void Create()
    {
        Directory.CreateDirectory(Path, OwnerOnly);
        File.SetUnixFileMode(Path, OwnerOnly);
    }

    /// <summary>Brings the database up to date; a database that has something to lose is copied first.</summary>
    /// <returns>The copy's file, or null when none was needed.</returns>
    public async Task<string?> MigrateAsync(KettleDb db, DateTimeOffset now, CancellationToken cancel = default)
    {
        ArgumentNullException.ThrowIfNull(db);
        var pending = (await db.Database.GetPendingMigrationsAsync(cancel)).ToList();
        var applied = await db.Database.GetAppliedMigrationsAsync(cancel);
        string? copy = null;
        if (pending.Count > 0 && applied.Any())
        {
            copy = System.IO.Path.Combine(Path, $"before-{pending[0]}-{now:yyyyMMddHHmmss}.db");
            // VACUUM INTO takes a consistent copy, which copying a file with a write-ahead log would not.
            await db.Database.ExecuteSqlAsync($"VACUUM INTO {copy}", cancel);
        }

        await db.Database.MigrateAsync(cancel);
        return copy;
    }
}
