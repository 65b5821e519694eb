using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace BrightKettle.Data;

/// <summary>What is wrong with the storage, where something other than the program is.</summary>
public enum StorageFault
{
    /// <summary>Nothing that is known here.</summary>
    None,

    /// <summary>Another writer was first with the same thing.</summary>
    Twice,

    /// <summary>Another writer holds the database for too long.</summary>
    Busy,

    /// <summary>No room is left.</summary>
    Full,

    /// <summary>It may be read only.</summary>
    ReadOnly,

    /// <summary>The file is not what it was when it was written.</summary>
    Damaged,
}

/// <summary>Tells faults of the storage from faults of the program.</summary>
public static class StorageFaults
{
    // The primary result codes of SQLite, by its documentation "Result and Error Codes".
    private const int Busy = 5;
    private const int Locked = 6;
    private const int ReadOnly = 8;
    private const int InputOutput = 10;
    private const int Corrupt = 11;
    private const int Full = 13;
    private const int CannotOpen = 14;
    private const int Constraint = 19;
    private const int NotADatabase = 26;

    public static StorageFault Of(Exception? exception) =>
        exception switch
        {
            DbUpdateException { InnerException: { } inner } => Of(inner),
            SqliteException { SqliteErrorCode: Constraint } => StorageFault.Twice,
            SqliteException { SqliteErrorCode: Busy or Locked } => StorageFault.Busy,
            SqliteException { SqliteErrorCode: Full } => StorageFault.Full,
            SqliteException { SqliteErrorCode: ReadOnly or CannotOpen } => StorageFault.ReadOnly,
            SqliteException { SqliteErrorCode: InputOutput or Corrupt or NotADatabase } => StorageFault.Damaged,
            IOException { HResult: NoSpaceLeft } => StorageFault.Full,
            UnauthorizedAccessException => StorageFault.ReadOnly,
            _ => StorageFault.None,
        };

    /// <summary>ENOSPC, as .NET passes it on.</summary>
    private const int NoSpaceLeft = 28;
}
