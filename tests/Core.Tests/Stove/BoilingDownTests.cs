using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Stove;
using BrightKettle.Core.Units;
using NodaTime;
using Xunit;
using static BrightKettle.Core.Tests.Stove.Evenings;

namespace BrightKettle.Core.Tests.Stove;

/// <summary>Too much liquor for the rice: it is boiled down first, and that is begun when the join is due.</summary>
public sealed class BoilingDownTests
{
    [Fact]
    public void A_join_with_too_much_liquor_is_due_now_and_tells_what_is_found_now()
    {
        var plan = Chickpeas();
        var join = At(plan, StepIds.SetLiquor);
        var told = AsPlanned(plan, join - Min(1));
        var lane = plan.Cook.Kitchen.Vessel.Id;
        told.Add(
            new Entry.Extra(
                Guid.CreateVersion7(),
                join - Min(1),
                new CookAction.AddWater(Trigger.Next, Mass.FromGrams(700), Temperature.FromCelsius(100)) { In = lane }
            )
        );
        var evening = Begin(plan, told);
        var moment = evening.With(StepIds.SetLiquor);
        var measure = (CookAction.SetLiquor)moment.Actions[0];
        Assert.NotNull(measure.BoilDown);
        // Somebody has looked, and they are far enough: nothing but the liquor is in the way.
        var now = join + Min(30);
        evening = Begin(
            plan,
            [.. told, Saw(new Observation.FeltAs(now, moment.Trigger.Look?.IngredientId ?? plan.Cook.Ingredients[0].Id, FeltState.Soft))]
        );
        foreach (var minutes in new[] { 0, 3, 6 })
        {
            var ahead = Eye.Forecast(evening, now + Min(minutes), plan.Dish.Targets);
            var due = ahead.Due.First(d => d.MomentId == moment.Id);
            Assert.InRange((due.At - ahead.Now).TotalSeconds, -1, 30);
            Assert.True(due.LiquorGrams.Reference > measure.Liquor.Grams + 150, $"{due.LiquorGrams} for {measure.Liquor}");
        }
    }

    [Fact]
    public void What_was_done_at_once_took_no_time()
    {
        var plan = Kitchens.Planned(Kitchens.Dish("lentil_brown", 250, "long_white", 250, SoakChoice.None));
        Assert.All(plan.Forecast.Reference.Done, d => Assert.Equal(0, d!.Value.Took));
    }
}
