using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Units;
using NodaTime;
using Xunit;
using static BrightKettle.Core.Tests.Cooking.Pots;

namespace BrightKettle.Core.Tests.Cooking;

/// <summary>Done and too wet: the lid is off for some minutes before the flame goes out.</summary>
public sealed class LidOffTests
{
    private static Cook Done(double water, LidOff? off) =>
        Cook(
            Kitchens.Pot(),
            [Rice("long_white", 250)],
            [
                Add("r"),
                Water(water, 90),
                Lid(Core.Cooking.Lid.On),
                Heat(Flame.Full),
                Heat(Flame.Gentle, Boils()),
                Heat(Flame.Off, After(14) with { Look = new Look("r", 85, Duration.FromMinutes(2)) { LidOff = off } }),
                Serve(After(10)),
            ]
        );

    private static double Off(PotRun run) => run.At(5).Seconds;

    [Fact]
    public void What_stands_too_wet_steams_off_and_no_longer_than_somebody_waits()
    {
        var wet = Done(700, null).Run();
        var left = wet.At(5).LiquorBefore;
        Assert.InRange(left, 80, 300);
        var dried = Done(700, new(Mass.FromGrams(left - 40), Duration.FromMinutes(20))).Run();
        Assert.InRange(dried.At(5).LiquorBefore, left - 60, left - 40);
        Assert.InRange(Off(dried) - Off(wet), 30, 600);
        // Nobody waits for ever, and a pot that has what it should is left alone.
        var longest = Done(900, new(Mass.Zero, Duration.FromMinutes(3))).Run();
        Assert.Equal(180, Off(longest) - Off(Done(900, null).Run()), 1.0);
        Assert.Equal(Off(wet), Off(Done(700, new(Mass.FromGrams(left + 1), Duration.FromMinutes(20))).Run()), 1e-6);
    }

    [Fact]
    public void Only_a_while_that_somebody_waits_is_valid()
    {
        Assert.Null(CookRules.Check(Done(700, new(Mass.FromGrams(50), Duration.FromMinutes(6)))));
        Assert.Equal("cook.look", CookRules.Check(Done(700, new(Mass.FromGrams(-1), Duration.FromMinutes(6))))!.Code);
        Assert.Equal("cook.look", CookRules.Check(Done(700, new(Mass.FromGrams(50), Duration.FromMinutes(61))))!.Code);
        Assert.Equal("cook.look", CookRules.Check(Done(700, new(Mass.FromGrams(50), Duration.FromSeconds(1))))!.Code);
    }

    /// <summary>A dry dish says so at its last look; a moist one has nothing to lose.</summary>
    [Fact]
    public void A_dry_dish_is_left_open_where_it_swims_and_its_pots_end_drier_for_it()
    {
        Plan Planned(Style style) => Kitchens.Planned(Kitchens.Dish("kidney_red", 200, "long_white", 300, SoakChoice.Overnight, style));
        var dry = Planned(Style.Dry);
        var at = dry.Cook.StepAt(StepIds.HeatOff);
        var look = dry.Cook.Actions[at].Trigger.Look!;
        Assert.NotNull(look.LidOff);
        var moist = Planned(Style.Moist);
        Assert.Null(moist.Cook.Actions[moist.Cook.StepAt(StepIds.HeatOff)].Trigger.Look!.LidOff);

        double Wettest(LidOff? off)
        {
            var cook = dry.Cook with
            {
                Actions =
                [
                    .. dry.Cook.Actions.Select(
                        (a, i) => i == at ? a with { Trigger = a.Trigger with { Look = look with { LidOff = off } } } : a
                    ),
                ],
            };
            var pots = PotTraits.Many(cook, Kitchens.Model.Constants, 64).Select((t, i) => t with { Hand = new Hand(cook.Seed, i) });
            var runs = Kitchens.Model.RunMany([.. pots.Select(t => new PotJob(cook, t))], new RunOptions());
            return runs.Select(r => r.FinalLiquor).Order().ElementAt(57);
        }

        Assert.True(Wettest(look.LidOff) < Wettest(null) - 10, $"{Wettest(look.LidOff)} {Wettest(null)}");
    }
}
