using OpenQA.Selenium;
using OpenQA.Selenium.Interactions;

namespace BrightKettle.Browser.Tests;

/// <summary>A finger on the waterline's handles.</summary>
internal static class Hand
{
    public static void Drag(Kitchen k, string handle, int pixels, int steps = 12)
    {
        var at = k.Find(By.CssSelector($"[data-pull={handle}] rect"));
        var drag = new Actions(k.Driver, TimeSpan.FromMilliseconds(30)).MoveToElement(at).ClickAndHold();
        for (var i = 0; i < steps; i++)
        {
            drag = drag.MoveByOffset(pixels / steps, 0);
        }

        drag.Perform();
    }

    public static void Drop(Kitchen k) => new Actions(k.Driver).Release().Perform();
}
