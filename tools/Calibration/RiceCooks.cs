using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Calibration;

/// <summary>Rice by itself as its table means it: two cups, the printed water, the printed method, ten minutes of rest.</summary>
internal static class RiceCooks
{
    public const double RestMinutes = 10;
    public const string Off = "off";

    /// <summary>From the boil to the flame turned down.</summary>
    private const double HandSeconds = 45;

    private static readonly Temperature Cold = Temperature.FromCelsius(20);

    private static readonly Burner Hob = new("b", "hob", Power.FromWatts(1500), Power.FromWatts(120));

    /// <summary>With this many minutes between the boil (or the steam) and the flame's going out.</summary>
    public static Cook Alone(Rice rice, double minutes)
    {
        var grams = 2 * rice.GramsPerCup;
        var water = Water(rice);
        List<CookAction> soak =
            rice.SoakMinutes.Typical > 0 && rice.Method != "absorb" || rice.SoakMinutes.Low > 0
                ?
                [
                    new CookAction.Soak(Trigger.Next, "r", Mass.FromGrams(grams * 2), Cold),
                    new CookAction.Drain(Later(rice.SoakMinutes.Typical), "r"),
                ]
                : [];
        CookAction[] end =
        [
            new CookAction.Heat(Later(minutes), Flame.Off) { StepId = Off },
            new CookAction.Serve(Later(rice.Method == "cover" ? rice.RestMinutes.Typical : RestMinutes)),
        ];
        var full = new CookAction.Heat(Trigger.Next, Flame.Full);
        var add = new CookAction.Add(Trigger.Next, "r");
        var pour = new CookAction.AddWater(Trigger.Next, Mass.FromGrams(water), Cold);
        var boils = Trigger.Once(PotEvent.Boils);
        return rice.Method switch
        {
            "steam" => Steamed(rice, grams, soak, end),
            "cover" => Cook(rice, grams, [pour, Lid(Core.Cooking.Lid.On), full, add with { Trigger = boils }, .. end]),
            "boil_drain" => Cook(
                rice,
                grams,
                [
                    add,
                    new CookAction.AddWater(Trigger.Next, Mass.FromGrams(grams * 5), Cold),
                    Lid(Core.Cooking.Lid.Ajar),
                    full,
                    new CookAction.Heat(boils, Flame.Lively),
                    new CookAction.Drain(Later(minutes), null),
                    end[0] with
                    {
                        Trigger = Trigger.Next,
                    },
                    end[1],
                ]
            ),
            _ => Cook(
                rice,
                grams,
                [
                    .. soak,
                    add,
                    pour,
                    Lid(Core.Cooking.Lid.On),
                    full,
                    new CookAction.Heat(Trigger.Once(PotEvent.Boils, Duration.FromSeconds(HandSeconds)), Flame.Gentle),
                    Lid(IsOpen(rice) ? Core.Cooking.Lid.Open : Core.Cooking.Lid.On),
                    .. end,
                ]
            ),
        };
    }

    /// <summary>The printed water, g.</summary>
    public static double Water(Rice rice) => 2 * 236.6 * rice.WaterByVolume.Typical * 0.998;

    /// <summary>Round Spanish rice is cooked without a lid.</summary>
    public static bool IsOpen(Rice rice) => rice.Id == "spanish_short";

    private static Cook Steamed(Rice rice, double grams, List<CookAction> soak, CookAction[] end)
    {
        var bowl = new CookVessel(Pot("bowl", 16, 2), Hob, Above: true);
        var kitchen = new CookKitchen(Pot("v", 24, 6), Hob, Altitude.SeaLevel, Cold) { OtherVessels = [bowl] };
        return new Cook(
            kitchen,
            [new RiceIngredient("r", Mass.FromGrams(grams), rice)],
            [
                .. soak,
                new CookAction.Add(Trigger.Next, "r") { In = bowl.Vessel.Id, StepId = "in" },
                new CookAction.AddWater(Trigger.Next with { AfterStep = "in" }, Mass.FromGrams(1500), Cold),
                Lid(Core.Cooking.Lid.On),
                new CookAction.Heat(Trigger.Next, Flame.Full),
                new CookAction.Heat(Trigger.Once(PotEvent.Boils), Flame.Lively),
                .. end,
            ],
            Instant.FromUnixTimeSeconds(0),
            1
        );
    }

    private static Cook Cook(Rice rice, double grams, IReadOnlyList<CookAction> actions) =>
        new(
            new CookKitchen(Pot("v", 20, 3.5), Hob, Altitude.SeaLevel, Cold),
            [new RiceIngredient("r", Mass.FromGrams(grams), rice)],
            actions,
            Instant.FromUnixTimeSeconds(0),
            1
        );

    private static Vessel Pot(string id, double centimetres, double litres) =>
        new(id, id, Length.FromCentimetres(centimetres), Volume.FromMillilitres(1000 * litres));

    private static Trigger Later(double minutes) => Trigger.Later(Duration.FromMinutes(minutes));

    private static CookAction.Cover Lid(Lid lid) => new(Trigger.Next, lid);
}
