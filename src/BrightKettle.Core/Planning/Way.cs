using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Safety;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Planning;

/// <summary>The free numbers of one way; with the dish they make a cook.</summary>
internal sealed partial record Way(JoinOrder Order, Instant LightAt)
{
    public const string PulseId = "pulse";
    public const string RiceId = "rice";

    /// <summary>When the second ingredient goes in; for a pulse alone, when it goes to the table.</summary>
    public Instant JoinAt { get; init; }

    /// <summary>The state of the quicker pulses to wait for before the flame goes out again; hard: nobody looks, they go in with the rice
    /// or so many minutes before it. Null when none joins later.</summary>
    public FeltState? OtherWait { get; init; }

    /// <summary>How long before the join the quicker pulses go in.</summary>
    public Duration OtherLead { get; init; }

    private bool WithTheRice => OtherWait == FeltState.Hard && OtherLead == Duration.Zero;

    /// <summary>When the quicker pulses go in: the slowest is soft by then and waits.</summary>
    public Instant OtherAt => JoinAt - OtherLead;

    /// <summary>The felt state to wait for before the join, or null to go by the clock.</summary>
    public FeltState? Wait { get; init; }

    /// <summary>The join comes with the look that finds them far enough, and the table moves with it; else they wait off the heat until
    /// <see cref="JoinAt"/>. For what does not stand still while it waits.</summary>
    public bool JoinsOnLook { get; init; }

    public Instant FirstLook { get; init; }

    /// <summary>The slow cooker stands on low: there is time enough.</summary>
    public bool SlowOnLow { get; init; }

    /// <summary>When the house is left: what is ready before is kept hot until then and boils up once more, so that it stays hot without a
    /// flame; null where nobody leaves.</summary>
    public Instant? HotUntil { get; init; }

    /// <summary>When somebody is back: what stood off the heat boils up and waits hot again. Means nothing where nobody leaves.</summary>
    public Instant BackAt { get; init; }

    /// <summary>To bring it from hot to the boil.</summary>
    private static readonly Duration BoilsUp = Duration.FromMinutes(6);

    /// <summary>What comes so soon after that boils it anyway.</summary>
    private static readonly Duration AtOnce = Duration.FromMinutes(10);

    public Duration LookAgain { get; init; } = Duration.FromMinutes(10);

    /// <summary>Water at the start.</summary>
    public Mass Water { get; init; }

    /// <summary>Liquor at the join.</summary>
    public Mass JoinLiquor { get; init; }

    /// <summary>From the boil after the join to the flame going out.</summary>
    public double LastMinutes { get; init; }

    /// <summary>From the boil after the join to turning down and sealing.</summary>
    public Duration SealDelay { get; init; }

    /// <summary>Doneness of the rice at which the flame may go out, since its rest brings it the remainder; null to go by the
    /// clock.</summary>
    public double? RiceOff { get; init; }

    /// <summary>Under pressure: minutes held.</summary>
    public double HoldMinutes { get; init; }

    /// <summary>Whistles after which the heat goes off, instead of minutes; 0 where nobody counts them.</summary>
    public int Whistles { get; init; }

    /// <summary>Water of the soak over the dry weight: enough to stay covered when they have swollen.</summary>
    private const double SoakWaterShare = 3;

    /// <summary>Water of a quick soak over the dry weight.</summary>
    private const double QuickSoakWaterShare = 4;

    /// <summary>Salt of a brine to soak in, g per g (effects 3.5: 1 to 2 %).</summary>
    private const double BrineShare = 0.015;

    /// <summary>Marks that one vessel waits for.</summary>
    private const string Over = "into_crock";

    private static readonly Duration QuickSoakBoil = Duration.FromMinutes(2.5);

    /// <summary>Fresh water from the kettle, a little under the boil when it lands.</summary>
    private static readonly Temperature Kettle = Temperature.FromCelsius(92);

    /// <summary>A rice that is not quite there when the clock says so is tasted again after this long.</summary>
    private static readonly Duration TasteAgain = Duration.FromMinutes(4);

    public Cook Build(Dish dish)
    {
        var soak = dish.Soak == SoakChoice.Overnight ? SoakPlan.Place(dish, LightAt, out _) : null;
        var actions = new List<CookAction>();
        if (soak is not null)
        {
            AddSoak(actions, dish, soak);
        }

        if (Order != JoinOrder.PulseAlone)
        {
            actions.AddRange(RiceStart.Soaked(dish, Order is JoinOrder.PulseFirst ? JoinAt : LightAt));
        }

        switch (Order)
        {
            case JoinOrder.PulseAlone:
                AddPulseStart(actions, dish);
                AddAloneEnd(actions, dish);
                break;
            case JoinOrder.PulseFirst:
                AddPulseStart(actions, dish);
                AddJoin(actions, RiceId, dish, new CookAction.Add(Trigger.Next, RiceId) { StepId = StepIds.Join });
                break;
            case JoinOrder.Together:
                actions.Add(new CookAction.Add(Trigger.At(LightAt), PulseId));
                actions.Add(new CookAction.Add(Trigger.Next, RiceId) { StepId = StepIds.Join });
                AddExtras(actions, dish, ExtraTime.Join);
                AddSalt(actions, dish, SaltSchool.WithTheRice);
                AddWaterAndFlame(actions, dish, Lid.On);
                AddEnd(actions, dish);
                break;
            case JoinOrder.RiceFirst:
                actions.Add(new CookAction.Add(Trigger.At(LightAt), RiceId));
                AddWaterAndFlame(actions, dish, Lid.On);
                actions.Add(new CookAction.Heat(Trigger.Once(PotEvent.Boils), Flame.Gentle) { StepId = StepIds.Boils });
                AddJoin(actions, PulseId, dish, new CookAction.Add(Trigger.Next, PulseId) { StepId = StepIds.Join });
                break;
        }

        var starts = actions.Min(a => a.Trigger.NotBefore ?? LightAt);
        var first = dish.Method == Method.Pressure ? dish.Cooker! : dish.Vessel;
        var kitchen = new CookKitchen(first, dish.Burner, dish.Household.Altitude, dish.Household.Room)
        {
            HardnessMilligramsPerLitre = dish.Household.HardnessMilligramsPerLitre,
            OtherVessels = dish.Method == Method.SlowCooker ? [new CookVessel(dish.Cooker!, dish.Burner)] : [],
        };
        var ingredients = new List<Ingredient>
        {
            new PulseIngredient(PulseId, dish.PulseDry, dish.Pulse, dish.Pace)
            {
                Lot = dish.Lot,
                Start = dish.Start,
                CookedSaltShare = dish.CookedSaltShare,
            },
        };
        if (dish.Rice is { } rice)
        {
            ingredients.Add(new RiceIngredient(RiceId, dish.RiceDry, rice, dish.RiceRateFactor));
        }

        ingredients.AddRange(
            dish.OtherPulses.Select(o => new PulseIngredient(o.Id, o.Dry, o.Pulse, dish.Pace)
            {
                Start = dish.Start,
                CookedSaltShare = dish.CookedSaltShare,
            })
        );
        ingredients.AddRange(
            dish.Extras.Select(x => new ExtraIngredient(x.Id, x.Amount, x.Extra, dish.Household.Room)
            {
                Pieces = x.Pieces,
                Blanched = x.Blanched,
            })
        );

        return new Cook(kitchen, ingredients, actions, starts, dish.Seed);
    }

    /// <summary>Into fresh water with what belongs in from the start.</summary>
    private void AddFirst(List<CookAction> actions, Dish dish)
    {
        AddOthersAtStart(actions, dish);
        AddExtras(actions, dish, ExtraTime.Start);
        AddSalt(actions, dish, SaltSchool.AtTheStart);
    }

    private void AddWaterAndFlame(List<CookAction> actions, Dish dish, Lid lid)
    {
        AddFirst(actions, dish);
        actions.Add(new CookAction.AddWater(Trigger.Next, Water, dish.Household.Room));
        actions.Add(new CookAction.Cover(Trigger.Next, lid));
        actions.Add(new CookAction.Heat(Trigger.Next, Flame.Full) { StepId = StepIds.Light });
    }

    private void AddPulseStart(List<CookAction> actions, Dish dish)
    {
        if (dish.Soak == SoakChoice.Quick)
        {
            AddQuickSoak(actions, dish);
            AddFirst(actions, dish);
            actions.Add(new CookAction.AddWater(Trigger.Next, Water, Kettle));
            actions.Add(new CookAction.Cover(Trigger.Next, Lid.Ajar));
            actions.Add(new CookAction.Heat(Trigger.Next, Flame.Full));
        }
        else if (dish.Method == Method.Pressure && !NeedsHardBoil(dish))
        {
            actions.Add(new CookAction.Add(Trigger.At(LightAt), PulseId));
            AddFirst(actions, dish);
            actions.Add(new CookAction.AddWater(Trigger.Next, Water, dish.Household.Room));
        }
        else if (dish.Method == Method.SlowCooker && !NeedsHardBoil(dish))
        {
            AddSlow(actions, dish, Trigger.At(LightAt));
            return;
        }
        else
        {
            actions.Add(new CookAction.Add(Trigger.At(LightAt), PulseId));
            AddWaterAndFlame(actions, dish, Lid.Ajar);
        }

        if (NeedsHardBoil(dish))
        {
            var minutes = LectinGate.RequiredBoil(dish.Household.Altitude, dish.Household.Cautious);
            actions.Add(new CookAction.Heat(Trigger.Once(PotEvent.Boils), Flame.Rolling) { StepId = StepIds.Boils });
            actions.Add(
                new CookAction.Heat(Trigger.Later(minutes), dish.Method == Method.OpenPot ? Flame.Lively : Flame.Off)
                {
                    StepId = StepIds.HardBoilOver,
                }
            );
        }
        else if (dish.Method is Method.OpenPot or Method.Cooked)
        {
            actions.Add(new CookAction.Heat(Trigger.Once(PotEvent.Boils), Flame.Lively) { StepId = StepIds.Boils });
        }

        switch (dish.Method)
        {
            case Method.Pressure:
                AddPressure(actions, dish);
                break;
            case Method.SlowCooker:
                actions.Add(new CookAction.Transfer(Trigger.Next, dish.Cooker!.Id, TransferWhat.Everything) { StepId = Over });
                AddSlow(actions, dish, null);
                break;
            default:
                AddLook(actions, dish, new Trigger(NotBefore: FirstLook));
                AddOthersLater(actions, dish);
                break;
        }
    }

    private void AddLook(List<CookAction> actions, Dish dish, Trigger when)
    {
        if (Wait is { } state)
        {
            var look = when with { Look = Ripe(dish, state) };
            actions.Add(new CookAction.Heat(look, HotUntil is null && !dish.WaitsHot ? Flame.Off : Flame.Warm) { StepId = StepIds.Ready });
            if (DrainsAtLook(dish))
            {
                actions.Add(new CookAction.Drain(Trigger.Next, null) { StepId = StepIds.Finish });
            }

            actions.Add(new CookAction.Cover(Trigger.Next, Lid.On));
            if (HotUntil is { } leaves)
            {
                // At the boil it stays hot for longest.
                actions.Add(new CookAction.Heat(Trigger.At(leaves - BoilsUp), Flame.Full) { StepId = StepIds.BoilUp });
                actions.Add(new CookAction.Heat(Trigger.Once(PotEvent.Boils), Flame.Off) { StepId = StepIds.OffToGo });
                if (JoinAt - BackAt > AtOnce)
                {
                    actions.Add(new CookAction.Heat(Trigger.At(BackAt), Flame.Full) { StepId = StepIds.BoilUp });
                    actions.Add(new CookAction.Heat(Trigger.Once(PotEvent.Boils), Flame.Warm) { StepId = StepIds.BackHot });
                }
            }
        }
    }

    /// <summary>The slowest and all that have been in the pot with it from the start are far enough.</summary>
    private Look Ripe(Dish dish, FeltState state) =>
        new(PulseId, WaitsFor(dish, state), LookAgain)
        {
            Also =
            [
                .. dish
                    .OtherPulses.Where(o => OtherWait is null || !JoinsLater(dish, o))
                    .Select(o => new LookAlso(o.Id, Math.Min(WaitsFor(dish, state), dish.Targets.Window(o.Pulse).Low))),
            ],
        };

    /// <summary>The doneness that a look waits for: to what the target wants, were it past soft, less what the pulses gain with the
    /// rice.</summary>
    public double WaitsFor(Dish dish, FeltState state)
    {
        var withRice =
            Order == JoinOrder.PulseAlone || dish.Rice is null
                ? 0
                : GainShare * Doneness.Tender * dish.Rice.SimmerMinutes.Typical / dish.Pulse.SofteningMinutesAt98C;
        return state == FeltState.Soft
            ? Math.Max(Doneness.Anchor(state), dish.Targets.CookTo(dish.Pulse) - withRice)
            : Doneness.Anchor(state);
    }

    /// <summary>Of the rice's minutes, what counts for the pulses under it: part of them stand in steam (confidence D).</summary>
    private const double GainShare = 0.5;

    private void AddQuickSoak(List<CookAction> actions, Dish dish)
    {
        actions.Add(new CookAction.Add(Trigger.At(LightAt), PulseId));
        actions.Add(new CookAction.AddWater(Trigger.Next, dish.PulsesDry * QuickSoakWaterShare, dish.Household.Room));
        actions.Add(new CookAction.Cover(Trigger.Next, Lid.On));
        actions.Add(new CookAction.Heat(Trigger.Next, Flame.Full) { StepId = StepIds.Light });
        actions.Add(new CookAction.Heat(Trigger.Once(PotEvent.Boils, QuickSoakBoil), Flame.Off) { StepId = StepIds.QuickSoak });
        actions.Add(new CookAction.Drain(Trigger.Later(LectinGate.QuickSoakRest), null) { StepId = StepIds.SoakEnds });
    }

    /// <summary>Locked, up, held, left alone; then the lid comes off and a look decides.</summary>
    private void AddPressure(List<CookAction> actions, Dish dish)
    {
        actions.Add(new CookAction.Pressurise(Trigger.Next) { StepId = StepIds.Lock });
        actions.Add(
            new CookAction.Heat(Trigger.Next, Flame.Full) { StepId = actions.Exists(a => a.StepId == StepIds.Light) ? null : StepIds.Light }
        );
        actions.AddRange(PressureHold.Actions(dish.Cooker!.Cooker!, dish.Burner, HoldMinutes, Whistles));
        actions.Add(new CookAction.Release(Trigger.Next, ReleaseKind.Natural));
        actions.Add(new CookAction.Heat(Trigger.Once(PotEvent.PinDown), Flame.Lively) { StepId = StepIds.Opened });
        AddLook(actions, dish, Trigger.Next);
    }

    /// <summary>In the crock with boiling water until a look finds them soft, on warm until the join; then back into the pot with all they
    /// have.</summary>
    /// <param name="starts">When the dry seed goes in; null when they come over from the pot.</param>
    private void AddSlow(List<CookAction> actions, Dish dish, Trigger? starts)
    {
        var crock = dish.Cooker!.Id;
        if (starts is null)
        {
            actions.Add(new CookAction.Cover(Trigger.Next with { AfterStep = Over }, Lid.On) { In = crock });
        }
        else
        {
            actions.Add(new CookAction.Add(starts, PulseId) { In = crock });
            var first = new List<CookAction>();
            AddFirst(first, dish);
            actions.AddRange(first.Select(a => a with { In = crock }));
            actions.Add(new CookAction.AddWater(Trigger.Next, Water, Kettle) { In = crock });
            actions.Add(new CookAction.Cover(Trigger.Next, Lid.On) { In = crock });
        }

        actions.Add(
            new CookAction.Heat(Trigger.Next, SlowOnLow ? Flame.Low : Flame.High)
            {
                In = crock,
                StepId = starts is null ? StepIds.SlowStarts : StepIds.Light,
            }
        );
        actions.Add(
            new CookAction.Heat(new Trigger(NotBefore: FirstLook, Look: new Look(PulseId, Doneness.Tender, LookAgain)), Flame.Warm)
            {
                In = crock,
                StepId = StepIds.Ready,
            }
        );
        // They wait on warm, hot enough to stand, and come over only when the pot is lit.
        actions.Add(
            new CookAction.Transfer(Trigger.At(JoinAt), dish.Vessel.Id, TransferWhat.Everything) { In = crock, StepId = StepIds.BackInPot }
        );
        actions.Add(new CookAction.Heat(Trigger.Next, Flame.Off) { In = crock });
        actions.Add(new CookAction.Cover(Trigger.Next with { AfterStep = StepIds.BackInPot }, Lid.On));
    }

    /// <summary>A hard boil clears the gate for a soaked pulse; for a dry one it clears nothing, but it is asked for all the
    /// same.</summary>
    private static bool NeedsHardBoil(Dish dish) => dish.BoilsFirst && !(dish.Method == Method.Pressure && dish.Soak == SoakChoice.None);

    private void AddJoin(List<CookAction> actions, string joiner, Dish dish, CookAction.Add add)
    {
        actions.Add(new CookAction.SetLiquor(JoinsOnLook ? Trigger.Next : Trigger.At(JoinAt), JoinLiquor) { StepId = StepIds.SetLiquor });
        actions.Add(add);
        if (WithTheRice)
        {
            actions.AddRange(
                dish.OtherPulses.Where(o => JoinsLater(dish, o))
                    .Select(o => new CookAction.Add(Trigger.Next, o.Id) { StepId = StepIds.OtherIn })
            );
        }

        AddExtras(actions, dish, ExtraTime.Join);
        AddSalt(actions, dish, SaltSchool.WithTheRice);
        if (dish.StirsAtJoin)
        {
            actions.Add(new CookAction.Stir(Trigger.Next));
        }

        actions.Add(new CookAction.Cover(Trigger.Next, Lid.On));
        actions.Add(new CookAction.Heat(Trigger.Next, Flame.Full));
        AddEnd(actions, dish);
    }

    private void AddEnd(List<CookAction> actions, Dish dish)
    {
        var minutes = Duration.FromMinutes(Math.Max(0, LastMinutes));
        actions.Add(
            new CookAction.Heat(Trigger.Once(PotEvent.Boils, SealDelay > Duration.Zero ? SealDelay : null), Flame.Gentle)
            {
                StepId = StepIds.Seal,
            }
        );
        AddExtras(actions, dish, ExtraTime.Late);
        actions.Add(new CookAction.Cover(Trigger.Next, Lid.Sealed));
        actions.Add(new CookAction.Heat(new Trigger(Delay: minutes, Look: LastLook(dish)), Flame.Off) { StepId = StepIds.HeatOff });
        AddServe(actions, dish, Trigger.Later(Duration.FromMinutes(dish.Rice!.RestMinutes.Typical)));
    }

    /// <summary>Rice and pulses are tasted before the flame goes out. Not yet: the flame goes to its lowest, where the rice waits without
    /// harm and the pulses go on; a bed that is dry while its rice is hard gets some boiling water.</summary>
    private Look? LastLook(Dish dish) =>
        RiceOff is not { } off
            ? null
            : RiceLook(dish, off) with
            {
                Also =
                [
                    .. dish
                        .OtherPulses.Select(o => (o.Id, o.Pulse))
                        .Prepend((PulseId, dish.Pulse))
                        .Select(p => new LookAlso(p.Item1, dish.Targets.Window(p.Item2).Low - RestGain)),
                ],
            };

    /// <summary>Rice is tasted when the clock says that it is done.</summary>
    /// <param name="off">Doneness at which its flame may go out.</param>
    public static Look RiceLook(Dish dish, double off) =>
        new(RiceId, Math.Max(0, off - RiceTolerance), TasteAgain)
        {
            NotYet = new NotYet(Flame.Lowest, dish.RiceDry * SprinkleShare) { Longest = RiceWaits },
        };

    /// <summary>Finished rice waits so long on the lowest flame without harm, and so long does a table (textures, 9).</summary>
    public static readonly Duration RiceWaits = Duration.FromMinutes(30);

    /// <summary>Rice this far behind the reference when the flame should go out is given a few minutes more.</summary>
    private const double RiceTolerance = 2;

    /// <summary>What pulses still gain while the rice rests, of doneness.</summary>
    private const double RestGain = 1;

    /// <summary>Boiling water over a bed that is dry and hard, over the rice's dry weight (textures, 4: 0.1 to 0.3).</summary>
    private const double SprinkleShare = 0.15;
}
