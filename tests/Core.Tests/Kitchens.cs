using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Planning.Manners;
using BrightKettle.Core.Units;
using CsCheck;
using NodaTime;

namespace BrightKettle.Core.Tests;

/// <summary>Kitchens, dishes and simple cooks with defaults, so that a test names only what it is about.</summary>
internal static class Kitchens
{
    public static readonly PulseCatalogue Catalogue = PulseCatalogue.Shipped;
    public static readonly Simulator Model = new(Catalogue.Constants);
    public static readonly Planner Plans = new(Model);
    public static readonly DateTimeZone Zone = DateTimeZoneProviders.Tzdb["Europe/Paris"];

    /// <summary>The evening before the usual dinner.</summary>
    public static readonly LocalDateTime EveningBefore = new(2026, 11, 24, 20, 0);
    public static readonly LocalDateTime SevenOClock = new(2026, 11, 25, 19, 0);

    public static Pulse Pulse(string id) => Catalogue.FindPulse(id)!;

    public static Rice Rice(string id) => Catalogue.FindRice(id)!;

    public static Vessel Pot(double diameter = 22, double litres = 4.5) =>
        new($"pot{diameter}", $"{diameter} cm pot", Length.FromCentimetres(diameter), Volume.FromMillilitres(litres * 1000));

    public static Burner Burner(double most = 1500) => new("hob", "front hob", Power.FromWatts(most), Power.FromWatts(120));

    public static Household Home(double room = 19, double altitude = 50, bool cautious = false, DateTimeZone? zone = null) =>
        new(
            zone ?? Zone,
            Altitude.FromMetres(altitude),
            Temperature.FromCelsius(room),
            Temperature.FromCelsius(5),
            new LocalTime(7, 0),
            new LocalTime(23, 0),
            new LocalTime(21, 30),
            cautious
        );

    public static Dish Dish(
        string pulse,
        double pulseGrams,
        string? rice = null,
        double riceGrams = 0,
        SoakChoice soak = SoakChoice.None,
        Style style = Style.Dry,
        Vessel? pot = null,
        Household? home = null,
        LocalDateTime? serve = null,
        LocalDateTime? now = null,
        double spread = 0.28
    )
    {
        var household = home ?? Home();
        return new Dish(
            Pulse(pulse),
            Mass.FromGrams(pulseGrams),
            new Pace(1, spread),
            rice is null ? null : Rice(rice),
            Mass.FromGrams(riceGrams),
            Manner.Usual with
            {
                Soak = Soaking.Of(soak),
            },
            style,
            pot ?? Pot(),
            [Pot(), Pot(28, 8)],
            Burner(),
            household,
            household.InstantOf(serve ?? SevenOClock),
            household.InstantOf(now ?? EveningBefore),
            7
        );
    }

    /// <summary>In what the pulses are cooked, by its code.</summary>
    public static PulseCooking Cooks(Method method, Vessel? cooker) =>
        method switch
        {
            Method.OpenPot => new OpenPot(),
            Method.Pressure => new UnderPressure(cooker!),
            Method.SlowCooker => new InCrock(cooker!),
            _ => new Warmed(CookedFrom.Tin),
        };

    /// <summary>How the rice comes to them, by its code.</summary>
    public static RiceCooking Comes(RiceJoin join) =>
        join switch
        {
            RiceJoin.AfterDraining => new AfterDraining(),
            RiceJoin.InTheLiquor => new InTheLiquor(),
            _ => new InThePot(),
        };

    public static Plan Planned(Dish dish) =>
        Plans.Plan(dish) switch
        {
            PlanAnswer.Planned p => p.Plan,
            PlanAnswer.Refused r => throw new InvalidOperationException($"Refused: {r.Refusal}"),
            _ => throw new InvalidOperationException(),
        };

    public static PlanRefusal Refused(Dish dish) =>
        Plans.Plan(dish) switch
        {
            PlanAnswer.Refused r => r.Refusal,
            _ => throw new InvalidOperationException("Not refused."),
        };

    public static string Clock(this Plan plan, string mark)
    {
        var home = plan.Dish.Household;
        return home.LocalOf(plan.Forecast.Find(mark)!.Reference).ToString("uuuu-MM-dd HH:mm", null);
    }

    /// <summary>Minutes of the day at which the reference pot reaches a mark.</summary>
    public static double MinuteOfDay(this Plan plan, string mark)
    {
        var time = plan.Dish.Household.LocalOf(plan.Forecast.Find(mark)!.Reference).TimeOfDay;
        return (time.Hour * 60) + time.Minute + (time.Second / 60.0);
    }

    /// <summary>One pulse in plenty of water, into cold water, brought to the boil and kept there until tender.</summary>
    public static Cook Simmer(
        Pulse pulse,
        double soakHours = 0,
        double altitude = 0,
        double grams = 250,
        double water = 2500,
        Lid lid = Lid.On,
        Flame flame = Flame.Lively,
        Vessel? pot = null,
        double room = 20
    )
    {
        var cold = Temperature.FromCelsius(20);
        var actions = new List<CookAction>();
        if (soakHours > 0)
        {
            actions.Add(new CookAction.Soak(Trigger.Next, "p", Mass.FromGrams(grams * 4), cold));
            actions.Add(new CookAction.Drain(Trigger.Later(Duration.FromHours(soakHours)), "p"));
        }

        actions.AddRange([
            new CookAction.Add(Trigger.Next, "p"),
            new CookAction.AddWater(Trigger.Next, Mass.FromGrams(water), cold),
            new CookAction.Cover(Trigger.Next, lid),
            new CookAction.Heat(Trigger.Next, Flame.Full) { StepId = StepIds.Light },
            new CookAction.Heat(Trigger.Once(PotEvent.Boils), flame) { StepId = StepIds.Boils },
            new CookAction.Serve(new Trigger(Look: new Look("p", Doneness.Tender, Duration.FromMinutes(1)))) { StepId = StepIds.Table },
        ]);
        return new Cook(
            new CookKitchen(pot ?? Pot(24, 6), Burner(), Altitude.FromMetres(altitude), Temperature.FromCelsius(room)),
            [new PulseIngredient("p", Mass.FromGrams(grams), pulse, new Pace(1, 0))],
            actions,
            Instant.FromUnixTimeSeconds(0),
            1
        );
    }

    public static PotRun Run(Cook cook, bool sample = false, Duration? step = null) =>
        Model.Run(cook, PotTraits.Reference(cook), new RunOptions(sample) { Step = step ?? Simulator.DefaultStep });

    /// <summary>Minutes from the first boil to tender, between the samples on a straight line.</summary>
    public static double MinutesFromBoil(Cook cook, Duration? step = null)
    {
        var run = Run(cook, sample: true, step);
        var after = run.Samples.First(s => s.Doneness[0] >= Doneness.Tender);
        var before = run.Samples.Last(s => s.Seconds < after.Seconds);
        // The scale bends at tender: its way there goes on from the two samples before.
        var earlier = run.Samples.Last(s => s.Seconds < before.Seconds);
        var pace = (before.Doneness[0] - earlier.Doneness[0]) / (before.Seconds - earlier.Seconds);
        var tender = Math.Min(after.Seconds, before.Seconds + ((Doneness.Tender - before.Doneness[0]) / pace));
        return (tender - run.BoilsAt[0]) / 60;
    }
}

/// <summary>Generators that the laws share.</summary>
internal static class Any
{
    public static Gen<T> Of<T>(params IReadOnlyList<T> values) => Gen.Int[0, values.Count - 1].Select(i => values[i]);
}
