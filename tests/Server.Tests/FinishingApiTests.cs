using System.Net;
using System.Net.Http.Json;
using BrightKettle.Server.Planning;
using BrightKettle.Server.Record;
using BrightKettle.Server.Stove;
using Xunit;

namespace BrightKettle.Server.Tests;

/// <summary>What is bound, moved over, halved, added late or infused: asked for, told as steps, kept, and refused beside its field.</summary>
public sealed class FinishingApiTests(DemoServer server) : IClassFixture<DemoServer>
{
    private readonly HttpClient _http = server.CreateClient();

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    private static DishDto Beans => KettleServer.Dish() with { PulseId = "cannellini", RiceId = null, Style = "saucy", Soak = "overnight" };

    private async Task<PlanDto> Plan(DishDto dish)
    {
        var answer = await _http.PostAsJsonAsync("/api/plans", dish, Cancel);
        Assert.True(answer.StatusCode == HttpStatusCode.OK, await answer.Content.ReadAsStringAsync(Cancel));
        return (await answer.Content.ReadFromJsonAsync<PlanDto>(Cancel))!;
    }

    [Fact]
    public async Task Starch_that_binds_is_weighed_and_told_after_the_liquid_is_set()
    {
        var plan = await Plan(Beans with { Stages = ["bind"] });
        var bind = Assert.Single(plan.Steps, s => s.Kind == "bind");
        Assert.InRange(bind.Facts.Grams!.Value, 1, 60);
        Assert.Equal(2 * bind.Facts.Grams.Value, bind.Facts.Millilitres!.Value, 1.0);
        Assert.True(bind.At >= plan.Steps.Single(s => s.Kind == "finish").At);
        Assert.Empty(plan.LeftOut);
        Assert.Contains(plan.Hands.Visits, v => v.Name == "Bind the liquid");
    }

    [Fact]
    public async Task A_base_is_fried_in_the_pot_before_it_is_locked()
    {
        var dish = Beans with
        {
            Method = "pressure",
            CookerId = "steam-drum",
            Soak = "none",
            Stages = ["base"],
            Extras = [new("onion", new AmountDto(200, "g"), "start")],
        };
        var plan = await Plan(dish);
        var fry = Assert.Single(plan.Steps, s => s.Kind == "base");
        Assert.Equal(("onion", 12, "locked"), (fry.Facts.Name, fry.Facts.Minutes, fry.Facts.Place));
        Assert.Equal(fry.At.AddMinutes(12), plan.Steps.Single(s => s.Kind == "lock").At);
        Assert.Empty(plan.LeftOut);
        Assert.Contains(plan.Hands.Visits, v => v.Name == "Fry the base");
        Assert.Equal(["base"], (await Plan(dish with { Extras = [] })).LeftOut);
    }

    [Fact]
    public async Task From_the_cooker_it_moves_over_into_the_pot()
    {
        var plan = await Plan(Beans with { Method = "pressure", CookerId = "steam-drum", Stages = ["move"] });
        var move = Assert.Single(plan.Steps, s => s.Kind == "move");
        Assert.Equal("cooker", move.Facts.Ingredient);
        Assert.True(move.At > plan.Steps.Single(s => s.Kind == "opened").At);
    }

    [Fact]
    public async Task Half_of_an_extra_and_an_infusion_are_measured_once_and_told_when_they_are_wanted()
    {
        var dish = Beans with
        {
            Extras =
            [
                new("onion", new AmountDto(200, "g"), "start", KeptHalf: true, MinutesBefore: 5),
                new("leaf_infusion", new AmountDto(600, "mL"), "start", Strength: "strong"),
            ],
        };
        var plan = await Plan(dish);
        var onion = Assert.Single(plan.MeasureOut.Extras, x => x.ExtraId == "onion");
        Assert.Equal((200, true), (onion.Grams, onion.KeptHalf));
        Assert.Equal([100, 100], plan.Steps.Where(s => s is { Kind: "extra_in", Facts.Name: "Onion" }).Select(s => s.Facts.Grams!.Value));
        var steep = Assert.Single(plan.Steps, s => s.Kind == "steep");
        var strain = Assert.Single(plan.Steps, s => s.Kind == "strain");
        Assert.True(strain.At - steep.At > TimeSpan.FromHours(4));
        Assert.Equal(600, steep.Facts.Millilitres!.Value + strain.Facts.AddMillilitres!.Value);
        var usual = await Plan(dish with { Extras = [dish.Extras![1] with { Strength = null }] });
        Assert.Equal(2 * usual.Steps.Single(s => s.Kind == "steep").Facts.Grams!.Value, steep.Facts.Grams!.Value, 1.0);
        // Kept, opened again, and in its calendar.
        var id = Guid.CreateVersion7();
        var kept = await (
            await _http.PostAsJsonAsync($"/api/cooks/{id}", KettleServer.Change(dish), Cancel)
        ).Content.ReadFromJsonAsync<CookDto>(Cancel);
        Assert.Equal(
            dish.Extras,
            kept!.Dish.Extras!.Select(x => x with { Amount = dish.Extras!.Single(d => d.ExtraId == x.ExtraId).Amount })
        );
        var start = new StoveStart(Guid.CreateVersion7(), server.Clock.GetUtcNow(), kept.Version);
        var state = await (await _http.PostAsJsonAsync($"/api/stove/{id}/start", start, Cancel)).Content.ReadFromJsonAsync<StoveDto>(
            Cancel
        );
        Assert.Equal(2, state!.Moments.SelectMany(m => m.Deeds).Count(d => d is { Do: "add", Grams: 100 }));
    }

    [Theory]
    [InlineData("onion", null, "usual", "extra.no_infusion", "extras[0].strength")]
    [InlineData("leaf", true, null, "extra.kept_half", "extras[0].keptHalf")]
    public async Task What_an_extra_cannot_be_is_refused_beside_it(string id, bool? half, string? strength, string code, string field)
    {
        var answer = await _http.PostAsJsonAsync(
            "/api/plans",
            Beans with
            {
                Extras = [new(id, KeptHalf: half, Strength: strength)],
            },
            Cancel
        );
        Assert.Equal((400, code, field), await answer.Problem());
    }
}
