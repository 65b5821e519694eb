using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning.Stages;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Planning.Solving;

/// <summary>All of it, so that the table is at its hour.</summary>
internal sealed record TableHour : FreeNumber
{
    /// <summary>Seconds.</summary>
    public override double Tolerance => 5;

    public override double Miss(Tried tried) => Late(tried).TotalSeconds;

    public override Way Moved(Tried tried, Way way) => WaySolver.Shift(way, -Late(tried));

    private static Duration Late(Tried tried) => tried.Cook.Starts + Duration.FromSeconds(tried.Run.EndSeconds) - tried.Dish.ServeAt;
}

/// <summary>Liquor at the join, so that what is wanted is left at the table.</summary>
internal sealed record JoinLiquor : FreeNumber
{
    public override double Tolerance => FewGrams;

    public override double Miss(Tried tried) => tried.Dish.WantedLiquorGrams + Clings(tried) - Served(tried);

    /// <summary>Left in the vessel that goes to the table, g.</summary>
    private static double Served(Tried tried) => tried.Run.Vessels[tried.Cook.VesselOf(tried.Cook.Actions[^1])].LiquorGrams;

    public override Way Moved(Tried tried, Way way) =>
        way with
        {
            JoinLiquor = Mass.Max(Mass.Zero, way.JoinLiquor + Mass.FromGrams(Miss(tried))),
        };

    /// <summary>Liquor that comes back with pulses which were lifted out, g: too late for the rice.</summary>
    private static double Clings(Tried tried) =>
        tried.Cook.StepAt(StepIds.PutBack) is >= 0 and var back ? tried.Run.At(back).LiquorBefore : 0;
}

/// <summary>From the boil after the join to the flame going out, so that the rice is far enough for its rest.</summary>
internal sealed record LastMinutes : FreeNumber
{
    public override double Tolerance => Unfelt;

    public override double Miss(Tried tried) =>
        WaySolver.RiceAtOff(tried.Dish) - tried.Run.At(tried.Cook.StepAt(StepIds.HeatOff)).Doneness[tried.Cook.IndexOf(Way.RiceId)];

    public override Way Moved(Tried tried, Way way)
    {
        var rice = tried.Dish.RiceInPot!;
        var perMinute = Doneness.Tender * tried.Dish.RiceRateFactor / (rice.SimmerMinutes.Typical + rice.RestMinutes.Typical);
        return Math.Abs(new JoinLiquor().Miss(tried)) < AboutRight
            ? way with
            {
                LastMinutes = Math.Max(0, way.LastMinutes + (Damped * Miss(tried) / perMinute)),
            }
            : way;
    }
}

/// <summary>How long the end of a dish takes, so that what goes in while it simmers is in for its minutes.</summary>
internal sealed record Tail : FreeNumber
{
    /// <summary>Minutes.</summary>
    public override double Tolerance => 0.5;

    public override double Miss(Tried tried)
    {
        var (cook, run) = (tried.Cook, tried.Run);
        if (AddLate.InTheSimmer(tried.Dish, tried.Way) is not [.., var last])
        {
            return 0;
        }

        var at = Enumerable.Range(0, cook.Actions.Count).First(i => cook.Actions[i] is CookAction.Add add && add.IngredientId == last.Id);
        return ((run.EndSeconds - run.At(at).Seconds) / 60) - last.MinutesBefore;
    }

    public override Way Moved(Tried tried, Way way) =>
        Miss(tried) is not 0 and var miss ? way with { TailMinutes = Math.Max(0, AddLate.After(tried.Dish, tried.Way) + miss) } : way;
}

/// <summary>Liquor that is set before what goes in last, so that with what that brings as much is left as is wanted.</summary>
internal sealed record FinishLiquor : FreeNumber
{
    public override double Tolerance => FewGrams;

    public override double Miss(Tried tried)
    {
        var (dish, set) = (tried.Dish, tried.Way.FinishLiquor?.Grams ?? tried.Dish.WantedLiquorGrams);
        // What was drained is eaten as it is, and no more than all of it can be left out.
        return dish.Style == Style.Dry || AddLate.AfterTheSimmer(dish, tried.Way).Count == 0
            ? 0
            : Math.Max(dish.WantedLiquorGrams - tried.Run.FinalLiquor, -set);
    }

    public override Way Moved(Tried tried, Way way) =>
        Miss(tried) is not 0 and var miss
            ? way with
            {
                FinishLiquor = Mass.FromGrams((way.FinishLiquor?.Grams ?? tried.Dish.WantedLiquorGrams) + miss),
            }
            : way;
}

/// <summary>Starch, so that the liquor runs as a dish of this style is liked.</summary>
internal sealed record Starch : FreeNumber
{
    /// <summary>Grams.</summary>
    public override double Tolerance => 1;

    public override double Miss(Tried tried)
    {
        var pot = tried.Run.Vessels[0];
        var wanted = ThicknessOf.Bound(tried.Dish.Style == Style.Soup);
        var missing = ((wanted * (pot.SolidsGrams + pot.LiquorGrams + pot.BrokenWaterGrams)) - pot.SolidsGrams) / (1 - wanted);
        // What the pulses bind more than that stays.
        return tried.Way.StarchGrams + missing <= 0 ? -tried.Way.StarchGrams : missing;
    }

    public override Way Moved(Tried tried, Way way) => way with { StarchGrams = Math.Max(0, way.StarchGrams + Miss(tried)) };
}

/// <summary>Both are in from the start: there is one water.</summary>
internal sealed record OneWater : FreeNumber
{
    public override Way Moved(Tried tried, Way way) => way with { Water = way.JoinLiquor };
}

/// <summary>Water for rice that goes in first: what it drinks until the pulses come, and never so little that it lies dry over the
/// flame.</summary>
internal sealed record RiceFirstWater : FreeNumber
{
    /// <summary>The least, over its dry weight: what it drinks until the pulses join.</summary>
    private const double LeastShare = 1.3;

    /// <summary>Liquor that it still has when they do, over its dry weight.</summary>
    private const double WetAtJoinShare = 0.15;

    public override Way Moved(Tried tried, Way way)
    {
        var (dish, before) = (tried.Dish, LiquorBeforeJoin(tried));
        return way with
        {
            Water = Mass.Max(
                Mass.Max(
                    dish.RiceDry * LeastShare,
                    way.JoinLiquor - (dish.PulseDry * dish.Pulse.Absorbed.Typical) + DrunkBeforeJoin(tried, before)
                ),
                way.Water + (dish.RiceDry * WetAtJoinShare) - before
            ),
        };
    }

    private static Mass DrunkBeforeJoin(Tried tried, Mass before) =>
        Mass.FromGrams(tried.Run.At(tried.Cook.StepAt(StepIds.Light)).LiquorAfter) - before;

    internal static Mass LiquorBeforeJoin(Tried tried) => Mass.FromGrams(tried.Run.At(tried.Cook.StepAt(StepIds.SetLiquor)).LiquorBefore);
}

/// <summary>Water for pulses that nobody looks at before the join, so that a slow bag is still covered then.</summary>
internal sealed record UnwatchedWater : FreeNumber
{
    /// <summary>The least, over the dry weight of the pulse that leads.</summary>
    private const double LeastShare = 1.5;

    public override Way Moved(Tried tried, Way way) =>
        way with
        {
            Water = Mass.Max(tried.Dish.PulseDry * LeastShare, way.Water + way.JoinLiquor - RiceFirstWater.LiquorBeforeJoin(tried)),
        };
}
