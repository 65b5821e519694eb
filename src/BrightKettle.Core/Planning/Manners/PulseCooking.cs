using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning.Stages;
using BrightKettle.Core.Units;

namespace BrightKettle.Core.Planning.Manners;

/// <summary>In what the pulses are cooked. Each kind says which stages that takes, and what a planner must know of it.</summary>
public abstract record PulseCooking
{
    /// <summary>Its stable code.</summary>
    public abstract Method Method { get; }

    /// <summary>The cooker that it takes; null for a pot.</summary>
    public virtual Vessel? Cooker => null;

    /// <summary>From the dry or soaked seed to pulses that wait for what comes.</summary>
    internal abstract IReadOnlyList<Stage> Stages(Dish dish, Way way);

    /// <summary>The vessel that comes first in the cook: in it the pulses meet their liquor.</summary>
    internal virtual Vessel Into(Dish dish) => dish.Vessel;

    /// <summary>A vessel beside the first that it takes; null for none.</summary>
    internal virtual CookVessel? Beside(Dish dish) => null;

    /// <summary>What of the first vessel may be filled when it is fullest, mL.</summary>
    /// <param name="fullest">Seconds into the run at which it is.</param>
    /// <param name="opened">When the lid comes off, seconds; null where none was locked.</param>
    internal virtual double UsableMillilitres(Dish dish, double fullest, double? opened) =>
        Into(dish).Brim.Millilitres * (dish.Pulse.Foam == Catalogue.Foam.High ? Vessel.UsableShareFoaming : Vessel.UsableShare);

    /// <summary>The least water that it may begin with, whatever comes in later.</summary>
    internal virtual Mass LeastWater(Dish dish) => Mass.Zero;

    /// <summary>Nobody sees the pulses before a lid comes off.</summary>
    internal virtual bool IsClosed => false;

    /// <summary>Pulses are found at any state and may go on from there, as in a pot; else they are left until they are soft.</summary>
    internal virtual bool FindsStates => true;

    /// <summary>Somebody looks into their pot and keeps them covered.</summary>
    internal virtual bool KeepsCovered => false;

    /// <summary>Somebody is there whenever a look says yes.</summary>
    internal virtual bool IsWatched => false;

    /// <summary>It may run while nobody is at home.</summary>
    internal virtual bool RunsAlone => false;

    /// <summary>They may be moved over into the dish's pot once they are soft.</summary>
    internal virtual bool CanMoveOver(Dish dish) => false;

    /// <summary>The pot that is lit first is one on a flame.</summary>
    internal virtual bool BeginsInPot(Dish dish) => true;

    /// <summary>It comes dry, and boils hard where it carries a lectin; else it was cooked before.</summary>
    internal virtual bool FromRaw => true;

    /// <summary>What a lectin asks for before anything else.</summary>
    internal virtual bool BoilsHard(Dish dish) => dish.BoilsFirst;

    /// <summary>How the pulses come to it.</summary>
    internal virtual SeedStart? Start(Dish dish) => dish.SeedFromState;

    /// <summary>Salt that they bring along, g per g.</summary>
    internal virtual double SaltShare(Dish dish) => 0;

    /// <summary>Why one would take it, before its soak is asked; null where the soak decides.</summary>
    internal virtual string? Why(Dish dish) => null;

    /// <summary>Into the pot, by what was soaked in it or from the bag.</summary>
    private protected static IReadOnlyList<Stage> Begun(Dish dish) =>
        dish.How.Soak.InPot is { Count: > 0 } soaked ? soaked : [new Start(Way.PulseId, Lid.Ajar)];
}

/// <summary>In a pot with a lid ajar.</summary>
public sealed record OpenPot : PulseCooking
{
    public override Method Method => Method.OpenPot;

    internal override bool KeepsCovered => true;

    internal override bool IsWatched => true;

    internal override IReadOnlyList<Stage> Stages(Dish dish, Way way) =>
        [
            .. Begun(dish),
            BoilsHard(dish) ? new HardBoil(Flame.Lively) : new Simmer(Flame.Lively),
            .. way.Wait is not null ? [new KeepCovered()] : (Stage[])[],
            .. Looks.Until(dish, way),
        ];
}

/// <summary>Cooked before, here or for a tin: they only get hot.</summary>
public sealed record Warmed(CookedFrom From) : PulseCooking
{
    public override Method Method => Method.Cooked;

    internal override bool FromRaw => false;

    internal override SeedStart? Start(Dish dish) =>
        From == CookedFrom.Tin ? new(dish.Household.Room) { FromTin = true } : new(dish.Household.Fridge);

    internal override double SaltShare(Dish dish) => From == CookedFrom.Tin ? TinSaltShare : dish.SaltPercent / 100;

    /// <summary>Salt of tinned pulses, g per g (confidence C: 0.003 to 0.01).</summary>
    private const double TinSaltShare = 0.006;

    internal override string Why(Dish dish) => "ready_at_once";

    internal override IReadOnlyList<Stage> Stages(Dish dish, Way way) =>
        [.. Begun(dish), new Simmer(Flame.Lively), .. Looks.Until(dish, way)];
}
