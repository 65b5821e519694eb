using System.Net;
using System.Net.Http.Json;
using BrightKettle.Server.Messages;
using BrightKettle.Server.Practice;
using Xunit;

namespace BrightKettle.Server.Tests;

/// <summary>The practice pot over the interface.</summary>
public class PracticeApiTests(DemoServer server) : IClassFixture<DemoServer>
{
    private readonly HttpClient _http = server.CreateClient();

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    private async Task<T> Get<T>(string path) => (await _http.GetFromJsonAsync<T>(path, Cancel))!;

    [Fact]
    public async Task Every_scene_and_every_answer_has_its_sentences()
    {
        var scenes = await Get<List<PracticeSceneDto>>("/api/practice");
        Assert.True(scenes.Count >= 9);
        foreach (var scene in scenes)
        {
            var facts = new MessageFacts(new Dictionary<string, object?> { ["pulse"] = scene.PulseName, ["rice"] = scene.RiceName ?? "" });
            Assert.NotEmpty(Messages.Messages.Say($"practice.scene.{scene.Id}"));
            Assert.NotEmpty(Messages.Messages.Say($"practice.story.{scene.Id}", facts));
            Assert.All(scene.Choices, c => Assert.NotEmpty(Messages.Messages.Say($"practice.choice.{scene.Id}.{c}")));
            // Why the best was the best: another sentence for another answer, but where it is one rule.
            var why = scene
                .Choices.Select(c =>
                    Messages.Messages.Say($"practice.why.{scene.Id}", new MessageFacts(new Dictionary<string, object?> { ["best"] = c }))
                )
                .Distinct();
            Assert.True(why.Count() >= 2);
        }
    }

    [Fact]
    public async Task A_pot_tells_what_a_hand_can_know_and_after_the_decision_everything()
    {
        var pot = await _http.GetStringAsync("/api/practice/rice_time/3", Cancel);
        Assert.DoesNotContain("pace", pot, StringComparison.OrdinalIgnoreCase);
        var answer = await _http.PostAsJsonAsync("/api/practice/rice_time/3", new PracticeDecision("wait_12"), Cancel);
        var inside = (await answer.Content.ReadFromJsonAsync<PracticeInsideDto>(Cancel))!;
        Assert.Equal(["now", "wait_12", "wait_30"], inside.Endings.Select(e => e.Choice));
        Assert.Equal("wait_12", inside.Chosen);
        Assert.Equal(inside.Endings.Max(e => e.Points), inside.Endings.Single(e => e.Choice == inside.Best).Points);
        Assert.All(inside.Endings, e => Assert.True(e.Line.Count > 20 && e.Line[0].Minutes < 1));
        // Until the decision it is one evening.
        var before = inside.Endings.Select(e => e.Line.Where(p => p.Minutes < inside.Moment - 3).Select(p => p.Pulses).Max()).ToList();
        Assert.All(before, b => Assert.InRange(b, before[0] - 5, before[0] + 5));
    }

    [Fact]
    public async Task Every_scene_is_opened_up_with_what_was_wanted()
    {
        foreach (var scene in await Get<List<PracticeSceneDto>>("/api/practice"))
        {
            var answer = await _http.PostAsJsonAsync($"/api/practice/{scene.Id}/8", new PracticeDecision(scene.Choices[0]), Cancel);
            Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
            var inside = (await answer.Content.ReadFromJsonAsync<PracticeInsideDto>(Cancel))!;
            Assert.True(
                inside.WantedLow > 0 && !(inside.WantedHigh <= inside.WantedLow),
                $"{scene.Id}: {inside.WantedLow} {inside.WantedHigh}"
            );
        }
    }

    [Theory]
    [InlineData("/api/practice/rice_time/200")]
    [InlineData("/api/practice/rice_time/-1")]
    [InlineData("/api/practice/no_scene/0")]
    public async Task What_is_no_pot_is_missing(string path)
    {
        var answer = await _http.GetAsync(path, Cancel);
        Assert.Equal(HttpStatusCode.NotFound, answer.StatusCode);
        Assert.Contains("practice.no_such_pot", await answer.Content.ReadAsStringAsync(Cancel), StringComparison.Ordinal);
        Assert.Equal(HttpStatusCode.NotFound, (await _http.PostAsJsonAsync(path, new PracticeDecision("now"), Cancel)).StatusCode);
    }

    [Theory]
    [InlineData(null, "request.missing")]
    [InlineData("pray", "request.unknown_word")]
    public async Task An_answer_that_is_none_is_refused(string? choice, string code)
    {
        var answer = await _http.PostAsJsonAsync("/api/practice/rice_time/0", new PracticeDecision(choice), Cancel);
        Assert.Equal(HttpStatusCode.BadRequest, answer.StatusCode);
        Assert.Contains(code, await answer.Content.ReadAsStringAsync(Cancel), StringComparison.Ordinal);
    }
}
