using System.Text.Json;
using BrightKettle.Data.Records;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Storage.ValueConversion;

namespace BrightKettle.Data;

/// <summary>The household's one database.</summary>
public sealed class KettleDb(DbContextOptions<KettleDb> options) : DbContext(options)
{
    public DbSet<CookEvent> CookEvents => Set<CookEvent>();

    public DbSet<CookRow> Cooks => Set<CookRow>();

    public DbSet<HouseholdRow> Households => Set<HouseholdRow>();

    public DbSet<VesselRow> Vessels => Set<VesselRow>();

    public DbSet<BagRow> Bags => Set<BagRow>();

    public DbSet<LearnedRow> Learned => Set<LearnedRow>();

    public DbSet<PairedDevice> PairedDevices => Set<PairedDevice>();

    public DbSet<PairingAttempt> PairingAttempts => Set<PairingAttempt>();

    public DbSet<BurnerRow> Burners => Set<BurnerRow>();

    protected override void OnModelCreating(ModelBuilder modelBuilder)
    {
        ArgumentNullException.ThrowIfNull(modelBuilder);
        modelBuilder.ApplyConfigurationsFromAssembly(typeof(KettleDb).Assembly);
        foreach (var property in modelBuilder.Model.GetEntityTypes().SelectMany(e => e.GetProperties()))
        {
            property.SetColumnName(JsonNamingPolicy.SnakeCaseLower.ConvertName(property.Name));
        }
    }

    // SQLite can neither sort nor compare a DateTimeOffset; as Unix milliseconds it does both.
    protected override void ConfigureConventions(ModelConfigurationBuilder configurationBuilder) =>
        configurationBuilder.Properties<DateTimeOffset>().HaveConversion<MillisecondsConverter>();

    private sealed class MillisecondsConverter()
        : ValueConverter<DateTimeOffset, long>(t => t.ToUnixTimeMilliseconds(), ms => DateTimeOffset.FromUnixTimeMilliseconds(ms));
}
