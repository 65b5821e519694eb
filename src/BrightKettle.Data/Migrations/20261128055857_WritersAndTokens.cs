using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace BrightKettle.Data.Migrations
{
    /// <inheritdoc />
    public partial class WritersAndTokens : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<bool>(
                name: "removed",
                table: "vessels",
                type: "INTEGER",
                nullable: false,
                defaultValue: false);

            migrationBuilder.AddColumn<int>(
                name: "version",
                table: "vessels",
                type: "INTEGER",
                nullable: false,
                defaultValue: 1);

            migrationBuilder.AddColumn<int>(
                name: "version",
                table: "shelf",
                type: "INTEGER",
                nullable: false,
                defaultValue: 1);

            migrationBuilder.AddColumn<long>(
                name: "last_seen_at",
                table: "paired_devices",
                type: "INTEGER",
                nullable: false,
                defaultValue: 0L);

            // A phone that was paired before has its ninety days from now on.
            migrationBuilder.Sql("UPDATE paired_devices SET last_seen_at = CAST(strftime('%s', 'now') AS INTEGER) * 1000");

            migrationBuilder.AddColumn<int>(
                name: "version",
                table: "burners",
                type: "INTEGER",
                nullable: false,
                defaultValue: 1);

            migrationBuilder.CreateTable(
                name: "pairing_attempts",
                columns: table => new
                {
                    id = table.Column<long>(type: "INTEGER", nullable: false)
                        .Annotation("Sqlite:Autoincrement", true),
                    at = table.Column<long>(type: "INTEGER", nullable: false),
                    from = table.Column<string>(type: "TEXT", maxLength: 60, nullable: false),
                    code = table.Column<string>(type: "TEXT", maxLength: 40, nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_pairing_attempts", x => x.id);
                });
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(
                name: "pairing_attempts");

            migrationBuilder.DropColumn(
                name: "removed",
                table: "vessels");

            migrationBuilder.DropColumn(
                name: "version",
                table: "vessels");

            migrationBuilder.DropColumn(
                name: "version",
                table: "shelf");

            migrationBuilder.DropColumn(
                name: "last_seen_at",
                table: "paired_devices");

            migrationBuilder.DropColumn(
                name: "version",
                table: "burners");
        }
    }
}
