using OpenQA.Selenium;
using Xunit;

namespace BrightKettle.Browser.Tests;

/// <summary>The pictures of docs/screenshots; written there when KETTLE_SHOTS names the folder (`./kettle shots`), else beside the
/// logs.</summary>
public sealed class Screenshots
{
    private static string Folder =>
        Environment.GetEnvironmentVariable("KETTLE_SHOTS") is { Length: > 0 } folder
            ? folder
            : Path.Combine(Kitchen.Root, "artifacts", "shots");

    [Fact]
    public void Every_main_view_is_pictured_from_the_demo_data()
    {
        using var kitchen = new Kitchen();
        kitchen.Run(k =>
        {
            void Shot(string name) => k.Picture(Path.Combine(Folder, $"{name}.png"));

            k.Open("/dinners");
            k.Find(By.LinkText("Lamplight chickpeas")).Click();
            k.Until(_ => k.Driver.Url.Contains("/dinner/", StringComparison.Ordinal));
            k.Settle();
            k.Until(_ => k.Text("h1").Contains("Chickpeas", StringComparison.Ordinal));
            k.Until(_ => k.Text("#measure-title + ul").Contains("300 g", StringComparison.Ordinal));
            WaysTried(k);
            Shot("tonight");
            k.Driver.ExecuteScript("document.querySelector('ol').scrollIntoView(); window.scrollBy(0, -70)");
            Shot("tonight-steps");
            k.Driver.ExecuteScript("window.scrollTo(0, 0)");
            k.Find(By.CssSelector("button[aria-label='Night kitchen']")).Click();
            k.Find(By.LinkText("Dinners")).Click();
            k.Until(d => d.FindElements(By.LinkText("Green gate lentils")).Count == 1);
            Shot("dinners");
            k.Find(By.LinkText("Green gate lentils")).Click();
            k.Until(_ => k.Text("h1").Contains("lentils", StringComparison.Ordinal));
            k.Settle();
            k.Until(_ => k.Text("#measure-title + ul").Contains("180 g", StringComparison.Ordinal));
            WaysTried(k);
            Shot("tonight-night");
            k.Find(By.CssSelector("button[aria-label='Day kitchen']")).Click();
            k.Press("New");
            k.Until(_ => k.Driver.Url.EndsWith('/'));
            k.Select("vessel", 0);
            k.Until(d => d.FindElements(By.CssSelector("[role=alert] h1")).Count == 1);
            WaysTried(k);
            Shot("refused");
            _ = k.Complaints();
            k.Select("vessel", 2);
            k.Pick("pulse", "borlotti", "Borlotti");
            k.Pick("rice", "no rice", "No rice");
            k.ChooseLabel("Overnight");
            k.ChooseLabel("Saucy");
            k.Settle();
            k.AllWays();
            k.Driver.ExecuteScript("document.querySelector('.ways').scrollIntoView(); window.scrollBy(0, -70)");
            Shot("ways");
            k.Driver.ExecuteScript("localStorage.removeItem('bright-kettle.draft')");
            k.Open("/");
            k.Find(By.Id("line"))
                .SendKeys("for six, tomorrow at seven: borlotti with white rice, saucy, with tomato, onion and bay leaves" + Keys.Enter);
            k.Until(_ => k.Text("h1").StartsWith("Borlotti beans with white rice, tomorrow", StringComparison.Ordinal));
            k.Settle();
            k.Find(By.CssSelector("[data-pull=join]")).SendKeys(Keys.PageUp + Keys.PageUp);
            k.Until(d => d.FindElements(By.XPath("//*[@role='status'][contains(.,'Table') and contains(.,'later')]")).Count > 0);
            k.Press("Back to the best");
            k.Press("No canned tomato");
            k.Until(d => d.FindElements(By.XPath("//*[@role='status'][contains(.,'water in its place')]")).Count == 1);
            k.Open("/practice/rice_time/23");
            k.Press("Squeeze five");
            k.Press("Dip a spoon in");
            Shot("practice");
            k.Press("Rice in now");
            k.Until(d => d.FindElements(By.Id("inside-title")).Count == 1);
            Shot("practice-inside");
            PracticeDinner(k, Shot);
            k.Open("/notes");
            k.Find(By.Id("notes"))
                .SendKeys(
                    "Harbour chickpeas\nServes 4\n1 cup chickpeas\n8 litres water\n1 onion, chopped\n2 bay leaves\nSoak the chickpeas overnight.\nDrain, boil and simmer for 80 minutes.\nAdd 200 g white rice and cook 18 minutes."
                );
            k.Until(d => d.FindElements(By.Id("read-title")).Count == 1);
            Shot("notes");
            k.Open("/pots");
            Shot("pots");
            k.Open("/why");
            Shot("why");
            Stove(k, Shot);
            Cupboard(k, Shot);
            k.Resize(390, 844, touch: true);
            k.Driver.ExecuteScript("localStorage.clear()");
            k.Open("/");
            WaysTried(k);
            Shot("tonight-phone");
            Assert.True(File.Exists(Path.Combine(Folder, "tonight-phone.png")));
        });
    }

    /// <summary>In front of the pot when the rice is due, in one of the kitchens.</summary>
    private static void PracticeDinner(Kitchen k, Action<string> shot)
    {
        k.Open("/practice");
        k.Driver.ExecuteScript("Math.random = () => 0.25");
        k.Do(By.LinkText("Green gate lentils"), a => a.Click());
        k.Settle();
        foreach (var press in (string[])["Done", "On to what is next", "It boils", "On to what is next"])
        {
            k.Press(press);
            k.Settle();
        }

        k.Press("Pour it into the jug");
        k.Press("Halve five of the brown lentils");
        k.Until(d => d.FindElements(By.CssSelector("[data-chalky]")).Count == 1);
        shot("practice-dinner");
    }

    private static void Cupboard(Kitchen k, Action<string> shot)
    {
        k.WithPast();
        k.Open("/cupboard");
        k.Find(By.CssSelector("[data-bag=bag-chickpea] summary")).Click();
        k.Until(d => d.FindElements(By.CssSelector("[data-bag=bag-chickpea] li")).Count == 3);
        shot("cupboard");
        k.Open("/dinners");
        k.Find(By.LinkText("Tall-jar chickpeas")).Click();
        k.Until(_ => k.Text("[role=table]").Contains("Rice in", StringComparison.Ordinal));
        shot("past-dinner");
    }

    private static void WaysTried(Kitchen k) =>
        k.Until(d => d.FindElements(By.CssSelector(".ways[data-asking=false] input[name=way]")).Count > 0);

    private static void Stove(Kitchen k, Action<string> shot)
    {
        var scene = StoveScene.OfFirst(k);
        scene.Do(k, "soak", "drain", "light", "boil");
        scene.Tell(
            k,
            new
            {
                kind = "went_in",
                ingredient = "leaf",
                count = 3,
            }
        );
        k.Clock.Advance(TimeSpan.FromMinutes(1.5));
        k.Open($"/stove/{scene.Id}");
        k.Until(d => d.FindElements(By.XPath("//button[normalize-space()='It has settled']")).Count == 1);
        scene.Tell(k, new { kind = "checked", what = "boil_over" });
        k.Clock.SetUtcNow(scene.Due("join").AddSeconds(2));
        k.Until(d => d.FindElements(By.CssSelector("[data-moment-look] button")).Count > 0);
        k.Find(By.XPath("(//*[@data-moment-look]//button)[5]")).Click();
        k.Until(d => d.FindElements(By.CssSelector("[data-changes]")).Count == 1);
        k.Press("What can be done?");
        k.Until(d => d.FindElements(By.XPath("//button[normalize-space()='Do this']")).Count > 0);
        shot("stove-late");
        k.Clock.SetUtcNow(scene.Due("look").AddSeconds(3));
        k.Until(d => d.FindElements(By.CssSelector("[data-moment-look] button")).Count > 0);
        k.Resize(390, 844, touch: true);
        shot("stove-phone");
        k.Resize(1280, 800);
        scene.Do(k, "look");
        k.Clock.SetUtcNow(scene.Due("join").AddSeconds(2));
        k.Until(d => d.FindElements(By.XPath("//button[normalize-space()='The rice is in']")).Count == 1);
        shot("stove-join");
        scene.Do(k, "join", "seal", "heat_off");
        scene.Tell(
            k,
            new
            {
                kind = "came_out",
                ingredient = scene.State().GetProperty("inside")[0].GetProperty("ingredient").GetString(),
                count = 3,
            }
        );
        scene.Do(k, "table");
        k.Until(d => d.FindElements(By.XPath("//button[normalize-space()='In the fridge']")).Count == 1);
        shot("stove-after");

        // Under a lid: whistles are counted, and a look has its price.
    }
}
