using OpenQA.Selenium;
using Xunit;

namespace BrightKettle.Browser.Tests;

/// <summary>Bags on their page, and what a plan says of them.</summary>
public sealed class CupboardTests
{
    private static string Card(Kitchen k, string id) => k.Text($"[data-bag='{id}']");

    [Fact]
    public void A_bag_is_added_changed_removed_and_brought_back_and_tonight_begins_from_it()
    {
        using var kitchen = new Kitchen();
        kitchen.Run(k =>
        {
            k.Open("/cupboard");
            k.Until(_ => Card(k, "bag-borlotti").Contains("500 g left", StringComparison.Ordinal));
            k.Pick("bag-add", "adzuki", "Adzuki");
            k.Until(d => d.FindElements(By.Id("grams-new")).Count == 1);
            // What cannot be is said beside its field, and nothing that was typed is lost.
            k.Do(By.Id("name-new"), f => f.SendKeys("Corner shop"));
            k.Do(By.Id("grams-new"), f => f.SendKeys(Keys.Backspace + Keys.Backspace + Keys.Backspace + "7"));
            k.Press("Save");
            k.Until(d => d.FindElements(By.CssSelector("#grams-new-error[role=alert]")).Count == 1);
            Assert.Equal("Corner shop", k.Driver.FindElement(By.Id("name-new")).GetAttribute("value"));
            k.Do(By.Id("grams-new"), f => f.SendKeys("50"));
            k.Press("Save");
            k.Until(_ => k.Text("main").Contains("Adzuki beans, Corner shop", StringComparison.Ordinal));
            Assert.Contains("750 g left", k.Text("main"), StringComparison.Ordinal);
            _ = k.Complaints();

            k.Find(By.CssSelector("button[aria-label='Change Borlotti beans']")).Click();
            k.Do(By.Id("grams-bag-borlotti"), f => f.SendKeys(Keys.Control + "a"));
            k.Do(By.Id("grams-bag-borlotti"), f => f.SendKeys("420"));
            k.Press("Save");
            k.Until(_ => Card(k, "bag-borlotti").Contains("420 g left", StringComparison.Ordinal));
            // The hand is where it was.
            k.Until(d => d.SwitchTo().ActiveElement().GetAttribute("aria-label") == "Change Borlotti beans");

            k.Find(By.CssSelector("button[aria-label='Remove Borlotti beans']")).Click();
            k.Until(d => d.FindElements(By.CssSelector("[data-bag='bag-borlotti']")).Count == 0);
            k.Until(d => d.SwitchTo().ActiveElement().Text == "Undo");
            k.Press("Undo");
            k.Until(_ => Card(k, "bag-borlotti").Contains("420 g left", StringComparison.Ordinal));

            k.Find(By.CssSelector("button[aria-label='Cook from it: Borlotti beans']")).Click();
            k.Until(_ => k.Text("h1").StartsWith("Borlotti beans", StringComparison.Ordinal));
            k.Settle();
            // Of a bag that nobody knows there is nothing to say.
            Assert.Empty(k.Driver.FindElements(By.CssSelector("[data-bag-line]")));
        });
    }

    [Fact]
    public void A_slow_bag_is_told_why_it_begins_earlier_and_forgets_a_dinner_that_is_left_out()
    {
        using var kitchen = new Kitchen();
        kitchen.Run(k =>
        {
            k.WithPast();
            k.Open("/cupboard");
            k.Until(_ => Card(k, "bag-chickpea").Contains("Known from 3 dinners", StringComparison.Ordinal));
            Assert.Contains("longer than usual", Card(k, "bag-chickpea"), StringComparison.Ordinal);
            k.Find(By.CssSelector("[data-bag=bag-chickpea] summary")).Click();
            k.Until(d => d.FindElements(By.CssSelector("[data-bag=bag-chickpea] li")).Count == 3);
            k.Find(By.XPath("//*[@data-bag='bag-chickpea']//li[contains(.,'First-frost')]//button")).Click();
            k.Until(_ => Card(k, "bag-chickpea").Contains("left out", StringComparison.Ordinal));
            k.Until(_ => Card(k, "bag-chickpea").Contains("Known from 2 dinners", StringComparison.Ordinal));

            k.Find(By.CssSelector("button[aria-label='Cook from it: Chickpeas']")).Click();
            k.Until(_ => k.Text("[data-bag-line]").Contains("2 dinners from it showed so", StringComparison.Ordinal));
            // Another bag of it is a choice.
            k.Select("bag", "bag-chickpea-tall-jar");
            k.Until(_ => k.Text("[data-bag-line]").Contains("Tall jar", StringComparison.Ordinal));
            // Another pulse is of no such bag.
            k.Pick("pulse", "borlotti", "Borlotti");
            k.Until(_ => k.Text("h1").StartsWith("Borlotti", StringComparison.Ordinal));
            Assert.Empty(k.Driver.FindElements(By.Id("bag")));
        });
    }

    [Fact]
    public void A_past_dinner_shows_how_it_went_takes_a_verdict_and_keeps_it()
    {
        using var kitchen = new Kitchen();
        kitchen.Run(k =>
        {
            k.WithPast();
            k.Open("/dinners");
            k.Find(By.LinkText("Tall-jar chickpeas")).Click();
            k.Until(_ => k.Text("h1").Contains("Tall-jar chickpeas", StringComparison.Ordinal));
            k.Until(_ => k.Text("[role=table]").Contains("Rice in", StringComparison.Ordinal));
            k.Until(_ => k.Text("main").Contains("longer than usual, by this evening’s looks alone", StringComparison.Ordinal));
            k.ChooseLabel("Too little");
            k.ChooseLabel("Yes, again");
            k.Do(By.Id("verdict-note"), f => f.SendKeys("A lid that shuts"));
            k.Press("Save it");
            k.Until(_ => k.Text("form [role=status]").Contains("Saved", StringComparison.Ordinal));
            k.Driver.Navigate().Refresh();
            k.Until(d => d.FindElement(By.Id("verdict-note")).GetAttribute("value") == "A lid that shuts");
            Assert.True(k.Driver.FindElement(By.CssSelector("input[name=verdict-salt][value=under]")).Selected);
            k.Press("Cook it again");
            k.Until(_ => k.Text("h1").StartsWith("Chickpeas", StringComparison.Ordinal));
        });
    }
}
