using BrightKettle.Core.Cooking;
using NodaTime;

namespace BrightKettle.Core.Planning.Stages;

/// <summary>What goes in so many minutes before the table, each thing by its own.</summary>
internal static class LateExtras
{
    /// <summary>What goes in late, the longest first.</summary>
    public static IEnumerable<DishExtra> Late(this Dish dish) =>
        dish.Extras.Where(x => x.Time == ExtraTime.Late).OrderByDescending(x => x.MinutesBefore);

    /// <summary>In it goes.</summary>
    public static void AddExtra(this List<CookAction> actions, DishExtra extra, Trigger when) =>
        actions.Add(new CookAction.Add(when, extra.Id) { StepId = StepIds.ExtraIn });

    /// <summary>Each goes in by its minutes, in a span that begins with the first action.</summary>
    /// <param name="late">The longest first.</param>
    /// <param name="when">When the span begins.</param>
    /// <param name="left">Minutes from there to its end.</param>
    /// <param name="after">Minutes from its end to the table.</param>
    /// <returns>What comes at its end waits for this.</returns>
    public static Trigger AddLate(this List<CookAction> actions, IEnumerable<DishExtra> late, Trigger when, double left, double after)
    {
        foreach (var extra in late)
        {
            var at = Math.Clamp(Math.Ceiling(extra.MinutesBefore - after), 0, left);
            if (left - at >= NotWorthWaiting)
            {
                when = when with { Delay = (when.Delay ?? Duration.Zero) + Duration.FromMinutes(left - at) };
                left = at;
            }

            actions.AddExtra(extra, when);
            when = Trigger.Next;
        }

        return left > 0 ? when with { Delay = (when.Delay ?? Duration.Zero) + Duration.FromMinutes(left) } : when;
    }

    /// <summary>Nobody lifts a lid twice within so many minutes.</summary>
    private const double NotWorthWaiting = 2;
}
