using BrightKettle.Core.Planning;
using BrightKettle.Sweep;
using Xunit;
using static BrightKettle.Core.Tests.Kitchens;

namespace BrightKettle.Core.Tests.Planning;

/// <summary>Wishes by lot with a soak that has begun, or lasts some hours, and with stages that are added.</summary>
public sealed class AfternoonSweepTests(ITestOutputHelper output)
{
    private const double Sure = 0.85;

    [Fact]
    public void Of_forty_afternoons_nine_in_ten_end_as_a_practised_cook_would_want()
    {
        var finder = new WayFinder(Plans, Kitchens.Catalogue);
        var (all, good) = (0, 0);
        foreach (var dish in Dinners.OfTheAfternoon(Kitchens.Catalogue, 40))
        {
            // What is shown as it was asked for, or, where that fails, the best of the ways beside it.
            var own = Plans.Plan(dish, 64, rough: true);
            var share = own is PlanAnswer.Planned { Plan: var plan } ? plan.ShareTender : 0;
            var way =
                share >= Sure
                    ? null
                    : finder.For(dish, 64).Where(w => w.PulseId is null && w.Method != Method.Cooked).MaxBy(w => w.Plan?.ShareTender ?? 0);
            all++;
            // A cook who is told that sticky rice must stand in water until ten, and that dinner can be had then, was well advised.
            var late =
                (own as PlanAnswer.Refused)?.Refusal is { Code: PlanRefusal.TooSoon or PlanRefusal.SoakTooLate, Alternatives.Count: > 0 };
            var came = share >= Sure || way?.Plan?.ShareTender >= Sure || late;
            good += came ? 1 : 0;
            output.WriteLine(
                $"{(came ? "good" : "    ")} {share:0.00} {dish.Pulse.Id} {dish.PulseDry} {dish.Rice?.Id} {dish.Style} {dish.How.Soak}, table in {(dish.ServeAt - dish.Now).TotalHours} h, {string.Join(' ', dish.Asked)}, {dish.Lot.Years} years: {(own as PlanAnswer.Refused)?.Refusal.Code} {(own as PlanAnswer.Refused)?.Refusal.Gate} {(own as PlanAnswer.Refused)?.Refusal.Alternatives.Count}; best {way?.Method} {way?.Soak} {way?.Plan?.ShareTender:0.00}"
            );
        }

        Assert.True(good >= 0.9 * all, $"{good} of {all}");
    }
}
