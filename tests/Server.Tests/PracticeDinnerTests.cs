using System.Net;
using System.Net.Http.Json;
using BrightKettle.Server.Answers;
using BrightKettle.Server.Messages;
using BrightKettle.Server.Practice;
using BrightKettle.Server.Record;
using BrightKettle.Server.Stove;
using Xunit;

namespace BrightKettle.Server.Tests;

/// <summary>Whole dinners to practise on, over the interface.</summary>
public class PracticeDinnerTests(DemoServer server) : IClassFixture<DemoServer>
{
    private const string Path = "/api/practice/dinners";

    private readonly HttpClient _http = server.CreateClient();

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    private Task<List<PracticeReadyDto>> Ready() => _http.GetFromJsonAsync<List<PracticeReadyDto>>(Path, Cancel)!;

    private async Task<PracticeDinnerAsk> Begun(string id, int seed = 1, string level = "calm")
    {
        var ready = (await Ready()).Single(r => r.Id == id);
        return new("A practice dinner", ready.Dish, ready.PlannedAt, seed, level, [], [], null);
    }

    private async Task<PracticeDinnerDto> Play(PracticeDinnerAsk ask)
    {
        var answer = await _http.PostAsJsonAsync(Path, ask, Cancel);
        Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
        return (await answer.Content.ReadFromJsonAsync<PracticeDinnerDto>(Cancel))!;
    }

    private static StoveEntry Told(DateTimeOffset at, EntryKind kind) => new(Guid.CreateVersion7(), at, 0, ClosedSet.Word(kind));

    private static PracticeDinnerAsk Tell(PracticeDinnerAsk ask, PracticeDinnerDto stands, params IReadOnlyList<StoveEntry> told) =>
        ask with
        {
            Entries = stands.Entries,
            Told = told,
            Now = told.Count > 0 ? told[^1].OccurredAt : stands.Stove.Now,
        };

    /// <summary>What somebody does who believes the cards: tells what is heard, felt and measured, and does what is due.</summary>
    private static IReadOnlyList<StoveEntry> ByTheCards(PracticeDinnerDto stands)
    {
        var (stove, seen) = (stands.Stove, stands.Seen);
        var now = stove.Now.AddMilliseconds(1);
        if (stove.Visits.FirstOrDefault(v => v.At <= stove.Now) is { } visit)
        {
            return [Told(now, EntryKind.Checked) with { What = visit.Code, VesselId = visit.VesselId }];
        }

        foreach (var m in stove.Moments.Where(m => m.State == "waiting").GroupBy(m => m.Lane).Select(g => g.First()))
        {
            var done = Told(now, EntryKind.Did) with { MomentId = m.Id };
            if (m.Waits.Event is { } heard)
            {
                var event_ = Told(now.AddMilliseconds(-1), EntryKind.Seen) with { What = heard, VesselId = m.Lane };
                if (seen.Signs.Any(s => s.VesselId == m.Lane && s.What == heard))
                {
                    return m.Waits.DelayMinutes is null ? [event_, done] : [event_];
                }
            }
            else if (m.Waits.Look is { Found: not true } look)
            {
                if (m.Waits.NotBefore is null && seen.Hands.FirstOrDefault(h => h.Ingredient == look.Ingredient) is { } hand)
                {
                    return look.EnoughChalky is null
                        ? [Told(now, EntryKind.Felt) with { Ingredient = look.Ingredient, State = hand.Felt }]
                        : [Told(now, EntryKind.Chalky) with { Ingredient = look.Ingredient, Count = hand.ChalkyOfFive, Of = 5 }];
                }
            }
            else if (m.Waits.NotBefore is null && !(m.Due?.At > stove.Now) && m.Blocked is null)
            {
                return [done];
            }
            else if (m.Blocked?.Code == "cooker.vent_unchecked")
            {
                return [Told(now, EntryKind.VentClear)];
            }
        }

        return [];
    }

    private async Task<PracticeEndDto> ToTheTable(PracticeDinnerAsk ask)
    {
        var stands = await Play(ask);
        for (var turn = 0; turn < 90 && stands.End is null; turn++)
        {
            var told = ByTheCards(stands);
            stands = await Play(Tell(ask with { PlannedAt = stands.PlannedAt }, stands, told) with { Next = told.Count == 0 });
            Assert.Empty(stands.Refused);
        }

        Assert.True(stands.End is not null, $"It never came to the table: {stands.Stove.NowId}");
        Assert.Null(stands.End.Yours.Forbidden);
        return stands.End;
    }

    /// <summary>Ways that no ready dinner takes, as somebody would type them: two pulses whose advised evening is more than one request may
    /// compute, a crock, a tin, two pots, drained for the rice, half cooked before.</summary>
    [Fact]
    public async Task What_a_stranger_plans_is_practised_to_the_table_too()
    {
        string[] lines =
        [
            "kidney beans and black beans with rice, soaked overnight tomorrow 19:00",
            "chickpeas in the slow cooker tomorrow 19:00",
            "tin of chickpeas with white rice tomorrow at 19:00",
            "toor dal with basmati in its own pot tomorrow 19:00",
            "black-eyed peas with rice in the drained pulses tomorrow 19:00",
            "half cooked chickpeas with rice tomorrow 19:00",
        ];
        var usual = (await Begun("quick_pot", seed: 1333)) with { PlannedAt = null };
        var asWanted = 0;
        foreach (var line in lines)
        {
            var read = await _http.PostAsJsonAsync("/api/line", new { line, dish = usual.Dish }, Cancel);
            var dish = (await read.Content.ReadFromJsonAsync<Words.LineAnswerDto>(Cancel))!.Dish;
            asWanted += (await ToTheTable(usual with { Dish = dish })).Yours.SpoiltBy is null ? 1 : 0;
        }

        Assert.True(asWanted >= lines.Length - 1, $"{asWanted} of {lines.Length} as wanted");
    }

    [Fact]
    public async Task Each_ready_dinner_has_its_words_and_comes_to_the_table_as_wanted_by_its_cards()
    {
        var ready = await Ready();
        Assert.True(ready.Count >= 6);
        var before = await _http.GetStringAsync("/api/cooks", Cancel);
        var asWanted = 0;
        foreach (var one in ready)
        {
            var facts = new MessageFacts(new Dictionary<string, object?> { ["pulse"] = one.PulseName, ["rice"] = one.RiceName ?? "" });
            Assert.NotEmpty(Messages.Messages.Say($"practice.dinner.{one.Id}"));
            Assert.NotEmpty(Messages.Messages.Say($"practice.dinner_story.{one.Id}", facts));
            var ask = await Begun(one.Id, seed: 5);
            var end = await ToTheTable(ask);
            Assert.NotNull(end.Advised);
            Assert.True(end.Line.Count > 10);
            asWanted += end.Yours.SpoiltBy is null && end.Yours.Points >= end.Advised.Points - 10 ? 1 : 0;
        }

        Assert.True(asWanted >= ready.Count - 1, $"{asWanted} of {ready.Count} as wanted");
        // Nothing of it is the household's.
        Assert.Equal(before, await _http.GetStringAsync("/api/cooks", Cancel));
        Assert.Equal("[]", await _http.GetStringAsync("/api/stove", Cancel));
    }

    [Fact]
    public async Task The_kitchen_is_seen_and_not_told_and_what_is_too_wet_is_boiled_down_first()
    {
        var ask = await Begun("quick_pot");
        var stands = await Play(ask);
        Assert.Empty(stands.Seen.Pots);
        var light = stands.Stove.Moments.First(m => m.Id == stands.Stove.NowId);
        stands = await Play(Tell(ask, stands, Told(stands.Stove.Now, EntryKind.Did) with { MomentId = light.Id }));
        stands = await Play(Tell(ask, stands) with { Next = true });
        Assert.Equal("boils", Assert.Single(stands.Seen.Signs).What);
        Assert.True(Assert.Single(stands.Seen.Pots).Boils);
        // Nothing that nobody can see.
        Assert.DoesNotContain("pace", System.Text.Json.JsonSerializer.Serialize(stands.Seen), StringComparison.OrdinalIgnoreCase);

        var water = Told(stands.Stove.Now, EntryKind.Water) with { Millilitres = 900, Celsius = 100 };
        stands = await Play(Tell(ask, stands, water));
        var join = stands.Stove.Moments.First(m => m.Join is not null);
        var at = stands.Stove.Now;
        var boil = Told(at, EntryKind.Seen) with { What = "boils", VesselId = join.Lane };
        stands = await Play(
            Tell(
                ask,
                stands,
                boil,
                Told(at, EntryKind.Did) with
                {
                    MomentId = stands.Stove.Moments.First(m => m is { State: "waiting", Waits.Event: "boils" }).Id,
                }
            )
        );
        Assert.Empty(stands.Refused);
        stands = await Play(Tell(ask, stands, Told(at, EntryKind.Did) with { MomentId = join.Id }));
        Assert.Empty(stands.Refused);
        Assert.True(stands.Stove.Now > at.AddMinutes(3), $"{stands.Stove.Now - at}");
        Assert.Contains(stands.Entries, e => e is { Tells: EntryKind.Lid, What: "open" });
        Assert.Contains(stands.Entries, e => e is { Tells: EntryKind.Flame, What: "full" });

        // Taken back, it is as if it had never been told.
        var undo = Told(stands.Stove.Now, EntryKind.Undo) with { EventUndone = stands.Entries[^1].EventId };
        var undone = await Play(Tell(ask, stands, undo));
        Assert.Equal(stands.Entries.Count - 1, undone.Entries.Count);
        Assert.Equal("waiting", undone.Stove.Moments.First(m => m.Id == join.Id).State);
    }

    [Fact]
    public async Task Somebody_calls_and_the_time_is_gone()
    {
        var ask = await Begun("quick_pot", level: "busy");
        var stands = await Play(ask);
        for (var i = 0; i < 20 && stands.Called is null; i++)
        {
            var from = stands.Stove.Now;
            stands = await Play(Tell(ask, stands) with { Minutes = 5 });
            Assert.InRange((stands.Stove.Now - from).TotalMinutes, 0.01, 20);
        }

        Assert.NotNull(stands.Called);
        Assert.True(stands.Stove.Now >= stands.Called.At.AddMinutes(stands.Called.Minutes));
    }

    public static TheoryData<string, Func<PracticeDinnerAsk, PracticeDinnerAsk>> Wrong() =>
        new()
        {
            { "level", a => a with { Level = "wild" } },
            { "seed", a => a with { Seed = -1 } },
            { "minutes", a => a with { Minutes = 100_000 } },
            { "title", a => a with { Title = " " } },
            { "dish", a => a with { Dish = null } },
            { "entries", a => a with { Entries = [null!] } },
            {
                "told",
                a =>
                    a with
                    {
                        Told =
                        [
                            .. Enumerable
                                .Range(0, DinnerEndpoints.MostEntries + 1)
                                .Select(_ => Told(a.PlannedAt!.Value, EntryKind.VentClear)),
                        ],
                    }
            },
            { "plannedAt", a => a with { PlannedAt = DateTimeOffset.MaxValue } },
            { "now", a => a with { Now = a.PlannedAt!.Value.AddYears(1) } },
        };

    [Theory]
    [MemberData(nameof(Wrong), DisableDiscoveryEnumeration = true)]
    public async Task What_is_wrong_is_named_by_its_field(string field, Func<PracticeDinnerAsk, PracticeDinnerAsk> change)
    {
        var answer = await _http.PostAsJsonAsync(Path, change(await Begun("quick_pot")), Cancel);
        Assert.Equal(HttpStatusCode.BadRequest, answer.StatusCode);
        Assert.Contains($"\"field\":\"{field}\"", await answer.Content.ReadAsStringAsync(Cancel), StringComparison.Ordinal);
    }

    [Fact]
    public async Task What_cannot_be_is_not_taken_and_changes_nothing()
    {
        var ask = await Begun("hard_boil_first");
        var stands = await Play(ask);
        var at = stands.Stove.Now;
        var answer = await Play(
            Tell(
                ask,
                stands,
                Told(at, EntryKind.Did) with
                {
                    MomentId = "9.9",
                },
                Told(at.AddHours(5), EntryKind.VentClear),
                Told(at, EntryKind.Chose) with
                {
                    What = "hotter",
                }
            ) with
            {
                Now = at,
            }
        );
        Assert.Equal(["stove.unknown_moment", "stove.time", "stove.no_such_answer"], answer.Refused.Select(r => r.Code));
        Assert.Empty(answer.Entries);
        Assert.Equal(at, answer.Stove.Now);
    }
}
