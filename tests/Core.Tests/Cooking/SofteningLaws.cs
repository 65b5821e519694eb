using BrightKettle.Core.Cooking;
using BrightKettle.Core.Units;
using CsCheck;
using NodaTime;
using Xunit;
using static BrightKettle.Core.Tests.Kitchens;

namespace BrightKettle.Core.Tests.Cooking;

public class SofteningLaws
{
    private static readonly Gen<Core.Catalogue.Pulse> AnyPulse = Any.Of<Core.Catalogue.Pulse>([.. Kitchens.Catalogue.Pulses]);

    [Fact]
    public void Hotter_is_never_slower_to_tender() =>
        // Ample liquor; the only difference is the boiling point, 5 °C for each 1500 m.
        Gen.Select(AnyPulse, Gen.Double[0, 2500], Gen.Double[50, 1000])
            .Sample(
                (pulse, metres, higher) =>
                    MinutesFromBoil(Simmer(pulse, altitude: metres, water: 4000))
                    <= MinutesFromBoil(Simmer(pulse, altitude: metres + higher, water: 4000)) + 0.02,
                iter: 60
            );

    [Fact]
    public void A_longer_permitted_soak_is_never_slower_to_tender() =>
        Gen.Select(AnyPulse, Gen.Double[0.5, 11], Gen.Double[0.1, 1])
            .Sample(
                (pulse, hours, more) =>
                    MinutesFromBoil(Simmer(pulse, hours + more, water: 4000)) <= MinutesFromBoil(Simmer(pulse, hours, water: 4000)) + 0.02,
                iter: 60
            );

    [Fact]
    public void Altitude_lies_between_the_factors_for_z_of_20_and_24()
    {
        // Soaked, so that softening and not hydration sets the time. 1500 m is 5.0 °C cooler: 10^(5/24) = 1.62 to 10^(5/20) = 1.78.
        var factor = MinutesFromBoil(Simmer(Pulse("pinto"), 12, altitude: 1500)) / MinutesFromBoil(Simmer(Pulse("pinto"), 12));
        Assert.InRange(factor, 1.6, 1.8);
    }

    [Fact]
    public void Halving_the_step_moves_no_moment_by_more_than_5_s_or_1_percent() =>
        Gen.Select(AnyPulse, Gen.Double[100, 600], Gen.Double[16, 28])
            .Sample(
                (pulse, grams, diameter) =>
                {
                    var cook = Simmer(pulse, grams: grams, pot: Pot(diameter, 8));
                    var whole = Run(cook);
                    var half = Run(cook, step: Duration.FromSeconds(5));
                    var minutes = MinutesFromBoil(cook);
                    return Math.Abs(whole.BoilsAt[0] - half.BoilsAt[0]) <= Math.Max(5, 0.01 * whole.BoilsAt[0])
                        && Math.Abs(minutes - MinutesFromBoil(cook, Duration.FromSeconds(5))) * 60 <= Math.Max(5, 0.01 * minutes * 60);
                },
                iter: 40
            );

    [Fact]
    public void The_felt_state_rises_smoothly_from_a_dry_lentil_to_a_tender_one()
    {
        var run = Run(Simmer(Pulse("lentil_green")), sample: true);
        var boil = run.BoilsAt[0];
        var points = run.Samples.Where(s => s.Seconds >= boil).ToList();
        // Never a jump: at most 8 of 100 in a minute for a seed that takes half an hour.
        Assert.All(points.Zip(points.Skip(1)), p => Assert.InRange(p.Second.Doneness[0] - p.First.Doneness[0], 0, 8));
        var middle = points[points.Count / 2].Doneness[0];
        Assert.InRange(middle, 25, 60);
    }

    [Fact]
    public void A_soaked_bean_is_nearly_there_well_before_it_is_tender()
    {
        var run = Run(Simmer(Pulse("borlotti"), 10), sample: true);
        var boil = run.BoilsAt[0];
        var nearly = run.Samples.First(s => s.Doneness[0] >= 80).Seconds - boil;
        Assert.InRange(nearly / (run.EndSeconds - boil), 0.6, 0.9);
    }

    [Fact]
    public void A_faster_bag_is_tender_sooner_in_proportion()
    {
        var cook = Simmer(Pulse("navy"), 10);
        var pace = Model.Run(cook, new PotTraits([1.5], 1, 1, 1));
        var reference = Run(cook);
        var ratio = (reference.EndSeconds - reference.BoilsAt[0]) / (pace.EndSeconds - pace.BoilsAt[0]);
        Assert.InRange(ratio, 1.35, 1.6);
    }

    [Fact]
    public void Below_80_degrees_a_bean_never_softens_in_an_evening()
    {
        // Off the heat after the boil, in a cool room: what a blanket box without a blanket would do.
        var cook = Simmer(Pulse("kidney_red"), 10);
        var actions = cook.Actions.ToList();
        actions[^1] = new CookAction.Serve(Trigger.Later(Duration.FromHours(5)));
        actions.Insert(actions.Count - 1, new CookAction.Heat(Trigger.Next, Flame.Off));
        Assert.InRange(Run(cook with { Actions = actions }).Final[0].Doneness, 5, 60);
    }
}
