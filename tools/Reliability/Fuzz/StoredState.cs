using System.Globalization;
using Microsoft.Data.Sqlite;

namespace BrightKettle.Reliability.Fuzz;

/// <summary>All that a request may change, as one short text.</summary>
public static class StoredState
{
    /// <summary>Every table whose rows a request writes; tries to pair are written down because they fail, so they are left out.</summary>
    private const string Sums = """
        SELECT (SELECT count(*) || ' ' || total(length(payload)) FROM cook_events)
            || '|' || (SELECT count(*) || ' ' || total(version) || ' ' || total(deleted) || ' ' || total(length(payload) + length(title)) FROM cooks)
            || '|' || (SELECT group_concat(quote(name) || quote(zone) || altitude_metres || room_celsius || wakes || sleeps || soaks_at || cup_millilitres || cautious || salt_percent || is_set_up || units || hours || version) FROM household)
            || '|' || (SELECT count(*) || ' ' || total(version) || ' ' || total(removed) || ' ' || total(diameter_centimetres + brim_millilitres) FROM vessels)
            || '|' || (SELECT count(*) || ' ' || total(version) || ' ' || total(grams) || ' ' || total(removed) FROM bags)
            || '|' || (SELECT count(*) || ' ' || total(log) FROM learned)
            || '|' || (SELECT count(*) || ' ' || total(version) || ' ' || total(gas) || ' ' || total(removed) || ' ' || total(most_watts) FROM burners)
            || '|' || (SELECT count(*) FROM paired_devices)
        """;

    public static string Of(SqliteConnection database)
    {
        ArgumentNullException.ThrowIfNull(database);
        using var command = database.CreateCommand();
        command.CommandText = Sums;
        return Convert.ToString(command.ExecuteScalar(), CultureInfo.InvariantCulture)!;
    }
}
