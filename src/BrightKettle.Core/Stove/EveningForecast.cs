using BrightKettle.Core.Cooking;
using BrightKettle.Core.Learning;
using BrightKettle.Core.Planning;
using NodaTime;

namespace BrightKettle.Core.Stove;

/// <summary>When something that is still to do will be due.</summary>
/// <param name="Early">Eight pots in ten come to it between this and late.</param>
public sealed record DueForecast(string MomentId, Instant Early, Instant At, Instant Late, Band LiquorGrams);

/// <summary>How an evening stands at a moment: what is known, and what will come of it.</summary>
/// <param name="Cook">What was done and what is still to do, with what is known of bag, pot and burner.</param>
/// <param name="Pending">For each action of the cook: the moment that it waits in; null for what was done.</param>
/// <param name="Prior">What was known before anything was seen.</param>
/// <param name="Due">In the order in which it will be due.</param>
/// <param name="Table">Null when it never gets there as it is.</param>
/// <param name="Pot">The reference pot now; null before anything is in it.</param>
public sealed record EveningForecast(
    EveningState Evening,
    Instant Now,
    Cook Cook,
    IReadOnlyList<Moment?> Pending,
    TraitEstimate Traits,
    TraitEstimate Prior,
    Forecast Forecast,
    IReadOnlyList<DueForecast> Due,
    DueForecast? Table,
    PotSample? Pot
);

/// <summary>What putting something off comes to.</summary>
/// <param name="Table">By how much later it is on the table; negative never, but for the run's own grain of seconds.</param>
/// <param name="Run">The reference pot's run through it.</param>
public sealed record DelayCost(Duration Table, PotRun Run);
