using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning.Manners;
using BrightKettle.Core.Planning.Stages;

namespace BrightKettle.Core.Planning;

/// <summary>The ways in which pulses and rice come together, as lists of stages.</summary>
internal static class WayLists
{
    public static WayList PulsesAlone { get; } = new(Way.PulseId, null, StepIds.Finish, (dish, way) => [
                new SoakPulses(),
                .. dish.How.Pulses.Stages(dish, way),
                .. dish.How.Rice.Stages(way),
                .. way.DrainsAtLook(dish) ? [new ServeDrained()]
                : dish.Has(AskedStage.Bind) ? [new Reheat(), new AddLate(), new BindLiquor(), new ServeHot()]
                : (Stage[])[new Reheat(), new AddLate(), new ServeHot()],
            ]);

    public static WayList RiceJoins { get; } =
        new(Way.PulseId, Way.RiceId, StepIds.SetLiquor, (dish, way) =>
            [
                new SoakPulses(),
                new SoakRice(AtLight: false),
                .. dish.How.Pulses.Stages(dish, way),
                .. BeforeRice(dish, way),
                new SealAndSteam(),
                new RestAndServe(),
            ]
        )
        {
            CooksOn = true,
        };

    public static WayList RiceStirredIn { get; } =
        new(Way.PulseId, Way.RiceId, StepIds.SetLiquor, (dish, way) =>
            [new SoakPulses(), .. dish.How.Pulses.Stages(dish, way), new StirRiceIn(), new RestAndServe()]
        )
        {
            CooksOn = true,
        };

    public static WayList RiceAfterDraining { get; } =
        new(Way.PulseId, Way.RiceId, StepIds.Drained, (dish, way) =>
            [
                new SoakPulses(),
                new SoakRice(AtLight: false),
                .. dish.How.Pulses.Stages(dish, way),
                new DrainPulses(),
                new Join(Way.RiceId, Set: Trigger.Next),
                new SealAndSteam(),
                new RestAndServe(),
            ]
        )
        {
            ThrowsLiquor = true,
            CooksOn = true,
        };

    public static WayList RiceInLiquor { get; } =
        new(Way.PulseId, Way.RiceId, StepIds.SetLiquor, (dish, way) =>
            [
                new SoakPulses(),
                new SoakRice(AtLight: false),
                .. dish.How.Pulses.Stages(dish, way),
                new SeasonOnLow(way.JoinTrigger),
                .. dish.LiquorPot is { } pot ? InAnotherPot(dish, way, pot.Id) : InTheSamePot(dish, way),
            ]
        );

    private static IReadOnlyList<Stage> InTheSamePot(Dish dish, Way way) =>
        [
            new LiftPulses(SeasonOnLow.Over(dish) ?? way.JoinTrigger),
            new Join(Way.RiceId, Set: Trigger.Next, Seasoned: dish.Has(AskedStage.Season)),
            new SealAndSteam(),
            new PutBack(),
            new RestAndServe(),
        ];

    private static IReadOnlyList<Stage> InAnotherPot(Dish dish, Way way, string pot) =>
        [
            new PourLiquor(SeasonOnLow.Over(dish) ?? way.JoinTrigger, pot),
            new InVessel(
                new Join(Way.RiceId, Set: Trigger.Next with { AfterStep = StepIds.Poured }, Seasoned: dish.Has(AskedStage.Season)),
                pot
            ),
            new InVessel(new SealAndSteam(), pot),
            new PutBack { From = dish.Vessel.Id, To = pot },
            new InVessel(new RestAndServe(), pot),
        ];

    public static WayList Together { get; } =
        new(null, null, StepIds.SetLiquor, (_, _) =>
            [
                new SoakPulses(),
                new SoakRice(AtLight: true),
                new Start(Way.PulseId, Lid.On, Then: Way.RiceId),
                new SealAndSteam(),
                new RestAndServe(),
            ]
        )
        {
            CooksOn = true,
        };

    public static WayList PulsesJoin { get; } =
        new(Way.RiceId, Way.PulseId, StepIds.SetLiquor, (_, _) =>
            [
                new SoakPulses(),
                new SoakRice(AtLight: true),
                new Start(Way.RiceId, Lid.On),
                new Simmer(Flame.Gentle),
                new Join(Way.PulseId),
                new SealAndSteam(),
                new RestAndServe(),
            ]
        )
        {
            CooksOn = true,
        };

    /// <summary>The list of a dish whose pulses go first.</summary>
    public static WayList PulsesFirst(Dish dish) =>
        dish.RiceInPot is null ? PulsesAlone
        : dish.StirsRiceIn ? RiceStirredIn
        : dish.How.Rice.PulsesFirst;

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
            new Join(Way.RiceId, season ? SeasonOnLow.Over(dish) : then, Seasoned: season),
        ];
    }
}
