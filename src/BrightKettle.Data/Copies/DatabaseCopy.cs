using Microsoft.EntityFrameworkCore;

namespace BrightKettle.Data.Copies;

/// <summary>A whole copy of a database, or none: it gets its name when it is on the disk.</summary>
internal static class DatabaseCopy
{
    /// <summary>Behind the name of one that is not whole yet.</summary>
    public const string Partial = ".partial";

    /// <summary>May be taken while others write.</summary>
    /// <param name="file">In a folder that is there; what has this name is replaced.</param>
    public static async Task TakeAsync(KettleDb db, string file, CancellationToken cancel)
    {
        var partial = file + Partial;
        try
        {
            File.Delete(partial);
            // VACUUM INTO takes a consistent copy, which copying a file with a write-ahead log would not.
            await db.Database.ExecuteSqlAsync($"VACUUM INTO {partial}", cancel);
            Flush(partial);
            File.Move(partial, file, overwrite: true);
        }
        catch
        {
            File.Delete(partial);
            throw;
        }
    }

    /// <summary>What was written is on the disk when this returns.</summary>
    public static void Flush(string file)
    {
        using var written = new FileStream(file, FileMode.Open, FileAccess.ReadWrite);
        written.Flush(flushToDisk: true);
    }
}
