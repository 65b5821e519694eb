using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace BrightKettle.Data.Migrations
{
    /// <inheritdoc />
    public partial class Units : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<string>(
                name: "units",
                table: "household",
                type: "TEXT",
                nullable: false,
                defaultValue: "metric");
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropColumn(
                name: "units",
                table: "household");
        }
    }
}
