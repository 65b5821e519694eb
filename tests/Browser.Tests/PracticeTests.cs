using OpenQA.Selenium;
using Xunit;

namespace BrightKettle.Browser.Tests;

/// <summary>The practice pot: look, decide, look inside.</summary>
public class PracticeTests
{
    [Fact]
    public void A_scene_is_looked_at_decided_and_opened_up_by_keyboard_and_counts()
    {
        using var kitchen = new Kitchen();
        kitchen.Run(k =>
        {
            k.Open("/practice");
            k.Do(By.XPath("//li[contains(.,'not tried yet')]//a[.='Is it time for the rice?']"), a => a.SendKeys(Keys.Enter));
            k.Until(_ => k.Text("h1") == "Is it time for the rice?");
            // What nobody asked for is not told.
            Assert.Empty(k.Driver.FindElements(By.XPath("//li[contains(.,'Red cowpeas:')]")));
            k.Do(By.XPath("//button[.='Squeeze five']"), b => b.SendKeys(Keys.Enter));
            k.Until(d => d.FindElements(By.XPath("//li[contains(.,'Red cowpeas:')]")).Count == 1);
            k.Do(By.XPath("//button[.='Dip a spoon in']"), b => b.SendKeys(Keys.Space));
            k.Until(d => d.FindElements(By.XPath("//li[contains(.,'the bed')]")).Count == 1);
            k.Do(By.XPath("//button[.='12 minutes more, then the rice']"), b => b.SendKeys(Keys.Enter));
            // The hand stands on the verdict; every answer has its line, one is the best, one is the cook's.
            k.Until(d => d.SwitchTo().ActiveElement().GetAttribute("id") == "inside-title");
            const string Endings = "//ul[@aria-label='How each answer ends']/li";
            Assert.Equal(3, k.Driver.FindElements(By.XPath(Endings)).Count);
            Assert.Single(k.Driver.FindElements(By.XPath($"{Endings}[contains(.,'Best here')]")));
            Assert.Contains("12 minutes more", k.Find(By.XPath($"{Endings}[contains(.,'Yours')]")).Text, StringComparison.Ordinal);
            Assert.Equal(2, k.Driver.FindElements(By.CssSelector("figure svg[viewBox='0 0 560 150']")).Count);
            k.Do(By.LinkText("All scenes"), a => a.SendKeys(Keys.Enter));
            k.Until(d => d.FindElements(By.XPath("//li[contains(.,'Is it time for the rice?')][contains(.,'1 pot')]")).Count == 1);
            // It is kept where it was tried.
            k.Open("/practice");
            k.Until(d => d.FindElements(By.XPath("//li[contains(.,'Is it time for the rice?')][contains(.,'1 pot')]")).Count == 1);
        });
    }

    [Fact]
    public void What_a_gate_forbids_earns_nothing_and_says_why_on_a_phone_too()
    {
        using var kitchen = new Kitchen(390, 844);
        kitchen.Run(k =>
        {
            k.Open("/practice/kidneys_kept_gentle/8");
            k.Press("Lowest flame, lid on, right away");
            k.Until(_ => k.Text("#inside-title") == "Never this: nothing is eaten from that pot.");
            Assert.Contains("full boil", k.Find(By.CssSelector("section[aria-labelledby=inside-title]")).Text, StringComparison.Ordinal);
            Assert.True((bool)k.Driver.ExecuteScript("return document.documentElement.scrollWidth <= innerWidth")!);
            // Another pot of it is another address, and is not decided yet.
            var before = k.Driver.Url;
            k.Do(By.LinkText("Next scene"), a => a.Click());
            k.Until(_ => k.Text("h1") == "No hand free for 20 minutes");
            Assert.NotEqual(before, k.Driver.Url);
            k.Until(d => d.FindElements(By.XPath("//h2[.='What do you do?']")).Count == 1);
        });
    }

    [Fact]
    public void A_scene_that_is_none_says_so()
    {
        using var kitchen = new Kitchen();
        kitchen.Run(k =>
        {
            k.Open("/practice/soup_in_the_shoe/1");
            k.Until(_ => k.Text("h1") == "Practice pot");
            k.Open("/practice/rice_time/100000");
            k.Until(d => d.PageSource.Contains("There is no such pot to practise on", StringComparison.Ordinal));
            // The browser's own note of that answer.
            Assert.Single(k.Complaints());
        });
    }
}
