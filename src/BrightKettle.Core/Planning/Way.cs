using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Safety;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Planning;

/// <summary>Who starts and who joins.</summary>
public enum Order
{
    PulseAlone,
    PulseFirst,
    Together,
    RiceFirst,
}

/// <summary>The free numbers of one way; with the dish they make a cook.</summary>
internal sealed partial record Way(Order Order, Instant LightAt)
{
    public const string PulseId = "pulse";
    public const string RiceId = "rice";

    /// <summary>When the second ingredient goes in; for a pulse alone, when it goes to the table.</summary>
    public Instant JoinAt { get; init; }

    /// <summary>The state of the quicker pulses to wait for before the flame goes out again; hard: nobody looks, they go in with the rice or so many minutes before it. Null when none joins later.</summary>
    public FeltState? OtherWait { get; init; }

    /// <summary>How long before the join the quicker pulses go in.</summary>
    public Duration OtherLead { get; init; }

    private bool WithTheRice => OtherWait == FeltState.Hard && OtherLead == Duration.Zero;

    /// <summary>When the quicker pulses go in: the slowest is soft by then and waits.</summary>
    public Instant OtherAt => JoinAt - OtherLead;

    /// <summary>The felt state to wait for before the join, or null to go by the clock.</summary>
    public FeltState? Wait { get; init; }

    public Instant FirstLook { get; init; }

    public Duration LookAgain { get; init; } = Duration.FromMinutes(10);

    /// <summary>Water at the start, g.</summary>
    public double Water { get; init; }

    /// <summary>Liquor at the join, g.</summary>
    public double JoinLiquor { get; init; }

    /// <summary>From the boil after the join to the flame going out.</summary>
    public double LastMinutes { get; init; }

    /// <summary>From the boil after the join to turning down and sealing.</summary>
    public Duration SealDelay { get; init; }

    /// <summary>Doneness of the rice at which the flame may go out, since its rest brings it the remainder; null to go by the clock.</summary>
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
    private const string Back = "into_pot";

    private static readonly Duration QuickSoakBoil = Duration.FromMinutes(2.5);

    /// <summary>Fresh water from the kettle, a little under the boil when it lands.</summary>
    private static readonly Temperature Kettle = Temperature.FromCelsius(92);

    /// <summary>A rice that is not quite there when the clock says so is tasted again after this long.</summary>
    private static readonly Duration TasteAgain = Duration.FromMinutes(3);

    public Cook Build(Dish dish)
    {
        var soak = dish.Soak == SoakChoice.Overnight ? SoakPlan.Place(dish, LightAt, out _) : null;
        var actions = new List<CookAction>();
        if (soak is not null)
        {
            AddSoak(actions, dish, soak);
        }

        if (Order != Order.PulseAlone)
        {
            actions.AddRange(RiceStart.Soaked(dish, Order is Order.PulseFirst ? JoinAt : LightAt));
        }

        switch (Order)
        {
            case Order.PulseAlone:
                AddPulseStart(actions, dish);
                AddAloneEnd(actions, dish);
                break;
            case Order.PulseFirst:
                AddPulseStart(actions, dish);
                AddJoin(actions, RiceId, dish, new CookAction.Add(When.Next, RiceId) { Mark = Marks.Join });
                break;
            case Order.Together:
                actions.Add(new CookAction.Add(When.At(LightAt), PulseId));
                actions.Add(new CookAction.Add(When.Next, RiceId) { Mark = Marks.Join });
                AddExtras(actions, dish, ExtraTime.Join);
                AddSalt(actions, dish, SaltSchool.WithTheRice);
                AddWaterAndFlame(actions, dish, Lid.On);
                AddEnd(actions, dish);
                break;
            case Order.RiceFirst:
                actions.Add(new CookAction.Add(When.At(LightAt), RiceId));
                AddWaterAndFlame(actions, dish, Lid.On);
                actions.Add(new CookAction.Heat(When.Once(PotEvent.Boils), Flame.Gentle) { Mark = Marks.Boils });
                AddJoin(actions, PulseId, dish, new CookAction.Add(When.Next, PulseId) { Mark = Marks.Join });
                break;
        }

        var starts = actions.Min(a => a.When.NotBefore ?? LightAt);
        var first = dish.Method == Method.Pressure ? dish.Cooker! : dish.Vessel;
        var kitchen = new CookKitchen(first, dish.Burner, dish.Household.AltitudeMetres, dish.Household.Room.Celsius)
        {
            HardnessMilligramsPerLitre = dish.Household.HardnessMilligramsPerLitre,
            Others = dish.Method == Method.SlowCooker ? [new CookVessel(dish.Cooker!, dish.Burner)] : [],
        };
        var ingredients = new List<Ingredient>
        {
            new PulseIngredient(PulseId, dish.PulseDry, dish.Pulse, dish.Pace)
            {
                Lot = dish.Lot,
                CookedAt = dish.CookedAt,
                CookedSaltShare = dish.CookedSaltShare,
            },
        };
        if (dish.Rice is { } rice)
        {
            ingredients.Add(new RiceIngredient(RiceId, dish.RiceDry, rice, dish.RiceRateFactor));
        }

        ingredients.AddRange(dish.Others.Select(o => new PulseIngredient(o.Id, o.Dry, o.Pulse, dish.Pace)
        {
            CookedAt = dish.CookedAt,
            CookedSaltShare = dish.CookedSaltShare,
        }));
        ingredients.AddRange(dish.Extras.Select(x => new ExtraIngredient(x.Id, x.Amount, x.Extra, dish.Household.Room) { Pieces = x.Pieces, Blanched = x.Blanched }));

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
        actions.Add(new CookAction.AddWater(When.Next, Mass.FromGrams(Water), dish.Household.Room));
        actions.Add(new CookAction.Cover(When.Next, lid));
        actions.Add(new CookAction.Heat(When.Next, Flame.Full) { Mark = Marks.Light });
    }

    private void AddPulseStart(List<CookAction> actions, Dish dish)
    {
        if (dish.Soak == SoakChoice.Quick)
        {
            AddQuickSoak(actions, dish);
            AddFirst(actions, dish);
            actions.Add(new CookAction.AddWater(When.Next, Mass.FromGrams(Water), Kettle));
            actions.Add(new CookAction.Cover(When.Next, Lid.Ajar));
            actions.Add(new CookAction.Heat(When.Next, Flame.Full));
        }
        else if (dish.Method == Method.Pressure && !NeedsHardBoil(dish))
        {
            actions.Add(new CookAction.Add(When.At(LightAt), PulseId));
            AddFirst(actions, dish);
            actions.Add(new CookAction.AddWater(When.Next, Mass.FromGrams(Water), dish.Household.Room));
        }
        else if (dish.Method == Method.SlowCooker && !NeedsHardBoil(dish))
        {
            AddSlow(actions, dish, When.At(LightAt));
            return;
        }
        else
        {
            actions.Add(new CookAction.Add(When.At(LightAt), PulseId));
            AddWaterAndFlame(actions, dish, Lid.Ajar);
        }

        if (NeedsHardBoil(dish))
        {
            var minutes = LectinGate.RequiredBoil(dish.Household.AltitudeMetres, dish.Household.Cautious);
            actions.Add(new CookAction.Heat(When.Once(PotEvent.Boils), Flame.Rolling) { Mark = Marks.Boils });
            actions.Add(new CookAction.Heat(When.Later(minutes), dish.Method == Method.OpenPot ? Flame.Lively : Flame.Off) { Mark = Marks.HardBoilOver });
        }
        else if (dish.Method is Method.OpenPot or Method.Cooked)
        {
            actions.Add(new CookAction.Heat(When.Once(PotEvent.Boils), Flame.Lively) { Mark = Marks.Boils });
        }

        switch (dish.Method)
        {
            case Method.Pressure:
                AddPressure(actions, dish);
                break;
            case Method.SlowCooker:
                actions.Add(new CookAction.Transfer(When.Next, dish.Cooker!.Id, TransferWhat.Everything) { Mark = Over });
                AddSlow(actions, dish, null);
                break;
            default:
                AddLook(actions, new When(NotBefore: FirstLook));
                AddOthersLater(actions, dish);
                break;
        }
    }

    private void AddLook(List<CookAction> actions, When when)
    {
        if (Wait is { } state)
        {
            actions.Add(new CookAction.Heat(when with { Look = new Look(PulseId, Doneness.Anchor(state), LookAgain) }, Flame.Off) { Mark = Marks.Ready });
            actions.Add(new CookAction.Cover(When.Next, Lid.On));
        }
    }

    private void AddQuickSoak(List<CookAction> actions, Dish dish)
    {
        actions.Add(new CookAction.Add(When.At(LightAt), PulseId));
        actions.Add(new CookAction.AddWater(When.Next, dish.PulsesDry * QuickSoakWaterShare, dish.Household.Room));
        actions.Add(new CookAction.Cover(When.Next, Lid.On));
        actions.Add(new CookAction.Heat(When.Next, Flame.Full) { Mark = Marks.Light });
        actions.Add(new CookAction.Heat(When.Once(PotEvent.Boils, QuickSoakBoil), Flame.Off) { Mark = Marks.QuickSoak });
        actions.Add(new CookAction.Drain(When.Later(LectinGate.QuickSoakRest), null) { Mark = Marks.SoakEnds });
    }

    /// <summary>Locked, up, held, left alone; then the lid comes off and a look decides.</summary>
    private void AddPressure(List<CookAction> actions, Dish dish)
    {
        actions.Add(new CookAction.Pressurise(When.Next) { Mark = Marks.Lock });
        actions.Add(new CookAction.Heat(When.Next, Flame.Full) { Mark = actions.Exists(a => a.Mark == Marks.Light) ? null : Marks.Light });
        actions.AddRange(PressureHold.Actions(dish.Cooker!.Cooker!, dish.Burner, HoldMinutes, Whistles));
        actions.Add(new CookAction.Release(When.Next, ReleaseKind.Natural));
        actions.Add(new CookAction.Heat(When.Once(PotEvent.PinDown), Flame.Lively) { Mark = Marks.Opened });
        AddLook(actions, When.Next);
    }

    /// <summary>In the crock with boiling water until a look finds them soft; then back into the pot with all they have.</summary>
    /// <param name="starts">When the dry seed goes in; null when they come over from the pot.</param>
    private void AddSlow(List<CookAction> actions, Dish dish, When? starts)
    {
        var crock = dish.Cooker!.Id;
        if (starts is null)
        {
            actions.Add(new CookAction.Cover(When.Next with { AfterMark = Over }, Lid.On) { In = crock });
        }
        else
        {
            actions.Add(new CookAction.Add(starts, PulseId) { In = crock });
            var first = new List<CookAction>();
            AddFirst(first, dish);
            actions.AddRange(first.Select(a => a with { In = crock }));
            actions.Add(new CookAction.AddWater(When.Next, Mass.FromGrams(Water), Kettle) { In = crock });
            actions.Add(new CookAction.Cover(When.Next, Lid.On) { In = crock });
        }

        actions.Add(new CookAction.Heat(When.Next, Flame.High) { In = crock, Mark = starts is null ? Marks.SlowStarts : Marks.Light });
        actions.Add(new CookAction.Heat(new When(Look: new Look(PulseId, Doneness.Tender, LookAgain)), Flame.Off) { In = crock, Mark = Marks.Ready });
        actions.Add(new CookAction.Transfer(When.Next, dish.Vessel.Id, TransferWhat.Everything) { In = crock, Mark = Back });
        actions.Add(new CookAction.Cover(When.Next with { AfterMark = Back }, Lid.On));
    }

    /// <summary>A hard boil clears the gate for a soaked pulse; for a dry one it clears nothing, but it is asked for all the same.</summary>
    private static bool NeedsHardBoil(Dish dish) =>
        dish.Pulse.LectinRisk != Catalogue.LectinRisk.Low && dish.Method != Method.Cooked && !(dish.Method == Method.Pressure && dish.Soak == SoakChoice.None);

    private void AddJoin(List<CookAction> actions, string joiner, Dish dish, CookAction.Add add)
    {
        actions.Add(new CookAction.Measure(When.At(JoinAt), Mass.FromGrams(JoinLiquor)) { Mark = Marks.Measure });
        actions.Add(add);
        if (WithTheRice)
        {
            actions.AddRange(dish.Others.Where(o => JoinsLater(dish, o)).Select(o => new CookAction.Add(When.Next, o.Id) { Mark = Marks.OtherIn }));
        }

        AddExtras(actions, dish, ExtraTime.Join);
        AddSalt(actions, dish, SaltSchool.WithTheRice);
        if (dish.StirsAtJoin)
        {
            actions.Add(new CookAction.Stir(When.Next));
        }

        actions.Add(new CookAction.Cover(When.Next, Lid.On));
        actions.Add(new CookAction.Heat(When.Next, Flame.Full));
        AddEnd(actions, dish);
    }

    private void AddEnd(List<CookAction> actions, Dish dish)
    {
        var minutes = Duration.FromMinutes(Math.Max(0, LastMinutes));
        actions.Add(new CookAction.Heat(When.Once(PotEvent.Boils, SealDelay > Duration.Zero ? SealDelay : null), Flame.Gentle) { Mark = Marks.Seal });
        AddExtras(actions, dish, ExtraTime.Late);
        actions.Add(new CookAction.Cover(When.Next, Lid.Sealed));
        actions.Add(new CookAction.Heat(new When(Delay: minutes, Look: RiceOff is { } off ? new Look(RiceId, off, TasteAgain) : null), Flame.Off) { Mark = Marks.HeatOff });
        AddServe(actions, dish, When.Later(Duration.FromMinutes(dish.Rice!.RestMinutes.Typical)));
    }

    /// <summary>Tender pulses may have waited an hour: they come to the boil once more, so that nothing is served lukewarm.</summary>
    private void AddAloneEnd(List<CookAction> actions, Dish dish)
    {
        actions.Add(new CookAction.Heat(When.At(JoinAt), Flame.Full) { Mark = Marks.Reheat });
        AddExtras(actions, dish, ExtraTime.Join);
        var boils = When.Once(PotEvent.Boils);
        var last = dish.Extras.Where(x => x.Time != ExtraTime.Start).ToList();
        if (last.Count > 0)
        {
            actions.Add(new CookAction.Heat(boils, Flame.Gentle));
            AddExtras(actions, dish, ExtraTime.Late);
            boils = When.Later(Duration.FromMinutes(Math.Ceiling(last.Max(x => x.LeastMinutes))));
        }

        actions.Add(dish.Style == Style.Dry
            ? new CookAction.Drain(boils, null) { Mark = Marks.Finish }
            : new CookAction.Measure(boils, Mass.FromGrams(dish.WantedLiquorGrams)) { Mark = Marks.Finish });
        // What is poured off would take its share along.
        AddSalt(actions, dish, SaltSchool.WithTheRice);
        actions.Add(new CookAction.Heat(When.Next, Flame.Off));
        AddServe(actions, dish, When.Next);
    }
}
