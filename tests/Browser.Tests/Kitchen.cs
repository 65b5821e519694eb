using BrightKettle.Server;
using BrightKettle.Server.Hosting;
using BrightKettle.Server.Work;
using Microsoft.AspNetCore.Hosting;
using Microsoft.AspNetCore.Mvc.Testing;
using Microsoft.Extensions.DependencyInjection;
using Microsoft.Extensions.Time.Testing;
using OpenQA.Selenium;
using OpenQA.Selenium.Chrome;
using OpenQA.Selenium.Support.UI;
using Xunit;

namespace BrightKettle.Browser.Tests;

/// <summary>The real server with the demo household on a free port and a clock that stands, and one headless Chromium that looks at
/// it.</summary>
/// <remarks>Everything the browser asks for is watched: a request to another host fails the test.</remarks>
public sealed class Kitchen : IDisposable
{
    private readonly Server? _server;
    private readonly string _profile = Path.Combine(Path.GetTempPath(), $"kettle-browser-{Guid.NewGuid():n}");

    /// <param name="address">Of a server that runs by itself; null to start one in here.</param>
    /// <param name="fresh">A household that nobody has set up, instead of the demo's.</param>
    public Kitchen(int width = 1280, int height = 800, string? address = null, bool fresh = false)
    {
        if (address is null)
        {
            _server = new(!fresh);
            _server.UseKestrel(0);
            _server.StartServer();
        }

        Address = address ?? _server!.ClientOptions.BaseAddress.ToString().TrimEnd('/');
        var options = new ChromeOptions { BinaryLocation = Find("chromium") };
        options.AddArguments(
            "--headless=new",
            "--no-sandbox",
            "--disable-gpu",
            "--disable-quic",
            "--no-first-run",
            "--hide-scrollbars",
            "--disable-background-networking",
            "--disable-component-update",
            "--disable-sync",
            "--lang=en-GB",
            $"--user-data-dir={_profile}"
        );
        options.SetLoggingPreference(LogType.Browser, LogLevel.All);
        options.SetLoggingPreference("performance", LogLevel.All);
        Driver = new ChromeDriver(
            ChromeDriverService.CreateDefaultService(Path.GetDirectoryName(Find("chromedriver")), "chromedriver"),
            options
        );
        Resize(width, height);
    }

    public string Address { get; }

    public ChromeDriver Driver { get; }

    public FakeTimeProvider Clock => _server!.Clock;

    /// <summary>Cooks what the demo's household cooked in the two months before.</summary>
    public void WithPast() => _server!.Services.GetRequiredService<DemoPast>().CookAsync(CancellationToken.None).GetAwaiter().GetResult();

    /// <summary>Asks the server past the browser.</summary>
    public HttpClient Http => new() { BaseAddress = new Uri(Address) };

    /// <summary>The page's own size, not the window's.</summary>
    public void Resize(int width, int height, bool touch = false) =>
        Driver.ExecuteCdpCommand(
            "Emulation.setDeviceMetricsOverride",
            new()
            {
                ["width"] = width,
                ["height"] = height,
                ["deviceScaleFactor"] = 1,
                ["mobile"] = touch,
            }
        );

    public void Open(string path)
    {
        Driver.Navigate().GoToUrl(Address + path);
        Until(d => d.FindElements(By.CssSelector("h1, [role=alert] h2")).Count > 0);
        Settle();
    }

    /// <summary>The first that is there, now or as soon as one is; whatever is asked of it is asked of the one that is there by
    /// then.</summary>
    public LiveElement Find(By by)
    {
        Until(d => d.FindElements(by).Count > 0);
        return new(this, by);
    }

    /// <summary>The text of what is there by now; never of an element that was found before.</summary>
    public string Text(string css) => Until(d => d.FindElements(By.CssSelector(css)) is [var first, ..] ? first.Text : null)!;

    /// <summary>Does something to an element; when the page replaces it, moves it or lays something over it meanwhile, finds it
    /// anew.</summary>
    public void Do(By by, Action<IWebElement> what) =>
        Until(d =>
        {
            if (d.FindElements(by) is not [var first, ..])
            {
                return false;
            }

            what(first);
            return true;
        });

    /// <summary>How long a condition may take on a machine under load; no test waits for so long, it only fails then.</summary>
    private static readonly TimeSpan Patience = TimeSpan.FromSeconds(180);

    /// <summary>Waits for a condition, polled by the driver; fails after <see cref="Patience"/> with what was waited for.</summary>
    public T Until<T>(
        Func<IWebDriver, T> condition,
        [System.Runtime.CompilerServices.CallerArgumentExpression(nameof(condition))] string what = ""
    )
    {
        var wait = new WebDriverWait(Driver, Patience) { PollingInterval = TimeSpan.FromMilliseconds(40), Message = what };
        wait.IgnoreExceptionTypes(
            typeof(StaleElementReferenceException),
            typeof(ElementClickInterceptedException),
            typeof(ElementNotInteractableException),
            typeof(NoSuchElementException)
        );
        return wait.Until(condition);
    }

    /// <summary>Until no plan is being asked for.</summary>
    public void Settle() => Until(d => d.FindElements(By.CssSelector("[aria-busy=true]")).Count == 0);

    public void Press(string text) => Do(By.XPath($"//button[normalize-space()='{text}']"), b => b.Click());

    /// <summary>Presses the button whose text, or its first line, is this. Found in one step within the page: asked button by button, a
    /// slow machine never finished before the page had moved on.</summary>
    /// <param name="begins">It is enough that the text begins so.</param>
    public void PressFirstLine(string text, bool begins = false) =>
        Until(_ =>
        {
            var found = Driver.ExecuteScript(
                """
                return [...document.querySelectorAll('main button')].find(
                  (b) => b.offsetParent && !b.disabled && (b.innerText.trim() === arguments[0] || b.innerText.trim().split('\n')[0] === arguments[0] || (arguments[1] && b.innerText.trim().startsWith(arguments[0])))) ?? null;
                """,
                text,
                begins
            );
            if (found is not IWebElement button)
            {
                return false;
            }

            button.Click();
            return true;
        });

    /// <summary>Unfolds all ways, those that do not work too, once they are all tried.</summary>
    public void AllWays()
    {
        Do(By.CssSelector("[data-all-ways][aria-expanded=false]"), b => b.Click());
        Until(d => d.FindElements(By.CssSelector(".ways[data-asking=false]")).Count == 1);
        Until(d => d.FindElements(By.XPath("//*[contains(text(),'Cook double, freeze half')]")).Count > 0);
    }

    /// <summary>Chooses a way by its whole name, as it stands in its row.</summary>
    public void Way(string name) => Do(By.XPath($"//label[contains(@class,'way')][span[.='{name}']]"), l => l.Click());

    /// <summary>On a phone the dish is a sheet over its answer.</summary>
    public void OpenDish()
    {
        Press("Change the dish");
        Until(d => d.FindElements(By.CssSelector("dialog[open]")).Count == 1);
    }

    public void ChooseLabel(string text) => Do(By.XPath($"//label[normalize-space()='{text}']"), l => l.Click());

    public void Select(string id, string value)
    {
        Do(By.CssSelector($"#{id} option[value='{value}']"), o => o.Click());
        Settle();
    }

    public void Select(string id, int option)
    {
        Do(By.CssSelector($"#{id} option:nth-child({option + 1})"), o => o.Click());
        Settle();
    }

    /// <summary>Types into a picker of names and takes the first that is found, at the speed at which the driver types.</summary>
    public void Pick(string id, string typed, string expected)
    {
        Do(By.Id(id), input => input.Click());
        Do(By.Id(id), input => input.SendKeys(Keys.Control + "a"));
        Do(By.Id(id), input => input.SendKeys(typed));
        Until(d =>
            d.FindElements(By.CssSelector($"#{id}-0")) is [var first, ..] && first.Text.Contains(expected, StringComparison.Ordinal)
        );
        Do(By.Id(id), input => input.SendKeys(Keys.Enter));
        Settle();
    }

    /// <summary>Every host that the browser has asked since this was last called.</summary>
    public IReadOnlyList<string> HostsAsked()
    {
        var hosts = new SortedSet<string>();
        foreach (var entry in Driver.Manage().Logs.GetLog("performance"))
        {
            var message = System.Text.Json.JsonDocument.Parse(entry.Message).RootElement.GetProperty("message");
            if (message.GetProperty("method").GetString() == "Network.requestWillBeSent")
            {
                var uri = new Uri(message.GetProperty("params").GetProperty("request").GetProperty("url").GetString()!);
                if (uri.Scheme is "http" or "https" or "ws" or "wss")
                {
                    hosts.Add(uri.Authority);
                }
            }
        }

        return [.. hosts];
    }

    /// <summary>What the browser complained about.</summary>
    public IReadOnlyList<string> Complaints() =>
        [.. Driver.Manage().Logs.GetLog(LogType.Browser).Where(l => l.Level >= LogLevel.Warning).Select(l => l.Message)];

    public void Picture(string file)
    {
        Directory.CreateDirectory(Path.GetDirectoryName(file)!);
        Driver.GetScreenshot().SaveAsFile(file);
    }

    /// <summary>Runs a test; when it fails, its picture and log stay in the artifacts.</summary>
    public void Run(Action<Kitchen> test, [System.Runtime.CompilerServices.CallerMemberName] string name = "")
    {
        try
        {
            test(this);
        }
        catch
        {
            var folder = Path.Combine(Root, "artifacts", "browser-failures");
            Picture(Path.Combine(folder, $"{name}.png"));
            File.WriteAllLines(Path.Combine(folder, $"{name}.log"), Complaints());
            throw;
        }

        var complaints = Complaints();
        Assert.True(complaints.Count == 0, string.Join(Environment.NewLine, complaints));
        Assert.All(HostsAsked(), host => Assert.Equal(new Uri(Address).Authority, host));
    }

    public static string Root =>
        typeof(Kitchen)
            .Assembly.GetCustomAttributes(typeof(System.Reflection.AssemblyMetadataAttribute), false)
            .Cast<System.Reflection.AssemblyMetadataAttribute>()
            .Single(a => a.Key == "Root")
            .Value!;

    public void Dispose()
    {
        Driver.Quit();
        Driver.Dispose();
        _server?.Dispose();
        Directory.Delete(_profile, recursive: true);
    }

    private static string Find(string program) =>
        (Environment.GetEnvironmentVariable("PATH") ?? string.Empty)
            .Split(':')
            .Select(folder => Path.Combine(folder, program))
            .FirstOrDefault(File.Exists)
        ?? throw new InvalidOperationException($"{program} is not on this machine; ./kettle test says what to install.");

    private sealed class Server(bool demo) : WebApplicationFactory<Program>
    {
        private readonly string _data = Path.Combine(Path.GetTempPath(), $"kettle-browser-data-{Guid.NewGuid():n}");

        /// <summary>24 November 2026, 18:00 in the demo's kitchen.</summary>
        public FakeTimeProvider Clock { get; } = new(new DateTimeOffset(2026, 11, 24, 18, 0, 0, TimeSpan.Zero));

        protected override void ConfigureWebHost(IWebHostBuilder builder)
        {
            builder.UseEnvironment("Production");
            // The page as it was published: what a cook gets.
            builder.UseContentRoot(Path.Combine(Root, "artifacts", "app"));
            builder.UseWebRoot(Path.Combine(Root, "artifacts", "app", "wwwroot"));
            builder.UseSetting(
                "staticAssets",
                Path.Combine(Root, "artifacts", "app", "BrightKettle.Server.staticwebassets.endpoints.json")
            );
            builder.UseSetting("Kettle:Data", _data);
            builder.UseSetting("Kettle:Demo", demo ? "true" : "false");
            builder.ConfigureServices(services =>
            {
                services.AddSingleton<TimeProvider>(Clock);
                // A machine under load is slow, and no answer of a test should be called off for that.
                services.AddSingleton(new WorkLimits { Longest = TimeSpan.FromMinutes(10) });
            });
        }

        protected override void Dispose(bool disposing)
        {
            base.Dispose(disposing);
            if (disposing && Directory.Exists(_data))
            {
                Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
                Directory.Delete(_data, recursive: true);
            }
        }
    }
}
