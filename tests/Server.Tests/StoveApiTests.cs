using System.Net;
using System.Net.Http.Json;
using System.Text.Json;
using BrightKettle.Server.Answers;
using BrightKettle.Server.Exchange;
using BrightKettle.Server.Kitchen;
using BrightKettle.Server.Planning;
using BrightKettle.Server.Record;
using BrightKettle.Server.Stove;
using Xunit;

namespace BrightKettle.Server.Tests;

/// <summary>An evening at the stove through the interface, by a clock that stands until it is moved.</summary>
public sealed partial class StoveApiTests : IDisposable
{
    /// <summary>Does each step when it is due.</summary>
    private async Task<StoveDto> DoEach(StoveDto state, params string[] steps)
    {
        foreach (var step in steps)
        {
            GoTo(Moment(state, step).Due!.At);
            state = await Told(state, Did(state, step));
        }

        return state;
    }

    private readonly KettleServer _server = new(demo: true);
    private readonly HttpClient _http;

    public StoveApiTests() => _http = _server.CreateClient();

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    public void Dispose() => _server.Dispose();

    private DateTimeOffset Now => _server.Clock.GetUtcNow();

    private void GoTo(DateTimeOffset at) => _server.Clock.SetUtcNow(at);

    private async Task<StoveDto> Start(DishDto? dish = null)
    {
        var id = Guid.CreateVersion7();
        var kept = await (
            await _http.PostAsJsonAsync($"/api/cooks/{id}", KettleServer.Change(dish ?? KettleServer.Dish()), Cancel)
        ).Content.ReadFromJsonAsync<CookDto>(Cancel);
        var answer = await _http.PostAsJsonAsync(
            $"/api/stove/{id}/start",
            new StoveStart(Guid.CreateVersion7(), Now, kept!.Version),
            Cancel
        );
        Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
        return (await answer.Content.ReadFromJsonAsync<StoveDto>(Cancel))!;
    }

    private async Task<StoveDto> State(Guid id) => (await _http.GetFromJsonAsync<StoveDto>($"/api/stove/{id}", Cancel))!;

    private StoveEntry Entry(StoveDto of, string kind) => new(Guid.CreateVersion7(), Now, of.Version, kind, "laptop");

    private StoveEntry Did(StoveDto of, string step) => Entry(of, "did") with { MomentId = Moment(of, step).Id };

    private static StoveMomentDto Moment(StoveDto of, string step) => of.Moments.First(m => m.Step?.Kind == step);

    private async Task<StoveReceipt> Tell(StoveDto of, params StoveEntry[] entries)
    {
        var answer = await _http.PostAsJsonAsync($"/api/stove/{of.Id}/entries", new StoveEntries(entries), Cancel);
        Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
        return (await answer.Content.ReadFromJsonAsync<StoveReceipt>(Cancel))!;
    }

    private async Task<StoveDto> Told(StoveDto of, params StoveEntry[] entries)
    {
        var receipt = await Tell(of, entries);
        Assert.All(receipt.Entries, e => Assert.True(e.Code is null, $"{e.Code}: {e.Text}"));
        return await State(of.Id);
    }

    [Fact]
    public async Task What_stood_in_water_when_it_was_planned_is_no_step_any_more()
    {
        var state = await Start(
            KettleServer.Dish() with
            {
                Soak = "already",
                SoakedSinceLocal = "2026-11-24T09:30",
                ServeAtLocal = "2026-11-24T21:30",
            }
        );
        var soak = Moment(state, "soaking");
        Assert.Equal("done", soak.State);
        Assert.Equal("drain", state.Moments.First(m => m.Id == state.NowId).Step!.Kind);
        // It drank until the pot is lit, for more than the eight hours that have passed.
        state = await Told(state, Did(state, "drain"));
        Assert.DoesNotContain(state.Moments, m => m.Step?.Kind is "soak" or "drain" && m.State == "waiting");
    }

    [Fact]
    public async Task A_soak_that_is_not_yet_or_too_long_ago_is_a_fault_of_its_field()
    {
        foreach (var since in new[] { "2026-11-24T18:30", "2026-11-20T09:30", "noon", null })
        {
            var answer = await _http.PostAsJsonAsync(
                "/api/plans",
                KettleServer.Dish() with
                {
                    Soak = "already",
                    SoakedSinceLocal = since,
                },
                Cancel
            );
            Assert.Equal((400, "soakedSinceLocal"), (await answer.Problem()) is var (status, _, field) ? (status, field) : default);
        }
    }

    [Fact]
    public async Task A_dinner_is_started_once_and_is_no_plan_to_be_changed_any_more()
    {
        var state = await Start();
        Assert.Equal("soak", state.Moments.First(m => m.Id == state.NowId).Step!.Kind);
        Assert.All(state.Moments, m => Assert.Equal("waiting", m.State));
        Assert.NotNull(state.Table);
        var again = await _http.PostAsJsonAsync(
            $"/api/stove/{state.Id}/start",
            new StoveStart(Guid.CreateVersion7(), Now, state.Version),
            Cancel
        );
        Assert.Equal(state.Version, (await again.Content.ReadFromJsonAsync<StoveDto>(Cancel))!.Version);
        var change = await _http.PutAsJsonAsync($"/api/cooks/{state.Id}", KettleServer.Change(KettleServer.Dish(), state.Version), Cancel);
        Assert.Equal((409, "cook.under_way", null), await change.Problem());
        Assert.Contains((await _http.GetFromJsonAsync<List<StoveLine>>("/api/stove", Cancel))!, l => l.Id == state.Id && !l.Served);
    }

    [Fact]
    public async Task What_was_not_started_is_not_at_the_stove()
    {
        Assert.Equal((404, "stove.missing", null), await (await _http.GetAsync($"/api/stove/{Guid.CreateVersion7()}", Cancel)).Problem());
        var kept = (await _http.GetFromJsonAsync<CookPageDto>("/api/cooks", Cancel))!.Dinners[0];
        Assert.Equal((404, "stove.missing", null), await (await _http.GetAsync($"/api/stove/{kept.Id}", Cancel)).Problem());
        var told = await _http.PostAsJsonAsync(
            $"/api/stove/{kept.Id}/entries",
            new StoveEntries([new(Guid.CreateVersion7(), Now, 0, "salt", Grams: 3)]),
            Cancel
        );
        Assert.Equal((404, "stove.missing", null), await told.Problem());
    }

    [Fact]
    public async Task A_whole_dinner_from_soak_to_fridge_is_in_the_record()
    {
        var state = await Start();
        GoTo(Moment(state, "soak").Due!.At);
        state = await Told(state, Did(state, "soak"));
        GoTo(Moment(state, "drain").Due!.At);
        state = await Told(state, Did(state, "drain"));
        GoTo(Moment(state, "light").Due!.At);
        state = await Told(state, Did(state, "light"));
        Assert.Equal("boils", Moment(state, "boil").Waits.Event);
        GoTo(Moment(state, "boil").Due!.At.AddMinutes(6));
        // It boiled six minutes ago.
        state = await Told(
            state,
            Entry(state, "seen") with
            {
                What = "boils",
                OccurredAt = Now.AddMinutes(-6),
            },
            Did(state, "boil") with
            {
                OccurredAt = Now.AddMinutes(-6),
            }
        );
        Assert.Equal(Now.AddMinutes(-6), Moment(state, "boil").DoneAt);
        var look = Moment(state, "look");
        GoTo(look.Due!.At > Now ? look.Due.At : Now);
        state = await Told(state, Did(state, "look"));
        GoTo(Moment(state, "join").Due!.At);
        state = await State(state.Id);
        var join = Moment(state, "join").Join!;
        state = await Told(
            state,
            Entry(state, "liquor") with
            {
                Millilitres = join.FoundMillilitres.Mid,
                What = "jug",
                OccurredAt = Now.AddSeconds(-5),
            },
            Did(state, "join")
        );
        GoTo(Moment(state, "seal").Due!.At);
        state = await Told(state, Entry(state, "seen") with { What = "boils" }, Did(state, "seal"));
        GoTo(Moment(state, "heat_off").Due!.At);
        state = await Told(state, Did(state, "heat_off"));
        GoTo(Moment(state, "table").Due!.At);
        state = await Told(state, Did(state, "table"));
        Assert.Null(state.NowId);
        Assert.NotNull(state.After);
        Assert.Equal(state.After.ServedAt.AddHours(1), state.After.ChillBy);
        Assert.Equal(state.After.ServedAt.AddHours(24), state.After.EatBy);
        GoTo(Now.AddMinutes(40));
        state = await Told(state, Entry(state, "put_away") with { What = "fridge", Count = 3 });
        Assert.False(state.After!.TooLate);
        Assert.Equal(3, state.After.Portions);
        Assert.Equal(13, state.Told.Count);
        var closed = await _http.PostAsJsonAsync(
            $"/api/stove/{state.Id}/finish",
            new CookMark(Guid.CreateVersion7(), Now, state.Version),
            Cancel
        );
        Assert.Equal(HttpStatusCode.OK, closed.StatusCode);
        Assert.DoesNotContain((await _http.GetFromJsonAsync<List<StoveLine>>("/api/stove", Cancel))!, l => l.Id == state.Id);
    }

    [Fact]
    public async Task The_same_entry_sent_twice_is_one_and_what_is_taken_back_leaves_no_trace()
    {
        var state = await Start();
        GoTo(Moment(state, "soak").Due!.At);
        var soak = Did(state, "soak");
        var first = await Tell(state, soak);
        Assert.Equal(first.Version, (await Tell(state, soak)).Version);
        Assert.Single((await State(state.Id)).Told);
        var undo = Entry(state, "undo") with { EventUndone = soak.EventId };
        var undone = await Told(state, undo);
        Assert.Equal("waiting", Moment(undone, "soak").State);
        Assert.True(undone.Told.Single().Undone);
        // The undoing taken back.
        var redone = await Told(undone, Entry(undone, "undo") with { EventUndone = undo.EventId });
        Assert.Equal("done", Moment(redone, "soak").State);
        Assert.Equal(
            "stove.nothing_to_undo",
            (await Tell(state, Entry(state, "undo") with { EventUndone = Guid.CreateVersion7() })).Entries[0].Code
        );
    }

    [Fact]
    public async Task Two_screens_that_say_it_differently_are_both_kept_and_shown()
    {
        var state = await Start();
        GoTo(Moment(state, "soak").Due!.At.AddMinutes(10));
        var laptop = Did(state, "soak");
        var phone = Did(state, "soak") with { By = "phone", OccurredAt = Now.AddMinutes(-8) };
        await Tell(state, laptop);
        var both = await Told(state, phone);
        var conflict = Assert.Single(both.Conflicts);
        Assert.Equal((laptop.EventId, phone.EventId), (conflict.Holds.EventId, conflict.Other.EventId));
        Assert.Equal(Now, Moment(both, "soak").DoneAt);
        var settled = await Told(both, Entry(both, "undo") with { EventUndone = laptop.EventId });
        Assert.Empty(settled.Conflicts);
        Assert.Equal(Now.AddMinutes(-8), Moment(settled, "soak").DoneAt);
    }

    [Fact]
    public async Task A_look_that_says_hard_moves_the_forecast_and_says_so()
    {
        var dish = KettleServer.Dish() with
        {
            PulseId = "borlotti",
            RiceId = "long_white",
            Soak = "none",
            VesselId = "wide-pot",
            ServeAtLocal = "2026-11-25T13:00",
        };
        GoTo(new DateTimeOffset(2026, 11, 25, 7, 30, 0, TimeSpan.Zero));
        var state = await Start(dish);
        GoTo(Moment(state, "light").Due!.At);
        state = await Told(state, Did(state, "light"));
        GoTo(Moment(state, "boil").Due!.At);
        state = await Told(state, Entry(state, "seen") with { What = "boils" }, Did(state, "boil"));
        // The hard boil is over before anything else is offered.
        GoTo(Now.AddMinutes(10).AddSeconds(1));
        state = await State(state.Id);
        state = await Told(state, Entry(state, "did") with { MomentId = state.NowId });
        var join = Moment(state, "join").Due!.At;
        GoTo(join);
        var wanted = state.Table!.At;
        var hard = await Told(state, Entry(state, "chalky") with { Ingredient = "pulse", Count = 5, Of = 5 });
        Assert.True(hard.Table!.At > wanted.AddMinutes(5));
        Assert.True(
            Moment(hard, "look").Due!.At >= join.AddMinutes(Moment(hard, "look").Waits.Look!.EveryMinutes - 0.1),
            $"{Moment(hard, "look").Due} {join}"
        );
        Assert.True(hard.LateMinutes > 5);
        Assert.Contains(hard.Changes, c => c is { Code: "table", Worse: true, Minutes: > 5, At: not null });
        Assert.Contains(hard.Learned, l => l.What == "bag" && l.Factor < 1);
        var answers = (await _http.GetFromJsonAsync<StoveAnswersDto>($"/api/stove/{state.Id}/late", Cancel))!.Answers;
        Assert.Equal("later", answers[^1].Code);
        Assert.All(answers.SkipLast(1), a => Assert.True(a.LaterMinutes < 0));

        // One of them is chosen: stored as it was worked out, and followed from there.
        var choice = answers[0];
        var chosen = await Told(hard, Entry(hard, "chose") with { What = choice.Code });
        Assert.Equal(choice.Code, chosen.Course);
        Assert.True(chosen.Table!.At < hard.Table.At);
        var back = await Told(chosen, Entry(chosen, "undo") with { EventUndone = chosen.Told[^1].Entry.EventId });
        Assert.Null(back.Course);
        Assert.Equal(hard.Table.At, back.Table!.At);
    }

    [Fact]
    public async Task Nothing_is_served_while_a_leaf_is_inside()
    {
        var state = await Start();
        state = await DoEach(state, "soak", "drain", "light");

        state = await Told(state, Entry(state, "went_in") with { Ingredient = "leaf", Count = 3 });
        var inside = Assert.Single(state.Inside);
        GoTo(Moment(state, "table").Due!.At);
        var served = await Tell(state, Did(state, "table"));
        Assert.Equal("comes_out.still_in", served.Entries[0].Code);
        // Nor is it by saying that it was some minutes ago.
        Assert.Equal(
            "comes_out.still_in",
            (await Tell(state, Did(state, "table") with { OccurredAt = Now.AddMinutes(-6) })).Entries[0].Code
        );
        Assert.Equal("waiting", Moment(await State(state.Id), "table").State);
        state = await Told(state, Entry(state, "came_out") with { Ingredient = inside.Ingredient, Count = 2 });
        Assert.Equal(2, state.Inside.Single().Out);
        Assert.Equal(
            "stove.not_inside",
            (await Tell(state, Entry(state, "came_out") with { Ingredient = inside.Ingredient, Count = 2 })).Entries[0].Code
        );
        state = await Told(state, Entry(state, "came_out") with { Ingredient = inside.Ingredient, Count = 1 }, Did(state, "table"));
        Assert.NotNull(state.After);
    }

    [Fact]
    public async Task A_hard_boil_is_not_cut_short()
    {
        var dish = KettleServer.Dish() with
        {
            PulseId = "borlotti",
            RiceId = null,
            Style = "soup",
            VesselId = "wide-pot",
            ServeAtLocal = "2026-11-25T13:00",
        };
        var state = await Start(dish);
        state = await DoEach(state, "soak", "drain", "light");

        GoTo(Moment(state, "boil").Due!.At);
        state = await Told(state, Entry(state, "seen") with { What = "boils" }, Did(state, "boil"));
        var boiled = Now;
        GoTo(boiled.AddMinutes(4));
        state = await State(state.Id);
        var over = state.Moments.First(m => m.Id == state.NowId);
        Assert.Equal("lectin.not_boiled", over.Blocked!.Code);
        Assert.Equal(boiled.AddMinutes(10), over.Blocked.Until);
        Assert.Equal("lectin.not_boiled", (await Tell(state, Entry(state, "did") with { MomentId = over.Id })).Entries[0].Code);
        GoTo(boiled.AddMinutes(10));
        Assert.Null((await Tell(state, Entry(state, "did") with { MomentId = over.Id })).Entries[0].Code);
    }

    [Fact]
    public async Task A_flame_that_went_out_in_the_hard_boil_starts_it_anew_whatever_the_clock_says()
    {
        var dish = KettleServer.Dish() with
        {
            PulseId = "borlotti",
            RiceId = null,
            Style = "soup",
            VesselId = "wide-pot",
            ServeAtLocal = "2026-11-25T13:00",
        };
        var state = await Start(dish);
        state = await DoEach(state, "soak", "drain", "light");

        GoTo(Moment(state, "boil").Due!.At);
        state = await Told(state, Entry(state, "seen") with { What = "boils" }, Did(state, "boil"));
        var boiled = Now;
        GoTo(boiled.AddMinutes(7));
        state = await Told(state, Entry(state, "chose") with { What = "heat_again", State = "flame_out", Count = 4 });
        GoTo(boiled.AddMinutes(8));
        state = await Told(state, Entry(state, "did") with { MomentId = state.NowId });
        GoTo(boiled.AddMinutes(16));
        state = await State(state.Id);
        // It waits for the boil to be seen again, then for all ten minutes.
        var again = state.Moments.First(m => m.Id == state.NowId);
        Assert.Equal("boils", again.Waits.Event);
        state = await Told(state, Entry(state, "seen") with { What = "boils" }, Entry(state, "did") with { MomentId = again.Id });
        GoTo(Now.AddMinutes(6));
        state = await State(state.Id);
        var over = state.Moments.First(m => m.Id == state.NowId);
        Assert.Equal("lectin.not_boiled", over.Blocked!.Code);
        Assert.Equal("lectin.not_boiled", (await Tell(state, Entry(state, "did") with { MomentId = over.Id })).Entries[0].Code);
        GoTo(Now.AddMinutes(4).AddSeconds(1));
        Assert.Null((await Tell(state, Entry(state, "did") with { MomentId = over.Id })).Entries[0].Code);
    }

    [Theory]
    [InlineData("{\"entries\":[{\"kind\":\"salt\"}]}")]
    [InlineData("{\"entries\":[]}")]
    [InlineData("{\"entries\":null}")]
    [InlineData(
        "{\"entries\":[{\"eventId\":\"0199c0de-0000-7000-8000-000000000001\",\"occurredAt\":\"2026-11-24T18:00:00Z\",\"basedOn\":1,\"kind\":\"boil_it\"}]}"
    )]
    [InlineData(
        "{\"entries\":[{\"eventId\":\"0199c0de-0000-7000-8000-000000000002\",\"occurredAt\":\"2026-11-24T18:00:00Z\",\"basedOn\":1,\"kind\":\"water\",\"millilitres\":-4}]}"
    )]
    [InlineData(
        "{\"entries\":[{\"eventId\":\"0199c0de-0000-7000-8000-000000000003\",\"occurredAt\":\"2036-11-24T18:00:00Z\",\"basedOn\":1,\"kind\":\"salt\",\"grams\":4}]}"
    )]
    [InlineData(
        "{\"entries\":[{\"eventId\":\"0199c0de-0000-7000-8000-000000000004\",\"occurredAt\":\"2026-11-24T18:00:00Z\",\"basedOn\":1,\"kind\":\"felt\",\"ingredient\":\"moon\",\"state\":\"soft\"}]}"
    )]
    [InlineData(
        "{\"entries\":[{\"eventId\":\"0199c0de-0000-7000-8000-000000000005\",\"occurredAt\":\"2026-11-24T18:00:00Z\",\"basedOn\":1,\"kind\":\"did\",\"momentId\":\"9.9\"}]}"
    )]
    [InlineData(
        "{\"entries\":[{\"eventId\":\"0199c0de-0000-7000-8000-000000000006\",\"occurredAt\":\"2026-11-24T18:00:00Z\",\"basedOn\":1,\"kind\":\"chose\",\"what\":\"magic\"}]}"
    )]
    public async Task What_makes_no_sense_is_refused_and_nothing_of_it_is_stored(string body)
    {
        var state = await Start();
        var answer = await _http.PostAsync(
            $"/api/stove/{state.Id}/entries",
            new StringContent(body, System.Text.Encoding.UTF8, "application/json"),
            Cancel
        );
        Assert.True((int)answer.StatusCode is 200 or 400, $"{answer.StatusCode}");
        if (answer.IsSuccessStatusCode)
        {
            Assert.All((await answer.Content.ReadFromJsonAsync<StoveReceipt>(Cancel))!.Entries, e =>
                Assert.False(string.IsNullOrEmpty(e.Code) || string.IsNullOrEmpty(e.Text))
            );
        }

        Assert.Empty((await State(state.Id)).Told);
    }

    [Fact]
    public async Task Every_trouble_is_answered_in_words_and_a_wrong_one_is_refused()
    {
        var state = await Start();
        state = await DoEach(state, "soak", "drain", "light", "boil");

        GoTo(Now.AddMinutes(12));
        foreach (var trouble in Enum.GetValues<Core.Stove.Trouble>().Select(ClosedSet.Word))
        {
            var answer = await _http.PostAsJsonAsync($"/api/stove/{state.Id}/trouble", new StoveTrouble(trouble), Cancel);
            Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
            Assert.All((await answer.Content.ReadFromJsonAsync<StoveAnswersDto>(Cancel))!.Answers, a =>
                Assert.NotEmpty(Messages.Messages.Say($"answer.{a.Code}.title"))
            );
        }

        Assert.Equal(
            (400, "request.unknown_word", "trouble"),
            await (await _http.PostAsJsonAsync($"/api/stove/{state.Id}/trouble", new StoveTrouble("gloom"), Cancel)).Problem()
        );
        Assert.Equal(
            (400, "request.out_of_range", "minutes"),
            await (await _http.PostAsJsonAsync($"/api/stove/{state.Id}/trouble", new StoveTrouble("flame_out", 5000), Cancel)).Problem()
        );
        // What went out ten minutes ago stands in the record with its own minute.
        var told = await Told(state, Entry(state, "chose") with { What = "heat_again", State = "flame_out", Count = 10 });
        Assert.Equal("flame", told.Told[^2].Entry.Kind);
        Assert.Equal(Now.AddMinutes(-10), told.Told[^2].Entry.OccurredAt);
    }

    [Fact]
    public async Task Whoever_follows_hears_of_an_entry_and_of_each_minute_with_the_stored_sequence()
    {
        var state = await Start();
        GoTo(Moment(state, "soak").Due!.At);
        using var request = new HttpRequestMessage(HttpMethod.Get, $"/api/stove/{state.Id}/stream");
        using var answer = await _http.SendAsync(request, HttpCompletionOption.ResponseHeadersRead, Cancel);
        Assert.Equal("text/event-stream", answer.Content.Headers.ContentType!.MediaType);
        await using var stream = await answer.Content.ReadAsStreamAsync(Cancel);
        await using var events = System
            .Net.ServerSentEvents.SseParser.Create(stream, (_, bytes) =>
                JsonSerializer.Deserialize<StoveDto>(bytes, JsonSerializerOptions.Web)!
            )
            .EnumerateAsync(Cancel)
            .GetAsyncEnumerator(Cancel);
        Assert.True(await events.MoveNextAsync());
        Assert.Equal(state.Version.ToString(System.Globalization.CultureInfo.InvariantCulture), events.Current.EventId);
        var receipt = await Tell(state, Did(state, "soak"));
        Assert.True(await events.MoveNextAsync());
        Assert.Equal(receipt.Version, events.Current.Data.Version);
        _server.Clock.Advance(TimeSpan.FromMinutes(1));
        Assert.True(await events.MoveNextAsync());
        Assert.Equal(Now, events.Current.Data.Now);
    }

    [Fact]
    public async Task A_soak_over_the_night_in_which_the_clocks_change_ends_at_its_own_time()
    {
        // Lisbon puts its clocks back on 25 October 2026 at 02:00 and on at 01:00 on 28 March 2027.
        GoTo(new DateTimeOffset(2027, 3, 27, 19, 0, 0, TimeSpan.Zero));
        var state = await Start(KettleServer.Dish("2027-03-28T13:00"));
        var (soak, drain) = (Moment(state, "soak").Due!.At, Moment(state, "drain").Due!.At);
        GoTo(soak);
        state = await Told(state, Did(state, "soak"));
        Assert.Equal(drain, Moment(state, "drain").Due!.At);
        Assert.Equal(new DateTimeOffset(2027, 3, 28, 12, 0, 0, TimeSpan.Zero), state.WantedAt);
        Assert.InRange((state.Table!.At - state.WantedAt).TotalMinutes, -2, 2);
    }

    [Fact]
    public async Task Half_now_and_half_later_comes_back_on_time_until_it_is_in()
    {
        var state = await Start();
        state = await DoEach(state, "soak", "drain", "light");

        var began = Now;
        state = await Told(
            state,
            Entry(state, "went_in") with
            {
                Ingredient = "greens",
                Grams = 60,
            },
            Entry(state, "later") with
            {
                Ingredient = "greens",
                Grams = 60,
                Count = 20,
            }
        );
        var visit = state.Visits.Single(v => v.Code == "second_half");
        Assert.Equal((began.AddMinutes(20), "Greens", 60d), (visit.At, visit.Name!, visit.Grams!.Value));
        GoTo(began.AddMinutes(20));
        state = await Told(state, Entry(state, "went_in") with { Ingredient = "greens", Grams = 60 });
        Assert.DoesNotContain(state.Visits, v => v.Code == "second_half");
        Assert.Equal(
            "request.out_of_range",
            (await Tell(state, Entry(state, "later") with { Ingredient = "greens", Grams = 60, Count = 0 })).Entries[0].Code
        );
    }

    [Fact]
    public async Task Top_ups_are_counted_and_all_that_was_told_can_be_read_as_it_is_stored()
    {
        var state = await Start();
        state = await DoEach(state, "soak", "drain", "light");

        state = await Told(state, Entry(state, "water") with { Millilitres = 100 }, Entry(state, "water") with { Millilitres = 50 });
        Assert.Equal((2, 150d), (state.ToppedUp, state.ToppedUpMillilitres));
        state = await Told(state, Entry(state, "undo") with { EventUndone = state.Told[^1].Entry.EventId });
        Assert.Equal((1, 100d), (state.ToppedUp, state.ToppedUpMillilitres));
        var record = (await _http.GetFromJsonAsync<List<ToldDto>>($"/api/stove/{state.Id}/record", Cancel))!;
        Assert.Equal(state.Told.Select(t => (t.Entry.EventId, t.Undone)), record.Select(t => (t.Entry.EventId, t.Undone)));
    }

    [Theory]
    [InlineData("us", 2, 72)]
    [InlineData("uk", 1, 24)]
    [InlineData("au_nz", 2, 48)]
    public async Task The_storage_clock_follows_the_households_rule(string rule, int chillHours, int eatHours)
    {
        var kitchen = (await _http.GetFromJsonAsync<KitchenDto>("/api/kitchen", Cancel))!;
        var changed = await _http.PutAsJsonAsync("/api/kitchen", KettleServer.Unchanged(kitchen) with { StorageRule = rule }, Cancel);
        Assert.Equal(HttpStatusCode.OK, changed.StatusCode);
        var state = await Start();
        state = await DoEach(state, "soak", "drain", "light", "boil", "look", "join", "seal", "heat_off", "table");

        var served = Now;
        Assert.Equal((served.AddHours(chillHours), served.AddHours(eatHours)), (state.After!.ChillBy, state.After.EatBy));
        GoTo(served.AddHours(chillHours).AddMinutes(5));
        Assert.True((await State(state.Id)).After!.TooLate);
        // A probe that found it hot within the time starts it anew.
        state = await Told(state, Entry(state, "probed") with { Celsius = 66, OccurredAt = served.AddMinutes(40) });
        Assert.False(state.After!.TooLate);
    }

    [Theory]
    [InlineData("kidney_red", null, "none", "soup", "open_pot", null)]
    [InlineData("kidney_red", null, "overnight", "soup", "open_pot", null)]
    [InlineData("borlotti", null, "quick", "soup", "open_pot", null)]
    [InlineData("borlotti", "long_white", "none", "dry", "open_pot", null)]
    [InlineData("borlotti", null, "overnight", "saucy", "pressure", "steam-drum")]
    [InlineData("chickpea", null, "none", "saucy", "pressure", "steam-drum")]
    [InlineData("kidney_red", null, "none", "saucy", "pressure", "steam-drum")]
    [InlineData("kidney_red", null, "none", "saucy", "pressure", "weight")]
    [InlineData("borlotti", null, "overnight", "saucy", "pressure", "weight")]
    [InlineData("chickpea", null, "none", "saucy", "pressure", "weight")]
    [InlineData("split_pea_yellow", null, "none", "saucy", "pressure", "spring")]
    [InlineData("chickpea", null, "overnight", "saucy", "slow_cooker", "day-crock")]
    [InlineData("chickpea", null, "none", "saucy", "cooked", null)]
    [InlineData("lentil_french", "long_white", "none", "moist", "open_pot", null)]
    [InlineData("split_pea_yellow", null, "none", "saucy", "open_pot", null)]
    public async Task Whoever_does_each_thing_at_its_time_is_never_stopped_on_the_way_to_the_table(
        string pulse,
        string? rice,
        string soak,
        string style,
        string method,
        string? cooker
    )
    {
        var state = await Walk(
            KettleServer.Dish() with
            {
                PulseId = pulse,
                RiceId = rice,
                Soak = soak,
                Style = style,
                Method = method,
                CookerId = cooker is "weight" or "spring" ? await Buy(cooker) : cooker,
                VesselId = "wide-pot",
            }
        );
        Assert.NotNull(state.After);
        // What a plan does not list is named all the same; a weight is listened to, a pin is watched.
        Assert.Equal(method == "pressure" && cooker != "weight", state.Moments.Any(m => m.Step?.Kind == "pressure_up"));
        Assert.Equal(cooker == "weight", state.Moments.Any(m => m.Waits.Count > 1 || m.Step?.Kind == "first_whistle"));
    }

    [Fact]
    public async Task Two_pots_and_several_pulses_reach_the_table_too_and_one_pots_boil_is_not_the_others()
    {
        var apart = await Walk(
            KettleServer.Dish() with
            {
                PulseId = "borlotti",
                RiceId = "long_white",
                Style = "saucy",
                VesselId = "wide-pot",
                RiceVesselId = "blue-pot",
            }
        );
        Assert.NotNull(apart.After);
        Assert.Equal(2, apart.Vessels.Select(v => v.Colour).Distinct().Count());
        Assert.Equal(2, apart.Told.Where(t => t.Entry.What == "boils").Select(t => t.Entry.VesselId).Distinct().Count());
        var several = await Walk(
            KettleServer.Dish() with
            {
                Style = "saucy",
                RiceId = null,
                VesselId = "wide-pot",
                Others = [new OtherPulseDto("lentil_french")],
                ServeAtLocal = "2026-11-27T19:00",
            }
        );
        Assert.NotNull(several.After);
    }

    private async Task<StoveDto> Walk(DishDto dish) => await Walk(await Start(dish));

    /// <summary>Does each thing when it is due, as the page would have it told.</summary>
    private async Task<StoveDto> Walk(StoveDto state, Func<StoveDto, bool>? until = null)
    {
        for (var i = 0; i < 40 && state.NowId is { } id && until?.Invoke(state) != true; i++)
        {
            var moment = state.Moments.First(m => m.Id == id);
            GoTo(moment.Due!.At > Now ? moment.Due.At : Now);
            for (var n = moment.Waits.Seen; moment.Waits.Event is { } what && n < moment.Waits.Count; n++)
            {
                state = await Told(state, Entry(state, "seen") with { What = what, VesselId = moment.Lane });
            }

            if (moment.Waits.Look is { } look)
            {
                // As the page asks: five are counted for chalk where that tells, else a hand says.
                state = await Told(
                    state,
                    look is { EnoughChalky: { } enough, Kind: "pulse" }
                        ? Entry(state, "chalky") with
                        {
                            Ingredient = look.Ingredient,
                            Count = enough,
                            Of = 5,
                        }
                        : Entry(state, "felt") with
                        {
                            Ingredient = look.Ingredient,
                            State = look.State,
                        }
                );
            }

            state = await State(state.Id);
            if (state.Moments.First(m => m.Id == id).Blocked is { Code: "cooker.vent_unchecked" })
            {
                state = await Told(state, Entry(state, "vent_clear"));
            }

            state = await Told(state, Entry(state, "did") with { MomentId = id });
        }

        return state;
    }
}
