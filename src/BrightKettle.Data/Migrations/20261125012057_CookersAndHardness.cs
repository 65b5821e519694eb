using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace BrightKettle.Data.Migrations
{
    /// <inheritdoc />
    public partial class CookersAndHardness : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<string>(
                name: "cooker_kind",
                table: "vessels",
                type: "TEXT",
                nullable: true);

            migrationBuilder.AddColumn<double>(
                name: "hardness_milligrams_per_litre",
                table: "household",
                type: "REAL",
                nullable: false,
                defaultValue: 0.0);
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropColumn(
                name: "cooker_kind",
                table: "vessels");

            migrationBuilder.DropColumn(
                name: "hardness_milligrams_per_litre",
                table: "household");
        }
    }
}
