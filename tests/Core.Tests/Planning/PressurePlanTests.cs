using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Planning.Manners;
using BrightKettle.Core.Units;
using CsCheck;
using Xunit;
using static BrightKettle.Core.Tests.Kitchens;

namespace BrightKettle.Core.Tests.Planning;

/// <summary>How long pressure is held.</summary>
public sealed class PressurePlanTests
{
    [Fact]
    public void The_reference_bag_is_soft_when_the_lid_comes_off_whatever_cooker_and_pot_are_at_hand() =>
        Gen.Select(
                Any.Of("chickpea", "borlotti", "toor_split", "lentil_french", "split_pea_yellow"),
                Any.Of(CookerKind.Electric, CookerKind.Spring, CookerKind.Weight),
                Any.Of(20.0, 22, 28),
                Gen.Int[150, 350],
                Gen.Bool
            )
            .Sample(
                (pulse, kind, width, grams, soaked) =>
                {
                    var cooker = new Vessel("hill", "hill cooker", Length.FromCentimetres(22), Volume.FromMillilitres(7000))
                    {
                        Cooker = Cooker.Typical(kind, 7000),
                    };
                    var pot = Pot(width, 6);
                    var answer = Plans.Plan(
                        Dish(pulse, grams, soak: soaked ? SoakChoice.Overnight : SoakChoice.None, style: Style.Saucy)
                            .With(new UnderPressure(cooker)) with
                        {
                            Vessel = pot,
                            OtherVessels = [pot, cooker],
                        },
                        10,
                        rough: true
                    );
                    if (answer is not PlanAnswer.Planned { Plan: var plan })
                    {
                        return;
                    }

                    var run = plan.Forecast.Reference;
                    var (opened, ready) = (run.At(plan.Cook.StepAt(StepIds.Opened)), run.At(plan.Cook.StepAt(StepIds.Ready)));
                    // Water is rounded to ten grams after the hold is found.
                    Assert.True(
                        opened.Doneness[0] >= Doneness.Tender - 1.5,
                        $"{pulse} {kind} {width} {grams} {soaked}: {opened.Doneness[0]}"
                    );
                    Assert.InRange(ready.Seconds - opened.Seconds, 0, 11 * 60);
                },
                iter: 60
            );

    /// <summary>The hard bag of twenty need not be waited for: it is locked again. So the plan begins later with the same chance.</summary>
    [Fact]
    public void A_long_hold_is_followed_by_a_look_that_may_lock_it_again_and_a_short_one_by_a_simmer()
    {
        var drum = new Vessel("drum", "drum", Length.FromCentimetres(22), Volume.FromMillilitres(6000))
        {
            Cooker = Cooker.Typical(CookerKind.Electric, 6000),
        };
        Plan Planned(SoakChoice soak) =>
            Kitchens.Planned(
                Dish("black", 200, "basmati_unsoaked", 300, soak, Style.Saucy).With(new UnderPressure(drum)) with
                {
                    OtherVessels = [drum],
                }
            );
        Look After(Plan plan) => plan.Cook.Actions[plan.Cook.StepAt(StepIds.Ready)].Trigger.Look!;
        var (dry, soaked) = (Planned(SoakChoice.None), Planned(SoakChoice.Overnight));
        Assert.Null(After(soaked).NotYet);
        Assert.InRange(After(dry).NotYet!.LockAgain!.Held.TotalMinutes, 3, 20);
        // Of the many pots some are locked twice, and nobody is served late for it.
        Assert.True(dry.ShareTender >= 0.9, $"{dry.ShareTender}");
        var light = dry.Forecast.Find(StepIds.Lock)!.Reference;
        Assert.InRange((dry.Dish.ServeAt - light).TotalMinutes, 60, 105);
        Assert.True(dry.Forecast.Find(StepIds.Table)!.Late - dry.Dish.ServeAt <= NodaTime.Duration.FromMinutes(15));
    }
}
