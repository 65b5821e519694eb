using System.Globalization;
using System.Text;
using System.Text.Json;
using BrightKettle.Data;
using BrightKettle.Data.Events;
using BrightKettle.Data.Records;
using BrightKettle.Data.Stored;
using BrightKettle.Server.Exchange;
using CsvHelper;
using CsvHelper.Configuration;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using NodaTime;

namespace BrightKettle.Server.Record;

/// <summary>All dinners as a table of comma-separated values (RFC 4180: a header, CRLF, quotes where they are wanted), for a spreadsheet.
/// Grams and minutes are numbers with a point, hours are ISO 8601 on the kitchen's clock, words are those of the API.</summary>
public static class CookTable
{
    /// <summary>What a cell would run in a spreadsheet gets an apostrophe before it.</summary>
    private static readonly CsvConfiguration Form = new(CultureInfo.InvariantCulture)
    {
        NewLine = "\r\n",
        InjectionOptions = InjectionOptions.Escape,
        InjectionEscapeCharacter = '\'',
    };

    public static void Map(IEndpointRouteBuilder routes) => routes.MapGet("/api/cooks.csv", Out);

    /// <summary>Kept, begun and cooked dinners, the oldest table first. One that cannot be read any more keeps its title and hours.</summary>
    public static async Task<FileContentHttpResult> Out(KettleDb db, CancellationToken cancel)
    {
        var home = await db.Households.AsNoTracking().SingleAsync(cancel);
        var zone = DateTimeZoneProviders.Tzdb[home.Zone];
        var verdicts = (
            await db
                .CookEvents.AsNoTracking()
                .Where(e => e.Kind == CookProjection.Judged)
                .OrderBy(e => e.Sequence)
                .Select(e => new { e.CookId, e.Payload })
                .ToListAsync(cancel)
        )
            .GroupBy(e => e.CookId)
            .ToDictionary(g => g.Key, g => g.Last().Payload);
        using var bytes = new MemoryStream();
        // Spreadsheets know by its mark that it is UTF-8.
        await using (var text = new StreamWriter(bytes, new UTF8Encoding(encoderShouldEmitUTF8Identifier: true), leaveOpen: true))
        await using (var csv = new CsvWriter(text, Form))
        {
            csv.Context.RegisterClassMap<Columns>();
            csv.WriteHeader<Line>();
            await csv.NextRecordAsync();
            await foreach (
                var row in db
                    .Cooks.AsNoTracking()
                    .Where(c => !c.Deleted)
                    .OrderBy(c => c.ServeAt)
                    .ThenBy(c => c.Id)
                    .AsAsyncEnumerable()
                    .WithCancellation(cancel)
            )
            {
                csv.WriteRecord(Read(row, verdicts.GetValueOrDefault(row.Id), zone));
                await csv.NextRecordAsync();
            }
        }

        return TypedResults.File(bytes.ToArray(), "text/csv; charset=utf-8; header=present", "dinners.csv");
    }

    /// <summary>Its columns: the members of a line, as pulse_grams; answers as true and false.</summary>
    private sealed class Columns : ClassMap<Line>
    {
        public Columns()
        {
            AutoMap(Form);
            foreach (var column in MemberMaps)
            {
                column.Name(JsonNamingPolicy.SnakeCaseLower.ConvertName(column.Data.Member!.Name));
                column.TypeConverterOption.BooleanValues(true, clearValues: true, "true");
                column.TypeConverterOption.BooleanValues(false, clearValues: true, "false");
            }
        }
    }

    /// <summary>One dinner; null for what is not known of it.</summary>
    private sealed record Line
    {
        public required Guid Id { get; init; }

        public required string Title { get; init; }

        public string? Pulse { get; init; }

        public double? PulseGrams { get; init; }

        public string? Rice { get; init; }

        public double? RiceGrams { get; init; }

        public int? People { get; init; }

        public string? Method { get; init; }

        public string? Soak { get; init; }

        public string? Style { get; init; }

        public required string TableWanted { get; init; }

        public string? TableEarly { get; init; }

        public string? TableLate { get; init; }

        public double? ChanceWithLooks { get; init; }

        public string? Started { get; init; }

        public string? Finished { get; init; }

        public string? PulsesWere { get; init; }

        public string? RiceWas { get; init; }

        public string? SaltWas { get; init; }

        public string? SauceWas { get; init; }

        public bool? Again { get; init; }

        public string? Note { get; init; }

        public bool Teaches { get; init; }
    }

    private static Line Read(CookRow row, string? judged, DateTimeZone zone)
    {
        string Said(DateTimeOffset at) =>
            Instant
                .FromDateTimeOffset(at)
                .InZone(zone)
                .ToDateTimeOffset()
                .ToString("yyyy-MM-dd'T'HH:mm:sszzz", CultureInfo.InvariantCulture);
        var line = new Line
        {
            Id = row.Id,
            Title = row.Title,
            TableWanted = Said(row.ServeAt),
            Started = row.StartedAt is { } started ? Said(started) : null,
            Finished = row.FinishedAt is { } finished ? Said(finished) : null,
            Teaches = !row.LeftOut,
        };
        if (Read(() => DinnerForm.Read(row.Payload)) is { Dish: not null, Summary: not null } form)
        {
            var (dish, summary) = (form.Dish, form.Summary);
            line = line with
            {
                Pulse = form.PulseName,
                PulseGrams = Grams(form.Cook, "pulse"),
                Rice = form.RiceName,
                RiceGrams = Grams(form.Cook, "rice"),
                People = dish.People,
                Method = dish.Method,
                Soak = dish.Soak,
                Style = dish.Style,
                TableEarly = Said(summary.TableEarly),
                TableLate = Said(summary.TableLate),
                ChanceWithLooks = Math.Round(summary.WithLooks, 3),
            };
        }

        return judged is not null && Read(() => VerdictForm.Read(judged)) is { } verdict
            ? line with
            {
                PulsesWere = verdict.Pulses,
                RiceWas = verdict.Rice,
                SaltWas = verdict.Salt,
                SauceWas = verdict.Sauce,
                Again = verdict.Again,
                Note = verdict.Note,
            }
            : line;
    }

    /// <summary>Of all that is of this kind in its cook, dry, g; null for none.</summary>
    private static double? Grams(JsonElement cook, string kind) =>
        cook.ValueKind == JsonValueKind.Object
        && Read(() => CookDocument.Read(cook))?.Ingredients.Where(i => i.Kind == kind).ToList() is { Count: > 0 } found
            ? Math.Round(found.Sum(i => i.Grams), 1)
            : null;

    private static T? Read<T>(Func<T> stored)
        where T : class
    {
        try
        {
            return stored();
        }
        catch (JsonException)
        {
            // Its cells stay empty, and the table holds all the others.
            return null;
        }
    }
}
