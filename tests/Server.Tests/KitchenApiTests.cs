using System.Net.Http.Json;
using BrightKettle.Server.Kitchen;
using BrightKettle.Server.Messages;
using BrightKettle.Server.Record;
using Xunit;

namespace BrightKettle.Server.Tests;

public sealed class KitchenApiTests : IDisposable
{
    private readonly KettleServer _server = new(demo: false);
    private readonly HttpClient _http;

    public KitchenApiTests() => _http = _server.CreateClient();

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    public void Dispose() => _server.Dispose();

    private async Task<KitchenDto> Kitchen() => (await _http.GetFromJsonAsync<KitchenDto>("/api/kitchen", Cancel))!;

    private static KitchenChange Change(KitchenDto k) => KettleServer.Unchanged(k);

    [Fact]
    public async Task A_household_is_spoken_to_in_its_own_units_and_what_it_stores_stays_the_same()
    {
        async Task<string> Calendar() =>
            await (
                await _http.PostAsJsonAsync(
                    "/api/plans/calendar",
                    KettleServer.Dish() with
                    {
                        VesselId = (await Kitchen()).Vessels[1].Id,
                    },
                    Cancel
                )
            ).Content.ReadAsStringAsync(Cancel);
        var before = await Kitchen();
        Assert.Equal("metric", before.Units);
        var metric = await Calendar();
        Assert.Contains("300 g", metric, StringComparison.Ordinal);
        await _http.PutAsJsonAsync("/api/kitchen", Change(before) with { Units = "us" }, Cancel);
        var us = await Calendar();
        Assert.Contains("10.6 oz", us, StringComparison.Ordinal);
        Assert.DoesNotContain("300 g", us, StringComparison.Ordinal);
        Assert.DoesNotContain(" mL", us, StringComparison.Ordinal);
        // A change that does not speak of units leaves them; another household of this machine keeps its own.
        await _http.PutAsJsonAsync("/api/kitchen", Change(await Kitchen()) with { RoomCelsius = 22 }, Cancel);
        Assert.Equal("us", (await Kitchen()).Units);
        using var other = new KettleServer(demo: false);
        using var http = other.CreateClient();
        var theirs = (await http.GetFromJsonAsync<KitchenDto>("/api/kitchen", Cancel))!;
        var text = await (
            await http.PostAsJsonAsync("/api/plans/calendar", KettleServer.Dish() with { VesselId = theirs.Vessels[1].Id }, Cancel)
        ).Content.ReadAsStringAsync(Cancel);
        Assert.Contains("300 g", text, StringComparison.Ordinal);
        await _http.PutAsJsonAsync("/api/kitchen", Change(await Kitchen()) with { Units = "metric" }, Cancel);
        Assert.Contains("300 g", await Calendar(), StringComparison.Ordinal);
        Assert.Equal(
            System.Net.HttpStatusCode.BadRequest,
            (await _http.PutAsJsonAsync("/api/kitchen", Change(await Kitchen()) with { Units = "stone" }, Cancel)).StatusCode
        );
    }

    [Fact]
    public async Task Hours_are_written_as_the_household_writes_them_and_stay_as_they_are_where_they_are_stored()
    {
        async Task<string> Answer(string url, object body) =>
            await (await _http.PostAsJsonAsync(url, body, Cancel)).Content.ReadAsStringAsync(Cancel);
        async Task<string> Line() => await Answer("/api/line", new { line = "chickpeas tomorrow at 7 pm", dish = KettleServer.Dish() });
        var dish = KettleServer.Dish() with { VesselId = (await Kitchen()).Vessels[1].Id };
        Assert.Equal("24", (await Kitchen()).Hours);
        Assert.Contains("19:00\"", await Line(), StringComparison.Ordinal);
        await _http.PutAsJsonAsync("/api/kitchen", Change(await Kitchen()) with { Hours = "am_pm" }, Cancel);
        Assert.Contains("7:00 pm\"", await Line(), StringComparison.Ordinal);
        Assert.Matches(@" \d{1,2}:\d\d [ap]m", await Answer("/api/plans/calendar", dish));
        Assert.DoesNotMatch(@"between 1\d:\d\d", await Answer("/api/plans/calendar", dish));
        var after = await Kitchen();
        Assert.Equal("21:30", after.SoaksAt);
        // A change that does not speak of hours leaves them.
        await _http.PutAsJsonAsync("/api/kitchen", Change(after) with { RoomCelsius = 22, Hours = null }, Cancel);
        Assert.Equal("am_pm", (await Kitchen()).Hours);
        Assert.Equal(
            System.Net.HttpStatusCode.BadRequest,
            (await _http.PutAsJsonAsync("/api/kitchen", Change(await Kitchen()) with { Hours = "sundial" }, Cancel)).StatusCode
        );
    }

    [Theory]
    [InlineData(0, 5, "12:05 am")]
    [InlineData(9, 30, "9:30 am")]
    [InlineData(12, 0, "12:00 pm")]
    [InlineData(18, 7, "6:07 pm")]
    public void An_hour_is_written_as_the_page_writes_it(int hour, int minute, string said)
    {
        var at = new NodaTime.LocalTime(hour, minute);
        Assert.Equal($"{hour:00}:{minute:00}", Hours.Of(at));
        Hours.AmPm = true;
        Assert.Equal(said, Hours.Of(at));
    }

    [Fact]
    public async Task A_new_household_has_pots_to_begin_with_and_no_dinners()
    {
        var kitchen = await Kitchen();
        Assert.Equal(3, kitchen.Vessels.Count);
        Assert.Equal(_server.Clock.GetUtcNow(), kitchen.Now);
        Assert.Empty((await _http.GetFromJsonAsync<CookPageDto>("/api/cooks", Cancel))!.Dinners);
        // 22 cm: 380 cm², so a centimetre is 380 mL.
        Assert.Equal(380, kitchen.Vessels.Single(v => v.DiameterCentimetres == 22).MillilitresPerCentimetre);
    }

    [Fact]
    public async Task Settings_are_changed_checked_and_guarded_against_a_stale_page()
    {
        var kitchen = await Kitchen();
        var moved = Change(kitchen) with { AltitudeMetres = 1500, Zone = "America/Bogota", HardnessMilligramsPerLitre = 320 };
        var changed = await (await _http.PutAsJsonAsync("/api/kitchen", moved, Cancel)).Content.ReadFromJsonAsync<KitchenDto>(Cancel);
        Assert.Equal(95, changed!.BoilingCelsius, 0.15);
        Assert.Equal(320, changed.HardnessMilligramsPerLitre);
        Assert.Equal(
            (400, "request.out_of_range", "hardnessMilligramsPerLitre"),
            await (await _http.PutAsJsonAsync("/api/kitchen", Change(changed) with { HardnessMilligramsPerLitre = -1 }, Cancel)).Problem()
        );
        Assert.Equal((409, "kitchen.stale", null), await (await _http.PutAsJsonAsync("/api/kitchen", moved, Cancel)).Problem());
        var wrong = Change(changed) with { Zone = "Nowhere/Else", RoomCelsius = 90, Wakes = "dawn" };
        var response = await _http.PutAsJsonAsync("/api/kitchen", wrong, Cancel);
        Assert.Equal((400, "request.zone", "zone"), await response.Problem());
        Assert.Equal(
            ["zone", "roomCelsius", "wakes"],
            (await response.Json()).GetProperty("errors").EnumerateArray().Select(e => e.GetProperty("field").GetString())
        );
        Assert.Equal("America/Bogota", (await Kitchen()).Zone);
    }

    [Fact]
    public async Task Pots_come_change_and_go_but_one_stays()
    {
        var added = await (
            await _http.PostAsJsonAsync("/api/kitchen/vessels", new VesselChange("Copper", 20, 3200), Cancel)
        ).Content.ReadFromJsonAsync<KitchenDto>(Cancel);
        var copper = added!.Vessels.Single(v => v.Name == "Copper");
        var changed = await (
            await _http.PutAsJsonAsync(
                $"/api/kitchen/vessels/{copper.Id}",
                new VesselChange("Copper", 21, 3200, null, copper.Version),
                Cancel
            )
        ).Content.ReadFromJsonAsync<KitchenDto>(Cancel);
        Assert.Equal(21, changed!.Vessels.Single(v => v.Id == copper.Id).DiameterCentimetres);
        var drum = await (
            await _http.PostAsJsonAsync("/api/kitchen/vessels", new VesselChange("Drum", 22, 6000, "electric"), Cancel)
        ).Content.ReadFromJsonAsync<KitchenDto>(Cancel);
        Assert.Equal("electric", drum!.Vessels.Single(v => v.Name == "Drum").Cooker);
        Assert.Equal(
            (400, "request.unknown_word", "cooker"),
            await (await _http.PostAsJsonAsync("/api/kitchen/vessels", new VesselChange("Drum", 22, 6000, "steam"), Cancel)).Problem()
        );
        changed = await Kitchen();
        Assert.Equal(
            (400, "request.out_of_range", "diameterCentimetres"),
            await (await _http.PostAsJsonAsync("/api/kitchen/vessels", new VesselChange("Tank", 200, 3200), Cancel)).Problem()
        );
        foreach (var vessel in changed.Vessels.Skip(1))
        {
            (await _http.DeleteAsync($"/api/kitchen/vessels/{vessel.Id}?version={vessel.Version}", Cancel)).EnsureSuccessStatusCode();
        }

        Assert.Equal(
            (400, "kitchen.last_vessel", "vesselId"),
            await (
                await _http.DeleteAsync($"/api/kitchen/vessels/{changed.Vessels[0].Id}?version={changed.Vessels[0].Version}", Cancel)
            ).Problem()
        );
        Assert.Equal(404, (await (await _http.DeleteAsync("/api/kitchen/vessels/none", Cancel)).Problem()).Status);
    }

    private static async Task<KitchenDto> Told(HttpResponseMessage response)
    {
        Assert.True(response.IsSuccessStatusCode, await response.Content.ReadAsStringAsync(Cancel));
        return (await response.Content.ReadFromJsonAsync<KitchenDto>(Cancel))!;
    }

    [Fact]
    public async Task What_was_taken_away_comes_back_as_it_was()
    {
        var before = await Kitchen();
        var (pot, burner) = (before.Vessels[0], before.Burners[1]);
        await Told(await _http.DeleteAsync($"/api/kitchen/vessels/{pot.Id}?version={pot.Version}", Cancel));
        var gone = await Told(await _http.DeleteAsync($"/api/kitchen/burners/{burner.Id}?version={burner.Version}", Cancel));
        Assert.DoesNotContain(gone.Vessels, v => v.Id == pot.Id);
        Assert.DoesNotContain(gone.Burners, b => b.Id == burner.Id);
        await Told(
            await _http.PutAsJsonAsync(
                $"/api/kitchen/vessels/{pot.Id}",
                new VesselChange(pot.Name, pot.DiameterCentimetres, pot.BrimMillilitres, pot.Cooker, pot.Version + 1),
                Cancel
            )
        );
        var back = await Told(
            await _http.PutAsJsonAsync(
                $"/api/kitchen/burners/{burner.Id}",
                new BurnerChange(burner.Name, burner.MostWatts, burner.Gas, burner.Version + 1),
                Cancel
            )
        );
        Assert.Equal(before.Vessels.Select(v => v with { Version = 0 }), back.Vessels.Select(v => v with { Version = 0 }));
        Assert.Equal(before.Burners.Select(b => b with { Version = 0 }), back.Burners.Select(b => b with { Version = 0 }));
    }

    [Fact]
    public async Task Burners_come_change_and_go_but_one_stays()
    {
        var added = await Told(await _http.PostAsJsonAsync("/api/kitchen/burners", new BurnerChange("Wok ring", 2200, true), Cancel));
        var wok = Assert.Single(added.Burners, b => b.Name == "Wok ring");
        Assert.True(wok is { Gas: true, MostWatts: 2200, LeastWatts: > 100 and < 400 });
        Assert.Equal(
            (400, "request.out_of_range", "mostWatts"),
            await (await _http.PostAsJsonAsync("/api/kitchen/burners", new BurnerChange("Sun", 90_000, false), Cancel)).Problem()
        );
        Assert.Equal(
            (409, "kitchen.stale", null),
            await (await _http.PutAsJsonAsync($"/api/kitchen/burners/{wok.Id}", new BurnerChange("Wok", 2200, true, 77), Cancel)).Problem()
        );
        foreach (var burner in added.Burners.Skip(1))
        {
            await Told(await _http.DeleteAsync($"/api/kitchen/burners/{burner.Id}?version={burner.Version}", Cancel));
        }

        Assert.Equal(
            (400, "kitchen.last_burner", "burnerId"),
            await (
                await _http.DeleteAsync($"/api/kitchen/burners/{added.Burners[0].Id}?version={added.Burners[0].Version}", Cancel)
            ).Problem()
        );
    }

    [Fact]
    public async Task A_burner_that_a_dinner_uses_asks_before_it_goes_and_stays_for_it()
    {
        using var demo = new KettleServer(demo: true);
        using var http = demo.CreateClient();
        var back = (await http.GetFromJsonAsync<KitchenDto>("/api/kitchen", Cancel))!.Burners.Single(b => b.Id == "back");
        var at = $"/api/kitchen/burners/back?version={back.Version}";
        Assert.Equal((409, "kitchen.burner_in_use", null), await (await http.DeleteAsync(at, Cancel)).Problem());
        await Told(await http.DeleteAsync($"{at}&keep=true", Cancel));
        Assert.True((await http.PostAsJsonAsync("/api/plans", KettleServer.Dish() with { BurnerId = "back" }, Cancel)).IsSuccessStatusCode);
    }

    [Fact]
    public async Task The_first_questions_are_asked_once_and_answered_whole_or_not_at_all()
    {
        Assert.False((await Kitchen()).IsSetUp);
        var answers = new FirstAnswers(
            "America/Bogota",
            2600,
            120,
            null,
            [new("Large", 1500, true), new("Small", 800, true), new("Middling", 1200, true)],
            [new("weight", "Whistling cooker"), new("slow", "Slow cooker")]
        );
        Assert.Equal(
            (400, "request.out_of_range", "burners[1].mostWatts"),
            await (
                await _http.PostAsJsonAsync(
                    "/api/kitchen/first-run",
                    answers with
                    {
                        Burners = [answers.Burners![0], new("Small", 1, true)],
                    },
                    Cancel
                )
            ).Problem()
        );
        Assert.False((await Kitchen()).IsSetUp);
        var done = await Told(await _http.PostAsJsonAsync("/api/kitchen/first-run", answers, Cancel));
        Assert.True(done.IsSetUp);
        Assert.Equal(("America/Bogota", 2600), (done.Zone, done.AltitudeMetres));
        Assert.Equal(["Large", "Small", "Middling"], done.Burners.Select(b => b.Name));
        Assert.Equal(["weight", "slow"], done.Vessels.Where(v => v.Cooker is not null).Select(v => v.Cooker));
        Assert.Equal(
            (409, "kitchen.set_up", null),
            await (await _http.PostAsJsonAsync("/api/kitchen/first-run", answers, Cancel)).Problem()
        );
    }

    [Fact]
    public async Task Skipped_questions_leave_everything_as_it_is()
    {
        var before = await Kitchen();
        var done = await Told(await _http.PostAsJsonAsync("/api/kitchen/first-run", new FirstAnswers(), Cancel));
        Assert.True(done.IsSetUp);
        Assert.Equal(before.Zone, done.Zone);
        Assert.Equal(before.Burners, done.Burners);
        Assert.Equal(before.Vessels, done.Vessels);
    }
}
