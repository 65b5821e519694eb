using BrightKettle.Core.Cooking;
using BrightKettle.Core.Learning.House;
using CsCheck;
using Xunit;

namespace BrightKettle.Core.Tests.Learning;

/// <summary>What dinners together say of bags, by laws.</summary>
public class HousePacesTests
{
    private const double Lot = 0.28;

    private static readonly Gen<BagEvidence> AnyDinner =
        from dinner in Gen.Int[0, 999]
        from pulse in Gen.Int[0, 2]
        from bag in Gen.Int[0, 2]
        from log in Gen.Double[-0.7, 0.7]
        from spread in Gen.Double[0.03, 0.4]
        select new BagEvidence($"d{dinner}", $"p{pulse}b{bag}", $"p{pulse}", log, spread);

    private static readonly Gen<List<BagEvidence>> AnyDinners = AnyDinner
        .List[1, 12]
        .Select(all => all.DistinctBy(d => (d.DinnerId, d.BagId)).ToList());

    private static HousePaces Of(params IEnumerable<BagEvidence> dinners) => new(dinners, Lot);

    [Fact]
    public void With_nothing_cooked_a_bag_is_an_unknown_one()
    {
        var known = Of().Of("bag", "chickpea");
        Assert.Equal((1.0, 0, 0), (known.Pace.Median, known.Dinners, known.OtherBags));
        Assert.Equal(Lot, known.Pace.Spread, 1e-9);
    }

    [Fact]
    public void One_dinner_of_one_bag_is_weighed_by_hand()
    {
        // 1 / (0.1² + 0.05²) of looks against 1 / 0.28² of what bags are.
        var known = Of(new BagEvidence("d", "bag", "chickpea", 0.3, 0.1)).Of("bag", "chickpea").Pace;
        Assert.Equal(0.3 * (1 / 0.0125) / ((1 / 0.0125) + (1 / 0.0784)), Math.Log(known.Median), 1e-9);
        Assert.Equal(Math.Sqrt((1 / ((1 / 0.0125) + (1 / 0.0784))) + (0.05 * 0.05)), known.Spread, 1e-9);
    }

    [Fact]
    public void The_order_of_dinners_says_nothing()
    {
        AnyDinners.Sample(dinners =>
        {
            var (there, back) = (Of(dinners), Of(Enumerable.Reverse(dinners)));
            return dinners.All(d => Math.Abs(there.Of(d.BagId, d.PulseId).Pace.Median - back.Of(d.BagId, d.PulseId).Pace.Median) < 1e-12);
        });
    }

    [Fact]
    public void Nothing_that_was_learned_makes_a_bag_less_known_and_a_bag_is_known_at_least_as_well_as_a_new_one_of_its_pulse()
    {
        AnyDinners.Sample(dinners =>
        {
            var house = Of(dinners);
            return dinners.All(d =>
                house.Of(d.BagId, d.PulseId).Pace.Spread <= house.Of(null, d.PulseId).Pace.Spread + 1e-9
                && house.Of(null, d.PulseId).Pace.Spread <= house.Of(null, "never cooked").Pace.Spread + 1e-9
                && house.Of(null, "never cooked").Pace.Spread <= Lot + 1e-9
            );
        });
    }

    [Fact]
    public void What_is_known_lies_between_the_reference_and_the_looks()
    {
        AnyDinners.Sample(dinners =>
        {
            var (low, high) = (Math.Min(0, dinners.Min(d => d.Log)), Math.Max(0, dinners.Max(d => d.Log)));
            return dinners.All(d =>
                Math.Log(Of(dinners).Of(d.BagId, d.PulseId).Pace.Median) is var at && at >= low - 1e-9 && at <= high + 1e-9
            );
        });
    }

    [Fact]
    public void A_slow_bag_is_known_by_its_second_dinner_and_one_odd_pot_moves_it_by_less_than_a_tenth()
    {
        BagEvidence Slow(string dinner, double log = -0.35) => new(dinner, "slow", "chickpea", log, 0.1);
        var twice = Of(Slow("a"), Slow("b")).Of("slow", "chickpea");
        Assert.InRange(twice.Pace.Median, 0.70, 0.75);
        Assert.True(twice.Pace.Spread < Lot / 2.5, $"{twice.Pace.Spread}");
        var odd = Of(Slow("a"), Slow("b"), Slow("c"), Slow("d"), Slow("e", 0.6)).Of("slow", "chickpea");
        Assert.InRange(odd.Pace.Median / Of(Slow("a"), Slow("b"), Slow("c"), Slow("d")).Of("slow", "chickpea").Pace.Median, 1, 1.1);
    }

    [Fact]
    public void Bags_that_ran_slow_make_the_next_bag_of_that_pulse_likelier_slow_and_hardly_another_pulse()
    {
        var house = Of(Enumerable.Range(0, 3).Select(i => new BagEvidence($"d{i}", $"bag{i}", "chickpea", -0.3, 0.1)));
        var (next, other) = (house.Of("new", "chickpea"), house.Of("new", "pinto"));
        Assert.Equal((0, 3), (next.Dinners, next.OtherBags));
        Assert.InRange(next.Pace.Median, 0.75, 0.85);
        Assert.InRange(other.Pace.Median, 0.84, 0.95);
        Assert.True(next.Pace.Spread < other.Pace.Spread);
    }

    [Fact]
    public void What_looks_say_is_taken_out_of_what_is_known_with_them()
    {
        Gen.Select(Gen.Double[0.6, 1.6], Gen.Double[0.03, 0.2], Gen.Double[0.7, 1.4])
            .Sample(
                (looks, spread, middle) =>
                {
                    var before = new Pace(middle, Lot);
                    var (p, q) = (1 / (spread * spread), 1 / (Lot * Lot));
                    var known = new Pace(Math.Exp(((p * Math.Log(looks)) + (q * Math.Log(middle))) / (p + q)), 1 / Math.Sqrt(p + q));
                    var found = BagEvidence.Of("d", "b", "p", known, before)!;
                    return Math.Abs(found.Log - Math.Log(looks)) < 1e-9 && Math.Abs(found.Spread - spread) < 1e-9;
                }
            );
        Assert.Null(BagEvidence.Of("d", "b", "p", new(1.01, Lot * 0.99), new(1, Lot)));
    }
}
