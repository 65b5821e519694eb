using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Kitchen;

namespace BrightKettle.Core.Cooking.Engine;

/// <summary>How far a cooker is on its way to pressure.</summary>
internal enum PressureStage
{
    None,

    /// <summary>Locked, still letting air and steam out.</summary>
    Venting,

    /// <summary>The valve has seated: it climbs to its pressure and stays there.</summary>
    Closed,
}

/// <summary>One lane of a group as one pot: what a cook's hands do to it, in grams and °C, each flow to two accounts.</summary>
/// <remarks>Knows no gates: it can run an unsafe cook, which a gate then keeps from becoming advice.</remarks>
internal sealed class Pot
{
    private readonly PotGroup _g;
    private readonly int _lane;
    private readonly Cook _cook;
    private readonly PotTraits _traits;
    private readonly ModelConstants _c;
    private readonly double _boilingPoint;
    private readonly VesselControl[] _vessels;
    private readonly BowlState[] _bowls;

    public Pot(PotGroup group, int lane, Cook cook, PotTraits traits, float grid)
    {
        (_g, _lane, _cook, _traits, _c) = (group, lane, cook, traits, group.Constants);
        _boilingPoint = BoilingPoint.At(cook.Kitchen.AltitudeMetres).Celsius;
        _vessels = new VesselControl[cook.Kitchen.VesselCount];
        _bowls = new BowlState[cook.Ingredients.Count];
        PotSetup.Load(group, lane, cook, traits, grid);
        for (var i = 0; i < _bowls.Length; i++)
        {
            _bowls[i].Celsius = cook.Ingredients[i] switch
            {
                PulseIngredient { CookedAt: { } at } => at.Celsius,
                ExtraIngredient x => x.Temperature.Celsius,
                _ => cook.Kitchen.RoomCelsius,
            };
        }

        for (var v = 0; v < _vessels.Length; v++)
        {
            _vessels[v] = new VesselControl { Lid = cook.Kitchen[v].Above ? Lid.Sealed : Lid.Open };
            Control(v);
        }
    }

    public double Now => _g.Wide(Layout.Now, _lane);

    public double BoilingCelsius => _boilingPoint;

    public Flame FlameOf(int vessel) => _vessels[vessel].Flame;

    public PressureStage Stage(int vessel) => _vessels[vessel].Stage;

    public double Celsius(int vessel) => _g.Vessel(vessel, Layout.Celsius, _lane);

    public double Liquor(int vessel) => Math.Max(0, _g.VesselWide(vessel, Layout.Liquor, _lane));

    public bool IsBoiling(int vessel) => _g.Vessel(vessel, Layout.Boiling, _lane) > 0.5f;

    public int PlaceOf(int ingredient) => (int)_g.Of(ingredient, Layout.Place, _lane);

    public double DrySeconds => Enumerable.Range(0, _vessels.Length).Sum(v => (double)_g.Vessel(v, Layout.DrySeconds, _lane));

    /// <summary>Whether nothing changes but what stands in bowls: cold, no flame, nothing in any vessel.</summary>
    public bool IsAsleep
    {
        get
        {
            for (var v = 0; v < _vessels.Length; v++)
            {
                if (_vessels[v].Flame != Flame.Off || Liquor(v) > 0 || Math.Abs(Celsius(v) - _cook.Kitchen.RoomCelsius) > 0.2)
                {
                    return false;
                }
            }

            return !Enumerable.Range(0, _bowls.Length).Any(i => PlaceOf(i) >= 0);
        }
    }

    /// <summary>Cold and without a flame, though something stands in it: longer steps do.</summary>
    public bool IsQuiet
    {
        get
        {
            for (var v = 0; v < _vessels.Length; v++)
            {
                if (_vessels[v].Flame != Flame.Off || Math.Abs(Celsius(v) - _cook.Kitchen.RoomCelsius) > 0.2)
                {
                    return false;
                }
            }

            return true;
        }
    }

    /// <summary>Largest difference between what the physics holds and what the book says, g of water or salt.</summary>
    public double LedgerError => Ledger.Error(_g, _lane);

    public double Doneness(int ingredient)
    {
        double soft = _g.Of(ingredient, Layout.Soft, _lane);
        if (_g.Layout.KindOf(ingredient) != Matter.Pulse)
        {
            return Cooking.Doneness.Tender * soft;
        }

        var wet = Math.Min(1, _g.OfWide(ingredient, Layout.Wet, _lane) / _g.Of(ingredient, Layout.Dry, _lane) / _g.Of(ingredient, Layout.Ceil, _lane));
        return Cooking.Doneness.Tender * ((_c.HydrationShare * wet) + ((1 - _c.HydrationShare) * soft));
    }

    public SeedState Seed(int ingredient)
    {
        var dry = _cook.Ingredients[ingredient].Dry.Grams;
        return new(
            PlaceOf(ingredient),
            _g.OfWide(ingredient, Layout.Wet, _lane) / dry,
            _g.OfWide(ingredient, Layout.Swollen, _lane) / dry,
            Doneness(ingredient),
            _g.OfWide(ingredient, Layout.SaltIn, _lane),
            _g.Of(ingredient, Layout.SoftFactor, _lane) <= 0);
    }

    public VesselState State(int vessel) => new(
        Celsius(vessel),
        Liquor(vessel),
        _g.VesselWide(vessel, Layout.Salt, _lane),
        _g.Vessel(vessel, Layout.Vented, _lane),
        _g.Vessel(vessel, Layout.DryEnergy, _lane) / _cook.Kitchen[vessel].Vessel.AreaSquareCentimetres,
        _g.Vessel(vessel, Layout.Energy, _lane),
        _g.Vessel(vessel, Layout.Thick, _lane));

    /// <summary>Water that was poured in from outside, g.</summary>
    public double WaterAdded => -_g.Wide(Layout.Tap, _lane);

    public double SaltAdded => -_g.Wide(Layout.SaltAdded, _lane);

    public double JugGrams => _g.Wide(Layout.Jug, _lane);

    /// <summary>Heap and solid volume of the bed in a vessel, mL.</summary>
    public (double Heap, double Solid) Bed(int vessel)
    {
        var (heap, solid) = (0.0, 0.0);
        for (var i = 0; i < _bowls.Length; i++)
        {
            if (PlaceOf(i) == vessel)
            {
                var (h, s) = Heap(i);
                heap += h;
                solid += s;
            }
        }

        return (heap, solid);
    }

    public (double Heap, double Solid) Heap(int ingredient) => PotGeometry.Of(
        _cook.Ingredients[ingredient],
        (_g.OfWide(ingredient, Layout.Wet, _lane) + _g.OfWide(ingredient, Layout.Swollen, _lane)) / _cook.Ingredients[ingredient].Dry.Grams,
        _c);

    /// <summary>Whether the top of the bed is no longer wet: the liquor fills less than half of the voids.</summary>
    public bool SurfaceIsDry(int vessel)
    {
        var (heap, solid) = Bed(vessel);
        return heap > 0 && PotGeometry.LiquorMillilitres(Liquor(vessel), Celsius(vessel)) < 0.5 * (heap - solid);
    }

    public void SetFlame(int vessel, Flame flame, double? netWatts)
    {
        (_vessels[vessel].Flame, _vessels[vessel].NetWatts) = (flame, netWatts);
        Control(vessel);
    }

    public void SetLid(int vessel, Lid lid)
    {
        _vessels[vessel].Lid = lid;
        Control(vessel);
    }

    public void Lock(int vessel, bool high)
    {
        ref var control = ref _vessels[vessel];
        control.Lid = Lid.Sealed;
        control.Stage = PressureStage.Venting;
        control.High = high;
        control.VentFrom = _g.Vessel(vessel, Layout.Vented, _lane);
        Control(vessel);
    }

    /// <summary>Seconds until the valve seats at the present rate of steam; 0 when it has.</summary>
    public double UntilVented(int vessel)
    {
        var cooker = _cook.Kitchen[vessel].Vessel.Cooker!;
        var left = cooker.VentGrams - (_g.Vessel(vessel, Layout.Vented, _lane) - _vessels[vessel].VentFrom);
        var rate = Math.Max(0, _g.Vessel(vessel, Layout.Net, _lane)) / HeatStep<OneLane>.Latent;
        return left <= 0 ? 0 : IsBoiling(vessel) && rate > 0 ? left / rate : double.PositiveInfinity;
    }

    public void Seat(int vessel)
    {
        _vessels[vessel].Stage = PressureStage.Closed;
        _g.Vessel(vessel, Layout.Boiling, _lane) = 0;
        Control(vessel);
    }

    /// <summary>A weight lets steam go: the cooker falls by a few degrees, and what that sets free leaves as steam.</summary>
    public void Whistle(int vessel)
    {
        Flash(vessel, Celsius(vessel) - (_c.WhistleDrop * _traits.Whistle));
        _g.Vessel(vessel, Layout.Boiling, _lane) = 0;
    }

    /// <summary>Opens the valve; what is over the boiling point flashes off.</summary>
    public void Open(int vessel)
    {
        if (Celsius(vessel) > _boilingPoint)
        {
            Flash(vessel, _boilingPoint);
        }

        _vessels[vessel].Stage = PressureStage.None;
        _vessels[vessel].Lid = Lid.On;
        Control(vessel);
    }

    /// <summary>Seconds until the pin falls at the present rate of cooling; 0 when it is down.</summary>
    public double UntilPinDown(int vessel)
    {
        var over = Celsius(vessel) - (_boilingPoint + 0.3);
        var rate = -_g.Vessel(vessel, Layout.Rate, _lane);
        return _vessels[vessel].Stage == PressureStage.None || over <= 0 ? 0 : rate > 0 ? over / rate : double.PositiveInfinity;
    }

    public void PourWater(int vessel, double grams, double celsius, double iceShare = 0)
    {
        MixHeat(vessel, grams * HeatStep<OneLane>.SpecificHeatWater, celsius, iceShare * grams * 334);
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
        if (keep)
        {
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
        MixHeat(vessel, back * HeatStep<OneLane>.SpecificHeatWater, _vessels[vessel].JugCelsius > 0 ? _vessels[vessel].JugCelsius : _cook.Kitchen.RoomCelsius);
        Post(vessel, Layout.Jug, -back);
        PostSalt(vessel, Layout.SaltJug, -salt);
        _g.Wide(Layout.JugBook, _lane) -= back;
        _g.Wide(Layout.SaltJugBook, _lane) -= salt;
    }

    /// <summary>All the liquor but the film that clings to the bed.</summary>
    public void DrainVessel(int vessel, bool keep)
    {
        var film = 0.0;
        for (var i = 0; i < _bowls.Length; i++)
        {
            film += PlaceOf(i) == vessel ? _c.Cling * _cook.Ingredients[i].Dry.Grams : 0;
        }

        PourOff(vessel, Math.Max(0, Liquor(vessel) - film), keep);
    }

    public void AddSalt(int vessel, double grams)
    {
        PostSalt(vessel, Layout.SaltAdded, -grams);
        Freshen();
    }

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

    public void EmptyBowl(int ingredient)
    {
        SoakOn(ingredient);
        ref var bowl = ref _bowls[ingredient];
        var share = Math.Min(1, bowl.WetSeconds / (8 * 3600));
        var time = 1 + (share * ((_c.Curve("brine_soak").Typical(100 * bowl.SaltShare) * _c.Curve("soda_soak").Typical(bowl.Soda)) - 1));
        _g.Of(ingredient, Layout.LotFactor, _lane) *= (float)time;
        var grams = _g.OfWide(ingredient, Layout.Bowl, _lane);
        _g.OfWide(ingredient, Layout.Bowl, _lane) = 0;
        _g.OfWide(ingredient, Layout.BowlBook, _lane) -= grams;
        _g.Wide(Layout.Gone, _lane) += grams;
        _g.Wide(Layout.SaltGone, _lane) += _g.OfWide(ingredient, Layout.SaltBowl, _lane);
        _g.OfWide(ingredient, Layout.SaltBowl, _lane) = 0;
        (bowl.SaltShare, bowl.Soda) = (0, 0);
        Freshen();
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
        var film = _c.Cling * _cook.Ingredients[ingredient].Dry.Grams;
        PostBowl(ingredient, Math.Max(0, film - _g.OfWide(ingredient, Layout.Bowl, _lane)));
    }

    public void IntoVessel(int vessel, int ingredient)
    {
        SoakOn(ingredient);
        var celsius = _bowls[ingredient].Celsius;
        var own = _g.Of(ingredient, Layout.Capacity, _lane)
            + ((_g.OfWide(ingredient, Layout.Wet, _lane) + _g.OfWide(ingredient, Layout.Swollen, _lane)) * HeatStep<OneLane>.SpecificHeatWater);
        MixHeat(vessel, own, celsius);
        var bowl = _g.OfWide(ingredient, Layout.Bowl, _lane);
        MixHeat(vessel, bowl * HeatStep<OneLane>.SpecificHeatWater, celsius);
        _g.OfWide(ingredient, Layout.Bowl, _lane) = 0;
        _g.OfWide(ingredient, Layout.BowlBook, _lane) -= bowl;
        _g.VesselWide(vessel, Layout.Liquor, _lane) += bowl;
        _g.VesselWide(vessel, Layout.LiquorBook, _lane) += bowl;
        var salt = _g.OfWide(ingredient, Layout.SaltBowl, _lane);
        _g.OfWide(ingredient, Layout.SaltBowl, _lane) = 0;
        _g.VesselWide(vessel, Layout.Salt, _lane) += salt;
        _g.VesselWide(vessel, Layout.SaltBook, _lane) += salt;
        if (_cook.Ingredients[ingredient] is ExtraIngredient extra)
        {
            var free = extra.Dry.Grams * extra.Extra.FreeWater;
            MixHeat(vessel, free * HeatStep<OneLane>.SpecificHeatWater, celsius);
            Post(vessel, Layout.Shelf, -free);
            if (extra.Extra.SaltMinutes <= 0)
            {
                Dissolve(vessel, ingredient);
            }
        }

        _g.Of(ingredient, Layout.Place, _lane) = vessel;
        _g.Vessel(vessel, Layout.RatesAt, _lane) = float.NaN;
        Freshen();
    }

    /// <summary>Pieces out of the pot, with what they hold.</summary>
    public void TakeOut(int ingredient)
    {
        var water = _g.OfWide(ingredient, Layout.Wet, _lane) + _g.OfWide(ingredient, Layout.Swollen, _lane);
        var salt = _g.OfWide(ingredient, Layout.SaltIn, _lane);
        _g.OfWide(ingredient, Layout.Wet, _lane) = _g.OfWide(ingredient, Layout.Swollen, _lane) = _g.OfWide(ingredient, Layout.SaltIn, _lane) = 0;
        _g.OfWide(ingredient, Layout.Book, _lane) -= water;
        _g.OfWide(ingredient, Layout.SaltInBook, _lane) -= salt;
        _g.Wide(Layout.Gone, _lane) += water;
        _g.Wide(Layout.SaltGone, _lane) += salt;
        _g.Of(ingredient, Layout.Place, _lane) = PotSetup.OnShelf;
    }

    public void Move(int from, int to, TransferWhat what, int ingredient, double most)
    {
        var celsius = Celsius(from);
        if (what is TransferWhat.Ingredient or TransferWhat.Everything)
        {
            for (var i = 0; i < _bowls.Length; i++)
            {
                if (PlaceOf(i) == from && (what == TransferWhat.Everything || i == ingredient))
                {
                    var water = _g.OfWide(i, Layout.Wet, _lane) + _g.OfWide(i, Layout.Swollen, _lane);
                    _g.Of(i, Layout.Place, _lane) = PotSetup.OnShelf;
                    MixHeat(to, _g.Of(i, Layout.Capacity, _lane) + (water * HeatStep<OneLane>.SpecificHeatWater), celsius);
                    _g.Of(i, Layout.Place, _lane) = to;
                    most = what == TransferWhat.Ingredient ? _c.LiquorFilm * (_cook.Ingredients[i].Dry.Grams + water) : most;
                }
            }
        }

        var gone = Math.Min(most, Liquor(from));
        var share = gone <= 0 ? 0 : gone / Liquor(from);
        var salt = share * _g.VesselWide(from, Layout.Salt, _lane);
        MixHeat(to, gone * HeatStep<OneLane>.SpecificHeatWater, celsius);
        foreach (var (row, amount) in new[] { (Layout.Liquor, gone), (Layout.LiquorBook, gone), (Layout.Salt, salt), (Layout.SaltBook, salt) })
        {
            _g.VesselWide(from, row, _lane) -= amount;
            _g.VesselWide(to, row, _lane) += amount;
        }

        var thick = (float)share * _g.Vessel(from, Layout.Thick, _lane);
        _g.Vessel(from, Layout.Thick, _lane) -= thick;
        _g.Vessel(to, Layout.Thick, _lane) += thick;
        _g.Vessel(from, Layout.RatesAt, _lane) = _g.Vessel(to, Layout.RatesAt, _lane) = float.NaN;
        Freshen();
    }

    /// <summary>Solids that come into the liquor when this share of a pulse is crushed: most of what is not skin.</summary>
    public void Mash(int ingredient, double share) =>
        _g.Vessel(PlaceOf(ingredient), Layout.Thick, _lane) += (float)(0.6 * share * _cook.Ingredients[ingredient].Dry.Grams);

    public void Thicken(int vessel, double starch, double water)
    {
        PourWater(vessel, water, _cook.Kitchen.RoomCelsius);
        _g.Vessel(vessel, Layout.Thick, _lane) += (float)starch;
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
            Chemistry.Settle(_g, _lane, 0);
            return;
        }

        for (var i = 0; i < _bowls.Length; i++)
        {
            if (_g.Layout.KindOf(i) == Matter.Pulse)
            {
                _g.Of(i, Layout.SoftFactor, _lane) = Chemistry.Speed(_g.Of(i, Layout.LotFactor, _lane));
            }
        }
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
        var dry = _cook.Ingredients[ingredient].Dry.Grams;
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

    private void PostBowl(int ingredient, double grams)
    {
        _g.OfWide(ingredient, Layout.Bowl, _lane) += grams;
        _g.OfWide(ingredient, Layout.BowlBook, _lane) += grams;
        _g.Wide(Layout.Tap, _lane) -= grams;
    }

    private double Capacity(int vessel)
    {
        var capacity = _g.Vessel(vessel, Layout.Shell, _lane) + (Liquor(vessel) * HeatStep<OneLane>.SpecificHeatWater);
        for (var i = 0; i < _bowls.Length; i++)
        {
            if (PlaceOf(i) == vessel)
            {
                capacity += _g.Of(i, Layout.Capacity, _lane)
                    + ((_g.OfWide(i, Layout.Wet, _lane) + _g.OfWide(i, Layout.Swollen, _lane)) * HeatStep<OneLane>.SpecificHeatWater);
            }
        }

        return capacity;
    }

    private void MixHeat(int vessel, double capacity, double celsius, double coldJoules = 0)
    {
        if (capacity <= 0)
        {
            return;
        }

        var own = Capacity(vessel);
        var mixed = Math.Max(0, ((own * Celsius(vessel)) + (capacity * celsius) - coldJoules) / (own + capacity));
        SetCelsius(vessel, mixed);
    }

    private void SetCelsius(int vessel, double celsius)
    {
        _g.Vessel(vessel, Layout.Celsius, _lane) = Math.Min((float)celsius, _g.Vessel(vessel, Layout.Ceiling, _lane));
        if (_g.Vessel(vessel, Layout.Celsius, _lane) < _g.Vessel(vessel, Layout.Ceiling, _lane) - 0.5f)
        {
            _g.Vessel(vessel, Layout.Boiling, _lane) = 0;
        }
    }

    private void Flash(int vessel, double celsius)
    {
        var steam = Math.Min(Liquor(vessel), Capacity(vessel) * (Celsius(vessel) - celsius) / HeatStep<OneLane>.Latent);
        Post(vessel, Layout.Steam, Math.Max(0, steam));
        _g.Vessel(vessel, Layout.Vented, _lane) += (float)Math.Max(0, steam);
        SetCelsius(vessel, celsius);
    }

    private void Control(int vessel) => VesselControls.Apply(_g, _lane, _cook, _traits, vessel, _vessels[vessel], _boilingPoint);
}

/// <summary>How the cook has set one vessel.</summary>
internal struct VesselControl
{
    public Flame Flame;
    public double? NetWatts;
    public Lid Lid;
    public PressureStage Stage;
    public bool High;
    public float VentFrom;
    public double JugCelsius;
}

/// <summary>An ingredient's bowl, beside the amounts that the group holds.</summary>
internal struct BowlState
{
    public double Celsius;
    public double SaltShare;
    public double Soda;
    public double Since;
    public double WetSeconds;
}
