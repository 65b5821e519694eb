using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace BrightKettle.Data.Migrations
{
    /// <inheritdoc />
    public partial class FirstRun : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<bool>(
                name: "is_set_up",
                table: "household",
                type: "INTEGER",
                nullable: false,
                defaultValue: true);

            migrationBuilder.AddColumn<bool>(
                name: "removed",
                table: "burners",
                type: "INTEGER",
                nullable: false,
                defaultValue: false);
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropColumn(
                name: "is_set_up",
                table: "household");

            migrationBuilder.DropColumn(
                name: "removed",
                table: "burners");
        }
    }
}
