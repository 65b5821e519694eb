using System.Diagnostics;
using System.Net;
using System.Net.Http.Json;
using System.Net.Sockets;

namespace BrightKettle.Durability;

/// <summary>The published server on a folder of its own, by a clock that stands; killed with signal 9 as often as is wanted.</summary>
internal sealed class KilledServer(string app, string data, DateTimeOffset now) : IDisposable
{
    private static readonly TimeSpan LongestStart = TimeSpan.FromSeconds(60);

    private readonly int _port = FreePort();
    private Process? _process;

    public HttpClient Http { get; } = new() { Timeout = TimeSpan.FromSeconds(20) };

    public Uri At(string path) => new($"http://127.0.0.1:{_port}{path}");

    /// <summary>Starts it and waits until it answers.</summary>
    /// <exception cref="InvalidOperationException">It did not start within a minute.</exception>
    public async Task StartAsync()
    {
        _process = Process.Start(new ProcessStartInfo("dotnet")
        {
            WorkingDirectory = app,
            RedirectStandardOutput = true,
            RedirectStandardError = true,
            // What is tested here does not depend on how well the code is compiled; a quick start lets more kills into the time.
            Environment = { ["DOTNET_TieredCompilation"] = "1", ["DOTNET_TieredPGO"] = "0" },
            ArgumentList = { "BrightKettle.Server.dll", "--urls", $"http://127.0.0.1:{_port}", $"--Kettle:Data={data}", "--Kettle:Demo=true", "--Kettle:WarmUp=false", $"--Kettle:Clock={now:O}" },
        })!;
        _process.BeginOutputReadLine();
        _process.BeginErrorReadLine();
        var waited = Stopwatch.StartNew();
        while (true)
        {
            try
            {
                (await Http.GetAsync(At("/api/kitchen"))).EnsureSuccessStatusCode();
                return;
            }
            catch (HttpRequestException) when (waited.Elapsed < LongestStart && !_process.HasExited)
            {
                await Task.Delay(30);
            }
            catch (HttpRequestException)
            {
                throw new InvalidOperationException("The server does not start.");
            }
        }
    }

    public void Kill()
    {
        _process!.Kill();
        _process.WaitForExit();
        _process.Dispose();
    }

    public void Dispose()
    {
        if (_process is { } left)
        {
            try
            {
                left.Kill();
            }
            catch (InvalidOperationException)
            {
                // It was killed before: nothing is left to end.
            }
        }

        Http.Dispose();
    }

    private static int FreePort()
    {
        using var listener = new TcpListener(IPAddress.Loopback, 0);
        listener.Start();
        return ((IPEndPoint)listener.LocalEndpoint).Port;
    }
}
