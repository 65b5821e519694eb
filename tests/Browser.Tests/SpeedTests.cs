using System.Globalization;
using OpenQA.Selenium;
using Xunit;

namespace BrightKettle.Browser.Tests;

/// <summary>Timed by itself: another browser beside it would be measured too.</summary>
[CollectionDefinition("alone", DisableParallelization = true)]
public sealed class Alone;

[Collection("alone")]
public sealed class SpeedTests(ITestOutputHelper output)
{
    [Fact]
    public void The_picture_keeps_up_with_a_finger_and_the_times_go_into_the_log()
    {
        using var kitchen = new Kitchen();
        kitchen.Run(k =>
        {
            k.Open("/");
            // What is compiled on the way is compiled first, as in a server that has run for a minute.
            for (var i = 0; i < 3; i++)
            {
                Hand.Drag(k, "join", i % 2 == 0 ? 60 : -60, 20);
                Hand.Drop(k);
            }

            k.Driver.ExecuteScript("performance.clearMeasures()");
            for (var i = 0; i < 4; i++)
            {
                Hand.Drag(k, "join", i % 2 == 0 ? 80 : -80, 20);
                Hand.Drop(k);
            }

            var times = (
                (IReadOnlyCollection<object>)
                    k.Driver.ExecuteScript("return performance.getEntriesByName('kettle-pull').map((e) => e.duration)")!
            )
                .Select(t => Convert.ToDouble(t, CultureInfo.InvariantCulture))
                .Order()
                .ToList();
            Assert.True(times.Count > 20);
            var line = string.Create(
                CultureInfo.InvariantCulture,
                $"median {times[times.Count / 2]:0} ms, 95th percentile {times[(int)(times.Count * 0.95)]:0} ms, {times.Count} pulls"
            );
            output.WriteLine(line);
            Directory.CreateDirectory(Path.Combine(Kitchen.Root, "artifacts", "logs"));
            File.WriteAllText(Path.Combine(Kitchen.Root, "artifacts", "logs", "pull-to-picture.txt"), line + "\n");
        });
    }

    [Fact]
    public void A_change_is_answered_and_drawn_and_the_time_goes_into_the_log()
    {
        using var kitchen = new Kitchen();
        kitchen.Run(k =>
        {
            k.Open("/");
            var times = new List<double>();
            for (var i = 0; i < 24; i++)
            {
                var style = new[] { "Moist", "Saucy", "Dry" }[i % 3];
                var before = k.Text("ol");
                k.ChooseLabel(style);
                // The water differs from style to style, so the steps that are drawn are those of the new answer.
                k.Until(_ => k.Text("ol") != before);
                k.Settle();
                times.Add(
                    double.Parse(
                        k.Find(By.CssSelector("[data-answered-ms]")).GetAttribute("data-answered-ms")!,
                        CultureInfo.InvariantCulture
                    )
                );
            }

            times.Sort();
            output.WriteLine(
                $"From a change to its drawn answer over {times.Count} changes: median {times[times.Count / 2]} ms, 95th percentile {times[(int)(times.Count * 0.95)]} ms"
            );
            File.WriteAllText(
                Path.Combine(Kitchen.Root, "artifacts", "logs", "change-to-picture.txt"),
                $"median {times[times.Count / 2]} ms, 95th percentile {times[(int)(times.Count * 0.95)]} ms, {times.Count} changes\n"
            );
            Assert.Equal(24, times.Count(t => t > 0));
        });
    }
}
