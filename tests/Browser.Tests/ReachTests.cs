using OpenQA.Selenium;
using Xunit;

namespace BrightKettle.Browser.Tests;

/// <summary>Used by keyboard, by ear, in forced colours, on a small screen, and while a newer page arrives.</summary>
public sealed class ReachTests
{
    [Fact]
    public void A_newer_page_is_told_and_taken_at_a_press_never_by_itself()
    {
        using var kitchen = new Kitchen();
        kitchen.Run(k =>
        {
            k.Open("/why");
            // Who only looks in need not fetch all views.
            Assert.Equal(0L, Registered(k));
            k.Open("/why");
            k.Until(d => Js(d, "return !!navigator.serviceWorker.controller") is true);
            k.Find(By.Id("question")).SendKeys("lid");
            // Another script for the same page is what a newer version is to a browser.
            Js(k.Driver, "navigator.serviceWorker.register('/sw.js?newer')");
            k.Until(d => d.FindElements(By.XPath("//button[.='Take it now']")).Count == 1);
            Assert.Equal("lid", k.Find(By.Id("question")).GetAttribute("value"));
            Js(k.Driver, "window.older = true");
            k.Press("Take it now");
            // Whether the page then tells of another is not asked: to the new one the first script is the newer.
            k.Until(d => Js(d, "return window.older === undefined && document.querySelector('#question')?.value === ''") is true);
            Assert.EndsWith(
                "newer",
                (string)Js(k.Driver, "return navigator.serviceWorker.controller.scriptURL")!,
                StringComparison.Ordinal
            );
        });
    }

    [Fact]
    public void A_menu_stands_inside_a_phones_screen_and_Escape_closes_it_where_the_hand_was()
    {
        using var kitchen = new Kitchen(390, 844);
        kitchen.Run(k =>
        {
            k.Open("/");
            k.Press("Take along");
            k.Until(d => d.FindElements(By.CssSelector(".menu-panel:popover-open")).Count == 1);
            Assert.True(
                Js(
                    k.Driver,
                    "const b = document.querySelector('.menu-panel:popover-open').getBoundingClientRect(); return b.left >= 0 && b.right <= innerWidth && b.top >= 0 && b.bottom <= innerHeight"
                )
                    is true
            );
            Assert.Equal("true", k.Find(By.XPath("//button[normalize-space()='Take along']")).GetAttribute("aria-expanded"));
            k.Driver.SwitchTo().ActiveElement().SendKeys(Keys.Escape);
            k.Until(d => d.FindElements(By.CssSelector(".menu-panel:popover-open")).Count == 0);
            Assert.Equal("Take along", k.Driver.SwitchTo().ActiveElement().Text.Trim());
        });
    }

    [Fact]
    public void In_forced_colours_what_is_chosen_keeps_a_sign_and_the_view_says_where_it_is()
    {
        using var kitchen = new Kitchen();
        kitchen.Run(k =>
        {
            k.Driver.ExecuteCdpCommand(
                "Emulation.setEmulatedMedia",
                new()
                {
                    ["features"] = new object[]
                    {
                        new Dictionary<string, object> { ["name"] = "forced-colors", ["value"] = "active" },
                    },
                }
            );
            k.Open("/");
            foreach (var chosen in new[] { ".choice:has(:checked)", "nav [aria-current=page]" })
            {
                Assert.Equal("solid", Style(k, chosen, "outlineStyle"));
                Assert.Equal("3px", Style(k, chosen, "outlineWidth"));
            }

            Assert.Equal("none", Style(k, ".choice:not(:has(:checked))", "outlineStyle"));
            Assert.Equal("Tonight", k.Text("nav [aria-current=page]"));
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
    [InlineData("/stove")]
    public void Nothing_is_wider_than_a_page_of_320_pixels(string path)
    {
        // As wide as 1280 at four times the size, too.
        using var kitchen = new Kitchen(320, 640);
        kitchen.Run(k =>
        {
            k.Open(path);
            k.Until(d => d.FindElements(By.CssSelector("main h1")).Count > 0);
            k.Settle();
            Assert.Equal(0L, Js(k.Driver, "return document.documentElement.scrollWidth - document.documentElement.clientWidth"));
        });
    }

    [Fact]
    public void What_is_next_at_the_stove_is_said_once_and_no_countdown_stands_in_what_is_said()
    {
        using var kitchen = new Kitchen();
        kitchen.Run(k =>
        {
            var scene = StoveScene.OfFirst(k);
            k.Open($"/stove/{scene.Id}");
            k.Until(_ => Said(k).Length > 0);
            Assert.Contains(Said(k), k.Text("[data-moment]"), StringComparison.Ordinal);
            Assert.Empty(k.Driver.FindElements(By.CssSelector("[role=status] [role=timer], [role=alert] [role=timer]")));
        });

        // Heard, not seen: its text is not rendered.
        static string Said(Kitchen k) => k.Find(By.CssSelector("p.sr-only[role=status]")).GetAttribute("textContent")!.Trim();
    }

    private static object? Registered(Kitchen k) =>
        k.Driver.ExecuteAsyncScript("navigator.serviceWorker.getRegistrations().then((all) => arguments[0](all.length))");

    [Fact]
    public void The_first_visit_fetches_170_kilobytes_at_most()
    {
        using var server = new OwnProcess(new DateTimeOffset(2026, 11, 24, 18, 0, 0, TimeSpan.Zero));
        using var kitchen = new Kitchen(address: server.Address);
        kitchen.Run(k =>
        {
            k.Open("/");
            k.Settle();
            var fetched = (IReadOnlyCollection<object>)Js(k.Driver, Fetched)!;
            var bytes = fetched.Cast<IReadOnlyCollection<object>>().Sum(f => (long)f.Last());
            // Page, script, style and both faces are among it, so that nothing was left uncounted.
            Assert.True(fetched.Count >= 6, $"{fetched.Count} fetched");
            Assert.InRange(bytes, 100_000, 170_000);
        });
    }

    /// <summary>What came over the wire for the page itself, name and bytes; the household's own data are not of it.</summary>
    private const string Fetched = """
        return [...performance.getEntriesByType('navigation'), ...performance.getEntriesByType('resource')]
          .filter((e) => !e.name.includes('/api/'))
          .map((e) => [e.name, e.transferSize]);
        """;

    private static object? Js(IWebDriver driver, string script) => ((IJavaScriptExecutor)driver).ExecuteScript(script);

    private static string Style(Kitchen k, string css, string what) =>
        (string)Js(k.Driver, $"return getComputedStyle(document.querySelector('{css}')).{what}")!;
}
