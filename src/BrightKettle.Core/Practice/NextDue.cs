using BrightKettle.Core.Cooking;
using BrightKettle.Core.Stove;
using NodaTime;

namespace BrightKettle.Core.Practice;

/// <summary>When the next thing at the stove is asked for in a simulated kitchen: by its clock, or when what it waits for is heard.</summary>
internal static class NextDue
{
    /// <summary>Not before now; null where it never is, or only after something else was done.</summary>
    /// <param name="moment">The first of its lane.</param>
    public static Instant? At(EveningForecast ahead, Moment moment, SimulatedKitchen kitchen)
    {
        if (FirstOf(ahead, moment) is not { } first)
        {
            return null;
        }

        var when = ahead.Cook.Actions[first].Trigger;
        if (when.AfterStep is { } step && ahead.Evening.Moments.Any(m => m.Moment.Has(step) && m.State == MomentState.Waiting))
        {
            return null;
        }

        if (when.After is { } what)
        {
            return kitchen.When(moment.Lane, what, when.Count) is { } heard ? Instant.Max(ahead.Now, heard) : null;
        }

        return LookAsked.From(ahead, moment, when.NotBefore) is { } clock ? Instant.Max(ahead.Now, clock) : ahead.Now;
    }

    /// <summary>Where a moment begins among the actions; null where it is not waited for.</summary>
    public static int? FirstOf(EveningForecast ahead, Moment moment)
    {
        for (var i = 0; i < ahead.Pending.Count; i++)
        {
            if (ahead.Pending[i]?.Id == moment.Id)
            {
                return i;
            }
        }

        return null;
    }
}
