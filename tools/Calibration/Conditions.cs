using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Calibration;

/// <summary>What the tables' simmer columns mean, as a cook that the simulator can run.</summary>
/// <remarks>
/// 300 g in 2.2 L, a 24 cm pot of 5 L at sea level in a 20 °C room, 1500 W net, into cold water, lid ajar, a lively
/// simmer; the clock starts at the boil and stops when 95 of 100 seeds are tender. Soaked: the middle of the usual soak
/// at 20 °C, or 3.5 h where none is usual; drained.
/// </remarks>
internal static class Conditions
{
    private const string Id = "pulse";

    public static double SoakHours(Pulse pulse) =>
        pulse.SoakHours.High <= 0 ? 3.5 : Math.Max(0.5, (pulse.SoakHours.Low + pulse.SoakHours.High) / 2);

    /// <summary>Minutes from the boil to tender, or NaN when it never gets there.</summary>
    public static double SimmerMinutes(Simulator simulator, Pulse pulse, bool soaked)
    {
        var cook = SimmerCook(pulse, soaked);
        var run = simulator.Run(cook, PotTraits.Reference(cook));
        return run.StalledAt is null ? (run.EndSeconds - run.BoilsAt[0]) / 60 : double.NaN;
    }

    private static Cook SimmerCook(Pulse pulse, bool soaked)
    {
        var start = Instant.FromUnixTimeSeconds(0);
        var cold = Temperature.FromCelsius(20);
        var kitchen = new CookKitchen(
            new Vessel("v", "24 cm", Length.FromCentimetres(24), Volume.FromMillilitres(5000)),
            new Burner("b", "hob", Power.FromWatts(1500), Power.FromWatts(120)),
            0,
            20);
        var actions = new List<CookAction>();
        var light = When.Next;
        if (soaked)
        {
            actions.Add(new CookAction.Soak(When.Next, Id, Mass.FromGrams(1200), cold));
            actions.Add(new CookAction.Drain(When.Later(Duration.FromHours(SoakHours(pulse))), Id));
        }

        actions.Add(new CookAction.Add(light, Id));
        actions.Add(new CookAction.AddWater(When.Next, Mass.FromGrams(2200), cold));
        actions.Add(new CookAction.Cover(When.Next, Lid.Ajar));
        actions.Add(new CookAction.Heat(When.Next, Flame.Full));
        actions.Add(new CookAction.Heat(When.Once(PotEvent.Boils), Flame.Lively));
        // A look every minute, and the crossing is then found by the fit on a smooth enough line.
        actions.Add(new CookAction.Serve(new When(Look: new Look(Id, Doneness.Tender, Duration.FromSeconds(10)))));
        return new Cook(kitchen, [new PulseIngredient(Id, Mass.FromGrams(300), pulse, new Pace(1, 0))], actions, start, 1);
    }
}
