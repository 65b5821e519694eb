using System.Runtime.CompilerServices;

namespace BrightKettle.Core.Cooking.Engine;

/// <summary>Heat into and out of one vessel. Seconds, grams, °C, watts.</summary>
internal static class HeatStep<T>
    where T : struct, ILanes<T>
{
    /// <summary>Latent heat of water at the boil, J/g (steam tables: 2257 at 100 °C, exact to 4 digits).</summary>
    public const float Latent = 2257;

    /// <summary>J/(g K).</summary>
    public const float SpecificHeatWater = 4.18f;

    /// <summary>Steam that reaches a bowl above brings heat only once there is steam: from 85 to 100 °C.</summary>
    private const float SteamFrom = 85;

    /// <summary>What a bowl above draws from the vessel below; to be asked before either is moved on.</summary>
    public static void Above(PotGroup g, int bowl)
    {
        var below = T.Load(ref g.Row<T>(Layout.VesselFloat(0) + Layout.Celsius));
        var own = T.Load(ref g.Row<T>(Layout.VesselFloat(bowl) + Layout.Celsius));
        var steamy = T.Max(T.All(0.08f), T.Min(T.All(1), (below - T.All(SteamFrom)) * T.All(1f / 15)));
        var watts = T.All(g.Step.SteamToBowl) * steamy * (below - own);
        watts.Store(ref g.Row<T>(Layout.VesselFloat(bowl) + Layout.FromBelow));
        (T.Load(ref g.Row<T>(Layout.VesselFloat(0) + Layout.FromBelow)) - watts).Store(
            ref g.Row<T>(Layout.VesselFloat(0) + Layout.FromBelow)
        );
    }

    /// <summary>Works out how fast the vessel warms and answers the step, cut short where it meets its ceiling, or the temperature at
    /// which it is only held.</summary>
    public static T Look(PotGroup g, int vessel, T step)
    {
        var v = Layout.VesselFloat(vessel);
        var celsius = T.Load(ref g.Row<T>(v + Layout.Celsius));
        var ceiling = T.Load(ref g.Row<T>(v + Layout.Ceiling));
        var liquor = T.Max(T.All(0), T.FromWide(ref g.WideRow<T>(Layout.VesselDouble(vessel) + Layout.Liquor)));
        if (!T.Same(celsius, T.Load(ref g.Row<T>(v + Layout.VapourAt))))
        {
            SetVapour(g, v, celsius);
        }

        var surface =
            T.Load(ref g.Row<T>(v + Layout.Evaporation)) * T.Load(ref g.Row<T>(v + Layout.Vapour)) * T.Min(T.All(1), liquor * T.All(0.02f));
        var need =
            (T.Load(ref g.Row<T>(v + Layout.Loss)) * (celsius - T.Load(ref g.Row<T>(v + Layout.Room))))
            + (T.All(Latent) * surface)
            - T.Load(ref g.Row<T>(v + Layout.FromBelow));
        var most = T.Load(ref g.Row<T>(v + Layout.Most));
        var held = T.Min(most, T.Max(T.Load(ref g.Row<T>(v + Layout.Least)), need + T.Load(ref g.Row<T>(v + Layout.Vigour))));
        var holdsFrom = T.Load(ref g.Row<T>(v + Layout.Hold)) - T.All(1);
        var below = T.Less(celsius, holdsFrom);
        var offAbove = T.Load(ref g.Row<T>(v + Layout.OffAbove));
        var over = T.Less(offAbove, celsius);
        var power = T.Where(below, most, T.Where(over, T.All(0), held));
        var net = power - need;
        var rate = net / Capacity(g, vessel, liquor);
        surface.Store(ref g.Row<T>(v + Layout.Surface));
        power.Store(ref g.Row<T>(v + Layout.Power));
        net.Store(ref g.Row<T>(v + Layout.Net));
        rate.Store(ref g.Row<T>(v + Layout.Rate));
        var rising = T.Less(T.All(1e-9f), rate) & T.Less(celsius, ceiling);
        var sinking = over & T.Less(rate, T.All(-1e-9f));
        if (T.Bits(rising) == 0 && T.Bits(sinking) == 0)
        {
            // All at their ceilings, or cooling: most of a cook.
            return step;
        }

        var next = T.Where(sinking, offAbove - T.All(2e-3f), T.Where(below, T.Min(ceiling, holdsFrom + T.All(2e-3f)), ceiling));
        var until = T.Max(T.All(0.05f), (next - celsius) / T.Where(sinking, T.Min(T.All(-1e-9f), rate), T.Max(T.All(1e-9f), rate)));
        return T.Where(rising, T.Min(step, until), T.Where(sinking, T.Min(step, until), step));
    }

    /// <summary>Moves the temperature on; answers the watts that go into steam and the temperature of the middle of the step.</summary>
    public static (T BoilWatts, T Middle) Move(PotGroup g, int vessel, T step)
    {
        var v = Layout.VesselFloat(vessel);
        var celsius = T.Load(ref g.Row<T>(v + Layout.Celsius));
        var ceiling = T.Load(ref g.Row<T>(v + Layout.Ceiling));
        var net = T.Load(ref g.Row<T>(v + Layout.Net));
        var next = T.Min(ceiling, celsius + (T.Load(ref g.Row<T>(v + Layout.Rate)) * step));
        var under = T.Less(celsius, ceiling);
        // Nothing cools past the room: little in a thin bowl would, in a long step, and swing ever wider.
        next = T.Max(next, T.Min(celsius, T.Load(ref g.Row<T>(v + Layout.Room))));
        next = T.Where(T.Less(ceiling - T.All(2e-3f), next) & T.Less(T.All(0), net), ceiling, next);
        next.Store(ref g.Row<T>(v + Layout.Celsius));
        // A pot that was opened, or filled, at the very boil arrives as well: it need not rise first.
        var arrived = T.Less(T.All(0), net) & T.Less(ceiling - T.All(1e-3f), next);
        var boiling = T.Load(ref g.Row<T>(v + Layout.Boiling));
        var cooled = T.Less(next, ceiling - T.All(0.5f));
        var fresh = T.Where(arrived & T.Less(boiling, T.All(0.5f)), T.All(1), T.All(0));
        (T.Load(ref g.Row<T>(Layout.Reached)) + fresh).Store(ref g.Row<T>(Layout.Reached));
        T.Where(cooled, T.All(0), T.Where(arrived, T.All(1), boiling)).Store(ref g.Row<T>(v + Layout.Boiling));
        (T.Load(ref g.Row<T>(v + Layout.Energy)) + (T.Load(ref g.Row<T>(v + Layout.Power)) * step)).Store(ref g.Row<T>(v + Layout.Energy));
        var boilWatts = T.Where(under, T.All(0), T.Max(T.All(0), net));
        return (boilWatts, (celsius + next) * T.All(0.5f));
    }

    /// <summary>J/K of what is in the vessel and of itself.</summary>
    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    private static T Capacity(PotGroup g, int vessel, T liquor)
    {
        var capacity = T.Load(ref g.Row<T>(Layout.VesselFloat(vessel) + Layout.Shell)) + (liquor * T.All(SpecificHeatWater));
        foreach (var i in g.Inside(vessel))
        {
            var f = g.FloatAt[i];
            var d = g.WideAt[i];
            var water = T.FromWide(ref g.WideRow<T>(d + Layout.Wet)) + T.FromWide(ref g.WideRow<T>(d + Layout.Swollen));
            var own = T.Load(ref g.Row<T>(f + Layout.Capacity)) + (water * T.All(SpecificHeatWater));
            capacity += T.Where(Here(g, f, vessel), own, T.All(0));
        }

        return capacity;
    }

    /// <summary>Mask of the lanes in which an ingredient is in this vessel.</summary>
    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static T Here(PotGroup g, int ingredientRow, int vessel)
    {
        var place = T.Load(ref g.Row<T>(ingredientRow + Layout.Place));
        return T.Less(place, T.All(vessel + 0.5f)) & T.Less(T.All(vessel - 0.5f), place);
    }

    /// <summary>Vapour pressure against 94 °C; asked for only when the temperature has moved.</summary>
    [MethodImpl(MethodImplOptions.NoInlining)]
    private static void SetVapour(PotGroup g, int v, T celsius)
    {
        celsius.Store(ref g.Row<T>(v + Layout.VapourAt));
        RateLaws.Vapour(celsius).Store(ref g.Row<T>(v + Layout.Vapour));
    }
}
