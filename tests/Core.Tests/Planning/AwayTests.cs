using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Safety;
using NodaTime;
using Xunit;
using static BrightKettle.Core.Tests.Kitchens;

namespace BrightKettle.Core.Tests.Planning;

/// <summary>Leaving the house in the middle of it.</summary>
public class AwayTests
{
    private static Dish Chickpeas => Dish("chickpea", 200, "long_white", 300, SoakChoice.Overnight);

    private static Interval Away(int hour, int minute, double hours)
    {
        var from = Home().InstantOf(new LocalDateTime(2026, 11, 25, hour, minute));
        return new(from, from + Duration.FromHours(hours));
    }

    [Fact]
    public void Beans_are_tender_before_the_house_is_left_and_wait_without_a_flame()
    {
        var away = Away(17, 0, 1);
        var plan = Planned(Chickpeas with { Away = [away] });
        Assert.True(plan.Forecast.Find(StepIds.Ready)!.Reference <= away.Start);
        Assert.True(plan.Forecast.Find(StepIds.Join)!.Reference >= away.End);
        Assert.DoesNotContain(plan.Gates, g => g.Code == FlameGate.Unattended);
        // Hot until the door, and again from coming home: nothing stands lukewarm for an hour.
        Assert.Empty(HoldGate.Judge(new(plan.Cook), plan.Forecast.Reference, HoldGate.LongestPlanned));
        Assert.True(plan.Forecast.Find(StepIds.OffToGo)!.Reference < away.Start);
        Assert.True(plan.Forecast.Find(StepIds.BackHot)!.Reference >= away.End);
        Assert.All(FlameGate.Flames(new(plan.Cook), plan.Forecast.Reference), f => Assert.False(f.From < away.End && f.To > away.Start));
    }

    [Fact]
    public void Being_out_when_the_rice_goes_in_is_refused_with_a_later_table()
    {
        var refusal = Refused(Chickpeas with { Away = [Away(18, 0, 0.9)] });
        Assert.Contains(refusal.Code, new[] { PlanRefusal.AwayFromStove, PlanRefusal.FlameWhileAway });
        Assert.Contains(refusal.Alternatives, a => a.Kind == "serve_at" && a.ServeAt > Chickpeas.ServeAt);
    }
}
