using BrightKettle.Data.Records;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Metadata.Builders;

namespace BrightKettle.Data.Configuration;

internal sealed class CookEventConfiguration : IEntityTypeConfiguration<CookEvent>
{
    public void Configure(EntityTypeBuilder<CookEvent> builder)
    {
        builder.ToTable("cook_events");
        builder.HasKey(e => e.Sequence);
        builder.Property(e => e.Sequence).ValueGeneratedOnAdd();
        builder.HasIndex(e => e.Id).IsUnique();
        builder.HasIndex(e => new { e.CookId, e.Sequence });
        builder.Property(e => e.Kind).HasMaxLength(20);
    }
}

internal sealed class CookRowConfiguration : IEntityTypeConfiguration<CookRow>
{
    public void Configure(EntityTypeBuilder<CookRow> builder)
    {
        builder.ToTable("cooks");
        builder.HasKey(c => c.Id);
        builder.HasIndex(c => new { c.Deleted, c.ServeAt });
        builder.Property(c => c.Title).HasMaxLength(120);
        builder.Property(c => c.Version).IsConcurrencyToken();
    }
}
