using System.Text;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;

namespace BrightKettle.Sweep;

/// <summary>One way of one dinner.</summary>
internal sealed record Cell(Dinner Dinner, WayOffer Offer)
{
    public double? Chance => Offer.Plan?.ShareTender;

    /// <summary>One pot in ten comes to the table so many minutes after the hour, or later; 0 for what is refused.</summary>
    public double LateMinutes =>
        Offer.Plan is { } p ? Math.Max(0, (p.Forecast.Find(StepIds.Table)!.Late - p.Dish.ServeAt).TotalMinutes) : 0;

    /// <summary>The way, as developers name it.</summary>
    public string Way =>
        $"{Method}{(Offer.Method == Core.Planning.Method.Cooked ? "" : $", {Soak}")}{Join}{(Offer.RiceVesselId is null ? "" : Offer.RiceVesselId == RiceBowl.Id ? ", rice in a bowl above" : ", rice beside")}";

    private string Join =>
        Offer.RiceJoin switch
        {
            RiceJoin.AfterDraining => ", drained before the rice",
            RiceJoin.InTheLiquor => ", rice in their liquor",
            _ => "",
        };

    private string Method =>
        Offer.Method switch
        {
            Core.Planning.Method.OpenPot => "open pot",
            Core.Planning.Method.Pressure => "pressure",
            Core.Planning.Method.SlowCooker => "slow cooker",
            _ => "tin",
        };

    private string Soak =>
        Offer.Soak switch
        {
            SoakChoice.Overnight => "soaked",
            SoakChoice.Quick => "quick soak",
            _ => "unsoaked",
        };

    public string Refused =>
        Offer.Refusal is { } r
            ? r.Gate is { } gate
                ? $"{r.Code} ({gate})"
                : r.Code
            : "";
}

/// <summary>The report: docs/ways.md.</summary>
internal static class Report
{
    /// <summary>A dinner counts from here (design, 5).</summary>
    private const double Sure = 0.85;

    /// <summary>A cell of a single way counts from here.</summary>
    private const double Fair = 0.8;

    private const int Worst = 25;

    private static List<(Cell First, double Chance)> Best(IEnumerable<Cell> cells) =>
        [.. cells.GroupBy(c => c.Dinner).Select(g => (g.MaxBy(c => c.Chance ?? -1)!, g.Max(c => c.Chance ?? 0)))];

    public static string InShort(IReadOnlyList<Cell> cells)
    {
        var best = Best(cells);
        return $"{best.Count(b => b.Chance >= Sure)} of {best.Count} dinners have a way that reaches {Sure}; {cells.Count(c => c.Chance < 0.5)} plans under one half";
    }

    /// <summary>The best way of each from the dry bag: what comes out, and not much later than it was wanted.</summary>
    private static Cell? Advised(IEnumerable<Cell> cells) =>
        cells
            .Where(c => c.Chance is not null && c.Offer.Method != Core.Planning.Method.Cooked)
            .MaxBy(c => c.Chance - (c.LateMinutes > Late ? LateCosts : 0));

    /// <summary>Minutes after the hour from which a table counts as late.</summary>
    private const double Late = 15;

    /// <summary>What that weighs against a chance.</summary>
    private const double LateCosts = 0.1;

    public static IEnumerable<string> Strangers(IReadOnlyList<Cell> cells) =>
        cells
            .GroupBy(c => c.Dinner)
            .Select(g =>
                Advised(g) is { } best
                    ? $"| {g.Key.Name} | {best.Way} | {best.Chance:0.00} | {best.LateMinutes:0} min | {g.Count(c => c.Chance >= Sure)} of {g.Count()} |"
                    : $"| {g.Key.Name} | none: {string.Join(", ", g.Select(c => c.Refused).Distinct())} | | | |"
            );

    public static string Write(IReadOnlyList<Cell> cells, IReadOnlyList<Cell> strangers, int pots)
    {
        var text = new StringBuilder();
        var best = Best(cells);
        text.AppendLine("# Ordinary dinners, in every way of an ordinary kitchen").AppendLine();
        text.AppendLine(
            "Written by `./kettle sweep`; do not edit. A dinner is pulse × rice (or none) × style: 12 quick and 12 slow pulses × five rices and"
        );
        text.AppendLine(
            "none × dry, moist, saucy and soup, 200 g with 300 g of rice or 300 g alone, dinner at seven, known since the evening before; two"
        );
        text.AppendLine(
            "burners, three pots, an electric cooker, a slow cooker; the bag unknown (σ 0.28); each look a hand's (σ 7). None chosen to"
        );
        text.AppendLine(
                $"fit. {pots} pots a cell, in steps of a minute. A chance is with looks; the clock's stands beside it and is not polished."
            )
            .AppendLine();
        text.AppendLine($"**{InShort(cells)}.**").AppendLine();
        text.AppendLine("| dinners | number | best way reaches 0.85 | lowest best |").AppendLine("|---|---|---|---|");
        void Row(string name, Func<Dinner, bool> which)
        {
            var of = best.Where(b => which(b.First.Dinner)).ToList();
            text.AppendLine(
                $"| {name} | {of.Count} | {of.Count(b => b.Chance >= Sure)} ({100.0 * of.Count(b => b.Chance >= Sure) / of.Count:0} %) | {of.Min(b => b.Chance):0.00} |"
            );
        }

        Row("all", _ => true);
        var dry = Best(cells.Where(c => c.Offer.Method != Core.Planning.Method.Cooked));
        text.AppendLine(
            $"| all, from the dry bag only | {dry.Count} | {dry.Count(b => b.Chance >= Sure)} ({100.0 * dry.Count(b => b.Chance >= Sure) / dry.Count:0} %) | {dry.Min(b => b.Chance):0.00} |"
        );
        Row("quick pulses", d => d.Quick);
        Row("slow pulses", d => !d.Quick);
        Row("with rice", d => d.Rice is not null);
        Row("without rice", d => d.Rice is null);
        foreach (var style in Enum.GetValues<Style>())
        {
            Row(style.ToString().ToLowerInvariant(), d => d.Style == style);
        }

        var theirs = strangers.GroupBy(c => c.Dinner).Select(Advised).ToList();
        text.AppendLine().AppendLine("## As strangers wish").AppendLine();
        text.AppendLine(
            $"Other pulses, rices and amounts, old bags, two pulses in a pot, salads; the last sixty by lot, of which the last twenty are drawn anew and nothing was mended by them: **{theirs.Count(c => c?.Chance >= Sure)} of {theirs.Count} reach {Sure}, {theirs.Count(c => c?.Chance >= Sure && c.LateMinutes <= Late)} of these within {Late} minutes of the hour in nine pots of ten.**"
        );
        text.AppendLine()
            .AppendLine("| dinner | best way | chance | one in ten later than | ways at 0.85 |")
            .AppendLine("|---|---|---|---|---|");
        foreach (var line in Strangers(strangers))
        {
            text.AppendLine(line);
        }

        text.AppendLine().AppendLine("## Way by way").AppendLine();
        text.AppendLine(
                "| way | cells | answered | of these at 0.8 | median | by the clock, median | over 15 min late in a tenth | refused |"
            )
            .AppendLine("|---|---|---|---|---|---|---|---|");
        foreach (var way in cells.GroupBy(c => c.Way).OrderBy(g => g.Key, StringComparer.Ordinal))
        {
            var planned = way.Where(c => c.Chance is not null).ToList();
            var fair = planned.Count(c => c.Chance >= Fair);
            text.AppendLine(
                $"| {way.Key} | {way.Count()} | {planned.Count} | {fair} ({(planned.Count == 0 ? 0 : 100.0 * fair / planned.Count):0} %) | {Median(planned.Select(c => c.Chance!.Value)):0.00} | {Median(planned.Select(c => c.Offer.Plan!.BlindShare)):0.00} | {planned.Count(c => c.LateMinutes > Late)} | {way.Count() - planned.Count} |"
            );
        }

        text.AppendLine().AppendLine("## Why a way is refused").AppendLine();
        text.AppendLine("| code | cells |").AppendLine("|---|---|");
        foreach (var code in cells.Where(c => c.Chance is null).GroupBy(c => c.Refused).OrderByDescending(g => g.Count()))
        {
            text.AppendLine($"| {code.Key} | {code.Count()} |");
        }

        text.AppendLine().AppendLine($"## The {Worst} worst plans that are answered").AppendLine();
        text.AppendLine("| dinner | way | chance | the best way beside it |").AppendLine("|---|---|---|---|");
        var bestOf = best.ToDictionary(b => b.First.Dinner, b => b.Chance);
        foreach (var cell in cells.Where(c => c.Chance is not null).OrderBy(c => c.Chance).Take(Worst))
        {
            text.AppendLine($"| {cell.Dinner.Name} | {cell.Way} | {cell.Chance:0.00} | {bestOf[cell.Dinner]:0.00} |");
        }

        return text.ToString();
    }

    private static double Median(IEnumerable<double> values)
    {
        var sorted = values.Order().ToList();
        return sorted.Count == 0 ? double.NaN : sorted[sorted.Count / 2];
    }
}
