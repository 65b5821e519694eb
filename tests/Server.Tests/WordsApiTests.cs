using System.Net.Http.Json;
using BrightKettle.Core.Words;
using BrightKettle.Core.Words.FromNotes;
using BrightKettle.Server.Kitchen;
using BrightKettle.Server.Planning;
using BrightKettle.Server.Words;
using Microsoft.Extensions.DependencyInjection;
using Xunit;

namespace BrightKettle.Server.Tests;

/// <summary>One-line dinners, vague words and other people's notes over the interface.</summary>
public class WordsApiTests(DemoServer server) : IClassFixture<DemoServer>
{
    private readonly HttpClient _http = server.CreateClient();

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    private Task<HttpResponseMessage> Post<T>(string path, T body) => _http.PostAsJsonAsync(path, body, Cancel);

    private async Task<T> Get<T>(string path, object body) => (await (await Post(path, body)).Content.ReadFromJsonAsync<T>(Cancel))!;

    [Fact]
    public async Task One_line_changes_what_it_says_and_nothing_else()
    {
        var answer = await Get<LineAnswerDto>(
            "/api/line",
            new LineRequest("for six, at half past seven: borlotti, saucy", KettleServer.Dish())
        );
        Assert.Equal(
            (6, "borlotti", "saucy", "2026-11-24T19:30"),
            (answer.Dish.People, answer.Dish.PulseId, answer.Dish.Style, answer.Dish.ServeAtLocal)
        );
        Assert.Equal(("brown_basmati", "overnight", "blue-pot"), (answer.Dish.RiceId, answer.Dish.Soak, answer.Dish.VesselId));
        // 18:00 in the demo's kitchen: five o'clock has passed, so it is tomorrow's.
        Assert.Equal(
            "2026-11-25T17:00",
            (await Get<LineAnswerDto>("/api/line", new LineRequest("at five", KettleServer.Dish()))).Dish.ServeAtLocal
        );
    }

    [Fact]
    public async Task A_slip_of_spelling_is_forgiven_and_what_is_not_understood_is_told()
    {
        var answer = await Get<LineAnswerDto>(
            "/api/line",
            new LineRequest("chikpeas with gravel", KettleServer.Dish() with { PulseId = "adzuki" })
        );
        Assert.Equal("chickpea", answer.Dish.PulseId);
        Assert.Equal(["gravel"], answer.NotUnderstood);
        Assert.Equal(
            (400, "words.too_long", "line"),
            await (await Post("/api/line", new LineRequest(new string('x', 500), KettleServer.Dish()))).Problem()
        );
    }

    /// <summary>It is six in the evening in the demo's kitchen.</summary>
    [Theory]
    [InlineData("black beans soaked since this morning, at 20:30", "already", "2026-11-24T08:00", null, "in water since 08:00")]
    [InlineData("chickpeas soaking since 8, tonight 20:30", "already", "2026-11-24T08:00", null, "in water since 08:00")]
    [InlineData("garbanzos en remojo desde las 9, para las 20:30", "already", "2026-11-24T09:00", null, "in water since 09:00")]
    [InlineData("pinto soaked since 9 pm, table at 20:30", "already", "2026-11-23T21:00", null, "in water since 21:00")]
    [InlineData("navy beans soaked overnight, 20:30", "already", "2026-11-23T21:30", null, "in water since 21:30")]
    [InlineData("navy beans soaked overnight, tomorrow 20:30", "overnight", null, null, "soaked overnight")]
    [InlineData("navy beans soaked last night, tomorrow 20:30", "already", "2026-11-23T21:30", null, "in water since 21:30")]
    [InlineData("chickpeas been soaking for 6 hours, 20:30", "already", "2026-11-24T12:00", null, "in water since 12:00")]
    [InlineData("chickpeas soaked for 3 hours, tomorrow 20:30", "hours", null, 3.0, "soaked for 3 h")]
    [InlineData("a 2 hour soak, black beans tomorrow at seven", "hours", null, 2.0, "soaked for 2 h")]
    [InlineData("black beans, not soaked", "none", null, null, "not soaked")]
    public async Task A_line_says_since_when_they_soak(string line, string soak, string? since, double? hours, string chip)
    {
        var answer = await Get<LineAnswerDto>("/api/line", new LineRequest(line, KettleServer.Dish()));
        Assert.Equal((soak, since, hours), (answer.Dish.Soak, answer.Dish.SoakedSinceLocal, answer.Dish.SoakHours));
        Assert.Empty(answer.NotUnderstood);
        Assert.Contains(answer.Parts, p => p.Means == chip);
    }

    /// <summary>Lines by strangers about soaks and stages: soak-lines.txt, written before they were tried. It is six in the evening.</summary>
    [Fact]
    public async Task Nine_lines_in_ten_about_soaks_and_stages_are_read_right()
    {
        var (all, right) = (0, 0);
        var wrong = new List<string>();
        foreach (var row in await File.ReadAllLinesAsync(Path.Combine(AppContext.BaseDirectory, "soak-lines.txt"), Cancel))
        {
            var (line, meant) = row.Split(" | ") is [var l, var m] ? (l, m) : throw new InvalidDataException(row);
            var answer = await Get<LineAnswerDto>("/api/line", new LineRequest(line, KettleServer.Dish()));
            var dish = answer.Dish;
            var told = new Dictionary<string, string?>
            {
                ["pulse"] = dish.PulseId,
                ["soak"] = dish.Soak,
                ["since"] = dish.SoakedSinceLocal,
                ["hours"] = dish.SoakHours?.ToString("0.##", System.Globalization.CultureInfo.InvariantCulture),
                ["at"] = dish.ServeAtLocal,
                ["stages"] = string.Join(',', dish.Stages ?? []),
                ["cold"] = dish.SoaksCold == true ? "" : null,
            };
            all++;
            var good = meant.Split(' ').All(f => told[f.Split('=')[0]] == (f.Contains('=') ? f.Split('=')[1] : ""));
            right += good ? 1 : 0;
            if (!good || answer.NotUnderstood.Count > 0)
            {
                wrong.Add(
                    $"{good} {line}: {string.Join(' ', told.Select(t => $"{t.Key}={t.Value}"))} unread {string.Join(',', answer.NotUnderstood)}"
                );
            }
        }

        Assert.True(right >= 0.9 * all, $"{right} of {all}\n{string.Join('\n', wrong)}");
    }

    /// <summary>Lines by strangers about what is at hand and not dry: hand-lines.txt, written before they were tried. A field may have
    /// several right values.</summary>
    [Fact]
    public async Task Lines_about_what_is_at_hand_are_read_right()
    {
        var (all, right) = (0, 0);
        var wrong = new List<string>();
        foreach (var row in await File.ReadAllLinesAsync(Path.Combine(AppContext.BaseDirectory, "hand-lines.txt"), Cancel))
        {
            var (line, meant) = row.Split(" | ") is [var l, var m] ? (l, m) : throw new InvalidDataException(row);
            var answer = await Get<LineAnswerDto>("/api/line", new LineRequest(line, KettleServer.Dish()));
            var dish = answer.Dish;
            var told = new Dictionary<string, string?>
            {
                ["pulse"] = dish.PulseId,
                ["state"] = dish.PulseState ?? "",
                ["method"] = dish.Method,
                ["rice"] = dish.RiceId ?? "",
                ["ricestate"] = dish.RiceState ?? "",
                ["ricegrams"] = dish.Rice?.Value.ToString("0", System.Globalization.CultureInfo.InvariantCulture),
                ["extra"] = string.Join(',', (dish.Extras ?? []).Select(x => x.ExtraId)),
                ["frozen"] = dish.Extras?.Any(x => x.Frozen == true) == true ? "" : null,
            };
            all++;
            var good = meant
                .Split(' ')
                .All(f => f.Split('=') is [var field, var values] ? values.Split(',').Contains(told[field]) : told[f] is not null);
            right += good ? 1 : 0;
            if (!good || answer.NotUnderstood.Count > 0)
            {
                wrong.Add(
                    $"{good} {line}: {string.Join(' ', told.Select(t => $"{t.Key}={t.Value}"))} unread {string.Join(',', answer.NotUnderstood)}"
                );
            }
        }

        Assert.True(right >= 0.9 * all, $"{right} of {all}\n{string.Join('\n', wrong)}");
    }

    [Theory]
    [InlineData("frozen peas with basmati, tomorrow at seven", "pea_whole_green", "frozen_green", null, "open_pot")]
    [InlineData("fresh broad beans, saucy, tomorrow 19:00", "fava_whole", "green", null, "open_pot")]
    [InlineData("cooked frozen chickpeas, tomorrow at seven", "chickpea", null, null, "cooked")]
    [InlineData("black beans and leftover rice, tomorrow at seven", "black", null, "fridge", "open_pot")]
    [InlineData("pinto beans with cooked rice, soup, tomorrow 20h", "pinto", null, "fridge", "open_pot")]
    [InlineData("chickpeas with brown basmati and fresh tomatoes, tomorrow 19:00", "chickpea", null, null, "open_pot")]
    public async Task What_is_at_hand_is_read_as_it_comes(string line, string pulse, string? state, string? rice, string method)
    {
        var dish = (await Get<LineAnswerDto>("/api/line", new LineRequest(line, KettleServer.Dish()))).Dish;
        Assert.Equal((pulse, state, rice, method), (dish.PulseId, dish.PulseState, dish.RiceState, dish.Method));
        Assert.NotNull(dish.RiceId ?? (rice is null ? "none asked" : null));
    }

    [Theory]
    [InlineData("pinto beans with basmati beside, tomorrow at seven", "basmati_unsoaked")]
    [InlineData("chickpeas, brown rice on the side, tomorrow 19:00", "brown_long")]
    [InlineData("black beans saucy and jasmine rice in its own pot, tomorrow 19:00", "jasmine")]
    public async Task A_rice_by_its_name_may_stand_beside(string line, string rice)
    {
        var answer = await Get<LineAnswerDto>("/api/line", new LineRequest(line, KettleServer.Dish()));
        Assert.Equal(rice, answer.Dish.RiceId);
        Assert.NotNull(answer.Dish.RiceVesselId);
        Assert.Empty(answer.NotUnderstood);
    }

    /// <summary>Stages that a cook adds are read, and shown as what they are.</summary>
    [Theory]
    [InlineData("chickpeas with toasted rice, tomorrow at seven", "toast", "white rice, toasted in fat")]
    [InlineData("pinto beans saucy, mash some, tomorrow 19:00", "mash", "crush some of the pulses")]
    [InlineData("navy beans with basmati, rest under a towel, tomorrow 19:00", "towel", "rest the rice under a cloth")]
    [InlineData("yellow split peas, rice beside, folded in, tomorrow 19:00", "fold", "fold the rice in")]
    [InlineData("black beans with onion fried in the pot, tomorrow 19:00", "base", "fry the base in the pot first")]
    [InlineData("chickpeas saucy, basmati in plenty of water, tomorrow 19:00", "plenty", "basmati, boiled in plenty of water, drained")]
    public async Task A_line_asks_for_stages(string line, string stage, string chip)
    {
        var answer = await Get<LineAnswerDto>("/api/line", new LineRequest(line, KettleServer.Dish()));
        Assert.Equal([stage], answer.Dish.Stages);
        Assert.Empty(answer.NotUnderstood);
        Assert.Contains(answer.Parts, p => p.Means == chip);
        Assert.True((await Post("/api/plans", answer.Dish)).IsSuccessStatusCode);
    }

    /// <summary>A way in which pulses leave their liquid is of the dish that is named now, and of an open pot; what cannot be had stands as
    /// not read, and the plan is there.</summary>
    [Theory]
    [InlineData("in_the_liquor", "chickpeas in the pressure cooker", "in_the_pot", null)]
    [InlineData("in_the_liquor", "brown lentils and green lentils with basmati, saucy", "in_the_pot", null)]
    [InlineData("in_the_liquor", "at eight", "in_the_liquor", null)]
    [InlineData("in_the_pot", "green lentils with basmati, rice in the bean liquor", "in_the_liquor", null)]
    [InlineData(
        "in_the_pot",
        "green lentils with basmati in the pressure cooker, rice in the bean liquor",
        "in_the_pot",
        "in the bean liquor"
    )]
    public async Task The_rice_leaves_the_pot_only_where_that_can_be_done(string join, string line, string then, string? left)
    {
        var dish = KettleServer.Dish() with
        {
            PulseId = "lentil_green",
            Soak = "none",
            Style = "dry",
            VesselId = "wide-pot",
            RiceJoin = join,
        };
        var answer = await Get<LineAnswerDto>("/api/line", new LineRequest(line, dish));
        Assert.Equal(then, answer.Dish.RiceJoin ?? "in_the_pot");
        Assert.Equal(left is null ? Array.Empty<string>() : [left], answer.NotUnderstood);
        var plan = await Post("/api/plans", answer.Dish);
        Assert.True(plan.IsSuccessStatusCode, await plan.Content.ReadAsStringAsync(Cancel));
    }

    /// <summary>Each piece stands where it was typed, with what it was read as; what was not read has no meaning.</summary>
    [Fact]
    public async Task A_line_is_told_piece_by_piece()
    {
        const string line = "for 4 + 2 kids, friday, in the pressure cooker: 300g chickpeas with snorkels, no onion, rice beside";
        var answer = await Get<LineAnswerDto>("/api/line", new LineRequest(line, KettleServer.Dish()));
        Assert.All(answer.Parts, p => Assert.Equal(p.Text, line.Substring(p.Start, p.Length)));
        Assert.Equal(
            [
                "for 4",
                "2 little ones",
                "on Fri 27 Nov",
                "in the Steam drum",
                "Chickpeas, 300 g",
                null,
                "no Onion",
                "white rice, in its own pot",
            ],
            answer.Parts.Select(p => p.Means)
        );
        Assert.Equal(["snorkels"], answer.NotUnderstood);
    }

    [Fact]
    public async Task A_piece_that_was_taken_for_a_slip_says_what_it_was_taken_for()
    {
        var answer = await Get<LineAnswerDto>("/api/line", new LineRequest("chikpeas and rice for 4", KettleServer.Dish()));
        Assert.Equal("chickpea", answer.Dish.PulseId);
        Assert.Equal(["Chickpeas", "white rice", "for 4"], answer.Parts.Select(p => p.Means));
        Assert.Empty(answer.NotUnderstood);
    }

    [Fact]
    public async Task A_seventh_pulse_stands_as_not_read()
    {
        var answer = await Get<LineAnswerDto>(
            "/api/line",
            new LineRequest("kidney beans, pinto beans, navy beans, black beans, borlotti, chickpeas and adzuki, soup", KettleServer.Dish())
        );
        Assert.Equal(5, answer.Dish.Others!.Count);
        Assert.Equal(answer.NotUnderstood, answer.Parts.Where(p => p.Means is null).Select(p => p.Text));
        Assert.Single(answer.NotUnderstood);
    }

    /// <summary>A dish whose rice is cooked beside is still a dish on one burner: only who asks for it in words is told that it cannot be.</summary>
    [Theory]
    [InlineData("rajma chawal", false)]
    [InlineData("rajma chawal, rice in its own pot", true)]
    public async Task On_one_burner_the_rice_of_a_named_dish_comes_into_the_pot(string line, bool beside)
    {
        using var scope = server.Services.CreateScope();
        var dishes = scope.ServiceProvider.GetRequiredService<DishRequestReader>();
        var kitchen = await dishes.KitchenAsync(Cancel);
        var wish = scope.ServiceProvider.GetRequiredService<DishLine>().Read(line);
        bool Beside(KitchenState k) =>
            new LineMapper(dishes.Catalogue, k, dishes.Now).Map(wish, KettleServer.Dish(), line).Dish.RiceVesselId is not null;
        Assert.True(Beside(kitchen));
        Assert.Equal(beside, Beside(kitchen with { Burners = [kitchen.Burners[0]] }));
    }

    [Theory]
    [InlineData("an inch over", "cover_soaked", "Blue pot")]
    [InlineData("a glass", "volume", "mL")]
    [InlineData("mark 4", "flame", "front burner")]
    [InlineData("six whistles", "whistle_from_first", "first whistle")]
    [InlineData("high in the slow cooker", "slow_ends_at", "Day crock")]
    [InlineData("a handful of leaves", "mass", "20 g")]
    public async Task A_vague_word_is_answered_for_this_pot_in_a_sentence(string phrase, string code, string says)
    {
        var answers = await Get<List<WordAnswerDto>>("/api/words", new WordsRequest(phrase, KettleServer.Dish()));
        Assert.Contains(answers, a =>
            a.Code == code && a.Text.Contains(says, StringComparison.Ordinal) && a.Low <= a.Typical && a.Typical <= a.High
        );
    }

    [Fact]
    public async Task A_word_that_means_nothing_has_no_answer() =>
        Assert.Empty(await Get<List<WordAnswerDto>>("/api/words", new WordsRequest("blue", KettleServer.Dish())));

    private const string Recipe = """
        {"@context":"https://schema.org","@graph":[{"@type":["Recipe"],"name":"Pier-end pinto","recipeYield":"4 plates",
        "recipeIngredient":["250 g pinto beans","1 bay leaf","1 tin tomatoes"],
        "recipeInstructions":[{"@type":"HowToSection","itemListElement":[{"@type":"HowToStep","text":"Soak the beans overnight."},{"@type":"HowToStep","text":"Bring to the boil and simmer for 75 minutes."}]}]}]}
        """;

    [Fact]
    public async Task A_recipe_in_json_ld_is_recognised_and_only_its_gaps_are_asked()
    {
        var first = await Get<NotesDto>("/api/notes", new NotesRequest(Recipe, new(), KettleServer.Dish()));
        Assert.Equal(("Pier-end pinto", 4), (first.Title, first.People));
        Assert.Contains(first.Amounts, a => a is { Id: "pinto", Grams: 250 });
        Assert.Equal(["lid", "salt", "water"], first.Questions.Select(q => q.Code).Order());
        // The usual is taken until something else is said.
        Assert.Equal(("ajar", "1000"), (Likely(first, "lid"), Likely(first, "water")));
        Assert.NotNull(first.Gives);
        Assert.InRange(first.Own!.ShareTender, 0.85, 1);
        Assert.InRange(first.Own.Minutes, 40, 240);
        var whole = await Get<NotesDto>(
            "/api/notes",
            new NotesRequest(Recipe, new(WaterGrams: 1500, Lid: "ajar", SaltGrams: 8), KettleServer.Dish())
        );
        Assert.Empty(whole.Questions);
        Assert.Contains("An ordinary bag comes out", whole.Gives!.Text, StringComparison.Ordinal);
        Assert.Equal(("pinto", "overnight", "open_pot"), (whole.Dish!.PulseId, whole.Dish.Soak, whole.Dish.Method));
        Assert.True((await Post("/api/plans", whole.Dish)).IsSuccessStatusCode);
        // The cook of the notes is one of ours: its own form can be forecast again.
        Assert.True((await Post("/api/forecast", whole.Gives.Cook)).IsSuccessStatusCode);
    }

    private static string? Likely(NotesDto notes, string code) => notes.Questions.Single(q => q.Code == code).Likely;

    /// <summary>Marks and entities within, two scripts, no quotes: as pages are.</summary>
    [Theory]
    [InlineData("<script type=application/ld+json>{R}</script>")]
    [InlineData("<SCRIPT data-x='>' TYPE='application/ld+json; charset=utf-8'>\n{R}\n</SCRIPT>")]
    [InlineData(
        "<script type='application/ld+json'>{\"@type\":\"WebPage\"}</script><p>a < b</p><script type='application/ld+json'>{R}</script>"
    )]
    public async Task A_recipe_is_found_however_its_page_is_written(string page)
    {
        var notes = await Get<NotesDto>(
            "/api/notes",
            new NotesRequest(
                page.Replace(
                    "{R}",
                    Recipe.Replace("pinto beans\"", "pinto beans &amp; <b>love</b>\"", StringComparison.Ordinal),
                    StringComparison.Ordinal
                ),
                new(),
                KettleServer.Dish()
            )
        );
        Assert.Equal("Pier-end pinto", notes.Title);
        Assert.Contains(notes.Amounts, a => a is { Id: "pinto", Grams: 250 });
        Assert.DoesNotContain(notes.Amounts, a => a.Line.Contains('<', StringComparison.Ordinal));
    }

    [Fact]
    public async Task A_page_without_a_recipe_is_read_as_it_stands()
    {
        var notes = await Get<NotesDto>(
            "/api/notes",
            new NotesRequest(
                "<html><body><nav>Home</nav><h1>Shed lentils</h1><ul><li>200 g green lentils<li>700 ml water</ul><p>Simmer 25 minutes.</p><script>x()</script>",
                new(),
                KettleServer.Dish()
            )
        );
        Assert.Equal("Shed lentils", notes.Title);
        Assert.Contains(notes.Amounts, a => a is { Kind: "pulse", Grams: 200 });
        Assert.Contains(notes.Steps, s => s is { Act: "simmer", MinutesLow: 25 });
    }

    [Fact]
    public async Task A_name_that_means_several_says_which_it_took_and_may_be_another()
    {
        const string Text = "250 g lentils\n1 l water\nsimmer 25 minutes, lid on";
        var first = await Get<NotesDto>("/api/notes", new NotesRequest(Text, new(), KettleServer.Dish()));
        var taken = Assert.Single(first.Amounts, a => a.Kind == "pulse");
        Assert.NotEmpty(taken.Others);
        var other = taken.Others[0].PulseId;
        var second = await Get<NotesDto>("/api/notes", new NotesRequest(Text, new(PulseId: other), KettleServer.Dish()));
        Assert.Equal(other, Assert.Single(second.Amounts, a => a.Kind == "pulse").Id);
        Assert.Equal(other, second.Dish!.PulseId);
    }

    [Fact]
    public async Task The_stages_of_the_notes_are_those_of_the_dish()
    {
        var notes = await Get<NotesDto>(
            "/api/notes",
            new NotesRequest(
                "200 g brown lentils\n250 g basmati\n500 ml water\n1 tsp salt\nCook the lentils 12 minutes with the lid ajar, drain, keep the liquid.\nToast the rice in oil. Add the rice and the lentils, cover, 15 minutes on low. Rest 10 minutes under a towel.",
                new(),
                KettleServer.Dish()
            )
        );
        Assert.Equal("in_the_liquor", notes.Dish!.RiceJoin);
        // By what is left of the water, not by what was planned before.
        Assert.Contains(notes.Dish.Style, new[] { "dry", "moist" });
        Assert.Contains("towel", notes.Dish.Stages!);
        Assert.NotNull(notes.Gives);
    }

    /// <summary>What is fried before anything cooks is fried in the pot; what is fried at the end is poured over.</summary>
    [Theory]
    [InlineData("Fry the onion in the oil until golden.\nAdd the lentils and the water, simmer 25 minutes.", true)]
    [InlineData("Simmer the lentils in the water 25 minutes.\nFry the onion in the oil and pour it over.", false)]
    public async Task A_base_of_the_notes_is_fried_in_the_pot(string steps, bool inThePot)
    {
        var notes = await Get<NotesDto>(
            "/api/notes",
            new NotesRequest($"250 g brown lentils\n1 onion\n2 tbsp oil\n900 ml water\n{steps}", new(), KettleServer.Dish())
        );
        Assert.Equal(inThePot, notes.Dish!.Stages!.Contains("base"));
    }

    [Fact]
    public async Task A_page_that_carries_the_recipe_is_read_too()
    {
        var page = $"<html><head><script type=\"application/ld+json\">{Recipe}</script></head><body>hello</body></html>";
        Assert.Equal("Pier-end pinto", (await Get<NotesDto>("/api/notes", new NotesRequest(page, new(), KettleServer.Dish()))).Title);
    }

    [Fact]
    public async Task Eight_litres_for_a_cup_of_chickpeas_is_queried()
    {
        var notes = await Get<NotesDto>(
            "/api/notes",
            new NotesRequest("1 cup chickpeas\n8 litres water\nSoak overnight, boil and simmer 80 minutes", new(), KettleServer.Dish())
        );
        Assert.Contains("8.0 L", Assert.Single(notes.Doubts, d => d.Code == "too_much_water").Text, StringComparison.Ordinal);
    }

    [Fact]
    public async Task Notes_that_are_not_safe_say_so()
    {
        var notes = await Get<NotesDto>(
            "/api/notes",
            new NotesRequest(
                "250 g kidney beans\n1 l water\n8 g salt\nSoak overnight, then slow cook on low for 8 hours",
                new(),
                KettleServer.Dish()
            )
        );
        Assert.Contains(notes.Doubts, d => d.Code == "low_for_lectin");
        Assert.Contains(notes.Gives!.Gates, g => g.Code == "lectin.not_boiled");
    }

    [Theory]
    [InlineData("", "request.missing", "text")]
    [InlineData("{\"@type\":", null, null)]
    [InlineData("[1,2,[[[[[[[[[[]]]]]]]]]]]", null, null)]
    [InlineData("<script type='application/ld+json'>nonsense</script>", null, null)]
    public async Task Broken_notes_are_refused_or_asked_about_never_a_fault(string text, string? code, string? field)
    {
        var response = await Post("/api/notes", new NotesRequest(text, new(), KettleServer.Dish()));
        if (code is not null)
        {
            Assert.Equal((400, code, field), await response.Problem());
            return;
        }

        Assert.Equal("pulse", (await response.Content.ReadFromJsonAsync<NotesDto>(Cancel))!.Questions[0].Code);
    }

    /// <summary>A megabyte is more than any page of notes: it is refused before it is read.</summary>
    [Theory]
    [InlineData(41_000)]
    [InlineData(1_000_000)]
    public async Task Very_long_notes_are_refused_and_not_read(int letters)
    {
        var response = await Post("/api/notes", new NotesRequest(new string('7', letters), new(), KettleServer.Dish()));
        Assert.Contains((int)response.StatusCode, new[] { 400, 413 });
        Assert.Contains(await CodeOf(response), new[] { "words.too_long", "request.too_large" });
    }

    private static async Task<string?> CodeOf(HttpResponseMessage response) => (await response.Json()).GetProperty("code").GetString();

    [Theory]
    [InlineData("lid", "half", "answers.lid")]
    [InlineData("clockStart", "noon", "answers.clockStart")]
    public async Task A_wrong_answer_is_named(string field, string word, string at)
    {
        var answers = field == "lid" ? new NoteAnswersDto(Lid: word) : new NoteAnswersDto(ClockStart: word);
        Assert.Equal(
            (400, "request.unknown_word", at),
            await (await Post("/api/notes", new NotesRequest("pinto", answers, KettleServer.Dish()))).Problem()
        );
        Assert.Equal(
            (400, "request.out_of_range", "answers.waterGrams"),
            await (await Post("/api/notes", new NotesRequest("pinto", new(WaterGrams: 1e9), KettleServer.Dish()))).Problem()
        );
    }

    [Fact]
    public void Every_question_and_doubt_has_words()
    {
        Assert.All(
            ["pulse", "pulse_grams", "rice_grams", "water", "minutes", "soak", "lid", "clock_start", "release", "salt"],
            (string c) => Assert.EndsWith("?", WordSentences.Question(c).Text, StringComparison.Ordinal)
        );
        Assert.All(["too_much_water", "too_little_water", "too_short", "too_long", "too_much_salt", "low_for_lectin"], (string c) =>
            Assert.NotEmpty(WordSentences.Doubt(new NoteDoubt(c, 3, 1, 2)))
        );
    }
}
