using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace BrightKettle.Data.Migrations
{
    /// <inheritdoc />
    public partial class HouseWays : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<bool>(
                name: "keeps_soak_water",
                table: "household",
                type: "INTEGER",
                nullable: false,
                defaultValue: false);

            migrationBuilder.AddColumn<double>(
                name: "salt_percent",
                table: "household",
                type: "REAL",
                nullable: false,
                defaultValue: 0.9);

            migrationBuilder.AddColumn<string>(
                name: "salt_school",
                table: "household",
                type: "TEXT",
                nullable: false,
                defaultValue: "with_the_rice");
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropColumn(
                name: "keeps_soak_water",
                table: "household");

            migrationBuilder.DropColumn(
                name: "salt_percent",
                table: "household");

            migrationBuilder.DropColumn(
                name: "salt_school",
                table: "household");
        }
    }
}
