using System.Net.Http.Json;
using System.Text.Json;
using OpenQA.Selenium;
using Xunit;

namespace BrightKettle.Browser.Tests;

/// <summary>All of a household out of one kettle and into another, and back to the copy of a day, by hand.</summary>
public sealed class ArchiveTests
{
    private static readonly By Asked = By.CssSelector("[role=alertdialog]");

    private static readonly By File = By.CssSelector("input[type=file]");

    private static string[] Lines(Kitchen k, string path)
    {
        k.Open(path);
        return k.Until(d =>
            d.FindElements(By.CssSelector("main h2, main h3, main li")) is { Count: > 0 } lines ? lines.Select(l => l.Text).ToArray() : null
        )!;
    }

    private static int Dinners(Kitchen k) => k.Http.GetFromJsonAsync<JsonElement>("/api/cooks").Result.GetProperty("count").GetInt32();

    [Fact]
    public void A_file_of_one_kettle_makes_another_show_the_same_and_what_was_there_comes_back()
    {
        var file = Path.Combine(Path.GetTempPath(), $"kettle-{Guid.NewGuid():n}.json");
        try
        {
            var shown = new Dictionary<string, string[]>();
            using (var from = new Kitchen())
            {
                from.Run(k =>
                {
                    System.IO.File.WriteAllBytes(file, k.Http.GetByteArrayAsync("/api/archive").Result);
                    foreach (var view in new[] { "/dinners", "/cupboard" })
                    {
                        shown[view] = Lines(k, view);
                    }

                    k.Open("/pots");
                    k.Press("Save all as a file");
                    k.Until(d =>
                        d.FindElements(By.XPath("//*[@role='status'][contains(.,'Saved as bright-kettle-2026-11-2')]")).Count == 1
                    );
                });
            }

            using var to = new Kitchen(fresh: true);
            to.Run(k =>
            {
                Assert.Equal(0, Dinners(k));
                // What is no household is refused where it was chosen, and nothing is asked twice.
                var foreign = Path.ChangeExtension(file, "foreign.json");
                System.IO.File.WriteAllText(foreign, "[1, 2, 3]");
                k.Open("/pots");
                k.Do(File, f => f.SendKeys(foreign));
                k.Until(d => d.FindElements(Asked).Count == 1);
                k.Press("Bring it back");
                Assert.Contains("no file of a household", k.Text("[role=alert]"), StringComparison.Ordinal);
                System.IO.File.Delete(foreign);
                // Thought better of it: nothing happens.
                k.Do(File, f => f.SendKeys(file));
                k.Until(d => d.FindElements(Asked).Count == 1);
                k.Press("Leave all as it is");
                k.Until(d => d.FindElements(Asked).Count == 0);
                Assert.Equal(0, Dinners(k));

                k.Do(File, f => f.SendKeys(file));
                k.Until(d => d.FindElements(Asked).Count == 1);
                // Where the hand is, by keyboard too.
                Assert.Equal(
                    "Bring it back",
                    k.Until(d => d.SwitchTo().ActiveElement().Text is "Bring it back" and var text ? text : null)
                );
                k.Press("Bring it back");
                k.Until(_ => Dinners(k) > 0 ? "there" : null);
                k.Until(d => d.FindElements(Asked).Count == 0);
                foreach (var (view, lines) in shown)
                {
                    Assert.Equal(lines, Lines(k, view));
                }

                // The kitchen as it was before stands in today's copy.
                k.Open("/pots");
                k.Press("Back to this");
                k.Press("Bring it back");
                k.Until(_ => Dinners(k) == 0 ? "gone" : null);
                // The refused file alone is complained of.
                Assert.All(k.Complaints(), c => Assert.Contains("/api/archive", c, StringComparison.Ordinal));
            });
        }
        finally
        {
            System.IO.File.Delete(file);
        }
    }
}
