namespace BrightKettle.Core.Cooking;

/// <summary>How one vessel stands at a moment. Volumes in mL at the liquor's temperature.</summary>
/// <param name="LevelCentimetres">Of the liquor over the base.</param>
public readonly record struct VesselLevel(double Celsius, double LiquorMillilitres, double LevelCentimetres);

/// <summary>One look at a simulated pot. Heights in cm.</summary>
/// <param name="Seconds">Since the cook starts.</param>
/// <param name="Shown">The vessel that holds the first of the ingredients that are in one; bowls beside are not shown.</param>
/// <param name="Doneness">One per ingredient.</param>
/// <param name="BedCentimetres">Height of each ingredient's layer in that vessel, one per ingredient; 0 for one that is elsewhere.</param>
public sealed record PotSample(double Seconds, VesselLevel Shown, IReadOnlyList<double> Doneness, IReadOnlyList<double> BedCentimetres)
{
    /// <summary>All vessels of a cook that has several; empty where there is one.</summary>
    public IReadOnlyList<VesselLevel> All { get; init; } = [];

    public double Celsius => Shown.Celsius;

    public double LiquorMillilitres => Shown.LiquorMillilitres;

    public double LevelCentimetres => Shown.LevelCentimetres;
}

/// <summary>Something that happened by itself.</summary>
public readonly record struct EventMoment(PotEvent What, double Seconds, int Vessel);

/// <summary>What an action did to one pot.</summary>
/// <param name="Seconds">When it was done, since the cook starts.</param>
/// <param name="LiquorBefore">Free liquor of its vessel just before, g.</param>
/// <param name="LiquorAfter">Free liquor just after, g.</param>
/// <param name="Doneness">Of each ingredient at that moment.</param>
/// <param name="OverBedBefore">Liquor over the bed just before, cm.</param>
/// <param name="OverBedCentimetres">The same just after, cm.</param>
public readonly record struct ActionDone(
    double Seconds,
    double LiquorBefore,
    double LiquorAfter,
    double[] Doneness,
    double Celsius,
    double OverBedBefore,
    double OverBedCentimetres
)
{
    /// <summary>How long somebody stood over it before it was done, s: liquor that was too much was boiled down.</summary>
    public double Took { get; init; }

    /// <summary>What was boiled down meanwhile, g.</summary>
    public double BoiledDown { get; init; }

    /// <summary>Liquor that was added, or, negative, poured off, g.</summary>
    public double Added => LiquorAfter - LiquorBefore;
}

/// <summary>One pot through a whole cook.</summary>
/// <param name="Done">One per action; null for those that were never reached. Empty where moments were not asked for.</param>
/// <param name="Happenings">In the order of the clock.</param>
/// <param name="StalledAt">The action whose condition never came, or null.</param>
/// <param name="Samples">Empty when none were asked for.</param>
/// <param name="Final">The ingredients at the end.</param>
/// <param name="Vessels">The vessels at the end.</param>
/// <param name="PeakMillilitres">The fullest the first vessel was.</param>
/// <param name="PeakSeconds">When.</param>
/// <param name="DrySeconds">How long a heat burned under a bed without liquor.</param>
/// <param name="WaterAdded">Poured in over the whole cook, bowls included, g.</param>
/// <param name="JugGrams">Kept in the jug at the end, g.</param>
/// <param name="WorstLedgerError">Largest difference of the two accounts of water or salt at the end, or at any step of an audited run,
/// g.</param>
public sealed record PotRun(
    IReadOnlyList<ActionDone?> Done,
    IReadOnlyList<EventMoment> Happenings,
    int? StalledAt,
    IReadOnlyList<PotSample> Samples,
    IReadOnlyList<SeedState> Final,
    IReadOnlyList<VesselState> Vessels,
    double PeakMillilitres,
    double PeakSeconds,
    double DrySeconds,
    double WaterAdded,
    double JugGrams,
    double WorstLedgerError
)
{
    /// <summary>It stalled because it went on for <see cref="WorkBudget.LongestCookHours"/>.</summary>
    public bool IsEndless { get; init; }

    /// <summary>Each time the boil was reached, seconds.</summary>
    public IReadOnlyList<double> BoilsAt => [.. Happenings.Where(h => h.What == PotEvent.Boils).Select(h => h.Seconds)];

    /// <summary>Free liquor of the first vessel at the end, g.</summary>
    public double FinalLiquor => Vessels[0].LiquorGrams;

    /// <summary>When the last action was done, seconds since the cook starts.</summary>
    /// <exception cref="InvalidOperationException">The run stalled.</exception>
    public double EndSeconds => Done[^1] is { } end ? end.Seconds : throw new InvalidOperationException("The run stalled before its end.");

    /// <summary>What this action did.</summary>
    /// <exception cref="InvalidOperationException">The run stalled before it.</exception>
    public ActionDone At(int action) => Done[action] ?? throw new InvalidOperationException("The run stalled before this action.");

    /// <summary>Seconds at which the nth event of this kind came, or null.</summary>
    public double? Nth(PotEvent what, int n = 1) =>
        Happenings.Where(h => h.What == what).Skip(n - 1).Select(h => (double?)h.Seconds).FirstOrDefault();

    /// <summary>Of one ingredient, between the samples of a sampled run; 0 before the first.</summary>
    /// <param name="seconds">Since the cook starts.</param>
    public double DonenessAt(int ingredient, double seconds)
    {
        var next = Samples.Count(s => s.Seconds <= seconds);
        if (next == 0)
        {
            return 0;
        }

        var from = Samples[next - 1];
        if (next == Samples.Count)
        {
            return from.Doneness[ingredient];
        }

        var to = Samples[next];
        var share = (seconds - from.Seconds) / (to.Seconds - from.Seconds);
        return from.Doneness[ingredient] + (share * (to.Doneness[ingredient] - from.Doneness[ingredient]));
    }
}
