using System.Net.Http.Json;
using BrightKettle.Server.Kitchen;
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
}
