using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Kitchen;

namespace BrightKettle.Core.Cooking.Engine;

/// <summary>Water, salt and solids that hands move: each flow to two accounts.</summary>
internal sealed partial class Pot
{
    /// <summary>To melt ice, J/g (tables: 334).</summary>
    private const double Melting = 334;

    public void PourWater(int vessel, double grams, double celsius, double iceShare = 0)
    {
        MixHeat(vessel, grams * HeatStep<OneLane>.SpecificHeatWater, celsius, iceShare * grams * Melting);
        Post(vessel, Layout.Tap, -grams);
    }

    /// <summary>Pours off, into the jug or the sink, at most what is free; salt goes along.</summary>
    public double PourOff(int vessel, double grams, bool keep)
    {
        var gone = Math.Clamp(grams, 0, Liquor(vessel));
        var share = gone <= 0 ? 0 : gone / Liquor(vessel);
        var salt = share * _g.VesselWide(vessel, Layout.Salt, _lane);
        Post(vessel, keep ? Layout.Jug : Layout.Gone, gone);
        PostSalt(vessel, keep ? Layout.SaltJug : Layout.SaltGone, salt);
        var solids = share * Solids(vessel);
        _g.Vessel(vessel, Layout.Carried, _lane) -= (float)solids;
        var alkali = share * _g.Vessel(vessel, Layout.Alkali, _lane);
        _g.Vessel(vessel, Layout.Alkali, _lane) -= (float)alkali;
        if (keep)
        {
            _jugSolids += solids;
            _jugAlkali += alkali;
            _g.Wide(Layout.JugBook, _lane) += gone;
            _g.Wide(Layout.SaltJugBook, _lane) += salt;
            _vessels[vessel].JugCelsius = Celsius(vessel);
        }

        return gone;
    }

    public void PourBack(int vessel, double grams)
    {
        var back = Math.Clamp(grams, 0, JugGrams);
        var salt = back <= 0 ? 0 : back / JugGrams * _g.Wide(Layout.SaltJug, _lane);
        var solids = back <= 0 ? 0 : back / JugGrams * _jugSolids;
        _jugSolids -= solids;
        var alkali = back <= 0 ? 0 : back / JugGrams * _jugAlkali;
        _jugAlkali -= alkali;
        _g.Vessel(vessel, Layout.Alkali, _lane) += (float)alkali;
        _g.Vessel(vessel, Layout.Carried, _lane) += (float)solids;
        MixHeat(
            vessel,
            back * HeatStep<OneLane>.SpecificHeatWater,
            _vessels[vessel].JugCelsius > 0 ? _vessels[vessel].JugCelsius : _cook.Kitchen.Room.Celsius
        );
        Post(vessel, Layout.Jug, -back);
        PostSalt(vessel, Layout.SaltJug, -salt);
        _g.Wide(Layout.JugBook, _lane) -= back;
        _g.Wide(Layout.SaltJugBook, _lane) -= salt;
    }

    /// <summary>All the liquor but the film that clings to the bed.</summary>
    public void DrainVessel(int vessel, bool keep) => PourOff(vessel, Math.Max(0, Liquor(vessel) - Film(vessel)), keep);

    /// <summary>Nothing but the film that clings to what is in it is left: its base is hotter than water boils.</summary>
    public bool BaseIsDry(int vessel) => Film(vessel) is > 0 and var film && Liquor(vessel) <= film;

    private double Film(int vessel)
    {
        var film = 0.0;
        for (var i = 0; i < _bowls.Length; i++)
        {
            film += PlaceOf(i) == vessel ? _c.Cling * _script.Ingredients[i].Dry.Grams : 0;
        }

        return film;
    }

    public void AddSalt(int vessel, double grams)
    {
        PostSalt(vessel, Layout.SaltAdded, -grams);
        Freshen();
    }

    public void IntoVessel(int vessel, int ingredient)
    {
        SoakOn(ingredient);
        var celsius = _bowls[ingredient].Celsius;
        var own =
            _g.Of(ingredient, Layout.Capacity, _lane)
            + (
                (_g.OfWide(ingredient, Layout.Wet, _lane) + _g.OfWide(ingredient, Layout.Swollen, _lane))
                * HeatStep<OneLane>.SpecificHeatWater
            );
        // What is frozen melts first; ice itself warms at half the heat of water, which is left out (20 J/g of some 400).
        var holds = _g.OfWide(ingredient, Layout.Wet, _lane) + _g.OfWide(ingredient, Layout.Swollen, _lane);
        MixHeat(vessel, own, celsius, celsius < 0 ? holds * Melting : 0);
        var bowl = _g.OfWide(ingredient, Layout.Bowl, _lane);
        // A soak that is kept brings its soda along, and has worked like any other.
        _g.Vessel(vessel, Layout.Alkali, _lane) += (float)(
            _bowls[ingredient].Soda * bowl / 1000 * ChemistryStep<OneLane>.MillimolesPerGramSoda
        );
        SoakWorks(ingredient);
        MixHeat(vessel, bowl * HeatStep<OneLane>.SpecificHeatWater, celsius);
        _g.OfWide(ingredient, Layout.Bowl, _lane) = 0;
        _g.OfWide(ingredient, Layout.BowlBook, _lane) -= bowl;
        _g.VesselWide(vessel, Layout.Liquor, _lane) += bowl;
        _g.VesselWide(vessel, Layout.LiquorBook, _lane) += bowl;
        var salt = _g.OfWide(ingredient, Layout.SaltBowl, _lane);
        _g.OfWide(ingredient, Layout.SaltBowl, _lane) = 0;
        _g.VesselWide(vessel, Layout.Salt, _lane) += salt;
        _g.VesselWide(vessel, Layout.SaltBook, _lane) += salt;
        if (_script.Ingredients[ingredient] is ExtraIngredient extra)
        {
            var free = extra.Dry.Grams * extra.Extra.FreeWater;
            MixHeat(vessel, free * HeatStep<OneLane>.SpecificHeatWater, celsius, celsius < 0 ? free * Melting : 0);
            Post(vessel, Layout.Shelf, -free);
            if (extra.Extra.SaltMinutes <= 0)
            {
                Dissolve(vessel, ingredient);
            }
        }

        var solids = Solids(vessel);
        Place(ingredient, vessel);
        // What tinned pulses gave was thrown away with their liquor.
        _g.Vessel(vessel, Layout.Carried, _lane) -= (float)(Solids(vessel) - solids);
        Freshen();
    }

    /// <summary>Pieces out of the pot, with what they hold.</summary>
    public void TakeOut(int ingredient)
    {
        var water = _g.OfWide(ingredient, Layout.Wet, _lane) + _g.OfWide(ingredient, Layout.Swollen, _lane);
        var salt = _g.OfWide(ingredient, Layout.SaltIn, _lane);
        _g.OfWide(ingredient, Layout.Wet, _lane) =
            _g.OfWide(ingredient, Layout.Swollen, _lane) =
            _g.OfWide(ingredient, Layout.SaltIn, _lane) =
                0;
        _g.OfWide(ingredient, Layout.Book, _lane) -= water;
        _g.OfWide(ingredient, Layout.SaltInBook, _lane) -= salt;
        _g.Wide(Layout.Gone, _lane) += water;
        _g.Wide(Layout.SaltGone, _lane) += salt;
        _g.Of(ingredient, Layout.Place, _lane) = PotSetup.OnShelf;
    }

    public void Move(int from, int to, TransferWhat what, int ingredient, double most)
    {
        var celsius = Celsius(from);
        var (solidsHere, solidsThere) = (Solids(from), Solids(to));
        if (what is TransferWhat.Ingredient or TransferWhat.Everything)
        {
            for (var i = 0; i < _bowls.Length; i++)
            {
                if (PlaceOf(i) == from && (what == TransferWhat.Everything || i == ingredient))
                {
                    var water = _g.OfWide(i, Layout.Wet, _lane) + _g.OfWide(i, Layout.Swollen, _lane);
                    _g.Of(i, Layout.Place, _lane) = PotSetup.OnShelf;
                    MixHeat(to, _g.Of(i, Layout.Capacity, _lane) + (water * HeatStep<OneLane>.SpecificHeatWater), celsius);
                    Place(i, to);
                    most = what == TransferWhat.Ingredient ? _c.LiquorFilm * (_script.Ingredients[i].Dry.Grams + water) : most;
                }
            }
        }

        var gone = Math.Min(most, Liquor(from));
        var share = gone <= 0 ? 0 : gone / Liquor(from);
        var salt = share * _g.VesselWide(from, Layout.Salt, _lane);
        MixHeat(to, gone * HeatStep<OneLane>.SpecificHeatWater, celsius);
        foreach (
            var (row, amount) in new[] { (Layout.Liquor, gone), (Layout.LiquorBook, gone), (Layout.Salt, salt), (Layout.SaltBook, salt) }
        )
        {
            _g.VesselWide(from, row, _lane) -= amount;
            _g.VesselWide(to, row, _lane) += amount;
        }

        var alkali = (float)share * _g.Vessel(from, Layout.Alkali, _lane);
        _g.Vessel(from, Layout.Alkali, _lane) -= alkali;
        _g.Vessel(to, Layout.Alkali, _lane) += alkali;
        var thick = (float)share * _g.Vessel(from, Layout.Thick, _lane);
        _g.Vessel(from, Layout.Thick, _lane) -= thick;
        _g.Vessel(to, Layout.Thick, _lane) += thick;
        // What is dissolved goes with the liquor, not with the seeds that gave it.
        _g.Vessel(from, Layout.Carried, _lane) += (float)(((1 - share) * solidsHere) - Solids(from));
        _g.Vessel(to, Layout.Carried, _lane) += (float)(solidsThere + (share * solidsHere) - Solids(to));
        _g.Vessel(from, Layout.RatesAt, _lane) = _g.Vessel(to, Layout.RatesAt, _lane) = float.NaN;
        Freshen();
    }

    /// <summary>Dissolved in a vessel's liquor, g: what its pulses gave, what was crushed or stirred in, what liquor carried in or
    /// out.</summary>
    private double Solids(int vessel)
    {
        double solids = _g.Vessel(vessel, Layout.Thick, _lane) + _g.Vessel(vessel, Layout.Carried, _lane);
        for (var i = 0; i < _bowls.Length; i++)
        {
            if (PlaceOf(i) == vessel && _script.Ingredients[i] is PulseIngredient)
            {
                solids += Given(i);
            }
        }

        return Math.Max(0, solids);
    }

    /// <summary>Dissolved out of a pulse, g.</summary>
    private double Given(int i) =>
        _g.Of(i, Layout.Dry, _lane) * _g.Of(i, Layout.Solids, _lane) * Math.Min(WaterStep<OneLane>.MostGiven, _g.Of(i, Layout.Soft, _lane));

    /// <summary>All that binds a vessel's liquor, g: what is dissolved in it, what is left of seeds that break up, and what extras bring
    /// (the last two stay where the seeds and extras are); and the water that broken seeds held.</summary>
    private (double Solids, double Water) Binding(int vessel)
    {
        var (solids, water) = (Solids(vessel), 0.0);
        for (var i = 0; i < _bowls.Length; i++)
        {
            if (PlaceOf(i) != vessel)
            {
                continue;
            }

            double dry = _g.Of(i, Layout.Dry, _lane);
            switch (_script.Ingredients[i])
            {
                case PulseIngredient p:
                    var broken = Broken(i, p.Pulse);
                    solids += BrokenBinds * dry * broken;
                    water += broken * (_g.OfWide(i, Layout.Wet, _lane) + _g.OfWide(i, Layout.Swollen, _lane));
                    break;
                case ExtraIngredient { Extra: { Binds: > 0 } extra }:
                    var way = extra.CookedWater - extra.BoundWater;
                    var cooked = way == 0 ? 1 : ((_g.OfWide(i, Layout.Wet, _lane) / dry) - extra.BoundWater) / way;
                    solids += dry * extra.Binds * Math.Clamp(cooked, 0, 1);
                    break;
            }
        }

        return (solids, water);
    }

    /// <summary>From creamy on seeds break up, until nothing but skins is left of them: 0 to 1.</summary>
    private double Broken(int i, Pulse pulse)
    {
        var (creamy, melted) = (TargetWindows.Of(pulse, PulseTarget.Creamy).Low, TargetWindows.Of(pulse, PulseTarget.Melted).Low);
        return Math.Clamp((Doneness(i) - creamy) / Math.Max(1, melted - creamy), 0, 1);
    }

    /// <summary>Of a seed that has broken up, what binds like starch: with it dal of 3.2 times its water is thick, of 5 it pours, of 8 it is a
    /// soup (effects; confidence D).</summary>
    private const double BrokenBinds = 0.36;

    /// <summary>Of a seed that is crushed or falls apart, what binds the liquor (confidence D).</summary>
    private const double NotSkin = 0.6;

    /// <summary>Solids that come into the liquor when this share of a pulse is crushed: most of what is not skin. Where another vessel has
    /// not given it yet there is nothing to crush.</summary>
    public void Mash(int ingredient, double share)
    {
        if (PlaceOf(ingredient) is >= 0 and var vessel)
        {
            _g.Vessel(vessel, Layout.Thick, _lane) += (float)(NotSkin * share * _script.Ingredients[ingredient].Dry.Grams);
        }
    }

    public void Thicken(int vessel, double starch, double water)
    {
        PourWater(vessel, water, _cook.Kitchen.Room.Celsius);
        _g.Vessel(vessel, Layout.Thick, _lane) += (float)starch;
    }

    /// <summary>Rates are kept for what was in the vessel: with something more in it they are worked out anew.</summary>
    private void Place(int ingredient, int vessel)
    {
        _g.Of(ingredient, Layout.Place, _lane) = vessel;
        _g.Vessel(vessel, Layout.RatesAt, _lane) = float.NaN;
    }

    private void Dissolve(int vessel, int ingredient)
    {
        var salt = _g.OfWide(ingredient, Layout.SaltIn, _lane);
        _g.OfWide(ingredient, Layout.SaltIn, _lane) = 0;
        _g.OfWide(ingredient, Layout.SaltInBook, _lane) -= salt;
        _g.VesselWide(vessel, Layout.Salt, _lane) += salt;
        _g.VesselWide(vessel, Layout.SaltBook, _lane) += salt;
    }

    /// <summary>What went in is felt at once, not only at the next minute.</summary>
    private void Freshen()
    {
        if (_g.Layout.Chemistry)
        {
            _g.Stale = true;
            return;
        }

        for (var i = 0; i < _bowls.Length; i++)
        {
            if (_g.Layout.KindOf(i) == IngredientKind.Pulse)
            {
                Chemistry.Speed(OneLane.Load(ref _g.Of(i, Layout.LotFactor, _lane))).Store(ref _g.Of(i, Layout.SoftFactor, _lane));
            }
        }
    }

    private void Post(int vessel, int account, double outOfVessel)
    {
        _g.VesselWide(vessel, Layout.Liquor, _lane) -= outOfVessel;
        _g.VesselWide(vessel, Layout.LiquorBook, _lane) -= outOfVessel;
        _g.Wide(account, _lane) += outOfVessel;
    }

    private void PostSalt(int vessel, int account, double outOfVessel)
    {
        _g.VesselWide(vessel, Layout.Salt, _lane) -= outOfVessel;
        _g.VesselWide(vessel, Layout.SaltBook, _lane) -= outOfVessel;
        _g.Wide(account, _lane) += outOfVessel;
    }
}
