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
            OwnPot = way.OwnPot! with { Water = Mass.Max(tried.Dish.RiceDry, way.OwnPot.Water + Mass.FromGrams(Miss(tried))) },
        };
}

/// <summary>The same pot's minutes, so that the rice is far enough for its rest.</summary>
internal sealed record OwnPotMinutes : FreeNumber
{
    public override double Tolerance => Unfelt;

    public override double Miss(Tried tried) => WaySolver.RiceAtOff(tried.Dish) - AtOff(tried);

    /// <summary>Its flame goes out, or it is left on it for a crust.</summary>
    private static int DoneAt(Tried tried) =>
        tried.Cook.StepAt(StepIds.RiceCrust) is >= 0 and var crust ? crust : tried.Cook.StepAt(StepIds.RiceOff);

    /// <summary>How far it is then.</summary>
    public static double AtOff(Tried tried) => tried.Run.At(DoneAt(tried)).Doneness[tried.Cook.IndexOf(Way.RiceId)];

    public override Way Moved(Tried tried, Way way)
    {
        var dish = tried.Dish;
        var perMinute = Doneness.Tender / (dish.Rice!.SimmerMinutes.Typical + dish.RiceRestMinutes);
        var more = Math.Abs(new OwnPotWater().Miss(tried)) < AboutRight ? Damped * Miss(tried) / perMinute : 0;
        return way with { OwnPot = way.OwnPot! with { Minutes = Math.Max(1, way.OwnPot.Minutes + more) } };
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
