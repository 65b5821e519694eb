using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using Xunit;
using static BrightKettle.Core.Tests.Kitchens;
using Pots = BrightKettle.Core.Tests.Cooking.Pots;

namespace BrightKettle.Core.Tests.Safety;

/// <summary>However well a bag is known, no gate opens for it.</summary>
public class LearnedGateTests
{
    private static readonly Pace[] Known = [new(1, 0.28), new(1.6, 0.05), new(0.7, 0.05)];

    public static TheoryData<string, Method, CookerKind> Refused =>
        new()
        {
            { "kidney_red", Method.SlowCooker, CookerKind.Slow },
            { "lima_large", Method.Pressure, CookerKind.Electric },
            { "black", Method.SlowCooker, CookerKind.Slow },
        };

    [Theory]
    [MemberData(nameof(Refused))]
    public void What_is_refused_of_an_unknown_bag_is_refused_for_the_same_reason_of_a_known_one(
        string pulse,
        Method method,
        CookerKind cooker
    )
    {
        var found = Known
            .Select(pace =>
                Plans.Plan(
                    Dish(pulse, 240, null, 0, SoakChoice.None, Style.Saucy).With(Cooks(method, Pots.Cooker(cooker, 6))) with
                    {
                        Pace = pace,
                    }
                )
                    is PlanAnswer.Refused { Refusal: var refusal }
                    ? (refusal.Code, refusal.Gate)
                    : ("planned", null)
            )
            .ToList();
        Assert.Single(found.Distinct());
        Assert.Equal(PlanRefusal.GateBlocks, found[0].Item1);
    }
}
