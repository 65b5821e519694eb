using System.Net;
using System.Net.Http.Json;
using BrightKettle.Server.Planning;
using BrightKettle.Server.Record;
using BrightKettle.Server.Stove;
using Microsoft.EntityFrameworkCore;
using Xunit;

namespace BrightKettle.Server.Tests;

/// <summary>Several dishes of one evening: what a plan says of the others that are kept.</summary>
public sealed class BesideApiTests : IDisposable
{
    private readonly KettleServer _server = new(demo: true);
    private readonly HttpClient _http;

    public BesideApiTests() => _http = _server.CreateClient();

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    public void Dispose() => _server.Dispose();

    private static DishDto Lentils =>
        KettleServer.Dish("2026-11-25T19:10") with
        {
            PulseId = "lentil_brown",
            RiceId = null,
            Rice = null,
            Soak = "none",
            Style = "saucy",
            BurnerId = "front",
        };

    private async Task<CookDto> Keep(DishDto dish, Guid? id = null, string title = "Chickpeas first") =>
        (
            await (
                await _http.PostAsJsonAsync($"/api/cooks/{id ?? Guid.CreateVersion7()}", KettleServer.Change(dish, title: title), Cancel)
            ).Content.ReadFromJsonAsync<CookDto>(Cancel)
        )!;

    private async Task<PlanDto> Plan(DishDto dish)
    {
        var answer = await _http.PostAsJsonAsync("/api/plans", dish, Cancel);
        Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
        return (await answer.Content.ReadFromJsonAsync<PlanDto>(Cancel))!;
    }

    private static IEnumerable<string> Things(PlanDto plan) => plan.Clashes.Where(c => c.Kind != "hands").Select(c => c.Kind);

    [Fact]
    public async Task A_second_dish_is_told_what_the_first_takes_and_what_is_offered_keeps_them_apart()
    {
        Assert.Empty((await Plan(Lentils)).Beside);
        await Keep(KettleServer.Dish());
        var plan = await Plan(Lentils);
        Assert.Equal("Chickpeas first", Assert.Single(plan.Beside).Title);
        Assert.Equal(["pot", "burner"], Things(plan));
        Assert.All(plan.Clashes, c => Assert.True(c.From < c.To));
        Assert.Equal("Blue pot", plan.Clashes[0].Name);

        var offer = plan.Apart[0];
        Assert.Equal("place", offer.Kind);
        Assert.Equal("Small back burner", offer.BurnerName);
        var there = await Plan(Lentils with { VesselId = offer.VesselId!, BurnerId = offer.BurnerId });
        Assert.Empty(Things(there));
        if (there.Clashes.Count > 0)
        {
            var moved = await Plan(
                Lentils with
                {
                    VesselId = offer.VesselId!,
                    BurnerId = offer.BurnerId,
                    ServeAtLocal = there.Apart[0].ServeAtLocal!,
                }
            );
            Assert.Empty(moved.Clashes);
        }
    }

    [Fact]
    public async Task A_kept_dinner_is_not_in_its_own_way_and_one_that_is_removed_in_nobodys()
    {
        var kept = await Keep(KettleServer.Dish());
        Assert.NotEmpty((await Plan(KettleServer.Dish())).Clashes);
        Assert.Empty((await Plan(KettleServer.Dish() with { KeptAs = kept.Id })).Beside);
        // It is kept without saying what it is kept as, whoever says so, and a retry is known again.
        Assert.Null(kept.Dish.KeptAs);
        var change = KettleServer.Change(KettleServer.Dish() with { KeptAs = kept.Id, People = 5 }, kept.Version);
        foreach (var _ in new[] { 1, 2 })
        {
            var put = await _http.PutAsJsonAsync($"/api/cooks/{kept.Id}", change, Cancel);
            Assert.Equal(HttpStatusCode.OK, put.StatusCode);
            kept = (await put.Content.ReadFromJsonAsync<CookDto>(Cancel))!;
            Assert.Null(kept.Dish.KeptAs);
        }

        await _http.PostAsJsonAsync(
            $"/api/cooks/{kept.Id}/deletion",
            new CookMark(Guid.CreateVersion7(), _server.Clock.GetUtcNow(), kept.Version),
            Cancel
        );
        Assert.Empty((await Plan(KettleServer.Dish())).Beside);
    }

    [Fact]
    public async Task What_the_other_dish_takes_is_told_anew_when_it_moves_and_two_of_one_title_are_two()
    {
        var first = await Keep(KettleServer.Dish());
        var before = (await Plan(Lentils)).Clashes[0];
        var later = KettleServer.Dish() with { ServeAtLocal = "2026-11-25T19:20" };
        var put = await _http.PutAsJsonAsync(
            $"/api/cooks/{first.Id}",
            KettleServer.Change(later, first.Version, "Chickpeas first"),
            Cancel
        );
        Assert.Equal(HttpStatusCode.OK, put.StatusCode);
        Assert.NotEqual(before.To, (await Plan(Lentils)).Clashes[0].To);
        await Keep(later);
        var two = await Plan(Lentils);
        Assert.Equal(2, two.Beside.Select(n => n.Id).Distinct().Count());
        Assert.Equal(two.Beside.Select(n => n.Id).Order(), two.Clashes.Select(c => c.With).Distinct().Order());
    }

    [Fact]
    public async Task A_dinner_that_cannot_be_read_is_in_no_others_way()
    {
        var kept = await Keep(KettleServer.Dish());
        // Before anybody asks for it: what was read once is remembered.
        _server.Read(db => db.Cooks.Where(c => c.Id == kept.Id).ExecuteUpdate(c => c.SetProperty(x => x.Payload, "{\"broken\":")));
        await Keep(KettleServer.Dish(), title: "The same again");
        Assert.Equal("The same again", Assert.Single((await Plan(Lentils)).Beside).Title);
    }

    [Fact]
    public async Task A_dish_at_the_stove_counts_until_it_is_on_the_table_and_a_clash_never_keeps_one_from_the_stove()
    {
        var first = await Keep(KettleServer.Dish());
        var second = await Keep(KettleServer.Dish(), title: "The same again");
        foreach (var kept in new[] { first, second })
        {
            var start = new StoveStart(Guid.CreateVersion7(), _server.Clock.GetUtcNow(), kept.Version);
            Assert.Equal(HttpStatusCode.OK, (await _http.PostAsJsonAsync($"/api/stove/{kept.Id}/start", start, Cancel)).StatusCode);
        }

        var plan = await Plan(Lentils);
        Assert.Equal(["Chickpeas first", "The same again"], plan.Beside.Select(n => n.Title).Order());
        Assert.Contains("pot", Things(plan));
        foreach (var kept in new[] { first, second })
        {
            await _http.PostAsJsonAsync(
                $"/api/stove/{kept.Id}/finish",
                new CookMark(Guid.CreateVersion7(), _server.Clock.GetUtcNow(), kept.Version),
                Cancel
            );
        }

        Assert.Empty((await Plan(Lentils)).Beside);
    }

    [Fact]
    public async Task Ways_say_which_of_them_shares_a_pot_or_a_burner()
    {
        await Keep(KettleServer.Dish());
        var ways = (
            await (await _http.PostAsJsonAsync("/api/ways", Lentils, Cancel)).Content.ReadFromJsonAsync<IReadOnlyList<WayDto>>(Cancel)
        )!;
        Assert.Contains(ways, w => w is { Method: "open_pot", Meets: "Chickpeas first" });
        // The electric cooker has a heat of its own.
        Assert.Contains(ways, w => w is { Method: "pressure", TableAt: not null, Meets: null });
    }
}
