using OpenQA.Selenium;
using Xunit;

namespace BrightKettle.Browser.Tests;

/// <summary>A household that opens the page for the first time.</summary>
public class FirstRunTests
{
    [Fact]
    public void From_the_opened_page_to_a_plan_for_six_with_rice_in_its_own_pot()
    {
        using var kitchen = new Kitchen(fresh: true);
        kitchen.Driver.ExecuteCdpCommand("Emulation.setTimezoneOverride", new() { ["timezoneId"] = "Pacific/Auckland" });
        kitchen.Run(k =>
        {
            k.Open("/");
            k.Until(_ => k.Text("h1") == "Four questions, once");
            // Where the browser is, the kitchen is.
            Assert.Equal("Pacific/Auckland", k.Find(By.XPath("//label[contains(.,'Clock')]/select")).GetAttribute("value"));
            k.ChooseLabel("Gas");
            k.Do(By.XPath("//label[contains(.,'Electric pressure cooker')]/input"), i => i.Click());
            k.Press("That’s my kitchen");
            k.Until(d => d.FindElements(By.Id("line")).Count == 1);
            k.Do(By.Id("line"), i =>
                i.SendKeys("for six, tomorrow at seven: chickpeas with brown basmati, rice in its own pot" + Keys.Enter)
            );
            k.Until(_ => k.Text("h1").StartsWith("Chickpeas with brown basmati", StringComparison.Ordinal));
            k.Settle();
            k.Until(_ => k.Find(By.Id("people")).GetAttribute("value") == "6");
            k.Until(d => d.PageSource.Contains("7:00 pm", StringComparison.Ordinal));
            // Asked once: a reload is the dinner's, and the burners are those that were told.
            k.Open("/pots");
            k.Until(d => d.FindElements(By.XPath("//h3[.='Large']")).Count == 1);
            Assert.Equal(4, k.Driver.FindElements(By.XPath("//p[contains(.,', gas')]")).Count);
            k.Open("/");
            k.Until(d => d.FindElements(By.Id("line")).Count == 1);
        });
    }

    /// <summary>The browser of these tests speaks the English of the United States.</summary>
    [Fact]
    public void Where_cups_are_at_home_the_dinner_is_told_in_cups_and_ounces_and_in_grams_once_that_is_chosen()
    {
        using var kitchen = new Kitchen(fresh: true);
        kitchen.Run(k =>
        {
            k.Open("/");
            Assert.Equal("en-US", k.Driver.ExecuteScript("return navigator.language"));
            k.Press("That’s my kitchen");
            k.Until(d => d.FindElements(By.Id("line")).Count == 1);
            k.Do(By.Id("line"), i => i.SendKeys("for four, tomorrow at seven: 300 g chickpeas, no rice" + Keys.Enter));
            k.Until(_ => k.Text("h1").StartsWith("Chickpeas", StringComparison.Ordinal));
            k.Settle();
            k.Until(_ => k.Text("#measure-title + ul").Contains("10.6 oz", StringComparison.Ordinal));
            Assert.Contains("cups", k.Text("#measure-title + ul"), StringComparison.Ordinal);
            k.Open("/pots");
            k.Do(By.XPath("//label[contains(.,'Units')]/select"), s => s.SendKeys("grams"));
            k.Press("Save");
            k.Until(d => d.FindElements(By.XPath("//label[contains(.,'Units')]/select")) is [var s] && s.GetAttribute("value") == "metric");
            k.Until(d => d.PageSource.Contains("Saved", StringComparison.Ordinal));
            k.Open("/");
            k.Until(_ => k.Text("#measure-title + ul").Contains("300 g", StringComparison.Ordinal));
        });
    }

    [Fact]
    public void What_is_removed_from_my_pots_is_put_back_by_one_press()
    {
        using var kitchen = new Kitchen(fresh: true);
        kitchen.Run(k =>
        {
            k.Open("/");
            k.Press("Skip");
            k.Until(d => d.FindElements(By.Id("line")).Count == 1);
            k.Open("/pots");
            k.Do(By.XPath("//button[@aria-label='Remove Small burner']"), b => b.Click());
            k.Until(d => d.FindElements(By.XPath("//h3[.='Small burner']")).Count == 0);
            // The hand stands on the way back.
            k.Until(d => d.SwitchTo().ActiveElement().Text == "Put it back");
            k.Driver.SwitchTo().ActiveElement().SendKeys(Keys.Enter);
            k.Until(d => d.FindElements(By.XPath("//h3[.='Small burner']")).Count == 1);
            k.Do(By.XPath("//button[@aria-label='Remove 18 cm pot']"), b => b.Click());
            k.Until(d => d.FindElements(By.XPath("//h2[.='18 cm pot']")).Count == 0);
            k.Press("Put it back");
            k.Until(d => d.FindElements(By.XPath("//h2[.='18 cm pot']")).Count == 1);
            k.Press("Add a burner");
            k.Do(By.XPath("//label[contains(.,'Name')]/input"), i => i.SendKeys("Wok ring"));
            k.Press("Save");
            k.Until(d => d.FindElements(By.XPath("//h3[.='Wok ring']")).Count == 1);
        });
    }
}
