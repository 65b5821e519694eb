using System.Net;
using System.Net.Http.Json;
using BrightKettle.Server.Planning;
using BrightKettle.Server.Record;
using Xunit;

namespace BrightKettle.Server.Tests;

/// <summary>Pulses and rice that do not come dry from the bag, extras out of the freezer, and several pulses each with its own
/// target.</summary>
public sealed class AtHandApiTests(DemoServer server) : IClassFixture<DemoServer>
{
    private readonly HttpClient _http = server.CreateClient();

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    private static DishDto Peas =>
        KettleServer.Dish() with
        {
            PulseId = "pea_whole_green",
            Pulse = new AmountDto(500, "g"),
            RiceId = "basmati_unsoaked",
            Soak = "none",
            PulseState = "frozen_green",
        };

    private async Task<PlanDto> Plan(DishDto dish)
    {
        var answer = await _http.PostAsJsonAsync("/api/plans", dish, Cancel);
        Assert.True(answer.StatusCode == HttpStatusCode.OK, await answer.Content.ReadAsStringAsync(Cancel));
        return (await answer.Content.ReadFromJsonAsync<PlanDto>(Cancel))!;
    }

    [Fact]
    public async Task Frozen_peas_are_weighed_as_they_are_and_kept_as_they_were_asked_for()
    {
        var beside = Peas with { RiceVesselId = "wide-pot" };
        var plan = await Plan(beside);
        Assert.Equal(500, plan.MeasureOut.PulseGrams, 1.0);
        Assert.Contains(plan.Steps, s => s.Kind == "light" && s.Facts.Grams == 500);
        Assert.DoesNotContain(plan.Steps, s => s.Kind == "soak");
        var id = Guid.CreateVersion7();
        var kept = await (
            await _http.PostAsJsonAsync($"/api/cooks/{id}", KettleServer.Change(beside), Cancel)
        ).Content.ReadFromJsonAsync<CookDto>(Cancel);
        Assert.Equal("frozen_green", kept!.Dish.PulseState);
        var start = new Stove.StoveStart(Guid.CreateVersion7(), server.Clock.GetUtcNow(), kept.Version);
        var state = await (await _http.PostAsJsonAsync($"/api/stove/{id}/start", start, Cancel)).Content.ReadFromJsonAsync<Stove.StoveDto>(
            Cancel
        );
        Assert.Contains(state!.Moments.SelectMany(m => m.Deeds), d => d is { Do: "add", Grams: > 499 and < 501 });
    }

    [Fact]
    public async Task Cooked_rice_is_weighed_cooked_and_boils_up_with_the_dish()
    {
        var plan = await Plan(KettleServer.Dish() with { RiceState = "fridge", RiceId = "long_white", Rice = new AmountDto(600, "g") });
        Assert.Equal(600, plan.MeasureOut.RiceGrams!.Value, 1.0);
        Assert.Equal(("no", "fridge"), (plan.MeasureOut.RiceRinse, plan.MeasureOut.RiceState));
        Assert.DoesNotContain(plan.Hands.Tasks, t => t.Id == "wash_rice");
        Assert.Contains(plan.Steps, s => s is { Kind: "join", Facts: { Grams: 600, Place: "warm" } });
    }

    [Fact]
    public async Task Frozen_coconut_milk_thaws_since_the_day_before_where_there_is_time()
    {
        ExtraWishDto[] extras = [new("coconut_milk", Frozen: true)];
        Assert.Contains(
            "Coconut milk, from the freezer into the fridge",
            (await Plan(KettleServer.Dish() with { Extras = extras })).Hands.DayBefore
        );
        var tonight = KettleServer.Dish("2026-11-24T21:30") with { PulseId = "lentil_brown", Soak = "none", Extras = extras };
        var soon = await Plan(tonight);
        Assert.Empty(soon.Hands.DayBefore);
        Assert.Equal("frozen", Assert.Single(soon.MeasureOut.Extras).Frozen);
        Assert.Contains((await Plan(KettleServer.Dish() with { Extras = [new("ice")] })).MeasureOut.Extras, x => x.ExtraId == "ice");
    }

    [Fact]
    public async Task Six_pulses_share_a_pot_and_each_may_have_its_own_target()
    {
        OtherPulseDto[] five =
        [
            new("pinto", new AmountDto(50, "g")),
            new("black", new AmountDto(50, "g")),
            new("navy", new AmountDto(50, "g")),
            new("lentil_brown", new AmountDto(50, "g")),
            new("split_pea_yellow", new AmountDto(50, "g")),
        ];
        var soup = KettleServer.Dish() with { RiceId = null, Rice = null, Style = "soup", VesselId = "wide-pot", Others = five };
        var plan = await Plan(soup);
        Assert.Equal(5, plan.MeasureOut.Others.Count);
        Assert.True(plan.WithLooks >= 0.8, $"{plan.WithLooks}");
        // Lentils that shall stay whole beside beans that are creamy are not to be had in one pot, and it is said what spoils them.
        var whole = soup with { Others = [.. five.Select(o => o.PulseId == "lentil_brown" ? o with { Target = "whole" } : o)] };
        var refused = await _http.PostAsJsonAsync("/api/plans", whole, Cancel);
        Assert.Equal((422, "plan.unlikely", "method"), await refused.Problem());
    }

    [Theory]
    [InlineData("chickpea", "green", "dish.not_sold_green", "pulseState")]
    [InlineData("chickpea", "purple", "request.unknown_word", "pulseState")]
    public async Task What_does_not_exist_is_refused_beside_its_field(string pulse, string state, string code, string field)
    {
        var answer = await _http.PostAsJsonAsync("/api/plans", Peas with { PulseId = pulse, PulseState = state }, Cancel);
        Assert.Equal((400, code, field), await answer.Problem());
    }

    [Fact]
    public async Task What_changes_is_named_stages_and_how_things_come_too()
    {
        var before = KettleServer.Dish() with { RiceId = "long_white", Style = "moist" };
        var after = before with { RiceState = "fridge", Stages = ["mash"], BurnerId = "back" };
        var compared = (
            await (
                await _http.PostAsJsonAsync("/api/plans/compare", new CompareRequest(before, after), Cancel)
            ).Content.ReadFromJsonAsync<ComparedDto>(Cancel)
        )!;
        Assert.Contains(compared.Differences, d => d is { Code: "rice_state", Before: "dry", After: "fridge" });
        Assert.Contains(compared.Differences, d => d is { Code: "stage", Before: null, After: "mash" });
        Assert.Contains(compared.Differences, d => d is { Code: "burner", After: "Small back burner" });
    }
}
