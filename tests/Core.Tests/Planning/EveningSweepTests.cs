using BrightKettle.Core.Planning;
using BrightKettle.Core.Planning.Beside;
using BrightKettle.Sweep;
using Xunit;
using static BrightKettle.Core.Tests.Kitchens;

namespace BrightKettle.Core.Tests.Planning;

/// <summary>Two dishes of an evening by lot, on two burners with three pots: a cook who takes what is offered first.</summary>
public sealed class EveningSweepTests(ITestOutputHelper output)
{
    private const double Sure = 0.85;

    private static Dish Taken(Dish dish, Alternative offer) =>
        dish with
        {
            ServeAt = offer.ServeAt ?? dish.ServeAt,
            Vessel = dish.OtherVessels.FirstOrDefault(v => v.Id == offer.VesselId) ?? dish.Vessel,
            Burner = dish.Burners.FirstOrDefault(b => b.Id == offer.BurnerId) ?? dish.Burner,
            OtherBurner = dish.Burners.First(b => b.Id != (offer.BurnerId ?? dish.Burner.Id)),
        };

    [Fact]
    public void Of_forty_evenings_with_two_dishes_nine_in_ten_find_room_for_both()
    {
        var (all, good, apart) = (0, 0, 0);
        foreach (var (first, second) in Dinners.EveningsByLot(Kitchens.Catalogue, 40))
        {
            if (
                Plans.Plan(first, 64, rough: true) is not PlanAnswer.Planned { Plan: var one }
                || Plans.Plan(second, 64, rough: true) is not PlanAnswer.Planned { Plan: var alone }
            )
            {
                // What cannot be had alone says nothing of two.
                continue;
            }

            all++;
            var beside = second with { Beside = [Neighbour.Of("1", "first", one.Cook, one.Forecast.Reference)] };
            var presses = 0;
            var two = ((PlanAnswer.Planned)Plans.Plan(beside, 64)).Plan;
            while (two.Apart.Count > 0 && presses < 2)
            {
                presses++;
                beside = Taken(beside, two.Apart[0]);
                two = ((PlanAnswer.Planned)Plans.Plan(beside, 64)).Plan;
            }

            var room = two.Clashes.Count == 0 && two.ShareTender >= Math.Min(Sure, alone.ShareTender - 0.1);
            good += room ? 1 : 0;
            apart += two.Clashes.Any(c => c.IsOfThings) ? 0 : 1;
            output.WriteLine(
                $"{(room ? "good" : "    ")} {first.Pulse.Id} {first.Rice?.Id} {first.Style} + {second.Pulse.Id} {second.Rice?.Id} {second.Style} {second.ServeAt - first.ServeAt}: {presses} presses, moved {(two.Dish.ServeAt - second.ServeAt).TotalMinutes}, {alone.ShareTender:0.00} to {two.ShareTender:0.00}; {string.Join(", ", two.Clashes.Select(c => $"{c.Kind} {c.Id} {c.TheirStep}"))}; offers {string.Join(", ", two.Apart)}"
            );
        }

        output.WriteLine($"{good} of {all}; pots and burners {apart}");
        Assert.True(good >= 0.9 * all && all >= 25, $"{good} of {all}; pots and burners {apart}");
    }
}
