using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Planning;

/// <summary>When whistles come, in minutes from the heat, and back: by running this cooker with so much in it.</summary>
/// <param name="Low">One cooker in ten is quicker.</param>
/// <param name="High">One in ten is slower.</param>
public sealed record WhistleTime(int Whistle, double Low, double Minutes, double High);

/// <summary>Whistle counts and minutes, each from the other. A noisy map: about 30 % between cookers.</summary>
public sealed class WhistleAnswers(Simulator simulator)
{
    private const int Pots = 64;

    /// <summary>Minutes from the heat to each whistle.</summary>
    /// <param name="cooker">With a weight.</param>
    /// <param name="contents">Of water; seed counts about half of its weight.</param>
    /// <param name="afterFirst">Net power from the first whistle on.</param>
    /// <exception cref="ArgumentException"><paramref name="cooker"/> has no weight.</exception>
    public IReadOnlyList<WhistleTime> Times(Vessel cooker, Burner burner, Mass contents, Power afterFirst, int whistles)
    {
        if (cooker.Cooker?.Kind != CookerKind.Weight)
        {
            throw new ArgumentException("Only a weight whistles.", nameof(cooker));
        }

        var cook = Of(cooker, burner, contents, afterFirst, whistles);
        var runs = simulator.RunMany(
            [.. PotTraits.Many(cook, simulator.Constants, Pots).Select(t => new PotJob(cook, t))],
            new RunOptions { Heights = false }
        );
        var reference = simulator.Run(cook, PotTraits.Reference(cook));
        return
        [
            .. Enumerable
                .Range(1, whistles)
                .Select(n =>
                {
                    var minutes = runs.Select(r => r.Nth(PotEvent.Whistle, n)).OfType<double>().Select(s => s / 60).Order().ToList();
                    return new WhistleTime(
                        n,
                        minutes[minutes.Count / 10],
                        reference.Nth(PotEvent.Whistle, n)!.Value / 60,
                        minutes[minutes.Count * 9 / 10]
                    );
                }),
        ];
    }

    /// <summary>How many whistles this many minutes at pressure are: the last that comes within them, counted from the first; at least
    /// 1.</summary>
    public int CountOf(Vessel cooker, Burner burner, Mass contents, Power afterFirst, double minutesAtPressure)
    {
        const int Most = 30;
        var times = Times(cooker, burner, contents, afterFirst, Most);
        return times.Last(t => t.Minutes - times[0].Minutes <= minutesAtPressure).Whistle;
    }

    private static Cook Of(Vessel cooker, Burner burner, Mass contents, Power afterFirst, int whistles)
    {
        // A pinch of seed, since a cook is of something; the water is what counts.
        var pinch = new PulseIngredient("p", Mass.FromGrams(1), PulseCatalogue.Shipped.Pulses[0], new Pace(1, 0));
        return new Cook(
            new CookKitchen(cooker, burner, Altitude.SeaLevel, Temperature.FromCelsius(20)),
            [pinch],
            [
                new CookAction.Add(Trigger.Next, "p"),
                new CookAction.AddWater(Trigger.Next, contents, Temperature.FromCelsius(20)),
                new CookAction.Pressurise(Trigger.Next),
                new CookAction.Heat(Trigger.Next, Flame.Full),
                new CookAction.Heat(Trigger.Once(PotEvent.Whistle), Flame.Full) { Net = afterFirst },
                new CookAction.Heat(Trigger.Once(PotEvent.Whistle) with { Count = whistles }, Flame.Off),
                new CookAction.Release(Trigger.Next, ReleaseKind.Quick),
                new CookAction.Serve(Trigger.Next),
            ],
            Instant.FromUnixTimeSeconds(0),
            1
        );
    }
}
