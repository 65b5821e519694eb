using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Planning;

/// <summary>Rice in its own bowl above the pulses, under one lid. The pulses say how long; the bowl's water is solved by running
/// both.</summary>
internal sealed class RiceAbove(Simulator simulator)
{
    /// <summary>Rice within these comes out as rice: firm at the one end, mush at the other.</summary>
    public const double LeastDone = 88;
    public const double MostDone = 130;

    /// <summary>Held this many times its own minutes, and a few, rice is mush however little water it has (confidence D).</summary>
    private const double MostHeld = 3;
    private const double HeldBeside = 5;

    private const int MostTries = 8;

    /// <summary>Whether the pulses' time under pressure is too long for this rice.</summary>
    public static bool IsTooLong(Dish dish, Cook cook, PotRun run) =>
        dish.Rice is { } rice
        && WaySolver.IndexOf(cook, StepIds.HoldOver) is >= 0 and var at
        && run.Done[at] is { } over
        && run.Nth(PotEvent.PressureUp) is { } up
        && (over.Seconds - up) / 60 > (MostHeld * rice.PressureMinutes.High) + HeldBeside;

    /// <summary>Holds that are tried side by side.</summary>
    private const int MostHolds = 16;

    /// <summary>Free liquor that may be left with the rice, g per g dry: a film.</summary>
    private const double WantedShare = 0.03;

    /// <summary>Both under one lid.</summary>
    /// <param name="cook">The pulses alone, under pressure.</param>
    public Cook Attach(Dish dish, Cook cook)
    {
        var target = WantedShare * dish.RiceDry.Grams;
        var water = dish.RiceDry * dish.Rice!.Absorbed.Typical;
        // Nothing that is tried here changes when the lid is locked.
        var closes = At(cook, cook.Actions.ToList().FindIndex(a => a is CookAction.Pressurise));
        cook = Held(dish, cook, water, closes);
        for (var i = 0; i < MostTries; i++)
        {
            var tried = With(dish, cook, water, closes);
            var run = simulator.Run(tried, PotTraits.Reference(tried), RunOptions.Search);
            var missing = target - run.Vessels[tried.Kitchen.IndexOf(RiceBowl.OutId)].LiquorGrams;
            if (run.StalledAt is not null || Math.Abs(missing) < 3)
            {
                break;
            }

            water = Mass.Max(dish.RiceDry * LeastShare, water + Mass.FromGrams(missing));
        }

        return With(dish, cook, water.RoundedTo(10), closes);
    }

    /// <summary>The least water in the bowl, over the rice's dry weight: the steam brings the rest.</summary>
    private const double LeastShare = 0.5;

    /// <summary>With a bowl above it the cooker comes up and cools more slowly: held only as long as the pulses then need.</summary>
    private Cook Held(Dish dish, Cook cook, Mass water, Instant closes)
    {
        var at = WaySolver.IndexOf(cook, StepIds.HoldOver);
        var opened = cook.Actions[WaySolver.IndexOf(cook, StepIds.Opened)];
        var full = cook.Actions[at].Trigger;
        List<Trigger> shorter =
            full.After == PotEvent.Whistle
                ? [.. Enumerable.Range(1, full.Count).Select(n => full with { Count = n })]
                :
                [
                    .. Enumerable
                        .Range(0, MostHolds)
                        .Select(k =>
                            full with
                            {
                                Delay = Duration.FromMinutes(Math.Round(full.Delay!.Value.TotalMinutes * k / (MostHolds - 1))),
                            }
                        ),
                ];
        var cooks = shorter.ConvertAll(w =>
            cook with
            {
                Actions = [.. cook.Actions.Select((a, i) => i == at ? a with { Trigger = w } : a)],
            }
        );
        var tried = cooks.ConvertAll(c => With(dish, c, water, closes));
        var runs = simulator.RunMany([.. tried.Select(c => new PotJob(c, PotTraits.Reference(c)))], RunOptions.Search);
        for (var k = 0; k < runs.Length; k++)
        {
            var index = tried[k].Actions.ToList().FindIndex(a => ReferenceEquals(a, opened));
            if (runs[k].Done[index] is { } done && done.Doneness[0] >= Doneness.Tender)
            {
                return cooks[k];
            }
        }

        return cook;
    }

    private static Cook With(Dish dish, Cook cook, Mass water, Instant closes)
    {
        var (rice, bowl) = (dish.Rice!, dish.RiceApart!);
        var lifted = new CookVessel(RiceBowl.Out(bowl.Vessel), bowl.Burner);
        var at = cook.Actions.ToList().FindIndex(a => a is CookAction.Pressurise);
        var opened = WaySolver.IndexOf(cook, StepIds.Opened);
        // Pulses that are boiled hard first stand in the pot alone until then.
        var hard = cook.Actions.Take(at).LastOrDefault(a => a.StepId == StepIds.HardBoilOver)?.StepId;
        List<CookAction> soak = [.. RiceStart.Soaked(dish, closes)];
        List<CookAction> fill =
        [
            .. soak,
            new CookAction.Add(hard is null ? Trigger.At(closes) : Trigger.Next with { AfterStep = hard }, Way.RiceId),
            new CookAction.AddWater(Trigger.Next, water, dish.Household.Room) { StepId = StepIds.RiceBowl },
            .. RiceStart.Salted(dish),
        ];
        List<CookAction> lift =
        [
            new CookAction.Transfer(Trigger.Next with { AfterStep = StepIds.Opened }, RiceBowl.OutId, TransferWhat.Everything)
            {
                StepId = StepIds.RiceOut,
            },
        ];
        var cover = new CookAction.Cover(Trigger.Next with { AfterStep = StepIds.RiceOut }, Lid.On)
        {
            In = RiceBowl.OutId,
            StepId = StepIds.RiceRested,
        };
        var serve = cook.Actions[^1];
        List<CookAction> actions =
        [
            .. cook.Actions.Take(at),
            .. fill.Select(a => a with { In = RiceBowl.Id }),
            cook.Actions[at] with
            {
                Trigger = Trigger.Next with { AfterStep = StepIds.RiceBowl },
            },
            .. cook.Actions.Skip(at + 1).Take(opened - at),
            .. lift.Select(a => a with { In = RiceBowl.Id }),
            cover,
            .. cook.Actions.Skip(opened + 1).SkipLast(1),
            serve with
            {
                Trigger = serve.Trigger with { AfterStep = StepIds.RiceRested },
            },
        ];
        var first = soak.Count > 0 ? soak[0].Trigger.NotBefore!.Value : cook.Starts;
        return cook with
        {
            Kitchen = cook.Kitchen with { OtherVessels = [.. cook.Kitchen.OtherVessels, bowl, lifted] },
            Ingredients =
            [
                cook.Ingredients[0],
                new RiceIngredient(Way.RiceId, dish.RiceDry, rice, dish.RiceRateFactor),
                .. cook.Ingredients.Skip(1),
            ],
            Actions = actions,
            Starts = Instant.Min(first, cook.Starts),
        };
    }

    /// <summary>When the reference pot comes to an action, to the minute.</summary>
    private Instant At(Cook cook, int action)
    {
        var run = simulator.Run(cook, PotTraits.Reference(cook), RunOptions.Search);
        var at = run.Done[action] is { } done ? cook.Starts + Duration.FromSeconds(done.Seconds) : cook.Starts;
        return Instant.FromUnixTimeSeconds(at.ToUnixTimeSeconds() / 60 * 60);
    }
}
