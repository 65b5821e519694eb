using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning.Solving;
using BrightKettle.Core.Planning.Stages;
using BrightKettle.Core.Units;

namespace BrightKettle.Core.Planning.Manners;

/// <summary>How the rice comes to the pulses.</summary>
public abstract record RiceCooking
{
    /// <summary>Its stable code, where it has no pot of its own.</summary>
    public virtual RiceJoin Join => RiceJoin.InThePot;

    /// <summary>Where it is cooked by itself: a pot of its own or a bowl above the pulses; null where it joins them.</summary>
    public virtual CookVessel? Own => null;

    /// <summary>A vessel beside the pulses' that it takes, whether it is cooked by itself there or in what comes over; null for
    /// none.</summary>
    public virtual CookVessel? Takes => Own;

    /// <summary>The same in another pot than it takes.</summary>
    internal virtual RiceCooking In(CookVessel pot) => this;

    /// <summary>The list of a dish whose pulses go first and wait for it.</summary>
    internal virtual WayList PulsesFirst => WayLists.PulsesAlone;

    /// <summary>Pulses leave their liquor for it.</summary>
    internal virtual bool Drains => false;

    /// <summary>They stand beside in a bowl meanwhile.</summary>
    internal virtual bool LiftsPulses => false;

    /// <summary>What is thrown away is not seasoned.</summary>
    internal virtual bool KeepsLiquor => true;

    /// <summary>All of it is in one pot with the pulses from then on.</summary>
    internal virtual bool StaysTogether => true;

    /// <summary>It has a lid and a flame of its own.</summary>
    internal virtual bool HasFlame => true;

    /// <summary>It is done when the pulses' lid comes off, and waits for nobody.</summary>
    internal virtual bool IsDoneWithThem => false;

    /// <summary>Its own stages, once their numbers are known.</summary>
    internal virtual IReadOnlyList<Stage> Stages(Way way) => [];

    /// <summary>The way with the numbers of its own vessel.</summary>
    /// <param name="dish">With its salt.</param>
    internal virtual Way Solved(Simulator simulator, Dish dish, Way way) => way;

    /// <summary>What stands against it; null for nothing.</summary>
    internal virtual PlanRefusal? Obstacle(Dish dish, SolvedWay solved) =>
        Own is not { } own || Holds(own.Vessel, dish)
            ? null
            : new(
                PlanRefusal.PotTooSmallForRice,
                "riceVesselId",
                new(NeededMillilitres: Bubbling(own.Vessel, dish), UsableMillilitres: Room(own.Vessel)),
                []
            );

    /// <summary>Whether a pot takes the rice of a dish by itself, with room to bubble.</summary>
    internal static bool Holds(Vessel pot, Dish dish) => Bubbling(pot, dish) <= Room(pot);

    private static double Bubbling(Vessel pot, Dish dish) =>
        dish.Asked.Contains(AskedStage.Plenty) && pot is { IsBowl: false, Cooker: null }
            ? dish.RiceDry.Grams * (1 + InItsOwnPot.PlentyShare)
            : Heaped(dish);

    /// <summary>Its rice, with the water that bubbles in it, mL.</summary>
    private protected static double Heaped(Dish dish) => dish.RiceDry.Grams * (1 + dish.Rice!.Absorbed.Typical) * Heap;

    private protected static double Room(Vessel pot) => pot.Brim.Millilitres * Vessel.UsableShare;

    /// <summary>Room that a gram of cooked rice takes with its bubbling water, mL (confidence C).</summary>
    private const double Heap = 1.35;
}

/// <summary>Into the pulses' liquor, or they into its water: the slower one starts.</summary>
public sealed record InThePot : RiceCooking
{
    internal override WayList PulsesFirst => WayLists.RiceJoins;
}

/// <summary>Pulses are simmered part of the way and drained; rice and fresh boiling water go in together.</summary>
public sealed record AfterDraining : RiceCooking
{
    public override RiceJoin Join => RiceJoin.AfterDraining;

    internal override WayList PulsesFirst => WayLists.RiceAfterDraining;

    internal override bool Drains => true;

    internal override bool KeepsLiquor => false;

    internal override bool StaysTogether => false;
}

/// <summary>Pulses are cooked through and lifted out; the rice is cooked in their liquor, and they go back on it for its rest.</summary>
/// <param name="Pot">The liquor is poured over into it, for the rice, and the pulses wait where they are; null: the rice takes their
/// pot.</param>
public sealed record InTheLiquor(CookVessel? Pot = null) : RiceCooking
{
    public override CookVessel? Takes => Pot;

    internal override RiceCooking In(CookVessel pot) => new InTheLiquor(pot);

    /// <summary>All of it ends in that pot.</summary>
    internal override PlanRefusal? Obstacle(Dish dish, SolvedWay solved)
    {
        if (Pot is not { } pot)
        {
            return base.Obstacle(dish, solved);
        }

        var needed = Heaped(dish) + (dish.PulseDry.Grams * (1 + dish.Pulse.Absorbed.Typical));
        return needed <= Room(pot.Vessel)
            ? null
            : new(PlanRefusal.PotTooSmallForRice, "riceVesselId", new(NeededMillilitres: needed, UsableMillilitres: Room(pot.Vessel)), []);
    }

    public override RiceJoin Join => RiceJoin.InTheLiquor;

    internal override WayList PulsesFirst => WayLists.RiceInLiquor;

    internal override bool Drains => true;

    internal override bool LiftsPulses => true;

    internal override bool StaysTogether => false;
}

/// <summary>In a pot of its own, both at the table together.</summary>
/// <param name="Pot">Takes the rice by itself: a pot, or a rice cooker.</param>
public sealed record InItsOwnPot(CookVessel Pot) : RiceCooking
{
    /// <summary>Water that counts as plenty, over the dry weight (confidence C: 5 to 10).</summary>
    internal const double PlentyShare = 6;

    public override CookVessel Own => Pot;

    internal override RiceCooking In(CookVessel pot) => new InItsOwnPot(pot);

    /// <summary>A rice cooker's is not to be turned.</summary>
    internal override bool HasFlame => Pot.Vessel.Cooker is null;

    internal override IReadOnlyList<Stage> Stages(Way way) => way.OwnPot is null ? [] : [new RiceBeside(), new FoldIn()];

    internal override Way Solved(Simulator simulator, Dish dish, Way way) =>
        way with
        {
            OwnPot = new OwnPotSolver(simulator, dish, Pot).Together(),
        };
}

/// <summary>In a bowl above the pulses, under their lid.</summary>
/// <param name="Bowl">Stands above in the cooker.</param>
public sealed record AboveThem(CookVessel Bowl) : RiceCooking
{
    /// <summary>Rice within these comes out as rice: firm at the one end, mush at the other.</summary>
    public const double LeastDone = 88;
    public const double MostDone = 130;

    public override CookVessel Own => Bowl;

    internal override bool HasFlame => false;

    internal override bool IsDoneWithThem => true;

    internal override Way Solved(Simulator simulator, Dish dish, Way way) => new BowlSolver(simulator, dish).Under(way);

    internal override PlanRefusal? Obstacle(Dish dish, SolvedWay solved)
    {
        if (base.Obstacle(dish, solved) is { } small)
        {
            return small;
        }

        if (solved.Run.StalledAt is not null)
        {
            return null;
        }

        var done = solved.Run.Final[solved.Cook.IndexOf(Way.RiceId)].Doneness;
        return done < LeastDone ? new(PlanRefusal.RiceAboveHard, "riceVesselId", new(), [])
            : done > MostDone || BowlSolver.IsTooLong(dish, solved.Cook, solved.Run)
                ? new(PlanRefusal.RiceAboveSoft, "riceVesselId", new(), [])
            : null;
    }
}
