using Microsoft.Data.Sqlite;

namespace BrightKettle.Data;

/// <summary>Looks at a database file before anything is done with it.</summary>
internal static class DatabaseCheck
{
    private static readonly byte[] Header = "SQLite format 3\0"u8.ToArray();

    /// <summary>Returns when the file is missing, empty, or a whole database of this program that this version can read.</summary>
    /// <param name="migrations">Known to this version.</param>
    /// <returns>The migrations that it has seen; none for a file that is to be made.</returns>
    /// <exception cref="DataFaultException">It cannot be used.</exception>
    public static IReadOnlyList<string> Look(string file, IReadOnlyCollection<string> migrations)
    {
        if (!File.Exists(file) || new FileInfo(file).Length == 0)
        {
            return [];
        }

        if ((File.GetUnixFileMode(file) & UnixFileMode.UserWrite) == 0)
        {
            throw new DataFaultException(DataFaultKind.NotWritable, file);
        }

        if (!StartsAsDatabase(file))
        {
            throw new DataFaultException(DataFaultKind.Foreign, file);
        }

        try
        {
            using var connection = Open(file);
            if (Column(connection, "PRAGMA integrity_check(1)") is not ["ok"])
            {
                throw new DataFaultException(DataFaultKind.Damaged, file);
            }

            var tables = Column(
                connection,
                "SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%' AND name <> '__EFMigrationsLock'"
            );
            if (tables.Count > 0 && !tables.Contains("__EFMigrationsHistory"))
            {
                throw new DataFaultException(DataFaultKind.Foreign, file);
            }

            var applied = tables.Count == 0 ? [] : Column(connection, "SELECT MigrationId FROM __EFMigrationsHistory");
            if (applied.Except(migrations).FirstOrDefault() is { } unknown)
            {
                // Some other program of the same make has migrations of its own; ours always has the first of ours.
                throw new DataFaultException(
                    applied.Intersect(migrations).Any() ? DataFaultKind.Newer : DataFaultKind.Foreign,
                    file,
                    unknown
                );
            }

            return applied;
        }
        catch (SqliteException failed)
        {
            throw new DataFaultException(DataDirectory.KindOf(failed) ?? DataFaultKind.Damaged, file, inner: failed);
        }
    }

    private static bool StartsAsDatabase(string file)
    {
        var start = new byte[Header.Length];
        using var stream = File.OpenRead(file);
        return stream.ReadAtLeast(start, start.Length, throwOnEndOfStream: false) == start.Length && start.AsSpan().SequenceEqual(Header);
    }

    /// <summary>Without a log beside it the file is all there is, and is opened without making one.</summary>
    private static SqliteConnection Open(string file)
    {
        var source = File.Exists(file + "-wal") ? file : $"file:{Uri.EscapeDataString(file)}?immutable=1";
        var connection = new SqliteConnection(
            new SqliteConnectionStringBuilder
            {
                DataSource = source,
                Mode = SqliteOpenMode.ReadOnly,
                Pooling = false,
            }.ConnectionString
        );
        connection.Open();
        return connection;
    }

    private static List<string> Column(SqliteConnection connection, string sql)
    {
        using var command = connection.CreateCommand();
#pragma warning disable CA2100 // Every text comes from this file.
        command.CommandText = sql;
#pragma warning restore CA2100
        using var reader = command.ExecuteReader();
        var values = new List<string>();
        while (reader.Read())
        {
            values.Add(reader.GetString(0));
        }

        return values;
    }
}
