using NodaTime;

namespace BrightKettle.Core.Planning;

/// <summary>By how much the moments of a plan are pulled from where they were best, whole minutes; positive is later.</summary>
/// <param name="Table">All of it: -1440 to 1440.</param>
/// <param name="Light">The first flame alone: -600 to 600.</param>
/// <param name="Join">The rice or the pulses in: -240 to 240.</param>
/// <param name="Seal">Turning down and sealing, after the boil: 0 to 60.</param>
/// <param name="FlameOff">The last flame: -60 to 120.</param>
public sealed record Pull(int Table = 0, int Light = 0, int Join = 0, int Seal = 0, int FlameOff = 0)
{
    public bool IsNothing => this == new Pull();

    /// <summary>The way with its moments moved; what waits for an event still waits for it.</summary>
    internal Way Of(Way way)
    {
        var all = Duration.FromMinutes(Table);
        var light = way.LightAt + all + Duration.FromMinutes(Light);
        var join = Instant.Max(light, way.JoinAt + all + Duration.FromMinutes(Join));
        // The flame goes out when it did, however late it is turned down.
        var last = Math.Max(0, way.LastMinutes + FlameOff - Seal);
        return way with
        {
            LightAt = light,
            JoinAt = join,
            FirstLook = Instant.Max(light, way.FirstLook + all),
            SealDelay = Duration.FromMinutes(Seal),
            LastMinutes = last,
            // A hand that pulls the flame's end means the clock, not a look.
            RiceOff = FlameOff == 0 && Seal == 0 ? way.RiceOff : null,
        };
    }
}

/// <summary>A plan pulled out of its best shape, with what that costs.</summary>
/// <param name="Obstacle">What stands against it as it is pulled; null when nothing does.</param>
public sealed record PulledPlan(Plan Plan, IReadOnlyList<Difference> Differences, PlanRefusal? Obstacle);
