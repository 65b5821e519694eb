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
}
