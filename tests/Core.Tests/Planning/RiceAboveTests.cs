using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Planning.Manners;
using BrightKettle.Core.Units;
using BrightKettle.Sweep;
using Xunit;
using static BrightKettle.Core.Tests.Kitchens;

namespace BrightKettle.Core.Tests.Planning;

/// <summary>Pulses below and rice in its own bowl above, under one lid.</summary>
public sealed class RiceAboveTests(ITestOutputHelper output)
{
    private static readonly Vessel Hill = new("hill", "hill cooker", Length.FromCentimetres(22), Volume.FromMillilitres(6000))
    {
        Cooker = Cooker.Typical(CookerKind.Weight, 6000),
    };

    private static Dish Above(string pulse, double grams, string rice, double riceGrams, SoakChoice soak = SoakChoice.None) =>
        Dish(pulse, grams, rice, riceGrams, soak, Style.Saucy)
            .With(new UnderPressure(Hill))
            .With(new AboveThem(new(RiceBowl.For(Hill), Burner(1700), Above: true))) with
        {
            OtherVessels = [Pot(), Hill],
        };

    [Fact]
    public void Split_pigeon_peas_and_white_rice_are_done_under_one_lid_after_a_few_whistles()
    {
        var plan = Planned(Above("toor_split", 200, "long_white", 250));
        Assert.Null(CookRules.Check(plan.Cook));
        var off = plan.Cook.Actions.Single(a => a.StepId == StepIds.HoldOver);
        Assert.Equal(PotEvent.Whistle, off.Trigger.After);
        Assert.InRange(off.Trigger.Count, 1, 6);
        var run = plan.Forecast.Reference;
        Assert.True(run.Final[0].Doneness >= Doneness.Wanted);
        Assert.InRange(run.Final[1].Doneness, AboveThem.LeastDone, AboveThem.MostDone);
        // Its water is drunk but for a film, and is about what the rice absorbs.
        Assert.InRange(run.Vessels[plan.Cook.Kitchen.IndexOf(RiceBowl.OutId)].LiquorGrams, 0, 25);
        var water = plan.Cook.Actions.Single(a => a.StepId == StepIds.RiceBowl);
        Assert.InRange(((CookAction.AddWater)water).Water.Grams / 250, 1.0, 1.8);
        // Filled before the lid is locked, out before the table.
        Assert.True(run.At(plan.Cook.Actions.ToList().IndexOf(water)).Seconds <= run.At(plan.Cook.StepAt(StepIds.Lock)).Seconds);
        Assert.True(plan.Forecast.Find(StepIds.RiceOut)!.Reference <= plan.Forecast.Find(StepIds.Table)!.Reference);
    }

    [Theory]
    [InlineData(true)]
    [InlineData(false)]
    public void Rice_by_itself_gets_its_own_salt_so_that_all_that_is_weighed_out_goes_in(bool above)
    {
        var dish = Above("toor_split", 200, "long_white", 250);
        var plan = Planned(above ? dish : dish.With(new OpenPot()).With(new InItsOwnPot(new(Pot(18, 3), Burner(1000)))));
        var added = plan.Cook.Actions.OfType<CookAction.AddSalt>().ToList();
        Assert.Equal(2, added.Count);
        Assert.InRange(plan.Amounts.Salt.Grams, added.Sum(a => a.Salt.Grams), added.Sum(a => a.Salt.Grams) + 2);
        Assert.InRange(plan.Amounts.Sheet!.PercentNow, 0.75, 1.0);
        Assert.Equal(added.Sum(a => a.Salt.Grams), Assert.Single(plan.Amounts.Sheet.Sources, s => s.What == "salt").Grams, 1e-9);
        // Where the salt waits for the table, the rice is cooked without.
        Assert.DoesNotContain(Planned(plan.Dish with { Salt = SaltSchool.AtTheTable }).Cook.Actions.OfType<CookAction.AddSalt>(), a =>
            a.In is not null
        );
    }

    [Fact]
    public void Rice_that_does_not_fit_the_pulses_time_is_refused_with_the_reason()
    {
        Assert.Equal(PlanRefusal.RiceAboveSoft, Refused(Above("chickpea", 300, "long_white", 250)).Code);
        Assert.Equal(PlanRefusal.RiceAboveHard, Refused(Above("lentil_red_split", 200, "brown_long", 250)).Code);
        Assert.Equal(PlanRefusal.PotTooSmallForRice, Refused(Above("toor_split", 200, "long_white", 900)).Code);
    }

    [Fact]
    public void Pulses_that_are_boiled_hard_first_stand_alone_until_then()
    {
        var plan = Planned(Above("borlotti", 250, "long_white", 200, SoakChoice.Overnight));
        var run = plan.Forecast.Reference;
        Assert.True(run.At(plan.Cook.StepAt(StepIds.RiceBowl)).Seconds >= run.At(plan.Cook.StepAt(StepIds.HardBoilOver)).Seconds);
        Assert.DoesNotContain(plan.Gates, g => g.Blocks);
    }

    /// <summary>Every third of the ordinary dinners with rice, of all styles, soaked and unsoaked; the count over all is published in docs/ways.md.</summary>
    [Theory]
    [InlineData(true, 65)]
    [InlineData(false, 50)]
    public void Three_in_four_that_are_answered_come_out_four_times_in_five_and_none_keeps_the_rice_waiting(bool soaked, int answered)
    {
        var dinners = Dinners.All(Kitchens.Catalogue).Where(d => d.Rice is not null).Where((_, i) => i % 3 == 1).ToList();
        var plans = dinners
            .AsParallel()
            .AsOrdered()
            .Select(Dinners.Dish)
            .Where(d => !soaked || d.CanSoak)
            .Select(d =>
            {
                var cooker = d.OtherVessels.First(v => v.Cooker?.Kind == CookerKind.Electric);
                var bowl = new AboveThem(new(RiceBowl.For(cooker), d.Burner, Above: true));
                Soaking soak = soaked ? new OvernightSoak() : new Unsoaked();
                return Plans.Plan(d with { How = new(new UnderPressure(cooker), soak, bowl) }, 64, rough: true);
            })
            .OfType<PlanAnswer.Planned>()
            .Select(p => p.Plan)
            .ToList();
        // What is refused raises nothing.
        Assert.True(plans.Count >= answered, $"{plans.Count} answered");
        var good = plans.Count(p => p.ShareTender >= 0.8);
        output.WriteLine($"{good} of {plans.Count}");
        Assert.True(good >= 0.75 * plans.Count, $"{good} of {plans.Count}");
        Assert.All(plans, p =>
            Assert.True(
                p.Forecast.Find(StepIds.Table)!.Late <= p.Dish.ServeAt + Way.RiceWaits,
                $"{p.Dish.Pulse.Id} {p.Dish.Rice!.Id} {p.Dish.Style}"
            )
        );
    }

    [Fact]
    public void What_is_tender_when_the_lid_comes_off_goes_on_at_once_where_waiting_would_spoil_it()
    {
        var dish = Dinners.Dish(
            Dinners.All(Kitchens.Catalogue).Single(d => d is { Pulse.Id: "lentil_green", Rice.Id: "jasmine", Style: Style.Moist })
        );
        var cooker = dish.OtherVessels.First(v => v.Cooker?.Kind == CookerKind.Electric);
        var bowl = new AboveThem(new(RiceBowl.For(cooker), dish.Burner, Above: true));
        var plan = Planned(dish with { How = new(new UnderPressure(cooker), new Unsoaked(), bowl) });
        Assert.Null(plan.Cook.Actions.Single(a => a.StepId == StepIds.Reheat).Trigger.NotBefore);
        Assert.Equal(Flame.Full, ((CookAction.Heat)plan.Cook.Actions.Single(a => a.StepId == StepIds.Ready)).Flame);
        Assert.InRange((plan.Forecast.Find(StepIds.Table)!.Reference - dish.ServeAt).TotalMinutes, -1, 1);
    }

    [Fact]
    public void It_is_among_the_ways_of_a_kitchen_with_a_pressure_cooker_whatever_is_shown_now()
    {
        var dish = Dish("toor_split", 200, "long_white", 250, style: Style.Saucy) with { OtherVessels = [Pot(), Hill] };
        var ways = new WayFinder(Plans, Kitchens.Catalogue).For(dish, 32);
        var above = ways.Single(w => w.RiceVesselId == RiceBowl.Id && w.Soak == SoakChoice.None);
        Assert.NotNull(above.Plan);
        Assert.Equal(Hill.Id, above.CookerId);
        var again = new WayFinder(Plans, Kitchens.Catalogue).For(above.Plan.Dish, 32);
        static IEnumerable<(Method, SoakChoice, bool)> Kinds(IReadOnlyList<WayOffer> list) =>
            list.Select(w => (w.Method, w.Soak, w.RiceVesselId == RiceBowl.Id)).Order();
        Assert.Equal(Kinds(ways), Kinds(again));
        Assert.DoesNotContain(new WayFinder(Plans, Kitchens.Catalogue).For(dish with { Rice = null, RiceDry = Mass.Zero }, 32), w =>
            w.RiceVesselId == RiceBowl.Id
        );
    }
}
