using System.Diagnostics;
using System.Net;
using System.Net.Http.Json;
using System.Net.Sockets;

namespace BrightKettle.Browser.Tests;

/// <summary>The published server in a process of its own, by a simulated clock: it can be killed and started anew on the same data and
/// port.</summary>
public sealed class OwnProcess : IDisposable
{
    private readonly string _data = Path.Combine(Path.GetTempPath(), $"kettle-process-data-{Guid.NewGuid():n}");
    private readonly int _port = FreePort();
    private Process? _process;

    /// <param name="lan">Whether phones are let in.</param>
    public OwnProcess(DateTimeOffset now, bool lan = false)
    {
        LanPort = lan ? FreePort() : 0;
        Now = now;
        Http = new HttpClient { BaseAddress = new Uri(Address) };
        Start();
    }

    public string Address => $"http://127.0.0.1:{_port}";

    /// <summary>Where phones are let in; 0 when they are not.</summary>
    public int LanPort { get; }

    public HttpClient Http { get; }

    public DateTimeOffset Now { get; private set; }

    /// <summary>Signal 9, as a power cut would: nothing is written any more.</summary>
    public void Kill()
    {
        _process!.Kill();
        _process.WaitForExit();
    }

    public void Start()
    {
        var app = Path.Combine(Kitchen.Root, "artifacts", "app");
        _process = Process.Start(
            new ProcessStartInfo("dotnet")
            {
                WorkingDirectory = app,
                RedirectStandardOutput = true,
                RedirectStandardError = true,
                ArgumentList =
                {
                    "BrightKettle.Server.dll",
                    "--urls",
                    Address,
                    $"--Kettle:Data={_data}",
                    "--Kettle:Demo=true",
                    $"--Kettle:LanPort={LanPort}",
                    $"--Kettle:Clock={Now:O}",
                },
            }
        )!;
        _process.OutputDataReceived += (_, _) => { };
        _process.ErrorDataReceived += (_, _) => { };
        _process.BeginOutputReadLine();
        _process.BeginErrorReadLine();
        var waited = Stopwatch.StartNew();
        while (!Answers())
        {
            if (_process.HasExited || waited.Elapsed > TimeSpan.FromMinutes(5))
            {
                throw new InvalidOperationException("The server did not start.");
            }

            _process.WaitForExit(50);
        }
    }

    /// <summary>Moves the simulated clock on.</summary>
    public void GoTo(DateTimeOffset now)
    {
        Now = now;
        Http.PutAsJsonAsync("/api/clock", new { now }).GetAwaiter().GetResult().EnsureSuccessStatusCode();
    }

    public void Dispose()
    {
        if (_process is { HasExited: false })
        {
            Kill();
        }

        _process?.Dispose();
        Http.Dispose();
        if (Directory.Exists(_data))
        {
            Directory.Delete(_data, recursive: true);
        }
    }

    private bool Answers()
    {
        try
        {
            return Http.GetAsync("/api/kitchen").GetAwaiter().GetResult().IsSuccessStatusCode;
        }
        catch (HttpRequestException)
        {
            return false;
        }
    }

    private static int FreePort()
    {
        using var listener = new TcpListener(IPAddress.Loopback, 0);
        listener.Start();
        return ((IPEndPoint)listener.LocalEndpoint).Port;
    }
}
