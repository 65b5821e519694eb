using System.Net.Http.Json;
using BrightKettle.Core.Stove;
using BrightKettle.Server.Answers;
using BrightKettle.Server.Planning;
using BrightKettle.Server.Stove;
using Xunit;

namespace BrightKettle.Server.Tests;

/// <summary>Dinners whose pulses leave their liquid for the rice, planned, offered, refused and cooked along.</summary>
public sealed partial class StoveApiTests
{
    private static DishDto Joined(string join, string pulse, string soak) =>
        KettleServer.Dish() with
        {
            PulseId = pulse,
            RiceId = "long_white",
            Soak = soak,
            Style = "dry",
            RiceJoin = join,
        };

    [Theory]
    [InlineData("after_draining", "lentil_green", "none", "drained", "drain_pot")]
    [InlineData("in_the_liquor", "chickpea", "overnight", "lifted", "move")]
    public async Task Pulses_that_leave_their_liquid_for_the_rice_are_cooked_along_to_the_table(
        string join,
        string pulse,
        string soak,
        string step,
        string deed
    )
    {
        var dish = Joined(join, pulse, soak);
        var plan = (await (await _http.PostAsJsonAsync("/api/plans", dish, Cancel)).Content.ReadFromJsonAsync<PlanDto>(Cancel))!;
        var kinds = plan.Steps.Select(s => s.Kind).ToList();
        Assert.True(kinds.IndexOf("look") < kinds.IndexOf(step) && kinds.IndexOf(step) < kinds.IndexOf("join"), string.Join(" ", kinds));
        Assert.Equal(join == "in_the_liquor", kinds.IndexOf("put_back") > kinds.IndexOf("heat_off"));
        var state = await Walk(dish);
        Assert.NotNull(state.After);
        // With a join that comes with the look it is one thing of what the look asks for.
        Assert.Contains(state.Moments, m => (m.Step?.Kind == step || m.Deeds.Any(d => d.Do == deed)) && m.State == "done");
        Assert.Equal(join == "in_the_liquor", state.Moments.Any(m => m is { Step.Kind: "put_back", State: "done" }));
    }

    [Fact]
    public async Task Such_ways_are_offered_by_name_and_refused_beside_the_field_where_nothing_is_drained()
    {
        var dish = Joined("in_the_pot", "lentil_green", "none");
        var ways = (await (await _http.PostAsJsonAsync("/api/ways", dish, Cancel)).Content.ReadFromJsonAsync<List<WayDto>>(Cancel))!;
        Assert.Contains(ways, w => w is { RiceJoin: "after_draining", TableAt: not null });
        Assert.Contains(ways, w => w is { RiceJoin: "in_the_liquor", TableAt: not null });
        var tin = await _http.PostAsJsonAsync("/api/plans", dish with { RiceJoin = "in_the_liquor", Method = "cooked" }, Cancel);
        Assert.Equal((400, "dish.rice_join", "riceJoin"), await tin.Problem());
        var word = await _http.PostAsJsonAsync("/api/plans", dish with { RiceJoin = "sideways" }, Cancel);
        Assert.Equal(400, (int)word.StatusCode);
    }

    [Fact]
    public async Task Two_lentils_that_shall_stay_whole_are_walked_one_after_the_other_to_the_table()
    {
        var dish = Joined("in_the_pot", "lentil_green", "none") with { RiceId = null, Others = [new OtherPulseDto("lentil_french")] };
        var plan = (await (await _http.PostAsJsonAsync("/api/plans", dish, Cancel)).Content.ReadFromJsonAsync<PlanDto>(Cancel))!;
        Assert.Equal("small green lentils", plan.Steps.Single(s => s.Kind == "lifted").Facts.Name);
        Assert.Equal("lifted", plan.Steps.First(s => s.Kind == "look").Facts.Place);
        var state = await Walk(dish);
        Assert.NotNull(state.After);
        Assert.Contains(state.Moments, m => m is { Step.Kind: "put_back", State: "done" });
    }

    /// <summary>Rice that is only stirred in waits for its hour: the look promises nothing else.</summary>
    [Fact]
    public async Task Instant_rice_is_told_to_be_stirred_in_at_its_hour()
    {
        var dish = Joined("in_the_pot", "chickpea", "overnight") with { RiceId = "instant_precooked", Style = "moist" };
        var plan = (await (await _http.PostAsJsonAsync("/api/plans", dish, Cancel)).Content.ReadFromJsonAsync<PlanDto>(Cancel))!;
        Assert.NotEqual("at_once", plan.Steps.Single(s => s.Kind == "look").Facts.Place);
        Assert.Equal("off", plan.Steps.Single(s => s.Kind == "join").Facts.Place);
        Assert.NotNull((await Walk(dish)).After);
    }

    /// <summary>While pulses stand in their bowl everything that can go wrong is answered, and each answer that changes the evening leads
    /// to the table.</summary>
    [Theory]
    [InlineData(true, 0, Trouble.HardDry)]
    [InlineData(true, 0, Trouble.Scorched)]
    [InlineData(true, 1, Trouble.FlameOut)]
    [InlineData(false, 0, Trouble.CalledAway)]
    [InlineData(false, 1, Trouble.CalledAway)]
    public async Task Whatever_goes_wrong_while_pulses_stand_beside_is_answered_and_leads_to_the_table(
        bool withRice,
        int later,
        Trouble taken
    )
    {
        var dish = withRice
            ? Joined("in_the_liquor", "chickpea", "overnight")
            : Joined("in_the_pot", "lentil_green", "none") with
            {
                RiceId = null,
                Others = [new OtherPulseDto("lentil_french")],
            };
        static bool Stands(StoveDto s) =>
            s.Moments.Any(m => m.Deeds.Any(d => d.Do == "move") && m.State == "done")
            && s.Moments.Any(m => m.Step?.Kind == "put_back" && m.State == "waiting");
        var state = await Walk(await Start(dish), until: Stands);
        for (; later > 0; later--)
        {
            var now = state.NowId;
            state = await Walk(state, until: s => s.NowId != now);
        }

        Assert.True(Stands(state));
        string? answer = null;
        foreach (var trouble in Enum.GetValues<Trouble>())
        {
            var help = await _http.PostAsJsonAsync($"/api/stove/{state.Id}/trouble", new StoveTrouble(ClosedSet.Word(trouble)), Cancel);
            Assert.True(help.IsSuccessStatusCode, $"{trouble}: {await help.Content.ReadAsStringAsync(Cancel)}");
            var answers = (await help.Content.ReadFromJsonAsync<StoveAnswersDto>(Cancel))!.Answers;
            answer = trouble == taken ? answers[0].Code : answer;
        }

        Assert.True((await _http.GetAsync($"/api/stove/{state.Id}/late", Cancel)).IsSuccessStatusCode);
        state = await Told(state, Entry(state, "chose") with { What = answer!, State = ClosedSet.Word(taken) });
        GoTo(Now.AddSeconds(20));
        // A bowl stands on no burner.
        Assert.DoesNotContain(state.Moments, m => m.Lane == "pulse_bowl" && m.Deeds.Any(d => d.Do == "flame"));
        Assert.NotNull((await Walk(state)).After);
    }
}
