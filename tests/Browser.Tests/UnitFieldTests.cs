using System.Net.Http.Json;
using System.Text.Json;
using OpenQA.Selenium;
using Xunit;

namespace BrightKettle.Browser.Tests;

/// <summary>Fields name the household's own units, and take any.</summary>
public sealed class UnitFieldTests
{
    [Fact]
    public void A_house_that_measures_in_inches_and_Fahrenheit_is_asked_so_and_may_type_either()
    {
        using var kitchen = new Kitchen();
        kitchen.Run(k =>
        {
            k.Open("/pots");
            Assert.Contains("16 cm wide", k.Text("main"), StringComparison.Ordinal);
            k.Do(By.XPath("//label[contains(.,'Units')]/select/option[@value='us']"), o => o.Click());
            k.Press("Save");
            k.Until(d => d.FindElements(Field("Height above the sea, ft")).Count == 1);
            k.Until(_ => k.Find(Field("Room in which you soak, °F")).GetAttribute("value") == "66");

            Type(k, "Height above the sea, ft", "1500 m");
            Type(k, "Room in which you soak, °F", "68");
            k.Press("Save");
            k.Until(_ => Kitchen(k).GetProperty("altitudeMetres").GetDouble() == 1500);
            Assert.Equal(20, Kitchen(k).GetProperty("roomCelsius").GetDouble(), 6);
            k.Open("/pots");
            k.Until(_ => k.Find(Field("Height above the sea, ft")).GetAttribute("value") == "4921");

            k.Do(By.XPath("//button[@aria-label='Change Milk pan']"), b => b.Click());
            Type(k, "Inside width, in", "10 in");
            k.Do(By.XPath("//form[.//label[starts-with(.,'Inside width')]]//button[@type='submit']"), b => b.Click());
            k.Until(_ =>
                Kitchen(k).GetProperty("vessels").EnumerateArray().Any(v => v.GetProperty("diameterCentimetres").GetDouble() == 25.4)
            );
            k.Until(_ => k.Text("main").Contains("10 in wide", StringComparison.Ordinal));
        });
    }

    [Fact]
    public void A_house_that_says_am_and_pm_reads_it_in_every_view_and_a_bare_hour_is_of_the_same_half()
    {
        using var kitchen = new Kitchen();
        kitchen.Run(k =>
        {
            k.Open("/pots");
            k.Do(By.XPath("//label[contains(.,'Times are written')]/select/option[@value='am_pm']"), o => o.Click());
            k.Do(By.XPath("//label[contains(.,'Units')]/select/option[@value='us']"), o => o.Click());
            k.Press("Save");
            k.Until(_ => Kitchen(k).GetProperty("hours").GetString() == "am_pm");
            k.Until(d => d.FindElements(Field("Height above the sea, ft")).Count == 1);
            Assert.Contains("An inch of liquid in it is", k.Text("main"), StringComparison.Ordinal);

            k.Open("/");
            k.Until(_ => k.Find(By.Id("time")).GetAttribute("value")?.EndsWith(" pm", StringComparison.Ordinal) == true);
            k.Do(By.Id("time"), i =>
            {
                i.Clear();
                i.SendKeys("7:45\t");
            });
            k.Until(_ => k.Find(By.Id("time")).GetAttribute("value") == "7:45 pm");
            k.Until(_ => k.Text("main h1").Contains("7:45 pm", StringComparison.Ordinal));
            // No hour of twenty-four is left, and the height of the pot is marked in inches.
            k.Until(_ => !System.Text.RegularExpressions.Regex.IsMatch(k.Text("main"), @"\b(1[3-9]|2[0-3]):[0-5]\d\b"));
            Assert.Single(
                k.Driver.FindElements(By.XPath("//*[name()='svg'][contains(@class,'waterline')]//*[name()='text'][normalize-space()='in']"))
            );
        });
    }

    private static By Field(string label) => By.XPath($"//label[starts-with(normalize-space(),'{label}')]/input");

    private static void Type(Kitchen k, string label, string text) => k.Do(Field(label), i =>
        {
            i.Clear();
            i.SendKeys(text);
        });

    private static JsonElement Kitchen(Kitchen k) => k.Http.GetFromJsonAsync<JsonElement>("/api/kitchen").GetAwaiter().GetResult();
}
