namespace BrightKettle.Core.Cooking.Engine;

/// <summary>Water by how high it stands.</summary>
internal sealed partial class LaneRun
{
    /// <summary>Whoever keeps a level looks so often, s.</summary>
    private const double KeepsEverySeconds = 180;

    /// <summary>Less is not poured after, cm; of a thin bed no more than this share, or half of it would stand dry.</summary>
    private const double LetsFallBy = 0.5;
    private const double LetsFallShare = 1.0 / 3;

    private void TopUp(int vessel, double overBed, double celsius)
    {
        var missing = GramsFor(vessel, overBed) - _pot.Liquor(vessel);
        if (missing > 0)
        {
            _pot.PourWater(vessel, missing, celsius);
        }
    }

    private void KeepLevel(int vessel)
    {
        ref var track = ref _tracks[vessel];
        var kept = track.Kept;
        if (IsOver || double.IsNaN(kept) || _pot.Now < track.KeptDue - 1e-3)
        {
            return;
        }

        // By its own clock, so that nothing else that is looked at changes what is poured.
        track.KeptDue = _pot.Now + KeepsEverySeconds;
        if (
            _pot.Stage(vessel) == PressureStage.None
            && OverBed(vessel) < kept - Math.Min(LetsFallBy, LetsFallShare * _pot.Bed(vessel).Heap / Area(vessel))
        )
        {
            TopUp(vessel, kept, _pot.BoilingCelsius);
        }
    }

    /// <summary>Liquor that stands so high over the bed as it is now, g; 0 where the bed is deeper under that than it is high.</summary>
    private double GramsFor(int vessel, double overBed)
    {
        var (heap, solid) = _pot.Bed(vessel);
        var area = Area(vessel);
        var wanted = overBed + (heap / area);
        // The level rises with the liquor throughout: halved until it is known to a hundredth of a gram.
        var (low, high) = (0.0, Math.Max(0, wanted) * area * 1.1);
        for (var i = 0; i < 40 && high - low > 0.01; i++)
        {
            var middle = (low + high) / 2;
            (low, high) = PotGeometry.Level(heap, solid, middle, area) < wanted ? (middle, high) : (low, middle);
        }

        return PotGeometry.LiquorGrams(high, _pot.Celsius(vessel));
    }
}
