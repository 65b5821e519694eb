using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Kitchen;

namespace BrightKettle.Core.Cooking.Engine;

/// <summary>What stands beside the pot in its own bowl.</summary>
internal sealed partial class Pot
{
    public void Fill(int ingredient, double grams, double celsius, double saltShare, double sodaGramsPerLitre)
    {
        SoakOn(ingredient);
        ref var bowl = ref _bowls[ingredient];
        (bowl.Celsius, bowl.SaltShare, bowl.Soda) = (celsius, saltShare, sodaGramsPerLitre);
        PostBowl(ingredient, grams);
        var salt = grams * saltShare;
        _g.OfWide(ingredient, Layout.SaltBowl, _lane) += salt;
        _g.Wide(Layout.SaltAdded, _lane) -= salt;
    }

    /// <summary>What salt, soda and hard water of a soak have done to the seeds, when it ends: poured away or taken along.</summary>
    private void SoakWorks(int ingredient)
    {
        ref var bowl = ref _bowls[ingredient];
        if (_g.OfWide(ingredient, Layout.Bowl, _lane) <= 0 && bowl is { SaltShare: 0, Soda: 0 })
        {
            return;
        }

        var share = Math.Min(1, bowl.WetSeconds / (8 * 3600));
        var time =
            (1 + (share * ((_c.Curve("brine_soak").Typical(100 * bowl.SaltShare) * _c.Curve("soda_soak").Typical(bowl.Soda)) - 1)))
            * HardSoak(ingredient);
        _g.Of(ingredient, Layout.LotFactor, _lane) *= (float)time;
        (bowl.SaltShare, bowl.Soda) = (0, 0);
    }

    public void EmptyBowl(int ingredient)
    {
        SoakOn(ingredient);
        SoakWorks(ingredient);
        var grams = _g.OfWide(ingredient, Layout.Bowl, _lane);
        _g.OfWide(ingredient, Layout.Bowl, _lane) = 0;
        _g.OfWide(ingredient, Layout.BowlBook, _lane) -= grams;
        _g.Wide(Layout.Gone, _lane) += grams;
        _g.Wide(Layout.SaltGone, _lane) += _g.OfWide(ingredient, Layout.SaltBowl, _lane);
        _g.OfWide(ingredient, Layout.SaltBowl, _lane) = 0;
        Freshen();
    }

    /// <summary>Time factor of hard water that a bean or pea has drunk in its soak; splits and lentils drink as much in the pot.</summary>
    private double HardSoak(int ingredient)
    {
        if (_script.Ingredients[ingredient] is not PulseIngredient { Pulse: { Kind: PulseKind.Bean or PulseKind.Pea } pulse } p)
        {
            return 1;
        }

        var drunk = _g.OfWide(ingredient, Layout.Wet, _lane) / (p.Dry.Grams * pulse.ColdCeiling);
        return 1 + (Math.Min(1, drunk) * (_c.Curve("hardness_soak").Typical(_cook.Kitchen.HardnessMilligramsPerLitre) - 1));
    }

    public void ChillBowl(int ingredient, double celsius)
    {
        SoakOn(ingredient);
        _bowls[ingredient].Celsius = celsius;
    }

    /// <summary>A film of tap water stays on what was rinsed.</summary>
    public void Rinse(int ingredient)
    {
        SoakOn(ingredient);
        var film = _c.Cling * _script.Ingredients[ingredient].Dry.Grams;
        PostBowl(ingredient, Math.Max(0, film - _g.OfWide(ingredient, Layout.Bowl, _lane)));
    }

    /// <summary>Hydration in a bowl since it was last looked at, in closed form: its temperature stands.</summary>
    private void SoakOn(int ingredient)
    {
        ref var bowl = ref _bowls[ingredient];
        var seconds = Now - bowl.Since;
        bowl.Since = Now;
        var water = _g.OfWide(ingredient, Layout.Bowl, _lane);
        if (seconds <= 0 || water <= 0 || PlaceOf(ingredient) >= 0)
        {
            return;
        }

        bowl.WetSeconds += seconds;
        var dry = _script.Ingredients[ingredient].Dry.Grams;
        ref var wet = ref _g.OfWide(ingredient, Layout.Wet, _lane);
        var gain = Math.Min(water, dry * Bowls.Gain(_g, ingredient, _lane, wet / dry, bowl.Celsius, seconds));
        var salt = gain * bowl.SaltShare;
        wet += gain;
        _g.OfWide(ingredient, Layout.Book, _lane) += gain;
        _g.OfWide(ingredient, Layout.Bowl, _lane) -= gain;
        _g.OfWide(ingredient, Layout.BowlBook, _lane) -= gain;
        _g.OfWide(ingredient, Layout.SaltIn, _lane) += salt;
        _g.OfWide(ingredient, Layout.SaltInBook, _lane) += salt;
        _g.OfWide(ingredient, Layout.SaltBowl, _lane) -= salt;
    }

    private void PostBowl(int ingredient, double grams)
    {
        _g.OfWide(ingredient, Layout.Bowl, _lane) += grams;
        _g.OfWide(ingredient, Layout.BowlBook, _lane) += grams;
        _g.Wide(Layout.Tap, _lane) -= grams;
    }
}
