using System.Net.Http.Json;
using System.Text.Json;
using BrightKettle.Server.Planning;
using BrightKettle.Server.Words;
using Xunit;

namespace BrightKettle.Server.Tests;

/// <summary>Forty hasty lines as strangers type them, into a kitchen with another dinner in its form: how many are answered at once by a
/// plan that nearly always comes out. None was chosen to fit; the count and the worst are published in docs/model.md. Nine in ten are
/// wanted: this holds what is reached.</summary>
public sealed class StrangerLinesTests(ITestOutputHelper output) : IDisposable
{
    private readonly KettleServer _server = new(demo: true);

    public void Dispose() => _server.Dispose();

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    private const double Sure = 0.85;

    [Fact]
    public async Task Three_lines_in_four_end_in_a_dinner_that_nearly_always_comes_out()
    {
        var http = _server.CreateClient();
        var lines = await File.ReadAllLinesAsync(Path.Combine(AppContext.BaseDirectory, "strangers.txt"), Cancel);
        var (good, offered, unread) = (0, 0, 0);
        foreach (var line in lines)
        {
            var answer = await http.PostAsJsonAsync("/api/line", new LineRequest(line, KettleServer.Dish()), Cancel);
            var said = (await answer.Content.ReadFromJsonAsync<LineAnswerDto>(Cancel))!;
            unread += said.NotUnderstood.Count > 0 ? 1 : 0;
            var plan = await http.PostAsJsonAsync("/api/plans", said.Dish, Cancel);
            var json = await plan.Content.ReadFromJsonAsync<JsonElement>(Cancel);
            string result;
            if (plan.IsSuccessStatusCode)
            {
                var share = json.GetProperty("forecast").GetProperty("shareTender").GetDouble();
                good += share >= Sure ? 1 : 0;
                result = $"{share:0.00} {said.Dish.Soak} {said.Dish.Style} {said.Dish.Method} {said.Dish.PulseTarget}";
            }
            else
            {
                // A refusal is an answer where it comes with what works.
                var offers = json.TryGetProperty("alternatives", out var a) ? a.GetArrayLength() : 0;
                offered += offers > 0 ? 1 : 0;
                result = $"{json.GetProperty("code").GetString()} with {offers} offers";
            }

            output.WriteLine($"{result} | {line} | {string.Join(", ", said.NotUnderstood)}");
        }

        output.WriteLine($"{good} nearly always, {offered} refused with an offer, {unread} with something unread, of {lines.Length}");
        Assert.True(lines.Length == 40);
        Assert.True(good >= 30, $"{good}");
        Assert.True(good + offered >= 32, $"{good} + {offered}");
        Assert.True(unread <= 2, $"{unread}");
    }
}
