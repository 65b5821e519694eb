using BrightKettle.Core.Cooking;
using Xunit;
using static BrightKettle.Core.Tests.Kitchens;

namespace BrightKettle.Core.Tests.Cooking;

/// <summary>Doneness that a hand would agree with on the way, not only at the end.</summary>
public class OnTheWayTests
{
    /// <summary>Doneness at a share of the time from the boil to tender.</summary>
    private static double At(Cook cook, double share)
    {
        var run = Run(cook, sample: true);
        var boil = run.BoilsAt[0];
        var tender = MinutesFromBoil(cook) * 60;
        return run.Samples.Last(s => s.Seconds <= boil + (share * tender)).Doneness[0];
    }

    [Theory]
    [InlineData("lentil_brown")]
    [InlineData("lentil_green")]
    [InlineData("lentil_french")]
    [InlineData("lentil_black")]
    public void A_lentil_from_dry_is_par_cooked_a_little_past_half_its_time(string id)
    {
        Assert.InRange(At(Simmer(Pulse(id)), 0.4), 18, 55);
        Assert.InRange(At(Simmer(Pulse(id)), 0.6), 38, 75);
    }

    [Theory]
    [InlineData("adzuki")]
    [InlineData("black_eyed_pea")]
    [InlineData("small_red")]
    public void A_small_bean_at_half_its_time_splits_with_a_hard_core(string id) => Assert.InRange(At(Simmer(Pulse(id)), 0.5), 22, 62);

    [Theory]
    [InlineData("pinto")]
    [InlineData("chickpea")]
    [InlineData("cannellini")]
    public void A_soaked_bean_is_nearly_there_well_before_it_is_tender(string id) => Assert.InRange(At(Simmer(Pulse(id), 12), 0.8), 74, 92);

    [Fact]
    public void The_felt_state_of_every_pulse_rises_smoothly_and_passes_each_state_in_turn() =>
        Assert.All(Kitchens.Catalogue.Pulses, pulse =>
        {
            foreach (var hours in new[] { 0.0, 8 })
            {
                var run = Run(Simmer(pulse, hours), sample: true);
                var after = run.Samples.Where(s => s.Seconds >= run.BoilsAt[0]).Select(s => s.Doneness[0]).ToList();
                var minutes = MinutesFromBoil(Simmer(pulse, hours));
                var steps = after.Zip(after.Skip(1), (a, b) => b - a).ToList();
                // Never a jump: in a minute at most three times its mean pace.
                Assert.All(steps, s => Assert.InRange(s, -1e-3, Math.Max(3, 300 / minutes)));
                var felt = after.Select(d => Doneness.Felt(d, null)).Distinct().ToList();
                Assert.Equal(felt.Order(), felt);
            }
        });
}
