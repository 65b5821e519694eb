namespace BrightKettle.Core.Cooking;

/// <summary>One source of salt.</summary>
/// <param name="What">Id of the ingredient, or salt, or brine.</param>
/// <param name="Grams">Typical, g, with its low and high.</param>
/// <param name="SodiumGrams">That does not taste of salt, g: soda's.</param>
public sealed record SaltSource(string What, double Low, double Grams, double High, double SodiumGrams = 0);

/// <summary>All the salt of a dinner, added up.</summary>
/// <param name="PercentNow">Of what is in the vessels at the end of the run.</param>
/// <param name="ToAddGrams">To reach the target; 0 when it is reached already.</param>
/// <param name="Finding">A stable code, or null: salt.none or salt.too_much.</param>
public sealed record SaltSheet(
    IReadOnlyList<SaltSource> Sources,
    double EdibleGrams,
    double SaltGrams,
    double PercentNow,
    double TargetPercent,
    double ToAddGrams,
    string? Finding
)
{
    /// <summary>What most people find right, % of all that is eaten (0.7 to 1.1 is ordinary, confidence B).</summary>
    public const double UsualPercent = 0.9;

    /// <summary>From here on it reads salty (confidence B).</summary>
    private const double SaltyPercent = 1.3;

    /// <summary>Less than this is no salt at all to the tongue.</summary>
    private const double TracePercent = 0.1;

    /// <summary>Adds up a cook that was run.</summary>
    /// <param name="targetPercent">The household's own; 0 to 3.</param>
    public static SaltSheet Of(Cook cook, PotRun run, double targetPercent = UsualPercent)
    {
        var edible = run.Vessels.Sum(v => v.LiquorGrams);
        var salt = run.Vessels.Sum(v => v.SaltGrams);
        var brine = 0.0;
        for (var i = 0; i < cook.Ingredients.Count; i++)
        {
            var seed = run.Final[i];
            if (seed.Vessel < 0)
            {
                continue;
            }

            edible += Edible(cook.Ingredients[i], seed.Uptake);
            salt += seed.SaltGrams;
        }

        var sources = SourcesOf(cook).ToList();
        if (cook.Actions.Any(a => a is CookAction.Soak { SaltShare: > 0 }))
        {
            brine = Math.Max(0, salt - sources.Sum(s => s.Grams));
            sources.Add(new("brine", brine * 0.7, brine, brine * 1.4));
        }

        edible += salt;
        var percent = edible > 0 ? 100 * salt / edible : 0;
        var missing = Math.Max(0, ((targetPercent / 100 * edible) - salt) / (1 - (targetPercent / 100)));
        var finding =
            percent < TracePercent ? "salt.none"
            : percent > SaltyPercent ? "salt.too_much"
            : null;
        return new(sources, edible, salt, percent, targetPercent, missing, finding);
    }

    private static double Edible(Ingredient ingredient, double uptake) =>
        ingredient switch
        {
            // Its free water is in the liquor, its pieces are not eaten.
            ExtraIngredient { Extra.ComesOut: true } => 0,
            ExtraIngredient x => x.Dry.Grams * (1 - x.Extra.FreeWater - x.Extra.BoundWater - x.Salt.Typical + uptake),
            PulseIngredient p => p.Dry.Grams * (1 + uptake),
            _ => ingredient.Dry.Grams * (1 + uptake),
        };

    private static IEnumerable<SaltSource> SourcesOf(Cook cook)
    {
        foreach (var ingredient in cook.Ingredients)
        {
            switch (ingredient)
            {
                case ExtraIngredient { Salt: var salty, Extra.HiddenSodium: var hidden, Dry.Grams: var grams }
                    when salty.High > 0 || hidden > 0:
                    yield return new(ingredient.Id, grams * salty.Low, grams * salty.Typical, grams * salty.High, grams * hidden);
                    break;
                case PulseIngredient { CookedSaltShare: > 0 } p:
                    var salt = p.CookedSaltShare * p.Dry.Grams * (1 + p.Pulse.Absorbed.Typical);
                    yield return new(p.Id, salt * 0.5, salt, salt * 1.6);
                    break;
            }
        }

        // From the tin of salt, however often and into whichever pot.
        var added = cook.Actions.OfType<CookAction.AddSalt>().Sum(a => a.Salt.Grams);
        if (added > 0)
        {
            yield return new("salt", added, added, added);
        }
    }
}
