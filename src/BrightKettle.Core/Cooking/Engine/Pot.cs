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
internal sealed partial class Pot
{
    private readonly PotGroup _g;
    private readonly int _lane;
    private readonly Script _script;
    private readonly Cook _cook;
    private readonly PotTraits _traits;
    private readonly ModelConstants _c;
    private readonly double _boilingPoint;
    private readonly VesselControl[] _vessels;
    private readonly BowlState[] _bowls;

    /// <summary>Dissolved in what stands in the jug, g.</summary>
    private double _jugSolids;

    /// <summary>Alkali of a kept soak in it, mmol.</summary>
    private double _jugAlkali;

    public Pot(PotGroup group, int lane, Script script, PotTraits traits, float grid)
    {
        var cook = script.Cook;
        (_g, _lane, _script, _cook, _traits, _c) = (group, lane, script, cook, traits, group.Constants);
        _boilingPoint = script.Boils;
        _vessels = new VesselControl[script.Vessels.Length];
        _bowls = new BowlState[script.Ingredients.Length];
        PotSetup.Load(group, lane, script, traits, grid);
        for (var i = 0; i < _bowls.Length; i++)
        {
            _bowls[i].Celsius = script.Ingredients[i] switch
            {
                PulseIngredient { Start: { } start } => start.Temperature.Celsius,
                RiceIngredient { Start: { } start } => start.Temperature.Celsius,
                ExtraIngredient x => x.Temperature.Celsius,
                _ => cook.Kitchen.Room.Celsius,
            };
        }

        for (var v = 0; v < _vessels.Length; v++)
        {
            _vessels[v] = new VesselControl { Lid = script.Vessels[v].Above ? Lid.Sealed : Lid.Open };
            Control(v);
        }
    }

    public double Now => _g.Wide(Layout.Now, _lane);

    public double BoilingCelsius => _boilingPoint;

    public Flame FlameOf(int vessel) => _vessels[vessel].Flame;

    public Lid LidOf(int vessel) => _vessels[vessel].Lid;

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
                if (
                    _vessels[v].Flame != Flame.Off
                    || Liquor(v) > 0
                    || Math.Abs(Celsius(v) - _cook.Kitchen.Room.Celsius) > PotGroup.ColdWithin
                )
                {
                    return false;
                }
            }

            for (var i = 0; i < _bowls.Length; i++)
            {
                if (PlaceOf(i) >= 0)
                {
                    return false;
                }
            }

            return true;
        }
    }

    /// <summary>Cold and without a flame, though something stands in it: longer steps do.</summary>
    public bool IsQuiet
    {
        get
        {
            for (var v = 0; v < _vessels.Length; v++)
            {
                if (_vessels[v].Flame != Flame.Off || Math.Abs(Celsius(v) - _cook.Kitchen.Room.Celsius) > PotGroup.ColdWithin)
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
        if (_g.Layout.KindOf(ingredient) != IngredientKind.Pulse)
        {
            return RiceDoneness(ingredient, soft);
        }

        // Past tender it is time.
        if (_g.Of(ingredient, Layout.RanTender, _lane) is > 0 and var tender)
        {
            return Cooking.Doneness.Tender * Math.Max(1, _g.Of(ingredient, Layout.Ran, _lane) / tender);
        }

        var wet = Math.Min(
            1,
            _g.OfWide(ingredient, Layout.Wet, _lane) / _g.Of(ingredient, Layout.Dry, _lane) / _g.Of(ingredient, Layout.Ceil, _lane)
        );
        var share = 0f;
        WaterStep<OneLane>.Doneness(_g.Step, OneLane.All((float)wet), OneLane.All((float)soft)).Store(ref share);
        return Cooking.Doneness.Tender * Math.Min(1, share);
    }

    /// <summary>Doneness that rice gains from drinking to the upper end of its usual uptake.</summary>
    private const double UsualGain = 8;

    /// <summary>Of a grain's own time past tender, after which what it has drunk is fully felt: four or five minutes (confidence D).</summary>
    private const double FeltWithin = 0.25;

    /// <summary>The same for each g/g beyond it: 0.2 more is wet, 0.4 mushy.</summary>
    private const double WetGain = 90;

    /// <summary>Up to tender it is time; above it is water, not time: dry and sealed it waits.</summary>
    private double RiceDoneness(int ingredient, double soft)
    {
        if (soft < 1 || _g.Layout.KindOf(ingredient) != IngredientKind.Rice)
        {
            return Cooking.Doneness.Tender * soft;
        }

        var usual = Math.Max(0.01, _g.Of(ingredient, Layout.Cooked, _lane));
        var over =
            (_g.OfWide(ingredient, Layout.Wet, _lane) / _g.Of(ingredient, Layout.Dry, _lane))
            - (_g.Of(ingredient, Layout.Ceil, _lane) * _g.Of(ingredient, Layout.WetFactor, _lane));
        // It is felt over some minutes as the grain gets tender, not at one blow.
        var felt = Math.Min(1, (soft - 1) / FeltWithin);
        return Cooking.Doneness.Tender + (felt * ((UsualGain * Math.Clamp(over / usual, 0, 1)) + (WetGain * Math.Max(0, over - usual))));
    }

    public SeedState Seed(int ingredient)
    {
        var dry = _script.Ingredients[ingredient].Dry.Grams;
        return new(
            PlaceOf(ingredient),
            _g.OfWide(ingredient, Layout.Wet, _lane) / dry,
            _g.OfWide(ingredient, Layout.Swollen, _lane) / dry,
            Doneness(ingredient),
            _g.OfWide(ingredient, Layout.SaltIn, _lane),
            _g.Of(ingredient, Layout.SoftFactor, _lane) <= 0
        );
    }

    public VesselState State(int vessel)
    {
        var (solids, water) = Binding(vessel);
        return new(
            Celsius(vessel),
            Liquor(vessel),
            _g.VesselWide(vessel, Layout.Salt, _lane),
            _g.Vessel(vessel, Layout.Vented, _lane),
            _g.Vessel(vessel, Layout.DryEnergy, _lane) / _script.Vessels[vessel].Vessel.AreaSquareCentimetres,
            _g.Vessel(vessel, Layout.Energy, _lane),
            _g.Vessel(vessel, Layout.Thick, _lane),
            solids,
            water
        );
    }

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

    public (double Heap, double Solid) Heap(int ingredient) =>
        PotGeometry.Of(
            _script.Ingredients[ingredient],
            (_g.OfWide(ingredient, Layout.Wet, _lane) + _g.OfWide(ingredient, Layout.Swollen, _lane))
                / _script.Ingredients[ingredient].Dry.Grams,
            _c
        );

    /// <summary>Whether no liquor is seen at the top of the bed any more: it fills a third of the voids at most.</summary>
    public bool SurfaceIsDry(int vessel)
    {
        var (heap, solid) = Bed(vessel);
        if (heap <= 0)
        {
            return false;
        }

        // Where there is rice, it lies over and between the pulses, and its own voids are what is seen.
        var voids = 0.0;
        for (var i = 0; i < _bowls.Length; i++)
        {
            if (PlaceOf(i) == vessel && _g.Layout.KindOf(i) == IngredientKind.Rice)
            {
                var (h, s) = Heap(i);
                voids += h - s;
            }
        }

        voids = voids > 0 ? voids : heap - solid;
        return PotGeometry.LiquorMillilitres(Liquor(vessel), Celsius(vessel)) < PotGeometry.DryVoids * voids;
    }

    /// <summary>Whether rice in a vessel is not tender yet.</summary>
    public bool HasHardRice(int vessel)
    {
        for (var i = 0; i < _bowls.Length; i++)
        {
            if (PlaceOf(i) == vessel && _g.Layout.KindOf(i) == IngredientKind.Rice && Doneness(i) < Cooking.Doneness.Tender)
            {
                return true;
            }
        }

        return false;
    }

    private double Capacity(int vessel)
    {
        var capacity = _g.Vessel(vessel, Layout.Shell, _lane) + (Liquor(vessel) * HeatStep<OneLane>.SpecificHeatWater);
        for (var i = 0; i < _bowls.Length; i++)
        {
            if (PlaceOf(i) == vessel)
            {
                capacity +=
                    _g.Of(i, Layout.Capacity, _lane)
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

    private void Control(int vessel) => VesselControls.Apply(_g, _lane, _script, _traits, vessel, _vessels[vessel]);
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
