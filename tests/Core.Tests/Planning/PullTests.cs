using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning;
using CsCheck;
using Xunit;
using static BrightKettle.Core.Tests.Kitchens;

namespace BrightKettle.Core.Tests.Planning;

/// <summary>Pulling the moments of a plan, and what that is said to cost.</summary>
public class PullTests
{
    private static readonly Plan Best = Planned(Dish("chickpea", 200, "brown_basmati", 220, SoakChoice.Overnight));

    private static IReadOnlyList<Difference> Costs(Pull pull) => Plans.Pulled(Best, pull).Differences;

    [Fact]
    public void No_pull_changes_nothing() => Assert.Empty(Costs(new Pull()));

    [Fact]
    public void The_same_pull_has_the_same_price_again_and_pulling_back_is_free() =>
        Gen.Select(Gen.Int[-20, 40], Gen.Int[0, 10])
            .Sample(
                (join, seal) =>
                    Costs(new Pull(Join: join, Seal: seal)).SequenceEqual(Costs(new Pull(Join: join, Seal: seal)))
                    && Costs(new Pull()).Count == 0,
                iter: 6
            );

    [Fact]
    public void Pulling_the_whole_of_it_moves_the_clock_and_nothing_else()
    {
        var moved = Plans.Pulled(Best, new Pull(Table: 30));
        Assert.Equal(30, Assert.Single(moved.Differences, d => d.Code == DifferenceCode.Table).Amount);
        Assert.All(moved.Differences, d =>
            Assert.Contains(d.Code, new[] { DifferenceCode.Table, DifferenceCode.Begins, DifferenceCode.Flame, DifferenceCode.Join })
        );
    }

    [Fact]
    public void Rice_that_goes_in_later_comes_to_the_table_later()
    {
        var later = Costs(new Pull(Join: 20));
        Assert.Contains(later, d => d is { Code: DifferenceCode.Table, Worse: true, Amount: >= 15 });
    }

    [Fact]
    public void A_flame_that_goes_out_early_leaves_the_rice_firm_and_says_so()
    {
        var early = Costs(new Pull(FlameOff: -15));
        Assert.Contains(early, d => d is { Code: DifferenceCode.Rice, Worse: true });
        Assert.Contains(early, d => d is { Code: DifferenceCode.Chance, Worse: true });
    }

    [Fact]
    public void Turning_down_late_boils_water_away()
    {
        Assert.Contains(Costs(new Pull(Seal: 15)), d =>
            d
                is { Code: DifferenceCode.Liquor, Worse: true }
                    or { Code: DifferenceCode.Dry, Worse: true }
                    or { Code: DifferenceCode.Rice, Worse: true }
        );
    }

    [Fact]
    public void A_pull_into_the_night_names_what_stands_against_it() =>
        Assert.Equal(PlanRefusal.FlameWhileAsleep, Plans.Pulled(Best, new Pull(Table: 300)).Obstacle?.Code);
}
