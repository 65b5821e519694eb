namespace BrightKettle.Core.Catalogue;

/// <summary>The typical figures of effects.json under the names that the simulator uses; each with its unit.</summary>
/// <remarks>Sources and ranges stand in the data file, which docs/model.md prints.</remarks>
public sealed class ModelConstants(IReadOnlyDictionary<string, Effect> effects)
{
    /// <summary>Temperature step for a tenfold softening rate, °C.</summary>
    public double SofteningZ { get; } = effects["softening_z"].Typical;

    public double SofteningZBelow90 { get; } = effects["softening_z_below_90"].Typical;

    /// <summary>Share of the cold ceiling at which softening starts.</summary>
    public double GateStart { get; } = effects["hydration_gate_start"].Typical;

    public double GateFull { get; } = effects["hydration_gate_full"].Typical;

    /// <summary>Activation energy of the coat's opening, J/mol.</summary>
    public double CoatEnergy { get; } = 1000 * effects["coat_opening_energy"].Typical;

    /// <summary>Standard deviation of ln(cooking time) between the seeds of one pot.</summary>
    public double SeedSpread { get; } = effects["seed_spread"].Typical;

    /// <summary>Standard deviation of ln(pace) between bags.</summary>
    public double LotSpread { get; } = effects["lot_spread"].Typical;

    /// <summary>Activation energy of rice cooking, J/mol.</summary>
    public double RiceEnergy { get; } = 1000 * effects["rice_activation"].Typical;

    public double RiceSlowing { get; } = effects["rice_bean_liquor_slowing"].Typical;

    public double RiceThirst { get; } = effects["rice_bean_liquor_thirst"].Typical;

    public double RiceSpread { get; } = effects["rice_spread"].Typical;

    public double RiceThirstSpread { get; } = effects["rice_thirst_spread"].Typical;

    /// <summary>Surface evaporation of an open pot at 94 °C, kg per m² and hour.</summary>
    public double EvaporationOpen { get; } = effects["evaporation_open"].Typical;

    public double EvaporationAjar { get; } = effects["evaporation_factor_ajar"].Typical;

    public double EvaporationLidOn { get; } = effects["evaporation_factor_on"].Typical;

    public double EvaporationSealed { get; } = effects["evaporation_factor_sealed"].Typical;

    public double EvaporationSpread { get; } = effects["evaporation_spread"].Typical;

    /// <summary>Heat lost through wall and lid, W per m² and K.</summary>
    public double WallLoss { get; } = effects["wall_loss"].Typical;

    public double BurnerSpread { get; } = effects["burner_spread"].Typical;

    /// <summary>Power into steam at the lowest flame that still bubbles, W.</summary>
    public double VigourGentle { get; } = effects["vigour_gentle"].Typical;

    public double VigourLively { get; } = effects["vigour_lively"].Typical;

    public double VigourRolling { get; } = effects["vigour_rolling"].Typical;

    /// <summary>How far the mean liquor of a quiet simmer lies under the boiling point, K.</summary>
    public double SimmerBelowBoil { get; } = effects["simmer_below_boil"].Typical;

    /// <summary>g/mL.</summary>
    public double SeedDensity { get; } = effects["seed_density"].Typical;

    public double RiceDensity { get; } = effects["rice_density"].Typical;

    /// <summary>Bulk density of cooked rice in the pot, g/mL.</summary>
    public double RiceCookedBulk { get; } = effects["rice_cooked_bulk"].Typical;

    /// <summary>J per g and K.</summary>
    public double SpecificHeatDry { get; } = effects["specific_heat_dry"].Typical;
}
