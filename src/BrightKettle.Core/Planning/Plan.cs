using BrightKettle.Core.Cooking;
using BrightKettle.Core.Cooking.Trace;
using BrightKettle.Core.Planning.Beside;
using BrightKettle.Core.Planning.Manners;
using BrightKettle.Core.Safety;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Planning;

/// <summary>What the planner answers: a plan or the reason why not.</summary>
public abstract record PlanAnswer
{
    public sealed record Planned(Plan Plan) : PlanAnswer;

    public sealed record Refused(PlanRefusal Refusal) : PlanAnswer;
}

/// <summary>The moment at which the second ingredient goes in, in the reference pot.</summary>
/// <param name="Doneness">Of the one that is already in.</param>
/// <param name="ChalkyOfFive">Of five pulses, how many still show chalk; null when the rice is the one that is in.</param>
/// <param name="LiquorNeeded">Free liquor to have there.</param>
/// <param name="NeededMillilitres">The same, hot in a jug.</param>
/// <param name="FoundMillilitres">What is in the pot before it is set, with its range.</param>
/// <param name="AddedMillilitres">To add boiling, or, negative, to pour off, with its range.</param>
/// <param name="OverBedCentimetres">How high it stands over the bed before the joiner goes in.</param>
public sealed record JoinMoment(
    double Doneness,
    FeltState Felt,
    double? ChalkyOfFive,
    Mass LiquorNeeded,
    double NeededMillilitres,
    Band FoundMillilitres,
    Band AddedMillilitres,
    double OverBedCentimetres
);

/// <summary>Amounts to measure out.</summary>
/// <param name="FirstWater">Cold, for the pot.</param>
/// <param name="SoakWater">For the bowl; null without a soak.</param>
/// <param name="Salt">To add, with what other sources bring taken off, for 0.9 % of all that is eaten (0.7 to 1.1 % is ordinary,
/// confidence B).</param>
public sealed record Amounts(Mass FirstWater, Mass? SoakWater, Mass Salt, Mass Edible)
{
    /// <summary>Every source of salt, with what is planned.</summary>
    public required SaltSheet Sheet { get; init; }
}

/// <summary>One solved way for the dish, with its forecast.</summary>
/// <param name="Waits">The state that is looked for before the join; null when the join goes by the clock.</param>
/// <param name="ShareTender">With the looks that the plan asks for.</param>
/// <param name="Blind">By the clock alone; of a plan that is only compared it is worked out when somebody asks.</param>
public sealed record Plan(
    Dish Dish,
    FeltState? Waits,
    Cook Cook,
    Forecast Forecast,
    JoinMoment? Join,
    Amounts Amounts,
    double ShareTender,
    Lazy<double> Blind,
    IReadOnlyList<GateFinding> Gates,
    IReadOnlyList<string> Cautions
)
{
    /// <summary>By the clock alone: every look is answered by the reference pot's.</summary>
    public double BlindShare => Blind.Value;

    /// <summary>The pulses go to the table by themselves, or meet the rice there.</summary>
    public bool IsAlone => Way.List.IsAlone;

    /// <summary>The rice is in the pot first, and the pulses join it.</summary>
    public bool RiceStarts => Way.List.Starts == Way.RiceId;

    /// <summary>Both are in the pot from the start.</summary>
    public bool BothStart => Way.List.Starts is null;

    /// <summary>The walk over its actions.</summary>
    public CookTrace Trace => field is { } walked && ReferenceEquals(walked.Cook, Cook) ? walked : field = new(Cook);

    /// <summary>Its pulses go into the pot with the water that they were soaked in.</summary>
    public bool KeepsSoakWater => Trace.BowlAtEnd(Way.PulseId) is { Soaked: not null, Drained: null };

    /// <summary>Its pulses leave their liquor when a look finds them right.</summary>
    public bool DrainsAtLook => Way.DrainsAtLook(Dish);

    /// <summary>Whether the rice is in the vessel of an action before it.</summary>
    public bool RiceIsIn(int action) => Trace.PlaceBefore(action, Way.RiceId) == Trace.VesselOf(action);

    /// <summary>What stands on the scale of one of its pulses, g; of the first where none is named.</summary>
    public double OnTheScale(string pulseId = Way.PulseId) => ((PulseIngredient)Cook.Ingredients[Cook.IndexOf(pulseId)]).OnTheScale.Grams;

    /// <summary>What stands on the scale of its rice, g; 0 without rice.</summary>
    public double RiceOnTheScale => Cook.Ingredients.OfType<RiceIngredient>().Sum(r => r.OnTheScale.Grams);

    /// <summary>How long its liquor boils down with the lid off before what comes, min; 0 where it has what it should.</summary>
    public double BoilDownMinutes => Dish.Style == Style.Dry && IsAlone ? 0 : Math.Round(Way.BoilDownMinutes);

    /// <summary>Stages that were asked for and have no place in this way.</summary>
    public IReadOnlyList<AskedStage> LeftOut => [.. Dish.Asked.Where(s => !Holds(s))];

    private bool Holds(AskedStage stage) =>
        stage switch
        {
            AskedStage.Season => Forecast.Find(StepIds.Season) is not null,
            AskedStage.Mash => Forecast.Find(StepIds.Mash) is not null,
            AskedStage.Bind or AskedStage.Move => Dish.Has(stage),
            AskedStage.Base => Forecast.Find(StepIds.Base) is not null,
            AskedStage.Toast => Cook.Ingredients.OfType<RiceIngredient>().Any(r => r.Toasted),
            AskedStage.Plenty => Forecast.Find(StepIds.RiceDrained) is not null,
            AskedStage.Crust => Forecast.Find(StepIds.RiceCrust) is not null,
            AskedStage.Towel => Cook.Actions.Any(a => a is CookAction.Cover { With: SealMaterial.Towel }),
            _ => Forecast.Find(StepIds.Fold) is not null,
        };

    /// <summary>What is fried in the pot before anything else goes in.</summary>
    public IReadOnlyList<DishExtra> Fried => [.. Dish.Extras.Where(Dish.FriesFirst)];

    /// <summary>What is fried in the rice's own pot before the rice goes in.</summary>
    public IReadOnlyList<DishExtra> FriedForRice => [.. Dish.RiceExtras.Where(Dish.FriesForRice)];

    /// <summary>How long that is fried, min; 0 where nothing is.</summary>
    public double RiceBaseMinutes => FriedForRice.Count > 0 ? Stages.FriedBase.Fries.TotalMinutes : 0;

    /// <summary>How long what goes in first is fried in the pot, min; 0 where that was not asked for.</summary>
    public double BaseMinutes => Dish.Has(AskedStage.Base) ? Stages.FriedBase.Fries.TotalMinutes : 0;

    /// <summary>How long it is seasoned on low, min; 0 where that was not asked for.</summary>
    public double SeasonMinutes => Dish.SeasonMinutes;

    /// <summary>When something is first to be done: what soaks already was begun before.</summary>
    public Instant Begins => FirstDeed(Dish, Cook, Way.LightAt);

    internal static Instant FirstDeed(Dish dish, Cook cook, Instant light) =>
        dish.How.Soak.Since is null
            ? cook.Starts
            : cook
                .Actions.Where(a => a is not CookAction.Soak soak || soak.IngredientId == Way.RiceId)
                .Select(a => a.Trigger.NotBefore ?? light)
                .Min();

    /// <summary>What it and the other dishes of the evening want at once.</summary>
    public IReadOnlyList<Clash> Clashes { get; init; } = [];

    /// <summary>What would keep them apart; empty where nothing clashes, and for a plan that is only compared.</summary>
    public IReadOnlyList<Alternative> Apart { get; init; } = [];

    /// <summary>What the reference pot's base is like at the table.</summary>
    public BaseState Base { get; init; }

    /// <summary>The numbers behind it, for what is asked of it next; the planner always sets them.</summary>
    internal Way Way { get; init; } = null!;
}
