using BrightKettle.Core.Cooking;
using BrightKettle.Core.Safety;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Planning.Stages;

/// <summary>Looks, until the pulses are found far enough; then they wait, and where the house is left they are hot when it is.</summary>
/// <param name="AtFirstLook">Looks begin at <see cref="Way.FirstLook"/>; else at once.</param>
/// <param name="Drained">Poured off when they are found: in their hot water they would go on softening.</param>
internal sealed record UntilFound(bool AtFirstLook, string? Drained = null) : Stage
{
    /// <summary>They come from under a lid that can be locked again.</summary>
    public bool LocksAgain { get; init; }

    /// <summary>What the middle bag is held for less, minutes, is soon there at a simmer. Of 344 dinners under pressure nobody is served
    /// later for locking again from here on, and the unsoaked begin 26 minutes later; at 6 minutes some are served late.</summary>
    private const double WorthLocking = 10;

    /// <summary>Under pressure again for so much of what the middle bag takes, minutes at most.</summary>
    private const double AgainShare = 0.35;
    private const double MostAgain = 20;

    /// <summary>What is less far from done, points, simmers on: coming up and down again takes longer.</summary>
    private const double FarFrom = 20;

    /// <summary>To bring it from hot to the boil.</summary>
    private static readonly Duration BoilsUp = Duration.FromMinutes(6);

    /// <summary>What comes so soon after that boils it anyway.</summary>
    private static readonly Duration AtOnce = Duration.FromMinutes(10);

    /// <summary>Nine bags in ten are found before what comes is due.</summary>
    public override double Slack => 0.1;

    public override IReadOnlyList<string> Steps => [StepIds.Ready, StepIds.BoilUp, StepIds.OffToGo, StepIds.BackHot, StepIds.Finish];

    public override void Emit(List<CookAction> actions, Dish dish, Way way)
    {
        if (way.Wait is not { } state)
        {
            return;
        }

        // What is going to stand in a bowl goes there hot.
        var waitsOff = way.HotUntil is null && !dish.How.WaitsHot && !way.LiftsFirst && !dish.LiftsForRice;
        var when = (AtFirstLook ? new Trigger(NotBefore: way.FirstLook) : Trigger.Next) with { Look = Ripe(dish, way, state) };
        var goesOn = way.JoinsOnLook && dish.RiceInPot is null && Drained is null;
        actions.Add(
            new CookAction.Heat(
                when,
                goesOn ? Flame.Full
                    : waitsOff ? Flame.Off
                    : Flame.Warm
            )
            {
                StepId = StepIds.Ready,
            }
        );
        if (Drained is not null)
        {
            actions.Add(new CookAction.Drain(Trigger.Next, null) { StepId = Drained });
        }

        LeaveLevel(actions, dish);

        actions.Add(new CookAction.Cover(Trigger.Next, Lid.On));
        if (way.HotUntil is { } leaves)
        {
            // At the boil it stays hot for longest.
            actions.Add(new CookAction.Heat(Trigger.At(leaves - BoilsUp), Flame.Full) { StepId = StepIds.BoilUp });
            actions.Add(new CookAction.Heat(Trigger.Once(PotEvent.Boils), Flame.Off) { StepId = StepIds.OffToGo });
            if (way.JoinAt - way.BackAt > AtOnce)
            {
                actions.Add(new CookAction.Heat(Trigger.At(way.BackAt), Flame.Full) { StepId = StepIds.BoilUp });
                actions.Add(new CookAction.Heat(Trigger.Once(PotEvent.Boils), Flame.Warm) { StepId = StepIds.BackHot });
            }
        }
    }

    /// <summary>What is far enough gets no more water until somebody sets it.</summary>
    internal static void LeaveLevel(List<CookAction> actions, Dish dish)
    {
        if (dish.How.Pulses.KeepsCovered)
        {
            actions.Add(new CookAction.KeepLevel(Trigger.Next, null));
        }
    }

    /// <summary>The slowest and all that have been in the pot with it from the start are far enough.</summary>
    private Look Ripe(Dish dish, Way way, FeltState state) =>
        new(Way.PulseId, way.WaitsFor(dish, state), way.LookAgain)
        {
            Also =
            [
                .. way.FromTheStart(dish)
                    .Select(o => new LookAlso(o.Id, Math.Min(way.WaitsFor(dish, state), dish.Targets.Window(o.Pulse).Low))),
            ],
            NotYet = LocksAgain ? FarOff(dish, way, state) : null,
        };

    private static NotYet? FarOff(Dish dish, Way way, FeltState state) =>
        (way.Bowl?.HoldMinutes ?? way.HoldMinutes) is var held && held < WorthLocking
            ? null
            : new NotYet(Flame.Lively, Mass.Zero)
            {
                LockAgain = new(
                    Math.Max(0, way.WaitsFor(dish, state) - FarFrom),
                    Duration.FromMinutes(Math.Min(Math.Round(AgainShare * held), MostAgain))
                ),
            };
}

/// <summary>Back to the boil with the quicker pulses, until they are far enough; then all of it waits.</summary>
/// <param name="Drained">Poured off when they are found.</param>
internal sealed record OthersJoin(string? Drained = null) : Stage
{
    /// <summary>A quick pulse changes under the hand.</summary>
    private static readonly Duration Again = Duration.FromMinutes(4);

    public override IReadOnlyList<string> Steps => [StepIds.OtherIn, StepIds.OtherSoft, StepIds.Finish];

    public override void Emit(List<CookAction> actions, Dish dish, Way way)
    {
        if (way.OtherWait is not { } state || way.WithTheRice)
        {
            return;
        }

        var joining = way.Later(dish).ToList();
        // What is lifted out at this time goes first.
        var when = way is { LiftsFirst: true, LiftsAtOnce: false } ? Trigger.Next : Trigger.At(way.OtherAt);
        actions.Add(new CookAction.Add(when, joining[0].Id) { StepId = StepIds.OtherIn });
        actions.AddRange(joining.Skip(1).Select(o => new CookAction.Add(Trigger.Next, o.Id) { StepId = StepIds.OtherIn }));
        actions.Add(new CookAction.Heat(Trigger.Next, Flame.Full));
        if (joining.Exists(o => o.Pulse.BoilsFirst))
        {
            actions.Add(new CookAction.Heat(Trigger.Once(PotEvent.Boils), Flame.Rolling));
            actions.Add(
                new CookAction.Heat(Trigger.Later(LectinGate.RequiredBoil(dish.Household.Altitude, dish.Household.Cautious)), Flame.Lively)
            );
        }
        else
        {
            actions.Add(new CookAction.Heat(Trigger.Once(PotEvent.Boils), Flame.Lively));
        }

        if (state == FeltState.Hard)
        {
            return;
        }

        double Far(OtherPulse other) =>
            state == FeltState.Soft ? Math.Max(Doneness.Anchor(state), dish.Targets.CookTo(other.Pulse)) : Doneness.Anchor(state);
        var look = new Look(joining[0].Id, Far(joining[0]), Again) { Also = [.. joining.Skip(1).Select(o => new LookAlso(o.Id, Far(o)))] };
        if (dish.How.Pulses.KeepsCovered)
        {
            actions.Add(new CookAction.KeepLevel(Trigger.Next, way.KeptLevel));
        }

        var then = dish.How.WaitsHot && Drained is null ? Flame.Warm : Flame.Off;
        actions.Add(new CookAction.Heat(new Trigger(Look: look), then) { StepId = StepIds.OtherSoft });
        if (Drained is not null)
        {
            actions.Add(new CookAction.Drain(Trigger.Next, null) { StepId = Drained });
        }

        UntilFound.LeaveLevel(actions, dish);
    }
}
