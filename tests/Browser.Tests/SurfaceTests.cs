using System.Text.RegularExpressions;
using OpenQA.Selenium;
using Xunit;

namespace BrightKettle.Browser.Tests;

/// <summary>The planning surface as a hand uses it: pulls, keys, slips, one line, notes, print.</summary>
public sealed partial class SurfaceTests
{
    private static string Told(Kitchen k, string handle) => k.Find(By.CssSelector($"[data-pull={handle}]")).GetAttribute("aria-valuetext")!;

    [Fact]
    public void The_rice_is_dragged_the_price_is_told_and_one_press_goes_back()
    {
        using var kitchen = new Kitchen();
        kitchen.Run(k =>
        {
            k.Open("/");
            Assert.EndsWith("as it is best", Told(k, "join"), StringComparison.Ordinal);
            // Not so far that what waits off the heat would stand lukewarm.
            Hand.Drag(k, "join", 24);
            k.Until(_ => Told(k, "join").Contains("later than best", StringComparison.Ordinal));
            Hand.Drop(k);
            k.Until(d => d.FindElements(By.XPath("//*[@role='status'][contains(.,'Table') and contains(.,'later')]")).Count > 0);
            k.Press("Back to the best");
            k.Until(_ => Told(k, "join").EndsWith("as it is best", StringComparison.Ordinal));

            // Pulled and taken, the plan stays so, also after a reload.
            var light = k.Find(By.CssSelector("[data-pull=light]"));
            light.SendKeys(Keys.PageDown);
            k.Until(_ => Told(k, "light").Contains("10 min earlier", StringComparison.Ordinal));
            k.Press("Keep this change");
            k.Settle();
            k.Driver.Navigate().Refresh();
            k.Until(_ => Told(k, "light").Contains("10 min earlier", StringComparison.Ordinal));
        });
    }

    [Fact]
    public void Every_pull_goes_by_keys_too_and_the_table_becomes_the_hour()
    {
        using var kitchen = new Kitchen();
        kitchen.Run(k =>
        {
            k.Open("/");
            foreach (var handle in new[] { "light", "join", "seal", "flameOff", "table" })
            {
                var at = k.Find(By.CssSelector($"[data-pull={handle}]"));
                at.SendKeys(Keys.ArrowRight + Keys.ArrowRight);
                k.Until(_ => Told(k, handle).Contains("2 min later", StringComparison.Ordinal));
                k.Find(By.CssSelector($"[data-pull={handle}]")).SendKeys(Keys.Escape);
                k.Until(_ => Told(k, handle).EndsWith("as it is best", StringComparison.Ordinal));
            }

            k.Find(By.CssSelector("[data-pull=table]")).SendKeys(Keys.PageUp + Keys.PageUp + Keys.PageUp);
            k.Until(_ => Told(k, "table").StartsWith("19:30", StringComparison.Ordinal));
            k.Until(d => d.FindElements(By.XPath("//button[normalize-space()='Keep this change' and not(@disabled)]")).Count == 1);
            k.Press("Keep this change");
            k.Until(_ => k.Text("h1").Contains("19:30", StringComparison.Ordinal));
        });
    }

    private static List<string> Chips(Kitchen k) =>
        [.. k.Driver.FindElements(By.CssSelector("li.said button:first-child")).Select(b => b.Text)];

    [Fact]
    public void A_newcomer_is_at_a_plan_for_six_with_rice_after_one_line_and_one_key()
    {
        using var kitchen = new Kitchen();
        kitchen.Run(k =>
        {
            k.Open("/");
            k.Find(By.Id("line")).SendKeys("for six, tomorrow at seven: borlotti with white rice, saucy, with bay leaves");
            // Read while it is typed, piece by piece, and nothing is planned by it.
            k.Until(_ =>
                Chips(k).SequenceEqual(["for 6", "on Wed 25 Nov", "at 19:00", "Borlotti beans", "white rice", "saucy", "Leaf or sprig"])
            );
            Assert.DoesNotContain("Borlotti", k.Text("h1"), StringComparison.Ordinal);
            k.Find(By.Id("line")).SendKeys(Keys.Enter);
            k.Until(_ => k.Text("h1").StartsWith("Borlotti beans with white rice, tomorrow", StringComparison.Ordinal));
            k.Settle();
            Assert.Equal("6", k.Find(By.Id("people")).GetAttribute("value"));
            Assert.Contains("dinner", k.Text("main header"), StringComparison.Ordinal);
            k.Until(_ => k.Text("#measure-title + ul").Contains("360 g", StringComparison.Ordinal));
            // What is not understood is told, and the line stays to be mended.
            k.Find(By.Id("line")).SendKeys("with gravel" + Keys.Enter);
            k.Until(_ => k.Text("#line-answer").Contains("Not understood: gravel", StringComparison.Ordinal));
            Assert.Equal("with gravel", k.Find(By.Id("line")).GetAttribute("value"));
            // Pressed, a piece stands under the hand; taken away, it is gone and the rest stands.
            k.Find(By.CssSelector("li.said.unread button")).Click();
            k.Until(d =>
                Equals(
                    ((OpenQA.Selenium.IJavaScriptExecutor)d).ExecuteScript(
                        "const l = document.getElementById('line'); return l.value.slice(l.selectionStart, l.selectionEnd)"
                    ),
                    "gravel"
                )
            );
            k.Find(By.CssSelector("li.said.unread .said-away")).Click();
            k.Until(_ => Chips(k).Count == 0 && k.Find(By.Id("line")).GetAttribute("value") == "");
            Assert.StartsWith("Borlotti beans with white rice", k.Text("h1"), StringComparison.Ordinal);
        });
    }

    [Fact]
    public void Cooked_beans_from_the_freezer_and_blanched_meat_are_chosen_and_measured_out_as_they_are()
    {
        using var kitchen = new Kitchen(390, 844);
        kitchen.Run(k =>
        {
            k.Open("/");
            k.OpenDish();
            k.Find(By.CssSelector("#method option[value=freezer]")).Click();
            k.Until(_ => k.Text("[data-drained]").Contains("cooked and drained", StringComparison.Ordinal));
            Assert.Empty(k.Driver.FindElements(By.Name("soak")));
            k.Press("Done");
            k.Until(_ => k.Text("#measure-title + ul").Contains("cooked and drained, from", StringComparison.Ordinal));
            Assert.Contains("From the freezer into the fridge", k.Find(By.TagName("main")).Text, StringComparison.OrdinalIgnoreCase);
            k.OpenDish();
            k.Find(By.CssSelector("select[aria-label='Add to the pot'] option[value=ham_hock]")).Click();
            var blanched = By.CssSelector("input[aria-label='Ham hock, blanched first: less salt']");
            k.Until(d => d.FindElements(blanched).Count == 1);
            k.Find(blanched).Click();
            k.Press("Done");
            k.Until(_ => k.Text("#measure-title + ul").Contains("Ham hock, blanched", StringComparison.Ordinal));
            k.Until(_ =>
                k.Find(By.TagName("main")).GetAttribute("textContent")!.Contains("Blanch the cured meat", StringComparison.Ordinal)
            );
            // Dry again, the soak may be chosen again.
            k.OpenDish();
            k.Find(By.CssSelector("#method option[value=open_pot]")).Click();
            k.Until(d => d.FindElements(By.Name("soak")).Count > 0);
        });
    }

    [Fact]
    public void A_slip_is_one_press_told_in_words_and_taken_back()
    {
        using var kitchen = new Kitchen();
        kitchen.Run(k =>
        {
            k.Open("/");
            k.Press("Forgot to soak");
            k.Until(d => d.FindElements(By.XPath("//*[@role='status'][contains(.,'instead of soaked overnight')]")).Count == 1);
            Assert.DoesNotContain("Soak 240 g", k.Text("ol"), StringComparison.Ordinal);
            k.Press("Undo");
            k.Until(_ => k.Text("ol").Contains("Soak 240 g", StringComparison.Ordinal));
            k.Press("Two more guests");
            k.Until(_ => k.Find(By.Id("people")).GetAttribute("value") == "6");
        });
    }

    [Fact]
    public void The_other_school_stands_beside_and_can_be_taken()
    {
        using var kitchen = new Kitchen();
        kitchen.Run(k =>
        {
            k.Open("/");
            k.Find(By.XPath("//select[@id='other-way']/option[.='salt in the soak']")).Click();
            k.Until(d => d.FindElements(By.XPath("//*[@role='status'][contains(.,'rice in') and contains(.,'table')]")).Count == 1);
            k.Press("Do it so tonight");
            k.Settle();
            k.Until(d => d.FindElements(By.XPath("//p[contains(.,'Salt in the soak:')]")).Count == 1);
        });
    }

    [Fact]
    public void Rice_beside_and_an_hour_out_are_planned_around()
    {
        using var kitchen = new Kitchen();
        kitchen.Run(k =>
        {
            k.Open("/");
            k.Find(By.XPath("//form//summary[.='More']")).Click();
            k.Find(By.CssSelector("input[aria-label='Out from']")).SendKeys("16:30" + Keys.Tab);
            var back = k.Find(By.CssSelector("input[aria-label='Back at']"));
            back.SendKeys("soon" + Keys.Tab);
            // A time that cannot be read stays in its field with the sentence beside it.
            k.Until(d => d.FindElements(By.XPath("//*[@role='alert'][contains(.,'such as 17:30')]")).Count == 1);
            Assert.Equal("soon", k.Find(By.CssSelector("input[aria-label='Back at']")).GetAttribute("value"));
            back.SendKeys(Keys.Control + "a");
            back.SendKeys("17:30" + Keys.Tab);
            k.Settle();
            k.Until(_ => string.CompareOrdinal(Told(k, "light"), "15:30") < 0);
            foreach (var label in new[] { "Out from", "Back at" })
            {
                var field = k.Find(By.CssSelector($"input[aria-label='{label}']"));
                field.SendKeys(Keys.Control + "a");
                field.SendKeys(Keys.Delete + Keys.Tab);
            }

            k.Settle();
            k.Select("rice-pot", "wide-pot");
            k.Until(_ => k.Text("ol").Contains("Rice on, in the Wide white pot", StringComparison.Ordinal));
            k.Select("rice-pot", "in_the_liquor");
            k.Until(_ => k.Text("ol").Contains("Pulses back on the rice", StringComparison.Ordinal));
            k.Select("rice-pot", "after_draining");
            k.Until(_ => k.Text("ol").Contains("Drain the pulses", StringComparison.Ordinal));
        });
    }

    [Fact]
    public void Notes_are_read_asked_back_doubted_and_planned()
    {
        using var kitchen = new Kitchen();
        kitchen.Run(k =>
        {
            k.Open("/notes");
            k.Find(By.Id("notes"))
                .SendKeys(
                    "Harbour chickpeas\nServes 4\n1 cup chickpeas\n8 litres water\nSoak the chickpeas overnight.\nDrain, boil and simmer for 80 minutes."
                );
            k.Until(d => d.FindElements(By.XPath("//*[@role='alert'][contains(.,'8.0 L of water')]")).Count == 1);
            // The usual is taken at once; what is said otherwise is asked no more.
            k.Until(d => d.FindElements(By.XPath("//h3[.='Followed as written']")).Count == 1);
            k.Until(d => d.FindElements(By.XPath("//h3[.='Planned here']")).Count == 1);
            k.ChooseLabel("no lid");
            k.Until(d => d.FindElements(By.XPath("//legend[.='Is the lid on?']")).Count == 0);
            k.Press("Plan this dinner");
            k.Until(_ => k.Text("h1").StartsWith("Chickpeas", StringComparison.Ordinal));
            k.Settle();
            Assert.Equal("203", k.Find(By.Id("pulse-amount")).GetAttribute("value"));
        });
    }

    [Fact]
    public void Each_shape_of_dinner_prints_on_one_page_of_either_paper()
    {
        using var kitchen = new Kitchen();
        kitchen.Run(k =>
        {
            foreach (
                var line in new[]
                {
                    "for four, tomorrow at seven: chickpeas with brown basmati, dry, with onion and bay leaves",
                    "for four, tomorrow at seven: borlotti with white rice, saucy, with tomato, onion and cinnamon",
                    "for two, tomorrow at seven: yellow lentils with broken rice, porridge, not soaked, with cardamom",
                }
            )
            {
                k.Open("/");
                k.Find(By.Id("line")).SendKeys(line + Keys.Enter);
                k.Until(d => d.FindElements(By.XPath("//*[@id='line-answer'][contains(.,'Read:')]")).Count == 1);
                k.Settle();
                foreach (var (width, height) in new[] { (8.27, 11.69), (8.5, 11.0) })
                {
                    var answer =
                        (Dictionary<string, object>)
                            k.Driver.ExecuteCdpCommand(
                                "Page.printToPDF",
                                new()
                                {
                                    ["paperWidth"] = width,
                                    ["paperHeight"] = height,
                                    ["printBackground"] = true,
                                }
                            )!;
                    var pdf = System.Text.Encoding.Latin1.GetString(Convert.FromBase64String((string)answer["data"]));
                    Assert.Single(Pages().Matches(pdf));
                }
            }
        });
    }

    [Fact]
    public void A_stopped_server_loses_nothing_that_was_entered()
    {
        using var kitchen = new Kitchen();
        kitchen.Run(k =>
        {
            k.Open("/");
            k.Driver.ExecuteCdpCommand("Network.enable", []);
            k.Driver.ExecuteCdpCommand(
                "Network.emulateNetworkConditions",
                new()
                {
                    ["offline"] = true,
                    ["latency"] = 0,
                    ["downloadThroughput"] = 0,
                    ["uploadThroughput"] = 0,
                }
            );
            k.ChooseLabel("Saucy");
            k.Until(d => d.FindElements(By.XPath("//*[@role='alert'][contains(.,'Start it again')]")).Count == 1);
            Assert.Contains("Chickpeas with brown basmati", k.Text("h1"), StringComparison.Ordinal);
            _ = k.Complaints();
            k.Driver.ExecuteCdpCommand(
                "Network.emulateNetworkConditions",
                new()
                {
                    ["offline"] = false,
                    ["latency"] = 0,
                    ["downloadThroughput"] = -1,
                    ["uploadThroughput"] = -1,
                }
            );
            k.Driver.Navigate().Refresh();
            k.Until(d => d.FindElements(By.CssSelector("input[name=style][value=saucy]:checked")).Count == 1);
            k.Settle();
            Assert.Contains("Chickpeas with brown basmati", k.Text("h1"), StringComparison.Ordinal);
        });
    }

    [GeneratedRegex(@"/Type\s*/Page\b")]
    private static partial Regex Pages();
}
