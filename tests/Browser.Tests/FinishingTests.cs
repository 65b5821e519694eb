using OpenQA.Selenium;
using Xunit;

namespace BrightKettle.Browser.Tests;

/// <summary>Half of an extra kept back, an infusion, starch that binds; and at the stove another pot.</summary>
public sealed class FinishingTests
{
    private static void Add(Kitchen k, string id, string then)
    {
        k.Do(By.CssSelector("select[aria-label='Add to the pot']"), s => Choose(s, id));
        k.Until(d => d.FindElements(By.CssSelector($"[aria-label='{then}, g']")).Count == 1);
    }

    private static void Choose(IWebElement select, string value) => select.FindElement(By.CssSelector($"option[value='{value}']")).Click();

    private static int Steps(Kitchen k, string text) =>
        k.Driver.FindElements(By.XPath($"//section[.//h2[.='Step by step']]//li[contains(.,'{text}')]")).Count;

    [Fact]
    public void Half_an_onion_goes_in_later_leaves_are_steeped_and_starch_binds()
    {
        using var kitchen = new Kitchen();
        kitchen.Run(k =>
        {
            var dish = new
            {
                pulseId = "cannellini",
                pulse = new { value = 240, unit = "g" },
                people = 4,
                soak = "overnight",
                style = "saucy",
                vesselId = "blue-pot",
                burnerId = "front",
                serveAtLocal = "2026-11-25T19:00",
                seed = 7,
                method = "open_pot",
            };
            var (id, _) = StoveScene.Keep(k, "Bound", dish);
            k.Open($"/dinner/{id}");
            Add(k, "onion", "Onion");
            k.Find(By.CssSelector("input[aria-label='Onion, half now, half later']")).Click();
            k.Do(By.CssSelector("input[aria-label='Onion, min before the table']"), f => f.SendKeys("5" + Keys.Tab));
            k.Until(_ => Steps(k, "Onion in:") == 2);
            k.Until(_ => k.Text("main").Contains("half in at the start, half later", StringComparison.Ordinal));

            Add(k, "leaf_infusion", "Infusion of leaves");
            k.Do(By.CssSelector("select[aria-label='Infusion of leaves, how strong']"), s => Choose(s, "strong"));
            k.Until(_ => Steps(k, "Leaves into cold water") == 1 && Steps(k, "Strain the leaves") == 1);

            k.Find(By.XPath("//summary[normalize-space()='More']")).Click();
            k.ChooseLabel("bind the liquid with starch");
            k.Until(_ => Steps(k, "Bind the liquid with") == 1);
            Assert.Contains("Starch", k.Text("main"), StringComparison.Ordinal);
            // What goes in at the end has no half to keep.
            k.Do(By.CssSelector("select[aria-label='Onion, when']"), s => Choose(s, "late"));
            k.Until(_ => Steps(k, "Onion in:") == 1);
            Assert.Empty(k.Driver.FindElements(By.CssSelector("input[aria-label='Onion, half now, half later']")));
            Assert.Empty(k.Complaints());
        });
    }

    [Fact]
    public void At_the_stove_all_of_it_moves_into_another_pot_and_the_plan_goes_on_there()
    {
        using var kitchen = new Kitchen(390, 844);
        kitchen.Run(k =>
        {
            var scene = StoveScene.Of(
                k,
                "Small pot",
                new
                {
                    pulseId = "chickpea",
                    pulse = new { value = 200, unit = "g" },
                    people = 3,
                    soak = "overnight",
                    style = "saucy",
                    vesselId = "blue-pot",
                    burnerId = "front",
                    serveAtLocal = "2026-11-25T19:00",
                    seed = 7,
                    method = "open_pot",
                }
            );
            scene.Walk(k, m => m.GetProperty("step").GetProperty("kind").GetString() == "look");
            k.Open($"/stove/{scene.Id}");
            k.Press("Tell what you see or add");
            k.Press("Into another pot");
            k.Until(_ => k.Text("main").Contains("Into the wide white pot", StringComparison.Ordinal));
            k.Press("Do this");
            k.Until(_ => scene.State().GetProperty("vessels").EnumerateArray().Any(v => v.GetProperty("id").GetString() == "wide-pot"));
            Assert.Empty(k.Complaints());
        });
    }
}
