using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning.Solving;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Planning.Stages;

/// <summary>Rice in a pot of its own, from its soak to rested.</summary>
internal sealed record RiceBeside : Stage
{
    public override IReadOnlyList<FreeNumber> Frees(Way way) =>
        way.OwnPot switch
        {
            { SwitchesItself: true } => [new RiceCookerWater()],
            { InPlenty: true } => [new OwnPotMinutes(), new OwnPotSalt()],
            { CrustMinutes: > 0 } => [new OwnPotWater(), new OwnPotMinutes(), new OwnPotCrust()],
            _ => [new OwnPotWater(), new OwnPotMinutes()],
        };

    public override IReadOnlyList<string> Steps =>
        [
            StepIds.RiceSoakStarts,
            StepIds.RiceBase,
            StepIds.RiceLight,
            StepIds.RiceBoils,
            StepIds.RiceIn,
            StepIds.RiceCrust,
            StepIds.RiceOff,
            StepIds.RiceDrained,
            StepIds.RiceWarm,
            StepIds.RiceRested,
        ];

    public override void Emit(List<CookAction> actions, Dish dish, Way way) =>
        actions.AddRange(Actions(dish, dish.How.Rice.Own!, way.OwnPot!));

    /// <summary>The last carries <see cref="StepIds.RiceRested"/>.</summary>
    public static IReadOnlyList<CookAction> Actions(Dish dish, CookVessel pot, OwnPotNumbers numbers)
    {
        List<CookAction> list =
        [
            .. numbers.Soaks ? RiceStart.Soaked(dish, numbers.LightAt) : [],
            .. numbers.SwitchesItself ? InRiceCooker(dish, numbers)
            : numbers.InPlenty ? InPlenty(dish, numbers)
            : Measured(dish, numbers),
        ];
        list.AddTowel(dish);
        var rested = Trigger.Later(Duration.FromMinutes(dish.RiceRestMinutes));
        foreach (var x in dish.RiceExtras.Where(x => x.Extra.ComesOut))
        {
            list.Add(new CookAction.TakeOut(rested, x.Id) { StepId = StepIds.TakeOut });
            rested = Trigger.Next;
        }

        list.Add(new CookAction.Stir(rested) { StepId = StepIds.RiceRested });
        return list.ConvertAll(a => a with { In = pot.Vessel.Id });
    }

    /// <summary>With as much water as it drinks.</summary>
    private static IEnumerable<CookAction> Measured(Dish dish, OwnPotNumbers numbers) =>
        [
            .. Fried(dish, numbers.LightAt),
            new CookAction.Add(Trigger.At(numbers.LightAt), Way.RiceId),
            new CookAction.AddWater(Trigger.Next, numbers.Water, dish.Household.Room),
            .. With(dish),
            .. RiceStart.Salted(dish),
            new CookAction.Cover(Trigger.Next, Lid.On),
            new CookAction.Heat(Trigger.Next, Flame.Full) { StepId = StepIds.RiceLight },
            new CookAction.Heat(Trigger.Once(PotEvent.Boils), Flame.Gentle) { StepId = StepIds.RiceBoils },
            new CookAction.Cover(Trigger.Next, Lid.Sealed),
            .. Off(dish, numbers),
        ];

    /// <summary>Switched on with its water, it goes over to warm when that is gone.</summary>
    private static IEnumerable<CookAction> InRiceCooker(Dish dish, OwnPotNumbers numbers) =>
        [
            new CookAction.Add(Trigger.At(numbers.LightAt), Way.RiceId),
            new CookAction.AddWater(Trigger.Next, numbers.Water, dish.Household.Room),
            .. With(dish),
            .. RiceStart.Salted(dish),
            new CookAction.Cover(Trigger.Next, Lid.On),
            new CookAction.Heat(Trigger.Next, Flame.High) { StepId = StepIds.RiceLight },
            new CookAction.Heat(Trigger.Once(PotEvent.SwitchesOver), Flame.Warm) { StepId = StepIds.RiceWarm },
        ];

    /// <summary>Into plenty of water that boils, until it is far enough to be drained; what it then has of heat and steam does the rest
    /// under the lid.</summary>
    private static IEnumerable<CookAction> InPlenty(Dish dish, OwnPotNumbers numbers)
    {
        var boils = Trigger.Once(PotEvent.Boils);
        var salt = RiceStart.Salted(dish, numbers.SaltGrams);
        return
        [
            new CookAction.AddWater(Trigger.At(numbers.LightAt), numbers.Water, dish.Household.Room),
            new CookAction.Cover(Trigger.Next, Lid.On),
            new CookAction.Heat(Trigger.Next, Flame.Full) { StepId = StepIds.RiceLight },
            .. salt.Select(a => a with { Trigger = boils }),
            new CookAction.Add(salt.Count > 0 ? Trigger.Next : boils, Way.RiceId) { StepId = StepIds.RiceIn },
            .. With(dish),
            new CookAction.Stir(Trigger.Next),
            new CookAction.Cover(Trigger.Next, Lid.Ajar),
            new CookAction.Heat(boils, Flame.Lively) { StepId = StepIds.RiceBoils },
            new CookAction.Heat(
                new Trigger(
                    Delay: Duration.FromMinutes(numbers.Minutes),
                    Look: numbers.Off is { } off ? SealAndSteam.RiceLook(dish, off) with { Again = BiteAgain, NotYet = null } : null
                ),
                Flame.Off
            )
            {
                StepId = StepIds.RiceDrained,
            },
            new CookAction.Drain(Trigger.Next, null),
            new CookAction.Cover(Trigger.Next, Lid.On),
        ];
    }

    /// <summary>In boiling water it goes on fast: a grain is bitten again after this long.</summary>
    private static readonly Duration BiteAgain = Duration.FromMinutes(1);

    /// <summary>Its base, so that it is fried when the rice goes in.</summary>
    private static IEnumerable<CookAction> Fried(Dish dish, Instant lightAt) =>
        dish.RiceExtras.Where(dish.FriesForRice).ToList() is { Count: > 0 } fried
            ?
            [
                new CookAction.Heat(Trigger.At(lightAt - FriedBase.Fries), Flame.Gentle) { StepId = StepIds.RiceBase },
                .. fried.Select(x => new CookAction.Add(Trigger.Next, x.Id)),
            ]
            : [];

    /// <summary>What goes in with the rice.</summary>
    private static IEnumerable<CookAction> With(Dish dish) =>
        dish.RiceExtras.Where(x => !dish.FriesForRice(x)).Select(x => new CookAction.Add(Trigger.Next, x.Id) { StepId = StepIds.ExtraIn });

    /// <summary>The flame goes out when the rice is done, or some minutes later where a crust is wanted.</summary>
    private static IEnumerable<CookAction> Off(Dish dish, OwnPotNumbers numbers)
    {
        var done = new Trigger(
            Delay: Duration.FromMinutes(numbers.Minutes),
            Look: numbers.Off is { } off ? SealAndSteam.RiceLook(dish, off) : null
        );
        if (numbers.CrustMinutes > 0)
        {
            yield return new CookAction.Heat(done, Flame.Gentle) { StepId = StepIds.RiceCrust };
            done = Trigger.Later(Duration.FromMinutes(numbers.CrustMinutes));
        }

        yield return new CookAction.Heat(done, Flame.Off) { StepId = StepIds.RiceOff };
    }
}

/// <summary>Rice from its own pot comes over to the pulses.</summary>
internal sealed record FoldIn : Stage
{
    public override IReadOnlyList<string> Steps => [StepIds.Fold];

    public override void Emit(List<CookAction> actions, Dish dish, Way way)
    {
        if (dish.Has(AskedStage.Fold))
        {
            actions.Add(
                new CookAction.Transfer(Trigger.Next, dish.How.Pulses.Into(dish).Id, TransferWhat.Everything)
                {
                    In = dish.How.Rice.Own!.Vessel.Id,
                    StepId = StepIds.Fold,
                }
            );
        }
    }
}
