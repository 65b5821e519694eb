using BrightKettle.Data;
using Microsoft.EntityFrameworkCore;

namespace BrightKettle.Server.Kitchen;

/// <summary>In which units this household is spoken to; read once, and told anew when it changes.</summary>
public sealed class HouseUnits
{
    public const string Metric = "metric";
    public const string Us = "us";

    private volatile string? _known;

    public static bool IsOne(string word) => word is Metric or Us;

    public async ValueTask<bool> AreUsAsync(KettleDb db, CancellationToken cancel)
    {
        _known ??= await db.Households.Select(h => h.Units).SingleAsync(cancel);
        return _known == Us;
    }

    /// <summary>Chosen from here on.</summary>
    public void Tell(string units) => _known = units;
}
