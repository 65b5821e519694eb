namespace BrightKettle.Core.Cooking.Trace;

/// <summary>What has brought salt, or sodium, into the food before the last salt goes in: a portion taken out before it is not without
/// salt.</summary>
public static class SaltedBefore
{
    /// <summary>Names the salt of the tin, where some went in before the last.</summary>
    public const string Salt = "salt";

    /// <summary>Fresh food brings less by itself, g per g: milk has about a thousandth.</summary>
    private const double OfItself = 0.0015;

    /// <summary>Ids of the ingredients, in their order, and <see cref="Salt"/>; empty when the portion is truly without.</summary>
    public static IReadOnlyList<string> In(CookTrace trace)
    {
        ArgumentNullException.ThrowIfNull(trace);
        var actions = trace.Cook.Actions;
        var last = actions.ToList().FindLastIndex(a => a is CookAction.AddSalt);
        var table = last >= 0 ? last : actions.Count - 1;
        bool WentIn(string id) => Enumerable.Range(0, table).Any(i => actions[i] is CookAction.Add add && add.IngredientId == id);
        bool Brined(string id) =>
            Enumerable.Range(0, table).Any(i => actions[i] is CookAction.Soak { SaltShare: > 0 } s && s.IngredientId == id);
        var found = trace
            .Cook.Ingredients.Where(x => WentIn(x.Id))
            .Where(x =>
                x switch
                {
                    ExtraIngredient { Salt.Typical: > OfItself } or ExtraIngredient { Extra.HiddenSodium: > OfItself } => true,
                    PulseIngredient { CookedSaltShare: > 0 } => true,
                    _ => Brined(x.Id),
                }
            )
            .Select(x => x.Id)
            .ToList();
        return Enumerable.Range(0, table).Any(i => actions[i] is CookAction.AddSalt { Salt.Grams: > 0 }) ? [.. found, Salt] : found;
    }
}
