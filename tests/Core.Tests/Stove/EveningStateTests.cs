using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Planning.Manners;
using BrightKettle.Core.Stove;
using BrightKettle.Core.Units;
using CsCheck;
using NodaTime;
using Xunit;
using static BrightKettle.Core.Tests.Stove.Evenings;

namespace BrightKettle.Core.Tests.Stove;

public sealed class EveningStateTests
{
    private static readonly Plan Chickpeas = Evenings.Chickpeas();

    [Fact]
    public void Every_action_of_a_plan_belongs_to_one_moment_in_its_order()
    {
        var moments = Moment.Of(Chickpeas.Cook.Actions, Chickpeas.Cook.Kitchen, 0);
        Assert.Equal(Chickpeas.Cook.Actions.OrderBy(IndexOf), moments.SelectMany(m => m.Actions).OrderBy(IndexOf));
        Assert.All(moments, m => Assert.All(m.Actions.Skip(1), a => Assert.Equal(Trigger.Next, a.Trigger)));
        Assert.Equal(moments.Count, moments.Select(m => m.Id).Distinct().Count());

        static int IndexOf(CookAction action) => Chickpeas.Cook.Actions.ToList().FindIndex(a => ReferenceEquals(a, action));
    }

    [Fact]
    public void A_dinner_that_follows_its_plan_keeps_its_forecast()
    {
        // Told to the second what the reference pot did, the forecast must stay what it was, wherever one asks.
        foreach (var mark in new[] { StepIds.Light, StepIds.Boils, StepIds.Join, StepIds.Seal })
        {
            var now = At(Chickpeas, mark) + Min(1);
            var evening = Begin(Chickpeas, AsPlanned(Chickpeas, now));
            Assert.Null(EveningForecaster.Check(evening, now));
            var standing = Eye.Forecast(evening, now, new Targets(Style.Moist));
            Assert.InRange((standing.Table!.At - At(Chickpeas, StepIds.Table)).TotalMinutes, -2, 2);
        }
    }

    [Fact]
    public void Nothing_that_is_to_be_done_is_forecast_before_now_and_nothing_done_is_forecast_again() =>
        Gen.Select(Gen.Int[0, 1000], Gen.Int[0, 45])
            .Sample(
                (share, late) =>
                {
                    var begins = Chickpeas.Cook.Starts;
                    var until = begins + ((At(Chickpeas, StepIds.Table) - begins) * (share / 1000.0));
                    var now = until + Min(late);
                    var evening = Begin(Chickpeas, AsPlanned(Chickpeas, until));
                    Assert.Null(EveningForecaster.Check(evening, now));
                    var standing = Eye.Forecast(evening, now, new Targets(Style.Moist), 16);
                    var open = evening.Pending.Select(m => m.Id).ToHashSet();
                    Assert.All(standing.Due, d => Assert.True(d.At >= now - Min(0.2) && d.Early <= d.Late && open.Contains(d.MomentId)));
                    if (standing.Forecast.Reference.StalledAt is null)
                    {
                        Assert.Equal(open.Count, standing.Due.Count);
                        return;
                    }

                    // Rice that nobody saw to and that has boiled dry never gets tender: no table is made up, but what comes next is still asked
                    // for.
                    Assert.True(standing.Forecast.Reference.DrySeconds > 0);
                    Assert.Null(standing.Table);
                    Assert.NotEmpty(standing.Due);
                },
                iter: 40
            );

    [Fact]
    public void An_entry_that_is_taken_back_leaves_no_trace()
    {
        var now = At(Chickpeas, StepIds.Boils) + Min(30);
        var told = AsPlanned(Chickpeas, now);
        var hard = Saw(new Observation.FeltAs(now - Min(1), "pulse", FeltState.Hard));
        var before = Eye.Forecast(Begin(Chickpeas, told), now, new Targets(Style.Moist));
        var after = Eye.Forecast(Begin(Chickpeas, [.. told, hard]), now, new Targets(Style.Moist));
        var undone = Eye.Forecast(
            Begin(Chickpeas, [.. told, hard, .. Array.Empty<Entry>()]).Without(hard.Id),
            now,
            new Targets(Style.Moist)
        );
        Assert.NotEqual(before.Table, after.Table);
        Assert.Equal(before.Table, undone.Table);
        Assert.Equal(before.Traits.Paces["pulse"], undone.Traits.Paces["pulse"]);
    }

    [Fact]
    public void Nearly_when_tender_was_due_moves_the_join_and_the_table_later()
    {
        // White rice joins soft beans; a slow bag is not there when the rice was due.
        var plan = Kitchens.Planned(
            Kitchens.Dish("borlotti", 300, "long_white", 300, serve: new LocalDateTime(2026, 11, 25, 19, 0), pot: Kitchens.Pot(28, 8))
        );
        Assert.Equal(FeltState.Soft, plan.Waits);
        var due = At(plan, StepIds.Join);
        var told = AsPlanned(plan, At(plan, StepIds.Ready) - Min(0.1));
        var nearly = Saw(new Observation.FeltAs(due, "pulse", FeltState.NearlyASpeck));
        var before = Eye.Forecast(Begin(plan, told), At(plan, StepIds.Ready), new Targets(Style.Moist));
        var after = Eye.Forecast(Begin(plan, [.. told, nearly]), due, new Targets(Style.Moist));
        var join = after.Evening.With(StepIds.Join).Id;
        Assert.True(after.Traits.Paces["pulse"].Median < before.Traits.Paces["pulse"].Median);
        Assert.True(after.Due.First(d => d.MomentId == join).At > before.Due.First(d => d.MomentId == join).At + Min(5));
        Assert.True(after.Table!.At > before.Table!.At + Min(5), $"{before.Table.At} {after.Table.At}");
    }

    [Fact]
    public void A_look_that_says_not_yet_is_not_repeated_at_once()
    {
        var due = At(Chickpeas, StepIds.Ready);
        var told = AsPlanned(Chickpeas, due - Min(0.1));
        var evening = Begin(Chickpeas, [.. told, Saw(new Observation.ChalkyOf(due, "pulse", 4, 5))]);
        var again = evening.With(StepIds.Ready).Trigger.Look!.Again;
        var next = Eye.Forecast(evening, due + Min(1), new Targets(Style.Moist))
            .Due.First(d => d.MomentId == evening.With(StepIds.Ready).Id);
        Assert.True(next.At >= due + again);
    }

    [Fact]
    public void A_boil_that_is_told_late_counts_from_its_own_time()
    {
        // The hard boil of a pulse with a lectin: ten minutes from when it was seen, not from when it was told.
        var plan = Kitchens.Planned(
            Kitchens.Dish("borlotti", 300, soak: SoakChoice.Overnight, style: Style.Soup, pot: Kitchens.Pot(28, 8))
        );
        var boiled = At(plan, StepIds.Boils);
        var now = boiled + Min(6);
        var told = AsPlanned(plan, boiled - Min(0.1));
        var evening = Begin(plan, told);
        var entries = told.Append(Saw(new Observation.Seen(boiled, PotEvent.Boils))).Append(Did(evening, StepIds.Boils, boiled));
        var standing = Eye.Forecast(Begin(plan, entries), now, new Targets(Style.Moist));
        var over = standing.Due.First(d => d.MomentId == evening.With(StepIds.HardBoilOver).Id);
        Assert.InRange((over.At - boiled).TotalMinutes, 9.9, 10.1);
    }

    [Fact]
    public void The_rice_is_already_in_passes_over_the_look_that_was_planned()
    {
        var now = At(Chickpeas, StepIds.Boils) + Min(20);
        var told = AsPlanned(Chickpeas, now);
        var evening = Begin(Chickpeas, told);
        var early = Begin(Chickpeas, [.. told, Did(evening, StepIds.Join, now)]);
        Assert.Equal(MomentState.PassedOver, early.Moments.Single(m => m.Moment.Has(StepIds.Ready)).State);
        Assert.Null(EveningForecaster.Check(early, now));
        var standing = Eye.Forecast(early, now + Min(1), new Targets(Style.Moist));
        Assert.NotNull(standing.Table);
        Assert.True(standing.Table.At < At(Chickpeas, StepIds.Table));
        Assert.True(standing.Forecast.ShareTender < 0.5);
    }

    [Fact]
    public void What_was_poured_in_is_what_the_pot_holds()
    {
        var now = At(Chickpeas, StepIds.Light) + Min(2);
        var told = AsPlanned(Chickpeas, At(Chickpeas, StepIds.Light));
        var evening = Begin(Chickpeas, told);
        Entry.Done Lit(double grams) =>
            new(Guid.CreateVersion7(), At(Chickpeas, StepIds.Light), evening.With(StepIds.Light).Id)
            {
                Poured = Volume.FromMillilitres(grams),
            };
        var less = Eye.Forecast(Begin(Chickpeas, [.. told, Lit(1000)]), now, new Targets(Style.Moist));
        var more = Eye.Forecast(Begin(Chickpeas, [.. told, Lit(1500)]), now, new Targets(Style.Moist));
        Assert.InRange(more.Pot!.LiquorMillilitres - less.Pot!.LiquorMillilitres, 490, 520);
        var topped = new Entry.Extra(
            Guid.CreateVersion7(),
            now,
            new CookAction.AddWater(Trigger.Next, Mass.FromGrams(200), Temperature.FromCelsius(100))
        );
        var later = Eye.Forecast(Begin(Chickpeas, [.. told, Lit(1000), topped]), now + Min(1), new Targets(Style.Moist));
        Assert.InRange(later.Pot!.LiquorMillilitres - less.Pot.LiquorMillilitres, 195, 215);
    }

    [Fact]
    public void A_jug_of_boiling_water_weighs_four_per_cent_less_than_a_cold_one()
    {
        var plan = Chickpeas;
        var join = plan.Cook.Actions.First(a => a.StepId == StepIds.SetLiquor);
        Assert.IsType<CookAction.SetLiquor>(join);
        var at = At(plan, StepIds.SetLiquor);
        var told = AsPlanned(plan, at - Min(0.1));
        var moment = Begin(plan, told).With(StepIds.SetLiquor);
        double Liquor(double millilitres)
        {
            var poured = new Entry.Done(Guid.CreateVersion7(), at, moment.Id) { Poured = Volume.FromMillilitres(millilitres) };
            var evening = Begin(plan, [.. told, poured]);
            return evening.AsOf(at + Min(0.1), out _).Actions.OfType<CookAction.AddWater>().Last().Water.Grams;
        }

        Assert.Equal(0.958, Liquor(500) / 500, 0.002);
    }

    [Fact]
    public void What_went_in_with_pieces_is_counted_until_none_is_left()
    {
        var now = At(Chickpeas, StepIds.Boils) + Min(5);
        var told = AsPlanned(Chickpeas, now);
        var leaves = new ExtraIngredient(
            "bay",
            Mass.FromGrams(1),
            Kitchens.Catalogue.Extras.First(x => x.ComesOut),
            Temperature.FromCelsius(19)
        )
        {
            Pieces = 3,
        };
        Entry went = new Entry.WentIn(Guid.CreateVersion7(), now, leaves);
        Entry Out(int pieces, int minute) => new Entry.CameOut(Guid.CreateVersion7(), now + Min(minute), "bay", pieces);
        Assert.Equal(3, Begin(Chickpeas, [.. told, went]).ComesOut().Single().Left);
        Assert.Equal(1, Begin(Chickpeas, [.. told, went, Out(2, 3)]).ComesOut().Single().Left);
        var empty = Begin(Chickpeas, [.. told, went, Out(2, 3), Out(1, 6)]);
        Assert.Equal(0, empty.ComesOut().Single().Left);
        Assert.Contains(empty.Seen, o => o is Observation.CountedOut c && c.At == now + Min(6));
        Assert.Null(EveningForecaster.Check(empty, now + Min(8)));
        Assert.NotNull(Eye.Forecast(empty, now + Min(8), new Targets(Style.Moist)).Table);
    }

    [Fact]
    public void Under_pressure_the_opened_lid_is_believed_over_the_model()
    {
        var cooker = new Vessel("drum", "drum", Length.FromCentimetres(22), Volume.FromMillilitres(6000))
        {
            Cooker = Cooker.Typical(CookerKind.Electric, 6000),
        };
        var plan = Kitchens.Planned(
            Kitchens.Dish("chickpea", 300, style: Style.Saucy, soak: SoakChoice.Overnight).With(new UnderPressure(cooker))
        );
        var opened = At(plan, StepIds.Opened) - Min(4);
        var told = AsPlanned(plan, opened);
        var evening = Begin(plan, told);
        var now = opened + Min(2);
        var standing = Eye.Forecast(Begin(plan, [.. told, Did(evening, StepIds.Opened, opened)]), now, Targets.Lenient);
        Assert.InRange(standing.Pot!.Celsius, 90, 100.5);
        Assert.NotNull(standing.Table);
        // Seen down and not opened yet: it can be told, and opening is due now.
        var seen = Begin(plan, [.. told, Saw(new Observation.Seen(opened, PotEvent.PinDown))]);
        Assert.Null(EveningForecaster.Check(seen, now));
        Assert.InRange(
            (Eye.Forecast(seen, now, Targets.Lenient).Due.First(d => d.MomentId == evening.With(StepIds.Opened).Id).At - now).TotalMinutes,
            -0.1,
            0.1
        );
    }

    [Fact]
    public void What_the_jug_says_is_so_and_teaches_the_pot()
    {
        var now = At(Chickpeas, StepIds.Join);
        var told = AsPlanned(Chickpeas, now - Min(1));
        var before = Eye.Forecast(Begin(Chickpeas, told), now, new Targets(Style.Moist));
        var less = before.Pot!.LiquorMillilitres * 0.96 * 0.8;
        var after = Eye.Forecast(
            Begin(Chickpeas, [.. told, Saw(new Observation.Liquor(now - Min(0.5), null, less, LiquorBy.Jug))]),
            now,
            Targets.Lenient
        );
        Assert.InRange(after.Pot!.LiquorMillilitres - PotGeometry.LiquorMillilitres(less, after.Pot.Celsius), -3, 3);
        Assert.True(after.Traits.Evaporation.Median > before.Traits.Evaporation.Median * 1.03);
        // The join still brings it to what the rice wants, so the table stays.
        Assert.InRange((after.Table!.At - before.Table!.At).TotalMinutes, -2, 4);
        var join = after.Due.First(d => d.MomentId == after.Evening.With(StepIds.Join).Id);
        Assert.True(join.LiquorGrams.Reference < before.Due.First(d => d.MomentId == join.MomentId).LiquorGrams.Reference - 20);
    }

    [Fact]
    public void Minutes_told_out_of_order_do_not_turn_the_dinner_round()
    {
        // The rice was told for a minute before the look that let it in: its flame still comes after.
        var now = At(Chickpeas, StepIds.Join);
        var told = AsPlanned(Chickpeas, At(Chickpeas, StepIds.Ready) - Min(0.1));
        var evening = Begin(Chickpeas, told);
        var both = Begin(Chickpeas, [.. told, Did(evening, StepIds.Ready, now), Did(evening, StepIds.Join, now - Min(1))]);
        Assert.Equal(Flame.Full, Conditions.Of(both).Flame);
        Assert.NotNull(Eye.Forecast(both, now + Min(1), new Targets(Style.Moist)).Table);
    }

    [Fact]
    public void A_boil_that_was_broken_off_before_its_time_is_none_but_the_short_one_of_a_quick_soak_is_as_meant()
    {
        var boiled = At(Chickpeas, StepIds.Boils);
        List<Entry> lit = [.. AsPlanned(Chickpeas, boiled - Min(0.1)), Saw(new Observation.Seen(boiled, PotEvent.Boils))];
        Entry Heat(double minute, Flame flame) =>
            new Entry.Extra(Guid.CreateVersion7(), boiled + Min(minute), new CookAction.Heat(Trigger.Next, flame));
        int Boils(params Entry[] more) =>
            Begin(Chickpeas, [.. lit, .. more]).WithoutBrokenBoils(Min(10)).OfType<Observation.Seen>().Count();
        Assert.Equal(1, Boils());
        Assert.Equal(1, Boils(Heat(2, Flame.Rolling)));
        Assert.Equal(0, Boils(Heat(4, Flame.Off)));
        Assert.Equal(0, Boils(Heat(4, Flame.Gentle)));
        Assert.Equal(1, Boils(Heat(10, Flame.Lively)));
        Assert.Equal(1, Boils(Heat(4, Flame.Off), Saw(new Observation.Seen(boiled + Min(12), PotEvent.Boils))));

        var quick = Kitchens.Planned(Kitchens.Dish("borlotti", 300, soak: SoakChoice.Quick, style: Style.Soup, pot: Kitchens.Pot(28, 8)));
        var soaked = At(quick, StepIds.QuickSoak) + Min(1);
        var evening = Begin(
            quick,
            [.. AsPlanned(quick, soaked), Saw(new Observation.Seen(At(quick, StepIds.QuickSoak) - Min(2.5), PotEvent.Boils))]
        );
        Assert.Single(evening.WithoutBrokenBoils(Min(10)).OfType<Observation.Seen>());
    }

    [Fact]
    public void A_boil_that_nobody_told_is_still_asked_for_when_the_pot_has_boiled_dry()
    {
        var join = At(Chickpeas, StepIds.Join);
        var told = AsPlanned(Chickpeas, join + Min(1));
        foreach (var late in new[] { 5, 16, 40 })
        {
            var now = join + Min(late);
            var standing = Eye.Forecast(Begin(Chickpeas, told), now, new Targets(Style.Moist));
            var seal = standing.Due.Single(d => d.MomentId == standing.Evening.With(StepIds.Seal).Id);
            Assert.InRange((seal.At - now).TotalMinutes, -0.1, 0.1);
            // As it is, rice on a dry base never gets there; hard and dry has an answer that does.
            Assert.Equal(late < 10, standing.Table is not null);
            var rescue = new Rescue(Kitchens.Model, Eye).For(standing.Evening, now, Trouble.HardDry, Chickpeas.Dish)[0];
            Assert.NotNull(rescue.After.Table);
        }
    }
}
