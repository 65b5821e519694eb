using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning.Beside;
using BrightKettle.Core.Planning.Manners;
using BrightKettle.Core.Safety;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Planning;

/// <summary>How much free liquor is wanted at the table.</summary>
public enum Style
{
    /// <summary>Dry and fluffy; without rice, drained.</summary>
    Dry,
    Moist,
    Saucy,
    Soup,
}

/// <summary>The schools of salting: what each changes stands in the effects' table.</summary>
public enum SaltSchool
{
    /// <summary>1.5 % in the soak, the rest with the rice: skins soften sooner.</summary>
    InTheSoak,

    /// <summary>Into the first water.</summary>
    AtTheStart,

    /// <summary>With the rice; without rice, once they are tender.</summary>
    WithTheRice,

    /// <summary>When all is done, after the little ones' portion was taken out.</summary>
    AtTheTable,
}

/// <summary>The wish: what is eaten, by when, with what is at hand; and how it is asked for or proposed.</summary>
/// <param name="RiceDry">Ignored when there is no rice.</param>
/// <param name="How">With the wish it makes the list of stages.</param>
/// <param name="Household">Where and when it is cooked.</param>
/// <param name="OtherVessels">Other pots of the kitchen: offered when this one is too small.</param>
/// <param name="ServeAt">On the table.</param>
/// <param name="Now">Nothing can be planned before this.</param>
/// <param name="Seed">Fixes the many pots.</param>
public sealed record Dish(
    Pulse Pulse,
    Mass PulseDry,
    Pace Pace,
    Rice? Rice,
    Mass RiceDry,
    Manner How,
    Style Style,
    Vessel Vessel,
    IReadOnlyList<Vessel> OtherVessels,
    Burner Burner,
    Household Household,
    Instant ServeAt,
    Instant Now,
    int Seed
)
{
    /// <summary>1 for the table's rice; other values only to ask what a slower rice would change.</summary>
    public double RiceRateFactor { get; init; } = 1;

    /// <summary>Stable code of in what the pulses are cooked.</summary>
    public Method Method => How.Pulses.Method;

    /// <summary>The cooker that it takes; null for a pot.</summary>
    public Vessel? Cooker => How.Pulses.Cooker;

    /// <summary>Stable code of what is done with the pulses before.</summary>
    public SoakChoice Soak => How.Soak.Choice;

    /// <summary>How the bag was kept.</summary>
    public Lot Lot { get; init; } = Lot.Fresh;

    /// <summary>Further pulses in the same pot, each quicker than <see cref="Pulse"/>: the slowest leads, these join it in time to be
    /// soft together.</summary>
    public IReadOnlyList<OtherPulse> OtherPulses { get; init; } = [];

    /// <summary>Everything beside pulses and rice.</summary>
    public IReadOnlyList<DishExtra> Extras
    {
        get =>
            RiceVessel is { Above: false } || field.All(x => x.Time != ExtraTime.Rice)
                ? field
                : [.. field.Select(x => x.Time == ExtraTime.Rice ? x with { Time = DishExtra.Usual(x.Extra) } : x)];
        init;
    } = [];

    /// <summary>What goes into the rice's own pot, what is fried there first.</summary>
    internal IReadOnlyList<DishExtra> RiceExtras => [.. Extras.Where(x => x.Time == ExtraTime.Rice).OrderByDescending(FriesForRice)];

    /// <summary>It is fried in the rice's own pot before the rice goes in.</summary>
    internal bool FriesForRice(DishExtra x) =>
        x is { Time: ExtraTime.Rice, IsFryable: true }
        && RiceHasPot
        && !Has(AskedStage.Plenty)
        && Extras.Any(o => o is { Time: ExtraTime.Rice, IsFryable: true, Extra.Kind: not ExtraKind.Fat });

    /// <summary>The rice where it shares the pulses' pot; null without rice, and where it has a vessel of its own.</summary>
    public Rice? RiceInPot => How.Rice.Own is null ? Rice : null;

    /// <summary>Where the rice is cooked by itself; null where it joins the pulses, and without rice.</summary>
    public CookVessel? RiceVessel => Rice is null ? null : How.Rice.Own;

    /// <summary>The rice stands in a pot of its own on a burner.</summary>
    private bool RiceHasPot => RiceVessel is { Above: false, Vessel.Cooker: null };

    /// <summary>The pulses leave their pot for the rice, and come back.</summary>
    internal bool LiftsForRice => Rice is not null && How.Rice.LiftsPulses;

    /// <summary>Where their liquor is poured for the rice; null where the rice takes their pot.</summary>
    internal Vessel? LiquorPot => LiftsForRice ? How.Rice.Takes?.Vessel : null;

    /// <summary>Its rice is cooked already and dried: it is stirred in at the end, and drinks.</summary>
    public bool StirsRiceIn => RiceInPot is { } rice && (RiceIsCooked || (rice.SimmerMinutes.Low <= 0 && How.Rice is InThePot));

    /// <summary>How the rice comes; cooked rice is stirred in, whatever was asked of its pot.</summary>
    public RiceState RiceState { get; init; }

    /// <summary>It only has to be hot through.</summary>
    public bool RiceIsCooked => Rice is not null && RiceState != RiceState.Dry;

    /// <summary>What the rice brings that is not dry; null for dry rice.</summary>
    public SeedStart? RiceStart => !RiceIsCooked ? null : CookedRice(RiceState == RiceState.Freezer ? Freezer : Household.Fridge);

    /// <summary>Weight of rice as it goes in, over its dry weight.</summary>
    public static double RiceScale(Rice rice, RiceState state) =>
        new RiceIngredient(Way.RiceId, OneGram, rice) { Start = state == RiceState.Dry ? null : CookedRice(Freezer) }
            .OnTheScale
            .Grams;

    private static SeedStart CookedRice(Temperature at) => new(at, Doneness.Tender);

    private static readonly Mass OneGram = Mass.FromGrams(1);

    /// <summary>How it is washed: what is cooked is not.</summary>
    public string? Rinse => RiceIsCooked ? "no" : Rice?.Rinse;

    /// <summary>Of a household (confidence A: -18 °C).</summary>
    private static readonly Temperature Freezer = Temperature.FromCelsius(-18);

    /// <summary>Stages that the cook adds to the way.</summary>
    public IReadOnlyList<AskedStage> Asked { get; init; } = [];

    /// <summary>Whether a stage was asked for and this dish has a place for it.</summary>
    public bool Has(AskedStage stage) =>
        Asked.Contains(stage)
        && stage switch
        {
            // What is thrown away is not seasoned.
            AskedStage.Season => RiceInPot is null || How.Rice.KeepsLiquor,
            AskedStage.Mash => Style != Style.Dry && (RiceInPot is null || How.Rice.StaysTogether),
            AskedStage.Bind => Style != Style.Dry && RiceInPot is null,
            AskedStage.Move => How.Pulses.CanMoveOver(this),
            // Pulses that soak in the pot are in it already, and a crock fries nothing.
            AskedStage.Base => How.Soak.InPot.Count == 0
                && How.Pulses.BeginsInPot(this)
                && Extras.Any(x => x.CanFry && x.Extra.Kind != ExtraKind.Fat),
            // What is cooked already is neither toasted nor left to steam.
            AskedStage.Plenty => RiceHasPot && !RiceIsCooked,
            AskedStage.Crust => RiceHasPot && !StirsRiceIn && !RiceIsCooked && !Has(AskedStage.Plenty),
            AskedStage.Toast or AskedStage.Towel => Rice is not null && How.Rice.HasFlame && !StirsRiceIn,
            _ => RiceVessel is { Above: false },
        };

    /// <summary>It is fried in the pot before the pulses go in.</summary>
    internal bool FriesFirst(DishExtra x) => x.CanFry && Has(AskedStage.Base);

    /// <summary>Seasoned on low for so long, minutes; 0 where nobody asked for it.</summary>
    internal double SeasonMinutes => Has(AskedStage.Season) ? SeasonedMinutes : 0;

    /// <summary>So that the liquor tastes of what is in it (ways: 10 to 30; confidence C).</summary>
    private const double SeasonedMinutes = 15;

    /// <summary>A towel takes up the last steam (textures, 4: 15 to 20).</summary>
    private const double TowelMinutes = 15;

    /// <summary>Cooked rice that boils with the dish is hot to its middle in this time (confidence C).</summary>
    private const double HotThroughMinutes = 3;

    /// <summary>Covered off the heat before the table, minutes; what is only stirred in stands as long as its packet allows. 0 without
    /// rice.</summary>
    public double RiceRestMinutes =>
        Rice is null ? 0
        : RiceIsCooked ? HotThroughMinutes
        : StirsRiceIn ? Rice.RestMinutes.High
        : Has(AskedStage.Towel) ? Math.Max(TowelMinutes, Rice.RestMinutes.Typical)
        : Rice.RestMinutes.Typical;

    /// <summary>A burner of the kitchen beside <see cref="Burner"/>; null where there is none.</summary>
    public Burner? OtherBurner { get; init; }

    /// <summary>All burners of the kitchen.</summary>
    public IReadOnlyList<Burner> Burners { get; init; } = [];

    /// <summary>Other dishes of the evening.</summary>
    public IReadOnlyList<Neighbour> Beside { get; init; } = [];

    /// <summary>Where the household salts.</summary>
    public SaltSchool Salt { get; init; } = SaltSchool.WithTheRice;

    /// <summary>The household's own target, % of all that is eaten; 0 to 3.</summary>
    public double SaltPercent { get; init; } = SaltSheet.UsualPercent;

    /// <summary>Eaters who get theirs before the salt.</summary>
    public int LittleOnes { get; init; }

    /// <summary>The soak's water goes into the pot too, where nothing forbids it.</summary>
    public bool KeepsSoakWater { get; init; }

    /// <summary>What joins the pot is stirred in once; else it is laid on top and left alone. The model sees no difference: broken grain
    /// is not followed.</summary>
    public bool StirsAtJoin { get; init; } = true;

    /// <summary>Burners of the kitchen, at least 1: side tasks may use those that are free.</summary>
    public int BurnerCount { get; init; } = 1;

    /// <summary>Moments that the cook has pulled from where they are best.</summary>
    public Pull Pull { get; init; } = new();

    /// <summary>Salt to add, g, once the planner has worked it out; 0 before.</summary>
    internal double SaltGrams { get; init; }

    /// <summary>Spans in which nobody is at home: no flame burns and nothing is done in them.</summary>
    public IReadOnlyList<Interval> Away { get; init; } = [];

    /// <summary>Whether somebody is at home and awake.</summary>
    public bool AttendedAt(Instant at) => Household.AwakeAt(at) && !Away.Any(a => a.Contains(at));

    /// <summary>A tub thaws in the fridge in so long (confidence C).</summary>
    private static readonly Duration Thawing = Duration.FromHours(14);

    /// <summary>There is time to thaw what is frozen.</summary>
    public bool CanThaw => ServeAt - Now >= Thawing;

    /// <summary>How warm an extra goes in.</summary>
    internal Temperature WarmthOf(DishExtra extra) =>
        extra.Extra.IsIce || (extra.Frozen && !CanThaw) ? Freezer
        : extra.Frozen ? Household.Fridge
        : Household.Room;

    /// <summary>They stand in a bowl of water before the flame, for however long.</summary>
    public bool SoaksInBowl => How.Soak.InBowl;

    /// <summary>Not soaked for long enough to lose a lectin with the water.</summary>
    public bool CountsAsDry => How.Soak is Unsoaked || How.SoakIsShort;

    /// <summary>So many times the pulses, all of them.</summary>
    public Dish Scaled(double factor) =>
        this with
        {
            PulseDry = PulseDry * factor,
            OtherPulses = [.. OtherPulses.Select(o => o with { Dry = o.Dry * factor })],
        };

    /// <summary>Where they come from if they are to be had cooked.</summary>
    public CookedFrom CookedAtHand { get; init; }

    /// <summary>How the pulses come, where they are not cooked already.</summary>
    public PulseState PulseState { get; init; }

    /// <summary>For <see cref="PulseState.HalfCooked"/>: how far, chalky to a bite.</summary>
    public FeltState HalfCookedTo { get; init; } = FeltState.ChalkyMiddle;

    /// <summary>From the bag: what is wet already is never soaked.</summary>
    public bool IsDry => PulseState == PulseState.Dry;

    public bool IsGreen => PulseState is PulseState.Green or PulseState.FrozenGreen;

    /// <summary>Weight of pulses as they go in, over their dry weight.</summary>
    public static double PulseScale(Pulse pulse, PulseState state) =>
        new PulseIngredient(Way.PulseId, OneGram, pulse, new Pace(1, 0))
        {
            Green = state is PulseState.Green or PulseState.FrozenGreen,
            Start = state == PulseState.HalfCooked ? new(Freezer, Doneness.Anchor(FeltState.ChalkyMiddle)) : null,
        }
            .OnTheScale
            .Grams;

    /// <summary>The same in another pot or cooker.</summary>
    public Dish With(PulseCooking pulses) => this with { How = How with { Pulses = pulses } };

    /// <summary>The same, soaked otherwise.</summary>
    public Dish With(Soaking soak) => this with { How = How with { Soak = soak } };

    /// <summary>The same with the rice coming otherwise.</summary>
    public Dish With(RiceCooking rice) => this with { How = How with { Rice = rice } };

    /// <summary>The same with pulses that come otherwise than dry, for as many grams of dry weight; they are not soaked.</summary>
    /// <exception cref="InvalidOperationException">Green, and nobody sells it so.</exception>
    public Dish With(PulseState state, FeltState halfCookedTo = FeltState.ChalkyMiddle)
    {
        var changed = this with { PulseState = state, HalfCookedTo = halfCookedTo, How = How with { Soak = new Unsoaked() } };
        return changed.IsGreen
            ? changed with
            {
                Pulse = Pulse.PickedGreen(),
                // No bag of the cupboard, whatever is known of one.
                Pace = new(1, Math.Min(Pace.Spread, GreenSpread)),
                Lot = Lot.Fresh,
            }
            : changed;
    }

    /// <summary>What was cooked before is of no bag of the cupboard: what is known of one says nothing of a tin.</summary>
    internal Pace PaceOf(Pace bag) => Start is null ? bag : new(1, PulseCatalogue.Shipped.Constants.LotSpread);

    internal Lot LotOf(Lot bag) => Start is null ? bag : Lot.Fresh;

    /// <summary>Green seed was never stored, which is what makes dry bags differ (confidence D).</summary>
    private const double GreenSpread = 0.15;

    /// <summary>A soak can help it.</summary>
    public bool CanSoak => IsDry && Pulse.SoakHours.High > 0;

    /// <summary>What pulses bring that are not dry; null for dry ones, and for green ones at the room's temperature.</summary>
    public SeedStart? Start => How.Pulses.Start(this);

    /// <summary>The same by the state in which they come.</summary>
    internal SeedStart? SeedFromState =>
        PulseState switch
        {
            PulseState.HalfCooked => new(Household.Fridge, Doneness.Anchor(HalfCookedTo)),
            PulseState.FrozenGreen => new(Freezer, 0),
            _ => null,
        };

    /// <summary>Salt that they bring along, g per g; 0 for dry ones.</summary>
    public double CookedSaltShare => How.Pulses.SaltShare(this);

    /// <summary>Whether any of its pulses, dry when it begins, wants a hard boil first: the strictest rules the pot.</summary>
    public bool BoilsFirst => How.Pulses.FromRaw && OtherPulses.Select(o => o.Pulse).Prepend(Pulse).Any(p => p.BoilsFirst);

    public Mass PulsesDry => OtherPulses.Aggregate(PulseDry, (sum, o) => sum + o.Dry);

    /// <summary>All that is dry in the pot of the pulses.</summary>
    public Mass TotalDry => RiceInPot is null ? PulsesDry : PulsesDry + RiceDry;

    /// <summary>Free liquor wanted at the table, g: a moist film in a dry dish, a ladle of it in a soup (confidence C).</summary>
    public double WantedLiquorGrams => TotalDry.Grams * LiquorShare(Style);

    private static double LiquorShare(Style style) =>
        style switch
        {
            Style.Dry => 0.06,
            Style.Moist => 0.25,
            Style.Saucy => 0.8,
            _ => 2.5,
        };

    /// <summary>The style whose liquor is nearest to this, g per g of what is dry.</summary>
    public static Style StyleOf(double liquorShare) =>
        Enum.GetValues<Style>().MinBy(s => Math.Abs(Math.Log(LiquorShare(s) / Math.Max(0.01, liquorShare))));

    /// <summary>Named by the cook; null for what is usual with this style.</summary>
    public PulseTarget? PulseTarget { get; init; }

    /// <summary>Named for <see cref="Pulse"/> alone, among several; null for what all of them are cooked to.</summary>
    public PulseTarget? LeadTarget { get; init; }

    /// <summary>The same for the rice.</summary>
    public RiceTarget? RiceTarget { get; init; }

    public Targets Targets =>
        new(Style, PulseTarget, RiceTarget)
        {
            ComeCooked = !How.Pulses.FromRaw,
            Each = OtherPulses
                .Select(o => (o.Pulse.Id, o.Target))
                .Append((Pulse.Id, LeadTarget))
                .Where(o => o.Item2 is not null)
                .ToDictionary(o => o.Item1, o => o.Item2!.Value),
        };
}
