using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace BrightKettle.Data.Migrations
{
    /// <inheritdoc />
    public partial class First : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.CreateTable(
                name: "burners",
                columns: table => new
                {
                    id = table.Column<string>(type: "TEXT", nullable: false),
                    name = table.Column<string>(type: "TEXT", nullable: false),
                    most_watts = table.Column<double>(type: "REAL", nullable: false),
                    least_watts = table.Column<double>(type: "REAL", nullable: false),
                    position = table.Column<int>(type: "INTEGER", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_burners", x => x.id);
                });

            migrationBuilder.CreateTable(
                name: "cook_events",
                columns: table => new
                {
                    sequence = table.Column<long>(type: "INTEGER", nullable: false)
                        .Annotation("Sqlite:Autoincrement", true),
                    id = table.Column<Guid>(type: "TEXT", nullable: false),
                    cook_id = table.Column<Guid>(type: "TEXT", nullable: false),
                    kind = table.Column<string>(type: "TEXT", maxLength: 20, nullable: false),
                    based_on = table.Column<long>(type: "INTEGER", nullable: true),
                    supersedes = table.Column<Guid>(type: "TEXT", nullable: true),
                    occurred_at = table.Column<long>(type: "INTEGER", nullable: false),
                    recorded_at = table.Column<long>(type: "INTEGER", nullable: false),
                    model_version = table.Column<string>(type: "TEXT", nullable: false),
                    parameter_version = table.Column<string>(type: "TEXT", nullable: false),
                    seed = table.Column<int>(type: "INTEGER", nullable: false),
                    payload = table.Column<string>(type: "TEXT", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_cook_events", x => x.sequence);
                });

            migrationBuilder.CreateTable(
                name: "cooks",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "TEXT", nullable: false),
                    title = table.Column<string>(type: "TEXT", maxLength: 120, nullable: false),
                    serve_at = table.Column<long>(type: "INTEGER", nullable: false),
                    payload = table.Column<string>(type: "TEXT", nullable: false),
                    model_version = table.Column<string>(type: "TEXT", nullable: false),
                    parameter_version = table.Column<string>(type: "TEXT", nullable: false),
                    seed = table.Column<int>(type: "INTEGER", nullable: false),
                    changed_at = table.Column<long>(type: "INTEGER", nullable: false),
                    deleted = table.Column<bool>(type: "INTEGER", nullable: false),
                    version = table.Column<long>(type: "INTEGER", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_cooks", x => x.id);
                });

            migrationBuilder.CreateTable(
                name: "household",
                columns: table => new
                {
                    id = table.Column<int>(type: "INTEGER", nullable: false),
                    name = table.Column<string>(type: "TEXT", nullable: false),
                    zone = table.Column<string>(type: "TEXT", nullable: false),
                    altitude_metres = table.Column<double>(type: "REAL", nullable: false),
                    room_celsius = table.Column<double>(type: "REAL", nullable: false),
                    fridge_celsius = table.Column<double>(type: "REAL", nullable: false),
                    wakes = table.Column<TimeOnly>(type: "TEXT", nullable: false),
                    sleeps = table.Column<TimeOnly>(type: "TEXT", nullable: false),
                    soaks_at = table.Column<TimeOnly>(type: "TEXT", nullable: false),
                    cup_millilitres = table.Column<double>(type: "REAL", nullable: false),
                    cautious = table.Column<bool>(type: "INTEGER", nullable: false),
                    version = table.Column<int>(type: "INTEGER", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_household", x => x.id);
                    table.CheckConstraint("one_household", "id = 1");
                });

            migrationBuilder.CreateTable(
                name: "vessels",
                columns: table => new
                {
                    id = table.Column<string>(type: "TEXT", nullable: false),
                    name = table.Column<string>(type: "TEXT", nullable: false),
                    diameter_centimetres = table.Column<double>(type: "REAL", nullable: false),
                    brim_millilitres = table.Column<double>(type: "REAL", nullable: false),
                    position = table.Column<int>(type: "INTEGER", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_vessels", x => x.id);
                });

            migrationBuilder.CreateIndex(
                name: "IX_cook_events_cook_id_sequence",
                table: "cook_events",
                columns: new[] { "cook_id", "sequence" });

            migrationBuilder.CreateIndex(
                name: "IX_cook_events_id",
                table: "cook_events",
                column: "id",
                unique: true);

            migrationBuilder.CreateIndex(
                name: "IX_cooks_deleted_serve_at",
                table: "cooks",
                columns: new[] { "deleted", "serve_at" });
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(
                name: "burners");

            migrationBuilder.DropTable(
                name: "cook_events");

            migrationBuilder.DropTable(
                name: "cooks");

            migrationBuilder.DropTable(
                name: "household");

            migrationBuilder.DropTable(
                name: "vessels");
        }
    }
}
