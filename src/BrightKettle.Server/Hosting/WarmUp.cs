using System.Text.Json;
using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Planning.Manners;
using BrightKettle.Core.Units;
using BrightKettle.Server.Planning;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.Extensions.Options;
using NodaTime;

namespace BrightKettle.Server.Hosting;

/// <summary>Plans two dinners that nobody asked for beside the rest of the start, so that the first real one meets compiled code.</summary>
/// <remarks>Two are as far as it pays: they compile all that a plan, its words and its JSON run through, and a third one already takes
/// its usual 20 ms.</remarks>
internal static class WarmUp
{
    /// <summary>Begins on a thread of its own.</summary>
    /// <param name="stop">The start is broken off: nobody needs it any more.</param>
    public static Task BeginAsync(IServiceProvider services, CancellationToken stop) =>
        Task.Run(
            () =>
            {
                try
                {
                    var simulator = services.GetRequiredService<Simulator>().Within(new WorkBudget(long.MaxValue, stop));
                    Plan(
                        services.GetRequiredService<PulseCatalogue>(),
                        new Planner(simulator),
                        services.GetRequiredService<IOptions<JsonOptions>>().Value.SerializerOptions
                    );
                }
                catch (OperationCanceledException) when (stop.IsCancellationRequested)
                {
                    // Broken off as asked: there is nothing to undo.
                }
            },
            CancellationToken.None
        );

    private static void Plan(PulseCatalogue catalogue, Planner planner, JsonSerializerOptions json)
    {
        var home = new Household(DateTimeZone.Utc, Altitude.SeaLevel, Celsius(20), Celsius(5), new(7, 0), new(23, 0), new(21, 30), false);
        var pot = new Vessel("w", "w", Length.FromCentimetres(24), Volume.FromMillilitres(6000));
        var burner = new Burner("w", "w", Power.FromWatts(1400), Power.FromWatts(120));
        var now = Instant.FromUtc(2026, 1, 1, 12, 0);
        foreach (var soak in new Soaking[] { new Unsoaked(), new OvernightSoak() })
        {
            var answer = planner.Plan(
                new Dish(
                    catalogue.Pulses[0],
                    Mass.FromGrams(300),
                    new Pace(1, catalogue.Constants.LotSpread),
                    catalogue.Rices[0],
                    Mass.FromGrams(300),
                    Manner.Usual with
                    {
                        Soak = soak,
                    },
                    Style.Dry,
                    pot,
                    [pot],
                    burner,
                    home,
                    now + Duration.FromHours(31),
                    now,
                    1
                )
            );
            if (answer is PlanAnswer.Planned { Plan: var plan })
            {
                JsonSerializer.Serialize(PlanMapper.Map(plan, 4, 240), json);
            }

            JsonSerializer.Deserialize<DishDto>(JsonSerializer.Serialize(Asked, json), json);
        }
    }

    private static readonly DishDto Asked = new(
        "w",
        new(1, "g"),
        null,
        null,
        1,
        "none",
        "dry",
        "w",
        null,
        "2026-01-02T19:00",
        1,
        Extras: [new("w")],
        Others: [new("w")],
        Away: [new("w", "w")]
    );

    private static Temperature Celsius(double degrees) => Temperature.FromCelsius(degrees);
}
