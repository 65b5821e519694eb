using BrightKettle.Core.Catalogue;
using NodaTime;

namespace BrightKettle.Core.Planning;

/// <summary>Why a dish cannot be planned as asked, with what would work.</summary>
/// <param name="Code">Stable; sentences for it stand elsewhere.</param>
/// <param name="Field">The wish that it is about.</param>
/// <param name="Facts">Figures for the sentence, each with its unit in the name.</param>
/// <param name="Alternatives">Nearest first; each has been planned and works.</param>
public sealed record PlanRefusal(string Code, string Field, PlanFacts Facts, IReadOnlyList<Alternative> Alternatives)
{
    /// <summary>The gate that blocks; null for other reasons.</summary>
    public string? Gate { get; init; }

    public const string TooSoon = "plan.too_soon";
    public const string SoakTooLate = "plan.soak_too_late";
    public const string PotTooSmall = "plan.pot_too_small";
    public const string PotTooSmallForRice = "plan.pot_too_small_for_rice";
    public const string RiceAboveHard = "plan.rice_above_hard";
    public const string RiceAboveSoft = "plan.rice_above_soft";
    public const string FlameWhileAsleep = "plan.flame_while_asleep";
    public const string FlameWhileAway = "plan.flame_while_away";
    public const string AwayFromStove = "plan.away_from_stove";
    public const string NeverBoils = "plan.never_boils";
    public const string NeverTender = "plan.never_tender";
    public const string GateBlocks = "plan.gate";

    /// <summary>Fewer than half of the pots come out as wanted, looks and all: that is no answer.</summary>
    public const string Unlikely = "plan.unlikely";
}

/// <summary>Figures behind a refusal; null where they do not apply.</summary>
/// <param name="NeededMillilitres">The fullest the pot would be.</param>
/// <param name="UsableMillilitres">What of the brim may be filled.</param>
/// <param name="At">The moment that it is about.</param>
/// <param name="Share">Of the pots that come out as wanted, 0 to 1.</param>
/// <param name="SpoiltBy">What spoils most of the others.</param>
/// <param name="RiceSoakMinutes">How long the rice stands in water first, where that is what takes so long.</param>
public sealed record PlanFacts(
    Instant? EarliestTable = null,
    Instant? LatestSoak = null,
    double? NeededMillilitres = null,
    double? UsableMillilitres = null,
    double? Minutes = null,
    Instant? At = null,
    double? Share = null,
    Spoilt? SpoiltBy = null,
    double? RiceSoakMinutes = null
);

/// <summary>One change that makes the dish possible.</summary>
/// <param name="Kind">serve_at, unsoaked, vessel, amount, way, place or style.</param>
/// <param name="BurnerId">For kind place: the burner, beside the pot.</param>
/// <param name="RiceVesselId">For kinds way and place: the rice's own pot; null where it joins the pulses.</param>
/// <param name="PulseTarget">For kind way: what the pulses are cooked to instead; null where that stays.</param>
/// <param name="Style">For kind style: wetter than was asked for.</param>
/// <param name="Scale">Factor on all amounts, for kind amount.</param>
public sealed record Alternative(
    string Kind,
    Instant? ServeAt = null,
    string? VesselId = null,
    double? Scale = null,
    SoakChoice? Soak = null,
    Method? Method = null,
    string? RiceVesselId = null,
    PulseTarget? PulseTarget = null,
    string? BurnerId = null,
    Style? Style = null
);
