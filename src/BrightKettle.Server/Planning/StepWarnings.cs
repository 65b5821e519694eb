namespace BrightKettle.Server.Planning;

/// <summary>Which steps ring, and how long before: the ones that must not be missed; the others are done while one is at the stove
/// anyway.</summary>
public static class StepWarnings
{
    private static readonly Dictionary<string, int> Minutes = new()
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
        ["off_to_go"] = 5,
        ["finish"] = 5,
        ["table"] = 10,
    };

    /// <summary>Minutes of warning, or null for a step without an alarm.</summary>
    public static int? Of(string kind) => Minutes.TryGetValue(kind, out var minutes) ? minutes : null;
}
