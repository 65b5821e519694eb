using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning.Stages;
using BrightKettle.Core.Units;

namespace BrightKettle.Core.Planning.Manners;

/// <summary>Locked and held; then the lid comes off and they are as in a pot.</summary>
/// <param name="Lidded">The pressure cooker.</param>
public sealed record UnderPressure(Vessel Lidded) : PulseCooking
{
    public override Method Method => Method.Pressure;

    public override Vessel Cooker => Lidded;

    /// <summary>Where they move over, the pot is what their liquor is set in.</summary>
    internal override Vessel Into(Dish dish) => Moves(dish) ? dish.Vessel : Lidded;

    internal override CookVessel? Beside(Dish dish) => Moves(dish) ? new(Lidded, dish.Burner) : null;

    internal override bool CanMoveOver(Dish dish) => dish.Vessel.Id != Lidded.Id && dish.RiceVessel is not { Above: true };

    private static bool Moves(Dish dish) => dish.Has(AskedStage.Move);

    internal override Mass LeastWater(Dish dish) => Lidded.Cooker!.LeastLiquid.MassOfWater(dish.Household.Room);

    internal override bool IsClosed => true;

    internal override bool IsWatched => true;

    /// <summary>What was never soaked gains nothing by a boil before the lid.</summary>
    internal override bool BoilsHard(Dish dish) => dish.BoilsFirst && !dish.CountsAsDry;

    /// <summary>While the lid is locked it keeps its own line; open it is a pot.</summary>
    internal override double UsableMillilitres(Dish dish, double fullest, double? opened) =>
        Moves(dish) || (opened is { } at && fullest >= at)
            ? base.UsableMillilitres(dish, fullest, opened)
            : Lidded.Brim.Millilitres
                * (dish.Pulse.Foam == Catalogue.Foam.High ? Kitchen.Cooker.FillShareFoaming : Kitchen.Cooker.FillShare);

    internal override string Why(Dish dish) => dish.How.Soak is Unsoaked ? "fastest_from_dry" : "fast_and_even";

    internal override IReadOnlyList<Stage> Stages(Dish dish, Way way)
    {
        var hard = BoilsHard(dish);
        var lit = hard || dish.How.Soak.InPot.Count > 0;
        var bowl = way.Bowl is not null;
        List<Stage> stages =
        [
            .. lit ? Begun(dish) : [new FillCooker()],
            .. hard ? [new HardBoil(Flame.Off)] : (Stage[])[],
            .. bowl ? [new RiceIntoBowl(AfterHardBoil: hard)] : (Stage[])[],
            new HoldUnderPressure(lit, bowl ? StepIds.RiceBowl : null),
            .. bowl ? [new LiftBowl()] : (Stage[])[],
            new UntilFound(AtFirstLook: false) { LocksAgain = true },
        ];
        return Moves(dish) ? [.. stages.Select(s => new InVessel(s, Lidded.Id)), new MoveOver(Lidded.Id)] : stages;
    }
}

/// <summary>In the crock for hours.</summary>
/// <param name="Crock">The slow cooker.</param>
public sealed record InCrock(Vessel Crock) : PulseCooking
{
    public override Method Method => Method.SlowCooker;

    public override Vessel Cooker => Crock;

    internal override CookVessel Beside(Dish dish) => new(Crock, dish.Burner);

    internal override bool IsClosed => true;

    internal override bool FindsStates => false;

    internal override bool RunsAlone => true;

    internal override bool BeginsInPot(Dish dish) => BoilsHard(dish);

    internal override string Why(Dish dish) => "alone_for_hours";

    internal override IReadOnlyList<Stage> Stages(Dish dish, Way way) =>
        BoilsHard(dish)
            ? [.. Begun(dish), new HardBoil(Flame.Off), new SlowCook(FromPot: true), new MoveOver(Crock.Id)]
            : [.. dish.How.Soak.InPot, new SlowCook(FromPot: dish.How.Soak.InPot.Count > 0), new MoveOver(Crock.Id)];
}
