using System.Net;
using System.Net.Http.Json;
using System.Text;
using BrightKettle.Core.Planning;
using BrightKettle.Server.Catalogue;
using BrightKettle.Server.Planning;
using Xunit;

namespace BrightKettle.Server.Tests;

public class PlanApiTests(DemoServer server) : IClassFixture<DemoServer>
{
    private readonly HttpClient _http = server.CreateClient();

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    [Fact]
    public async Task A_dish_is_answered_with_a_whole_plan()
    {
        var plan = await (await _http.PostAsJsonAsync("/api/plans", KettleServer.Dish(), Cancel)).Content.ReadFromJsonAsync<PlanDto>(
            Cancel
        );
        Assert.NotNull(plan);
        Assert.Equal("Chickpeas with brown basmati", plan.Title);
        Assert.Equal(
            ["soak", "drain", "light", "boil", "look", "join", "salt", "seal", "heat_off", "table"],
            plan.Steps.Select(s => s.Kind)
        );
        Assert.All(plan.Steps, s => Assert.True(s.Early <= s.Late));
        var series = plan.Forecast.Series;
        Assert.InRange(series.At.Count, 60, 121);
        Assert.All(series.Layers, l => Assert.Equal(series.At.Count, l.Doneness.Count));
        Assert.Equal(series.At.Count, series.LevelCentimetres.Count);
        Assert.Contains(plan.Forecast.Cautions, c => c.Code == "local_guidance");
        // 1.5 cups of 240 mL: 300 g at 200 g to the cup of 236.6 mL.
        Assert.Equal(1.48, plan.MeasureOut.PulseCups);
    }

    private static DishDto Pressed() =>
        KettleServer.Dish() with
        {
            RiceId = null,
            Rice = null,
            Style = "saucy",
            Method = "pressure",
            CookerId = "steam-drum",
        };

    [Fact]
    public async Task A_plan_under_pressure_has_its_own_steps_and_cautions()
    {
        var plan = await (await _http.PostAsJsonAsync("/api/plans", Pressed(), Cancel)).Content.ReadFromJsonAsync<PlanDto>(Cancel);
        var kinds = plan!.Steps.Select(s => s.Kind).ToList();
        Assert.Equal(["lock", "hold_over", "opened", "look"], kinds.Where(k => k is "lock" or "hold_over" or "opened" or "look"));
        Assert.Contains(plan.Forecast.Cautions, c => c.Code == "cooker.silent");
        Assert.InRange(plan.Steps.Single(s => s.Kind == "hold_over").Facts.Minutes!.Value, 5, 25);
    }

    [Theory]
    [InlineData("pressure", "blue-pot")]
    [InlineData("pressure", "day-crock")]
    [InlineData("slow_cooker", "steam-drum")]
    [InlineData("slow_cooker", null)]
    public async Task A_method_wants_a_cooker_of_its_kind(string method, string? cooker) =>
        Assert.Equal(
            (400, "kitchen.unknown_cooker", "cookerId"),
            await (await _http.PostAsJsonAsync("/api/plans", Pressed() with { Method = method, CookerId = cooker }, Cancel)).Problem()
        );

    [Fact]
    public async Task All_ways_of_the_kitchen_are_told_with_their_table_or_the_reason()
    {
        var ways = (
            await (
                await _http.PostAsJsonAsync("/api/ways", KettleServer.Dish() with { Method = "open_pot" }, Cancel)
            ).Content.ReadFromJsonAsync<List<WayDto>>(Cancel)
        )!;
        Assert.Contains(ways, w => w is { Method: "open_pot", Soak: "overnight", TableAt: not null, WithLooks: > 0.5 });
        Assert.Contains(ways, w => w is { Method: "cooked", TableAt: not null });
        Assert.Contains(ways, w => w is { Method: "pressure", CookerName: "Steam drum" });
        Assert.All(ways.Where(w => w.TableAt is null), w => Assert.True(w.Title!.Length > 5 && w.Detail!.Length > 20));
        // Those that work come first, the surest first among them.
        var shares = ways.TakeWhile(w => w.TableAt is not null).Select(w => w.WithLooks!.Value).ToList();
        Assert.Equal(ways.Count(w => w.TableAt is not null), shares.Count);
        Assert.Equal(shares.OrderDescending(), shares);
    }

    [Fact]
    public async Task Nobody_says_an_amount_and_it_follows_the_people()
    {
        var dish = KettleServer.Dish() with { Pulse = null, Rice = null, People = 6, VesselId = "wide-pot" };
        var plan = await (await _http.PostAsJsonAsync("/api/plans", dish, Cancel)).Content.ReadFromJsonAsync<PlanDto>(Cancel);
        Assert.Equal((360.0, 450.0), (plan!.MeasureOut.PulseGrams, plan.MeasureOut.RiceGrams));
    }

    [Fact]
    public async Task Cups_are_the_households()
    {
        var dish = KettleServer.Dish() with { Pulse = new AmountDto(1, "cup") };
        var plan = await (await _http.PostAsJsonAsync("/api/plans", dish, Cancel)).Content.ReadFromJsonAsync<PlanDto>(Cancel);
        // 200 g to 236.6 mL is 203 g to 240 mL.
        Assert.Equal(203, plan!.MeasureOut.PulseGrams);
    }

    public static TheoryData<string, string, string> Faults =>
        new()
        {
            { """{"pulseId":"unicorn"}""", "catalogue.unknown_pulse", "pulseId" },
            { """{"vesselId":"bathtub"}""", "kitchen.unknown_vessel", "vesselId" },
            { """{"burnerId":"sun"}""", "kitchen.unknown_burner", "burnerId" },
            { """{"riceId":"gravel"}""", "catalogue.unknown_rice", "riceId" },
            { """{"soak":"forever"}""", "request.unknown_word", "soak" },
            { """{"soak":"1"}""", "request.unknown_word", "soak" },
            { """{"style":null}""", "request.missing", "style" },
            { """{"people":0}""", "request.out_of_range", "people" },
            { """{"pulse":{"value":-5,"unit":"g"}}""", "request.out_of_range", "pulse" },
            { """{"pulse":{"value":5,"unit":"bucket"}}""", "request.unknown_word", "pulse.unit" },
            { """{"serveAtLocal":"soon"}""", "request.time", "serveAtLocal" },
            { """{"serveAtLocal":"2026-11-24T12:00"}""", "dish.past", "serveAtLocal" },
            { """{"serveAtLocal":"2027-11-24T12:00"}""", "dish.too_far", "serveAtLocal" },
        };

    [Theory]
    [MemberData(nameof(Faults))]
    public async Task Bad_input_is_refused_with_its_field_and_a_sentence(string change, string code, string field)
    {
        var dish = System
            .Text.Json.JsonSerializer.SerializeToNode(KettleServer.Dish(), System.Text.Json.JsonSerializerOptions.Web)!
            .AsObject();
        foreach (var (key, value) in System.Text.Json.Nodes.JsonNode.Parse(change)!.AsObject())
        {
            dish[key] = value?.DeepClone();
        }

        var response = await _http.PostAsJsonAsync("/api/plans", dish, Cancel);
        Assert.Equal("application/problem+json", response.Content.Headers.ContentType?.MediaType);
        Assert.Equal((400, code, field), await response.Problem());
    }

    [Theory]
    [InlineData("")]
    [InlineData("{")]
    [InlineData("[]")]
    [InlineData("null")]
    [InlineData("{\"pulseId\": 7}")]
    [InlineData("{\"people\": \"four\"}")]
    public async Task Nothing_that_cannot_be_read_is_our_fault(string body)
    {
        foreach (var path in new[] { "/api/plans", "/api/forecast", $"/api/cooks/{Guid.NewGuid()}" })
        {
            var response = await _http.PostAsync(path, new StringContent(body, Encoding.UTF8, "application/json"), Cancel);
            Assert.Equal(HttpStatusCode.BadRequest, response.StatusCode);
            Assert.NotNull((await response.Problem()).Code);
        }
    }

    [Fact]
    public async Task An_impossible_dish_is_refused_in_words_with_what_works()
    {
        var dish = KettleServer.Dish("2026-11-24T18:20") with { PulseId = "kidney_red", RiceId = "long_white", Soak = "none" };
        var response = await _http.PostAsJsonAsync("/api/plans", dish, Cancel);
        Assert.Equal((422, PlanRefusal.TooSoon, "serveAt"), await response.Problem());
        var json = await response.Json();
        Assert.Contains("Red kidney beans need", json.GetProperty("detail").GetString(), StringComparison.Ordinal);
        var offer = json.GetProperty("alternatives")[0];
        var taken = dish with { ServeAtLocal = offer.GetProperty("serveAtLocal").GetString()! };
        Assert.Equal(HttpStatusCode.OK, (await _http.PostAsJsonAsync("/api/plans", taken, Cancel)).StatusCode);
    }

    [Theory]
    [InlineData("garbanzo", "chickpea")]
    [InlineData("chikpea", "chickpea")]
    [InlineData("rajma", "kidney_red")]
    [InlineData("kidny bean", "kidney_red")]
    [InlineData("azuki", "adzuki")]
    [InlineData("feijão preto", "black")]
    [InlineData("TOOR DAL", "toor_split")]
    [InlineData("lobia", "black_eyed_pea")]
    public async Task A_pulse_is_found_by_any_household_name_and_with_slips(string asked, string id)
    {
        var found = await _http.GetFromJsonAsync<List<FoundDto>>($"/api/catalogue/pulses?q={Uri.EscapeDataString(asked)}", Cancel);
        Assert.Equal(id, found!.First().Id);
    }

    [Fact]
    public async Task A_name_of_nothing_finds_nothing_and_no_name_finds_all()
    {
        Assert.Empty((await _http.GetFromJsonAsync<List<FoundDto>>("/api/catalogue/pulses?q=zzzzqq", Cancel))!);
        Assert.Equal(49, (await _http.GetFromJsonAsync<List<FoundDto>>("/api/catalogue/pulses", Cancel))!.Count);
        Assert.Equal(
            "sushi_short",
            (await _http.GetFromJsonAsync<List<FoundDto>>("/api/catalogue/rices?q=short%20grain", Cancel))!.First().Id
        );
    }

    [Fact]
    public async Task The_figures_of_the_model_are_told_with_their_basis()
    {
        var effects = await _http.GetFromJsonAsync<List<EffectDto>>("/api/effects", Cancel);
        Assert.Contains(effects!, e => e.Id == "lot_spread" && e.Typical == 0.28 && e.Confidence == "C");
        // Curves too: each point with its range, so that no doubtful figure stands without one.
        Assert.Contains(effects!, e =>
            e.Id.StartsWith("hardness at 300", StringComparison.Ordinal) && e is { Low: 1.2, Typical: 1.4, High: 1.7 }
        );
        var extras = await _http.GetFromJsonAsync<List<ExtraDto>>("/api/catalogue/extras", Cancel);
        Assert.Contains(extras!, e => e is { Id: "whole_chilli", ComesOut: true });
    }

    [Fact]
    public async Task An_unknown_address_of_the_interface_is_not_the_page()
    {
        var response = await _http.GetAsync("/api/nothing", Cancel);
        Assert.Equal(HttpStatusCode.NotFound, response.StatusCode);
        Assert.DoesNotContain("<html", await response.Content.ReadAsStringAsync(Cancel), StringComparison.OrdinalIgnoreCase);
    }

    [Fact]
    public async Task Every_answer_forbids_the_browser_to_ask_another_host()
    {
        var response = await _http.GetAsync("/api/kitchen", Cancel);
        Assert.StartsWith("default-src 'self'", response.Headers.GetValues("Content-Security-Policy").Single(), StringComparison.Ordinal);
    }
}
