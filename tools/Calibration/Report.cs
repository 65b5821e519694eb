using System.Globalization;
using System.Text;
using BrightKettle.Core.Catalogue;

namespace BrightKettle.Calibration;

/// <summary>The fit in words and in a drawing: each cell as a dot on its own range.</summary>
internal static class Report
{
    public static string Write(IReadOnlyList<(string Name, string Column, Span Range, double Minutes)> cells)
    {
        var text = new StringBuilder("""
            # How the model meets the simmer tables

            Written by `./kettle calibrate`; do not edit. Two figures per pulse (softening time and hydration rate at 98 °C)
            are fitted to the geometric middle of its soaked and unsoaked simmer ranges; all other figures are shared
            (`docs/model.md`). The conditions stand in `tools/Calibration/Conditions.cs`. Two figures meet two cells, so this
            shows that the equations can hold the tables, not that they predict them; pressure and slow-cooker columns are not
            modelled yet.


            """);
        foreach (var column in cells.GroupBy(c => c.Column))
        {
            text.AppendLine(CultureInfo.InvariantCulture, $"- simmer, {column.Key}: {column.Count(c => c.Range.Contains(c.Minutes, 0.05))} of {column.Count()} cells inside the range ± 5 %");
        }

        text.AppendLine().AppendLine("`|` ends of the table's range, `o` the model, on a logarithmic line.").AppendLine().AppendLine("```text");
        foreach (var cell in cells)
        {
            var line = new string('-', 31).ToCharArray();
            var share = Math.Log(cell.Minutes / cell.Range.Low) / Math.Log(cell.Range.High / cell.Range.Low);
            line[5] = line[25] = '|';
            line[Math.Clamp(5 + (int)Math.Round(20 * share), 0, 30)] = 'o';
            text.AppendLine(CultureInfo.InvariantCulture, $"{cell.Name,-44} {cell.Column,-8} {new string(line)} {cell.Minutes,6:0.0} min in {cell.Range.Low:0} to {cell.Range.High:0}");
        }

        return text.AppendLine("```").ToString();
    }
}
