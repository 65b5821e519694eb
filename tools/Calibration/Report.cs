using System.Globalization;
using System.Text;
using BrightKettle.Core.Catalogue;

namespace BrightKettle.Calibration;

/// <summary>The fit in words.</summary>
internal static class Report
{
    public static string Write(ModelConstants constants, IReadOnlyList<Cell> cells, IReadOnlyList<Cell> leftOut)
    {
        var text = new StringBuilder(
            """
            # How the model meets the tables of times

            Written by `./kettle calibrate`; do not edit. Two figures a pulse (softening time and hydration rate at 98 °C) are
            fitted under a few that all pulses share, by simplex searches of MathNet.Numerics on the simulator itself. What each
            cell means (soak, start, clock, release, fill) stands in `tools/Calibration/conditions.json` and `Conditions.cs`; the
            fit runs beneath the gates, and no cell is treated apart. Inside means within the printed range, 5 % granted at both
            ends. "Left out" fits each pulse on five columns and forecasts the sixth; the shared figures have seen it all the same.

            ![Each cell against its own range](calibration.svg)


            """
        );
        text.AppendLine("| column | inside | inside when left out | median error when left out |");
        text.AppendLine("|---|---|---|---|");
        foreach (var column in Cells.Columns)
        {
            var own = cells.Where(c => c.Column == column).ToList();
            var out1 = leftOut.Where(c => c.Column == column).ToList();
            var errors = out1.Where(c => !double.IsNaN(c.Minutes))
                .Select(c => Math.Abs(Math.Log(Math.Max(0.05, c.Minutes) / c.Range.Middle)))
                .Order()
                .ToList();
            text.AppendLine(
                CultureInfo.InvariantCulture,
                $"| {Name(column)} | {own.Count(c => c.Inside)} of {own.Count} ({100.0 * own.Count(c => c.Inside) / own.Count:0} %) | {out1.Count(c => c.Inside)} of {out1.Count} | ×{Math.Exp(errors[errors.Count / 2]):0.00} |"
            );
        }

        text.AppendLine(
            CultureInfo.InvariantCulture,
            $"| **all** | **{cells.Count(c => c.Inside)} of {cells.Count} ({100.0 * cells.Count(c => c.Inside) / cells.Count:0.0} %)** | {leftOut.Count(c => c.Inside)} of {leftOut.Count} | |"
        );
        text.AppendLine().AppendLine("Shared figures as fitted:").AppendLine();
        foreach (var id in Fit.Shared.Append("hydration_gate_power").Append("hydration_share_of_doneness"))
        {
            var e = constants.Effect(id);
            text.AppendLine(
                CultureInfo.InvariantCulture,
                $"- `{id}` {e.Typical:0.##} {e.Unit} (searched between {e.Low:0.##} and {e.High:0.##})"
            );
        }

        var misses = cells.Where(c => !c.Inside).OrderByDescending(c => Math.Abs(c.Miss)).ToList();
        text.AppendLine().AppendLine("## The misses").AppendLine();
        text.AppendLine("| pulse | column | printed | model | half widths from the middle |").AppendLine("|---|---|---|---|---|");
        foreach (var c in misses)
        {
            text.AppendLine(
                CultureInfo.InvariantCulture,
                $"| {c.Pulse.Name} | {Name(c.Column)} | {c.Range.Low:0.#} to {c.Range.High:0.#} min | {(double.IsNaN(c.Minutes) ? "never" : $"{c.Minutes.ToString("0.0", CultureInfo.InvariantCulture)} min")} | {c.Miss:+0.0;-0.0} |"
            );
        }

        return text.ToString();
    }

    public static string Name(Column column) =>
        column switch
        {
            Column.SimmerSoaked => "simmer, soaked",
            Column.SimmerUnsoaked => "simmer, unsoaked",
            Column.PressureSoaked => "pressure, soaked",
            Column.PressureUnsoaked => "pressure, unsoaked",
            Column.SlowHigh => "slow cooker, high",
            _ => "slow cooker, low",
        };
}
