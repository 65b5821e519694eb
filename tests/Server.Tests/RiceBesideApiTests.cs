using System.Net;
using System.Net.Http.Json;
using BrightKettle.Server.Kitchen;
using BrightKettle.Server.Planning;
using BrightKettle.Server.Words;
using Xunit;

namespace BrightKettle.Server.Tests;

/// <summary>Rice that is cooked beside the pulses in another way than in measured water.</summary>
public sealed class RiceBesideApiTests(DemoServer server) : IClassFixture<DemoServer>
{
    private readonly HttpClient _http = server.CreateClient();

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    private static DishDto Chickpeas =>
        KettleServer.Dish() with
        {
            PulseId = "chickpea",
            RiceId = "long_white",
            Rice = new(300, "g"),
            Style = "saucy",
            Soak = "overnight",
        };

    private async Task<PlanDto> Plan(DishDto dish)
    {
        var answer = await _http.PostAsJsonAsync("/api/plans", dish, Cancel);
        Assert.True(answer.StatusCode == HttpStatusCode.OK, await answer.Content.ReadAsStringAsync(Cancel));
        return (await answer.Content.ReadFromJsonAsync<PlanDto>(Cancel))!;
    }

    private async Task<KitchenDto> Kitchen() => (await _http.GetFromJsonAsync<KitchenDto>("/api/kitchen", Cancel))!;

    [Fact]
    public async Task Drained_rice_is_told_from_its_water_to_its_sieve()
    {
        var pot = (await Kitchen()).Vessels.Last(v => v.Cooker is null && v.Id != Chickpeas.VesselId);
        var plan = await Plan(Chickpeas with { RiceVesselId = pot.Id, Stages = ["plenty"] });
        string[] told = ["rice_water", "rice_in", "rice_boils_in_plenty", "rice_drained", "rice_rested"];
        Assert.Equal(told, plan.Steps.Select(s => s.Kind).Where(k => k.StartsWith("rice", StringComparison.Ordinal)));
        Assert.Equal(1800, plan.Steps.Single(s => s.Kind == "rice_water").Facts.Millilitres!.Value, 50.0);
        Assert.InRange(plan.Steps.Single(s => s.Kind == "rice_boils_in_plenty").Facts.Minutes!.Value, 8, 20);
        Assert.Contains(plan.Hands.Visits, v => v.Name == "Drain the rice");
        Assert.Equal(["plenty"], (await Plan(Chickpeas with { Stages = ["plenty"] })).LeftOut);
    }

    /// <summary>A kitchen that has a rice cooker: lines, ways and plans take it for the rice, and it cooks no pulse.</summary>
    [Fact]
    public async Task A_rice_cooker_of_the_kitchen_cooks_the_rice_and_nothing_else()
    {
        var added = await _http.PostAsJsonAsync("/api/kitchen/vessels", new VesselChange("Rice drum", 19, 2500, "rice"), Cancel);
        Assert.True(added.IsSuccessStatusCode, await added.Content.ReadAsStringAsync(Cancel));
        var drum = (await Kitchen()).Vessels.Single(v => v.Name == "Rice drum");
        Assert.Equal("rice", drum.Cooker);
        var plan = await Plan(Chickpeas with { RiceVesselId = drum.Id });
        Assert.Equal(
            ["rice_cooker", "rice_warm", "rice_rested"],
            plan.Steps.Select(s => s.Kind).Where(k => k.StartsWith("rice", StringComparison.Ordinal))
        );
        Assert.Equal("Rice drum", plan.Steps.Single(s => s.Kind == "rice_cooker").Facts.Place);
        foreach (var method in new[] { "pressure", "slow_cooker" })
        {
            var refused = await _http.PostAsJsonAsync("/api/plans", Chickpeas with { Method = method, CookerId = drum.Id }, Cancel);
            Assert.Equal(HttpStatusCode.BadRequest, refused.StatusCode);
            Assert.Contains("cookerId", await refused.Content.ReadAsStringAsync(Cancel), StringComparison.Ordinal);
        }

        var said = await _http.PostAsJsonAsync(
            "/api/line",
            new LineRequest("chickpeas saucy with white rice in the rice cooker, tomorrow 19:00", KettleServer.Dish()),
            Cancel
        );
        var line = (await said.Content.ReadFromJsonAsync<LineAnswerDto>(Cancel))!;
        Assert.Equal((drum.Id, 0), (line.Dish.RiceVesselId, line.NotUnderstood.Count));
    }

    /// <summary>With a pot beside it, the rice in their liquor takes that pot; its base, where it has a pot of its own, is told there.</summary>
    [Fact]
    public async Task Their_liquor_goes_into_another_pot_and_a_base_into_the_rices_own()
    {
        var pot = (await Kitchen()).Vessels.Where(v => v.Cooker is null && v.Id != Chickpeas.VesselId).MaxBy(v => v.BrimMillilitres)!;
        var plan = await Plan(Chickpeas with { Style = "moist", RiceVesselId = pot.Id, RiceJoin = "in_the_liquor" });
        string[] told = ["poured", "join", "put_back"];
        Assert.Equal(told, plan.Steps.Select(s => s.Kind).Where(told.Contains));
        Assert.Equal(pot.Name, plan.Steps.Single(s => s.Kind == "poured").Facts.Place);

        var based = await Plan(
            Chickpeas with
            {
                RiceVesselId = pot.Id,
                Extras = [new("onion", new AmountDto(120, "g"), "rice"), new("leaf", null, "rice", 2)],
            }
        );
        var fried = based.Steps.Single(s => s.Kind == "rice_base");
        Assert.Equal(("onion", pot.Name, 12), (fried.Facts.Name, fried.Facts.Place, fried.Facts.Minutes));
        Assert.Equal(pot.Name, based.Steps.Single(s => s.Kind == "extra_in").Facts.Place);
        Assert.Equal(2, based.Steps.Single(s => s.Kind == "take_out").Facts.Pieces);

        // Where the rice joins them, the same onion is in from the start.
        var joined = await Plan(Chickpeas with { Style = "moist", Extras = [new("onion", new AmountDto(120, "g"), "rice")] });
        Assert.Equal("start", joined.MeasureOut.Extras.Single().Time);
    }
}
