using System.Net;
using System.Net.Http.Json;
using BrightKettle.Server.Exchange;
using BrightKettle.Server.Record;
using Xunit;

namespace BrightKettle.Server.Tests;

public sealed class CookApiTests : IDisposable
{
    private readonly KettleServer _server = new(demo: true);
    private readonly HttpClient _http;

    public CookApiTests() => _http = _server.CreateClient();

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    public void Dispose() => _server.Dispose();

    private async Task<CookDto> Save(Guid id, CookChange? change = null) =>
        (
            await (
                await _http.PostAsJsonAsync($"/api/cooks/{id}", change ?? KettleServer.Change(KettleServer.Dish()), Cancel)
            ).Content.ReadFromJsonAsync<CookDto>(Cancel)
        )!;

    private Task<HttpResponseMessage> Put(Guid id, CookChange change) => _http.PutAsJsonAsync($"/api/cooks/{id}", change, Cancel);

    private static CookMark Mark(long basedOn) =>
        new(Guid.CreateVersion7(), new DateTimeOffset(2026, 11, 24, 18, 5, 0, TimeSpan.Zero), basedOn);

    private int Events(Guid id) => _server.Read(db => db.CookEvents.Count(e => e.CookId == id));

    [Fact]
    public async Task The_demo_household_has_five_dinners_of_its_own()
    {
        var list = (await _http.GetFromJsonAsync<CookPageDto>("/api/cooks", Cancel))!.Dinners;
        Assert.Equal(5, list!.Count);
        Assert.Equal(list.OrderByDescending(c => c.ServeAt), list);
    }

    [Fact]
    public async Task A_dinner_is_kept_read_listed_and_exported()
    {
        var id = Guid.CreateVersion7();
        var saved = await Save(id);
        var read = await _http.GetFromJsonAsync<CookDto>($"/api/cooks/{id}", Cancel);
        Assert.Equal(saved.Dish, read!.Dish);
        Assert.False(read.ModelMoved);
        Assert.Contains((await _http.GetFromJsonAsync<CookPageDto>("/api/cooks", Cancel))!.Dinners, c =>
            c.Id == id && c.Title == "Test dinner"
        );
        var cook = await _http.GetFromJsonAsync<CookDocument>($"/api/cooks/{id}/cook.json", Cancel);
        Assert.Equal("chickpea", cook!.Ingredients[0].CatalogueId);
    }

    private async Task<string[]> Found(string words) =>
        [
            .. (await _http.GetFromJsonAsync<CookPageDto>($"/api/cooks?find={Uri.EscapeDataString(words)}", Cancel))!.Dinners.Select(d =>
                d.Title
            ),
        ];

    [Fact]
    public async Task Dinners_are_found_by_words_of_their_title_and_by_any_name_of_their_pulse()
    {
        await Save(Guid.CreateVersion7(), KettleServer.Change(KettleServer.Dish(), title: "100 % Lantern"));
        Assert.Equal(["100 % Lantern"], await Found("lantern"));
        Assert.Equal(["100 % Lantern"], await Found("100 %"));
        // A sign of the database's own is a letter like any other.
        Assert.Empty(await Found("1_0"));
        Assert.Equal(2, (await Found("garbanzo")).Length);
        Assert.Contains("Lamplight chickpeas", await Found("chickp"));
        Assert.Equal(6, (await Found(" ")).Length);
        Assert.Empty(await Found("nobody's dinner"));
        var long_ = await _http.GetAsync($"/api/cooks?find={new string('x', 200)}", Cancel);
        Assert.Equal(HttpStatusCode.BadRequest, long_.StatusCode);
    }

    [Fact]
    public async Task A_dinner_is_renamed_before_and_after_it_was_started_and_an_older_title_is_a_conflict()
    {
        var id = Guid.CreateVersion7();
        var saved = await Save(id);
        Task<HttpResponseMessage> Rename(string title, long basedOn, Guid? eventId = null) =>
            _http.PutAsJsonAsync(
                $"/api/cooks/{id}/title",
                new CookTitle(eventId ?? Guid.CreateVersion7(), Mark(0).OccurredAt, basedOn, title),
                Cancel
            );
        var named = (await (await Rename("  Lantern night ", saved.Version)).Content.ReadFromJsonAsync<CookDto>(Cancel))!;
        Assert.Equal("Lantern night", named.Title);
        Assert.Equal(saved.Dish, named.Dish);
        Assert.Equal(HttpStatusCode.Conflict, (await Rename("Too late", saved.Version)).StatusCode);
        Assert.Equal(HttpStatusCode.BadRequest, (await Rename(" ", named.Version)).StatusCode);
        Assert.Equal(
            HttpStatusCode.NotFound,
            (
                await _http.PutAsJsonAsync(
                    $"/api/cooks/{Guid.CreateVersion7()}/title",
                    new CookTitle(Guid.CreateVersion7(), Mark(0).OccurredAt, 1, "Nobody's"),
                    Cancel
                )
            ).StatusCode
        );

        (await _http.PostAsJsonAsync($"/api/stove/{id}/start", Mark(named.Version), Cancel)).EnsureSuccessStatusCode();
        var started = (await _http.GetFromJsonAsync<CookDto>($"/api/cooks/{id}", Cancel))!;
        var again = Guid.CreateVersion7();
        (await Rename("Second lantern", started.Version, again)).EnsureSuccessStatusCode();
        // Sent again, it changes nothing.
        (await Rename("Second lantern", started.Version, again)).EnsureSuccessStatusCode();
        Assert.Equal(4, Events(id));
        Assert.Equal("Second lantern", (await _http.GetFromJsonAsync<CookDto>($"/api/cooks/{id}", Cancel))!.Title);
        (await _http.GetAsync($"/api/stove/{id}", Cancel)).EnsureSuccessStatusCode();
    }

    [Fact]
    public async Task A_dinner_reopens_after_the_server_was_started_anew()
    {
        var id = Guid.CreateVersion7();
        await Save(id);
        _server.LeavesData = true;
        _server.Dispose();
        using var again = new KettleServer(demo: true, data: _server.Data);
        again.Clock.Advance(TimeSpan.FromDays(1));
        Assert.Equal("Test dinner", (await again.CreateClient().GetFromJsonAsync<CookDto>($"/api/cooks/{id}", Cancel))!.Title);
    }

    [Fact]
    public async Task A_retry_with_the_same_id_changes_nothing_even_when_its_hour_has_passed()
    {
        var id = Guid.CreateVersion7();
        var change = KettleServer.Change(KettleServer.Dish());
        var first = await Save(id, change);
        _server.Clock.Advance(TimeSpan.FromDays(3));
        var second = await Save(id, change);
        Assert.Equal(first.Version, second.Version);
        Assert.Equal(1, Events(id));
    }

    [Fact]
    public async Task A_change_that_knew_an_older_state_is_a_conflict_and_changes_nothing()
    {
        var id = Guid.CreateVersion7();
        var saved = await Save(id);
        var changed = await Put(id, KettleServer.Change(KettleServer.Dish() with { People = 6 }, saved.Version, "Mine"));
        Assert.Equal(HttpStatusCode.OK, changed.StatusCode);
        var late = await Put(id, KettleServer.Change(KettleServer.Dish() with { People = 2 }, saved.Version, "Theirs"));
        Assert.Equal((409, "cook.conflict", null), await late.Problem());
        Assert.Equal("Mine", (await late.Json()).GetProperty("current").GetProperty("title").GetString());
        Assert.Equal("Mine", (await _http.GetFromJsonAsync<CookDto>($"/api/cooks/{id}", Cancel))!.Title);
    }

    [Fact]
    public async Task A_deletion_can_be_taken_back_and_every_step_stays_on_record()
    {
        var id = Guid.CreateVersion7();
        var saved = await Save(id);
        var gone = await (
            await _http.PostAsJsonAsync($"/api/cooks/{id}/deletion", Mark(saved.Version), Cancel)
        ).Content.ReadFromJsonAsync<CookDto>(Cancel);
        Assert.Equal(HttpStatusCode.NotFound, (await _http.GetAsync($"/api/cooks/{id}", Cancel)).StatusCode);
        var back = await _http.PostAsJsonAsync($"/api/cooks/{id}/restoration", Mark(gone!.Version), Cancel);
        Assert.Equal(HttpStatusCode.OK, back.StatusCode);
        Assert.Equal("Test dinner", (await _http.GetFromJsonAsync<CookDto>($"/api/cooks/{id}", Cancel))!.Title);
        var events = _server.Read(db => db.CookEvents.Where(e => e.CookId == id).OrderBy(e => e.Sequence).ToList());
        Assert.Equal(["saved", "deleted", "restored"], events.Select(e => e.Kind));
        Assert.Equal(events[1].Id, events[2].Supersedes);
        Assert.All(events, e =>
        {
            Assert.Equal(Core.Cooking.Simulator.ModelVersion, e.ModelVersion);
            Assert.Equal(Core.Catalogue.PulseCatalogue.ParameterVersion, e.ParameterVersion);
            Assert.Equal(7, e.Seed);
            Assert.Equal(_server.Clock.GetUtcNow(), e.RecordedAt);
        });
        // What the client said of its time is kept beside the server's.
        Assert.Equal(new DateTimeOffset(2026, 11, 24, 18, 5, 0, TimeSpan.Zero), events[1].OccurredAt);
    }

    [Fact]
    public async Task Nothing_is_half_saved()
    {
        var id = Guid.CreateVersion7();
        var impossible = KettleServer.Change(KettleServer.Dish("2026-11-24T18:20") with { Soak = "none" });
        Assert.Equal(422, (await (await _http.PostAsJsonAsync($"/api/cooks/{id}", impossible, Cancel)).Problem()).Status);
        var nameless = KettleServer.Change(KettleServer.Dish(), title: " ");
        Assert.Equal(
            (400, "request.missing", "title"),
            await (await _http.PostAsJsonAsync($"/api/cooks/{id}", nameless, Cancel)).Problem()
        );
        Assert.Equal(0, Events(id));
        Assert.Equal(HttpStatusCode.NotFound, (await _http.GetAsync($"/api/cooks/{id}", Cancel)).StatusCode);
    }

    [Fact]
    public async Task What_is_not_there_cannot_be_changed_or_deleted()
    {
        var id = Guid.CreateVersion7();
        Assert.Equal(404, (await (await Put(id, KettleServer.Change(KettleServer.Dish(), 1))).Problem()).Status);
        Assert.Equal(404, (await (await _http.PostAsJsonAsync($"/api/cooks/{id}/deletion", Mark(1), Cancel)).Problem()).Status);
    }
}
