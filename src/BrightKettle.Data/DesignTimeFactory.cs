using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Design;

namespace BrightKettle.Data;

/// <summary>For `dotnet ef`, which makes migrations without a server.</summary>
internal sealed class DesignTimeFactory : IDesignTimeDbContextFactory<KettleDb>
{
    public KettleDb CreateDbContext(string[] args) =>
        new(new DbContextOptionsBuilder<KettleDb>().UseSqlite("Data Source=:memory:").Options);
}
