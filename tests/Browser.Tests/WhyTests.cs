using OpenQA.Selenium;
using Xunit;

namespace BrightKettle.Browser.Tests;

/// <summary>The reasons: found as people ask, and led to from where the matter comes up.</summary>
public sealed class WhyTests
{
    [Fact]
    public void A_question_is_answered_in_the_words_of_who_asks_and_the_figures_stay_folded_away()
    {
        using var kitchen = new Kitchen();
        kitchen.Run(k =>
        {
            k.Open("/why");
            k.Until(d => d.FindElements(By.CssSelector("details.reason")).Count > 30);
            Assert.Empty(k.Driver.FindElements(By.CssSelector("details.reason[open]")));
            Assert.Empty(k.Driver.FindElements(By.CssSelector("main table")));
            k.Find(By.Id("question")).SendKeys("how much bicarb");
            k.Until(_ => k.Text("details.reason[open] summary") == "What does baking soda do?");
            Assert.Contains("Others do it differently", k.Text("details.reason[open]"), StringComparison.Ordinal);
            Assert.Contains("Rough: right direction", k.Text("details.reason[open]"), StringComparison.Ordinal);
            k.Do(By.CssSelector("button[aria-label=Clear]"), b => b.Click());
            k.Until(d => d.FindElements(By.CssSelector("details.reason")).Count > 30);
            Assert.Equal("question", k.Driver.SwitchTo().ActiveElement().GetAttribute("id"));
            k.Find(By.Id("question")).SendKeys("trombone");
            k.Until(_ => k.Text("#found-title").StartsWith("Nothing here speaks of that", StringComparison.Ordinal));
            k.Do(By.XPath("//summary[.='All figures behind the pot']"), s => s.Click());
            k.Until(d => d.FindElements(By.CssSelector("main table tbody tr")).Count > 40);
        });
    }

    [Fact]
    public void From_a_step_and_from_the_chances_one_press_leads_to_the_reason_open_and_in_sight()
    {
        using var kitchen = new Kitchen();
        kitchen.Run(k =>
        {
            k.Open("/");
            k.Find(By.CssSelector("a[href='/why#two_chances']"));
            // While the ways come in the page still moves under the hand.
            k.Until(d => d.FindElements(By.CssSelector(".ways[data-asking=false]")).Count == 1);
            k.Settle();
            k.Do(By.CssSelector("a[href='/why#soak_why']"), a => a.Click());
            k.Until(_ => k.Text("details.reason[open] summary") == "Why soak at all?");
            k.Until(d =>
                ((IJavaScriptExecutor)d).ExecuteScript(
                    "const b = document.getElementById('soak_why').getBoundingClientRect(); return b.top >= 0 && b.top < innerHeight && document.activeElement.closest('#soak_why') !== null"
                )
                    is true
            );
        });
    }
}
