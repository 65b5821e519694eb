using BrightKettle.Server.Messages;
using Said = BrightKettle.Server.Messages.Messages;

namespace BrightKettle.Server.Planning;

/// <summary>A step as the catalogue says it, for calendars.</summary>
public static class StepWords
{
    public static string Title(StepDto step, PlanDto plan)
    {
        ArgumentNullException.ThrowIfNull(step);
        ArgumentNullException.ThrowIfNull(plan);
        var f = step.Facts;
        return Said.Say(
            $"step.{step.Kind}.title",
            new MessageFacts(
                new Dictionary<string, object?>
                {
                    ["grams"] = f.Grams,
                    ["millilitres"] = f.Millilitres,
                    ["minutes"] = f.Minutes,
                    ["every"] = f.EveryMinutes,
                    ["felt"] = f.Felt is { } felt ? Said.Say($"felt.pulse.{felt}") : null,
                    ["ingredient"] = f.Ingredient,
                    ["place"] = f.Place,
                    ["drained"] = f.Drained == true ? "yes" : "no",
                    ["name"] = Name(f),
                    ["count"] = f.Count,
                    ["pulse"] = Small(plan.PulseName),
                    ["rinse"] = plan.MeasureOut.RiceRinse,
                    ["order"] = plan.Order,
                }
            )
        );
    }

    /// <summary>What a step names: further pulses with their weights, or one thing.</summary>
    private static string? Name(StepFactsDto f) =>
        f.Others is { Count: > 0 } others ? Joined([.. others.Select(o => Said.StepPart(o.Grams, o.Name))])
        : f.Name is { } name ? Said.MeasureExtraWhat(name, f.Blanched == true ? "yes" : "no")
        : null;

    private static string Joined(IReadOnlyList<string> parts) =>
        parts.Count == 1 ? parts[0] : Said.ListAnd(string.Join(", ", parts.SkipLast(1)), parts[^1]);

    private static string Small(string name) => char.ToLowerInvariant(name[0]) + name[1..];
}
