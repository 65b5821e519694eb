using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Units;
using Xunit;
using static BrightKettle.Core.Tests.Kitchens;

namespace BrightKettle.Core.Tests.Planning;

/// <summary>Two pulses of which one carries a lectin: the strictest rules the pot.</summary>
public class MixedPotTests
{
    private static PlanAnswer Plan(string one, string other) =>
        new Planner(Model).Plan(
            Dish(one, 150, soak: SoakChoice.Overnight, style: Style.Saucy, pot: Pot(28, 7.6)) with
            {
                OtherPulses = [new OtherPulse(Pulse(other), Mass.FromGrams(150))],
            }
        );

    [Fact]
    public void Chickpeas_with_kidney_beans_are_boiled_hard_together_and_nobody_is_refused()
    {
        var plan = Assert.IsType<PlanAnswer.Planned>(Plan("chickpea", "kidney_red")).Plan;
        Assert.Contains(plan.Cook.Actions, a => a is CookAction.Heat { Flame: Flame.Rolling });
        Assert.Contains(plan.Gates, g => g is { Code: "lectin.hard_boil", Blocks: false });
        Assert.DoesNotContain(plan.Gates, g => g.Blocks);
    }

    /// <summary>Every seventh pair of a pulse without a lectin and one with, in both orders; not chosen to fit. A refusal for the lectin is
    /// none of a practised cook's.</summary>
    [Fact]
    public void Hardly_any_soaked_pair_is_refused_for_its_lectin()
    {
        var safe = Kitchens.Catalogue.Pulses.Where(p => p.LectinRisk == LectinRisk.Low && p.SoakHours.Low >= 5);
        var risky = Kitchens.Catalogue.Pulses.Where(p => p.LectinRisk != LectinRisk.Low);
        var pairs = safe.SelectMany(s => risky.SelectMany(r => new[] { (s.Id, r.Id), (r.Id, s.Id) })).Where((_, i) => i % 7 == 0).ToList();
        var refused = pairs
            .AsParallel()
            .Where(p =>
                Plan(p.Item1, p.Item2) is PlanAnswer.Refused { Refusal.Gate: { } gate }
                && gate.StartsWith("lectin", StringComparison.Ordinal)
            )
            .ToList();
        Assert.True(pairs.Count > 25, $"{pairs.Count} pairs");
        Assert.True(refused.Count == 0, $"{refused.Count} of {pairs.Count}: {string.Join(' ', refused)}");
    }
}
