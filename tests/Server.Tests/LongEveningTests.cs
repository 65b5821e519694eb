using System.Net.Http.Json;
using System.Text.Json.Nodes;
using BrightKettle.Data.Events;
using BrightKettle.Data.Records;
using BrightKettle.Server.Record;
using BrightKettle.Server.Stove;
using Microsoft.Extensions.DependencyInjection;
using Xunit;

namespace BrightKettle.Server.Tests;

/// <summary>Evenings that were forgotten, and evenings in which very much was told: both stay quick, and nothing of them is lost.</summary>
public sealed class LongEveningTests : IDisposable
{
    private readonly KettleServer _server = new(demo: true);
    private readonly HttpClient _http;

    public LongEveningTests() => _http = _server.CreateClient();

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    private DateTimeOffset Now => _server.Clock.GetUtcNow();

    public void Dispose() => _server.Dispose();

    private async Task<StoveDto> Start()
    {
        var id = Guid.CreateVersion7();
        var kept = await (
            await _http.PostAsJsonAsync(
                $"/api/cooks/{id}",
                KettleServer.Change(KettleServer.Dish() with { Soak = "none", PulseId = "lentil_brown", RiceId = "long_white" }),
                Cancel
            )
        ).Content.ReadFromJsonAsync<CookDto>(Cancel);
        return (
            await (
                await _http.PostAsJsonAsync($"/api/stove/{id}/start", new StoveStart(Guid.CreateVersion7(), Now, kept!.Version), Cancel)
            ).Content.ReadFromJsonAsync<StoveDto>(Cancel)
        )!;
    }

    private async Task<StoveDto> State(Guid id) => (await _http.GetFromJsonAsync<StoveDto>($"/api/stove/{id}", Cancel))!;

    private async Task<EntryReceipt> Tell(StoveDto of, string kind, Func<StoveEntry, StoveEntry>? with = null)
    {
        var entry = new StoveEntry(Guid.CreateVersion7(), Now, of.Version, kind);
        var answer = await _http.PostAsJsonAsync($"/api/stove/{of.Id}/entries", new StoveEntries([with?.Invoke(entry) ?? entry]), Cancel);
        return (await answer.Content.ReadFromJsonAsync<StoveReceipt>(Cancel))!.Entries[0];
    }

    /// <summary>The flame is lit, everybody goes to bed. Before, the state was run up to now: 9 s and 1.9 GB on day 90.</summary>
    [Fact]
    public async Task A_forgotten_evening_is_asked_about_once_and_stands_as_it_stood()
    {
        var state = await Start();
        _server.Clock.Advance(TimeSpan.FromHours(22));
        Assert.Null((await Tell(state, "did", e => e with { MomentId = state.NowId })).Code);
        // Eight hours after the table that was wanted, or after the last thing that was told, it is set aside.
        _server.Clock.Advance(TimeSpan.FromHours(10));
        Assert.Null((await State(state.Id)).SetAsideFrom);
        _server.Clock.Advance(TimeSpan.FromHours(1));
        var aside = await State(state.Id);
        Assert.Equal(aside.WantedAt.AddHours(8), aside.SetAsideFrom);
        var bytes = new List<int>();
        foreach (var days in new[] { 1, 30, 365 })
        {
            _server.Clock.Advance(TimeSpan.FromDays(days));
            var later = await _http.GetByteArrayAsync($"/api/stove/{state.Id}", Cancel);
            bytes.Add(later.Length);
            // All but the clock is the same to the letter: nothing was computed anew.
            Assert.Equal(Without(later, "now"), Without(await _http.GetByteArrayAsync($"/api/stove/{state.Id}", Cancel), "now"));
            Assert.Contains((await _http.GetFromJsonAsync<List<StoveLine>>("/api/stove", Cancel))!, l => l.Id == state.Id && l.SetAside);
            Assert.Empty((await _http.GetFromJsonAsync<StoveAnswersDto>($"/api/stove/{state.Id}/late", Cancel))!.Answers);
        }

        Assert.Single(bytes.Distinct());
        // A year on nobody stands there; it is closed, and what was told stays.
        Assert.Equal("stove.too_old", (await Tell(state, "still_on")).Code);
        (
            await _http.PostAsJsonAsync($"/api/stove/{state.Id}/finish", new CookMark(Guid.CreateVersion7(), Now, aside.Version), Cancel)
        ).EnsureSuccessStatusCode();
        Assert.DoesNotContain((await _http.GetFromJsonAsync<List<StoveLine>>("/api/stove", Cancel))!, l => l.Id == state.Id);
        Assert.Single((await _http.GetFromJsonAsync<List<ToldDto>>($"/api/stove/{state.Id}/record", Cancel))!);
    }

    [Fact]
    public async Task Somebody_who_is_still_there_says_so_and_goes_on()
    {
        var state = await Start();
        _server.Clock.Advance(TimeSpan.FromHours(34));
        Assert.NotNull((await State(state.Id)).SetAsideFrom);
        Assert.Null((await Tell(state, "still_on")).Code);
        var on = await State(state.Id);
        Assert.Null(on.SetAsideFrom);
        _server.Clock.Advance(TimeSpan.FromHours(7));
        Assert.Null((await State(state.Id)).SetAsideFrom);
    }

    private static string Without(byte[] json, string field)
    {
        var node = (JsonObject)JsonNode.Parse(json)!;
        node.Remove(field);
        return node.ToJsonString();
    }

    /// <summary>Put into the database past the server, as an evening of hours of tapping would have: it took 15.5 s to be read and 2.3 MB
    /// to be sent.</summary>
    [Fact]
    public async Task Five_thousand_entries_are_kept_and_the_state_stays_small()
    {
        var state = await Start();
        var first = state.Told.Count;
        Assert.Null((await Tell(state, "did", e => e with { MomentId = state.NowId })).Code);
        using (var scope = _server.Services.CreateScope())
        {
            var db = scope.ServiceProvider.GetRequiredService<Data.KettleDb>();
            var cook = db.Cooks.Single(c => c.Id == state.Id);
            for (var batch = 0; batch < 10; batch++)
            {
                var events = Enumerable.Range(0, 500).Select(i => Told(state.Id, Now.AddSeconds((batch * 500) + i), i)).ToList();
                db.CookEvents.AddRange(events);
                await db.SaveChangesAsync(Cancel);
                CookProjection.Apply(cook, events.MaxBy(e => e.Sequence)!, cook.Title, cook.ServeAt);
            }

            await db.SaveChangesAsync(Cancel);
        }

        _server.Clock.Advance(TimeSpan.FromMinutes(90));
        var bytes = await _http.GetByteArrayAsync($"/api/stove/{state.Id}", Cancel);
        Assert.True(bytes.Length < 200_000, $"{bytes.Length}");
        var read = await State(state.Id);
        Assert.Equal(first + 5001, read.ToldCount);
        Assert.InRange(read.Told.Count, 20, 100);
        Assert.Equal(read.Told.OrderBy(t => t.RecordedAt).Select(t => t.Entry.EventId), read.Told.Select(t => t.Entry.EventId));
        Assert.Equal(5001, (await _http.GetFromJsonAsync<List<ToldDto>>($"/api/stove/{state.Id}/record", Cancel))!.Count);
        // One more is one more: it is read by itself and stands at the end.
        Assert.Null((await Tell(read, "checked", e => e with { What = "level" })).Code);
        Assert.Equal("checked", (await State(state.Id)).Told[^1].Entry.Kind);
    }

    private static CookEvent Told(Guid cook, DateTimeOffset at, int i)
    {
        var entry = new StoveEntry(Guid.CreateVersion7(at), at, 1, i % 2 == 0 ? "felt" : "over_bed") with
        {
            Ingredient = i % 2 == 0 ? "pulse" : null,
            State = i % 2 == 0 ? "hard" : null,
            Centimetres = i % 2 == 0 ? null : 2,
        };
        return new CookEvent
        {
            Id = entry.EventId,
            CookId = cook,
            Kind = CookProjection.Told,
            OccurredAt = at,
            RecordedAt = at,
            ModelVersion = "4",
            ParameterVersion = "1",
            Seed = 1,
            Payload = new ToldPayload(entry).Json(),
        };
    }

    [Fact]
    public async Task An_entry_s_id_that_stands_for_something_else_is_no_receipt()
    {
        var (one, two) = (await Start(), await Start());
        var entry = new StoveEntry(Guid.CreateVersion7(), Now, one.Version, "salt", Grams: 5);
        async Task<string?> Code(StoveDto of, StoveEntry what) =>
            (
                await (
                    await _http.PostAsJsonAsync($"/api/stove/{of.Id}/entries", new StoveEntries([what]), Cancel)
                ).Content.ReadFromJsonAsync<StoveReceipt>(Cancel)
            )!
                .Entries[0]
                .Code;
        Assert.Null(await Code(one, entry));
        Assert.Null(await Code(one, entry));
        Assert.Equal("stove.id_taken", await Code(one, entry with { Grams = 50 }));
        Assert.Equal("stove.id_taken", await Code(two, entry));
        var undo = new StoveEntry(Guid.CreateVersion7(), Now, one.Version, "undo", EventUndone: entry.EventId);
        Assert.Null(await Code(one, undo));
        Assert.Null(await Code(one, undo));
        Assert.Equal("stove.id_taken", await Code(one, undo with { EventUndone = Guid.NewGuid() }));
        Assert.Single((await State(one.Id)).Told);
        Assert.Empty((await State(two.Id)).Told);
    }

    /// <summary>After twenty things had gone in past the table, and the table was taken back, every entry was refused.</summary>
    [Fact]
    public async Task What_makes_no_sense_is_refused_when_it_is_told_and_not_when_it_is_too_late()
    {
        var state = await Start();
        _server.Clock.Advance(TimeSpan.FromHours(23));
        var serve = state.Moments.Single(m => m.Deeds.Any(d => d.Do == "serve"));
        Assert.Null((await Tell(state, "did", e => e with { MomentId = serve.Id })).Code);
        _server.Clock.Advance(TimeSpan.FromMinutes(5));
        Assert.Equal("stove.after_the_table", (await Tell(state, "went_in", e => e with { Ingredient = "onion", Grams = 50 })).Code);
        // Before the table it is a late record, up to as much as a pot can hold.
        for (var i = 0; i < 20; i++)
        {
            var code = (
                await Tell(state, "went_in", e => e with { Ingredient = "onion", Grams = 50, OccurredAt = Now.AddMinutes(-20) })
            ).Code;
            Assert.Equal(i < 14 ? null : "stove.impossible", code);
        }

        var table = (await State(state.Id)).Told[0].Entry.EventId;
        Assert.Null((await Tell(state, "undo", e => e with { EventUndone = table })).Code);
        Assert.Null((await Tell(state, "checked", e => e with { What = "level" })).Code);
    }
}
