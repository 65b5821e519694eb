using System.Diagnostics;
using System.Globalization;
using System.Net;
using System.Net.Sockets;

namespace BrightKettle.Reliability;

/// <summary>The published server on a folder of its own, by a clock that stands; ended as often and as hard as is wanted.</summary>
internal sealed class OwnServer(string app, string data, DateTimeOffset now) : IDisposable
{
    private static readonly TimeSpan LongestStart = TimeSpan.FromSeconds(60);

    private readonly int _port = FreePort();
    private readonly System.Text.StringBuilder _said = new();
    private Process? _process;

    public HttpClient Http { get; } = new() { Timeout = TimeSpan.FromSeconds(20) };

    public Uri At(string path) => new($"http://127.0.0.1:{_port}{path}");

    /// <summary>What it has said on both its outputs since it was started.</summary>
    public string Said
    {
        get
        {
            lock (_said)
            {
                return _said.ToString();
            }
        }
    }

    public int ProcessId => _process!.Id;

    /// <summary>Starts it without waiting for anything.</summary>
    /// <param name="before">A command that runs it, such as one that takes rights away; nothing for none.</param>
    public void Launch(params string[] before)
    {
        string[] line =
        [
            .. before,
            "dotnet",
            "BrightKettle.Server.dll",
            "--urls",
            $"http://127.0.0.1:{_port}",
            $"--Kettle:Data={data}",
            "--Kettle:Demo=true",
            "--Kettle:WarmUp=false",
            $"--Kettle:Clock={now:O}",
        ];
        var start = new ProcessStartInfo(line[0])
        {
            WorkingDirectory = app,
            RedirectStandardOutput = true,
            RedirectStandardError = true,
        };
        foreach (var word in line[1..])
        {
            start.ArgumentList.Add(word);
        }

        lock (_said)
        {
            _said.Clear();
        }

        _process = Process.Start(start)!;
        _process.OutputDataReceived += (_, e) => Hear(e.Data);
        _process.ErrorDataReceived += (_, e) => Hear(e.Data);
        _process.BeginOutputReadLine();
        _process.BeginErrorReadLine();
    }

    private void Hear(string? line)
    {
        lock (_said)
        {
            if (line is not null && _said.Length < 20_000)
            {
                _said.AppendLine(line);
            }
        }
    }

    /// <summary>Starts it and waits until it answers.</summary>
    /// <exception cref="InvalidOperationException">It did not start within a minute.</exception>
    public async Task StartAsync()
    {
        Launch();
        var waited = Stopwatch.StartNew();
        while (true)
        {
            try
            {
                (await Http.GetAsync(At("/api/kitchen"))).EnsureSuccessStatusCode();
                return;
            }
            catch (HttpRequestException) when (waited.Elapsed < LongestStart && !_process!.HasExited)
            {
                await Task.Delay(20);
            }
            catch (HttpRequestException)
            {
                throw new InvalidOperationException($"The server does not start. It said: {Said}");
            }
        }
    }

    /// <summary>Signal 9, as a power cut would.</summary>
    public void Kill()
    {
        _process!.Kill();
        _process.WaitForExit();
        _process.Dispose();
    }

    /// <summary>Asks it to end, as Ctrl+C and a shutdown do.</summary>
    /// <returns>Its exit code, or null when it did not end in time.</returns>
    public int? Stop(string signal, TimeSpan within)
    {
        using var kill = Process.Start("kill", [$"-{signal}", _process!.Id.ToString(CultureInfo.InvariantCulture)]);
        kill.WaitForExit();
        return End(within);
    }

    /// <summary>Waits for it to end by itself.</summary>
    /// <returns>Its exit code, or null when it did not end in time, and was killed.</returns>
    public int? End(TimeSpan within)
    {
        if (!_process!.WaitForExit(within))
        {
            Kill();
            return null;
        }

        _process.WaitForExit();
        var code = _process.ExitCode;
        _process.Dispose();
        return code;
    }

    /// <summary>Memory now and at its highest, MB, as the system counts it.</summary>
    public (double Now, double Most) Memory()
    {
        var lines = File.ReadAllLines($"/proc/{_process!.Id}/status");
        double Of(string name) =>
            double.Parse(
                lines
                    .First(l => l.StartsWith(name, StringComparison.Ordinal))
                    .Split(':')[1]
                    .Replace("kB", string.Empty, StringComparison.Ordinal),
                CultureInfo.InvariantCulture
            ) / 1024;
        return (Of("VmRSS"), Of("VmHWM"));
    }

    /// <summary>Processor time that it has taken so far.</summary>
    public TimeSpan Worked => _process!.TotalProcessorTime;

    public void Dispose()
    {
        try
        {
            _process?.Kill();
        }
        catch (InvalidOperationException)
        {
            // It was ended before: nothing is left to end.
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
