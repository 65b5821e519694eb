using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Planning.Manners;
using BrightKettle.Core.Safety;
using Xunit;
using static BrightKettle.Core.Tests.Kitchens;

namespace BrightKettle.Core.Tests.Planning;

/// <summary>Slow-cooker dinners wait in the crock on warm, so that quick bags do not stand lukewarm for hours.</summary>
public class SlowCookerHoldTests
{
    /// <summary>Every third pulse, soaked where it wants a soak, alone and with brown basmati; not chosen to fit.</summary>
    [Fact]
    public void Neither_a_usual_nor_a_quick_bag_stands_under_sixty_degrees_for_two_hours()
    {
        var pulses = Kitchens.Catalogue.Pulses.Where((_, i) => i % 3 == 0);
        var dinners = pulses.SelectMany(p => new[] { null, "brown_basmati" }.Select(rice => (p.Id, rice))).ToList();
        var plans = dinners.AsParallel().Select(d => (d, Answer: Plan(d.Id, d.rice))).ToList();
        var planned = plans.Where(p => p.Answer is PlanAnswer.Planned).Select(p => (p.d, ((PlanAnswer.Planned)p.Answer).Plan)).ToList();
        Assert.True(planned.Count >= dinners.Count / 2, $"{planned.Count} of {dinners.Count} planned");
        var cold = planned
            .AsParallel()
            .SelectMany(p =>
                new[] { 0.5, 0.9 }
                    .Where(share =>
                        HoldGate
                            .Judge(new(p.Plan.Cook), Model.Run(p.Plan.Cook, PotTraits.AtPaceShare(p.Plan.Cook, share)))
                            .Any(f => f.Blocks)
                    )
                    .Select(share => $"{p.d.Id} {p.d.rice} at {share}")
            )
            .ToList();
        Assert.True(cold.Count == 0, $"{cold.Count} of {2 * planned.Count}: {string.Join(", ", cold)}");
    }

    private static PlanAnswer Plan(string pulse, string? rice) =>
        new Planner(Model).Plan(
            Dish(pulse, 250, rice, 200, Pulse(pulse).SoakHours.High > 0 ? SoakChoice.Overnight : SoakChoice.None, Style.Moist, Pot(28, 7.6))
                .With(new InCrock(Cooking.Pots.Cooker(CookerKind.Slow)))
        );
}
