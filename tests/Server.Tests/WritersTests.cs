using System.Net;
using System.Net.Http.Json;
using BrightKettle.Server.Kitchen;
using BrightKettle.Server.Record;
using BrightKettle.Server.Stove;
using Xunit;

namespace BrightKettle.Server.Tests;

/// <summary>Two who write the same thing, something that is no longer there, an id that was used before: nothing is lost and nothing half
/// done.</summary>
public sealed class WritersTests : IDisposable
{
    private readonly KettleServer _server = new(demo: true);
    private readonly HttpClient _http;

    public WritersTests() => _http = _server.CreateClient();

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    public void Dispose() => _server.Dispose();

    private async Task<CookDto> Keep(Guid id, CookChange? change = null) =>
        (
            await (
                await _http.PostAsJsonAsync($"/api/cooks/{id}", change ?? KettleServer.Change(KettleServer.Dish()), Cancel)
            ).Content.ReadFromJsonAsync<CookDto>(Cancel)
        )!;

    private static CookMark Mark(long basedOn) =>
        new(Guid.CreateVersion7(), new DateTimeOffset(2026, 11, 24, 18, 5, 0, TimeSpan.Zero), basedOn);

    private int Events => _server.Read(db => db.CookEvents.Count());

    [Fact]
    public async Task All_kept_dinners_are_listed_a_page_at_a_time_the_latest_first()
    {
        var ids = new HashSet<Guid>();
        for (var i = 0; i < 12; i++)
        {
            var id = Guid.CreateVersion7();
            // Pairs of the same hour: the page ends between two of them.
            await Keep(id, KettleServer.Change(KettleServer.Dish($"2026-11-{25 + (i / 2 % 3)}T19:00")));
            ids.Add(id);
        }

        var seen = new List<CookLineDto>();
        Guid? after = null;
        do
        {
            var page = (
                await _http.GetFromJsonAsync<CookPageDto>($"/api/cooks?take=5{(after is { } a ? $"&after={a}" : string.Empty)}", Cancel)
            )!;
            Assert.Equal(17, page.Count);
            Assert.InRange(page.Dinners.Count, 1, 5);
            seen.AddRange(page.Dinners);
            after = page.Next;
        } while (after is not null);

        Assert.Equal(17, seen.Select(d => d.Id).Distinct().Count());
        Assert.Equal(17, seen.Count);
        Assert.Equal(seen.Select(d => d.ServeAt).OrderDescending(), seen.Select(d => d.ServeAt));
        Assert.Superset(ids, seen.Select(d => d.Id).ToHashSet());
        Assert.Equal((400, "request.out_of_range", "take"), await (await _http.GetAsync("/api/cooks?take=201", Cancel)).Problem());
        Assert.Equal((404, "cook.missing", null), await (await _http.GetAsync($"/api/cooks?after={Guid.NewGuid()}", Cancel)).Problem());
    }

    [Fact]
    public async Task What_is_kept_is_not_kept_anew_over_it()
    {
        var id = Guid.CreateVersion7();
        var kept = await Keep(id);
        var events = Events;
        Assert.Equal(
            (409, "cook.exists", null),
            await (
                await _http.PostAsJsonAsync($"/api/cooks/{id}", KettleServer.Change(KettleServer.Dish(), kept.Version, "Other"), Cancel)
            ).Problem()
        );
        await _http.PostAsJsonAsync(
            $"/api/stove/{id}/start",
            new StoveStart(Guid.CreateVersion7(), _server.Clock.GetUtcNow(), kept.Version),
            Cancel
        );
        Assert.Equal(
            (409, "cook.under_way", null),
            await (
                await _http.PostAsJsonAsync($"/api/cooks/{id}", KettleServer.Change(KettleServer.Dish(), kept.Version + 1, "Other"), Cancel)
            ).Problem()
        );
        Assert.Equal("Test dinner", (await _http.GetFromJsonAsync<CookDto>($"/api/cooks/{id}", Cancel))!.Title);
        Assert.Equal(events + 1, Events);
    }

    [Fact]
    public async Task What_was_deleted_is_not_changed_back_to_life()
    {
        var id = Guid.CreateVersion7();
        var kept = await Keep(id);
        var gone = (
            await (await _http.PostAsJsonAsync($"/api/cooks/{id}/deletion", Mark(kept.Version), Cancel)).Content.ReadFromJsonAsync<CookDto>(
                Cancel
            )
        )!;
        Assert.Equal(
            (409, "cook.deleted", null),
            await (await _http.PutAsJsonAsync($"/api/cooks/{id}", KettleServer.Change(KettleServer.Dish(), gone.Version), Cancel)).Problem()
        );
        Assert.Equal(HttpStatusCode.NotFound, (await _http.GetAsync($"/api/cooks/{id}", Cancel)).StatusCode);
    }

    [Fact]
    public async Task An_id_that_was_used_for_something_else_is_a_conflict_and_a_retry_is_not()
    {
        var id = Guid.CreateVersion7();
        var change = KettleServer.Change(KettleServer.Dish());
        await Keep(id, change);
        Assert.Equal(HttpStatusCode.OK, (await _http.PostAsJsonAsync($"/api/cooks/{id}", change, Cancel)).StatusCode);
        Assert.Equal(
            (409, "request.id_taken", null),
            await (await _http.PostAsJsonAsync($"/api/cooks/{id}", change with { Title = "Another" }, Cancel)).Problem()
        );
        Assert.Equal(
            (409, "request.id_taken", null),
            await (
                await _http.PostAsJsonAsync($"/api/cooks/{id}", change with { Dish = change.Dish with { People = 9 } }, Cancel)
            ).Problem()
        );
        Assert.Equal(
            (409, "request.id_taken", null),
            await (await _http.PostAsJsonAsync($"/api/cooks/{Guid.CreateVersion7()}", change, Cancel)).Problem()
        );
    }

    /// <summary>17 of 30 pairs of writers got a 500 before.</summary>
    [Fact]
    public async Task Of_two_who_write_at_once_one_is_told_and_nobody_gets_a_fault()
    {
        var kitchen = (await _http.GetFromJsonAsync<KitchenDto>("/api/kitchen", Cancel))!;
        var statuses = new List<HttpStatusCode>();
        for (var round = 0; round < 12; round++)
        {
            var burner = (await _http.GetFromJsonAsync<KitchenDto>("/api/kitchen", Cancel))!.Burners[0];
            var answers = await Task.WhenAll(
                Enumerable
                    .Range(0, 4)
                    .Select(i =>
                        _http.PutAsJsonAsync(
                            $"/api/kitchen/burners/{burner.Id}",
                            new BurnerChange(burner.Name, burner.MostWatts, i % 2 == 0, burner.Version),
                            Cancel
                        )
                    )
            );
            Assert.Single(answers, a => a.StatusCode == HttpStatusCode.OK);
            statuses.AddRange(answers.Select(a => a.StatusCode));
        }

        Assert.All(statuses, s => Assert.True(s is HttpStatusCode.OK or HttpStatusCode.Conflict, $"{s}"));
        Assert.Equal(36, statuses.Count(s => s == HttpStatusCode.Conflict));
        var vessel = kitchen.Vessels[0];
        var renamed = new VesselChange("Mine", vessel.DiameterCentimetres, vessel.BrimMillilitres, null, vessel.Version);
        Assert.Equal(HttpStatusCode.OK, (await _http.PutAsJsonAsync($"/api/kitchen/vessels/{vessel.Id}", renamed, Cancel)).StatusCode);
        Assert.Equal(
            (409, "kitchen.stale", null),
            await (await _http.PutAsJsonAsync($"/api/kitchen/vessels/{vessel.Id}", renamed with { Name = "Yours" }, Cancel)).Problem()
        );
        Assert.Equal(
            (409, "kitchen.stale", null),
            await (await _http.DeleteAsync($"/api/kitchen/vessels/{vessel.Id}?version={vessel.Version}", Cancel)).Problem()
        );
        var bag = kitchen.Bags[0];
        var less = new BagChange(bag.FoodId, bag.Name, 100, Version: bag.Version);
        Assert.Equal(HttpStatusCode.OK, (await _http.PutAsJsonAsync($"/api/kitchen/bags/{bag.Id}", less, Cancel)).StatusCode);
        Assert.Equal(
            (409, "kitchen.stale", null),
            await (await _http.PutAsJsonAsync($"/api/kitchen/bags/{bag.Id}", less with { Grams = 200 }, Cancel)).Problem()
        );
        Assert.Equal(
            (409, "kitchen.stale", null),
            await (await _http.DeleteAsync($"/api/kitchen/bags/{bag.Id}?version={bag.Version}", Cancel)).Problem()
        );
    }

    [Fact]
    public async Task A_pot_that_dinners_use_asks_before_it_goes_and_stays_with_them()
    {
        var id = Guid.CreateVersion7();
        await Keep(id, KettleServer.Change(KettleServer.Dish() with { VesselId = "wide-pot" }, title: "Uses the wide pot"));
        var pot = (await _http.GetFromJsonAsync<KitchenDto>("/api/kitchen", Cancel))!.Vessels.Single(v => v.Id == "wide-pot");
        var asked = await _http.DeleteAsync($"/api/kitchen/vessels/wide-pot?version={pot.Version}", Cancel);
        Assert.Equal((409, "kitchen.vessel_in_use", null), await asked.Problem());
        Assert.Contains(
            "Uses the wide pot",
            (await asked.Json()).GetProperty("current").GetProperty("dinners").EnumerateArray().Select(d => d.GetString())
        );
        var without = (
            await (
                await _http.DeleteAsync($"/api/kitchen/vessels/wide-pot?version={pot.Version}&keep=true", Cancel)
            ).Content.ReadFromJsonAsync<KitchenDto>(Cancel)
        )!;
        Assert.DoesNotContain(without.Vessels, v => v.Id == "wide-pot");
        Assert.Contains(without.RemovedVessels, v => v.Id == "wide-pot");
        // The dinner plans, starts and answers as before.
        var kept = (await _http.GetFromJsonAsync<CookDto>($"/api/cooks/{id}", Cancel))!;
        Assert.Equal(HttpStatusCode.OK, (await _http.PostAsJsonAsync("/api/plans", kept.Dish, Cancel)).StatusCode);
        Assert.Equal(
            HttpStatusCode.OK,
            (
                await _http.PostAsJsonAsync(
                    $"/api/stove/{id}/start",
                    new StoveStart(Guid.CreateVersion7(), _server.Clock.GetUtcNow(), kept.Version),
                    Cancel
                )
            ).StatusCode
        );
        // One that nobody uses goes for good.
        var pan = without.Vessels.Single(v => v.Id == "milk-pan");
        Assert.DoesNotContain(
            (
                await (
                    await _http.DeleteAsync($"/api/kitchen/vessels/milk-pan?version={pan.Version}", Cancel)
                ).Content.ReadFromJsonAsync<KitchenDto>(Cancel)
            )!.Vessels,
            v => v.Id == "milk-pan"
        );
    }
}
