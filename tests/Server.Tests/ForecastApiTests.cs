using System.Net.Http.Json;
using System.Text.Json;
using System.Text.Json.Nodes;
using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Units;
using BrightKettle.Server.Answers;
using BrightKettle.Server.Exchange;
using BrightKettle.Server.Planning;
using CsCheck;
using NJsonSchema;
using NodaTime;
using Xunit;

namespace BrightKettle.Server.Tests;

public class ForecastApiTests(DemoServer server) : IClassFixture<DemoServer>
{
    private readonly HttpClient _http = server.CreateClient();

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    private async Task<PlanDto> Plan(DishDto? dish = null) =>
        (
            await (await _http.PostAsJsonAsync("/api/plans", dish ?? KettleServer.Dish(), Cancel)).Content.ReadFromJsonAsync<PlanDto>(
                Cancel
            )
        )!;

    private async Task<JsonObject> PlannedCook() =>
        JsonSerializer.SerializeToNode((await Plan()).Cook, JsonSerializerOptions.Web)!.AsObject();

    [Fact]
    public async Task A_plans_own_cook_forecasts_to_the_plans_own_moments()
    {
        var plan = await Plan();
        var forecast = await (await _http.PostAsJsonAsync("/api/forecast", plan.Cook, Cancel)).Content.ReadFromJsonAsync<ForecastDto>(
            Cancel
        );
        Assert.Equal(plan.Forecast.Moments, forecast!.Moments);
        Assert.Equal(plan.Forecast.Series.LiquorMillilitres, forecast.Series.LiquorMillilitres);
    }

    [Fact]
    public async Task A_cook_that_never_ends_is_told_with_the_action_and_what_it_waits_for_and_every_vessel_is_answered()
    {
        var cook = await PlannedCook();
        var actions = cook["actions"]!.AsArray();
        var serve = actions.Count - 1;
        actions.Insert(serve, JsonNode.Parse("""{"do":"heat","flame":"off"}"""));
        actions.Insert(serve + 1, JsonNode.Parse("""{"do":"water","grams":50,"celsius":20}"""));
        actions.Insert(serve + 2, JsonNode.Parse("""{"do":"stir","when":{"after":"boils"}}"""));
        var forecast = await (await _http.PostAsJsonAsync("/api/forecast", cook, Cancel)).Content.ReadFromJsonAsync<ForecastDto>(Cancel);
        Assert.Equal((serve + 2, "event", "boils"), (forecast!.Stalled!.Action, forecast.Stalled.WaitsFor, forecast.Stalled.Event));
        Assert.Contains($"Step {serve + 3} ", forecast.Stalled.Text, StringComparison.Ordinal);
        var vessel = Assert.Single(forecast.Vessels);
        Assert.Equal(forecast.Series.At.Count, vessel.LiquorMillilitres.Count);
        Assert.Equal(forecast.Series.LevelCentimetres, vessel.LevelCentimetres);
        Assert.Equal("clean", vessel.Base);
    }

    [Fact]
    public async Task An_unsafe_cook_is_run_but_the_gate_says_so()
    {
        var cook = await PlannedCook();
        cook["ingredients"]![0]!["catalogueId"] = "kidney_red";
        var forecast = await (await _http.PostAsJsonAsync("/api/forecast", cook, Cancel)).Content.ReadFromJsonAsync<ForecastDto>(Cancel);
        Assert.Contains(forecast!.Gates, g => g is { Blocks: true, Code: "lectin.not_boiled", Action: not null });
    }

    public static TheoryData<string, string, string> Faults =>
        new()
        {
            { "format", "\"another/cook\"", "cook.format" },
            { "version", "2", "cook.format" },
            { "ingredients", "[]", "cook.ingredients" },
            { "actions", "[]", "cook.actions" },
            { "actions", """[{"do":"dance"}]""", "cook.unknown_action" },
            { "actions", """[{"do":"add","ingredient":"nobody"},{"do":"serve"}]""", "cook.unknown_ingredient" },
            { "actions", """[{"do":"water","grams":-3},{"do":"serve"}]""", "request.out_of_range" },
            { "actions", """[{"do":"heat","flame":"inferno"},{"do":"serve"}]""", "request.unknown_word" },
            { "actions", """[null]""", "request.missing" },
            { "kitchen", "null", "request.missing" },
        };

    [Theory]
    [MemberData(nameof(Faults))]
    public async Task A_broken_cook_is_refused_with_the_place(string field, string value, string code)
    {
        var cook = await PlannedCook();
        cook[field] = JsonNode.Parse(value);
        var problem = await (await _http.PostAsJsonAsync("/api/forecast", cook, Cancel)).Problem();
        Assert.Equal((400, code), (problem.Status, problem.Code));
        Assert.StartsWith(field, problem.Field, StringComparison.Ordinal);
    }

    [Fact]
    public async Task The_served_schema_accepts_planned_cooks_and_refuses_broken_ones()
    {
        var schema = await JsonSchema.FromJsonAsync(await _http.GetStringAsync("/api/schemas/cook-1.json", Cancel), Cancel);
        var cook = await PlannedCook();
        Assert.Empty(schema.Validate(cook.ToJsonString()));
        foreach (var method in new[] { ("pressure", "steam-drum"), ("slow_cooker", "day-crock") })
        {
            var other = (
                await Plan(
                    KettleServer.Dish() with
                    {
                        RiceId = null,
                        Rice = null,
                        Style = "saucy",
                        PulseId = "navy",
                        Method = method.Item1,
                        CookerId = method.Item2,
                    }
                )
            ).Cook;
            Assert.Empty(schema.Validate(JsonSerializer.Serialize(other, JsonSerializerOptions.Web)));
        }

        foreach (
            var (field, value) in new[]
            {
                ("version", "2"),
                ("actions", "[]"),
                ("actions", """[{"do":"dance"}]"""),
                ("ingredients", """[{"id":"a"}]"""),
            }
        )
        {
            var broken = cook.DeepClone().AsObject();
            broken[field] = JsonNode.Parse(value);
            Assert.NotEmpty(schema.Validate(broken.ToJsonString()));
        }
    }

    /// <summary>Any cook written out and read back is the same cook.</summary>
    [Fact]
    public void A_cook_goes_out_and_comes_back_unchanged()
    {
        var catalogue = PulseCatalogue.Shipped;
        var genWhen = Gen.Select(Gen.Int[0, 500], Gen.Bool, Gen.Bool)
            .Select(
                (minutes, clock, look) =>
                    new Trigger(
                        clock ? Instant.FromUtc(2026, 11, 25, 12, 0) + Duration.FromMinutes(minutes) : null,
                        null,
                        Duration.FromMinutes(minutes),
                        look
                            ? new Look("p", minutes % 200, Duration.FromMinutes(5))
                            {
                                LidOff = minutes % 5 == 0 ? null : new(Mass.FromGrams(minutes), Duration.FromMinutes(1 + (minutes % 59))),
                                NotYet = new NotYet(Flame.Lively, Mass.FromGrams(minutes))
                                {
                                    Longest = minutes % 2 == 0 ? null : Duration.FromMinutes(1 + (minutes % 200)),
                                    LockAgain = minutes % 3 == 0 ? null : new(minutes % 100, Duration.FromMinutes(1 + (minutes % 60))),
                                },
                            }
                            : null
                    )
            );
        // Low and high belong to slow cookers.
        var genFlame = Gen.Enum<Flame>().Where(f => f is not (Flame.Low or Flame.High));
        var gen = Gen.Select(Gen.Int[0, 48], Gen.Double[20, 900], genWhen, genFlame, Gen.Enum<Lid>());
        gen.Sample(
            (pulse, grams, when, flame, lid) =>
            {
                var cook = new Cook(
                    new CookKitchen(
                        new Vessel("vessel", "pot", Length.FromCentimetres(22), Volume.FromMillilitres(4500))
                        {
                            Cooker = Cooker.Typical(CookerKind.Spring, 4500),
                        },
                        new Burner("burner", string.Empty, Power.FromWatts(1500), Power.FromWatts(120)),
                        Altitude.FromMetres(120),
                        Temperature.FromCelsius(19)
                    )
                    {
                        Starts = pulse % 3 == 0 ? null : Temperature.FromCelsius(pulse),
                    },
                    [
                        new PulseIngredient("p", Mass.FromGrams(grams), catalogue.Pulses[pulse], new Pace(1.1, 0.2)),
                        new ExtraIngredient("x", Mass.FromGrams(grams), catalogue.FindExtra("ham_hock")!, Temperature.FromCelsius(6))
                        {
                            Pieces = pulse,
                            Blanched = pulse % 2 == 0,
                        },
                    ],
                    [
                        new CookAction.Add(Trigger.At(Instant.FromUtc(2026, 11, 25, 12, 0)), "p"),
                        new CookAction.Add(Trigger.Next, "x"),
                        new CookAction.AddWater(Trigger.Next, Mass.FromGrams(grams * 3), Temperature.FromCelsius(18)),
                        new CookAction.TopUp(Trigger.Next, (pulse / 4.0) - 2, Temperature.FromCelsius(90)),
                        new CookAction.KeepLevel(Trigger.Next, pulse % 4 == 0 ? null : pulse / 8.0),
                        new CookAction.Cover(Trigger.Next, lid),
                        new CookAction.Heat(when, flame) { StepId = StepIds.Light },
                        new CookAction.Serve(Trigger.Later(Duration.FromMinutes(5))) { StepId = StepIds.Table },
                    ],
                    Instant.FromUtc(2026, 11, 25, 12, 0),
                    3
                );
                var checks = new FieldFaults();
                var text = JsonSerializer.Serialize(CookWriter.Write(cook), JsonSerializerOptions.Web);
                var back = new CookReader(catalogue, checks).Read(
                    JsonSerializer.Deserialize<CookDocument>(text, JsonSerializerOptions.Web)!
                );
                return back is not null
                    && back.Actions.SequenceEqual(cook.Actions)
                    && back.Ingredients.SequenceEqual(cook.Ingredients)
                    && back.Kitchen == cook.Kitchen
                    && back.Starts == cook.Starts;
            }
        );
    }
}
