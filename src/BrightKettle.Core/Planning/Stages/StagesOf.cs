using BrightKettle.Core.Cooking;

namespace BrightKettle.Core.Planning.Stages;

/// <summary>The ways as lists of stages. A new way is a new list.</summary>
internal static class StagesOf
{
    public static IReadOnlyList<Stage> Way(Dish dish, Way way) =>
        way.Order switch
        {
            JoinOrder.PulseAlone =>
            [
                new SoakPulses(),
                .. Pulses(dish, way),
                way.DrainsAtLook(dish) ? new ServeDrained() : new ReheatAndServe(),
            ],
            JoinOrder.PulseFirst when dish.RiceJoin == RiceJoin.AfterDraining =>
            [
                new SoakPulses(),
                new SoakRice(AtLight: false),
                .. Pulses(dish, way),
                new DrainPulses(),
                new Join(Planning.Way.RiceId, Set: Trigger.Next),
                new SealAndSteam(),
                new RestAndServe(),
            ],
            JoinOrder.PulseFirst when dish.RiceJoin == RiceJoin.InTheLiquor =>
            [
                new SoakPulses(),
                new SoakRice(AtLight: false),
                .. Pulses(dish, way),
                new SeasonOnLow(way.JoinTrigger),
                new LiftPulses(SeasonOnLow.Over(dish) ?? way.JoinTrigger),
                new Join(Planning.Way.RiceId, Set: Trigger.Next, Seasoned: dish.Has(AskedStage.Season)),
                new SealAndSteam(),
                new PutBack(),
                new RestAndServe(),
            ],
            JoinOrder.PulseFirst when dish.StirsRiceIn => [new SoakPulses(), .. Pulses(dish, way), new StirRiceIn(), new RestAndServe()],
            JoinOrder.PulseFirst =>
            [
                new SoakPulses(),
                new SoakRice(AtLight: false),
                .. Pulses(dish, way),
                .. BeforeRice(dish, way),
                new SealAndSteam(),
                new RestAndServe(),
            ],
            JoinOrder.Together =>
            [
                new SoakPulses(),
                new SoakRice(AtLight: true),
                new Start(Planning.Way.PulseId, Lid.On, Then: Planning.Way.RiceId),
                new SealAndSteam(),
                new RestAndServe(),
            ],
            JoinOrder.RiceFirst =>
            [
                new SoakPulses(),
                new SoakRice(AtLight: true),
                new Start(Planning.Way.RiceId, Lid.On),
                new Simmer(Flame.Gentle),
                new Join(Planning.Way.PulseId),
                new SealAndSteam(),
                new RestAndServe(),
            ],
            _ => throw new ArgumentOutOfRangeException(nameof(way)),
        };

    /// <summary>What was asked for between the pulses and the rice, and the rice.</summary>
    private static IReadOnlyList<Stage> BeforeRice(Dish dish, Way way)
    {
        // Only what somebody has found soft is crushed.
        var mash = dish.Has(AskedStage.Mash) && way.Wait == FeltState.Soft;
        var season = dish.Has(AskedStage.Season) && way.Wait is not null;
        var then = mash ? Trigger.Next : way.JoinTrigger;
        return
        [
            .. mash ? [new MashSome(way.JoinTrigger)] : (Stage[])[],
            .. season ? [new SeasonOnLow(then)] : (Stage[])[],
            new Join(Planning.Way.RiceId, season ? SeasonOnLow.Over(dish) : then, Seasoned: season),
        ];
    }

    /// <summary>From the dry or soaked seed to pulses that wait for what comes.</summary>
    private static IReadOnlyList<Stage> Pulses(Dish dish, Way way)
    {
        var drained = way.DrainsAtLook(dish) ? StepIds.Finish : null;
        var hard = NeedsHardBoil(dish);
        var quick = dish.Soak == SoakChoice.Quick;
        IReadOnlyList<Stage> soaked = quick ? [new QuickSoak(), new FreshWater()] : [];
        Stage start = new Start(Planning.Way.PulseId, Lid.Ajar);
        return dish.Method switch
        {
            Method.Pressure when hard || quick =>
            [
                .. quick ? soaked : [start],
                .. hard ? new[] { new HardBoil(Flame.Off) } : [],
                new HoldUnderPressure(Lit: true),
                new UntilFound(AtFirstLook: false),
            ],
            Method.Pressure => [new FillCooker(), new HoldUnderPressure(Lit: false), new UntilFound(AtFirstLook: false)],
            Method.SlowCooker when hard => [.. quick ? soaked : [start], new HardBoil(Flame.Off), new SlowCook(FromPot: true)],
            Method.SlowCooker => [.. soaked, new SlowCook(FromPot: quick)],
            _ =>
            [
                .. quick ? soaked : [start],
                hard ? new HardBoil(dish.Method == Method.OpenPot ? Flame.Lively : Flame.Off) : new Simmer(Flame.Lively),
                .. dish.KeepsCovered && way.Wait is not null ? [new KeepCovered()] : (Stage[])[],
                .. way.OtherWait is null ? [new UntilFound(AtFirstLook: true, drained)] : Staggered(way, drained),
            ],
        };
    }

    /// <summary>One after the other: the first waits in the pot for the others, or in a bowl.</summary>
    private static IReadOnlyList<Stage> Staggered(Way way, string? drained) =>
        way.LiftsFirst
            ?
            [
                new UntilFound(AtFirstLook: true),
                new LiftPulses(way.LiftsAtOnce ? Trigger.Next : Trigger.At(way.OtherAt)),
                new OthersJoin(drained),
                new PutBack(StepIds.OtherSoft),
            ]
            : [new UntilFound(AtFirstLook: true), new OthersJoin(drained)];

    /// <summary>What was never soaked gains nothing by it under pressure.</summary>
    private static bool NeedsHardBoil(Dish dish) => dish.BoilsFirst && !(dish.Method == Method.Pressure && dish.CountsAsDry);
}
