using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Planning.Manners;
using BrightKettle.Core.Safety;
using NodaTime;
using Xunit;
using static BrightKettle.Core.Tests.Kitchens;

namespace BrightKettle.Core.Tests.Planning;

/// <summary>A slow cooker runs overnight, or while everybody is out, with the caution of its manual; nobody is asked to be there.</summary>
public class SlowAloneTests(ITestOutputHelper output)
{
    private static readonly Interval Out = new(
        Home().InstantOf(new LocalDateTime(2026, 11, 25, 8, 30)),
        Home().InstantOf(new LocalDateTime(2026, 11, 25, 17, 30))
    );

    private static Dish Slow(string pulse, SoakChoice soak, LocalDateTime serve, bool leaves) =>
        Dish(pulse, 300, soak: soak, style: Style.Saucy, pot: Pot(28, 8), serve: serve, now: new LocalDateTime(2026, 11, 24, 8, 0))
            .With(new InCrock(Cooking.Pots.Cooker(CookerKind.Slow))) with
        {
            Away = leaves ? [Out] : [],
        };

    /// <summary>Everything that is done beside a bowl is done while somebody is at home and awake, in every pot's range too.</summary>
    private static void NobodyIsMissed(Plan plan)
    {
        foreach (var m in plan.Forecast.Moments.Where(m => m.StepId is not (StepIds.SoakStarts or StepIds.SoakEnds)))
        {
            Assert.All([m.Reference, m.Late], at => Assert.True(plan.Dish.AttendedAt(at), $"{m.StepId} {at}"));
        }
    }

    [Fact]
    public void A_working_day_is_no_hindrance_to_ordinary_pulses()
    {
        string[] pulses = ["chickpea", "pigeon_pea", "split_pea_green", "lentil_brown", "black_eyed_pea", "navy", "kidney_red", "borlotti"];
        var dinners = pulses.Select(p => Plans.Plan(Slow(p, SoakChoice.Overnight, SevenOClock, leaves: true))).ToList();
        foreach (var (pulse, answer) in pulses.Zip(dinners))
        {
            output.WriteLine($"{pulse} {(answer as PlanAnswer.Refused)?.Refusal.Code} {(answer as PlanAnswer.Planned)?.Plan.ShareTender}");
        }

        var planned = dinners.OfType<PlanAnswer.Planned>().Select(a => a.Plan).ToList();
        Assert.True(planned.Count >= 7, $"{planned.Count} of {pulses.Length}");
        Assert.All(planned, NobodyIsMissed);
        Assert.All(planned, p =>
        {
            Assert.Contains(p.Gates, g => g is { Code: FlameGate.ApplianceAlone, Blocks: false });
            Assert.True(p.ShareTender >= 0.85, $"{p.Dish.Pulse.Id} {p.ShareTender}");
            // Lit before the door, looked into after it.
            Assert.True(p.Forecast.Find(StepIds.Ready)!.Reference >= Out.End);
        });
    }

    [Fact]
    public void Chickpeas_for_noon_stand_in_the_crock_overnight_on_low()
    {
        var plan = Planned(Slow("chickpea", SoakChoice.None, new(2026, 11, 25, 12, 0), leaves: false));
        NobodyIsMissed(plan);
        Assert.Contains(plan.Gates, g => g is { Code: FlameGate.ApplianceAlone, Blocks: false });
        Assert.Contains(plan.Cook.Actions, a => a is CookAction.Heat { Flame: Flame.Low });
        Assert.Equal(24, plan.Dish.Household.LocalOf(plan.Forecast.Find(StepIds.Light)!.Reference).Day);
        // A pot over a flame is never left so.
        var pot = Slow("chickpea", SoakChoice.None, new(2026, 11, 25, 8, 0), leaves: false).With(new OpenPot());
        Assert.Equal(PlanRefusal.FlameWhileAsleep, Refused(pot).Code);
    }

    [Fact]
    public void The_lid_is_lifted_a_few_times_only()
    {
        var plan = Planned(Slow("navy", SoakChoice.Overnight, SevenOClock, leaves: false));
        var look = plan.Cook.Actions.Select(a => a.Trigger.Look).First(l => l is not null)!;
        var ready = plan.Forecast.Find(StepIds.Ready)!;
        Assert.InRange((ready.Late - ready.Early) / look.Again, 0, 6);
        Assert.True(look.Again >= Duration.FromMinutes(30));
    }
}
