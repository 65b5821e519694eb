using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Tests.Cooking;

/// <summary>Short ways of writing cooks, for tests of the model.</summary>
internal static class Pots
{
    public static Vessel Cooker(CookerKind kind, double litres = 6) =>
        new($"{kind}", $"{kind}", Length.FromCentimetres(22), Volume.FromMillilitres(litres * 1000))
        {
            Cooker = Core.Kitchen.Cooker.Typical(kind, litres * 1000),
        };

    public static PulseIngredient Pulse(string id, double grams, double spread = 0, string name = "p") =>
        new(name, Mass.FromGrams(grams), Kitchens.Pulse(id), new Pace(1, spread));

    public static RiceIngredient Rice(string id, double grams, string name = "r") => new(name, Mass.FromGrams(grams), Kitchens.Rice(id));

    public static ExtraIngredient Extra(string id, double grams, double celsius = 20, string? name = null) =>
        new(name ?? id, Mass.FromGrams(grams), Kitchens.Catalogue.FindExtra(id)!, Temperature.FromCelsius(celsius));

    public static CookAction Add(string id) => new CookAction.Add(Trigger.Next, id);

    public static CookAction Water(double grams, double celsius = 20, double ice = 0) =>
        new CookAction.AddWater(Trigger.Next, Mass.FromGrams(grams), Temperature.FromCelsius(celsius)) { IceShare = ice };

    public static CookAction Heat(Flame flame, Trigger? when = null) => new CookAction.Heat(when ?? Trigger.Next, flame);

    public static CookAction Lid(Core.Cooking.Lid lid) => new CookAction.Cover(Trigger.Next, lid);

    public static CookAction Salt(double grams, Trigger? when = null) =>
        new CookAction.AddSalt(when ?? Trigger.Next, Mass.FromGrams(grams));

    public static Trigger After(double minutes) => Trigger.Later(Duration.FromMinutes(minutes));

    public static Trigger Boils(double minutes = 0) => Trigger.Once(PotEvent.Boils, Duration.FromMinutes(minutes));

    public static CookAction Serve(Trigger? when = null) => new CookAction.Serve(when ?? Trigger.Next);

    public static CookAction UntilTender(string id = "p", double doneness = Doneness.Tender) =>
        new CookAction.Serve(new Trigger(Look: new Look(id, doneness, Duration.FromSeconds(10))));

    public static IEnumerable<CookAction> Soak(double hours, double grams = 250, string id = "p", double salt = 0, double soda = 0) =>
        [
            new CookAction.Soak(Trigger.Next, id, Mass.FromGrams(grams * 4), Temperature.FromCelsius(20))
            {
                SaltShare = salt,
                SodaGramsPerLitre = soda,
            },
            new CookAction.Drain(Trigger.Later(Duration.FromHours(hours)), id),
        ];

    public static Cook Cook(
        Vessel vessel,
        IReadOnlyList<Ingredient> ingredients,
        IEnumerable<CookAction> actions,
        double altitude = 0,
        double hardness = 0,
        double watts = 1500
    ) =>
        new(
            new CookKitchen(vessel, Kitchens.Burner(watts), Altitude.FromMetres(altitude), Temperature.FromCelsius(20))
            {
                HardnessMilligramsPerLitre = hardness,
            },
            ingredients,
            [.. actions],
            Instant.FromUnixTimeSeconds(0),
            1
        );

    /// <summary>200 g of split pigeon peas below and 200 g of rice in its bowl above, four whistles on a medium flame.</summary>
    public static Cook DalUnderRice(double spread = 0)
    {
        var bowl = new CookVessel(
            new Vessel("bowl", "rice bowl", Length.FromCentimetres(15), Volume.FromMillilitres(1200)),
            Kitchens.Burner(),
            Above: true
        );
        return new Cook(
            new CookKitchen(Cooker(CookerKind.Weight, 5), Kitchens.Burner(1700), Altitude.SeaLevel, Temperature.FromCelsius(20))
            {
                OtherVessels = [bowl],
            },
            [Pulse("toor_split", 200, spread), Rice("long_white", 200)],
            [
                Add("r") with
                {
                    In = "bowl",
                },
                Water(350) with
                {
                    In = "bowl",
                    StepId = "filled",
                },
                new CookAction.Add(Trigger.Next with { AfterStep = "filled" }, "p"),
                Water(750),
                new CookAction.Pressurise(Trigger.Next),
                Heat(Flame.Full),
                new CookAction.Heat(Trigger.Once(PotEvent.Whistle), Flame.Full) { Net = Power.FromWatts(550) },
                Heat(Flame.Off, Trigger.Once(PotEvent.Whistle) with { Count = 4 }),
                new CookAction.Release(Trigger.Next, ReleaseKind.Natural),
                Serve(Trigger.Once(PotEvent.PinDown)),
            ],
            Instant.FromUnixTimeSeconds(0),
            1
        );
    }

    public static PotRun Run(this Cook cook, RunOptions? options = null) =>
        CookRules.Check(cook) is { } fault
            ? throw new InvalidOperationException(fault.ToString())
            : Kitchens.Model.Run(cook, PotTraits.Reference(cook), options);

    /// <summary>Minutes from the first boil to the end.</summary>
    public static double FromBoil(this PotRun run) => (run.EndSeconds - run.BoilsAt[0]) / 60;
}
