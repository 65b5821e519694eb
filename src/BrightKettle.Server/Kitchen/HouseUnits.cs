using BrightKettle.Data;
using Microsoft.EntityFrameworkCore;

namespace BrightKettle.Server.Kitchen;

/// <summary>In which units and hours this household is spoken to; read once, and told anew when it changes.</summary>
public sealed class HouseUnits
{
    public const string Metric = "metric";
    public const string Us = "us";
    public const string Hours24 = "24";
    public const string AmPm = "am_pm";

    private volatile Spoken? _known;

    public sealed record Spoken(string Units, string Hours);

    public static bool IsUnits(string word) => word is Metric or Us;

    public static bool IsHours(string word) => word is Hours24 or AmPm;

    public async ValueTask<Spoken> ReadAsync(KettleDb db, CancellationToken cancel) =>
        _known ??= await db.Households.Select(h => new Spoken(h.Units, h.Hours)).SingleAsync(cancel);

    /// <summary>Chosen from here on.</summary>
    public void Tell(string units, string hours) => _known = new(units, hours);
}
