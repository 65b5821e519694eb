using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Server.Hosting;

/// <summary>Plans a few dinners that nobody asked for, so that the first real one meets compiled code.</summary>
internal sealed class WarmUp(PulseCatalogue catalogue, Simulator simulator) : BackgroundService
{
    private const int Rounds = 12;

    protected override Task ExecuteAsync(CancellationToken stoppingToken) => Task.Run(() => Plan(stoppingToken), stoppingToken);

    private void Plan(CancellationToken stop)
    {
        var home = new Household(DateTimeZone.Utc, 0, Celsius(20), Celsius(5), new(7, 0), new(23, 0), new(21, 30), false);
        var pot = new Vessel("w", "w", Length.FromCentimetres(24), Volume.FromMillilitres(6000));
        var burner = new Burner("w", "w", Power.FromWatts(1400), Power.FromWatts(120));
        var planner = new Planner(simulator.Within(new WorkBudget(long.MaxValue, stop)));
        var now = Instant.FromUtc(2026, 1, 1, 12, 0);
        for (var i = 0; i < Rounds && !stop.IsCancellationRequested; i++)
        {
            var rice = catalogue.Rices[i % 2 == 0 ? 0 : 14];
            planner.Plan(new Dish(
                catalogue.Pulses[17 + i],
                Mass.FromGrams(300),
                new Pace(1, catalogue.Constants.LotSpread),
                rice,
                Mass.FromGrams(300),
                i % 3 == 0 ? SoakChoice.Overnight : SoakChoice.None,
                Style.Dry,
                pot,
                [pot],
                burner,
                home,
                now + Duration.FromHours(31),
                now,
                1));
        }
    }

    private static Temperature Celsius(double degrees) => Temperature.FromCelsius(degrees);
}
