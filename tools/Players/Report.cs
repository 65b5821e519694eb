using System.Text;

namespace BrightKettle.Players;

/// <summary>How many dinners came out, by way.</summary>
internal static class Report
{
    public static string Write(IReadOnlyList<WayPlayed> played)
    {
        var text = new StringBuilder();
        var all = played.SelectMany(p => p.Dinners).ToList();
        text.AppendLine("# Dinners in kitchens that nobody knows");
        text.AppendLine();
        text.AppendLine(
            $"{all.Count} ordinary dinners by lot, each planned by the product and cooked twice in a kitchen of its own, with a bag, a flame, a lid and a thirst "
                + "spread as forecasts spread them. *By advice*: somebody does what the stove says when it says it, answers looks by a hand of 7 points or by "
                + "counting chalk, and tells both. *By the clock*: boil and pin are waited for, all else follows the printed minutes. "
                + "*As wanted*: pulses and rice within what the dish wants, nothing scorched. *Promised*: the chance that the plan gave. "
                + $"The lots are fixed (seed {Table.Seed}). Rerun by `./kettle players`."
        );
        text.AppendLine();
        text.AppendLine("| way | as wanted by advice | by the clock | promised | looks | minutes late, median | spoilt by |");
        text.AppendLine("|---|---|---|---|---|---|---|");
        foreach (var way in played)
        {
            text.AppendLine(
                $"| {way.Name} | {way.ByAdvice} of {way.Dinners.Count} | {way.ByClock} | {way.Promised:0} % | {way.Looks:0.0} | {way.MinutesLate:0} | {way.Spoilt} |"
            );
        }

        text.AppendLine(
            $"| all | **{100.0 * all.Count(d => d.Advice.Spoilt is null) / all.Count:0.0} %** | {100.0 * all.Count(d => d.Clock.Spoilt is null) / all.Count:0.0} % | {100 * all.Average(d => d.Plan.ShareTender):0.0} % | {all.Average(d => d.Advice.Looks):0.0} | | |"
        );
        return text.ToString();
    }
}
