using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning.Solving;
using BrightKettle.Core.Planning.Stages;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Planning;

/// <summary>A list of stages with its free numbers; with the wish it makes a cook.</summary>
/// <param name="List">Its stages.</param>
internal sealed record Way(WayList List, Instant LightAt)
{
    public const string PulseId = "pulse";
    public const string RiceId = "rice";

    /// <summary>When the second ingredient goes in; for a pulse alone, when it goes to the table.</summary>
    public Instant JoinAt { get; init; }

    /// <summary>The state of the quicker pulses to wait for before the flame goes out again; hard: nobody looks, they go in with the rice
    /// or so many minutes before it. Null when none joins later.</summary>
    public FeltState? OtherWait { get; init; }

    /// <summary>The first is lifted out when it is far enough and waits in a covered bowl while the other cooks in its liquor: two bags
    /// of which each ends when it is found right.</summary>
    public bool LiftsFirst { get; init; }

    /// <summary>Lifted as it is found, and not when the other goes in: in its hot liquor it would go on softening.</summary>
    public bool LiftsAtOnce { get; init; }

    /// <summary>How long before the join the quicker pulses go in.</summary>
    public Duration OtherLead { get; init; }

    /// <summary>The quicker pulses go in with the rice.</summary>
    internal bool WithTheRice => OtherWait == FeltState.Hard && OtherLead == Duration.Zero;

    /// <summary>When the quicker pulses go in: the slowest is soft by then and waits.</summary>
    public Instant OtherAt => JoinAt - OtherLead;

    /// <summary>The felt state to wait for before the join, or null to go by the clock.</summary>
    public FeltState? Wait { get; init; }

    /// <summary>The join comes with the look that finds them far enough, and the table moves with it; else they wait off the heat until
    /// <see cref="JoinAt"/>. For what does not stand still while it waits.</summary>
    public bool JoinsOnLook { get; init; }

    /// <summary>When the liquor is set for what joins.</summary>
    public Trigger JoinTrigger => JoinsOnLook ? Trigger.Next : Trigger.At(JoinAt);

    public Instant FirstLook { get; init; }

    /// <summary>The slow cooker stands on low: there is time enough.</summary>
    public bool SlowOnLow { get; init; }

    /// <summary>When the house is left: what is ready before is kept hot until then and boils up once more, so that it stays hot without a
    /// flame; null where nobody leaves.</summary>
    public Instant? HotUntil { get; init; }

    /// <summary>When somebody is back: what stood off the heat boils up and waits hot again. Means nothing where nobody leaves.</summary>
    public Instant BackAt { get; init; }

    public Duration LookAgain { get; init; } = Duration.FromMinutes(10);

    /// <summary>Water at the start.</summary>
    public Mass Water { get; init; }

    /// <summary>Liquor at the join.</summary>
    public Mass JoinLiquor { get; init; }

    /// <summary>How high over the bed the liquor is kept until the pulses are found, cm; -1 to 0.</summary>
    public double KeptLevel { get; init; }

    /// <summary>How long the middle bag boils down with the lid off before what comes, min: pulses soften on meanwhile.</summary>
    public double BoilDownMinutes { get; init; }

    /// <summary>What is too much is boiled down, and not poured off; only a solver that asks how much that is has it otherwise.</summary>
    public bool BoilsDown { get; init; } = true;

    /// <summary>Nobody boils a dish down for longer while the table waits.</summary>
    private static readonly Duration LongestBoilDown = Duration.FromMinutes(30);

    /// <summary>The liquor is set to so much.</summary>
    public CookAction SetLiquor(Trigger when, Mass liquor, string stepId) =>
        new CookAction.SetLiquor(when, liquor) { StepId = stepId, BoilDown = BoilsDown ? LongestBoilDown : null };

    /// <summary>From the boil after the join to the flame going out.</summary>
    public double LastMinutes { get; init; }

    /// <summary>From the boil after the join to turning down and sealing.</summary>
    public Duration SealDelay { get; init; }

    /// <summary>Doneness of the rice at which the flame may go out, since its rest brings it the remainder; null to go by the
    /// clock.</summary>
    public double? RiceOff { get; init; }

    /// <summary>From the end of the simmer to the table, min, as the reference pot takes it; null until it is known.</summary>
    public double? TailMinutes { get; init; }

    /// <summary>Liquor that is set before the table; null for what is wanted there. What goes in after it brings its own.</summary>
    public Mass? FinishLiquor { get; init; }

    /// <summary>Starch that binds the liquor, g; 0 where the pulses do, or nobody asked for it.</summary>
    public double StarchGrams { get; init; }

    /// <summary>Under pressure: minutes held.</summary>
    public double HoldMinutes { get; init; }

    /// <summary>Whistles after which the heat goes off, instead of minutes; 0 where nobody counts them.</summary>
    public int Whistles { get; init; }

    /// <summary>Rice in a pot of its own; null until it is solved, or where there is none.</summary>
    public OwnPotNumbers? OwnPot { get; init; }

    /// <summary>Rice in a bowl above the pulses; null until it is solved, or where there is none.</summary>
    public BowlNumbers? Bowl { get; init; }

    public IReadOnlyList<Stage> Stages(Dish dish) => List.Stages(dish, this);

    public Cook Build(Dish dish) => Build(dish, Stages(dish));

    /// <param name="stages">What is done, in its order.</param>
    public Cook Build(Dish dish, IReadOnlyList<Stage> stages)
    {
        var actions = new List<CookAction>();
        foreach (var stage in stages)
        {
            stage.Emit(actions, dish, this);
        }

        var starts = actions.Min(a => a.Trigger.NotBefore ?? LightAt);
        var kitchen = new CookKitchen(dish.How.Pulses.Into(dish), dish.Burner, dish.Household.Altitude, dish.Household.Room)
        {
            HardnessMilligramsPerLitre = dish.Household.HardnessMilligramsPerLitre,
            OtherVessels = [.. Beside(dish)],
        };
        var ingredients = new List<Ingredient>
        {
            new PulseIngredient(PulseId, dish.PulseDry, dish.Pulse, dish.PaceOf(dish.Pace))
            {
                Lot = dish.LotOf(dish.Lot),
                Start = dish.Start,
                Green = dish.IsGreen,
                CookedSaltShare = dish.CookedSaltShare,
            },
        };
        if (dish.RiceInPot is not null || OwnPot is not null || Bowl is not null)
        {
            ingredients.Add(RiceOf(dish));
        }

        ingredients.AddRange(
            dish.OtherPulses.Select(o => new PulseIngredient(o.Id, o.Dry, o.Pulse, dish.PaceOf(o.Pace ?? dish.Pace))
            {
                Lot = dish.LotOf(o.Lot),
                Start = dish.How.Pulses.FromRaw ? null : dish.Start,
                CookedSaltShare = dish.CookedSaltShare,
            })
        );
        ingredients.AddRange(dish.Extras.Select(x => ExtraOf(dish, x)));

        return new Cook(kitchen, ingredients, actions, starts, dish.Seed);
    }

    /// <summary>Vessels beside the first that its stages use.</summary>
    private IEnumerable<CookVessel> Beside(Dish dish)
    {
        if (dish.How.Pulses.Beside(dish) is { } crock)
        {
            yield return crock;
        }

        if (LiftsFirst || (dish.LiftsForRice && dish.LiquorPot is null))
        {
            yield return new(PulseBowl.For(dish.Vessel), dish.Burner);
        }

        if (dish.LiquorPot is not null)
        {
            yield return dish.How.Rice.Takes!;
        }

        if ((OwnPot is not null || Bowl is not null) && dish.How.Rice.Own is { } own)
        {
            yield return own;
            if (own.Above)
            {
                yield return new(RiceBowl.Out(own.Vessel), own.Burner);
            }
        }
    }

    /// <summary>The rice of a dish, as an ingredient of its cook.</summary>
    public static RiceIngredient RiceOf(Dish dish) =>
        new(RiceId, dish.RiceDry, dish.Rice!, dish.RiceRateFactor) { Toasted = dish.Has(AskedStage.Toast), Start = dish.RiceStart };

    /// <summary>Something beside pulses and rice, as an ingredient of the cook.</summary>
    public static ExtraIngredient ExtraOf(Dish dish, DishExtra x) =>
        new(x.Id, x.Amount, x.Extra, dish.WarmthOf(x)) { Pieces = x.Pieces, Blanched = x.Blanched };

    /// <summary>What the dish waits for beside its own moment, before it goes to the table: the rice, where that has a vessel of its
    /// own.</summary>
    public string? ServeAfter(Dish dish) =>
        OwnPot is null && Bowl is null ? null
        : dish.Has(AskedStage.Fold) ? StepIds.Fold
        : StepIds.RiceRested;

    /// <summary>The doneness that a look waits for: to what the target wants, were it past soft, less what the pulses gain with the
    /// rice.</summary>
    public double WaitsFor(Dish dish, FeltState state)
    {
        var withRice =
            List.CooksOn && dish.RiceInPot is { } rice
                ? GainShare * Doneness.Tender * rice.SimmerMinutes.Typical / dish.Pulse.SofteningMinutesAt98C
                : 0;
        return state == FeltState.Soft
            ? Math.Max(Doneness.Anchor(state), dish.Targets.CookTo(dish.Pulse) - withRice - GainBefore(dish, dish.Pulse))
            : Doneness.Anchor(state);
    }

    /// <summary>Between the look and what comes: seasoned on low, or simmered with what goes in, and boiled down.</summary>
    public double MinutesBefore(Dish dish) =>
        BoilDownMinutes
        + dish.SeasonMinutes
        + (List.IsAlone ? ColdShare * Math.Max(0, Reheat.SimmerMinutes(dish, this) - dish.SeasonMinutes) : 0);

    /// <summary>Of a simmer with what goes in cold, what counts for the pulses (confidence D).</summary>
    private const double ColdShare = 0.4;

    /// <summary>Doneness that a pulse gains in that time.</summary>
    public double GainBefore(Dish dish, Pulse pulse) => Doneness.Tender * MinutesBefore(dish) / pulse.SofteningMinutesAt98C;

    /// <summary>Of the rice's minutes, what counts for the pulses under it: part of them stand in steam (confidence D).</summary>
    private const double GainShare = 0.5;

    /// <summary>Finished rice waits so long on the lowest flame without harm, and so long does a table (textures, 9).</summary>
    public static readonly Duration RiceWaits = Duration.FromMinutes(30);

    /// <summary>What shall be firm, and dry, is drained when it is found so: in its hot water it would go on softening. It stands covered
    /// until the table, within the hour.</summary>
    public bool DrainsAtLook(Dish dish) =>
        List.IsAlone
        && dish is { Style: Style.Dry, How: { Pulses.KeepsCovered: true, WaitsHot: false } }
        && (dish.Targets.Usual(dish.Pulse) == PulseTarget.Firm || dish.IsGreen)
        && HotUntil is null
        && !(dish.BoilsFirst && dish.CountsAsDry)
        && dish.Extras.All(x => x.Time is ExtraTime.Start or ExtraTime.Rice);

    /// <summary>Where the lid can be lifted the others join once the slowest is soft; dry seed with a lectin goes in with the first, so that
    /// it never leaves the boil.</summary>
    internal static bool MayJoinLater(Dish dish, OtherPulse other) =>
        dish.How.Pulses.KeepsCovered && (!other.Pulse.BoilsFirst || (dish.SoaksInBowl && !dish.How.SoakIsShort));

    /// <summary>Further pulses that join the first when it is far enough.</summary>
    internal IEnumerable<OtherPulse> Later(Dish dish) => OtherWait is null ? [] : dish.OtherPulses.Where(o => MayJoinLater(dish, o));

    /// <summary>Further pulses that go in with the first.</summary>
    internal IEnumerable<OtherPulse> FromTheStart(Dish dish) => dish.OtherPulses.Except(Later(dish));
}
