using BenchmarkDotNet.Attributes;
using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Benchmarks;

/// <summary>A thousand pots through three hours at ten-second steps on one core: eight and sixteen side by side against a plain loop of
/// the same equations.</summary>
[MemoryDiagnoser(displayGenColumns: false)]
public class PotBenchmarks
{
    private const int Pots = 1000;
    private static readonly RunOptions Bare = new() { Heights = false };
    private readonly Simulator _simulator = new(PulseCatalogue.Shipped.Constants);
    private readonly List<PotJob> _jobs = [];

    [GlobalSetup]
    public void Prepare()
    {
        var catalogue = PulseCatalogue.Shipped;
        var pot = new Vessel("v", "pot", Length.FromCentimetres(24), Volume.FromMillilitres(6000));
        var hob = new Burner("b", "hob", Power.FromWatts(1500), Power.FromWatts(120));
        var cook = new Cook(
            new CookKitchen(pot, hob, Altitude.SeaLevel, Temperature.FromCelsius(20)),
            [
                new PulseIngredient("p", Mass.FromGrams(300), catalogue.FindPulse("pinto")!, new Pace(1, catalogue.Constants.LotSpread)),
                new RiceIngredient("r", Mass.FromGrams(300), catalogue.FindRice("long_white")!),
            ],
            [
                new CookAction.Add(Trigger.Next, "p"),
                new CookAction.AddWater(Trigger.Next, Mass.FromGrams(3000), Temperature.FromCelsius(20)),
                new CookAction.Cover(Trigger.Next, Lid.On),
                new CookAction.Heat(Trigger.Next, Flame.Full),
                new CookAction.Heat(Trigger.Once(PotEvent.Boils), Flame.Lively),
                new CookAction.Add(Trigger.At(Instant.FromUnixTimeSeconds(9000)), "r"),
                new CookAction.Serve(Trigger.At(Instant.FromUnixTimeSeconds(10_800))),
            ],
            Instant.FromUnixTimeSeconds(0),
            1
        );
        _jobs.AddRange(PotTraits.Many(cook, catalogue.Constants, Pots).Select(t => new PotJob(cook, t)));
    }

    [Benchmark(Baseline = true, Description = "1,000 pots, 3 h, plain loop")]
    public int PlainLoop() => _simulator.RunOnOneCore(_jobs, Bare, 1).Length;

    [Benchmark(Description = "1,000 pots, 3 h, eight side by side")]
    public int EightLanes() => _simulator.RunOnOneCore(_jobs, Bare, 8).Length;

    [Benchmark(Description = "1,000 pots, 3 h, sixteen side by side")]
    public int SixteenLanes() => _simulator.RunOnOneCore(_jobs, Bare, 16).Length;
}
