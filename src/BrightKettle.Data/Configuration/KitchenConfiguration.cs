using BrightKettle.Data.Records;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Metadata.Builders;

namespace BrightKettle.Data.Configuration;

internal sealed class HouseholdConfiguration : IEntityTypeConfiguration<HouseholdRow>
{
    public void Configure(EntityTypeBuilder<HouseholdRow> builder)
    {
        builder.ToTable("household", t => t.HasCheckConstraint("one_household", "id = 1"));
        builder.Property(h => h.Id).ValueGeneratedNever();
        // A kitchen of before the questions is never asked them.
        builder.Property(h => h.IsSetUp).HasDefaultValue(true).HasSentinel(true);
        builder.Property(h => h.Version).IsConcurrencyToken();
    }
}

internal sealed class VesselConfiguration : IEntityTypeConfiguration<VesselRow>
{
    public void Configure(EntityTypeBuilder<VesselRow> builder)
    {
        builder.ToTable("vessels");
        builder.Property(r => r.Version).IsConcurrencyToken().HasDefaultValue(1);
    }
}

internal sealed class BagConfiguration : IEntityTypeConfiguration<BagRow>
{
    public void Configure(EntityTypeBuilder<BagRow> builder)
    {
        builder.ToTable("bags");
        builder.Property(r => r.Name).HasMaxLength(60);
        builder.Property(r => r.Version).IsConcurrencyToken().HasDefaultValue(1);
    }
}

internal sealed class LearnedConfiguration : IEntityTypeConfiguration<LearnedRow>
{
    public void Configure(EntityTypeBuilder<LearnedRow> builder)
    {
        builder.ToTable("learned");
        builder.HasKey(r => new { r.CookId, r.BagId });
    }
}

internal sealed class BurnerConfiguration : IEntityTypeConfiguration<BurnerRow>
{
    public void Configure(EntityTypeBuilder<BurnerRow> builder)
    {
        builder.ToTable("burners");
        builder.Property(r => r.Version).IsConcurrencyToken().HasDefaultValue(1);
    }
}

internal sealed class PairedDeviceConfiguration : IEntityTypeConfiguration<PairedDevice>
{
    public void Configure(EntityTypeBuilder<PairedDevice> builder)
    {
        builder.ToTable("paired_devices");
        builder.Property(d => d.Id).ValueGeneratedNever();
        builder.Property(d => d.Name).HasMaxLength(60);
        builder.HasIndex(d => d.TokenHash).IsUnique();
    }
}

internal sealed class PairingAttemptConfiguration : IEntityTypeConfiguration<PairingAttempt>
{
    public void Configure(EntityTypeBuilder<PairingAttempt> builder)
    {
        builder.ToTable("pairing_attempts");
        builder.Property(a => a.From).HasMaxLength(60);
        builder.Property(a => a.Code).HasMaxLength(40);
    }
}
