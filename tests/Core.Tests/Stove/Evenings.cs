using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Stove;
using BrightKettle.Core.Units;
using NodaTime;
using Xunit;

namespace BrightKettle.Core.Tests.Stove;

/// <summary>Dinners at the stove, with a hidden pot that answers the cook.</summary>
internal static class Evenings
{
    public static readonly EveningForecaster Eye = new(Kitchens.Model);

    /// <summary>Chickpeas soaked overnight, brown basmati joining.</summary>
    public static Plan Chickpeas() => Kitchens.Planned(Kitchens.Dish("chickpea", 300, "brown_basmati", 300, SoakChoice.Overnight));

    public static EveningState Begin(Plan plan, params IEnumerable<Entry> entries) => new(plan.Cook, entries);

    public static Moment With(this EveningState evening, string mark) => evening.Moments.Select(m => m.Moment).Last(m => m.Has(mark));

    public static Entry Did(EveningState evening, string mark, Instant at) =>
        new Entry.Done(Guid.CreateVersion7(), at, evening.With(mark).Id);

    public static Entry Saw(Observation what) => new Entry.Saw(Guid.CreateVersion7(), what.At, what);

    /// <summary>Everything that a plan does before an instant, done to the second in the reference pot.</summary>
    public static List<Entry> AsPlanned(Plan plan, Instant until)
    {
        var evening = Begin(plan);
        var list = new List<Entry>();
        foreach (var moment in evening.Moments.Select(m => m.Moment))
        {
            var first = IndexOf(plan.Cook, moment);
            if (
                plan.Forecast.Reference.Done[first] is { } done
                && plan.Cook.Starts + Duration.FromSeconds(done.Seconds) is var at
                && at < until
            )
            {
                list.Add(new Entry.Done(Guid.CreateVersion7(), at, moment.Id));
            }
        }

        return list;
    }

    /// <summary>Every step done when it is due: what is forecast on the way stays so, and it is served.</summary>
    public static void WalkToTheTable(this Plan plan)
    {
        var (light, table) = (At(plan, StepIds.Light), At(plan, StepIds.Table));
        foreach (var share in new[] { 0.1, 0.5, 0.9 })
        {
            var now = light + ((table - light) * share);
            var evening = Begin(plan, AsPlanned(plan, now));
            var ahead = Eye.Forecast(evening, now, plan.Dish.Targets, 16);
            Assert.InRange((ahead.Table!.At - table).TotalMinutes, -5, 5);
        }

        Assert.NotNull(Begin(plan, AsPlanned(plan, table + Min(1))).ServedAt);
    }

    public static int IndexOf(Cook cook, Moment moment) => cook.Actions.ToList().FindIndex(a => ReferenceEquals(a, moment.Actions[0]));

    public static Instant At(Plan plan, string mark) => plan.Forecast.Find(mark)!.Reference;

    public static Duration Min(double minutes) => Duration.FromMinutes(minutes);
}
