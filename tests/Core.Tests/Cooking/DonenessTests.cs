using BrightKettle.Core.Cooking;
using CsCheck;
using Xunit;
using static BrightKettle.Core.Tests.Kitchens;

namespace BrightKettle.Core.Tests.Cooking;

public class DonenessTests
{
    [Theory]
    [InlineData(0, FeltState.Hard)]
    [InlineData(50, FeltState.ChalkyMiddle)]
    [InlineData(80, FeltState.NearlyASpeck)]
    [InlineData(92, FeltState.BiteNoChalk)]
    [InlineData(100, FeltState.Soft)]
    [InlineData(140, FeltState.FallingApart)]
    public void A_hand_names_the_state(double doneness, FeltState felt) => Assert.Equal(felt, Doneness.Felt(doneness, 130));

    [Fact]
    public void One_that_keeps_its_shape_never_falls_apart() => Assert.Equal(FeltState.Soft, Doneness.Felt(400, null));

    [Fact]
    public void Each_anchor_is_felt_as_its_own_state() =>
        Assert.All(Enum.GetValues<FeltState>(), s => Assert.Equal(s, Doneness.Felt(Doneness.Anchor(s), 165)));

    [Fact]
    public void Fewer_of_five_are_chalky_the_further_they_are() =>
        Gen.Select(Gen.Double[1, 150], Gen.Double[0.1, 40])
            .Sample((d, more) => Doneness.ChalkyOfFive(d + more, 0.16) <= Doneness.ChalkyOfFive(d, 0.16) + 1e-9);

    [Fact]
    public void Two_of_five_still_chalky_is_short_of_nearly()
    {
        // "Nearly" is 80: by then fewer than one in five shows chalk, so two of five means no rice yet.
        Assert.True(Doneness.ChalkyOfFive(Doneness.Anchor(FeltState.NearlyASpeck), 0.16) < 1);
        Assert.InRange(Doneness.ChalkyOfFive(68, 0.16), 1.5, 2.5);
    }

    [Fact]
    public void A_split_melts_where_its_table_says()
    {
        // Red split lentil, unsoaked: tender 9 to 15 min (middle 11.6), collapsed 18 to 30 (23.2): twice as long, about twice as done.
        var lentil = Pulse("lentil_red_split");
        Assert.InRange(lentil.FallsApartAt!.Value, 165, 240);
        FeltState After(double minutes) =>
            Doneness.Felt(
                Pots.Cook(
                        Pot(24, 6),
                        [Pots.Pulse(lentil.Id, 250)],
                        [
                            Pots.Add("p"),
                            Pots.Water(2500),
                            Pots.Lid(Lid.On),
                            Pots.Heat(Flame.Full),
                            Pots.Heat(Flame.Lively, Pots.Boils()),
                            Pots.Serve(Pots.After(minutes)),
                        ]
                    )
                    .Run()
                    .Final[0]
                    .Doneness,
                lentil.FallsApartAt
            );
        Assert.NotEqual(FeltState.FallingApart, After(17));
        Assert.Equal(FeltState.FallingApart, After(31));
        Assert.Null(Pulse("chickpea").FallsApartAt);
    }
}
