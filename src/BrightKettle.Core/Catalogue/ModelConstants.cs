namespace BrightKettle.Core.Catalogue;

/// <summary>The typical figures of effects.json under the names that the simulator uses; each with its unit.</summary>
/// <remarks>Sources and ranges stand in the data file, which docs/model.md prints.</remarks>
public sealed class ModelConstants(IReadOnlyDictionary<string, Effect> effects, IReadOnlyDictionary<string, Curve> curves)
{
    /// <summary>The same figures with some of them set otherwise: for a fit, and to ask what a doubtful figure changes.</summary>
    /// <exception cref="KeyNotFoundException">No effect of that name.</exception>
    public ModelConstants With(params IEnumerable<(string Id, double Typical)> changes)
    {
        var changed = new Dictionary<string, Effect>(effects);
        foreach (var (id, typical) in changes)
        {
            changed[id] = changed[id] with { Typical = typical };
        }

        return new(changed, curves);
    }

    public Effect Effect(string id) => effects[id];

    public Curve Curve(string id) => curves[id];

    /// <summary>Temperature step for a tenfold softening rate over 100 °C, °C.</summary>
    public double SofteningZAbove100 { get; } = effects["softening_z_above_100"].Typical;

    /// <summary>Softening runs as this power of the hydrated share.</summary>
    public int GatePower { get; } = (int)Math.Round(effects["hydration_gate_power"].Typical);

    /// <summary>Share of doneness that being wet through already gives.</summary>
    public double HydrationShare { get; } = effects["hydration_share_of_doneness"].Typical;

    /// <summary>Activation energy of uptake over 98 °C, J/mol.</summary>
    public double HydrationEnergyHot { get; } = 1000 * effects["hydration_energy_hot"].Typical;

    /// <summary>Activation energy of rice cooking over 110 °C, J/mol.</summary>
    public double RiceEnergyHot { get; } = 1000 * effects["rice_activation_hot"].Typical;

    public double RiceToasted { get; } = effects["rice_toasted_slowing"].Typical;

    /// <summary>K.</summary>
    public double WhistleDrop { get; } = effects["whistle_drop"].Typical;

    /// <summary>How far under the boil a slow cooker's plateau lies, K.</summary>
    public double SlowBelowBoil { get; } = effects["slow_below_boil"].Typical;

    public double WhistleSpread { get; } = effects["whistle_spread"].Typical;

    /// <summary>W/K.</summary>
    public double SteamToBowl { get; } = effects["steam_to_bowl"].Typical;

    public double BowlCondensate { get; } = effects["bowl_condensate"].Typical;

    /// <summary>Seconds.</summary>
    public double SaltTimeBean { get; } = 60 * effects["salt_time_bean"].Typical;

    public double SaltTimeSplit { get; } = 60 * effects["salt_time_split"].Typical;

    public double AcidTime { get; } = 60 * effects["acid_time"].Typical;

    /// <summary>mmol per g dry and pH.</summary>
    public double AcidBuffer { get; } = effects["acid_buffer"].Typical / 1000;

    public double WarmFirming { get; } = effects["warm_firming"].Typical;

    /// <summary>W per m² and K.</summary>
    public double WrappedLoss { get; } = effects["wrapped_loss"].Typical;

    /// <summary>g per g dry.</summary>
    public double Cling { get; } = effects["cling"].Typical;

    public double LiquorFilm { get; } = effects["liquor_film"].Typical;

    /// <summary>J per cm².</summary>
    public double CrustEnergy { get; } = effects["crust_energy"].Typical;

    /// <summary>Temperature step for a tenfold softening rate, °C.</summary>
    public double SofteningZ { get; } = effects["softening_z"].Typical;

    public double SofteningZBelow90 { get; } = effects["softening_z_below_90"].Typical;

    /// <summary>How much more the first half of softening is felt than the second.</summary>
    public double DonenessBulge { get; } = effects["doneness_bulge"].Typical;

    /// <summary>Softening of a bed above its liquor, in steam, against that in water.</summary>
    public double SteamSoftening { get; } = effects["steam_softening"].Typical;

    /// <summary>Speed at which tinned pulses soften further, against dry ones.</summary>
    public double TinnedSpeed { get; } = effects["tinned_speed"].Typical;

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
