using System.Net.Http.Json;
using System.Text.Json.Nodes;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Safety;
using BrightKettle.Server.Kitchen;
using BrightKettle.Server.Planning;
using BrightKettle.Server.Record;
using BrightKettle.Server.Stove;
using Xunit;

namespace BrightKettle.Server.Tests;

/// <summary>The server's description of itself: what it says of words and errors is so.</summary>
public sealed class InterfaceTests(DemoServer server) : IClassFixture<DemoServer>
{
    private readonly HttpClient _http = server.CreateClient();

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    private async Task<JsonObject> Document() => (await _http.GetFromJsonAsync<JsonObject>("/openapi/v1.json", Cancel))!;

    private static List<string?> WordsOf(JsonObject document, string schema, string property) =>
        [.. document["components"]!["schemas"]![schema]!["properties"]![property]!["enum"]!.AsArray().Select(w => (string?)w)];

    [Fact]
    public async Task Every_address_lists_the_answers_of_the_error_path()
    {
        var document = await Document();
        var operations = document["paths"]!
            .AsObject()
            .SelectMany(p => p.Value!.AsObject())
            .Where(o => o.Key is "get" or "post" or "put" or "delete")
            .ToList();
        Assert.True(operations.Count > 30);
        foreach (var status in new[] { "400", "401", "403", "404", "409", "413", "415", "422", "429", "503" })
        {
            Assert.All(operations, o =>
                Assert.Equal(
                    "#/components/schemas/Problem",
                    (string?)o.Value!["responses"]![status]!["content"]!["application/problem+json"]!["schema"]!["$ref"]
                )
            );
        }
    }

    [Fact]
    public async Task Closed_sets_are_listed_as_the_readers_know_them()
    {
        var document = await Document();
        Assert.Equal(["none", "overnight", "quick", "hours", "already"], WordsOf(document, "DishDto", "soak"));
        Assert.Equal(["open_pot", "pressure", "slow_cooker", "cooked"], WordsOf(document, "DishDto", "method"));
        Assert.Contains(null, WordsOf(document, "DishDto", "cookedFrom"));
        Assert.Equal(StorageRule.All.Select(r => r.Id), WordsOf(document, "KitchenChange", "storageRule"));
        Assert.Equal(Enum.GetValues<SaltSchool>().Length, WordsOf(document, "KitchenChange", "salt").Count);
        Assert.Equal(Enum.GetValues<Core.Stove.Trouble>().Length, WordsOf(document, "StoveTrouble", "trouble").Count);
    }

    /// <summary>Each word of the lists is taken where it is read, and a word beside them is not.</summary>
    [Theory]
    [InlineData("soak")]
    [InlineData("style")]
    [InlineData("method")]
    [InlineData("salt")]
    [InlineData("cookedFrom")]
    public async Task Each_word_of_a_dish_is_read_and_no_other(string field)
    {
        var words = WordsOf(await Document(), "DishDto", field).OfType<string>().ToList();
        foreach (var word in words.Append("a_word_beside_them"))
        {
            var dish = (JsonObject)
                System.Text.Json.JsonSerializer.SerializeToNode(
                    KettleServer.Dish() with
                    {
                        CookerId = field == "method" ? "steam-drum" : null,
                    },
                    System.Text.Json.JsonSerializerOptions.Web
                )!;
            dish[field] = word;
            dish["cookerId"] = word switch
            {
                "pressure" => "steam-drum",
                "slow_cooker" => "day-crock",
                _ => null,
            };
            var (_, code, at) = await (await _http.PostAsJsonAsync("/api/plans", dish, Cancel)).Problem();
            Assert.Equal(word == "a_word_beside_them", (code, at) == ("request.unknown_word", field));
        }
    }

    [Fact]
    public async Task Each_kind_of_entry_is_known_at_the_stove_and_no_other()
    {
        var words = WordsOf(await Document(), "StoveEntry", "kind").OfType<string>().ToList();
        using var own = new KettleServer(demo: true);
        var http = own.CreateClient();
        var id = Guid.CreateVersion7();
        var kept = await (
            await http.PostAsJsonAsync($"/api/cooks/{id}", KettleServer.Change(KettleServer.Dish()), Cancel)
        ).Content.ReadFromJsonAsync<CookDto>(Cancel);
        await http.PostAsJsonAsync(
            $"/api/stove/{id}/start",
            new StoveStart(Guid.CreateVersion7(), own.Clock.GetUtcNow(), kept!.Version),
            Cancel
        );
        var entries = words
            .Append("shouted")
            .Select(kind => new StoveEntry(Guid.CreateVersion7(), own.Clock.GetUtcNow(), kept.Version, kind, What: "level"))
            .ToList();
        var receipt = await (
            await http.PostAsJsonAsync($"/api/stove/{id}/entries", new StoveEntries(entries), Cancel)
        ).Content.ReadFromJsonAsync<StoveReceipt>(Cancel);
        // "This word is not known here" about the kind itself: what else is missing is another matter.
        var unknown = receipt!
            .Entries.Zip(entries)
            .Where(e =>
                e.First.Code == "request.unknown_word"
                && e.Second.Kind is not ("seen" or "not_yet" or "felt" or "liquor" or "flame" or "lid")
            )
            .Select(e => e.Second.Kind);
        Assert.Equal(["shouted"], unknown);
    }
}
