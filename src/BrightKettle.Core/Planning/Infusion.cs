using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Planning;

/// <summary>How much of the leaves an infusion takes.</summary>
public enum InfusionStrength
{
    /// <summary>For a tinge.</summary>
    Weak,
    Usual,
    Strong,
}

/// <summary>How an infusion of leaves is made for a dish: steeped strong in a part of its water, strained, and thinned with the rest to the
/// colour that is wanted.</summary>
/// <param name="From">When it is begun.</param>
/// <param name="StrainAt">When it is strained and thinned: just before it goes in.</param>
/// <param name="Cold">In the fridge since the evening before; else boiled.</param>
/// <param name="LeavesGrams">Dried leaves; between half and twice as much is ordinary (confidence D).</param>
/// <param name="Steeped">Water that they stand in.</param>
/// <param name="Thinned">Water that is added to it: less for a deeper colour.</param>
public sealed record Infusion(DishExtra Extra, Instant From, Instant StrainAt, bool Cold, double LeavesGrams, Mass Steeped, Mass Thinned)
{
    /// <summary>Of the water, what the leaves stand in.</summary>
    private const double SteepedShare = 0.5;

    /// <summary>Less than this is not worth thinning, g.</summary>
    private const double Little = 200;

    private static readonly Duration Boiled = Duration.FromMinutes(8);

    /// <summary>To strain and press out.</summary>
    private static readonly Duration Strained = Duration.FromMinutes(5);

    /// <summary>In less time than this cold water takes up little.</summary>
    private static readonly Duration LeastCold = Duration.FromHours(4);

    /// <summary>How it is made for a moment; null for an extra that is no infusion.</summary>
    /// <param name="due">When it goes in.</param>
    public static Infusion? For(DishExtra extra, Household home, Instant now, Instant due)
    {
        ArgumentNullException.ThrowIfNull(extra);
        ArgumentNullException.ThrowIfNull(home);
        if (extra.Extra.Leaves is not { } usual)
        {
            return null;
        }

        var evening = home.InstantOf(home.LocalOf(due).Date.PlusDays(-1) + home.SoaksAt);
        var strain = due - Strained;
        var begins = Instant.Max(evening, now);
        // Too late for cold water: boiled, as the other kind is.
        var cold = !extra.Extra.Boils && strain - begins >= LeastCold;
        var factor = extra.Strength switch
        {
            InfusionStrength.Weak => 0.5,
            InfusionStrength.Strong => 2,
            _ => 1,
        };
        var steeped = extra.Amount.Grams < Little ? extra.Amount : (extra.Amount * SteepedShare).RoundedTo(10);
        return new(
            extra,
            cold ? begins : strain - Boiled,
            strain,
            cold,
            Math.Max(1, Math.Round(usual * factor * extra.Amount.Grams / 1000)),
            steeped,
            extra.Amount - steeped
        );
    }
}
