using System.Globalization;
using System.Net.Http.Json;
using BrightKettle.Server.Record;
using BrightKettle.Server.Stove;
using CsvHelper;
using CsvHelper.Configuration;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.DependencyInjection;
using Xunit;

namespace BrightKettle.Server.Tests;

/// <summary>All dinners as a table for a spreadsheet.</summary>
public sealed class CookTableTests : IDisposable
{
    private readonly KettleServer _server = new(demo: true);

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    public void Dispose() => _server.Dispose();

    private static async Task<(string Text, List<IDictionary<string, object>> Rows)> Table(HttpClient http)
    {
        var answer = await http.GetAsync("/api/cooks.csv", Cancel);
        Assert.Equal("text/csv", answer.EnsureSuccessStatusCode().Content.Headers.ContentType!.MediaType);
        var text = await answer.Content.ReadAsStringAsync(Cancel);
        using var csv = new CsvReader(new StringReader(text.TrimStart('\uFEFF')), new CsvConfiguration(CultureInfo.InvariantCulture));
        return (text, [.. csv.GetRecords<dynamic>().Cast<IDictionary<string, object>>()]);
    }

    /// <summary>Each dinner that is listed is a line with its grams and hours, and comes back from a reader as it went in, whatever its title
    /// and note hold.</summary>
    [Fact]
    public async Task Every_dinner_is_a_line_that_any_reader_of_RFC_4180_takes_back()
    {
        using var http = _server.CreateClient();
        var title = "=Bean \"soup\", thick; with rice";
        var id = await Kept(http, title);
        var (text, rows) = await Table(http);
        var all = await http.GetFromJsonAsync<CookPageDto>("/api/cooks?take=200", Cancel);
        Assert.Equal(all!.Count, rows.Count);
        Assert.StartsWith("\uFEFFid,title,pulse,pulse_grams,rice,rice_grams,", text);
        Assert.Equal(rows.Count + 1, text.Split("\r\n", StringSplitOptions.RemoveEmptyEntries).Length);
        foreach (var (dinner, row) in all.Dinners.Select(d => (d, rows.Single(r => (string)r["id"] == d.Id.ToString()))))
        {
            Assert.Equal(dinner.PulseName, row["pulse"]);
            Assert.Equal(dinner.RiceName ?? string.Empty, row["rice"]);
            Assert.True(double.Parse((string)row["pulse_grams"], CultureInfo.InvariantCulture) > 0);
            Assert.Equal(dinner.ServeAt, DateTimeOffset.Parse((string)row["table_wanted"], CultureInfo.InvariantCulture));
        }

        // A spreadsheet would run what begins with an equals sign.
        Assert.Equal($"'{title}", rows.Single(r => (string)r["id"] == id.ToString())["title"]);
    }

    [Fact]
    public async Task A_verdict_is_in_its_line_and_a_dinner_that_cannot_be_read_hides_no_other()
    {
        using var http = _server.CreateClient();
        var (judged, broken) = (await Kept(http, "Judged"), await Kept(http, "Broken"));
        var evening = await http.PostAsJsonAsync(
            $"/api/stove/{judged}/start",
            new StoveStart(Guid.CreateVersion7(), _server.Clock.GetUtcNow(), await Version(http, judged)),
            Cancel
        );
        Assert.True(evening.IsSuccessStatusCode, await evening.Content.ReadAsStringAsync(Cancel));
        var log = await http.GetFromJsonAsync<DinnerLogDto>($"/api/cooks/{judged}/log", Cancel);
        var said = new VerdictDto("right", "over", "under", "right", true, "Two lines,\nand \"quotes\"");
        var answer = await http.PutAsJsonAsync(
            $"/api/cooks/{judged}/verdict",
            new VerdictChange(Guid.CreateVersion7(), _server.Clock.GetUtcNow(), log!.Version, said),
            Cancel
        );
        Assert.True(answer.IsSuccessStatusCode, await answer.Content.ReadAsStringAsync(Cancel));
        using (var scope = _server.Services.CreateScope())
        {
            var db = scope.ServiceProvider.GetRequiredService<Data.KettleDb>();
            await db.Cooks.Where(c => c.Id == broken).ExecuteUpdateAsync(c => c.SetProperty(r => r.Payload, "{\"version\":1}"), Cancel);
        }

        var (_, rows) = await Table(http);
        var line = rows.Single(r => (string)r["title"] == "Judged");
        Assert.Equal(
            ("right", "over", "under", "right", "true", "Two lines,\nand \"quotes\""),
            (line["pulses_were"], line["rice_was"], line["salt_was"], line["sauce_was"], line["again"], line["note"])
        );
        Assert.NotEqual(string.Empty, line["started"]);
        var odd = rows.Single(r => (string)r["title"] == "Broken");
        Assert.Equal((string.Empty, "true"), (odd["pulse"], odd["teaches"]));
        Assert.NotEqual(string.Empty, odd["table_wanted"]);
    }

    private static async Task<long> Version(HttpClient http, Guid id) =>
        (await http.GetFromJsonAsync<CookDto>($"/api/cooks/{id}", Cancel))!.Version;

    private async Task<Guid> Kept(HttpClient http, string title)
    {
        var id = Guid.CreateVersion7();
        var kept = await http.PostAsJsonAsync(
            $"/api/cooks/{id}",
            new CookChange(Guid.CreateVersion7(), _server.Clock.GetUtcNow(), title, KettleServer.Dish(), null),
            Cancel
        );
        Assert.True(kept.IsSuccessStatusCode, await kept.Content.ReadAsStringAsync(Cancel));
        return id;
    }
}
