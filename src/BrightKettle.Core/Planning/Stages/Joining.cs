using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning.Solving;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Planning.Stages;

/// <summary>The liquor is set and the other goes in; full flame, lid on.</summary>
/// <param name="Joiner">What joins.</param>
/// <param name="Set">When the liquor is set; null for the hour of the join, or the look.</param>
/// <param name="Seasoned">What seasons the dish is in already.</param>
internal sealed record Join(string Joiner, Trigger? Set = null, bool Seasoned = false) : Stage
{
    public override IReadOnlyList<FreeNumber> Frees(Way way) =>
        [
            new JoinLiquor(),
            .. way.List.Starts == Way.RiceId ? [new RiceFirstWater()]
            : way.Wait is null ? [new UnwatchedWater()]
            : (FreeNumber[])[],
        ];

    public override IReadOnlyList<string> Steps => [StepIds.SetLiquor, StepIds.Join, StepIds.OtherIn];

    public override void Emit(List<CookAction> actions, Dish dish, Way way)
    {
        actions.Add(way.SetLiquor(Set ?? way.JoinTrigger, way.JoinLiquor, StepIds.SetLiquor));
        actions.Add(new CookAction.Add(Trigger.Next, Joiner) { StepId = StepIds.Join });
        if (way.WithTheRice)
        {
            actions.AddRange(way.Later(dish).Select(o => new CookAction.Add(Trigger.Next, o.Id) { StepId = StepIds.OtherIn }));
        }

        if (!Seasoned)
        {
            actions.AddExtras(dish, ExtraTime.Join);
            actions.AddSalt(dish, SaltSchool.WithTheRice);
        }

        if (dish.StirsAtJoin)
        {
            actions.Add(new CookAction.Stir(Trigger.Next));
        }

        actions.Add(new CookAction.Cover(Trigger.Next, Lid.On));
        actions.Add(new CookAction.Heat(Trigger.Next, Flame.Full));
    }
}

/// <summary>Rice that is cooked and dried only has to drink: at the boil it is stirred in, and the flame goes out. Rice that is cooked and
/// cold boils up with the dish first, so that it is hot through.</summary>
internal sealed record StirRiceIn : Stage
{
    public override IReadOnlyList<FreeNumber> Frees(Way way) => [new Tail(), new JoinLiquor()];

    public override IReadOnlyList<string> Steps => [StepIds.Reheat, StepIds.SetLiquor, StepIds.Join, StepIds.HeatOff];

    public override void Emit(List<CookAction> actions, Dish dish, Way way)
    {
        actions.Add(new CookAction.Heat(way.JoinTrigger, Flame.Full) { StepId = StepIds.Reheat });
        var (after, late) = (AddLate.After(dish, way), AddLate.InTheSimmer(dish, way));
        var boils = Trigger.Once(PotEvent.Boils);
        if (late is [var longest, ..])
        {
            actions.Add(new CookAction.Heat(boils, Flame.Gentle));
            boils = actions.AddLate(late, Trigger.Next, longest.MinutesBefore - after, after);
        }

        actions.Add(way.SetLiquor(boils, way.JoinLiquor, StepIds.SetLiquor));
        actions.AddExtras(dish, ExtraTime.Join);
        _ = actions.AddLate(AddLate.AfterTheSimmer(dish, way), Trigger.Next, 0, after);
        actions.AddSalt(dish, SaltSchool.WithTheRice);
        actions.Add(new CookAction.Add(Trigger.Next, Way.RiceId) { StepId = StepIds.Join });
        actions.Add(new CookAction.Stir(Trigger.Next));
        actions.Add(new CookAction.Cover(Trigger.Next, Lid.On));
        if (dish.RiceIsCooked)
        {
            actions.Add(new CookAction.Heat(Trigger.Next, Flame.Lively));
        }

        actions.Add(
            new CookAction.Heat(dish.RiceIsCooked ? Trigger.Once(PotEvent.Boils) : Trigger.Next, Flame.Off) { StepId = StepIds.HeatOff }
        );
    }
}

/// <summary>It boils again: lowest flame, lid shut tight, until rice and pulses are found far enough.</summary>
internal sealed record SealAndSteam : Stage
{
    public override IReadOnlyList<FreeNumber> Frees(Way way) => [new LastMinutes()];

    public override IReadOnlyList<string> Steps => [StepIds.Seal, StepIds.HeatOff];

    /// <summary>A rice that is not quite there when the clock says so is tasted again after this long.</summary>
    private static readonly Duration TasteAgain = Duration.FromMinutes(4);

    /// <summary>Rice this far behind the reference when the flame should go out is given a few minutes more. Less, and the hand's own error
    /// (7) would spoil as many as the look saves: of 168 dinners 13 were worse for the look at 2, 4 are at 8, with the same mean.</summary>
    private const double RiceTolerance = 8;

    /// <summary>What pulses still gain while the rice rests, of doneness.</summary>
    private const double RestGain = 2;

    /// <summary>Boiling water over a bed that is dry and hard, over the rice's dry weight (textures, 4: 0.1 to 0.3).</summary>
    private const double SprinkleShare = 0.15;

    /// <summary>What rice still drinks while it rests, g per g dry: of 24 dry dinners 0.01 to 0.3. With this the wettest pot in ten ends with 70 g
    /// instead of 95, two minutes later.</summary>
    private const double StillDrinks = 0.15;

    /// <summary>Longer than this the grains on top dry out.</summary>
    private static readonly Duration LongestLidOff = Duration.FromMinutes(6);

    public override void Emit(List<CookAction> actions, Dish dish, Way way)
    {
        actions.Add(
            new CookAction.Heat(Trigger.Once(PotEvent.Boils, way.SealDelay > Duration.Zero ? way.SealDelay : null), Flame.Gentle)
            {
                StepId = StepIds.Seal,
            }
        );
        actions.Add(new CookAction.Cover(Trigger.Next, Lid.Sealed));
        // The lid is lifted for what goes in while it steams; what wants no longer than the rice rests goes on top when the flame is out.
        var late = dish.Late().ToLookup(x => x.MinutesBefore > dish.RiceRestMinutes);
        var off = actions.AddLate(late[true], Trigger.Next, Math.Max(0, way.LastMinutes), dish.RiceRestMinutes);
        actions.Add(
            new CookAction.Heat(off with { Delay = off.Delay ?? Duration.Zero, Look = LastLook(dish, way) }, Flame.Off)
            {
                StepId = StepIds.HeatOff,
            }
        );
        _ = actions.AddLate(late[false], Trigger.Next, 0, dish.RiceRestMinutes);
        actions.AddTowel(dish);
    }

    /// <summary>Rice and pulses are tasted before the flame goes out. Not yet: the flame goes to its lowest, where the rice waits without
    /// harm and the pulses go on; a bed that is dry while its rice is hard gets some boiling water.</summary>
    private static Look? LastLook(Dish dish, Way way) =>
        way.RiceOff is not { } off
            ? null
            : RiceLook(dish, off) with
            {
                LidOff =
                    dish.Style == Style.Dry
                        ? new LidOff(Mass.FromGrams(dish.WantedLiquorGrams + (StillDrinks * dish.RiceDry.Grams)), LongestLidOff)
                        : null,
                // What stands in a bowl beside was found soft before.
                Also = dish.LiftsForRice
                    ? []
                    :
                    [
                        .. dish
                            .OtherPulses.Select(o => (o.Id, o.Pulse))
                            .Prepend((Way.PulseId, dish.Pulse))
                            .Select(p => new LookAlso(p.Item1, dish.Targets.Window(p.Item2).Low - RestGain)),
                    ],
            };

    /// <summary>Rice is tasted when the clock says that it is done.</summary>
    /// <param name="off">Doneness at which its flame may go out.</param>
    public static Look RiceLook(Dish dish, double off) =>
        new(Way.RiceId, Math.Max(0, off - RiceTolerance), TasteAgain)
        {
            NotYet = new NotYet(Flame.Lowest, dish.RiceDry * SprinkleShare) { Longest = Way.RiceWaits },
        };
}

/// <summary>Off the heat for the rice's own minutes, and to the table.</summary>
internal sealed record RestAndServe : Stage
{
    public override IReadOnlyList<FreeNumber> Frees(Way way) => [new TableHour()];

    public override IReadOnlyList<string> Steps => [StepIds.Table];

    public override void Emit(List<CookAction> actions, Dish dish, Way way) =>
        actions.AddServe(dish, Trigger.Later(Duration.FromMinutes(dish.RiceRestMinutes)), way.ServeAfter(dish));
}
