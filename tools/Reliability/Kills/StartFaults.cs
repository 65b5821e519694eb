using System.Diagnostics;
using System.Globalization;
using System.Security.Cryptography;

namespace BrightKettle.Reliability.Kills;

/// <summary>Starts the server on folders that something is wrong with, a full disk and a stranger's folder among them, and notes what it
/// says.</summary>
internal static class StartFaults
{
    private static readonly TimeSpan Within = TimeSpan.FromSeconds(30);

    public static async Task<Outcome> RunAsync(string app)
    {
        var now = new DateTimeOffset(2026, 11, 24, 18, 0, 0, TimeSpan.Zero);
        var root = Directory.CreateTempSubdirectory("kettle-faults").FullName;
        var sound = Path.Combine(root, "sound");
        using (var first = new OwnServer(app, sound, now))
        {
            await first.StartAsync();
            first.Stop("TERM", Within);
        }

        var lines = new List<string> { "| the folder | exit code | what is said | anything changed |", "|---|---|---|---|" };
        var good = true;
        void Try(string name, Action<string> spoil, string expected, params string[] before)
        {
            var folder = Path.Combine(root, Guid.NewGuid().ToString("n"));
            Copy(sound, folder);
            spoil(folder);
            var was = Hashes(folder);
            using var server = new OwnServer(app, folder, now);
            server.Launch(before);
            var code = server.End(Within);
            var said = server
                .Said.Split('\n')
                .FirstOrDefault(l => l.StartsWith("Bright Kettle:", StringComparison.Ordinal))
                ?.Trim()
                .Replace(root, "…", StringComparison.Ordinal)
                ?? "nothing";
            var changed = !was.SequenceEqual(Hashes(folder));
            good &= code == 1 && said.Contains(expected, StringComparison.Ordinal) && !changed;
            lines.Add(string.Create(CultureInfo.InvariantCulture, $"| {name} | {code} | {said} | {(changed ? "yes" : "no")} |"));
        }

        string Db(string folder) => Path.Combine(folder, "kettle.db");
        Try("cut off in the middle", f => Cut(Db(f)), "damaged");
        Try("a page overwritten", f => Overwrite(Db(f)), "damaged");
        Try(
            "not a database",
            f => File.WriteAllText(Db(f), "chickpeas, rice, onions, salt and a long list of other things"),
            "not a database"
        );
        Try("may only be read", f => File.SetUnixFileMode(Db(f), UnixFileMode.UserRead), "may not be written");
        if (OnTinyDisk(root) is { } disk)
        {
            using var server = new OwnServer(app, Path.Combine(disk, "data"), now);
            server.Launch();
            var code = server.End(Within);
            var said = server
                .Said.Split('\n')
                .FirstOrDefault(l => l.StartsWith("Bright Kettle:", StringComparison.Ordinal))
                ?.Trim()
                .Replace(root, "…", StringComparison.Ordinal)
                ?? "nothing";
            good &= code == 1 && said.Contains("is full", StringComparison.Ordinal);
            lines.Add(string.Create(CultureInfo.InvariantCulture, $"| on a disk of 100 KB | {code} | {said} | |"));
            Run("umount", disk);
        }
        else
        {
            lines.Add("| on a full disk | | not tried: no small disk can be mounted here | |");
        }

        if (Run("setpriv", "--reuid=65534", "--clear-groups", "dotnet", "--version") == 0)
        {
            Try(
                "another user's",
                f => File.SetUnixFileMode(f, UnixFileMode.UserRead | UnixFileMode.UserWrite | UnixFileMode.UserExecute),
                "may not be written",
                "setpriv",
                "--reuid=65534",
                "--clear-groups"
            );
        }
        else
        {
            lines.Add("| another user's | | not tried: nobody else can be become here | |");
        }

        using (var holder = new OwnServer(app, sound, now))
        {
            await holder.StartAsync();
            using var second = new OwnServer(app, sound, now);
            second.Launch();
            var code = second.End(Within);
            var said = second.Said.Trim().Replace(root, "…", StringComparison.Ordinal);
            good &= code == 1 && said.Contains($"(process {holder.ProcessId})", StringComparison.Ordinal);
            lines.Add(
                string.Create(
                    CultureInfo.InvariantCulture,
                    $"| used by another kettle | {code} | {said.Replace($"{holder.ProcessId}", "its number", StringComparison.Ordinal)} | no |"
                )
            );
            holder.Kill();
        }

        Directory.Delete(root, recursive: true);
        return new Outcome(
            "faults",
            string.Join('\n', lines),
            $"{lines.Count - 2} folders tried, {(good ? "all" : "NOT all")} said and left as they were",
            good
        );
    }

    private static void Copy(string from, string to)
    {
        Directory.CreateDirectory(to);
        foreach (var file in Directory.GetFiles(from).Where(f => Path.GetExtension(f) is not (".lock" or ".pid")))
        {
            File.Copy(file, Path.Combine(to, Path.GetFileName(file)));
        }
    }

    private static void Cut(string file)
    {
        using var stream = File.OpenWrite(file);
        stream.SetLength(stream.Length / 2);
    }

    private static void Overwrite(string file)
    {
        using var stream = File.OpenWrite(file);
        stream.Position = 4096;
        stream.Write(RandomNumberGenerator.GetBytes(4096));
    }

    private static List<string> Hashes(string folder) =>
        [
            .. Directory
                .GetFiles(folder)
                .Where(f => Path.GetExtension(f) is not (".lock" or ".pid"))
                .Order(StringComparer.Ordinal)
                .Select(f => f + Convert.ToHexString(SHA256.HashData(File.ReadAllBytes(f)))),
        ];

    /// <summary>A disk in memory that the first tables already fill; null where none may be mounted.</summary>
    private static string? OnTinyDisk(string root)
    {
        var disk = Path.Combine(root, "disk");
        Directory.CreateDirectory(disk);
        return Run("mount", "-t", "tmpfs", "-o", "size=100k", "tmpfs", disk) == 0 ? disk : null;
    }

    private static int Run(string program, params string[] words)
    {
        try
        {
            using var process = Process.Start(
                new ProcessStartInfo(program, words) { RedirectStandardError = true, RedirectStandardOutput = true }
            )!;
            process.WaitForExit();
            return process.ExitCode;
        }
        catch (System.ComponentModel.Win32Exception)
        {
            // No such program here: as if it had refused.
            return -1;
        }
    }
}
