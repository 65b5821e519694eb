using System.Net;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json.Nodes;
using BrightKettle.Server.Exchange;
using BrightKettle.Server.Kitchen;
using BrightKettle.Server.Record;
using Xunit;

namespace BrightKettle.Server.Tests;

/// <summary>Whatever is sent, the answer is one of ours: with a status that fits, a code, and the headers of all else.</summary>
public sealed class ErrorPathTests(DemoServer server) : IClassFixture<DemoServer>
{
    private readonly HttpClient _http = server.CreateClient();

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    private async Task<HttpResponseMessage> Send(string method, string path, string? body, string type = "application/json")
    {
        using var request = new HttpRequestMessage(new HttpMethod(method), path);
        if (body is not null)
        {
            request.Content = new ByteArrayContent(Encoding.UTF8.GetBytes(body));
            request.Content.Headers.TryAddWithoutValidation("Content-Type", type);
        }

        return await _http.SendAsync(request, Cancel);
    }

    [Theory]
    [InlineData("GET", "/api/no-such-thing", null, "application/json", 404, "request.not_found")]
    [InlineData("GET", "/api", null, "application/json", 404, "request.not_found")]
    [InlineData("PATCH", "/api/kitchen", "{}", "application/json", 405, "request.method")]
    [InlineData("GET", "/api/plans", null, "application/json", 405, "request.method")]
    [InlineData("POST", "/api/plans", "{}", "text/plain", 415, "request.type")]
    [InlineData("POST", "/api/plans", "{}", "application/json; charset=bogus", 415, "request.type")]
    [InlineData("POST", "/api/plans", "{}", "application/json; charset=utf-16", 415, "request.type")]
    [InlineData("POST", "/api/plans", "{\"pulseId\":", "application/json", 400, "request.malformed")]
    [InlineData("POST", "/api/plans", "null", "application/json", 400, "request.malformed")]
    [InlineData("POST", "/api/plans", "", "application/json", 400, "request.malformed")]
    [InlineData("GET", "/api/cooks/no-id", null, "application/json", 404, "request.not_found")]
    [InlineData("GET", "/api/cooks?take=many", null, "application/json", 400, "request.malformed")]
    [InlineData(
        "POST",
        "/api/plans",
        "{\"pulse\":{\"value\":1,\"unit\":\"g\",\"weight\":2}}",
        "application/json",
        400,
        "request.malformed"
    )]
    [InlineData(
        "POST",
        "/api/notes",
        "{\"text\":\"x\",\"answers\":{},\"dish\":{},\"shout\":true}",
        "application/json",
        400,
        "request.malformed"
    )]
    public async Task Each_kind_of_error_has_its_status_its_code_and_the_same_headers(
        string method,
        string path,
        string? body,
        string type,
        int status,
        string code
    )
    {
        var answer = await Send(method, path, body, type);
        Assert.Equal((status, code), await answer.Problem() is var p ? (p.Status, p.Code) : default);
        Assert.Equal("application/problem+json", answer.Content.Headers.ContentType?.MediaType);
        foreach (var header in new[] { "Content-Security-Policy", "X-Content-Type-Options", "Referrer-Policy" })
        {
            Assert.True(answer.Headers.Contains(header), header);
        }

        var json = await answer.Json();
        Assert.NotEmpty(json.GetProperty("title").GetString()!);
        Assert.NotEmpty(json.GetProperty("detail").GetString()!);
        Assert.StartsWith("urn:bright-kettle:", json.GetProperty("type").GetString(), StringComparison.Ordinal);
    }

    /// <summary>Found by mutating requests: each was a 500.</summary>
    [Theory]
    [InlineData("extras", "[null]")]
    [InlineData("others", "[null]")]
    [InlineData("away", "[null]")]
    [InlineData("others", "[{\"pulseId\":null}]")]
    [InlineData("pulseId", "null")]
    [InlineData("soak", "null")]
    [InlineData("style", "\"\\ud83d\"")]
    [InlineData("serveAtLocal", "\"9999-12-31T23:59\"")]
    [InlineData("serveAtLocal", "\"٢٠٢٦-١١-٢٥T١٩:٠٠\"")]
    [InlineData("vesselId", "\"\\u0000\"")]
    public async Task Nothing_in_a_dish_is_a_fault_of_ours(string field, string value)
    {
        var dish = (JsonObject)
            JsonNode.Parse(System.Text.Json.JsonSerializer.Serialize(KettleServer.Dish(), System.Text.Json.JsonSerializerOptions.Web))!;
        // What no text can hold is still JSON.
        dish[field] = "HERE";
        var body = dish.ToJsonString().Replace("\"HERE\"", value, StringComparison.Ordinal);
        foreach (var path in new[] { "/api/plans", "/api/ways", "/api/plans/calendar" })
        {
            Assert.Equal(HttpStatusCode.BadRequest, (await Send("POST", path, body)).StatusCode);
        }
    }

    [Theory]
    [InlineData("٣٠٠ g chickpeas for ٤ at ١٩:٣٠")]
    [InlineData("chickpeas at ۷")]
    [InlineData("\ud83d chickpeas")]
    [InlineData("99999999999999999999 people chickpeas at 99:99")]
    public async Task Figures_of_other_scripts_are_read_or_said_to_be_unread(string line)
    {
        var answer = await _http.PostAsJsonAsync("/api/line", new { line, dish = KettleServer.Dish() }, Cancel);
        Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
        foreach (var phrase in new[] { line, "٣ cups", "half of ٢" })
        {
            Assert.Equal(
                HttpStatusCode.OK,
                (await _http.PostAsJsonAsync("/api/words", new { phrase, dish = KettleServer.Dish() }, Cancel)).StatusCode
            );
        }
    }

    [Theory]
    [InlineData("{\"@type\":[1],\"name\":\"x\"}")]
    [InlineData("{\"@type\":{\"a\":1}}")]
    [InlineData("[[[[[[[[[[{\"@type\":\"Recipe\"}]]]]]]]]]]")]
    [InlineData("{\"@type\":\"Recipe\",\"recipeYield\":[[]],\"recipeIngredient\":[null,1,{}],\"recipeInstructions\":[null,[null]]}")]
    [InlineData("٣٠٠ g chickpeas\nBoil ٤٠ minutes")]
    public async Task Odd_notes_are_read_as_far_as_they_go(string text) =>
        Assert.Equal(
            HttpStatusCode.OK,
            (
                await _http.PostAsJsonAsync(
                    "/api/notes",
                    new
                    {
                        text,
                        answers = new { },
                        dish = KettleServer.Dish(),
                    },
                    Cancel
                )
            ).StatusCode
        );

    [Fact]
    public async Task A_list_of_very_many_faults_names_the_first_and_how_many_there_are()
    {
        var cook = new JsonObject
        {
            ["format"] = CookDocument.FormatName,
            ["version"] = 1,
            ["starts"] = "2026-11-24T18:00:00Z",
            ["seed"] = 1,
            ["kitchen"] = new JsonObject
            {
                ["vesselDiameterCentimetres"] = 0,
                ["vesselBrimMillilitres"] = 0,
                ["burnerMostWatts"] = 0,
                ["burnerLeastWatts"] = -1,
                ["altitudeMetres"] = 1e9,
                ["roomCelsius"] = 1e9,
            },
            ["ingredients"] = new JsonArray([.. Enumerable.Range(0, 16).Select(i => (JsonNode?)null)]),
            ["actions"] = new JsonArray([.. Enumerable.Range(0, 150).Select(i => (JsonNode?)null)]),
        };
        var answer = await Send("POST", "/api/forecast", cook.ToJsonString());
        Assert.Equal(400, (int)answer.StatusCode);
        var json = await answer.Json();
        Assert.Equal(20, json.GetProperty("errors").GetArrayLength());
        Assert.InRange(json.GetProperty("faults").GetInt32(), 160, 200);
        // What is longer than any cook is not gone through at all.
        cook["actions"] = new JsonArray([.. Enumerable.Range(0, 100_000).Select(i => (JsonNode?)null)]);
        answer = await Send("POST", "/api/forecast", cook.ToJsonString());
        Assert.Equal((400, "cook.actions", "actions"), await answer.Problem());
        Assert.True((await answer.Content.ReadAsByteArrayAsync(Cancel)).Length < 10_000);
    }

    [Theory]
    [InlineData("9999-12-31T23:59:59Z")]
    [InlineData("0001-01-01T00:00:00Z")]
    public async Task A_cook_at_the_end_of_time_is_refused(string starts)
    {
        var cook = JsonNode.Parse(
            await _http.GetStringAsync(
                $"/api/cooks/{(await _http.GetFromJsonAsync<CookPageDto>("/api/cooks", Cancel))!.Dinners[0].Id}/cook.json",
                Cancel
            )
        )!;
        cook["starts"] = starts;
        Assert.Equal((400, "cook.starts", "starts"), await (await Send("POST", "/api/forecast", cook.ToJsonString())).Problem());
    }

    [Theory]
    [InlineData("a\u0000b", "request.letters")]
    [InlineData("a\u202Eb", "request.letters")]
    [InlineData("   ", "request.missing")]
    public async Task Names_hold_nothing_that_cannot_be_shown(string name, string code)
    {
        Assert.Equal(
            (400, code, "name"),
            await (await _http.PostAsJsonAsync("/api/kitchen/vessels", new VesselChange(name, 20, 3000), Cancel)).Problem()
        );
        Assert.Equal(
            (400, code, "title"),
            await (
                await _http.PostAsJsonAsync(
                    $"/api/cooks/{Guid.CreateVersion7()}",
                    KettleServer.Change(KettleServer.Dish(), title: name),
                    Cancel
                )
            ).Problem()
        );
    }
}
