namespace BrightKettle.Reliability;

/// <summary>What one kind of trying came to.</summary>
/// <param name="Section">Where it stands in docs/reliability.md.</param>
/// <param name="Table">Markdown.</param>
/// <param name="Line">For whoever waits for it.</param>
internal sealed record Outcome(string Section, string Table, string Line, bool Good);

/// <summary>The document, whose tables are written by the program and whose sentences are written by hand.</summary>
internal static class ReportFile
{
    /// <summary>Replaces what stands between the marks of a section.</summary>
    public static async Task WriteAsync(string file, Outcome outcome)
    {
        var (from, to) = ($"<!-- {outcome.Section} -->", $"<!-- /{outcome.Section} -->");
        var text = await File.ReadAllTextAsync(file);
        var start = text.IndexOf(from, StringComparison.Ordinal);
        var end = text.IndexOf(to, StringComparison.Ordinal);
        if (start < 0 || end < start)
        {
            throw new InvalidOperationException($"{file} has no section {outcome.Section}.");
        }

        await File.WriteAllTextAsync(file, $"{text[..(start + from.Length)]}\n{outcome.Table}\n{text[end..]}");
    }
}
