using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;
using Xunit;

namespace BrightKettle.Browser.Tests;

/// <summary>By keyboard the hand stays where it is, few stops lie before what is wanted, and what changes is said.</summary>
public sealed class HandTests
{
    [Fact]
    public void In_my_pots_the_hand_goes_into_what_opens_and_back_to_where_it_was()
    {
        using var kitchen = new Kitchen();
        kitchen.Run(k =>
        {
            k.Open("/pots");
            Press(k, "Change Milk pan");
            k.Until(d => At(d).TagName == "input" && At(d).GetAttribute("value") == "Milk pan");
            At(k.Driver).SendKeys(" two" + Keys.Enter);
            k.Until(d => At(d).GetAttribute("aria-label") == "Change Milk pan two");
            Press(k, "Change Front burner");
            k.Until(d => At(d).GetAttribute("value") == "Front burner");
            k.Do(By.XPath("//button[.='Cancel']"), b => b.SendKeys(Keys.Enter));
            k.Until(d => At(d).GetAttribute("aria-label") == "Change Front burner");
            foreach (var add in new[] { "Add a pot", "Add a burner" })
            {
                k.Do(By.XPath($"//button[.='{add}']"), b => b.SendKeys(Keys.Enter));
                k.Until(d => At(d).TagName == "input");
                k.Do(By.XPath("//button[.='Cancel']"), b => b.SendKeys(Keys.Enter));
                k.Until(d => At(d).Text == add);
            }

            Press(k, "Remove Milk pan two");
            k.Until(d => At(d).Text == "Put it back");
            At(k.Driver).SendKeys(Keys.Enter);
            k.Until(d => At(d).Text == "Add a pot");
        });
    }

    [Fact]
    public void At_the_stove_the_hand_stays_by_the_card_when_a_step_is_done()
    {
        using var kitchen = new Kitchen();
        kitchen.Run(k =>
        {
            var scene = StoveScene.OfFirst(k);
            k.Open($"/stove/{scene.Id}");
            for (var step = 0; step < 2; step++)
            {
                var before = Moment(k);
                if (k.Driver.FindElements(NowAlready) is [_, ..])
                {
                    k.Do(NowAlready, b => b.SendKeys(Keys.Enter));
                    k.Until(d => d.FindElements(NowAlready).Count == 0);
                    k.Until(d => At(d).TagName != "body");
                }

                k.Do(By.CssSelector("[data-moment] button.btn-primary"), b => b.SendKeys(Keys.Enter));
                k.Until(_ => Moment(k) != before);
                k.Until(d => At(d).TagName != "body");
                // The next stop is in the card, not at the top of the page.
                Tab(k);
                k.Until(_ => Js(k, "return !!document.activeElement.closest('main')") is true);
            }
        });
    }

    [Fact]
    public void Few_stops_lie_before_keeping_a_dinner()
    {
        using var kitchen = new Kitchen();
        kitchen.Run(k =>
        {
            k.Open("/");
            Js(k, "document.body.focus()");
            Tab(k);
            Assert.Equal("To the page", At(k.Driver).Text);
            At(k.Driver).SendKeys(Keys.Enter);
            Tab(k);
            k.Until(d => At(d).Text == "To the plan");
            At(k.Driver).SendKeys(Keys.Enter);
            var stops = 2;
            for (; stops < 12 && At(k.Driver).Text != "Keep this dinner"; stops++)
            {
                Tab(k);
            }

            Assert.Equal("Keep this dinner", At(k.Driver).Text);
            Assert.InRange(stops, 3, 8);
        });
    }

    [Fact]
    public void What_a_change_does_to_the_plan_is_said()
    {
        using var kitchen = new Kitchen();
        kitchen.Run(k =>
        {
            k.Open("/");
            k.Settle();
            // What is read out is a part of the page that stays and whose words change, read as a whole.
            Js(k, "window.told = document.querySelector('[aria-live=polite][aria-atomic=true][data-verdict]')");
            var before = (string)Js(k, "return window.told.textContent")!;
            k.Do(By.Id("time"), i =>
            {
                i.Clear();
                i.SendKeys("20:30\t");
            });
            k.Until(_ => Js(k, "return window.told.isConnected && window.told.textContent") is string now && now != before);
            Assert.Contains("20:", (string)Js(k, "return window.told.textContent")!, StringComparison.Ordinal);
        });
    }

    [Theory]
    [InlineData("/")]
    [InlineData("/dinners")]
    [InlineData("/cupboard")]
    [InlineData("/pots")]
    [InlineData("/notes")]
    [InlineData("/practice")]
    [InlineData("/practice/rice_time/3")]
    [InlineData("/why")]
    public void On_a_phone_whatever_is_pressed_is_48_pixels_high(string path)
    {
        using var kitchen = new Kitchen(390, 844);
        kitchen.Run(k =>
        {
            k.Open(path);
            if (path == "/")
            {
                k.Press("Change the dish");
            }

            k.Settle();
            Assert.Equal(string.Empty, Js(k, TooSmall));
        });
    }

    /// <summary>What is pressed and lower than 48 px, with what counts for it: its label, its line. Words inside a sentence are as high
    /// as the sentence.</summary>
    private const string TooSmall = """
        const pressed = [...document.querySelectorAll('main :is(button, select, summary, a[href], input:not([type=range])), nav a')];
        const seen = pressed.filter((e) => e.checkVisibility() && e.getBoundingClientRect().width > 1 && !e.closest('svg') && !(e.tagName === 'A' && getComputedStyle(e).display === 'inline'));
        const height = (e) => Math.max(...[e, e.closest('label'), e.closest('.choice'), e.closest('.way')].filter(Boolean).map((x) => x.getBoundingClientRect().height));
        return seen.filter((e) => height(e) < 47.5).map((e) => `${e.tagName} ${(e.ariaLabel || e.textContent || e.id || e.type).trim().slice(0, 30)} ${Math.round(height(e))}`).join('\n');
        """;

    private static readonly By NowAlready = By.XPath("//*[@data-moment]//button[normalize-space()='Do it now']");

    private static string? Moment(Kitchen k) => k.Find(By.CssSelector("[data-moment]")).GetAttribute("data-moment");

    private static IWebElement At(IWebDriver d) => d.SwitchTo().ActiveElement();

    private static void Press(Kitchen k, string label) =>
        k.Do(By.CssSelector($"button[aria-label='{label}']"), b => b.SendKeys(Keys.Enter));

    private static void Tab(Kitchen k) => new Actions(k.Driver).SendKeys(Keys.Tab).Perform();

    private static object? Js(Kitchen k, string script) => k.Driver.ExecuteScript(script);
}
