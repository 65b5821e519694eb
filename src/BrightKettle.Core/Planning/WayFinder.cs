using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning.Hands;
using BrightKettle.Core.Planning.Manners;

namespace BrightKettle.Core.Planning;

/// <summary>One way to tonight's dish: planned, or refused with the reason.</summary>
/// <param name="PulseId">Another pulse than the one asked for, where that is the offer; null otherwise.</param>
public sealed record WayOffer(Manner How, string? PulseId, PlanAnswer Answer)
{
    public Method Method => How.Pulses.Method;

    public SoakChoice Soak => How.Soak.Choice;

    public string? CookerId => How.Pulses.Cooker?.Id;

    /// <summary>The rice's own pot, its bowl above the pulses, or the pot into which their liquor goes; null when it joins them.</summary>
    public string? RiceVesselId => How.Rice.Takes?.Vessel.Id;

    /// <summary>How the rice comes to the pulses where it has no pot of its own.</summary>
    public RiceJoin RiceJoin => How.Rice.Join;

    public Plan? Plan => (Answer as PlanAnswer.Planned)?.Plan;

    public PlanRefusal? Refusal => (Answer as PlanAnswer.Refused)?.Refusal;

    /// <summary>What one compares by; null for a refused way.</summary>
    public WayFacts? Facts { get; init; }
}

/// <summary>All ways that this kitchen has, side by side: what works by the hour and, with the reason, what does not.</summary>
public sealed class WayFinder(Planner planner, PulseCatalogue catalogue)
{
    /// <summary>Enough to put ways in their order; the opened one is judged on more.</summary>
    public const int Pots = 128;

    private static readonly IReadOnlyList<Soaking> Soaks = [new OvernightSoak(), new HotSoak(), new Unsoaked()];

    /// <summary>Every way, those that work first, the surest first among them.</summary>
    /// <param name="dish">Its method, cooker and soak are ignored, and a bowl above for the rice.</param>
    /// <param name="found">Told of each way as it is judged, with how many there are; from any thread.</param>
    /// <exception cref="OverBudgetException">The planner's simulator has a budget, and it is spent.</exception>
    /// <exception cref="OperationCanceledException">The budget was called off.</exception>
    public IReadOnlyList<WayOffer> For(Dish dish, int pots = Pots, Action<WayOffer, int>? found = null)
    {
        // The longest cooks first, so that no core waits for the last of them.
        var wishes = Manners(dish).OrderByDescending(m => m.Pulses.RunsAlone).Select(m => dish with { How = m }).ToList();
        var offers = new WayOffer[wishes.Count];
        var judge = planner.Remembering();
        SideBySide.For(wishes.Count, i =>
        {
            offers[i] = Offer(judge, wishes[i], null, pots);
            found?.Invoke(offers[i], wishes.Count);
        });
        var quicker = offers.Any(o => o.How.Pulses.FromRaw && o.Plan is not null) ? null : Quicker(judge, dish, pots);
        return [.. offers.Concat(quicker is null ? [] : [quicker]).OrderBy(o => o.Plan is null).ThenByDescending(o => o.Plan?.ShareTender)];
    }

    private static IEnumerable<Manner> Manners(Dish dish)
    {
        var open = new Manner(new OpenPot(), dish.How.Soak, new InThePot());
        foreach (var soak in SoaksOf(dish).Where(s => dish.CanSoak || s is Unsoaked or SoaksAlready))
        {
            yield return open with
            {
                Soak = soak,
            };
            foreach (var beside in RiceBeside(dish, dish.RiceVessel))
            {
                yield return open with
                {
                    Soak = soak,
                    Rice = beside,
                };
            }

            foreach (var cooker in Kitchen(dish).Where(v => v.Cooker is { IsForRice: false }))
            {
                // A boil of its own comes before neither lid.
                var boiled = soak is HotSoak;
                if (cooker.Cooker!.Kind == CookerKind.Slow)
                {
                    if (!boiled)
                    {
                        yield return open with
                        {
                            Soak = soak,
                            Pulses = new InCrock(cooker),
                        };
                    }

                    continue;
                }

                yield return open with
                {
                    Soak = soak,
                    Pulses = new UnderPressure(cooker),
                };
                if (!boiled && dish is { Rice: not null, RiceIsCooked: false })
                {
                    yield return new(new UnderPressure(cooker), soak, new AboveThem(new(RiceBowl.For(cooker), dish.Burner, Above: true)));
                }
            }
        }

        foreach (var drained in Drained(dish))
        {
            yield return drained;
        }

        if (dish.IsDry)
        {
            yield return new(new Warmed(dish.CookedAtHand), new Unsoaked(), new InThePot());
        }
    }

    /// <summary>What soaks already, soaks; so many hours are tried where they were asked for.</summary>
    private static IEnumerable<Soaking> SoaksOf(Dish dish) =>
        dish.How.Soak switch
        {
            _ when !dish.IsDry => [new Unsoaked()],
            SoaksAlready standing => [standing],
            SoakOfHours hours => Soaks.Prepend(hours),
            _ => Soaks,
        };

    /// <summary>Pulses that leave their liquor for the rice, where it is eaten without a spoon: one way each, dry from the bag for quick
    /// pulses and soaked for slow ones.</summary>
    private static IEnumerable<Manner> Drained(Dish dish) =>
        dish is { Rice: null } or { OtherPulses.Count: > 0 } or { Style: Style.Saucy or Style.Soup } or { RiceIsCooked: true }
            ? []
            : new RiceCooking[] { new AfterDraining(), dish.How.Rice as InTheLiquor ?? new InTheLiquor() }.Select(rice => new Manner(
                new OpenPot(),
                dish.How.Soak is SoaksAlready or SoakOfHours ? dish.How.Soak
                    : dish.CanSoak && dish.Pulse.SimmerUnsoakedMinutes.Middle > QuickMinutes ? new OvernightSoak()
                    : new Unsoaked(),
                rice
            ));

    /// <summary>A pulse that is simmered longer than this is soaked before.</summary>
    private const double QuickMinutes = 80;

    /// <summary>The same with the rice in a pot of its own, where there is one that takes it and a burner for it; in the rice cooker of a
    /// kitchen that has one.</summary>
    /// <param name="asked">The pot that was asked for; the smallest that takes it where none was.</param>
    internal static IEnumerable<RiceCooking> RiceBeside(Dish dish, CookVessel? asked = null) =>
        dish.Rice is null || dish.RiceIsCooked ? []
        : asked is { Above: false } ? [new InItsOwnPot(asked)]
        : RiceCookers(dish).ToList() is [var cooker, ..] ? [new InItsOwnPot(new(cooker, dish.Burner))]
        : dish.OtherBurner is { } burner ? RicePots(dish).Take(1).Select(v => new InItsOwnPot(new(v, burner)))
        : [];

    /// <summary>Rice cookers that take the rice, which want no burner; none where the rice wants a pot.</summary>
    private static IEnumerable<Vessel> RiceCookers(Dish dish) =>
        dish.Asked.Any(s => s.WantsFlame())
            ? []
            : Kitchen(dish).Where(v => v.Cooker is { IsForRice: true } && RiceCooking.Holds(v, dish)).OrderBy(v => v.Brim.Millilitres);

    /// <summary>Other pots that take the rice by itself, the smallest first.</summary>
    internal static IEnumerable<Vessel> RicePots(Dish dish) =>
        Kitchen(dish)
            .Where(v => v.Id != dish.Vessel.Id && v.Cooker is null && dish.Rice is not null && RiceCooking.Holds(v, dish))
            .OrderBy(v => v.Brim.Millilitres);

    private static IEnumerable<Vessel> Kitchen(Dish dish) => dish.OtherVessels.Append(dish.Vessel).DistinctBy(v => v.Id);

    private static WayOffer Offer(Planner planner, Dish dish, string? pulseId, int pots)
    {
        var offer = new WayOffer(dish.How, pulseId, planner.Plan(dish, pots, rough: true));
        return offer.Plan is { } plan
            ? offer with
            {
                Facts = WayFacts.Of(plan, HandsPlanner.For(plan, Math.Max(1, dish.BurnerCount))),
            }
            : offer;
    }

    /// <summary>Whether twice as much can be cooked in the same way, the second half for the freezer; null when it can, else why
    /// not.</summary>
    public PlanRefusal? Doubled(Dish dish) => planner.Probe(dish.Scaled(2)).Refusal;

    /// <summary>When nothing of the dry bag works by the hour: the slowest of the quick pulses that does, since it is the nearest in
    /// kind.</summary>
    private WayOffer? Quicker(Planner planner, Dish dish, int pots) =>
        catalogue
            .Pulses.Where(p =>
                p.Kind is PulseKind.Lentil or PulseKind.Split && p.SimmerUnsoakedMinutes.Middle < dish.Pulse.SimmerUnsoakedMinutes.Middle
            )
            .OrderByDescending(p => p.Id == PreferredQuick)
            .ThenByDescending(p => p.SimmerUnsoakedMinutes.Middle)
            .Select(p =>
                Offer(
                    planner,
                    dish with
                    {
                        Pulse = p,
                        // Of another bag, of which nothing is known.
                        Pace = new(1, catalogue.Constants.LotSpread),
                        Lot = Lot.Fresh,
                        PulseState = PulseState.Dry,
                        How = dish.How with { Pulses = new OpenPot(), Soak = new Unsoaked() },
                    },
                    p.Id,
                    pots
                )
            )
            .FirstOrDefault(o => o.Plan is not null);

    /// <summary>In most cupboards, and ready in a quarter of an hour.</summary>
    private const string PreferredQuick = "lentil_red_split";
}
