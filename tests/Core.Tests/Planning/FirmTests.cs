using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Planning.Manners;
using BrightKettle.Core.Safety;
using Xunit;
using static BrightKettle.Core.Tests.Kitchens;

namespace BrightKettle.Core.Tests.Planning;

/// <summary>Pulses for a salad, none chosen to fit: a bite, no chalk.</summary>
public class FirmTests
{
    /// <summary>So many pots that the chance is known to two or three points.</summary>
    private const int Pots = 512;

    private static Plan Judged(Dish dish) => Assert.IsType<PlanAnswer.Planned>(Plans.Plan(dish, Pots)).Plan;

    private static Dish Firm(string pulse, Style style = Style.Dry) =>
        Dish(pulse, 250, soak: Pulse(pulse).SoakHours.Low >= 4 ? SoakChoice.Overnight : SoakChoice.None, style: style, pot: Pot(24, 6)) with
        {
            PulseTarget = PulseTarget.Firm,
        };

    [Theory]
    [InlineData("lentil_green")]
    [InlineData("lentil_brown")]
    [InlineData("lentil_french")]
    [InlineData("lentil_black")]
    [InlineData("cannellini")]
    [InlineData("black")]
    [InlineData("mung_whole")]
    [InlineData("black_eyed_pea")]
    [InlineData("navy")]
    [InlineData("adzuki")]
    public void Firm_pulses_are_drained_when_they_are_found_so_and_come_out_nine_times_in_ten(string pulse)
    {
        var plan = Judged(Firm(pulse));
        Assert.InRange(plan.ShareTender, 0.9, 1);
        Assert.True(plan.DrainsAtLook);
        var drain = plan.Cook.Actions.ToList().FindIndex(a => a is CookAction.Drain { IngredientId: null });
        Assert.True(plan.Cook.Actions[drain - 1] is CookAction.Heat { Trigger.Look: not null });
        // Nothing goes back on the flame, and nothing stands for longer than the gates let it.
        Assert.DoesNotContain(plan.Cook.Actions.Skip(drain), a => a is CookAction.Heat { Flame: not Flame.Off });
        Assert.DoesNotContain(plan.Gates, f => f.Blocks);
        Assert.NotNull(plan.Forecast.Find(StepIds.Table));
    }

    /// <summary>A fast bag of chickpeas would stand drained for more than an hour: they wait in their hot water.</summary>
    [Fact]
    public void Firm_chickpeas_wait_hot_and_come_out_nine_times_in_ten()
    {
        var plan = Judged(Firm("chickpea"));
        Assert.False(plan.DrainsAtLook);
        Assert.InRange(plan.ShareTender, 0.9, 1);
        Assert.DoesNotContain(plan.Gates, f => f.Blocks);
    }

    /// <summary>Firm split peas are right for no longer than a hand may be off (90 to 108): what the looks give is told, not polished.</summary>
    [Fact]
    public void Firm_split_peas_are_the_hardest_of_them()
    {
        var plan = Judged(Firm("split_pea_yellow"));
        Assert.True(plan.DrainsAtLook);
        Assert.InRange(plan.ShareTender, 0.8, 1);
    }

    [Fact]
    public void What_is_to_be_saucy_or_soft_stays_in_its_liquor()
    {
        Assert.False(Planned(Firm("lentil_brown", Style.Saucy)).DrainsAtLook);
        Assert.False(Planned(Firm("lentil_brown") with { PulseTarget = PulseTarget.Whole }).DrainsAtLook);
        // Dry seed with a lectin keeps boiling until it is soft.
        Assert.False(Plans.Plan(Firm("kidney_red").With(Soaking.Of(SoakChoice.None))) is PlanAnswer.Planned { Plan.DrainsAtLook: true });
    }
}
