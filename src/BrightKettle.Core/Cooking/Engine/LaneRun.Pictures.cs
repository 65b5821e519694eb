using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Kitchen;

namespace BrightKettle.Core.Cooking.Engine;

/// <summary>Samples and the fullest moment.</summary>
internal sealed partial class LaneRun
{
    private double Area(int vessel) => _script.Vessels[vessel].Vessel.AreaSquareCentimetres;

    private double OverBed(int vessel)
    {
        var (heap, solid) = _pot.Bed(vessel);
        var liquor = PotGeometry.LiquorMillilitres(_pot.Liquor(vessel), _pot.Celsius(vessel));
        return PotGeometry.Level(heap, solid, liquor, Area(vessel)) - (heap / Area(vessel));
    }

    /// <summary>How full it is, bed and liquor, mL.</summary>
    private double Filled(int vessel)
    {
        var (heap, solid) = _pot.Bed(vessel);
        var liquor = PotGeometry.LiquorMillilitres(_pot.Liquor(vessel), _pot.Celsius(vessel));
        return Math.Max(PotGeometry.Level(heap, solid, liquor, Area(vessel)) * Area(vessel), heap);
    }

    private void NotePeaks()
    {
        var filled = Filled(0);
        if (filled > _peak)
        {
            _peak = filled;
            _peakAt = _pot.Now;
        }
    }

    private void TakeSample()
    {
        if (_samples is null || _pot.Now <= _lastSample)
        {
            return;
        }

        if (_samples.Count >= MostSamples)
        {
            // A long cook is drawn no finer than a short one: what it costs to keep does not grow with it.
            _sampleEvery *= 2;
            _samples.RemoveAll(s => s.Seconds % _sampleEvery > 1);
        }

        _lastSample = _pot.Now;
        // What stands in a bowl beside is coming back to the pot that is drawn.
        var shown = Enumerable
            .Range(0, _script.Ingredients.Length)
            .Select(_pot.PlaceOf)
            .FirstOrDefault(v => v >= 0 && _script.Vessels[v].Vessel.Id != PulseBowl.Id, 0);
        var beds = new double[_script.Ingredients.Length];
        var doneness = new double[_script.Ingredients.Length];
        for (var i = 0; i < beds.Length; i++)
        {
            beds[i] = _pot.PlaceOf(i) == shown ? _pot.Heap(i).Heap / Area(shown) : 0;
            doneness[i] = _pot.Doneness(i);
        }

        _samples.Add(
            new(_pot.Now, Level(shown), doneness, beds)
            {
                All = _tracks.Length == 1 ? [] : [.. Enumerable.Range(0, _tracks.Length).Select(Level)],
            }
        );
    }

    private VesselLevel Level(int vessel)
    {
        var (heap, solid) = _pot.Bed(vessel);
        var liquor = PotGeometry.LiquorMillilitres(_pot.Liquor(vessel), _pot.Celsius(vessel));
        return new(_pot.Celsius(vessel), liquor, heap > 0 || liquor > 0 ? PotGeometry.Level(heap, solid, liquor, Area(vessel)) : 0);
    }
}
