using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Planning.Solving;

/// <summary>Rice in a pot of its own.</summary>
/// <param name="LightAt">Its flame.</param>
/// <param name="Minutes">From its boil to its flame going out.</param>
internal sealed record OwnPotNumbers(Instant LightAt, Mass Water, double Minutes)
{
    /// <summary>How far it is when its flame may go out; null to go by the clock.</summary>
    public double? Off { get; init; }

    /// <summary>On the flame once it is done, for a crust; 0 where none is wanted.</summary>
    public double CrustMinutes { get; init; }

    /// <summary>In a rice cooker: its water decides how long it cooks.</summary>
    public bool SwitchesItself { get; init; }

    /// <summary>More water than it drinks, of which the rest is poured off; else what it drinks.</summary>
    public bool InPlenty { get; init; }

    /// <summary>Into that water, g, so that the rice tastes as it should.</summary>
    public double SaltGrams { get; init; }

    /// <summary>There is time to let it stand in water first, where it wants that.</summary>
    public bool Soaks { get; init; } = true;
}

/// <summary>Rice in a bowl above the pulses.</summary>
/// <param name="ClosesAt">When the lid is locked.</param>
/// <param name="HoldMinutes">Held, where no whistles are counted: with a bowl above it the cooker comes up and cools more slowly.</param>
/// <param name="Whistles">The same in whistles.</param>
internal sealed record BowlNumbers(Instant ClosesAt, Mass Water, double HoldMinutes, int Whistles);

/// <summary>Water of rice by itself, so that only a film is left.</summary>
/// <param name="In">Vessel at the end; null for the first.</param>
internal abstract record RiceWater(string? In) : FreeNumber
{
    /// <summary>Free liquor that may be left with it, g per g dry: a film.</summary>
    private const double WantedShare = 0.03;

    public override double Tolerance => FewGrams;

    protected static double Wanted(Tried tried) => WantedShare * tried.Dish.RiceDry.Grams;

    public override double Miss(Tried tried) => Wanted(tried) - tried.Run.Vessels[tried.Cook.Kitchen.IndexOf(In)].LiquorGrams;
}

/// <summary>In its own pot.</summary>
internal sealed record OwnPotWater() : RiceWater((string?)null)
{
    /// <summary>Where a crust is wanted, what is left when the rice is done: the flame takes that, too.</summary>
    public override double Miss(Tried tried) =>
        tried.Cook.StepAt(StepIds.RiceCrust) is >= 0 and var done ? Wanted(tried) - tried.Run.At(done).LiquorBefore : base.Miss(tried);

    public override Way Moved(Tried tried, Way way) =>
        way with
        {
            OwnPot = way.OwnPot! with { Water = Mass.Max(Least(tried.Dish), way.OwnPot.Water + Mass.FromGrams(Miss(tried))) },
        };

    /// <summary>The rice is covered by it, with what its pot holds beside.</summary>
    public static Mass Least(Dish dish) =>
        Mass.FromGrams(Math.Max(0, dish.RiceDry.Grams - dish.RiceExtras.Sum(x => x.Amount.Grams * x.Extra.FreeWater)));
}

/// <summary>The same pot's minutes, so that the rice is far enough for its rest.</summary>
internal sealed record OwnPotMinutes : FreeNumber
{
    public override double Tolerance => Unfelt;

    public override double Miss(Tried tried) => WaySolver.RiceAtOff(tried.Dish) - AtOff(tried);

    /// <summary>It is drained, its flame goes out, or it is left on it for a crust.</summary>
    private static int DoneAt(Tried tried) =>
        new[] { StepIds.RiceCrust, StepIds.RiceDrained, StepIds.RiceWarm, StepIds.RiceOff }.Select(tried.Cook.StepAt).First(i => i >= 0);

    /// <summary>Doneness that rice gains in a minute at the boil.</summary>
    public static double PerMinute(Dish dish) => Doneness.Tender / (dish.Rice!.SimmerMinutes.Typical + dish.RiceRestMinutes);

    /// <summary>How far it is then.</summary>
    public static double AtOff(Tried tried) => tried.Run.At(DoneAt(tried)).Doneness[tried.Cook.IndexOf(Way.RiceId)];

    public override Way Moved(Tried tried, Way way)
    {
        var more =
            way.OwnPot!.InPlenty || Math.Abs(new OwnPotWater().Miss(tried)) < AboutRight ? Damped * Miss(tried) / PerMinute(tried.Dish) : 0;
        return way with { OwnPot = way.OwnPot! with { Minutes = Math.Max(1, way.OwnPot.Minutes + more) } };
    }
}

/// <summary>Water in a rice cooker, so that the rice is far enough when it is gone: more of it boils for longer.</summary>
internal sealed record RiceCookerWater : FreeNumber
{
    public override double Tolerance => Unfelt;

    public override double Miss(Tried tried) => WaySolver.RiceAtOff(tried.Dish) - OwnPotMinutes.AtOff(tried);

    public override Way Moved(Tried tried, Way way)
    {
        var minutes = Damped * Miss(tried) / OwnPotMinutes.PerMinute(tried.Dish);
        var steam = tried.Cook.Kitchen.Vessel.Cooker!.High.Watts * 60 / WaySolver.HeatOfSteam;
        return way with
        {
            OwnPot = way.OwnPot! with
            {
                Water = Mass.Max(OwnPotWater.Least(tried.Dish), way.OwnPot.Water + Mass.FromGrams(minutes * steam)),
            },
        };
    }
}

/// <summary>The same pot's minutes on the flame after that, so that its lowest grains brown and none blackens.</summary>
internal sealed record OwnPotCrust : FreeNumber
{
    /// <summary>Between a first crust (1) and a black one (4), by their heat: a little water left in a pot makes it less, hardly anything more.</summary>
    private const double Heat = 2.2;

    /// <summary>Minutes that a move makes at most.</summary>
    private const double MostMoved = 3;

    private const double LongestMinutes = 20;

    public override double Tolerance => 0.4;

    public override double Miss(Tried tried) => Heat - (tried.Run.Vessels[0].CrustJoules / PulseCatalogue.Shipped.Constants.CrustEnergy);

    public override Way Moved(Tried tried, Way way) =>
        way with
        {
            OwnPot = way.OwnPot! with
            {
                CrustMinutes = Math.Clamp(
                    way.OwnPot.CrustMinutes
                        + (Math.Abs(new OwnPotWater().Miss(tried)) < AboutRight ? Math.Clamp(Miss(tried), -MostMoved, MostMoved) : 0),
                    1,
                    LongestMinutes
                ),
            },
        };
}

/// <summary>Salt in water that is poured off: the rice takes its share in its own time.</summary>
internal sealed record OwnPotSalt : FreeNumber
{
    /// <summary>Of the water at most: hardly anybody pours saltier water away, and rice that misses a little is salted at the table
    /// (confidence C: 0.01 to 0.015).</summary>
    private const double MostShare = 0.015;

    public override double Tolerance => 0.4;

    public override double Miss(Tried tried) =>
        tried.Cook.StepAt(StepIds.Salt) < 0 || IsMost(tried) ? 0 : RiceStart.SaltOf(tried.Dish) - Arrived(tried);

    private static bool IsMost(Tried tried) =>
        tried.Way.OwnPot is { } pot && pot.SaltGrams >= MostShare * pot.Water.Grams && Arrived(tried) < RiceStart.SaltOf(tried.Dish);

    private static double Arrived(Tried tried) => tried.Run.Final[tried.Cook.IndexOf(Way.RiceId)].SaltGrams;

    public override Way Moved(Tried tried, Way way) =>
        Arrived(tried) <= 0
            ? way
            : way with
            {
                OwnPot = way.OwnPot! with
                {
                    SaltGrams = Math.Min(MostShare * way.OwnPot.Water.Grams, way.OwnPot.SaltGrams * (1 + (Miss(tried) / Arrived(tried)))),
                },
            };
}

/// <summary>In a bowl above the pulses: the steam brings the rest.</summary>
internal sealed record BowlWater() : RiceWater(RiceBowl.OutId)
{
    /// <summary>The least, over its dry weight.</summary>
    private const double LeastShare = 0.5;

    public override Way Moved(Tried tried, Way way) =>
        way with
        {
            Bowl = way.Bowl! with { Water = Mass.Max(tried.Dish.RiceDry * LeastShare, way.Bowl.Water + Mass.FromGrams(Miss(tried))) },
        };
}
