using OpenQA.Selenium;
using Xunit;

namespace BrightKettle.Browser.Tests;

/// <summary>Two dishes of one evening: planned beside each other, and on the stove at once.</summary>
public sealed class BesideTests
{
    private static object Dish(string pulse, string vessel, string burner, string serveAt) =>
        new
        {
            pulseId = pulse,
            people = 4,
            soak = "none",
            style = "saucy",
            vesselId = vessel,
            burnerId = burner,
            serveAtLocal = serveAt,
            seed = 7,
        };

    [Fact]
    public void Another_dish_of_the_evening_is_begun_beside_the_first_told_what_both_want_and_kept_apart_by_a_press()
    {
        using var kitchen = new Kitchen();
        kitchen.Run(k =>
        {
            string Clashes() => k.Driver.FindElements(By.CssSelector("[data-clashes]")) is [var card, ..] ? card.Text : string.Empty;
            k.Open("/dinners");
            k.Find(By.LinkText("Quarry-day adzuki")).Click();
            k.Until(_ => k.Driver.Url.Contains("/dinner/", StringComparison.Ordinal));
            k.Settle();
            // What is kept is not in its own way.
            k.Until(_ => k.Text("h1").Contains("Adzuki", StringComparison.Ordinal));
            Assert.DoesNotContain("Quarry-day", Clashes(), StringComparison.Ordinal);

            k.Press("Add a dish");
            k.Until(_ => k.Driver.Url.EndsWith('/'));
            k.Settle();
            k.Pick("pulse", "red lentil", "Lentil, red split");
            k.Pick("rice", "no rice", "No rice");
            k.ChooseLabel("Saucy");
            k.Settle();
            Assert.Contains("18:30", k.Text("h1"), StringComparison.Ordinal);
            k.Select("vessel", "blue-pot");
            k.Until(_ => Clashes().Contains("Both need the blue pot", StringComparison.Ordinal));
            Assert.Contains("Quarry-day adzuki, the same evening", Clashes(), StringComparison.Ordinal);
            k.Settle();
            k.Driver.ExecuteScript("window.scrollTo(0, 0)");
            k.Do(By.CssSelector("[data-clashes] button"), b => b.Click());
            k.Until(_ => !Clashes().Contains("Both need", StringComparison.Ordinal));
            k.Settle();
            k.Driver.ExecuteScript("window.scrollTo(0, 0)");
        });
    }

    [Fact]
    public void Two_dishes_on_the_stove_stand_in_one_view_and_each_is_a_press_away()
    {
        using var kitchen = new Kitchen();
        kitchen.Run(k =>
        {
            var dal = StoveScene.Of(k, "Pepper lentils", Dish("lentil_brown", "wide-pot", "back", "2026-11-24T20:30"));
            var peas = StoveScene.Of(k, "Yellow peas", Dish("split_pea_yellow", "blue-pot", "front", "2026-11-24T20:45"));
            k.Open($"/stove/{dal.Id}");
            k.Until(_ => k.Text($"[data-other='{peas.Id}']").Contains("Yellow peas", StringComparison.Ordinal));
            // The other's moment comes: it rings here by its name.
            peas.Walk(k, m => m.GetProperty("step").GetProperty("kind").GetString() == "boil");
            k.Until(_ => k.Text($"[data-other='{peas.Id}']").Contains("oil", StringComparison.Ordinal));
            k.Do(By.CssSelector($"[data-other='{peas.Id}']"), a => a.Click());
            k.Until(_ => k.Driver.Url.EndsWith($"/stove/{peas.Id}", StringComparison.Ordinal));
            k.Until(_ => k.Text($"[data-other='{dal.Id}']").Contains("Pepper lentils", StringComparison.Ordinal));

            // What is closed is gone from the view of the other.
            k.Http.PostAsync(
                    $"/api/stove/{dal.Id}/finish",
                    System.Net.Http.Json.JsonContent.Create(
                        new
                        {
                            eventId = Guid.CreateVersion7(),
                            occurredAt = k.Clock.GetUtcNow(),
                            basedOn = 0,
                        }
                    )
                )
                .GetAwaiter()
                .GetResult()
                .EnsureSuccessStatusCode();
            k.Driver.Navigate().Refresh();
            k.Until(_ => k.Text("main").Contains("Yellow peas", StringComparison.Ordinal));
            k.Until(d => d.FindElements(By.CssSelector("[data-other]")).Count == 0);
        });
    }
}
