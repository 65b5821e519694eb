using System.Globalization;
using System.Net.Http.Json;
using System.Text.Json;
using OpenQA.Selenium;
using Xunit;

namespace BrightKettle.Browser.Tests;

/// <summary>What a dinner at the stove meets only now and then: whistles, a second pot, two screens that disagree, labels, and being
/// heard.</summary>
public sealed class StoveCardsTests
{
    private static object Dish(
        string pulse,
        string soak,
        string method = "open_pot",
        string? cookerId = null,
        string? riceId = null,
        string? riceVesselId = null
    ) =>
        new
        {
            pulseId = pulse,
            pulse = new { value = 300, unit = "g" },
            riceId,
            rice = riceId is null ? null : new { value = 250, unit = "g" },
            people = 4,
            soak,
            style = "saucy",
            vesselId = "wide-pot",
            riceVesselId,
            burnerId = "front",
            serveAtLocal = "2026-11-25T19:00",
            seed = 7,
            method,
            cookerId,
        };

    private static string? Event(JsonElement moment) => moment.GetProperty("waits").GetProperty("event").GetString();

    private static string? Step(JsonElement moment) =>
        moment.GetProperty("step") is { ValueKind: JsonValueKind.Object } s ? s.GetProperty("kind").GetString() : null;

    /// <summary>Presses a button of the card once it is there, and waits for what then stands in the large sentence.</summary>
    private static void Tap(Kitchen k, string text, string then)
    {
        k.PressFirstLine(text, begins: true);
        k.Until(_ => k.Text("h1").Replace('\u00a0', ' ').Contains(then, StringComparison.Ordinal));
    }

    /// <summary>A soak that ended after three hours clears no lectin: the page says so before anything is lit, above what is next; one that
    /// was long enough is not spoken of.</summary>
    [Fact]
    public void What_is_not_safe_as_it_goes_on_stands_above_what_is_next()
    {
        using var kitchen = new Kitchen();
        kitchen.Run(k =>
        {
            var dish = Dish("navy", "overnight", "slow_cooker", "day-crock");
            var (calm, hasty) = (StoveScene.Of(k, "Crock day", dish), StoveScene.Of(k, "Hasty crock day", dish));
            void Did(StoveScene scene, string step) =>
                scene.Tell(k, new { kind = "did", momentId = scene.Moment(step).GetProperty("id").GetString() });
            calm.Do(k, "soak");
            k.Clock.SetUtcNow(calm.Due("drain").AddHours(-3));
            Did(hasty, "soak");
            k.Clock.SetUtcNow(calm.Due("drain").AddSeconds(2));
            Did(calm, "drain");
            Did(hasty, "drain");
            k.Open($"/stove/{hasty.Id}");
            k.Until(d => d.FindElements(By.CssSelector("[data-gate='lectin.not_boiled']")).Count == 1);
            Assert.Contains("Not safe this way", k.Find(By.CssSelector("[data-gate]")).Text, StringComparison.Ordinal);
            k.Open($"/stove/{calm.Id}");
            k.Until(_ => k.Text("h1").Length > 0);
            Assert.Empty(k.Driver.FindElements(By.CssSelector("[data-gate]")));
        });
    }

    /// <summary>A cooker that the kitchen has from now on.</summary>
    /// <returns>Its id.</returns>
    private static string Added(Kitchen k, string name, double diameterCentimetres, double brimMillilitres, string cooker)
    {
        k.Http.PostAsJsonAsync(
                "/api/kitchen/vessels",
                new
                {
                    name,
                    diameterCentimetres,
                    brimMillilitres,
                    cooker,
                }
            )
            .GetAwaiter()
            .GetResult()
            .EnsureSuccessStatusCode();
        return k
            .Http.GetFromJsonAsync<JsonElement>("/api/kitchen")
            .GetAwaiter()
            .GetResult()
            .GetProperty("vessels")
            .EnumerateArray()
            .First(v => v.GetProperty("name").GetString() == name)
            .GetProperty("id")
            .GetString()!;
    }

    /// <summary>A rice cooker is switched on, asked for its click, and left on warm.</summary>
    [Fact]
    public void A_rice_cooker_is_asked_whether_it_went_over_to_warm()
    {
        using var kitchen = new Kitchen(390, 844);
        kitchen.Run(k =>
        {
            var drum = Added(k, "Rice drum", 19, 2500, "rice");
            var scene = StoveScene.Of(k, "Quay chickpeas", Dish("chickpea", "overnight", riceId: "long_white", riceVesselId: drum));
            scene.Walk(k, m => Event(m) == "switches_over");
            k.Open($"/stove/{scene.Id}");
            k.Until(_ => k.Driver.FindElement(By.TagName("main")).Text.Contains("goes over to warm", StringComparison.Ordinal));
            k.PressFirstLine("It is on warm", begins: true);
            k.Until(_ => k.Driver.FindElement(By.TagName("main")).Text.Contains("Fluff the rice", StringComparison.Ordinal));
            Assert.Contains(
                "It is on warm",
                k.Find(By.XPath("//details[contains(.,'What was told')]")).GetAttribute("textContent")!,
                StringComparison.OrdinalIgnoreCase
            );
        });
    }

    [Fact]
    public void Whistles_are_tapped_one_by_one_and_a_look_under_the_lid_is_priced_and_taken()
    {
        using var kitchen = new Kitchen(390, 844);
        kitchen.Run(k =>
        {
            var id = Added(k, "Hill cooker", 22, 6000, "weight");
            var scene = StoveScene.Of(k, "Orchard borlotti", Dish("borlotti", "overnight", "pressure", id));
            scene.Walk(k, m => Event(m) == "whistle");
            k.Open($"/stove/{scene.Id}");
            k.Until(_ => k.Text("h1") == "Wait for the first whistle");
            Tap(k, "It whistles", "Count the whistles: 1 of");
            var count = scene.Now().GetProperty("waits").GetProperty("count").GetInt32();
            Assert.True(count > 2);
            Tap(k, "It whistles", $"Count the whistles: 2 of {count}");

            // What a look costs stands there before it is taken; it leads to the pin, the look, and the lock again.
            Tap(k, "Look inside", "Count the whistles");
            k.Until(d => d.FindElements(By.CssSelector("section[data-moment] li")).Count == 2);
            Assert.Matches(@"Soft about \d+ min later\. Table", k.Find(By.CssSelector("section[data-moment] li")).Text);
            Tap(k, "Do this", "Flame off");
            Tap(k, "Done", "Wait until the pin is down");
            k.Clock.SetUtcNow(k.Clock.GetUtcNow().AddMinutes(9));
            // What is due by then rings above the card and moves it down: a press before that would miss its button.
            k.Until(d => d.FindElements(By.XPath("//button[normalize-space()='Heard']")).Count > 0);
            Tap(k, "The pin is down", "Taste the pulses");
            Tap(k, "a speck of chalk left", "lock");
            Assert.Contains(
                "chose look and lock",
                k.Find(By.XPath("//details[contains(.,'What was told')]"))
                    .GetAttribute("textContent")!
                    .Replace(":", string.Empty, StringComparison.Ordinal),
                StringComparison.OrdinalIgnoreCase
            );
            Assert.False(k.Find(By.XPath("//button[normalize-space()='Done']")).Enabled);
            Tap(k, "Vent is clear", "lock");
            k.Until(d => d.FindElement(By.XPath("//button[normalize-space()='Done']")).Enabled);
            Tap(k, "Done", "Wait for the first whistle");
        });
    }

    [Fact]
    public void Rice_in_its_bowl_above_is_chosen_among_the_ways_and_told_step_by_step()
    {
        using var kitchen = new Kitchen();
        kitchen.Run(k =>
        {
            k.Open("/");
            k.Find(By.Id("line")).SendKeys("for four, tomorrow at seven: toor dal with white rice, saucy, not soaked" + Keys.Enter);
            k.Until(_ => k.Text("h1").StartsWith("Toor dal with white rice", StringComparison.Ordinal));
            k.Settle();
            k.AllWays();
            k.Do(By.XPath("//label[contains(@class,'way')][span[contains(.,'not soaked, rice in its bowl above')]]"), l => l.Click());
            k.Until(d => d.FindElements(By.XPath("//*[contains(text(),'Rice into its bowl: ')]")).Count > 0);
            Assert.NotEmpty(k.Driver.FindElements(By.XPath("//*[contains(text(),'Salt into the rice bowl: ')]")));
            Assert.NotEmpty(k.Driver.FindElements(By.XPath("//*[contains(.,'White rice, by itself: ')]")));
            Assert.Contains(
                "rice in its bowl above",
                k.Find(By.CssSelector("input[name=way]:checked")).GetAttribute("aria-label")!,
                StringComparison.Ordinal
            );
        });
    }

    [Fact]
    public void Two_pots_side_by_side_are_told_apart_and_what_is_said_of_one_is_not_said_of_the_other()
    {
        using var kitchen = new Kitchen();
        kitchen.Run(k =>
        {
            var scene = StoveScene.Of(k, "Two-pot borlotti", Dish("borlotti", "overnight", riceId: "long_white", riceVesselId: "blue-pot"));
            var boils = scene.Walk(k, m => Step(m) == "rice_boils");
            k.Open($"/stove/{scene.Id}");
            k.Until(_ => k.Text("section[data-moment] .pot-name") == "Blue pot");
            var rice =
                k.Find(By.CssSelector("section[data-moment] .pot-name")).GetCssValue("border-left-color")
                + k.Find(By.CssSelector("section[data-moment] .pot-name")).GetAttribute("style");
            var before = scene.State();
            Tap(k, "It boils", string.Empty);
            k.Until(_ => scene.State().GetProperty("version").GetInt64() > before.GetProperty("version").GetInt64() + 1);
            var after = scene.State().GetProperty("moments").EnumerateArray().ToList();
            Assert.Equal(
                "done",
                after.First(m => m.GetProperty("id").GetString() == boils.GetProperty("id").GetString()).GetProperty("state").GetString()
            );
            // Of the beans' pot nothing has changed.
            string Of(JsonElement state, string lane) =>
                string.Join(
                    ' ',
                    state
                        .GetProperty("moments")
                        .EnumerateArray()
                        .Where(m => m.GetProperty("lane").GetString() == lane)
                        .Select(m => m.GetProperty("id").GetString() + m.GetProperty("state").GetString())
                        .Order()
                );
            Assert.Equal(Of(before, "wide-pot"), Of(scene.State(), "wide-pot"));
            scene.Walk(k, m => m.GetProperty("lane").GetString() == "wide-pot");
            k.Until(_ => k.Text("section[data-moment] .pot-name") == "Wide white pot");
            var beans =
                k.Find(By.CssSelector("section[data-moment] .pot-name")).GetCssValue("border-left-color")
                + k.Find(By.CssSelector("section[data-moment] .pot-name")).GetAttribute("style");
            Assert.NotEqual(rice, beans);
        });
    }

    [Fact]
    public void Two_screens_that_told_it_differently_are_both_shown_until_one_is_taken_back()
    {
        using var kitchen = new Kitchen();
        kitchen.Run(k =>
        {
            var scene = StoveScene.OfFirst(k);
            var soak = scene.Walk(k, m => Step(m) == "soak");
            k.Open($"/stove/{scene.Id}");
            k.Until(d => d.FindElements(By.XPath("//button[normalize-space()='Done']")).Count == 1);
            StoveHand.Network(k, offline: true);
            Tap(k, "Done", "Nothing to do until");
            // Meanwhile a phone says that it was done ten minutes ago.
            k.Clock.SetUtcNow(k.Clock.GetUtcNow().AddMinutes(10));
            scene.Tell(k, new { kind = "did", momentId = soak.GetProperty("id").GetString() }, by: "phone");
            StoveHand.Network(k, offline: false);
            k.Until(d => d.FindElements(By.XPath("//section[@role='alert' and contains(.,'Told twice, differently')]")).Count == 1);
            var card = k.Find(By.XPath("//section[@role='alert' and contains(.,'Told twice, differently')]"));
            Assert.Contains("Soak", card.Text, StringComparison.Ordinal);
            Assert.Contains("laptop", card.Text, StringComparison.Ordinal);
            Assert.Equal(1, scene.State().GetProperty("conflicts").GetArrayLength());
            // The second is right: the first is taken back, and the record keeps both.
            card.FindElements(By.TagName("button"))[1].Click();
            k.Until(_ => scene.State().GetProperty("conflicts").GetArrayLength() == 0);
            k.Until(d => d.FindElements(By.XPath("//section[contains(.,'Told twice, differently')]")).Count == 0);
            Assert.Equal(2, scene.State().GetProperty("told").GetArrayLength());
            Assert.Equal("done", scene.Moment("soak").GetProperty("state").GetString());
            Assert.All(k.Complaints(), c =>
                Assert.True(
                    c.Contains("Failed to load resource", StringComparison.Ordinal) || c.Contains("ERR_", StringComparison.Ordinal),
                    c
                )
            );
        });
    }

    [Fact]
    public void Labels_are_printed_one_for_each_portion_and_nothing_else()
    {
        using var kitchen = new Kitchen();
        kitchen.Run(k =>
        {
            var scene = StoveScene.OfFirst(k);
            scene.Walk(k, _ => false);
            k.Open($"/stove/{scene.Id}");
            var portions = k.Find(By.CssSelector("section[aria-labelledby=now] input[type=number]"));
            portions.Clear();
            portions.SendKeys("3");
            Tap(k, "In the fridge", "Chilled");
            k.Driver.ExecuteScript("window.printed = 0; window.print = () => window.printed++;");
            Tap(k, "Print labels", "Chilled");
            Assert.Equal(1L, k.Driver.ExecuteScript("return window.printed"));
            k.Driver.ExecuteCdpCommand("Emulation.setEmulatedMedia", new() { ["media"] = "print" });
            var labels = k.Driver.FindElements(By.CssSelector(".label"));
            Assert.Equal(3, labels.Count);
            Assert.All(labels, l =>
                Assert.True(
                    l.Displayed
                        && l.Text.Contains("Lamplight chickpeas", StringComparison.Ordinal)
                        && l.Text.Contains("eat by 2026-11-27", StringComparison.Ordinal),
                    l.Text
                )
            );
            Assert.Equal(["1 of 3", "2 of 3", "3 of 3"], labels.Select(l => l.Text.Split('\n')[^1].Split(" · ")[0].Trim()));
            var other = (string)
                k.Driver.ExecuteScript(
                    "return [...document.body.querySelectorAll('*')].filter((e) => e.checkVisibility() && !e.closest('.label') && [...e.childNodes].some((n) => n.nodeType === 3 && n.data.trim())).map((e) => e.innerText).join('; ')"
                )!;
            Assert.Equal(string.Empty, other);
            k.Driver.ExecuteCdpCommand("Emulation.setEmulatedMedia", new() { ["media"] = string.Empty });
        });
    }

    [Fact]
    public void What_is_due_is_heard_seen_felt_and_if_wished_spoken_and_a_quiet_one_only_shines()
    {
        using var kitchen = new Kitchen();
        kitchen.Driver.ExecuteCdpCommand(
            "Browser.grantPermissions",
            new() { ["permissions"] = new[] { "notifications", "wakeLockScreen" } }
        );
        // The page's own sound is tapped on its way out; what the browser hands to the machine is only counted.
        kitchen.Driver.ExecuteCdpCommand(
            "Page.addScriptToEvaluateOnNewDocument",
            new()
            {
                ["source"] = """
                window.heard = { loudest: 0, shaken: 0, spoken: [], notified: [] };
                const connect = AudioNode.prototype.connect;
                AudioNode.prototype.connect = function (to, ...rest) {
                  if (to === this.context.destination) {
                    const ear = this.context.createAnalyser();
                    connect.call(this, ear);
                    const samples = new Float32Array(ear.fftSize);
                    const until = performance.now() + 2000;
                    const listen = () => {
                      ear.getFloatTimeDomainData(samples);
                      window.heard.loudest = Math.max(window.heard.loudest, ...samples.map(Math.abs));
                      if (performance.now() < until) setTimeout(listen, 10);
                    };
                    listen();
                  }
                  return connect.call(this, to, ...rest);
                };
                navigator.vibrate = () => !!++window.heard.shaken;
                window.Notification = class { static permission = 'granted'; static requestPermission = async () => 'granted'; constructor(title, o) { window.heard.notified.push(o.body); } };
                speechSynthesis.speak = (u) => window.heard.spoken.push(u.text);
                """,
            }
        );
        kitchen.Run(k =>
        {
            JsonElement Heard() => JsonDocument.Parse((string)k.Driver.ExecuteScript("return JSON.stringify(window.heard)")!).RootElement;
            double Loudest() => Heard().GetProperty("loudest").GetDouble();
            var scene = StoveScene.OfFirst(k);
            scene.Walk(k, m => Step(m) == "heat_off", minutesBefore: 3);
            k.Open($"/stove/{scene.Id}");
            k.Press("Let it ring");
            k.Until(d => d.FindElements(By.XPath("//*[contains(.,'Screen stays awake')]")).Count > 0);
            k.Press("How it rings");
            Tap(k, "Not spoken", string.Empty);
            Assert.Equal(0, Loudest());
            // The page lies behind another: it notifies as well.
            k.Driver.ExecuteScript("Object.defineProperty(document, 'hidden', { get: () => true })");
            k.Clock.SetUtcNow(k.Clock.GetUtcNow().AddMinutes(3).AddSeconds(2));
            k.Until(_ => Loudest() > 0.1);
            var heard = Heard();
            Assert.True(heard.GetProperty("shaken").GetInt32() > 0);
            Assert.Single(heard.GetProperty("notified").EnumerateArray());
            Assert.Equal(heard.GetProperty("notified")[0].GetString(), heard.GetProperty("spoken")[0].GetString());
            Assert.StartsWith("● ", k.Driver.Title, StringComparison.Ordinal);
            // Putting it off says what that costs, and is done.
            var off = scene.Now().GetProperty("putOff").GetProperty("tableMinutes").GetDouble();
            Tap(k, string.Create(CultureInfo.InvariantCulture, $"In 3 min: table {off:0} min later"), string.Empty);
            bool Rings(IWebDriver d) =>
                d.FindElements(By.CssSelector(".ring")).Any(r => r.Text.StartsWith("Now", StringComparison.Ordinal));
            k.Until(d => !Rings(d));

            // Quiet: it shines, and no more than that.
            k.Press("How it rings");
            Tap(k, "Sound and light", string.Empty);
            k.Driver.ExecuteScript("window.heard.loudest = 0; window.heard.shaken = 0; window.heard.spoken = []");
            k.Clock.SetUtcNow(k.Clock.GetUtcNow().AddMinutes(3).AddSeconds(2));
            k.Until(Rings);
            Assert.Equal(
                (0, 0, 0),
                ((int)Loudest(), Heard().GetProperty("shaken").GetInt32(), Heard().GetProperty("spoken").GetArrayLength())
            );
        });
    }
}
