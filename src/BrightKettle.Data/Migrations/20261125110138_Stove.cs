using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace BrightKettle.Data.Migrations
{
    /// <inheritdoc />
    public partial class Stove : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<string>(
                name: "storage_rule",
                table: "household",
                type: "TEXT",
                nullable: false,
                defaultValue: "cautious");

            migrationBuilder.AddColumn<long>(
                name: "finished_at",
                table: "cooks",
                type: "INTEGER",
                nullable: true);

            migrationBuilder.AddColumn<long>(
                name: "started_at",
                table: "cooks",
                type: "INTEGER",
                nullable: true);

            migrationBuilder.AddColumn<bool>(
                name: "gas",
                table: "burners",
                type: "INTEGER",
                nullable: false,
                defaultValue: false);
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropColumn(
                name: "storage_rule",
                table: "household");

            migrationBuilder.DropColumn(
                name: "finished_at",
                table: "cooks");

            migrationBuilder.DropColumn(
                name: "started_at",
                table: "cooks");

            migrationBuilder.DropColumn(
                name: "gas",
                table: "burners");
        }
    }
}
