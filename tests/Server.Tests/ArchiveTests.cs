using System.Net;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using BrightKettle.Data.Archive;
using BrightKettle.Server.Hosting;
using BrightKettle.Server.Record;
using NJsonSchema;
using Xunit;

namespace BrightKettle.Server.Tests;

/// <summary>All that a household has as one open file: out of one kettle, into another, and nothing by halves.</summary>
public sealed class ArchiveTests : IDisposable
{
    private readonly KettleServer _from = new(demo: true);
    private readonly KettleServer _to = new(demo: false);

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    public void Dispose()
    {
        _from.Dispose();
        _to.Dispose();
    }

    private static async Task<byte[]> Out(KettleServer server)
    {
        using var http = server.CreateClient();
        return await http.GetByteArrayAsync("/api/archive", Cancel);
    }

    private static async Task<HttpResponseMessage> In(KettleServer server, byte[] file)
    {
        using var http = server.CreateClient();
        using var body = new ByteArrayContent(file);
        body.Headers.ContentType = new("application/json");
        return await http.PostAsync("/api/archive", body, Cancel);
    }

    /// <summary>Its tables, without the counters that go on from what was there.</summary>
    private static string Tables(byte[] file)
    {
        var tables = JsonNode.Parse(file)!["tables"]!;
        tables["household"]!["version"] = 0;
        tables["household"]!["learnedVersion"] = 0;
        return tables.ToJsonString();
    }

    private static async Task Refused(HttpResponseMessage answer, string code)
    {
        Assert.Equal(HttpStatusCode.BadRequest, answer.StatusCode);
        var problem = await answer.Content.ReadFromJsonAsync<JsonElement>(Cancel);
        Assert.Equal(code, problem.GetProperty("code").GetString());
        Assert.DoesNotContain(code, problem.GetProperty("detail").GetString());
    }

    /// <summary>The same file with other tables and a digest that is theirs: what an honest hand could have made.</summary>
    private static byte[] Made(byte[] file, Action<JsonNode> change)
    {
        var whole = JsonNode.Parse(file)!;
        change(whole["tables"]!);
        var tables = JsonSerializer.SerializeToUtf8Bytes(whole["tables"]!.Deserialize<JsonElement>());
        whole["digest"] = Convert.ToHexStringLower(System.Security.Cryptography.SHA256.HashData(tables));
        return Encoding.UTF8.GetBytes(whole.ToJsonString());
    }

    [Fact]
    public async Task A_household_goes_out_and_comes_into_another_kettle_unchanged()
    {
        var file = await Out(_from);
        var schema = await JsonSchema.FromJsonAsync(
            await _from.CreateClient().GetStringAsync("/api/schemas/household-1.json", Cancel),
            Cancel
        );
        Assert.Empty(schema.Validate(Encoding.UTF8.GetString(file)));
        Assert.Equal(HttpStatusCode.NoContent, (await In(_to, file)).StatusCode);
        Assert.Equal(Tables(file), Tables(await Out(_to)));
        // And every view says the same.
        using var from = _from.CreateClient();
        using var to = _to.CreateClient();
        foreach (var view in new[] { "/api/cooks", "/api/stove" })
        {
            Assert.Equal(await from.GetStringAsync(view, Cancel), await to.GetStringAsync(view, Cancel));
        }

        async Task<string> Kitchen(HttpClient http)
        {
            var kitchen = (await http.GetFromJsonAsync<JsonObject>("/api/kitchen", Cancel))!;
            Assert.True(kitchen.Remove("version"));
            return kitchen.ToJsonString();
        }

        Assert.Equal(await Kitchen(from), await Kitchen(to));
        // It goes on from there: what is in the one may be changed in the other.
        var dinner = (await to.GetFromJsonAsync<CookPageDto>("/api/cooks", Cancel))!.Dinners[0];
        Assert.True((await to.GetAsync($"/api/cooks/{dinner.Id}", Cancel)).IsSuccessStatusCode);
        // Nobody is paired by a file.
        Assert.DoesNotContain("token", Encoding.UTF8.GetString(file), StringComparison.OrdinalIgnoreCase);
    }

    [Fact]
    public async Task What_was_there_is_kept_as_the_copy_of_today_and_comes_back_from_it()
    {
        var before = Tables(await Out(_to));
        Assert.Equal(HttpStatusCode.NoContent, (await In(_to, await Out(_from))).StatusCode);
        Assert.NotEqual(before, Tables(await Out(_to)));
        using var http = _to.CreateClient();
        var day = Assert.Single((await http.GetFromJsonAsync<CopiesDto>("/api/copies", Cancel))!.Days);
        Assert.Equal(HttpStatusCode.NoContent, (await http.PostAsync($"/api/copies/{day}/restore", null, Cancel)).StatusCode);
        Assert.Equal(before, Tables(await Out(_to)));
        Assert.Equal(HttpStatusCode.NotFound, (await http.PostAsync("/api/copies/2001-02-03/restore", null, Cancel)).StatusCode);
        Assert.Equal(HttpStatusCode.BadRequest, (await http.PostAsync("/api/copies/yesterday/restore", null, Cancel)).StatusCode);
    }

    [Fact]
    public async Task A_file_that_is_none_or_newer_or_does_not_fit_is_refused_and_changes_nothing()
    {
        var file = await Out(_from);
        var before = await Out(_to);
        var text = Encoding.UTF8.GetString(file);
        byte[] With(string from, string to) => Encoding.UTF8.GetBytes(text.Replace(from, to, StringComparison.Ordinal));
        await Refused(await In(_to, []), "archive.foreign");
        await Refused(await In(_to, "{}"u8.ToArray()), "archive.foreign");
        await Refused(await In(_to, file[..(file.Length / 2)]), "archive.foreign");
        await Refused(await In(_to, Encoding.UTF8.GetBytes(new string('[', 1_000_000))), "archive.foreign");
        await Refused(await In(_to, With("\"version\":1,\"written\"", "\"version\":2,\"written\"")), "archive.newer");
        await Refused(await In(_to, With("Europe", "Eurqpe")), "archive.altered");
        // Whole by its digest, and yet no kitchen that can be read.
        await Refused(await In(_to, Made(file, t => t["household"]!["zone"] = "Nowhere/At_all")), "archive.unreadable");
        await Refused(await In(_to, Made(file, t => t["vessels"]!.AsArray().Add(t["vessels"]![0]!.DeepClone()))), "archive.unreadable");
        await Refused(await In(_to, Made(file, t => t["household"]!["id"] = 2)), "archive.unreadable");
        await Refused(await In(_to, Made(file, t => t["household"]!["mood"] = "fine")), "archive.foreign");
        await Refused(await In(_to, Made(file, t => t["household"]!["name"] = null)), "archive.foreign");
        Assert.Equal(Tables(before), Tables(await Out(_to)));
        using var http = _to.CreateClient();
        Assert.True((await http.GetAsync("/api/kitchen", Cancel)).IsSuccessStatusCode);
    }

    /// <summary>Two thousand files with a byte changed, lost, doubled or the end cut off: each is refused by its reason, or says what it
    /// said before.</summary>
    [Fact]
    public async Task No_altered_file_is_taken_for_whole()
    {
        var file = await Out(_from);
        var whole = Tables(file);
        var random = new Random(7);
        var refused = new Dictionary<ArchiveFault, int>();
        for (var i = 0; i < 2000; i++)
        {
            var at = random.Next(file.Length);
            var mutant = (i % 5) switch
            {
                0 => [.. file[..at], (byte)random.Next(256), .. file[(at + 1)..]],
                1 => [.. file[..at], .. file[(at + 1)..]],
                2 => [.. file[..at], file[at], .. file[at..]],
                3 => file[..at],
                _ => (byte[])[.. file[..at], .. file[Math.Min(file.Length, at + random.Next(1, 400))..]],
            };
            try
            {
                var read = ArchiveFile.Write(ArchiveFile.Read(mutant), default);
                Assert.Equal(whole, Tables(read));
            }
            catch (ArchiveFaultException fault)
            {
                refused[fault.Fault] = refused.GetValueOrDefault(fault.Fault) + 1;
            }
        }

        Assert.True(refused.Values.Sum() > 1900, string.Join(", ", refused));
        Assert.True(refused.Count >= 2, string.Join(", ", refused));
    }
}
