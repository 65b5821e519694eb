using BrightKettle.Core.Catalogue;

namespace BrightKettle.Core.Cooking;

/// <summary>What a flame under a base without liquor has made of the lowest layer.</summary>
public enum BaseState
{
    Clean,
    Crust,
    Scorched,
}

/// <summary>From heat to crust.</summary>
public static class Crust
{
    /// <summary>A crust blackens when so many times its heat has gone in (confidence D).</summary>
    private const double ScorchedAt = 4;

    /// <summary>The worst of all vessels at the end of a run.</summary>
    public static BaseState Of(PotRun run, ModelConstants constants)
    {
        ArgumentNullException.ThrowIfNull(run);
        ArgumentNullException.ThrowIfNull(constants);
        return run.Vessels.Max(v => Of(v, constants));
    }

    /// <summary>Of one vessel at the end of a run.</summary>
    public static BaseState Of(VesselState vessel, ModelConstants constants)
    {
        ArgumentNullException.ThrowIfNull(constants);
        var worst = vessel.CrustJoules;
        return worst >= ScorchedAt * constants.CrustEnergy ? BaseState.Scorched
            : worst >= constants.CrustEnergy ? BaseState.Crust
            : BaseState.Clean;
    }
}
