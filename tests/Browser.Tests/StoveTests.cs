using System.Globalization;
using System.Net.Http.Json;
using OpenQA.Selenium;
using Xunit;

namespace BrightKettle.Browser.Tests;

/// <summary>A whole dinner at the stove in simulated time, against the real server in its own process.</summary>
public sealed class StoveTests
{
    private static readonly DateTimeOffset Evening = new(2026, 11, 24, 18, 0, 0, TimeSpan.Zero);

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    /// <summary>The kinds of what was told, each with the minutes by which it was told late.</summary>
    private const string Record =
        "did, did, did, went_in, seen-6, did-6, felt, chalky, did, liquor, did, water, seen, did, checked, felt, chalky, did, came_out, did, put_away";

    [Fact]
    public void A_dinner_is_cooked_from_the_soak_to_the_fridge_and_the_record_holds_it_all() => Assert.Equal(Record, Cook(trouble: false));

    [Fact]
    public void With_the_network_cut_for_ten_minutes_and_the_server_killed_the_record_is_the_same() =>
        Assert.Equal(Record, Cook(trouble: true));

    [Fact]
    public void Once_opened_the_page_opens_without_the_kettle_and_what_is_told_arrives_when_it_is_back()
    {
        using var server = new OwnProcess(Evening);
        var id = Keep(server);
        using var kitchen = new Kitchen(390, 844, server.Address);
        kitchen.Run(k =>
        {
            var hand = new StoveHand(k, server, id);
            k.Open($"/dinner/{id}");
            k.Press("To the stove");
            k.Until(d => d.Url.Contains("/stove/", StringComparison.Ordinal));
            hand.GoTo(hand.Due("soak"));
            k.Until(_ =>
                (bool)
                    k.Driver.ExecuteAsyncScript(
                        "const done = arguments[0]; navigator.serviceWorker.ready.then((r) => done(r.active?.state === 'activated'))"
                    )!
            );
            server.Kill();
            k.Driver.Navigate().Refresh();
            k.Until(_ => k.Text("h1").Contains("Soak", StringComparison.Ordinal));
            k.Until(d => d.FindElements(By.XPath("//*[contains(.,'No connection')]")).Count > 0);
            hand.Tap("Done", wait: false);
            k.Until(d => d.FindElements(By.XPath("//*[contains(@class,'badge') and contains(.,'1 to send')]")).Count == 1);
            // The next thing stands there without the kettle.
            k.Until(_ => k.Text("section[data-moment]").Contains("Drain", StringComparison.Ordinal));
            server.Start();
            k.Until(d => d.FindElements(By.XPath("//*[contains(@class,'badge') and contains(.,'to send')]")).Count == 0);
            k.Until(_ => hand.Record() == "did");
            Assert.All(k.Complaints(), c =>
                Assert.True(
                    c.Contains("Failed to load resource", StringComparison.Ordinal) || c.Contains("ERR_", StringComparison.Ordinal),
                    c
                )
            );
        });
    }

    /// <summary>Cooks it through the page; answers with what the record holds.</summary>
    private static string Cook(bool trouble)
    {
        using var server = new OwnProcess(Evening);
        var id = Keep(server);
        using var kitchen = new Kitchen(390, 844, server.Address);
        // The page counts on from the kettle's word by the browser's steady count; cut off, that count is moved by the test.
        // The page's steady count stands but for what the test adds, as the server's clock does: on a slow machine the page would else
        // run ahead.
        kitchen.Driver.ExecuteCdpCommand(
            "Page.addScriptToEvaluateOnNewDocument",
            new() { ["source"] = "window.shifted = 0; performance.now = () => 60_000 + window.shifted;" }
        );
        var k = kitchen;
        var hand = new StoveHand(k, server, id);
        k.Run(
            _ =>
            {
                k.Open($"/dinner/{id}");
                k.Press("To the stove");
                k.Until(d => d.Url.Contains("/stove/", StringComparison.Ordinal));
                hand.GoTo(hand.Due("soak"));
                hand.Tap("Done");
                hand.GoTo(hand.Due("drain"));
                hand.Tap("Done");
                hand.GoTo(hand.Due("light"));
                hand.Tap("Done");

                // Three leaves went in.
                k.Press("Tell what you see or add");
                k.Until(d => d.FindElements(By.CssSelector("option[value=leaf]")).Count > 0);
                k.Find(By.CssSelector("select[aria-label=What] option[value=leaf]")).Click();
                var pieces = k.Find(By.CssSelector("input[aria-label=Pieces]"));
                pieces.Clear();
                pieces.SendKeys("3");
                hand.Tap("It is in");

                // It boiled six minutes ago and nobody said so.
                hand.GoTo(hand.Due("boil").AddMinutes(6));
                k.Press("It did, earlier…");
                hand.Tap("6");
                Assert.Equal(
                    server.Now.AddMinutes(-6),
                    hand.Moment("boil").GetProperty("doneAt").GetDateTimeOffset(),
                    TimeSpan.FromMinutes(0.5)
                );

                // A state short of the one that was due: the rice and the table move.
                var due = hand.Moment("look").GetProperty("step").GetProperty("facts").GetProperty("felt").GetString();
                var join = hand.Due("join");
                var table = hand.Table();
                hand.GoTo(join);
                k.Press("By feel instead");
                hand.Tap(due == "nearly_a_speck" ? "chalky in the middle" : "a speck of chalk left");
                Assert.True(hand.Due("join") > join.AddMinutes(2), $"{hand.Due("join")} {join}");
                Assert.True(hand.Table() > table.AddMinutes(2));
                Assert.Contains("more: table about", k.Text("[data-changes]"), StringComparison.Ordinal);

                // The next look finds them so: none of five is chalky.
                hand.GoTo(hand.Due("look"));
                if (trouble)
                {
                    // Ten minutes without the network: the page goes on by itself.
                    hand.Offline(10);
                }

                hand.Tap("0", wait: !trouble);
                k.Until(_ => k.Text("h1").Contains("as they are wanted", StringComparison.Ordinal));
                hand.Tap("Done", wait: !trouble);
                if (trouble)
                {
                    // The kettle dies while it cannot be heard, is started anew, and the Wi-Fi comes back: all arrives once.
                    server.Kill();
                    server.Start();
                    hand.Online();
                }

                hand.GoTo(hand.Due("join"));
                var needed = hand.Moment("join").GetProperty("join");
                var found = Math.Round(needed.GetProperty("foundMillilitres").GetProperty("mid").GetDouble() - 60);
                k.Find(By.CssSelector("input[aria-label='Liquid in the pot, mL']")).SendKeys(found.ToString(CultureInfo.InvariantCulture));
                k.Until(d => d.FindElements(By.XPath("//strong[contains(.,'mL')]")).Count > 0);
                hand.Tap("The rice is in");

                k.Press("Tell what you see or add");
                hand.Tap("50 mL");
                hand.GoTo(hand.Due("seal"));
                hand.Tap("It boils");
                k.Until(d => d.FindElements(By.XPath("//button[normalize-space()='It has settled']")).Count > 0);
                hand.Tap("It has settled");
                if (trouble)
                {
                    server.Kill();
                    server.Start();
                    hand.Online();
                }

                hand.GoTo(hand.Due("heat_off"));
                hand.Tap("right");
                hand.Tap("0");
                k.Until(_ => k.Text("h1").Contains("Both are as they are wanted", StringComparison.Ordinal));
                hand.Tap("Done");
                hand.GoTo(hand.Due("table"));
                Assert.False(k.Find(By.XPath("//button[normalize-space()='On the table']")).Enabled);
                hand.Tap("All 3");
                k.Until(d => d.FindElement(By.XPath("//button[normalize-space()='On the table']")).Enabled);
                hand.Tap("On the table");
                k.Until(_ => k.Text("h1") == "On the table");
                hand.GoTo(server.Now.AddMinutes(35));
                hand.Tap("In the fridge");
                k.Until(_ => k.Text("h1") == "Chilled");
                if (trouble)
                {
                    // A server that is away makes the browser write failed requests to its console: expected, and nothing else.
                    Assert.All(k.Complaints(), c =>
                        Assert.True(
                            c.Contains("Failed to load resource", StringComparison.Ordinal) || c.Contains("ERR_", StringComparison.Ordinal),
                            c
                        )
                    );
                }
            },
            trouble ? "StoveWithTrouble" : "Stove"
        );
        return hand.Record();
    }

    private static Guid Keep(OwnProcess server)
    {
        var id = Guid.CreateVersion7();
        var dish = new
        {
            pulseId = "chickpea",
            pulse = new { value = 300, unit = "g" },
            riceId = "jasmine",
            rice = new { value = 300, unit = "g" },
            people = 4,
            soak = "overnight",
            style = "dry",
            vesselId = "blue-pot",
            burnerId = (string?)null,
            serveAtLocal = "2026-11-25T19:00",
            seed = 7,
        };
        var answer = server
            .Http.PostAsJsonAsync(
                $"/api/cooks/{id}",
                new
                {
                    eventId = Guid.CreateVersion7(),
                    occurredAt = Evening,
                    title = "Lantern chickpeas",
                    dish,
                    basedOn = (long?)null,
                },
                Cancel
            )
            .GetAwaiter()
            .GetResult();
        answer.EnsureSuccessStatusCode();
        return id;
    }
}

/// <summary>A cook's hand on the stove's page.</summary>
internal sealed class StoveHand(Kitchen k, OwnProcess server, Guid id) : StoveScene(server.Http, id)
{
    /// <summary>Moves the clock on and waits until the page has heard of it.</summary>
    public void GoTo(DateTimeOffset at)
    {
        // A moment later than due, since what is shown is rounded to the second.
        server.GoTo(at.AddSeconds(2));
        var shown = server.Now.ToString("HH:mm", CultureInfo.InvariantCulture);
        k.Until(d => d.FindElements(By.XPath($"//p[contains(.,'now') and contains(.,'{shown}')]")).Count > 0);
    }

    /// <summary>Presses a button, and waits until the server has stored what it says.</summary>
    public void Tap(string text, bool wait = true)
    {
        var before = wait ? Stored() : 0;
        k.PressFirstLine(text);
        if (wait)
        {
            k.Until(_ => Stored() > before);
            k.Until(d => d.FindElements(By.XPath("//*[contains(.,'to send') and contains(@class,'badge')]")).Count == 0);
        }
    }

    public void Offline(int minutes)
    {
        Network(k, offline: true);
        // Everyone's clock goes on: the server's by the test, the page's own by its steady count.
        server.GoTo(server.Now.AddMinutes(minutes));
        ((IJavaScriptExecutor)k.Driver).ExecuteScript($"window.shifted += {minutes * 60_000};");
        var shown = server.Now.ToString("HH:mm", CultureInfo.InvariantCulture);
        k.Until(d => d.FindElements(By.XPath($"//p[contains(.,'now') and contains(.,'{shown}')]")).Count > 0);
        k.Until(d => d.FindElements(By.XPath("//*[contains(.,'No connection')]")).Count > 0);
    }

    public void Online()
    {
        Network(k, offline: false);
        k.Until(d => d.FindElement(By.CssSelector("[data-live]")).GetAttribute("data-live") == "true");
        k.Until(d => d.FindElements(By.XPath("//*[contains(.,'to send') and contains(@class,'badge')]")).Count == 0);
    }

    /// <summary>The kinds of what was told, in its order, with the minutes by which it was told late.</summary>
    public string Record() =>
        string.Join(
            ", ",
            State()
                .GetProperty("told")
                .EnumerateArray()
                .Where(t => !t.GetProperty("undone").GetBoolean())
                .Select(t =>
                {
                    var entry = t.GetProperty("entry");
                    var late = t.GetProperty("recordedAt").GetDateTimeOffset() - entry.GetProperty("occurredAt").GetDateTimeOffset();
                    return entry.GetProperty("kind").GetString()
                        + (late.TotalMinutes > 1 ? $"-{Math.Round(late.TotalMinutes)}" : string.Empty);
                })
        );

    private int Stored() => State().GetProperty("told").GetArrayLength();

    internal static void Network(Kitchen k, bool offline) =>
        k.Driver.ExecuteCdpCommand(
            "Network.emulateNetworkConditions",
            new()
            {
                ["offline"] = offline,
                ["latency"] = 0,
                ["downloadThroughput"] = -1,
                ["uploadThroughput"] = -1,
            }
        );
}
