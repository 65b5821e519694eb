using System.Net.Http.Json;
using System.Text.Json;
using BrightKettle.Core.Planning;
using BrightKettle.Server.Kitchen;
using BrightKettle.Server.Planning;
using BrightKettle.Server.Words;
using Xunit;

namespace BrightKettle.Server.Tests;

/// <summary>What the planning page asks beside a plan: pulls, slips, ways one by one, extras, two pots, hands.</summary>
public class SurfaceApiTests(DemoServer server) : IClassFixture<DemoServer>
{
    private readonly HttpClient _http = server.CreateClient();

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    private Task<HttpResponseMessage> Post<T>(string path, T body) => _http.PostAsJsonAsync(path, body, Cancel);

    private async Task<T> Get<T>(string path, object body) => (await (await Post(path, body)).Content.ReadFromJsonAsync<T>(Cancel))!;

    private static DishDto Rich =>
        KettleServer.Dish() with
        {
            Extras = [new("tomato_tin", new(1, "piece")), new("leaf", null, null, 3), new("onion", new(250, "g"))],
        };

    [Fact]
    public async Task Extras_are_timed_weighed_counted_and_given_to_the_hands()
    {
        var plan = await Get<PlanDto>("/api/plans", Rich);
        Assert.Equal(["join", "start", "start"], plan.MeasureOut.Extras.Select(x => x.Time));
        Assert.Equal(400, plan.MeasureOut.Extras[0].Grams);
        Assert.Contains(plan.Steps, s => s is { Kind: "take_out", Facts.Pieces: 3 });
        Assert.Contains(plan.Hands.Tasks, t => t.Id == "brown");
        Assert.True(plan.Hands.InWaits + plan.Hands.Outside > 0);
        Assert.NotEmpty(plan.Hands.Flames[0].Burns);
        Assert.InRange(plan.MeasureOut.Salt.Percent, 0.8, 1);
        Assert.Contains(plan.MeasureOut.Salt.Sources, s => s.What == "Canned tomato");
    }

    [Fact]
    public async Task Cooked_pulses_may_come_from_the_freezer_and_are_named_so_among_the_ways()
    {
        var dish = KettleServer.Dish() with { Method = "cooked", Soak = "none", CookedFrom = "freezer" };
        var plan = await Get<PlanDto>("/api/plans", dish);
        Assert.Contains("Chickpeas, from the freezer into the fridge", plan.Hands.DayBefore);
        // Neither soaked, though the dish may have been before, nor looked at: they are soft.
        var kinds = (await Get<PlanDto>("/api/plans", dish with { Soak = "overnight" })).Steps.Select(s => s.Kind).ToList();
        Assert.DoesNotContain("soak", kinds);
        Assert.DoesNotContain("look", kinds);
        // Weighed as they are: cooked and drained.
        var weighed = plan.MeasureOut.DrainedGrams!.Value;
        Assert.InRange(weighed / plan.MeasureOut.PulseGrams, 1.9, 2.6);
        Assert.Contains(plan.Steps, s => s.Facts.Grams == weighed);
        Assert.Null((await Get<PlanDto>("/api/plans", KettleServer.Dish())).MeasureOut.DrainedGrams);
        Assert.All(await Get<List<WayDto>>("/api/ways", dish), w => Assert.Equal("freezer", w.CookedFrom));
        Assert.Equal(
            (400, "request.unknown_word", "cookedFrom"),
            await (await Post("/api/plans", dish with { CookedFrom = "attic" })).Problem()
        );
    }

    [Fact]
    public async Task Blanched_meat_brings_less_salt_and_a_task_for_the_hands()
    {
        DishDto With(bool blanched) => KettleServer.Dish() with { Extras = [new("ham_hock", new(500, "g"), Blanched: blanched)] };
        var (raw, blanched) = (await Get<PlanDto>("/api/plans", With(false)), await Get<PlanDto>("/api/plans", With(true)));
        Assert.DoesNotContain(raw.Hands.Tasks, t => t.Id == "blanch");
        Assert.Contains(blanched.Hands.Tasks, t => t.Id == "blanch");
        Assert.True(blanched.MeasureOut.Extras.Single().Blanched);
        Assert.Contains(blanched.Steps, s => s.Facts is { Name: "Ham hock", Blanched: true });
        Assert.True(blanched.MeasureOut.Salt.AddGrams >= raw.MeasureOut.Salt.AddGrams + 3);
        Assert.Equal(
            0.7,
            blanched.MeasureOut.Salt.Sources.Single(s => s.What == "Ham hock").Grams
                / raw.MeasureOut.Salt.Sources.Single(s => s.What == "Ham hock").Grams,
            2
        );
        Assert.Equal(
            (400, "extra.not_blanched", "extras[0].blanched"),
            await (await Post("/api/plans", KettleServer.Dish() with { Extras = [new("onion", Blanched: true)] })).Problem()
        );
    }

    [Fact]
    public async Task Rice_in_its_own_pot_has_its_own_steps_and_water()
    {
        var plan = await Get<PlanDto>("/api/plans", KettleServer.Dish() with { Style = "saucy", RiceVesselId = "wide-pot" });
        Assert.Equal("Wide white pot", plan.MeasureOut.RiceVesselName);
        Assert.InRange(plan.MeasureOut.RiceWaterMillilitres!.Value, 400, 900);
        Assert.Equal(
            ["rice_light", "rice_boils", "rice_off", "rice_rested"],
            plan.Steps.Select(s => s.Kind).Where(k => k.StartsWith("rice", StringComparison.Ordinal))
        );
        Assert.Equal(2, plan.Hands.Flames.Count);
        Assert.Equal(
            (400, "dish.rice_pot", "riceVesselId"),
            await (await Post("/api/plans", KettleServer.Dish() with { RiceVesselId = "blue-pot" })).Problem()
        );
    }

    [Fact]
    public async Task Several_pulses_share_the_pot_and_the_slowest_leads_whatever_the_order()
    {
        var dish = KettleServer.Dish() with
        {
            PulseId = "lentil_brown",
            Pulse = new(100, "g"),
            Others = [new("chickpea", new(180, "g"))],
            RiceId = "long_white",
            Style = "saucy",
            VesselId = "wide-pot",
        };
        var plan = await Get<PlanDto>("/api/plans", dish);
        Assert.Equal(
            ("Chickpeas and brown lentils with white rice", "Chickpeas", 180),
            (plan.Title, plan.PulseName, plan.MeasureOut.PulseGrams)
        );
        Assert.Equal((100, false), Assert.Single(plan.MeasureOut.Others) is var o ? (o.Grams, o.Collapsed) : default);
        Assert.Contains(plan.Steps, s => s is { Kind: "other_in", Facts.Name: "Brown lentils" });
        Assert.Equal(
            (400, "dish.others", "others"),
            await (await Post("/api/plans", dish with { Others = [new("lentil_brown")] })).Problem()
        );
        Assert.Equal(
            (400, "catalogue.unknown_pulse", "others[0].pulseId"),
            await (await Post("/api/plans", dish with { Others = [new("pebble")] })).Problem()
        );
        var said = await Get<LineAnswerDto>("/api/line", new LineRequest("brown lentils and chickpeas", KettleServer.Dish()));
        Assert.Equal(("chickpea", "lentil_brown"), (said.Dish.PulseId, Assert.Single(said.Dish.Others!).PulseId));
    }

    [Fact]
    public async Task Every_pulse_that_is_soaked_or_starts_is_named_in_its_step()
    {
        var dish = KettleServer.Dish() with
        {
            PulseId = "kidney_red",
            Pulse = new(150, "g"),
            Others = [new("pinto", new(140, "g"))],
            RiceId = null,
            Rice = null,
            Style = "saucy",
        };
        var plan = await Get<PlanDto>("/api/plans", dish);
        Assert.Equal([new PartDto(140, "pinto beans")], plan.Steps.Single(s => s.Kind == "soak").Facts.Others);
        Assert.Equal([new PartDto(140, "pinto beans")], plan.Steps.Single(s => s.Kind == "light").Facts.Others);
        var three = await Get<PlanDto>(
            "/api/plans",
            KettleServer.Dish() with
            {
                Pulse = new(120, "g"),
                Others = [new("lentil_brown", new(60, "g")), new("lentil_green", new(70, "g"))],
                RiceId = null,
                Rice = null,
                Style = "saucy",
            }
        );
        Assert.Equal([60, 70], three.Steps.Where(s => s.Kind == "other_in").Select(s => s.Facts.Grams!.Value).Order());
    }

    [Theory]
    [InlineData(12, "pull.table")]
    [InlineData(-12, "pull.table")]
    public async Task A_dish_says_its_hour_once(int table, string field) =>
        Assert.Equal(
            (400, "request.out_of_range", field),
            await (await Post("/api/plans", KettleServer.Dish() with { Pull = new(Table: table) })).Problem()
        );

    [Fact]
    public async Task What_is_left_on_the_shelf_is_an_amount()
    {
        Assert.Equal(340, (await Get<PlanDto>("/api/plans", KettleServer.Dish() with { Pulse = new(1, "shelf") })).MeasureOut.PulseGrams);
        Assert.Equal(
            (400, "dish.not_on_shelf", "pulse"),
            await (await Post("/api/plans", KettleServer.Dish() with { PulseId = "adzuki", Pulse = new(1, "shelf") })).Problem()
        );
    }

    [Theory]
    [InlineData("nonsense", 5, "g", null, "catalogue.unknown_extra", "extras[0].extraId")]
    [InlineData("onion", 0, "g", null, "request.out_of_range", "extras[0].amount")]
    [InlineData("onion", 5, "furlong", null, "request.unknown_word", "extras[0].amount.unit")]
    [InlineData("greens", 5, "piece", null, "request.unknown_word", "extras[0].amount.unit")]
    [InlineData("onion", 50, "g", "someday", "request.unknown_word", "extras[0].time")]
    public async Task A_wrong_extra_is_named_by_its_place(string id, double value, string unit, string? time, string code, string field) =>
        Assert.Equal(
            (400, code, field),
            await (await Post("/api/plans", KettleServer.Dish() with { Extras = [new(id, new(value, unit), time)] })).Problem()
        );

    [Fact]
    public async Task Little_ones_get_theirs_before_the_salt()
    {
        var plan = await Get<PlanDto>("/api/plans", KettleServer.Dish() with { LittleOnes = 2, Salt = "in_the_soak" });
        Assert.Equal(("at_the_table", 2), (plan.HouseWays.Salt, plan.MeasureOut.LittleOnes));
        Assert.True(plan.Steps.Single(s => s.Kind == "salt").At >= plan.Steps.Single(s => s.Kind == "heat_off").At);
    }

    [Fact]
    public async Task Being_out_moves_the_beans_forward_or_is_refused_beside_its_field()
    {
        var told = await Post("/api/plans", KettleServer.Dish() with { Away = [new("2026-11-25T16:30", "2026-11-25T17:30")] });
        Assert.True(told.IsSuccessStatusCode, await told.Content.ReadAsStringAsync(Cancel));
        var plan = (await told.Content.ReadFromJsonAsync<PlanDto>(Cancel))!;
        Assert.DoesNotContain(plan.Hands.Flames[0].Burns, b =>
            b.From < new DateTimeOffset(2026, 11, 25, 17, 30, 0, TimeSpan.Zero)
            && b.To > new DateTimeOffset(2026, 11, 25, 16, 30, 0, TimeSpan.Zero)
        );
        Assert.Equal(
            (422, "away"),
            (await (await Post("/api/plans", KettleServer.Dish() with { Away = [new("2026-11-25T18:00", "2026-11-25T19:00")] })).Problem())
                is var (s, _, f)
                ? (s, f)
                : default
        );
        Assert.Equal(
            (400, "dish.away", "away"),
            await (await Post("/api/plans", KettleServer.Dish() with { Away = [new("2026-11-25T18:00", "2026-11-25T17:00")] })).Problem()
        );
        Assert.Equal(
            (400, "request.time", "away"),
            await (await Post("/api/plans", KettleServer.Dish() with { Away = [new("noon", "2026-11-25T17:00")] })).Problem()
        );
    }

    [Fact]
    public async Task A_pull_is_answered_with_its_price_in_words()
    {
        var pulled = await Get<PulledDto>("/api/plans/pulled", new PullRequest(KettleServer.Dish(), new(Join: 25)));
        Assert.Contains(pulled.Differences, d => d is { Code: "table", Worse: true, Amount: > 1.5 });
        Assert.NotEmpty(pulled.Series.At);
        Assert.Null(pulled.Obstacle);
        var night = await Get<PulledDto>("/api/plans/pulled", new PullRequest(KettleServer.Dish(), new(Table: 330)));
        Assert.Contains("night", night.Obstacle, StringComparison.Ordinal);
        Assert.Empty((await Get<PulledDto>("/api/plans/pulled", new PullRequest(KettleServer.Dish(), new()))).Differences);
    }

    [Fact]
    public async Task A_flame_that_burns_on_under_a_dry_bed_makes_a_crust_and_then_scorches_it()
    {
        Assert.Equal("clean", (await Get<PlanDto>("/api/plans", KettleServer.Dish())).Base);
        var scorched = await Get<PulledDto>("/api/plans/pulled", new PullRequest(KettleServer.Dish(), new(FlameOff: 90)));
        Assert.Contains(scorched.Differences, d => d is { Code: "base", Worse: true, After: "scorched" });
        Assert.Equal("scorched", (await Get<PlanDto>("/api/plans", KettleServer.Dish() with { Pull = new(FlameOff: 90) })).Base);
    }

    [Theory]
    [InlineData(2000, 0, "pull.table")]
    [InlineData(0, 300, "pull.join")]
    public async Task A_pull_out_of_reach_is_refused(int table, int join, string field) =>
        Assert.Equal(
            (400, "request.out_of_range", field),
            await (await Post("/api/plans/pulled", new PullRequest(KettleServer.Dish(), new(Table: table, Join: join)))).Problem()
        );

    [Theory]
    [InlineData("start_late", 60, null, null)]
    [InlineData("dinner_moves", 45, null, null)]
    [InlineData("soak_forgotten", null, null, null)]
    [InlineData("more_guests", null, 2, null)]
    [InlineData("without", null, null, "tomato_tin")]
    [InlineData("smaller_pot", null, null, "wide-pot")]
    public async Task Each_slip_is_mended_with_the_difference_in_words(string kind, int? minutes, int? people, string? what)
    {
        var answer = await Get<SlipAnswerDto>("/api/plans/slip", new SlipRequest(Rich, new(kind, minutes, people, what)));
        Assert.NotEmpty(answer.Note);
        switch (kind)
        {
            case "soak_forgotten":
                Assert.NotEqual("overnight", answer.Dish.Soak);
                break;
            case "more_guests":
                Assert.Equal((6, 450), (answer.Dish.People, answer.Dish.Pulse!.Value));
                break;
            case "without":
                Assert.DoesNotContain(answer.Dish.Extras!, x => x.ExtraId == "tomato_tin");
                break;
            case "dinner_moves":
                Assert.Equal("2026-11-25T19:45", answer.Dish.ServeAtLocal);
                Assert.Contains(answer.Differences, d => d is { Code: "table", Amount: 45 });
                break;
            case "smaller_pot":
                Assert.Contains(answer.Differences, d => d is { Code: "pot", Before: "Blue pot", After: "Wide white pot" });
                break;
        }
    }

    [Theory]
    [InlineData("start_late", null, null, "slip.minutes")]
    [InlineData("more_guests", null, null, "slip.people")]
    [InlineData("without", null, "coconut_milk", "slip.what")]
    [InlineData("smaller_pot", null, "kettle", "slip.what")]
    [InlineData("earthquake", null, null, "slip.kind")]
    public async Task A_slip_that_makes_no_sense_is_refused_beside_its_field(string kind, int? minutes, string? what, string field) =>
        Assert.Equal(
            (400, field),
            await (await Post("/api/plans/slip", new SlipRequest(Rich, new(kind, minutes, null, what)))).Problem() is var (s, _, f)
                ? (s, f)
                : default
        );

    [Fact]
    public async Task Ways_arrive_one_by_one_and_at_last_in_their_order()
    {
        var lines = (await (await Post("/api/ways/stream", KettleServer.Dish())).Content.ReadAsStringAsync(Cancel)).Split(
            '\n',
            StringSplitOptions.RemoveEmptyEntries
        );
        var events = lines.Select(l => JsonSerializer.Deserialize<WayEventDto>(l, JsonSerializerOptions.Web)!).ToList();
        Assert.All(events.SkipLast(1), e => Assert.NotNull(e.Way));
        Assert.Equal(events[0].Of, events.Count - 1);
        var all = events[^1].All!;
        Assert.Equal(events.Count - 1, all.Count);
        Assert.All(all.Where(w => w.TableAt is not null), w =>
            Assert.True(w.Facts is { HandsOnMinutes: > 3, EnergyKilowattHours: > 0.05, BeThere.Count: > 0 })
        );
        Assert.All(all.Where(w => w.TableAt is null), w => Assert.False(string.IsNullOrEmpty(w.Detail)));
        Assert.Equal(
            all.Where(w => w.WithLooks is not null).Select(w => w.WithLooks).OrderDescending(),
            all.Where(w => w.WithLooks is not null).Select(w => w.WithLooks)
        );
    }

    public static TheoryData<string> Shapes => ["one_pot", "gravy", "porridge"];

    private static DishDto Shape(string shape) =>
        shape switch
        {
            "gravy" => KettleServer.Dish() with
            {
                PulseId = "borlotti",
                RiceId = "long_white",
                Style = "saucy",
                VesselId = "wide-pot",
                RiceVesselId = "blue-pot",
                Extras = [new("tomato_tin"), new("leaf")],
            },
            "porridge" => KettleServer.Dish() with
            {
                PulseId = "lentil_yellow_split",
                Pulse = new(120, "g"),
                RiceId = "broken",
                Rice = new(160, "g"),
                Soak = "none",
                Style = "soup",
                VesselId = "wide-pot",
                Extras = [new("whole_spice")],
            },
            _ => KettleServer.Dish() with { Extras = [new("onion")] },
        };

    [Theory]
    [MemberData(nameof(Shapes))]
    public async Task The_calendar_file_is_opened_by_a_standard_reader_with_an_alarm_at_each_moment(string shape)
    {
        var response = await Post("/api/plans/calendar", Shape(shape));
        Assert.Equal("text/calendar", response.Content.Headers.ContentType!.MediaType);
        var text = await response.Content.ReadAsStringAsync(Cancel);
        var calendar = Ical.Net.Calendar.Load(text)!;
        var plan = await Get<PlanDto>("/api/plans", Shape(shape));
        Assert.True(calendar.Events.Count >= 4);
        foreach (var kind in new[] { "light", "table" })
        {
            var at = plan.Steps.First(s => s.Kind == kind).At;
            var entry = Assert.Single(calendar.Events, e =>
                e.Start!.AsUtc == at.UtcDateTime && e.Summary == StepWords.Title(plan.Steps.First(s => s.Kind == kind), plan)
            );
            Assert.Single(entry.Alarms);
        }

        // A dinner that moves within its day replaces its alarms: their ids stay.
        var moved = await Post("/api/plans/calendar", Shape(shape) with { ServeAtLocal = Shape(shape).ServeAtLocal[..^2] + "20" });
        var later = Ical.Net.Calendar.Load(await moved.Content.ReadAsStringAsync(Cancel))!;
        Assert.Equal(calendar.Events.Select(e => e.Uid).Order(), later.Events.Select(e => e.Uid).Order());
        Assert.All(calendar.Events, e =>
            Assert.InRange(e.Alarms.Single().Trigger!.Duration!.Value.ToTimeSpanUnspecified().TotalMinutes, -30, 0)
        );
        Assert.Equal(calendar.Events.Count, calendar.Events.Select(e => e.Uid).Distinct().Count());
        Assert.All(text.Split("\r\n"), line => Assert.True(System.Text.Encoding.UTF8.GetByteCount(line) <= 75));
    }

    [Theory]
    [MemberData(nameof(Shapes))]
    public async Task Each_shape_has_hands_without_a_collision(string shape)
    {
        var hands = (await Get<PlanDto>("/api/plans", Shape(shape))).Hands;
        var busy = hands.Visits.Concat(hands.Tasks.Where(t => t.Attended)).OrderBy(h => h.From).ToList();
        Assert.All(busy.Zip(busy.Skip(1)), pair => Assert.True(pair.First.To <= pair.Second.From));
        Assert.Empty(hands.Unplaced);
    }

    [Fact]
    public async Task The_other_school_is_shown_with_what_it_changes()
    {
        var compared = await Get<ComparedDto>(
            "/api/plans/compare",
            new CompareRequest(KettleServer.Dish(), KettleServer.Dish() with { Salt = "in_the_soak" })
        );
        Assert.Equal("in_the_soak", compared.Plan.HouseWays.Salt);
        Assert.Contains(compared.Differences, d => d.Code is "flame" or "chance" or "pulses" or "begins");
        Assert.Equal(
            (400, "request.missing", "after"),
            await (await Post("/api/plans/compare", new { before = KettleServer.Dish() })).Problem()
        );
    }

    [Fact]
    public async Task A_pulled_dinner_is_planned_as_it_was_pulled()
    {
        var best = await Get<PlanDto>("/api/plans", KettleServer.Dish());
        var pulled = await Get<PlanDto>("/api/plans", KettleServer.Dish() with { Pull = new(Light: -30) });
        Assert.Equal(-30, (pulled.Steps.Single(s => s.Kind == "light").At - best.Steps.Single(s => s.Kind == "light").At).TotalMinutes);
        // A pull is counted from the best, however the dish was pulled before.
        var again = await Get<PulledDto>("/api/plans/pulled", new PullRequest(KettleServer.Dish() with { Pull = new(Light: -30) }, new()));
        Assert.Empty(again.Differences);
    }

    [Fact]
    public async Task House_ways_are_the_kitchen_s_and_a_dish_may_differ()
    {
        using var own = new KettleServer(demo: true);
        var http = own.CreateClient();
        var kitchen = (await http.GetFromJsonAsync<KitchenDto>("/api/kitchen", Cancel))!;
        KitchenChange Change(string salt, double percent) =>
            KettleServer.Unchanged(kitchen) with
            {
                Salt = salt,
                SaltPercent = percent,
                KeepsSoakWater = true,
            };
        Assert.Equal(
            (400, "request.unknown_word", "salt"),
            await (await http.PutAsJsonAsync("/api/kitchen", Change("never", 0.9), Cancel)).Problem()
        );
        Assert.Equal(
            (400, "request.out_of_range", "saltPercent"),
            await (await http.PutAsJsonAsync("/api/kitchen", Change("at_the_start", 5), Cancel)).Problem()
        );
        Assert.True((await http.PutAsJsonAsync("/api/kitchen", Change("at_the_start", 0.7), Cancel)).IsSuccessStatusCode);
        var plan = (
            await (await http.PostAsJsonAsync("/api/plans", KettleServer.Dish(), Cancel)).Content.ReadFromJsonAsync<PlanDto>(Cancel)
        )!;
        Assert.Equal(("at_the_start", true), (plan.HouseWays.Salt, plan.HouseWays.KeepsSoakWater));
        Assert.InRange(plan.MeasureOut.Salt.Percent, 0.6, 0.78);
        Assert.DoesNotContain(plan.Steps, s => s.Kind == "drain");
        var other = (
            await (
                await http.PostAsJsonAsync(
                    "/api/plans",
                    KettleServer.Dish() with
                    {
                        Salt = "with_the_rice",
                        KeepsSoakWater = false,
                    },
                    Cancel
                )
            ).Content.ReadFromJsonAsync<PlanDto>(Cancel)
        )!;
        Assert.Contains(other.Steps, s => s.Kind == "drain");
    }
}
