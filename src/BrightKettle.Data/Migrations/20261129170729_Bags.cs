using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace BrightKettle.Data.Migrations
{
    /// <inheritdoc />
    public partial class Bags : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<int>(
                name: "learned_version",
                table: "household",
                type: "INTEGER",
                nullable: false,
                defaultValue: 0);

            migrationBuilder.AddColumn<string>(
                name: "learned_as",
                table: "cooks",
                type: "TEXT",
                nullable: true);

            migrationBuilder.AddColumn<bool>(
                name: "left_out",
                table: "cooks",
                type: "INTEGER",
                nullable: false,
                defaultValue: false);

            migrationBuilder.CreateTable(
                name: "bags",
                columns: table => new
                {
                    id = table.Column<string>(type: "TEXT", nullable: false),
                    food_id = table.Column<string>(type: "TEXT", nullable: false),
                    name = table.Column<string>(type: "TEXT", maxLength: 60, nullable: false),
                    grams = table.Column<double>(type: "REAL", nullable: false),
                    bought_on = table.Column<DateOnly>(type: "TEXT", nullable: true),
                    best_before = table.Column<DateOnly>(type: "TEXT", nullable: true),
                    opened_on = table.Column<DateOnly>(type: "TEXT", nullable: true),
                    storage = table.Column<string>(type: "TEXT", nullable: false),
                    removed = table.Column<bool>(type: "INTEGER", nullable: false),
                    version = table.Column<int>(type: "INTEGER", nullable: false, defaultValue: 1)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_bags", x => x.id);
                });

            migrationBuilder.CreateTable(
                name: "learned",
                columns: table => new
                {
                    cook_id = table.Column<Guid>(type: "TEXT", nullable: false),
                    bag_id = table.Column<string>(type: "TEXT", nullable: false),
                    pulse_id = table.Column<string>(type: "TEXT", nullable: false),
                    log = table.Column<double>(type: "REAL", nullable: false),
                    spread = table.Column<double>(type: "REAL", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_learned", x => new { x.cook_id, x.bag_id });
                });

            // What stood on the shelf was one bag of each.
            migrationBuilder.Sql(
                "INSERT INTO bags (id, food_id, name, grams, storage, removed, version) "
                    + "SELECT 'bag-' || replace(id, '_', '-'), id, '', grams, 'cupboard', 0, version FROM shelf"
            );
            migrationBuilder.DropTable(name: "shelf");
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(
                name: "learned");

            migrationBuilder.DropColumn(
                name: "learned_version",
                table: "household");

            migrationBuilder.DropColumn(
                name: "learned_as",
                table: "cooks");

            migrationBuilder.DropColumn(
                name: "left_out",
                table: "cooks");

            migrationBuilder.CreateTable(
                name: "shelf",
                columns: table => new
                {
                    id = table.Column<string>(type: "TEXT", nullable: false),
                    grams = table.Column<double>(type: "REAL", nullable: false),
                    version = table.Column<int>(type: "INTEGER", nullable: false, defaultValue: 1)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_shelf", x => x.id);
                });

            migrationBuilder.Sql(
                "INSERT INTO shelf (id, grams) SELECT food_id, sum(grams) FROM bags WHERE removed = 0 AND grams > 0 GROUP BY food_id"
            );
            migrationBuilder.DropTable(name: "bags");
        }
    }
}
