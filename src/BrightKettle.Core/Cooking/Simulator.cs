using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Kitchen;
using NodaTime;

namespace BrightKettle.Core.Cooking;

/// <summary>Runs a cook on one pot. The only place where cooking time is computed.</summary>
public sealed class Simulator(ModelConstants constants)
{
    /// <summary>Names the equations; stored with each saved forecast.</summary>
    public const string ModelVersion = "1";

    /// <summary>The longest step while anything is warm.</summary>
    public static readonly Duration DefaultStep = Duration.FromSeconds(10);

    /// <summary>How long a run waits for an event or for a look to be answered with yes.</summary>
    private const double PatienceSeconds = 9 * 3600;

    private const double SampleSeconds = 60;
    private const double QuietSeconds = 900;

    public ModelConstants Constants { get; } = constants;

    /// <summary>Runs every action in turn.</summary>
    /// <param name="cook">Valid by <see cref="CookRules"/>.</param>
    /// <param name="sample">Whether to keep a sample each minute.</param>
    /// <param name="step">The longest step, at most 10 s; shorter only to test that it does not matter.</param>
    public PotRun Run(Cook cook, PotTraits traits, bool sample = false, Duration? step = null) =>
        new Runner(cook, new Pot(cook, traits, Constants), sample, (step ?? DefaultStep).TotalSeconds).Run();

    /// <summary>As <see cref="Run"/>, with a pot that loses water which no account is told of: proves that the balance is watched.</summary>
    internal PotRun RunWithLeak(Cook cook, PotTraits traits, double leakGramsPerSecond) =>
        new Runner(cook, new Pot(cook, traits, Constants, leakGramsPerSecond), false, DefaultStep.TotalSeconds).Run();

    private sealed class Runner
    {
        private readonly Cook _cook;
        private readonly Pot _pot;
        private readonly double _step;
        private readonly ActionDone?[] _done;
        private readonly List<double> _boils = [];
        private readonly List<PotSample>? _samples;
        private readonly double _area;
        private readonly List<(int Action, double Due)> _bowls;
        private int _bowl;
        private double _worst;
        private double _peak;
        private double _peakAt;

        public Runner(Cook cook, Pot pot, bool sample, double step)
        {
            _cook = cook;
            _pot = pot;
            _step = step;
            _done = new ActionDone?[cook.Actions.Count];
            _samples = sample ? new(400) : null;
            _area = cook.Kitchen.Vessel.AreaSquareCentimetres;
            _bowls = [.. BowlLane.Due(cook).Select(b => (b.Action, (b.At - cook.Starts).TotalSeconds)).OrderBy(b => b.Item2).ThenBy(b => b.Action)];
        }

        public PotRun Run()
        {
            int? stalled = null;
            TakeSample();
            for (var i = 0; i < _cook.Actions.Count; i++)
            {
                if (BowlLane.Holds(_cook.Actions[i]))
                {
                    continue;
                }

                if (!Await(_cook.Actions[i]))
                {
                    stalled = i;
                    break;
                }

                Do(i);
            }

            TakeSample();
            return new(_done, _boils, stalled, _samples ?? [], _pot.Seeds, _pot.Liquor, _pot.Salt, _peak, _peakAt, _pot.DrySeconds, _worst);
        }

        private bool Await(CookAction action)
        {
            var when = action.When;
            var start = _pot.Now;
            var from = start;
            if (when.After is { } what)
            {
                while (Since(what) is null)
                {
                    if (_pot.Now - start > PatienceSeconds || (_pot.Flame == Flame.Off && what == PotEvent.Boils))
                    {
                        return false;
                    }

                    AdvanceTo(_pot.Now + _step);
                }

                from = Math.Max(start, Since(what)!.Value);
            }

            var due = from + (when.Delay?.TotalSeconds ?? 0);
            if (when.NotBefore is { } instant)
            {
                due = Math.Max(due, (instant - _cook.Starts).TotalSeconds);
            }

            if (action is CookAction.Add add)
            {
                due = Math.Max(due, BowlDone(add.IngredientId));
            }

            AdvanceTo(due);
            return when.Look is not { } look || AwaitLook(look);
        }

        /// <summary>An ingredient cannot leave its bowl before its own soak and drain are done.</summary>
        private double BowlDone(string id)
        {
            var last = 0.0;
            foreach (var (action, due) in _bowls)
            {
                if (BowlLane.IngredientOf(_cook.Actions[action]) == id)
                {
                    last = Math.Max(last, due);
                }
            }

            return last;
        }

        private bool AwaitLook(Look look)
        {
            var index = _cook.IndexOf(look.IngredientId);
            var last = _pot.Now + PatienceSeconds;
            while (_pot.Seeds[index].Doneness < look.Doneness)
            {
                if (_pot.Now >= last)
                {
                    return false;
                }

                AdvanceTo(_pot.Now + look.Again.TotalSeconds);
            }

            return true;
        }

        private double? Since(PotEvent what) => what == PotEvent.Boils ? _pot.BoilingSince : _pot.SurfaceDrySince;

        private void AdvanceTo(double until)
        {
            while (_bowl < _bowls.Count && _bowls[_bowl].Due <= until + 1e-9)
            {
                Pass(_bowls[_bowl].Due);
                Do(_bowls[_bowl++].Action);
            }

            Pass(until);
        }

        private void Pass(double until)
        {
            while (_pot.Now < until - 1e-9)
            {
                var grid = _pot.IsQuiet ? QuietSeconds : SampleSeconds;
                var next = (Math.Floor((_pot.Now + 1e-6) / grid) + 1) * grid;
                // A quiet _pot is moved on by closed forms that are exact for any _step.
                var most = _pot.IsQuiet ? QuietSeconds : _step;
                var boiling = _pot.BoilingSince;
                _pot.Advance(Math.Min(Math.Min(until, next) - _pot.Now, most));
                if (_pot.BoilingSince is { } since && boiling is null)
                {
                    _boils.Add(since);
                }

                _worst = Math.Max(_worst, _pot.LedgerError);
                if (Math.Abs(_pot.Now - next) < 1e-6)
                {
                    NotePeak();
                    TakeSample();
                }
            }
        }

        private void Do(int at)
        {
            var action = _cook.Actions[at];
            var before = _pot.Liquor;
            var overBefore = OverBed();
            switch (action)
            {
                case CookAction.Soak a:
                    _pot.Cover(_cook.IndexOf(a.IngredientId), a.Water.Grams, a.Temperature.Celsius);
                    break;
                case CookAction.Drain { IngredientId: { } id }:
                    _pot.EmptyBowl(_cook.IndexOf(id));
                    break;
                case CookAction.Drain:
                    _pot.PourOff(double.PositiveInfinity);
                    break;
                case CookAction.Chill a:
                    _pot.Seeds[_cook.IndexOf(a.IngredientId)].OutsideCelsius = a.Temperature.Celsius;
                    break;
                case CookAction.Add a:
                    _pot.IntoPot(_cook.IndexOf(a.IngredientId));
                    break;
                case CookAction.AddWater a:
                    _pot.PourWater(a.Water.Grams, a.Temperature.Celsius);
                    break;
                case CookAction.AddSalt a:
                    _pot.AddSalt(a.Salt.Grams);
                    break;
                case CookAction.Measure a:
                    if (a.Liquor.Grams > _pot.Liquor)
                    {
                        _pot.PourWater(a.Liquor.Grams - _pot.Liquor, BoilingPoint.At(_cook.Kitchen.AltitudeMetres).Celsius);
                    }
                    else
                    {
                        _pot.PourOff(_pot.Liquor - a.Liquor.Grams);
                    }

                    break;
                case CookAction.Heat a:
                    _pot.Flame = a.Flame;
                    break;
                case CookAction.Cover a:
                    _pot.Lid = a.Lid;
                    break;
            }

            _worst = Math.Max(_worst, _pot.LedgerError);
            NotePeak();
            var doneness = new double[_pot.Seeds.Length];
            for (var i = 0; i < doneness.Length; i++)
            {
                doneness[i] = _pot.Seeds[i].Doneness;
            }

            _done[at] = new(_pot.Now, before, _pot.Liquor, doneness, _pot.Celsius, overBefore, OverBed());
        }

        private double OverBed()
        {
            var (heap, solid) = _pot.Bed();
            var liquor = PotGeometry.LiquorMillilitres(Math.Max(0, _pot.Liquor), _pot.Celsius);
            return PotGeometry.Level(heap, solid, liquor, _area) - (heap / _area);
        }

        private void NotePeak()
        {
            var (heap, solid) = _pot.Bed();
            var liquor = PotGeometry.LiquorMillilitres(Math.Max(0, _pot.Liquor), _pot.Celsius);
            var filled = PotGeometry.Level(heap, solid, liquor, _area) * _area;
            filled = Math.Max(filled, heap);
            if (filled > _peak)
            {
                _peak = filled;
                _peakAt = _pot.Now;
            }
        }

        private void TakeSample()
        {
            if (_samples is null)
            {
                return;
            }

            var (heap, solid) = _pot.Bed();
            var liquor = PotGeometry.LiquorMillilitres(Math.Max(0, _pot.Liquor), _pot.Celsius);
            var beds = new double[_pot.Seeds.Length];
            var doneness = new double[_pot.Seeds.Length];
            for (var i = 0; i < beds.Length; i++)
            {
                beds[i] = _pot.Seeds[i].Place == Place.Pot ? _pot.Heap(i).Heap / _area : 0;
                doneness[i] = _pot.Seeds[i].Doneness;
            }

            _samples.Add(new(_pot.Now, _pot.Celsius, liquor, heap > 0 || liquor > 0 ? PotGeometry.Level(heap, solid, liquor, _area) : 0, doneness, beds));
        }
    }
}
