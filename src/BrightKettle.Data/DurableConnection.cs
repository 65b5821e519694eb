using System.Data.Common;
using Microsoft.EntityFrameworkCore.Diagnostics;

namespace BrightKettle.Data;

/// <summary>Sets each connection so that what is confirmed is on the disk: WAL, synchronous full, foreign keys on.</summary>
public sealed class DurableConnection : DbConnectionInterceptor
{
    private const string Settings = "PRAGMA journal_mode=WAL; PRAGMA synchronous=FULL; PRAGMA foreign_keys=ON; PRAGMA busy_timeout=5000;";

    public override void ConnectionOpened(DbConnection connection, ConnectionEndEventData eventData)
    {
        ArgumentNullException.ThrowIfNull(connection);
        using var command = connection.CreateCommand();
        command.CommandText = Settings;
        command.ExecuteNonQuery();
    }

    public override async Task ConnectionOpenedAsync(
        DbConnection connection,
        ConnectionEndEventData eventData,
        CancellationToken cancellationToken = default
    )
    {
        ArgumentNullException.ThrowIfNull(connection);
        await using var command = connection.CreateCommand();
        command.CommandText = Settings;
        await command.ExecuteNonQueryAsync(cancellationToken);
    }
}
