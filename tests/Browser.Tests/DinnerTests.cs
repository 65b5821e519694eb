using System.Globalization;
using OpenQA.Selenium;
using Xunit;

namespace BrightKettle.Browser.Tests;

public sealed class DinnerTests(ITestOutputHelper output)
{
    [Fact]
    public void A_dinner_is_planned_changed_kept_reloaded_reopened_deleted_and_brought_back()
    {
        using var kitchen = new Kitchen();
        kitchen.Run(k =>
        {
            k.Open("/");
            Assert.Contains("Chickpeas with brown basmati", k.Text("h1"), StringComparison.Ordinal);
            Assert.Contains("19:00", k.Text("h1"), StringComparison.Ordinal);

            // Change the pulse by another household name, with a slip; the answer follows at once.
            k.Pick("pulse", "azuky", "Adzuki");
            k.Until(_ => k.Text("h1").Contains("Adzuki beans", StringComparison.Ordinal));
            output.WriteLine($"Change to picture: {k.Find(By.CssSelector("[data-answered-ms]")).GetAttribute("data-answered-ms")} ms");
            k.Pick("rice", "short grain", "Short-grain");
            k.ChooseLabel("None");
            k.Settle();
            k.Until(_ => !k.Text("ol").Contains("Soak 240 g adzuki", StringComparison.Ordinal));
            Assert.Contains("Rice in", k.Text("ol"), StringComparison.Ordinal);

            k.Press("Keep this dinner");
            k.Until(d => d.FindElements(By.XPath("//*[@role='status'][contains(.,'Kept as')]")).Count == 1);

            // An unsaved plan survives a reload; a kept one is reopened by its address.
            k.Driver.Navigate().Refresh();
            k.Until(_ => k.Text("h1").Contains("Adzuki beans with short-grain rice", StringComparison.Ordinal));
            k.Find(By.LinkText("Dinners")).Click();
            k.Until(d => d.FindElements(By.CssSelector("a[href^='/dinner/']")).Count == 6);
            k.Find(By.LinkText("Lamplight chickpeas")).Click();
            k.Until(_ => k.Text("h1").Contains("Chickpeas", StringComparison.Ordinal));
            Assert.Contains("/dinner/", k.Driver.Url, StringComparison.Ordinal);
            k.Driver.Navigate().Refresh();
            k.Until(_ => k.Text("h1").Contains("Chickpeas", StringComparison.Ordinal));
        });
    }

    [Fact]
    public void Dinners_are_found_renamed_cooked_again_and_taken_away_with_the_hand_where_it_was()
    {
        using var kitchen = new Kitchen();
        kitchen.Run(k =>
        {
            string Focused() =>
                (string)
                    k.Driver.ExecuteScript("return document.activeElement.getAttribute('aria-label') ?? document.activeElement.innerText")!;
            int Shown() => k.Driver.FindElements(By.CssSelector("a[href^='/dinner/']")).Count;
            k.Open("/dinners");
            k.Until(_ => Shown() == 5);

            // Found by another name of its pulse.
            k.Find(By.Id("find")).SendKeys("garbanzo");
            k.Until(_ => k.Text("[role=status]") == "One dinner found." && Shown() == 1);
            k.Find(By.CssSelector("button[aria-label='Rename Lamplight chickpeas']")).Click();
            k.Until(_ => Focused() == "Another title for Lamplight chickpeas");
            k.Driver.SwitchTo().ActiveElement().SendKeys("Lantern chickpeas" + Keys.Enter);
            k.Until(_ => k.Text("[role=status]") == "Now called Lantern chickpeas." && Focused() == "Rename Lantern chickpeas");
            // Thought better of: nothing changes, and the hand is where it was.
            k.Driver.SwitchTo().ActiveElement().SendKeys(Keys.Enter);
            k.Until(_ => Focused() == "Another title for Lantern chickpeas");
            k.Driver.SwitchTo().ActiveElement().SendKeys("nonsense" + Keys.Escape);
            k.Until(_ => Focused() == "Rename Lantern chickpeas");

            k.Find(By.Id("find")).SendKeys(Keys.Control + "a" + Keys.Backspace);
            k.Until(_ => Shown() == 5);
            k.Find(By.CssSelector("button[aria-label='Remove Lantern chickpeas']")).Click();
            k.Until(_ => Shown() == 4 && Focused() == "Undo");
            k.Driver.SwitchTo().ActiveElement().SendKeys(Keys.Enter);
            k.Until(_ => Shown() == 5);

            // As a new dinner: the kept one stays as it is.
            k.Find(By.CssSelector("button[aria-label='Cook again: Lantern chickpeas']")).Click();
            k.Until(d => new Uri(d.Url).AbsolutePath == "/" && k.Text("h1").Contains("Chickpeas", StringComparison.Ordinal));
            k.Until(d => d.FindElements(By.XPath("//button[normalize-space()='Keep this dinner']")).Count == 1);
        });
    }

    [Fact]
    public void An_impossible_wish_is_refused_in_words_and_one_press_takes_the_offer()
    {
        using var kitchen = new Kitchen();
        kitchen.Run(k =>
        {
            k.Open("/");
            k.Pick("pulse", "rajma", "Red kidney");
            k.Pick("rice", "white rice", "Long-grain");
            k.ChooseLabel("None");
            k.Select("day", 0);
            var time = k.Find(By.Id("time"));
            time.SendKeys(Keys.Control + "a");
            time.SendKeys("18:20" + Keys.Tab);
            k.Until(_ => k.Text("[role=alert] h1") == "Not by then");
            Assert.Contains("Red kidney beans need", k.Text("[role=alert]"), StringComparison.Ordinal);
            // A 422 is written to the console by the browser itself: expected here, and nothing else.
            Assert.All(k.Complaints(), c => Assert.Contains("422", c, StringComparison.Ordinal));
            k.Find(By.XPath("//button[starts-with(normalize-space(),'On the table')]")).Click();
            k.Until(d =>
                d.FindElements(By.CssSelector("h1")) is [var h, ..] && h.Text.Contains("Red kidney beans", StringComparison.Ordinal)
            );
            Assert.Contains("keep them boiling", k.Text("article").ToLower(CultureInfo.InvariantCulture), StringComparison.Ordinal);
            // On a busy machine the browser writes its 422 only now.
            Assert.All(k.Complaints(), c => Assert.Contains("422", c, StringComparison.Ordinal));

            // What cannot be read stays in its field, with a sentence beside it, and the plan stays too.
            time = k.Find(By.Id("time"));
            time.SendKeys(Keys.Control + "a");
            time.SendKeys("soon" + Keys.Tab);
            k.Until(_ => k.Text("#time-error").Contains("such as 19:00", StringComparison.Ordinal));
            Assert.Equal("soon", k.Find(By.Id("time")).GetAttribute("value"));

            // Nor does an amount that is none yet take the answer away.
            var amount = k.Find(By.Id("pulse-amount"));
            amount.SendKeys(Keys.Control + "a");
            amount.SendKeys("5" + Keys.Tab);
            k.Until(_ => k.Text("#pulse-amount-error").Length > 0);
            Assert.Contains("Red kidney beans", k.Text("h1"), StringComparison.Ordinal);
            amount.SendKeys(Keys.Control + "a");
            amount.SendKeys("250" + Keys.Tab);
            k.Until(_ => k.Text("#measure-title + ul").Contains("250 g", StringComparison.Ordinal));
            Assert.Empty(k.Driver.FindElements(By.Id("pulse-amount-error")));
            Assert.All(k.Complaints(), c => Assert.Contains("400", c, StringComparison.Ordinal));
        });
    }

    [Fact]
    public void Verdict_ways_and_waterline_are_seen_without_scrolling_and_the_verdict_with_it()
    {
        using var kitchen = new Kitchen();
        kitchen.Run(k =>
        {
            double Edge(string css, string edge) =>
                Convert.ToDouble(
                    k.Driver.ExecuteScript($"return document.querySelector('{css}').getBoundingClientRect().{edge}"),
                    CultureInfo.InvariantCulture
                );
            k.Open("/");
            k.Until(d => d.FindElements(By.CssSelector(".ways[data-asking=false] input[name=way]:checked")).Count == 1);
            Assert.Contains("First, today at 21:30. Soak 240 g chickpeas.", k.Text("main header"), StringComparison.Ordinal);
            Assert.InRange(Edge(".ways", "bottom"), 200, 500);
            Assert.InRange(Edge("figure svg", "top") + (0.9 * Edge("figure svg", "height")), 500, 800);
            Assert.Empty(k.Driver.FindElements(By.CssSelector(".in-sight")));
            // The layers are named in the picture, in the colour of these seeds.
            Assert.Equal(
                ["Chickpeas", "Brown basmati"],
                k.Driver.FindElements(By.CssSelector(".waterline [data-layer]")).Select(t => t.Text)
            );

            k.Driver.ExecuteScript("window.scrollTo(0, 1200)");
            k.Until(_ => k.Text(".in-sight").Contains("Chickpeas with brown basmati", StringComparison.Ordinal));
            Assert.Contains("19:00", k.Text(".in-sight"), StringComparison.Ordinal);
            Assert.Equal(0, Edge(".in-sight", "top"));
            // The dish goes along and is changed from down there; a refusal is seen at once.
            k.Select("vessel", 0);
            k.Until(_ => k.Text("[role=alert] h1").StartsWith("The pot is too small", StringComparison.Ordinal));
            Assert.True(
                Edge("[role=alert] h1", "top") >= 0 || k.Text(".in-sight").StartsWith("The pot is too small", StringComparison.Ordinal)
            );
            Assert.All(k.Complaints(), c => Assert.Contains("422", c, StringComparison.Ordinal));
            k.Select("vessel", 1);
            k.Until(_ => k.Text("h1").StartsWith("Chickpeas", StringComparison.Ordinal));
            Assert.All(k.Complaints(), c => Assert.Contains("422", c, StringComparison.Ordinal));
        });
    }

    [Fact]
    public void All_ways_are_listed_and_one_of_them_is_shown()
    {
        using var kitchen = new Kitchen();
        kitchen.Run(k =>
        {
            k.Open("/");
            k.Pick("pulse", "black turtle", "Black turtle bean");
            k.Settle();
            // What does not work stands behind one press, with its reason and what works instead.
            k.AllWays();
            Assert.Contains("What does not work, and why", k.Text(".ways"), StringComparison.Ordinal);
            k.Press("Fewer");
            k.Pick("rice", "no rice", "No rice");
            k.ChooseLabel("Saucy");
            k.Settle();
            // Side by side without a press; the one that is open is among them.
            k.Until(d => d.FindElements(By.CssSelector(".ways[data-asking=false] input[name=way]:checked")).Count == 1);
            Assert.InRange(k.Driver.FindElements(By.CssSelector("input[name=way]")).Count, 2, 5);
            k.AllWays();
            Assert.True(k.Driver.FindElements(By.CssSelector("input[name=way]")).Count > 5);
            k.Way("Steam drum, pressure, soaked overnight");
            k.Until(_ => k.Text("ol").Contains("lock the lid", StringComparison.OrdinalIgnoreCase));
            Assert.Equal("steam-drum", k.Find(By.Id("method")).GetAttribute("value"));
            Assert.Contains("never force", k.Text("article").ToLowerInvariant(), StringComparison.Ordinal);
            k.Until(d =>
                d.FindElements(By.CssSelector("input[name=way]:checked")) is [var open]
                && open.GetAttribute("aria-label")!.StartsWith("Steam drum, pressure, soaked overnight. Begins", StringComparison.Ordinal)
            );
        });
    }

    [Fact]
    public void A_pot_is_added_with_its_faults_told_beside_the_field()
    {
        using var kitchen = new Kitchen();
        kitchen.Run(k =>
        {
            k.Open("/pots");
            k.Press("Add a pot");
            var inputs = k.Driver.FindElements(By.CssSelector("form input"));
            inputs[0].SendKeys("Copper pan");
            inputs[1].SendKeys(Keys.Control + "a");
            inputs[1].SendKeys("300");
            k.Find(By.XPath("(//button[normalize-space()='Save'])[1]")).Click();
            k.Until(d => d.FindElements(By.XPath("//*[@role='alert'][contains(.,'From 10 to 50')]")).Count == 1);
            Assert.All(k.Complaints(), c => Assert.Contains("400", c, StringComparison.Ordinal));
            inputs = k.Driver.FindElements(By.CssSelector("form input"));
            inputs[1].SendKeys(Keys.Control + "a");
            inputs[1].SendKeys("26");
            k.Find(By.XPath("(//button[normalize-space()='Save'])[1]")).Click();
            k.Until(d => d.FindElements(By.XPath("//h2[.='Copper pan']")).Count == 1);
        });
    }
}
