using BenchmarkDotNet.Attributes;
using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Planning.Manners;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Benchmarks;

/// <summary>A plan as the page asks for it: solved on one pot, judged on many.</summary>
public class PlanBenchmarks
{
    private readonly Planner _planner = new(new Simulator(PulseCatalogue.Shipped.Constants));
    private WayFinder _ways = null!;
    private Dish _dish = null!;

    [GlobalSetup]
    public void Prepare()
    {
        var catalogue = PulseCatalogue.Shipped;
        _ways = new WayFinder(_planner, catalogue);
        var zone = DateTimeZoneProviders.Tzdb["Europe/Lisbon"];
        var home = new Household(
            zone,
            Altitude.FromMetres(50),
            Temperature.FromCelsius(19),
            Temperature.FromCelsius(5),
            new LocalTime(7, 0),
            new LocalTime(23, 0),
            new LocalTime(21, 30),
            false
        );
        var pot = new Vessel("v", "pot", Length.FromCentimetres(22), Volume.FromMillilitres(4500));
        _dish = new Dish(
            catalogue.FindPulse("chickpea")!,
            Mass.FromGrams(300),
            new Pace(1, catalogue.Constants.LotSpread),
            catalogue.FindRice("brown_basmati"),
            Mass.FromGrams(300),
            Manner.Usual with
            {
                Soak = new OvernightSoak(),
            },
            Style.Dry,
            pot,
            [
                pot,
                new Vessel("e", "electric", Length.FromCentimetres(22), Volume.FromMillilitres(6000)) { Cooker = Cooker.Electric(6000) },
                new Vessel("s", "slow", Length.FromCentimetres(24), Volume.FromMillilitres(6000)) { Cooker = Cooker.SlowPot(6000) },
            ],
            new Burner("b", "hob", Power.FromWatts(1500), Power.FromWatts(120)),
            home,
            home.InstantOf(new LocalDateTime(2026, 11, 25, 19, 0)),
            home.InstantOf(new LocalDateTime(2026, 11, 24, 20, 0)),
            7
        );
    }

    [Benchmark(Description = "all ways of a kitchen with a pressure and a slow cooker, 128 pots each")]
    public int Ways() => _ways.For(_dish).Count;

    [Benchmark(Description = "the opened way refined to 1,000 pots")]
    public PlanAnswer Refined() => _planner.Plan(_dish, 1000);

    [Benchmark(Description = "one plan, 64 pots with looks and 64 by the clock")]
    public PlanAnswer Plan() => _planner.Plan(_dish);
}
