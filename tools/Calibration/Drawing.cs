using System.Globalization;
using System.Security;
using System.Text;

namespace BrightKettle.Calibration;

/// <summary>The residuals as a picture: one row a pulse, one strip a column, a dot for the model on the cell's own range.</summary>
internal static class Drawing
{
    private const int Row = 15;
    private const int Left = 250;
    private const int Strip = 165;
    private const int Top = 46;

    /// <summary>States on the way have seven cells a pulse, and a table of their own.</summary>
    private static readonly Column[] Drawn = [.. Cells.Columns.Where(c => c < Column.WaySoaked)];

    public static string Write(IReadOnlyList<Cell> cells)
    {
        var pulses = cells.Select(c => c.Pulse.Name).Distinct().ToList();
        var (width, height) = (Left + (Strip * Drawn.Length) + 10, Top + (Row * pulses.Count) + 24);
        var svg = new StringBuilder();
        svg.AppendLine(
            CultureInfo.InvariantCulture,
            $"""<svg xmlns="http://www.w3.org/2000/svg" width="{width}" height="{height}" font-family="sans-serif" font-size="11">"""
        );
        svg.AppendLine(
            CultureInfo.InvariantCulture,
            $"""<rect width="{width}" height="{height}" fill="#fffef9"/><text x="8" y="18" font-size="13">Model against the printed ranges: grey is the range with 5 % granted, the dot the model, on a logarithmic line</text>"""
        );
        for (var k = 0; k < Drawn.Length; k++)
        {
            svg.AppendLine(
                CultureInfo.InvariantCulture,
                $"""<text x="{Left + (k * Strip) + (Strip / 2)}" y="38" text-anchor="middle">{Report.Name(Drawn[k])}</text>"""
            );
        }

        for (var row = 0; row < pulses.Count; row++)
        {
            var y = Top + (row * Row) + 11;
            svg.AppendLine(
                CultureInfo.InvariantCulture,
                $"""<text x="{Left - 8}" y="{y}" text-anchor="end">{SecurityElement.Escape(pulses[row])}</text>"""
            );
            foreach (var c in cells.Where(c => c.Pulse.Name == pulses[row] && Drawn.Contains(c.Column)))
            {
                var middle = Left + (Array.IndexOf(Drawn, c.Column) * Strip) + (Strip / 2);
                var x = middle + (Math.Clamp(c.Miss, -2, 2) * 30);
                svg.AppendLine(
                    CultureInfo.InvariantCulture,
                    $"""<rect x="{middle - 30}" y="{y - 9}" width="60" height="10" fill="#e4dfd0"/><circle cx="{x:0.0}" cy="{y - 4}" r="4" fill="{(c.Inside ? "#21357a" : "#a02c2c")}"/>"""
                );
            }
        }

        return svg.AppendLine("</svg>").ToString();
    }
}
