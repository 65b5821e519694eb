using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Calibration;

/// <summary>One column of the yardstick: times first, then states.</summary>
internal enum Column
{
    SimmerSoaked,
    SimmerUnsoaked,
    SlowHigh,
    SlowLow,

    /// <summary>Doneness after the printed low hold and natural release.</summary>
    PressureSoaked,
    PressureUnsoaked,

    /// <summary>The same after the printed high hold.</summary>
    PressureSoakedLong,
    PressureUnsoakedLong,

    /// <summary>Doneness at shares of the seed's own time.</summary>
    WaySoaked,
    WayUnsoaked,
}

/// <summary>What the columns mean, as cooks that the simulator can run. The figures stand in conditions.json; nothing here knows a pulse
/// by name.</summary>
internal sealed record Conditions(
    double Grams,
    double WaterGrams,
    double PotDiameterCentimetres,
    double PotMillilitres,
    double BurnerWatts,
    double RoomCelsius,
    double ShortSoakHours,
    double PressureMillilitres,
    double PressureGrams,
    double PressureWaterSoaked,
    double PressureWaterUnsoaked,
    double SlowMillilitres,
    double SlowGrams,
    double SlowWaterGrams
)
{
    private const string Id = "pulse";
    private static readonly Instant Start = Instant.FromUnixTimeSeconds(0);

    /// <summary>The middle of the recommended soak, or a few hours where none is.</summary>
    public double SoakHours(Pulse pulse) =>
        pulse.SoakHours.High <= 0 ? ShortSoakHours : Math.Max(0.5, (pulse.SoakHours.Low + pulse.SoakHours.High) / 2);

    public static Span Range(Pulse pulse, Column column) =>
        column switch
        {
            Column.SimmerSoaked => pulse.SimmerSoakedMinutes,
            Column.SimmerUnsoaked => pulse.SimmerUnsoakedMinutes,
            Column.SlowHigh => new(pulse.SlowHighHours.Low * 60, pulse.SlowHighHours.High * 60),
            Column.SlowLow => new(pulse.SlowLowHours.Low * 60, pulse.SlowLowHours.High * 60),
            _ => throw new ArgumentOutOfRangeException(nameof(column)),
        };

    /// <summary>The printed low and high hold, minutes.</summary>
    public static double[] Holds(Pulse pulse, Column column)
    {
        var range = column == Column.PressureSoaked ? pulse.PressureSoakedMinutes : pulse.PressureUnsoakedMinutes;
        return [range.Low, range.High];
    }

    /// <summary>A cook that ends when 95 of 100 seeds are tender, by looks ten seconds apart; the clock of a cell starts at the mark
    /// "clock".</summary>
    /// <param name="holdMinutes">For pressure: how long it is held before it is left to itself; ignored elsewhere.</param>
    public Cook CookOf(Pulse pulse, Column column, double holdMinutes = 0) =>
        column switch
        {
            Column.SimmerSoaked => Simmer(pulse, true),
            Column.SimmerUnsoaked => Simmer(pulse, false),
            Column.PressureSoaked => Pressure(pulse, true, holdMinutes),
            Column.PressureUnsoaked => Pressure(pulse, false, holdMinutes),
            Column.SlowHigh => Slow(pulse, Flame.High),
            Column.SlowLow => Slow(pulse, Flame.Low),
            _ => throw new ArgumentOutOfRangeException(nameof(column)),
        };

    private static IEnumerable<CookAction> Soak(double grams, double hours) =>
        [
            new CookAction.Soak(Trigger.Next, Id, Mass.FromGrams(grams * 4), Temperature.FromCelsius(20)),
            new CookAction.Drain(Trigger.Later(Duration.FromHours(hours)), Id),
        ];

    private static CookAction.Serve Tender() =>
        new CookAction.Serve(new Trigger(Look: new Look(Id, Doneness.Tender, Duration.FromSeconds(10))));

    private static IReadOnlyList<Ingredient> Ingredients(Pulse pulse, double grams) =>
        [new PulseIngredient(Id, Mass.FromGrams(grams), pulse, new Pace(1, 0))];

    private Cook Simmer(Pulse pulse, bool soaked)
    {
        var cold = Temperature.FromCelsius(20);
        List<CookAction> actions =
        [
            .. soaked ? Soak(Grams, SoakHours(pulse)) : [],
            new CookAction.Add(Trigger.Next, Id),
            new CookAction.AddWater(Trigger.Next, Mass.FromGrams(WaterGrams), cold),
            new CookAction.Cover(Trigger.Next, Lid.Ajar),
            new CookAction.Heat(Trigger.Next, Flame.Full),
            new CookAction.Heat(Trigger.Once(PotEvent.Boils), Flame.Lively) { StepId = "clock" },
            Tender(),
        ];
        var pot = new Vessel("v", "pot", Length.FromCentimetres(PotDiameterCentimetres), Volume.FromMillilitres(PotMillilitres));
        return new Cook(
            new CookKitchen(pot, Hob, Altitude.SeaLevel, Temperature.FromCelsius(RoomCelsius)),
            Ingredients(pulse, Grams),
            actions,
            Start,
            1
        );
    }

    private Cook Pressure(Pulse pulse, bool soaked, double holdMinutes)
    {
        List<CookAction> actions =
        [
            .. soaked ? Soak(PressureGrams, SoakHours(pulse)) : [],
            new CookAction.Add(Trigger.Next, Id),
            new CookAction.AddWater(
                Trigger.Next,
                Mass.FromGrams(soaked ? PressureWaterSoaked : PressureWaterUnsoaked),
                Temperature.FromCelsius(20)
            ),
            new CookAction.Pressurise(Trigger.Next),
            new CookAction.Heat(Trigger.Next, Flame.Full),
            new CookAction.Heat(Trigger.Once(PotEvent.PressureUp, Duration.FromMinutes(holdMinutes)), Flame.Off) { StepId = "clock" },
            new CookAction.Release(Trigger.Next, ReleaseKind.Natural),
            new CookAction.Serve(Trigger.Once(PotEvent.PinDown)),
        ];
        var cooker = new Vessel("v", "electric cooker", Length.FromCentimetres(22), Volume.FromMillilitres(PressureMillilitres))
        {
            Cooker = Cooker.Electric(PressureMillilitres),
        };
        return new Cook(
            new CookKitchen(cooker, Hob, Altitude.SeaLevel, Temperature.FromCelsius(RoomCelsius)),
            Ingredients(pulse, PressureGrams),
            actions,
            Start,
            1
        );
    }

    /// <summary>From cold water, unsoaked, the crock about half full, the lid never lifted.</summary>
    private Cook Slow(Pulse pulse, Flame setting)
    {
        var crock = new Vessel("v", "slow cooker", Length.FromCentimetres(24), Volume.FromMillilitres(SlowMillilitres))
        {
            Cooker = Cooker.SlowPot(SlowMillilitres),
        };
        var kitchen = new CookKitchen(crock, Hob, Altitude.SeaLevel, Temperature.FromCelsius(RoomCelsius));
        return new Cook(
            kitchen,
            Ingredients(pulse, SlowGrams),
            [
                new CookAction.Add(Trigger.Next, Id),
                new CookAction.AddWater(Trigger.Next, Mass.FromGrams(SlowWaterGrams), Temperature.FromCelsius(RoomCelsius)),
                new CookAction.Cover(Trigger.Next, Lid.On),
                new CookAction.Heat(Trigger.Next, setting) { StepId = "clock" },
                Tender(),
            ],
            Start,
            1
        );
    }

    private Burner Hob => new("b", "hob", Power.FromWatts(BurnerWatts), Power.FromWatts(120));
}
