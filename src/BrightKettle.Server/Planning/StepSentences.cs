using System.Globalization;

namespace BrightKettle.Server.Planning;

/// <summary>Short names of the moments that ring, for calendars.</summary>
public static class StepSentences
{
    /// <summary>The moments that must not be missed, with the minutes by which an alarm comes before; the others are done while one is at the stove anyway.</summary>
    private static readonly Dictionary<string, int> Rings = new()
    {
        ["soak"] = 0,
        ["drain"] = 0,
        ["chill"] = 0,
        ["rice_soak"] = 5,
        ["light"] = 5,
        ["quick_drain"] = 2,
        ["hold_over"] = 1,
        ["look"] = 2,
        ["other_in"] = 5,
        ["join"] = 10,
        ["rice_light"] = 5,
        ["heat_off"] = 1,
        ["finish"] = 5,
        ["table"] = 10,
    };

    /// <summary>Minutes of warning, or null for a moment without an alarm.</summary>
    public static int? Warning(string kind) => Rings.TryGetValue(kind, out var minutes) ? minutes : null;

    public static string For(StepDto step, PlanDto plan)
    {
        ArgumentNullException.ThrowIfNull(step);
        ArgumentNullException.ThrowIfNull(plan);
        var f = step.Facts;
        string Text(FormattableString text) => FormattableString.Invariant(text);
        return step.Kind switch
        {
            "soak" => Text($"Soak {f.Grams:0} g {plan.PulseName.ToLowerInvariant()} in {f.Millilitres:0} mL"),
            "drain" => f.Place == "fridge" ? "Drain and rinse, into the fridge" : "Drain and rinse",
            "chill" => "The bowl into the fridge, water and all",
            "rice_soak" => Text($"Rinse and soak {f.Grams:0} g rice"),
            "light" => Text($"Light the burner: {f.Millilitres:0} mL cold water"),
            "quick_drain" => "Drain, fresh water, full flame",
            "hold_over" => "Heat off, leave the lid alone",
            "look" => Text($"Look at the pulses, every {f.EveryMinutes:0} min"),
            "join" => Text($"{(f.Ingredient == "rice" ? "Rice" : "Pulses")} in: {f.Grams:0} g, {f.Millilitres:0} mL of liquid in the pot"),
            "other_in" => Text($"{f.Name} in: {f.Grams:0} g"),
            "rice_light" => Text($"Rice on: {f.Grams:0} g, {f.Millilitres:0} mL water"),
            "heat_off" => Text($"Flame off, rest {f.Minutes:0} min"),
            "finish" => f.Drained == true ? "Drain" : Text($"Set the liquid to {f.Millilitres:0} mL"),
            "table" => string.Create(CultureInfo.InvariantCulture, $"On the table: {plan.Title}"),
            _ => throw new InvalidOperationException($"No words for the step {step.Kind}."),
        };
    }
}
