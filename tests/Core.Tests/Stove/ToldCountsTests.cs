using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Stove;
using BrightKettle.Core.Units;
using NodaTime;
using Xunit;
using static BrightKettle.Core.Tests.Stove.Evenings;

namespace BrightKettle.Core.Tests.Stove;

/// <summary>What was told counts for what comes.</summary>
public sealed class ToldCountsTests
{
    private static DishExtra Extra(string id, double grams, ExtraTime time, int pieces = 0) =>
        new(Kitchens.Catalogue.FindExtra(id)!, Mass.FromGrams(grams), time, pieces);

    private static readonly Plan Coconut = Kitchens.Planned(
        Kitchens.Dish("navy", 250, "long_white", 250, SoakChoice.Overnight, Style.Moist) with
        {
            Extras = [Extra("coconut_milk", 200, ExtraTime.Join), Extra("leaf", 1, ExtraTime.Join, 2)],
        }
    );

    private static Entry.WentIn WentIn(string extra, double grams, Instant at, int pieces = 0) =>
        new Entry.WentIn(
            Guid.CreateVersion7(),
            at,
            new ExtraIngredient($"later_{extra}", Mass.FromGrams(grams), Kitchens.Catalogue.FindExtra(extra)!, Temperature.FromCelsius(20))
            {
                Pieces = pieces,
            }
        );

    private static IEnumerable<CookAction> Ahead(EveningState evening, Instant now)
    {
        var cook = evening.AsOf(now, out var pending);
        return cook.Actions.Where((_, i) => pending[i] is not null);
    }

    [Fact]
    public void Coconut_milk_and_leaves_that_are_in_are_not_asked_for_again()
    {
        var now = At(Coconut, StepIds.Ready) + Min(1);
        List<Entry> told = [.. AsPlanned(Coconut, now), WentIn("coconut_milk", 190, now), WentIn("leaf", 1, now, 2)];
        var evening = Begin(Coconut, told);
        Assert.Null(EveningForecaster.Check(evening, now));
        Assert.True(evening.IsInAlready("x_coconut_milk"));
        Assert.DoesNotContain(Ahead(evening, now), a => a is CookAction.Add { IngredientId: "x_coconut_milk" or "x_leaf" });
        Assert.Equal(2, evening.ComesOut().Single().Left);
        var ahead = Eye.Forecast(evening, now, Coconut.Dish.Targets, 16);
        Assert.NotNull(ahead.Table);
        // Done as planned it goes in once.
        var join = Begin(Coconut, [.. told, Did(evening, StepIds.Join, now + Min(20))]);
        Assert.Single(join.ActionsDone(), d => d.Action is CookAction.Add { IngredientId: "later_coconut_milk" or "x_coconut_milk" });
        // A splash of it is not all of it.
        var splash = Begin(Coconut, [.. AsPlanned(Coconut, now), WentIn("coconut_milk", 40, now)]);
        Assert.Contains(Ahead(splash, now), a => a is CookAction.Add { IngredientId: "x_coconut_milk" });
    }

    [Fact]
    public void Salt_that_came_in_beside_the_plan_is_taken_off_what_is_still_to_add()
    {
        var now = At(Coconut, StepIds.Ready) + Min(1);
        double Salt(params Entry[] more) =>
            Ahead(Begin(Coconut, [.. AsPlanned(Coconut, now), .. more]), now).OfType<CookAction.AddSalt>().Sum(a => a.Salt.Grams);
        var planned = Salt();
        Assert.True(planned > 8);
        var bacon = Kitchens.Catalogue.FindExtra("bacon")!;
        Assert.Equal(planned - (100 * bacon.Salt.Typical), Salt(WentIn("bacon", 100, now)), 0.01);
        Entry spoon = new Entry.Extra(Guid.CreateVersion7(), now, new CookAction.AddSalt(Trigger.Next, Mass.FromGrams(5)));
        Assert.Equal(planned - 5, Salt(spoon), 0.01);
        Assert.Equal(0, Salt(WentIn("salt_pork", 600, now)));
        // Salt that is told after the planned salt is more of it, and takes nothing back.
        var joined = At(Coconut, StepIds.Seal) + Min(1);
        Entry later = new Entry.Extra(Guid.CreateVersion7(), joined, new CookAction.AddSalt(Trigger.Next, Mass.FromGrams(5)));
        double Done(params Entry[] more) =>
            Begin(Coconut, [.. AsPlanned(Coconut, joined), .. more])
                .ActionsDone()
                .Select(d => d.Action)
                .OfType<CookAction.AddSalt>()
                .Sum(a => a.Salt.Grams);
        Assert.Equal(planned, Done(), 0.01);
        Assert.Equal(planned + 5, Done(later), 0.01);
    }

    [Fact]
    public void Water_that_was_not_what_the_plan_says_is_noticed_until_it_is_right_or_meant()
    {
        var plan = Evenings.Chickpeas();
        var lit = At(plan, StepIds.Light);
        var now = lit + Min(2);
        var begun = Begin(plan);
        var planned = plan.Amounts.FirstWater.Grams;
        Entry Poured(double share) =>
            new Entry.Done(Guid.CreateVersion7(), lit, begun.With(StepIds.Light).Id)
            {
                Poured = Volume.OfWater(Mass.FromGrams(planned * share), plan.Dish.Household.Room),
            };
        List<Visit> Seen(params Entry[] told) =>
            [
                .. Visits.Of(
                    Eye.Forecast(Begin(plan, [.. AsPlanned(plan, lit - Min(1)), .. told]), now, plan.Dish.Targets, 16),
                    new HashSet<string>()
                ),
            ];
        Assert.DoesNotContain(Seen(Poured(1)), v => v.Code is Visits.TooLittle or Visits.TooMuch);
        var little = Seen(Poured(0.5)).Single(v => v.Code == Visits.TooLittle);
        Assert.Equal(planned / 2, little.Grams!.Value, 10.0);
        Assert.Contains(Seen(Poured(1.5)), v => v.Code == Visits.TooMuch);
        Entry more = new Entry.Extra(
            Guid.CreateVersion7(),
            lit + Min(1),
            new CookAction.AddWater(Trigger.Next, Mass.FromGrams(planned / 2), Temperature.FromCelsius(100))
        );
        Assert.DoesNotContain(Seen(Poured(0.5), more), v => v.Code == Visits.TooLittle);
        Assert.DoesNotContain(Seen(Poured(0.5), Saw(new Observation.Checked(lit + Min(1), Visits.TooLittle, null))), v =>
            v.Code == Visits.TooLittle
        );
    }

    /// <summary>Top-ups count only when they are told: a pot that nobody has poured after boils dry in the ledger, and says so.</summary>
    [Fact]
    public void A_pot_that_the_ledger_has_dry_says_so()
    {
        var plan = Evenings.Chickpeas();
        var lit = At(plan, StepIds.Light);
        var boiled = At(plan, StepIds.Boils);
        EveningState With(params Entry[] more) =>
            Begin(
                plan,
                [
                    .. AsPlanned(plan, lit - Min(1)),
                    new Entry.Done(Guid.CreateVersion7(), lit, Begin(plan).With(StepIds.Light).Id) { Poured = Volume.FromMillilitres(450) },
                    new Entry.Done(Guid.CreateVersion7(), boiled, Begin(plan).With(StepIds.Boils).Id),
                    .. more,
                ]
            );
        bool Dry(EveningState evening, Instant now) =>
            Visits.Of(Eye.Forecast(evening, now, plan.Dish.Targets, 16), new HashSet<string>()).Any(v => v.Code == Visits.Dry);
        Assert.False(Dry(With(), boiled + Min(2)));
        var late = boiled + Min(75);
        Assert.True(Dry(With(), late));
        Entry water = new Entry.Extra(
            Guid.CreateVersion7(),
            boiled + Min(20),
            new CookAction.AddWater(Trigger.Next, Mass.FromGrams(700), Temperature.FromCelsius(100))
        );
        Assert.False(Dry(With(water), late));
        Assert.False(Dry(With(Saw(new Observation.Checked(late - Min(1), Visits.Dry, null))), late));
    }
}
