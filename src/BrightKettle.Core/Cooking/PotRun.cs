namespace BrightKettle.Core.Cooking;

/// <summary>One look at a simulated pot. Heights in cm, volumes in mL at the liquor's temperature.</summary>
/// <param name="Seconds">Since the cook starts.</param>
/// <param name="Doneness">One per ingredient.</param>
/// <param name="BedCentimetres">Height of each ingredient's own layer, one per ingredient.</param>
/// <param name="LevelCentimetres">Of the liquor over the base.</param>
public sealed record PotSample(
    double Seconds,
    double Celsius,
    double LiquorMillilitres,
    double LevelCentimetres,
    IReadOnlyList<double> Doneness,
    IReadOnlyList<double> BedCentimetres)
{
    /// <summary>Liquor standing over the bed, cm; negative where the bed's top is dry.</summary>
    public double OverBedCentimetres => LevelCentimetres - BedCentimetres.Sum();
}

/// <summary>What an action did to one pot.</summary>
/// <param name="Seconds">When it was done, since the cook starts.</param>
/// <param name="LiquorBefore">Free liquor just before, g.</param>
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
    double OverBedCentimetres)
{
    /// <summary>Liquor that was added, or, negative, poured off, g.</summary>
    public double Added => LiquorAfter - LiquorBefore;
}

/// <summary>One pot through a whole cook.</summary>
/// <param name="Done">One per action; null for those that were never reached.</param>
/// <param name="BoilsAt">Each time the boil was reached, seconds.</param>
/// <param name="StalledAt">The action whose condition never came, or null.</param>
/// <param name="Samples">Empty when none were asked for.</param>
/// <param name="Final">The seeds at the end.</param>
/// <param name="FinalLiquor">Free liquor at the end, g.</param>
/// <param name="PeakMillilitres">The fullest the pot was.</param>
/// <param name="PeakSeconds">When.</param>
/// <param name="WorstLedgerError">Largest difference of the two water accounts over the run, g.</param>
public sealed record PotRun(
    IReadOnlyList<ActionDone?> Done,
    IReadOnlyList<double> BoilsAt,
    int? StalledAt,
    IReadOnlyList<PotSample> Samples,
    IReadOnlyList<SeedState> Final,
    double FinalLiquor,
    double FinalSalt,
    double PeakMillilitres,
    double PeakSeconds,
    double DrySeconds,
    double WorstLedgerError)
{
    /// <summary>When the last action was done, seconds since the cook starts.</summary>
    /// <exception cref="InvalidOperationException">The run stalled.</exception>
    public double EndSeconds => Done[^1] is { } end ? end.Seconds : throw new InvalidOperationException("The run stalled before its end.");

    /// <summary>What this action did.</summary>
    /// <exception cref="InvalidOperationException">The run stalled before it.</exception>
    public ActionDone At(int action) => Done[action] ?? throw new InvalidOperationException("The run stalled before this action.");
}
