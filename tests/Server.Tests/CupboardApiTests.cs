using System.Net;
using System.Net.Http.Json;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Practice;
using BrightKettle.Data;
using BrightKettle.Server.Hosting;
using BrightKettle.Server.Kitchen;
using BrightKettle.Server.Planning;
using BrightKettle.Server.Record;
using BrightKettle.Server.Stove;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.DependencyInjection;
using Xunit;

namespace BrightKettle.Server.Tests;

/// <summary>Bags of the cupboard: bought, cooked from, and known better by each dinner.</summary>
public sealed class CupboardApiTests : IDisposable
{
    private readonly KettleServer _server = new(demo: true);
    private readonly HttpClient _http;

    public CupboardApiTests() => _http = _server.CreateClient();

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    public void Dispose() => _server.Dispose();

    private async Task<KitchenDto> Kitchen() => (await _http.GetFromJsonAsync<KitchenDto>("/api/kitchen", Cancel))!;

    private async Task<BagDto> Bag(string id) => (await Kitchen()).Bags.Single(b => b.Id == id);

    private static async Task<T> Sent<T>(HttpResponseMessage answer)
    {
        Assert.True(answer.StatusCode == HttpStatusCode.OK, await answer.Content.ReadAsStringAsync(Cancel));
        return (await answer.Content.ReadFromJsonAsync<T>(Cancel))!;
    }

    private async Task<PlanDto> Plan(DishDto dish) => await Sent<PlanDto>(await _http.PostAsJsonAsync("/api/plans", dish, Cancel));

    private static DishDto Chickpeas(int day) =>
        KettleServer.Dish($"2026-11-{day:00}T19:00") with
        {
            BagId = "bag-chickpea",
            Pulse = new(60, "g"),
        };

    /// <summary>Kept, cooked along in a pot of this pace, and closed.</summary>
    private async Task<Guid> Cook(DishDto dish, double pace, int seed)
    {
        var id = Guid.CreateVersion7();
        var kept = await Sent<CookDto>(await _http.PostAsJsonAsync($"/api/cooks/{id}", KettleServer.Change(dish), Cancel));
        var start = new StoveStart(Guid.CreateVersion7(), _server.Clock.GetUtcNow(), kept.Version);
        var state = await Sent<StoveDto>(await _http.PostAsJsonAsync($"/api/stove/{id}/start", start, Cancel));
        using var scope = _server.Services.CreateScope();
        var stored = await scope
            .ServiceProvider.GetRequiredService<EveningStore>()
            .ReadAsync(scope.ServiceProvider.GetRequiredService<KettleDb>(), id, Cancel);
        var traits = HiddenPot.Traits(stored!.Planned, pace, new Hand(seed, 0));
        var told = new HiddenPot(_server.Services.GetRequiredService<Simulator>()).Told(stored.Planned, traits, seed)!;
        foreach (var entry in told)
        {
            _server.Clock.SetUtcNow(entry.At.ToDateTimeOffset());
            var entries = new StoveEntries([EntryWriter.Write(entry, Guid.CreateVersion7(), state.Version, "phone")]);
            var receipt = await Sent<StoveReceipt>(await _http.PostAsJsonAsync($"/api/stove/{id}/entries", entries, Cancel));
            Assert.All(receipt.Entries, e => Assert.True(e.Code is null, $"{e.Code}: {e.Text}"));
        }

        var version = (await _http.GetFromJsonAsync<StoveDto>($"/api/stove/{id}", Cancel))!.Version;
        var end = new CookMark(Guid.CreateVersion7(), _server.Clock.GetUtcNow(), version);
        await Sent<StoveReceipt>(await _http.PostAsJsonAsync($"/api/stove/{id}/finish", end, Cancel));
        return id;
    }

    [Fact]
    public async Task A_slow_bag_that_was_cooked_from_twice_is_planned_right_the_third_time_with_half_the_slack()
    {
        const double slow = 0.75;
        var unknown = await Plan(Chickpeas(25));
        Assert.Equal((1, 0), (unknown.Bag!.Pace.Time, unknown.Bag.Pace.Dinners));
        var first = await Cook(Chickpeas(25), slow, 1);
        var bag = await Bag("bag-chickpea");
        Assert.Equal((280, 1), (bag.Grams, bag.Pace!.Dinners));
        Assert.Equal("2026-11-25", bag.OpenedOn);
        await Cook(Chickpeas(26), slow, 2);
        var known = await Plan(Chickpeas(27));
        Assert.Equal(2, known.Bag!.Pace.Dinners);
        Assert.InRange(known.Bag.Pace.Time, 0.92 / slow, 1.08 / slow);
        Assert.InRange(1 / slow, known.Bag.Pace.TimeLow, known.Bag.Pace.TimeHigh);
        static double Width(BagPaceDto pace) => Math.Log(pace.TimeHigh / pace.TimeLow);
        Assert.True(Width(known.Bag.Pace) < Width(unknown.Bag.Pace) / 2);
        static double Slack(PlanDto plan)
        {
            DateTimeOffset At(string step) => plan.Forecast.Moments.First(m => m.Mark == step).At;
            return (At("join") - At("ready")).TotalMinutes;
        }

        Assert.True(Slack(known) <= Slack(unknown) / 2, $"{Slack(known)} for {Slack(unknown)}");
        Assert.True(known.WithLooks >= unknown.WithLooks - 0.05, $"{known.WithLooks} for {unknown.WithLooks}");

        // Each dinner is told of, and one that is left out is as if it had never been.
        var dinners = await _http.GetFromJsonAsync<List<BagDinnerDto>>("/api/kitchen/bags/bag-chickpea/dinners", Cancel);
        Assert.Equal(2, dinners!.Count);
        Assert.All(dinners, d => Assert.InRange(d.Time, 0.85 / slow, 1.15 / slow));
        foreach (var dinner in dinners)
        {
            var mark = new CookMark(Guid.CreateVersion7(), _server.Clock.GetUtcNow(), dinner.Version);
            await Sent<CookDto>(await _http.PostAsJsonAsync($"/api/cooks/{dinner.Id}/leaving-out", mark, Cancel));
        }

        Assert.Equal((1, 0), ((await Bag("bag-chickpea")).Pace!.Time, (await Bag("bag-chickpea")).Pace!.Dinners));
        var counting = new CookMark(Guid.CreateVersion7(), _server.Clock.GetUtcNow(), await Version(first));
        await Sent<CookDto>(await _http.PostAsJsonAsync($"/api/cooks/{first}/counting", counting, Cancel));
        Assert.Equal(1, (await Bag("bag-chickpea")).Pace!.Dinners);
    }

    private async Task<long> Version(Guid id) => (await _http.GetFromJsonAsync<CookDto>($"/api/cooks/{id}", Cancel))!.Version;

    [Fact]
    public async Task Read_again_a_dinner_teaches_the_same_and_takes_nothing_a_second_time()
    {
        var id = await Cook(Chickpeas(25), 0.9, 3);
        var before = await Bag("bag-chickpea");
        using (var scope = _server.Services.CreateScope())
        {
            await scope.ServiceProvider.GetRequiredService<DinnerLessons>().LearnAsync(id, Cancel);
            Assert.Equal(
                0,
                await scope.ServiceProvider.GetRequiredService<KettleDb>().Cooks.CountAsync(c => c.LearnedAs == null && c.Id == id, Cancel)
            );
        }

        Assert.Equivalent(before, await Bag("bag-chickpea"));
        // What an older model has read is read anew.
        _server.Read(db =>
            db.Cooks.Where(c => c.Id == id).ExecuteUpdate(c => c.SetProperty(x => x.LearnedAs, "1 0 old")) + db.Learned.ExecuteDelete()
        );
        using (var scope = _server.Services.CreateScope())
        {
            await scope.ServiceProvider.GetRequiredService<DinnerLessons>().CatchUpAsync(Cancel);
        }

        Assert.Equivalent(before, await Bag("bag-chickpea"));
    }

    [Fact]
    public async Task A_bag_is_bought_changed_taken_off_the_shelf_and_brought_back()
    {
        var bought = new BagChange("adzuki", " Corner shop ", 500, "2026-11-20", "2027-11-01", "warm");
        var kitchen = await Sent<KitchenDto>(await _http.PostAsJsonAsync("/api/kitchen/bags", bought, Cancel));
        var bag = kitchen.Bags.Single(b => b.FoodId == "adzuki");
        Assert.Equal(
            ("Corner shop", 500, "2026-11-20", "2027-11-01", "warm", true),
            (bag.Name, bag.Grams, bag.BoughtOn, bag.BestBefore, bag.Storage, bag.First)
        );
        var path = $"/api/kitchen/bags/{bag.Id}";
        var changed = bought with { Grams = 320, Version = bag.Version };
        bag = (await Sent<KitchenDto>(await _http.PutAsJsonAsync(path, changed, Cancel))).Bags.Single(b => b.Id == bag.Id);
        Assert.Equal(320, bag.Grams);
        kitchen = await Sent<KitchenDto>(await _http.DeleteAsync($"{path}?version={bag.Version}", Cancel));
        Assert.DoesNotContain(kitchen.Bags, b => b.Id == bag.Id);
        Assert.Equal(HttpStatusCode.NotFound, (await _http.DeleteAsync($"{path}?version={bag.Version}", Cancel)).StatusCode);
        var back = changed with { Version = bag.Version + 1 };
        Assert.Contains((await Sent<KitchenDto>(await _http.PutAsJsonAsync(path, back, Cancel))).Bags, b => b.Id == bag.Id);
    }

    [Theory]
    [InlineData("pebble", 500, null, null, "cupboard", "catalogue.unknown_food", "foodId")]
    [InlineData("adzuki", 5, null, null, "cupboard", "request.out_of_range", "grams")]
    [InlineData("adzuki", 500, "2026-12-24", null, "cupboard", "kitchen.bought_later", "boughtOn")]
    [InlineData("adzuki", 500, "last week", null, "cupboard", "request.date", "boughtOn")]
    [InlineData("adzuki", 500, null, "0001-01-01", "cupboard", "request.date", "bestBefore")]
    [InlineData("adzuki", 500, null, null, "attic", "request.unknown_word", "storage")]
    public async Task A_bag_that_cannot_be_is_refused_by_its_field(
        string food,
        double grams,
        string? bought,
        string? best,
        string storage,
        string code,
        string field
    )
    {
        var before = (await Kitchen()).Bags.Count;
        var answer = await _http.PostAsJsonAsync("/api/kitchen/bags", new BagChange(food, "", grams, bought, best, storage), Cancel);
        Assert.Equal((400, code, field), await answer.Problem());
        Assert.Equal(before, (await Kitchen()).Bags.Count);
    }

    [Fact]
    public async Task The_bag_that_is_open_goes_first_then_the_one_that_keeps_least_long_and_one_of_another_pulse_is_not_meant()
    {
        async Task<BagDto> Buy(string? best) =>
            (
                await Sent<KitchenDto>(
                    await _http.PostAsJsonAsync("/api/kitchen/bags", new BagChange("chickpea", best ?? "", 400, BestBefore: best), Cancel)
                )
            ).Bags.First(b => b.Name == (best ?? ""));
        var soon = await Buy("2026-12-31");
        await Buy("2027-12-31");
        Assert.Equal(soon.Id, (await Plan(KettleServer.Dish())).Bag!.Id);
        await Cook(Chickpeas(25), 1, 4);
        Assert.Equal("bag-chickpea", (await Plan(KettleServer.Dish("2026-11-26T19:00"))).Bag!.Id);
        Assert.Equal(soon.Id, (await Plan(KettleServer.Dish("2026-11-26T19:00") with { BagId = soon.Id })).Bag!.Id);
        Assert.Equal("bag-chickpea", (await Plan(KettleServer.Dish("2026-11-26T19:00") with { BagId = "bag-borlotti" })).Bag!.Id);
        Assert.Equal(
            (400, "kitchen.unknown_bag", "bagId"),
            await (
                await _http.PostAsJsonAsync("/api/plans", KettleServer.Dish("2026-11-26T19:00") with { BagId = "none" }, Cancel)
            ).Problem()
        );
    }

    [Fact]
    public async Task A_dinner_that_is_over_has_its_log_and_the_verdict_that_was_given_last()
    {
        var id = await Cook(Chickpeas(25), 0.8, 6);
        var log = (await _http.GetFromJsonAsync<DinnerLogDto>($"/api/cooks/{id}/log", Cancel))!;
        Assert.True(log.Finished);
        Assert.InRange(log.ServedAt!.Value, log.WantedAt.AddMinutes(-30), log.WantedAt.AddHours(1.5));
        Assert.All(log.Moments.Where(m => m.Step.Kind is "join" or "table"), m => Assert.NotNull(m.DoneAt));
        Assert.Contains(log.Looks, l => l.Entry.Kind == "felt");
        Assert.All(log.Looks, l => Assert.NotEqual("did", l.Entry.Kind));
        Assert.InRange(Assert.Single(log.Bags).Time, 1.1, 1.45);
        Assert.Null(log.Verdict);

        async Task<HttpResponseMessage> Judge(VerdictDto verdict, long version) =>
            await _http.PutAsJsonAsync(
                $"/api/cooks/{id}/verdict",
                new VerdictChange(Guid.CreateVersion7(), _server.Clock.GetUtcNow(), version, verdict),
                Cancel
            );
        log = await Sent<DinnerLogDto>(await Judge(new(Pulses: "under", Again: true), log.Version));
        log = await Sent<DinnerLogDto>(await Judge(new("right", "over", "under", null, false, "  Less water. "), log.Version));
        Assert.Equal(new VerdictDto("right", "over", "under", null, false, "Less water."), log.Verdict);
        Assert.Equal((400, "request.unknown_word", "verdict.salt"), await (await Judge(new(Salt: "salty"), log.Version)).Problem());
        Assert.Equal(HttpStatusCode.Conflict, (await Judge(new(Salt: "right"), log.Version - 1)).StatusCode);
        Assert.Equal(HttpStatusCode.BadRequest, (await Judge(new(Note: new string('a', 1001)), log.Version)).StatusCode);
        Assert.Equal(HttpStatusCode.NotFound, (await _http.GetAsync($"/api/cooks/{Guid.CreateVersion7()}/log", Cancel)).StatusCode);

        // A verdict that cannot be read hides no evening.
        _server.Read(db => db.CookEvents.Where(e => e.Kind == "judged").ExecuteUpdate(e => e.SetProperty(x => x.Payload, "{")));
        Assert.Null((await _http.GetFromJsonAsync<DinnerLogDto>($"/api/cooks/{id}/log", Cancel))!.Verdict);
    }

    [Fact]
    public async Task The_invented_household_has_a_past_that_taught_it_its_bags()
    {
        _ = await Kitchen();
        await _server.Services.GetRequiredService<DemoPast>().CookAsync(Cancel);
        var kitchen = await Kitchen();
        BagPaceDto Pace(string bag) => kitchen.Bags.Single(b => b.Id == bag).Pace!;
        Assert.InRange(Pace("bag-chickpea").Time, 1.2, 1.5);
        Assert.InRange(Pace("bag-pinto-market").Time, 0.74, 0.92);
        Assert.Equal((3, 1), (Pace("bag-chickpea").Dinners, Pace("bag-chickpea").OtherBags));
        // Begun anew, it cooks nothing twice.
        await _server.Services.GetRequiredService<DemoPast>().CookAsync(Cancel);
        Assert.Equal(12, (await _http.GetFromJsonAsync<CookPageDto>("/api/cooks?take=100", Cancel))!.Dinners.Count(c => c.Finished));
    }
}
