using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Planning.Manners;
using BrightKettle.Core.Stove;
using BrightKettle.Core.Units;
using NodaTime;
using Xunit;
using static BrightKettle.Core.Tests.Stove.Evenings;

namespace BrightKettle.Core.Tests.Stove;

public sealed class VisitTests
{
    private static readonly Plan Chickpeas = Evenings.Chickpeas();
    private static readonly Plan Splits = Kitchens.Planned(
        Kitchens.Dish("split_pea_yellow", 300, style: Style.Saucy, pot: Kitchens.Pot(28, 8))
    );

    private static List<Visit> At(Plan plan, Instant now, bool gas = false, params Entry[] more)
    {
        var evening = Begin(plan, [.. AsPlanned(plan, now), .. more]);
        return
        [
            .. Visits.Of(Eye.Forecast(evening, now, plan.Dish.Targets, 16), gas ? new HashSet<string> { plan.Cook.Kitchen.Vessel.Id } : []),
        ];
    }

    private static Entry Checked(Instant at, string what) => Saw(new Observation.Checked(at, what, null));

    [Fact]
    public void The_first_boil_is_stood_by_until_it_has_settled()
    {
        var boiled = Evenings.At(Chickpeas, StepIds.Boils);
        Assert.Contains(At(Chickpeas, boiled + Min(1)), v => v.Code == Visits.BoilOver);
        Assert.DoesNotContain(At(Chickpeas, boiled + Min(1), false, Checked(boiled + Min(0.5), Visits.BoilOver)), v =>
            v.Code == Visits.BoilOver
        );
        Assert.DoesNotContain(At(Chickpeas, boiled + Min(8)), v => v.Code == Visits.BoilOver);
    }

    [Fact]
    public void A_low_flame_of_gas_is_looked_at_once_and_an_electric_ring_never()
    {
        var sealedAt = Evenings.At(Chickpeas, StepIds.Seal);
        var visit = At(Chickpeas, sealedAt + Min(1), gas: true).Single(v => v.Code == Visits.StillLit);
        Assert.InRange((visit.At - sealedAt).TotalMinutes, 2.9, 3.1);
        Assert.DoesNotContain(At(Chickpeas, sealedAt + Min(1)), v => v.Code == Visits.StillLit);
        Assert.DoesNotContain(At(Chickpeas, sealedAt + Min(6), gas: true, Checked(sealedAt + Min(5), Visits.StillLit)), v =>
            v.Code == Visits.StillLit
        );
    }

    [Fact]
    public void The_level_is_asked_for_in_a_long_simmer_and_again_after_it_was_told()
    {
        var boiled = Evenings.At(Chickpeas, StepIds.Boils);
        var visit = At(Chickpeas, boiled + Min(10)).Single(v => v.Code == Visits.Level);
        Assert.InRange((visit.At - boiled).TotalMinutes, 24.9, 25.1);
        var told = boiled + Min(9);
        var next = At(Chickpeas, boiled + Min(10), false, Saw(new Observation.OverBed(told, null, 1))).Single(v => v.Code == Visits.Level);
        Assert.InRange((next.At - told).TotalMinutes, 24.9, 25.1);
        // Nobody lifts the lid of rice for it.
        Assert.DoesNotContain(At(Chickpeas, Evenings.At(Chickpeas, StepIds.Seal) + Min(5)), v => v.Code == Visits.Level);
    }

    [Fact]
    public void A_pot_of_splits_is_stirred_from_the_bottom_once_it_thickens()
    {
        var boiled = Evenings.At(Splits, StepIds.Boils);
        Assert.DoesNotContain(At(Splits, boiled + Min(3)), v => v.Code == Visits.Sticking);
        Assert.Contains(At(Splits, Evenings.At(Splits, StepIds.Ready) - Min(2)), v => v.Code == Visits.Sticking);
        Assert.DoesNotContain(At(Chickpeas, Evenings.At(Chickpeas, StepIds.Ready) - Min(2)), v => v.Code == Visits.Sticking);
    }

    [Fact]
    public void A_whole_chilli_is_asked_for_before_it_bursts_unless_it_is_out_or_planned_to_come_out()
    {
        var lit = Evenings.At(Chickpeas, StepIds.Light);
        var chilli = new ExtraIngredient(
            "chilli_here",
            Mass.FromGrams(10),
            Kitchens.Catalogue.FindExtra("whole_chilli")!,
            Temperature.FromCelsius(20)
        )
        {
            Pieces = 1,
        };
        var into = new Entry.WentIn(Guid.CreateVersion7(), lit + Min(5), chilli);
        var visit = At(Chickpeas, lit + Min(8), false, into).Single(v => v.Code == Visits.Chilli);
        Assert.Equal(("chilli_here", lit + Min(25)), (visit.IngredientId, visit.At));
        var leaf = new Entry.WentIn(Guid.CreateVersion7(), lit + Min(5), chilli with { Extra = Kitchens.Catalogue.FindExtra("leaf")! });
        Assert.DoesNotContain(At(Chickpeas, lit + Min(8), false, leaf), v => v.Code == Visits.Chilli);
        Assert.DoesNotContain(
            At(Chickpeas, lit + Min(8), false, into, new Entry.CameOut(Guid.CreateVersion7(), lit + Min(7), "chilli_here", 1)),
            v => v.Code == Visits.Chilli
        );
    }

    [Fact]
    public void A_locked_cooker_is_listened_for_and_only_while_nothing_was_heard()
    {
        var plan = Kitchens.Planned(
            Kitchens
                .Dish("chickpea", 300, style: Style.Saucy)
                .With(
                    new UnderPressure(
                        new Vessel("drum", "drum", Length.FromCentimetres(22), Volume.FromMillilitres(6000))
                        {
                            Cooker = Cooker.WithSpring(6000),
                        }
                    )
                )
        );
        var lit = Evenings.At(plan, StepIds.Light);
        var visit = At(plan, lit + Min(1)).Single(v => v.Code == Visits.Silent);
        Assert.InRange((visit.At - lit).TotalMinutes, 14.9, 15.1);
        Assert.InRange(
            (
                At(plan, lit + Min(8), false, Checked(lit + Min(7), Visits.Silent)).Single(v => v.Code == Visits.Silent).At - lit
            ).TotalMinutes,
            21.9,
            22.1
        );
        Assert.DoesNotContain(At(plan, Evenings.At(plan, StepIds.HoldOver) - Min(2)), v => v.Code == Visits.Silent);
    }

    [Fact]
    public void Whistles_are_counted_until_the_last_one_that_is_wanted()
    {
        // A weight: the fourth whistle turns the heat off.
        var kitchen = new CookKitchen(
            new("drum", "drum", Length.FromCentimetres(22), Volume.FromMillilitres(5000)) { Cooker = Cooker.WithWeight(5000) },
            Kitchens.Burner(),
            Altitude.SeaLevel,
            Temperature.FromCelsius(20)
        );
        var lit = Instant.FromUtc(2026, 11, 25, 17, 0);
        var cook = new Cook(
            kitchen,
            [new PulseIngredient("pulse", Mass.FromGrams(200), Kitchens.Pulse("split_pea_yellow"), new Pace(1, 0.2))],
            [
                new CookAction.Add(Trigger.At(lit), "pulse"),
                new CookAction.AddWater(Trigger.Next, Mass.FromGrams(900), Temperature.FromCelsius(20)),
                new CookAction.Pressurise(Trigger.Next),
                new CookAction.Heat(Trigger.Next, Flame.Full),
                new CookAction.Heat(Trigger.Once(PotEvent.Whistle) with { Count = 4 }, Flame.Off),
                new CookAction.Release(Trigger.Next, ReleaseKind.Natural),
                new CookAction.Serve(Trigger.Once(PotEvent.PinDown)),
            ],
            lit,
            3
        );
        Assert.Null(CookRules.Check(cook));
        var start = new EveningState(cook, []);
        var lock_ = new Entry.Done(Guid.CreateVersion7(), lit, start.Moments[0].Moment.Id);
        Entry Whistle(double minute) => Saw(new Observation.Seen(lit + Min(minute), PotEvent.Whistle));
        var three = new EveningState(cook, [lock_, Whistle(9), Whistle(11), Whistle(13)]);
        Assert.Equal(3, three.Whistles("drum"));
        var off = three.Moments[1].Moment;
        Assert.True(Eye.Forecast(three, lit + Min(13.5), Targets.Lenient).Due.First(d => d.MomentId == off.Id).At >= lit + Min(13.5));
        var four = new EveningState(cook, [lock_, Whistle(9), Whistle(11), Whistle(13), Whistle(15)]);
        // Heard and not yet turned off: it is due now, not with the model's own fourth.
        Assert.InRange(
            (Eye.Forecast(four, lit + Min(15), Targets.Lenient).Due.First(d => d.MomentId == off.Id).At - lit).TotalMinutes,
            14.9,
            15.1
        );
    }
}
