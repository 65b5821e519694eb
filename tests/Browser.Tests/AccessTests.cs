using System.Text.Json;
using OpenQA.Selenium;
using Xunit;

namespace BrightKettle.Browser.Tests;

public sealed class AccessTests
{
    private static readonly string Axe = File.ReadAllText(
        Path.Combine(Kitchen.Root, "src", "client", "node_modules", "axe-core", "axe.min.js")
    );

    private static List<string> Violations(Kitchen k)
    {
        k.Driver.ExecuteScript(Axe);
        var json = (string)
            k.Driver.ExecuteAsyncScript(
                "const done = arguments[0]; axe.run(document, { resultTypes: ['violations'] }).then((r) => done(JSON.stringify(r.violations.map((v) => v.id + ': ' + v.nodes.map((n) => n.target.join(' ') + ' ' + (n.any[0]?.message ?? '')).join(' | ')))));"
            )!;
        return JsonSerializer.Deserialize<List<string>>(json)!;
    }

    [Theory]
    [InlineData("/", 1280, 800, "enamel-day")]
    [InlineData("/", 1280, 800, "enamel-night")]
    [InlineData("/", 390, 844, "enamel-day")]
    [InlineData("/dinners", 1280, 800, "enamel-day")]
    [InlineData("/dinners", 390, 844, "enamel-night")]
    [InlineData("/cupboard", 1280, 800, "enamel-night")]
    [InlineData("/cupboard", 390, 844, "enamel-day")]
    [InlineData("/notes", 1280, 800, "enamel-day")]
    [InlineData("/notes", 390, 844, "enamel-night")]
    [InlineData("/pots", 1280, 800, "enamel-night")]
    [InlineData("/why", 390, 844, "enamel-day")]
    [InlineData("/stove", 1280, 800, "enamel-day")]
    [InlineData("/practice", 390, 844, "enamel-night")]
    [InlineData("/practice/rice_time/3", 1280, 800, "enamel-night")]
    [InlineData("/practice/dry_on_top/3", 390, 844, "enamel-day")]
    public void Axe_finds_nothing_and_nothing_is_wider_than_the_page(string path, int width, int height, string theme)
    {
        using var kitchen = new Kitchen(width, height);
        kitchen.Run(k =>
        {
            k.Open("/");
            k.Driver.ExecuteScript($"localStorage.setItem('bright-kettle.theme', '{theme}')");
            k.Open(path);
            Assert.Equal(theme, k.Find(By.TagName("html")).GetAttribute("data-theme"));
            if (path == "/")
            {
                k.AllWays();
                if (width < 1024)
                {
                    k.OpenDish();
                    k.Find(By.XPath("//form//summary[.='More']")).Click();
                    Assert.Empty(Violations(k));
                    k.Press("Done");
                    k.Until(d => d.FindElements(By.CssSelector("dialog[open]")).Count == 0);
                }
                else
                {
                    k.Find(By.XPath("//form//summary[.='More']")).Click();
                }

                k.Find(By.CssSelector("[data-pull=light]")).SendKeys(Keys.ArrowLeft + Keys.ArrowLeft);
                k.Until(d => d.FindElements(By.XPath("//button[normalize-space()='Back to the best']")).Count == 1);
            }

            k.Until(d => d.FindElements(By.CssSelector("main h1")).Count > 0);
            if (path.StartsWith("/practice/", StringComparison.Ordinal))
            {
                k.Press("Dip a spoon in");
                Assert.Empty(Violations(k));
                k.Do(By.CssSelector("section[aria-labelledby=decide-title] button"), b => b.Click());
                k.Until(d => d.FindElements(By.Id("inside-title")).Count == 1);
            }

            if (path == "/notes")
            {
                k.Find(By.Id("notes")).SendKeys("pinto beans, simmered\n9 litres water");
                k.Until(d => d.FindElements(By.Id("read-title")).Count == 1);
            }

            Assert.Empty(Violations(k));
            var wide = (long)k.Driver.ExecuteScript("return document.documentElement.scrollWidth - document.documentElement.clientWidth")!;
            Assert.Equal(0, wide);
        });
    }

    /// <summary>What opens, fails or is missing: axe finds nothing there either.</summary>
    [Theory]
    [InlineData(1280, 800, "enamel-day")]
    [InlineData(390, 844, "enamel-night")]
    public void Axe_finds_nothing_in_forms_that_are_open_in_faults_and_in_refusals(int width, int height, string theme)
    {
        using var kitchen = new Kitchen(width, height);
        kitchen.WithPast();
        kitchen.Run(k =>
        {
            k.Open("/");
            k.Driver.ExecuteScript($"localStorage.setItem('bright-kettle.theme', '{theme}')");
            void Look(string path, Action? to = null)
            {
                k.Open(path);
                to?.Invoke();
                Assert.Empty(Violations(k));
            }

            Look("/pots", () =>
            {
                k.Do(By.CssSelector("button[aria-label='Change Milk pan']"), b => b.Click());
                k.Do(By.CssSelector("button[aria-label='Change Front burner']"), b => b.Click());
                k.Do(By.XPath("//label[starts-with(.,'Inside width')]/input"), i => i.SendKeys("wide"));
                k.Do(By.XPath("//label[starts-with(.,'To the brim')]/input"), i => i.Click());
                k.Until(d => d.FindElements(By.CssSelector("main [role=alert]")).Count == 1);
            });
            Look("/pots", () => k.Do(By.CssSelector("button[aria-label='Remove Milk pan']"), b => b.Click()));
            Look("/cupboard", () =>
            {
                k.Do(By.CssSelector("button[aria-label='Change Borlotti beans']"), b => b.Click());
                k.Do(By.Id("bag-add"), i => i.SendKeys("len"));
                k.Until(d => d.FindElements(By.CssSelector("#bag-add-list [role=option]")).Count > 1);
            });
            Look("/dinners", () => k.Do(By.XPath("//button[starts-with(@aria-label,'Rename')]"), b => b.Click()));
            Look("/dinners", () =>
            {
                k.Do(By.LinkText("Tall-jar chickpeas"), a => a.Click());
                k.Until(_ => k.Text("h1").Contains("Tall-jar chickpeas", StringComparison.Ordinal));
            });
            Look("/why", () => k.Do(By.Id("question"), i => i.SendKeys("xylophone")));
            Look("/nothing-here");
            Look("/", () =>
            {
                if (width < 1024)
                {
                    k.OpenDish();
                }

                k.Do(By.Id("pulse-amount"), i => i.SendKeys("x" + Keys.Tab));
                k.Until(d => d.FindElements(By.Id("pulse-amount-error")).Count == 1);
                k.Do(By.Id("pulse"), i => i.SendKeys(Keys.ArrowDown));
                k.Until(d => d.FindElements(By.CssSelector("#pulse-list [role=option]")).Count > 1);
            });
            Look("/", () =>
            {
                if (width < 1024)
                {
                    k.OpenDish();
                }

                k.ChooseLabel("None");
                k.Select("day", 0);
                k.Do(By.Id("time"), i => i.SendKeys(Keys.Control + "a"));
                k.Do(By.Id("time"), i => i.SendKeys("18:20" + Keys.Tab));
                k.Until(d => d.PageSource.Contains("Not by then", StringComparison.Ordinal));
            });
            _ = k.Complaints();
        });
    }

    [Fact]
    public void Axe_finds_nothing_in_a_household_that_is_asked_its_first_questions()
    {
        using var kitchen = new Kitchen(fresh: true);
        kitchen.Run(k =>
        {
            k.Open("/");
            Assert.Empty(Violations(k));
            k.Do(By.XPath("//label[starts-with(.,'Height above the sea')]/input"), i => i.SendKeys("x"));
            k.Do(By.XPath("//button[.='Skip']"), b => b.SendKeys(Keys.Tab));
            Assert.Empty(Violations(k));
        });
    }

    [Theory]
    [InlineData(1280, 800, "enamel-night")]
    [InlineData(390, 844, "enamel-day")]
    public void At_the_stove_axe_finds_nothing_the_sentence_is_large_and_so_is_every_target(int width, int height, string theme)
    {
        using var kitchen = new Kitchen(width, height);
        kitchen.Run(k =>
        {
            k.Open("/");
            k.Driver.ExecuteScript($"localStorage.setItem('bright-kettle.theme', '{theme}')");
            var scene = StoveScene.OfFirst(k);
            void Look()
            {
                k.Until(d => d.FindElements(By.Id("now")).Count == 1);
                Assert.Empty(Violations(k));
                Assert.Equal(
                    0,
                    (long)k.Driver.ExecuteScript("return document.documentElement.scrollWidth - document.documentElement.clientWidth")!
                );
                var size = Convert.ToDouble(
                    k.Driver.ExecuteScript("return parseFloat(getComputedStyle(document.getElementById('now')).fontSize)"),
                    System.Globalization.CultureInfo.InvariantCulture
                );
                Assert.True(size >= 40, $"{size}");
                var small = (string)
                    k.Driver.ExecuteScript(
                        "return [...document.querySelectorAll('main button, main input')].filter((e) => e.checkVisibility()).filter((e) => e.getBoundingClientRect().height < 56).map((e) => e.innerText || e.ariaLabel).join('; ')"
                    )!;
                Assert.Equal(string.Empty, small);
            }

            scene.Do(k, "soak", "drain", "light", "boil");
            scene.Tell(
                k,
                new
                {
                    kind = "went_in",
                    ingredient = "leaf",
                    count = 2,
                }
            );
            k.Open($"/stove/{scene.Id}");
            k.Until(d => d.FindElements(By.XPath("//button[normalize-space()='It has settled']")).Count == 1);
            Look();
            k.Press("Tell what you see or add");
            Look();
            k.Clock.SetUtcNow(scene.Due("look").AddSeconds(2));
            k.Until(d => d.FindElements(By.CssSelector("[data-moment-look]")).Count == 1);
            k.Press("Something is wrong");
            k.Press("Hard and wet");
            k.Until(d => d.FindElements(By.XPath("//button[normalize-space()='Do this']")).Count > 0);
            Look();
            scene.Do(k, "look");
            k.Clock.SetUtcNow(scene.Due("join").AddSeconds(2));
            k.Until(d => d.FindElements(By.XPath("//button[normalize-space()='The rice is in']")).Count == 1);
            Look();
            scene.Do(k, "join", "seal", "heat_off");
            scene.Tell(
                k,
                new
                {
                    kind = "came_out",
                    ingredient = scene.State().GetProperty("inside")[0].GetProperty("ingredient").GetString(),
                    count = 2,
                }
            );
            scene.Do(k, "table");
            k.Until(d => d.FindElements(By.XPath("//button[normalize-space()='In the fridge']")).Count == 1);
            Look();
        });
    }

    [Fact]
    public void The_keyboard_reaches_every_control_and_chooses_a_pulse()
    {
        using var kitchen = new Kitchen();
        kitchen.Run(k =>
        {
            k.Open("/");
            var all = (long)
                k.Driver.ExecuteScript(
                    "return [...document.querySelectorAll('a[href],button,input:not([type=radio]),input[type=radio]:checked,select,summary')].filter((e) => e.checkVisibility()).length"
                )!;
            k.Driver.ExecuteScript(
                "window.reached = new Set(); document.addEventListener('focusin', (e) => window.reached.add(e.target)); document.body.focus()"
            );
            var body = k.Driver.SwitchTo().ActiveElement();
            for (var i = 0; i < all + 8; i++)
            {
                k.Driver.SwitchTo().ActiveElement().SendKeys(Keys.Tab);
            }

            var reached = (long)k.Driver.ExecuteScript("return window.reached.size")!;
            Assert.True(reached >= all, $"{reached} of {all} controls were reached");

            // Arrow down, Enter: the second of all pulses.
            var pulse = k.Find(By.Id("pulse"));
            pulse.SendKeys(Keys.ArrowDown);
            k.Until(d => d.FindElements(By.CssSelector("#pulse-1")).Count == 1);
            pulse.SendKeys(Keys.ArrowDown);
            pulse.SendKeys(Keys.Enter);
            k.Until(_ =>
                k.Text("h1, [role=alert] h1").Length > 0
                && k.Find(By.Id("pulse")).GetAttribute("value")!.StartsWith("White kidney", StringComparison.Ordinal)
            );

            // The picture can be looked into minute by minute, and says what it shows.
            var slider = k.Find(By.CssSelector("input[type=range]"));
            var before = slider.GetAttribute("aria-valuetext");
            slider.SendKeys(Keys.ArrowLeft + Keys.ArrowLeft + Keys.ArrowLeft);
            k.Until(_ => k.Find(By.CssSelector("input[type=range]")).GetAttribute("aria-valuetext") != before);
            Assert.Contains(
                "of liquid",
                k.Find(By.CssSelector("input[type=range]")).GetAttribute("aria-valuetext"),
                StringComparison.Ordinal
            );
        });
    }
}
