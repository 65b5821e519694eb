using System.Globalization;
using OpenQA.Selenium;
using Xunit;

namespace BrightKettle.Browser.Tests;

/// <summary>A whole dinner in a simulated kitchen, on the stove's own cards.</summary>
public class PracticeDinnerTests
{
    private const string HandsLook = "button[data-hand]";

    private static void Go(Kitchen k, string button)
    {
        k.Press(button);
        k.Settle();
    }

    private static void ByKey(Kitchen k, By what)
    {
        k.Do(what, b => b.SendKeys(Keys.Enter));
        k.Settle();
    }

    /// <summary>Takes all in hand, and answers the card's question with what is found there.</summary>
    private static void Answer(Kitchen k)
    {
        foreach (var at in Enumerable.Range(0, k.Driver.FindElements(By.CssSelector(HandsLook)).Count))
        {
            k.Do(By.XPath($"(//button[@data-hand])[{at + 1}]"), b => b.SendKeys(Keys.Enter));
        }

        if (k.Driver.FindElements(By.CssSelector("[data-moment-look]")).Count > 0)
        {
            var chalky = k.Find(By.CssSelector("[data-chalky]")).GetAttribute("data-chalky")!;
            ByKey(k, By.CssSelector($"[data-moment-look] button:nth-of-type({int.Parse(chalky, CultureInfo.InvariantCulture) + 1})"));
            return;
        }

        // The rice is bitten where the question is of the rice.
        var rice = k.Text("section[data-moment]").Contains("Bite", StringComparison.Ordinal);
        var felt = k.Find(By.CssSelector($"[data-felt-of='{(rice ? "rice" : "pulse")}']")).Text;
        ByKey(k, By.XPath($"//section[@data-moment]//button[normalize-space()='{felt}']"));
    }

    [Fact]
    public void A_dinner_is_practised_by_keyboard_to_the_table_and_opened_up()
    {
        using var kitchen = new Kitchen();
        kitchen.Run(k =>
        {
            k.Open("/practice");
            // The same kitchen each time.
            k.Driver.ExecuteScript("Math.random = () => 0.25");
            ByKey(k, By.XPath("//button[.='Nobody calls']"));
            ByKey(k, By.XPath("//li//a[.='Green gate lentils']"));
            k.Until(_ => k.Text("h1") == "Green gate lentils");
            k.Until(d => d.PageSource.Contains("Nothing stands on the stove yet.", StringComparison.Ordinal));
            ByKey(k, By.XPath("//button[.='Done']"));
            ByKey(k, By.XPath("//button[.='On to what is next']"));
            k.Until(d => d.FindElements(By.CssSelector("[data-sign=boils]")).Count == 1);
            var heard = k.Text("[data-clock]");
            // It is found again as it was left.
            k.Open("/practice");
            ByKey(k, By.XPath("//a[.='Go on with Green gate lentils']"));
            k.Until(_ => k.Text("[data-clock]") == heard);
            for (var turn = 0; turn < 60 && k.Driver.FindElements(By.Id("end-title")).Count == 0; turn++)
            {
                const string Card = "section[data-moment]";
                if (k.Driver.FindElements(By.CssSelector(".border-warning\\! .btn-primary")).Count > 0)
                {
                    ByKey(k, By.CssSelector(".border-warning\\! .btn-primary"));
                }
                else if (
                    k.Driver.FindElements(By.CssSelector($"{Card} [role=timer]")).Count > 0
                    || (
                        k.Text(Card).Contains("Wait for", StringComparison.Ordinal)
                        && k.Driver.FindElements(By.CssSelector("[data-sign]")).Count == 0
                    )
                )
                {
                    ByKey(k, By.XPath("//button[.='On to what is next']"));
                }
                else if (k.Driver.FindElements(By.CssSelector("[data-moment-look], [data-look-feel]")).Count > 0)
                {
                    Answer(k);
                }
                else
                {
                    ByKey(k, By.CssSelector($"{Card} .btn-primary.grow"));
                }
            }

            k.Until(d => d.SwitchTo().ActiveElement().GetAttribute("id") == "end-title");
            var table = k.Find(By.CssSelector("section[aria-labelledby=end-title] table")).Text;
            Assert.Contains("Who does what the stove says", table, StringComparison.Ordinal);
            // A part of which nobody lost anything has no line.
            Assert.All((string[])["On the table", "Brown lentils", "White rice", "points of 100"], row =>
                Assert.Contains(row, table, StringComparison.Ordinal)
            );
            Assert.Equal(2, k.Driver.FindElements(By.CssSelector("figure svg[viewBox='0 0 560 150']")).Count);
            ByKey(k, By.XPath("//button[.='The same in another kitchen']"));
            k.Until(d => d.PageSource.Contains("Nothing stands on the stove yet.", StringComparison.Ordinal));
            Assert.Empty(k.Complaints());
        });
    }

    [Fact]
    public void On_a_phone_somebody_is_called_away_takes_a_thing_back_and_practises_what_was_planned()
    {
        using var kitchen = new Kitchen(390, 844);
        kitchen.Run(k =>
        {
            k.Open("/");
            k.Settle();
            k.Press("Take along");
            k.Do(By.LinkText("Practise this dinner"), a => a.Click());
            k.Settle();
            k.Until(d => d.FindElements(By.CssSelector("[data-clock]")).Count == 1);
            Assert.True((bool)k.Driver.ExecuteScript("return document.documentElement.scrollWidth <= innerWidth")!);
            k.Open("/practice");
            Go(k, "Called away four times");
            k.Do(By.LinkText("Copper-lid yellow peas"), a => a.Click());
            k.Settle();
            Go(k, "Done");
            k.Until(d => d.FindElements(By.CssSelector("[data-pot]")).Count == 1);
            Go(k, "Undo the last tap");
            k.Until(d => d.FindElements(By.CssSelector("[data-pot]")).Count == 0);
            for (var i = 0; i < 20 && k.Driver.FindElements(By.CssSelector("[data-called]")).Count == 0; i++)
            {
                Go(k, "15 min on");
            }

            Assert.Contains("you were away for", k.Text("[data-called]"), StringComparison.Ordinal);
            Assert.True((bool)k.Driver.ExecuteScript("return document.documentElement.scrollWidth <= innerWidth")!);
        });
    }
}
