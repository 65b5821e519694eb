using System.Net.Http.Json;
using BrightKettle.Server.Kitchen;
using BrightKettle.Server.Planning;
using BrightKettle.Server.Stove;
using Xunit;

namespace BrightKettle.Server.Tests;

/// <summary>Under a locked lid, what putting off costs, and the way of the house at the join.</summary>
public sealed partial class StoveApiTests
{
    [Fact]
    public async Task Pulses_with_the_rice_in_its_bowl_above_reach_the_table_under_one_lid()
    {
        var dish = KettleServer.Dish() with
        {
            PulseId = "toor_split",
            RiceId = "long_white",
            Rice = new(250, "g"),
            Soak = "none",
            Style = "saucy",
            Method = "pressure",
            CookerId = await Buy("weight"),
            VesselId = "wide-pot",
            RiceVesselId = "bowl_above",
        };
        var open = await _http.PostAsJsonAsync("/api/plans", dish with { Method = "open_pot", CookerId = null }, Cancel);
        Assert.Equal((400, "dish.bowl_above", "riceVesselId"), await open.Problem());
        var ways = (await (await _http.PostAsJsonAsync("/api/ways", dish, Cancel)).Content.ReadFromJsonAsync<List<WayDto>>(Cancel))!;
        Assert.Contains(ways, w => w is { RiceVesselId: "bowl_above", TableAt: not null });
        Assert.Contains(ways, w => w is { RiceVesselId: null, Method: "open_pot" });
        var plan = (await (await _http.PostAsJsonAsync("/api/plans", dish, Cancel)).Content.ReadFromJsonAsync<PlanDto>(Cancel))!;
        Assert.Equal(["light", "rice_bowl", "salt", "lock"], plan.Steps.Take(4).Select(s => s.Kind));
        Assert.Equal("rice bowl", plan.Steps[2].Facts.Name);
        var state = await Walk(dish);
        Assert.NotNull(state.After);
        Assert.Contains(state.Moments, m => m is { Step.Kind: "rice_bowl", State: "done" });
        Assert.Contains(state.Moments, m => m is { Step.Kind: "rice_out", State: "done" });
    }

    /// <summary>A cooker of a kind that the demo household has not.</summary>
    private async Task<string> Buy(string kind)
    {
        var answer = await _http.PostAsJsonAsync("/api/kitchen/vessels", new VesselChange("Hill cooker", 22, 6000, kind), Cancel);
        Assert.True(answer.IsSuccessStatusCode);
        return (await _http.GetFromJsonAsync<KitchenDto>("/api/kitchen", Cancel))!.Vessels.Single(v => v.Cooker == kind).Id;
    }

    /// <summary>A dinner under pressure, on its way in the cooker.</summary>
    private async Task<StoveDto> Locked(string cooker, string soak = "none")
    {
        var state = await Start(
            KettleServer.Dish() with
            {
                PulseId = "chickpea",
                RiceId = null,
                Soak = soak,
                Style = "saucy",
                Method = "pressure",
                CookerId = cooker,
                VesselId = "wide-pot",
            }
        );
        return await Walk(state, until: s => s.Moments.First(m => m.Id == s.NowId).Step?.Kind == "hold_over");
    }

    [Fact]
    public async Task A_look_under_the_lid_is_offered_with_its_cost_taken_and_leads_on_to_the_table()
    {
        var state = await Locked("steam-drum");
        GoTo(Now.AddMinutes(4));
        var answers = (await _http.GetFromJsonAsync<StoveAnswersDto>($"/api/stove/{state.Id}/look", Cancel))!.Answers;
        Assert.Equal(["look_and_lock", "open_for_good"], answers.Select(a => a.Code));
        // What it costs, or, with a bag that showed itself slow by then, what it saves, is said of each.
        Assert.All(answers, a => Assert.NotNull(a.SoftLaterMinutes));
        state = await Told(state, Entry(state, "chose") with { What = "look_and_lock", State = "look" });
        Assert.Equal("look_and_lock", state.Course);
        // A tap at the look brings the lock to the front before the answer to it is there: its gate stands on it by then.
        state = await Walk(state, until: s => s.Moments.First(m => m.Id == s.NowId).Waits.Look is not null);
        Assert.Equal(
            "cooker.vent_unchecked",
            state.Moments.Single(m => m.State == "waiting" && m.Deeds.Any(d => d.Do == "lock")).Blocked?.Code
        );
        state = await Walk(state, until: s => s.Moments.First(m => m.Id == s.NowId).Deeds.Any(d => d.Do == "lock"));
        Assert.Contains(state.Told, t => t.Entry.Kind == "felt");
        // They turn out soft: the lid may stay off.
        var open = Assert.Single((await _http.GetFromJsonAsync<StoveAnswersDto>($"/api/stove/{state.Id}/look", Cancel))!.Answers);
        Assert.Equal("stay_open", open.Code);
        state = await Told(state, Entry(state, "chose") with { What = open.Code, State = "look" });
        Assert.NotNull((await Walk(state)).After);
    }

    [Theory]
    [InlineData("none", "look_and_lock")]
    [InlineData("none", "open_for_good")]
    [InlineData("overnight", "look_and_lock")]
    [InlineData("overnight", "open_for_good")]
    public async Task No_gate_stops_a_pulse_with_a_lectin_after_a_look_under_the_lid(string soak, string answer)
    {
        var state = await Start(
            KettleServer.Dish() with
            {
                PulseId = "kidney_red",
                RiceId = null,
                Soak = soak,
                Style = "saucy",
                Method = "pressure",
                CookerId = "steam-drum",
                VesselId = "wide-pot",
            }
        );
        state = await Walk(state, until: s => s.Moments.First(m => m.Id == s.NowId).Step?.Kind == "hold_over");
        state = await Told(state, Entry(state, "chose") with { What = answer, State = "look" });
        Assert.NotNull((await Walk(state)).After);
    }

    [Fact]
    public async Task Where_no_lid_is_in_the_way_no_look_is_priced()
    {
        var state = await Walk(await Start(), until: s => s.Moments.First(m => m.Id == s.NowId).Step?.Kind == "look");
        Assert.Empty((await _http.GetFromJsonAsync<StoveAnswersDto>($"/api/stove/{state.Id}/look", Cancel))!.Answers);
        Assert.Equal(
            "stove.no_such_answer",
            (await Tell(state, Entry(state, "chose") with { What = "look_and_lock", State = "look" })).Entries[0].Code
        );
        Assert.Equal(
            (404, "stove.missing", null),
            await (await _http.GetAsync($"/api/stove/{Guid.CreateVersion7()}/look", Cancel)).Problem()
        );
    }

    [Fact]
    public async Task A_cooker_of_which_nothing_is_heard_is_asked_for_after_15_minutes_and_let_down()
    {
        var state = await Start(
            KettleServer.Dish() with
            {
                PulseId = "chickpea",
                RiceId = null,
                Soak = "none",
                Style = "saucy",
                Method = "pressure",
                CookerId = await Buy("weight"),
                VesselId = "wide-pot",
            }
        );
        state = await Walk(state, until: s => s.Moments.First(m => m.Id == s.NowId).Waits.Event == "whistle");
        Assert.Equal(Now.AddMinutes(15), state.Visits.Single(v => v.Code == "silent").At, TimeSpan.FromSeconds(5));
        GoTo(Now.AddMinutes(16));
        var help = (
            await (
                await _http.PostAsJsonAsync($"/api/stove/{state.Id}/trouble", new StoveTrouble("silent"), Cancel)
            ).Content.ReadFromJsonAsync<StoveAnswersDto>(Cancel)
        )!.Answers;
        Assert.Equal("off_and_alone", help!.Single().Code);
        state = await Told(state, Entry(state, "chose") with { What = "off_and_alone", State = "silent" });
        Assert.DoesNotContain(state.Visits, v => v.Code == "silent");
        Assert.NotNull((await Walk(state)).After);
    }

    [Fact]
    public async Task Putting_off_costs_what_the_model_says_nothing_where_tender_pulses_wait()
    {
        // A look a little later than due moves nothing: the rice is still to come at its minute.
        var state = await Walk(await Start(), until: s => s.Moments.First(m => m.Id == s.NowId).Step?.Kind == "look");
        Assert.Equal(0, Moment(state, "look").PutOff!.TableMinutes);
        Assert.All(state.Moments.Where(m => m.State == "done"), m => Assert.Null(m.PutOff));
        state = await Walk(state, until: s => s.Moments.First(m => m.Id == s.NowId).Step?.Kind == "heat_off");
        Assert.InRange(Moment(state, "heat_off").PutOff!.TableMinutes, 2, 4);
    }

    [Theory]
    [InlineData(true)]
    [InlineData(false)]
    public async Task Rice_is_stirred_in_or_left_by_the_way_of_the_house(bool stirs)
    {
        var kitchen = (await _http.GetFromJsonAsync<KitchenDto>("/api/kitchen", Cancel))!;
        Assert.True(kitchen.StirsAtJoin);
        await _http.PutAsJsonAsync("/api/kitchen", KettleServer.Unchanged(kitchen) with { StirsAtJoin = stirs }, Cancel);
        Assert.Equal(stirs, (await _http.GetFromJsonAsync<KitchenDto>("/api/kitchen", Cancel))!.StirsAtJoin);
        Assert.Equal(stirs, Moment(await Start(), "join").Deeds.Any(d => d.Do == "stir"));
    }
}
