using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Kitchen;

namespace BrightKettle.Core.Cooking;

/// <summary>One simulated pot: its state and how it moves on. Seconds, grams, °C, watts.</summary>
/// <remarks>Knows no gates: it can run an unsafe cook, which a gate then keeps from becoming advice.</remarks>
internal sealed class Pot
{
    /// <summary>Latent heat of water at the boil, J/g (steam tables, 2257 at 100 °C).</summary>
    private const double Latent = 2257;

    /// <summary>J/(g K).</summary>
    private const double SpecificHeatWater = 4.18;

    /// <summary>Below this much liquor per gram dry the bed is no longer wetted all over.</summary>
    private const double WettingShare = 0.08;

    /// <summary>Solids in the liquor, g per g, at which bean liquor counts as full.</summary>
    private const double FullBroth = 0.04;

    private readonly Cook _cook;
    private readonly ModelConstants _c;
    private readonly PulseKinetics[] _pulse;
    private readonly RiceKinetics[] _rice;
    private readonly bool[] _isPulse;
    private readonly double[] _dry;
    private readonly double[] _drink;
    private readonly double[] _swell;
    private readonly double _boilingPoint;
    private readonly double _room;
    private readonly double _area;
    private readonly double _evaporation;
    private readonly double _vigour;
    private readonly double _most;
    private readonly double _least;
    private readonly double _leakPerSecond;
    private readonly bool _watchesSurface;
    private readonly (double Hydration, double Coat)[] _rates;

    // A pot spends most of its steps at one temperature: rates are worked out again only when it moves.
    private double _ratesCelsius = double.NaN;
    private double _softening;
    private double _riceRate;
    private double _vapourCelsius = double.NaN;
    private double _vapour;

    public Pot(Cook cook, PotTraits traits, ModelConstants constants, double leakGramsPerSecond = 0)
    {
        _cook = cook;
        _c = constants;
        var n = cook.Ingredients.Count;
        Seeds = new SeedState[n];
        _pulse = new PulseKinetics[n];
        _rice = new RiceKinetics[n];
        _isPulse = [.. cook.Ingredients.Select(i => i is PulseIngredient)];
        _dry = [.. cook.Ingredients.Select(i => i.Dry.Grams)];
        _drink = new double[n];
        _swell = new double[n];
        Ledger = new WaterLedger(n);
        _boilingPoint = BoilingPoint.At(cook.Kitchen.AltitudeMetres).Celsius;
        _room = cook.Kitchen.RoomCelsius;
        _area = cook.Kitchen.Vessel.AreaSquareCentimetres;
        Celsius = _room;
        _evaporation = traits.Evaporation * constants.EvaporationOpen * 1000 / 3600 / 10_000 * _area;
        _vigour = traits.Evaporation;
        _most = cook.Kitchen.Burner.Most.Watts * traits.BurnerPower;
        _least = cook.Kitchen.Burner.Least.Watts * traits.BurnerPower;
        _leakPerSecond = leakGramsPerSecond;
        _rates = new (double, double)[n];
        _watchesSurface = cook.Actions.Any(a => a.When.After == PotEvent.SurfaceDry);
        for (var i = 0; i < n; i++)
        {
            Seeds[i].OutsideCelsius = _room;
            switch (cook.Ingredients[i])
            {
                case PulseIngredient p:
                    _pulse[i] = new PulseKinetics(p.Pulse, traits.Pace[i], constants);
                    Seeds[i].Coat = _pulse[i].HasCoat ? 0 : 1;
                    break;
                case RiceIngredient r:
                    _rice[i] = new RiceKinetics(r.Rice, traits.Pace[i], traits.RiceThirst, constants);
                    break;
            }
        }
    }

    public SeedState[] Seeds { get; }

    public WaterLedger Ledger { get; }

    /// <summary>Seconds since the cook starts.</summary>
    public double Now { get; private set; }

    public double Celsius { get; private set; }

    /// <summary>Free liquor, g of water.</summary>
    public double Liquor { get; private set; }

    public double Salt { get; private set; }

    public Flame Flame { get; set; }

    public Lid Lid { get; set; }

    /// <summary>Since when it has boiled without a pause; null while it does not.</summary>
    public double? BoilingSince { get; private set; }

    /// <summary>Since when the surface of the bed has been dry; null while liquor stands near or over it.</summary>
    public double? SurfaceDrySince { get; private set; }

    /// <summary>Seconds that a flame burned under a pot without free liquor: the bed scorches.</summary>
    public double DrySeconds { get; private set; }

    /// <summary>Nothing in the pot changes but what stands in bowls.</summary>
    public bool IsQuiet => Flame == Flame.Off && Math.Abs(Celsius - _room) < 0.2;

    /// <summary>Largest difference between what the physics holds and what the book says, g; the water balance.</summary>
    public double LedgerError
    {
        get
        {
            var worst = Math.Max(Math.Abs(Ledger.Sum), Math.Abs(Liquor - Ledger[WaterAccount.Liquor]));
            var bowls = 0.0;
            for (var i = 0; i < Seeds.Length; i++)
            {
                bowls += Seeds[i].BowlGrams;
                worst = Math.Max(worst, Math.Abs((Seeds[i].Uptake * _dry[i]) - Ledger.InIngredient(i)));
            }

            return Math.Max(worst, Math.Abs(bowls - Ledger[WaterAccount.Bowl]));
        }
    }

    public (double Heap, double Solid) Bed()
    {
        var (heap, solid) = (0.0, 0.0);
        for (var i = 0; i < Seeds.Length; i++)
        {
            if (Seeds[i].Place == Place.Pot)
            {
                var (h, s) = Heap(i);
                heap += h;
                solid += s;
            }
        }

        return (heap, solid);
    }

    public (double Heap, double Solid) Heap(int index) => PotGeometry.Of(_cook.Ingredients[index], Seeds[index].Uptake, _c);

    public void PourWater(double grams, double celsius)
    {
        Mix(grams * SpecificHeatWater, celsius);
        Liquor += grams;
        Ledger.Post(WaterAccount.Tap, WaterAccount.Liquor, grams);
    }

    /// <summary>Pours off at most what is free; answers how much went.</summary>
    public double PourOff(double grams)
    {
        var gone = Math.Clamp(grams, 0, Liquor);
        Liquor -= gone;
        Ledger.Post(WaterAccount.Liquor, WaterAccount.PouredAway, gone);
        return gone;
    }

    public void AddSalt(double grams) => Salt += grams;

    public void Cover(int index, double grams, double celsius)
    {
        ref var seed = ref Seeds[index];
        seed.Place = Place.Bowl;
        seed.OutsideCelsius = celsius;
        seed.BowlGrams += grams;
        Ledger.Post(WaterAccount.Tap, WaterAccount.Bowl, grams);
    }

    public void EmptyBowl(int index)
    {
        ref var seed = ref Seeds[index];
        Ledger.Post(WaterAccount.Bowl, WaterAccount.PouredAway, seed.BowlGrams);
        seed.BowlGrams = 0;
    }

    public void IntoPot(int index)
    {
        ref var seed = ref Seeds[index];
        var grams = _dry[index];
        Mix(grams * (_c.SpecificHeatDry + (seed.Uptake * SpecificHeatWater)), seed.OutsideCelsius);
        Ledger.Post(WaterAccount.Bowl, WaterAccount.Liquor, seed.BowlGrams);
        Mix(seed.BowlGrams * SpecificHeatWater, seed.OutsideCelsius);
        Liquor += seed.BowlGrams;
        seed.BowlGrams = 0;
        seed.Place = Place.Pot;
    }

    /// <summary>Moves on by at most one step; the boil is found inside it, not at its end.</summary>
    public void Advance(double seconds)
    {
        var surface = Liquor > 0 ? _evaporation * LidFactor() * Vapour() * Math.Min(1, Liquor / 50) : 0;
        var loss = WallLoss() * (Celsius - _room);
        var power = Power(loss + (Latent * surface));
        var net = power - loss - (Latent * surface);
        if (Celsius < _boilingPoint || net < 0)
        {
            var rate = net / HeatCapacity();
            if (Celsius + (rate * seconds) > _boilingPoint)
            {
                var until = Math.Max(0, (_boilingPoint - Celsius) / rate);
                Settle(until, surface, 0, (Celsius + _boilingPoint) / 2);
                Celsius = _boilingPoint;
                BoilingSince ??= Now;
                if (seconds - until > 1e-9)
                {
                    Advance(seconds - until);
                }

                return;
            }

            Settle(seconds, surface, 0, Celsius + (rate * seconds / 2));
            Celsius += rate * seconds;
            if (Celsius < _boilingPoint - 0.5)
            {
                BoilingSince = null;
            }

            return;
        }

        BoilingSince ??= Now;
        Settle(seconds, surface, Liquor > 0 ? net : 0, Celsius);
    }

    private double Power(double losses)
    {
        var held = Flame switch
        {
            Flame.Gentle => _c.VigourGentle,
            Flame.Lively => _c.VigourLively,
            Flame.Rolling => _c.VigourRolling,
            _ => 0,
        };
        return Flame switch
        {
            Flame.Off => 0,
            Flame.Lowest => _least,
            Flame.Full => _most,
            _ when Celsius < _boilingPoint - 1 => _most,
            _ => Math.Clamp(losses + (held * _vigour), _least, _most),
        };
    }

    private double Vapour()
    {
        if (Celsius != _vapourCelsius)
        {
            _vapourCelsius = Celsius;
            _vapour = RateLaws.Vapour(Celsius);
        }

        return _vapour;
    }

    private void SetRates(double celsius)
    {
        if (celsius == _ratesCelsius)
        {
            return;
        }

        _ratesCelsius = celsius;
        _softening = RateLaws.Softening(celsius, _c);
        _riceRate = RateLaws.Rice(celsius, _c);
        for (var i = 0; i < _rates.Length; i++)
        {
            if (_isPulse[i])
            {
                _rates[i] = _pulse[i].RatesAt(celsius);
            }
        }
    }

    private double LidFactor() => Lid switch
    {
        Lid.Open => 1,
        Lid.Ajar => _c.EvaporationAjar,
        Lid.On => _c.EvaporationLidOn,
        _ => _c.EvaporationSealed,
    };

    /// <summary>W/K: the wetted wall, about 12 cm of it, and the lid's top when one is on.</summary>
    private double WallLoss()
    {
        var wall = Math.PI * _cook.Kitchen.Vessel.Diameter.Centimetres * Math.Min(12, _cook.Kitchen.Vessel.HeightCentimetres);
        return _c.WallLoss / 10_000 * (wall + (Lid == Lid.Open ? 0 : 0.8 * _area));
    }

    private double HeatCapacity()
    {
        var capacity = _cook.Kitchen.Vessel.HeatCapacity + (Liquor * SpecificHeatWater);
        for (var i = 0; i < Seeds.Length; i++)
        {
            if (Seeds[i].Place == Place.Pot)
            {
                capacity += _dry[i] * (_c.SpecificHeatDry + (Seeds[i].Uptake * SpecificHeatWater));
            }
        }

        return capacity;
    }

    private void Mix(double capacity, double celsius)
    {
        var own = HeatCapacity();
        Celsius = ((own * Celsius) + (capacity * celsius)) / (own + capacity);
        if (Celsius < _boilingPoint - 0.5)
        {
            BoilingSince = null;
        }
    }

    /// <summary>Water and doneness over a span, at the temperature of its middle.</summary>
    private void Settle(double seconds, double surface, double boilWatts, double middleCelsius)
    {
        if (seconds <= 0)
        {
            return;
        }

        // A quiet simmer is a little cooler in the mean than a rolling boil; under the boil the pot is what it is.
        var vigour = Math.Min(1, boilWatts / _c.VigourRolling);
        var celsius = Math.Min(middleCelsius, _boilingPoint - (_c.SimmerBelowBoil * (1 - vigour)));
        SetRates(celsius);
        var wanted = Want(seconds, out var dry, out var broth);
        var wet = Math.Min(1, Liquor / ((WettingShare * dry) + 1e-9));
        var given = wanted > 0 ? Math.Min(wet, 0.9 * Liquor / wanted) : 0;
        Feed(seconds, given, broth);

        var steam = Math.Min(Liquor, (surface + (boilWatts / Latent)) * seconds);
        Liquor -= steam;
        Ledger.Post(WaterAccount.Liquor, WaterAccount.Steam, steam);
        Liquor -= _leakPerSecond * seconds;
        if (Flame != Flame.Off && dry > 0 && Liquor < 0.01 * dry)
        {
            DrySeconds += seconds;
        }

        Now += seconds;
        NoteSurface(seconds);
    }

    /// <summary>How much water the bed would take in this time if it were wet all over.</summary>
    private double Want(double seconds, out double dry, out double broth)
    {
        var wanted = 0.0;
        dry = 0;
        broth = BrothShare();
        for (var i = 0; i < Seeds.Length; i++)
        {
            ref var seed = ref Seeds[i];
            var grams = _dry[i];
            _drink[i] = _swell[i] = 0;
            if (seed.Place == Place.Shelf)
            {
                continue;
            }

            if (seed.Place == Place.Bowl)
            {
                SoakInBowl(i, seconds);
                continue;
            }

            dry += grams;
            if (_isPulse[i])
            {
                _drink[i] = (_pulse[i].ColdCeiling - seed.Hydration) * PulseKinetics.Hydrate(_rates[i], ref seed.Coat, seconds);
                // Swelling follows doneness with a minute's delay, so that a wetted bed does not gulp.
                _swell[i] = Math.Max(0, _pulse[i].SwellingAt(seed.Doneness) - seed.Swelling) * Math.Min(1, seconds / 60);
            }
            else
            {
                _drink[i] = _rice[i].Drink(seed, _riceRate, broth, seconds);
            }

            wanted += (_drink[i] + _swell[i]) * grams;
        }

        return wanted;
    }

    private void Feed(double seconds, double given, double broth)
    {
        for (var i = 0; i < Seeds.Length; i++)
        {
            ref var seed = ref Seeds[i];
            if (seed.Place != Place.Pot)
            {
                continue;
            }

            // Softening goes by the wetness of the middle of the step, so that halving it changes next to nothing.
            var halfway = seed.Hydration + (given * _drink[i] / 2);
            seed.Hydration += given * _drink[i];
            seed.Swelling += given * _swell[i];
            var grams = given * (_drink[i] + _swell[i]) * _dry[i];
            Liquor -= grams;
            Ledger.Post(WaterAccount.Liquor, WaterLedger.Ingredient(i), grams);
            if (_isPulse[i])
            {
                seed.Doneness += _pulse[i].Soften(halfway, _softening) * seconds;
            }
            else
            {
                seed.Doneness += _rice[i].Cook(seed, _riceRate, broth, seconds);
            }
        }
    }

    private void SoakInBowl(int index, double seconds)
    {
        ref var seed = ref Seeds[index];
        if (seed.BowlGrams <= 0)
        {
            return;
        }

        var dry = _dry[index];
        var gain = _isPulse[index]
            ? (_pulse[index].ColdCeiling - seed.Hydration) * PulseKinetics.Hydrate(_pulse[index].RatesAt(seed.OutsideCelsius), ref seed.Coat, seconds)
            : RiceKinetics.Soak(seed, seconds);
        gain = Math.Min(gain, seed.BowlGrams / dry);
        seed.Hydration += gain;
        seed.BowlGrams -= gain * dry;
        Ledger.Post(WaterAccount.Bowl, WaterLedger.Ingredient(index), gain * dry);
    }

    /// <summary>0 in water, 1 where the pulses have given off as many solids as bean liquor usually holds.</summary>
    private double BrothShare()
    {
        var solids = 0.0;
        for (var i = 0; i < Seeds.Length; i++)
        {
            if (_isPulse[i] && Seeds[i].Place == Place.Pot)
            {
                solids += _dry[i] * _pulse[i].SolidsLoss * Math.Min(1.3, Seeds[i].Doneness / Doneness.Tender);
            }
        }

        return solids <= 0 ? 0 : Math.Min(1, solids / (Liquor + 1) / FullBroth);
    }

    private void NoteSurface(double seconds)
    {
        if (!_watchesSurface)
        {
            return;
        }

        var (heap, solid) = Bed();
        var dry = heap > 0 && PotGeometry.LiquorMillilitres(Math.Max(0, Liquor), Celsius) < 0.5 * (heap - solid);
        SurfaceDrySince = dry ? SurfaceDrySince ?? Now - seconds : null;
    }
}
