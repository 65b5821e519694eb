using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Safety;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Stove;

/// <summary>Opened, looked into, and hard: the same cooker once more.</summary>
internal static class LockedAgain
{
    public const string Code = "lock_again";

    /// <summary>Held until the reference bag is soft when the pin is down; null where the pulses are in no cooker that locks, or it would be
    /// over its line.</summary>
    public static Answer? For(CourseBuilder c)
    {
        var vessel = c.Now.Evening.Cook.Kitchen[c.Now.Evening.Cook.Kitchen.IndexOf(c.Pot.VesselId)].Vessel;
        var line = c.Dish.Pulse.Foam == Catalogue.Foam.High ? Kitchen.Cooker.FillShareFoaming : Kitchen.Cooker.FillShare;
        if (
            !LateOptions.Waits(c)
            || vessel.Cooker is not { UnderPressure: true } cooker
            || c.Now.Pot?.Doneness[0] >= Doneness.Wanted
            || (c.Now.Pot?.LevelCentimetres ?? 0) * vessel.AreaSquareCentimetres > vessel.Brim.Millilitres * line
        )
        {
            return null;
        }

        var water = Mass.FromGrams(
            Math.Max(0, Math.Ceiling((cooker.LeastLiquid.Millilitres + cooker.VentGrams - c.LiquorGrams) / 50) * 50)
        );
        List<CookAction> fill = water.Grams > 0 ? [new CookAction.AddWater(Trigger.Next, water, CourseBuilder.Boiling)] : [];
        Course With(double hold) =>
            c.First(
                Code,
                [
                    .. fill,
                    // A moment of its own: the vent is looked through before it is done.
                    new CookAction.Pressurise(fill.Count > 0 ? Trigger.Later(Duration.Zero) : Trigger.Next) { StepId = StepIds.Lock },
                    new CookAction.Heat(Trigger.Next, Flame.Full),
                    .. PressureHold.Actions(cooker, c.Burner, hold),
                    new CookAction.Release(Trigger.Next, ReleaseKind.Natural),
                    new CookAction.Heat(Trigger.Once(PotEvent.PinDown), Flame.Lively) { StepId = StepIds.Opened },
                ]
            );

        var courses = LateOptions.Holds.Select(With).Where(c.Works).ToList();
        var runs = c.Try(courses);
        var best = Enumerable
            .Range(0, courses.Count)
            .Where(k => runs[k].StalledAt is null && SoftWhenOpened(c, courses[k], runs[k]))
            .Select(k => (int?)k)
            .FirstOrDefault();
        return best is not { } at
            ? null
            : c.Of(Code, courses[at]) with
            {
                For = courses[at].Actions.First(a => a.StepId == StepIds.HoldOver).Trigger.Delay,
                Amount = water.Grams > 0 ? water : null,
                Temperature = water.Grams > 0 ? CourseBuilder.Boiling : null,
                Caution = PressureGate.VentUnchecked,
            };
    }

    private static bool SoftWhenOpened(CourseBuilder c, Course course, PotRun run)
    {
        var opened = c
            .Now.Evening.With(course, c.Now.Now)
            .AsOf(c.Now.Now, out _)
            .Actions.ToList()
            .FindLastIndex(a => a.StepId == StepIds.Opened && a.Trigger.After == PotEvent.PinDown);
        return opened >= 0 && run.Done[opened] is not null && run.At(opened).Doneness[0] >= Doneness.Tender;
    }
}
